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

  @Test
  void tellsChanceFromAClearDifference() {
    assertThat(Proportion.of(3, 6).differsFrom(Proportion.of(1, 6))).isFalse();
    assertThat(Proportion.of(30, 60).differsFrom(Proportion.of(10, 60))).isTrue();
    assertThat(Proportion.of(0, 0).differsFrom(Proportion.of(5, 5))).isFalse();
  }
}
