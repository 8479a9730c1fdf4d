package calmpour.app.work;

import calmpour.core.journal.Bounds;
import calmpour.core.journal.LearnedTimes;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Remembers what evenings come to: the same evenings always come to the same. */
@Component
public class KnownTimes {
  /** More moulds, cups and colourants than that no workshop learns of at once. */
  private static final int MOST = 1_000;

  private final Map<List<? extends Bounds>, LearnedTimes> known =
      new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(
            Map.Entry<List<? extends Bounds>, LearnedTimes> eldest) {
          return size() > MOST;
        }
      };

  KnownTimes() {}

  /**
   * @param evenings of one cavity, one kind of cup or one colourant
   */
  synchronized LearnedTimes of(List<? extends Bounds> evenings) {
    // Not computed inside the map: it is ordered by use.
    LearnedTimes times = known.get(evenings);
    if (times == null) {
      times = LearnedTimes.of(evenings);
      known.put(evenings, times);
    }
    return times;
  }
}
