package calmpour.core.tint;

import java.util.Locale;
import java.util.function.DoubleUnaryOperator;

/**
 * Reflectance in three bands, red, green and blue of sRGB in linear light, 0 to 1.
 *
 * <p>Three bands are what a maker's photograph or colour picker gives; a spectrum would tell more.
 */
public record Rgb(double red, double green, double blue) {
  /** The same reflectance in every band. */
  public static Rgb grey(double reflectance) {
    return new Rgb(reflectance, reflectance, reflectance);
  }

  /**
   * @param hex {@code #rrggbb}, sRGB
   * @throws IllegalArgumentException when it is anything else
   */
  public static Rgb ofHex(String hex) {
    if (hex.length() != 7) {
      throw new IllegalArgumentException("Rgb hex (" + hex + ") must be #rrggbb");
    }
    return new Rgb(band(hex, 1), band(hex, 3), band(hex, 5));
  }

  private static double band(String hex, int at) {
    return linear(Integer.parseInt(hex.substring(at, at + 2), 16) / 255.0);
  }

  /** The transfer curve of sRGB towards linear light: IEC 61966-2-1:1999. */
  static double linear(double encoded) {
    return encoded <= 0.04045 ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
  }

  /** The same curve the other way. */
  static double encoded(double linear) {
    return linear <= 0.0031308 ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  /** As {@code #rrggbb}; beyond what a screen shows it stays at its edge. */
  public String hex() {
    return String.format(Locale.ROOT, "#%02x%02x%02x", step(red), step(green), step(blue));
  }

  private static int step(double linear) {
    return (int) Math.round(255 * encoded(Math.clamp(linear, 0, 1)));
  }

  /** Luminance Y, 0 to 1: the second row of the matrix in IEC 61966-2-1:1999. */
  public double luminance() {
    return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
  }

  /** Every band through one function. */
  Rgb each(DoubleUnaryOperator function) {
    return new Rgb(
        function.applyAsDouble(red), function.applyAsDouble(green), function.applyAsDouble(blue));
  }
}
