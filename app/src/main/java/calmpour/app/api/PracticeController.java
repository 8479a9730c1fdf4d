package calmpour.app.api;

import calmpour.app.store.Exercises;
import calmpour.app.store.ShelfStore;
import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.cure.EngineModel;
import calmpour.core.plan.doc.Plan;
import calmpour.core.practice.Comparison;
import calmpour.core.practice.Mishap;
import calmpour.core.practice.Rehearsed;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Tried;
import calmpour.core.practice.WhatIf;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tries things out before anything is opened; keeps nothing. */
@RestController
@RequestMapping("/api/practice")
public class PracticeController {
  private final EngineModel model;
  private final ShelfStore shelf;
  private final Exercises exercises;

  PracticeController(EngineModel model, ShelfStore shelf, Exercises exercises) {
    this.model = model;
    this.shelf = shelf;
    this.exercises = exercises;
  }

  /** A line of the list of exercises. */
  public record ExerciseLine(
      String id, int grade, String name, int pieces, List<Mishap.Kind> mishaps) {}

  /** An exercise with the plan that is rehearsed. */
  public record OpenedExercise(String id, int grade, Session session, Plan plan, Instant begunAt) {}

  /** What was done about the mishaps so far, in order. */
  public record Choices(List<Mishap.Choice> choices) {
    public static final Range CHOICES = new Range(0, 50);

    public Choices {
      choices = choices == null ? List.of() : List.copyOf(choices);
      new Check()
          .that(
              choices.size() <= CHOICES.maxInclusive(),
              Problem.outside("choices", Problem.Code.TOO_MANY, choices.size(), CHOICES))
          .orThrow();
    }
  }

  /**
   * A rehearsal as far as it went.
   *
   * @param best the most points that any choices come to
   */
  public record PlayedSoFar(int best, Rehearsed rehearsed) {}

  @GetMapping("/exercises")
  List<ExerciseLine> exercises() {
    return exercises.all().stream()
        .map(e ->
            new ExerciseLine(
                e.id(),
                e.grade(),
                e.session().name(),
                e.session().pieces().stream().mapToInt(Piece::count).sum(),
                e.mishaps().stream().map(Mishap::kind).distinct().toList()))
        .toList();
  }

  @GetMapping("/exercises/{id}")
  OpenedExercise exercise(@PathVariable String id) {
    Exercises.Prepared prepared = prepared(id);
    return new OpenedExercise(
        id,
        prepared.exercise().grade(),
        prepared.run().session(),
        prepared.run().plan(),
        prepared.run().begunAt());
  }

  /** Plays an exercise from its beginning up to the next question, or its end. */
  @PostMapping("/exercises/{id}/play")
  PlayedSoFar play(@PathVariable String id, @RequestBody Choices made) {
    Exercises.Prepared prepared = prepared(id);
    return new PlayedSoFar(prepared.exercise().best(), prepared.rehearsal().play(made.choices()));
  }

  private Exercises.Prepared prepared(String id) {
    return exercises
        .find(id)
        .orElseThrow(() -> new NotFoundException("there is no exercise " + id));
  }

  /** Two set-ups to be seen side by side. */
  public record WhatIfRequest(SetUp first, SetUp second) {
    public WhatIfRequest {
      new Check().present("first", first).present("second", second).orThrow();
    }
  }

  @PostMapping("/what-if")
  Comparison whatIf(@RequestBody WhatIfRequest request) {
    WhatIf whatIf = new WhatIf(model, shelf.workshop());
    List<Problem> problems = new ArrayList<>();
    Tried first = tried(whatIf, request.first(), "first", problems);
    Tried second = tried(whatIf, request.second(), "second", problems);
    if (first == null || second == null) {
      throw new InvalidValuesException(problems);
    }
    return Comparison.of(first, second);
  }

  /** What is wrong with either is told at its own fields. */
  private static @Nullable Tried tried(
      WhatIf whatIf, SetUp setUp, String at, List<Problem> problems) {
    try {
      return whatIf.of(setUp);
    } catch (InvalidValuesException wrong) {
      wrong.problems().forEach(p -> problems.add(p.under(at)));
      return null;
    }
  }
}
