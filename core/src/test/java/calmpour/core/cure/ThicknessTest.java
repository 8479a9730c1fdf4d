package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * Words for thickness against liquids of the handbook, 20 °C: water 1.0016 mPa·s (IAPWS 2008; CRC
 * Handbook), castor oil 0.986 and glycerol 1.412 Pa·s (CRC Handbook, from memory); olive oil 0.084
 * and honey about 10 Pa·s (from memory).
 */
class ThicknessTest {
  @Test
  void wordsFitWhatTheHandbookSays() {
    assertThat(Thickness.of(1.0016e-3)).isEqualTo(Thickness.LIKE_WATER);
    assertThat(Thickness.of(0.084)).isEqualTo(Thickness.LIKE_OIL);
    assertThat(Thickness.of(0.986)).isEqualTo(Thickness.LIKE_SYRUP);
    assertThat(Thickness.of(1.412)).isEqualTo(Thickness.LIKE_SYRUP);
    assertThat(Thickness.of(10.0)).isEqualTo(Thickness.LIKE_HONEY);
    assertThat(Thickness.of(80.0)).isEqualTo(Thickness.DRAWS_A_THREAD);
    assertThat(Thickness.of(Double.POSITIVE_INFINITY)).isEqualTo(Thickness.GEL);
    assertThat(Thickness.of(null)).isEqualTo(Thickness.GEL);
  }
}
