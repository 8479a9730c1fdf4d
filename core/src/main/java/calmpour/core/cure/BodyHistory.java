package calmpour.core.cure;

import java.util.List;

/**
 * What happens to a body of resin from the first contact of A and B: one segment after the other.
 * The last one goes on for as long as anybody asks.
 *
 * @param startC temperature of A + B when they meet
 * @param segments at least one, in time order
 */
public record BodyHistory(double startC, List<Segment> segments) {
  public BodyHistory {
    segments = List.copyOf(segments);
    if (segments.isEmpty()) {
      throw new IllegalArgumentException("BodyHistory segments must not be empty");
    }
  }

  /**
   * A stretch of time in which mass, shape and surroundings stay the same.
   *
   * @param minutes how long, more than or equal to 0; ignored for the last one
   * @param massG resin in this body
   * @param surroundingsC air around it
   */
  public record Segment(double minutes, double massG, BodyShape shape, double surroundingsC) {
    public Segment {
      if (!(minutes >= 0) || !(massG > 0)) {
        throw new IllegalArgumentException(
            "Segment minutes (" + minutes + ") must be >= 0 and massG (" + massG + ") > 0");
      }
    }
  }
}
