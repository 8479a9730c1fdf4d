package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.design.Join;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Bodies;
import calmpour.core.plan.time.Presence;
import calmpour.core.plan.time.Times;
import calmpour.core.session.Job;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * A plan that is being carried out, its tasks at the times at which they really were done and the
 * rest where it is expected: what then waits for what, and how the cups follow. The rules are the
 * plan's own.
 */
public final class Underway {
  private final Job job;
  private final Times times;
  private final Presence presence;
  private final Map<TaskId, List<Lag>> lags = new HashMap<>();

  private Underway(Job job, List<Task> tasks) {
    this.job = job;
    this.times = Times.of(tasks);
    this.presence = new Presence(job.session());
  }

  /**
   * @param job with its session beginning when the work really began, in the room as it was read
   * @param batches with the amounts that are really in them
   * @param tasks of the plan, in seconds from when the work began
   */
  public static Underway of(Job job, CureModel cure, List<Batch> batches, List<Task> tasks) {
    Underway underway = new Underway(job, tasks);
    for (Task task : Facts.of(job, cure, Plan.ofTasks(batches, tasks)).expected()) {
      underway.lags.put(task.id(), task.after());
    }
    return underway;
  }

  /**
   * When a task can begin, by what it waits for.
   *
   * @param until null for no latest
   */
  public record Span(int from, @Nullable Integer until) {}

  /**
   * When a task can begin.
   *
   * @param at where the tasks are now, s
   * @param why of its waits only those for this; null for all
   */
  public Span span(TaskId taskId, Times at, Lag.@Nullable Why why) {
    int from = 0;
    Integer until = null;
    for (Lag lag : lags.getOrDefault(taskId, List.of())) {
      Integer moment = lag.ends() || (why != null && lag.why() != why) ? null : at.moment(lag);
      if (moment == null) {
        continue;
      }
      from = Math.max(from, moment + lag.atLeastSeconds());
      if (lag.atMostSeconds() != null) {
        int its = moment + lag.atMostSeconds();
        until = until == null ? its : Math.min(until, its);
      }
    }
    return new Span(from, until);
  }

  /**
   * Layers that can no longer meet what lies below as they were to: how they meet it now. What can
   * no longer flow into it waits for gel; what no longer bonds to gel waits until that has cured.
   *
   * @param open whether a task is still to be done
   */
  public Map<Job.LayerAt, Join> shut(int now, Predicate<TaskId> open, Times at) {
    Map<Job.LayerAt, Join> shut = new HashMap<>();
    for (TaskId id : lags.keySet()) {
      PourId pour = id.pour().orElse(null);
      if (pour == null || !open.test(id)) {
        continue;
      }
      Integer until = span(id, at, Lag.Why.JOIN).until();
      if (until != null && until < now) {
        Job.LayerAt layer = new Job.LayerAt(pour.line() - 1, pour.layer() - 1);
        Join join = job.lines().get(layer.line()).level(layer.layer()).join();
        shut.put(layer, join == Join.GEL ? Join.CURED : Join.GEL);
      }
    }
    return shut;
  }

  /** What a task waits for at these times; null for a task that no longer has to be. */
  public @Nullable List<Lag> lags(TaskId taskId) {
    return lags.get(taskId);
  }

  /**
   * The first moment from which the maker is there for so long.
   *
   * @return that moment, s; the one asked for where it is never so
   */
  public int there(int fromSeconds, int takesSeconds) {
    Integer next = presence.next(fromSeconds, takesSeconds);
    return next == null ? fromSeconds : next;
  }

  /**
   * What a cup goes through if nothing is poured from it but what its pours say.
   *
   * @param batch with the amounts that are really in it
   */
  public BodyHistory leftStanding(Batch batch, Cup cup) {
    return new Bodies(job.in(batch.resinId()), batch, times).leftStanding(cup);
  }

  /** What a batch goes through if it stays in its mixing cup. */
  public BodyHistory mixed(Batch batch) {
    return new Bodies(job.in(batch.resinId()), batch, times).mixed();
  }

  /**
   * What a layer goes through, in its cup and then in its mould.
   *
   * @param batch with the amounts that are really in it
   */
  public BodyHistory layer(Batch batch, Cup cup, Cup.Pour pour) {
    return new Bodies(job.in(batch.resinId()), batch, times).layer(cup, pour);
  }

  /**
   * What a cup would go through if nobody had read how warm the room is.
   *
   * @param batch with the amounts that are really in it
   */
  public BodyHistory bodyAsAssumed(Batch batch, Cup cup) {
    return new Bodies(job.withRoomRead(List.of()).in(batch.resinId()), batch, times).emptied(cup);
  }

  /**
   * What a cup goes through from the first contact on, in the room that the job says.
   *
   * @param batch with the amounts that are really in it
   */
  public BodyHistory body(Batch batch, Cup cup) {
    return new Bodies(job.in(batch.resinId()), batch, times).emptied(cup);
  }
}
