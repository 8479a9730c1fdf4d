package calmpour.core.cure;

/**
 * When a cup changes its state, in minutes from the first contact of A and B: pourable until the
 * working time ends, then thick, then gel.
 */
public record CupStates(Moment workingTimeEnds, Moment gels) {
  /** A moment and how early or late it may fall, given how far label and room may be off. */
  public record Moment(double minutes, double earliestMinutes, double latestMinutes) {}
}
