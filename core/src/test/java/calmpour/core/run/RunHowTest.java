package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.derive.Derivation;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is opened of a figure of the bench comes to that figure, worked out here by hand. */
class RunHowTest extends Evening {
  private static final WorkedPlan PLANNED =
      Samples.planner(CURE).work(RUN.session(), RUN.workshop());

  private Derivation how(String of) {
    return asked(of).orElseThrow(() -> new AssertionError(of));
  }

  private Optional<Derivation> asked(String of) {
    return RUNS.how(RUN, events, now, of, PLANNED::explain);
  }

  private static double in(Derivation of, String name, String subject) {
    return of.inputs().stream()
        .filter(i -> i.name().equals(name) && (subject == null || subject.equals(i.subject())))
        .findFirst()
        .orElseThrow(() -> new AssertionError(name + " in " + of))
        .value();
  }

  @Test
  void theSecondPartFitsWhatIsInOfTheFirst() {
    upTo(Task.Kind.WEIGH_SECOND);
    RunEvent first = events.getLast();
    double planned = step(state(), first.of()).targetG();
    events.set(events.size() - 1, first.withValue(planned + 5));
    Derivation second = how("step/batch/1/WEIGH_SECOND/targetG");
    assertThat(second.formula()).isEqualTo(Formula.FITS_THE_FIRST);
    String firstPart = batch().measuring().firstPart().name();
    String other = firstPart.equals("A") ? "B" : "A";
    assertThat(in(second, "in the cup", firstPart)).isCloseTo(planned + 5, within(1e-9));
    assertThat(second.value())
        .isCloseTo(
            in(second, "planned", other)
                * in(second, "in the cup", firstPart)
                / in(second, "planned", firstPart),
            within(1e-9));
    // What was weighed says so, and what the plan had can be opened in turn.
    assertThat(second.inputs())
        .filteredOn(i -> i.name().equals("in the cup"))
        .allMatch(i -> i.origin() == Origin.MEASURED);
    assertThat(second.inputs().getFirst().from()).isNotNull();
    assertThat(second.inputs().getFirst().from().quantity())
        .isEqualTo("batch/1/part" + other + "/massG");
  }

  @Test
  void aWaitIsOverWhenItBeganAndItsMinutes() {
    upTo(Task.Kind.SPLIT);
    RunState.Step rest =
        state().steps().stream()
            .filter(s -> s.kind() == Task.Kind.REST && s.status() == RunState.Status.RUNNING)
            .findFirst()
            .orElseThrow();
    Derivation over = how("step/" + rest.taskId() + "/over");
    assertThat(over.value())
        .isEqualTo(in(over, "begins", null) + in(over, "takes", null) * 60, within(1e-6));
    assertThat(in(over, "takes", null)).isEqualTo(RUN.session().habits().restMinutes());
    TaskId stirred =
        state().steps().stream()
            .filter(s -> s.kind() == Task.Kind.STIR)
            .findFirst()
            .orElseThrow()
            .taskId();
    assertThat(how("step/" + stirred + "/over").value()).isEqualTo(rest.startSeconds());
    assertThat(asked("step/" + state().currentId() + "/over")).isEmpty();
  }

  @Test
  void aCupsContentIsWhatCameInLessWhatWentOut() {
    upTo(Task.Kind.POUR);
    RunState.Step pour = step(state(), state().currentId());
    tell(RunEvent.Kind.DONE, pour.taskId(), pour.targetG() - 1);
    Derivation left = how("cup/" + pour.cupId() + "/leftG");
    assertThat(left.value())
        .isCloseTo(
            in(left, "came into it", null) - in(left, "poured out of it", null), within(1e-9));
    assertThat(in(left, "poured out of it", null)).isCloseTo(pour.targetG() - 1, within(1e-9));
    Derivation poured = how(pour.taskId() + "/grams");
    assertThat(in(poured, "on the scale", null)).isEqualTo(poured.value());
    Derivation spare = how(pour.taskId() + "/spareMinutes");
    assertThat(spare.value())
        .isCloseTo(
            (in(spare, "its cup was thick", null) - in(spare, "poured", null)) / 60, within(1e-9));
    Derivation all = how("run/allG");
    assertThat(all.value())
        .isCloseTo(
            in(all, "into moulds", null)
                + in(all, "left in cups", null)
                + in(all, "in mixing cups", null)
                + in(all, "lost", null),
            within(1e-6));
  }

  /** A reading is named with its moment, and what follows from it is what the screen says. */
  @Test
  void aCupsTimeNamesTheRoomThatWasRead() {
    upTo(Task.Kind.POUR);
    RunState.CupNow cup = state().cups().getFirst();
    assertThat(how("cup/" + cup.cupId() + "/stands").inputs())
        .filteredOn(i -> i.name().equals("room"))
        .singleElement()
        .matches(i -> i.origin() == Origin.CHOSEN);
    int read = state().atSeconds();
    tell(RunEvent.Kind.ROOM, null, 27.0);
    Derivation stands = how("cup/" + cup.cupId() + "/stands");
    assertThat(in(stands, "room", null)).isEqualTo(27);
    assertThat(in(stands, "read", null)).isEqualTo(read);
    assertThat(stands.value()).isEqualTo(state().cups().getFirst().standsUntilSeconds());
    Derivation spare = how("run/spareMinutes");
    assertThat(spare.value())
        .isCloseTo(
            (in(spare, "its cup is thick", null) - in(spare, "its pour ends", null)) / 60,
            within(1e-9));
  }

  @Test
  void whatIsNoFigureOfTheEveningCannotBeOpened() {
    upTo(Task.Kind.POUR);
    for (String none :
        List.of("", "step", "step/x/targetG", "cup/9.9/leftG", "run/x", "mix/7/thicks", "pour//")) {
      assertThat(asked(none)).as(none).isEmpty();
    }
  }
}
