package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.HalvingRule;
import calmpour.core.habit.Habits;
import calmpour.core.plan.Planner;
import calmpour.core.plan.RandomSessions;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Session;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Tag;
import net.jqwik.api.domains.Domain;
import net.jqwik.api.domains.DomainContext;

/** Whatever is told of a run, in whatever order, some things always hold. */
@Tag("slow")
@Domain(RandomSessions.class)
@Domain(DomainContext.Global.class)
class RunProperties {
  // The rule of thumb costs next to nothing; what is held here does not depend on the model.
  private static final HalvingRule CURE = new HalvingRule();
  private static final RunReader RUNS = new RunReader(CURE);

  /** Every second one with a helper. */
  private static Run run(RandomSessions.Case each, long seed) {
    Habits habits = each.session().habits();
    Session session =
        each.session()
            .withHabits(
                habits.withPlanning(
                    habits.planning().withPairsOfHands(1 + (int) Math.floorMod(seed, 2L))));
    Plan plan = Samples.planner(CURE).plan(session, each.workshop());
    return new Run(
        session,
        Planner.snapshot(session, each.workshop()),
        plan,
        Instant.parse("2026-11-28T10:00:17Z"));
  }

  /** A maker who is sometimes hasty, sometimes away, and sometimes hits the wrong key. */
  private static final class Maker {
    private final Run run;
    private final Random random;
    private final List<RunEvent> events = new ArrayList<>();
    private Instant now;

    Maker(Run run, long seed) {
      this.run = run;
      this.random = new Random(seed);
      this.now = run.begunAt();
    }

    RunState state() {
      return RUNS.state(run, events, now);
    }

    /** What is next, mostly; else anything. */
    RunEvent next() {
      now = now.plusSeconds(random.nextInt(random.nextInt(12) == 0 ? 3_000 : 120));
      RunState state = state();
      String id = "e" + events.size();
      if (state.currentId() != null && random.nextInt(5) > 0) {
        boolean weighs = random.nextBoolean();
        Double target =
            state.steps().stream()
                .filter(s -> s.taskId().equals(state.currentId()))
                .findFirst()
                .orElseThrow()
                .targetG();
        Double grams = weighs && target != null ? (Double) (target * random.nextDouble(1.6)) : null;
        return new RunEvent(
            id, now, RunEvent.Kind.DONE, state.currentId().text(), grams, List.of(), null);
      }
      List<Task> tasks = run.plan().tasks();
      String any = tasks.get(random.nextInt(tasks.size())).id().text();
      List<Cup> cups = run.plan().batches().stream().flatMap(b -> b.cups().stream()).toList();
      String cup = cups.get(random.nextInt(cups.size())).id().toString();
      // The other screen was cut off, or somebody set the clock back.
      Instant at = random.nextInt(4) == 0 ? now.minusSeconds(random.nextInt(4_000)) : now;
      String before = events.isEmpty() ? "none" : events.get(random.nextInt(events.size())).id();
      return switch (random.nextInt(11)) {
        case 0 -> RunEvent.of(id, at, RunEvent.Kind.UNDONE, before);
        case 1 -> RunEvent.of(id, at, RunEvent.Kind.THICK, cup);
        case 2 -> RunEvent.of(id, at, RunEvent.Kind.AWAY, null);
        case 3 -> RunEvent.of(id, at, RunEvent.Kind.BACK, null);
        case 4 ->
            new RunEvent(
                id, at, RunEvent.Kind.ROOM, null, 12 + random.nextDouble(25), List.of(), null);
        case 5 ->
            new RunEvent(
                id, at, RunEvent.Kind.WARMTH, cup, 18 + random.nextDouble(60), List.of(), null);
        case 6 -> RunEvent.of(id, at, RunEvent.Kind.GIVEN_UP, any);
        case 7 -> RunEvent.of(id, at, RunEvent.Kind.DONE, random.nextBoolean() ? any : "no/such");
        case 8, 9 -> trouble(id, at, cups, cup, any);
        default ->
            new RunEvent(
                id, at, RunEvent.Kind.ADDED, "1/A", random.nextDouble(20), List.of(), null);
      };
    }

    private RunEvent trouble(String id, Instant at, List<Cup> cups, String cup, String any) {
      BenchTrouble.Kind[] kinds = BenchTrouble.Kind.values();
      BenchTrouble.Kind kind = kinds[random.nextInt(kinds.length)];
      List<Cup.Pour> pours = cups.stream().flatMap(c -> c.pours().stream()).toList();
      Cup.Pour pour = pours.get(random.nextInt(pours.size()));
      String of =
          kind
              + switch (kind) {
                case WRONG_COLOUR -> "/" + pour.id() + "/" + cup;
                case SPILLED, CUP_EMPTY, FELL_INTO_CUP, FOAM -> "/" + cup;
                case SPILLED_MIX -> "/1";
                case LEAKS, FELL_INTO_PIECE -> "/" + pour.id().into();
                case EMBED_FORGOTTEN -> "/" + any;
                case NOTE -> "";
              };
      List<BenchTrouble.Answer> answers = kind.answers();
      Double by = random.nextBoolean() ? (Double) random.nextDouble(40) : null;
      return new RunEvent(
          id,
          at,
          RunEvent.Kind.TROUBLE,
          of,
          by,
          List.of(answers.get(random.nextInt(answers.size())).name()),
          "a line");
    }
  }

  /** A rest told to be over before anything was mixed: mixing comes first all the same. */
  @Property(tries = 60, seed = "20261127")
  void aWaitToldToBeOverBringsNothingForward(@ForAll RandomSessions.Case each, @ForAll long seed) {
    Run run = run(each, seed);
    Maker maker = new Maker(run, seed);
    for (Task wait : run.plan().tasks()) {
      if (wait.kind() == Task.Kind.REST) {
        maker.events.add(
            RunEvent.of(wait.id() + "over", maker.now, RunEvent.Kind.DONE, wait.id().text()));
      }
    }
    Map<TaskId, RunState.Step> steps = new HashMap<>();
    maker.state().steps().forEach(s -> steps.put(s.taskId(), s));
    for (Task task : run.plan().tasks()) {
      RunState.Step step = steps.get(task.id());
      if (task.kind() == Task.Kind.SPLIT && step.status() == RunState.Status.TO_DO) {
        RunState.Step stirred = steps.get(TaskId.batch(task.batch(), Task.Kind.STIR));
        assertThat(step.startSeconds())
            .as(task.id().text())
            .isGreaterThanOrEqualTo(stirred.endSeconds());
      }
    }
  }

  @Property(tries = 12, seed = "20261126")
  void nothingIsLostAndNothingGelledIsOffered(@ForAll RandomSessions.Case each, @ForAll long seed) {
    Maker maker = new Maker(run(each, seed), seed);
    int most = Math.min(60, maker.run.plan().tasks().size() + 10);
    for (int i = 0; i < most; i++) {
      maker.events.add(maker.next());
      RunState state = maker.state();
      holds(maker.run, maker.events, state);
      assertThat(maker.state()).as("the same again").isEqualTo(state);
    }
  }

  @Property(tries = 6, seed = "20261126")
  void takingBackRestoresExactly(@ForAll RandomSessions.Case each, @ForAll long seed) {
    Maker maker = new Maker(run(each, seed), seed);
    for (int i = 0; i < 25; i++) {
      RunEvent next = maker.next();
      RunState before = maker.state();
      boolean again =
          next.kind() == RunEvent.Kind.DONE
              && maker.events.stream()
                  .anyMatch(e -> e.kind() == RunEvent.Kind.DONE && e.of().equals(next.of()));
      maker.events.add(next);
      if (next.kind() != RunEvent.Kind.UNDONE && !again) {
        List<RunEvent> back = new ArrayList<>(maker.events);
        back.add(RunEvent.of("back", maker.now, RunEvent.Kind.UNDONE, next.id()));
        assertThat(RUNS.state(maker.run, back, maker.now)).isEqualTo(before);
      }
      // Telling it twice is telling it once.
      List<RunEvent> twice = new ArrayList<>(maker.events);
      twice.add(next);
      assertThat(RUNS.state(maker.run, twice, maker.now)).isEqualTo(maker.state());
    }
  }

  private static void holds(Run run, List<RunEvent> events, RunState state) {
    Masses masses = state.masses();
    assertThat(masses.pouredG() + masses.leftG() + masses.staysG() + masses.lostG())
        .isCloseTo(masses.resinG() + masses.colourG(), within(1e-6));
    assertThat(masses.pouredG()).isGreaterThanOrEqualTo(0);
    assertThat(masses.leftG()).isGreaterThanOrEqualTo(-1e-9);
    assertThat(masses.lostG()).isGreaterThanOrEqualTo(0);
    assertThat(masses.staysG()).isGreaterThanOrEqualTo(-1e-9);
    assertThat(masses.resinG()).isCloseTo(weighed(run, events), within(1e-6));
    Map<CupId, RunState.CupNow> cups = new HashMap<>();
    state.cups().forEach(c -> cups.put(c.cupId(), c));
    Set<TaskId> seen = new HashSet<>();
    for (RunState.Step step : state.steps()) {
      assertThat(seen.add(step.taskId())).as("once: %s", step.taskId()).isTrue();
      RunState.CupNow cup = step.cupId() == null ? null : cups.get(step.cupId());
      if (step.kind() == Task.Kind.POUR && step.status() == RunState.Status.TO_DO && cup != null) {
        assertThat(cup.state()).as("offered from %s", cup).isNotEqualTo(RunState.CupState.GELLED);
        assertThat(cup.hot()).isFalse();
      }
      if (step.status() == RunState.Status.TO_DO && step.hands()) {
        assertThat(step.startSeconds()).isGreaterThanOrEqualTo(state.atSeconds());
      }
    }
    // One pair of hands does one thing at a time.
    int[] busy = new int[2];
    Map<CupId, Integer> atCup = new HashMap<>();
    for (RunState.Step step : state.steps()) {
      if (step.status() == RunState.Status.TO_DO && step.hands()) {
        assertThat(step.startSeconds()).isGreaterThanOrEqualTo(busy[step.pair()]);
        busy[step.pair()] = step.endSeconds();
        if (step.cupId() != null) {
          assertThat(step.startSeconds())
              .as("two at %s", step.cupId())
              .isGreaterThanOrEqualTo(atCup.getOrDefault(step.cupId(), 0));
          atCup.put(step.cupId(), step.endSeconds());
        }
      }
    }
  }

  /** What was told of the scale, added up by itself. */
  private static double weighed(Run run, List<RunEvent> events) {
    Set<String> back = new HashSet<>();
    List<RunEvent> stand = new ArrayList<>();
    for (RunEvent event : events) {
      if (event.kind() == RunEvent.Kind.UNDONE) {
        RunEvent of =
            stand.stream().filter(e -> e.id().equals(event.of())).findFirst().orElse(null);
        if (of != null && of.kind() == RunEvent.Kind.DONE) {
          stand.stream()
              .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of().equals(of.of()))
              .forEach(e -> back.add(e.id()));
        } else if (of != null) {
          back.add(of.id());
        }
        stand.removeIf(e -> back.contains(e.id()));
      } else {
        stand.add(event);
      }
    }
    stand.sort(java.util.Comparator.comparing(RunEvent::at));
    double all = 0;
    for (Batch batch : run.plan().batches()) {
      boolean aFirst = batch.measuring().firstPart() == Habits.FirstPart.A;
      double plannedFirst =
          (aFirst ? batch.measuring().partA() : batch.measuring().partB()).massG();
      double plannedSecond =
          (aFirst ? batch.measuring().partB() : batch.measuring().partA()).massG();
      RunEvent first = first(stand, "batch/" + batch.number() + "/WEIGH_FIRST");
      RunEvent second = first(stand, "batch/" + batch.number() + "/WEIGH_SECOND");
      double inFirst = first == null ? 0 : first.value() == null ? plannedFirst : first.value();
      double inSecond = 0;
      if (second != null) {
        inSecond =
            second.value() != null
                ? second.value()
                : inFirst > 0 ? plannedSecond / plannedFirst * inFirst : plannedSecond;
      }
      all += inFirst + inSecond;
    }
    return all
        + stand.stream()
            .filter(e -> e.kind() == RunEvent.Kind.ADDED)
            .mapToDouble(RunEvent::value)
            .sum();
  }

  private static RunEvent first(List<RunEvent> events, String task) {
    return events.stream()
        .filter(e -> e.kind() == RunEvent.Kind.DONE && e.of().equals(task))
        // Told again with a weight, the weight counts.
        .reduce((a, b) -> a.value() == null && b.value() != null ? b : a)
        .orElse(null);
  }
}
