package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A kind of cup on the shelf, tapering evenly. Widths are inside.
 *
 * @param use for the whole mix, for one colour, or for either
 * @param outline round or square seen from above; null for round
 * @param material null when nobody has said
 */
public record CupKind(
    String id,
    String name,
    Use use,
    double bottomWidthMm,
    double topWidthMm,
    double heightMm,
    @Nullable Outline outline,
    @Nullable Material material) {
  public static final Range BOTTOM_WIDTH_MM = new Range(5, 500);
  public static final Range TOP_WIDTH_MM = new Range(5, 500);
  public static final Range HEIGHT_MM = new Range(5, 600);

  /** What the workshop takes it for. */
  public enum Use {
    MIXING,
    COLOUR,
    EITHER
  }

  /** Seen from above. */
  public enum Outline {
    ROUND(Math.PI / 4),
    SQUARE(1);

    private final double area;

    Outline(double area) {
      this.area = area;
    }
  }

  /** What it is made of. Cured skins peel out of the first three; wax comes off into the mix. */
  public enum Material {
    POLYPROPYLENE,
    POLYETHYLENE,
    SILICONE,
    GLASS,
    METAL,
    PLAIN_PAPER,
    WAXED_PAPER,
    POLYSTYRENE
  }

  /** A round cup of a material nobody has noted. */
  public CupKind(
      String id, String name, Use use, double bottomWidthMm, double topWidthMm, double heightMm) {
    this(id, name, use, bottomWidthMm, topWidthMm, heightMm, null, null);
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
   * What it holds to the brim, mL: the frustum of a cone or of a pyramid, V = kh(R² + Rr + r²)/3
   * with R and r the two widths and k = π/4 for round, 1 for square (any handbook of mathematics).
   */
  public double capacityMl() {
    return volumeBelow(heightMm);
  }

  private double volumeBelow(double level) {
    double r = widthAt(level);
    return area() * level * (bottomWidthMm * bottomWidthMm + bottomWidthMm * r + r * r) / 3 / 1_000;
  }

  /** Area of the outline for a width of one. */
  private double area() {
    return outline == null ? Outline.ROUND.area : outline.area;
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
      return volumeMl * 1_000 / (area() * bottomWidthMm * bottomWidthMm);
    }
    // The width w at the level solves w³ = b³ + 3·V·taper/k, since V = k(w³ − b³)/(3·taper).
    double cube = Math.pow(bottomWidthMm, 3) + 3 * volumeMl * 1_000 * taper / area();
    return (Math.cbrt(cube) - bottomWidthMm) / taper;
  }
}
