package calmpour.core.run;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.Underway;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.Chain;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lays what is left of a plan along the clock from now on: what was done stays where it was done,
 * the rest follows as soon as hands and waits allow, in the order it stands in. Work that was
 * planned for another time of day stays there unless what it waits for comes later.
 */
final class StillToDo {
  /** Hands that have nothing to do for so long have left the bench, s. */
  static final int LEAVES_SECONDS = 1_800;

  /** Nobody takes that much longer than planned for one step; the rest was something else, s. */
  private static final int AT_MOST_LONGER = 600;

  /** What follows the resin's clock, not the maker's day. */
  private static final Set<Task.Kind> BY_CLOCK =
      EnumSet.of(Task.Kind.LOOK, Task.Kind.NUDGE, Task.Kind.EMBED);

  /** With these a batch begins. */
  static final Set<Task.Kind> OPENS_A_BATCH = EnumSet.of(Task.Kind.WARM, Task.Kind.WEIGH_FIRST);

  private final History history;
  private final int now;
  private final @Nullable Underway rules;
  private final Map<TaskId, Task> laid = new LinkedHashMap<>();
  private final int[] free = {0, 0};

  /** Until when somebody is at a cup or a cavity, s. */
  private final Map<String, Integer> taken = new HashMap<>();

  /** Waits that were cut short: when what follows them was done, s. */
  private final Map<TaskId, Integer> over = new HashMap<>();

  /** As planned, by batch. */
  private final Map<Integer, List<Task>> pours = new HashMap<>();

  private StillToDo(History history, int now, @Nullable Underway rules) {
    this.history = history;
    this.now = now;
    this.rules = rules;
  }

  /**
   * @param inOrder the plan's tasks in the order in which they are to be done
   * @param leftOut of them what will not be done
   * @param notBefore earliest starts of work for another time of day, s, by task
   * @param rules what waits for what; null for as the tasks themselves say
   * @return all but what is left out, by start
   */
  static List<Task> lay(
      List<Task> inOrder,
      Set<TaskId> leftOut,
      Map<TaskId, Integer> notBefore,
      History history,
      int now,
      @Nullable Underway rules) {
    StillToDo rest = new StillToDo(history, now, rules);
    rest.done(inOrder);
    Map<TaskId, Task> open = new LinkedHashMap<>();
    for (Task task : inOrder) {
      if (task.kind() == Task.Kind.POUR && !leftOut.contains(task.id())) {
        rest.pours.computeIfAbsent(task.batch(), b -> new ArrayList<>()).add(task);
      }
      if (!rest.laid.containsKey(task.id()) && !leftOut.contains(task.id())) {
        open.put(task.id(), task);
      }
    }
    rest.rest(open, notBefore);
    rest.afterWaits();
    List<Task> tasks = new ArrayList<>(rest.laid.values());
    tasks.sort(Comparator.comparingInt(Task::startSeconds).thenComparingInt(Task::endSeconds));
    return tasks;
  }

  /** Earliest starts of what the plan does after its maker has left the bench, by task. */
  static Map<TaskId, Integer> blocks(List<Task> plan) {
    Map<TaskId, Integer> notBefore = new HashMap<>();
    Map<Integer, Integer> busyUntil = new HashMap<>();
    Map<Integer, Integer> block = new HashMap<>();
    for (Task task : plan) {
      if (task.pinned()) {
        notBefore.put(task.id(), task.startSeconds());
      }
      if (!task.hands()) {
        continue;
      }
      Integer until = busyUntil.get(task.pair());
      if (until != null && task.startSeconds() - until >= LEAVES_SECONDS) {
        block.put(task.pair(), task.startSeconds());
      }
      busyUntil.merge(task.pair(), task.endSeconds(), Math::max);
      Integer its = block.get(task.pair());
      if (its != null && !BY_CLOCK.contains(task.kind())) {
        notBefore.merge(task.id(), its, Math::max);
      }
    }
    return notBefore;
  }

  private void done(List<Task> inOrder) {
    List<Task> done = new ArrayList<>();
    for (Task task : inOrder) {
      if (history.done.containsKey(task.id())) {
        done.add(task);
      }
    }
    done.sort(Comparator.comparingInt(t -> known(history.done.get(t.id())).atSeconds()));
    for (Task task : done) {
      int end = known(history.done.get(task.id())).atSeconds();
      int longest = Math.max(task.takesSeconds() * 3, task.takesSeconds() + AT_MOST_LONGER);
      int start = Math.max(0, end - longest);
      if (task.hands()) {
        start = Math.max(start, Math.min(end, free[task.pair()]));
        free[task.pair()] = Math.max(free[task.pair()], end);
      }
      laid.put(task.id(), task.lasting(start, end));
      for (Lag lag : lags(task)) {
        if (lag.clock() == Lag.Clock.DONE && !lag.ends()) {
          over.merge(lag.task(), end, Math::min);
        }
      }
    }
  }

  private void rest(Map<TaskId, Task> open, Map<TaskId, Integer> notBefore) {
    while (!open.isEmpty()) {
      Task next = null;
      int soonest = Integer.MAX_VALUE;
      boolean chain = false;
      for (Task task : open.values()) {
        // A batch is not opened while another is under way that was to come before it.
        boolean waits = chain && OPENS_A_BATCH.contains(task.kind());
        chain |= task.hands() && task.kind().inOneGo();
        if (waits || !ready(task, open)) {
          continue;
        }
        int start = start(task, notBefore);
        if (start < soonest) {
          soonest = start;
          next = task;
        }
      }
      if (next == null) {
        // Only what was left out can stand in the way now.
        next = open.values().iterator().next();
        soonest = start(next, notBefore);
      }
      open.remove(next.id());
      int ends = soonest + next.takesSeconds();
      // What follows it is done: nobody waits for it any more.
      laid.put(
          next.id(),
          next.lasting(
              soonest, next.hands() ? ends : Math.min(ends, over.getOrDefault(next.id(), ends))));
      if (next.hands()) {
        free[next.pair()] = Math.max(free[next.pair()], soonest + next.takesSeconds());
        int end = soonest + next.takesSeconds();
        uses(next).forEach(use -> taken.merge(use, end, Math::max));
      }
    }
  }

  private static List<String> uses(Task task) {
    return Chain.atCups(task.kind()) ? Chain.uses(task) : List.of();
  }

  /** What was done after a wait was begun when that was over. */
  private void afterWaits() {
    for (TaskId id : List.copyOf(laid.keySet())) {
      if (!known(laid.get(id)).hands() || !history.done.containsKey(id)) {
        continue;
      }
      for (Lag lag : lags(known(laid.get(id)))) {
        Task task = known(laid.get(id));
        TaskId of = waitsFor(lag);
        Task before = of == null ? null : laid.get(of);
        int ready = before == null ? 0 : before.endSeconds() + lag.atLeastSeconds();
        if (ready > task.startSeconds() && ready <= task.endSeconds()) {
          laid.put(id, task.lasting(ready, task.endSeconds()));
        }
      }
    }
  }

  private List<Lag> lags(Task task) {
    List<Lag> now = rules == null ? null : rules.lags(task.id());
    return now == null ? task.after() : now;
  }

  private boolean ready(Task task, Map<TaskId, Task> open) {
    for (Lag lag : lags(task)) {
      TaskId of = waitsFor(lag);
      if (of == null || of.equals(task.id())) {
        continue;
      }
      Task before = laid.get(of);
      boolean told = before == null || before.hands() || ready(before, open);
      if (open.containsKey(of) || !told) {
        return false;
      }
    }
    return true;
  }

  private static @Nullable TaskId waitsFor(Lag lag) {
    return lag.ends() || lag.clock() == Lag.Clock.BEGINS ? null : lag.task();
  }

  /** A batch is not opened so early that its mix would wait for what it is to be poured onto. */
  private int opens(Task task) {
    if (rules == null || !OPENS_A_BATCH.contains(task.kind())) {
      return 0;
    }
    int opens = 0;
    for (Task pour : pours.getOrDefault(task.batch(), List.of())) {
      int ready = 0;
      for (Lag lag : lags(pour)) {
        Task before = lag.why() == Lag.Why.JOIN ? laid.get(lag.task()) : null;
        int over = before == null ? 0 : before.endSeconds() + lag.atLeastSeconds();
        ready = Math.max(ready, over);
      }
      opens = Math.max(opens, ready - (pour.startSeconds() - task.startSeconds()));
    }
    return opens;
  }

  /** By what it waits for. A wait that was told to be over says nothing of what it follows. */
  private int earliest(Task task) {
    int earliest = 0;
    for (Lag lag : lags(task)) {
      TaskId of = waitsFor(lag);
      Task before = of == null || of.equals(task.id()) ? null : laid.get(of);
      if (before != null) {
        earliest = Math.max(earliest, before.endSeconds() + lag.atLeastSeconds());
        earliest = Math.max(earliest, before.hands() ? 0 : earliest(before));
      }
    }
    return earliest;
  }

  private int start(Task task, Map<TaskId, Integer> notBefore) {
    int earliest = earliest(task);
    if (!task.hands()) {
      return earliest;
    }
    int start = Math.max(earliest, Math.max(free[task.pair()], now));
    start = Math.max(start, notBefore.getOrDefault(task.id(), 0));
    start = Math.max(start, opens(task));
    // Another pair of hands may be at its cup.
    for (String use : uses(task)) {
      start = Math.max(start, taken.getOrDefault(use, 0));
    }
    if (start - now < LEAVES_SECONDS || rules == null) {
      return start;
    }
    int there = rules.there(start, task.takesSeconds());
    // Whoever pours at another hour than they said is there for what would be over by then.
    return BY_CLOCK.contains(task.kind()) && there > latest(task) ? start : there;
  }

  /** When it has to begin at the latest, by what it waits for, s. */
  private int latest(Task task) {
    int latest = Integer.MAX_VALUE;
    for (Lag lag : lags(task)) {
      TaskId of = waitsFor(lag);
      Task before = of == null || of.equals(task.id()) ? null : laid.get(of);
      Integer within = lag.atMostSeconds();
      if (before != null && within != null) {
        latest = Math.min(latest, before.endSeconds() + within);
      }
    }
    return latest;
  }
}
