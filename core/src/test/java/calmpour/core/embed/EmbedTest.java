package calmpour.core.embed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.tint.Weighed;
import java.util.List;
import org.junit.jupiter.api.Test;

class EmbedTest {
  private static Embed embed(Double massG, Double volumeMl, Double density) {
    return new Embed("e", "Thing", massG, volumeMl, density, null, null, null, null);
  }

  /** Brass 8.4 to 8.7, birch 0.6 to 0.7 g/mL: any handbook of materials, from memory. */
  @Test
  void brassSinksAndBirchFloats() {
    assertThat(embed(1.65, null, 8.45).in(1.1)).isEqualTo(Embed.Tendency.SINKS);
    assertThat(embed(0.62, 0.98, null).in(1.1)).isEqualTo(Embed.Tendency.FLOATS);
    assertThat(embed(1.1, 1.0, null).in(1.1)).isEqualTo(Embed.Tendency.HOVERS);
    assertThat(embed(1.65, null, 8.45).displacesMl()).isCloseTo(0.19527, within(1e-5));
  }

  @Test
  void twoOfThreeAreNeededAndThreeHaveToAgree() {
    assertThatThrownBy(() -> embed(1.0, null, null)).isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> embed(10.0, 1.0, 8.0)).isInstanceOf(InvalidValuesException.class);
    assertThat(embed(8.2, 1.0, 8.0).knownDensity()).isEqualTo(8.0);
    assertThatThrownBy(() -> embed(100.0, 1.0, null)).isInstanceOf(InvalidValuesException.class);
  }

  /** Sample standard deviation of 0.61, 0.63, 0.62: 0.01 (worked by hand). */
  @Test
  void twentyDropsThriceTellOneWithItsSpread() {
    Weighed drops = new Weighed(20, List.of(0.61, 0.63, 0.62));
    assertThat(drops.eachG()).isCloseTo(0.031, within(1e-12));
    assertThat(drops.spread()).isCloseTo(0.01 / 0.62, within(1e-9));
    assertThatThrownBy(() -> new Weighed(20, List.of(0.0)))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new Weighed(20, List.of())).isInstanceOf(InvalidValuesException.class);
  }
}
