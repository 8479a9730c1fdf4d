package calmpour.core.plan.search;

import calmpour.core.plan.search.Sharing.Shared;
import calmpour.core.plan.search.Trials.Trial;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Shares the pours of one sitting among batches: as few as hands and resin allow, then the least
 * waste in steps, then the most time to spare. Few pours are shared in every way there is, many in
 * rows; what was shared before stays together as far as it goes.
 */
public final class BatchSearch {
  /** Up to so many groups every way of sharing them is looked at. */
  static final int EVERY_WAY = 8;

  private final Sharing sharing;

  BatchSearch(Sharing sharing) {
    this.sharing = sharing;
  }

  /**
   * @param atLeast batches that the maker wants
   * @param before how they were shared before, by batch; what is no longer there left out
   * @return null when no way was found that has the time to spare
   */
  @Nullable Shared best(int atLeast, List<List<Integer>> before) {
    int groups = sharing.sitting.groups().size();
    int fewest = Math.min(atLeast, groups);
    Shared kept = before.isEmpty() ? null : asBefore(before);
    if (kept != null && kept.batches().size() < fewest) {
      kept = null;
    }
    if (fewest <= 1) {
      List<Integer> all = IntStream.range(0, groups).boxed().toList();
      Trial one = sharing.does(all);
      if (one != null) {
        return new Shared(List.of(all), List.of(one));
      }
    }
    if (kept != null) {
      Shared fewer = fewest < kept.batches().size() ? sharing.withoutOne(kept) : null;
      return fewer == null ? kept : fewer;
    }
    int from = Math.max(Math.max(2, fewest), sharing.leastBatches());
    if (groups <= EVERY_WAY) {
      return everyWay(from, groups);
    }
    return new RowSearch(sharing).best(fewest);
  }

  /** What was together stays together; what is new joins where it does no harm. */
  private @Nullable Shared asBefore(List<List<Integer>> before) {
    List<List<Integer>> batches = new ArrayList<>(before.stream().map(List::copyOf).toList());
    batches.removeIf(List::isEmpty);
    Set<Integer> placed = batches.stream().flatMap(List::stream).collect(Collectors.toSet());
    for (int g = 0; g < sharing.kinds.size(); g++) {
      if (placed.contains(g)) {
        continue;
      }
      int where = sharing.joins(batches, g);
      if (where < 0) {
        return null;
      }
      batches.set(where, Sharing.with(batches.get(where), g));
    }
    return batches.isEmpty() ? null : sharing.tried(batches);
  }

  // Every way of sharing few groups.

  private @Nullable Shared everyWay(int from, int most) {
    for (int count = from; count <= most; count++) {
      Every every = new Every(count);
      every.place(0, 0);
      if (every.best != null) {
        return every.best;
      }
    }
    return null;
  }

  private final class Every {
    private final int count;
    private final List<List<Integer>> batches = new ArrayList<>();
    private final int[] batchOf = new int[sharing.kinds.size()];
    private @Nullable Shared best;

    Every(int count) {
      this.count = count;
      for (int b = 0; b < count; b++) {
        batches.add(new ArrayList<>());
      }
    }

    void place(int next, int open) {
      if (sharing.kinds.size() - next < count - open || !sharing.goOn()) {
        return;
      }
      if (next == sharing.kinds.size()) {
        List<Trial> its = batches.stream().map(sharing::does).toList();
        if (its.stream().allMatch(t -> t != null)) {
          Shared found = new Shared(batches.stream().map(List::copyOf).toList(), its);
          best = best == null || sharing.better(found, best) ? found : best;
        }
        return;
      }
      // Of groups alike, a later one never goes into an earlier batch: that would be the same.
      int from = 0;
      for (int g = next - 1; g >= 0 && from == 0; g--) {
        from = sharing.kinds.get(g).equals(sharing.kinds.get(next)) ? batchOf[g] : 0;
      }
      for (int b = from; b < Math.min(count, open + 1); b++) {
        batches.get(b).add(next);
        batchOf[next] = b;
        // More in a batch never makes it earlier, so what does not do now will not do later.
        if (sharing.does(batches.get(b)) != null) {
          place(next + 1, Math.max(open, b + 1));
        }
        batches.get(b).removeLast();
      }
    }
  }
}
