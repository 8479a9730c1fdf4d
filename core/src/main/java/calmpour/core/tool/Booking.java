package calmpour.core.tool;

import java.time.Instant;

/**
 * Something that another session of this workshop needs for a while.
 *
 * @param what the maker's hands, a mould's cavities, or a tool
 * @param id of the mould or tool; empty for the hands
 * @param count how many places or cavities of it
 * @param from inclusive
 * @param to exclusive
 * @param session whose it is, by name
 */
public record Booking(Thing what, String id, int count, Instant from, Instant to, String session) {
  /** What can be needed twice. */
  public enum Thing {
    HANDS,
    MOULD,
    TOOL
  }

  public Booking {
    if (to.isBefore(from) || count < 1) {
      throw new IllegalArgumentException(
          "Booking count (" + count + ") must be >= 1 and to (" + to + ") not before from");
    }
  }
}
