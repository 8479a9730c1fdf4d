package calmpour.core.plan;

import calmpour.core.habit.Habits;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tint.Tint;
import java.util.List;

/**
 * How much a cup and a batch may hold, and how much has to be in a cup so that a given mass can be
 * poured out of it.
 */
final class Limits {
  private final Habits habits;
  private final double cupMl;
  private final double mixingMl;
  private final double largestBatchG;
  private final double resinDensity;
  private final boolean lone;

  /**
   * @param lone whether the whole stage is one colour, which then stays in the cup it was mixed in
   */
  Limits(Job job, boolean lone) {
    this.habits = job.session().habits();
    this.lone = lone;
    double usable = 1 - habits.headroomPercent() / 100;
    this.mixingMl = largest(job.mixingCups()) * usable;
    this.cupMl = lone ? mixingMl : largest(job.colourCups()) * usable;
    this.resinDensity = job.resin().mixedDensity();
    // A and B are each rounded up by less than one division when they are measured.
    double divisionG =
        Math.max(
            habits.scaleDivisionG(),
            MixSheet.measured(job) == MixRatio.Basis.VOLUME
                ? habits.marksDivisionMl() * job.resin().knownDensityA().value()
                : 0);
    Double label = job.resin().largestBatchG();
    this.largestBatchG = label == null ? Double.POSITIVE_INFINITY : label - 2 * divisionG;
  }

  private static double largest(List<CupKind> smallestFirst) {
    return smallestFirst.get(smallestFirst.size() - 1).capacityMl();
  }

  /**
   * Content a cup needs so that {@code pouredG}, the overage and what badly known moulds may take
   * beyond can leave it: what clings grows with what was in it, so M = (P(1 + overage) + U + r₀) /
   * (1 − r₁).
   */
  double contentG(double pouredG, double mayTakeMoreG) {
    return (pouredG * (1 + habits.overagePercent() / 100) + mayTakeMoreG + habits.residueG())
        / (1 - habits.residuePercent() / 100);
  }

  /** Resin the mixing cup needs so that {@code resinG} can be poured over into cups. */
  double mixedG(double resinG) {
    return (resinG + habits.residueG()) / (1 - habits.residuePercent() / 100);
  }

  boolean cupHolds(Tint tint, long pouredMg, long moreMg) {
    return contentG(Milligrams.grams(pouredMg), Milligrams.grams(moreMg)) / tint.mixDensity()
        <= cupMl;
  }

  private double contentG(BatchDraft.CupDraft cup) {
    return contentG(Milligrams.grams(cup.pouredMg), Milligrams.grams(cup.mayTakeMoreMg));
  }

  boolean batchHolds(List<BatchDraft.CupDraft> cups) {
    if (lone) {
      BatchDraft.CupDraft only = cups.get(0);
      double resinG = contentG(only) / (1 + only.tint.gPerGResin());
      return cups.size() == 1 && resinG <= largestBatchG;
    }
    double resinG = 0;
    for (BatchDraft.CupDraft cup : cups) {
      resinG += contentG(cup) / (1 + cup.tint.gPerGResin());
    }
    double mixed = mixedG(resinG);
    return mixed <= largestBatchG && mixed / resinDensity <= mixingMl;
  }

  /** Most A + B that one batch may be, g; for a mix without moulds. */
  double largestMixG() {
    return Math.min(largestBatchG, mixingMl * resinDensity);
  }
}
