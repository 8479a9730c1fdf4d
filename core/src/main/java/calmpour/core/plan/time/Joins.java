package calmpour.core.plan.time;

import calmpour.core.design.Join;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the layers of one batch wait for before they meet what earlier batches poured. */
final class Joins {
  private final JobInResin job;
  private final int number;

  /** From when on a plan of ours does a task, where that is later than it could. */
  private final Map<TaskId, Integer> best = new HashMap<>();

  /**
   * @param number of the batch
   */
  Joins(JobInResin job, int number) {
    this.job = job;
    this.number = number;
  }

  /** Moments that a plan of ours waits for, by task id; filled with the lags. */
  Map<TaskId, Integer> best() {
    return best;
  }

  /** A pour waits for what lies below, and a coat for its piece to be out of the mould. */
  void wait(TaskDraft draft, Cup.Pour pour, Filled filled) {
    lags(TaskId.pour(pour.id()), pour.line(), pour.cavity(), pour.layer(), filled, Lag.Why.JOIN)
        .forEach(draft::lag);
    Job.Line line = job.lines().get(pour.line());
    if (line.level(pour.layer()).coat()) {
      PieceGroup its = filled.group(pour.line(), line.piece().count(), pour.cavity());
      draft.after(its.taskId(Task.Kind.DEMOULD));
    }
  }

  /** What a pour onto a layer of an earlier batch, or an embed laid on it, has to wait for. */
  List<Lag> lags(TaskId task, int line, int cavity, int layer, Filled filled, Lag.Why why) {
    List<Lag> lags = new ArrayList<>();
    for (Filled.Lies below :
        layer == 0 ? List.<Filled.Lies>of() : filled.all(line, cavity, layer - 1)) {
      BatchStates.LayerSpan states = below.states().layer(line, layer - 1);
      if (below.batch().number() != number && states != null) {
        lags.add(joinLag(task, line, layer, below, states, why));
      }
    }
    return lags;
  }

  private Lag joinLag(
      TaskId task,
      int line,
      int layer,
      Filled.Lies below,
      BatchStates.LayerSpan states,
      Lag.Why why) {
    Job.Level level = job.lines().get(line).level(layer);
    JobInResin belowJob = job.in(below.batch().resinId());
    Window window =
        Window.join(
            belowJob,
            level.coat() ? Join.CURED : level.join(),
            states,
            below.contactSeconds(),
            below.mixedSeconds(),
            below.endSeconds());
    best.merge(task, window.best(), Math::max);
    Integer latest = window.until() == null ? null : window.until() - below.endSeconds();
    return new Lag(
        Lag.Clock.POURED,
        below.pour().id(),
        window.from() - below.endSeconds(),
        latest,
        false,
        why);
  }
}
