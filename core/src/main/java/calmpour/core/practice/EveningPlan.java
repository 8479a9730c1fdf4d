package calmpour.core.practice;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What the plan of an evening says of its pours. */
final class EveningPlan {
  private final Run run;

  EveningPlan(Run run) {
    this.run = run;
  }

  /** All pours of a batch; none before the first. */
  List<Cup.Pour> pours(int batch) {
    return batch == 0
        ? List.of()
        : run.plan().batches().get(batch - 1).cups().stream()
            .flatMap(c -> c.pours().stream())
            .toList();
  }

  /** The pour that a task is; null where it is none. */
  Cup.@Nullable Pour pour(TaskId task) {
    return run.plan().batches().stream()
        .flatMap(b -> pours(b.number()).stream())
        .filter(p -> task.equals(TaskId.pour(p.id())))
        .findFirst()
        .orElse(null);
  }

  /** The cup that a pour is planned to come out of. */
  CupId cupOf(Cup.Pour pour) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.pours().contains(pour))
        .map(Cup::id)
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("bug: no cup has pour " + pour.id()));
  }

  /**
   * When what lies in a line's moulds draws threads, s: as planned, but as late as it was poured.
   */
  int thickSeconds(Task embed, List<RunEvent> told) {
    int thick = Integer.MAX_VALUE;
    for (Batch batch : run.plan().batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.LayerCure layer : cup.follows().layers()) {
          if (embed.line() != null
              && layer.line() == embed.line()
              && batch.number() == embed.batch()) {
            TaskId poured = TaskId.pour(layer.pourId());
            RunEvent event =
                told.stream().filter(e -> poured.text().equals(e.of())).findFirst().orElse(null);
            int shift =
                event == null
                    ? 0
                    : (int) Duration.between(run.begunAt(), event.at()).toSeconds()
                        - layer.pouredSeconds();
            thick = Math.min(thick, layer.thick().seconds() + shift);
          }
        }
      }
    }
    return thick;
  }
}
