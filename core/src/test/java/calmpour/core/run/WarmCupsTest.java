package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Workshop;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What a thermometer in a cup tells of it, and what may take what is left in one. */
class WarmCupsTest extends Evening {
  private final CupId id = batch().cups().getFirst().id();

  @BeforeEach
  void beforeThePour() {
    upTo(Task.Kind.POUR);
  }

  private RunState.CupNow cup() {
    return state().cups().stream().filter(c -> c.cupId().equals(id)).findFirst().orElseThrow();
  }

  private void reads(int afterSeconds, double temperatureC) {
    now = now.plusSeconds(afterSeconds);
    tell(RunEvent.Kind.WARMTH, id, temperatureC);
  }

  /** 55 °C is hot; so are three degrees a minute, of readings that lie half a minute apart. */
  @Test
  void aCupIsHotAt55OrWhenItRunsAway() {
    assertThat(cup().hot()).isFalse();
    assertThat(cup().temperatureC()).isNull();
    double warm = cup().expectedC();
    assertThat(warm).isBetween(15.0, 45.0);
    reads(10, warm);
    assertThat(cup().hot()).isFalse();
    assertThat(cup().temperatureC()).isEqualTo(warm);
    reads(10, warm + 2);
    assertThat(cup().hot()).as("two readings in a hurry").isFalse();
    reads(60, warm + 4.9);
    assertThat(cup().hot()).as("2.9 K in a minute").isFalse();
    reads(60, warm + 7.9);
    assertThat(cup().hot()).as("3 K in a minute").isTrue();
    reads(120, warm + 13.8);
    assertThat(cup().hot()).as("5.9 K in two minutes").isFalse();
    reads(5, 54.9);
    assertThat(cup().hot()).isFalse();
    reads(5, 55);
    assertThat(cup().hot()).isTrue();
  }

  @Test
  void theFirstReadingAloneCanBeHot() {
    reads(10, 54.9);
    assertThat(cup().hot()).isFalse();
    events.removeLast();
    reads(10, 55);
    assertThat(cup().hot()).isTrue();
  }

  /** Warmer than it should be, it thickens sooner; as it should be, when the clock says. */
  @Test
  void aWarmerCupThickensSooner() {
    RunState.CupNow before = cup();
    reads(0, before.expectedC());
    assertThat(cup().thicksSeconds()).isCloseTo(before.thicksSeconds(), within(30));
    assertThat(Math.abs(cup().aheadSeconds())).isLessThan(40);
    events.removeLast();
    reads(0, before.expectedC() + 6);
    RunState.CupNow warmer = cup();
    assertThat(warmer.thicksSeconds()).isLessThan(before.thicksSeconds() - 30);
    assertThat(warmer.aheadSeconds())
        .isCloseTo(before.thicksSeconds() - warmer.thicksSeconds(), within(60));
    assertThat(warmer.gelsSeconds()).isLessThan(before.gelsSeconds());
    assertThat(warmer.earliestSeconds())
        .isLessThanOrEqualTo(warmer.thicksSeconds())
        .isLessThan(before.earliestSeconds());
  }

  /** What is left may fill another mould while it pours; not once it is thick. */
  @Test
  void whatIsLeftFillsAnotherMouldWhileItPours() {
    state().steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR && id.equals(s.cupId()))
        .forEach(s -> tell(RunEvent.Kind.GIVEN_UP, s.taskId(), null));
    RunState state = state();
    Workshop workshop =
        Samples.workshop(RESIN, List.of(Samples.mould("small", 8, 10.0)), RUN.workshop().colours());
    RunState.LeftOver left =
        state.leftOvers().stream().filter(l -> l.cupId().equals(id)).findFirst().orElseThrow();
    assertThat(left.advice()).isEqualTo(RunState.Advice.FILLERS);
    List<FillersNow> all = FillersNow.of(RUN, state, workshop);
    assertThat(all)
        .filteredOn(n -> n.cupId().equals(id))
        .singleElement()
        .satisfies(now -> {
          assertThat(now.cupId()).isEqualTo(id);
          assertThat(now.untilSeconds()).isEqualTo(cup().standsUntilSeconds());
          double densest = 1.3;
          assertThat(now.leftMl()).isBetween(left.grams() / densest * 0.8, left.grams());
          assertThat(now.fillers()).hasSize(1);
        });
    at(cup().thicksSeconds());
    assertThat(FillersNow.of(RUN, state(), workshop)).isEmpty();
  }
}
