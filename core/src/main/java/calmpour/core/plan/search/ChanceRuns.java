package calmpour.core.plan.search;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.HalvingRule;
import calmpour.core.cure.WorkingTimes;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Chance;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Bodies;
import calmpour.core.plan.time.Times;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import org.jspecify.annotations.Nullable;

/**
 * Carries a plan's batches out many times with uncertain hands, room and label, always with the
 * same seed. "±" is read as two standard deviations of a normal distribution. Half of the variance
 * of hands is the day's, the same for every task of a run; the rest is each task's own. Room and
 * label are the same for a whole run, the label for each resin. Nothing waits: a task begins when
 * what it waits for is done and its pair of hands is free, or when it was pinned to.
 */
public final class ChanceRuns {
  public static final int RUNS = 2_000;
  private static final long SEED = 20_261_126;

  /** What may hold up a pour. */
  private static final Set<Task.Kind> UNTIL_POURED = EnumSet.range(Task.Kind.WARM, Task.Kind.EMBED);

  /** Standard deviations. */
  private static final double HANDS = Hands.UNCERTAIN / 2;

  private static final double ROOM_K = HalvingRule.ROOM_SPREAD_K / 2;

  /** Nobody is quicker than a third of what was said, and no label that far off. */
  private static final double LEAST = 1.0 / 3;

  private final List<BatchRun> batches = new ArrayList<>();
  private final List<String> resins = new ArrayList<>();

  /** How late the latest pour was in each run, by batch, s; negative for time to spare. */
  private double[][] late = {};

  private ChanceRuns() {}

  /**
   * @param batches with their amounts
   * @param tasks those of the batches among them
   */
  public static ChanceRuns of(Job job, CureModel cure, List<Batch> batches, List<Task> tasks) {
    ChanceRuns runs = new ChanceRuns();
    Set<String> resins = new LinkedHashSet<>();
    batches.forEach(b -> resins.add(b.resinId()));
    runs.resins.addAll(resins);
    Times times = Times.of(tasks);
    for (Batch batch : batches) {
      List<Task> its =
          tasks.stream()
              .filter(t -> t.batch() == batch.number() && UNTIL_POURED.contains(t.kind()))
              .sorted(Comparator.comparingInt(Task::startSeconds))
              .toList();
      boolean mixes = times.task(TaskId.batch(batch.number(), Task.Kind.WEIGH_FIRST)) != null;
      if (mixes && its.stream().anyMatch(t -> t.kind() == Task.Kind.POUR)) {
        int resin = runs.resins.indexOf(batch.resinId());
        runs.batches.add(new BatchRun(job.in(batch.resinId()), cure, batch, its, times, resin));
      }
    }
    return runs;
  }

  /**
   * @return null where nothing is poured
   */
  public @Nullable Chance chance(int count) {
    if (batches.isEmpty()) {
      return null;
    }
    RandomGenerator random = new SplittableRandom(SEED);
    late = new double[batches.size()][count];
    int all = 0;
    double[] labels = new double[resins.size()];
    for (int run = 0; run < count; run++) {
      double day = random.nextGaussian() * HANDS * Math.sqrt(0.5);
      double room = random.nextGaussian() * ROOM_K;
      for (int r = 0; r < labels.length; r++) {
        labels[r] = random.nextGaussian();
      }
      double latest = Double.NEGATIVE_INFINITY;
      for (int b = 0; b < batches.size(); b++) {
        late[b][run] = batches.get(b).run(random, day, room, labels[batches.get(b).resin]);
        latest = Math.max(latest, late[b][run]);
      }
      all += latest <= 0 ? 1 : 0;
    }
    List<Chance.CupChance> cups = new ArrayList<>();
    Chance.Weakest weakest = null;
    for (BatchRun batch : batches) {
      for (int c = 0; c < batch.cupIds.size(); c++) {
        cups.add(
            new Chance.CupChance(batch.cupIds.get(c), 100.0 - 100.0 * batch.cupLate[c] / count));
      }
      for (int p = 0; p < batch.pourIds.size(); p++) {
        double missed = 100.0 * batch.pourLate[p] / count;
        if (missed > 0 && (weakest == null || missed > weakest.missedPercent())) {
          weakest =
              new Chance.Weakest(
                  batch.pourIds.get(p), batch.cupIds.get(batch.cupOfPour[p]), missed);
        }
      }
    }
    return new Chance(100.0 * all / count, cups, weakest, count);
  }

  /** How much more time to spare would make {@code percent} of the runs good, s; at least 1. */
  int wanted(double percent) {
    double[] latest = new double[late[0].length];
    Arrays.fill(latest, Double.NEGATIVE_INFINITY);
    for (double[] ofBatch : late) {
      for (int run = 0; run < latest.length; run++) {
        latest[run] = Math.max(latest[run], ofBatch[run]);
      }
    }
    Arrays.sort(latest);
    int at = Math.clamp((long) Math.ceil(latest.length * percent / 100) - 1, 0, latest.length - 1);
    return (int) Math.max(1, Math.ceil(latest[at]));
  }

  /** In how many of the runs one of these batches was late, %. */
  double missedPercent(List<Integer> numbers) {
    int missed = 0;
    for (int run = 0; run < late[0].length; run++) {
      boolean any = false;
      for (int b = 0; b < batches.size(); b++) {
        any |= late[b][run] > 0 && numbers.contains(batches.get(b).number);
      }
      missed += any ? 1 : 0;
    }
    return 100.0 * missed / late[0].length;
  }

  /** One batch as arrays, so that thousands of runs take no time. */
  private static final class BatchRun {
    private final int number;
    private final int resin;
    private final List<CupId> cupIds = new ArrayList<>();
    private final List<WorkingTimes> windows = new ArrayList<>();
    private final List<PourId> pourIds = new ArrayList<>();
    private final int[] cupOfPour;
    private final int[] pourLate;
    private final int[] cupLate;
    private final int contactTask;
    private final double[] takes;
    private final boolean[] hands;
    private final int[] pair;
    private final int[][] after;
    private final int[][] lags;

    /** Not before, s from the first contact; for what was pinned. */
    private final double[] pinned;

    /** Which pour a task is; -1 for none. */
    private final int[] pourOf;

    private final double[] end;
    private final double[] windowEnds;
    private final boolean[] cupIsLate;

    BatchRun(
        JobInResin job, CureModel cure, Batch batch, List<Task> tasks, Times times, int resin) {
      this.number = batch.number();
      this.resin = resin;
      Bodies bodies = new Bodies(job, batch, times);
      Map<CupId, Integer> cupAt = new HashMap<>();
      for (Cup cup : batch.cups()) {
        cupAt.put(cup.id(), cupIds.size());
        cupIds.add(cup.id());
      }
      windows.addAll(
          cure.each(batch.cups(), c -> cure.workingTimes(job.resin(), bodies.emptied(c))));
      int n = tasks.size();
      Map<TaskId, Integer> at = new HashMap<>();
      int contact = times.contact(number);
      int contactAt = 0;
      takes = new double[n];
      hands = new boolean[n];
      pair = new int[n];
      after = new int[n][];
      lags = new int[n][];
      pinned = new double[n];
      pourOf = new int[n];
      List<Integer> cupsOfPours = new ArrayList<>();
      for (int t = 0; t < n; t++) {
        Task task = tasks.get(t);
        at.put(task.id(), t);
        takes[t] = task.takesSeconds();
        hands[t] = task.hands();
        pair[t] = task.pair();
        pinned[t] = task.pinned() ? task.startSeconds() - (double) contact : -1e12;
        pourOf[t] = -1;
        contactAt = task.kind() == Task.Kind.WEIGH_FIRST ? t : contactAt;
        if (task.pourId() != null && task.cupId() != null) {
          pourOf[t] = pourIds.size();
          pourIds.add(task.pourId());
          cupsOfPours.add(cupAt.get(task.cupId()));
        }
        List<int[]> waits = new ArrayList<>();
        for (Lag lag : task.after()) {
          Integer before = at.get(lag.task());
          boolean counts = lag.clock() == Lag.Clock.POURED || lag.clock() == Lag.Clock.DONE;
          if (before != null && counts && !lag.ends()) {
            waits.add(new int[] {before, lag.atLeastSeconds()});
          }
        }
        after[t] = waits.stream().mapToInt(w -> w[0]).toArray();
        lags[t] = waits.stream().mapToInt(w -> w[1]).toArray();
      }
      contactTask = contactAt;
      cupOfPour = cupsOfPours.stream().mapToInt(Integer::intValue).toArray();
      pourLate = new int[pourIds.size()];
      cupLate = new int[cupIds.size()];
      end = new double[n];
      windowEnds = new double[cupIds.size()];
      cupIsLate = new boolean[cupIds.size()];
    }

    /**
     * @return by how much the latest pour was late, s
     */
    double run(RandomGenerator random, double day, double roomC, double label) {
      double own = HANDS * Math.sqrt(0.5);
      double[] free = {0, 0};
      double contact = 0;
      boolean met = false;
      for (int t = 0; t < takes.length; t++) {
        double start = hands[t] ? free[pair[t]] : 0;
        for (int a = 0; a < after[t].length; a++) {
          start = Math.max(start, end[after[t][a]] + lags[t][a]);
        }
        if (met) {
          start = Math.max(start, contact + pinned[t]);
        }
        // A wait is as long as it is; hands may be quicker or slower.
        double factor = hands[t] ? Math.max(LEAST, 1 + day + own * random.nextGaussian()) : 1;
        end[t] = start + takes[t] * factor;
        if (hands[t]) {
          free[pair[t]] = end[t];
        }
        if (t == contactTask) {
          contact = end[t];
          met = true;
        }
      }
      for (int c = 0; c < windowEnds.length; c++) {
        WorkingTimes window = windows.get(c);
        double factor = Math.max(LEAST, 1 + label * window.labelSd());
        windowEnds[c] = contact + window.minutes(roomC, factor) * 60;
      }
      double latest = Double.NEGATIVE_INFINITY;
      Arrays.fill(cupIsLate, false);
      for (int t = 0; t < takes.length; t++) {
        int pour = pourOf[t];
        if (pour < 0) {
          continue;
        }
        int cup = cupOfPour[pour];
        double by = end[t] - windowEnds[cup];
        latest = Math.max(latest, by);
        if (by > 0) {
          pourLate[pour]++;
          cupLate[cup] += cupIsLate[cup] ? 0 : 1;
          cupIsLate[cup] = true;
        }
      }
      return latest;
    }
  }
}
