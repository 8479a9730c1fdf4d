package calmpour.core.run;

import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
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
 * @param roomC how warm the room is now, where somebody read it or took a reading back, °C
 * @param soonerSeconds where the room was read, how much sooner the next cup thickens because of
 *     it, negative for later
 */
public record Change(
    int laterSeconds,
    List<TaskId> moved,
    List<TaskId> lost,
    List<TaskId> tooLate,
    List<TaskId> saved,
    @Nullable Double roomC,
    int soonerSeconds) {
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
   * @param assumedC how warm the room is taken to be while nobody has read it, °C
   * @return null where the rest stays as it was
   */
  public static @Nullable Change between(RunState before, RunState after, double assumedC) {
    Set<TaskId> open = pours(after, RunState.Status.TO_DO);
    List<TaskId> was = inOrder(before, open);
    List<TaskId> is = inOrder(after, new HashSet<>(was));
    Set<TaskId> wasLate = pours(before, RunState.Status.TOO_LATE);
    Set<TaskId> isLate = pours(after, RunState.Status.TOO_LATE);
    Set<TaskId> lost = pours(after, RunState.Status.LOST);
    lost.removeAll(pours(before, RunState.Status.LOST));
    List<TaskId> tooLate =
        isLate.stream()
            .filter(t -> !wasLate.contains(t))
            .sorted(Comparator.comparing(TaskId::text))
            .toList();
    List<TaskId> saved =
        wasLate.stream().filter(open::contains).sorted(Comparator.comparing(TaskId::text)).toList();
    boolean read = !Objects.equals(before.room(), after.room());
    Double roomC = read ? (after.room() == null ? assumedC : after.room().temperatureC()) : null;
    Change change =
        new Change(
            after.lateSeconds() - before.lateSeconds(),
            moved(was, is),
            lost.stream().sorted(Comparator.comparing(TaskId::text)).toList(),
            tooLate,
            saved,
            roomC,
            roomC == null ? 0 : sooner(before, after));
    return change.seen() ? change : null;
  }

  /** Of the cup that thickens next. */
  private static int sooner(RunState before, RunState after) {
    for (RunState.CupNow is : after.cups()) {
      for (RunState.CupNow was : before.cups()) {
        if (was.cupId().equals(is.cupId()) && is.state() == RunState.CupState.POURABLE) {
          return was.thicksSeconds() - is.thicksSeconds();
        }
      }
    }
    return 0;
  }

  private boolean seen() {
    return Math.abs(laterSeconds) >= SEEN_SECONDS
        || Math.abs(soonerSeconds) >= SEEN_SECONDS
        || !moved.isEmpty()
        || !lost.isEmpty()
        || !tooLate.isEmpty()
        || !saved.isEmpty();
  }

  private static Set<TaskId> pours(RunState state, RunState.Status status) {
    Set<TaskId> pours = new HashSet<>();
    for (RunState.Step step : state.steps()) {
      if (step.kind() == Task.Kind.POUR && step.status() == status) {
        pours.add(step.taskId());
      }
    }
    return pours;
  }

  private static List<TaskId> inOrder(RunState state, Set<TaskId> among) {
    return state.steps().stream()
        .filter(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
        .map(RunState.Step::taskId)
        .filter(among::contains)
        .toList();
  }

  private static List<TaskId> moved(List<TaskId> was, List<TaskId> is) {
    List<TaskId> moved = new ArrayList<>();
    for (int i = 0; i < Math.min(was.size(), is.size()); i++) {
      if (!was.get(i).equals(is.get(i))) {
        moved.add(is.get(i));
      }
    }
    return moved;
  }
}
