package calmpour.core.plan.time;

import calmpour.core.design.Layer;
import calmpour.core.design.WetWork;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.PourOrder.Step;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is done to the open face of what a batch has poured: worked on while wet, shut by a lid. */
final class Faces {
  /** A lid over its keys and a weight on it, each (starting value, no source). */
  private static final int LID_SECONDS = 20;

  /** "Rest 5 to 10 min open": common practice, no source. */
  private static final int RESTS_OPEN_SECONDS = 300;

  private final JobInResin job;
  private final int batch;

  Faces(JobInResin job, int batch) {
    this.job = job;
    this.batch = batch;
  }

  /** Work on the wet face of layers, one task a layer. */
  List<TaskDraft> wet(List<Step> order, EmbedWork embeds) {
    Map<LineLayer, List<PourId>> wet = new LinkedHashMap<>();
    for (Step step : order) {
      if (step instanceof Step.PourStep(Cup cup, Cup.Pour pour)
          && wetMinutes(pour.line(), pour.layer()) > 0) {
        wet.computeIfAbsent(LineLayer.of(pour), k -> new ArrayList<>()).add(pour.id());
      }
    }
    List<TaskDraft> tasks = new ArrayList<>();
    wet.forEach((at, pours) -> {
      int pieces = embeds.cavities(at.line(), at.layer()).size();
      double minutes = wetMinutes(at.line(), at.layer()) * pieces;
      TaskDraft draft =
          TaskDraft.of(wetId(at), Task.Kind.WET_WORK, batch, minutes * 60)
              .line(at.line())
              .pieces(pieces);
      for (PourId pour : pours) {
        draft.lag(new Lag(Lag.Clock.POURED, pour, 0, null, false, Lag.Why.WET));
      }
      tasks.add(draft);
    });
    return tasks;
  }

  TaskId wetId(LineLayer at) {
    return TaskId.batch(batch, Task.Kind.WET_WORK).of(at);
  }

  /** Of hands for one piece; 0 for a layer that is left as it flows. */
  double wetMinutes(int line, int layer) {
    List<Layer> layers = job.lines().get(line).piece().layers();
    return layer >= layers.size()
        ? 0
        : layers.get(layer).wetOrNone().stream().mapToDouble(WetWork::minutes).sum();
  }

  /**
   * Closed moulds rest open for a while, then their lids are pressed on.
   *
   * @param after what comes before; null for nothing
   * @return null where nothing of this batch is under a lid
   */
  @Nullable TaskDraft lids(List<Step> order, @Nullable TaskId after) {
    List<Cup.Pour> under = new ArrayList<>();
    for (Step step : order) {
      if (step instanceof Step.PourStep(Cup cup, Cup.Pour pour) && lidded(pour)) {
        under.add(pour);
      }
    }
    if (under.isEmpty()) {
      return null;
    }
    int pieces = (int) under.stream().map(CavityId::of).distinct().count();
    TaskDraft draft =
        TaskDraft.of(
                TaskId.batch(batch, Task.Kind.LID),
                Task.Kind.LID,
                batch,
                (double) LID_SECONDS * pieces)
            .pieces(pieces);
    if (after != null) {
      draft.after(after);
    }
    for (Cup.Pour pour : under) {
      draft.lag(
          new Lag(Lag.Clock.POURED, pour.id(), RESTS_OPEN_SECONDS, null, false, Lag.Why.ORDER));
    }
    return draft;
  }

  /** Whether it is of the topmost layer of a closed mould. */
  boolean lidded(Cup.Pour pour) {
    Job.Line line = job.lines().get(pour.line());
    return line.lidded() && pour.layer() == line.levels().size() - 1;
  }
}
