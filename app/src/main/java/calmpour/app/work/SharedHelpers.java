package calmpour.app.work;

import calmpour.core.work.Helpers;
import calmpour.core.work.Memory;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.ForkJoinTask;
import java.util.function.Function;

/**
 * Helpers for a server, where many ask at once: memory that several threads share, and a pool of
 * its own for what can be done side by side, so that a long plan keeps nothing else from its
 * threads.
 */
public final class SharedHelpers implements Helpers, AutoCloseable {
  private final ForkJoinPool pool = new ForkJoinPool();

  @Override
  public <K, V> Memory<K, V> memory(String of, int most) {
    Cache<K, V> known = Caffeine.newBuilder().maximumSize(most).executor(Runnable::run).build();
    return (asked, find) -> {
      V before = known.getIfPresent(asked);
      if (before != null) {
        return before;
      }
      // Found outside the lock: it may ask the same memory again. Two who ask at once find the
      // same.
      V found = find.apply(asked);
      known.put(asked, found);
      return found;
    };
  }

  @Override
  public <T, R> List<R> each(List<T> all, Function<? super T, ? extends R> of) {
    if (all.size() < 2) {
      return all.stream().<R>map(of).toList();
    }
    if (pool.equals(ForkJoinTask.getPool())) {
      return all.parallelStream().<R>map(of).toList();
    }
    return pool.submit(() -> all.parallelStream().<R>map(of).toList()).join();
  }

  @Override
  public void close() {
    pool.close();
  }
}
