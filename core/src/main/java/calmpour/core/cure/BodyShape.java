package calmpour.core.cure;

import calmpour.core.habit.Care;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import org.jspecify.annotations.Nullable;

/** How a body of resin lies, which decides how it loses its heat. */
public sealed interface BodyShape {
  /**
   * In a round cup; widths and depth of the resin itself, mm.
   *
   * @param wallMm how thick the cup is where the resin wets it; it takes part of the heat
   */
  record InCup(double bottomWidthMm, double topWidthMm, double depthMm, double wallMm)
      implements BodyShape {
    /** Wall of a thin plastic cup, mm: a starting value, no source. */
    public static final double USUAL_WALL_MM = 0.8;

    public InCup {
      positive("InCup bottomWidthMm", bottomWidthMm);
      positive("InCup topWidthMm", topWidthMm);
      positive("InCup depthMm", depthMm);
    }

    /** In a thin plastic cup. */
    public InCup(double bottomWidthMm, double topWidthMm, double depthMm) {
      this(bottomWidthMm, topWidthMm, depthMm, USUAL_WALL_MM);
    }

    /** A cup that so much fills as high as it is wide, as pot lives are found. */
    public static InCup asHighAsWide(double volumeMl) {
      double wide = Math.cbrt(volumeMl * 1_000 * 4 / Math.PI);
      return new InCup(wide, wide, wide);
    }
  }

  /**
   * A fill in a mould.
   *
   * @param openCm2 its surface, cm²
   * @param wettedCm2 floor and sides, cm²
   * @param depthMm how high it stands
   * @param acrossMm how wide it is where it is narrowest
   * @param around what it lies in and stands on
   */
  record InMould(double openCm2, double wettedCm2, double depthMm, double acrossMm, Around around)
      implements BodyShape {
    /** In thin silicone on a board. */
    public InMould(double openCm2, double wettedCm2, double depthMm, double acrossMm) {
      this(openCm2, wettedCm2, depthMm, acrossMm, Around.SILICONE_ON_BOARD);
    }

    /** The same fill in something else. */
    public InMould in(Around other) {
      return new InMould(openCm2, wettedCm2, depthMm, acrossMm, other);
    }

    /** A closed cavity still has a mouth, cm². */
    private static final double LEAST_OPEN_CM2 = 0.01;

    public InMould {
      positive("InMould openCm2", openCm2);
      positive("InMould wettedCm2", wettedCm2);
      positive("InMould depthMm", depthMm);
      positive("InMould acrossMm", acrossMm);
    }

    /**
     * A fill of a cavity between two levels, mm above its floor.
     *
     * @param volumeMl between them
     */
    public static InMould of(DepthProfile profile, double fromMm, double toMm, double volumeMl) {
      double depth = toMm - fromMm;
      double open = Math.max(LEAST_OPEN_CM2, profile.areaAtMm2(toMm) / 100);
      return round(volumeMl, depth, open, volumeMl * 10 / depth);
    }

    /**
     * A fill known by its volume and depth alone, taken as a straight round one.
     *
     * @param openCm2 its surface, cm²
     * @param floorCm2 what it stands on, cm²
     */
    public static InMould round(double volumeMl, double depthMm, double openCm2, double floorCm2) {
      double across = 2 * Math.sqrt(volumeMl * 1_000 / depthMm / Math.PI);
      double sides = Math.PI * across * depthMm / 100;
      return new InMould(openCm2, floorCm2 + sides, depthMm, across);
    }
  }

  /**
   * What a fill lies in and stands on, which decides how it gives off its heat: W/(m²·K) by
   * radiation, convection and conduction through the layers; reckoned, no source.
   *
   * @param top from its open surface
   * @param sides through the walls
   * @param base through the floor into what it stands on
   */
  record Around(double top, double sides, double base) {
    /** Of thin rubber, mm; what is thicker keeps the heat in. */
    private static final double THIN_MM = 5;

    /** How rubber conducts heat, W/(m·K); the usual figure for silicone, from memory. */
    private static final double RUBBER = 0.2;

    public static final Around SILICONE_ON_BOARD = new Around(12, 8, 10);
    public static final Around SILICONE_ON_STONE = new Around(12, 8, 15);
    public static final Around WOODEN_FORM = new Around(9, 4, 4);

    /**
     * @param mould null where none is known
     * @param on what moulds stand on here
     */
    public static Around of(@Nullable Mould mould, Care.StandsOn on) {
      MouldMake make = mould == null ? null : mould.make();
      if (make != null && make.material() == MouldMake.Material.WOODEN_FORM) {
        return WOODEN_FORM;
      }
      Around thin = on == Care.StandsOn.STONE ? SILICONE_ON_STONE : SILICONE_ON_BOARD;
      Double wall = make == null ? null : make.wallMm();
      return wall == null || wall <= THIN_MM ? thin : thin.behind((wall - THIN_MM) / 1_000);
    }

    /** Behind so much more rubber, m: resistances in a row. */
    private Around behind(double more) {
      return new Around(top, 1 / (1 / sides + more / RUBBER), 1 / (1 / base + more / RUBBER));
    }
  }

  /** A sheet, a top coat, a dome: so wide that its edges do not matter; its mean depth, mm. */
  record Spread(double areaCm2, double depthMm) implements BodyShape {
    public Spread {
      positive("Spread areaCm2", areaCm2);
      positive("Spread depthMm", depthMm);
    }
  }

  private static void positive(String what, double value) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new IllegalArgumentException(what + " (" + value + ") must be more than 0");
    }
  }
}
