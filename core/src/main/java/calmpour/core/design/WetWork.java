package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * What is done to the wet face of a layer, while it flows. How it will look nobody knows: it goes
 * on drifting until gel.
 *
 * @param minutes of hands for one piece
 * @param with what, in the maker's words
 */
public record WetWork(Kind kind, double minutes, @Nullable String with) {
  public static final Range MINUTES = new Range(0.1, 60);
  private static final int WITH_LENGTH = 200;

  /** What is done. */
  public enum Kind {
    /** With a stick or a fork. */
    DRAWN,
    SWIRLED,
    TILTED,
    /** Hot air over it, moving, until the colours lace. */
    LACED,
    /** Ink, drop by drop. */
    INK_DROPPED,
    /** A second powder, in zones. */
    POWDERED;

    /** Whether it lights what evaporates from alcohol. */
    public boolean ignites() {
      return this == LACED;
    }

    /** Whether it puts alcohol on the board. */
    public boolean alcohol() {
      return this == INK_DROPPED;
    }
  }

  public WetWork {
    new Check()
        .present("kind", kind)
        .within("minutes", minutes, MINUTES)
        .atMost("with", with, WITH_LENGTH)
        .orThrow();
  }
}
