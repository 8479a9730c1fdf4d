package calmpour.core.plan.search;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.Limits;
import calmpour.core.plan.amounts.Milligrams;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.search.Stages.Sitting;
import calmpour.core.plan.search.Trials.Trial;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What every search for batches of one sitting goes by: which groups do as one batch, which of two
 * ways of sharing is better, and the few steps from one way to another.
 */
public final class Sharing {
  /** More trials than that are not made for one sitting. */
  private static final int MOST_TRIALS = 600;

  final Sitting sitting;

  /** By group: groups of the same kind are alike. */
  final List<String> kinds;

  /** Time to spare that every batch has to have, s. */
  final int required;

  private final Trials trials;
  private final double stepG;
  private final int began;
  private int least;

  /**
   * @param stepG in which waste is compared, g
   * @param required time to spare that every batch has to have, s
   */
  Sharing(Trials trials, Sitting sitting, double stepG, int required) {
    this.trials = trials;
    this.sitting = sitting;
    this.stepG = stepG;
    this.required = required;
    this.kinds =
        IntStream.range(0, sitting.groups().size()).mapToObj(g -> Trials.kind(sitting, g)).toList();
    this.began = trials.tried();
  }

  /** Groups of each batch, by their places. */
  record Shared(List<List<Integer>> batches, List<Trial> trials) {
    double wasteG() {
      return trials.stream().mapToDouble(Trial::wasteG).sum();
    }

    int spare() {
      return trials.stream().mapToInt(Trial::spareSeconds).min().orElseThrow();
    }

    Quality quality() {
      return new Quality(0, batches.size(), wasteG(), spare());
    }
  }

  /** The batches themselves. */
  List<BatchDraft.Settled> drafts(Shared shared) {
    return IntStream.range(0, shared.batches.size())
        .mapToObj(b -> trials.draft(sitting, shared.trials.get(b), shared.batches.get(b), required))
        .toList();
  }

  /**
   * Batches that no way of sharing can do without: the sum of masses beside the largest batch, and
   * the time that pouring takes beside the longest that any cup here can be poured from.
   */
  int leastBatches() {
    if (least == 0) {
      double resinG =
          sitting.groups().stream()
              .flatMap(List::stream)
              .mapToDouble(p -> Milligrams.grams(p.massMg()) / (1 + tintG(p)))
              .sum();
      double byMass = resinG / new Limits(sitting.job()).largestMixG();
      double byHands = trials.pouringSeconds(sitting) / trials.longestSeconds(sitting);
      least = (int) Math.max(1, Math.ceil(Math.max(byMass, byHands) - 1e-9));
    }
    return least;
  }

  private double tintG(PourDraft pour) {
    return known(sitting.job().tints().get(pour.colour().id())).gPerGResin();
  }

  /** Null when they do not do as one batch in the time to spare. */
  @Nullable Trial does(List<Integer> groups) {
    Trial trial = trials.of(sitting, groups, required);
    return trial == null || trial.spareSeconds() < required ? null : trial;
  }

  boolean goOn() {
    return trials.tried() - began < MOST_TRIALS && trials.goOn();
  }

  boolean better(Shared a, Shared b) {
    return a.quality().betterThan(b.quality(), stepG, required);
  }

  @Nullable Shared tried(List<List<Integer>> batches) {
    List<Trial> its = new ArrayList<>();
    for (List<Integer> batch : batches) {
      Trial trial = does(batch);
      if (trial == null) {
        return null;
      }
      its.add(trial);
    }
    return new Shared(batches, its);
  }

  static List<Integer> with(List<Integer> batch, int group) {
    List<Integer> more = new ArrayList<>(batch);
    more.add(group);
    more.sort(Comparator.naturalOrder());
    return more;
  }

  /** The batch in which one more group makes least waste; -1 when none has room. */
  int joins(List<List<Integer>> batches, int group) {
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int b = 0; b < batches.size(); b++) {
      Trial was = does(batches.get(b));
      Trial is = was == null ? null : does(with(batches.get(b), group));
      if (was != null && is != null && is.wasteG() - was.wasteG() < least) {
        least = is.wasteG() - was.wasteG();
        best = b;
      }
    }
    return best;
  }

  /** The same with the smallest batch shared out among the others; null when they have no room. */
  @Nullable Shared withoutOne(Shared from) {
    int smallest =
        IntStream.range(0, from.batches.size())
            .boxed()
            .min(Comparator.comparingInt(b -> from.batches.get(b).size()))
            .orElseThrow();
    List<List<Integer>> batches = new ArrayList<>(from.batches);
    List<Integer> out = batches.remove(smallest);
    for (int group : out) {
      int where = goOn() ? joins(batches, group) : -1;
      if (where < 0) {
        return null;
      }
      batches.set(where, with(batches.get(where), group));
    }
    return tried(batches);
  }
}
