package calmpour.core.tint;

import calmpour.core.tint.KubelkaMunk.Coefficients;

/**
 * Absorption and scattering in three bands, 1/mm; those of a colourant are for one percent of it by
 * weight of the mix, and add up in a mixture (Duncan, Proceedings of the Physical Society 52 (1940)
 * 390–401).
 */
public record Optics(Coefficients red, Coefficients green, Coefficients blue) {
  /** Clear resin. */
  public static final Optics CLEAR =
      new Optics(new Coefficients(0, 0), new Coefficients(0, 0), new Coefficients(0, 0));

  /** No pigment is blacker or whiter than that, so that a picked colour gives finite numbers. */
  private static final double DARKEST = 0.004;

  private static final double LIGHTEST = 0.96;

  /** Depth in which one percent of a dye looks like the colour on its label, mm; no source. */
  private static final double DYE_DEPTH_MM = 10;

  private static final double INK_DEPTH_MM = 4;

  /** What reflects so much in every band is called white. */
  private static final double WHITISH = 0.6;

  private static final Rgb COLOURLESS = new Rgb(LIGHTEST, LIGHTEST, LIGHTEST);

  /** How much a white liquid scatters, per mm and percent; no source. */
  private static final double WHITE_S = 0.8;

  /**
   * A guess from the colour picked for a jar: the look of a hiding depth for what scatters, of one
   * percent in some millimetres over white for a dye. How much each form scatters is a starting
   * value without a source.
   */
  static Optics guess(Colourant colourant) {
    Rgb seen = Rgb.ofHex(colourant.swatch()).each(r -> Math.clamp(r, DARKEST, LIGHTEST));
    Double strength = colourant.shelf() == null ? null : colourant.shelf().strength();
    double times = strength == null ? 1 : strength;
    Optics one =
        switch (colourant.form()) {
          // No dye is white: a white liquid is a pigment that floats in it.
          case LIQUID_TINT -> white(seen) ? hiding(seen, WHITE_S) : dye(seen, DYE_DEPTH_MM);
          case ALCOHOL_INK -> white(seen) ? hiding(seen, WHITE_S) : dye(seen, INK_DEPTH_MM);
          case MICA -> hiding(seen, 0.35);
          case POWDER, CHROME_POWDER -> hiding(seen, 1.5);
          case GLITTER -> hiding(seen, 0.08);
          case FLAKE -> hiding(seen, 0.06);
          case PASTE -> hiding(seen, 1.2);
          case ACRYLIC_PAINT, OIL_PAINT -> hiding(seen, 0.6);
          case FOOD_COLOUR, DYE -> dye(seen, DYE_DEPTH_MM);
          // No colour of their own.
          case SILICONE_OIL, THINNER -> dye(COLOURLESS, DYE_DEPTH_MM);
        };
    return one.times(times);
  }

  private static boolean white(Rgb seen) {
    return Math.min(seen.red(), Math.min(seen.green(), seen.blue())) > WHITISH;
  }

  private static Optics dye(Rgb seen, double depthMm) {
    Rgb k = seen.each(r -> -Math.log(r) / (2 * depthMm));
    return new Optics(
        new Coefficients(k.red(), 0),
        new Coefficients(k.green(), 0),
        new Coefficients(k.blue(), 0));
  }

  /** K/S of a hiding layer is (1 − R)² / 2R: Kubelka and Munk (1931). */
  private static Optics hiding(Rgb seen, double s) {
    Rgb k = seen.each(r -> s * (1 - r) * (1 - r) / (2 * r));
    return new Optics(
        new Coefficients(k.red(), s),
        new Coefficients(k.green(), s),
        new Coefficients(k.blue(), s));
  }

  Optics times(double factor) {
    return new Optics(times(red, factor), times(green, factor), times(blue, factor));
  }

  private static Coefficients times(Coefficients c, double factor) {
    return new Coefficients(c.k() * factor, c.s() * factor);
  }

  Optics plus(Optics other) {
    return new Optics(plus(red, other.red), plus(green, other.green), plus(blue, other.blue));
  }

  private static Coefficients plus(Coefficients a, Coefficients b) {
    return new Coefficients(a.k() + b.k(), a.s() + b.s());
  }

  /** What a layer of it reflects on a ground. */
  Rgb over(Rgb ground, double thicknessMm) {
    return new Rgb(
        KubelkaMunk.reflectance(red, thicknessMm, ground.red()),
        KubelkaMunk.reflectance(green, thicknessMm, ground.green()),
        KubelkaMunk.reflectance(blue, thicknessMm, ground.blue()));
  }
}
