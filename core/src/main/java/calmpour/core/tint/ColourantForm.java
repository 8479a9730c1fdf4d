package calmpour.core.tint;

/**
 * What a colourant is, with the starting values used where nobody measured it (no source).
 *
 * <p>Bulk density serves scoops and limits by volume; true density serves the fill, because the
 * resin runs in between the grains.
 */
public enum ColourantForm {
  MICA(0.3, 2.8, false),
  POWDER(0.3, 2.8, false),
  CHROME_POWDER(0.3, 2.8, false),
  GLITTER(0.6, 1.4, false),
  FLAKE(0.6, 1.4, false),
  PASTE(1.3, 1.3, false),
  LIQUID_TINT(1.05, 1.05, true),
  ALCOHOL_INK(0.85, 0.85, true),
  ACRYLIC_PAINT(1.2, 1.2, true),
  /** Hobby paint on oil: brings up bubbles. */
  OIL_PAINT(1.1, 1.1, true),
  /** Powder or in oil, never in water. */
  FOOD_COLOUR(0.5, 1.5, false),
  /** A drop or two, for cells; it may age the resin. */
  SILICONE_OIL(0.97, 0.97, true),
  /** Stains a mould of rubber. */
  DYE(0.9, 0.9, true),
  /** Alcohol or the like, to make the mix run like honey: no colour, all solvent. */
  THINNER(0.79, 0.79, true);

  private final double bulkDensity;
  private final double trueDensity;
  private final boolean liquid;

  ColourantForm(double bulkDensity, double trueDensity, boolean liquid) {
    this.bulkDensity = bulkDensity;
    this.trueDensity = trueDensity;
    this.liquid = liquid;
  }

  public double assumedBulkDensity() {
    return bulkDensity;
  }

  public double assumedTrueDensity() {
    return trueDensity;
  }

  /** Counted in drops, and under the limit for liquids. */
  public boolean liquid() {
    return liquid;
  }

  /** Solvent altogether, where nobody says how much of it. */
  public boolean allSolvent() {
    return this == ALCOHOL_INK || this == THINNER;
  }

  /** Counted in scoops, and slower to stir in. */
  public boolean dry() {
    return !liquid && this != PASTE;
  }
}
