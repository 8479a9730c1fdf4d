package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.RoomCourse;
import calmpour.core.habit.Habits;
import calmpour.core.plan.bench.StepCards;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.Rescue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Puts a moment of a run into what is shown of it. */
final class Telling {
  /** Beyond that a weight is asked about: common practice, no source. */
  private static final double DOUBTED_SHARE = 0.03;

  private final BenchMoment bench;
  private final Replan replan;
  private final Laid laid;
  private final CupsTold cups;
  private final StepCards cards;

  Telling(BenchMoment bench, Replan replan) {
    this.bench = bench;
    this.replan = replan;
    this.laid = replan.laid();
    this.cups = new CupsTold(bench, replan);
    this.cards = new StepCards(bench.job, bench.run.plan(), laid.tasks());
  }

  RunState state() {
    List<RunState.Step> steps = steps();
    RunState.Step current =
        steps.stream()
            .filter(s -> s.hands() && s.status() == RunState.Status.TO_DO)
            .findFirst()
            .orElse(null);
    boolean leaves =
        current != null && current.startSeconds() - bench.now >= StillToDo.LEAVES_SECONDS;
    Map<TaskId, Task> planned = new HashMap<>();
    bench.run.plan().tasks().forEach(t -> planned.put(t.id(), t));
    int lastIs = Integer.MIN_VALUE;
    int lastWas = Integer.MIN_VALUE;
    for (Task task : laid.tasks()) {
      if (task.kind() == Task.Kind.POUR
          && task.cupId() != null
          && laid.cups().containsKey(task.cupId())
          && bench.open(task.id())) {
        lastIs = Math.max(lastIs, task.endSeconds());
        lastWas = Math.max(lastWas, known(planned.get(task.id())).endSeconds());
      }
    }
    int late = lastIs == Integer.MIN_VALUE ? 0 : lastIs - lastWas;
    return new RunState(
        bench.now,
        steps,
        current == null ? null : current.taskId(),
        cups.now(),
        cups.mixes(),
        late,
        laid.worst() == Integer.MAX_VALUE ? null : (Integer) laid.worst(),
        replan.reordered(),
        replan.tooLate().stream()
            .filter(t -> t.pour().isPresent())
            .sorted(Comparator.comparing(TaskId::text))
            .toList(),
        rescue(),
        bench.account.masses(),
        cups.leftOvers(),
        Set.copyOf(bench.history.checked),
        undoable(),
        bench.history.awaySince,
        leaves ? (Integer) known(current).startSeconds() : null,
        bench.history.finished,
        room(),
        bench.history.pot,
        bench.history.troubles.givenUp.stream()
            .sorted(Comparator.comparingInt(CavityId::line).thenComparingInt(CavityId::cavity))
            .toList(),
        bench.history.weighed.entrySet().stream()
            .map(e -> new RunState.WeighedBeside(e.getKey().kind(), e.getKey().of(), e.getValue()))
            .toList());
  }

  private List<RunState.Undoable> undoable() {
    return bench.history.undoable.stream()
        .limit(RunState.MOST_UNDOABLE)
        .map(together -> {
          RunEvent named =
              together.stream()
                  .filter(e -> e.kind() == RunEvent.Kind.DONE)
                  .findFirst()
                  .orElse(together.getFirst());
          return new RunState.Undoable(
              together.stream().map(RunEvent::id).toList(), named.kind(), named.of());
        })
        .toList();
  }

  private RunState.@Nullable RoomReading room() {
    String eventId = bench.history.roomEventId;
    if (eventId == null) {
      return null;
    }
    RoomCourse.Reading last = bench.history.room.getLast();
    return new RunState.RoomReading(eventId, last.atSeconds(), last.temperatureC());
  }

  private List<RunState.Step> steps() {
    List<RunState.Step> steps = new ArrayList<>();
    for (Task task : laid.tasks()) {
      boolean done = bench.history.done.containsKey(task.id());
      // What follows a wait is done: nobody waits any more.
      boolean over = !task.hands() && (task.endSeconds() <= bench.now || followed(task));
      boolean runs = !task.hands() && task.startSeconds() <= bench.now && waitedForIsDone(task);
      RunState.Status status =
          done || (over && runs)
              ? RunState.Status.DONE
              : runs ? RunState.Status.RUNNING : RunState.Status.TO_DO;
      steps.add(step(task, status));
    }
    for (Task task : bench.run.plan().tasks()) {
      if (laid.has(task.id())) {
        continue;
      }
      RunState.Status status =
          bench.history.givenUp.contains(task.id())
              ? RunState.Status.GIVEN_UP
              : replan.lost().contains(task.id())
                  ? RunState.Status.LOST
                  : replan.tooLate().contains(task.id())
                      ? RunState.Status.TOO_LATE
                      : replan.missed().contains(task.id()) ? RunState.Status.MISSED : null;
      if (status != null) {
        steps.add(step(task, status));
      }
    }
    return steps;
  }

  private boolean followed(Task wait) {
    return laid.tasks().stream()
        .filter(t -> t.hands() && bench.done(t.id()))
        .flatMap(t -> t.after().stream())
        .anyMatch(l -> l.clock() == Lag.Clock.DONE && l.task().equals(wait.id()));
  }

  /** A wait begins when what it follows was really done, not when that was expected. */
  private boolean waitedForIsDone(Task task) {
    return task.after().stream()
        .filter(l -> !l.ends())
        .map(l -> laid.task(l.task()))
        .filter(t -> t != null && t.hands())
        .allMatch(t -> bench.history.done.containsKey(t.id()));
  }

  private RunState.Step step(Task task, RunState.Status status) {
    History.Done done = bench.history.done.get(task.id());
    Double target = targetG(task);
    double doubt = target == null ? 0 : doubtG(task, target);
    boolean open = status == RunState.Status.TO_DO || status == RunState.Status.RUNNING;
    List<TaskId> joins = open ? joins(task) : List.of();
    return new RunState.Step(
        task.id(),
        task.kind(),
        task.batch(),
        task.cupId(),
        task.pourId(),
        task.line(),
        task.hands(),
        task.pair(),
        replan.made().places(task),
        task.optional(),
        task.startSeconds(),
        task.endSeconds(),
        status,
        target,
        done == null ? null : done.grams(),
        task.phase(),
        target == null ? null : (Double) Math.max(0, target - doubt),
        target == null ? null : (Double) (target + doubt),
        target == null ? null : mostG(task),
        overflowsG(task),
        open ? (Integer) laid.span(task.id()).from() : null,
        open ? until(task, joins) : null,
        joins.stream()
            .map(laid::joinNow)
            .filter(Objects::nonNull)
            .max(Comparator.naturalOrder())
            .orElse(null),
        cards.of(task));
  }

  /** The pours whose windows a task has to keep: its own, or all of the batch that it opens. */
  private List<TaskId> joins(Task task) {
    if (task.kind() == Task.Kind.POUR) {
      return List.of(task.id());
    }
    return StillToDo.OPENS_A_BATCH.contains(task.kind())
        ? laid.tasks().stream()
            .filter(t -> t.kind() == Task.Kind.POUR && t.batch() == task.batch())
            .map(Task::id)
            .toList()
        : List.of();
  }

  private @Nullable Integer until(Task task, List<TaskId> joins) {
    if (joins.isEmpty()) {
      Integer planned = laid.span(task.id()).until();
      return planned == null && task.kind() == Task.Kind.EMBED ? laid.givesWayUntil(task) : planned;
    }
    return joins.stream()
        .map(id -> laid.join(id).until())
        .filter(Objects::nonNull)
        .min(Comparator.naturalOrder())
        .orElse(null);
  }

  /**
   * How far a weight may be off before it is asked about, g: 3 % or two divisions of the scale; for
   * the second part no further than the ratio may be.
   */
  private double doubtG(Task task, double target) {
    Habits habits = bench.run.session().habits();
    double usual = Math.max(target * DOUBTED_SHARE, 2 * habits.scaleDivisionG());
    return task.kind() == Task.Kind.WEIGH_SECOND
        ? Math.min(usual, target * habits.ratioTolerancePercent() / 100)
        : usual;
  }

  /** What there is of it, or what its cup holds to the brim, g. */
  private @Nullable Double mostG(Task task) {
    Batch batch = bench.planned(task.batch());
    double density = bench.job.in(batch.resinId()).resin().mixedDensity();
    double brim = batch.mixing().cup().capacityMl() * density;
    Cup cup = task.cupId() == null ? null : bench.plannedCup(task.cupId());
    return switch (task.kind()) {
      case WEIGH_FIRST -> brim;
      case WEIGH_SECOND ->
          brim - bench.account.inAG(batch.number()) - bench.account.inBG(batch.number());
      case SPLIT -> {
        double there = bench.account.staysG(batch.number());
        double holds = cup == null ? there : cup.kind().capacityMl() * density;
        // Nothing is mixed yet where this is only looked at ahead.
        yield there > 0 ? Math.min(there, holds) : holds;
      }
      case POUR -> cup == null ? null : (Double) there(cup);
      default -> null;
    };
  }

  /** What a cavity still holds of a pour, g. */
  private @Nullable Double overflowsG(Task task) {
    Cup cup = task.cupId() == null ? null : bench.plannedCup(task.cupId());
    PourId id = task.pourId();
    if (task.kind() != Task.Kind.POUR || cup == null || id == null || task.line() == null) {
      return null;
    }
    Plan.PieceView piece = bench.run.plan().pieces().get(task.line());
    // A dome, and what a lid presses out, stand above the rim on purpose.
    double free = Math.max(piece.mouldMl(), piece.pouredMl());
    for (Batch batch : bench.run.plan().batches()) {
      for (Cup other : batch.cups()) {
        for (Cup.Pour pour : other.pours()) {
          Double in = bench.account.pouredG(pour.id());
          boolean here = pour.id().into().equals(id.into());
          free -= here && in != null ? in * millilitresPerGram(other) : 0;
        }
      }
    }
    return Math.max(0, free) / millilitresPerGram(cup);
  }

  private static double millilitresPerGram(Cup cup) {
    return cup.amounts().contentMl() / cup.amounts().contentG();
  }

  private @Nullable Double targetG(Task task) {
    return switch (task.kind()) {
      case WEIGH_FIRST -> {
        Batch batch = bench.planned(task.batch());
        yield aFirst(batch) ? batch.measuring().partA().massG() : batch.measuring().partB().massG();
      }
      case WEIGH_SECOND -> {
        Batch batch = bench.planned(task.batch());
        double first =
            aFirst(batch) ? bench.account.inAG(batch.number()) : bench.account.inBG(batch.number());
        yield Account.secondTargetG(batch, first);
      }
      case SPLIT -> {
        Cup cup = task.cupId() == null ? null : bench.plannedCup(task.cupId());
        boolean whole = !bench.planned(task.batch()).mixing().tintedWhole().isEmpty();
        // What a batch cannot give is not asked for: every cup gets its share of what there is.
        double share = bench.account.share(bench.planned(task.batch()));
        yield cup == null
            ? null
            : (Double) ((whole ? cup.amounts().contentG() : cup.amounts().resinG()) * share);
      }
      case POUR -> {
        Cup cup = task.cupId() == null ? null : bench.plannedCup(task.cupId());
        yield cup == null
            ? null
            : cup.pours().stream()
                .filter(p -> BenchMoment.pourTask(p).equals(task.id()))
                .map(p -> bench.open(task.id()) ? Math.min(p.massG(), there(cup)) : p.massG())
                .findFirst()
                .orElse(null);
      }
      default -> null;
    };
  }

  /** What a cup has to give; of one that is not filled yet what it will have. */
  private double there(Cup cup) {
    return bench.account.contentG(cup.id()) > 0
        ? bench.account.leftG(cup.id())
        : cup.amounts().contentG();
  }

  private static boolean aFirst(Batch batch) {
    return batch.measuring().firstPart() == Habits.FirstPart.A;
  }

  private RunState.@Nullable RescueNow rescue() {
    for (Batch batch : bench.run.plan().batches()) {
      TaskId second = BenchMoment.task(batch, Task.Kind.WEIGH_SECOND);
      TaskId stir = BenchMoment.task(batch, Task.Kind.STIR);
      if (!bench.history.done.containsKey(second) || bench.history.done.containsKey(stir)) {
        continue;
      }
      Rescue rescue =
          Rescue.of(
              bench.job.in(batch.resinId()).resin(),
              batch.measuring().totalG(),
              bench.account.inAG(batch.number()),
              bench.account.inBG(batch.number()),
              bench.run.session().habits().scaleDivisionG(),
              bench.run.session().habits().ratioTolerancePercent());
      Double off = rescue.errorIfLeftPercent();
      double tolerance = bench.run.session().habits().ratioTolerancePercent();
      if (off == null || Math.abs(off) > tolerance) {
        return new RunState.RescueNow(batch.number(), rescue);
      }
    }
    return null;
  }
}
