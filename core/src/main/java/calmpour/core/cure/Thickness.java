package calmpour.core.cure;

import org.jspecify.annotations.Nullable;

/**
 * How thick a liquid is, as a maker would say it. The bounds lie between things everybody has had
 * in hand: water 0.001, olive oil 0.08, castor oil and glycerol about 1, honey about 10 Pa·s.
 */
public enum Thickness {
  LIKE_WATER(0.02),
  LIKE_OIL(0.4),
  LIKE_SYRUP(CureEngine.POURABLE_PA_S),
  LIKE_HONEY(CureEngine.THICK_PA_S),
  DRAWS_A_THREAD(Double.POSITIVE_INFINITY),
  GEL(Double.NaN);

  private final double below;

  Thickness(double below) {
    this.below = below;
  }

  /**
   * @param viscosityPaS Pa·s, more than 0; null or infinite for a gel
   */
  public static Thickness of(@Nullable Double viscosityPaS) {
    if (viscosityPaS == null || viscosityPaS.isInfinite()) {
      return GEL;
    }
    for (Thickness each : values()) {
      if (viscosityPaS < each.below) {
        return each;
      }
    }
    return DRAWS_A_THREAD;
  }
}
