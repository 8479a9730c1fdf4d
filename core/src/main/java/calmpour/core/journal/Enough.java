package calmpour.core.journal;

import java.util.List;

/** How much of something is enough on nine evenings of ten. */
final class Enough {
  private static final double EVENINGS = 0.9;

  private Enough() {}

  /**
   * The least of what was needed that is enough on nine of ten evenings; with fewer than ten the
   * most that was ever needed (the empirical quantile without anything between two figures: what
   * was needed on no evening is not made up).
   *
   * @param needed one for each evening, at least one
   */
  static double of(List<Double> needed) {
    List<Double> sorted = needed.stream().sorted().toList();
    return sorted.get((int) Math.ceil(EVENINGS * sorted.size()) - 1);
  }
}
