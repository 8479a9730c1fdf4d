package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Bodies;
import calmpour.core.plan.time.Presence;
import calmpour.core.plan.time.Times;
import calmpour.core.session.Job;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
   * @param job with its session beginning when the work really began, in the room as it is
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
   * What a cup goes through from the first contact on, in the room that the job says.
   *
   * @param batch with the amounts that are really in it
   */
  public BodyHistory body(Batch batch, Cup cup) {
    return new Bodies(job.in(batch.resinId()), batch, times).emptied(cup);
  }
}
