package calmpour.core.cup;

import java.util.Optional;

/**
 * Two parts poured up to the rings on the wall of their cup, instead of weighed.
 *
 * @param first rings that the first part reaches, in quarters
 * @param both rings that both reach, in quarters
 * @param ratioErrorPercent how far first to second part is off, positive where the first is heavy
 */
public record Rings(double first, double both, double ratioErrorPercent) {
  /** Between two rings a quarter is still seen (common practice, no source). */
  private static final int PARTS = 4;

  /** Nobody throws away more than that for want of a scale (starting value, no source). */
  private static final double MOST_MORE = 1.25;

  /**
   * The lowest that hold enough and meet the ratio: a cup tapers, so that twice as many rings are
   * not twice as much.
   *
   * @param firstMl of the first part
   * @param bothMl of both
   * @param tolerancePercent that the ratio may be off
   * @return empty for a cup without rings, and where none meet the ratio within a quarter more
   */
  public static Optional<Rings> of(
      CupKind cup, double firstMl, double bothMl, double tolerancePercent) {
    Double apart = cup.ringsMm();
    if (apart == null || firstMl <= 0 || firstMl >= bothMl) {
      return Optional.empty();
    }
    double step = apart / PARTS;
    double ratio = firstMl / (bothMl - firstMl);
    double most = Math.min(cup.heightMm(), cup.levelMm(MOST_MORE * bothMl));
    for (int both = (int) Math.ceil(cup.levelMm(bothMl) / step - 1e-9);
        both * step <= most;
        both++) {
      double holds = cup.volumeBelow(both * step);
      int first = (int) Math.round(cup.levelMm(holds * firstMl / bothMl) / step);
      double below = cup.volumeBelow(first * step);
      double error = (below / (holds - below) / ratio - 1) * 100;
      if (first > 0 && first < both && Math.abs(error) <= tolerancePercent) {
        return Optional.of(new Rings((double) first / PARTS, (double) both / PARTS, error));
      }
    }
    return Optional.empty();
  }
}
