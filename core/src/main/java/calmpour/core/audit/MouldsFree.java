package calmpour.core.audit;

import calmpour.core.mould.MouldMake;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Job;
import calmpour.core.tool.Booking;
import calmpour.core.tool.Tool;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** A cavity holds one piece until it is taken out; boards have room for all that stand on them. */
final class MouldsFree implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    List<Stay> stays = new ArrayList<>();
    for (int l = 0; l < facts.job().lines().size(); l++) {
      for (PieceGroup group : facts.groups(l)) {
        stay(facts, group).ifPresent(stays::add);
      }
    }
    for (int l = 0; l < facts.job().lines().size(); l++) {
      cavities(facts, l, stays, told);
    }
    boards(facts, stays, told);
  }

  /**
   * From the first pour into some cavities of a line until they are empty again.
   *
   * @param pieces how many
   */
  private record Stay(int line, int pieces, int from, int to) {
    boolean at(int moment) {
      return from <= moment && moment < to;
    }
  }

  private static Optional<Stay> stay(Facts facts, PieceGroup group) {
    OptionalInt from =
        facts.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.POUR && group.pours(t))
            .mapToInt(Task::startSeconds)
            .min();
    return from.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Stay(
                group.line(),
                group.cavities().size(),
                from.getAsInt(),
                facts.keepCavitiesUntil(group)));
  }

  /** What is in use at one time; the line that comes later is the one that finds none free. */
  private static void cavities(Facts facts, int l, List<Stay> all, Findings told) {
    List<Job.Line> lines = facts.job().lines();
    Job.Line line = lines.get(l);
    List<Stay> stays =
        all.stream().filter(s -> s.line <= l && sameCavity(lines.get(s.line), line)).toList();
    Instant start = facts.job().session().startsAtInstant();
    List<Booking> bookings =
        facts.job().bookings().stream()
            .filter(b -> b.what() == Booking.Thing.MOULD)
            .filter(b -> b.id().equals(line.mould().keyOf(line.cavity())))
            .toList();
    List<Integer> moments = new ArrayList<>(stays.stream().map(Stay::from).toList());
    bookings.forEach(b -> moments.add((int) Duration.between(start, b.from()).toSeconds()));
    int most = 0;
    int mostBooked = 0;
    Booking inTheWay = null;
    for (int moment : moments) {
      if (stays.stream().noneMatch(s -> s.line == l && s.at(moment))) {
        continue;
      }
      int wanted = stays.stream().filter(s -> s.at(moment)).mapToInt(Stay::pieces).sum();
      Instant at = start.plusSeconds(moment);
      List<Booking> then =
          bookings.stream().filter(b -> !b.from().isAfter(at) && at.isBefore(b.to())).toList();
      int booked = then.stream().mapToInt(Booking::count).sum();
      most = Math.max(most, wanted);
      if (booked > 0 && wanted + booked > mostBooked) {
        mostBooked = wanted + booked;
        inTheWay = then.getFirst();
      }
    }
    tell(line, l, most, mostBooked, inTheWay, told);
  }

  private static boolean sameCavity(Job.Line a, Job.Line b) {
    return a.mould().id().equals(b.mould().id()) && a.cavity().id().equals(b.cavity().id());
  }

  private static void tell(
      Job.Line line, int l, int most, int mostBooked, @Nullable Booking inTheWay, Findings told) {
    Place place = Place.line(l);
    MouldMake make = line.mould().make();
    Integer copies = make == null ? null : make.copies();
    Mend leaveOut = new Mend(Mend.Kind.LEAVE_OUT, l);
    if (copies == null) {
      if (mostBooked > 0) {
        told.near(Finding.Rule.MOULD_BOOKED, place, mostBooked, most, "cavities", leaveOut);
        named(inTheWay, told);
      }
      return;
    }
    double have = (double) copies * line.cavity().count();
    if (most > have) {
      told.breach(Finding.Rule.MOULD_TWICE, place, most, have, "cavities", leaveOut);
    }
    if (mostBooked > have) {
      told.breach(Finding.Rule.MOULD_BOOKED, place, mostBooked, have, "cavities", leaveOut);
      named(inTheWay, told);
    }
  }

  private static void named(@Nullable Booking inTheWay, Findings told) {
    if (inTheWay != null) {
      told.because(inTheWay);
    }
  }

  private static void boards(Facts facts, List<Stay> stays, Findings told) {
    List<Tool> boards =
        facts.job().tools().stream().filter(t -> t.kind() == Tool.Kind.BOARD).toList();
    boolean counted = !boards.isEmpty() && boards.stream().allMatch(b -> b.holds() != null);
    if (!counted) {
      return;
    }
    int room = boards.stream().mapToInt(Tool::holds).sum();
    int most = 0;
    for (Stay now : stays) {
      int standing = stays.stream().filter(s -> s.at(now.from)).mapToInt(Stay::pieces).sum();
      most = Math.max(most, standing);
    }
    if (most > room) {
      told.breach(
          Finding.Rule.BOARD_FULL,
          Place.Whole.PLAN,
          most,
          room,
          "pieces",
          new Mend(Mend.Kind.OPEN_SHELF, 0, "tools"));
    }
  }
}
