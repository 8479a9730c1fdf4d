package calmpour.core.plan;

import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Job;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * Lays the tasks of a session along the clock for one pair of hands: each batch in one go, as soon
 * as its layers below, its moulds and the maker are ready; everything else where there is a gap.
 * Tasks that were pinned begin when the maker said, whatever that breaks; the audit tells.
 */
final class Schedule {
  /** What is done with a batch in one go, until its moulds are covered. */
  private static final Set<Task.Kind> ONE_GO = EnumSet.range(Task.Kind.WARM, Task.Kind.COVER);

  private final Job job;
  private final CureModel cure;
  private final PieceTasks pieces;
  private final Timeline hands;
  private final Map<String, Integer> pins = new HashMap<>();
  private final Times times = new Times();
  private final Filled filled = new Filled();
  private final List<Task> tasks = new ArrayList<>();
  private final Map<Integer, BatchStates> states = new LinkedHashMap<>();
  private final Set<Integer> demoulded = new HashSet<>();
  private final Set<String> begun = new HashSet<>();
  private int lastStart;

  private Schedule(Job job, CureModel cure) {
    this.job = job;
    this.cure = cure;
    this.pieces = new PieceTasks(job);
    this.hands = new Timeline(new Presence(job.session()));
    Instant start = job.session().startsAtInstant();
    for (Booking booking : job.bookings()) {
      if (booking.what() == Booking.Thing.HANDS) {
        hands.elsewhere(
            (int) Duration.between(start, booking.from()).toSeconds(),
            (int) Duration.between(start, booking.to()).toSeconds());
      }
    }
    for (Arrangement.Pin pin : job.session().arrangement().pins()) {
      pins.put(pin.taskId(), pin.startSeconds());
    }
  }

  /**
   * Tasks in the order they begin, and how every batch follows.
   *
   * @param states by the number of the batch
   */
  record Laid(List<Task> tasks, Times times, Map<Integer, BatchStates> states) {}

  /**
   * @param batches their amounts; what they say of times is not looked at
   */
  static Laid of(Job job, CureModel cure, List<Batch> batches) {
    Schedule schedule = new Schedule(job, cure);
    schedule.pieces.before().forEach(schedule::gap);
    for (Batch batch : batches) {
      schedule.batch(job.in(batch.resinId()), batch);
    }
    schedule.afterwards(batches);
    schedule.tasks.sort(Comparator.comparingInt(Task::startSeconds));
    return new Laid(schedule.tasks, schedule.times, schedule.states);
  }

  /**
   * The least time between the end of a pour and its cup's last good moment, s. Whether a pour is
   * in time does not depend on when its batch begins, so nothing but the cups is worked out.
   *
   * @param batches their amounts, at least one pour among them
   */
  static int spare(Job job, CureModel cure, List<Batch> batches) {
    Schedule schedule = new Schedule(job, cure);
    return batches.stream()
        .mapToInt(b -> schedule.spare(job.in(b.resinId()), b))
        .min()
        .orElseThrow();
  }

  private int spare(Job inResin, Batch batch) {
    BatchWork work = new BatchWork(inResin, batch);
    Times laid = Times.of(laidOut(work.tasks(work.order(asFull(inResin, batch, work)), filled)));
    Bodies bodies = new Bodies(inResin, batch, laid);
    int fromContact = laid.contact(batch.number()) - Assembly.marginSeconds(job.session().habits());
    return batch.cups().parallelStream()
        .mapToInt(cup -> {
          double ends =
              cure.states(inResin.resin(), bodies.emptied(cup)).workingTimeEnds().minutes();
          int last =
              cup.pours().stream()
                  .mapToInt(p -> laid.end(Times.pour(p.id())))
                  .max()
                  .orElse(Integer.MIN_VALUE / 2);
          return Window.down(fromContact, ends) - last;
        })
        .min()
        .orElseThrow();
  }

  private void batch(Job inResin, Batch batch) {
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        if (job.lines().get(pour.line()).level(pour.layer()).coat()) {
          demould(pour.line());
        }
      }
    }
    BatchWork work = new BatchWork(inResin, batch);
    Map<String, CureStates> full = asFull(inResin, batch, work);
    List<Task> chain = inTime(work.tasks(work.order(full), filled), batch, full);
    chain = pieces.prepared(batch, chain, begun);
    int start = hands.firstFit(ready(chain, work), chain);
    boolean moved = chain.stream().anyMatch(t -> pins.containsKey(t.id()));
    if (moved) {
      aroundPins(chain, start);
    } else {
      chain.forEach(t -> put(t.at(start + t.startSeconds(), false)));
    }
    lastStart = Math.max(lastStart, start);
    follow(inResin, batch);
  }

  /** A batch's tasks from second 0 on, without those that are only done while it still flows. */
  private static List<Task> inTime(List<Task> chain, Batch batch, Map<String, CureStates> full) {
    List<Task> laid = laidOut(chain);
    int contact = Times.of(laid).contact(batch.number());
    int thick =
        full.values().stream()
            .mapToInt(s -> Window.down(contact, s.workingTimeEnds().minutes()))
            .max()
            .orElse(0);
    int gels =
        full.values().stream()
            .mapToInt(s -> Window.down(contact, s.gels().minutes()))
            .min()
            .orElse(0);
    boolean late =
        laid.stream().anyMatch(t -> t.kind() == Task.Kind.LEFTOVERS && t.endSeconds() > thick)
            || laid.stream().anyMatch(t -> t.kind() == Task.Kind.CLEAN_UP && t.endSeconds() > gels);
    return late
        ? laidOut(chain.stream().filter(t -> t.kind() != Task.Kind.LEFTOVERS).toList())
        : laid;
  }

  /** How each cup thickens if nothing is poured from it: what its place in the order follows. */
  private Map<String, CureStates> asFull(Job inResin, Batch batch, BatchWork work) {
    Times before = Times.of(laidOut(work.tasks(List.of(), filled)));
    Bodies bodies = new Bodies(inResin, batch, before);
    Map<String, CureStates> full = new LinkedHashMap<>();
    batch.cups().parallelStream()
        .map(c -> Map.entry(c.id(), cure.states(inResin.resin(), bodies.forgotten(c))))
        .toList()
        .forEach(e -> full.put(e.getKey(), e.getValue()));
    return full;
  }

  /** One after the other, from second 0 on; the bottles are warmed before. */
  private static List<Task> laidOut(List<Task> chain) {
    List<Task> laid = new ArrayList<>();
    Times inside = new Times();
    int now = 0;
    for (Task task : chain) {
      int start = task.kind() == Task.Kind.WARM ? -task.takesSeconds() : now;
      for (Lag lag : task.after()) {
        Integer moment = inside.moment(lag);
        if (moment != null) {
          start = Math.max(start, moment + lag.atLeastSeconds());
        }
      }
      Task at = task.at(start, false);
      laid.add(at);
      inside.put(at);
      now = Math.max(now, at.endSeconds());
    }
    return laid;
  }

  /** The first second at which a chain could begin for all that it waits for. */
  private int ready(List<Task> chain, BatchWork work) {
    int ready = lastStart;
    for (Task task : chain) {
      if (task.kind() == Task.Kind.WARM) {
        ready = Math.max(ready, task.takesSeconds());
      }
      for (Lag lag : task.after()) {
        Integer moment = times.moment(lag);
        if (moment != null) {
          ready = Math.max(ready, moment + lag.atLeastSeconds() - task.startSeconds());
        }
      }
      Integer best = work.best().get(task.id());
      if (best != null) {
        ready = Math.max(ready, best - task.startSeconds());
      }
    }
    return ready;
  }

  /**
   * What was pinned begins when it was said to; the rest of the batch goes round it.
   *
   * @param start where the batch would begin without pins
   */
  private void aroundPins(List<Task> chain, int start) {
    for (Task task : chain) {
      Integer pin = pins.get(task.id());
      if (pin != null && task.hands()) {
        hands.take(pin, pin + task.takesSeconds());
      }
    }
    int lastPour = 0;
    String first = chain.get(0).id();
    for (Task task : chain) {
      Integer pin = pins.get(task.id());
      if (pin != null) {
        put(task.at(pin, true));
      } else {
        int earliest = task.after().isEmpty() || task.id().equals(first) ? start : 0;
        earliest = Math.max(earliest, earliest(task));
        if (task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.CLEAN_UP) {
          earliest = Math.max(earliest, lastPour);
        }
        if (task.kind() == Task.Kind.WARM) {
          earliest = Math.max(0, start - task.takesSeconds());
        }
        int begin = task.hands() ? hands.firstFree(earliest, task.takesSeconds()) : earliest;
        put(task.at(begin, false));
      }
      if (task.kind() == Task.Kind.POUR) {
        lastPour = Math.max(lastPour, times.end(task.id()));
      }
    }
  }

  private int earliest(Task task) {
    int earliest = 0;
    for (Lag lag : task.after()) {
      Integer moment = times.moment(lag);
      if (moment != null) {
        earliest = Math.max(earliest, moment + lag.atLeastSeconds());
      }
    }
    return earliest;
  }

  private void put(Task task) {
    if (task.hands()) {
      hands.take(task.startSeconds(), task.endSeconds());
    }
    tasks.add(task);
    times.put(task);
  }

  private void replace(Task task) {
    tasks.replaceAll(t -> t.id().equals(task.id()) ? task : t);
    times.put(task);
  }

  /** How the batch follows, with the deadlines and tasks that come of it. */
  private void follow(Job inResin, Batch batch) {
    Task load = times.task(Times.batch(batch.number(), Task.Kind.LOAD_BOX));
    if (load != null) {
      // In the box from here on; for how long follows from how it cures there.
      new FollowUps(inResin, batch, new BatchStates(Map.of()), times).cures().forEach(times::put);
    }
    BatchStates follows = BatchStates.of(inResin, cure, batch, times);
    states.put(batch.number(), follows);
    filled.put(batch, follows, times);
    FollowUps next = new FollowUps(inResin, batch, follows, times);
    next.deadlines()
        .forEach((id, lags) -> {
          Task task = times.task(id);
          if (task != null) {
            replace(task.and(lags));
          }
        });
    for (Task shut : next.cures()) {
      put(shut);
    }
    next.lateEmbeds().forEach(e -> gap(pieces.prepared(e)));
  }

  /** Where hands are free once everything it waits for is there. */
  private void gap(Task task) {
    Integer pin = pins.get(task.id());
    if (pin != null) {
      put(task.at(pin, true));
      return;
    }
    int earliest = earliest(task);
    int begin = task.hands() ? hands.firstFree(earliest, task.takesSeconds()) : earliest;
    if (!task.optional() || inTime(task, begin)) {
      put(task.at(begin, false));
    }
  }

  private boolean inTime(Task task, int begin) {
    for (Lag lag : task.after()) {
      Integer moment = times.moment(lag);
      Integer most = lag.atMostSeconds();
      int counts = lag.ends() ? begin + task.takesSeconds() : begin;
      if (moment != null && most != null && counts > moment + most) {
        return false;
      }
    }
    return hands.there(begin, begin + task.takesSeconds());
  }

  private void demould(int line) {
    if (demoulded.add(line)) {
      pieces.demould(line, filled, times).forEach(this::gap);
    }
  }

  private void afterwards(List<Batch> batches) {
    List<Task> looks = new ArrayList<>();
    for (Batch batch : batches) {
      Job inResin = job.in(batch.resinId());
      BatchStates follows = states.get(batch.number());
      FollowUps next = new FollowUps(inResin, batch, follows, times);
      looks.addAll(next.nudges(times));
      looks.addAll(next.looks());
    }
    // What has to be done first, then what would be good.
    looks.sort(Comparator.comparing(Task::optional).thenComparingInt(this::earliest));
    looks.forEach(this::gap);
    for (int l = 0; l < job.lines().size(); l++) {
      demould(l);
    }
    for (int l = 0; l < job.lines().size(); l++) {
      boolean out = times.task(Times.line(l, Task.Kind.DEMOULD)) != null;
      pieces.finishing(l, filled, out).forEach(this::gap);
    }
  }

  /** The latest end of what belongs to a batch's own work; null when it has none. */
  static @Nullable Integer end(List<Task> tasks, int batch) {
    return tasks.stream()
        .filter(t -> t.batch() == batch && ONE_GO.contains(t.kind()))
        .map(Task::endSeconds)
        .max(Comparator.naturalOrder())
        .orElse(null);
  }
}
