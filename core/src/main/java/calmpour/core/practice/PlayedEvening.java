package calmpour.core.practice;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.BenchTrouble;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** One evening, from its first step on. */
final class PlayedEvening {
  /** What a hand needs to add to a cup that is already on the scale, s. */
  private static final int ADDING_SECONDS = 60;

  /** Both bottles in warm water: common practice, no source. */
  private static final int WARMING_SECONDS = 300;

  /** No exercise has more steps; a loop would. */
  private static final int MOST_STEPS = 2_000;

  private final Exercise exercise;
  private final Run run;
  private final EveningPlan plan;
  private final Drawn drawn;
  private final RunReader runs;
  private final List<Mishap.Choice> choices;

  /** What the bench knows. */
  private final List<RunEvent> told = new ArrayList<>();

  /** That, and what nobody told it. */
  private final List<RunEvent> happened = new ArrayList<>();

  /** Pours that came out of another cup than they should. */
  private final Map<Cup.Pour, CupId> otherCups = new LinkedHashMap<>();

  private final List<Rehearsed.Frame> frames = new ArrayList<>();
  private final Set<Mishap> over = new HashSet<>();
  private final List<Judged.Flaw> flaws = new ArrayList<>();
  private final Map<Task.Kind, Integer> seen = new EnumMap<>(Task.Kind.class);
  private final Set<TaskId> skipped = new HashSet<>();

  /** Of each step in the plan: who tries everything keeps to its order. */
  private final Map<TaskId, Integer> place = new HashMap<>();

  private int chosen;
  private int now;
  private boolean stubborn;
  private @Nullable RunState bench;
  private Rehearsed.@Nullable Question question;

  /**
   * @param drawn what is really so
   * @param choices what was done about the mishaps, in order
   */
  PlayedEvening(
      Exercise exercise, Run run, Drawn drawn, RunReader runs, List<Mishap.Choice> choices) {
    this.exercise = exercise;
    this.run = run;
    this.plan = new EveningPlan(run);
    this.drawn = drawn;
    this.runs = runs;
    this.choices = choices;
    run.plan().tasks().forEach(t -> place.put(t.id(), place.size()));
  }

  Rehearsed play() {
    tell(RunEvent.Kind.ROOM, null, drawn.roomC());
    for (int i = 0; i < MOST_STEPS && question == null; i++) {
      bench = runs.state(run, told, at(now));
      if (!bench.giveUp().isEmpty() && !stubborn && !late()) {
        break;
      }
      RunState.Step next = next(bench);
      if (next == null) {
        return over();
      }
      step(next);
    }
    return new Rehearsed(frames, question, null);
  }

  private Instant at(int second) {
    return run.begunAt().plusSeconds(second);
  }

  /** What the hands do next; null when the evening is over. */
  private RunState.@Nullable Step next(RunState state) {
    List<RunState.Step> open =
        state.steps().stream()
            .filter(RunState.Step::hands)
            .filter(s ->
                s.status() == RunState.Status.TO_DO
                    || (stubborn && s.status() == RunState.Status.TOO_LATE))
            .filter(s -> !skipped.contains(s.taskId()))
            .filter(s -> s.phase() != Task.Phase.FREE)
            .toList();
    return stubborn
        ? open.stream().min(Comparator.comparingInt(s -> place.get(s.taskId()))).orElse(null)
        : open.isEmpty() ? null : open.getFirst();
  }

  private void step(RunState.Step step) {
    int nth = seen.merge(step.kind(), 1, Integer::sum);
    Mishap mishap =
        exercise.mishaps().stream()
            .filter(m -> m.at() == step.kind() && m.nth() == nth && !over.contains(m))
            .findFirst()
            .orElse(null);
    now = Math.max(now, step.startSeconds());
    if (mishap != null && mishap.kind() == Mishap.Kind.COLD_RESIN) {
      over.add(mishap);
      cold(mishap, step);
      if (question != null) {
        return;
      }
    }
    if (mishap != null && mishap.kind() == Mishap.Kind.EMBED_FORGOTTEN) {
      // The hands go on with the next thing; it is noticed then.
      over.add(mishap);
      skipped.add(step.taskId());
      RunState.Step instead = bench == null ? null : next(bench);
      if (instead != null) {
        step(instead);
      }
      forgotten(mishap, step);
      return;
    }
    int from = now;
    now += drawn.takes(step.taskId(), step.endSeconds() - step.startSeconds());
    Double grams = step.targetG();
    if (mishap != null && mishap.kind() == Mishap.Kind.OVER_POUR && grams != null) {
      grams = grams * (1 + mishap.size() / 100);
    }
    boolean weighed = step.kind() == Task.Kind.WEIGH_FIRST || step.kind() == Task.Kind.WEIGH_SECOND;
    tellTask(RunEvent.Kind.DONE, step.taskId(), weighed ? grams : null);
    frame(from, step, grams);
    if (mishap != null && over.add(mishap)) {
      happens(mishap, step);
    }
  }

  private void frame(int from, RunState.Step step, @Nullable Double grams) {
    RunState after = runs.state(run, told, at(now));
    frames.add(
        new Rehearsed.Frame(
            from,
            now,
            step.taskId(),
            step.kind(),
            step.cupId(),
            grams,
            after.spareSeconds(),
            after.cups()));
  }

  private void happens(Mishap mishap, RunState.Step step) {
    switch (mishap.kind()) {
      case PHONE -> phone(mishap, step);
      case OVER_POUR -> overPour(mishap, step);
      case WARM_ROOM -> warm(mishap, step);
      case WRONG_CUP -> wrongCup(mishap, step);
      case COLD_RESIN, EMBED_FORGOTTEN, LATE -> {}
    }
  }

  /** The choice that was made; null when it still has to be, and the question waits. */
  private Mishap.@Nullable Choice choice(
      Mishap.Kind kind,
      double size,
      List<TaskId> about,
      @Nullable String part,
      @Nullable Double grams) {
    if (chosen >= choices.size()) {
      question = new Rehearsed.Question(kind, size, now, about, part, grams, kind.choices());
      return null;
    }
    Mishap.Choice made = choices.get(chosen++);
    if (!kind.choices().contains(made)) {
      throw new InvalidValuesException(
          List.of(
              Problem.of(
                  "choices[" + (chosen - 1) + "]", Problem.Code.UNKNOWN_WORD, made.toString())));
    }
    return made;
  }

  private void phone(Mishap mishap, RunState.Step step) {
    Mishap.Choice choice = choice(mishap.kind(), mishap.size(), List.of(step.taskId()), null, null);
    if (choice == Mishap.Choice.TAKE_THE_CALL) {
      tell(RunEvent.Kind.AWAY, null, null);
      now += (int) Math.round(mishap.size() * 60);
      tell(RunEvent.Kind.BACK, null, null);
    }
  }

  private void overPour(Mishap mishap, RunState.Step step) {
    RunState.RescueNow rescue = runs.state(run, told, at(now)).rescue();
    boolean addsA = rescue != null && rescue.rescue().addAG() > 0;
    double grams = rescue == null ? 0 : addsA ? rescue.rescue().addAG() : rescue.rescue().addBG();
    Mishap.Choice choice =
        choice(mishap.kind(), mishap.size(), List.of(step.taskId()), addsA ? "A" : "B", grams);
    if (choice == Mishap.Choice.ADD_THE_OTHER) {
      now += ADDING_SECONDS;
      tell(RunEvent.Kind.ADDED, step.batch() + "/" + (addsA ? "A" : "B"), grams);
    }
  }

  private void warm(Mishap mishap, RunState.Step step) {
    double reallyC = drawn.roomC() + mishap.size();
    happened.add(event(RunEvent.Kind.ROOM, null, reallyC));
    Mishap.Choice choice = choice(mishap.kind(), mishap.size(), List.of(step.taskId()), null, null);
    if (choice == Mishap.Choice.TELL_THE_BENCH) {
      tell(RunEvent.Kind.ROOM, null, reallyC);
    }
  }

  private void cold(Mishap mishap, RunState.Step step) {
    Mishap.Choice choice = choice(mishap.kind(), mishap.size(), List.of(step.taskId()), null, null);
    if (choice == Mishap.Choice.WARM_THE_BOTTLES) {
      now += WARMING_SECONDS;
    } else if (choice == Mishap.Choice.GO_ON) {
      for (Cup.Pour pour : plan.pours(step.batch())) {
        flaws.add(new Judged.Flaw(pour.line(), pour.cavity(), Rehearsed.Why.COLD_RESIN));
      }
    }
  }

  private void wrongCup(Mishap mishap, RunState.Step step) {
    Cup.Pour here = plan.pour(step.taskId());
    Cup other = here == null ? null : other(step);
    if (here == null || other == null) {
      return;
    }
    Cup.Pour theirs = other.pours().getLast();
    Mishap.Choice choice =
        choice(
            mishap.kind(),
            mishap.size(),
            List.of(step.taskId(), TaskId.pour(theirs.id())),
            null,
            null);
    if (choice == null) {
      return;
    }
    cameOutOf(here, other.id());
    if (choice == Mishap.Choice.SWAP_THE_COLOURS && step.cupId() != null) {
      cameOutOf(theirs, step.cupId());
    }
    flaws.add(new Judged.Flaw(here.line(), here.cavity(), Rehearsed.Why.OTHER_COLOUR));
    flaws.add(
        new Judged.Flaw(
            theirs.line(),
            theirs.cavity(),
            choice == Mishap.Choice.SWAP_THE_COLOURS
                ? Rehearsed.Why.OTHER_COLOUR
                : Rehearsed.Why.RAN_SHORT));
  }

  /** The record knows of it; the bench was told nothing but that it was poured. */
  private void cameOutOf(Cup.Pour pour, CupId cup) {
    otherCups.put(pour, cup);
  }

  /** A cup of the same batch of another colour, from which something is still to be poured. */
  private @Nullable Cup other(RunState.Step step) {
    return run.plan().batches().get(step.batch() - 1).cups().stream()
        .filter(c -> !c.id().equals(step.cupId()) && !c.pours().isEmpty())
        .filter(c -> !RunReader.done(run, told).contains(TaskId.pour(c.pours().getLast().id())))
        .findFirst()
        .orElse(null);
  }

  private void forgotten(Mishap mishap, RunState.Step embed) {
    if (question != null) {
      return;
    }
    Mishap.Choice choice =
        choice(mishap.kind(), mishap.size(), List.of(embed.taskId()), null, null);
    if (choice == null) {
      return;
    }
    skipped.remove(embed.taskId());
    if (choice == Mishap.Choice.LEAVE_IT_OUT) {
      tellTask(RunEvent.Kind.GIVEN_UP, embed.taskId(), null);
      flaw(embed, Rehearsed.Why.EMBED_MISSING);
      return;
    }
    int from = now;
    now += drawn.takes(embed.taskId(), embed.endSeconds() - embed.startSeconds());
    tellTask(RunEvent.Kind.DONE, embed.taskId(), null);
    frame(from, embed, null);
    if (now > plan.thickSeconds(embed, told)) {
      flaw(embed, Rehearsed.Why.EMBED_TOO_LATE);
    }
  }

  private void flaw(RunState.Step step, Rehearsed.Why why) {
    Integer line = step.line();
    if (line == null) {
      return;
    }
    for (Batch batch : run.plan().batches()) {
      plan.pours(batch.number()).stream()
          .filter(p -> p.line() == line)
          .forEach(p -> flaws.add(new Judged.Flaw(p.line(), p.cavity(), why)));
    }
  }

  /** Asked once; false while the answer is not there. */
  private boolean late() {
    if (bench == null) {
      return true;
    }
    Mishap.Choice choice = choice(Mishap.Kind.LATE, 0, bench.giveUp(), null, null);
    if (choice == null) {
      return false;
    }
    if (choice == Mishap.Choice.TRY_THEM_ALL) {
      stubborn = true;
    } else {
      bench.giveUp().forEach(t -> tellTask(RunEvent.Kind.GIVEN_UP, t, null));
      bench = runs.state(run, told, at(now));
    }
    return true;
  }

  private void tellTask(RunEvent.Kind kind, TaskId of, @Nullable Double value) {
    tell(kind, of.text(), value);
  }

  private void tell(RunEvent.Kind kind, @Nullable String of, @Nullable Double value) {
    RunEvent event = event(kind, of, value);
    told.add(event);
    happened.add(event);
  }

  private RunEvent event(
      RunEvent.Kind kind, @Nullable String of, @Nullable Double value, String... codes) {
    return new RunEvent(
        "e" + (told.size() + happened.size()), at(now), kind, of, value, List.of(codes), null);
  }

  private Rehearsed over() {
    otherCups.forEach((pour, cup) -> {
      if (RunReader.done(run, told).contains(TaskId.pour(pour.id()))) {
        String of = BenchTrouble.Kind.WRONG_COLOUR + "/" + pour.id() + "/" + cup;
        happened.add(event(RunEvent.Kind.TROUBLE, of, null, BenchTrouble.Answer.STAYS.name()));
      }
    });
    Judged judged = new Judged(run.session().habits().ratioTolerancePercent(), flaws);
    Instant end = at(now);
    // What was really so: the label as it is, and the room also where nobody told it.
    RunReader.LookedBack looked = runs.lookedBack(drawn.really(), happened, end);
    List<Rehearsed.PieceScore> pieces = judged.pieces(looked.asRun(), looked.curves());
    return new Rehearsed(
        frames,
        null,
        new Rehearsed.Score(
            pieces.stream().mapToInt(p -> Judged.points(p.verdict())).sum(),
            2 * pieces.size(),
            pieces,
            happened.stream()
                .filter(e -> e.kind() == RunEvent.Kind.ROOM && e.value() != null)
                .mapToDouble(RunEvent::value)
                .reduce(drawn.roomC(), (a, b) -> b),
            drawn.labelTimes(),
            looked.curves(),
            looked.asRun()));
  }
}
