package calmpour.core.audit;

import calmpour.core.mould.MouldMake;
import calmpour.core.plan.Facts;
import calmpour.core.plan.Finding;
import calmpour.core.plan.Finding.Mend;
import calmpour.core.plan.Task;
import calmpour.core.session.Job;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A cavity holds one piece until it is taken out; boards have room for all that stand on them. */
final class MouldsFree implements Rule {
  @Override
  public void judge(Facts facts, Told told) {
    List<@Nullable Stay> stays = new ArrayList<>();
    for (int l = 0; l < facts.job().lines().size(); l++) {
      stays.add(stay(facts, l));
    }
    for (int l = 0; l < stays.size(); l++) {
      Stay stay = stays.get(l);
      if (stay != null) {
        cavities(facts, l, stay, stays, told);
      }
    }
    boards(facts, stays, told);
  }

  /** From the first pour into a line's cavities until they are empty again. */
  private record Stay(int from, int to) {
    boolean meets(Stay other) {
      return from < other.to && other.from < to;
    }
  }

  private static @Nullable Stay stay(Facts facts, int line) {
    int from =
        facts.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.POUR && Integer.valueOf(line).equals(t.line()))
            .mapToInt(Task::startSeconds)
            .min()
            .orElse(-1);
    return from < 0 ? null : new Stay(from, facts.keepsCavityUntil(line));
  }

  private static void cavities(
      Facts facts, int l, Stay stay, List<@Nullable Stay> stays, Told told) {
    List<Job.Line> lines = facts.job().lines();
    Job.Line line = lines.get(l);
    String place = "piece/" + l;
    MouldMake make = line.mould().make();
    Integer copies = make == null ? null : make.copies();
    int wanted = line.piece().count();
    // The line that comes second is the one that finds its cavity taken.
    for (int other = 0; other < l; other++) {
      Stay its = stays.get(other);
      boolean same =
          lines.get(other).mould().id().equals(line.mould().id())
              && lines.get(other).cavity().id().equals(line.cavity().id());
      if (same && its != null && its.meets(stay)) {
        wanted += lines.get(other).piece().count();
      }
    }
    Mend leaveOut = new Mend(Mend.Kind.LEAVE_OUT, l, null);
    if (copies != null && wanted > copies * line.cavity().count()) {
      told.breach(
          Finding.Rule.MOULD_TWICE,
          place,
          wanted,
          (double) copies * line.cavity().count(),
          "cavities",
          leaveOut);
    }
    Instant start = facts.job().session().startsAtInstant();
    Instant from = start.plusSeconds(stay.from);
    Instant to = start.plusSeconds(stay.to);
    int booked = 0;
    for (Booking booking : facts.job().bookings()) {
      boolean same =
          booking.what() == Booking.Thing.MOULD
              && booking.id().equals(line.mould().id() + "/" + line.cavity().id());
      if (same && booking.from().isBefore(to) && from.isBefore(booking.to())) {
        booked += booking.count();
      }
    }
    if (booked > 0 && copies == null) {
      told.near(Finding.Rule.MOULD_BOOKED, place, wanted + booked, wanted, "cavities", leaveOut);
    } else if (booked > 0 && wanted + booked > copies * line.cavity().count()) {
      told.breach(
          Finding.Rule.MOULD_BOOKED,
          place,
          wanted + booked,
          (double) copies * line.cavity().count(),
          "cavities",
          leaveOut);
    }
  }

  private static void boards(Facts facts, List<@Nullable Stay> stays, Told told) {
    List<Tool> boards =
        facts.job().tools().stream().filter(t -> t.kind() == Tool.Kind.BOARD).toList();
    boolean counted = !boards.isEmpty() && boards.stream().allMatch(b -> b.holds() != null);
    if (!counted) {
      return;
    }
    int room = boards.stream().mapToInt(Tool::holds).sum();
    List<Job.Line> lines = facts.job().lines();
    int most = 0;
    for (Stay at : stays) {
      int standing = 0;
      for (int l = 0; l < lines.size(); l++) {
        Stay its = stays.get(l);
        boolean there = at != null && its != null && its.from <= at.from && at.from < its.to;
        standing += there ? lines.get(l).piece().count() : 0;
      }
      most = Math.max(most, standing);
    }
    if (most > room) {
      told.breach(
          Finding.Rule.BOARD_FULL,
          "plan",
          most,
          room,
          "pieces",
          new Mend(Mend.Kind.OPEN_SHELF, 0, "tools"));
    }
  }
}
