package calmpour.core.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.cup.CupKind;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class CupKindTest {
  private static CupKind cup(double bottom, double top, double height) {
    return new CupKind("c", "Cup", CupKind.Use.EITHER, bottom, top, height);
  }

  @Test
  void aStraightCupIsACylinder() {
    // π · 2.5² · 8 cm³
    assertThat(cup(50, 50, 80).capacityMl()).isCloseTo(157.079_632_7, within(1e-6));
    assertThat(cup(50, 50, 80).levelMm(157.079_632_7 / 2)).isCloseTo(40, within(1e-6));
  }

  /** Common practice, no source: unmarked cups taper, so half the height is not half the volume. */
  @Test
  void halfTheHeightOfATaperingCupIsLessThanHalf() {
    CupKind cup = cup(40, 60, 60);
    assertThat(cup.levelMm(cup.capacityMl() / 2)).isGreaterThan(30);
  }

  @Property(seed = "20261123")
  void theLevelAgreesWithThinSlicesAddedUp(
      @ForAll @DoubleRange(min = 10, max = 100) double bottom,
      @ForAll @DoubleRange(min = 10, max = 100) double top,
      @ForAll @DoubleRange(min = 20, max = 150) double height,
      @ForAll @DoubleRange(min = 0.05, max = 0.95) double share) {
    CupKind cup = cup(bottom, top, height);
    double volume = cup.capacityMl() * share;
    double level = cup.levelMm(volume);
    int slices = 2_000;
    double sum = 0;
    for (int i = 0; i < slices; i++) {
      double at = level * (i + 0.5) / slices;
      double width = bottom + (top - bottom) * at / height;
      sum += Math.PI * width * width / 4 * (level / slices) / 1_000;
    }
    // The midpoint rule errs by a part in slices².
    assertThat(sum).isCloseTo(volume, within(volume * 1e-5));
  }
}
