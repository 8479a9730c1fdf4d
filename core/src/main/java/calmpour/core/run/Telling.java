package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.Rescue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Puts a moment of a run into what is shown of it. */
final class Telling {
  /** Beyond that a weight is asked about: common practice, no source. */
  private static final double DOUBTED_SHARE = 0.03;

  private final BenchMoment bench;
  private final Replan replan;
  private final Laid laid;

  Telling(BenchMoment bench, Replan replan) {
    this.bench = bench;
    this.replan = replan;
    this.laid = replan.laid();
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
    RunEvent undoable = bench.history.undoable;
    return new RunState(
        bench.now,
        steps,
        current == null ? null : current.taskId(),
        cupsNow(),
        late,
        laid.worst() == Integer.MAX_VALUE ? null : (Integer) laid.worst(),
        replan.reordered(),
        replan.tooLate().stream()
            .filter(t -> t.pour().isPresent())
            .sorted(Comparator.comparing(TaskId::text))
            .toList(),
        rescue(),
        bench.account.masses(),
        leftOvers(),
        Set.copyOf(bench.history.checked),
        undoable == null
            ? null
            : new RunState.Undoable(undoable.id(), undoable.kind(), undoable.of()),
        bench.history.awaySince,
        leaves ? (Integer) known(current).startSeconds() : null,
        bench.history.finished,
        bench.history.room.isEmpty() ? null : bench.roomC,
        bench.history.pot);
  }

  private List<RunState.Step> steps() {
    List<RunState.Step> steps = new ArrayList<>();
    for (Task task : laid.tasks()) {
      boolean done = bench.history.done.containsKey(task.id());
      boolean over = !task.hands() && task.endSeconds() <= bench.now;
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
                  : replan.tooLate().contains(task.id()) ? RunState.Status.TOO_LATE : null;
      if (status != null) {
        steps.add(step(task, status));
      }
    }
    return steps;
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
    return new RunState.Step(
        task.id(),
        task.kind(),
        task.batch(),
        task.cupId(),
        task.pourId(),
        task.line(),
        task.hands(),
        task.pair(),
        task.places(),
        task.optional(),
        task.startSeconds(),
        task.endSeconds(),
        status,
        target,
        done == null ? null : done.grams(),
        task.phase(),
        target == null ? null : (Double) Math.max(0, target - doubt),
        target == null ? null : (Double) (target + doubt));
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

  private List<RunState.CupNow> cupsNow() {
    List<RunState.CupNow> cups = new ArrayList<>();
    for (Follows each : laid.cups().values()) {
      boolean filled = bench.account.contentG(each.cup().id()) > 0;
      boolean cleaned =
          bench.history.done.containsKey(TaskId.batch(each.batch().number(), Task.Kind.CLEAN_UP));
      if (!filled || cleaned) {
        continue;
      }
      cups.add(
          new RunState.CupNow(
              each.cup().id(),
              each.batch().number(),
              each.cup().colour().name(),
              each.cup().colour().swatch(),
              bench.now >= each.gelsSeconds()
                  ? RunState.CupState.GELLED
                  : bench.now >= each.thicksSeconds()
                      ? RunState.CupState.THICK
                      : RunState.CupState.POURABLE,
              each.contactSeconds(),
              each.thicksSeconds(),
              each.earliestSeconds(),
              each.gelsSeconds(),
              each.aheadSeconds(),
              bench.account.leftG(each.cup().id()),
              bench.pours(each).stream().noneMatch(p -> bench.open(BenchMoment.pourTask(p))),
              each.temperatureC(),
              each.expectedC(),
              each.hot()));
    }
    cups.sort(Comparator.comparingInt(RunState.CupNow::thicksSeconds));
    return cups;
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

  /** What is in cups from which nothing will be poured. */
  private List<RunState.LeftOver> leftOvers() {
    List<RunState.LeftOver> left = new ArrayList<>();
    for (Follows each : laid.cups().values()) {
      double grams = bench.account.leftG(each.cup().id());
      boolean pours =
          bench.pours(each).stream()
              .map(BenchMoment::pourTask)
              .anyMatch(t ->
                  bench.open(t) && !replan.lost().contains(t) && !replan.tooLate().contains(t));
      boolean any =
          bench.pours(each).stream()
              .map(BenchMoment::pourTask)
              .anyMatch(t -> !bench.open(t) || replan.lost().contains(t));
      if (grams <= 0 || pours || !any) {
        continue;
      }
      boolean thick = bench.now >= each.thicksSeconds();
      left.add(
          new RunState.LeftOver(
              each.cup().id(),
              grams,
              each.hot()
                  ? RunState.Advice.OUTDOORS
                  : bench.now >= each.gelsSeconds()
                      ? RunState.Advice.LET_CURE
                      : thick ? RunState.Advice.SPREAD_THIN : RunState.Advice.FILLERS));
    }
    return left;
  }
}
