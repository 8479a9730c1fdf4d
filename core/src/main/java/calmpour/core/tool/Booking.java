package calmpour.core.tool;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Something that another session of this workshop needs for a while.
 *
 * @param what the maker's hands, a mould's cavities, or a tool
 * @param id of the mould or tool; empty for the hands
 * @param count how many places or cavities of it
 * @param from inclusive
 * @param to exclusive
 * @param session whose it is, by name
 * @param sessionId by which it is kept; null for one that is not
 */
public record Booking(
    Thing what,
    String id,
    int count,
    Instant from,
    Instant to,
    String session,
    @Nullable String sessionId) {
  /** Of a session that is not kept. */
  public Booking(Thing what, String id, int count, Instant from, Instant to, String session) {
    this(what, id, count, from, to, session, null);
  }

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
