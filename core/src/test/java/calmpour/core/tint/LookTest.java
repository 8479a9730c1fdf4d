package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import java.awt.color.ColorSpace;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LookTest {
  /** The JDK's own colour management as reference: sRGB to linear light and to luminance. */
  @ParameterizedTest
  @ValueSource(strings = {"#000000", "#ffffff", "#777777", "#2f5d57", "#b4552d", "#0a0b0c"})
  void colourIsTurnedIntoLightAsTheJdkDoes(String hex) {
    int rgb = Integer.parseInt(hex.substring(1), 16);
    float[] encoded = {(rgb >> 16) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f};
    float[] linear = ColorSpace.getInstance(ColorSpace.CS_LINEAR_RGB).fromRGB(encoded);
    Rgb own = Rgb.ofHex(hex);
    // The JDK works with profiles of eight to sixteen bits.
    assertThat(own.red()).isCloseTo(linear[0], within(4e-3));
    assertThat(own.green()).isCloseTo(linear[1], within(4e-3));
    assertThat(own.blue()).isCloseTo(linear[2], within(4e-3));
    assertThat(own.hex()).isEqualTo(hex);
  }

  /** IEC 61966-2-1: white has luminance 1; #777777 is the grey of about 18 % (L* 50). */
  @Test
  void luminanceOfKnownGreys() {
    assertThat(Rgb.ofHex("#ffffff").luminance()).isCloseTo(1, within(1e-12));
    assertThat(Rgb.ofHex("#777777").luminance()).isCloseTo(0.184, within(1e-3));
  }

  private static Colourant jar(ColourantForm form, String swatch, CuredSwatch chip) {
    Colourant.Jar shelf =
        new Colourant.Jar(null, null, null, null, null, null, null, null, chip, null, null);
    return new Colourant(
        "c", "C", form, swatch, null, null, null, null, null, null, chip == null ? null : shelf);
  }

  private static Tint tint(Colourant colourant, double percent) {
    return Tint.within(List.of(colourant), List.of(percent), 1.1, List.of());
  }

  @Test
  void aPasteHidesAndADyeDoesNot() {
    Look paste = Look.of(tint(jar(ColourantForm.PASTE, "#7a9a5a", null), 3), 8, null);
    Look dye = Look.of(tint(jar(ColourantForm.LIQUID_TINT, "#335577", null), 1), 8, null);
    assertThat(paste.opacityPercent()).isGreaterThan(98);
    assertThat(dye.opacityPercent()).isLessThan(1);
    assertThat(paste.guess()).isTrue();
    assertThat(paste.overBelow()).isNull();
    // What hides looks like its jar, on whatever ground.
    Rgb seen = Rgb.ofHex(paste.overBlack());
    assertThat(seen.green()).isCloseTo(Rgb.ofHex("#7a9a5a").green(), within(0.02));
  }

  /** White makes opaque (common practice, no source), as a liquid too; no dye is white. */
  @Test
  void aLiquidWhiteHides() {
    Look white = Look.of(tint(jar(ColourantForm.LIQUID_TINT, "#f2f2ee", null), 2), 6, null);
    assertThat(white.opacityPercent()).isGreaterThan(80);
    assertThat(white.guess()).isTrue();
  }

  @Test
  void moreOrThickerHidesMore() {
    Colourant mica = jar(ColourantForm.MICA, "#996633", null);
    double before = 0;
    for (double mm : new double[] {0.5, 1, 2, 4, 8}) {
      double opacity = Look.of(tint(mica, 0.5), mm, null).opacityPercent();
      assertThat(opacity).isGreaterThan(before);
      before = opacity;
    }
    assertThat(Look.of(tint(mica, 1), 2, null).opacityPercent())
        .isGreaterThan(Look.of(tint(mica, 0.5), 2, null).opacityPercent());
  }

  /** A chip that was measured gives back its own look, at its own dose and thickness. */
  @Test
  void aCuredChipIsNoGuessAndLooksAsItDid() {
    CuredSwatch chip = new CuredSwatch(2, 3, "#8a6a4c", "#5b4434", "#e7e7e7", "#000000");
    Look look = Look.of(tint(jar(ColourantForm.MICA, "#ff00ff", chip), 2), 3, null);
    assertThat(look.guess()).isFalse();
    assertThat(look.overWhite()).isEqualTo("#8a6a4c");
    assertThat(look.overBlack()).isEqualTo("#5b4434");
    // Over a ground between the two it lies between.
    Look between =
        Look.of(tint(jar(ColourantForm.MICA, "#ff00ff", chip), 2), 3, Rgb.ofHex("#777777"));
    assertThat(Rgb.ofHex(between.overBelow()).luminance())
        .isBetween(Rgb.ofHex("#5b4434").luminance(), Rgb.ofHex("#8a6a4c").luminance());
  }

  /** What is seen through a clear layer is what lies below it; through a dye, darker. */
  @Test
  void aLayerIsSeenOnWhatLiesBelowIt() {
    Tint clear = Tint.within(List.of(), List.of(), 1.1, List.of());
    Rgb below = Rgb.ofHex("#777777");
    assertThat(Look.reflected(clear, 6, below).hex()).isEqualTo("#777777");
    assertThat(Look.of(clear, 6, below).overBelow()).isEqualTo("#777777");
    Tint dye = tint(jar(ColourantForm.LIQUID_TINT, "#335577", null), 1);
    assertThat(Look.reflected(dye, 6, below).luminance()).isLessThan(below.luminance());
    assertThat(Look.reflected(dye, 6, null).luminance())
        .isGreaterThan(Look.reflected(dye, 6, below).luminance());
  }

  @Test
  void aChipThatCannotBeIsToldAtItsField() {
    assertThatThrownBy(() -> new CuredSwatch(2, 3, "#5b4434", "#8a6a4c", null, null))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e -> assertThat(e.problems()).extracting(p -> p.field()).containsExactly("overBlack"));
    assertThatThrownBy(() -> new CuredSwatch(0, 3, "#5b4434", "teal", null, null))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(p -> p.field())
                    .containsExactly("percentOfMix", "overBlack"));
  }
}
