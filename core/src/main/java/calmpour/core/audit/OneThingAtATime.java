package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.Finding;
import calmpour.core.plan.Finding.Mend;
import calmpour.core.plan.Task;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;

/** One pair of hands is in one place, here and in every other session. */
final class OneThingAtATime implements Rule {
  @Override
  public void judge(Facts facts, Told told) {
    List<Task> hands =
        facts.plan().tasks().stream()
            .filter(t -> t.hands() && t.endSeconds() > t.startSeconds())
            .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
            .toList();
    int busyUntil = Integer.MIN_VALUE;
    for (Task task : hands) {
      if (task.startSeconds() < busyUntil) {
        told.breach(
            Finding.Rule.HANDS_TWICE,
            Told.place(task),
            Told.minutes(task.startSeconds()),
            Told.minutes(busyUntil),
            "min",
            new Mend(
                task.pinned() ? Mend.Kind.RELEASE_PIN : Mend.Kind.MOVE_TASK,
                task.pinned() ? 0 : busyUntil,
                task.id()));
      }
      busyUntil = Math.max(busyUntil, task.endSeconds());
      elsewhere(facts, task, told);
    }
  }

  private static void elsewhere(Facts facts, Task task, Told told) {
    Instant start = facts.job().session().startsAtInstant();
    Instant from = start.plusSeconds(task.startSeconds());
    Instant to = start.plusSeconds(task.endSeconds());
    for (Booking booking : facts.job().bookings()) {
      boolean same = booking.what() == Booking.Thing.HANDS;
      if (same && booking.from().isBefore(to) && from.isBefore(booking.to())) {
        double free = Duration.between(start, booking.to()).toSeconds();
        told.breach(
            Finding.Rule.HANDS_BOOKED,
            Told.place(task),
            Told.minutes(task.startSeconds()),
            free / 60,
            "min",
            new Mend(Mend.Kind.MOVE_TASK, free, task.id()));
        return;
      }
    }
  }
}
