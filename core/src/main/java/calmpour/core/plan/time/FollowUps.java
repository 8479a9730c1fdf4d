package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.embed.Embed;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a batch that has been poured: deadlines, embeds, looks, nudges, pot and box.
 */
public final class FollowUps {
  /** After the first of them a look is twice as long in coming, minutes; no source. */
  private static final double FIRST_NUDGE_MINUTES = 10;

  /** "Check again for an hour": common practice, no source. */
  private static final int[] LOOKS_MINUTES = {15, 30, 60};

  /** A look need not be to the minute. */
  private static final int LOOK_WITHIN_SECONDS = 600;

  private final JobInResin job;
  private final Batch batch;
  private final BatchStates states;
  private final Times times;
  private final int number;
  private final int contact;
  private final BatchWork work;

  /**
   * @param times of the batch's own tasks
   */
  public FollowUps(JobInResin job, Batch batch, BatchStates states, Times times) {
    this.job = job;
    this.batch = batch;
    this.states = states;
    this.times = times;
    this.number = batch.number();
    this.contact = times.contact(number);
    this.work = new BatchWork(job, batch);
  }

  /** Lags of the batch's own tasks that follow from how its cups and layers behave, by task id. */
  public Map<TaskId, List<Lag>> deadlines() {
    Map<TaskId, List<Lag>> lags = new LinkedHashMap<>();
    int margin = job.session().habits().marginSeconds();
    int firstGel = Integer.MAX_VALUE;
    int lastGel = 0;
    for (Cup cup : batch.cups()) {
      BatchStates.CupStates of = known(states.cups().get(cup.id()));
      int thickens = Window.down(0, of.states().workingTimeEnds().minutes());
      firstGel = Math.min(firstGel, Window.down(0, of.states().gels().minutes()));
      lastGel = Math.max(lastGel, Window.down(0, of.states().gels().minutes()));
      for (Cup.Pour pour : cup.pours()) {
        lags.computeIfAbsent(TaskId.pour(pour.id()), k -> new ArrayList<>())
            .add(fromContact(thickens - margin, Lag.Why.WORKING_TIME));
      }
    }
    if (firstGel < Integer.MAX_VALUE) {
      lags.computeIfAbsent(TaskId.batch(number, Task.Kind.CLEAN_UP), k -> new ArrayList<>())
          .add(fromContact(firstGel, Lag.Why.BEFORE_GEL));
    }
    lags.computeIfAbsent(TaskId.batch(number, Task.Kind.LEFTOVERS), k -> new ArrayList<>())
        .add(fromContact(lastGel, Lag.Why.BEFORE_GEL));
    pot(lags);
    lids(lags);
    for (LineLayer at : layers()) {
      embeds(lags, at.line(), at.layer());
      wet(lags, at);
    }
    return lags;
  }

  private Lag fromContact(int atMost, Lag.Why why) {
    return new Lag(Lag.Clock.CONTACT, "" + number, 0, atMost, true, why);
  }

  /** Into the pot before anything in it gels. */
  private void pot(Map<TaskId, List<Lag>> lags) {
    for (int line : work.finished(PieceWork.Curing.PRESSURE_POT)) {
      BatchStates.LayerSpan top = top(line);
      if (top != null) {
        lags.computeIfAbsent(TaskId.batch(number, Task.Kind.LOAD_POT), k -> new ArrayList<>())
            .add(fromContact(Window.down(0, top.first().gels().minutes()), Lag.Why.BEFORE_GEL));
      }
    }
  }

  /** Drawn while it flows. */
  private void wet(Map<TaskId, List<Lag>> lags, LineLayer at) {
    if (work.faces().wetMinutes(at.line(), at.layer()) > 0) {
      BatchStates.LayerSpan lies = known(states.layer(at.line(), at.layer()));
      lags.computeIfAbsent(work.faces().wetId(at), k -> new ArrayList<>())
          .add(fromContact(Window.down(0, lies.first().workingTimeEnds().minutes()), Lag.Why.WET));
    }
  }

  /** A lid is pressed onto what still gives way. */
  private void lids(Map<TaskId, List<Lag>> lags) {
    Set<Integer> lines = new HashSet<>();
    batch.cups().stream()
        .flatMap(c -> c.pours().stream())
        .filter(work.faces()::lidded)
        .forEach(p -> lines.add(p.line()));
    for (int line : lines) {
      BatchStates.LayerSpan top = top(line);
      if (top != null) {
        lags.computeIfAbsent(TaskId.batch(number, Task.Kind.LID), k -> new ArrayList<>())
            .add(fromContact(Window.down(0, top.first().gels().minutes()), Lag.Why.BEFORE_GEL));
      }
    }
  }

  private BatchStates.@Nullable LayerSpan top(int line) {
    return states.layer(line, job.lines().get(line).levels().size() - 1);
  }

  /** Until when the embeds of the batch's own tasks are still wetted. */
  private void embeds(Map<TaskId, List<Lag>> lags, int line, int layer) {
    for (PlacedEmbed.Moment moment :
        List.of(PlacedEmbed.Moment.HALF_FILL, PlacedEmbed.Moment.AFTER_POUR)) {
      if (EmbedWork.has(level(line, layer), moment)) {
        Window window = window(line, layer, moment);
        lags.computeIfAbsent(work.embeds().embedId(line, layer, moment), k -> new ArrayList<>())
            .add(
                new Lag(
                    Lag.Clock.CONTACT,
                    "" + number,
                    0,
                    known(window.until()) - contact,
                    true,
                    Lag.Why.EMBED));
      }
    }
  }

  private Job.Level level(int line, int layer) {
    return job.lines().get(line).level(layer);
  }

  private Window window(int line, int layer, PlacedEmbed.Moment moment) {
    BatchStates.LayerSpan lies = known(states.layer(line, layer));
    return Window.embed(job, moment, lies, contact, lies.poured());
  }

  /** Line and layer of everything that this batch pours, in the order of the session. */
  private List<LineLayer> layers() {
    return batch.cups().stream()
        .flatMap(c -> c.pours().stream())
        .map(LineLayer::of)
        .distinct()
        .sorted(Comparator.comparingInt(LineLayer::line).thenComparingInt(LineLayer::layer))
        .toList();
  }

  private int cavities(int line, int layer) {
    return (int)
        batch.cups().stream()
            .flatMap(c -> c.pours().stream())
            .filter(p -> p.line() == line && p.layer() == layer)
            .mapToInt(Cup.Pour::cavity)
            .distinct()
            .count();
  }

  /** Embeds that wait until their layer has thickened. */
  public List<Task> lateEmbeds() {
    List<Task> tasks = new ArrayList<>();
    PlacedEmbed.Moment moment = PlacedEmbed.Moment.WHEN_THICK;
    for (LineLayer at : layers()) {
      Job.Level level = level(at.line(), at.layer());
      if (EmbedWork.has(level, moment)) {
        Window window = window(at.line(), at.layer(), moment);
        int each =
            level.embeds().stream()
                .filter(e -> e.placed().moment() == moment)
                .mapToInt(e -> e.placed().count())
                .sum();
        int pieces = cavities(at.line(), at.layer());
        tasks.add(
            TaskDraft.of(
                    work.embeds().embedId(at.line(), at.layer(), moment),
                    Task.Kind.EMBED,
                    number,
                    job.session().hands().embedSeconds() * each * pieces)
                .line(at.line())
                .pieces(pieces)
                .lag(
                    new Lag(
                        Lag.Clock.CONTACT,
                        "" + number,
                        window.from() - contact,
                        known(window.until()) - contact,
                        false,
                        Lag.Why.EMBED))
                .task());
      }
    }
    return tasks;
  }

  /**
   * Looks until gel at what may still move.
   *
   * @param placed the tasks so far, the embeds with them
   */
  public List<Task> nudges(Times placed) {
    List<Task> tasks = new ArrayList<>();
    for (LineLayer at : layers()) {
      Job.Level level = level(at.line(), at.layer());
      double density = job.tint(level, level.colour()).mixDensity();
      int each = 0;
      int from = 0;
      for (Job.EmbedIn inside : level.embeds()) {
        boolean rests = inside.embed().in(density) == Embed.Tendency.HOVERS;
        Task put =
            placed.task(work.embeds().embedId(at.line(), at.layer(), inside.placed().moment()));
        if (put != null && !rests && !inside.placed().anchored()) {
          each += inside.placed().count();
          from = Math.max(from, put.endSeconds());
        }
      }
      if (each == 0) {
        continue;
      }
      BatchStates.LayerSpan lies = known(states.layer(at.line(), at.layer()));
      int gels = Window.down(contact, lies.first().gels().minutes());
      int pieces = cavities(at.line(), at.layer());
      int turn = 1;
      for (double minutes = FIRST_NUDGE_MINUTES; ; minutes *= 2) {
        int due = Window.up(from, minutes);
        if (due >= gels) {
          break;
        }
        tasks.add(
            TaskDraft.of(
                    TaskId.batch(number, Task.Kind.NUDGE).of(at).of(turn),
                    Task.Kind.NUDGE,
                    number,
                    job.session().hands().nudgeSeconds() * each * pieces)
                .line(at.line())
                .pieces(pieces)
                .lag(
                    new Lag(
                        Lag.Clock.CONTACT,
                        "" + number,
                        due - contact,
                        Math.min(gels, due + Math.max(LOOK_WITHIN_SECONDS, (due - from) / 2))
                            - contact,
                        false,
                        Lag.Why.NUDGE))
                .task());
        turn++;
      }
    }
    return tasks;
  }

  /** Looks for bubbles in the first hour: a duty, a wish or nothing, as the designs have it. */
  public List<Task> looks() {
    List<Task> tasks = new ArrayList<>();
    int pieces = 0;
    boolean duty = false;
    int end = 0;
    Set<CavityId> seen = new HashSet<>();
    for (Cup cup : batch.cups()) {
      for (Cup.Pour pour : cup.pours()) {
        PieceWork.BubbleCare care = job.lines().get(pour.line()).piece().workOrNone().bubbles();
        boolean shut =
            job.lines().get(pour.line()).piece().workOrNone().curing()
                    == PieceWork.Curing.PRESSURE_POT
                || work.faces().lidded(pour);
        // Pigmented pieces go on releasing bubbles; into a shut pot nobody sees.
        boolean worth =
            !shut
                && (care == PieceWork.BubbleCare.MUCH
                    || (care == PieceWork.BubbleCare.USUAL && !cup.tint().doses().isEmpty()));
        if (worth) {
          duty |= care == PieceWork.BubbleCare.MUCH;
          pieces += seen.add(CavityId.of(pour)) ? 1 : 0;
          end = Math.max(end, times.end(TaskId.pour(pour.id())));
        }
      }
    }
    for (int i = 0; pieces > 0 && i < LOOKS_MINUTES.length; i++) {
      int due = Window.up(end, LOOKS_MINUTES[i]);
      TaskDraft draft =
          TaskDraft.of(
                  TaskId.batch(number, Task.Kind.LOOK).of(i + 1),
                  Task.Kind.LOOK,
                  number,
                  job.session().hands().bubbleSecondsCavity() * pieces)
              .pieces(pieces)
              .lag(
                  new Lag(
                      Lag.Clock.CONTACT,
                      "" + number,
                      due - contact,
                      due + LOOK_WITHIN_SECONDS - contact,
                      false,
                      Lag.Why.LOOK));
      tasks.add((duty ? draft : draft.ifThereIsTime()).task());
    }
    return tasks;
  }

  /** Shut in a pot or a warm box from its loading until what is in it has cured. */
  public List<Task> cures() {
    List<Task> tasks = new ArrayList<>();
    cures(
        tasks,
        PieceWork.Curing.PRESSURE_POT,
        Task.Kind.LOAD_POT,
        Task.Kind.IN_POT,
        Tool.Kind.PRESSURE_POT);
    cures(tasks, PieceWork.Curing.HOT_BOX, Task.Kind.LOAD_BOX, Task.Kind.IN_BOX, Tool.Kind.HOT_BOX);
    return tasks;
  }

  private void cures(
      List<Task> tasks, PieceWork.Curing where, Task.Kind load, Task.Kind in, Tool.Kind tool) {
    Task loaded = times.task(TaskId.batch(number, load));
    if (loaded == null) {
      return;
    }
    int until = loaded.endSeconds();
    for (int line : work.finished(where)) {
      BatchStates.LayerSpan top = top(line);
      if (top != null && top.last().demould() != null) {
        until = Math.max(until, Window.up(contact, top.last().demould().minutes()));
      }
    }
    Task shut =
        TaskDraft.of(TaskId.batch(number, in), in, number, (double) until - loaded.endSeconds())
            .byItself()
            .tool(work.toolId(tool))
            .pieces(loaded.places())
            .after(loaded.id())
            .task();
    tasks.add(shut.at(loaded.endSeconds(), false));
  }
}
