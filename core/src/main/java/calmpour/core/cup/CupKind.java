package calmpour.core.cup;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.cure.BodyShape;
import calmpour.core.habit.Habits;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * A kind of cup on the shelf, tapering evenly. Widths are inside.
 *
 * @param use for the whole mix, for one colour, or for either
 * @param outline round or square seen from above; null for round
 * @param material null when nobody has said
 * @param have how many there are; null when nobody has counted
 * @param staysG what stays in it when it is poured out, weighed; null when nobody has
 * @param own how much more or less than that stays in it, learned from cups weighed after the pour;
 *     null for nothing
 * @param ringsMm how far apart the rings on its wall stand, the first as far above its floor; null
 *     for none
 */
@RecordBuilder
public record CupKind(
    String id,
    String name,
    Use use,
    double bottomWidthMm,
    double topWidthMm,
    double heightMm,
    @Nullable Outline outline,
    @Nullable Material material,
    @Nullable Double staysG,
    @Nullable Integer have,
    @Nullable OwnStays own,
    @Nullable Double ringsMm)
    implements CupKindBuilder.With {
  public static final Range HAVE = new Range(1, 10_000);
  public static final Range BOTTOM_WIDTH_MM = new Range(5, 500);
  public static final Range TOP_WIDTH_MM = new Range(5, 500);
  public static final Range HEIGHT_MM = new Range(5, 600);
  public static final Range RINGS_MM = new Range(1, 100);
  public static final Range STAYS_G = new Range(0, 200);

  /** Something always comes out of a cup. */
  private static final double MOST_SHARE = 0.9;

  /** No mix weighs less than that, g/mL. */
  private static final double LIGHTEST_MIX = 1;

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

  /**
   * What it is made of. Cured skins peel out of the first three; wax comes off into the mix. Beside
   * each how much of a mix clings to it, as a share of what clings to polypropylene: silicone can
   * be squeezed out, bare paper drinks (starting values, no source).
   */
  public enum Material {
    POLYPROPYLENE(1),
    POLYETHYLENE(1),
    SILICONE(0.7),
    GLASS(1),
    METAL(1),
    PLAIN_PAPER(1.4),
    WAXED_PAPER(1),
    POLYSTYRENE(1);

    private final double clings;

    Material(double clings) {
      this.clings = clings;
    }
  }

  /** A round cup of a material nobody has noted. */
  public CupKind(
      String id, String name, Use use, double bottomWidthMm, double topWidthMm, double heightMm) {
    this(id, name, use, bottomWidthMm, topWidthMm, heightMm, null, null, null, null, null, null);
  }

  /** A cup of which nobody has counted how many there are. */
  public CupKind(
      String id,
      String name,
      Use use,
      double bottomWidthMm,
      double topWidthMm,
      double heightMm,
      @Nullable Outline outline,
      @Nullable Material material,
      @Nullable Double staysG) {
    this(
        id,
        name,
        use,
        bottomWidthMm,
        topWidthMm,
        heightMm,
        outline,
        material,
        staysG,
        null,
        null,
        null);
  }

  public CupKind {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("use", use)
        .within("bottomWidthMm", bottomWidthMm, BOTTOM_WIDTH_MM)
        .within("topWidthMm", topWidthMm, TOP_WIDTH_MM)
        .within("heightMm", heightMm, HEIGHT_MM)
        .within("staysG", staysG, STAYS_G)
        .within("have", have, HAVE)
        .within("ringsMm", ringsMm, RINGS_MM)
        .orThrow();
    double holdsG = volume(heightMm, bottomWidthMm, topWidthMm, outline) * LIGHTEST_MIX;
    new Check()
        .that(
            staysG == null || staysG < holdsG,
            new Problem("staysG", Problem.Code.CUP_KEEPS_ALL, "" + staysG, 0.0, holdsG))
        .orThrow();
  }

  /** What was learned of it, where it still counts; null for nothing. */
  public @Nullable OwnStays learned() {
    return own != null && Objects.equals(own.ofG(), staysG) ? own : null;
  }

  /** What clings to it: as told, or as many times as much as was learned in this workshop. */
  public Residue residue(Habits habits) {
    Residue told = told(habits);
    OwnStays learned = learned();
    return learned == null
        ? told
        : new Residue(
            told.alwaysG() * learned.times(), Math.min(MOST_SHARE, told.share() * learned.times()));
  }

  /**
   * What is told or reckoned to cling to it: as weighed, or the workshop's habit times how much
   * wall this shape has for what it holds, times its material. The habit is meant for a cup as wide
   * as high.
   */
  public Residue told(Habits habits) {
    if (staysG != null) {
      return new Residue(staysG, 0);
    }
    double more = wallFactor() * (material == null ? 1 : material.clings);
    return new Residue(
        habits.residueG() * more, Math.min(MOST_SHARE, habits.residuePercent() / 100 * more));
  }

  /** Wetted wall and floor, beside those of a round cup as wide as high that holds the same. */
  double wallFactor() {
    double lean = (topWidthMm - bottomWidthMm) / 2;
    double slant = Math.hypot(lean, heightMm);
    // The outline's length for a width of one is four times its area, round or square.
    double wall = 4 * area() * (topWidthMm + bottomWidthMm) / 2 * slant;
    double wetted = wall + area() * bottomWidthMm * bottomWidthMm;
    double same = Math.cbrt(capacityMl() * 1_000 * 4 / Math.PI);
    return wetted / (5 * Math.PI / 4 * same * same);
  }

  /**
   * What it holds to the brim, mL: the frustum of a cone or of a pyramid, V = kh(R² + Rr + r²)/3
   * with R and r the two widths and k = π/4 for round, 1 for square (any handbook of mathematics).
   */
  public double capacityMl() {
    return volumeBelow(heightMm);
  }

  /** What it holds up to that level above its floor, mL. */
  double volumeBelow(double level) {
    return volume(level, bottomWidthMm, widthAt(level), outline);
  }

  private static double volume(
      double level, double below, double above, @Nullable Outline outline) {
    double area = outline == null ? Outline.ROUND.area : outline.area;
    return area * level * (below * below + below * above + above * above) / 3 / 1_000;
  }

  /**
   * A body of resin in it, taken as a round one.
   *
   * @param volumeMl more than 0
   */
  public BodyShape.InCup holding(double volumeMl) {
    double level = levelMm(volumeMl);
    return new BodyShape.InCup(bottomWidthMm, widthAt(level), level);
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
