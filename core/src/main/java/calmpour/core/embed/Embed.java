package calmpour.core.embed;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A thing that is put into resin, each alike. Two of mass, volume and density tell the third.
 *
 * @param massG of one, g
 * @param volumeMl of one, by the water that it displaces, mL
 * @param density g/mL
 * @param dry whether it has been dried or sealed; null for unknown
 * @param pointed whether it can poke through a dusted or painted surface
 * @param face which side is to be seen, in the maker's words
 * @param left how many are on the shelf
 * @param lengthMm longest side as it lies or stands in a piece
 * @param heightMm from its lowest to its highest point, as it lies or stands there
 * @param widthMm its other side as it lies there
 */
public record Embed(
    String id,
    String name,
    @Nullable Double massG,
    @Nullable Double volumeMl,
    @Nullable Double density,
    @Nullable Boolean dry,
    @Nullable Boolean pointed,
    @Nullable String face,
    @Nullable Integer left,
    @Nullable Double lengthMm,
    @Nullable Double heightMm,
    @Nullable Double widthMm) {
  public static final Range WIDTH_MM = new Range(0.1, 2_000);
  public static final Range LENGTH_MM = new Range(0.1, 2_000);
  public static final Range HEIGHT_MM = new Range(0.05, 500);
  public static final Range MASS_G = new Range(0.0005, 5_000);
  public static final Range VOLUME_ML = new Range(0.0005, 5_000);
  public static final Range DENSITY = new Range(0.01, 22.7);
  public static final Range LEFT = new Range(0, 1_000_000);
  private static final int FACE_LENGTH = 200;

  /** One that nobody has measured. */
  public Embed(
      String id,
      String name,
      @Nullable Double massG,
      @Nullable Double volumeMl,
      @Nullable Double density,
      @Nullable Boolean dry,
      @Nullable Boolean pointed,
      @Nullable String face,
      @Nullable Integer left) {
    this(id, name, massG, volumeMl, density, dry, pointed, face, left, null, null, null);
  }

  public Embed {
    Check check =
        new Check()
            .name("id", id)
            .name("name", name)
            .within("massG", massG, MASS_G)
            .within("volumeMl", volumeMl, VOLUME_ML)
            .within("density", density, DENSITY)
            .within("left", left, LEFT)
            .within("lengthMm", lengthMm, LENGTH_MM)
            .within("heightMm", heightMm, HEIGHT_MM)
            .within("widthMm", widthMm, WIDTH_MM)
            .atMost("face", face, FACE_LENGTH);
    int given = (massG == null ? 0 : 1) + (volumeMl == null ? 0 : 1) + (density == null ? 0 : 1);
    check.that(given >= 2, Problem.of("volumeMl", Problem.Code.TWO_OF_THREE, null)).orThrow();
    if (given == 3) {
      double told = known(massG) / known(volumeMl);
      double is = known(density);
      check.that(
          Math.abs(told / is - 1) <= 0.05,
          Problem.outside("density", Problem.Code.DISAGREES, is, new Range(told, told)));
    } else if (density == null) {
      double worked = known(massG) / known(volumeMl);
      check.that(
          DENSITY.contains(worked),
          Problem.outside("massG", Problem.Code.NO_SUCH_DENSITY, worked, DENSITY));
    }
    check.orThrow();
  }

  /** Volume that one displaces, mL. */
  public double displacesMl() {
    return volumeMl != null ? volumeMl : known(massG) / known(density);
  }

  /** g/mL. */
  public double knownDensity() {
    return density != null ? density : known(massG) / known(volumeMl);
  }

  /** What becomes of it when it is let go in a mix. */
  public enum Tendency {
    FLOATS,
    HOVERS,
    SINKS
  }

  /**
   * Archimedes: what is lighter than the mix rises.
   *
   * @param mixDensity g/mL
   */
  public Tendency in(double mixDensity) {
    return tendency(knownDensity(), mixDensity);
  }

  /** The same for anything of that density, g/mL. */
  static Tendency tendency(double density, double mixDensity) {
    double ratio = density / mixDensity;
    // Within two per cent it hangs about: densities are not known any better.
    return ratio > 1.02 ? Tendency.SINKS : ratio < 0.98 ? Tendency.FLOATS : Tendency.HOVERS;
  }
}
