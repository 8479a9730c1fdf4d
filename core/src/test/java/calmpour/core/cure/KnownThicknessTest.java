package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.cure.ClockFact.Kind;
import calmpour.core.cure.ClockFact.Side;
import calmpour.core.resin.ResinKind;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

/**
 * What is told of the fresh mix says how thick that is and nothing else, and on the scale that it
 * is compared on it is the unknown itself: so what has to come out is known without any fitting. A
 * casting resin is thought of as 0.6 Pa·s, ×/÷ e^0.25.
 */
class KnownThicknessTest {
  private static final double THOUGHT = Math.log(0.6);
  private static final double SPREAD = 0.25;

  private static ClockFact fresh(Side side, double pascalSeconds, double sd) {
    return new ClockFact(
        Kind.FRESH,
        side,
        pascalSeconds,
        sd,
        ClockFact.Source.MAKER,
        null,
        new ClockFact.Said(pascalSeconds, null, "Pa·s", null, null, 25.0));
  }

  private static ClockEstimate fit(ClockFact... facts) {
    return ClockFit.of(ResinKind.CASTING, 40, false, List.of(facts));
  }

  private static double thickness(ClockEstimate of) {
    return of.mean()[ClockPrior.THICKNESS];
  }

  private static void restAsThought(ClockEstimate of) {
    double[] alone = fit().mean();
    for (int i = 0; i < ClockPrior.UNKNOWNS; i++) {
      if (i != ClockPrior.THICKNESS) {
        assertThat(of.mean()[i]).as(ClockPrior.NAMES.get(i)).isCloseTo(alone[i], within(1e-6));
        assertThat(of.sd(i)).isCloseTo(fit().sd(i), within(1e-6));
      }
    }
  }

  /** Normal times normal: each counts by one over its variance (any textbook of statistics). */
  @Test
  void toldOnceOrTwiceItIsTheWeightedMean() {
    assertThat(thickness(fit())).isCloseTo(THOUGHT, within(1e-12));
    assertThat(fit().sd(ClockPrior.THICKNESS)).isCloseTo(SPREAD, within(1e-9));
    double thought = 1 / (SPREAD * SPREAD);
    double one = 1 / (0.2 * 0.2);
    double two = 1 / (0.4 * 0.4);
    ClockEstimate once = fit(fresh(Side.THEN, 0.9, 0.2));
    assertThat(thickness(once))
        .isCloseTo((thought * THOUGHT + one * Math.log(0.9)) / (thought + one), within(1e-6));
    assertThat(once.sd(ClockPrior.THICKNESS)).isCloseTo(1 / Math.sqrt(thought + one), within(1e-6));
    restAsThought(once);
    ClockEstimate twice = fit(fresh(Side.THEN, 0.9, 0.2), fresh(Side.THEN, 0.5, 0.4));
    assertThat(thickness(twice))
        .isCloseTo(
            (thought * THOUGHT + one * Math.log(0.9) + two * Math.log(0.5)) / (thought + one + two),
            within(1e-6));
    assertThat(twice.sd(ClockPrior.THICKNESS))
        .isCloseTo(1 / Math.sqrt(thought + one + two), within(1e-6));
    ClockEstimate.Met met = once.facts().getFirst();
    assertThat(met.comesTo()).isCloseTo(Math.exp(thickness(once)), within(1e-9));
    assertThat(met.off()).isCloseTo((thickness(once) - Math.log(0.9)) / 0.2, within(1e-9));
    assertThat(met.atOdds()).isFalse();
  }

  /**
   * Beyond two deviations a slip pulls no harder (Huber): thought pulls back by one over its
   * variance for every step, so it moves 2·0.25²/0.1 and no further.
   */
  @Test
  void aSlipPullsNoHarderThanTwoDeviations() {
    for (double slip : new double[] {6, 60}) {
      ClockEstimate far = fit(fresh(Side.THEN, slip, 0.1));
      assertThat(thickness(far)).isCloseTo(THOUGHT + 2 * SPREAD * SPREAD / 0.1, within(0.05));
      assertThat(far.facts().getFirst().atOdds()).isTrue();
    }
    ClockEstimate thin = fit(fresh(Side.THEN, 0.01, 0.1));
    assertThat(thickness(thin)).isCloseTo(THOUGHT - 2 * SPREAD * SPREAD / 0.1, within(0.05));
    assertThat(thin.facts().getFirst().off()).isGreaterThan(2);
  }

  /**
   * No thicker than so much, with a soft edge: mean and spread of what is thought times the chance
   * that it is so, added up here in ten thousand slices.
   */
  @Test
  void aBoundCutsOffAPartOfWhatIsThought() {
    NormalDistribution normal = new NormalDistribution();
    for (Side side : List.of(Side.AT_MOST, Side.AT_LEAST)) {
      for (double bound : new double[] {0.3, 0.5, 0.6, 0.8, 1.4}) {
        for (double soft : new double[] {0.05, 0.3}) {
          double sign = side == Side.AT_MOST ? 1 : -1;
          DoubleUnaryOperator weight =
              x ->
                  normal.density((x - THOUGHT) / SPREAD)
                      * normal.cumulativeProbability(sign * (Math.log(bound) - x) / soft);
          double all = sum(weight);
          double mean = sum(x -> x * weight.applyAsDouble(x)) / all;
          double variance = sum(x -> (x - mean) * (x - mean) * weight.applyAsDouble(x)) / all;
          ClockEstimate cut = fit(fresh(side, bound, soft));
          assertThat(thickness(cut))
              .as("%s %s ± %s", side, bound, soft)
              .isCloseTo(mean, within(1e-5));
          assertThat(cut.sd(ClockPrior.THICKNESS)).isCloseTo(Math.sqrt(variance), within(1e-5));
          restAsThought(cut);
          double off = (thickness(cut) - Math.log(bound)) / soft;
          assertThat(cut.facts().getFirst().off())
              .isCloseTo(side == Side.AT_MOST ? Math.max(0, off) : Math.min(0, off), within(1e-9));
        }
      }
    }
  }

  /** So far outside that the chance is nothing, what is left lies on the bound, close to it. */
  @Test
  void farOutsideItLiesOnTheBound() {
    ClockEstimate thin = fit(fresh(Side.AT_MOST, 1e-5, 0.01));
    assertThat(thickness(thin)).isCloseTo(Math.log(1e-5), within(0.05));
    assertThat(thin.sd(ClockPrior.THICKNESS)).isBetween(0.0, 0.02);
    ClockEstimate thick = fit(fresh(Side.AT_LEAST, 1e5, 0.01));
    assertThat(thickness(thick)).isCloseTo(Math.log(1e5), within(0.05));
    assertThat(thick.sd(ClockPrior.THICKNESS)).isBetween(0.0, 0.02);
    // On both sides of where the chance is reckoned otherwise it comes to the same.
    double before = thickness(fit(fresh(Side.AT_MOST, 0.6 * Math.exp(-7.45), 0.01)));
    double after = thickness(fit(fresh(Side.AT_MOST, 0.6 * Math.exp(-7.55), 0.01)));
    assertThat(before - after).isCloseTo(0.1, within(1e-3));
    assertThat(fit(fresh(Side.AT_MOST, 0.6 * Math.exp(-7.55), 0.01)).sd(ClockPrior.THICKNESS))
        .isCloseTo(
            fit(fresh(Side.AT_MOST, 0.6 * Math.exp(-7.45), 0.01)).sd(ClockPrior.THICKNESS),
            within(1e-3));
  }

  /** What is known of a clock is told with where it lies 95 times in 100, and what is unusual. */
  @Test
  void theClockTellsWhereItLies() {
    ClockEstimate thick = fit(fresh(Side.THEN, 1.2, 0.1));
    ClockEstimate.ClockPart part = thick.parts().get(ClockPrior.THICKNESS);
    double sd = thick.sd(ClockPrior.THICKNESS);
    assertThat(part.what()).isEqualTo("THICKNESS");
    assertThat(part.value()).isCloseTo(Math.exp(thickness(thick)), within(1e-9));
    assertThat(part.from()).isCloseTo(part.value() * Math.exp(-1.96 * sd), within(1e-9));
    assertThat(part.to()).isCloseTo(part.value() * Math.exp(1.96 * sd), within(1e-9));
    assertThat(part.usual()).isCloseTo(0.6, within(1e-9));
    assertThat(part.unusual()).isTrue();
    assertThat(fit(fresh(Side.THEN, 0.7, 0.1)).parts().get(ClockPrior.THICKNESS).unusual())
        .isFalse();
    ClockEstimate.ClockPart activation = thick.parts().get(ClockPrior.ACTIVATION);
    assertThat(activation.value()).isCloseTo(42, within(1e-3));
    assertThat(activation.to() - activation.value())
        .isCloseTo(1.96 * thick.sd(ClockPrior.ACTIVATION), within(1e-9));
    // A square root of how all of it hangs together, with a bottle's own speed in it.
    double[][] root = thick.root(0.3);
    for (int i = 0; i < ClockPrior.UNKNOWNS; i++) {
      double variance = Arrays.stream(root[i]).map(x -> x * x).sum();
      double own = thick.sd(i) * thick.sd(i) + (i == ClockPrior.SPEED ? 0.09 : 0);
      assertThat(variance).as(ClockPrior.NAMES.get(i)).isCloseTo(own, within(1e-9));
    }
    ClockEstimate slower = thick.at(-5);
    assertThat(slower.mean()[ClockPrior.SPEED]).isEqualTo(-5);
    assertThat(thickness(slower)).isEqualTo(thickness(thick));
  }

  private static double sum(DoubleUnaryOperator of) {
    double sum = 0;
    double from = THOUGHT - 8 * SPREAD;
    double step = 16 * SPREAD / 10_000;
    for (int i = 0; i < 10_000; i++) {
      sum += of.applyAsDouble(from + (i + 0.5) * step) * step;
    }
    return sum;
  }
}
