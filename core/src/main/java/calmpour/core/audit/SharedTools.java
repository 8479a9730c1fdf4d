package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Pot, box and lamp exist, hold what is put in, and serve one load at a time. */
final class SharedTools implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Task task : facts.plan().tasks()) {
      boolean wants =
          switch (task.kind()) {
            case IN_POT, IN_BOX, UNDER_LAMP -> true;
            default -> false;
          };
      if (!wants) {
        continue;
      }
      Optional<Tool> tool =
          facts.job().tools().stream().filter(t -> t.id().equals(task.toolId())).findFirst();
      if (tool.isEmpty()) {
        told.breach(
            Finding.Rule.NO_SUCH_TOOL,
            Place.of(task),
            0,
            1,
            "",
            new Mend(Mend.Kind.OPEN_SHELF, 0, "tools"),
            new Mend(Mend.Kind.CURE_ON_BENCH, 0, task.id()));
        continue;
      }
      Integer holds = tool.get().holds();
      if (holds != null && task.places() > holds) {
        told.breach(
            Finding.Rule.TOOL_OVERFULL,
            Place.of(task),
            task.places(),
            holds,
            "pieces",
            new Mend(Mend.Kind.MORE_BATCHES, Math.ceil((double) task.places() / holds)));
      }
      other(facts, task)
          .ifPresent(until ->
              told.breach(
                  Finding.Rule.TOOL_TWICE,
                  Place.of(task),
                  Findings.minutes(task.startSeconds()),
                  Findings.minutes(until),
                  "min",
                  new Mend(
                      Mend.Kind.OTHER_START,
                      Math.ceil(Findings.minutes(until - task.startSeconds()))),
                  new Mend(Mend.Kind.CURE_ON_BENCH, 0, task.id())));
    }
  }

  /** Until when another load has the same thing; the earlier of two is in its right. */
  private static Optional<Integer> other(Facts facts, Task task) {
    List<Integer> until = new ArrayList<>();
    for (Task other : facts.plan().tasks()) {
      boolean same = known(task.toolId()).equals(other.toolId()) && !other.id().equals(task.id());
      boolean before =
          other.startSeconds() < task.startSeconds()
              || (other.startSeconds() == task.startSeconds()
                  && other.id().text().compareTo(task.id().text()) < 0);
      if (same && before && other.endSeconds() > task.startSeconds()) {
        until.add(other.endSeconds());
      }
    }
    Instant start = facts.job().session().startsAtInstant();
    for (Booking booking : facts.job().bookings()) {
      boolean same = booking.what() == Booking.Thing.TOOL && booking.id().equals(task.toolId());
      int from = (int) Duration.between(start, booking.from()).toSeconds();
      int to = (int) Duration.between(start, booking.to()).toSeconds();
      if (same && from < task.endSeconds() && task.startSeconds() < to) {
        until.add(to);
      }
    }
    return until.stream().max(Integer::compare);
  }
}
