package calmpour.core.plan;

import calmpour.core.plan.Stages.Sitting;
import calmpour.core.plan.Trials.Trial;
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
 * Shares the pours of one sitting among batches: as few as hands and resin allow, then the least
 * waste in steps, then the most time to spare. Few pours are shared in every way there is; many are
 * laid in a row and cut, in several rows, and the best is kept.
 */
final class BatchSearch {
  /** Up to so many groups every way of sharing them is looked at. */
  private static final int EVERY_WAY = 8;

  /** More trials than that are not made for one sitting. */
  private static final int MOST_TRIALS = 600;

  private final Trials trials;
  private final Sitting sitting;
  private final double stepG;
  private final int required;

  /** By group: groups of the same kind are alike. */
  private final List<String> kinds;

  private final int began;
  private int least;

  /**
   * @param stepG in which waste is compared, g
   * @param required time to spare that every batch has to have, s
   */
  BatchSearch(Trials trials, Sitting sitting, double stepG, int required) {
    this.trials = trials;
    this.sitting = sitting;
    this.stepG = stepG;
    this.required = required;
    this.kinds =
        IntStream.range(0, sitting.groups().size()).mapToObj(g -> Trials.kind(sitting, g)).toList();
    this.began = trials.tried();
  }

  /** Groups of each batch, by their places. */
  record Shared(List<List<Integer>> batches, List<Trial> trials) {
    double wasteG() {
      return trials.stream().mapToDouble(Trial::wasteG).sum();
    }

    int spare() {
      return trials.stream().mapToInt(Trial::spareSeconds).min().orElseThrow();
    }
  }

  /**
   * @param atLeast batches that the maker wants
   * @param before how they were shared before, by batch; what is no longer there left out
   * @return null when no way was found that has the time to spare
   */
  @Nullable Shared best(int atLeast, List<List<Integer>> before) {
    int groups = sitting.groups().size();
    int fewest = Math.min(atLeast, groups);
    Shared kept = before.isEmpty() ? null : asBefore(before);
    if (kept != null && kept.batches.size() < fewest) {
      kept = null;
    }
    if (fewest <= 1) {
      List<Integer> all = IntStream.range(0, groups).boxed().toList();
      Trial one = does(all);
      if (one != null) {
        return new Shared(List.of(all), List.of(one));
      }
    }
    if (kept != null) {
      Shared fewer = fewest < kept.batches.size() ? withoutOne(kept) : null;
      return fewer == null ? kept : fewer;
    }
    int from = Math.max(Math.max(2, fewest), leastBatches());
    if (groups <= EVERY_WAY) {
      return everyWay(from, groups);
    }
    return inRows(fewest);
  }

  /** The batches themselves. */
  List<BatchDraft.Settled> drafts(Shared shared) {
    return IntStream.range(0, shared.batches.size())
        .mapToObj(b -> trials.draft(sitting, shared.trials.get(b), shared.batches.get(b), required))
        .toList();
  }

  /**
   * Batches that no way of sharing can do without: the sum of masses beside the largest batch, and
   * the time that pouring takes beside the longest that any cup here can be poured from.
   */
  int leastBatches() {
    if (least == 0) {
      double resinG =
          sitting.groups().stream()
              .flatMap(List::stream)
              .mapToDouble(p -> Milligrams.grams(p.massMg()) / (1 + tintG(p)))
              .sum();
      double byMass = resinG / new Limits(sitting.job()).largestMixG();
      double byHands = trials.pouringSeconds(sitting) / trials.longestSeconds(sitting);
      least = (int) Math.max(1, Math.ceil(Math.max(byMass, byHands) - 1e-9));
    }
    return least;
  }

  private double tintG(PourDraft pour) {
    return sitting.job().tints().get(pour.colour().id()).gPerGResin();
  }

  private @Nullable Trial does(List<Integer> groups) {
    Trial trial = trials.of(sitting, groups, required);
    return trial == null || trial.spareSeconds() < required ? null : trial;
  }

  private boolean goOn() {
    return trials.tried() - began < MOST_TRIALS && trials.goOn();
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
    private final int[] batchOf = new int[kinds.size()];
    private @Nullable Shared best;

    Every(int count) {
      this.count = count;
      for (int b = 0; b < count; b++) {
        batches.add(new ArrayList<>());
      }
    }

    void place(int next, int open) {
      if (kinds.size() - next < count - open || !goOn()) {
        return;
      }
      if (next == kinds.size()) {
        List<Trial> its = batches.stream().map(BatchSearch.this::does).toList();
        if (its.stream().allMatch(t -> t != null)) {
          Shared found = new Shared(batches.stream().map(List::copyOf).toList(), its);
          best = best == null || better(found, best) ? found : best;
        }
        return;
      }
      // Of groups alike, a later one never goes into an earlier batch: that would be the same.
      int from = 0;
      for (int g = next - 1; g >= 0 && from == 0; g--) {
        from = kinds.get(g).equals(kinds.get(next)) ? batchOf[g] : 0;
      }
      for (int b = from; b < Math.min(count, open + 1); b++) {
        batches.get(b).add(next);
        batchOf[next] = b;
        // More in a batch never makes it earlier, so what does not do now will not do later.
        if (does(batches.get(b)) != null) {
          place(next + 1, Math.max(open, b + 1));
        }
        batches.get(b).removeLast();
      }
    }
  }

  private boolean better(Shared a, Shared b) {
    if (a.batches.size() != b.batches.size()) {
      return a.batches.size() < b.batches.size();
    }
    long stepsA = Trials.steps(a.wasteG(), stepG);
    long stepsB = Trials.steps(b.wasteG(), stepG);
    if (stepsA != stepsB) {
      return stepsA < stepsB;
    }
    int calm = required + Chain.CALM_SECONDS;
    return Math.min(a.spare(), calm) > Math.min(b.spare(), calm);
  }

  // Many groups, in rows.

  private @Nullable Shared inRows(int atLeast) {
    Shared best = null;
    for (List<Integer> row : rows()) {
      if (best != null && !goOn()) {
        break;
      }
      Shared cut = cut(row, best == null ? Integer.MAX_VALUE : best.batches.size());
      if (cut != null && cut.batches.size() < atLeast) {
        cut = evenly(row, atLeast);
      }
      best = cut == null || (best != null && !better(cut, best)) ? best : cut;
    }
    if (best == null) {
      return null;
    }
    Shared filled = filled(rows().get(0), best.batches.size());
    if (filled != null && filled.batches.size() >= atLeast && better(filled, best)) {
      best = filled;
    }
    while (best.batches.size() > Math.max(atLeast, leastBatches()) && goOn()) {
      Shared fewer = withoutOne(best);
      if (fewer == null) {
        break;
      }
      best = fewer;
    }
    Shared even = evened(best);
    return better(even, best) ? even : best;
  }

  /**
   * Each group into the batch where it makes least waste, a new one only when none has room; null
   * when that takes more than {@code most}.
   */
  private @Nullable Shared filled(List<Integer> row, int most) {
    List<List<Integer>> batches = new ArrayList<>();
    for (int group : row) {
      if (!goOn()) {
        return null;
      }
      int where = joins(batches, group);
      if (where >= 0) {
        batches.set(where, with(batches.get(where), group));
      } else if (batches.size() < most) {
        batches.add(List.of(group));
      } else {
        return null;
      }
    }
    return tried(batches);
  }

  /** Orders in which neighbours have much in common. */
  private List<List<Integer>> rows() {
    List<Integer> asTheyCome = IntStream.range(0, kinds.size()).boxed().toList();
    Map<Integer, Set<String>> colours = new HashMap<>();
    Map<String, Integer> uses = new TreeMap<>();
    for (int g : asTheyCome) {
      Set<String> its =
          sitting.groups().get(g).stream()
              .map(p -> p.colour().id())
              .collect(Collectors.toCollection(HashSet::new));
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
                        .map(c -> colours.get(g).contains(c) ? "0" : "1")
                        .collect(Collectors.joining())))
            .toList());
    rows.add(asTheyCome);
    return rows.stream().distinct().toList();
  }

  /** The next is always the one that brings fewest new colours, then shares most. */
  private List<Integer> neighbours(Map<Integer, Set<String>> colours) {
    List<Integer> left = new ArrayList<>(IntStream.range(0, kinds.size()).boxed().toList());
    // What has most colours has most to share.
    left.sort(Comparator.comparingInt(g -> -colours.get(g).size()));
    List<Integer> row = new ArrayList<>();
    Set<String> open = new HashSet<>();
    while (!left.isEmpty()) {
      int best = -1;
      int least = Integer.MAX_VALUE;
      for (int i = 0; i < left.size(); i++) {
        Set<String> its = colours.get(left.get(i));
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
    int guess = row.size() / Math.max(2, leastBatches());
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
      its.add(does(batch));
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
      boolean does = does(row.subList(from, end).stream().sorted().toList()) != null;
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
    return tried(batches);
  }

  private @Nullable Shared tried(List<List<Integer>> batches) {
    List<Trial> its = new ArrayList<>();
    for (List<Integer> batch : batches) {
      Trial trial = does(batch);
      if (trial == null) {
        return null;
      }
      its.add(trial);
    }
    return new Shared(batches, its);
  }

  /**
   * Tight batches give one group after the other to batches with more time, the tightest first, as
   * long as that makes no step more of waste.
   */
  private Shared evened(Shared from) {
    Shared best = from;
    boolean gained = true;
    while (gained && goOn() && best.spare() < required + Chain.CALM_SECONDS) {
      Shared next = movedOnce(best);
      gained = next != null;
      best = next == null ? best : next;
    }
    return best;
  }

  private @Nullable Shared movedOnce(Shared now) {
    List<Integer> tightest =
        IntStream.range(0, now.trials.size())
            .boxed()
            .sorted(Comparator.comparingInt((Integer b) -> now.trials.get(b).spareSeconds()))
            .toList();
    for (int tight : tightest) {
      Set<String> looked = new HashSet<>();
      for (int group : now.batches.get(tight)) {
        if (now.batches.get(tight).size() == 1 || !looked.add(kinds.get(group))) {
          continue;
        }
        for (int to : tightest.reversed()) {
          Shared moved = to == tight || !goOn() ? null : moved(now, group, tight, to);
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
    return better(a, b) || (!better(b, a) && spareInAll(a) > spareInAll(b) + 10 * a.batches.size());
  }

  private int spareInAll(Shared of) {
    int calm = required + Chain.CALM_SECONDS;
    return of.trials.stream().mapToInt(t -> Math.min(t.spareSeconds(), calm)).sum();
  }

  private @Nullable Shared moved(Shared from, int group, int out, int into) {
    List<List<Integer>> batches = new ArrayList<>(from.batches);
    batches.set(out, batches.get(out).stream().filter(g -> g != group).toList());
    batches.set(into, with(batches.get(into), group));
    return tried(batches);
  }

  private static List<Integer> with(List<Integer> batch, int group) {
    List<Integer> more = new ArrayList<>(batch);
    more.add(group);
    more.sort(Comparator.naturalOrder());
    return more;
  }

  // As before, as far as it goes.

  /** What was together stays together; what is new joins where it does no harm. */
  private @Nullable Shared asBefore(List<List<Integer>> before) {
    List<List<Integer>> batches = new ArrayList<>(before.stream().map(List::copyOf).toList());
    batches.removeIf(List::isEmpty);
    Set<Integer> placed = batches.stream().flatMap(List::stream).collect(Collectors.toSet());
    for (int g = 0; g < kinds.size(); g++) {
      if (placed.contains(g)) {
        continue;
      }
      int where = joins(batches, g);
      if (where < 0) {
        return null;
      }
      batches.set(where, with(batches.get(where), g));
    }
    return batches.isEmpty() ? null : tried(batches);
  }

  /** The batch in which one more group makes least waste; -1 when none has room. */
  private int joins(List<List<Integer>> batches, int group) {
    int best = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int b = 0; b < batches.size(); b++) {
      Trial was = does(batches.get(b));
      Trial is = was == null ? null : does(with(batches.get(b), group));
      if (is != null && is.wasteG() - was.wasteG() < least) {
        least = is.wasteG() - was.wasteG();
        best = b;
      }
    }
    return best;
  }

  /** The same with the smallest batch shared out among the others; null when they have no room. */
  private @Nullable Shared withoutOne(Shared from) {
    int smallest =
        IntStream.range(0, from.batches.size())
            .boxed()
            .min(Comparator.comparingInt(b -> from.batches.get(b).size()))
            .orElseThrow();
    List<List<Integer>> batches = new ArrayList<>(from.batches);
    List<Integer> out = batches.remove(smallest);
    for (int group : out) {
      int where = goOn() ? joins(batches, group) : -1;
      if (where < 0) {
        return null;
      }
      batches.set(where, with(batches.get(where), group));
    }
    return tried(batches);
  }
}
