package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cup.OwnStays;
import calmpour.core.cup.Residue;
import calmpour.core.cure.HalvingRule;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What stays in cups, by cups of which it is known. */
class StayedTest {
  private static final Run RUN = run();

  private static Run run() {
    Workshop shop =
        Samples.workshop(
            Samples.slow(), List.of(Samples.mould("push", 8, 10.0)), List.of(Colour.CLEAR));
    Session session =
        Samples.session(
            List.of(new Piece("push", 5, List.of(new Layer(Colour.CLEAR.id(), null, null)))));
    WorkedPlan worked = Samples.planner().work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  private static Cup cup() {
    return RUN.plan().batches().getFirst().cups().getFirst();
  }

  private static RunEvent event(double at, RunEvent.Kind kind, String of, Double value) {
    return new RunEvent(
        kind + of, RUN.begunAt().plusSeconds((long) at), kind, of, value, List.of(), null);
  }

  /**
   * As planned, every pour weighed to what was planned but the last, which is weighed to so much.
   */
  private static List<RunEvent> asPlanned(double lastG) {
    List<RunEvent> events = new ArrayList<>();
    List<Cup.Pour> pours = cup().pours();
    for (Task task : RUN.plan().tasks()) {
      if (task.hands() && task.kind() != Task.Kind.READY && task.kind() != Task.Kind.DEMOULD) {
        Double grams = null;
        for (Cup.Pour pour : pours) {
          if (TaskId.pour(pour.id()).equals(task.id())) {
            grams = pour.equals(pours.getLast()) ? (Double) lastG : (Double) pour.massG();
          }
        }
        events.add(event(task.endSeconds(), RunEvent.Kind.DONE, task.id().text(), grams));
      }
    }
    return events;
  }

  private static List<Stayed> told(List<RunEvent> events) {
    return Stayed.of(
        RUN,
        new RunReader(new HalvingRule()).lookBack(RUN, events, RUN.begunAt().plusSeconds(200_000)));
  }

  private static double reckoned() {
    Residue told = cup().kind().told(RUN.session().habits());
    return told.alwaysG() + told.share() * cup().amounts().contentG();
  }

  @Test
  void aWeighedCupSaysHowMuchMoreStays() {
    List<RunEvent> events = asPlanned(cup().pours().getLast().massG());
    assertThat(told(events)).isEmpty();
    events.add(event(9_000, RunEvent.Kind.STAYED, cup().id().toString(), 1.4 * reckoned()));
    assertThat(told(events)).hasSize(1);
    assertThat(told(events).getFirst().times()).isCloseTo(1.4, within(0.01));
    assertThat(told(events).getFirst().kindId()).isEqualTo(cup().kind().id());
  }

  /** Empty before its last pour was full: what was in it and did not come out stayed. */
  @Test
  void aCupThatRanEmptySaysItToo() {
    double others =
        cup().pours().stream().mapToDouble(Cup.Pour::massG).sum() - cup().pours().getLast().massG();
    double last = cup().amounts().contentG() - 2 * reckoned() - others;
    List<RunEvent> events = asPlanned(last);
    String of = "CUP_EMPTY/" + cup().id();
    events.add(event(9_000, RunEvent.Kind.TROUBLE, of, null));
    assertThat(told(events)).hasSize(1);
    assertThat(told(events).getFirst().times()).isCloseTo(2, within(0.02));
    // What was also spilled from it did not stay: then it says nothing.
    events.add(8, event(8_000, RunEvent.Kind.TROUBLE, "SPILLED/" + cup().id(), 1.0));
    assertThat(told(events)).isEmpty();
  }

  @Test
  void whatWasLearnedCountsUntilSomebodyWeighsAnew() {
    CupKind kind = cup().kind().withOwn(new OwnStays(1.4, 0.05, 4, LocalDate.EPOCH, null));
    Residue told = cup().kind().residue(Habits.DEFAULT);
    assertThat(kind.residue(Habits.DEFAULT).alwaysG())
        .isCloseTo(1.4 * told.alwaysG(), within(1e-9));
    assertThat(kind.residue(Habits.DEFAULT).share()).isCloseTo(1.4 * told.share(), within(1e-9));
    CupKind weighed = kind.withStaysG(2.0);
    assertThat(weighed.residue(Habits.DEFAULT)).isEqualTo(new Residue(2, 0));
    assertThat(weighed.learned()).isNull();
  }
}
