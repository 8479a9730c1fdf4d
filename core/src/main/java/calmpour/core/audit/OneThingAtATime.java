package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A pair of hands is in one place, here and in every other session; two pairs are never at the same
 * cup or the same cavity.
 */
final class OneThingAtATime implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    int pairs = facts.job().session().habits().planning().pairsOfHands();
    for (int pair = 0; pair < pairs; pair++) {
      hands(facts, pair, pairs, told);
    }
    if (pairs > 1) {
      cups(facts, told);
    }
  }

  private static void hands(Facts facts, int pair, int pairs, Findings told) {
    List<Task> hands =
        facts.plan().tasks().stream()
            .filter(t -> t.hands() && t.endSeconds() > t.startSeconds())
            .filter(t -> Math.min(t.pair(), pairs - 1) == pair)
            .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
            .toList();
    int busyUntil = Integer.MIN_VALUE;
    for (Task task : hands) {
      if (task.startSeconds() < busyUntil) {
        told.breach(
            Finding.Rule.HANDS_TWICE,
            Place.of(task),
            Findings.minutes(task.startSeconds()),
            Findings.minutes(busyUntil),
            "min",
            new Mend(
                task.pinned() ? Mend.Kind.RELEASE_PIN : Mend.Kind.MOVE_TASK,
                task.pinned() ? 0 : busyUntil,
                task.id()));
      }
      busyUntil = Math.max(busyUntil, task.endSeconds());
      elsewhere(facts, task, pair, told);
    }
  }

  private static void cups(Facts facts, Findings told) {
    Map<String, Integer> busyUntil = new HashMap<>();
    facts.plan().tasks().stream()
        .sorted(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds))
        .forEach(task -> {
          int busy = 0;
          for (String use : facts.uses(task)) {
            busy = Math.max(busy, busyUntil.getOrDefault(use, 0));
            busyUntil.merge(use, task.endSeconds(), Math::max);
          }
          if (task.startSeconds() < busy) {
            told.breach(
                Finding.Rule.CUP_TWICE,
                Place.of(task),
                Findings.minutes(task.startSeconds()),
                Findings.minutes(busy),
                "min",
                new Mend(
                    task.pinned() ? Mend.Kind.RELEASE_PIN : Mend.Kind.MOVE_TASK,
                    task.pinned() ? 0 : busy,
                    task.id()));
          }
        });
  }

  /** Who helps in another session does not help here. */
  private static void elsewhere(Facts facts, Task task, int pair, Findings told) {
    Instant start = facts.job().session().startsAtInstant();
    Instant from = start.plusSeconds(task.startSeconds());
    Instant to = start.plusSeconds(task.endSeconds());
    for (Booking booking : facts.job().bookings()) {
      boolean same = booking.what() == Booking.Thing.HANDS && pair < booking.count();
      if (same && booking.from().isBefore(to) && from.isBefore(booking.to())) {
        double free = Duration.between(start, booking.to()).toSeconds();
        told.breach(
            Finding.Rule.HANDS_BOOKED,
            Place.of(task),
            Findings.minutes(task.startSeconds()),
            free / 60,
            "min",
            new Mend(Mend.Kind.MOVE_TASK, free, task.id()));
        told.because(booking);
        return;
      }
    }
  }
}
