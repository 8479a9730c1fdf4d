package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.Residue;
import calmpour.core.habit.Habits;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How much a cup and a batch may hold, and how much has to be in a cup so that a given mass can be
 * poured out of it.
 */
public final class Limits {
  private final JobInResin job;
  private final Habits habits;
  private final double usable;
  private final double heatMl;
  private final double largestBatchG;
  private final double resinDensity;

  /** A mixing cup and how much A + B has to be mixed in it, g. */
  record Mixed(CupKind kind, double needG) {}

  public Limits(JobInResin job) {
    this.job = job;
    this.habits = job.session().habits();
    this.usable = 1 - habits.headroomPercent() / 100;
    this.heatMl = mostMlForHeat(job);
    this.resinDensity = job.resin().mixedDensity();
    // A and B are each rounded up by less than one division when they are measured.
    double divisionG =
        Math.max(
            habits.scaleDivisionG(),
            measured(job) == MixRatio.Basis.VOLUME
                ? habits.marksDivisionMl() * job.resin().knownDensityA().value()
                : 0);
    Double label = job.resin().largestBatchG();
    this.largestBatchG = label == null ? Double.POSITIVE_INFINITY : label - 2 * divisionG;
  }

  /** How A and B are measured in this session. */
  static MixRatio.Basis measured(JobInResin job) {
    return switch (job.session().habits().measureBy()) {
      case LABEL -> job.resin().ratio().basis();
      case WEIGHT -> MixRatio.Basis.WEIGHT;
      case VOLUME -> MixRatio.Basis.VOLUME;
    };
  }

  /** Most in one cup because of its own heat, mL; slow deep resins are ruled by their label. */
  static double mostMlForHeat(JobInResin job) {
    return job.resin().kind() == ResinKind.DEEP
        ? Double.POSITIVE_INFINITY
        : job.session().habits().splitting().cupAtMostMl();
  }

  public Residue residue(CupKind kind) {
    return kind.residue(habits);
  }

  /** What has to be able to leave a cup, g: the pours, the overage, what moulds may take beyond. */
  public double loadG(long pouredMg, long mayTakeMoreMg) {
    return Milligrams.grams(pouredMg) * (1 + habits.overagePercent() / 100)
        + Milligrams.grams(mayTakeMoreMg);
  }

  /** Most that can be meant to leave a cup of this kind, g; negative when it keeps everything. */
  double mostLoadG(CupKind kind, Tint tint, boolean minded) {
    double room = kind.capacityMl() * usable;
    double ml = minded ? Math.min(room, heatMl) : room;
    return residue(kind).outOf(ml * tint.mixDensity());
  }

  /**
   * The kind that needs the least content for a load, the smallest of equals.
   *
   * @param minded whether a cup's own heat counts; what was put together by hand is only judged
   * @return null when none holds it
   */
  public @Nullable CupKind bestKind(List<CupKind> kinds, Tint tint, double loadG, boolean minded) {
    CupKind best = null;
    double least = Double.POSITIVE_INFINITY;
    for (CupKind kind : kinds) {
      if (loadG <= mostLoadG(kind, tint, minded)) {
        double content = residue(kind).contentFor(loadG);
        if (content < least - 1e-9) {
          least = content;
          best = kind;
        }
      }
    }
    return best;
  }

  /** Clear resin kept back in the mixing cup, g. */
  double reserveG() {
    return habits.splitting().reserveMl() * resinDensity;
  }

  /** Resin that has to be mixed so that {@code resinG} arrives in the cup it is used from. */
  double mixedG(CupKind kind, double resinG, boolean pouredOver) {
    Residue clings = residue(kind);
    double inLast = pouredOver ? clings.contentFor(resinG) : resinG;
    return habits.mixing().twoCups() ? clings.contentFor(inLast) : inLast;
  }

  /**
   * The smallest mixing cup with headroom for the batch; the largest there is where none has.
   *
   * @param resinG needed in the cups, the reserve with it
   */
  Mixed mixed(double resinG) {
    List<CupKind> kinds = job.mixingCups();
    for (CupKind kind : kinds) {
      double need = mixedG(kind, resinG, true);
      if (need / resinDensity <= kind.capacityMl() * usable) {
        return new Mixed(kind, need);
      }
    }
    CupKind last = kinds.get(kinds.size() - 1);
    return new Mixed(last, mixedG(last, resinG, true));
  }

  /** Whether one batch can be mixed for cups that need so much resin, g. */
  boolean batchHolds(double resinG) {
    Mixed mixed = mixed(resinG + reserveG());
    return mixes(mixed.kind, mixed.needG);
  }

  /** Whether one colour can stay in a mixing cup of this kind. */
  boolean loneHolds(CupKind kind, Tint tint, double loadG) {
    double content = residue(kind).contentFor(loadG);
    double mixed = mixedG(kind, content / (1 + tint.gPerGResin()), false);
    return mixes(kind, mixed);
  }

  /** Whether so much A + B, g, is within the label's largest batch and this mixing cup. */
  boolean mixes(CupKind kind, double needG) {
    return needG <= largestBatchG && needG / resinDensity <= kind.capacityMl() * usable;
  }

  /** Most A + B that one batch may be, g; for a mix without moulds. */
  public double largestMixG() {
    double largest = job.mixingCups().stream().mapToDouble(CupKind::capacityMl).max().orElseThrow();
    return Math.min(largestBatchG, largest * usable * resinDensity);
  }
}
