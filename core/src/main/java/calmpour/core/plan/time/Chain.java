package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.Thickens;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The work of one batch in one go, from second 0 on: what comes first, and which pair of hands does
 * it.
 *
 * @param tasks in the order they begin, bottles warmed before second 0
 * @param work where they come from
 */
public record Chain(List<Task> tasks, BatchWork work) {
  /** With so much to spare the order that is easiest for hands and head is kept, s. */
  static final int CALM_SECONDS = 600;

  /** Time to spare beyond which no more is looked for, where so much is required, s. */
  public static int calm(int requiredSeconds) {
    return Math.max(requiredSeconds, CALM_SECONDS);
  }

  /** What is done at single cups and moulds. */
  private static final Set<Task.Kind> AT_CUPS = EnumSet.range(Task.Kind.SPLIT, Task.Kind.EMBED);

  /**
   * @param filled what lies below
   */
  public static Chain of(JobInResin job, CureModel cure, Batch batch, Filled filled) {
    BatchWork work = new BatchWork(job, batch);
    int pairs = job.session().habits().planning().pairsOfHands();
    List<Task> before = laidOut(work.tasks(List.of(), filled), pairs);
    Map<CupId, Thickens> full = asFull(job, cure, batch, before);
    int contact = Times.of(before).contact(batch.number());
    Map<CupId, Integer> thickens = new HashMap<>();
    full.forEach((id, s) -> thickens.put(id, Window.down(contact, s.workingMinutes())));
    List<Task> best =
        calmest(new PourOrder(job, batch), work, filled, batch, thickens, pairs, marginOf(job));
    return new Chain(inTime(best, contact, full, pairs), work);
  }

  private static int marginOf(JobInResin job) {
    return job.session().habits().marginSeconds();
  }

  /** The first order with time to spare, or the one with most of it. */
  private static List<Task> calmest(
      PourOrder orders,
      BatchWork work,
      Filled filled,
      Batch batch,
      Map<CupId, Integer> thickens,
      int pairs,
      int margin) {
    List<Task> calm = work.tasks(orders.cupInHand(thickens), filled);
    List<Task> best = laidOut(calm, pairs);
    int most = spare(best, batch, thickens) - margin;
    if (most >= CALM_SECONDS || batch.cups().size() == 1) {
      return best;
    }
    List<List<Task>> others = new ArrayList<>();
    List<PourOrder.Step> tight = orders.latestLast(thickens);
    if (!tight.isEmpty()) {
      List<Task> tasks = work.tasks(tight, filled);
      others.add(tasks);
      others.add(tintedAsNeeded(tasks));
    }
    others.add(tintedAsNeeded(calm));
    for (List<Task> each : others) {
      List<Task> laid = laidOut(each, pairs);
      int spare = spare(laid, batch, thickens) - margin;
      if (Math.min(spare, CALM_SECONDS) > Math.min(most, CALM_SECONDS)) {
        most = spare;
        best = laid;
      }
    }
    return best;
  }

  private static int spare(List<Task> laid, Batch batch, Map<CupId, Integer> thickens) {
    Times times = Times.of(laid);
    int least = Integer.MAX_VALUE;
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        least = Math.min(least, known(thickens.get(cup.id())) - times.end(TaskId.pour(pour.id())));
      }
    }
    return least;
  }

  /** Every cup is tinted when it is wanted, not all of them before the first pour. */
  private static List<Task> tintedAsNeeded(List<Task> chain) {
    Map<CupId, List<Task>> waiting = new LinkedHashMap<>();
    Map<TaskId, CupId> cupOf = new HashMap<>();
    List<Task> order = new ArrayList<>();
    for (Task task : chain) {
      boolean colours = task.kind() == Task.Kind.TINT || task.kind() == Task.Kind.STOCK_CUP;
      if (colours && task.cupId() != null) {
        waiting.computeIfAbsent(task.cupId(), k -> new ArrayList<>()).add(task);
        cupOf.put(task.id(), task.cupId());
        continue;
      }
      for (Lag lag : task.after()) {
        CupId cup = cupOf.get(lag.task());
        List<Task> first = cup == null ? null : waiting.remove(cup);
        if (first != null) {
          order.addAll(first);
        }
      }
      order.add(task);
    }
    waiting.values().forEach(order::addAll);
    return order;
  }

  /** Without what is only done while the resin still flows, where there is no time for it. */
  private static List<Task> inTime(
      List<Task> laid, int contact, Map<CupId, Thickens> full, int pairs) {
    int thick =
        full.values().stream()
            .mapToInt(s -> Window.down(contact, s.workingMinutes()))
            .max()
            .orElse(0);
    int gels =
        full.values().stream().mapToInt(s -> Window.down(contact, s.gelMinutes())).min().orElse(0);
    boolean late =
        laid.stream().anyMatch(t -> t.kind() == Task.Kind.LEFTOVERS && t.endSeconds() > thick)
            || laid.stream().anyMatch(t -> t.kind() == Task.Kind.CLEAN_UP && t.endSeconds() > gels);
    return late
        ? laidOut(laid.stream().filter(t -> t.kind() != Task.Kind.LEFTOVERS).toList(), pairs)
        : laid;
  }

  /** How each cup thickens if nothing is poured from it: what its place in the order follows. */
  private static Map<CupId, Thickens> asFull(
      JobInResin job, CureModel cure, Batch batch, List<Task> before) {
    Bodies bodies = new Bodies(job, batch, Times.of(before));
    Map<CupId, Thickens> full = new LinkedHashMap<>();
    cure.each(batch.cups(), c -> Map.entry(c.id(), cure.thickens(job.resin(), bodies.forgotten(c))))
        .forEach(e -> full.put(e.getKey(), e.getValue()));
    return full;
  }

  /**
   * One after the other, from second 0 on. Two pairs of hands share what is done for single cups
   * and moulds, each always with another cup, and into another mould; the rest is done together.
   */
  private static List<Task> laidOut(List<Task> chain, int pairs) {
    List<Task> laid = new ArrayList<>();
    Times inside = new Times();
    int[] free = new int[pairs];
    Map<String, Integer> busy = new HashMap<>();
    int now = 0;
    for (Task task : chain) {
      int ready = 0;
      for (Lag lag : task.after()) {
        Integer moment = inside.moment(lag);
        ready = moment == null ? ready : Math.max(ready, moment + lag.atLeastSeconds());
      }
      int pair = 0;
      int start = Math.max(now, ready);
      boolean shared = pairs > 1 && atCups(task.kind());
      List<String> uses = shared ? uses(task) : List.of();
      if (task.kind() == Task.Kind.WARM) {
        start = -task.takesSeconds();
      } else if (shared) {
        for (String use : uses) {
          ready = Math.max(ready, busy.getOrDefault(use, 0));
        }
        pair = free[1] < free[0] && free[1] < Math.max(free[0], ready) ? 1 : 0;
        start = Math.max(free[pair], ready);
      }
      Task at = task.at(start, false).by(pair);
      laid.add(at);
      inside.put(at);
      now = Math.max(now, at.endSeconds());
      if (shared) {
        free[pair] = at.endSeconds();
        uses.forEach(u -> busy.put(u, at.endSeconds()));
      } else {
        Arrays.fill(free, now);
      }
    }
    return laid;
  }

  /** Whether it is done at single cups and moulds, so that two pairs of hands can share it. */
  public static boolean atCups(Task.Kind kind) {
    return AT_CUPS.contains(kind);
  }

  /** What nobody else can use meanwhile: the mixing cup, a cup, a cavity, a cup of all colours. */
  public static List<String> uses(Task task) {
    List<String> uses = new ArrayList<>();
    if (task.kind() == Task.Kind.SPLIT || (task.cupId() == null && task.line() == null)) {
      uses.add("batch " + task.batch());
    }
    if (task.cupId() != null) {
      uses.add("cup " + task.cupId());
    }
    if (task.pourId() != null) {
      uses.add("cavity " + task.pourId().into());
      task.after().stream()
          .filter(l -> l.of().contains("/" + Task.Kind.GATHER))
          .forEach(l -> uses.add(l.of()));
    }
    return uses;
  }
}
