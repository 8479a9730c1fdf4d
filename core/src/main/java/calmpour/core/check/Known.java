package calmpour.core.check;

import org.jspecify.annotations.Nullable;

/** For what may be missing in general and cannot be where it is used, as its record made sure. */
public final class Known {
  private Known() {}

  /**
   * The same value.
   *
   * @throws IllegalStateException where it is missing all the same: a mistake of the program
   */
  public static <T> T known(@Nullable T value) {
    if (value == null) {
      throw new IllegalStateException("bug: what has to be there is missing");
    }
    return value;
  }
}
