package calmpour.core.embed;

import calmpour.core.cure.CureRun;
import org.jspecify.annotations.Nullable;

/**
 * When a thing can be put into a layer so that it stays where it is put and is still wetted.
 *
 * <p>Thin leaves that hang on the surface by capillary forces are not in this model.
 *
 * @param tendency what it does when it is let go
 * @param ends where it would come to rest if it were put in at once
 * @param freeMm how far it could travel before it touches floor or surface
 * @param atOnceMm how far it would travel if it were put in at once
 * @param fromMinutes from when on it stays within the tolerance; null when that never comes in time
 * @param untilMinutes until when the mix still wets it
 * @param way what to do
 */
public record Placing(
    Embed.Tendency tendency,
    Ends ends,
    double freeMm,
    double atOnceMm,
    @Nullable Double fromMinutes,
    double untilMinutes,
    Way way) {
  /** Where a thing comes to rest. */
  public enum Ends {
    FLOOR,
    SURFACE,
    WHERE_IT_IS
  }

  /** What to do with it. */
  public enum Way {
    /** Any time while it is wetted. */
    ANY_TIME,
    /** Between the two moments. */
    IN_WINDOW,
    /** It touches floor and surface anyhow. */
    TOUCHES_BOTH,
    /** A layer under it, to gel, or an anchor: no moment is late enough and still wet. */
    BED_OR_ANCHOR
  }

  /** Smaller than this share of the layer's depth, a thing meets no wall and has its own window. */
  private static final double SMALL = 0.1;

  /** A window shorter than this is none, min; no source. */
  private static final double LEAST_WINDOW = 2;

  private static final double FINEST = 1e-2;

  /**
   * A bubble, flake or grain: Stokes, where it holds.
   *
   * @param poured minute from which on there is a layer to put it in
   * @param diameterMm its size, more than 0
   * @param layerMm depth of the layer
   * @param toleranceMm how far it may be from where it was put
   * @throws IllegalArgumentException when it is too large or too quick for Stokes
   */
  public static Placing small(
      CureRun run,
      double poured,
      double diameterMm,
      double density,
      double mixDensity,
      double layerMm,
      double toleranceMm) {
    if (!isSmall(run, diameterMm, density, mixDensity, layerMm)) {
      throw new IllegalArgumentException(
          "Placing diameterMm (" + diameterMm + ") is too large or too quick for Stokes");
    }
    return of(run, poured, diameterMm, density, mixDensity, layerMm, toleranceMm, 1);
  }

  /** Whether Stokes holds: a tenth of the layer at most, and slow in the mix at its thinnest. */
  public static boolean isSmall(
      CureRun run, double diameterMm, double density, double mixDensity, double layerMm) {
    double thinnest =
        run.curve().stream()
            .mapToDouble(CureRun.CurvePoint::viscosityPaS)
            .min()
            .orElse(Double.POSITIVE_INFINITY);
    return diameterMm <= SMALL * layerMm
        && Drift.reynolds(diameterMm, mixDensity - density, mixDensity, thinnest) < Drift.SLOW_RE;
  }

  /**
   * Something larger, taken as a ball of the same volume, with drag for its speed and its walls.
   *
   * @param poured minute from which on there is a layer to put it in
   * @param displacesMl of one
   * @param acrossMm how wide the layer is
   */
  public static Placing large(
      CureRun run,
      double poured,
      double displacesMl,
      double density,
      double mixDensity,
      double layerMm,
      double acrossMm,
      double toleranceMm) {
    double diameter = Math.cbrt(6 * displacesMl * 1_000 / Math.PI);
    double slowed = Drift.betweenWalls(diameter, acrossMm);
    return of(run, poured, diameter, density, mixDensity, layerMm, toleranceMm, slowed);
  }

  private static Placing of(
      CureRun run,
      double poured,
      double diameterMm,
      double density,
      double mixDensity,
      double layerMm,
      double toleranceMm,
      double slowed) {
    double lighter = mixDensity - density;
    Embed.Tendency tendency = Embed.tendency(density, mixDensity);
    double free = Math.max(0, layerMm - diameterMm);
    double until = run.tooThick() == null ? run.lasts() : run.tooThick();
    // As heavy as the mix to within what anybody knows of it: it stays where it is put.
    boolean hovers = tendency == Embed.Tendency.HOVERS;
    double atOnce =
        hovers ? 0 : Drift.untilGel(run, poured, diameterMm, lighter, mixDensity, slowed);
    double travels = Math.min(free, atOnce);
    Ends ends =
        hovers || atOnce < free
            ? Ends.WHERE_IT_IS
            : tendency == Embed.Tendency.SINKS ? Ends.FLOOR : Ends.SURFACE;
    if (free <= toleranceMm) {
      return new Placing(tendency, ends, free, travels, poured, until, Way.TOUCHES_BOTH);
    }
    if (atOnce <= toleranceMm) {
      return new Placing(tendency, ends, free, travels, poured, until, Way.ANY_TIME);
    }
    double last = Math.max(poured, until - LEAST_WINDOW);
    if (Drift.untilGel(run, last, diameterMm, lighter, mixDensity, slowed) > toleranceMm) {
      return new Placing(tendency, ends, free, travels, null, until, Way.BED_OR_ANCHOR);
    }
    double low = poured;
    double high = last;
    while (high - low > FINEST) {
      double middle = (low + high) / 2;
      if (Drift.untilGel(run, middle, diameterMm, lighter, mixDensity, slowed) > toleranceMm) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return new Placing(tendency, ends, free, travels, high, until, Way.IN_WINDOW);
  }
}
