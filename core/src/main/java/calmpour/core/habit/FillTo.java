package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * How far a mould is filled, where the topmost layer takes whatever room is left.
 *
 * @param mm height of a dome above the rim (null: as high as docs/rules.md says), or how far short
 *     of the rim
 */
public record FillTo(Kind kind, @Nullable Double mm) {
  public static final Range MM = new Range(0.1, 100);

  public static final FillTo FLUSH = new FillTo(Kind.FLUSH, null);
  public static final FillTo DOMED = new FillTo(Kind.DOMED, null);

  /** Where the surface lies. */
  public enum Kind {
    /** Level with the rim. */
    FLUSH,
    /** Above the rim, held by its own skin. */
    DOMED,
    /** Below the rim, for a flat back. */
    SHORT
  }

  public FillTo {
    new Check()
        .present("kind", kind)
        .within("mm", mm, MM)
        .that(kind != Kind.SHORT || mm != null, Problem.of("mm", Problem.Code.MISSING, null))
        .that(kind != Kind.FLUSH || mm == null, Problem.of("mm", Problem.Code.ONE_OF_THESE, null))
        .orThrow();
  }
}
