package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Hours;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** An evening of two colours and a clear back, carried out well and badly. */
class RunTest extends Evening {
  @Test
  void aRunThatGoesAsPlannedIsNeverLateAndEndsAsPlanned() {
    assertThat(RUN.plan().batches()).hasSize(1);
    List<TaskId> order = new ArrayList<>();
    for (RunState state = state(); state.currentId() != null; state = state()) {
      assertThat(state.lateSeconds()).isBetween(-1, 1);
      assertThat(state.giveUp()).isEmpty();
      assertThat(state.reordered()).isFalse();
      order.add(state.currentId());
      at(task(state.currentId()).endSeconds());
      tell(RunEvent.Kind.DONE, state.currentId(), null);
    }
    assertThat(order)
        .containsExactlyElementsOf(
            RUN.plan().tasks().stream().filter(Task::hands).map(Task::id).toList());
    Masses masses = state().masses();
    assertThat(masses.pouredG()).isCloseTo(RUN.plan().totals().pouredG(), within(1e-6));
    assertThat(masses.resinG()).isCloseTo(RUN.plan().totals().resinG(), within(1e-6));
    assertThat(state().steps())
        .filteredOn(RunState.Step::hands)
        .allMatch(s -> s.status() == RunState.Status.DONE);
    // Each began when hands and waits were ready for it, as the plan has it.
    assertThat(state().steps())
        .filteredOn(RunState.Step::hands)
        .allMatch(s -> Math.abs(s.startSeconds() - task(s.taskId()).startSeconds()) <= 1);
  }

  /**
   * Poured in the morning by somebody who is there in the evening: a check is not put off to it.
   */
  @Test
  void whatWouldBeOverByThenStaysWhereItIsAtOtherHours() {
    Run other =
        new Run(
            RUN.session()
                .withArrangement(Arrangement.FREE.withHours(Hours.daily(18 * 60, 22 * 60))),
            RUN.workshop(),
            RUN.plan(),
            RUN.begunAt());
    upTo(Task.Kind.COVER);
    RunState state = RUNS.state(other, events, now);
    assertThat(state.steps())
        .filteredOn(s -> s.kind() == Task.Kind.LOOK && s.status() == RunState.Status.TO_DO)
        .isNotEmpty()
        .allSatisfy(s ->
            assertThat(s.startSeconds()).isCloseTo(task(s.taskId()).startSeconds(), within(300)));
    assertThat(state.steps())
        .filteredOn(s -> s.kind() == Task.Kind.DEMOULD)
        .isNotEmpty()
        .allSatisfy(s ->
            assertThat(RUN.begunAt().plusSeconds(s.startSeconds()).atZone(ZoneOffset.UTC).getHour())
                .isBetween(18, 21));
  }

  @Test
  void aCallOfAnHourLosesWhatHasGelledAndSaysWhatIsLeftOfIt() {
    upTo(Task.Kind.POUR);
    RunState before = state();
    assertThat(before.cups()).isNotEmpty().allMatch(c -> c.state() == RunState.CupState.POURABLE);
    tell(RunEvent.Kind.AWAY, null, null);
    int gels = before.cups().stream().mapToInt(RunState.CupNow::gelsSeconds).max().orElseThrow();
    at(gels + 600);
    tell(RunEvent.Kind.BACK, null, null);
    RunState after = state();
    assertThat(after.cups()).allMatch(c -> c.state() == RunState.CupState.GELLED);
    assertThat(after.steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR)
        .isNotEmpty()
        .allMatch(s -> s.status() == RunState.Status.LOST);
    assertThat(after.leftOvers())
        .hasSameSizeAs(after.cups())
        .allMatch(l -> l.advice() == RunState.Advice.LET_CURE);
    assertThat(task(after.currentId()).kind()).isNotEqualTo(Task.Kind.POUR);
  }

  @Test
  void comingBackLateGivesUpNoMoreThanHasToBe() {
    upTo(Task.Kind.POUR);
    int thicks =
        state().cups().stream().mapToInt(RunState.CupNow::thicksSeconds).min().orElseThrow();
    int pours =
        RUN.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.POUR)
            .mapToInt(Task::takesSeconds)
            .sum();
    int last = 100;
    for (int late : new int[] {pours + 30, pours / 2, pours / 4}) {
      // Back so shortly before the first cup is thick.
      events.removeIf(e -> e.kind() == RunEvent.Kind.AWAY);
      at(thicks - late);
      RunState state = state();
      int saved =
          (int)
              state.steps().stream()
                  .filter(s -> s.kind() == Task.Kind.POUR)
                  .filter(s -> s.status() == RunState.Status.TO_DO)
                  .count();
      assertThat(saved).as("back %d s before", late).isLessThanOrEqualTo(last);
      last = saved;
      // What is still offered is in time, cup by cup.
      assertThat(state.spareSeconds()).isNotNull().isNotNegative();
    }
    assertThat(last).isPositive().isLessThan(11);
  }

  /** A cup that is not emptied stays warm: what is left out does not make it last. */
  @Test
  void whatIsNotPouredStaysInItsCupAndThickensItSooner() {
    upTo(Task.Kind.POUR);
    CupId brown =
        batch().cups().stream()
            .filter(c -> c.colour().id().equals("brown"))
            .map(Cup::id)
            .findFirst()
            .orElseThrow();
    int emptied = cup(brown).gelsSeconds();
    List<RunState.Step> pours =
        state().steps().stream()
            .filter(s -> s.kind() == Task.Kind.POUR && brown.equals(s.cupId()))
            .toList();
    pours.forEach(p -> tell(RunEvent.Kind.GIVEN_UP, p.taskId(), null));
    assertThat(cup(brown).gelsSeconds()).isLessThan(emptied);
  }

  @Test
  void whatWouldLieOnAPourThatIsGivenUpIsNotOffered() {
    upTo(Task.Kind.POUR);
    tell(RunEvent.Kind.GIVEN_UP, "pour/1.1.1", null);
    assertThat(step("pour/1.1.2").status()).isEqualTo(RunState.Status.LOST);
    assertThat(step("pour/1.2.2").status()).isEqualTo(RunState.Status.TO_DO);
  }

  private RunState.CupNow cup(CupId id) {
    return state().cups().stream().filter(c -> c.cupId().equals(id)).findFirst().orElseThrow();
  }

  @Test
  void aCupFoundTooThickIsNotOfferedAnyMoreAndNeitherIsWhatWouldLieOnIt() {
    upTo(Task.Kind.POUR);
    CupId blue =
        batch().cups().stream()
            .filter(c -> c.colour().id().equals("blue"))
            .map(Cup::id)
            .findFirst()
            .orElseThrow();
    tell(RunEvent.Kind.THICK, blue, null);
    RunState state = state();
    List<RunState.Step> lost =
        state.steps().stream().filter(s -> s.status() == RunState.Status.LOST).toList();
    // Four blue fronts, and the four clear backs on them.
    assertThat(lost).filteredOn(s -> s.kind() == Task.Kind.POUR).hasSize(8);
    assertThat(state.steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .hasSize(3);
    assertThat(state.cups())
        .filteredOn(c -> c.cupId().equals(blue))
        .allMatch(c -> c.state() == RunState.CupState.THICK);
    assertThat(state.leftOvers())
        .filteredOn(l -> l.cupId().equals(blue))
        .singleElement()
        .matches(l -> l.advice() == RunState.Advice.SPREAD_THIN);
  }

  @Test
  void tooMuchOfTheSecondPartIsRescuedByTheFirst() {
    upTo(Task.Kind.WEIGH_FIRST);
    TaskId first = state().currentId();
    RunState.Step step = step(first);
    tell(RunEvent.Kind.DONE, first, step.targetG());
    TaskId second = state().currentId();
    double target = step(second).targetG();
    assertThat(state().rescue()).isNull();
    tell(RunEvent.Kind.DONE, second, target * 1.2);
    RunState.RescueNow rescue = state().rescue();
    assertThat(rescue).isNotNull();
    boolean aFirst = batch().measuring().firstPart() == calmpour.core.habit.Habits.FirstPart.A;
    double add = aFirst ? rescue.rescue().addAG() : rescue.rescue().addBG();
    // 2:1 by weight: a fifth too much of one wants a fifth more of the other.
    assertThat(add).isCloseTo(step.targetG() * 0.2, within(0.1));
    tell(RunEvent.Kind.ADDED, "1/" + (aFirst ? "A" : "B"), add);
    assertThat(state().rescue()).isNull();
    assertThat(state().masses().resinG())
        .isCloseTo(step.targetG() + target * 1.2 + add, within(1e-9));
  }

  @Test
  void aLittleTooMuchOfTheFirstPartRaisesTheSecond() {
    upTo(Task.Kind.WEIGH_FIRST);
    TaskId first = state().currentId();
    double target = step(first).targetG();
    tell(RunEvent.Kind.DONE, first, target * 1.1);
    RunState.Step second = step(state().currentId());
    double planned =
        batch().measuring().firstPart() == calmpour.core.habit.Habits.FirstPart.A
            ? batch().measuring().partB().massG()
            : batch().measuring().partA().massG();
    assertThat(second.targetG()).isCloseTo(planned * 1.1, within(1e-9));
  }

  @Test
  void aWarmerRoomBringsTheEndNearer() {
    upTo(Task.Kind.POUR);
    int before = state().cups().getFirst().thicksSeconds();
    at(state().atSeconds());
    tell(RunEvent.Kind.ROOM, null, 29.0);
    int after = state().cups().getFirst().thicksSeconds();
    assertThat(after).isLessThan(before - 60);
    assertThat(state().cups().getFirst().aheadSeconds()).isPositive();
  }

  @Test
  void aStepToldTwiceCountsOnceWithTheEarlierTime() {
    upTo(Task.Kind.STIR);
    TaskId stir = state().currentId();
    at(task(stir).endSeconds() + 90);
    tell(RunEvent.Kind.DONE, stir, null);
    // The other screen was cut off and tells it now, of a minute ago.
    events.add(RunEvent.of("other", now.minusSeconds(60), RunEvent.Kind.DONE, stir.text()));
    assertThat(step(stir).endSeconds()).isEqualTo(task(stir).endSeconds() + 30);
    events.add(RunEvent.of("back", now, RunEvent.Kind.UNDONE, "other"));
    assertThat(step(stir).status()).isEqualTo(RunState.Status.TO_DO);
  }

  private RunState.Step step(Object id) {
    return state().steps().stream()
        .filter(s -> s.taskId().text().equals(id.toString()))
        .findFirst()
        .orElseThrow();
  }
}
