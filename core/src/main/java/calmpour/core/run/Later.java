package calmpour.core.run;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.TaskId;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is put off, and what is worth a touch before it is due. */
public final class Later {
  /** Nobody is asked again sooner. */
  private static final Duration ASKED_AGAIN = Duration.ofHours(3);

  private Later() {}

  /**
   * The same with what was put off due when it was put off to, and no later than it may be: what
   * has a latest moment is due then at the latest.
   */
  public static List<Due> putOff(List<Due> due, Run run, List<RunEvent> events) {
    Map<TaskId, Integer> until = new HashMap<>();
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.PUT_OFF && event.of() != null && event.value() != null) {
        Duration at = Duration.between(run.begunAt(), event.at());
        until.put(new TaskId(event.of()), (int) (at.toSeconds() + Math.round(event.value() * 60)));
      }
    }
    return due.stream().map(d -> d.notBefore(until.get(d.taskId()))).toList();
  }

  /**
   * A piece that may be hard or not: how it is now teaches the most.
   *
   * @param piece one of them
   * @param from seconds from when the run was begun, as planned
   */
  public record Touch(String piece, int from) {}

  /** Empty while it is surely not hard yet, and for some time after somebody touched it. */
  public static Optional<Touch> touch(Run run, List<RunEvent> events, int line, Instant now) {
    Plan plan = run.plan();
    int top = plan.pieces().get(line).layers().size() - 1;
    Cup.LayerCure last = null;
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.LayerCure layer : cup.follows().layers()) {
          last = layer.line() == line && layer.layer() == top ? layer : last;
        }
      }
    }
    if (last == null || last.demould() == null) {
      return Optional.empty();
    }
    Touch touch = new Touch(last.pourId().into().toString(), last.demould().earliestSeconds());
    Instant from = run.begunAt().plusSeconds(touch.from());
    String lines = "PIECE/" + (line + 1) + ".";
    boolean lately =
        events.stream()
            .anyMatch(e ->
                e.kind() == RunEvent.Kind.FELT
                    && e.of() != null
                    && e.of().startsWith(lines)
                    && e.at().plus(ASKED_AGAIN).isAfter(now));
    return lately || now.isBefore(from) ? Optional.empty() : Optional.of(touch);
  }
}
