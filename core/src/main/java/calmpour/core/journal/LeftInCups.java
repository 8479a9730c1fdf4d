package calmpour.core.journal;

import calmpour.core.plan.doc.Plan;
import calmpour.core.run.AsRun;
import calmpour.core.run.Masses;
import calmpour.core.run.Run;
import java.util.List;
import java.util.Optional;

/**
 * What stayed in cups and on sticks, of what went into moulds, %: the middle evening, so that one
 * spilled cup moves nothing.
 *
 * @param evenings on which every pour was weighed
 * @param plannedPercent what their plans had for it
 * @param realPercent what it was
 * @param lowestPercent a quarter of the evenings had less than that
 * @param highestPercent a quarter of the evenings had more than that
 */
public record LeftInCups(
    int evenings,
    double plannedPercent,
    double realPercent,
    double lowestPercent,
    double highestPercent) {

  /** One evening, planned and real, %. */
  public record OfEvening(double plannedPercent, double realPercent) {}

  /** Empty where a pour was not made, or not weighed. */
  public static Optional<OfEvening> ofEvening(Run run, AsRun asRun) {
    boolean whole =
        asRun.pours().stream().allMatch(p -> p.outcome() == AsRun.Outcome.POURED && p.weighed());
    Plan.Totals planned = run.plan().totals();
    Masses real = asRun.masses();
    return whole && planned.pouredG() > 0 && real.pouredG() > 0
        ? Optional.of(
            new OfEvening(
                100 * planned.staysG() / planned.pouredG(),
                100 * (real.leftG() + real.staysG()) / real.pouredG()))
        : Optional.empty();
  }

  /** Empty while there are too few evenings to say anything. */
  public static Optional<LeftInCups> of(List<OfEvening> evenings) {
    List<Double> real = evenings.stream().map(OfEvening::realPercent).toList();
    return evenings.size() < LearnedTimes.FEWEST_EVENINGS
        ? Optional.empty()
        : Optional.of(
            new LeftInCups(
                evenings.size(),
                Quantile.of(evenings.stream().map(OfEvening::plannedPercent).toList(), 0.5),
                Quantile.of(real, 0.5),
                Quantile.of(real, 0.25),
                Quantile.of(real, 0.75)));
  }
}
