package calmpour.core.journal;

import java.util.List;

/** Quantiles of a few figures, between neighbours in proportion. */
public final class Quantile {
  private Quantile() {}

  /**
   * @param values in any order; of none it is 0
   * @param share 0 to 1
   */
  public static double of(List<Double> values, double share) {
    if (values.isEmpty()) {
      return 0;
    }
    List<Double> sorted = values.stream().sorted().toList();
    double place = share * (sorted.size() - 1);
    int below = (int) Math.floor(place);
    int above = Math.min(sorted.size() - 1, below + 1);
    return sorted.get(below) + (place - below) * (sorted.get(above) - sorted.get(below));
  }
}
