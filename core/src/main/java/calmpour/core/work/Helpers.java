package calmpour.core.work;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Memory and hands for what is worked out here: core itself has neither locks nor threads. Whoever
 * asks from several threads brings helpers that can stand it.
 */
public interface Helpers {
  /**
   * @param of what is remembered, for whoever looks into it
   * @param most answers kept at a time, those asked for longest ago going first; more than 0
   */
  <K, V> Memory<K, V> memory(String of, int most);

  /** What each comes to, in their order; each by itself, so maybe several at a time. */
  <T, R> List<R> each(List<T> all, Function<? super T, ? extends R> of);

  /** For one thread, one thing after the other. */
  static Helpers alone() {
    return new Helpers() {
      @Override
      public <K, V> Memory<K, V> memory(String of, int most) {
        if (most <= 0) {
          throw new IllegalArgumentException(
              "memory most (%d) must be more than 0".formatted(most));
        }
        Map<K, V> known =
            new LinkedHashMap<>(16, 0.75f, true) {
              private static final long serialVersionUID = 1L;

              @Override
              protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
              }
            };
        return (asked, find) -> {
          V before = known.get(asked);
          if (before != null) {
            return before;
          }
          V found = find.apply(asked);
          known.put(asked, found);
          return found;
        };
      }

      @Override
      public <T, R> List<R> each(List<T> all, Function<? super T, ? extends R> of) {
        return all.stream().<R>map(of).toList();
      }
    };
  }
}
