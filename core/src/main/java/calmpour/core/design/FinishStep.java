package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * Work on a piece after it has left its mould.
 *
 * @param minutes of hands for one piece, each time
 * @param waitHours from the step before (or demoulding) until this one
 * @param times how often, with the same wait before each
 * @param with what, in the maker's words
 */
public record FinishStep(
    Kind kind, double minutes, double waitHours, int times, @Nullable String with) {
  public static final Range MINUTES = new Range(0.1, 240);
  public static final Range WAIT_HOURS = new Range(0, 2_000);
  public static final Range TIMES = new Range(1, 12);
  private static final int WITH_LENGTH = 200;

  /** Varnish is hard enough to polish after a day; common practice, no source. */
  private static final double POLISHED_AFTER = 24;

  /** What is done; the times beside each are starting values, no source. */
  public enum Kind {
    TRIM_FLASH(2, 0, 1),
    VARNISH(1.5, 4, 2),
    PAINT(3, 1, 1),
    GLUE_FITTINGS(2, 1, 1),
    /** Wet, by one grit after the other. */
    WET_SAND(6, 48, 1),
    DRILL(2, 24, 1),
    /** Some days later, when it no longer smears. */
    POLISH(5, 72, 1),
    /** In the maker's words. */
    OTHER(5, 0, 1);

    private final double usualMinutes;
    private final double usualWait;
    private final int usualTimes;

    Kind(double usualMinutes, double usualWait, int usualTimes) {
      this.usualMinutes = usualMinutes;
      this.usualWait = usualWait;
      this.usualTimes = usualTimes;
    }
  }

  public FinishStep {
    new Check()
        .present("kind", kind)
        .within("minutes", minutes, MINUTES)
        .within("waitHours", waitHours, WAIT_HOURS)
        .within("times", times, TIMES)
        .atMost("with", with, WITH_LENGTH)
        .orThrow();
  }

  /** Until the same can be done once more, h: dry to the touch; common practice, no source. */
  public double againHours() {
    double dry =
        switch (kind) {
          case VARNISH -> 2;
          case PAINT -> 1;
          case TRIM_FLASH, GLUE_FITTINGS, WET_SAND, DRILL, POLISH, OTHER -> 0;
        };
    return Math.max(waitHours, dry);
  }

  /** Until it can come after another step, h: varnish is polished a day later. */
  public double afterHours(@Nullable FinishStep before) {
    boolean polished = kind == Kind.POLISH && before != null && before.kind == Kind.VARNISH;
    return polished ? Math.max(waitHours, POLISHED_AFTER) : waitHours;
  }

  /** With the usual times. */
  public static FinishStep usual(Kind kind) {
    return new FinishStep(kind, kind.usualMinutes, kind.usualWait, kind.usualTimes, null);
  }
}
