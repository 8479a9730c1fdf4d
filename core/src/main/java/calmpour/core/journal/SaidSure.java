package calmpour.core.journal;

import java.util.ArrayList;
import java.util.List;

/**
 * Whether plans were as sure as they said: of those that were said to be so sure, how many had
 * every pour in time.
 *
 * @param fromPercent that sure or more
 * @param toPercent and less than that; 100 and more for no end
 * @param saidPercent what they said on average
 * @param held with the interval in which the real share lies in 19 of 20 cases
 */
public record SaidSure(double fromPercent, double toPercent, double saidPercent, Proportion held) {
  private static final double[] BOUNDS = {0, 50, 80, 95, 100.1};

  /**
   * One evening.
   *
   * @param percent how sure its plan was that every pour is in time
   * @param inTime whether every pour was made while its cup could be poured
   */
  public record Evening(double percent, boolean inTime) {}

  /** Groups that have an evening, the surest first. */
  public static List<SaidSure> of(List<Evening> evenings) {
    List<SaidSure> groups = new ArrayList<>();
    for (int i = BOUNDS.length - 2; i >= 0; i--) {
      double from = BOUNDS[i];
      double to = BOUNDS[i + 1];
      List<Evening> its =
          evenings.stream().filter(e -> e.percent() >= from && e.percent() < to).toList();
      if (!its.isEmpty()) {
        groups.add(
            new SaidSure(
                from,
                to,
                its.stream().mapToDouble(Evening::percent).average().orElse(0),
                Proportion.of((int) its.stream().filter(Evening::inTime).count(), its.size())));
      }
    }
    return groups;
  }

  /** Whether what was said lies where the real share does. */
  public boolean honest() {
    return saidPercent / 100 >= held.lowest() && saidPercent / 100 <= held.highest();
  }
}
