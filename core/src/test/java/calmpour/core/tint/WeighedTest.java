package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Drops and scoops on the scale, and rounding to what it shows. */
class WeighedTest {
  /**
   * Twenty drops three times: 0.68, 0.70 and 0.72 g have a mean of 0.70 and a deviation of 0.02.
   */
  @Test
  void oneIsTheMeanAndItsSpreadTheSampleDeviation() {
    Weighed drops = new Weighed(20, List.of(0.68, 0.70, 0.72));
    assertThat(drops.eachG()).isCloseTo(0.035, within(1e-12));
    assertThat(drops.spread()).isCloseTo(0.02 / 0.70, within(1e-12));
    assertThat(new Weighed(20, List.of(0.69, 0.71)).spread())
        .isCloseTo(0.02 / Math.sqrt(2) / 0.70, within(1e-12));
    assertThat(new Weighed(20, List.of(0.7)).spread()).isEqualTo(1.0 / 3);
    assertThat(new Weighed(20, List.of(0.7, 0.7)).spread()).isZero();
  }

  @Test
  void whatNoDropWeighsIsRefusedWhereItStands() {
    // Twenty scoops of 40 g are heavy and can be; one of 400 g cannot.
    assertThat(new Weighed(20, List.of(800.0)).eachG()).isEqualTo(40);
    InvalidValuesException refused =
        catchThrowableOfType(
            InvalidValuesException.class, () -> new Weighed(20, List.of(0.7, 8_000.0)));
    assertThat(refused.problems()).extracting(Problem::field).containsExactly("weighingsG[1]");
    assertThatThrownBy(() -> new Weighed(0, List.of(0.7)))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new Weighed(20, List.of())).isInstanceOf(InvalidValuesException.class);
  }

  /** As a display prints it, not 1.2000000000000002. */
  @Test
  void aStepOfAScaleIsWhatItPrints() {
    assertThat(WholeSteps.nearest(1.23, 0.1)).isEqualTo(1.2);
    assertThat(WholeSteps.nearest(0.299, 0.1)).isEqualTo(0.3);
    assertThat(WholeSteps.nearest(0.0173, 0.01)).isEqualTo(0.02);
    assertThat(WholeSteps.nearest(7.34, 0.05)).isEqualTo(7.35);
    assertThat(WholeSteps.nearest(7.31, 0.2)).isEqualTo(7.4);
    assertThat(WholeSteps.nearest(7.31, 1)).isEqualTo(7);
    assertThat(WholeSteps.nearest(7.31, 5)).isEqualTo(5);
    assertThat(WholeSteps.nearest(7.6, 5)).isEqualTo(10);
    // No division of a gram in whole steps: counted in its own.
    assertThat(WholeSteps.nearest(7.31, 0.3)).isCloseTo(7.2, within(1e-12));
  }
}
