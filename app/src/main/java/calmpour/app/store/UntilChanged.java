package calmpour.app.store;

import java.util.HashMap;
import java.util.Map;
import java.util.function.LongSupplier;
import java.util.function.Supplier;

/** Remembers what was worked out of the journal until something is written to it. */
final class UntilChanged {
  /** Every letter that is typed asks for something else. */
  private static final int MOST = 200;

  private final int most;
  private final LongSupplier version;
  private final Map<String, Object> known = new HashMap<>();
  private long of = -1;

  /**
   * @param version another number after every change
   */
  UntilChanged(LongSupplier version) {
    this(version, MOST);
  }

  /**
   * @param most answers at a time, where each may be large
   */
  UntilChanged(LongSupplier version, int most) {
    this.version = version;
    this.most = most;
  }

  /** What is known by this name; worked out where nothing is. */
  @SuppressWarnings("unchecked")
  synchronized <T> T get(String name, Supplier<T> work) {
    // Looked at first: what is written meanwhile makes it out of date, not right.
    long now = version.getAsLong();
    if (now != of || known.size() >= most) {
      known.clear();
      of = now;
    }
    // Not computed inside the map: what is worked out may ask for something else that is known.
    Object found = known.get(name);
    if (found == null) {
      found = work.get();
      known.put(name, found);
    }
    return (T) found;
  }
}
