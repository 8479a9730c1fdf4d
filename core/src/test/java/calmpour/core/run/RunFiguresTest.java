package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.HalvingRule;
import calmpour.core.derive.Derivation;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Every figure of an eventful evening comes to what its inputs make of it: worked out here from the
 * inputs alone, in the words that the screens have for each formula.
 */
class RunFiguresTest extends Evening {
  private static final Run ON_GEL = WindowsTest.run();
  private static final WorkedPlan PLANNED =
      Samples.planner(CURE).work(RUN.session(), RUN.workshop());
  private static final WorkedPlan ON_GEL_PLANNED =
      Samples.planner(CURE).work(ON_GEL.session(), ON_GEL.workshop());

  // What a figure comes to does not depend on the model; the rule of thumb costs next to nothing.
  private RunReader reader = new RunReader(new HalvingRule());
  private Run run = RUN;
  private WorkedPlan planned = PLANNED;
  private final Set<Formula> seen = EnumSet.noneOf(Formula.class);

  private Optional<Derivation> asked(String of) {
    return reader.how(run, events, now, of, planned::explain);
  }

  private Derivation how(String of) {
    Derivation its = asked(of).orElseThrow(() -> new AssertionError(of));
    assertThat(its.quantity()).isEqualTo(of);
    check(its);
    return its;
  }

  private RunState there() {
    return reader.state(run, events, now);
  }

  private int second() {
    return there().atSeconds();
  }

  private static Double in(Derivation of, String name) {
    return of.inputs().stream()
        .filter(i -> i.name().equals(name))
        .findFirst()
        .map(Derivation.Input::value)
        .orElse(null);
  }

  private static double orNone(Derivation of, String name) {
    Double value = in(of, name);
    return value == null ? 0 : value;
  }

  /** What is in a cup by the inputs: what came in less what went out, or what was planned. */
  private static double inCup(Derivation of) {
    Double filled = in(of, "planned in it");
    return filled != null
        ? filled
        : in(of, "came into it") - in(of, "poured out of it") - orNone(of, "lost out of it");
  }

  private void check(Derivation d) {
    seen.add(d.formula());
    List<Derivation.Input> inputs = d.inputs();
    for (Derivation.Input input : inputs) {
      if (input.name().startsWith("planned") && !input.name().equals("planned for")) {
        assertThat(input.from()).as("%s of %s can be opened", input.name(), d).isNotNull();
        assertThat(input.from().value()).isCloseTo(input.value(), within(1e-6));
      }
    }
    switch (d.formula()) {
      case AS_PLANNED -> assertThat(inputs).singleElement().satisfies(i -> is(d, i.value()));
      case FITS_THE_FIRST -> {
        Double first = in(d, "in the cup");
        is(d, inputs.get(0).value() * (first == null ? 1 : first / inputs.get(1).value()));
      }
      case SHARE_OF_BATCH -> is(d, in(d, "planned") * in(d, "of what was planned there is") / 100);
      case WHAT_IS_THERE -> is(d, Math.min(in(d, "planned"), inCup(d)));
      case STILL_IN_CUP -> is(d, inCup(d));
      case AS_WEIGHED -> {
        if (in(d, "on the scale") != null) {
          is(d, in(d, "on the scale"));
        }
      }
      case WAITS_FOR -> {
        double latest = 0;
        for (int i = 0; i + 1 < inputs.size(); i += 2) {
          assertThat(inputs.get(i + 1).name()).isEqualTo("no sooner after it than");
          latest = Math.max(latest, inputs.get(i).value() + inputs.get(i + 1).value() * 60);
        }
        assertThat(d.value()).as("%s", d).isGreaterThanOrEqualTo(latest - 1e-6);
      }
      case WINDOW_ENDS -> {
        if (inputs.size() == 1) {
          is(d, in(d, "its layer gives way until"));
        } else {
          for (int i = 0; i + 1 < inputs.size(); i += 2) {
            assertThat(inputs.get(i + 1).name()).isEqualTo("no later after it than");
            is(d, inputs.get(i).value() + inputs.get(i + 1).value() * 60);
          }
          assertThat(inputs).isNotEmpty();
        }
      }
      case TAKES_SO_LONG -> is(d, in(d, "begins") + in(d, "takes") * 60);
      case TOLD_THEN -> is(d, in(d, "told"));
      case POUR_SPARE -> is(d, (in(d, "its cup was thick") - in(d, "poured")) / 60);
      case RUN_SPARE -> is(d, (in(d, "its cup is thick") - in(d, "its pour ends")) / 60);
      case RUN_LATE -> is(d, (in(d, "the last open pour ends") - in(d, "planned for")) / 60);
      case WHERE_IT_IS -> {
        is(d, in(d, "resin") + in(d, "colour"));
        is(
            d,
            in(d, "into moulds") + in(d, "left in cups") + in(d, "in mixing cups") + in(d, "lost"));
      }
      // The resin's label says 2:1.
      case RATIO_ERROR -> is(d, (inputs.get(0).value() / inputs.get(1).value() / 2 - 1) * 100);
      case CUP_STANDS, CUP_THICKENS -> {
        assertThat(in(d, "A met B")).isNotNull();
        assertThat(in(d, "in it")).isPositive();
        assertThat(in(d, "room")).isNotNull();
        Double told = in(d, "told to be thick");
        assertThat(d.value()).isLessThanOrEqualTo(told == null ? Double.MAX_VALUE : told);
      }
      default -> throw new AssertionError(d);
    }
  }

  private static void is(Derivation d, double value) {
    assertThat(d.value()).as("%s", d).isCloseTo(value, within(1e-6));
  }

  /** Whatever the screens show at this moment. */
  private void everything() {
    RunState state = there();
    long done = state.steps().stream().filter(s -> s.status() == RunState.Status.DONE).count();
    for (RunState.Step step : state.steps().stream().skip(Math.max(0, done - 3)).toList()) {
      String its = "step/" + step.taskId();
      boolean open =
          step.status() == RunState.Status.TO_DO || step.status() == RunState.Status.RUNNING;
      if (step.targetG() != null) {
        is(how(its + "/targetG"), step.targetG());
      }
      if (step.untilSeconds() != null) {
        is(how(its + "/until"), step.untilSeconds());
      }
      if (open) {
        Derivation from = how(its + "/from");
        if (step.startSeconds() > state.atSeconds()) {
          is(from, step.startSeconds());
        } else {
          is(from, step.notBeforeSeconds());
        }
      }
      boolean over =
          step.status() == RunState.Status.DONE || step.status() == RunState.Status.RUNNING;
      assertThat(asked(its + "/over").isPresent()).isEqualTo(over);
      if (over) {
        is(how(its + "/over"), step.endSeconds());
      }
    }
    for (RunState.CupNow cup : state.cups()) {
      Derivation thicks = how("cup/" + cup.cupId() + "/thicks");
      is(thicks, cup.thicksSeconds());
      is(how("cup/" + cup.cupId() + "/stands"), cup.standsUntilSeconds());
      is(how("cup/" + cup.cupId() + "/leftG"), cup.leftG());
      assertThat(in(thicks, "A met B")).isEqualTo((double) cup.contactSeconds());
      assertThat(in(thicks, "in it")).isEqualTo(cup.leftG());
      assertThat(in(thicks, "the cup")).isEqualTo(cup.temperatureC());
    }
    for (RunState.MixNow mix : state.mixes()) {
      Derivation its = how("mix/" + mix.batch() + "/thicks");
      is(its, mix.thicksSeconds());
      assertThat(its.formula()).isEqualTo(Formula.CUP_STANDS);
      assertThat(in(its, "in it")).isEqualTo(mix.massG());
      assertThat(in(its, "A met B")).isEqualTo((double) mix.contactSeconds());
    }
    AsRun record = reader.lookBack(run, events, now);
    for (AsRun.PourIn pour : record.pours()) {
      String its = "pour/" + pour.pourId();
      assertThat(asked(its + "/grams").isPresent()).isEqualTo(pour.grams() != null);
      if (pour.grams() != null) {
        Derivation grams = how(its + "/grams");
        is(grams, pour.grams());
        assertThat(in(grams, "planned")).isEqualTo(pour.plannedG());
        assertThat(in(grams, "on the scale") != null).isEqualTo(pour.weighed());
        Derivation spare = how(its + "/spareMinutes");
        assertThat(in(spare, "poured")).isEqualTo((double) pour.atSeconds());
      }
    }
    for (AsRun.BatchIn batch : record.batches()) {
      is(how("batch/" + batch.number() + "/A"), batch.aG());
      is(how("batch/" + batch.number() + "/B"), batch.bG());
      if (batch.ratioErrorPercent() != null) {
        is(how("batch/" + batch.number() + "/ratioPercent"), batch.ratioErrorPercent());
      }
    }
    is(how("run/allG"), state.masses().resinG() + state.masses().colourG());
    assertThat(asked("run/spareMinutes").isPresent()).isEqualTo(state.spareSeconds() != null);
    if (state.spareSeconds() != null) {
      is(how("run/spareMinutes"), state.spareSeconds() / 60.0);
      Derivation late = how("run/lateMinutes");
      is(late, state.lateSeconds() / 60.0);
      double lastOpen =
          state.steps().stream()
              .filter(s -> s.kind() == Task.Kind.POUR && s.status() == RunState.Status.TO_DO)
              .filter(s -> state.cups().stream().anyMatch(c -> c.cupId().equals(s.cupId())))
              .mapToInt(RunState.Step::endSeconds)
              .max()
              .orElse(Integer.MIN_VALUE);
      if (state.cups().size() == run.plan().batches().getFirst().cups().size()) {
        assertThat(in(late, "the last open pour ends")).isEqualTo(lastOpen);
      }
    } else {
      assertThat(asked("run/lateMinutes")).isEmpty();
    }
  }

  private void done(TaskId task, Double grams) {
    now = now.plusSeconds(20);
    tell(RunEvent.Kind.DONE, task, grams);
  }

  private void told(RunEvent.Kind kind, Object of, Double value) {
    now = now.plusSeconds(5);
    tell(kind, of, value);
  }

  @Test
  void everyFigureOfAnEventfulEveningComesToItsInputs() {
    everything();
    // More of the first part than planned, too much of the second, put right by hand.
    TaskId first = there().currentId();
    done(first, step(there(), first).targetG() + 5);
    everything();
    TaskId second = there().currentId();
    double secondG = step(there(), second).targetG() * 1.06;
    done(second, secondG);
    RunState.RescueNow rescue = there().rescue();
    String part = rescue.rescue().addAG() > 0 ? "A" : "B";
    double added = Math.max(rescue.rescue().addAG(), rescue.rescue().addBG());
    told(RunEvent.Kind.ADDED, "1/" + part, added);
    assertThat(in(how("batch/1/" + part), "added later")).isEqualTo(added);
    assertThat(in(how("batch/1/" + (part.equals("A") ? "B" : "A")), "added later")).isNull();
    assertThat(Math.abs(how("batch/1/ratioPercent").value())).isLessThan(1);
    everything();

    for (TaskId next = there().currentId();
        !next.text().endsWith("/SPLIT");
        next = there().currentId()) {
      done(next, null);
    }
    everything();
    // One cup is filled as asked for; then a tenth of a batch is on the table.
    TaskId split = there().currentId();
    done(split, step(there(), split).targetG());
    double stays = there().masses().staysG();
    trouble("SPILLED_MIX/1", null, stays / 10);
    TaskId nextSplit = there().currentId();
    Derivation share = how("step/" + nextSplit + "/targetG");
    assertThat(share.formula()).isEqualTo(Formula.SHARE_OF_BATCH);
    assertThat(in(share, "of what was planned there is")).isCloseTo(90, within(1e-6));
    told(RunEvent.Kind.ROOM, null, 26.5);
    everything();
    while (!there().currentId().text().startsWith("pour/")) {
      done(there().currentId(), null);
    }
    assertThat(there().mixes()).isEmpty();

    // A pour is weighed, another not; a cup is knocked, one is warm, one is told to be thick.
    RunState.Step pour = step(there(), there().currentId());
    done(pour.taskId(), pour.targetG() - 1);
    done(there().currentId(), null);
    trouble("SPILLED/" + pour.cupId(), null, 2.5);
    assertThat(in(how("cup/" + pour.cupId() + "/leftG"), "lost out of it")).isEqualTo(2.5);
    assertThat(in(how("cup/" + pour.cupId() + "/leftG"), "poured out of it"))
        .isCloseTo(
            reader.lookBack(run, events, now).pours().stream()
                .filter(p -> p.cupId().equals(pour.cupId()) && p.grams() != null)
                .mapToDouble(AsRun.PourIn::grams)
                .sum(),
            within(1e-9));
    CupId other =
        batch().cups().stream()
            .map(Cup::id)
            .filter(c -> !c.equals(pour.cupId()))
            .findFirst()
            .orElseThrow();
    now = now.plusSeconds(900);
    everything();
    told(RunEvent.Kind.THICK, other, null);
    everything();
    assertThat(in(how("cup/" + other + "/thicks"), "told to be thick")).isEqualTo(second());
    assertThat(how("cup/" + other + "/thicks").value()).isEqualTo(second());
    while (there().currentId() != null) {
      done(there().currentId(), null);
    }
    everything();
    assertThat(seen)
        .contains(
            Formula.AS_PLANNED,
            Formula.FITS_THE_FIRST,
            Formula.SHARE_OF_BATCH,
            Formula.WHAT_IS_THERE,
            Formula.AS_WEIGHED,
            Formula.STILL_IN_CUP,
            Formula.CUP_THICKENS,
            Formula.CUP_STANDS,
            Formula.WAITS_FOR,
            Formula.TAKES_SO_LONG,
            Formula.TOLD_THEN,
            Formula.POUR_SPARE,
            Formula.RUN_SPARE,
            Formula.RUN_LATE,
            Formula.WHERE_IT_IS,
            Formula.RATIO_ERROR);
  }

  /** Only the model that heats itself says anything of a thermometer in a cup. */
  @Test
  void aWarmCupNamesWhatItsThermometerMakesOfItsTime() {
    reader = RUNS;
    upTo(Task.Kind.POUR);
    RunState.CupNow cup = there().cups().getFirst();
    told(RunEvent.Kind.WARMTH, cup.cupId(), cup.expectedC() + 6);
    Derivation thicks = how("cup/" + cup.cupId() + "/thicks");
    assertThat(in(thicks, "the cup")).isEqualTo(cup.expectedC() + 6);
    assertThat(in(thicks, "by its thermometer it lasts, times")).isBetween(0.5, 0.99);
    assertThat(how("cup/" + cup.cupId() + "/stands").value()).isLessThan(thicks.value());
  }

  /** A layer on gel waits for what lies below, and has to be there before that is too hard. */
  @Test
  void aLayerOnGelNamesWhatItWaitsForAndUntilWhen() {
    reader = RUNS;
    run = ON_GEL;
    planned = ON_GEL_PLANNED;
    now = run.begunAt();
    while (Evening.step(there(), there().currentId()).batch() == 1) {
      RunState.Step next = step(there(), there().currentId());
      now = run.begunAt().plusSeconds(Math.max(second(), next.endSeconds()));
      tell(RunEvent.Kind.DONE, next.taskId(), null);
    }
    everything();
    Derivation opens = how("step/batch/2/WEIGH_FIRST/until");
    assertThat(opens.formula()).isEqualTo(Formula.WINDOW_ENDS);
    assertThat(opens.inputs()).extracting(Derivation.Input::name).contains("poured");
    PourId onto = PourId.read("1.1.1").orElseThrow();
    Derivation pour = how("step/pour/1.1.2/from");
    assertThat(pour.inputs())
        .filteredOn(i -> i.name().equals("poured"))
        .singleElement()
        .satisfies(i -> {
          assertThat(i.subject()).isEqualTo("knob");
          assertThat(i.origin()).isEqualTo(Origin.WORKED_OUT);
          assertThat(i.value()).isEqualTo((double) step(there(), TaskId.pour(onto)).endSeconds());
        });
    Instant shut = run.begunAt().plusSeconds((long) opens.value() + 60);
    now = shut;
    everything();
    assertThat(seen).contains(Formula.WINDOW_ENDS, Formula.WAITS_FOR);
  }
}
