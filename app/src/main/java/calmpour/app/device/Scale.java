package calmpour.app.device;

import org.jspecify.annotations.Nullable;

/** The scale on the bench. */
public interface Scale {
  /** How it is with it. */
  enum Link {
    /** It tells what is on it. */
    TELLS,
    /** It is there and says nothing, or nothing that can be read. */
    SILENT,
    /** It is not there. */
    UNPLUGGED,
    /** Nobody has connected one. */
    NONE
  }

  /**
   * What it said last.
   *
   * @param grams since it was tared; null while it tells nothing
   * @param stable whether it has come to rest
   * @param unread lines that could not be read since it was plugged in
   */
  record Reading(Link link, @Nullable Double grams, boolean stable, int unread) {}

  Reading now();

  /** What is on it counts as nothing from now on; does nothing where there is no scale. */
  void tare();
}
