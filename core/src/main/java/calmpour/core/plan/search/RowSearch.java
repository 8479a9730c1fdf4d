package calmpour.core.plan.search;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.search.Sharing.Shared;
import calmpour.core.plan.search.Trials.Trial;
import calmpour.core.plan.time.Chain;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Shares many groups among batches: laid in a row and cut as late as each batch allows, in several
 * rows; then single groups change places while that is better.
 */
public final class RowSearch {
  private final Sharing sharing;

  RowSearch(Sharing sharing) {
    this.sharing = sharing;
  }

  /**
   * @param atLeast batches that the maker wants
   * @return null when no row could be cut
   */
  @Nullable Shared best(int atLeast) {
    Shared best = null;
    for (List<Integer> row : rows()) {
      if (best != null && !sharing.goOn()) {
        break;
      }
      Shared cut = cut(row, best == null ? Integer.MAX_VALUE : best.batches().size());
      if (cut != null && cut.batches().size() < atLeast) {
        cut = evenly(row, atLeast);
      }
      best = cut == null || (best != null && !sharing.better(cut, best)) ? best : cut;
    }
    if (best == null) {
      return null;
    }
    Shared filled = filled(rows().get(0), best.batches().size());
    if (filled != null && filled.batches().size() >= atLeast && sharing.better(filled, best)) {
      best = filled;
    }
    while (best.batches().size() > Math.max(atLeast, sharing.leastBatches()) && sharing.goOn()) {
      Shared fewer = sharing.withoutOne(best);
      if (fewer == null) {
        break;
      }
      best = fewer;
    }
    Shared even = evened(best);
    return sharing.better(even, best) ? even : best;
  }

  /**
   * Each group into the batch where it makes least waste, a new one only when none has room; null
   * when that takes more than {@code most}.
   */
  private @Nullable Shared filled(List<Integer> row, int most) {
    List<List<Integer>> batches = new ArrayList<>();
    for (int group : row) {
      if (!sharing.goOn()) {
        return null;
      }
      int where = sharing.joins(batches, group);
      if (where >= 0) {
        batches.set(where, Sharing.with(batches.get(where), group));
      } else if (batches.size() < most) {
        batches.add(List.of(group));
      } else {
        return null;
      }
    }
    return sharing.tried(batches);
  }

  /** Orders in which neighbours have much in common. */
  private List<List<Integer>> rows() {
    List<Integer> asTheyCome = IntStream.range(0, sharing.kinds.size()).boxed().toList();
    Map<Integer, Set<String>> colours = new HashMap<>();
    Map<String, Integer> uses = new TreeMap<>();
    for (int g : asTheyCome) {
      Set<String> its =
          known(
              sharing.sitting.groups().get(g).stream()
                  .map(p -> p.colour().id())
                  .collect(Collectors.toCollection(HashSet::new)));
      colours.put(g, its);
      its.forEach(c -> uses.merge(c, 1, Integer::sum));
    }
    List<List<Integer>> rows = new ArrayList<>();
    rows.add(neighbours(colours));
    List<String> common =
        uses.entrySet().stream()
            .sorted(Map.Entry.<String, Integer>comparingByValue().reversed())
            .map(Map.Entry::getKey)
            .toList();
    rows.add(
        asTheyCome.stream()
            .sorted(
                Comparator.comparing(g ->
                    common.stream()
                        .map(c -> known(colours.get(g)).contains(c) ? "0" : "1")
                        .collect(Collectors.joining())))
            .toList());
    rows.add(asTheyCome);
    return rows.stream().distinct().toList();
  }

  /** The next is always the one that brings fewest new colours, then shares most. */
  private List<Integer> neighbours(Map<Integer, Set<String>> colours) {
    List<Integer> left = new ArrayList<>(IntStream.range(0, sharing.kinds.size()).boxed().toList());
    // What has most colours has most to share.
    left.sort(Comparator.comparingInt(g -> -known(colours.get(g)).size()));
    List<Integer> row = new ArrayList<>();
    Set<String> open = new HashSet<>();
    while (!left.isEmpty()) {
      int best = -1;
      int least = Integer.MAX_VALUE;
      for (int i = 0; i < left.size(); i++) {
        Set<String> its = known(colours.get(left.get(i)));
        int fresh = 0;
        for (String colour : its) {
          fresh += open.contains(colour) ? 0 : 100;
        }
        int score = fresh - its.size();
        if (score < least) {
          least = score;
          best = i;
        }
      }
      int next = left.get(best);
      left.remove(Integer.valueOf(next));
      row.add(next);
      open.addAll(colours.get(next));
    }
    return row;
  }

  /** A row cut as late as each batch allows; null when it takes more than {@code most}. */
  private @Nullable Shared cut(List<Integer> row, int most) {
    List<List<Integer>> batches = new ArrayList<>();
    List<Trial> its = new ArrayList<>();
    int from = 0;
    int guess = row.size() / Math.max(2, sharing.leastBatches());
    while (from < row.size()) {
      if (batches.size() == most) {
        return null;
      }
      int end = furthest(row, from, Math.max(1, guess));
      if (end == from) {
        return null;
      }
      List<Integer> batch = row.subList(from, end).stream().sorted().toList();
      batches.add(batch);
      its.add(sharing.does(batch));
      guess = end - from;
      from = end;
    }
    return new Shared(batches, its);
  }

  /** The end of the longest piece of a row that is in time; {@code from} when none is. */
  private int furthest(List<Integer> row, int from, int guess) {
    int good = from;
    int bad = row.size() + 1;
    int end = Math.min(row.size(), from + guess);
    int stride = 1;
    while (good + 1 < bad) {
      boolean does = sharing.does(row.subList(from, end).stream().sorted().toList()) != null;
      if (does) {
        good = end;
      } else {
        bad = end;
      }
      if (bad > row.size() && good < row.size()) {
        end = Math.min(row.size(), good + stride);
        stride *= 2;
      } else {
        end = (good + bad) / 2;
      }
    }
    return good;
  }

  /** The same row in equal pieces; null when one of them does not do. */
  private @Nullable Shared evenly(List<Integer> row, int count) {
    List<List<Integer>> batches = new ArrayList<>();
    for (int b = 0; b < count; b++) {
      int from = row.size() * b / count;
      int end = row.size() * (b + 1) / count;
      batches.add(row.subList(from, end).stream().sorted().toList());
    }
    return sharing.tried(batches);
  }

  /**
   * Tight batches give one group after the other to batches with more time, the tightest first, as
   * long as that makes no step more of waste.
   */
  private Shared evened(Shared from) {
    Shared best = from;
    boolean gained = true;
    while (gained && sharing.goOn() && best.spare() < Chain.calm(sharing.required)) {
      Shared next = movedOnce(best);
      gained = next != null;
      best = next == null ? best : next;
    }
    return best;
  }

  private @Nullable Shared movedOnce(Shared now) {
    List<Integer> tightest =
        IntStream.range(0, now.trials().size())
            .boxed()
            .sorted(Comparator.comparingInt((Integer b) -> now.trials().get(b).spareSeconds()))
            .toList();
    for (int tight : tightest) {
      Set<String> looked = new HashSet<>();
      for (int group : now.batches().get(tight)) {
        if (now.batches().get(tight).size() == 1 || !looked.add(sharing.kinds.get(group))) {
          continue;
        }
        for (int to : tightest.reversed()) {
          Shared moved = to == tight || !sharing.goOn() ? null : moved(now, group, tight, to);
          if (moved != null && calmer(moved, now)) {
            return moved;
          }
        }
      }
    }
    return null;
  }

  /** Better, or no worse and with more time to spare in all. */
  private boolean calmer(Shared a, Shared b) {
    return sharing.better(a, b)
        || (!sharing.better(b, a) && spareInAll(a) > spareInAll(b) + 10 * a.batches().size());
  }

  private int spareInAll(Shared of) {
    int calm = Chain.calm(sharing.required);
    return of.trials().stream().mapToInt(t -> Math.min(t.spareSeconds(), calm)).sum();
  }

  private @Nullable Shared moved(Shared from, int group, int out, int into) {
    List<List<Integer>> batches = new ArrayList<>(from.batches());
    batches.set(out, batches.get(out).stream().filter(g -> g != group).toList());
    batches.set(into, Sharing.with(batches.get(into), group));
    return sharing.tried(batches);
  }
}
