package calmpour.core.resin;

import java.util.List;

/** The readings of "at most so much": four of a percentage, and one of drops. */
public enum LoadingBasis {
  WEIGHT_OF_MIX,
  WEIGHT_OF_RESIN,
  VOLUME_OF_MIX,
  VOLUME_OF_RESIN,
  /** Not a percentage: drops in 10 mL of resin, each colourant with its own drop. */
  DROPS_IN_10_ML;

  /** The four readings of a percentage. */
  public static final List<LoadingBasis> PERCENTAGES =
      List.of(WEIGHT_OF_MIX, WEIGHT_OF_RESIN, VOLUME_OF_MIX, VOLUME_OF_RESIN);

  public boolean byWeight() {
    return this == WEIGHT_OF_MIX || this == WEIGHT_OF_RESIN;
  }

  public boolean ofMix() {
    return this == WEIGHT_OF_MIX || this == VOLUME_OF_MIX;
  }

  /**
   * Grams of an additive in a gram of resin, from a percentage on this basis. With y the amount for
   * one of resin, a share of the mix is y / (1 + y); by volume, y is the bulk volume.
   *
   * @param percent 0 to below 100 of the mix, 0 and more of the resin
   * @param bulkDensity of the additive, g/mL
   * @param resinDensity g/mL of A + B
   * @throws IllegalArgumentException for 100 % of a mix and more, and for drops, which are no
   *     percentage
   */
  public double gPerGResin(double percent, double bulkDensity, double resinDensity) {
    double share = percent / 100;
    if (this == DROPS_IN_10_ML || !(share >= 0) || (ofMix() && share >= 1)) {
      throw new IllegalArgumentException(this + " percent (" + percent + ") must be in [0, 100)");
    }
    double ofResin = ofMix() ? share / (1 - share) : share;
    return byWeight() ? ofResin : ofResin * bulkDensity / resinDensity;
  }

  /**
   * The percentage on this basis of an additive with so many grams in a gram of resin.
   *
   * @throws IllegalArgumentException for drops, which are no percentage
   */
  public double percent(double gPerGResin, double bulkDensity, double resinDensity) {
    if (this == DROPS_IN_10_ML) {
      throw new IllegalArgumentException(this + " is no percentage");
    }
    double ofResin = byWeight() ? gPerGResin : gPerGResin * resinDensity / bulkDensity;
    return 100 * (ofMix() ? ofResin / (1 + ofResin) : ofResin);
  }
}
