package calmpour.core.work;

import java.util.function.Function;

/** Answers that cost something to find, some of them kept. */
@FunctionalInterface
public interface Memory<K, V> {
  /**
   * What is known of it, or what {@code find} comes to. The same is asked, the same is answered.
   */
  V of(K asked, Function<? super K, ? extends V> find);
}
