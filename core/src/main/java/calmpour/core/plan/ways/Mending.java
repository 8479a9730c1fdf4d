package calmpour.core.plan.ways;

import calmpour.core.design.PieceWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Mixing;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Fewer;
import calmpour.core.session.HandCup;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;

/** What a mend or a way out does to a session; the one place where a change is made. */
public final class Mending {
  /** Nobody is sent into a colder one, °C: common practice, no source. */
  static final double COLDEST_ROOM_C = 18;

  private Mending() {}

  /**
   * The session with a mend made.
   *
   * @return empty where it is not made in the session, but on the board, the shelf or a mould
   */
  public static Optional<Session> of(Session session, Finding.Mend mend) {
    Habits habits = session.habits();
    double value = mend.value();
    return Optional.ofNullable(
        switch (mend.kind()) {
          case NO_WARMING -> unwarmed(session);
          case WARM_BOTTLES ->
              session.withHabits(
                  habits.withMixing(habits.mixing().unwarmed().withWarming(Mixing.Warming.BOTH)));
          case SHORTER_REST -> rested(session, value);
          case MORE_BATCHES ->
              session.withSplitInto((int) Math.max(value, session.splitInto() + 1.0));
          case COOLER_ROOM, WARMER_ROOM -> session.withTemperatureC(value);
          case DRIER_AIR -> session.withRoom(session.room().withHumidity(value));
          case MOVE_TASK -> mend.target() == null ? null : moved(session, mend.target(), value);
          case RELEASE_PIN -> mend.target() == null ? null : released(session, mend.target());
          case OTHER_START -> later(session, value);
          case SOFT_TOOL ->
              session.withHabits(
                  habits
                      .withCare(
                          habits.care().bubbles().ignites()
                              ? habits.care().withBubbles(Care.BubbleMethod.SOFT_TOOL)
                              : habits.care())
                      .withMixing(habits.mixing().withoutFlame()));
          case CURE_ON_BENCH -> onTheBench(session);
          case RELEASE_CUP -> withoutCup(session, (int) value);
          case ANEW -> Changed.unpinned(session.withCupsByHand(List.of()));
          case LESS_SURE ->
              session.withHabits(habits.withPlanning(habits.planning().withSurePercent(value)));
          case HELPER -> helped(session);
          case BY_WEIGHT -> session.withHabits(habits.withMeasureBy(Habits.MeasureBy.WEIGHT));
          case BY_VOLUME -> session.withHabits(habits.withMeasureBy(Habits.MeasureBy.VOLUME));
          case OVERAGE -> session.withHabits(habits.withOveragePercent(value));
          case PIECES -> counted(session, mend.target(), (int) value);
          case FEWER_OF_ALL -> fewer(session, (int) value);
          // What lies on the board is the maker's own; the screen takes it off. A filler is a mould
          // of the workshop.
          case FILLER, LEAVE_OUT, CHANGE_HOURS, OPEN_SHELF, OPEN_PIECE -> null;
        });
  }

  static Session unwarmed(Session session) {
    Habits habits = session.habits();
    return session.withHabits(habits.withMixing(habits.mixing().unwarmed()));
  }

  static Session rested(Session session, double minutes) {
    return session.withHabits(session.habits().withRestMinutes(minutes));
  }

  static Session later(Session session, double minutes) {
    return session.withStartsAt(session.startsAt().plusSeconds(Math.round(minutes * 60)));
  }

  static Session helped(Session session) {
    Habits habits = session.habits();
    return session.withHabits(habits.withPlanning(habits.planning().withPairsOfHands(2)));
  }

  private static Session moved(Session session, String taskId, double startSeconds) {
    List<Arrangement.Pin> pins = new ArrayList<>(others(session, taskId));
    pins.add(new Arrangement.Pin(taskId, (int) Math.max(0, Math.round(startSeconds))));
    return session.withArrangement(session.arrangement().withPins(pins));
  }

  private static Session released(Session session, String taskId) {
    return session.withArrangement(session.arrangement().withPins(others(session, taskId)));
  }

  private static List<Arrangement.Pin> others(Session session, String taskId) {
    return session.arrangement().pins().stream().filter(p -> !p.taskId().equals(taskId)).toList();
  }

  private static Session onTheBench(Session session) {
    return session.withPieces(
        session.pieces().stream().map(p -> p.withWork(onTheBench(p.work()))).toList());
  }

  private static @Nullable PieceWork onTheBench(@Nullable PieceWork work) {
    return work == null ? null : work.withCuring(PieceWork.Curing.BENCH);
  }

  private static @Nullable Session counted(Session session, @Nullable String target, int count) {
    OptionalInt line =
        target == null
            ? OptionalInt.empty()
            : Place.read(target).map(Place::lineIndex).orElse(OptionalInt.empty());
    List<Piece> pieces = new ArrayList<>(session.pieces());
    if (line.isEmpty() || line.getAsInt() < 0 || line.getAsInt() >= pieces.size()) {
      return null;
    }
    pieces.set(line.getAsInt(), pieces.get(line.getAsInt()).withCount(count));
    // Cups put together by hand were put together for the pieces as they were.
    return session.withPieces(pieces).withCupsByHand(List.of());
  }

  private static Session fewer(Session session, int off) {
    List<Integer> left =
        Fewer.counts(session.pieces().stream().map(Piece::count).toList(), Math.max(0, off));
    List<Piece> pieces = new ArrayList<>();
    for (int line = 0; line < left.size(); line++) {
      pieces.add(session.pieces().get(line).withCount(left.get(line)));
    }
    return session.withPieces(pieces).withCupsByHand(List.of());
  }

  private static Session withoutCup(Session session, int byHand) {
    List<HandCup> cups = new ArrayList<>(session.cupsByHand());
    if (byHand >= 0 && byHand < cups.size()) {
      cups.remove(byHand);
    }
    return session.withCupsByHand(cups);
  }
}
