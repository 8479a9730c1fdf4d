// Longer than other files: a few lines for each kind of figure of an evening, all over the same
// state.
package calmpour.core.run;

import calmpour.core.cure.RoomCourse;
import calmpour.core.derive.Derivation;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * How a figure of a run came about: from the plan's own figures, and what was told and read since.
 * Moments have the unit {@code clock}: seconds from when the run was begun.
 *
 * <p>Addresses: {@code step/…/targetG}, {@code step/…/from}, {@code step/…/until}, {@code
 * step/…/over}, {@code cup/1.2/thicks}, {@code cup/1.2/stands}, {@code cup/1.2/leftG}, {@code
 * mix/1/thicks}, {@code pour/1.1.1/grams}, {@code pour/1.1.1/spareMinutes}, {@code
 * batch/1/ratioPercent}, {@code batch/1/A}, {@code run/spareMinutes}, {@code run/lateMinutes} and
 * {@code run/allG}.
 */
final class RunHow {
  private static final String CLOCK = "clock";
  private static final String MIN = "min";
  private static final String G = "g";

  /** Two figures that differ by less are the same, of any unit. */
  private static final double SAME = 1e-6;

  private static final double SAME_MINUTES = 0.05;

  private final BenchMoment bench;
  private final RunState state;
  private final Laid laid;
  private final AsRun record;
  private final Function<String, Optional<Derivation>> planned;
  private final List<Derivation.Input> inputs = new ArrayList<>();

  /**
   * @param planned how a figure of the plan came about
   */
  RunHow(BenchMoment bench, Replan replan, Function<String, Optional<Derivation>> planned) {
    this.bench = bench;
    this.laid = replan.laid();
    this.state = new Telling(bench, replan).state();
    this.record = new LookBack(bench, replan).asRun();
    this.planned = planned;
  }

  /** Empty for what is no figure of this run. */
  Optional<Derivation> of(String quantity) {
    int first = quantity.indexOf('/');
    int last = quantity.lastIndexOf('/');
    if (first < 0) {
      return Optional.empty();
    }
    String what = quantity.substring(last + 1);
    String which = first == last ? "" : quantity.substring(first + 1, last);
    Derivation made =
        switch (quantity.substring(0, first)) {
          case "step" -> step(quantity, which, what);
          case "cup" -> CupId.read(which).map(c -> cup(quantity, c, what)).orElse(null);
          case "mix" -> mix(quantity, which);
          case "pour" -> PourId.read(which).map(p -> pour(quantity, p, what)).orElse(null);
          case "batch" -> batch(quantity, which, what);
          case "run" -> run(quantity, what);
          default -> null;
        };
    return Optional.ofNullable(made);
  }

  private void in(String name, @Nullable String subject, double value, String unit, Origin origin) {
    inputs.add(new Derivation.Input(name, subject, value, unit, origin, null, null));
  }

  /** A figure of the plan; it can be opened where the plan made anew comes to the same. */
  private void plan(String name, @Nullable String subject, double value, String unit, String at) {
    // Times are kept in whole seconds.
    double same = unit.equals(MIN) ? SAME_MINUTES : SAME;
    Derivation from =
        planned.apply(at).filter(d -> Math.abs(d.value() - value) < same).orElse(null);
    inputs.add(new Derivation.Input(name, subject, value, unit, Origin.WORKED_OUT, from, null));
  }

  private Derivation is(String quantity, double value, String unit, Formula formula) {
    return new Derivation(quantity, value, unit, formula, inputs, null);
  }

  private @Nullable Derivation step(String quantity, String id, String what) {
    RunState.Step step =
        state.steps().stream().filter(s -> s.taskId().text().equals(id)).findFirst().orElse(null);
    if (step == null) {
      return null;
    }
    return switch (what) {
      case "targetG" -> step.targetG() == null ? null : target(quantity, step, step.targetG());
      case "from" -> waits(quantity, step.taskId(), from(step));
      case "until" ->
          step.untilSeconds() == null ? null : ends(quantity, step, step.untilSeconds());
      case "over" -> over(quantity, step);
      default -> null;
    };
  }

  /** What is due is due since its waits were over, however late somebody looks. */
  private int from(RunState.Step step) {
    Integer since = step.notBeforeSeconds();
    return since != null && step.startSeconds() <= bench.now ? since : step.startSeconds();
  }

  private @Nullable Derivation target(String quantity, RunState.Step step, double grams) {
    Batch batch = bench.planned(step.batch());
    Cup cup = step.cupId() == null ? null : bench.plannedCup(step.cupId());
    return switch (step.kind()) {
      case WEIGH_FIRST -> {
        part(batch, aFirst(batch));
        yield is(quantity, grams, G, Formula.AS_PLANNED);
      }
      case WEIGH_SECOND -> second(quantity, batch, grams);
      case SPLIT -> cup == null ? null : share(quantity, batch, cup, grams);
      case POUR -> cup == null ? null : fromCup(quantity, cup, step.pourId(), grams);
      default -> null;
    };
  }

  private static boolean aFirst(Batch batch) {
    return batch.measuring().firstPart() == Habits.FirstPart.A;
  }

  private void part(Batch batch, boolean a) {
    String name = a ? "A" : "B";
    double grams = (a ? batch.measuring().partA() : batch.measuring().partB()).massG();
    plan("planned", name, grams, G, Place.of(batch) + "/part" + name + "/massG");
  }

  private Derivation second(String quantity, Batch batch, double grams) {
    boolean aFirst = aFirst(batch);
    part(batch, !aFirst);
    part(batch, aFirst);
    int number = batch.number();
    double in = aFirst ? bench.account.inAG(number) : bench.account.inBG(number);
    if (in > 0) {
      Origin origin = told(BenchMoment.task(batch, Task.Kind.WEIGH_FIRST));
      in("in the cup", aFirst ? "A" : "B", in, G, origin);
    }
    return is(quantity, grams, G, Formula.FITS_THE_FIRST);
  }

  private Derivation share(String quantity, Batch batch, Cup cup, double grams) {
    boolean whole = !batch.mixing().tintedWhole().isEmpty();
    double planned = whole ? cup.amounts().contentG() : cup.amounts().resinG();
    String at = Place.of(cup) + (whole ? "/contentG" : "/resinG");
    plan("planned", cup.colour().name(), planned, G, at);
    double share = bench.account.share(batch) * 100;
    in("of what was planned there is", null, share, "%", Origin.WORKED_OUT);
    return is(quantity, grams, G, Formula.SHARE_OF_BATCH);
  }

  private @Nullable Derivation fromCup(
      String quantity, Cup cup, @Nullable PourId id, double grams) {
    Cup.Pour pour = pour(cup, id);
    if (pour == null) {
      return null;
    }
    plan("planned", null, pour.massG(), G, new Place.OfPour(pour.id()) + "/massG");
    // What its cup still has says nothing of a pour that is made, or will not be.
    if (!bench.open(BenchMoment.pourTask(pour))) {
      return is(quantity, grams, G, Formula.AS_PLANNED);
    }
    inCup(cup);
    return is(quantity, grams, G, Formula.WHAT_IS_THERE);
  }

  private Origin told(TaskId task) {
    History.Done done = bench.history.done.get(task);
    return done != null && done.grams() != null ? Origin.MEASURED : Origin.CHOSEN;
  }

  private static Cup.@Nullable Pour pour(Cup cup, @Nullable PourId id) {
    return cup.pours().stream().filter(p -> p.id().equals(id)).findFirst().orElse(null);
  }

  /** What came into a cup, what went out of it, what was lost of it. */
  private void inCup(Cup cup) {
    double content = bench.account.contentG(cup.id());
    if (content <= 0) {
      plan(
          "planned in it",
          cup.colour().name(),
          cup.amounts().contentG(),
          G,
          Place.of(cup) + "/contentG");
      return;
    }
    double out = bench.account.contentG(cup.id()) - bench.account.leftG(cup.id());
    double lost = bench.account.lostG(cup.id());
    in("came into it", cup.colour().name(), content, G, Origin.WORKED_OUT);
    in("poured out of it", null, out - lost, G, Origin.WORKED_OUT);
    if (lost > 0) {
      in("lost out of it", null, lost, G, Origin.WORKED_OUT);
    }
  }

  /** What a step waits for. */
  private Derivation waits(String quantity, TaskId id, int value) {
    for (Laid.Wait wait : laid.waits(id)) {
      // Of what merely comes before it only the last is worth a line.
      if (wait.lag().why() != Lag.Why.ORDER || wait.from() >= value - 1) {
        in(wait, "no sooner after it than", wait.from());
      }
    }
    return is(quantity, value, CLOCK, Formula.WAITS_FOR);
  }

  /** When a wait is over, or a step was told to be done. */
  private @Nullable Derivation over(String quantity, RunState.Step step) {
    return switch (step.status()) {
      case RUNNING -> {
        double minutes = (step.endSeconds() - step.startSeconds()) / 60.0;
        in("begins", null, step.startSeconds(), CLOCK, Origin.WORKED_OUT);
        in("takes", null, minutes, MIN, Origin.WORKED_OUT);
        yield is(quantity, step.endSeconds(), CLOCK, Formula.TAKES_SO_LONG);
      }
      case DONE -> {
        in("told", null, step.endSeconds(), CLOCK, Origin.CHOSEN);
        yield is(quantity, step.endSeconds(), CLOCK, Formula.TOLD_THEN);
      }
      default -> null;
    };
  }

  /** Until when a step has to begin; of a batch that is opened, by the layers that it goes onto. */
  private Derivation ends(String quantity, RunState.Step step, int value) {
    List<TaskId> whose =
        StillToDo.OPENS_A_BATCH.contains(step.kind())
            ? laid.tasks().stream()
                .filter(t -> t.kind() == Task.Kind.POUR && t.batch() == step.batch())
                .map(Task::id)
                .toList()
            : List.of(step.taskId());
    for (TaskId id : whose) {
      for (Laid.Wait wait : laid.waits(id)) {
        if (wait.until() != null && wait.until() == value) {
          in(wait, "no later after it than", wait.until());
        }
      }
    }
    if (inputs.isEmpty()) {
      in("its layer gives way until", null, value, CLOCK, Origin.WORKED_OUT);
    }
    return is(quantity, value, CLOCK, Formula.WINDOW_ENDS);
  }

  private void in(Laid.Wait wait, String name, int at) {
    in(name(wait.lag()), subject(wait.lag()), wait.moment(), CLOCK, Origin.WORKED_OUT);
    in(name, null, (at - wait.moment()) / 60.0, MIN, Origin.WORKED_OUT);
  }

  private static String name(Lag lag) {
    return switch (lag.clock()) {
      case CONTACT -> "A met B";
      case MIXED -> "mixed";
      case POURED -> "poured";
      case DONE, BEGINS -> "done before it";
    };
  }

  private @Nullable String subject(Lag lag) {
    if (lag.clock() == Lag.Clock.POURED) {
      return PourId.read(lag.of()).map(this::piece).orElse(null);
    }
    return lag.clock() == Lag.Clock.CONTACT || lag.clock() == Lag.Clock.MIXED
        ? "batch " + lag.of()
        : null;
  }

  private String piece(PourId pour) {
    return bench.run.plan().pieces().get(pour.line() - 1).mouldName();
  }

  private @Nullable Derivation cup(String quantity, CupId id, String what) {
    Cup cup = bench.plannedCup(id);
    if (cup == null) {
      return null;
    }
    if (what.equals("leftG")) {
      inCup(cup);
      return is(quantity, bench.account.leftG(id), G, Formula.STILL_IN_CUP);
    }
    Follows follows = laid.cups().get(id);
    if (follows == null) {
      return null;
    }
    boolean stands = what.equals("stands");
    if (!stands && !what.equals("thicks")) {
      return null;
    }
    in("A met B", "batch " + cup.batch(), follows.contactSeconds(), CLOCK, Origin.MEASURED);
    plan(
        "working time as planned",
        cup.colour().name(),
        (cup.times().thickensSeconds() - bench.planned(cup.batch()).times().contactSeconds())
            / 60.0,
        MIN,
        Place.of(cup) + "/workingTimeMinutes");
    in("in it", null, bench.account.leftG(id), G, Origin.WORKED_OUT);
    room();
    if (follows.temperatureC() != null) {
      in("the cup", null, follows.temperatureC(), "°C", Origin.MEASURED);
    }
    if (follows.times() != 1) {
      in("by its thermometer it lasts, times", null, follows.times(), "", Origin.MEASURED);
    }
    Integer told = bench.history.thick.get(id);
    if (told != null) {
      in("told to be thick", null, told, CLOCK, Origin.CHOSEN);
    }
    int value = stands ? laid.stands(follows).untilSeconds() : follows.thicksSeconds();
    return is(quantity, value, CLOCK, stands ? Formula.CUP_STANDS : Formula.CUP_THICKENS);
  }

  private void room() {
    List<RoomCourse.Reading> read = bench.history.room;
    if (read.isEmpty()) {
      in("room", null, bench.run.session().room().temperatureC(), "°C", Origin.CHOSEN);
    } else {
      in("room", null, read.getLast().temperatureC(), "°C", Origin.MEASURED);
      in("read", null, read.getLast().atSeconds(), CLOCK, Origin.MEASURED);
    }
  }

  private @Nullable Derivation mix(String quantity, String which) {
    for (Laid.Mix mix : laid.mixes()) {
      if (Integer.toString(mix.batch()).equals(which)) {
        in("A met B", "batch " + which, mix.contactSeconds(), CLOCK, Origin.MEASURED);
        in("in it", null, mix.massG(), G, Origin.WORKED_OUT);
        room();
        return is(quantity, mix.thicksSeconds(), CLOCK, Formula.CUP_STANDS);
      }
    }
    return null;
  }

  private @Nullable Derivation pour(String quantity, PourId id, String what) {
    AsRun.PourIn pour =
        record.pours().stream().filter(p -> p.pourId().equals(id)).findFirst().orElse(null);
    if (pour == null || pour.grams() == null || pour.atSeconds() == null) {
      return null;
    }
    double grams = pour.grams();
    int at = pour.atSeconds();
    return switch (what) {
      case "grams" -> {
        plan("planned", pour.colourName(), pour.plannedG(), G, new Place.OfPour(id) + "/massG");
        if (pour.weighed()) {
          in("on the scale", null, grams, G, Origin.MEASURED);
        }
        yield is(quantity, grams, G, Formula.AS_WEIGHED);
      }
      case "spareMinutes" -> {
        Follows follows = laid.cups().get(pour.cupId());
        if (follows == null || pour.spareSeconds() == null) {
          yield null;
        }
        int thick = follows.thicksSeconds();
        in("its cup was thick", pour.colourName(), thick, CLOCK, Origin.WORKED_OUT);
        in("poured", null, at, CLOCK, Origin.MEASURED);
        yield is(quantity, pour.spareSeconds() / 60.0, MIN, Formula.POUR_SPARE);
      }
      default -> null;
    };
  }

  private @Nullable Derivation batch(String quantity, String which, String what) {
    return record.batches().stream()
        .filter(b -> Integer.toString(b.number()).equals(which))
        .findFirst()
        .map(b -> batch(quantity, b, what))
        .orElse(null);
  }

  private @Nullable Derivation batch(String quantity, AsRun.BatchIn batch, String what) {
    return switch (what) {
      case "A", "B" -> {
        boolean a = what.equals("A");
        String at = "batch/" + batch.number() + "/part" + what + "/massG";
        plan("planned", what, a ? batch.plannedAG() : batch.plannedBG(), G, at);
        Double added = bench.history.added.get(batch.number() + "/" + what);
        if (added != null) {
          in("added later", what, added, G, Origin.MEASURED);
        }
        yield is(quantity, a ? batch.aG() : batch.bG(), G, Formula.AS_WEIGHED);
      }
      case "ratioPercent" -> {
        if (batch.ratioErrorPercent() == null) {
          yield null;
        }
        in("in the cup", "A", batch.aG(), G, Origin.WORKED_OUT);
        in("in the cup", "B", batch.bG(), G, Origin.WORKED_OUT);
        yield is(quantity, batch.ratioErrorPercent(), "%", Formula.RATIO_ERROR);
      }
      default -> null;
    };
  }

  private @Nullable Derivation run(String quantity, String what) {
    return switch (what) {
      case "spareMinutes" -> state.spareSeconds() == null ? null : spare(quantity);
      case "lateMinutes" -> late(quantity);
      case "allG" -> {
        Masses m = record.masses();
        in("resin", null, m.resinG(), G, Origin.WORKED_OUT);
        in("colour", null, m.colourG(), G, Origin.WORKED_OUT);
        in("into moulds", null, m.pouredG(), G, Origin.WORKED_OUT);
        in("left in cups", null, m.leftG(), G, Origin.WORKED_OUT);
        in("in mixing cups", null, m.staysG(), G, Origin.WORKED_OUT);
        in("lost", null, m.lostG(), G, Origin.WORKED_OUT);
        yield is(quantity, m.resinG() + m.colourG(), G, Formula.WHERE_IT_IS);
      }
      default -> null;
    };
  }

  private @Nullable Derivation spare(String quantity) {
    TaskId latest = laid.latest();
    Task task = laid.task(latest);
    Follows follows = task == null || task.cupId() == null ? null : laid.cups().get(task.cupId());
    if (task == null || follows == null || state.spareSeconds() == null) {
      return null;
    }
    String colour = follows.cup().colour().name();
    in("its cup is thick", colour, follows.thicksSeconds(), CLOCK, Origin.WORKED_OUT);
    String piece = latest.pour().map(this::piece).orElse(null);
    in("its pour ends", piece, task.endSeconds(), CLOCK, Origin.WORKED_OUT);
    return is(quantity, state.spareSeconds() / 60.0, MIN, Formula.RUN_SPARE);
  }

  private @Nullable Derivation late(String quantity) {
    Task last =
        laid.tasks().stream()
            .filter(t -> t.kind() == Task.Kind.POUR && bench.open(t.id()))
            .filter(t -> t.cupId() != null && laid.cups().containsKey(t.cupId()))
            .max(Comparator.comparingInt(Task::endSeconds))
            .orElse(null);
    if (last == null) {
      return null;
    }
    String piece = last.id().pour().map(this::piece).orElse(null);
    int planned = last.endSeconds() - state.lateSeconds();
    in("the last open pour ends", piece, last.endSeconds(), CLOCK, Origin.WORKED_OUT);
    in("planned for", null, planned, CLOCK, Origin.WORKED_OUT);
    return is(quantity, state.lateSeconds() / 60.0, MIN, Formula.RUN_LATE);
  }
}
