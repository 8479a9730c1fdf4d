package calmpour.core.run;

import calmpour.core.design.Join;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Something of a run that is due after the bench was left: a next layer, a demould, a finishing,
 * the day from which a piece is ready to hand over.
 *
 * @param line index of the session's line of pieces, from 0; null for a batch
 * @param places how many pieces
 * @param fromSeconds when it is due, from when the run was begun
 * @param untilSeconds the latest that does; null for no latest
 * @param joinNow how a next layer meets what lies below, where it no longer can as designed
 */
public record Due(
    TaskId taskId,
    Task.Kind kind,
    int batch,
    @Nullable Integer line,
    int places,
    int fromSeconds,
    int toSeconds,
    boolean hands,
    Task.Phase phase,
    @Nullable Integer untilSeconds,
    @Nullable Join joinNow) {
  private static final Set<Task.Kind> LATER =
      EnumSet.of(
          Task.Kind.DEMOULD,
          Task.Kind.MOULDS_AWAY,
          Task.Kind.FINISH,
          Task.Kind.READY,
          Task.Kind.IN_POT,
          Task.Kind.LOOK,
          Task.Kind.NUDGE,
          Task.Kind.EMBED);

  private static final Set<Task.Kind> OPENS =
      EnumSet.of(Task.Kind.WARM, Task.Kind.WIPE_MOULDS, Task.Kind.WEIGH_FIRST);

  /**
   * The same due no sooner than that, and no later than it may be.
   *
   * @param seconds from when the run was begun; null where nothing was put off
   */
  Due notBefore(@Nullable Integer seconds) {
    if (seconds == null || seconds <= fromSeconds) {
      return this;
    }
    int latest = untilSeconds == null ? seconds : Math.max(fromSeconds, untilSeconds);
    int from = Math.min(seconds, latest);
    return new Due(
        taskId,
        kind,
        batch,
        line,
        places,
        from,
        Math.max(from, toSeconds),
        hands,
        phase,
        untilSeconds,
        joinNow);
  }

  /** What is still due, the next first; nothing of a run that is over. */
  public static List<Due> of(RunState state) {
    List<Due> due = new ArrayList<>();
    if (state.finishedSeconds() != null) {
      return due;
    }
    Set<Integer> begun = new HashSet<>();
    for (RunState.Step step : state.steps()) {
      if (step.status() == RunState.Status.DONE) {
        begun.add(step.batch());
      }
    }
    Set<Integer> opens = new HashSet<>();
    for (RunState.Step step : state.steps()) {
      boolean open =
          step.status() == RunState.Status.TO_DO || step.status() == RunState.Status.RUNNING;
      boolean layer =
          OPENS.contains(step.kind())
              && step.batch() > 0
              && !begun.isEmpty()
              && !begun.contains(step.batch())
              && opens.add(step.batch());
      if (open && (LATER.contains(step.kind()) || layer)) {
        due.add(
            new Due(
                step.taskId(),
                step.kind(),
                step.batch(),
                step.line(),
                step.places(),
                step.startSeconds(),
                step.endSeconds(),
                step.hands(),
                step.phase(),
                step.untilSeconds(),
                step.joinNow()));
      }
    }
    return due;
  }
}
