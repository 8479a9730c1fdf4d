package calmpour.core.run;

import calmpour.core.plan.doc.Task;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** An evening that was poured without the bench: as its plan had it, as nobody noted otherwise. */
public final class AsPlanned {
  private AsPlanned() {}

  /**
   * What was done by a moment, at the times of the plan; nothing counts as weighed, and what comes
   * later is still to be done.
   */
  public static List<RunEvent> until(Run run, Instant now) {
    List<RunEvent> events = new ArrayList<>();
    for (Task task :
        run.plan().tasks().stream()
            .filter(Task::hands)
            .sorted(Comparator.comparingInt(Task::endSeconds))
            .toList()) {
      Instant at = run.begunAt().plusSeconds(task.endSeconds());
      if (!at.isAfter(now)) {
        events.add(
            RunEvent.of("planned " + task.id().text(), at, RunEvent.Kind.DONE, task.id().text()));
      }
    }
    return events;
  }
}
