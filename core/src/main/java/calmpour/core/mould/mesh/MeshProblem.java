package calmpour.core.mould.mesh;

/** A file of triangles that cannot be used, with the reason as data. */
public final class MeshProblem extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** Why it cannot be used. */
  public enum Reason {
    /** Not of the kind it claims to be; {@code where} is a line or a triangle. */
    NOT_READABLE,
    /** Ends before everything that was announced. */
    CUT_SHORT,
    /** A coordinate that is no number. */
    NOT_A_NUMBER,
    /** More triangles, or more bytes, than can be handled. */
    TOO_LARGE,
    /** Nothing in it. */
    EMPTY,
    /** Holes that are not safe to close; {@code where} is how many open edges. */
    LEAKY,
    /** Surfaces that meet in a way no solid has; {@code where} is how many edges. */
    TANGLED,
    /** The same triangle more than once; {@code where} is how many. */
    REPEATED,
    /** Shells that run through each other; {@code where} is how many pairs. */
    OVERLAPPING,
    /** Shells one inside the other that face the same way; {@code where} is how many. */
    NESTED,
    /** Holds more than the box it lies in. */
    MORE_THAN_ITS_BOX,
    /** Encloses nothing worth mentioning. */
    FLAT,
    /** A 3MF that refers to things outside of itself, or is built to overwhelm. */
    HOSTILE
  }

  private final Reason reason;
  private final long where;

  public MeshProblem(Reason reason, long where) {
    super(reason + " (" + where + ")");
    this.reason = reason;
    this.where = where;
  }

  public Reason reason() {
    return reason;
  }

  /** Line, triangle or count, as the reason says; -1 for none. */
  public long where() {
    return where;
  }
}
