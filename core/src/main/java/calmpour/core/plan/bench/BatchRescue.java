package calmpour.core.plan.bench;

import calmpour.core.plan.doc.Batch;
import calmpour.core.resin.Rescue;
import calmpour.core.session.JobInResin;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What to add to a batch that was weighed wrong, and what else it means.
 *
 * @param overLargestBatchG by how much it passes the label's largest batch; null when it does not
 * @param overCupMl by how much it passes the mixing cup; null when it does not
 * @param overagePercent what the overage becomes when nothing else is poured with it
 * @param fillers moulds that take what is more than planned
 */
public record BatchRescue(
    Rescue rescue,
    double tolerancePercent,
    @Nullable Double overLargestBatchG,
    @Nullable Double overCupMl,
    double overagePercent,
    List<Fillers.Filler> fillers) {
  public BatchRescue {
    fillers = List.copyOf(fillers);
  }

  /**
   * @param inAG what is really in the cup, g
   * @param inBG what is really in the cup, g
   * @param workshop with every mould that may be filled
   */
  public static BatchRescue of(
      JobInResin job, Batch batch, double inAG, double inBG, Workshop workshop) {
    Session session = job.session();
    Rescue rescue =
        Rescue.of(
            job.resin(),
            batch.measuring().totalG(),
            inAG,
            inBG,
            session.habits().scaleDivisionG(),
            session.habits().ratioTolerancePercent());
    double density = job.resin().mixedDensity();
    double beyondMl = rescue.beyondPlanG() / density;
    double poured = batch.cups().stream().mapToDouble(c -> c.amounts().pouredG()).sum();
    return new BatchRescue(
        rescue,
        session.habits().ratioTolerancePercent(),
        over(rescue.totalG(), job.resin().largestBatchG()),
        over(rescue.totalG() / density, batch.mixing().cup().capacityMl()),
        poured > 0
            ? session.habits().overagePercent() + rescue.beyondPlanG() / poured * 100
            : session.habits().overagePercent(),
        Fillers.of(
            session,
            workshop,
            Math.max(0, beyondMl),
            batch.cups().stream().mapToInt(c -> c.times().latestPourEndSeconds()).min().orElse(0),
            BatchAtHand.MOST_FILLERS));
  }

  private static @Nullable Double over(double value, @Nullable Double limit) {
    return limit != null && value > limit ? Double.valueOf(value - limit) : null;
  }
}
