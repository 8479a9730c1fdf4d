package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureModel;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Arrangement;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
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
public final class Schedule {

  private final Job job;
  private final CureModel cure;
  private final PieceTasks pieces;
  private final List<Timeline> hands = new ArrayList<>();
  private final Map<TaskId, Integer> pins = new HashMap<>();
  private final Times times = new Times();
  private final Filled filled;
  private final List<Task> tasks = new ArrayList<>();
  private final Map<Integer, BatchStates> states = new LinkedHashMap<>();
  private final Set<PieceGroup> demoulded = new HashSet<>();
  private final Set<CavityId> begun = new HashSet<>();

  private final SharedThings things = new SharedThings();

  private final int notBefore;
  private int lastStart;

  private Schedule(Job job, CureModel cure, List<Batch> batches, int notBefore) {
    this.job = job;
    this.filled = new Filled(batches);
    this.cure = cure;
    this.pieces = new PieceTasks(job);
    this.notBefore = notBefore;
    this.lastStart = notBefore;
    Presence presence = new Presence(job.session());
    for (int pair = 0; pair < job.session().habits().planning().pairsOfHands(); pair++) {
      hands.add(new Timeline(presence));
    }
    Instant start = job.session().startsAtInstant();
    for (Booking booking : job.bookings()) {
      int from = (int) Duration.between(start, booking.from()).toSeconds();
      int to = (int) Duration.between(start, booking.to()).toSeconds();
      switch (booking.what()) {
        case HANDS -> {
          // Somebody who helps elsewhere does not help here.
          hands.stream().limit(booking.count()).forEach(h -> h.elsewhere(from, to));
        }
        case TOOL -> things.take(booking.id(), from, to);
        case MOULD -> {}
      }
    }
    for (Arrangement.Pin pin : job.session().arrangement().pins()) {
      pins.put(new TaskId(pin.taskId()), pin.startSeconds());
    }
  }

  /**
   * Tasks in the order they begin, and how every batch follows.
   *
   * @param states by the number of the batch
   */
  public record Laid(List<Task> tasks, Times times, Map<Integer, BatchStates> states) {}

  /**
   * @param batches their amounts, in the order they begin; what they say of times is not looked at
   * @param notBefore nothing of the session begins any sooner, s
   */
  public static Laid of(Job job, CureModel cure, List<Batch> batches, int notBefore) {
    Schedule schedule = new Schedule(job, cure, batches, notBefore);
    schedule.pieces.before().forEach(schedule::gap);
    for (Batch batch : batches) {
      schedule.batch(job.in(batch.resinId()), batch);
    }
    schedule.afterwards(batches);
    schedule.tasks.sort(Comparator.comparingInt(Task::startSeconds));
    return new Laid(schedule.tasks, schedule.times, schedule.states);
  }

  private void batch(JobInResin inResin, Batch batch) {
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        Job.Line line = job.lines().get(pour.line());
        if (line.level(pour.layer()).coat()) {
          demould(filled.group(pour.line(), line.piece().count(), pour.cavity()));
        }
      }
    }
    Chain made = Chain.of(inResin, cure, batch, filled);
    List<Task> chain = pieces.prepared(batch, made.tasks(), begun);
    List<SharedThings.ToolUse> uses = toolUses(inResin, batch, chain);
    int start = things.firstFit(hands, ready(chain, made.work()), chain, uses);
    boolean moved = chain.stream().anyMatch(t -> pins.containsKey(t.id()));
    if (moved) {
      aroundPins(chain, start);
    } else {
      chain.forEach(t -> put(t.at(start + t.startSeconds(), false)));
    }
    lastStart = Math.max(lastStart, start);
    follow(inResin, batch);
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
        hands.get(task.pair()).take(pin, pin + task.takesSeconds());
      }
    }
    int lastPour = 0;
    TaskId first = chain.get(0).id();
    // Two pairs of hands never meet at a cup or a cavity, with a pin as without one.
    Map<String, List<int[]>> busy = new HashMap<>();
    for (Task task : chain) {
      if (pins.containsKey(task.id())) {
        use(busy, task.at(pins.get(task.id()), true));
      }
    }
    for (Task task : chain) {
      Integer pin = pins.get(task.id());
      if (pin != null) {
        put(task.at(pin, true));
      } else {
        int earliest = task.after().isEmpty() || task.id().equals(first) ? start : notBefore;
        earliest = Math.max(earliest, earliest(task));
        if (task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.CLEAN_UP) {
          earliest = Math.max(earliest, lastPour);
        }
        if (task.kind() == Task.Kind.WARM) {
          earliest = Math.max(0, start - task.takesSeconds());
        }
        Task laid = soonest(task, earliest);
        for (int free = freeAt(busy, laid); free > laid.startSeconds(); ) {
          laid = soonest(task, free);
          free = freeAt(busy, laid);
        }
        use(busy, laid);
        put(laid);
      }
      if (task.kind() == Task.Kind.POUR) {
        lastPour = Math.max(lastPour, times.end(task.id()));
      }
    }
  }

  private static void use(Map<String, List<int[]>> busy, Task task) {
    if (Chain.atCups(task.kind())) {
      for (String use : Chain.uses(task)) {
        busy.computeIfAbsent(use, u -> new ArrayList<>())
            .add(new int[] {task.startSeconds(), task.endSeconds()});
      }
    }
  }

  /** From when on nobody else is at its cup or cavity: its own start, or when they are done. */
  private static int freeAt(Map<String, List<int[]>> busy, Task task) {
    int free = task.startSeconds();
    if (Chain.atCups(task.kind())) {
      for (String use : Chain.uses(task)) {
        for (int[] taken : busy.getOrDefault(use, List.of())) {
          boolean meet = taken[0] < task.endSeconds() && task.startSeconds() < taken[1];
          free = meet ? Math.max(free, taken[1]) : free;
        }
      }
    }
    return free;
  }

  private int earliest(Task task) {
    int earliest = notBefore;
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
      hands.get(task.pair()).take(task.startSeconds(), task.endSeconds());
    }
    if (task.toolId() != null) {
      things.take(task.toolId(), task.startSeconds(), task.endSeconds());
    }
    tasks.add(task);
    times.put(task);
  }

  private void replace(Task task) {
    tasks.replaceAll(t -> t.id().equals(task.id()) ? task : t);
    times.put(task);
  }

  /** How the batch follows, with the deadlines and tasks that come of it. */
  private void follow(JobInResin inResin, Batch batch) {
    Task load = times.task(TaskId.batch(batch.number(), Task.Kind.LOAD_BOX));
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
    Task soonest = soonest(task, earliest(task));
    if (!task.optional() || inTime(soonest)) {
      put(soonest);
    }
  }

  /** By whichever pair of hands is free first. */
  private Task soonest(Task task, int earliest) {
    if (!task.hands()) {
      return task.at(earliest, false);
    }
    int best = 0;
    int begin = Integer.MAX_VALUE;
    for (int pair = 0; pair < hands.size(); pair++) {
      int free = hands.get(pair).firstFree(earliest, task.takesSeconds());
      if (free < begin) {
        begin = free;
        best = pair;
      }
    }
    return task.at(begin, false).by(best);
  }

  /** Pot, box and lamp: for how long follows from how this batch cures, whenever it begins. */
  private List<SharedThings.ToolUse> toolUses(JobInResin inResin, Batch batch, List<Task> chain) {
    Times alone = Times.of(chain);
    boolean shut =
        chain.stream()
            .anyMatch(t -> t.kind() == Task.Kind.LOAD_POT || t.kind() == Task.Kind.LOAD_BOX);
    List<Task> using = new ArrayList<>(chain);
    if (shut) {
      new FollowUps(inResin, batch, new BatchStates(Map.of()), alone).cures().forEach(alone::put);
      BatchStates follows = BatchStates.of(inResin, cure, batch, alone);
      using.addAll(new FollowUps(inResin, batch, follows, alone).cures());
    }
    return using.stream()
        .filter(t -> t.toolId() != null)
        .map(t -> new SharedThings.ToolUse(t.toolId(), t.startSeconds(), t.endSeconds()))
        .toList();
  }

  private boolean inTime(Task task) {
    for (Lag lag : task.after()) {
      Integer moment = times.moment(lag);
      Integer most = lag.atMostSeconds();
      int counts = lag.ends() ? task.endSeconds() : task.startSeconds();
      if (moment != null && most != null && counts > moment + most) {
        return false;
      }
    }
    return hands.get(0).there(task.startSeconds(), task.endSeconds());
  }

  private void demould(PieceGroup group) {
    if (demoulded.add(group)) {
      pieces.demould(group, filled, times).forEach(this::gap);
    }
  }

  private void afterwards(List<Batch> batches) {
    List<Task> looks = new ArrayList<>();
    for (Batch batch : batches) {
      JobInResin inResin = job.in(batch.resinId());
      BatchStates follows = states.get(batch.number());
      FollowUps next = new FollowUps(inResin, batch, known(follows), times);
      looks.addAll(next.nudges(times));
      looks.addAll(next.looks());
    }
    // What has to be done first, then what would be good.
    looks.sort(Comparator.comparing(Task::optional).thenComparingInt(this::earliest));
    looks.forEach(this::gap);
    for (PieceGroup group : groups()) {
      demould(group);
    }
    List<PieceGroup> taken = new ArrayList<>();
    for (PieceGroup group : groups()) {
      boolean out = times.task(group.taskId(Task.Kind.DEMOULD)) != null;
      pieces.finishing(group, filled, out).forEach(this::gap);
      if (out) {
        taken.add(group);
      }
    }
    pieces.mouldsAway(taken).ifPresent(this::gap);
  }

  private List<PieceGroup> groups() {
    List<PieceGroup> all = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      all.addAll(filled.groups(l, job.lines().get(l).piece().count()));
    }
    return all;
  }

  /** The latest end of what belongs to a batch's own work; null when it has none. */
  public static @Nullable Integer end(List<Task> tasks, int batch) {
    return tasks.stream()
        .filter(t -> t.batch() == batch && t.kind().inOneGo())
        .map(Task::endSeconds)
        .max(Comparator.naturalOrder())
        .orElse(null);
  }
}
