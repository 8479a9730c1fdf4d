package calmpour.core.plan.time;

import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.TaskId;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What lies in the cavities while a plan is followed: which batches filled which layer, and when.
 */
public final class Filled {
  /**
   * The end of a batch's last pour of a layer into one cavity.
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

  private final List<Batch> batches;
  private final Map<PourId, Map<Integer, Lies>> layers = new HashMap<>();

  /** Nothing, and nothing to come. */
  public Filled() {
    this(List.of());
  }

  /**
   * @param batches all that will be poured
   */
  public Filled(List<Batch> batches) {
    this.batches = batches;
  }

  /** The pieces of a line that share everything with one. */
  PieceGroup group(int line, int count, int cavity) {
    return PieceGroup.of(batches, line, count, cavity);
  }

  public List<PieceGroup> groups(int line, int count) {
    return PieceGroup.of(batches, line, count);
  }

  public void put(Batch batch, BatchStates states, Times times) {
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        int end = times.end(TaskId.pour(pour.id()));
        layers
            .computeIfAbsent(key(pour.line(), pour.cavity(), pour.layer()), k -> new TreeMap<>())
            .merge(
                batch.number(),
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

  /** The last of it; null where nothing was poured yet. */
  @Nullable Lies layer(int line, int cavity, int layer) {
    return all(line, cavity, layer).stream()
        .max(Comparator.comparingInt(Lies::endSeconds))
        .orElse(null);
  }

  /** What every batch poured of it: one, or several where no batch held the whole pour. */
  Collection<Lies> all(int line, int cavity, int layer) {
    return layers.getOrDefault(key(line, cavity, layer), Map.of()).values();
  }

  private static PourId key(int line, int cavity, int layer) {
    return new PourId(line + 1, cavity, layer + 1, 0);
  }
}
