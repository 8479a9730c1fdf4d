package calmpour.core.run;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Which pieces there are, or will be: what nothing was poured into is not taken out of its mould.
 */
final class Made {
  /** What is done to the pieces of a group once they are poured. */
  private static final Set<Task.Kind> OF_PIECES =
      EnumSet.of(Task.Kind.DEMOULD, Task.Kind.FINISH, Task.Kind.READY);

  /** What goes into the pieces of a layer. */
  private static final Set<Task.Kind> INTO_PIECES =
      EnumSet.of(Task.Kind.EMBED, Task.Kind.NUDGE, Task.Kind.WET_WORK);

  private final Map<String, Integer> pieces = new HashMap<>();

  /** By batch and layer, such as {@code batch/1/2.1}: the pieces that have it. */
  private final Map<String, Set<CavityId>> layers = new HashMap<>();

  /**
   * @param gone pours that were not and will not be made
   * @param givenUp pieces that are not used although something was poured into them
   */
  Made(Plan plan, Predicate<TaskId> gone, Set<CavityId> givenUp) {
    Map<Integer, Set<Integer>> filled = new HashMap<>();
    plan.batches()
        .forEach(b ->
            b.cups().stream()
                .flatMap(c -> c.pours().stream())
                .filter(p -> !gone.test(TaskId.pour(p.id())) && !givenUp.contains(p.id().into()))
                .forEach((Cup.Pour p) -> {
                  filled.computeIfAbsent(p.line(), l -> new HashSet<>()).add(p.cavity());
                  layers
                      .computeIfAbsent(
                          "batch/" + b.number() + "/" + LineLayer.of(p), l -> new HashSet<>())
                      .add(p.id().into());
                }));
    for (int line = 0; line < plan.pieces().size(); line++) {
      Set<Integer> its = filled.getOrDefault(line, Set.of());
      List<PieceGroup> groups =
          PieceGroup.of(plan.batches(), line, plan.pieces().get(line).count());
      for (PieceGroup group : groups) {
        int there = (int) group.cavities().stream().filter(its::contains).count();
        OF_PIECES.forEach(kind -> pieces.put(group.taskId(kind).text(), there));
      }
    }
  }

  /** How many pieces a task is for; all of them where it is about something else. */
  int places(Task task) {
    String text = task.id().text();
    if (INTO_PIECES.contains(task.kind())) {
      String[] parts = text.split("/", -1);
      Set<CavityId> its = layers.get("batch/" + task.batch() + "/" + parts[3]);
      return its == null ? 0 : Math.min(its.size(), task.places());
    }
    if (task.kind() == Task.Kind.MOULDS_AWAY) {
      int out =
          pieces.entrySet().stream()
              .filter(p -> p.getKey().endsWith("/" + Task.Kind.DEMOULD))
              .mapToInt(Map.Entry::getValue)
              .sum();
      return Math.min(out, task.places());
    }
    if (!OF_PIECES.contains(task.kind())) {
      return task.places();
    }
    Integer its = pieces.get(text);
    // A finishing has a number behind the group's name.
    int slash = text.lastIndexOf('/');
    its = its == null && slash > 0 ? pieces.get(text.substring(0, slash)) : its;
    return its == null ? task.places() : Math.min(its, task.places());
  }

  /** Whether nothing of what a task is for is there. */
  boolean none(Task task) {
    boolean counted = OF_PIECES.contains(task.kind()) || INTO_PIECES.contains(task.kind());
    return counted && places(task) == 0;
  }
}
