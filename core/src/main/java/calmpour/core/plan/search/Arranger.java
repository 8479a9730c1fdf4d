package calmpour.core.plan.search;

import calmpour.core.cure.CureModel;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.FilledBatch;
import calmpour.core.plan.amounts.MixSheet;
import calmpour.core.plan.amounts.PourDraft;
import calmpour.core.plan.doc.Arranged;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Chance;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.search.Stages.Sitting;
import calmpour.core.plan.time.Chain;
import calmpour.core.plan.time.Filled;
import calmpour.core.plan.time.Spare;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Decides which pours share a batch, in which order batches begin and how much later than said the
 * first of them does. Fewest batches first, then least waste in steps of 5 g, then most time to
 * spare up to 10 min, then the earliest finish; and sure enough for the habit.
 */
public final class Arranger {
  /** Making a plan surer goes no further than that. */
  private static final int SURER_ROUNDS = 3;

  /**
   * Where some pours are too late whatever is done, nobody mixes more than so many times as many
   * batches to get the others in: a habit is in the way, and the ways out tell which.
   */
  private static final int MOST_TIMES_AS_MANY = 4;

  private final Job job;
  private final CureModel cure;
  private final Trials trials;
  private final Function<List<BatchDraft.Settled>, Courses.Day> day;
  private boolean stopped;

  /**
   * @param day what goes wrong in the course of a day when batches are made in one order
   */
  public Arranger(
      Job job, CureModel cure, Watch watch, Function<List<BatchDraft.Settled>, Courses.Day> day) {
    this.job = job;
    this.cure = cure;
    this.trials = new Trials(cure, watch);
    this.day = day;
  }

  /**
   * @param drafts batches in the order they begin
   * @param notBefore nothing begins any sooner, s from the session's start
   */
  public record Course(List<BatchDraft.Settled> drafts, int notBefore, Arranged how) {}

  public Course course() {
    List<Sitting> sittings = Stages.sittings(job);
    double stepG = Trials.STEP_G / Math.max(1, sittings.size());
    List<List<BatchDraft.Settled>> shared = new ArrayList<>();
    int least = 0;
    for (Sitting sitting : sittings) {
      shared.add(share(sitting, stepG, 0));
      least += new Sharing(trials, sitting, stepG, 0).leastBatches();
    }
    surer(sittings, shared, stepG);
    List<BatchDraft.Settled> drafts = shared.stream().flatMap(List::stream).toList();
    Stages.notTooMany(drafts.size());
    Courses courses = new Courses(job, trials, day);
    Courses.Choice choice = courses.best(asBefore(drafts));
    stopped |= !trials.goOn();
    return new Course(
        choice.drafts(),
        choice.notBefore(),
        new Arranged(least, trials.tried() + courses.tried(), stopped, choice.notBefore()));
  }

  private List<BatchDraft.Settled> share(Sitting sitting, double stepG, int required) {
    List<BatchDraft.Settled> found = shareOrNull(sitting, stepG, required);
    return found == null ? Stages.asTheyCome(sitting) : found;
  }

  private @Nullable List<BatchDraft.Settled> shareOrNull(
      Sitting sitting, double stepG, int required) {
    boolean parts = sitting.groups().stream().anyMatch(g -> Stages.inParts(sitting, g));
    if (parts) {
      return null;
    }
    List<List<PourDraft>> fit = new ArrayList<>();
    List<List<PourDraft>> hopeless = new ArrayList<>();
    Map<String, Boolean> byKind = new HashMap<>();
    Sharing all = new Sharing(trials, sitting, stepG, required);
    Sharing.Shared found = new BatchSearch(all).best(job.session().splitInto(), before(sitting));
    if (found != null) {
      return all.drafts(found);
    }
    // What comes too late even alone is told as that; it is not in the way of the rest.
    for (int g = 0; g < sitting.groups().size(); g++) {
      int at = g;
      boolean does =
          byKind.computeIfAbsent(
              Trials.kind(sitting, g),
              k -> {
                Trials.Trial alone = trials.of(sitting, List.of(at), required);
                return alone != null && alone.spareSeconds() >= required;
              });
      (does ? fit : hopeless).add(sitting.groups().get(g));
    }
    if (fit.isEmpty() || hopeless.isEmpty() || required > 0) {
      return null;
    }
    Sitting inTime = new Sitting(sitting.job(), sitting.stage(), sitting.waits(), fit);
    Sitting late = new Sitting(sitting.job(), sitting.stage(), sitting.waits(), hopeless);
    Sharing search = new Sharing(trials.fresh(), inTime, stepG, required);
    Sharing.Shared rest = new BatchSearch(search).best(1, List.of());
    if (rest == null) {
      return null;
    }
    List<BatchDraft.Settled> drafts = new ArrayList<>(search.drafts(rest));
    if (drafts.size() > MOST_TIMES_AS_MANY * Stages.asTheyCome(inTime).size()) {
      return null;
    }
    drafts.addAll(Stages.asTheyCome(late));
    return drafts;
  }

  /** More batches, or slower cups, where the plan is not as sure as it has to be. */
  private void surer(List<Sitting> sittings, List<List<BatchDraft.Settled>> shared, double stepG) {
    double sure = job.session().habits().planning().surePercent();
    int[] required = new int[sittings.size()];
    for (int round = 0; round < SURER_ROUNDS && trials.goOn(); round++) {
      List<Batch> batches = new ArrayList<>();
      List<Integer> sittingOf = new ArrayList<>();
      for (int s = 0; s < shared.size(); s++) {
        for (BatchDraft.Settled draft : shared.get(s)) {
          JobInResin inResin = job.in(draft.resinId());
          FilledBatch filled =
              new MixSheet(inResin, Recorder.off()).fill(batches.size() + 1, draft);
          batches.add(new Amounts(inResin).batch(filled));
          sittingOf.add(s);
        }
      }
      List<Task> tasks = new ArrayList<>();
      for (Batch batch : batches) {
        tasks.addAll(Chain.of(job.in(batch.resinId()), cure, batch, new Filled()).tasks());
      }
      ChanceRuns runs = ChanceRuns.of(job, cure, batches, tasks);
      Chance chance = runs.chance(ChanceRuns.RUNS);
      if (chance == null || chance.percent() >= sure) {
        return;
      }
      int more = runs.wanted(sure);
      boolean changed = false;
      for (int s = 0; s < shared.size(); s++) {
        List<Integer> its = new ArrayList<>();
        int spare = Integer.MAX_VALUE;
        for (int b = 0; b < batches.size(); b++) {
          if (sittingOf.get(b) == s) {
            Batch batch = batches.get(b);
            its.add(batch.number());
            spare = Math.min(spare, Spare.of(job, cure, List.of(batch)));
          }
        }
        // A sitting that is hardly ever late is not in the way.
        boolean weak = runs.missedPercent(its) > (100 - sure) / (2 * shared.size());
        if (weak && spare >= 0 && spare + more > required[s]) {
          required[s] = spare + more;
          List<BatchDraft.Settled> surer = shareOrNull(sittings.get(s), stepG, required[s]);
          changed |= surer != null;
          shared.set(s, surer == null ? shared.get(s) : surer);
        }
      }
      if (!changed) {
        return;
      }
    }
  }

  /** The sitting's groups as they were together before, by their places. */
  private List<List<Integer>> before(Sitting sitting) {
    List<List<String>> together = job.session().arrangement().together();
    Map<PourId, Integer> batchOf = batchOf(together);
    Map<Integer, List<Integer>> groups = new HashMap<>();
    for (int g = 0; g < sitting.groups().size(); g++) {
      Integer was = batchOf.get(sitting.groups().get(g).get(0).id().whole());
      if (was != null) {
        groups.computeIfAbsent(was, k -> new ArrayList<>()).add(g);
      }
    }
    List<List<Integer>> before = new ArrayList<>();
    for (int b = 0; b < together.size(); b++) {
      if (groups.containsKey(b)) {
        before.add(groups.get(b));
      }
    }
    return before;
  }

  private static Map<PourId, Integer> batchOf(List<List<String>> together) {
    Map<PourId, Integer> batchOf = new HashMap<>();
    for (int b = 0; b < together.size(); b++) {
      for (String pour : together.get(b)) {
        int at = b;
        PourId.read(pour).ifPresent(p -> batchOf.putIfAbsent(p.whole(), at));
      }
    }
    return batchOf;
  }

  /** Batches in the order they began in before; new ones where they stand. */
  private List<BatchDraft.Settled> asBefore(List<BatchDraft.Settled> drafts) {
    Map<PourId, Integer> batchOf = batchOf(job.session().arrangement().together());
    if (batchOf.isEmpty()) {
      return drafts;
    }
    List<Placed> order = new ArrayList<>();
    for (BatchDraft.Settled draft : drafts) {
      Integer was =
          draft.cups().stream()
              .flatMap(c -> c.pours().stream())
              .map(p -> batchOf.get(p.id().whole()))
              .filter(b -> b != null)
              .findFirst()
              .orElse(null);
      if (was == null) {
        return drafts;
      }
      order.add(new Placed(draft, was));
    }
    order.sort(Comparator.comparingInt(Placed::was));
    List<BatchDraft.Settled> sorted = order.stream().map(Placed::draft).toList();
    return Courses.possible(sorted) ? sorted : drafts;
  }

  private record Placed(BatchDraft.Settled draft, int was) {}
}
