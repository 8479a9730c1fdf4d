package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.Rescue;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Puts a run into what is kept of it. */
final class LookBack {
  /** Nobody calls less than that late, or a room different. */
  private static final int LATE_SECONDS = 120;

  private static final double ROOM_K = 1;

  /** Of the stirring that was planned, the least that still counts as done. */
  private static final double STIRRED = 0.75;

  /** A pour that is further off than this share of what was planned is told. */
  private static final double OTHER_MASS = 0.1;

  private static final Set<Task.Kind> EMBEDS = EnumSet.of(Task.Kind.EMBED, Task.Kind.LAY_EMBEDS);

  private final BenchMoment bench;
  private final Replan replan;
  private final List<AsRun.Deviation> deviations = new ArrayList<>();

  LookBack(BenchMoment bench, Replan replan) {
    this.bench = bench;
    this.replan = replan;
  }

  AsRun asRun() {
    Plan plan = bench.run.plan();
    List<Batch> opened = plan.batches().stream().filter(bench::opened).toList();
    List<AsRun.PourIn> pours = new ArrayList<>();
    for (Batch batch : plan.batches()) {
      batch
          .cups()
          .forEach(cup -> bench.history.troubles.pours(cup).forEach(p -> pours.add(pour(cup, p))));
    }
    pours.sort(
        Comparator.comparingInt(
                (AsRun.PourIn p) -> p.atSeconds() == null ? Integer.MAX_VALUE : p.atSeconds())
            .thenComparingInt(AsRun.PourIn::plannedSeconds));
    opened.forEach(b -> otherwise(b, pours));
    pours.forEach(this::otherwise);
    otherwise();
    deviations.sort(Comparator.comparingInt(AsRun.Deviation::atSeconds));
    return new AsRun(
        bench.now,
        opened.stream().map(this::batch).toList(),
        opened.stream().flatMap(b -> b.cups().stream()).map(this::cup).toList(),
        pours,
        deviations,
        pieces(pours),
        bench.history.pot,
        bench.history.felt,
        bench.history.troubles.all,
        bench.account.masses());
  }

  private AsRun.BatchIn batch(Batch batch) {
    return new AsRun.BatchIn(
        batch.number(),
        batch.resinName(),
        batch.measuring().partA().massG(),
        batch.measuring().partB().massG(),
        bench.account.inAG(batch.number()),
        bench.account.inBG(batch.number()),
        ratioErrorPercent(batch),
        at(BenchMoment.task(batch, Task.Kind.WEIGH_FIRST)),
        bench.done(BenchMoment.task(batch, Task.Kind.STIR))
            ? (Integer) at(BenchMoment.task(batch, Task.Kind.STIR))
            : null);
  }

  private int at(TaskId taskId) {
    History.Done done = bench.history.done.get(taskId);
    return done == null ? 0 : done.atSeconds();
  }

  private @Nullable Double ratioErrorPercent(Batch batch) {
    double a = bench.account.inAG(batch.number());
    double b = bench.account.inBG(batch.number());
    return bench.done(BenchMoment.task(batch, Task.Kind.WEIGH_SECOND)) && a > 0 && b > 0
        ? Rescue.of(
                bench.job.in(batch.resinId()).resin(),
                batch.measuring().totalG(),
                a,
                b,
                bench.run.session().habits().scaleDivisionG(),
                bench.run.session().habits().ratioTolerancePercent())
            .errorIfLeftPercent()
        : null;
  }

  private AsRun.CupIn cup(Cup cup) {
    return new AsRun.CupIn(
        cup.id(),
        cup.batch(),
        cup.colour().name(),
        cup.colour().swatch(),
        cup.amounts().contentG(),
        bench.account.contentG(cup.id()),
        bench.account.leftG(cup.id()),
        bench.account.lostG(cup.id()),
        bench.history.stayed.get(cup.id()));
  }

  private AsRun.PourIn pour(Cup cup, Cup.Pour pour) {
    TaskId task = BenchMoment.pourTask(pour);
    boolean poured = bench.done(task);
    Follows follows = replan.laid().cups().get(cup.id());
    AsRun.Outcome outcome =
        poured
            ? AsRun.Outcome.POURED
            : bench.history.givenUp.contains(task)
                ? AsRun.Outcome.GIVEN_UP
                : replan.lost().contains(task) ? AsRun.Outcome.LOST : AsRun.Outcome.OPEN;
    return new AsRun.PourIn(
        pour.id(),
        pour.line(),
        pour.cavity(),
        pour.layer(),
        cup.id(),
        cup.colour().name(),
        cup.colour().swatch(),
        outcome,
        pour.massG(),
        poured ? bench.account.pouredG(pour.id()) : null,
        poured && known(bench.history.done.get(task)).grams() != null,
        pour.endSeconds(),
        poured ? (Integer) at(task) : null,
        poured && follows != null ? (Integer) (follows.thicksSeconds() - at(task)) : null);
  }

  private void found(AsRun.Code code, @Nullable Object of, @Nullable Double by, int at) {
    deviations.add(new AsRun.Deviation(code, of == null ? null : of.toString(), by, at));
  }

  private void otherwise(Batch batch, List<AsRun.PourIn> pours) {
    String name = Integer.toString(batch.number());
    Double off = ratioErrorPercent(batch);
    int both = at(BenchMoment.task(batch, Task.Kind.WEIGH_SECOND));
    if (off != null && Math.abs(off) > bench.run.session().habits().ratioTolerancePercent()) {
      found(AsRun.Code.RATIO_OFF, name, off, both);
    }
    bench.history.added.forEach((part, grams) -> {
      if (part.startsWith(name + "/")) {
        found(AsRun.Code.ADDED, part, grams, both);
      }
    });
    TaskId stir = BenchMoment.task(batch, Task.Kind.STIR);
    Task planned =
        bench.run.plan().tasks().stream().filter(t -> t.id().equals(stir)).findFirst().orElse(null);
    if (planned != null && bench.done(stir)) {
      int took = at(stir) - both;
      if (took < planned.takesSeconds() * STIRRED) {
        found(AsRun.Code.STIRRED_SHORT, name, (planned.takesSeconds() - took) / 60.0, at(stir));
      }
    }
    pours.stream()
        .filter(p -> p.atSeconds() != null && isOf(batch, p))
        .max(Comparator.comparingInt(AsRun.PourIn::atSeconds))
        .ifPresent(last -> {
          int at = known(last.atSeconds());
          int late = at - last.plannedSeconds();
          if (late > LATE_SECONDS) {
            found(AsRun.Code.LATE, name, late / 60.0, at);
          }
        });
  }

  private static boolean isOf(Batch batch, AsRun.PourIn pour) {
    return batch.cups().stream().anyMatch(c -> c.id().equals(pour.cupId()));
  }

  private void otherwise(AsRun.PourIn pour) {
    switch (pour.outcome()) {
      case GIVEN_UP -> found(AsRun.Code.GIVEN_UP, pour.pourId(), null, bench.now);
      case LOST -> found(AsRun.Code.LOST, pour.pourId(), null, bench.now);
      case OPEN -> {}
      case POURED -> {
        int at = at(TaskId.pour(pour.pourId()));
        double more = (pour.grams() == null ? pour.plannedG() : pour.grams()) - pour.plannedG();
        if (Math.abs(more) > pour.plannedG() * OTHER_MASS) {
          found(AsRun.Code.OTHER_MASS, pour.pourId(), more, at);
        }
        Integer spare = pour.spareSeconds();
        if (spare != null && spare < 0) {
          found(AsRun.Code.POURED_THICK, pour.pourId(), -spare / 60.0, at);
        }
      }
    }
  }

  private void otherwise() {
    for (History.Away away : bench.history.away) {
      int back = away.backSeconds() == null ? bench.now : away.backSeconds();
      found(AsRun.Code.AWAY, null, (back - away.atSeconds()) / 60.0, away.atSeconds());
    }
    bench.history.thick.forEach((cup, at) -> found(AsRun.Code.TOLD_THICK, cup, null, at));
    bench.history.hot.forEach((cup, at) -> found(AsRun.Code.HOT, cup, null, at));
    double saidC = bench.run.session().room().temperatureC();
    bench.history.room.stream()
        .max(Comparator.comparingDouble(r -> Math.abs(r.temperatureC() - saidC)))
        .filter(r -> Math.abs(r.temperatureC() - saidC) > ROOM_K)
        .ifPresent(r -> found(AsRun.Code.ROOM, null, r.temperatureC() - saidC, r.atSeconds()));
    bench.history.early.forEach((task, by) -> {
      if (bench.done(task)) {
        found(AsRun.Code.EARLY, task, by, at(task));
      }
    });
    for (Task task : bench.run.plan().tasks()) {
      if (EMBEDS.contains(task.kind()) && bench.history.givenUp.contains(task.id())) {
        found(AsRun.Code.EMBED_LEFT_OUT, task.id(), null, bench.now);
      }
    }
  }

  private List<AsRun.PieceOut> pieces(List<AsRun.PourIn> pours) {
    List<AsRun.PieceOut> pieces = new ArrayList<>();
    List<Plan.PieceView> lines = bench.run.plan().pieces();
    for (int i = 0; i < lines.size(); i++) {
      int line = i;
      for (int c = 1; c <= lines.get(line).count(); c++) {
        int cavity = c;
        Map<Integer, List<AsRun.PourIn>> layers =
            pours.stream()
                .filter(p -> p.line() == line && p.cavity() == cavity)
                .collect(Collectors.groupingBy(AsRun.PourIn::layer));
        CavityId piece = new CavityId(line + 1, cavity);
        PieceGroup group =
            PieceGroup.of(bench.run.plan().batches(), line, lines.get(line).count(), cavity);
        pieces.add(
            new AsRun.PieceOut(
                piece,
                line,
                cavity,
                lines.get(line).mouldName(),
                (int)
                    layers.values().stream()
                        .filter(l -> l.stream().allMatch(p -> p.outcome() == AsRun.Outcome.POURED))
                        .count(),
                layers.size(),
                bench.done(group.taskId(Task.Kind.DEMOULD)),
                bench.history.troubles.givenUp.contains(piece),
                bench.history.lookedOver.get(piece),
                ready(group.taskId(Task.Kind.READY)),
                bench.history.became.get(piece)));
      }
    }
    return pieces;
  }

  private @Nullable Integer ready(TaskId task) {
    Task laid = replan.laid().task(task);
    return laid == null ? null : (Integer) laid.startSeconds();
  }
}
