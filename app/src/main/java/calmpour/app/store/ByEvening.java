package calmpour.app.store;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Something of every evening of the journal: read once, and of an evening again only where it was
 * written since. What is typed or counted asks for all of it, over ten years of work.
 */
final class ByEvening<T> {
  /** More evenings than that are read with all others: a statement has its limits. */
  private static final int NAMED = 500;

  private final JournalWriter writer;
  private final Reader<T> reader;
  private final Comparator<T> order;
  private final Map<String, T> known = new HashMap<>();
  private List<T> ordered = List.of();
  private long of = -1;

  /** What is read of evenings. */
  @FunctionalInterface
  interface Reader<T> {
    /**
     * @param runIds of which evenings; null for all of them
     * @return by evening; an evening that has nothing is left out
     */
    Map<String, T> read(@Nullable Collection<String> runIds);
  }

  ByEvening(JournalWriter writer, Comparator<T> order, Reader<T> reader) {
    this.writer = writer;
    this.order = order;
    this.reader = reader;
  }

  /** All evenings as they are now, in order. */
  synchronized List<T> all() {
    JournalWriter.Written written = writer.since(of);
    if (written.version() == of) {
      return ordered;
    }
    if (written.all() || written.runIds().size() > NAMED) {
      known.clear();
      known.putAll(reader.read(null));
    } else if (!written.runIds().isEmpty()) {
      known.keySet().removeAll(written.runIds());
      known.putAll(reader.read(written.runIds()));
    }
    List<T> now = new ArrayList<>(known.values());
    now.sort(order);
    ordered = List.copyOf(now);
    // What is written meanwhile is read the next time.
    of = written.version();
    return ordered;
  }
}
