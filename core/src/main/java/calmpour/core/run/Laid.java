package calmpour.core.run;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The rest as it was laid, and how the open cups follow. */
final class Laid {
  private final BenchMoment bench;
  private final List<Task> tasks;
  private final Map<CupId, Follows> cups;
  private final Map<TaskId, Task> byId = new HashMap<>();

  Laid(BenchMoment bench, List<Task> tasks, Map<CupId, Follows> cups) {
    this.bench = bench;
    this.tasks = tasks;
    this.cups = cups;
    tasks.forEach(t -> byId.put(t.id(), t));
  }

  List<Task> tasks() {
    return tasks;
  }

  /** Of every open batch, by id. */
  Map<CupId, Follows> cups() {
    return cups;
  }

  boolean has(TaskId taskId) {
    return byId.containsKey(taskId);
  }

  @Nullable Task task(TaskId id) {
    return byId.get(id);
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
