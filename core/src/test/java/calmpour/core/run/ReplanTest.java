package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What is left of an evening comes in another order where that saves pours, and only then. */
class ReplanTest extends Evening {
  private static List<String> pours(RunState state, RunState.Status status) {
    return state.steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR && s.status() == status)
        .map(s -> s.taskId().text().substring("pour/".length()))
        .toList();
  }

  private static CupId cup(String colour) {
    return batch().cups().stream()
        .filter(c -> c.colour().name().equals(colour))
        .findFirst()
        .orElseThrow()
        .id();
  }

  /** Until the first pour; then the clear cup is found ten degrees warmer than it should be. */
  private void clearIsWarm() {
    upTo(Task.Kind.POUR);
    at(2100);
    reads(cup("Clear"), 10);
  }

  private void reads(CupId cup, double moreThanExpected) {
    double expected =
        state().cups().stream()
            .filter(c -> c.cupId().equals(cup))
            .findFirst()
            .orElseThrow()
            .expectedC();
    tell(RunEvent.Kind.WARMTH, cup, expected + moreThanExpected);
  }

  private static void inTime(RunState state) {
    Map<CupId, Integer> thick =
        state.cups().stream()
            .collect(Collectors.toMap(RunState.CupNow::cupId, RunState.CupNow::thicksSeconds));
    assertThat(state.steps())
        .filteredOn(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .allSatisfy(s -> assertThat(s.endSeconds()).isLessThanOrEqualTo(thick.get(s.cupId())));
  }

  /**
   * The clear layers lie on the blue ones: those come first with them, the brown pulls can wait.
   */
  @Test
  void anUrgentCupBringsForwardWhatItsLayersLieOn() {
    clearIsWarm();
    at(2300);
    RunState early = state();
    assertThat(early.reordered()).isFalse();
    assertThat(early.giveUp()).isEmpty();
    assertThat(pours(early, RunState.Status.TO_DO)).startsWith("2.1.1", "2.2.1", "2.3.1");

    // 265 s as planned are more than the clear cup has; 172 s for the knobs alone are not.
    at(2490);
    RunState later = state();
    assertThat(later.giveUp()).isEmpty();
    assertThat(later.reordered()).isTrue();
    assertThat(pours(later, RunState.Status.TO_DO))
        .containsExactly(
            "1.1.1", "1.2.1", "1.3.1", "1.4.1", "1.1.2", "1.2.2", "1.3.2", "1.4.2", "2.1.1",
            "2.2.1", "2.3.1");
    assertThat(later.spareSeconds()).isPositive();
    inTime(later);
  }

  @Test
  void whereNotAllIsInTimeWholeKnobsAreMadeAndTheRestOfTheColoursAllTheSame() {
    clearIsWarm();
    at(2600);
    RunState state = state();
    // 112 s are two knobs of 43 s, and a bit.
    assertThat(state.giveUp()).hasSize(2).allMatch(t -> t.text().endsWith(".2"));
    assertThat(state.reordered()).isTrue();
    inTime(state);
    List<String> made = pours(state, RunState.Status.TO_DO);
    assertThat(made)
        .hasSize(9)
        .contains("1.1.1", "1.2.1", "1.3.1", "1.4.1", "2.1.1", "2.2.1", "2.3.1");
    assertThat(made).filteredOn(p -> p.endsWith(".2")).hasSize(2);
    assertThat(pours(state, RunState.Status.TOO_LATE))
        .containsExactlyInAnyOrderElementsOf(
            state.giveUp().stream().map(t -> t.text().substring("pour/".length())).toList());
  }

  /** Nothing of a cup is in time any more: the others stand as they were planned. */
  @Test
  void whatIsLeftStandsAsPlannedWhereOnlyTheRestIsGivenUp() {
    clearIsWarm();
    at(2705);
    RunState state = state();
    assertThat(state.giveUp())
        .extracting(TaskId::text)
        .containsExactly("pour/1.1.2", "pour/1.2.2", "pour/1.3.2", "pour/1.4.2");
    assertThat(pours(state, RunState.Status.TO_DO))
        .containsExactly("2.1.1", "2.2.1", "2.3.1", "1.1.1", "1.2.1", "1.3.1", "1.4.1");
    assertThat(state.reordered()).isFalse();
    inTime(state);
  }

  @Test
  void whereNothingIsLeftToPourNothingIsInAnotherOrder() {
    upTo(Task.Kind.POUR);
    int gelled =
        state().cups().stream().mapToInt(RunState.CupNow::gelsSeconds).min().orElseThrow() + 60;
    for (int second = state().atSeconds() + 2500; second < gelled + 1200; second += 150) {
      at(second);
      RunState state = state();
      inTime(state);
      List<String> made = pours(state, RunState.Status.TO_DO);
      List<String> asPlanned =
          RUN.plan().tasks().stream()
              .filter(t -> t.kind() == Task.Kind.POUR)
              .map(t -> t.id().text().substring("pour/".length()))
              .filter(made::contains)
              .toList();
      assertThat(state.reordered()).as("at %d", second).isEqualTo(!made.equals(asPlanned));
    }
    assertThat(pours(state(), RunState.Status.TO_DO)).isEmpty();
    assertThat(state().reordered()).isFalse();
  }

  /** One pull after the other as its cup thickens, and never one again that was given up before. */
  @Test
  void asTimeRunsOutMoreIsGivenUpAndNeverLess() {
    upTo(Task.Kind.POUR);
    CupId clear = cup("Clear");
    batch().cups().stream()
        .filter(c -> c.id().equals(clear))
        .flatMap(c -> c.pours().stream())
        .forEach(p -> tell(RunEvent.Kind.GIVEN_UP, TaskId.pour(p.id()), null));
    at(2_100);
    reads(cup("Bracken"), 10);
    reads(cup("Harbour"), 9);
    boolean found = false;
    int before = 0;
    for (int second = 2_300; before < 4; second += 4) {
      at(second);
      RunState state = state();
      inTime(state);
      int given = state.giveUp().size();
      assertThat(given).as("at %d", second).isGreaterThanOrEqualTo(before);
      before = given;
      found |= given == 1 && state.giveUp().getFirst().text().startsWith("pour/2.");
    }
    assertThat(found).isTrue();
  }

  /** A cup from which nothing will be poured is neither filled nor tinted. */
  @Test
  void nobodyFillsACupForNothing() {
    upTo(Task.Kind.SPLIT);
    List<TaskId> brown =
        batch().cups().stream()
            .filter(c -> c.id().equals(cup("Bracken")))
            .flatMap(c -> c.pours().stream())
            .map(p -> TaskId.pour(p.id()))
            .toList();
    TaskId split = TaskId.cup(cup("Bracken"), Task.Kind.SPLIT);
    TaskId tint = TaskId.cup(cup("Bracken"), Task.Kind.TINT);
    brown.subList(1, brown.size()).forEach(t -> tell(RunEvent.Kind.GIVEN_UP, t, null));
    assertThat(step(state(), split).status()).isEqualTo(RunState.Status.TO_DO);
    assertThat(step(state(), tint).status()).isEqualTo(RunState.Status.TO_DO);
    tell(RunEvent.Kind.GIVEN_UP, brown.getFirst(), null);
    RunState state = state();
    assertThat(state.steps())
        .filteredOn(s -> s.taskId().equals(split) || s.taskId().equals(tint))
        .noneMatch(s -> s.status() == RunState.Status.TO_DO);
    assertThat(step(state, TaskId.cup(cup("Harbour"), Task.Kind.TINT)).status())
        .isEqualTo(RunState.Status.TO_DO);
    // What is filled already stays where it is.
    events.removeLast();
    tell(RunEvent.Kind.DONE, split, null);
    tell(RunEvent.Kind.GIVEN_UP, brown.getFirst(), null);
    assertThat(step(state(), split).status()).isEqualTo(RunState.Status.DONE);
  }

  /** Nine tenths of a pour make its piece; less is lost. */
  @Test
  void aPourIsLostWhereLessThanNineTenthsOfItIsLeft() {
    for (double share : new double[] {0.91, 0.89}) {
      events.clear();
      now = RUN.begunAt();
      upTo(Task.Kind.SPLIT);
      TaskId split = TaskId.cup(cup("Clear"), Task.Kind.SPLIT);
      double one =
          batch().cups().stream()
              .filter(c -> c.id().equals(cup("Clear")))
              .findFirst()
              .orElseThrow()
              .pours()
              .getFirst()
              .massG();
      tell(RunEvent.Kind.DONE, split, one * (3 + share));
      upTo(Task.Kind.POUR);
      assertThat(pours(state(), RunState.Status.LOST))
          .as("%s of the last", share)
          .hasSize(share > 0.9 ? 0 : 1);
    }
  }
}
