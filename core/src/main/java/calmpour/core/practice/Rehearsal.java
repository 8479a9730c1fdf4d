package calmpour.core.practice;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.run.RunState;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The world round a rehearsed bench: hands as quick, a room as warm and a resin as lasting as its
 * seed says, and what goes wrong. It tells nothing but what one would see ({@link Seen}), says how
 * long a step took ({@link #through}) and judges the pieces by what was really so ({@link #score}).
 * Everything follows from the exercise and from what was told, so that the same evening told again
 * is the same.
 */
public final class Rehearsal {
  /** Both bottles in warm water: common practice, no source. */
  private static final int WARMING_SECONDS = 300;

  /** What a hand needs to add to a cup that is already on the scale, s. */
  private static final int ADDING_SECONDS = 60;

  /** Of its pour life so far: when a stick shows that a cup is no longer thin. No source. */
  private static final double SYRUP_SHARE = 0.5;

  private static final double HONEY_SHARE = 0.85;

  /** Warmer than the room, K: what a hand tells apart. No source. */
  private static final double LUKEWARM_K = 4;

  private static final double WARM_K = 12;
  private static final double HOT_C = 50;

  private static final Set<Task.Phase> OF_THE_EVENING =
      EnumSet.of(Task.Phase.PREPARE, Task.Phase.MIX, Task.Phase.POUR, Task.Phase.EMBED);

  private final Exercise exercise;
  private final Run run;
  private final RunReader runs;
  private final Drawn drawn;

  /**
   * @param run the exercise's session, planned and begun
   */
  public Rehearsal(Exercise exercise, Run run, RunReader runs) {
    this(exercise, run, runs, new Drawn(exercise.seed(), run));
  }

  /**
   * @param drawn what is really so
   */
  Rehearsal(Exercise exercise, Run run, RunReader runs, Drawn drawn) {
    this.exercise = exercise;
    this.run = run;
    this.runs = runs;
    this.drawn = drawn;
  }

  /**
   * When the hands are through with what is told of now: a step takes as long as it takes, however
   * soon its key is pressed.
   *
   * @param told before, in the order in which it was told
   * @return never before now
   */
  public Instant through(List<RunEvent> told, RunEvent next, Instant now) {
    Befallen befallen = befallen(told);
    return switch (next.kind()) {
      case DONE -> {
        RunState.Step step =
            runs.state(run, told, now).steps().stream()
                .filter(s -> s.taskId().text().equals(next.of()))
                .findFirst()
                .orElse(null);
        if (step == null || !step.hands() || step.status() == RunState.Status.DONE) {
          yield now;
        }
        int at = befallen.seconds(now);
        Integer waits = step.notBeforeSeconds();
        int begun = Math.max(befallen.lastSeconds(), waits == null ? 0 : Math.min(at, waits));
        int takes = drawn.takes(step.taskId(), step.endSeconds() - step.startSeconds());
        yield later(now, run.begunAt().plusSeconds((long) begun + takes));
      }
      case AWAY -> {
        Befell call = befallen.ringing(now);
        yield call == null ? now : now.plusSeconds(Math.round(call.mishap().size() * 60));
      }
      case ADDED -> now.plusSeconds(ADDING_SECONDS);
      case CHECKED -> Befallen.warms(next) ? now.plusSeconds(WARMING_SECONDS) : now;
      default -> now;
    };
  }

  private static Instant later(Instant a, Instant b) {
    return a.isAfter(b) ? a : b;
  }

  /** What really happened so far. */
  Befallen befallen(List<RunEvent> told) {
    return new Befallen(exercise, run, drawn, told);
  }

  /**
   * What one would see.
   *
   * @param told in the order in which it was told
   * @param bench how the run stands by that
   */
  public Seen seen(List<RunEvent> told, RunState bench, Instant now) {
    Befallen befallen = befallen(told);
    RunState.Step step =
        bench.steps().stream()
            .filter(s -> s.taskId().equals(bench.currentId()))
            .findFirst()
            .orElse(null);
    double roomC = befallen.roomC();
    boolean bottles =
        step != null
            && (step.kind() == Task.Kind.WEIGH_FIRST || step.kind() == Task.Kind.WEIGH_SECOND);
    return new Seen(
        tenths(roomC),
        bench.currentId(),
        bottles ? (Double) tenths(roomC - colderK(befallen, known(step))) : null,
        scaleG(befallen, step),
        cups(befallen, roomC, now),
        befallen.signs(now),
        step != null && step.kind() == Task.Kind.WEIGH_FIRST && !befallen.warmed(step.batch()),
        over(bench));
  }

  private static double tenths(double value) {
    return Math.rint(value * 10) / 10;
  }

  /** How much colder than the room the bottles are, K. */
  double colderK(Befallen befallen, RunState.Step weighing) {
    if (befallen.warmed(weighing.batch())) {
      return 0;
    }
    int nth =
        befallen.count(Task.Kind.WEIGH_FIRST) + (weighing.kind() == Task.Kind.WEIGH_FIRST ? 1 : 0);
    return exercise.mishaps().stream()
        .filter(m -> m.kind() == Mishap.Kind.COLD_RESIN && m.nth() == nth)
        .mapToDouble(Mishap::size)
        .sum();
  }

  /** What the scale comes to, g; null where nothing is weighed. */
  @Nullable Double scaleG(Befallen befallen, RunState.@Nullable Step step) {
    if (step == null || step.targetG() == null) {
      return null;
    }
    int nth = befallen.count(step.kind()) + 1;
    double over =
        exercise.mishaps().stream()
            .filter(m -> m.kind() == Mishap.Kind.OVER_POUR)
            .filter(m -> m.at() == step.kind() && m.nth() == nth)
            .mapToDouble(Mishap::size)
            .sum();
    return tenths(step.targetG() * (1 + over / 100));
  }

  private List<Seen.CupSeen> cups(Befallen befallen, double roomC, Instant now) {
    List<Seen.CupSeen> cups = new ArrayList<>();
    for (RunState.CupNow cup : runs.state(drawn.really(), befallen.really(), now).cups()) {
      double through =
          (double) (befallen.seconds(now) - cup.contactSeconds())
              / Math.max(1, cup.thicksSeconds() - cup.contactSeconds());
      Seen.Look look =
          switch (cup.state()) {
            case GELLED -> Seen.Look.GEL;
            case THICK -> Seen.Look.THREADS;
            case POURABLE ->
                through < SYRUP_SHARE
                    ? Seen.Look.OIL
                    : through < HONEY_SHARE ? Seen.Look.SYRUP : Seen.Look.HONEY;
          };
      double warmer = cup.expectedC() - roomC;
      Seen.Warmth warmth =
          cup.expectedC() >= HOT_C
              ? Seen.Warmth.HOT
              : warmer < LUKEWARM_K
                  ? Seen.Warmth.COOL
                  : warmer < WARM_K ? Seen.Warmth.LUKEWARM : Seen.Warmth.WARM;
      cups.add(new Seen.CupSeen(cup.cupId(), cup.colourName(), cup.swatch(), look, warmth));
    }
    return cups;
  }

  /** Covering is the last thing of an evening; what comes on other days is not rehearsed. */
  static boolean over(RunState bench) {
    return bench.finishedSeconds() != null
        || bench.steps().stream()
            .noneMatch(s ->
                s.hands()
                    && s.status() == RunState.Status.TO_DO
                    && OF_THE_EVENING.contains(s.phase()));
  }

  /**
   * How it ended.
   *
   * @param told in the order in which it was told
   */
  public Score score(List<RunEvent> told, Instant end) {
    Befallen befallen = befallen(told);
    // What was really so: the label as it is, and the room also where nobody told it.
    RunReader.LookedBack looked = runs.lookedBack(drawn.really(), befallen.really(), end);
    List<Score.PieceScore> pieces =
        new Judged(run, befallen).pieces(looked.asRun(), looked.curves());
    return new Score(
        pieces.stream().mapToInt(p -> Judged.points(p.verdict())).sum(),
        2 * pieces.size(),
        pieces,
        befallen.roomC(),
        drawn.labelTimes(),
        befallen.all.stream()
            .map(b ->
                new Score.Befell(
                    b.mishap().kind(),
                    befallen.seconds(b.with().at()),
                    b.mishap().size(),
                    befallen.seenTo(b)))
            .toList(),
        looked.curves(),
        looked.asRun());
  }

  /**
   * The evening as simulated hands carry it out: they do what the bench tells them next.
   *
   * @param heeds whether they see to what goes wrong, or take the call and go on with the rest
   */
  Carried carriedOut(boolean heeds) {
    return new SimulatedHands(this, run, runs, drawn, heeds).work();
  }

  /** The points of hands that see to everything that goes wrong; somebody may be better still. */
  public int par() {
    return carriedOut(true).score().points();
  }

  /** The points of hands that take every call and see to nothing. */
  public int careless() {
    return carriedOut(false).score().points();
  }

  Drawn drawn() {
    return drawn;
  }

  /** A step as it was done, seconds from the beginning. */
  record Stroke(
      int startSeconds,
      int atSeconds,
      TaskId taskId,
      Task.Kind kind,
      @Nullable Integer spareSeconds) {}

  /** What was done and what came of it. */
  record Carried(List<Stroke> strokes, Score score) {
    Carried {
      strokes = List.copyOf(strokes);
    }
  }
}
