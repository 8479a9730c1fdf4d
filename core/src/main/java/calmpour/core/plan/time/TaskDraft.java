package calmpour.core.plan.time;

import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A task while it is put together; it has no time yet. */
public final class TaskDraft {
  private final TaskId id;
  private final Task.Kind kind;
  private final int batch;
  private final int takes;
  private final List<Lag> lags = new ArrayList<>();
  private @Nullable CupId cupId;
  private @Nullable PourId pourId;
  private @Nullable Integer line;
  private @Nullable String toolId;
  private int places = 1;
  private boolean hands = true;
  private boolean optional;

  private TaskDraft(TaskId id, Task.Kind kind, int batch, double takesSeconds) {
    this.id = id;
    this.kind = kind;
    this.batch = batch;
    this.takes = (int) Math.ceil(takesSeconds);
  }

  static TaskDraft of(TaskId id, Task.Kind kind, int batch, double takesSeconds) {
    return new TaskDraft(id, kind, batch, takesSeconds);
  }

  TaskDraft cup(CupId of) {
    cupId = of;
    return this;
  }

  TaskDraft pour(PourId of) {
    pourId = of;
    return this;
  }

  TaskDraft line(int of) {
    line = of;
    return this;
  }

  TaskDraft pieces(int count) {
    places = count;
    return this;
  }

  TaskDraft tool(@Nullable String of) {
    toolId = of;
    return this;
  }

  TaskDraft byItself() {
    hands = false;
    return this;
  }

  TaskDraft ifThereIsTime() {
    optional = true;
    return this;
  }

  TaskDraft after(TaskId taskId) {
    lags.add(Lag.after(taskId));
    return this;
  }

  TaskDraft lag(Lag lag) {
    lags.add(lag);
    return this;
  }

  Task task() {
    // A wait is as long as it is; hands may be quicker or slower.
    int spread = hands ? (int) Math.round(takes * Hands.UNCERTAIN) : 0;
    return new Task(
        id,
        kind,
        batch,
        cupId,
        pourId,
        line,
        hands,
        0,
        toolId,
        places,
        0,
        takes,
        spread,
        lags,
        optional,
        false,
        kind.phase());
  }
}
