package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is told of cups and mixes as they thicken, and of what is left in them. */
class CupsToldTest extends Evening {
  private static Cup cup(String colour) {
    return batch().cups().stream()
        .filter(c -> c.colour().name().equals(colour))
        .findFirst()
        .orElseThrow();
  }

  private RunState.CupNow now(CupId id) {
    return state().cups().stream().filter(c -> c.cupId().equals(id)).findFirst().orElseThrow();
  }

  private RunState.Advice advice(CupId id) {
    return state().leftOvers().stream()
        .filter(l -> l.cupId().equals(id))
        .findFirst()
        .map(RunState.LeftOver::advice)
        .orElse(null);
  }

  /** A mix that is not split is thick, then gelled, at the moments that were told. */
  @Test
  void aMixThatWaitsGoesThickAndGels() {
    upTo(Task.Kind.SPLIT);
    int begins = state().mixes().getFirst().contactSeconds();
    assertThat(begins).isEqualTo(60);
    assertThat(state().mixes().getFirst().state()).isEqualTo(RunState.CupState.POURABLE);
    int thick = state().mixes().getFirst().thicksSeconds();
    int gels = state().mixes().getFirst().gelsSeconds();
    assertThat(gels).isGreaterThan(thick);
    at(thick - 1);
    assertThat(state().mixes().getFirst().state()).isEqualTo(RunState.CupState.POURABLE);
    at(thick);
    assertThat(state().mixes().getFirst().state()).isEqualTo(RunState.CupState.THICK);
    at(gels - 1);
    assertThat(state().mixes().getFirst().state()).isEqualTo(RunState.CupState.THICK);
    at(gels);
    assertThat(state().mixes().getFirst().state()).isEqualTo(RunState.CupState.GELLED);
  }

  @Test
  void theSoonestToThickenComesFirstAndEmptiesOnceNothingMoreIsPoured() {
    upTo(Task.Kind.POUR);
    assertThat(state().cups())
        .hasSize(3)
        .isSortedAccordingTo(Comparator.comparingInt(RunState.CupNow::thicksSeconds));
    Cup brown = cup("Bracken");
    assertThat(now(brown.id()).empties()).isFalse();
    assertThat(now(brown.id()).lostPours()).isZero();
    assertThat(advice(brown.id())).isNull();
    for (int i = 0; i < brown.pours().size(); i++) {
      assertThat(now(brown.id()).empties()).isFalse();
      tell(RunEvent.Kind.DONE, TaskId.pour(brown.pours().get(i).id()), null);
    }
    assertThat(now(brown.id()).empties()).isTrue();
  }

  /** What is left fills another mould while it pours, is spread while it is thick, then cures. */
  @Test
  void whatIsLeftIsAdvisedByHowThickItIs() {
    upTo(Task.Kind.POUR);
    Cup blue = cup("Harbour");
    // Of what is too little for a pour there is advice as soon as nothing more comes of it.
    blue.pours().forEach(p -> tell(RunEvent.Kind.GIVEN_UP, TaskId.pour(p.id()), null));
    assertThat(now(blue.id()).lostPours()).isEqualTo(8);
    assertThat(now(blue.id()).empties()).isTrue();
    assertThat(advice(blue.id())).isEqualTo(RunState.Advice.FILLERS);
    at(now(blue.id()).thicksSeconds());
    assertThat(advice(blue.id())).isEqualTo(RunState.Advice.SPREAD_THIN);
    assertThat(now(blue.id()).state()).isEqualTo(RunState.CupState.THICK);
    at(now(blue.id()).gelsSeconds());
    assertThat(advice(blue.id())).isEqualTo(RunState.Advice.LET_CURE);
    assertThat(now(blue.id()).state()).isEqualTo(RunState.CupState.GELLED);
    tell(RunEvent.Kind.HOT, blue.id(), null);
    assertThat(advice(blue.id())).isEqualTo(RunState.Advice.OUTDOORS);
  }

  /** A cup of which some pours are lost counts those, and what would have lain on them. */
  @Test
  void lostPoursAreCountedWithWhatLiesOnThem() {
    upTo(Task.Kind.POUR);
    Cup blue = cup("Harbour");
    TaskId first = TaskId.pour(blue.pours().getFirst().id());
    tell(RunEvent.Kind.GIVEN_UP, first, null);
    assertThat(now(blue.id()).lostPours()).isEqualTo(2);
    assertThat(now(cup("Clear").id()).lostPours()).isEqualTo(1);
    assertThat(now(cup("Bracken").id()).lostPours()).isZero();
    assertThat(advice(blue.id())).isNull();
    // Once those are on their way nothing of them is lost any more.
    events.removeLast();
    tell(RunEvent.Kind.DONE, first, null);
    assertThat(now(blue.id()).lostPours()).isZero();
  }

  /** Work on pieces is for as many as there are: out of their moulds, away with those. */
  @Test
  void whatIsDoneToPiecesIsForThoseThatAreThere() {
    upTo(Task.Kind.POUR);
    assertThat(step(state(), "line/1/DEMOULD").places()).isEqualTo(4);
    int moulds = step(state(), "session/MOULDS_AWAY").places();
    Cup brown = cup("Bracken");
    tell(RunEvent.Kind.GIVEN_UP, TaskId.pour(brown.pours().getFirst().id()), null);
    RunState one = state();
    assertThat(step(one, "line/2/DEMOULD").places()).isEqualTo(2);
    assertThat(step(one, "line/1/DEMOULD").places()).isEqualTo(4);
    assertThat(step(one, "session/MOULDS_AWAY").places()).isEqualTo(Math.min(moulds, 6));
    assertThat(step(one, "batch/1/CLEAN_UP").places()).isEqualTo(task("batch/1/CLEAN_UP").places());
    brown.pours().stream()
        .skip(1)
        .forEach(p -> tell(RunEvent.Kind.GIVEN_UP, TaskId.pour(p.id()), null));
    RunState none = state();
    // Nobody is sent to take out what was never poured.
    assertThat(none.steps())
        .filteredOn(s -> List.of("line/2/DEMOULD", "line/2/READY").contains(s.taskId().text()))
        .noneMatch(s -> s.status() == RunState.Status.TO_DO);
    assertThat(step(none, "line/1/DEMOULD").status()).isEqualTo(RunState.Status.TO_DO);
    assertThat(step(none, "session/MOULDS_AWAY").places()).isEqualTo(Math.min(moulds, 4));
  }
}
