package calmpour.app.store;

import calmpour.core.plan.bench.Bookings;
import calmpour.core.tool.Booking;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What other sessions need of hands, moulds and tools; read again when one is saved anew. */
@Component
public class OtherSessions {
  private static final List<Booking> NONE = List.of();

  private final SessionStore sessions;
  private final Map<String, Known> known = new HashMap<>();

  private record Known(int revision, List<Booking> bookings) {}

  OtherSessions(SessionStore sessions) {
    this.sessions = sessions;
  }

  /**
   * Bookings of every session that was confirmed or begun, and is not over.
   *
   * @param but the session that is being planned; null for one that was never kept
   */
  public synchronized List<Booking> bookings(@Nullable String but) {
    Map<String, Integer> kept = sessions.inTheWay();
    known.keySet().retainAll(kept.keySet());
    List<Booking> all = new ArrayList<>();
    kept.forEach((id, revision) -> {
      if (!id.equals(but)) {
        all.addAll(of(id, revision));
      }
    });
    return all;
  }

  private List<Booking> of(String id, int revision) {
    Known before = known.get(id);
    if (before != null && before.revision == revision) {
      return before.bookings;
    }
    List<Booking> bookings;
    try {
      bookings =
          sessions
              .find(id)
              .map(s -> s.plan() == null ? NONE : Bookings.of(s.session(), s.plan(), id))
              .orElse(NONE);
    } catch (UnreadableDocumentException damaged) {
      bookings = List.of();
    }
    known.put(id, new Known(revision, bookings));
    return bookings;
  }
}
