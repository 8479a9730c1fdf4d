package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.derive.Origin;
import calmpour.core.design.Layer;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Cup;
import calmpour.core.run.Corrections;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.OwnCount;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "What a drop or a scoop is". */
class DosedTest {
  private static final Colour BLUE =
      new Colour("blue", "Harbour", "#335577", List.of(new Colour.Part("tint", 1.5)));
  private static final Run RUN = run();

  private static Run run() {
    Workshop shop =
        Samples.workshop(Samples.slow(), List.of(Samples.mould("push", 8, 10.0)), List.of(BLUE));
    Session session =
        Samples.session(List.of(new Piece("push", 5, List.of(new Layer("blue", null, null)))));
    WorkedPlan worked = Samples.planner().work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  private static Cup cup() {
    return RUN.plan().batches().getFirst().cups().getFirst();
  }

  private static Cup.Dose dose() {
    return cup().tint().doses().getFirst();
  }

  private static RunEvent weighed(String id, double grams) {
    return new RunEvent(
        id,
        RUN.begunAt().plusSeconds(600),
        RunEvent.Kind.DOSED,
        cup().id() + "/tint",
        grams,
        List.of(),
        null);
  }

  private static Colourant tint() {
    return RUN.workshop().colourants().stream()
        .filter(c -> c.id().equals("tint"))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aWeighedDoseSaysHowMuchHeavierADropIsWithinWhatTheScaleShows() {
    assertThat(dose().by()).isEqualTo(Dosing.By.COUNT);
    assertThat(Dosed.of(RUN, List.of())).isEmpty();
    double grams = 1.3 * dose().massG();
    List<Dosed> told = Dosed.of(RUN, List.of(weighed("a", 0.5), weighed("b", grams)));
    assertThat(told).hasSize(1);
    Dosed one = told.getFirst();
    // Weighed twice, the last one counts.
    assertThat(one.times()).isCloseTo(1.3, within(1e-9));
    double half = RUN.session().habits().scaleDivisionG() / 2;
    assertThat(one.lowest() * dose().massG())
        .isCloseTo(Math.min(grams - half, grams * 0.95), within(1e-9));
    assertThat(one.highest() * dose().massG())
        .isCloseTo(Math.max(grams + half, grams * 1.05), within(1e-9));
    assertThat(one.looks()).isEqualTo(1);
  }

  @Test
  void whatWasTakenBackOrIsLessThanAScaleShowsSaysNothing() {
    List<RunEvent> events = new ArrayList<>(List.of(weighed("a", 1.3 * dose().massG())));
    events.add(RunEvent.of("u", RUN.begunAt().plusSeconds(700), RunEvent.Kind.UNDONE, "a"));
    assertThat(Dosed.of(RUN, events)).isEmpty();
    double half = RUN.session().habits().scaleDivisionG() / 2;
    assertThat(Dosed.of(RUN, List.of(weighed("a", half * 1.5)))).isEmpty();
    assertThat(Dosed.of(RUN, List.of(weighed("a", half * 2)))).hasSize(1);
    // A line that was told wrong counts as it was put right.
    RunEvent right =
        new RunEvent(
            "r",
            RUN.begunAt().plusSeconds(900),
            RunEvent.Kind.CORRECTED,
            "b",
            dose().massG(),
            List.of(),
            "misread");
    assertThat(Corrections.lines(RUN, List.of(weighed("b", 9)))).hasSize(1);
    assertThat(Dosed.of(RUN, List.of(weighed("b", 9), right)).getFirst().times())
        .isCloseTo(1, within(1e-9));
  }

  @Test
  void whatWasLearnedCountsUntilSomebodyTellsADropAnew() {
    OwnCount own = new OwnCount(1.3, 0.05, 4, LocalDate.EPOCH, tint().toldG());
    Colourant taken = tint().withCount(own);
    assertThat(taken.knownDropG().value()).isCloseTo(1.3 * tint().toldG(), within(1e-12));
    assertThat(taken.knownDropG().origin()).isEqualTo(Origin.LEARNED);
    assertThat(taken.toldG()).isEqualTo(tint().toldG());
    // Fewer drops make the same grams.
    assertThat(taken.countedG()).isCloseTo(1.3 * tint().countedG(), within(1e-12));
    Colourant anew = taken.withDropG(0.02);
    assertThat(anew.learnedCount()).isNull();
    assertThat(anew.knownDropG().value()).isEqualTo(0.02);
    assertThat(taken.withCount(null).knownDropG()).isEqualTo(tint().knownDropG());
  }
}
