package calmpour.core.journal;

import org.jspecify.annotations.Nullable;

/**
 * What the record says of a clue.
 *
 * @param figure see the clues; null where there is none
 */
public record Evidence(Clue clue, Told told, @Nullable Double figure) {
  /** Whether it is there. */
  public enum Told {
    THERE,
    NOT_THERE,
    UNKNOWN
  }

  static Evidence unknown(Clue clue) {
    return new Evidence(clue, Told.UNKNOWN, null);
  }

  static Evidence of(Clue clue, boolean there, @Nullable Double figure) {
    return new Evidence(clue, there ? Told.THERE : Told.NOT_THERE, figure);
  }

  static Evidence of(Clue clue, boolean there) {
    return of(clue, there, null);
  }

  /** Unknown where nobody said. */
  static Evidence said(Clue clue, @Nullable Boolean there) {
    return there == null ? unknown(clue) : of(clue, there);
  }
}
