package calmpour.core.resin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Strokes and bottles against every pair of counts. */
class CountedTest {
  private static final int MOST = 60;

  private static double errorPercent(int a, double perA, int b, double perB, double partsA) {
    return (a * perA / (b * perB) / partsA - 1) * 100;
  }

  /**
   * Fewer of B never meet the ratio within the tolerance, and where none do nothing as large comes
   * nearer.
   */
  @Test
  void theFewestThatReachTheNeedWithinTheTolerance() {
    Random random = new Random(20261129);
    int met = 0;
    for (int i = 0; i < 300; i++) {
      double partsA = 1 + random.nextInt(30) / 10.0;
      ResinSystem resin = Samples.resin(partsA, 1, MixRatio.Basis.WEIGHT);
      double perA = 4 + random.nextInt(60) / 10.0;
      double perB = 4 + random.nextInt(60) / 10.0;
      double need = 20 + random.nextInt(60);
      double tolerance = 0.5 + random.nextInt(4);
      Counted counted = Counted.of(resin, need, perA, perB, tolerance);
      double needA = need * partsA / (partsA + 1);
      double needB = need / (partsA + 1);
      assertThat(counted.countA() * perA).isGreaterThanOrEqualTo(needA - 1e-6);
      assertThat(counted.countB() * perB).isGreaterThanOrEqualTo(needB - 1e-6);
      assertThat(counted.totalG())
          .isCloseTo(counted.countA() * perA + counted.countB() * perB, within(1e-9));
      assertThat(counted.ratioErrorPercent())
          .isCloseTo(
              errorPercent(counted.countA(), perA, counted.countB(), perB, partsA), within(1e-9));
      boolean within = Math.abs(counted.ratioErrorPercent()) <= tolerance;
      met += within ? 1 : 0;
      int least = (int) Math.ceil(needB / perB - 1e-9);
      int most = within ? counted.countB() - 1 : 2 * least + 6;
      double nearest = within ? tolerance - 1e-9 : Math.abs(counted.ratioErrorPercent()) - 1e-9;
      for (int b = least; b <= most; b++) {
        for (int a = (int) Math.ceil(needA / perA - 1e-9); a <= MOST; a++) {
          assertThat(Math.abs(errorPercent(a, perA, b, perB, partsA)))
              .as("%d and %d for %s", a, b, counted)
              .isGreaterThan(nearest);
        }
      }
    }
    assertThat(met).isBetween(100, 290);
  }

  /** Nobody counts more than four hundred strokes of either. */
  @Test
  void whatNobodyCountsIsNotOffered() {
    ResinSystem even = Samples.resin(1, 1, MixRatio.Basis.WEIGHT);
    assertThat(Counted.of(even, 800, 1, 1, 2)).isNotNull();
    assertThat(Counted.of(even, 802, 1, 1, 2)).isNull();
    assertThat(Counted.of(even, 802, 100, 1, 2)).isNull();
    assertThat(Counted.of(even, 802, 1, 100, 2)).isNull();
  }
}
