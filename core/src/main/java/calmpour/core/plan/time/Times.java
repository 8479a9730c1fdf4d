package calmpour.core.plan.time;

import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The moments of a plan, read off its tasks; seconds from the first step. */
public final class Times {
  private final Map<TaskId, Task> byId = new HashMap<>();

  Times() {}

  public static Times of(List<Task> tasks) {
    Times times = new Times();
    tasks.forEach(times::put);
    return times;
  }

  void put(Task task) {
    byId.put(task.id(), task);
  }

  public @Nullable Task task(TaskId id) {
    return byId.get(id);
  }

  /** First contact of A and B; 0 where the plan never gets there. */
  public int contact(int batch) {
    return end(TaskId.batch(batch, Task.Kind.WEIGH_FIRST));
  }

  /** End of mixing. */
  public int mixed(int batch) {
    Task over = byId.get(TaskId.batch(batch, Task.Kind.SECOND_CUP));
    return over == null ? end(TaskId.batch(batch, Task.Kind.STIR)) : over.endSeconds();
  }

  /** When a cup has its resin: after its split, or from where the mix stays as it is. */
  public int filled(int batch, CupId cupId) {
    Task split = byId.get(TaskId.cup(cupId, Task.Kind.SPLIT));
    if (split != null) {
      return split.endSeconds();
    }
    Task tinted = byId.get(TaskId.batch(batch, Task.Kind.TINT));
    Task freed = byId.get(TaskId.batch(batch, Task.Kind.RELEASE));
    Task rest = byId.get(TaskId.batch(batch, Task.Kind.REST));
    Task last = tinted != null ? tinted : freed != null ? freed : rest;
    return last != null ? last.endSeconds() : mixed(batch);
  }

  public int end(TaskId id) {
    Task task = byId.get(id);
    return task == null ? 0 : task.endSeconds();
  }

  public int start(TaskId id) {
    Task task = byId.get(id);
    return task == null ? 0 : task.startSeconds();
  }

  /** The moment that a lag counts from; null when the plan has no such thing. */
  public @Nullable Integer moment(Lag lag) {
    return switch (lag.clock()) {
      case CONTACT -> {
        Task task = byId.get(lag.task());
        yield task == null ? null : (Integer) task.endSeconds();
      }
      case MIXED -> {
        int batch = Integer.parseInt(lag.of());
        yield byId.containsKey(TaskId.batch(batch, Task.Kind.STIR)) ? (Integer) mixed(batch) : null;
      }
      case POURED -> {
        Task task = byId.get(lag.task());
        yield task == null ? null : (Integer) task.endSeconds();
      }
      case DONE -> {
        Task task = byId.get(lag.task());
        yield task == null ? null : (Integer) task.endSeconds();
      }
      case BEGINS -> {
        Task task = byId.get(lag.task());
        yield task == null ? null : (Integer) task.startSeconds();
      }
    };
  }
}
