package calmpour.core.cure;

import calmpour.core.resin.ResinKind;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How one resin reacts, warms itself and thickens.
 *
 * <p>Conversion: dα/dt = exp(lnA − E/RT)·(r + α^m)·(1 − α)^n·d(α, T), the autocatalytic form of
 * Kamal and Sourour, Polymer Engineering and Science 13 (1973) 59, with one activation energy, and
 * d what is left of the rate as the resin turns to glass. Thickness: Castro and Macosko, AIChE
 * Journal 28 (1982) 250. Gel point of a diepoxide with a diamine in the right ratio: Flory,
 * Principles of Polymer Chemistry (1953), and Stockmayer, Journal of Chemical Physics 11 (1943) 45.
 * What a resin of a kind begins with is in {@link ClockPrior}.
 *
 * @param m order in α
 * @param n order in 1 − α
 * @param r share of the reaction that needs no product to begin
 * @param activationKJ E, kJ/mol
 * @param lnA logarithm of the rate's factor, 1/min; found from the label
 * @param heatJPerG heat of the whole reaction, J/g
 * @param heatCapacity J/(g·K)
 * @param viscosity25 of the fresh mix at 25 °C, Pa·s
 * @param flowKJ how thickness follows temperature, kJ/mol
 * @param c1 constant of Castro and Macosko
 * @param c2 the same, per conversion
 * @param gel conversion at which it gels, 0 to 1
 * @param glassCuredC glass point of the fully cured resin, °C
 */
@RecordBuilder
public record Chemistry(
    double m,
    double n,
    double r,
    double activationKJ,
    double lnA,
    double heatJPerG,
    double heatCapacity,
    double viscosity25,
    double flowKJ,
    double c1,
    double c2,
    double gel,
    double glassCuredC)
    implements ChemistryBuilder.With {
  /** J/(mol·K): CODATA 2018, exact. */
  static final double GAS = 8.314462618;

  static final double KELVIN = 273.15;

  /** Gel point 1/√3: two-ended epoxide, four-ended amine, stoichiometric (Flory, Stockmayer). */
  public static final double GEL = 1 / Math.sqrt(3);

  /** Glass point of the fresh mix, of the fully cured one, °C, and DiBenedetto's λ; no source. */
  private static final double GLASS_FRESH_C = -40;

  private static final double GLASS_CURED_C = 60;

  /** Of a polyurethane: a polyol of two or three ends and an isocyanate of two; no source. */
  private static final double GEL_POLYURETHANE = 0.707;

  private static final double GLASS_POLYURETHANE_C = 75;
  private static final double LAMBDA = 0.4;

  /** A resin still reacts slowly until its glass point is that far above it, K; no source. */
  private static final double BEYOND_GLASS = 25;

  /** How sharply the rate ends there: per unit of conversion; no source. */
  private static final double SHARP = 60;

  /** An epoxy. */
  public Chemistry(
      double m,
      double n,
      double r,
      double activationKJ,
      double lnA,
      double heatJPerG,
      double heatCapacity,
      double viscosity25,
      double flowKJ,
      double c1,
      double c2) {
    this(
        m,
        n,
        r,
        activationKJ,
        lnA,
        heatJPerG,
        heatCapacity,
        viscosity25,
        flowKJ,
        c1,
        c2,
        GEL,
        GLASS_CURED_C);
  }

  /** A kind of resin with its own reaction and thickness; everything else as usual. */
  static Chemistry of(
      ResinKind kind,
      double lnA,
      double activationKJ,
      double heatJPerG,
      double r,
      double viscosity25) {
    boolean urethane = kind == ResinKind.POLYURETHANE;
    return new Chemistry(
        1,
        2.2,
        r,
        activationKJ,
        lnA,
        heatJPerG,
        1.9,
        viscosity25,
        48,
        1.6,
        1.0,
        urethane ? GEL_POLYURETHANE : GEL,
        urethane ? GLASS_POLYURETHANE_C : GLASS_CURED_C);
  }

  /** dα/dt, 1/min, at a conversion from 0 to 1. */
  public double rate(double conversion, double temperatureC) {
    double alpha = Math.clamp(conversion, 0, 1);
    double k = Math.exp(lnA - activationKJ * 1_000 / (GAS * (temperatureC + KELVIN)));
    double grown = m == 1 ? alpha : Math.pow(alpha, m);
    double left = n == 2 ? (1 - alpha) * (1 - alpha) : Math.pow(1 - alpha, n);
    return k * (r + grown) * left * mobile(alpha, temperatureC);
  }

  /**
   * The rate and how it changes, for methods that need to know.
   *
   * @param out is filled with dα/dt, 1/min, its derivative by α, 1/min, and by temperature,
   *     1/(min·K)
   */
  void rates(double conversion, double temperatureC, double[] out) {
    // At its ends a power's slope is no number.
    double alpha = Math.clamp(conversion, 1e-9, 1 - 1e-9);
    double rate = rate(alpha, temperatureC);
    double frozen = 1 - mobile(alpha, temperatureC);
    double grown = m == 1 ? alpha : Math.pow(alpha, m);
    double kelvin = temperatureC + KELVIN;
    out[0] = rate;
    out[1] = rate * (m * grown / alpha / (r + grown) - n / (1 - alpha) - SHARP * frozen);
    out[2] =
        rate
            * (activationKJ * 1_000 / (GAS * kelvin * kelvin)
                + SHARP * frozen * glassSlope(temperatureC));
  }

  /** What is left of the rate: 1 in the liquid, 0 in the glass (Chern and Poehlein 1987). */
  private double mobile(double alpha, double temperatureC) {
    return 1 / (1 + Math.exp(SHARP * (alpha - glassConversion(temperatureC))));
  }

  /**
   * Conversion at which the resin turns to glass at a temperature, so that a cold room never fully
   * cures: DiBenedetto's relation, Tg = Tg₀ + (Tg∞ − Tg₀)λα/(1 − (1 − λ)α), solved for α. Journal
   * of Polymer Science B 25 (1987) 1949.
   */
  public double glassConversion(double temperatureC) {
    double share = Math.clamp(glassShare(temperatureC), 0, 1);
    return share / (LAMBDA + (1 - LAMBDA) * share);
  }

  private double glassShare(double temperatureC) {
    return (temperatureC + BEYOND_GLASS - GLASS_FRESH_C) / (glassCuredC - GLASS_FRESH_C);
  }

  /** Of {@link #glassConversion}, 1/K. */
  private double glassSlope(double temperatureC) {
    double share = glassShare(temperatureC);
    double below = LAMBDA + (1 - LAMBDA) * share;
    return share <= 0 || share >= 1 ? 0 : LAMBDA / (below * below) / (glassCuredC - GLASS_FRESH_C);
  }

  /** Thickness, Pa·s; infinite from the gel point on. */
  public double viscosity(double conversion, double temperatureC) {
    if (conversion >= gel) {
      return Double.POSITIVE_INFINITY;
    }
    double alpha = Math.max(0, conversion);
    double warm =
        Math.exp(flowKJ * 1_000 / GAS * (1 / (temperatureC + KELVIN) - 1 / (25 + KELVIN)));
    return viscosity25 * warm * Math.pow(gel / (gel - alpha), c1 + c2 * alpha);
  }
}
