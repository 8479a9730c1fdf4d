package calmpour.core.cure;

import org.jspecify.annotations.Nullable;

/**
 * One thing that is known of how a resin cures: of its label, or seen by its maker.
 *
 * @param kind what it is
 * @param side whether it happens then, by then, or not before
 * @param value min; of {@link Kind#DEEPEST} and {@link Kind#PEAK} °C, of {@link Kind#FRESH} Pa·s
 * @param sd how far it may be off: of its logarithm, of temperatures K
 * @param source who says so
 * @param body what it is said of, from the first contact of A and B; null for {@link Kind#FRESH}
 * @param said the figures as they were told
 */
public record ClockFact(
    Kind kind,
    Side side,
    double value,
    double sd,
    Source source,
    @Nullable BodyHistory body,
    Said said) {
  public ClockFact {
    if (!(value > 0) || !(sd > 0) || (body == null) != (kind == Kind.FRESH)) {
      throw new IllegalArgumentException(
          "ClockFact value (" + value + ") and sd (" + sd + ") must be more than 0, of a body");
    }
  }

  /** What is known. */
  public enum Kind {
    /** When a cup is no longer pourable. */
    POT_LIFE,
    /** When a drawn thread holds. */
    THICK,
    /** When a layer has gelled. */
    GEL,
    /** When no finger leaves a mark: it has gelled by then. */
    TACK_FREE,
    /** From when on the next layer may come: it has gelled by then. */
    RECOAT,
    DEMOULD,
    /** When it is fully cured: it is hard by then. */
    FULL_CURE,
    /** A block of the greatest depth stays below 90 °C. */
    DEEPEST,
    /** The largest batch can still be stirred and poured. */
    LARGEST_BATCH,
    /** The warmest it got. */
    PEAK,
    /** How thick the fresh mix is. */
    FRESH
  }

  /** Whether a fact is met exactly or on one side. */
  public enum Side {
    THEN,
    AT_MOST,
    AT_LEAST
  }

  /** Who says so. */
  public enum Source {
    LABEL,
    MAKER
  }

  /**
   * As told: what of it was told is not null.
   *
   * @param from minutes, hours or what the kind counts in
   * @param to the late end of a range
   */
  public record Said(
      double from,
      @Nullable Double to,
      String unit,
      @Nullable Double massG,
      @Nullable Double depthMm,
      @Nullable Double temperatureC) {}

  /** Whether its value is a temperature, and not the logarithm of something. */
  boolean warmth() {
    return kind == Kind.DEEPEST || kind == Kind.PEAK;
  }

  /** On the scale that it is compared on. */
  double target() {
    return warmth() ? value : Math.log(value);
  }
}
