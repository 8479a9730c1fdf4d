package calmpour.app.api;

import calmpour.app.store.Exercises;
import calmpour.app.store.RehearsalStore;
import calmpour.app.store.RunStore;
import calmpour.app.store.RunStore.KeptRun;
import calmpour.app.work.RehearsalDesk;
import calmpour.app.work.RunDesk;
import calmpour.app.work.StandsNow;
import calmpour.core.plan.doc.Plan;
import calmpour.core.practice.Exercise;
import calmpour.core.practice.Score;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Evenings that are only rehearsed: begun here, carried out at the bench like any other. */
@RestController
@RequestMapping("/api/practice")
public class RehearsalController {
  private final Exercises exercises;
  private final RehearsalStore store;
  private final RehearsalDesk rehearsals;
  private final RunStore runs;
  private final RunDesk desk;

  RehearsalController(
      Exercises exercises,
      RehearsalStore store,
      RehearsalDesk rehearsals,
      RunStore runs,
      RunDesk desk) {
    this.exercises = exercises;
    this.store = store;
    this.rehearsals = rehearsals;
    this.runs = runs;
    this.desk = desk;
  }

  /**
   * A line of the list of exercises. What goes wrong in it is not told.
   *
   * @param reached the most points that were reached here; null while it was never ended
   * @param most two a piece
   */
  public record ExerciseLine(
      String id, int grade, String name, int pieces, @Nullable Integer reached, int most) {}

  /** An exercise with the plan that is rehearsed. */
  public record OpenedExercise(String id, int grade, Session session, Plan plan, Instant begunAt) {}

  /**
   * @param speed how many seconds of the rehearsal's clock are one of the world, 0 to 60; 0 holds
   *     it
   * @param aheadSeconds how far it jumps first, up to a day
   */
  public record RehearsalClock(int speed, int aheadSeconds) {}

  /**
   * A rehearsal that is over.
   *
   * @param par the points of hands that see to everything
   */
  public record RehearsedEvening(
      String id,
      String exerciseId,
      int grade,
      int par,
      Session session,
      Plan plan,
      Instant begunAt,
      Score score) {}

  @GetMapping("/exercises")
  List<ExerciseLine> exercises() {
    Map<String, Integer> reached = store.reached();
    return exercises.all().stream()
        .map(e -> {
          int pieces = e.session().pieces().stream().mapToInt(Piece::count).sum();
          return new ExerciseLine(
              e.id(), e.grade(), e.session().name(), pieces, reached.get(e.id()), 2 * pieces);
        })
        .toList();
  }

  @GetMapping("/exercises/{id}")
  OpenedExercise exercise(@PathVariable String id) {
    Exercises.Prepared prepared = exercises.find(id).orElseThrow(() -> none(id));
    return new OpenedExercise(
        id,
        prepared.exercise().grade(),
        prepared.run().session(),
        prepared.run().plan(),
        prepared.run().begunAt());
  }

  @PostMapping("/exercises/{id}/begin")
  @ResponseStatus(HttpStatus.CREATED)
  RunController.OpenedRun begin(@PathVariable String id) {
    return RunController.opened(rehearsals.begin(id).orElseThrow(() -> none(id)), desk);
  }

  private static NotFoundException none(String id) {
    return new NotFoundException("there is no exercise " + id);
  }

  @PutMapping("/rehearsals/{id}/clock")
  StandsNow clock(@PathVariable String id, @RequestBody RehearsalClock clock) {
    KeptRun kept = kept(id);
    rehearsals.runAt(kept, clock.speed(), clock.aheadSeconds());
    return desk.now(kept);
  }

  /** Ends it, unless it has ended; what is not done will not be. */
  @PostMapping("/rehearsals/{id}/end")
  RehearsedEvening end(@PathVariable String id) {
    KeptRun kept = kept(id);
    if (kept.finishedAt() == null) {
      RunEvent over =
          RunEvent.of(
              UUID.randomUUID().toString(), kept.run().begunAt(), RunEvent.Kind.FINISHED, null);
      desk.tell(kept, List.of(over), null);
    }
    return evening(kept(id));
  }

  @GetMapping("/rehearsals/{id}")
  RehearsedEvening ended(@PathVariable String id) {
    return evening(kept(id));
  }

  private RehearsedEvening evening(KeptRun kept) {
    Exercise exercise = rehearsals.exercise(kept);
    Score score = rehearsals.score(kept).orElse(null);
    if (exercise == null || score == null) {
      throw new NotFoundException("this rehearsal is not over: end it at the bench");
    }
    return new RehearsedEvening(
        kept.id(),
        exercise.id(),
        exercise.grade(),
        exercise.best(),
        kept.run().session(),
        kept.run().plan(),
        kept.run().begunAt(),
        score);
  }

  private KeptRun kept(String id) {
    return runs.find(id)
        .filter(r -> r.exercise() != null)
        .orElseThrow(() -> new NotFoundException("this rehearsal is not kept here (any more)"));
  }
}
