package calmpour.core.resin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What a label says in hours and minutes, and what stands in where it is silent. */
class LabelHoursTest {
  private static ResinSystem of(ResinKind kind, @Nullable CureTimes times) {
    return Samples.resin(kind, 40, 100, 24, times);
  }

  private static final CureTimes ROWS =
      new CureTimes(
          null,
          6.0,
          30.0,
          20.0,
          40.0,
          null,
          List.of(new DemouldRow(80, 10, 16.0), new DemouldRow(10, 40, null)));

  /** A single figure is a row, unless its depth has one; the shallowest first. */
  @Test
  void rowsStandByDepth() {
    assertThat(LabelHours.rows(of(ResinKind.DEEP, ROWS)))
        .extracting(DemouldRow::depthMm)
        .containsExactly(10.0, 40.0, 80.0);
    CureTimes again =
        new CureTimes(null, null, null, 20.0, 80.0, null, List.of(new DemouldRow(80, 10, 16.0)));
    assertThat(LabelHours.rows(of(ResinKind.DEEP, again)))
        .containsExactly(new DemouldRow(80, 10, 16.0));
    assertThat(LabelHours.rows(of(ResinKind.DEEP, null))).isEmpty();
  }

  /** By hand: half way from 40 to 80 mm the hours are the geometric mean of 20 and 16. */
  @Test
  void betweenTwoDepthsTheLogarithmIsStraightAndOutsideTheNearestCounts() {
    ResinSystem deep = of(ResinKind.DEEP, ROWS);
    assertThat(LabelHours.demould(deep, 5)).isEqualTo(new Known(40, Origin.LABEL));
    assertThat(LabelHours.demould(deep, 10).value()).isEqualTo(40);
    assertThat(LabelHours.demould(deep, 40).value()).isCloseTo(20, within(1e-9));
    assertThat(LabelHours.demould(deep, 60).value()).isCloseTo(Math.sqrt(320), within(1e-9));
    assertThat(LabelHours.demould(deep, 80).value()).isCloseTo(16, within(1e-9));
    assertThat(LabelHours.demould(deep, 200).value()).isEqualTo(16);
  }

  /** Rules of trade in docs/rules.md; common practice, no source. */
  @Test
  void whereTheLabelIsSilentTheKindCounts() {
    assertThat(LabelHours.demould(of(ResinKind.CASTING, null), 20))
        .isEqualTo(new Known(24, Origin.ASSUMED));
    assertThat(LabelHours.demould(of(ResinKind.FAST, null), 20).value()).isEqualTo(6);
    assertThat(LabelHours.demould(of(ResinKind.POLYURETHANE, null), 20).value()).isEqualTo(2);
    assertThat(LabelHours.demould(of(ResinKind.DEEP, null), 3).value()).isEqualTo(72);
    assertThat(LabelHours.demould(of(ResinKind.DEEP, null), 150).value()).isEqualTo(48);
    // Twice that, two days at least.
    assertThat(LabelHours.fullCure(of(ResinKind.FAST, null), 20))
        .isEqualTo(new Known(48, Origin.ASSUMED));
    assertThat(LabelHours.fullCure(of(ResinKind.DEEP, null), 3))
        .isEqualTo(new Known(144, Origin.ASSUMED));
    CureTimes told = new CureTimes(null, null, null, null, null, 36.0, null);
    assertThat(LabelHours.fullCure(of(ResinKind.DEEP, told), 3))
        .isEqualTo(new Known(36, Origin.LABEL));
  }

  @Test
  void aNextLayerGoesByTheLabelAlone() {
    ResinSystem deep = of(ResinKind.DEEP, ROWS);
    assertThat(LabelHours.recoatFrom(deep)).contains(new Known(6, Origin.LABEL));
    assertThat(LabelHours.recoatTo(deep)).contains(new Known(30, Origin.LABEL));
    assertThat(LabelHours.recoatFrom(of(ResinKind.DEEP, null))).isEmpty();
    assertThat(LabelHours.recoatTo(of(ResinKind.DEEP, null))).isEmpty();
  }

  /** Both parts weigh on a density; 2 g in 1.6 mL and 1 g in 1 mL are 3 g in 2.6 mL. */
  @Test
  void theMixIsAsDenseAsItsPartsTogether() {
    assertThat(Samples.resin(2, 1, MixRatio.Basis.WEIGHT, 1.25, 1.0).mixedDensity())
        .isCloseTo(3 / 2.6, within(1e-12));
    assertThatThrownBy(() -> Samples.resin(2, 1, MixRatio.Basis.WEIGHT, 4.0, 1.0))
        .isInstanceOf(InvalidValuesException.class);
  }

  @Test
  void aPaceOfOnesOwnAndAnotherPotLifeCount() {
    ResinSystem plain = of(ResinKind.CASTING, ROWS);
    OwnPace.Pace slow = new OwnPace.Pace(1.5, 0.1, 4, LocalDate.of(2026, 11, 1));
    assertThat(plain.plannedPotLifeMinutes()).isEqualTo(40);
    assertThat(plain.withOwn(new OwnPace(slow, null, null)).plannedPotLifeMinutes()).isEqualTo(60);
    assertThat(plain.ofPotLife(0.5).potLifeMinutes()).isEqualTo(20);
    assertThat(plain.ofPotLife(0.5).times()).isNull();
  }

  private static LabelFacts ranges(double deepFrom, double deepTo, double warmFrom, double warmTo) {
    return new LabelFacts(
        null, null, null, null, deepFrom, deepTo, 2.0, null, null, warmFrom, warmTo, null);
  }

  /**
   * What begins where it ends is no range; a shrinkage that does not say of what is of a length.
   */
  @Test
  void rangesHaveTwoEnds() {
    assertThat(ranges(5, 6, 20, 21).volumeLost()).isCloseTo(1 - 0.98 * 0.98 * 0.98, within(1e-12));
    assertThatThrownBy(() -> ranges(5, 5, 20, 21)).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> ranges(5, 6, 20, 20)).isInstanceOf(InvalidValuesException.class);
  }
}
