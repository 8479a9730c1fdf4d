package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.color.ColorSpace;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class TogetherTest {
  /** The JDK's own colour management, under D50: hues agree to a few degrees where there is any. */
  @Test
  void huesAreThoseOfAColourManagement() {
    ColorSpace srgb = ColorSpace.getInstance(ColorSpace.CS_sRGB);
    double[] white = lab(srgb.toCIEXYZ(new float[] {1, 1, 1}), null);
    Random random = new Random(20_261_128);
    int compared = 0;
    for (int i = 0; i < 400; i++) {
      String hex = String.format("#%06x", random.nextInt(0x1000000));
      Hue hue = Hue.of(Rgb.ofHex(hex));
      if (hue.chroma() < 25) {
        continue;
      }
      compared++;
      float[] rgb = new float[3];
      for (int b = 0; b < 3; b++) {
        rgb[b] = Integer.parseInt(hex.substring(1 + 2 * b, 3 + 2 * b), 16) / 255f;
      }
      double[] lab = lab(srgb.toCIEXYZ(rgb), white);
      double angle = (Math.toDegrees(Math.atan2(lab[2], lab[1])) + 360) % 360;
      double apart = Math.abs(angle - hue.degrees());
      assertThat(Math.min(apart, 360 - apart)).as(hex).isLessThan(15);
      assertThat(hue.lightness()).as(hex).isCloseTo(lab[0], within(4.0));
    }
    assertThat(compared).isGreaterThan(200);
  }

  /** XYZ of white where none is given, else L*, a*, b* against it (CIE 15:2004, 8.2.1). */
  private static double[] lab(float[] xyz, double[] white) {
    if (white == null) {
      return new double[] {xyz[0], xyz[1], xyz[2]};
    }
    double[] f = new double[3];
    for (int i = 0; i < 3; i++) {
      double t = xyz[i] / white[i];
      f[i] = t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16.0 / 116;
    }
    return new double[] {116 * f[1] - 16, 500 * (f[0] - f[1]), 200 * (f[1] - f[2])};
  }

  /** Blue and orange, red and green face each other; grey goes with what there is. */
  @Test
  void neighboursBlendAndOppositesContrast() {
    List<String> own =
        List.of("#1f4fa3", "#d97a1f", "#e0b020", "#2f7d4f", "#b3202c", "#8a8a88", "#5a3fa0");
    Together<String> blue = Together.with("#1f4fa3", own, c -> c);
    assertThat(blue.neighbours()).containsExactly("#5a3fa0");
    assertThat(blue.opposites()).contains("#e0b020").doesNotContain("#1f4fa3", "#2f7d4f");
    assertThat(blue.quiet()).containsExactly("#8a8a88");
    Together<String> orange = Together.with("#d97a1f", own, c -> c);
    assertThat(orange.neighbours()).contains("#e0b020", "#b3202c");
    assertThat(Together.with("#777777", own, c -> c).opposites()).isEmpty();
    assertThat(Together.with("#777777", own, c -> c).neighbours()).hasSize(3);
  }

  /**
   * With grey the strongest colours; else the neighbours nearest to 30°, the most opposite first.
   */
  @Test
  void whatGoesBestStandsFirst() {
    Random random = new Random(20_261_129);
    int ordered = 0;
    for (int i = 0; i < 200; i++) {
      List<String> own =
          random.ints(14, 0, 0x1000000).mapToObj(c -> String.format("#%06x", c)).toList();
      Hue of = Hue.of(Rgb.ofHex("#1f4fa3"));
      Together<String> blue = Together.with("#1f4fa3", own, c -> c);
      List<Double> beside = turns(blue.neighbours(), of);
      List<Double> across = turns(blue.opposites(), of);
      assertThat(beside.stream().map(t -> Math.abs(t - 30)).toList()).isSorted();
      assertThat(across.stream().map(t -> -t).toList()).isSorted();
      assertThat(beside).allMatch(t -> t >= 8 && t <= 60).hasSizeLessThanOrEqualTo(3);
      assertThat(across).allMatch(t -> t >= 140).hasSizeLessThanOrEqualTo(3);
      long besides =
          own.stream()
              .map(c -> Hue.of(Rgb.ofHex(c)))
              .filter(h -> !h.grey())
              .mapToDouble(h -> h.from(of))
              .filter(t -> t > 8 && t < 60)
              .count();
      assertThat(beside).hasSize((int) Math.min(3, besides));
      ordered += beside.size() > 1 && across.size() > 1 ? 1 : 0;
      List<Double> strong =
          Together.with("#808080", own, c -> c).neighbours().stream()
              .map(c -> Hue.of(Rgb.ofHex(c)).chroma())
              .toList();
      assertThat(strong.stream().map(c -> -c).toList()).isSorted();
      double most =
          own.stream().mapToDouble(c -> Hue.of(Rgb.ofHex(c)).chroma()).max().orElseThrow();
      assertThat(strong.getFirst()).isEqualTo(most);
    }
    assertThat(ordered).isGreaterThan(50);
    // Its own name in other letters is the same colour; a grey one has no hue to blend with.
    assertThat(Together.with("#1f4fa3", List.of("#1F4FA3", "#858585"), c -> c))
        .isEqualTo(new Together<>(List.of(), List.of(), List.of("#858585")));
    assertThat(Together.with("#777777", List.of("#858585"), c -> c).neighbours()).isEmpty();
  }

  private static List<Double> turns(List<String> some, Hue of) {
    return some.stream().map(c -> Hue.of(Rgb.ofHex(c)).from(of)).toList();
  }
}
