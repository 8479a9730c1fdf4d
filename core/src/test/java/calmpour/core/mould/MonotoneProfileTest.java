package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

/**
 * A profile through levels against curves it has to meet exactly, and against F. N. Fritsch and R.
 * E. Carlson's own bound where it has to bend.
 */
class MonotoneProfileTest {
  /** One stretch as a Bézier curve, halved three times over as de Casteljau does. */
  private static double halfway(
      double low, double lowSlope, double high, double highSlope, double h) {
    double b = low + h * lowSlope / 3;
    double c = high - h * highSlope / 3;
    return (low + 3 * b + 3 * c + high) / 8;
  }

  /** A cone on its tip is a cubic: with its areas known it is met at every depth. */
  @Test
  void aConeIsMetExactlyWhereItsAreasAreKnown() {
    double k = 0.002;
    double[] depths = {0, 6, 13, 22, 40};
    double[] volumes = new double[5];
    double[] areas = new double[5];
    for (int i = 0; i < 5; i++) {
      volumes[i] = k * Math.pow(depths[i], 3);
      areas[i] = 3 * k * depths[i] * depths[i] * 1_000;
    }
    MonotoneProfile cone = new MonotoneProfile(depths, volumes, areas);
    assertThat(cone.depthMm()).isEqualTo(40);
    assertThat(cone.volumeMl()).isEqualTo(k * 64_000);
    // On its tip the first stretch is steeper than three times its rise: from the second on.
    for (double depth = 6; depth <= 40; depth += 0.5) {
      assertThat(cone.volumeAtMl(depth)).isCloseTo(k * Math.pow(depth, 3), within(1e-9));
      assertThat(cone.areaAtMm2(depth)).isCloseTo(3_000 * k * depth * depth, within(1e-6));
      assertThat(cone.depthAtMm(k * Math.pow(depth, 3))).isCloseTo(depth, within(1e-4));
    }
  }

  /** Upright walls give a line, a trough with leaning ones a parabola between inner levels. */
  @Test
  void slopesThatNobodyMeasuredComeFromTheNeighbours() {
    MonotoneProfile line =
        new MonotoneProfile(new double[] {0, 5, 9, 20}, new double[] {0, 10, 18, 40}, null);
    for (double depth = 0; depth <= 20; depth += 0.25) {
      assertThat(line.volumeAtMl(depth)).isCloseTo(2 * depth, within(1e-12));
      assertThat(line.areaAtMm2(depth)).isCloseTo(2_000, within(1e-9));
    }
    MonotoneProfile trough =
        new MonotoneProfile(new double[] {0, 10, 20, 30, 40}, new double[] {0, 1, 4, 9, 16}, null);
    for (double depth = 10; depth <= 30; depth += 0.5) {
      assertThat(trough.volumeAtMl(depth)).isCloseTo(depth * depth / 100, within(1e-12));
      assertThat(trough.areaAtMm2(depth)).isCloseTo(depth / 50 * 1_000, within(1e-9));
    }
    // At the floor and the rim the outer stretch's own rise.
    assertThat(trough.areaAtMm2(0)).isCloseTo(100, within(1e-9));
    assertThat(trough.areaAtMm2(40)).isCloseTo(700, within(1e-9));
  }

  /** Rises of 0.1 and 9.9 meet at 5: fifty times the first, held back to three times. */
  @Test
  void asSteepACornerIsHeldBackToThreeTimesTheRise() {
    MonotoneProfile corner =
        new MonotoneProfile(new double[] {0, 10, 20}, new double[] {0, 1, 100}, null);
    double length = Math.hypot(1, 50);
    double low = 3 / length * 0.1;
    double high = 3 * 50 / length * 0.1;
    assertThat(corner.volumeAtMl(5)).isCloseTo(halfway(0, low, 1, high, 10), within(1e-12));
    assertThat(corner.areaAtMm2(0)).isCloseTo(low * 1_000, within(1e-9));
    assertThat(corner.areaAtMm2(10)).isCloseTo(high * 1_000, within(1e-9));
    assertThat(corner.volumeAtMl(15)).isCloseTo(halfway(1, high, 100, 9.9, 10), within(1e-12));
    // Just inside the bound nothing is held back: slopes of 2 and 2 times the rise.
    MonotoneProfile within =
        new MonotoneProfile(
            new double[] {0, 10}, new double[] {0, 10}, new double[] {2_000, 2_000});
    assertThat(within.areaAtMm2(0)).isCloseTo(2_000, within(1e-9));
    assertThat(within.volumeAtMl(2.5))
        .isCloseTo(10 * (0.25 * 0.25 * 2.5) + 20 * (0.25 * 0.5625 - 0.0625 * 0.75), within(1e-12));
  }

  @Test
  void whereNothingIsAddedNothingIsOpen() {
    MonotoneProfile shelf =
        new MonotoneProfile(new double[] {0, 10, 20, 30}, new double[] {0, 5, 5, 12}, null);
    for (double depth = 10; depth <= 20; depth += 1) {
      assertThat(shelf.volumeAtMl(depth)).isCloseTo(5, within(1e-12));
    }
    assertThat(shelf.areaAtMm2(15)).isZero();
    assertThat(shelf.volumeAtMl(30)).isEqualTo(12);
  }
}
