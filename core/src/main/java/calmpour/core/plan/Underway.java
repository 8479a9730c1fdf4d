package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.session.Job;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A plan that is being carried out, its tasks at the times at which they really were done and the
 * rest where it is expected: what then waits for what, and how the cups follow. The rules are the
 * plan's own.
 */
public final class Underway {
  private final Job job;
  private final CureModel cure;
  private final Times times;
  private final Presence presence;
  private final Map<String, List<Lag>> lags = new HashMap<>();

  private Underway(Job job, CureModel cure, List<Task> tasks) {
    this.job = job;
    this.cure = cure;
    this.times = Times.of(tasks);
    this.presence = new Presence(job.session());
  }

  /**
   * @param job with its session beginning when the work really began, in the room as it is
   * @param batches with the amounts that are really in them
   * @param tasks of the plan, in seconds from when the work began
   */
  public static Underway of(Job job, CureModel cure, List<Batch> batches, List<Task> tasks) {
    Underway underway = new Underway(job, cure, tasks);
    for (Task task : Facts.of(job, cure, Plan.ofTasks(batches, tasks)).expected()) {
      underway.lags.put(task.id(), task.after());
    }
    return underway;
  }

  /** What a task waits for at these times; null for a task that no longer has to be. */
  public @Nullable List<Lag> lags(String taskId) {
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
   * How a cup follows.
   *
   * @param contactSeconds first contact of A and B
   * @param filledSeconds from when its resin is in it
   * @param body what it goes through, from the first contact on
   * @param states counted from the first contact
   */
  public record CupFollows(
      int contactSeconds, int filledSeconds, BodyHistory body, CureStates states) {}

  /**
   * @param batch with the amounts that are really in it
   * @param really what is known better of a body than the room it was planned in
   */
  public CupFollows follow(Batch batch, Cup cup, UnaryOperator<BodyHistory> really) {
    Job inResin = job.in(batch.resinId());
    BodyHistory body = really.apply(new Bodies(inResin, batch, times).emptied(cup));
    return new CupFollows(
        times.contact(batch.number()),
        times.filled(batch.number(), cup.id()),
        body,
        cure.states(inResin.resin(), body));
  }

  /** Whether a batch is split, tinted, poured and covered in one go with such a task. */
  public static boolean inOneGo(Task.Kind kind) {
    return Schedule.ONE_GO.contains(kind);
  }
}
