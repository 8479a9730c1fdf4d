package calmpour.core.cure;

import org.jspecify.annotations.Nullable;

/**
 * When a body of resin changes its state, in minutes from the first contact of A and B: fluid until
 * the working time ends, then thick, then gel, then hard enough for one thing after the other.
 *
 * @param workingTimeEnds when it is no longer pourable, or as far as was looked ahead
 * @param tooThick when a drawn thread holds, likewise
 * @param gels likewise
 * @param takesNext from when a next layer keeps its own edge: gelled, and the label's earliest
 *     recoat is over; null for a cup
 * @param bondEnds when a next layer no longer bonds by itself; null for a cup, and when it never
 *     comes to that
 * @param demould likewise
 * @param fullCure likewise
 * @param heat null where a rule of thumb stands in
 */
public record CureStates(
    Moment workingTimeEnds,
    Moment tooThick,
    Moment gels,
    @Nullable Moment takesNext,
    @Nullable Moment bondEnds,
    @Nullable Moment demould,
    @Nullable Moment fullCure,
    @Nullable Heat heat) {
  /**
   * A moment and how early or late it may fall, nineteen times in twenty, given how far the bottle,
   * the room and what is known of the resin may be off.
   *
   * @param latestMinutes null when it may never come to that
   */
  public record Moment(double minutes, double earliestMinutes, @Nullable Double latestMinutes) {
    /** When both have come. */
    static Moment later(Moment a, Moment b) {
      return new Moment(
          Math.max(a.minutes, b.minutes),
          Math.max(a.earliestMinutes, b.earliestMinutes),
          a.latestMinutes == null || b.latestMinutes == null
              ? null
              : (Double) Math.max(a.latestMinutes, b.latestMinutes));
    }

    /** When the first of them comes. */
    static Moment sooner(Moment a, Moment b) {
      return new Moment(
          Math.min(a.minutes, b.minutes),
          Math.min(a.earliestMinutes, b.earliestMinutes),
          a.latestMinutes == null
              ? b.latestMinutes
              : b.latestMinutes == null
                  ? a.latestMinutes
                  : (Double) Math.min(a.latestMinutes, b.latestMinutes));
    }
  }

  /** When the last of two bodies is in each state; null where one of them never is. */
  public static CureStates last(CureStates a, CureStates b) {
    return new CureStates(
        Moment.later(a.workingTimeEnds, b.workingTimeEnds),
        Moment.later(a.tooThick, b.tooThick),
        Moment.later(a.gels, b.gels),
        last(a.takesNext, b.takesNext),
        last(a.bondEnds, b.bondEnds),
        last(a.demould, b.demould),
        last(a.fullCure, b.fullCure),
        hotter(a.heat, b.heat));
  }

  /** When the first of two bodies is in each state; null where neither ever is. */
  public static CureStates first(CureStates a, CureStates b) {
    return new CureStates(
        Moment.sooner(a.workingTimeEnds, b.workingTimeEnds),
        Moment.sooner(a.tooThick, b.tooThick),
        Moment.sooner(a.gels, b.gels),
        first(a.takesNext, b.takesNext),
        first(a.bondEnds, b.bondEnds),
        first(a.demould, b.demould),
        first(a.fullCure, b.fullCure),
        hotter(a.heat, b.heat));
  }

  private static @Nullable Moment last(@Nullable Moment a, @Nullable Moment b) {
    return a == null || b == null ? null : Moment.later(a, b);
  }

  private static @Nullable Moment first(@Nullable Moment a, @Nullable Moment b) {
    return a == null ? b : b == null ? a : Moment.sooner(a, b);
  }

  private static @Nullable Heat hotter(@Nullable Heat a, @Nullable Heat b) {
    return a == null || b == null ? null : a.mostPeakC >= b.mostPeakC ? a : b;
  }

  /**
   * How warm it gets when it is left where it is.
   *
   * @param peakC its warmest
   * @param leastPeakC one in ten stays cooler, as bottles, rooms and what is known of the resin go
   * @param mostPeakC one in ten gets warmer
   * @param used heat made beside that from which on it drives itself; from 1 on it runs away
   * @param mostUsed the most of it that is looked at
   */
  public record Heat(
      double peakC,
      double leastPeakC,
      double mostPeakC,
      double peakAtMinutes,
      double used,
      double mostUsed) {}
}
