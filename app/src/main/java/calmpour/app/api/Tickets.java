package calmpour.app.api;

import calmpour.core.plan.search.Watch;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Plans that somebody is waiting for: how far each is, and who has had enough. */
@Component
class Tickets {
  /** So long may a ticket's name be; a screen draws it by lot. */
  private static final int NAME_LENGTH = 60;

  private final Map<String, Ticket> open = new ConcurrentHashMap<>();

  /** One plan in the making. */
  private static final class Ticket implements Watch {
    private volatile int tried;
    private volatile boolean stopped;

    @Override
    public boolean goOn(int now) {
      tried = now;
      return !stopped;
    }
  }

  /** A plan is made meanwhile; the ticket is gone when it is done. */
  interface Made<T> {
    T with(Watch watch);
  }

  /**
   * @param name null where nobody wants to know
   */
  <T> T during(@Nullable String name, Made<T> made) {
    if (name == null || name.isBlank() || name.length() > NAME_LENGTH) {
      return made.with(Watch.NOBODY);
    }
    Ticket ticket = new Ticket();
    open.put(name, ticket);
    try {
      return made.with(ticket);
    } finally {
      open.remove(name, ticket);
    }
  }

  /** How much was tried out so far; empty when it is done. */
  Optional<Integer> tried(String name) {
    return Optional.ofNullable(open.get(name)).map(t -> t.tried);
  }

  /** The best so far will do. */
  void stop(String name) {
    Ticket ticket = open.get(name);
    if (ticket != null) {
      ticket.stopped = true;
    }
  }
}
