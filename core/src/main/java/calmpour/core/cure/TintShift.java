package calmpour.core.cure;

import calmpour.core.tint.Tint;

/**
 * What is stirred in does to the cure: solvent, water and an overdose slow it, and whatever is not
 * resin makes no heat. The factors are starting values without a published source, and are shown as
 * assumed; a journal can put better ones in their place.
 *
 * @param rateFactor of the reaction, up to 1
 * @param heatFactor of the heat per gram of mix, up to 1
 */
public record TintShift(double rateFactor, double heatFactor) {
  public static final TintShift NONE = new TintShift(1, 1);

  /** Slower by this share for every per cent by weight of the mix; no source. */
  static final double PER_PERCENT_SOLVENT = 0.05;

  static final double PER_PERCENT_WATER = 0.03;

  /** And for every per cent beyond a limit. */
  static final double PER_PERCENT_BEYOND = 0.03;

  /** However much is stirred in, no slower than this. */
  static final double SLOWEST = 0.3;

  public TintShift {
    if (!(rateFactor > 0 && rateFactor <= 1) || !(heatFactor > 0 && heatFactor <= 1)) {
      throw new IllegalArgumentException(
          "TintShift rateFactor ("
              + rateFactor
              + ") and heatFactor ("
              + heatFactor
              + ") must be in (0, 1]");
    }
  }

  /** What a tint does that is held at its limits, so that nothing is beyond them. */
  public static TintShift of(Tint tint) {
    return tint.shares().isEmpty()
        ? NONE
        : of(tint.solventPercent(), tint.waterPercent(), 0, tint.inAll().weightOfMix());
  }

  /**
   * @param solventPercent solvent in the mix, by weight
   * @param waterPercent water in the mix, by weight
   * @param beyondPercent how far the loading is beyond its limit, in per cent of the mix; 0 within
   * @param additivesPercent everything that is not A or B, by weight of the mix, below 100
   */
  public static TintShift of(
      double solventPercent, double waterPercent, double beyondPercent, double additivesPercent) {
    double slower =
        PER_PERCENT_SOLVENT * solventPercent
            + PER_PERCENT_WATER * waterPercent
            + PER_PERCENT_BEYOND * Math.max(0, beyondPercent);
    return new TintShift(Math.max(SLOWEST, 1 - slower), 1 - additivesPercent / 100);
  }
}
