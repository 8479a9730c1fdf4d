package calmpour.core.run;

import calmpour.core.plan.doc.Task;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What became different in the rest of a run, because something happened.
 *
 * @param laterSeconds how much later the last open pour ends than it did before, negative for
 *     sooner
 * @param moved pours that now come in another order among those left
 * @param lost pours out of cups that cannot be poured any more
 * @param tooLate pours that cannot all be in time any more
 * @param saved pours that could not be in time before and can now
 */
public record Change(
    int laterSeconds,
    List<String> moved,
    List<String> lost,
    List<String> tooLate,
    List<String> saved) {
  /** Nobody sees less than that, s. */
  private static final int SEEN_SECONDS = 60;

  public Change {
    moved = List.copyOf(moved);
    lost = List.copyOf(lost);
    tooLate = List.copyOf(tooLate);
    saved = List.copyOf(saved);
  }

  /**
   * Between two states of one run: as it stood before something happened, and after it.
   *
   * @return null where the rest stays as it was
   */
  public static @Nullable Change between(RunState before, RunState after) {
    Set<String> open = pours(after, RunState.Status.TO_DO);
    List<String> was = inOrder(before, open);
    List<String> is = inOrder(after, new HashSet<>(was));
    Set<String> wasLate = pours(before, RunState.Status.TOO_LATE);
    Set<String> isLate = pours(after, RunState.Status.TOO_LATE);
    Set<String> lost = pours(after, RunState.Status.LOST);
    lost.removeAll(pours(before, RunState.Status.LOST));
    List<String> tooLate = isLate.stream().filter(t -> !wasLate.contains(t)).sorted().toList();
    List<String> saved = wasLate.stream().filter(open::contains).sorted().toList();
    Change change =
        new Change(
            after.lateSeconds() - before.lateSeconds(),
            moved(was, is),
            lost.stream().sorted().toList(),
            tooLate,
            saved);
    return change.seen() ? change : null;
  }

  private boolean seen() {
    return Math.abs(laterSeconds) >= SEEN_SECONDS
        || !moved.isEmpty()
        || !lost.isEmpty()
        || !tooLate.isEmpty()
        || !saved.isEmpty();
  }

  private static Set<String> pours(RunState state, RunState.Status status) {
    Set<String> pours = new HashSet<>();
    for (RunState.Step step : state.steps()) {
      if (step.kind() == Task.Kind.POUR && step.status() == status) {
        pours.add(step.taskId());
      }
    }
    return pours;
  }

  private static List<String> inOrder(RunState state, Set<String> among) {
    return state.steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .map(RunState.Step::taskId)
        .filter(among::contains)
        .toList();
  }

  private static List<String> moved(List<String> was, List<String> is) {
    List<String> moved = new ArrayList<>();
    for (int i = 0; i < Math.min(was.size(), is.size()); i++) {
      if (!was.get(i).equals(is.get(i))) {
        moved.add(is.get(i));
      }
    }
    return moved;
  }
}
