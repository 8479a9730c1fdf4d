package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class HalvingRuleTest {
  /** 40 minutes for 100 g at 24 °C. */
  private static final ResinSystem RESIN = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);

  private static final BodyShape CUP = new BodyShape.InCup(40, 50, 40);

  private static BodyHistory.Segment segment(double minutes, double massG, double roomC) {
    return new BodyHistory.Segment(minutes, massG, CUP, roomC);
  }

  private static double end(BodyHistory.Segment... segments) {
    BodyHistory body = new BodyHistory(segments[0].surroundingsC(), List.of(segments));
    return new HalvingRule().states(RESIN, body).workingTimeEnds().minutes();
  }

  /** Common practice, no source: half the working time for every 10 °C more. */
  @Test
  void meetsTheLabelAndHalvesForTenDegrees() {
    assertThat(end(segment(0, 100, 24))).isCloseTo(40, within(1e-9));
    assertThat(end(segment(0, 100, 34))).isCloseTo(20, within(1e-9));
    assertThat(end(segment(0, 100, 14))).isCloseTo(80, within(1e-9));
  }

  /** Common practice, no source: bigger is faster. */
  @Test
  void aSmallerCupLastsLonger() {
    assertThat(end(segment(0, 25, 24))).isCloseTo(49, within(1e-9));
    assertThat(end(segment(0, 400, 24))).isLessThan(40);
  }

  /** Half a life at one rate and half at another: worked by hand. */
  @Test
  void theLifeUsedUpInTheMixingCupIsGone() {
    assertThat(end(segment(20, 100, 24), segment(0, 100, 34))).isCloseTo(30, within(1e-9));
    assertThat(end(segment(60, 100, 24), segment(0, 25, 24)))
        .as("a cup that thickens before it is split gains nothing")
        .isCloseTo(40, within(1e-9));
  }

  @Property(seed = "20261123")
  void splittingEarlierNeverShortensTheWorkingTime(
      @ForAll @DoubleRange(min = 0, max = 30) double early,
      @ForAll @DoubleRange(min = 0, max = 30) double later,
      @ForAll @DoubleRange(min = 10, max = 400) double whole,
      @ForAll @DoubleRange(min = 0.05, max = 1) double share) {
    double small = whole * share;
    double first = Math.min(early, later);
    double second = Math.max(early, later);
    assertThat(end(segment(first, whole, 22), segment(0, small, 22)))
        .isGreaterThanOrEqualTo(end(segment(second, whole, 22), segment(0, small, 22)) - 1e-9);
  }

  @Test
  void theSpreadHoldsTheMomentAndGelComesAfterThick() {
    CureStates states =
        new HalvingRule().states(RESIN, new BodyHistory(21, List.of(segment(0, 60, 21))));
    assertThat(states.workingTimeEnds().earliestMinutes())
        .isLessThan(states.workingTimeEnds().minutes());
    assertThat(states.workingTimeEnds().latestMinutes())
        .isGreaterThan(states.workingTimeEnds().minutes());
    assertThat(states.gels().minutes()).isGreaterThan(states.workingTimeEnds().minutes());
  }
}
