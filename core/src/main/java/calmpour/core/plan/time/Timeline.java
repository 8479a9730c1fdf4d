package calmpour.core.plan.time;

import calmpour.core.plan.doc.Task;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What one pair of hands has taken on; seconds from the first step. */
public final class Timeline {
  private final Presence presence;

  /** Start to end of every stretch that is taken; none overlap. */
  private final TreeMap<Integer, Integer> taken = new TreeMap<>();

  /** Start and end of what the hands do in other sessions. */
  private final List<int[]> elsewhere = new ArrayList<>();

  Timeline(Presence presence) {
    this.presence = presence;
  }

  /** What another session needs the hands for; what can wait keeps out of its way. */
  void elsewhere(int start, int end) {
    elsewhere.add(new int[] {start, end});
  }

  boolean there(int start, int end) {
    return presence.there(start, end);
  }

  void take(int start, int end) {
    if (end <= start) {
      return;
    }
    // Two pins may lie over each other: what is taken is the stretch they cover together.
    int from = start;
    int to = end;
    Map.Entry<Integer, Integer> before = taken.lowerEntry(to);
    while (before != null && before.getValue() > from) {
      from = Math.min(from, before.getKey());
      to = Math.max(to, before.getValue());
      taken.remove(before.getKey());
      before = taken.lowerEntry(to);
    }
    taken.put(from, to);
  }

  /** The first moment from which hands are free and the maker is there; as asked if never. */
  int firstFree(int from, int takes) {
    int at = from;
    for (int tries = 0; tries < 10_000; tries++) {
      Integer there = presence.next(at, takes);
      if (there == null) {
        return from;
      }
      Integer busy = busyUntil(there, there + takes);
      for (int[] other : elsewhere) {
        if (takes > 0 && other[0] < there + takes && there < other[1]) {
          busy = busy == null ? other[1] : Math.max(busy, other[1]);
        }
      }
      if (busy == null) {
        return there;
      }
      at = busy;
    }
    return from;
  }

  /** Until when something else is in the way between two moments; null when nothing is. */
  private @Nullable Integer busyUntil(int start, int end) {
    if (end <= start) {
      return null;
    }
    Map.Entry<Integer, Integer> before = taken.lowerEntry(end);
    return before != null && before.getValue() > start ? before.getValue() : null;
  }

  /**
   * The first start, not before {@code from}, from which a chain of tasks meets free hands
   * throughout.
   *
   * @param pairs of hands, as the tasks name them
   * @param chain with times from its own start
   */
  static int firstFit(List<Timeline> pairs, int from, List<Task> chain) {
    int start = from;
    for (int tries = 0; tries < 10_000; tries++) {
      int moved = start;
      for (Task task : chain) {
        if (task.hands()) {
          Timeline hands = pairs.get(task.pair());
          int begin = start + task.startSeconds();
          int end = start + task.endSeconds();
          Integer there = hands.presence.next(begin, end - begin);
          if (there == null) {
            return from;
          }
          Integer busy = hands.busyUntil(begin, end);
          moved = Math.max(moved, start + there - begin);
          moved = Math.max(moved, busy == null ? start : start + busy - begin);
        }
      }
      if (moved == start) {
        return start;
      }
      start = moved;
    }
    return from;
  }
}
