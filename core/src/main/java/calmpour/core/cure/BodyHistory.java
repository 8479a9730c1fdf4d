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
  /**
   * A reading and a pour at the same moment differ by less, min: no integrator steps so far, and
   * nothing happens meanwhile.
   */
  static final double NO_TIME = 1e-6;

  public BodyHistory {
    segments = List.copyOf(segments);
    if (segments.isEmpty()) {
      throw new IllegalArgumentException("BodyHistory segments must not be empty");
    }
  }

  /** The same body in a room that is warmer by so much. */
  public BodyHistory warmer(double byC) {
    return new BodyHistory(startC + byC, segments.stream().map(s -> s.warmer(byC)).toList());
  }

  /** The same body as if no colour had any effect on it. */
  public BodyHistory untinted() {
    return new BodyHistory(startC, segments.stream().map(Segment::untinted).toList());
  }

  /** Where it ends up. */
  public Segment last() {
    return segments.get(segments.size() - 1);
  }

  /**
   * A stretch of time in which mass, shape and surroundings stay the same.
   *
   * @param minutes how long, more than or equal to 0; ignored for the last one
   * @param massG resin in this body, with what is stirred into it
   * @param surroundingsC air around it: the room, or a hot box
   * @param heatedW what a lamp or hot air puts into it, W
   * @param tint what is stirred in does to it
   */
  public record Segment(
      double minutes,
      double massG,
      BodyShape shape,
      double surroundingsC,
      double heatedW,
      TintShift tint) {
    public Segment {
      if (!(minutes >= 0) || !(massG > 0)) {
        throw new IllegalArgumentException(
            "Segment minutes (" + minutes + ") must be >= 0 and massG (" + massG + ") > 0");
      }
      if (!Double.isFinite(surroundingsC) || !(heatedW >= 0)) {
        throw new IllegalArgumentException(
            "Segment surroundingsC ("
                + surroundingsC
                + ") must be a number and heatedW ("
                + heatedW
                + ") >= 0");
      }
    }

    /** Clear, and nobody heats it. */
    public Segment(double minutes, double massG, BodyShape shape, double surroundingsC) {
      this(minutes, massG, shape, surroundingsC, 0, TintShift.NONE);
    }

    public Segment tinted(TintShift by) {
      return new Segment(minutes, massG, shape, surroundingsC, heatedW, by);
    }

    /** The same for so many minutes. */
    public Segment lasting(double otherMinutes) {
      return new Segment(otherMinutes, massG, shape, surroundingsC, heatedW, tint);
    }

    /** The same with other air around it, °C. */
    public Segment in(double otherC) {
      return new Segment(minutes, massG, shape, otherC, heatedW, tint);
    }

    private Segment warmer(double byC) {
      return new Segment(minutes, massG, shape, surroundingsC + byC, heatedW, tint);
    }

    private Segment untinted() {
      return tinted(TintShift.NONE);
    }
  }
}
