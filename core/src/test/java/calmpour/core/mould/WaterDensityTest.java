package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WaterDensityTest {
  /**
   * CRC Handbook of Chemistry and Physics, standard density of water at 1 atm; 20 and 25 °C are
   * printed as 0.99821 and 0.99705 g/mL, the others are from memory.
   */
  @ParameterizedTest
  @CsvSource({
    "4, 0.99997",
    "10, 0.99970",
    "15, 0.99910",
    "20, 0.99821",
    "25, 0.99705",
    "30, 0.99565",
    "40, 0.99222"
  })
  void agreesWithTheHandbookTable(double celsius, double gPerMl) {
    assertThat(WaterDensity.gPerMl(celsius)).isCloseTo(gPerMl, within(0.6e-5));
  }

  /** Water is densest just under 4 °C: 3.98 °C in any handbook. */
  @Test
  void isDensestNearFourDegrees() {
    assertThat(WaterDensity.gPerMl(3.98))
        .isGreaterThan(WaterDensity.gPerMl(3.6))
        .isGreaterThan(WaterDensity.gPerMl(4.4));
  }

  @Test
  void refusesIceAndSteam() {
    assertThatThrownBy(() -> WaterDensity.gPerMl(-2)).hasMessageContaining("-2");
    assertThatThrownBy(() -> WaterDensity.gPerMl(Double.NaN)).hasMessageContaining("NaN");
  }
}
