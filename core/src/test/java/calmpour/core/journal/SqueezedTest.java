package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.design.Layer;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Task;
import calmpour.core.run.AsRun;
import calmpour.core.run.Evening;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "What a lid squeezes out". */
class SqueezedTest {
  private static final double SURPLUS_ML = 1.5;

  /** Resin of the samples: A 1.15 and B 1.01 g/mL, two to one by weight. */
  private static final double DENSITY = 3 / (2 / 1.15 + 1 / 1.01);

  private static final Run RUN = run();

  private static Run run() {
    MouldMake closed =
        new MouldMake(
                null,
                null,
                MouldMake.Opening.CLOSED,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                6)
            .withSurplusMl(SURPLUS_ML);
    Mould push = Samples.mould("push", 20, 10.0).withMake(closed);
    Workshop shop =
        Samples.workshop(
            Samples.resin(2, 1, calmpour.core.resin.MixRatio.Basis.WEIGHT),
            List.of(push, Samples.mould("knob", 20, 10.0)),
            List.of(Colour.CLEAR));
    Session session =
        Samples.session(
            List.of(
                new Piece("push", 2, List.of(new Layer(Colour.CLEAR.id(), null, null))),
                new Piece("knob", 1, List.of(new Layer(Colour.CLEAR.id(), null, null)))));
    WorkedPlan worked = Samples.planner().work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  private static RunEvent event(String id, RunEvent.Kind kind, String of, Double value) {
    return new RunEvent(id, RUN.begunAt().plusSeconds(9_000), kind, of, value, List.of(), null);
  }

  private static List<Squeezed> told(double beyondG, RunEvent... more) {
    List<RunEvent> events = new ArrayList<>();
    for (Task task : RUN.plan().tasks()) {
      if (task.hands() && task.kind().compareTo(Task.Kind.LID) < 0) {
        Double grams =
            RUN.plan().batches().stream()
                .flatMap(b -> b.cups().stream())
                .flatMap(c -> c.pours().stream())
                .filter(p -> beyondG != 0 && p.id().equals(task.pourId()))
                .map(p -> p.massG() + beyondG)
                .findFirst()
                .orElse(null);
        events.add(
            new RunEvent(
                task.id().text(),
                RUN.begunAt().plusSeconds(task.endSeconds()),
                RunEvent.Kind.DONE,
                task.id().text(),
                grams,
                List.of(),
                null));
      }
    }
    events.addAll(List.of(more));
    AsRun asRun = Evening.RUNS.lookBack(RUN, events, RUN.begunAt().plusSeconds(9_100));
    return Squeezed.of(RUN, events, asRun);
  }

  private static RunEvent squeezed(String id, String piece, double grams) {
    return event(id, RunEvent.Kind.SQUEEZED, piece, grams);
  }

  @Test
  void whatCameOutWasNotNeeded() {
    assertThat(RUN.plan().tasks()).anyMatch(t -> t.kind() == Task.Kind.LID);
    assertThat(told(0)).isEmpty();
    List<Squeezed> one = told(0, squeezed("a", "1.1", 1.1));
    assertThat(one).hasSize(1);
    assertThat(one.getFirst().mouldId()).isEqualTo("push");
    assertThat(one.getFirst().neededMl()).isCloseTo(SURPLUS_ML - 1.1 / DENSITY, within(1e-3));
    // The piece that needed most counts, and of a piece the last weight.
    List<Squeezed> two =
        told(0, squeezed("a", "1.1", 0.2), squeezed("b", "1.1", 1.1), squeezed("c", "1.2", 0.55));
    assertThat(two.getFirst().neededMl()).isCloseTo(SURPLUS_ML - 0.55 / DENSITY, within(1e-3));
    assertThat(two.getFirst().looks()).isEqualTo(2);
    // More went in than was planned: more of it was not needed.
    assertThat(told(0.3, squeezed("a", "1.1", 1.1)).getFirst().neededMl())
        .isCloseTo(SURPLUS_ML + (0.3 - 1.1) / DENSITY, within(1e-3));
    // All of it came out, and a little flash of the cap with it.
    assertThat(told(0, squeezed("a", "1.1", 4)).getFirst().neededMl()).isZero();
  }

  @Test
  void whatHasNoLidOrWasTakenBackSaysNothing() {
    assertThat(told(0, squeezed("a", "2.1", 1))).isEmpty();
    assertThat(told(0, squeezed("a", "9.1", 1))).isEmpty();
    assertThat(told(0, squeezed("a", "1.1", 1), event("u", RunEvent.Kind.UNDONE, "a", null)))
        .isEmpty();
  }

  @Test
  void isWhatWasEnoughOnNineOfTenEvenings() {
    List<Squeezed> evenings = new ArrayList<>();
    for (double ml : List.of(0.4, 0.5, 0.6)) {
      assertThat(evenings.size() < 3 || Squeezed.learn(evenings).enough()).isTrue();
      evenings.add(new Squeezed("push", ml, 2));
    }
    Squeezed.OfAll all = Squeezed.learn(evenings);
    assertThat(all.enough()).isTrue();
    assertThat(all.enoughMl()).isEqualTo(0.6);
    assertThat(all.middleMl()).isEqualTo(0.5);
    assertThat(all.looks()).isEqualTo(6);
    assertThat(Squeezed.learn(evenings.subList(0, 2)).enough()).isFalse();
  }
}
