package calmpour.app.store;

import static calmpour.app.store.generated.Tables.SAVED_SESSION;

import calmpour.core.plan.bench.Bookings;
import calmpour.core.tool.Booking;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What the kept sessions need of hands, moulds and tools; read again when one is saved anew. */
@Component
public class OtherSessions {
  private static final List<Booking> NONE = List.of();

  private final DSLContext db;
  private final SessionStore sessions;
  private final Map<String, Known> known = new HashMap<>();

  private record Known(int revision, List<Booking> bookings) {}

  OtherSessions(DSLContext db, SessionStore sessions) {
    this.db = db;
    this.sessions = sessions;
  }

  /**
   * Bookings of every kept session.
   *
   * @param but the session that is being planned; null for one that was never kept
   */
  public synchronized List<Booking> bookings(@Nullable String but) {
    Map<String, Integer> kept =
        db.select(SAVED_SESSION.ID, SAVED_SESSION.REVISION)
            .from(SAVED_SESSION)
            .fetchMap(SAVED_SESSION.ID, SAVED_SESSION.REVISION);
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
              .map(s -> s.plan() == null ? NONE : Bookings.of(s.session(), s.plan()))
              .orElse(NONE);
    } catch (UnreadableDocumentException damaged) {
      bookings = List.of();
    }
    known.put(id, new Known(revision, bookings));
    return bookings;
  }
}
