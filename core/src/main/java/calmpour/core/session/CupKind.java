package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Range;

/**
 * A kind of cup on the shelf: round, tapering evenly.
 *
 * @param use for the whole mix, for one colour, or for either
 */
public record CupKind(
    String id, String name, Use use, double bottomWidthMm, double topWidthMm, double heightMm) {
  public static final Range BOTTOM_WIDTH_MM = new Range(5, 500);
  public static final Range TOP_WIDTH_MM = new Range(5, 500);
  public static final Range HEIGHT_MM = new Range(5, 600);

  /** What the workshop takes it for. */
  public enum Use {
    MIXING,
    COLOUR,
    EITHER
  }

  public CupKind {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("use", use)
        .within("bottomWidthMm", bottomWidthMm, BOTTOM_WIDTH_MM)
        .within("topWidthMm", topWidthMm, TOP_WIDTH_MM)
        .within("heightMm", heightMm, HEIGHT_MM)
        .orThrow();
  }

  /**
   * What it holds to the brim, mL: the frustum of a cone, V = πh(R² + Rr + r²)/12 with R and r the
   * two widths (any handbook of mathematics).
   */
  public double capacityMl() {
    return volumeBelow(heightMm);
  }

  private double volumeBelow(double level) {
    double r = widthAt(level);
    return Math.PI
        * level
        * (bottomWidthMm * bottomWidthMm + bottomWidthMm * r + r * r)
        / 12
        / 1_000;
  }

  private double widthAt(double level) {
    return bottomWidthMm + (topWidthMm - bottomWidthMm) * level / heightMm;
  }

  /**
   * Height in mm that {@code volumeMl} reaches above the cup's floor; the brim for more than it
   * holds. Half the height of a tapering cup is not half its volume.
   */
  public double levelMm(double volumeMl) {
    if (volumeMl >= capacityMl()) {
      return heightMm;
    }
    double taper = (topWidthMm - bottomWidthMm) / heightMm;
    if (taper == 0) {
      return volumeMl * 1_000 / (Math.PI * bottomWidthMm * bottomWidthMm / 4);
    }
    // The width w at the level solves w³ = b³ + 12·V·taper/π, since V = π(w³ − b³)/(12·taper).
    double cube = Math.pow(bottomWidthMm, 3) + 12 * volumeMl * 1_000 * taper / Math.PI;
    return (Math.cbrt(cube) - bottomWidthMm) / taper;
  }
}
