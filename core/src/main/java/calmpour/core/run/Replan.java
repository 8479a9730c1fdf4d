package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureModel;
import calmpour.core.design.Join;
import calmpour.core.plan.Underway;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Times;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** The rest of a run, planned anew: what can still be done, in which order, and what to give up. */
final class Replan {
  private static final int MOST_TURNS = 40;

  /** So much of a pour makes its piece; common practice, no source. */
  private static final double ENOUGH = 0.9;

  /** Flowing into each other, on gel, on what has cured. */
  private static final int MOST_JOINS = 2;

  /** What is of use only while its time lasts, and is no loss when that is over. */
  private static final Set<Task.Kind> PASSES =
      EnumSet.of(Task.Kind.LOOK, Task.Kind.NUDGE, Task.Kind.WET_WORK);

  /** What has to be done for a cup before it can be poured. */
  private static final Set<Task.Kind> READIES_CUP =
      EnumSet.of(Task.Kind.SPLIT, Task.Kind.STOCK_CUP, Task.Kind.TINT);

  /** Where these come in between, pours keep the order of the plan: the waits are part of it. */
  private static final Set<Task.Kind> KEEPS_ORDER =
      EnumSet.of(Task.Kind.GATHER, Task.Kind.EMBED, Task.Kind.LAY_EMBEDS);

  private final BenchMoment bench;
  private final CureModel cure;
  private final Map<TaskId, Integer> blocks;
  private final Set<TaskId> lost;
  private final Set<TaskId> tooLate;
  private final Set<TaskId> missed;
  private final Made made;
  private final boolean reordered;
  private final Laid laid;

  Replan(BenchMoment bench, CureModel cure) {
    this.bench = bench;
    this.cure = cure;
    this.blocks = StillToDo.blocks(bench.run.plan().tasks());
    bench.history.troubles.rests.forEach(this::rests);
    List<Task> planned = bench.run.plan().tasks();
    Laid rough = laid(planned, bench.history.givenUp);
    this.missed = missed(rough);
    Set<TaskId> givenUp = union(bench.history.givenUp, missed);
    Laid asPlanned = missed.isEmpty() ? rough : laid(planned, givenUp);
    Set<TaskId> gone = lost(asPlanned);
    Set<TaskId> out = union(givenUp, gone);
    InOrder best = orSoonestFirst(gone.isEmpty() ? asPlanned : laid(planned, out), out);
    Set<TaskId> late = Set.of();
    // What is given up stays in its cup and keeps it warm, which may make others too late.
    for (int turn = 0; turn <= MOST_TURNS && best.laid().late(); turn++) {
      Set<TaskId> more = union(late, tooLate(best.laid()));
      // Where the order as it is laid leaves one late all the same, that one is given up.
      late = more.equals(late) ? union(late, withWhatLiesOn(Set.of(best.laid().latest()))) : more;
      Set<TaskId> notMade = union(out, late);
      best = orSoonestFirst(laid(planned, notMade), notMade);
    }
    // A cup that has gelled as the rest is laid now is lost, not given up for the others.
    Set<TaskId> nowGone = new HashSet<>(lost(best.laid()));
    nowGone.retainAll(late);
    this.lost = union(gone, nowGone);
    Set<TaskId> gaveUp = union(union(out, nowGone), late);
    this.made =
        new Made(
            bench.run.plan(),
            t ->
                bench.open(t)
                    ? gaveUp.contains(t)
                    : bench.history.givenUp.contains(t) && !bench.done(t),
            bench.history.troubles.givenUp);
    this.tooLate =
        late.stream().filter(p -> !nowGone.contains(p)).collect(Collectors.toUnmodifiableSet());
    this.laid = best.laid().without(t -> made.none(t) && bench.open(t.id()));
    this.reordered = !toPour(best.tasks()).equals(toPour(planned));
  }

  /** The plan's tasks in an order, and how they are laid in it. */
  private record InOrder(List<Task> tasks, Laid laid) {}

  /** In the plan's order where that is in time, or no later than soonest first. */
  private InOrder orSoonestFirst(Laid asPlanned, Set<TaskId> leftOut) {
    if (asPlanned.late()) {
      List<Task> order = soonestFirst(asPlanned, leftOut);
      Laid other = laid(order, leftOut);
      if (other.worst() > asPlanned.worst()) {
        return new InOrder(order, other);
      }
    }
    return new InOrder(bench.run.plan().tasks(), asPlanned);
  }

  /** What is still poured, in an order of the plan's tasks. */
  private List<TaskId> toPour(List<Task> order) {
    return order.stream()
        .filter(t -> t.kind() == Task.Kind.POUR && bench.open(t.id()) && laid.has(t.id()))
        .map(Task::id)
        .toList();
  }

  /** Tasks out of cups that can no longer be poured, and what would have lain on them. */
  Set<TaskId> lost() {
    return lost;
  }

  /** Tasks that cannot be in time any more; as few pours as possible. */
  Set<TaskId> tooLate() {
    return tooLate;
  }

  /** Which pieces there are. */
  Made made() {
    return made;
  }

  /** Looks and nudges that nobody came to in time. */
  Set<TaskId> missed() {
    return missed;
  }

  private Set<TaskId> missed(Laid laid) {
    Set<TaskId> missed = new HashSet<>();
    for (Task task : laid.tasks()) {
      if (PASSES.contains(task.kind()) && bench.open(task.id())) {
        Integer until = laid.span(task.id()).until();
        if (until != null && until < bench.now) {
          missed.add(task.id());
        }
      }
    }
    return missed;
  }

  /** Whether the pours come in another order than planned. */
  boolean reordered() {
    return reordered;
  }

  Laid laid() {
    return laid;
  }

  /** Nothing is poured from a cup that rests. */
  private void rests(CupId cup, int until) {
    for (Task task : bench.run.plan().tasks()) {
      if (task.kind() == Task.Kind.POUR && cup.equals(task.cupId())) {
        blocks.merge(task.id(), until, Math::max);
      }
    }
  }

  private Laid laid(List<Task> inOrder, Set<TaskId> leftOut) {
    List<Task> rough = StillToDo.lay(inOrder, leftOut, blocks, bench.history, bench.now, null);
    // What is not poured stays in its cup, and keeps it warm.
    List<Batch> really = bench.batches.stream().map(b -> pouring(b, leftOut)).toList();
    Underway rules = Underway.of(bench.job, cure, really, rough);
    Map<Job.LayerAt, Join> shut = new HashMap<>();
    for (int turn = 0; turn < MOST_JOINS; turn++) {
      Map<Job.LayerAt, Join> more = rules.shut(bench.now, bench::open, Times.of(rough));
      if (more.isEmpty()) {
        break;
      }
      shut.putAll(more);
      rules = Underway.of(bench.job.withJoins(shut), cure, really, rough);
    }
    List<Task> tasks = StillToDo.lay(inOrder, leftOut, blocks, bench.history, bench.now, rules);
    return new Laid(
        bench, tasks, Follows.all(bench, really, cure, rules), really, cure, rules, shut);
  }

  private Batch pouring(Batch batch, Set<TaskId> leftOut) {
    List<Cup> cups = new ArrayList<>();
    for (Cup cup : batch.cups()) {
      List<Cup.Pour> pours =
          cup.pours().stream()
              .filter(p ->
                  bench.done(BenchMoment.pourTask(p)) || !leftOut.contains(BenchMoment.pourTask(p)))
              .toList();
      cups.add(cup.holding(cup.amounts().contentG(), pours));
    }
    return batch.holding(batch.measuring().totalG(), cups);
  }

  /** Pours out of cups that have gelled or are too thick, and what was to lie on them. */
  private Set<TaskId> lost(Laid laid) {
    Set<TaskId> lost = new HashSet<>();
    lost.addAll(tooLittle());
    for (Follows cup : laid.cups().values()) {
      boolean gone =
          cup.gelsSeconds() <= bench.now
              || bench.history.thick.containsKey(cup.cup().id())
              || cup.hot();
      for (Cup.Pour pour : bench.pours(cup)) {
        if (gone && bench.open(BenchMoment.pourTask(pour))) {
          lost.add(BenchMoment.pourTask(pour));
        }
      }
    }
    return withWhatLiesOn(lost);
  }

  /** Pours for which too little is left in their cup, where less was weighed than planned. */
  private Set<TaskId> tooLittle() {
    Set<TaskId> few = new HashSet<>();
    for (Batch batch : bench.run.plan().batches()) {
      double share = bench.account.share(batch);
      for (Cup cup : batch.cups()) {
        boolean filled = bench.account.contentG(cup.id()) > 0;
        double left = filled ? bench.account.leftG(cup.id()) : cup.amounts().contentG() * share;
        for (Cup.Pour pour : cup.pours()) {
          TaskId task = BenchMoment.pourTask(pour);
          if (!bench.open(task)) {
            continue;
          }
          if (left < pour.massG() * ENOUGH) {
            few.add(task);
          } else {
            left -= Math.min(left, pour.massG());
          }
        }
      }
    }
    return few;
  }

  /** A layer that is not there cannot be covered. */
  private Set<TaskId> withWhatLiesOn(Set<TaskId> lost) {
    Set<TaskId> all = new HashSet<>(lost);
    for (Batch batch : bench.batches) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.pours()) {
          boolean onNothing =
              bench.open(BenchMoment.pourTask(pour))
                  && bench.below(pour).stream().anyMatch(b -> isMissing(b, lost));
          if (onNothing) {
            all.add(BenchMoment.pourTask(pour));
          }
        }
      }
    }
    all.addAll(uselessFor(all));
    return all;
  }

  private boolean isMissing(Cup.Pour pour, Set<TaskId> lost) {
    TaskId task = BenchMoment.pourTask(pour);
    return lost.contains(task) || (!bench.done(task) && bench.history.givenUp.contains(task));
  }

  /** A cup from which nothing will be poured need not be filled or tinted. */
  private Set<TaskId> uselessFor(Set<TaskId> lost) {
    Set<TaskId> useless = new HashSet<>();
    for (Task task : bench.run.plan().tasks()) {
      Cup cup = task.cupId() == null ? null : bench.cup(task.cupId());
      if (cup != null
          && READIES_CUP.contains(task.kind())
          && bench.open(task.id())
          && !cup.pours().isEmpty()
          && cup.pours().stream()
              .allMatch(p ->
                  lost.contains(BenchMoment.pourTask(p))
                      || bench.history.givenUp.contains(BenchMoment.pourTask(p)))) {
        useless.add(task.id());
      }
    }
    return useless;
  }

  /**
   * The plan's order with the pours of open batches by which cup thickens first, and what lies
   * below a pour before it.
   */
  private List<Task> soonestFirst(Laid laid, Set<TaskId> leftOut) {
    List<Task> order = new ArrayList<>(bench.run.plan().tasks());
    Map<Integer, List<Integer>> places = new LinkedHashMap<>();
    Set<Integer> keep = new HashSet<>();
    for (int i = 0; i < order.size(); i++) {
      Task task = order.get(i);
      boolean opened = task.cupId() != null && laid.cups().containsKey(task.cupId());
      if (KEEPS_ORDER.contains(task.kind()) && bench.open(task.id())) {
        keep.add(task.batch());
      }
      boolean moves = task.kind() == Task.Kind.POUR || task.kind() == Task.Kind.TINT;
      if (opened && moves && bench.open(task.id()) && !leftOut.contains(task.id())) {
        places.computeIfAbsent(task.batch(), k -> new ArrayList<>()).add(i);
      }
    }
    Map<TaskId, Cup.Pour> pours = new HashMap<>();
    bench.batches.forEach(
        b -> b.cups().forEach(c -> c.pours().forEach(p -> pours.put(BenchMoment.pourTask(p), p))));
    places.forEach((batch, its) -> {
      if (keep.contains(batch)) {
        return;
      }
      Map<TaskId, Task> tasks = new LinkedHashMap<>();
      its.forEach(i -> tasks.put(order.get(i).id(), order.get(i)));
      List<DueOrder.Job> due =
          DueOrder.of(tasks.values().stream().map(t -> job(t, pours.get(t.id()), laid)).toList());
      for (int i = 0; i < its.size(); i++) {
        order.set(its.get(i), known(tasks.get(due.get(i).id())));
      }
    });
    return order;
  }

  private DueOrder.Job job(Task task, Cup.@Nullable Pour pour, Laid laid) {
    CupId cup = known(task.cupId());
    Set<TaskId> after = pour == null ? new HashSet<>() : below(pour);
    if (task.kind() == Task.Kind.POUR) {
      after.add(TaskId.cup(cup, Task.Kind.TINT));
    }
    return new DueOrder.Job(
        task.id(), task.takesSeconds(), known(laid.cups().get(cup)).thicksSeconds(), after);
  }

  private Set<TaskId> below(Cup.Pour pour) {
    Set<TaskId> below = new HashSet<>();
    bench.below(pour).forEach(b -> below.add(BenchMoment.pourTask(b)));
    return below;
  }

  /** As few pours as possible, so that the others are in time. */
  private Set<TaskId> tooLate(Laid laid) {
    Map<TaskId, Task> tasks = new HashMap<>();
    bench.run.plan().tasks().forEach(t -> tasks.put(t.id(), t));
    Set<TaskId> late = new HashSet<>();
    Map<Integer, List<Salvage.Load>> loads = new LinkedHashMap<>();
    for (Follows cup : laid.cups().values()) {
      List<Salvage.Open> pours = new ArrayList<>();
      for (Cup.Pour pour : cup.cup().pours()) {
        Task task = tasks.get(BenchMoment.pourTask(pour));
        if (task != null && laid.has(task.id()) && bench.open(task.id())) {
          pours.add(new Salvage.Open(task.id(), task.takesSeconds(), below(pour)));
        }
      }
      int setUp =
          tasks.values().stream()
              .filter(t -> cup.cup().id().equals(t.cupId()))
              .filter(t -> READIES_CUP.contains(t.kind()) && bench.open(t.id()))
              .mapToInt(Task::takesSeconds)
              .sum();
      loads
          .computeIfAbsent(cup.batch().number(), k -> new ArrayList<>())
          .add(new Salvage.Load(cup.cup().id(), setUp, cup.thicksSeconds(), pours));
    }
    loads.forEach((batch, its) -> {
      int from =
          laid.tasks().stream()
              .filter(t -> t.batch() == batch && t.kind() == Task.Kind.POUR && bench.open(t.id()))
              .mapToInt(Task::startSeconds)
              .min()
              .orElse(bench.now);
      int setUp = its.stream().mapToInt(Salvage.Load::setUpSeconds).sum();
      late.addAll(Salvage.givenUp(its, Math.max(bench.now, from - setUp)));
    });
    return withWhatLiesOn(late);
  }

  private static Set<TaskId> union(Set<TaskId> a, Set<TaskId> b) {
    Set<TaskId> all = new HashSet<>(a);
    all.addAll(b);
    return all;
  }
}
