package calmpour.core.plan;

import java.util.HashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What lies in the cavities while a plan is followed: which batch filled which layer, and when. */
final class Filled {
  /**
   * The end of a layer's last pour into one cavity.
   *
   * @param batch it came from
   */
  record Lies(
      Batch batch,
      BatchStates states,
      Cup.Pour pour,
      int contactSeconds,
      int mixedSeconds,
      int endSeconds) {}

  private final Map<String, Lies> layers = new HashMap<>();

  void put(Batch batch, BatchStates states, Times times) {
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        int end = times.end(Times.pour(pour.id()));
        layers.merge(
            key(pour.line(), pour.cavity(), pour.layer()),
            new Lies(
                batch,
                states,
                pour,
                times.contact(batch.number()),
                times.mixed(batch.number()),
                end),
            (a, b) -> a.endSeconds > b.endSeconds ? a : b);
      }
    }
  }

  @Nullable Lies layer(int line, int cavity, int layer) {
    return layers.get(key(line, cavity, layer));
  }

  private static String key(int line, int cavity, int layer) {
    return line + "." + cavity + "." + layer;
  }
}
