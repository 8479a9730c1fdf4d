package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A back that is poured onto gel: until when that bonds, and what it takes after that. */
class WindowsTest {
  private static final Run RUN = run();

  private final List<RunEvent> events = new ArrayList<>();
  private Instant now = RUN.begunAt();

  static Run run() {
    Workshop workshop =
        Samples.workshop(
            Evening.RESIN,
            List.of(Samples.mould("knob", 12, 20.0)),
            List.of(Evening.BLUE, Evening.BROWN));
    Session session =
        Samples.session(
            List.of(
                new Piece(
                    "knob",
                    4,
                    List.of(
                        new Layer("blue", Fill.ofShare(0.4), Join.TOGETHER),
                        new Layer("brown", null, Join.GEL)))));
    Plan plan = Samples.planner(Evening.CURE).plan(session, workshop);
    return new Run(
        session, Planner.snapshot(session, workshop), plan, Instant.parse("2026-11-28T10:07:30Z"));
  }

  private RunState state() {
    return Evening.RUNS.state(RUN, events, now);
  }

  private void firstLayer() {
    for (RunState state = state(); state.currentId() != null; state = state()) {
      TaskId next = state.currentId();
      RunState.Step step = Evening.step(state, next);
      if (step.batch() == 2) {
        return;
      }
      now = RUN.begunAt().plusSeconds(Math.max(state.atSeconds(), step.endSeconds()));
      events.add(RunEvent.of("e" + events.size(), now, RunEvent.Kind.DONE, next.text()));
    }
  }

  private RunState.Step opens() {
    return Evening.step(state(), "batch/2/WEIGH_FIRST");
  }

  @Test
  void theNextLayerSaysUntilWhenItBonds() {
    firstLayer();
    RunState.Step opens = opens();
    assertThat(opens.joinNow()).isNull();
    assertThat(opens.untilSeconds()).isNotNull().isGreaterThan(opens.startSeconds());
    RunState.Step pour = Evening.step(state(), "pour/1.1.2");
    assertThat(pour.notBeforeSeconds()).isLessThanOrEqualTo(pour.startSeconds());
    assertThat(opens.untilSeconds()).isLessThanOrEqualTo(pour.untilSeconds());
    // Minutes before the end it is still as designed.
    now = RUN.begunAt().plusSeconds(opens.untilSeconds() - 60);
    assertThat(opens().joinNow()).isNull();
  }

  @Test
  void onceTheBondHasEndedItWaitsUntilTheLayerHasCured() {
    firstLayer();
    int until = opens().untilSeconds();
    now = RUN.begunAt().plusSeconds(until + 3_600);
    RunState state = state();
    RunState.Step opens = opens();
    assertThat(opens.joinNow()).isEqualTo(Join.CURED);
    assertThat(opens.untilSeconds()).isNull();
    RunState.Step pour = Evening.step(state, "pour/1.1.2");
    assertThat(pour.notBeforeSeconds()).isGreaterThan(state.atSeconds());
    // Its mix does not stand about until then.
    assertThat(opens.startSeconds()).isGreaterThan(state.atSeconds());
    assertThat(pour.startSeconds() - opens.startSeconds())
        .isLessThan(
            RUN.plan().tasks().stream()
                    .filter(t -> t.batch() == 2 && t.kind() == Task.Kind.POUR)
                    .mapToInt(Task::endSeconds)
                    .max()
                    .orElseThrow()
                - RUN.plan().tasks().stream()
                    .filter(t -> t.id().text().equals("batch/2/WEIGH_FIRST"))
                    .mapToInt(Task::startSeconds)
                    .findFirst()
                    .orElseThrow());
  }

  @Test
  void aLookThatNobodyCameToIsMissedAndNotNow() {
    firstLayer();
    assertThat(RUN.plan().tasks()).anyMatch(t -> t.kind() == Task.Kind.LOOK);
    events.removeIf(e -> e.of() != null && e.of().contains("LOOK"));
    now = RUN.begunAt().plusSeconds(12 * 3_600);
    assertThat(state().steps())
        .filteredOn(s -> s.kind() == Task.Kind.LOOK)
        .isNotEmpty()
        .allMatch(s -> s.batch() == 2 || s.status() == RunState.Status.MISSED);
    assertThat(Evening.step(state(), state().currentId()).kind()).isNotEqualTo(Task.Kind.LOOK);
  }
}
