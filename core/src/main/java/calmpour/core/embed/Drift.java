package calmpour.core.embed;

import calmpour.core.cure.CureRun;

/**
 * How a thing rises or sinks in resin that thickens. Slow and small: Stokes (Transactions of the
 * Cambridge Philosophical Society 9 (1851) 8), v = Δρ·g·d²/18η. Quicker: his drag times 1 + 0.15
 * Re^0.687 (Schiller and Naumann, Zeitschrift des VDI 77 (1935) 318). Between walls: slower by ((1
 * − λ)/(1 − 0.475λ))⁴ with λ the size over the width (Francis, Physics 4 (1933) 403).
 */
final class Drift {
  /** Stokes holds below this Reynolds number. */
  static final double SLOW_RE = 0.1;

  /** Standard acceleration of free fall, m/s²: exact by convention. */
  static final double GRAVITY = 9.80665;

  private static final double MM = 1e-3;
  private static final double KG_PER_M3 = 1_000;
  private static final double MM_PER_MIN = 60_000;

  /** The correction for speed settles within a few rounds. */
  private static final int ROUNDS = 40;

  private static final double WIDEST = 0.95;

  private Drift() {}

  /**
   * Stokes' speed in a liquid of 1 Pa·s, mm/min; it goes as one over the thickness.
   *
   * @param diameterMm of a ball of the same volume
   * @param lighterBy density of the mix less its own, g/mL; below 0 it sinks
   */
  static double mmPerFlow(double diameterMm, double lighterBy) {
    double d = diameterMm * MM;
    return lighterBy * KG_PER_M3 * GRAVITY * d * d / 18 * MM_PER_MIN;
  }

  /** Reynolds number of that speed. */
  static double reynolds(
      double diameterMm, double lighterBy, double mixDensity, double viscosityPaS) {
    double speed = Math.abs(mmPerFlow(diameterMm, lighterBy)) / viscosityPaS / MM_PER_MIN;
    return mixDensity * KG_PER_M3 * speed * diameterMm * MM / viscosityPaS;
  }

  /** Speed between walls beside that in the open, 0 to 1. */
  static double betweenWalls(double diameterMm, double acrossMm) {
    double wide = Math.min(WIDEST, diameterMm / acrossMm);
    return Math.pow((1 - wide) / (1 - 0.475 * wide), 4);
  }

  /** Speed beside Stokes' at a thickness, 0 to 1. */
  static double forSpeed(
      double diameterMm, double lighterBy, double mixDensity, double viscosityPaS) {
    if (Double.isInfinite(viscosityPaS)) {
      return 1;
    }
    double stokes = reynolds(diameterMm, lighterBy, mixDensity, viscosityPaS);
    double low = 0;
    double high = 1;
    for (int i = 0; i < ROUNDS; i++) {
      double share = (low + high) / 2;
      double drag = share * (1 + 0.15 * Math.pow(stokes * share, 0.687));
      if (drag > 1) {
        high = share;
      } else {
        low = share;
      }
    }
    return low;
  }

  /**
   * Way of a thing from a minute until the resin has gelled, mm, as if nothing stopped it.
   *
   * @param slowed speed beside Stokes' where it is placed between walls, 0 to 1
   */
  static double untilGel(
      CureRun run,
      double from,
      double diameterMm,
      double lighterBy,
      double density,
      double slowed) {
    double way = 0;
    CureRun.CurvePoint before = run.at(from);
    for (CureRun.CurvePoint point : run.curve()) {
      if (point.minutes() <= from) {
        continue;
      }
      double flow = point.flow() - before.flow();
      // The mean thickness of the stretch, from what flowed through it.
      double thickness = flow > 0 ? (point.minutes() - before.minutes()) / flow : 1e9;
      way += flow * forSpeed(diameterMm, lighterBy, density, thickness);
      before = point;
    }
    return way * Math.abs(mmPerFlow(diameterMm, lighterBy)) * slowed;
  }
}
