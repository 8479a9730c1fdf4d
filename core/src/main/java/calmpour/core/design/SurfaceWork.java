package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * Work on the inside of a mould before anything is poured.
 *
 * @param minutes of hands for one cavity
 * @param dryingMinutes until resin may touch it
 * @param with what, in the maker's words
 * @param patch where a patch of it that was tried is kept, in the maker's words; null where none
 *     was
 */
public record SurfaceWork(
    Kind kind,
    double minutes,
    double dryingMinutes,
    @Nullable String with,
    @Nullable String patch) {
  public static final Range MINUTES = new Range(0.1, 240);
  public static final Range DRYING_MINUTES = new Range(0, 10_080);
  private static final int WITH_LENGTH = 200;

  /** What is done; the minutes beside each are starting values, no source. */
  public enum Kind {
    /** Mica or chrome powder brushed over the whole inside. */
    DUST(2, 0),
    /** The same, polished down. */
    BURNISH(3, 0),
    /** Paint run into recesses. */
    DETAIL_PAINT(3, 30),
    /** Resin or a primer brushed into lettering. */
    PRIME(2, 20);

    private final double usualMinutes;
    private final double usualDrying;

    Kind(double usualMinutes, double usualDrying) {
      this.usualMinutes = usualMinutes;
      this.usualDrying = usualDrying;
    }

    /** Powder lies loose: what has a point pokes through it. */
    public boolean loose() {
      return this == DUST || this == BURNISH;
    }
  }

  public SurfaceWork {
    new Check()
        .present("kind", kind)
        .within("minutes", minutes, MINUTES)
        .within("dryingMinutes", dryingMinutes, DRYING_MINUTES)
        .atMost("with", with, WITH_LENGTH)
        .atMost("patch", patch, WITH_LENGTH)
        .orThrow();
  }

  /** With the usual times. */
  public static SurfaceWork usual(Kind kind) {
    return new SurfaceWork(kind, kind.usualMinutes, kind.usualDrying, null, null);
  }
}
