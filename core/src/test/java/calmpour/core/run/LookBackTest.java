package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** An evening looked back on. */
class LookBackTest extends Evening {
  private AsRun lookedBack() {
    return RUNS.lookBack(RUN, events, now);
  }

  /** Does what is next as planned, until nothing is left that is done by hand. */
  private void toTheEnd() {
    for (RunState state = state(); state.currentId() != null; state = state()) {
      at(Math.max(state.atSeconds(), task(state.currentId()).endSeconds()));
      tell(RunEvent.Kind.DONE, state.currentId(), null);
    }
  }

  private RunState.CupNow cup(CupId id) {
    return state().cups().stream().filter(c -> c.cupId().equals(id)).findFirst().orElseThrow();
  }

  private AsRun.Deviation only(AsRun.Code code) {
    List<AsRun.Deviation> its =
        lookedBack().deviations().stream().filter(d -> d.code() == code).toList();
    assertThat(its).as("%s", code).hasSize(1);
    return its.getFirst();
  }

  @Test
  void whatWentAsPlannedDeviatesInNothing() {
    toTheEnd();
    AsRun record = lookedBack();
    assertThat(record.deviations()).isEmpty();
    assertThat(record.pours()).hasSize(11).allMatch(p -> p.outcome() == AsRun.Outcome.POURED);
    assertThat(record.pours())
        .allSatisfy(p -> {
          assertThat(p.atSeconds()).isCloseTo(p.plannedSeconds(), within(1));
          assertThat(p.grams()).isCloseTo(p.plannedG(), within(1e-9));
          assertThat(p.spareSeconds()).isPositive();
        });
    assertThat(record.pieces())
        .hasSize(7)
        .allMatch(p -> p.poured() == p.layers() && p.demoulded() && p.lookedOver() == null);
    Masses m = record.masses();
    assertThat(m.resinG() + m.colourG())
        .isCloseTo(m.pouredG() + m.leftG() + m.staysG(), within(1e-6));
    // What is told of each cup adds up to the same.
    assertThat(record.cups().stream().mapToDouble(AsRun.CupIn::leftG).sum())
        .isCloseTo(m.leftG(), within(1e-9));
  }

  @Test
  void tooMuchOfTheSecondPartIsToldWithItsSign() {
    upTo(Task.Kind.WEIGH_SECOND);
    RunState.Step second = step(state(), state().currentId());
    tell(RunEvent.Kind.DONE, second.taskId(), second.targetG() * 1.1);
    // Of the two, A is then one part in 1.1 of what it should be: 9.1 % too little by hand, or,
    // with
    // B first into the cup, 10 % too much.
    double byHand = batch().measuring().firstPart().name().equals("A") ? 100 / 1.1 - 100 : 10;
    assertThat(only(AsRun.Code.RATIO_OFF).by()).isCloseTo(byHand, within(0.2));
    RunState.RescueNow rescue = state().rescue();
    String part = rescue.rescue().addAG() > 0 ? "A" : "B";
    double grams = Math.max(rescue.rescue().addAG(), rescue.rescue().addBG());
    tell(RunEvent.Kind.ADDED, "1/" + part, grams);
    assertThat(only(AsRun.Code.ADDED).by()).isEqualTo(grams);
    assertThat(lookedBack().deviations()).noneMatch(d -> d.code() == AsRun.Code.RATIO_OFF);
  }

  @Test
  void aCallAShortStirAndAnotherWeightAreTold() {
    upTo(Task.Kind.STIR);
    at(state().atSeconds() + 60);
    tell(RunEvent.Kind.DONE, "batch/1/STIR", null);
    assertThat(only(AsRun.Code.STIRRED_SHORT).by()).isPositive();
    upTo(Task.Kind.POUR);
    RunState.Step pour = step(state(), state().currentId());
    tell(RunEvent.Kind.DONE, pour.taskId(), pour.targetG() - 3);
    int left = state().atSeconds();
    tell(RunEvent.Kind.AWAY, null, null);
    at(left + 720);
    tell(RunEvent.Kind.BACK, null, null);
    AsRun.Deviation away = only(AsRun.Code.AWAY);
    assertThat(away.by()).isCloseTo(12, within(1e-9));
    assertThat(away.atSeconds()).isEqualTo(left);
    AsRun.Deviation other = only(AsRun.Code.OTHER_MASS);
    assertThat("pour/" + other.of()).isEqualTo(pour.taskId().text());
    assertThat(other.by()).isCloseTo(-3, within(1e-9));
  }

  @Test
  void whatIsPouredFromAThickCupAndWhatIsLostIsToldApart() {
    upTo(Task.Kind.POUR);
    RunState.Step first = step(state(), state().currentId());
    at(cup(first.cupId()).thicksSeconds() + 300);
    // It stood full for longer than was expected, and warmed itself.
    int thicks = cup(first.cupId()).thicksSeconds();
    assertThat(thicks).isLessThan(state().atSeconds() - 300);
    tell(RunEvent.Kind.DONE, first.taskId(), null);
    AsRun.Deviation thick = only(AsRun.Code.POURED_THICK);
    assertThat("pour/" + thick.of()).isEqualTo(first.taskId().text());
    assertThat(thick.by()).isCloseTo((state().atSeconds() - thicks) / 60.0, within(0.1));
    tell(RunEvent.Kind.THICK, first.cupId(), null);
    long others =
        batch().cups().stream()
            .filter(c -> c.id().equals(first.cupId()))
            .mapToLong(c -> c.pours().size() - 1)
            .sum();
    List<AsRun.PourIn> lost =
        lookedBack().pours().stream().filter(p -> p.outcome() == AsRun.Outcome.LOST).toList();
    assertThat(lost).filteredOn(p -> p.cupId().equals(first.cupId())).hasSize((int) others);
    assertThat(only(AsRun.Code.TOLD_THICK).of()).isEqualTo(first.cupId().toString());
  }

  @Test
  void aWarmRoomIsToldByHowFarItWasOff() {
    upTo(Task.Kind.POUR);
    double planned = RUN.session().room().temperatureC();
    tell(RunEvent.Kind.ROOM, null, planned + 0.8);
    assertThat(lookedBack().deviations()).noneMatch(d -> d.code() == AsRun.Code.ROOM);
    tell(RunEvent.Kind.ROOM, null, planned + 4);
    tell(RunEvent.Kind.ROOM, null, planned + 2);
    assertThat(only(AsRun.Code.ROOM).by()).isCloseTo(4, within(1e-9));
  }

  @Test
  void whatIsHotLateGivenUpOrLostIsToldWithItsMomentAndHowMuch() {
    upTo(Task.Kind.POUR);
    RunState.Step first = step(state(), state().currentId());
    CupId other =
        batch().cups().stream()
            .map(Cup::id)
            .filter(c -> !c.equals(first.cupId()))
            .findFirst()
            .orElseThrow();
    List<TaskId> others =
        batch().cups().stream()
            .filter(c -> c.id().equals(other))
            .flatMap(c -> c.pours().stream())
            .map(p -> TaskId.pour(p.id()))
            .toList();
    tell(RunEvent.Kind.GIVEN_UP, others.getLast(), null);
    // Two minutes late is nothing; the last pour of a batch says how late that was.
    at(task(first.taskId()).endSeconds() + 120);
    tell(RunEvent.Kind.DONE, first.taskId(), null);
    assertThat(lookedBack().deviations()).noneMatch(d -> d.code() == AsRun.Code.LATE);
    at(state().atSeconds() + 1);
    TaskId second = state().currentId();
    int late = state().atSeconds() - task(second).endSeconds();
    assertThat(late).isBetween(60, 120);
    at(state().atSeconds() + 180);
    tell(RunEvent.Kind.DONE, second, null);
    AsRun.Deviation found = only(AsRun.Code.LATE);
    assertThat(found.by()).isCloseTo((late + 180) / 60.0, within(1e-9));
    assertThat(found.atSeconds()).isEqualTo(state().atSeconds());
    assertThat(found.of()).isEqualTo("1");
    int hot = state().atSeconds() + 7;
    at(hot);
    tell(RunEvent.Kind.HOT, other, null);
    assertThat(only(AsRun.Code.HOT).of()).isEqualTo(other.toString());
    assertThat(only(AsRun.Code.HOT).atSeconds()).isEqualTo(hot);
    assertThat(only(AsRun.Code.GIVEN_UP).of()).isEqualTo(others.getLast().text().substring(5));
    assertThat(only(AsRun.Code.GIVEN_UP).atSeconds()).isEqualTo(hot);
    List<String> lost =
        lookedBack().deviations().stream()
            .filter(d -> d.code() == AsRun.Code.LOST)
            .map(d -> "pour/" + d.of())
            .toList();
    assertThat(lost)
        .containsAll(others.subList(0, others.size() - 1).stream().map(TaskId::text).toList())
        .doesNotContain(others.getLast().text(), first.taskId().text());
    // Somebody who has not come back yet has been away until now.
    tell(RunEvent.Kind.AWAY, null, null);
    at(hot + 90);
    assertThat(only(AsRun.Code.AWAY).by()).isCloseTo(1.5, within(1e-9));
    // In the order of their moments, pours in the order in which they were made.
    assertThat(lookedBack().deviations())
        .isSortedAccordingTo(Comparator.comparingInt(AsRun.Deviation::atSeconds));
    assertThat(lookedBack().pours().subList(0, 2))
        .extracting(p -> "pour/" + p.pourId())
        .containsExactly(first.taskId().text(), second.text());
    assertThat(lookedBack().pours())
        .filteredOn(p -> p.atSeconds() == null)
        .isSortedAccordingTo(Comparator.comparingInt(AsRun.PourIn::plannedSeconds));
  }

  /** A quarter less than planned still counts as stirred; a tenth of a pour more or less as it. */
  @Test
  void aStirAndAWeightAreToldOnlyBeyondTheirBounds() {
    upTo(Task.Kind.STIR);
    int both = state().atSeconds();
    double planned = task("batch/1/STIR").takesSeconds();
    assertThat(lookedBack().batches().getFirst().mixedSeconds()).isNull();
    at(both + (int) Math.ceil(planned * 0.75));
    tell(RunEvent.Kind.DONE, "batch/1/STIR", null);
    assertThat(lookedBack().deviations()).isEmpty();
    assertThat(lookedBack().batches().getFirst().mixedSeconds()).isEqualTo(state().atSeconds());
    events.removeLast();
    at(both + (int) (planned * 0.75) - 1);
    tell(RunEvent.Kind.DONE, "batch/1/STIR", null);
    assertThat(only(AsRun.Code.STIRRED_SHORT).by())
        .isCloseTo((both + planned - state().atSeconds()) / 60, within(1e-9));
    upTo(Task.Kind.POUR);
    RunState.Step pour = step(state(), state().currentId());
    tell(RunEvent.Kind.DONE, pour.taskId(), pour.targetG() * 1.099);
    assertThat(lookedBack().deviations()).noneMatch(d -> d.code() == AsRun.Code.OTHER_MASS);
    RunState.Step next = step(state(), state().currentId());
    tell(RunEvent.Kind.DONE, next.taskId(), next.targetG() * 1.101);
    assertThat(only(AsRun.Code.OTHER_MASS).by()).isCloseTo(next.targetG() * 0.101, within(1e-9));
  }

  /** Of each piece the layers that are in, of all its pours. */
  @Test
  void aPieceCountsItsOwnLayers() {
    upTo(Task.Kind.POUR);
    tell(RunEvent.Kind.DONE, "pour/1.2.1", null);
    tell(RunEvent.Kind.DONE, "pour/2.3.1", null);
    assertThat(lookedBack().pieces())
        .extracting(p -> p.piece() + " " + p.poured() + "/" + p.layers())
        .containsExactly(
            "1.1 0/2", "1.2 1/2", "1.3 0/2", "1.4 0/2", "2.1 0/1", "2.2 0/1", "2.3 1/1");
    AsRun.PieceOut knob = lookedBack().pieces().get(1);
    assertThat(knob.readySeconds()).isEqualTo(step(state(), "line/1/READY").startSeconds());
  }

  @Test
  void theLastLookAtAPieceCounts() {
    toTheEnd();
    looks("1.2", "LOST", "BENDS");
    looks("1.2", "SECOND", "CLOUDY", "DULL");
    assertThat(lookedBack().pieces())
        .filteredOn(p -> p.lookedOver() != null)
        .singleElement()
        .satisfies(p -> {
          assertThat(p.piece().toString()).isEqualTo("1.2");
          assertThat(p.lookedOver().verdict()).isEqualTo(LookOver.Verdict.SECOND);
          assertThat(p.lookedOver().faults())
              .containsExactly(LookOver.Fault.CLOUDY, LookOver.Fault.DULL);
        });
    // A look is no step: what is taken back is what was done before it.
    assertThat(state().undoable().getFirst().kind()).isEqualTo(RunEvent.Kind.DONE);
  }

  private void looks(String piece, String... codes) {
    events.add(
        new RunEvent(
            "e" + events.size(),
            now,
            RunEvent.Kind.LOOKED_OVER,
            piece,
            null,
            List.of(codes),
            "a line"));
  }

  @Test
  void whatIsNoVerdictNoFaultAndNoWordOfThePotIsRefused() {
    assertThatThrownBy(() -> looks("1.1", "CLOUDY"))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("codes");
    assertThatThrownBy(() -> looks("1.1")).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> tell(RunEvent.Kind.POT, "1/OPEN", null))
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("of");
  }

  @Test
  void thePotKeepsItsLogInTheOrderOfItsTimes() {
    tell(RunEvent.Kind.POT, "1/RATED", 4.0);
    at(30);
    tell(RunEvent.Kind.POT, "1/SET", 3.5);
    at(10);
    tell(RunEvent.Kind.POT, "1/RELIEF", null);
    at(40);
    assertThat(lookedBack().pot())
        .extracting(PotLog::what)
        .containsExactly(PotLog.What.RATED, PotLog.What.RELIEF, PotLog.What.SET);
    assertThat(state().pot()).isEqualTo(lookedBack().pot());
  }

  @Test
  void theCurveOfACupHasAMarkForEachPour() {
    upTo(Task.Kind.POUR);
    int contact = state().cups().getFirst().contactSeconds();
    RunState.Step first = step(state(), state().currentId());
    at(state().atSeconds() + 45);
    tell(RunEvent.Kind.DONE, first.taskId(), null);
    List<CupCurve> curves = RUNS.lookedBack(RUN, events, now).curves();
    assertThat(curves).hasSize(batch().cups().size()).allMatch(c -> c.curve() != null);
    CupCurve its =
        curves.stream().filter(c -> c.cupId().equals(first.cupId())).findFirst().orElseThrow();
    assertThat(its.pouredMinutes()).containsExactly((state().atSeconds() - contact) / 60.0);
    // The curve ends the working time when the state says so.
    RunState.CupNow cup = cup(first.cupId());
    assertThat(its.curve().workingTimeEnds() * 60)
        .isCloseTo(cup.thicksSeconds() - contact, within(1.0));
  }

  @Test
  void whatAnEventChangesIsToldAsADifference() {
    upTo(Task.Kind.POUR);
    RunState before = state();
    tell(RunEvent.Kind.AWAY, null, null);
    at(before.atSeconds() + 600);
    tell(RunEvent.Kind.BACK, null, null);
    Change late = Change.between(before, state(), 24);
    assertThat(late).isNotNull();
    assertThat(late.laterSeconds()).isCloseTo(600, within(5));
    assertThat(late.moved()).isEmpty();
    assertThat(late.lost()).isEmpty();
    RunState there = state();
    assertThat(Change.between(there, there, 24)).isNull();

    Cup cup = batch().cups().getLast();
    tell(RunEvent.Kind.THICK, cup.id(), null);
    Change lost = Change.between(there, state(), 24);
    assertThat(lost).isNotNull();
    assertThat(lost.lost())
        .containsAll(cup.pours().stream().map(p -> TaskId.pour(p.id())).toList());
    events.add(RunEvent.of("u", now, RunEvent.Kind.UNDONE, events.getLast().id()));
    assertThat(Change.between(there, state(), 24)).isNull();
  }
}
