package calmpour.core.plan.doc;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;

/**
 * Pieces of a line that have everything in common: the same batches fill their cavities, so they
 * are taken out, finished and left together. A line poured from one batch is one group.
 *
 * @param line index of the session's line of pieces, from 0
 * @param number which of the line's groups, from 1
 * @param cavities from 1, in order
 */
public record PieceGroup(int line, int number, List<Integer> cavities) {
  public PieceGroup {
    cavities = List.copyOf(cavities);
  }

  /**
   * The groups of a line, by their first cavity.
   *
   * @param count pieces of the line; those that nothing is poured into are a group too
   */
  public static List<PieceGroup> of(List<Batch> batches, int line, int count) {
    Map<Integer, TreeSet<Integer>> filledBy = new LinkedHashMap<>();
    for (int cavity = 1; cavity <= count; cavity++) {
      filledBy.put(cavity, new TreeSet<>());
    }
    for (Batch batch : batches) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.pours()) {
          if (pour.line() == line && filledBy.containsKey(pour.cavity())) {
            filledBy.get(pour.cavity()).add(batch.number());
          }
        }
      }
    }
    Map<TreeSet<Integer>, List<Integer>> alike = new LinkedHashMap<>();
    filledBy.forEach((cavity, by) -> alike.computeIfAbsent(by, k -> new ArrayList<>()).add(cavity));
    List<PieceGroup> groups = new ArrayList<>();
    for (List<Integer> cavities : alike.values()) {
      groups.add(new PieceGroup(line, groups.size() + 1, cavities));
    }
    return groups;
  }

  /** The group of a cavity. */
  public static PieceGroup of(List<Batch> batches, int line, int count, int cavity) {
    return of(batches, line, count).stream()
        .filter(g -> g.cavities.contains(cavity))
        .findFirst()
        .orElseThrow();
  }

  /** Address of a task of theirs; that of the line where it has no second group. */
  public TaskId taskId(Task.Kind kind) {
    return TaskId.group(line + 1, number, kind);
  }

  /** Whether a task pours into one of these cavities. */
  public boolean pours(Task task) {
    if (task.pourId() == null || task.line() == null || task.line() != line) {
      return false;
    }
    return cavities.contains(task.pourId().cavity());
  }
}
