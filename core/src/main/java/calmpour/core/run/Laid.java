package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.design.Join;
import calmpour.core.plan.Underway;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Times;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** The rest as it was laid, and how the open cups follow. */
final class Laid {
  private final BenchMoment bench;
  private final List<Task> tasks;
  private final Map<CupId, Follows> cups;
  private final Map<TaskId, Task> byId = new HashMap<>();
  private final List<Batch> batches;
  private final CureModel cure;
  private final Underway rules;
  private final Times times;
  private final Map<Job.LayerAt, Join> shut;

  /**
   * @param batches with the amounts that are really in them
   * @param shut layers that meet what lies below otherwise than designed, and how
   */
  Laid(
      BenchMoment bench,
      List<Task> tasks,
      Map<CupId, Follows> cups,
      List<Batch> batches,
      CureModel cure,
      Underway rules,
      Map<Job.LayerAt, Join> shut) {
    this.batches = List.copyOf(batches);
    this.cure = cure;
    this.rules = rules;
    this.times = Times.of(tasks);
    this.shut = Map.copyOf(shut);
    this.bench = bench;
    this.tasks = tasks;
    this.cups = cups;
    tasks.forEach(t -> byId.put(t.id(), t));
  }

  /** The same without some tasks that nothing else waits for. */
  Laid without(Predicate<Task> not) {
    return tasks.stream().anyMatch(not)
        ? new Laid(
            bench, tasks.stream().filter(not.negate()).toList(), cups, batches, cure, rules, shut)
        : this;
  }

  List<Task> tasks() {
    return tasks;
  }

  /** Of every open batch, by id. */
  Map<CupId, Follows> cups() {
    return cups;
  }

  /** Batches in their mixing cups. */
  List<Mix> mixes() {
    return Mix.all(bench, batches, cure, rules);
  }

  /** A cup if it stays as it is. */
  Follows.Stands stands(Follows cup) {
    return cup.stands(bench, cure, rules);
  }

  /** A batch in its mixing cup, of which A and B have met; seconds from when the run was begun. */
  record Mix(int batch, double massG, int contactSeconds, int thicksSeconds, int gelsSeconds) {
    static List<Mix> all(BenchMoment bench, List<Batch> batches, CureModel cure, Underway rules) {
      List<Mix> mixes = new ArrayList<>();
      for (Batch batch : batches) {
        boolean met =
            bench.opened(batch) && bench.done(BenchMoment.task(batch, Task.Kind.WEIGH_SECOND));
        double left = batch.split() ? bench.account.staysG(batch.number()) : 0;
        boolean splits =
            batch.cups().stream().anyMatch(c -> bench.open(TaskId.cup(c.id(), Task.Kind.SPLIT)));
        if (!met || !splits || left <= 0) {
          continue;
        }
        int contact =
            known(bench.history.done.get(BenchMoment.task(batch, Task.Kind.WEIGH_FIRST)))
                .atSeconds();
        CureStates states = cure.states(bench.job.in(batch.resinId()).resin(), rules.mixed(batch));
        mixes.add(
            new Mix(
                batch.number(),
                left,
                contact,
                contact + (int) Math.floor(states.workingTimeEnds().minutes() * 60),
                contact + (int) Math.floor(states.gels().minutes() * 60)));
      }
      return mixes;
    }
  }

  boolean has(TaskId taskId) {
    return byId.containsKey(taskId);
  }

  @Nullable Task task(TaskId id) {
    return byId.get(id);
  }

  /** When a task can begin, by what it waits for. */
  Underway.Span span(TaskId id) {
    return rules.span(id, times, null);
  }

  /**
   * One thing that a task waits for.
   *
   * @param moment when its clock started, s
   * @param until null for no latest
   */
  record Wait(Lag lag, int moment, int from, @Nullable Integer until) {}

  /** All that a task waits for, as far as it is laid. */
  List<Wait> waits(TaskId id) {
    List<Lag> lags = rules.lags(id);
    List<Wait> waits = new ArrayList<>();
    for (Lag lag : lags == null ? List.<Lag>of() : lags) {
      Integer moment = lag.ends() ? null : times.moment(lag);
      if (moment != null) {
        Integer until = lag.atMostSeconds() == null ? null : moment + lag.atMostSeconds();
        waits.add(new Wait(lag, moment, moment + lag.atLeastSeconds(), until));
      }
    }
    return waits;
  }

  /** When a layer meets what lies below, s. */
  Underway.Span join(TaskId pour) {
    return rules.span(pour, times, Lag.Why.JOIN);
  }

  /**
   * How a layer meets what lies below now, because its first window has shut; null: as designed.
   */
  @Nullable Join joinNow(TaskId pour) {
    return pour.pour()
        .map(p -> shut.get(new Job.LayerAt(p.line() - 1, p.layer() - 1)))
        .orElse(null);
  }

  /**
   * Until when the layer that an embed goes into gives way, s: until the first of its cavities has
   * thickened. Null before anything of it is poured.
   */
  @Nullable Integer givesWayUntil(Task embed) {
    Integer until = null;
    for (Batch batch : batches) {
      for (Cup cup : batch.cups()) {
        Follows follows = cups.get(cup.id());
        for (Cup.Pour pour : cup.pours()) {
          String layer = "/" + LineLayer.of(pour) + "/";
          boolean its = batch.number() == embed.batch() && embed.id().text().contains(layer);
          if (its && follows != null && bench.done(BenchMoment.pourTask(pour))) {
            double minutes =
                cure.thickens(bench.job.in(batch.resinId()).resin(), rules.layer(batch, cup, pour))
                        .workingMinutes()
                    * follows.times();
            int thick = follows.contactSeconds() + (int) Math.floor(minutes * 60);
            until = until == null ? thick : Math.min(until, thick);
          }
        }
      }
    }
    return until;
  }

  boolean late() {
    return worst() < 0;
  }

  /** Least time to spare of a pour that is still to be done, s. */
  int worst() {
    return spares().values().stream().mapToInt(s -> s).min().orElse(Integer.MAX_VALUE);
  }

  /** The pour that is still to be done with the least time to spare. */
  TaskId latest() {
    return spares().entrySet().stream()
        .min(Map.Entry.<TaskId, Integer>comparingByValue().thenComparing(e -> e.getKey().text()))
        .orElseThrow()
        .getKey();
  }

  private Map<TaskId, Integer> spares() {
    Map<TaskId, Integer> spares = new HashMap<>();
    for (Follows cup : cups.values()) {
      for (Cup.Pour pour : cup.cup().pours()) {
        Task task = byId.get(BenchMoment.pourTask(pour));
        if (task != null && bench.open(task.id())) {
          spares.put(task.id(), cup.thicksSeconds() - task.endSeconds());
        }
      }
    }
    return spares;
  }
}
