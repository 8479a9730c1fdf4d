package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/**
 * Cases of rules.md, "What is left over, in words"; the quantiles beside a statistics library's.
 */
class LeftInCupsTest {
  private static LeftInCups.OfEvening evening(double planned, double real) {
    return new LeftInCups.OfEvening(planned, real);
  }

  @Test
  void saysNothingOfTwoEveningsAndLittleOfASpilledCup() {
    List<LeftInCups.OfEvening> evenings = new ArrayList<>(List.of(evening(8, 6), evening(8, 7)));
    assertThat(LeftInCups.of(evenings)).isEmpty();
    evenings.add(evening(9, 60));
    assertThat(LeftInCups.of(evenings).orElseThrow())
        .extracting(LeftInCups::plannedPercent, LeftInCups::realPercent, LeftInCups::evenings)
        .containsExactly(8.0, 7.0, 3);
  }

  @Test
  void isTheMiddleHalfOfManyEvenings() {
    SplittableRandom chance = new SplittableRandom(20_261_129);
    for (int of : List.of(3, 4, 17, 60)) {
      List<LeftInCups.OfEvening> evenings = new ArrayList<>();
      double[] real = new double[of];
      for (int i = 0; i < of; i++) {
        real[i] = chance.nextDouble(2, 20);
        evenings.add(evening(8, real[i]));
      }
      Percentile library = new Percentile().withEstimationType(Percentile.EstimationType.R_7);
      LeftInCups left = LeftInCups.of(evenings).orElseThrow();
      assertThat(left.realPercent()).isCloseTo(library.evaluate(real, 50), within(1e-9));
      assertThat(left.lowestPercent()).isCloseTo(library.evaluate(real, 25), within(1e-9));
      assertThat(left.highestPercent()).isCloseTo(library.evaluate(real, 75), within(1e-9));
    }
  }
}
