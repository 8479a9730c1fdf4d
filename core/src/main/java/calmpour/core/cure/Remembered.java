package calmpour.core.cure;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Answers that cost something to find, the latest asked for being kept. Two threads that ask the
 * same at once both find it: the answer is the same.
 */
public final class Remembered<K, V> {
  private final Map<K, V> known;

  /**
   * @param most kept at a time, more than 0
   */
  public Remembered(int most) {
    if (most <= 0) {
      throw new IllegalArgumentException(
          "Remembered most (%d) must be more than 0".formatted(most));
    }
    known =
        new LinkedHashMap<>(16, 0.75f, true) {
          private static final long serialVersionUID = 1L;

          @Override
          protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
            return size() > most;
          }
        };
  }

  /** What is known of it, or what {@code find} comes to. */
  public V of(K asked, Function<K, V> find) {
    synchronized (known) {
      V before = known.get(asked);
      if (before != null) {
        return before;
      }
    }
    V found = find.apply(asked);
    synchronized (known) {
      known.put(asked, found);
    }
    return found;
  }
}
