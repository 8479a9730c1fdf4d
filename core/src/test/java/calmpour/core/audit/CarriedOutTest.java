package calmpour.core.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.audit.RandomWork.Work;
import calmpour.core.cure.HalvingRule;
import calmpour.core.plan.Planner;
import calmpour.core.plan.doc.Task;
import calmpour.core.run.Masses;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import calmpour.core.run.RunState.Status;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Designs of all kinds, with lids, settings, domes, wet work and slow cavities, from the plan
 * through the bench to the record: every step is asked for once, and what went in is where it went.
 */
class CarriedOutTest {
  private static final RunReader RUNS = new RunReader(new HalvingRule());
  private static final Set<Status> SETTLED =
      EnumSet.complementOf(EnumSet.of(Status.TO_DO, Status.RUNNING));

  @Test
  void whatIsPlannedIsCarriedOutAndRecorded() {
    Random random = new Random(20_261_128);
    Set<Task.Kind> met = EnumSet.noneOf(Task.Kind.class);
    for (int i = 0; i < 24; i++) {
      Work work = RandomWork.of(random);
      Run run =
          new Run(
              work.session(),
              Planner.snapshot(work.session(), work.workshop()),
              work.plan(),
              work.session().startsAtInstant());
      List<RunEvent> events = new ArrayList<>();
      Instant now = carriedOut(run, events, "evening " + i, met);
      RunState end = RUNS.state(run, events, now);
      assertThat(end.steps())
          .as("evening %d", i)
          .filteredOn(RunState.Step::hands)
          .allMatch(s -> SETTLED.contains(s.status()));
      Masses masses = RUNS.lookBack(run, events, now).masses();
      assertThat(masses.pouredG() + masses.leftG() + masses.staysG() + masses.lostG())
          .as("evening %d", i)
          .isCloseTo(masses.resinG() + masses.colourG(), within(0.01));
    }
    assertThat(met).contains(Task.Kind.LID, Task.Kind.WET_WORK, Task.Kind.EMBED, Task.Kind.FINISH);
  }

  /** Every step when it comes, until nothing is left to do. */
  private static Instant carriedOut(
      Run run, List<RunEvent> events, String evening, Set<Task.Kind> met) {
    Instant now = run.begunAt();
    for (int told = 0; told <= run.plan().tasks().size(); told++) {
      RunState state = RUNS.state(run, events, now);
      if (state.currentId() == null) {
        return now;
      }
      RunState.Step step =
          state.steps().stream()
              .filter(s -> s.taskId().equals(state.currentId()))
              .findFirst()
              .orElseThrow();
      met.add(step.kind());
      now = run.begunAt().plusSeconds(Math.max(state.atSeconds(), step.endSeconds()));
      events.add(RunEvent.of("e" + told, now, RunEvent.Kind.DONE, step.taskId().text()));
    }
    throw new AssertionError(evening + " never ends");
  }
}
