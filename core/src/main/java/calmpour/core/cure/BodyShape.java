package calmpour.core.cure;

/** How a body of resin lies, which decides how it loses its heat. */
public sealed interface BodyShape {
  /** In a round cup; widths and depth of the resin itself, mm. */
  record InCup(double bottomWidthMm, double topWidthMm, double depthMm) implements BodyShape {}

  /** A fill in a mould: open area in cm², depth in mm. */
  record InMould(double areaCm2, double depthMm) implements BodyShape {}
}
