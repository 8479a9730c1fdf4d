package calmpour.core.embed;

import calmpour.core.cure.CureRun;
import org.jspecify.annotations.Nullable;

/**
 * What resting does for bubbles: those leave that rise through the mix in time. A bubble's skin is
 * taken as stiff, as it is in anything but the purest liquids, so that Stokes holds for it.
 *
 * @param rested minutes of rest looked at
 * @param clearsMm bubbles down to this size have left by then
 * @param worthMinutes rest after which all bubbles that are seen have left; null when that takes
 *     more than half of the working time, or more than a quarter of an hour
 */
public record Bubbles(double rested, double clearsMm, @Nullable Double worthMinutes) {
  /** A bubble this large is seen at arm's length, mm: common practice, no source. */
  public static final double SEEN_MM = 0.2;

  /** Longer than this share of the working time no rest is worth it; no source. */
  private static final double MOST_SHARE = 0.5;

  /** And nobody rests a mix for longer, min: common practice, no source. */
  private static final double MOST_MINUTES = 15;

  private static final double FINEST = 1e-3;

  /**
   * @param run of the mix as it stands
   * @param from when the rest begins, min
   * @param restMinutes how long it is to rest, 0 or more
   * @param depthMm that a bubble has to rise
   * @param mixDensity g/mL
   */
  public static Bubbles of(
      CureRun run, double from, double restMinutes, double depthMm, double mixDensity) {
    double flow = run.at(from + restMinutes).flow() - run.at(from).flow();
    // Rise = speed at 1 Pa·s times flow, and that speed goes with the square of the size.
    double perSquare = Drift.mmPerFlow(1, mixDensity);
    double clears = flow <= 0 ? Double.POSITIVE_INFINITY : Math.sqrt(depthMm / (perSquare * flow));
    return new Bubbles(restMinutes, clears, worth(run, from, depthMm, mixDensity));
  }

  private static @Nullable Double worth(
      CureRun run, double from, double depthMm, double mixDensity) {
    Double ends = run.workingTimeEnds();
    double needed = depthMm / Drift.mmPerFlow(SEEN_MM, mixDensity);
    double start = run.at(from).flow();
    double low = from;
    double half = ends == null ? run.lasts() : from + (ends - from) * MOST_SHARE;
    double high = Math.min(half, from + MOST_MINUTES);
    if (high <= from || run.at(high).flow() - start < needed) {
      return null;
    }
    while (high - low > FINEST) {
      double middle = (low + high) / 2;
      if (run.at(middle).flow() - start < needed) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high - from;
  }
}
