package calmpour.core.plan.bench;

import calmpour.core.mould.Mould;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Session;
import calmpour.core.tool.Booking;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** What a planned session keeps from every other one of the workshop, and until when. */
public final class Bookings {
  private static final int USED_UP_SECONDS = 10 * 365 * 24 * 3_600;

  /** Hands that have nothing to do for so long are free for something else. */
  private static final int BREAK_SECONDS = 300;

  private Bookings() {}

  /**
   * Hands, cavities and tools of one session.
   *
   * @param sessionId by which it is kept; null for one that is not
   */
  public static List<Booking> of(Session session, Plan plan, @Nullable String sessionId) {
    Instant start = session.startsAtInstant();
    List<Booking> bookings = new ArrayList<>();
    hands(session, plan, start, sessionId, bookings);
    for (Task task : plan.tasks()) {
      if (task.toolId() != null && task.endSeconds() > task.startSeconds()) {
        bookings.add(
            new Booking(
                Booking.Thing.TOOL,
                task.toolId(),
                Math.max(1, task.places()),
                start.plusSeconds(task.startSeconds()),
                start.plusSeconds(task.endSeconds()),
                session.name(),
                sessionId));
      }
    }
    for (int line = 0; line < plan.pieces().size(); line++) {
      Plan.PieceView piece = plan.pieces().get(line);
      for (PieceGroup group : PieceGroup.of(plan.batches(), line, piece.count())) {
        OptionalInt from =
            plan.tasks().stream()
                .filter(t -> t.kind() == Task.Kind.POUR && group.pours(t))
                .mapToInt(Task::startSeconds)
                .min();
        TaskId out = group.taskId(Task.Kind.DEMOULD);
        int until =
            plan.tasks().stream()
                .filter(t -> t.id().equals(out))
                // What stays in its setting uses it up.
                .mapToInt(t -> t.hands() ? t.endSeconds() : USED_UP_SECONDS)
                .max()
                .orElse(plan.endSeconds());
        if (from.isPresent() && until > from.getAsInt()) {
          bookings.add(
              new Booking(
                  Booking.Thing.MOULD,
                  Mould.key(piece.mouldId(), piece.cavityId()),
                  group.cavities().size(),
                  start.plusSeconds(from.getAsInt()),
                  start.plusSeconds(until),
                  session.name(),
                  sessionId));
        }
      }
    }
    return bookings;
  }

  private static void hands(
      Session session,
      Plan plan,
      Instant start,
      @Nullable String sessionId,
      List<Booking> bookings) {
    List<Task> work =
        plan.tasks().stream()
            .filter(t -> t.hands() && t.endSeconds() > t.startSeconds())
            .sorted(Comparator.comparingInt(Task::startSeconds))
            .toList();
    if (work.isEmpty()) {
      return;
    }
    int from = work.getFirst().startSeconds();
    int until = from;
    for (Task task : work) {
      if (task.startSeconds() > until + BREAK_SECONDS) {
        bookings.add(booked(session, start, sessionId, from, until));
        from = task.startSeconds();
      }
      until = Math.max(until, task.endSeconds());
    }
    bookings.add(booked(session, start, sessionId, from, until));
  }

  private static Booking booked(
      Session session, Instant start, @Nullable String sessionId, int from, int until) {
    return new Booking(
        Booking.Thing.HANDS,
        "",
        session.habits().planning().pairsOfHands(),
        start.plusSeconds(from),
        start.plusSeconds(until),
        session.name(),
        sessionId);
  }
}
