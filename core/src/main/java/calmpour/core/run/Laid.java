package calmpour.core.run;

import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The rest as it was laid, and how the open cups follow. */
final class Laid {
  private final BenchMoment bench;
  private final List<Task> tasks;
  private final Map<String, Follows> cups;
  private final Map<String, Task> byId = new HashMap<>();

  Laid(BenchMoment bench, List<Task> tasks, Map<String, Follows> cups) {
    this.bench = bench;
    this.tasks = tasks;
    this.cups = cups;
    tasks.forEach(t -> byId.put(t.id(), t));
  }

  List<Task> tasks() {
    return tasks;
  }

  /** Of every open batch, by id. */
  Map<String, Follows> cups() {
    return cups;
  }

  boolean has(String taskId) {
    return byId.containsKey(taskId);
  }

  @Nullable Task task(String id) {
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
  String latest() {
    return spares().entrySet().stream()
        .min(
            Map.Entry.<String, Integer>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
        .orElseThrow()
        .getKey();
  }

  private Map<String, Integer> spares() {
    Map<String, Integer> spares = new HashMap<>();
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
