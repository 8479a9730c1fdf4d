package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.hipparchus.stat.interval.BinomialProportion;
import org.hipparchus.stat.interval.ConfidenceInterval;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Shares and their intervals against published examples and a statistics library. */
class ProportionTest {
  /**
   * R. G. Newcombe, "Two-sided confidence intervals for the single proportion", Stat. Med. 17
   * (1998) 857–872, table I, score method without continuity correction; figures from memory, so
   * the library below is the other check.
   */
  @ParameterizedTest
  @CsvSource({
    "81, 263, 0.2553, 0.3662",
    "15, 148, 0.0624, 0.1605",
    "0, 20, 0, 0.1611",
    "1, 29, 0.0061, 0.1718"
  })
  void publishedExamplesOfTheScoreInterval(int count, int of, double lowest, double highest) {
    Proportion told = Proportion.of(count, of);
    assertThat(told.lowest()).isCloseTo(lowest, within(5e-5));
    assertThat(told.highest()).isCloseTo(highest, within(5e-5));
  }

  /**
   * R. G. Newcombe, "Interval estimation for the difference between independent proportions", Stat.
   * Med. 17 (1998) 873–890, table II, method 10; figures from memory.
   */
  @ParameterizedTest
  @CsvSource({"56, 70, 48, 80, 0.0524, 0.3339", "9, 10, 3, 10, 0.1705, 0.8090"})
  void publishedExamplesOfTheDifference(int a, int ofA, int b, int ofB, double low, double high) {
    double[] between = Proportion.of(a, ofA).difference(Proportion.of(b, ofB));
    assertThat(between[0]).isCloseTo(low, within(5e-5));
    assertThat(between[1]).isCloseTo(high, within(5e-5));
  }

  @Property
  void agreesWithAStatisticsLibrary(
      @ForAll @IntRange(min = 1, max = 100_000) int of,
      @ForAll @IntRange(max = 1_000) int perMille) {
    int count = (int) ((long) of * perMille / 1_000);
    Proportion told = Proportion.of(count, of);
    ConfidenceInterval library =
        BinomialProportion.getWilsonScoreInterval(of, (double) count / of, 0.95);
    assertThat(told.lowest()).isCloseTo(Math.max(0, library.getLowerBound()), within(1e-9));
    assertThat(told.highest()).isCloseTo(Math.min(1, library.getUpperBound()), within(1e-9));
  }

  /**
   * The worked example in the manual of R's power.prop.test (base library "stats"): 50 % against 75
   * % with a power of 90 % takes 76.7 of each; from memory, so that the next test is the other
   * check.
   */
  @Test
  void theManualsExampleOfHowManyAreNeeded() {
    double ninety = 1.2815515655446004;
    assertThat(Proportion.neededOfEach(0.5, 0.75, ninety)).isEqualTo(77);
    assertThat(Proportion.neededOfEach(0.3, 0.3)).isZero();
  }

  /** So many of each tell in four of five seeded trials, by the plain test of two shares. */
  @Test
  void soManyTellInFourOfFiveTries() {
    java.util.Random random = new java.util.Random(7);
    for (double[] shares : new double[][] {{0.5, 0.2}, {0.9, 0.7}, {0.4, 0.3}}) {
      int n = Proportion.neededOfEach(shares[0], shares[1]);
      int told = 0;
      for (int trial = 0; trial < 2_000; trial++) {
        double a = 0;
        double b = 0;
        for (int i = 0; i < n; i++) {
          a += random.nextDouble() < shares[0] ? 1 : 0;
          b += random.nextDouble() < shares[1] ? 1 : 0;
        }
        double pooled = (a + b) / (2.0 * n);
        double z = (a - b) / n / Math.sqrt(2 * pooled * (1 - pooled) / n);
        told += Math.abs(z) > 1.96 ? 1 : 0;
      }
      assertThat(told / 2_000.0).as(n + " of each").isBetween(0.75, 0.85);
    }
  }

  @Test
  void tellsChanceFromAClearDifference() {
    assertThat(Proportion.of(3, 6).differsFrom(Proportion.of(1, 6))).isFalse();
    assertThat(Proportion.of(30, 60).differsFrom(Proportion.of(10, 60))).isTrue();
    assertThat(Proportion.of(0, 0).differsFrom(Proportion.of(5, 5))).isFalse();
  }
}
