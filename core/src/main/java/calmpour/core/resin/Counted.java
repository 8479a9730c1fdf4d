package calmpour.core.resin;

import org.jspecify.annotations.Nullable;

/**
 * A and B counted instead of weighed: strokes of pumps, each pump with its own, or whole bottles of
 * a kit. More is made rather than less.
 *
 * @param countA strokes or bottles of A
 * @param countB strokes or bottles of B
 * @param totalG A + B that this gives
 * @param ratioErrorPercent how far A:B is off, positive when A is heavy
 */
public record Counted(int countA, int countB, double totalG, double ratioErrorPercent) {
  /** More strokes than a hand counts without losing count. */
  private static final int MOST = 400;

  /**
   * Whole strokes for a need: the fewest that reach it within the tolerance, and where none do,
   * those nearest to the ratio.
   *
   * @param perA grams of one stroke or bottle of A
   * @param perB grams of one stroke or bottle of B
   * @return null when it would take more than anybody counts
   */
  public static @Nullable Counted of(
      ResinSystem resin, double needG, double perA, double perB, double tolerancePercent) {
    double shareA = resin.massShareA();
    double ratio = shareA / (1 - shareA);
    int leastA = (int) Math.ceil(needG * shareA / perA - 1e-9);
    int leastB = (int) Math.ceil(needG * (1 - shareA) / perB - 1e-9);
    if (leastA > MOST || leastB > MOST) {
      return null;
    }
    Counted nearest = null;
    for (int b = Math.max(1, leastB); b <= 2 * Math.max(1, leastB) + 6; b++) {
      int a = Math.max(Math.max(1, leastA), (int) Math.round(b * perB * ratio / perA));
      double error = (a * perA / (b * perB) / ratio - 1) * 100;
      Counted counted = new Counted(a, b, a * perA + b * perB, error);
      if (Math.abs(error) <= tolerancePercent) {
        return counted;
      }
      if (nearest == null || Math.abs(error) < Math.abs(nearest.ratioErrorPercent)) {
        nearest = counted;
      }
    }
    return nearest;
  }
}
