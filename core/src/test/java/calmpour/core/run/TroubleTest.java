package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

/** What goes wrong at the bench, from the words of docs/rules.md, "Trouble at the bench". */
class TroubleTest extends Evening {
  private AsRun record() {
    return RUNS.lookBack(RUN, events, now);
  }

  private static Cup cup(String colour) {
    return batch().cups().stream()
        .filter(c -> c.colour().name().equals(colour))
        .findFirst()
        .orElseThrow();
  }

  private double left(Cup cup) {
    return record().cups().stream()
        .filter(c -> c.cupId().equals(cup.id()))
        .findFirst()
        .orElseThrow()
        .leftG();
  }

  private RunState.Status status(Cup.Pour pour) {
    return step(state(), TaskId.pour(pour.id())).status();
  }

  /** What went in is poured, left, stays or is lost. */
  private void balances() {
    Masses m = state().masses();
    assertThat(m.pouredG() + m.leftG() + m.staysG() + m.lostG())
        .isCloseTo(m.resinG() + m.colourG(), within(1e-6));
    assertThat(record().cups().stream().mapToDouble(AsRun.CupIn::lostG).sum())
        .isLessThanOrEqualTo(m.lostG() + 1e-9);
  }

  @Test
  void aWrongColourThatStaysCameOutOfTheOtherCup() {
    upTo(Task.Kind.POUR);
    Cup blue = cup("Harbour");
    Cup brown = cup("Bracken");
    Cup.Pour meant = blue.pours().getFirst();
    double before = left(brown);
    trouble("WRONG_COLOUR/" + meant.id() + "/" + brown.id(), "STAYS", null);
    assertThat(status(meant)).isEqualTo(RunState.Status.DONE);
    assertThat(left(brown)).isCloseTo(before - meant.massG(), within(1e-6));
    assertThat(left(blue)).isCloseTo(blue.amounts().contentG(), within(1e-6));
    assertThat(record().pours())
        .filteredOn(p -> p.pourId().equals(meant.id()))
        .singleElement()
        .satisfies(p -> {
          assertThat(p.cupId()).isEqualTo(brown.id());
          assertThat(p.colourName()).isEqualTo("Bracken");
          assertThat(p.outcome()).isEqualTo(AsRun.Outcome.POURED);
        });
    balances();
  }

  @Test
  void aWrongColourThatIsTippedOutIsPouredOnceMore() {
    upTo(Task.Kind.POUR);
    Cup blue = cup("Harbour");
    Cup brown = cup("Bracken");
    Cup.Pour meant = blue.pours().getFirst();
    double before = left(brown);
    tell(RunEvent.Kind.DONE, TaskId.pour(meant.id()), null);
    trouble("WRONG_COLOUR/" + meant.id() + "/" + brown.id(), "TIPPED_OUT", 9.0);
    assertThat(status(meant)).isEqualTo(RunState.Status.TO_DO);
    assertThat(left(brown)).isCloseTo(before - 9, within(1e-6));
    assertThat(state().masses().lostG()).isCloseTo(9, within(1e-6));
    now = now.plusSeconds(40);
    tell(RunEvent.Kind.DONE, TaskId.pour(meant.id()), null);
    assertThat(status(meant)).isEqualTo(RunState.Status.DONE);
    assertThat(left(blue)).isCloseTo(blue.amounts().contentG() - meant.massG(), within(1e-6));
    assertThat(RunReader.done(RUN, events)).contains(TaskId.pour(meant.id()));
    balances();
  }

  @Test
  void whatIsSpilledIsMissingForAsManyPoursAsItMakes() {
    upTo(Task.Kind.POUR);
    Cup brown = cup("Bracken");
    double one = brown.pours().getFirst().massG();
    double spare = brown.amounts().contentG() - one * brown.pours().size();
    // All that is over, and one pour and a half.
    trouble("SPILLED/" + brown.id(), null, spare + 1.5 * one);
    List<RunState.Status> after = brown.pours().stream().map(this::status).toList();
    assertThat(after).filteredOn(s -> s == RunState.Status.LOST).hasSize(2);
    assertThat(state().masses().lostG()).isCloseTo(spare + 1.5 * one, within(1e-6));
    balances();
    List<RunEvent> told = new ArrayList<>(events);
    tell(RunEvent.Kind.UNDONE, told.getLast().id(), null);
    assertThat(brown.pours().stream().map(this::status)).doesNotContain(RunState.Status.LOST);
  }

  @Test
  void anEmptyCupPoursNothingMoreAndHasNothingLeft() {
    upTo(Task.Kind.POUR);
    Cup brown = cup("Bracken");
    trouble("CUP_EMPTY/" + brown.id(), null, null);
    assertThat(left(brown)).isZero();
    assertThat(brown.pours().stream().map(this::status)).containsOnly(RunState.Status.LOST);
    // Nothing lies on them: the others go on.
    assertThat(state().steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .isNotEmpty();
    balances();
  }

  @Test
  void whatIsSpilledOutOfTheMixingCupIsMissingInEveryCupThatIsNotFilledYet() {
    upTo(Task.Kind.SPLIT);
    RunState.Step first = step(state(), state().currentId());
    double asked = first.targetG();
    tell(RunEvent.Kind.DONE, first.taskId(), null);
    double there = state().masses().staysG();
    Assertions.assertThat(there).isPositive();
    RunState before = state();
    trouble("SPILLED_MIX/1", null, there / 4);
    for (RunState.Step split : state().steps()) {
      if (split.kind() == Task.Kind.SPLIT && split.status() == RunState.Status.TO_DO) {
        double was = step(before, split.taskId()).targetG();
        assertThat(split.targetG()).isCloseTo(was * 0.75, within(1e-6));
      }
    }
    // What was filled before keeps what it got.
    assertThat(state().cups().stream().mapToDouble(RunState.CupNow::leftG).max().orElse(0))
        .isCloseTo(asked, within(1e-6));
    balances();
  }

  @Test
  void aPieceThatIsGivenUpIsNeitherFilledNorTakenOut() {
    upTo(Task.Kind.POUR);
    Cup.Pour blue = cup("Harbour").pours().getFirst();
    int takenOut = step(state(), "line/1/DEMOULD").places();
    tell(RunEvent.Kind.DONE, TaskId.pour(blue.id()), null);
    trouble("LEAKS/" + blue.id().into(), "GIVEN_UP", null);
    assertThat(state().steps())
        .filteredOn(s -> s.pourId() != null && s.pourId().into().equals(blue.id().into()))
        .filteredOn(s -> !s.taskId().equals(TaskId.pour(blue.id())))
        .isNotEmpty()
        .allMatch(s -> s.status() == RunState.Status.GIVEN_UP);
    assertThat(step(state(), "line/1/DEMOULD").places()).isEqualTo(takenOut - 1);
    assertThat(FullMoulds.of(RUN, state())).isEmpty();
    assertThat(record().pieces())
        .filteredOn(AsRun.PieceOut::givenUp)
        .singleElement()
        .matches(p -> p.piece().equals(blue.id().into()));
  }

  @Test
  void aLeakThatIsShutTakesWhatRanOutOnceMore() {
    upTo(Task.Kind.POUR);
    Cup blue = cup("Harbour");
    Cup.Pour first = blue.pours().getFirst();
    tell(RunEvent.Kind.DONE, TaskId.pour(first.id()), null);
    double before = left(blue);
    trouble("LEAKS/" + first.id().into(), "MENDED", 1.5);
    assertThat(left(blue)).isCloseTo(before - 1.5, within(1e-6));
    assertThat(status(first)).isEqualTo(RunState.Status.DONE);
    balances();
  }

  @Test
  void aSpoiltCupIsNotPouredAndAFoamingOneRests() {
    upTo(Task.Kind.POUR);
    Cup brown = cup("Bracken");
    trouble("FOAM/" + brown.id(), "RESTS", 6.0);
    int until = state().atSeconds() + 360;
    assertThat(state().steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR && brown.id().equals(s.cupId()))
        .isNotEmpty()
        .allMatch(s -> s.startSeconds() >= until);
    trouble("FELL_INTO_CUP/" + brown.id(), "GIVEN_UP", null);
    assertThat(brown.pours().stream().map(this::status)).containsOnly(RunState.Status.GIVEN_UP);
    assertThat(state().leftOvers())
        .singleElement()
        .matches(l -> l.advice() == RunState.Advice.THROW_AWAY);
  }

  @Test
  void whatNamesNoTroubleIsRefused() {
    for (String of :
        List.of("SPILLED/x", "SPILLED/1.1/2", "WRONG_COLOUR/1.1.1", "LEAKS/1", "FELL/1.1", "")) {
      assertThatThrownBy(() -> trouble(of, null, null))
          .as(of)
          .isInstanceOf(InvalidValuesException.class);
    }
    assertThatThrownBy(() -> trouble("LEAKS/1.1", "STAYS", null))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> trouble("LEAKS/1.1", null, null))
        .isInstanceOf(InvalidValuesException.class);
    // A line without words says nothing.
    assertThatThrownBy(() -> trouble("NOTE", null, null))
        .isInstanceOf(InvalidValuesException.class);
  }
}
