package calmpour.core.practice;

import static calmpour.core.check.Known.known;

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
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A rehearsed evening carried out by hands that do what the bench tells them next. */
final class SimulatedHands {
  /** No exercise has more steps; a loop would. */
  private static final int MOST_STEPS = 2_000;

  private final Rehearsal world;
  private final Run run;
  private final RunReader runs;
  private final Drawn drawn;
  private final boolean heeds;
  private final List<RunEvent> told = new ArrayList<>();
  private final List<Rehearsal.Stroke> strokes = new ArrayList<>();
  private final Set<Befell> met = new HashSet<>();
  private Instant now;

  SimulatedHands(Rehearsal world, Run run, RunReader runs, Drawn drawn, boolean heeds) {
    this.world = world;
    this.run = run;
    this.runs = runs;
    this.drawn = drawn;
    this.heeds = heeds;
    this.now = run.begunAt();
  }

  Rehearsal.Carried work() {
    tell(RunEvent.Kind.ROOM, null, drawn.roomC());
    for (int i = 0; i < MOST_STEPS; i++) {
      RunState bench = runs.state(run, told, now);
      if (!bench.giveUp().isEmpty()) {
        bench.giveUp().forEach(t -> tell(RunEvent.Kind.GIVEN_UP, t.text(), null));
        bench = runs.state(run, told, now);
      }
      RunState.Step next =
          Rehearsal.over(bench)
              ? null
              : bench.steps().stream()
                  .filter(s -> s.hands() && s.status() == RunState.Status.TO_DO)
                  .filter(s -> s.phase() != Task.Phase.FREE)
                  .findFirst()
                  .orElse(null);
      if (next == null) {
        break;
      }
      step(next);
      for (Befell befell : world.befallen(told).all) {
        if (met.add(befell)) {
          answer(befell);
        }
      }
    }
    return new Rehearsal.Carried(strokes, world.score(told, now));
  }

  private void step(RunState.Step step) {
    Instant starts = run.begunAt().plusSeconds(step.startSeconds());
    now = starts.isAfter(now) ? starts : now;
    if (heeds
        && step.kind() == Task.Kind.WEIGH_FIRST
        && world.colderK(world.befallen(told), step) > 0) {
      tellAndWait(RunEvent.Kind.CHECKED, "WARMED/" + step.batch(), null);
    }
    Instant from = now;
    boolean weighed = step.kind() == Task.Kind.WEIGH_FIRST || step.kind() == Task.Kind.WEIGH_SECOND;
    Double grams = weighed ? world.scaleG(world.befallen(told), step) : null;
    now = now.plusSeconds(drawn.takes(step.taskId(), step.endSeconds() - step.startSeconds()));
    tell(RunEvent.Kind.DONE, step.taskId().text(), grams);
    strokes.add(
        new Rehearsal.Stroke(
            seconds(from),
            seconds(now),
            step.taskId(),
            step.kind(),
            runs.state(run, told, now).spareSeconds()));
  }

  private int seconds(Instant at) {
    return world.befallen(told).seconds(at);
  }

  private void answer(Befell befell) {
    if (!heeds) {
      if (befell.mishap().kind() == Mishap.Kind.PHONE) {
        tellAndWait(RunEvent.Kind.AWAY, null, null);
        tell(RunEvent.Kind.BACK, null, null);
      }
      return;
    }
    switch (befell.mishap().kind()) {
      case OVER_POUR -> add();
      case WARM_ROOM -> tell(RunEvent.Kind.ROOM, null, world.befallen(told).roomC());
      case WRONG_CUP -> wrongCup(befell);
      case EMBED_FORGOTTEN -> trouble(befell.trouble(), BenchTrouble.Answer.LATE, null);
      case SPILL -> trouble(befell.trouble(), BenchTrouble.Answer.GOES_ON, befell.grams());
      case LEAK -> trouble(befell.trouble(), BenchTrouble.Answer.MENDED, befell.grams());
      case PHONE, COLD_RESIN -> {}
    }
  }

  private void add() {
    RunState.RescueNow rescue = runs.state(run, told, now).rescue();
    if (rescue == null) {
      return;
    }
    double a = rescue.rescue().addAG();
    double b = rescue.rescue().addBG();
    tellAndWait(RunEvent.Kind.ADDED, rescue.batch() + (a > 0 ? "/A" : "/B"), a > 0 ? a : b);
  }

  /** The two colours change places: both pieces have another colour, and neither runs short. */
  private void wrongCup(Befell befell) {
    Cup.Pour here = known(befell.pour());
    CupId other = known(befell.cup());
    trouble(wrong(here, other), BenchTrouble.Answer.STAYS, null);
    Cup.Pour theirs = last(other);
    CupId own = new EveningPlan(run).cupOf(here);
    RunState.Step step =
        runs.state(run, told, now).steps().stream()
            .filter(s -> s.taskId().equals(TaskId.pour(theirs.id())))
            .findFirst()
            .orElse(null);
    if (step != null) {
      now = now.plusSeconds(drawn.takes(step.taskId(), step.endSeconds() - step.startSeconds()));
      trouble(wrong(theirs, own), BenchTrouble.Answer.STAYS, null);
    }
  }

  private static String wrong(Cup.Pour pour, CupId cameOutOf) {
    return BenchTrouble.Kind.WRONG_COLOUR + "/" + pour.id() + "/" + cameOutOf;
  }

  private Cup.Pour last(CupId of) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.id().equals(of))
        .findFirst()
        .orElseThrow()
        .pours()
        .getLast();
  }

  private void trouble(String of, BenchTrouble.Answer answer, @Nullable Double value) {
    told.add(
        new RunEvent(
            "e" + told.size(),
            now,
            RunEvent.Kind.TROUBLE,
            of,
            value,
            List.of(answer.name()),
            null));
  }

  private void tell(RunEvent.Kind kind, @Nullable String of, @Nullable Double value) {
    told.add(new RunEvent("e" + told.size(), now, kind, of, value, List.of(), null));
  }

  /** Told first, and then over when it is over: a call, warm water, a hand that adds. */
  private void tellAndWait(RunEvent.Kind kind, @Nullable String of, @Nullable Double value) {
    RunEvent event = new RunEvent("e" + told.size(), now, kind, of, value, List.of(), null);
    Instant until = world.through(told, event, now);
    // Who is away is away from when the phone rang.
    told.add(kind == RunEvent.Kind.AWAY ? event : event.withAt(until));
    now = until;
  }
}
