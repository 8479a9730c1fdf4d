package calmpour.core.mould;

/**
 * A liquid that stands above the rim of an opening, held back by its skin.
 *
 * <p>Height: a narrow surface is a part of a ball (a cylinder, over a long opening), {@code h = a
 * tan(θ/2)}; a wide one is a puddle, {@code h = 2 λ sin(θ/2)} with the capillary length {@code λ =
 * √(γ/ρg)} (P.-G. de Gennes, F. Brochard-Wyart, D. Quéré, Capillarity and Wetting Phenomena, 2004,
 * ch. 2); between them the two are joined by their inverse cubes, which keeps within a tenth of the
 * Young–Laplace equation. Volume: the same equation for a flat surface, whose solutions are Bessel
 * functions over a round opening and hyperbolic cosines over a long one.
 */
public final class Meniscus {
  /** Surface tension of uncured epoxy, N/m: from memory, 0.040 to 0.047. */
  static final double TENSION = 0.043;

  /**
   * Angle at which it begins to creep over silicone, by Girifalco, Good and Fowkes: cos θ = 2
   * √(γs/γ) − 1 (F. M. Fowkes, Ind. Eng. Chem. 56 (1964) 40–52), with 0.021 N/m for the rubber
   * (from memory).
   */
  static final double ANGLE = Math.acos(2 * Math.sqrt(0.021 / TENSION) - 1);

  private static final double GRAVITY = 9.806_65;

  /** An opening whose half width by its length is less than that share of a circle's is long. */
  private static final double LONG = 0.6;

  /** Beyond so many capillary lengths a surface is flat but for its edge. */
  private static final double FLAT = 60;

  private final double areaMm2;
  private final double acrossMm;
  private final boolean round;
  private final double capillaryMm;

  private Meniscus(double areaMm2, double acrossMm, boolean round, double density) {
    this.areaMm2 = areaMm2;
    this.acrossMm = acrossMm;
    this.round = round;
    this.capillaryMm = Math.sqrt(TENSION / (density * 1_000 * GRAVITY)) * 1_000;
  }

  /**
   * @param areaMm2 of the opening, more than 0
   * @param lengthMm its longer side; 0 where nobody knows
   * @param density of the liquid, g/mL
   */
  public static Meniscus over(double areaMm2, double lengthMm, double density) {
    double radius = Math.sqrt(areaMm2 / Math.PI);
    double half = lengthMm > 0 ? areaMm2 / (2 * lengthMm) : radius;
    boolean round = half >= LONG * radius;
    return new Meniscus(areaMm2, round ? radius : half, round, density);
  }

  /** How high it stands before it runs over, mm. */
  public double highestMm() {
    double narrow = acrossMm * Math.tan(ANGLE / 2);
    double wide = 2 * capillaryMm * Math.sin(ANGLE / 2);
    return Math.pow(Math.pow(narrow, -3) + Math.pow(wide, -3), -1.0 / 3);
  }

  /** Above the rim, mL, of a dome so high in its middle. */
  public double volumeMl(double heightMm) {
    return areaMm2 * heightMm * fullness() / 1_000;
  }

  /** How high so much stands above the rim, mm. */
  public double heightMm(double volumeMl) {
    return volumeMl * 1_000 / (areaMm2 * fullness());
  }

  /** Its mean height as a share of the highest: half for a cap, nearly all for a wide puddle. */
  public double fullness() {
    double x = Math.min(FLAT, acrossMm / capillaryMm);
    if (round) {
      double zero = bessel(0, x);
      return (zero - 2 * bessel(1, x) / x) / (zero - 1);
    }
    return (Math.cosh(x) - Math.sinh(x) / x) / (Math.cosh(x) - 1);
  }

  /** Modified Bessel function of the first kind, by its series. */
  private static double bessel(int order, double x) {
    double term = order == 0 ? 1 : x / 2;
    double sum = term;
    for (int k = 1; term > sum * 1e-16; k++) {
      term *= x * x / 4 / k / (k + order);
      sum += term;
    }
    return sum;
  }
}
