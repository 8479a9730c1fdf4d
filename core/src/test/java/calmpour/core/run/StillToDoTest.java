package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.habit.Habits;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Session;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** How what is left of an evening is laid along the clock. */
class StillToDoTest extends Evening {
  private RunState state(Run run) {
    return RUNS.state(run, events, now);
  }

  private void done(Object task) {
    tell(RunEvent.Kind.DONE, task, null);
  }

  /** Nobody takes more than three times as long as planned, or ten minutes more, for one step. */
  @Test
  void whatIsToldLateBeganNoMoreThanThatBefore() {
    at(1_500);
    done("batch/1/WEIGH_FIRST");
    RunState.Step weighed = step(state(), "batch/1/WEIGH_FIRST");
    assertThat(weighed.endSeconds()).isEqualTo(1_500);
    assertThat(weighed.startSeconds()).isEqualTo(1_500 - 60 - 600);
    // Hands were not free before that.
    at(1_530);
    done("batch/1/WEIGH_SECOND");
    assertThat(step(state(), "batch/1/WEIGH_SECOND").startSeconds()).isEqualTo(1_500);
    assertThat(step(state(), "batch/1/WEIGH_SECOND").endSeconds()).isEqualTo(1_530);
    // As soon as planned it is told when it began, not sooner than the evening.
    at(1_700);
    done("batch/1/STIR");
    assertThat(step(state(), "batch/1/STIR").startSeconds()).isEqualTo(1_530);
  }

  /** Told in another order than they were done, each began when the one before it was over. */
  @Test
  void stepsAreLaidInTheOrderOfTheirMoments() {
    at(60);
    done("batch/1/WEIGH_FIRST");
    at(100);
    done("batch/1/WEIGH_SECOND");
    at(300);
    done("batch/1/STIR");
    at(820);
    done("cup/1.2/SPLIT");
    at(800);
    done("cup/1.1/SPLIT");
    at(850);
    RunState state = state();
    assertThat(step(state, "cup/1.1/SPLIT").endSeconds()).isEqualTo(800);
    assertThat(step(state, "cup/1.2/SPLIT").startSeconds()).isEqualTo(800);
    assertThat(step(state, "cup/1.2/SPLIT").endSeconds()).isEqualTo(820);
    assertThat(state.steps())
        .filteredOn(s -> s.status() != RunState.Status.LOST)
        .isSortedAccordingTo(Comparator.comparingInt(RunState.Step::startSeconds));
    // The rest was cut short by who went on: it ended when the first cup was filled.
    assertThat(step(state, "batch/1/REST").status()).isEqualTo(RunState.Status.DONE);
  }

  /** What the first step waits for, and hands: everything follows as soon as both allow. */
  @Test
  void theRestFollowsWithoutAGapWhereNothingIsWaitedFor() {
    at(400);
    RunState state = state();
    int free = 400;
    for (RunState.Step step : state.steps()) {
      if (step.hands() && step.startSeconds() < 1_400) {
        int waits = step.kind() == Task.Kind.SPLIT ? step.notBeforeSeconds() : 0;
        assertThat(step.startSeconds()).as(step.taskId().text()).isEqualTo(Math.max(free, waits));
        free = step.endSeconds();
      }
    }
    TaskId last = new TaskId("pour/1.4.2");
    assertThat(step(state, last).endSeconds()).isEqualTo(task(last).endSeconds() + 400);
    // Nothing is late before anything is opened.
    assertThat(state.lateSeconds()).isZero();
  }

  /** With a helper two work at once, but never at the same cup or in the same cavity. */
  @Test
  void twoPairsOfHandsDoNotMeet() {
    Habits habits = RUN.session().habits();
    Session session =
        RUN.session().withHabits(habits.withPlanning(habits.planning().withPairsOfHands(2)));
    Run two =
        new Run(
            session,
            Planner.snapshot(session, RUN.workshop()),
            Samples.planner(CURE).plan(session, RUN.workshop()),
            Instant.parse("2026-11-28T10:07:30Z"));
    assertThat(two.plan().tasks()).anyMatch(t -> t.pair() == 1 && t.kind() == Task.Kind.POUR);
    boolean together = false;
    for (int late : new int[] {0, 45, 130, 600, 1_500}) {
      events.clear();
      now = two.begunAt();
      for (Task task : two.plan().tasks()) {
        if (task.hands() && task.endSeconds() <= 900) {
          now = two.begunAt().plusSeconds(task.endSeconds());
          done(task.id());
        }
      }
      now = now.plusSeconds(late);
      RunState state = state(two);
      int[] busy = new int[2];
      Map<CupId, Integer> atCup = new HashMap<>();
      Map<String, Integer> inCavity = new HashMap<>();
      List<RunState.Step> open = new ArrayList<>(state.steps());
      open.removeIf(s -> !s.hands() || s.status() != RunState.Status.TO_DO);
      for (RunState.Step step : open) {
        assertThat(step.startSeconds())
            .as(step.taskId().text())
            .isGreaterThanOrEqualTo(Math.max(busy[step.pair()], state.atSeconds()));
        together |= step.startSeconds() < busy[1 - step.pair()];
        busy[step.pair()] = step.endSeconds();
        boolean atWork =
            step.kind() == Task.Kind.SPLIT
                || step.kind() == Task.Kind.TINT
                || step.kind() == Task.Kind.POUR;
        if (atWork && step.cupId() != null) {
          assertThat(step.startSeconds())
              .as("two at %s", step.cupId())
              .isGreaterThanOrEqualTo(atCup.getOrDefault(step.cupId(), 0));
          atCup.put(step.cupId(), step.endSeconds());
        }
        if (step.pourId() != null) {
          String cavity = step.pourId().into().toString();
          assertThat(step.startSeconds())
              .as("two in %s", cavity)
              .isGreaterThanOrEqualTo(inCavity.getOrDefault(cavity, 0));
          inCavity.put(cavity, step.endSeconds());
        }
      }
    }
    assertThat(together).isTrue();
  }

  /**
   * A batch whose layers go onto gel is opened no sooner than so that its pours come when that has
   * gelled, and never while another batch is under way.
   */
  @Test
  void theNextBatchIsOpenedForWhenItsLayersAreTaken() {
    Run onGel = WindowsTest.run();
    Map<TaskId, Task> planned = new HashMap<>();
    onGel.plan().tasks().forEach(t -> planned.put(t.id(), t));
    TaskId opens = new TaskId("batch/2/WEIGH_FIRST");
    TaskId layer = new TaskId("pour/1.1.2");
    int ahead = planned.get(layer).startSeconds() - planned.get(opens).startSeconds();
    for (int late : new int[] {0, 300, 700}) {
      events.clear();
      now = onGel.begunAt().plusSeconds(late);
      RunState state = state(onGel);
      int over =
          state.steps().stream()
              .filter(s -> s.batch() == 1 && s.hands() && s.kind().inOneGo())
              .mapToInt(RunState.Step::endSeconds)
              .max()
              .orElseThrow();
      RunState.Step opening = step(state, opens);
      RunState.Step onto = step(state, layer);
      assertThat(opening.startSeconds()).isGreaterThanOrEqualTo(over);
      assertThat(onto.startSeconds()).isGreaterThanOrEqualTo(onto.notBeforeSeconds());
      assertThat(opening.startSeconds()).isGreaterThanOrEqualTo(onto.notBeforeSeconds() - ahead);
      assertThat(opening.startSeconds())
          .as("no later than it has to be")
          .isLessThanOrEqualTo(Math.max(over, onto.notBeforeSeconds() - ahead) + 120);
    }
  }
}
