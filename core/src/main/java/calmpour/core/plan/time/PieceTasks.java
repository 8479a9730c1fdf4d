package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureStates;
import calmpour.core.design.FinishStep;
import calmpour.core.design.PieceWork;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Hands;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** What is done for moulds, embeds and pieces before anything is mixed and after it has cured. */
public final class PieceTasks {
  private static final int HOUR = 3_600;
  private static final int DAY = 24 * HOUR;

  private final Job job;
  private final Hands hands;
  private final Habits habits;

  public PieceTasks(Job job) {
    this.job = job;
    this.hands = job.session().hands();
    this.habits = job.session().habits();
  }

  /** Before the first batch: moulds wiped or sprayed, surfaces worked on, embeds made ready. */
  public List<Task> before() {
    List<Task> tasks = new ArrayList<>();
    int cavities = job.lines().stream().mapToInt(l -> l.piece().count()).sum();
    Task.Kind prep = prep();
    if (prep != null && cavities > 0) {
      tasks.add(
          TaskDraft.of(TaskId.session(prep), prep, 0, hands.mouldSeconds() * cavities)
              .pieces(cavities)
              .task());
    }
    for (int l = 0; l < job.lines().size(); l++) {
      Job.Line line = job.lines().get(l);
      int count = line.piece().count();
      List<SurfaceWork> surface = line.piece().workOrNone().surface();
      for (int s = 0; s < surface.size(); s++) {
        TaskDraft draft =
            TaskDraft.of(
                    surfaceId(l, s),
                    Task.Kind.SURFACE_WORK,
                    0,
                    surface.get(s).minutes() * 60 * count)
                .line(l)
                .pieces(count);
        if (s > 0) {
          draft.lag(dry(surfaceId(l, s - 1), surface.get(s - 1).dryingMinutes()));
        } else if (prep != null) {
          draft.lag(dry(TaskId.session(prep), habits.care().mouldDryMinutes()));
        }
        tasks.add(draft.task());
      }
      embeds(tasks, l, line);
    }
    return tasks;
  }

  private Task.@Nullable Kind prep() {
    return switch (habits.care().moulds()) {
      case NONE -> null;
      case ALCOHOL_WIPE -> Task.Kind.WIPE_MOULDS;
      case RELEASE_SPRAY -> Task.Kind.SPRAY_MOULDS;
    };
  }

  private static Lag dry(TaskId id, double minutes) {
    int seconds = BatchWork.seconds(minutes * 60);
    return new Lag(Lag.Clock.DONE, id, seconds, null, false, Lag.Why.DRYING);
  }

  private static TaskId surfaceId(int line, int which) {
    return TaskId.line(line + 1, Task.Kind.SURFACE_WORK).of(which + 1);
  }

  private void embeds(List<Task> tasks, int l, Job.Line line) {
    int each = 0;
    int laid = 0;
    for (Job.Level level : line.levels()) {
      for (Job.EmbedIn inside : level.embeds()) {
        each += inside.placed().count() * inside.placed().prepare().size();
        boolean first =
            level.stage() == 0 && inside.placed().moment() == PlacedEmbed.Moment.BEFORE_POUR;
        laid += first ? inside.placed().count() : 0;
      }
    }
    int count = line.piece().count();
    if (each > 0) {
      tasks.add(
          TaskDraft.of(
                  TaskId.line(l + 1, Task.Kind.PREPARE_EMBEDS),
                  Task.Kind.PREPARE_EMBEDS,
                  0,
                  hands.embedSeconds() * each * count)
              .line(l)
              .pieces(count)
              .task());
    }
    // What stands on the floor from the beginning is set once, whatever layer begins there.
    boolean sets = line.setsInner(0);
    if (laid > 0 || sets) {
      TaskDraft lay =
          TaskDraft.of(
                  TaskId.line(l + 1, Task.Kind.LAY_EMBEDS),
                  Task.Kind.LAY_EMBEDS,
                  0,
                  (hands.embedSeconds() * laid + (sets ? EmbedWork.SET_INNER_SECONDS : 0)) * count)
              .line(l)
              .pieces(count);
      surfaceDry(l, line, lay);
      tasks.add(prepared(lay.task()));
    }
  }

  private void surfaceDry(int l, Job.Line line, TaskDraft draft) {
    List<SurfaceWork> surface = line.piece().workOrNone().surface();
    if (!surface.isEmpty()) {
      int last = surface.size() - 1;
      draft.lag(dry(surfaceId(l, last), surface.get(last).dryingMinutes()));
    }
  }

  /**
   * A batch's tasks with what moulds and embeds need before they are met for the first time.
   *
   * @param begun cavities that something was poured into before; those of this batch are added
   */
  public List<Task> prepared(Batch batch, List<Task> chain, Set<CavityId> begun) {
    Map<PourId, Cup.Pour> pours = new HashMap<>();
    batch.cups().forEach(c -> c.pours().forEach(p -> pours.put(p.id(), p)));
    List<Task> prepared = new ArrayList<>();
    for (Task task : chain) {
      Cup.Pour pour = task.pourId() == null ? null : pours.get(task.pourId());
      boolean first = pour != null && begun.add(CavityId.of(pour));
      prepared.add(first ? task.and(beforePour(known(pour).line())) : prepared(task));
    }
    return prepared;
  }

  /** An embed task with what its embeds need before. */
  public Task prepared(Task task) {
    boolean embeds = task.kind() == Task.Kind.EMBED || task.kind() == Task.Kind.LAY_EMBEDS;
    if (!embeds || task.line() == null) {
      return task;
    }
    boolean prepare = false;
    boolean glue = false;
    for (Job.Level level : job.lines().get(task.line()).levels()) {
      for (Job.EmbedIn inside : level.embeds()) {
        prepare |= !inside.placed().prepare().isEmpty();
        glue |= inside.placed().prepare().contains(PlacedEmbed.Prepare.GLUE);
      }
    }
    TaskId id = TaskId.line(task.line() + 1, Task.Kind.PREPARE_EMBEDS);
    return prepare ? task.and(List.of(dry(id, glue ? habits.care().embedDryMinutes() : 0))) : task;
  }

  private List<Lag> beforePour(int l) {
    List<Lag> lags = new ArrayList<>();
    Job.Line line = job.lines().get(l);
    Task.Kind prep = prep();
    if (prep != null) {
      lags.add(dry(TaskId.session(prep), habits.care().mouldDryMinutes()));
    }
    List<SurfaceWork> surface = line.piece().workOrNone().surface();
    if (!surface.isEmpty()) {
      int last = surface.size() - 1;
      lags.add(dry(surfaceId(l, last), surface.get(last).dryingMinutes()));
    }
    boolean laid =
        line.setsInner(0)
            || line.levels().stream()
                .filter(v -> v.stage() == 0)
                .flatMap(v -> v.embeds().stream())
                .anyMatch(e -> e.placed().moment() == PlacedEmbed.Moment.BEFORE_POUR);
    if (laid) {
      lags.add(Lag.after(TaskId.line(l + 1, Task.Kind.LAY_EMBEDS)));
    }
    return lags;
  }

  /**
   * Out of the mould: once every layer of every cavity allows it. Empty when it never cures so far.
   *
   * @param filled everything that is poured
   */
  public List<Task> demould(PieceGroup group, Filled filled, Times times) {
    Job.Line line = job.lines().get(group.line());
    int count = group.cavities().size();
    double takes = line.stays() ? 0 : hands.demouldSecondsPiece() * count;
    TaskDraft draft =
        TaskDraft.of(group.taskId(Task.Kind.DEMOULD), Task.Kind.DEMOULD, 0, takes)
            .line(group.line())
            .pieces(count);
    if (line.stays()) {
      // Nobody takes it out: it is hard where it stays.
      draft.byItself();
    }
    for (int layer = 0; layer < line.levels().size(); layer++) {
      List<Filled.Lies> all = lies(group, filled, layer);
      if (all.isEmpty()) {
        return List.of();
      }
      for (Filled.Lies lies : all) {
        CureStates.Moment hard = last(lies, group.line(), layer).demould();
        if (hard == null) {
          return List.of();
        }
        draft.lag(cured(lies, hard, 0));
        Task.Kind shut =
            switch (line.piece().workOrNone().curing()) {
              case BENCH -> null;
              case PRESSURE_POT -> Task.Kind.IN_POT;
              case HOT_BOX -> Task.Kind.IN_BOX;
            };
        TaskId shutId = shut == null ? null : TaskId.batch(lies.batch().number(), shut);
        if (shutId != null && times.task(shutId) != null) {
          draft.after(shutId);
        }
      }
    }
    return List.of(draft.task());
  }

  /**
   * Moulds wiped, drained, dried and lidded once the last piece is out; empty where none comes out.
   *
   * @param out groups that are taken out of their moulds
   */
  public Optional<Task> mouldsAway(List<PieceGroup> out) {
    TaskId id = TaskId.session(Task.Kind.MOULDS_AWAY);
    List<PieceGroup> moulds = out.stream().filter(g -> !job.lines().get(g.line()).stays()).toList();
    int count = moulds.stream().mapToInt(g -> g.cavities().size()).sum();
    if (count == 0) {
      return Optional.empty();
    }
    TaskDraft draft =
        TaskDraft.of(id, Task.Kind.MOULDS_AWAY, 0, MOULD_AWAY_SECONDS * count).pieces(count);
    moulds.forEach(g -> draft.after(g.taskId(Task.Kind.DEMOULD)));
    return Optional.of(draft.task());
  }

  /** To wipe and lid one mould (starting value, no source), s. */
  private static final double MOULD_AWAY_SECONDS = 30;

  /** The last pour of a layer from each batch into these cavities; empty where one lacks it. */
  private static List<Filled.Lies> lies(PieceGroup group, Filled filled, int layer) {
    Map<Integer, Filled.Lies> last = new TreeMap<>();
    for (int cavity : group.cavities()) {
      Collection<Filled.Lies> its = filled.all(group.line(), cavity, layer);
      if (its.isEmpty()) {
        return List.of();
      }
      its.forEach(l ->
          last.merge(l.batch().number(), l, (a, b) -> a.endSeconds() >= b.endSeconds() ? a : b));
    }
    return List.copyOf(last.values());
  }

  private static CureStates last(Filled.Lies lies, int line, int layer) {
    return java.util.Objects.requireNonNull(lies.states().layer(line, layer)).last();
  }

  /**
   * @param atLeast seconds after the pour, however soon it is cured
   */
  private static Lag cured(Filled.Lies lies, CureStates.Moment when, int atLeast) {
    int waits = Window.up(lies.contactSeconds(), when.minutes()) - lies.endSeconds();
    return new Lag(
        Lag.Clock.POURED,
        lies.pour().id(),
        Math.max(atLeast, Math.max(0, waits)),
        null,
        false,
        Lag.Why.CURED);
  }

  /** Trim, varnish, paint, glue, polish, each with its wait; then ready to hand over. */
  public List<Task> finishing(PieceGroup group, Filled filled, boolean demoulded) {
    List<Task> tasks = new ArrayList<>();
    if (!demoulded) {
      return tasks;
    }
    Job.Line line = job.lines().get(group.line());
    int count = group.cavities().size();
    PieceWork work = line.piece().workOrNone();
    TaskId before = group.taskId(Task.Kind.DEMOULD);
    int turn = 0;
    FinishStep last = null;
    for (FinishStep step : work.finishing()) {
      for (int t = 0; t < step.times(); t++) {
        turn++;
        TaskId id = group.taskId(Task.Kind.FINISH).of(turn);
        double hours = t == 0 ? step.afterHours(last) : step.againHours();
        int wait = BatchWork.seconds(hours * HOUR);
        TaskDraft draft =
            TaskDraft.of(id, Task.Kind.FINISH, 0, step.minutes() * 60 * count)
                .line(group.line())
                .pieces(count)
                .lag(new Lag(Lag.Clock.DONE, before, wait, null, false, Lag.Why.FINISHING));
        if (line.coat() != null && turn == 1) {
          int coat = line.levels().size();
          lies(group, filled, coat).forEach(l -> draft.lag(hard(l, group.line(), coat)));
        }
        tasks.add(draft.task());
        before = id;
      }
      last = step;
    }
    ready(group, filled, before).ifPresent(tasks::add);
    return tasks;
  }

  /** A coat has to be hard before anything is done to the piece. */
  private static Lag hard(Filled.Lies coat, int line, int layer) {
    CureStates.Moment hard = last(coat, line, layer).demould();
    return hard == null
        ? new Lag(Lag.Clock.POURED, coat.pour().id(), DAY, null, false, Lag.Why.CURED)
        : cured(coat, hard, 0);
  }

  private Optional<Task> ready(PieceGroup group, Filled filled, TaskId after) {
    Job.Line line = job.lines().get(group.line());
    TaskDraft draft =
        TaskDraft.of(group.taskId(Task.Kind.READY), Task.Kind.READY, 0, 0)
            .line(group.line())
            .pieces(group.cavities().size())
            .byItself()
            .after(after);
    boolean days = habits.care().leaving() == Care.Leaving.AFTER_DAYS;
    int atLeast = days ? BatchWork.seconds(habits.care().leavingDays() * DAY) : 0;
    for (int layer = 0; layer < line.poured().size(); layer++) {
      List<Filled.Lies> all = lies(group, filled, layer);
      if (all.isEmpty()) {
        return Optional.empty();
      }
      for (Filled.Lies lies : all) {
        CureStates.Moment cured = last(lies, group.line(), layer).fullCure();
        if (cured == null) {
          return Optional.empty();
        }
        draft.lag(cured(lies, cured, atLeast));
      }
    }
    return Optional.of(draft.task());
  }
}
