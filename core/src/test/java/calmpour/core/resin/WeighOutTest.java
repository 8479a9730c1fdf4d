package calmpour.core.resin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class WeighOutTest {
  /** Common practice, no source: 2:1 by weight, 84 g in all, is 56 g of A and 28 g of B. */
  @Test
  void twoToOneByWeight() {
    ResinSystem resin = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
    WeighOut out = WeighOut.of(resin, 84, MixRatio.Basis.WEIGHT, 0.1, 2, 1e9, 0);
    assertThat(out.partA().massG()).isEqualTo(56.0);
    assertThat(out.partB().massG()).isEqualTo(28.0);
    assertThat(out.ratioErrorPercent()).isCloseTo(0, within(1e-9));
  }

  /** Common practice, no source: 1:1 by volume, 90 mL in all, is 45 mL and 45 mL. */
  @Test
  void oneToOneByVolume() {
    ResinSystem resin = Samples.resin(1, 1, MixRatio.Basis.VOLUME);
    double need = 90 * resin.mixedDensity();
    WeighOut out = WeighOut.of(resin, need, MixRatio.Basis.VOLUME, 1, 2, 1e9, 0);
    assertThat(out.partA().volumeMl()).isCloseTo(45, within(1e-9));
    assertThat(out.partB().volumeMl()).isCloseTo(45, within(1e-9));
  }

  /**
   * Common practice, no source: 2:1 by volume is 3:1 by weight only if A is one and a half times as
   * dense as B.
   */
  @Test
  void volumeAndWeightRatiosDifferByTheDensities() {
    MixRatio ratio = new MixRatio(2, 1, MixRatio.Basis.VOLUME);
    assertThat(ratio.massShareA(1.5, 1.0)).isCloseTo(0.75, within(1e-12));
    assertThat(ratio.massShareA(1.15, 1.0)).isLessThan(0.70);
  }

  /**
   * The densities of two parts that mix ideally lie between: 1 g at 1.0 and 1 g at 1.25 is 1.111.
   */
  @Test
  void densityOfTheMixCountsVolumesNotAnAverage() {
    ResinSystem resin = Samples.resin(1, 1, MixRatio.Basis.WEIGHT, 1.25, 1.0);
    assertThat(resin.mixedDensity()).isCloseTo(2 / 1.8, within(1e-12));
  }

  /**
   * Worked by hand: 2:1 on a scale of 1 g. For 4 g the exact 2.67 and 1.33 round up to 3 and 2,
   * which is a quarter off; 4 and 2 are right. A part of 50 g is where 1 g becomes 2 %.
   */
  @Test
  void aCoarseScaleMakesASmallBatchLargerRatherThanWrong() {
    ResinSystem resin = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
    WeighOut out = WeighOut.of(resin, 4, MixRatio.Basis.WEIGHT, 1, 2, 1e9, 0);
    assertThat(out.partA().massG()).isEqualTo(4);
    assertThat(out.partB().massG()).isEqualTo(2);
    // Where the label allows no more than 5 g, it stays wrong, and the plan says so.
    assertThat(WeighOut.of(resin, 4, MixRatio.Basis.WEIGHT, 1, 2, 5, 0).ratioErrorPercent())
        .isCloseTo(-25, within(1e-9));
    assertThat(WeighOut.surelyRightFromG(resin, MixRatio.Basis.WEIGHT, 1, 2))
        .isCloseTo(150, within(1e-9));
  }

  @Property(seed = "20261123")
  void neverLessThanTheNeedNeverOffTheRatioAndNoMoreThanThatTakes(
      @ForAll @DoubleRange(min = 1, max = 5_000) double need,
      @ForAll @DoubleRange(min = 0.2, max = 10) double partsA) {
    ResinSystem resin = Samples.resin(partsA, 1, MixRatio.Basis.WEIGHT);
    for (double division : new double[] {0.01, 0.1, 1}) {
      WeighOut out = WeighOut.of(resin, need, MixRatio.Basis.WEIGHT, division, 2, 1e9, 0);
      // The arithmetic's noise on kilograms is far below a microgram.
      assertThat(out.totalG()).isGreaterThanOrEqualTo(need - 1e-6);
      if (need >= WeighOut.surelyRightFromG(resin, MixRatio.Basis.WEIGHT, division, 2)) {
        assertThat(out.totalG()).isLessThan(need + 2 * division);
      }
      assertThat(Math.abs(out.ratioErrorPercent())).isLessThanOrEqualTo(2 + 1e-9);
      double steps = out.partA().massG() / division;
      assertThat(steps).isCloseTo(Math.rint(steps), within(1e-6));
    }
  }

  /** One percent of A more uses up half of a tolerance of two; rounding may only have the rest. */
  @Test
  void extraAAndRoundingTogetherStayWithinTheTolerance() {
    ResinSystem resin = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
    for (double need = 20; need < 120; need += 0.7) {
      WeighOut out = WeighOut.of(resin, need, MixRatio.Basis.WEIGHT, 0.5, 2, 1e9, 1);
      assertThat(out.ratioErrorPercent()).as("%.1f g", need).isBetween(0.0, 2.0 + 1e-9);
      assertThat(out.totalG()).isGreaterThanOrEqualTo(need - 1e-9);
    }
  }

  /**
   * By hand, at marks of 1 mL: 2:1 by volume wants 2.67 and 1.33 mL, which 4 and 2 are; they weigh
   * 6.8 g.
   */
  @Test
  void theLargestBatchIsWeighedWhereMarksAreRead() {
    ResinSystem resin = Samples.resin(2, 1, MixRatio.Basis.VOLUME, 1.2, 1.0);
    double need = 4 / 3.0 * (2 * 1.2 + 1);
    WeighOut out = WeighOut.of(resin, need, MixRatio.Basis.VOLUME, 1, 2, 6.8, 0);
    assertThat(out.partA().volumeMl()).isEqualTo(4);
    assertThat(out.partA().massG()).isCloseTo(4.8, within(1e-12));
    assertThat(out.partB().volumeMl()).isEqualTo(2);
    WeighOut most = WeighOut.of(resin, need, MixRatio.Basis.VOLUME, 1, 2, 6.7, 0);
    assertThat(most.partA().volumeMl()).isEqualTo(3);
    // The other way round too: by weight each part has its volume.
    assertThat(
            WeighOut.of(resin, 100, MixRatio.Basis.WEIGHT, 0.1, 2, 1e9, 0).partA().volumeMl() * 1.2)
        .isCloseTo(
            WeighOut.of(resin, 100, MixRatio.Basis.WEIGHT, 0.1, 2, 1e9, 0).partA().massG(),
            within(1e-9));
  }

  /** By hand: a tenth more A on 2:1 is 2.2 to 1. By volume, 1 mL of A at 1:2 is what binds. */
  @Test
  void extraAAndTheSmallerPartByHand() {
    ResinSystem two = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
    assertThat(WeighOut.shareA(two, 10)).isCloseTo(2.2 / 3.2, within(1e-12));
    assertThat(WeighOut.shareA(two, 0)).isCloseTo(2 / 3.0, within(1e-12));
    ResinSystem half = Samples.resin(1, 2, MixRatio.Basis.VOLUME, 1.2, 1.0);
    assertThat(WeighOut.surelyRightFromG(half, MixRatio.Basis.VOLUME, 1, 2))
        .isCloseTo(1.2 / (1.2 / 3.2) / 0.02, within(1e-9));
    ResinSystem more = Samples.resin(3, 1, MixRatio.Basis.VOLUME, 1.2, 0.9);
    assertThat(WeighOut.surelyRightFromG(more, MixRatio.Basis.VOLUME, 2, 2))
        .isCloseTo(2 * 0.9 / (0.9 / 4.5) / 0.02, within(1e-9));
    assertThat(WeighOut.surelyRightFromG(more, MixRatio.Basis.WEIGHT, 2, 2))
        .isCloseTo(2 / (0.9 / 4.5) / 0.02, within(1e-9));
  }
}
