package calmpour.core.tint;

/**
 * Where a colour lies round the colour wheel, as the eye sees it.
 *
 * <p>CIELAB of sRGB under D65: CIE 15:2004, section 8.2.1, over the matrix of IEC 61966-2-1:1999.
 *
 * @param degrees 0 to 360, about 40 for red, 100 yellow, 150 green, 280 blue
 * @param chroma how far from grey, 0 to about 130
 * @param lightness 0 to 100
 */
public record Hue(double degrees, double chroma, double lightness) {
  /** What is nearer to grey than that goes with everything (starting value, no source). */
  private static final double GREY = 10;

  /** White of D65 for two degrees, Y = 1: IEC 61966-2-1:1999. */
  private static final double WHITE_X = 0.9505;

  private static final double WHITE_Z = 1.0890;

  public static Hue of(Rgb colour) {
    double r = colour.red();
    double g = colour.green();
    double b = colour.blue();
    double x = root((0.4124 * r + 0.3576 * g + 0.1805 * b) / WHITE_X);
    double y = root(colour.luminance());
    double z = root((0.0193 * r + 0.1192 * g + 0.9505 * b) / WHITE_Z);
    double alongA = 500 * (x - y);
    double alongB = 200 * (y - z);
    double angle = Math.toDegrees(Math.atan2(alongB, alongA));
    return new Hue((angle + 360) % 360, Math.hypot(alongA, alongB), 116 * y - 16);
  }

  /** The cube root of CIE 15:2004, straight below (6/29)³. */
  private static double root(double t) {
    double knee = 6.0 / 29;
    return t > knee * knee * knee ? Math.cbrt(t) : t / (3 * knee * knee) + 4.0 / 29;
  }

  public boolean grey() {
    return chroma < GREY;
  }

  /** How far round the wheel another lies, 0 to 180. */
  public double from(Hue other) {
    double apart = Math.abs(degrees - other.degrees) % 360;
    return Math.min(apart, 360 - apart);
  }
}
