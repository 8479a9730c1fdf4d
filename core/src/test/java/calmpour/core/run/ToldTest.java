package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is told at the bench, twice, late, by somebody else, and taken back again. */
class ToldTest extends Evening {
  /** Two tellings in one run are a second apart, as hands are. */
  private void later() {
    now = now.plusSeconds(1);
  }

  @Test
  void undoNamesTheStepAndTakesBackWhatWasToldWithIt() {
    upTo(Task.Kind.POUR);
    later();
    var pour = state().currentId();
    tell(RunEvent.Kind.DONE, pour, 20.0);
    tell(RunEvent.Kind.POT, "1/IN", null);
    later();
    RunState.Undoable last = state().undoable().getFirst();
    assertThat(last.kind()).isEqualTo(RunEvent.Kind.DONE);
    assertThat(last.of()).isEqualTo(pour.toString());
    assertThat(last.eventIds()).hasSize(2);
    last.eventIds().forEach(id -> tell(RunEvent.Kind.UNDONE, id, null));
    assertThat(state().currentId()).isEqualTo(pour);
    assertThat(state().pot()).isEmpty();
    assertThat(state().undoable().getFirst().of()).isNotEqualTo(pour.toString());
  }

  /** A rest that is cut short is over for every cup: nothing changes places. */
  @Test
  void aRestThatIsCutShortMovesThePoursButNotTheirOrder() {
    upTo(Task.Kind.SPLIT);
    RunState before = state();
    now = RUN.begunAt().plusSeconds(task("batch/1/STIR").endSeconds() + 20);
    List<?> order = pours(state());
    tell(RunEvent.Kind.DONE, state().currentId(), null);
    Change change = Change.between(before, state(), 24);
    assertThat(change == null ? List.of() : change.moved()).isEmpty();
    assertThat(pours(state())).isEqualTo(order);
    // The other cups are filled next, not when the rest would have been over.
    assertThat(state().steps())
        .filteredOn(s -> s.kind() == Task.Kind.SPLIT && s.status() == RunState.Status.TO_DO)
        .isNotEmpty()
        .allMatch(s -> s.startSeconds() < state().atSeconds() + 120);
  }

  private static List<?> pours(RunState state) {
    return state.steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR)
        .map(RunState.Step::taskId)
        .toList();
  }

  @Test
  void undoReachesPastAnAbsence() {
    upTo(Task.Kind.POUR);
    RunState.Undoable before = state().undoable().getFirst();
    later();
    tell(RunEvent.Kind.AWAY, null, null);
    later();
    tell(RunEvent.Kind.BACK, null, null);
    assertThat(state().undoable().getFirst()).isEqualTo(before);
    before.eventIds().forEach(id -> tell(RunEvent.Kind.UNDONE, id, null));
    assertThat(state().awaySinceSeconds()).isNull();
    assertThat(state().undoable()).doesNotContain(before);
  }

  @Test
  void aPourToldTwiceKeepsTheWeightThatEitherKnew() {
    upTo(Task.Kind.POUR);
    later();
    String pour = state().currentId().toString();
    double planned = step(state(), pour).targetG();
    tell(RunEvent.Kind.DONE, pour, null);
    later();
    tell(RunEvent.Kind.DONE, pour, planned - 2);
    assertThat(step(state(), pour).grams()).isEqualTo(planned - 2);
    double measured = state().masses().pouredG();
    // The other way round, and a third that knows none.
    events.removeLast();
    events.removeLast();
    tell(RunEvent.Kind.DONE, pour, planned - 2);
    later();
    tell(RunEvent.Kind.DONE, pour, null);
    assertThat(step(state(), pour).grams()).isEqualTo(planned - 2);
    assertThat(state().masses().pouredG()).isCloseTo(measured, within(1e-9));
  }

  /** A sensor that wakes late says nothing of the time before, and can be taken back. */
  @Test
  void aReadingOfTheRoomCountsFromWhenItWasTaken() {
    upTo(Task.Kind.POUR);
    double assumed = RUN.session().room().temperatureC();
    RunState before = state();
    CupId first = before.cups().getFirst().cupId();
    int left = before.cups().getFirst().thicksSeconds() - before.atSeconds();
    later();
    tell(RunEvent.Kind.ROOM, null, assumed + 8);
    RunState read = state();
    int shorter = thicks(before, first) - thicks(read, first);
    // Never more than all that was left; a warm room throughout takes more.
    assertThat(shorter).isBetween(30, left);
    Evening warmAllAlong = new Evening() {};
    warmAllAlong.events.add(
        new RunEvent(
            "warm", RUN.begunAt(), RunEvent.Kind.ROOM, null, assumed + 8, List.of(), null));
    warmAllAlong.events.addAll(events.subList(0, events.size() - 1));
    warmAllAlong.now = now;
    assertThat(thicks(warmAllAlong.state(), first)).isLessThan(thicks(read, first));
    Change change = Change.between(before, read, assumed);
    assertThat(change.roomC()).isEqualTo(assumed + 8);
    assertThat(change.soonerSeconds()).isEqualTo(shorter);
    assertThat(read.room().temperatureC()).isEqualTo(assumed + 8);
    tell(RunEvent.Kind.UNDONE, read.room().eventId(), null);
    assertThat(thicks(state(), first)).isEqualTo(thicks(before, first));
    Change back = Change.between(read, state(), assumed);
    assertThat(back.roomC()).isEqualTo(assumed);
    assertThat(back.soonerSeconds()).isEqualTo(-shorter);
  }

  private static int thicks(RunState state, CupId cup) {
    return state.cups().stream()
        .filter(c -> c.cupId().equals(cup))
        .mapToInt(RunState.CupNow::thicksSeconds)
        .findFirst()
        .orElseThrow();
  }

  /** Four knobs whose floor was never poured are nowhere to be taken out of. */
  @Test
  void whatWasNeverPouredIsNotTakenOutOfItsMould() {
    upTo(Task.Kind.POUR);
    tell(RunEvent.Kind.THICK, blue(), null);
    RunState state = state();
    assertThat(state.steps())
        .filteredOn(s -> Integer.valueOf(0).equals(s.line()))
        .noneMatch(s -> s.kind() == Task.Kind.DEMOULD || s.kind() == Task.Kind.READY);
    assertThat(state.steps())
        .anyMatch(s ->
            Integer.valueOf(1).equals(s.line())
                && s.kind() == Task.Kind.DEMOULD
                && s.places() == 3);
    assertThat(state.cups())
        .filteredOn(c -> c.cupId().equals(blue()))
        .singleElement()
        // Four fronts, and the backs on them.
        .satisfies(c -> assertThat(c.lostPours()).isEqualTo(8));
  }

  /** A minute on the wall is a minute of a cup that nobody touches. */
  @Test
  void aCupThatStaysAsItIsRunsDownAsTheClockDoes() {
    upTo(Task.Kind.POUR);
    RunState before = state();
    now = now.plusSeconds(600);
    RunState after = state();
    for (RunState.CupNow cup : before.cups()) {
      RunState.CupNow then =
          after.cups().stream()
              .filter(c -> c.cupId().equals(cup.cupId()))
              .findFirst()
              .orElseThrow();
      assertThat(then.standsUntilSeconds()).isCloseTo(cup.standsUntilSeconds(), within(1));
      // Emptied as planned it lasts at least as long.
      assertThat(cup.thicksSeconds()).isGreaterThanOrEqualTo(cup.standsUntilSeconds() - 1);
    }
  }

  @Test
  void theMixingCupIsAnOpenCupUntilItIsSplit() {
    upTo(Task.Kind.STIR);
    RunState stirring = state();
    assertThat(stirring.cups()).isEmpty();
    assertThat(stirring.mixes())
        .singleElement()
        .satisfies(m -> {
          assertThat(m.massG()).isCloseTo(batch().measuring().totalG(), within(1e-6));
          assertThat(m.thicksSeconds()).isGreaterThan(stirring.atSeconds());
        });
    upTo(Task.Kind.POUR);
    assertThat(state().mixes()).isEmpty();
    assertThat(state().cups()).isNotEmpty();
  }

  @Test
  void aStepThatWasMeantEarlyIsSaidInTheRecord() {
    upTo(Task.Kind.DEMOULD);
    RunState.Step out = step(state(), state().currentId());
    at(out.notBeforeSeconds() - 7_200);
    later();
    tell(RunEvent.Kind.CHECKED, "EARLY/" + out.taskId(), 120.0);
    tell(RunEvent.Kind.DONE, out.taskId(), null);
    assertThat(RUNS.lookBack(RUN, events, now).deviations())
        .filteredOn(d -> d.code() == AsRun.Code.EARLY)
        .singleElement()
        .satisfies(d -> assertThat(d.by()).isEqualTo(120));
    state().undoable().getFirst().eventIds().forEach(id -> tell(RunEvent.Kind.UNDONE, id, null));
    assertThat(RUNS.lookBack(RUN, events, now).deviations())
        .noneMatch(d -> d.code() == AsRun.Code.EARLY);
  }

  /** Two thirds of the batch: what falls away falls away whole, the rest is asked for in full. */
  @Test
  void ofASmallerBatchThePoursThatAreLeftAreWhole() {
    upTo(Task.Kind.WEIGH_FIRST);
    String first = state().currentId().toString();
    tell(RunEvent.Kind.DONE, first, step(state(), first).targetG() * 0.66);
    later();
    upTo(Task.Kind.STIR);
    RunState state = state();
    List<RunState.Step> pours =
        state.steps().stream().filter(s -> s.kind() == Task.Kind.POUR).toList();
    assertThat(pours).anyMatch(s -> s.status() == RunState.Status.LOST);
    List<RunState.Step> left =
        pours.stream().filter(s -> s.status() == RunState.Status.TO_DO).toList();
    assertThat(left).isNotEmpty();
    double asked = 0;
    for (RunState.Step pour : left) {
      Cup.Pour planned =
          batch().cups().stream()
              .flatMap(c -> c.pours().stream())
              .filter(p -> p.id().equals(pour.pourId()))
              .findFirst()
              .orElseThrow();
      asked += planned.massG();
      // A back has its front.
      if (planned.layer() > 0) {
        assertThat(left)
            .anyMatch(
                s -> s.pourId().into().equals(pour.pourId().into()) && s.pourId().layer() == 1);
      }
    }
    assertThat(asked).isLessThanOrEqualTo(state.masses().resinG() + 5);
    upTo(Task.Kind.DEMOULD);
    assertThat(state().steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.DONE)
        .hasSizeGreaterThan(3)
        .allMatch(s -> s.grams() == null);
  }

  @Test
  void noMoreCanBeMeantThanThereIs() {
    upTo(Task.Kind.WEIGH_FIRST);
    RunState.Step first = step(state(), state().currentId());
    assertThat(first.mostG()).isGreaterThan(first.targetG());
    upTo(Task.Kind.POUR);
    RunState.Step pour = step(state(), state().currentId());
    RunState.CupNow cup = cup(pour.cupId());
    assertThat(pour.mostG()).isCloseTo(cup.leftG(), within(1e-9));
    // A front of two fifths of its cavity; one that fills its cavity fills it.
    RunState.Step front = step(state(), "pour/1.1.1");
    assertThat(front.overflowsG()).isGreaterThan(2 * front.targetG());
    assertThat(pour.overflowsG()).isCloseTo(pour.targetG(), within(0.02));
  }

  private RunState.CupNow cup(CupId id) {
    return state().cups().stream().filter(c -> c.cupId().equals(id)).findFirst().orElseThrow();
  }

  private static CupId blue() {
    return batch().cups().stream()
        .filter(c -> c.colour().id().equals("blue"))
        .map(Cup::id)
        .findFirst()
        .orElseThrow();
  }
}
