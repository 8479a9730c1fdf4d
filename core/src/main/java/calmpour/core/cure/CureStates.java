package calmpour.core.cure;

import org.jspecify.annotations.Nullable;

/**
 * When a body of resin changes its state, in minutes from the first contact of A and B: fluid until
 * the working time ends, then thick, then gel, then hard enough for one thing after the other.
 *
 * @param workingTimeEnds when it is no longer pourable, or as far as was looked ahead
 * @param tooThick when a drawn thread holds, likewise
 * @param gels likewise
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
    @Nullable Moment bondEnds,
    @Nullable Moment demould,
    @Nullable Moment fullCure,
    @Nullable Heat heat) {
  /**
   * A moment and how early or late it may fall, given how far label and room may be off.
   *
   * @param latestMinutes null when it may never come to that
   */
  public record Moment(double minutes, double earliestMinutes, @Nullable Double latestMinutes) {}

  /**
   * How warm it gets when it is left where it is.
   *
   * @param peakC its warmest
   * @param leastPeakC with label and room on our side
   * @param mostPeakC with both against us
   * @param used heat made beside that from which on it drives itself; from 1 on it runs away
   * @param mostUsed the same with label and room against us
   */
  public record Heat(
      double peakC,
      double leastPeakC,
      double mostPeakC,
      double peakAtMinutes,
      double used,
      double mostUsed) {}
}
