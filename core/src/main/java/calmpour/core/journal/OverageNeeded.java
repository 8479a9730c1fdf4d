package calmpour.core.journal;

import calmpour.core.plan.doc.CupId;
import calmpour.core.run.AsRun;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How much overage was really needed, by evenings on which every pour was weighed (docs/rules.md,
 * "How much overage is enough").
 *
 * @param middlePercent needed on the middle evening, %
 * @param enoughPercent enough on nine evenings of ten, %, to the next half above
 * @param enough whether there are evenings enough to plan with it
 */
public record OverageNeeded(
    int evenings, double middlePercent, double enoughPercent, boolean enough) {
  /** An overage is told to the half per cent. */
  private static final double STEPS = 2;

  /**
   * What the cup needed that needed most, % of what its pours were planned to take, 0 or more.
   * Empty where a pour was not made, or not weighed.
   */
  public static Optional<Double> ofEvening(AsRun asRun) {
    Map<CupId, double[]> cups = new HashMap<>();
    for (AsRun.PourIn pour : asRun.pours()) {
      Double grams = pour.grams();
      if (pour.outcome() != AsRun.Outcome.POURED || !pour.weighed() || grams == null) {
        return Optional.empty();
      }
      double[] cup = cups.computeIfAbsent(pour.cupId(), c -> new double[2]);
      cup[0] += pour.plannedG();
      // What a cup could no longer give was needed all the same.
      cup[1] += Stayed.ranEmpty(asRun, pour) ? Math.max(grams, pour.plannedG()) : grams;
    }
    return cups.values().stream()
        .filter(c -> c[0] > 0)
        .map(c -> Math.max(0, 100 * (c[1] / c[0] - 1)))
        .max(Double::compare);
  }

  /**
   * @param neededPercent of each evening; none is 0
   */
  public static OverageNeeded of(List<Double> neededPercent) {
    double enough = neededPercent.isEmpty() ? 0 : Enough.of(neededPercent);
    return new OverageNeeded(
        neededPercent.size(),
        Quantile.of(neededPercent, 0.5),
        Math.ceil(STEPS * enough) / STEPS,
        neededPercent.size() >= LearnedTimes.FEWEST_EVENINGS);
  }
}
