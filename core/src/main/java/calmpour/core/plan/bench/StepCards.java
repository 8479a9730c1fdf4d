// Longer than other files: one line for each kind of step, read beside each other.
package calmpour.core.plan.bench;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.Rings;
import calmpour.core.design.FinishStep;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.design.PlacedEmbed;
import calmpour.core.design.SurfaceWork;
import calmpour.core.habit.Care;
import calmpour.core.habit.Habits;
import calmpour.core.mould.InnerMould;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.resin.Counted;
import calmpour.core.session.Job;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/** Reads off design, mould and habits what a step has to say. */
public final class StepCards {
  private final Job job;
  private final Map<Object, Cup> cups = new HashMap<>();
  private final Map<Object, Cup.Pour> pours = new HashMap<>();
  private final LabelSays label;
  private final FaceSays faces;

  /** By number. */
  private final Map<Integer, String> resins = new HashMap<>();

  /** What a part is counted by, beside or instead of a scale. */
  private final Map<TaskId, List<StepCard.Say>> counted = new HashMap<>();

  private final Map<Task.Kind, Map<Integer, Integer>> shutUntil = new HashMap<>();

  /**
   * @param tasks with the times at which they are really done
   */
  public StepCards(Job job, Plan plan, List<Task> tasks) {
    this.job = job;
    this.label = new LabelSays(job);
    this.faces = new FaceSays(job);
    for (Batch batch : plan.batches()) {
      resins.put(batch.number(), batch.resinId());
      Counted pumped = BatchCard.pumps(job.in(batch.resinId()), batch);
      double tolerance = job.session().habits().ratioTolerancePercent();
      if (pumped != null && Math.abs(pumped.ratioErrorPercent()) <= tolerance) {
        boolean first = batch.measuring().firstPart() == Habits.FirstPart.A;
        counted(batch, Task.Kind.WEIGH_FIRST, pumped(first, pumped));
        counted(batch, Task.Kind.WEIGH_SECOND, pumped(!first, pumped));
      }
      rings(batch, tolerance);
    }
    plan.batches()
        .forEach(b ->
            b.cups()
                .forEach(c ->
                    c.pours()
                        .forEach(p -> {
                          cups.put(p.id(), c);
                          pours.put(p.id(), p);
                        })));
    for (Task task : tasks) {
      if (task.kind() == Task.Kind.IN_POT || task.kind() == Task.Kind.IN_BOX) {
        shutUntil
            .computeIfAbsent(task.kind(), k -> new HashMap<>())
            .put(task.batch(), task.endSeconds());
      }
    }
  }

  private void counted(Batch batch, Task.Kind kind, StepCard.Say say) {
    counted.computeIfAbsent(TaskId.batch(batch.number(), kind), k -> new ArrayList<>()).add(say);
  }

  private void rings(Batch batch, double tolerancePercent) {
    CupKind cup = batch.mixing().cup();
    boolean ofA = batch.measuring().firstPart() == Habits.FirstPart.A;
    double a = batch.measuring().partA().volumeMl();
    double b = batch.measuring().partB().volumeMl();
    Rings.of(cup, ofA ? a : b, a + b, tolerancePercent)
        .ifPresent(rings -> {
          counted(batch, Task.Kind.WEIGH_FIRST, ringed(rings.first(), ofA));
          counted(batch, Task.Kind.WEIGH_SECOND, ringed(rings.both(), !ofA));
        });
  }

  private static StepCard.Say ringed(double rings, boolean ofA) {
    return new StepCard.Say(StepCard.Code.RINGS, rings, ofA ? "A" : "B");
  }

  private static StepCard.Say pumped(boolean ofA, Counted strokes) {
    return new StepCard.Say(
        StepCard.Code.PUMPED,
        (double) (ofA ? strokes.countA() : strokes.countB()),
        ofA ? "A" : "B");
  }

  /** Nothing for a step that says all of it by its name. */
  public StepCard of(Task task) {
    List<StepCard.Say> says = new ArrayList<>();
    says.addAll(counted.getOrDefault(task.id(), List.of()));
    trials(task, says);
    switch (task.kind()) {
      case POUR -> pour(task, says);
      case WARM, WEIGH_FIRST, STIR -> {
        String resin = resins.get(task.batch());
        if (resin != null) {
          says.addAll(label.ofBatch(task.kind(), job.in(resin).resin()));
        }
      }
      case LAY_EMBEDS -> inner(task, says);
      case GATHER -> say(says, StepCard.Code.ONE_CUP);
      case RELEASE -> MixSays.release(job, says);
      case TINT -> MixSays.tinted(job, cups.values(), task, says);
      case BUBBLE_PASS, LOOK -> {
        say(says, StepCard.Code.BUBBLES, null, care().bubbles().name());
        if (task.kind() == Task.Kind.LOOK) {
          say(says, StepCard.Code.AT_GEL);
        }
        if (job.lines().stream().anyMatch(StepCards::undercut)) {
          say(says, StepCard.Code.UNDERCUTS);
        }
        if (job.lines().stream().anyMatch(StepCards::holdsEmbeds)) {
          say(says, StepCard.Code.UNDER_EMBEDS);
        }
      }
      case UNDER_LAMP -> say(says, StepCard.Code.LAMP, care().lampMinutes(), null);
      case WIPE_MOULDS, SPRAY_MOULDS ->
          say(says, StepCard.Code.DRIES, care().mouldDryMinutes(), null);
      case SURFACE_WORK -> surface(task, says);
      case WET_WORK -> FaceSays.wet(line(task), last(afterDot(task)) - 1, says);
      case LID -> say(says, StepCard.Code.KEYS);
      case LOAD_POT, IN_POT -> pot(task, says);
      case LOAD_BOX, IN_BOX -> box(task, says);
      case DEMOULD -> opening(task, says);
      case FINISH -> finishing(task, says);
      default -> {}
    }
    List<StepCard.EmbedCard> embeds = embeds(task);
    return says.isEmpty() && embeds.isEmpty() ? StepCard.NOTHING : new StepCard(embeds, says);
  }

  /** Whatever is done to pieces of a trial says so; what is done to all of a batch, too. */
  private void trials(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    if (line != null) {
      if (line.piece().trial() != null) {
        say(says, StepCard.Code.TRIAL, null, line.piece().trial());
      }
    } else if (task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.LOOK) {
      job.lines().stream()
          .map(l -> l.piece().trial())
          .filter(Objects::nonNull)
          .distinct()
          .forEach(trial -> say(says, StepCard.Code.TRIAL, null, trial));
    }
  }

  private Care care() {
    return job.session().habits().care();
  }

  private static boolean holdsEmbeds(Job.Line line) {
    return line.poured().stream().anyMatch(l -> !l.embeds().isEmpty());
  }

  private static boolean undercut(Job.Line line) {
    MouldMake make = make(line);
    return make != null && Boolean.TRUE.equals(make.undercuts());
  }

  private static void say(List<StepCard.Say> says, StepCard.Code code) {
    says.add(new StepCard.Say(code, null, null));
  }

  private static void say(
      List<StepCard.Say> says, StepCard.Code code, @Nullable Double value, @Nullable String text) {
    says.add(new StepCard.Say(code, value, text));
  }

  private Job.@Nullable Line line(Task task) {
    return task.line() == null ? null : job.lines().get(task.line());
  }

  private static @Nullable MouldMake make(Job.Line line) {
    return line.mould().make();
  }

  private void pour(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    Cup.Pour pour = task.pourId() == null ? null : pours.get(task.pourId());
    Cup cup = task.pourId() == null ? null : cups.get(task.pourId());
    if (line == null || pour == null || cup == null) {
      return;
    }
    Job.Level level = line.level(pour.layer());
    MouldMake make = make(line);
    boolean first = pour.layer() == 0 && pour.part() <= 1;
    if (level.join() == Join.CURED && pour.layer() > 0 && pour.part() <= 1) {
      say(says, StepCard.Code.SCUFF);
    }
    if (!level.coat() && level.colours().size() > 1 && !level.gathered()) {
      meeting(line, pour, level, cup, says);
    }
    if (level.inHalves()) {
      say(says, pour.half() == 2 ? StepCard.Code.SECOND_HALF : StepCard.Code.FIRST_HALF);
    }
    if (level.coat()) {
      return;
    }
    faces.filled(line, level, pour, says);
    FaceSays.dusted(line, first, says);
    faces.stream(line, first, says);
    if (make == null) {
      return;
    }
    if (first && Boolean.FALSE.equals(make.levelBase())) {
      say(says, StepCard.Code.LEVEL);
    }
    if (first
        && line.piece().workOrNone().surface().stream()
            .anyMatch(s -> s.kind() == SurfaceWork.Kind.PRIME)) {
      say(says, StepCard.Code.LETTERING);
    }
    if (first) {
      says.addAll(LabelSays.pouredInto(make));
    }
    if (make.pace() == MouldMake.Pace.SLOW) {
      say(says, StepCard.Code.SLOWLY);
    } else if (make.pace() == MouldMake.Pace.BY_STICK) {
      say(says, StepCard.Code.BY_STICK);
    }
    if (Boolean.TRUE.equals(make.narrowMouth())) {
      say(says, StepCard.Code.FUNNEL);
    }
    if (undercut(line)) {
      say(says, StepCard.Code.UNDERCUTS);
    }
  }

  private void meeting(
      Job.Line line, Cup.Pour pour, Job.Level level, Cup cup, List<StepCard.Say> says) {
    Layer.Meeting meeting = line.piece().layers().get(pour.layer()).meeting();
    boolean middle = cup.colour().id().equals(level.colour().id());
    if (meeting == Layer.Meeting.FROM_SIDES) {
      say(says, StepCard.Code.FROM_SIDES);
    } else if (meeting == Layer.Meeting.IN_SPOTS) {
      say(says, StepCard.Code.IN_SPOTS);
    } else if (meeting == Layer.Meeting.PRESSED_APART && middle) {
      say(says, StepCard.Code.PRESSED_APART);
    }
  }

  /** Set level with what it takes to stay down; in the heaviest mix that comes round it. */
  private void inner(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    InnerMould its = line == null ? null : line.inner();
    if (line == null || its == null || !line.setsInner(layerLaid(task))) {
      return;
    }
    say(says, StepCard.Code.SET_INNER);
    double density =
        line.levels().stream()
            .mapToDouble(v -> job.tint(v, v.colour()).mixDensity())
            .max()
            .orElseThrow();
    double grams = its.effect(line.cavity().bare(), density).ballastG();
    if (grams > 0) {
      say(says, StepCard.Code.BALLAST, grams, null);
    }
  }

  /** Layer that a task lays something for; one of a whole line lays on the dry floor. */
  private static int layerLaid(Task task) {
    if (task.batch() == 0) {
      return 0;
    }
    String text = task.id().text();
    String at = text.substring(0, text.lastIndexOf('/'));
    return last(at.substring(at.lastIndexOf('.') + 1)) - 1;
  }

  private void surface(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    int which = last(task) - 1;
    List<SurfaceWork> all = line == null ? List.of() : line.piece().workOrNone().surface();
    if (which < 0 || which >= all.size()) {
      return;
    }
    SurfaceWork work = all.get(which);
    say(says, StepCard.Code.SURFACE, null, work.kind().name());
    if (work.patch() != null && !work.patch().isBlank()) {
      say(says, StepCard.Code.PATCH_KEPT, null, work.patch());
    } else if (which == 0) {
      say(says, StepCard.Code.PATCH);
    }
    if (work.with() != null) {
      say(says, StepCard.Code.WITH, null, work.with());
    }
    if (work.dryingMinutes() > 0) {
      say(says, StepCard.Code.DRIES, work.dryingMinutes(), null);
    }
  }

  private void pot(Task task, List<StepCard.Say> says) {
    for (Tool pot : job.tools()) {
      if (pot.kind() == Tool.Kind.PRESSURE_POT) {
        if (pot.workKPa() != null) {
          say(says, StepCard.Code.SET_TO, pot.workKPa(), null);
        }
        if (pot.reliefKPa() != null) {
          say(says, StepCard.Code.RELIEF, pot.reliefKPa(), null);
        }
        if (pot.ratedKPa() != null) {
          say(says, StepCard.Code.RATED, pot.ratedKPa(), null);
        }
        break;
      }
    }
    if (task.kind() == Task.Kind.LOAD_POT) {
      say(says, StepCard.Code.POT_GENTLY);
    }
    shut(task, Task.Kind.IN_POT, says);
    job.tools().stream()
        .filter(t -> t.kind() == Tool.Kind.PRESSURE_POT)
        .findFirst()
        .map(Tool::opensBy)
        .filter(who -> !who.isBlank())
        .ifPresent(who -> say(says, StepCard.Code.OPENED_BY, null, who));
  }

  private void box(Task task, List<StepCard.Say> says) {
    job.tools().stream()
        .filter(t -> t.kind() == Tool.Kind.HOT_BOX && t.temperatureC() != null)
        .findFirst()
        .ifPresent(t -> say(says, StepCard.Code.BOX_AT, t.temperatureC(), null));
    shut(task, Task.Kind.IN_BOX, says);
  }

  private void shut(Task task, Task.Kind kind, List<StepCard.Say> says) {
    Integer until = shutUntil.getOrDefault(kind, Map.of()).get(task.batch());
    if (until != null) {
      say(says, StepCard.Code.SHUT_UNTIL, (double) until, null);
    }
  }

  private void opening(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    MouldMake make = line == null ? null : make(line);
    if (line != null) {
      says.addAll(label.out(line));
    }
    if (line == null || line.stays()) {
      return;
    }
    say(says, StepCard.Code.LIFT_EDGES);
    if (line.lidded()) {
      say(says, StepCard.Code.FLASH_OFF);
    }
    if (line.piece().workOrNone().base() != null) {
      say(says, StepCard.Code.STANDS_LEVEL);
    }
    held(line, make, says);
    if (line.inner() != null) {
      say(says, StepCard.Code.INNER_OUT);
    }
    say(says, StepCard.Code.MOULD_AWAY);
    say(says, StepCard.Code.LIE_FLAT);
  }

  private static void held(Job.Line line, @Nullable MouldMake make, List<StepCard.Say> says) {
    if (make == null) {
      return;
    }
    if (make.opensBy() != null && !make.opensBy().isBlank()) {
      say(says, StepCard.Code.OPENS_BY, null, make.opensBy());
    }
    if (undercut(line)) {
      say(says, StepCard.Code.HOLDS_ON);
    }
  }

  private void finishing(Task task, List<StepCard.Say> says) {
    Job.Line line = line(task);
    int turn = last(task);
    for (FinishStep step :
        line == null ? List.<FinishStep>of() : line.piece().workOrNone().finishing()) {
      if (turn > step.times()) {
        turn -= step.times();
        continue;
      }
      if (step.with() != null) {
        say(says, StepCard.Code.WITH, null, step.with());
      }
      if (turn < step.times() && step.againHours() > 0) {
        say(says, StepCard.Code.AGAIN, step.againHours(), null);
      }
      return;
    }
  }

  /** The number that a task's name ends in; 0 for none. */
  private static int last(Task task) {
    String text = task.id().text();
    return last(text.substring(text.lastIndexOf('/') + 1));
  }

  private static String afterDot(Task task) {
    String text = task.id().text();
    return text.substring(text.lastIndexOf('.') + 1);
  }

  private static int last(String end) {
    return end.matches("\\d{1,6}") ? Integer.parseInt(end) : 0;
  }

  private List<StepCard.EmbedCard> embeds(Task task) {
    Job.Line line = line(task);
    if (line == null) {
      return List.of();
    }
    String id = task.id().text();
    Predicate<PlacedEmbed> which =
        switch (task.kind()) {
          case PREPARE_EMBEDS -> p -> !p.prepare().isEmpty();
          case LAY_EMBEDS -> p -> p.moment() == PlacedEmbed.Moment.BEFORE_POUR;
          case EMBED -> p -> id.endsWith("/" + p.moment());
          case NUDGE -> p -> !p.anchored();
          default -> p -> false;
        };
    List<StepCard.EmbedCard> embeds = new ArrayList<>();
    for (int layer = 0; layer < line.levels().size(); layer++) {
      Job.Level level = line.level(layer);
      // A task of a batch names its layer; one of a whole line is about all of them.
      boolean here =
          task.batch() == 0
              ? task.kind() != Task.Kind.LAY_EMBEDS || level.stage() == 0
              : id.contains("/" + (known(task) + 1) + "." + (layer + 1) + "/");
      for (Job.EmbedIn inside : here ? level.embeds() : List.<Job.EmbedIn>of()) {
        if (which.test(inside.placed())) {
          embeds.add(card(inside, layer, level));
        }
      }
    }
    return embeds;
  }

  private static int known(Task task) {
    return task.line() == null ? -1 : task.line();
  }

  private StepCard.EmbedCard card(Job.EmbedIn inside, int layer, Job.Level level) {
    PlacedEmbed placed = inside.placed();
    return new StepCard.EmbedCard(
        inside.embed().name(),
        layer,
        placed.count(),
        placed.moment(),
        placed.anchored(),
        placed.standsOutPercent(),
        placed.facing() == null ? inside.embed().face() : placed.facing(),
        inside.embed().in(job.tint(level, level.colour()).mixDensity()),
        Boolean.TRUE.equals(inside.embed().pointed()),
        placed.prepare());
  }
}
