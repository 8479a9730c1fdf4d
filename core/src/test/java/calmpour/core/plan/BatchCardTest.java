package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.design.Layer;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.bench.BatchCard;
import calmpour.core.plan.bench.Fillers;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.resin.MixRatio;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.domains.Domain;
import org.junit.jupiter.api.Test;

@Domain(RandomSessions.class)
class BatchCardTest {
  private final Planner planner = Samples.planner();

  /** Reading the card aloud at the scale gives the batch of the plan, in the plan's order. */
  @Property(tries = 80, seed = "20261123")
  void theCardIsThePlanReadAloud(@ForAll RandomSessions.Case given) {
    WorkedPlan worked = planner.work(given.session(), given.workshop());
    for (Batch batch : worked.plan().batches()) {
      BatchCard card = worked.card(batch.number()).orElseThrow();
      double shows = 0;
      int before = 0;
      double split = 0;
      for (BatchCard.CardStep step : card.steps()) {
        assertThat(step.startSeconds()).isGreaterThanOrEqualTo(before);
        before = step.endSeconds();
        switch (step.kind()) {
          case WEIGH_FIRST, WEIGH_SECOND -> {
            shows += step.addG();
            assertThat(step.scaleShowsG()).isCloseTo(shows, within(1e-6));
          }
          case SPLIT -> split += step.addG();
          default -> assertThat(step.kind()).isNotNull();
        }
      }
      assertThat(shows).isCloseTo(batch.measuring().totalG(), within(1e-6));
      double withStock =
          batch.cups().stream()
              .flatMap(c -> c.tint().doses().stream())
              .filter(d -> d.stock() != null)
              .mapToDouble(d -> d.stock().resinWithItG())
              .sum();
      assertThat(split)
          .isCloseTo(
              batch.split() ? shows + tinted(batch) - batch.mixing().staysG() - withStock : 0,
              within(1e-6));
      for (BatchCard.Leftover left : card.leftovers()) {
        assertThat(left.leftMl()).isPositive();
      }
    }
    assertThat(worked.card(0)).isEmpty();
  }

  private static double tinted(Batch batch) {
    return batch.mixing().tintedWhole().stream().mapToDouble(Cup.Dose::massG).sum();
  }

  /**
   * Fillers by hand for 10 mL: two of 4.9 leave 0.2, one of 9 leaves 1, none of 11; wet ones wait.
   */
  @Test
  void theFillerThatLeavesLeastComesFirst() {
    Mould nine = Samples.mould("nine", 9, 20.0);
    Mould pair = Samples.mould("pair", 4.9, 20.0);
    Mould two =
        new Mould(
            "pair",
            "Pair",
            List.of(
                new calmpour.core.mould.Cavity(
                    "main", "Main", 2, pair.cavities().get(0).measure(), null, null, null, null)),
            null,
            null);
    Mould wet =
        new Mould(
            "wet",
            "Wet",
            Samples.mould("wet", 10, 20.0).cavities(),
            null,
            new MouldState(1, null, null, null, false, null));
    Mould rough = Mould.told("rough", "Rough", 9.5, 20.0, 10.0);
    Workshop workshop =
        Samples.workshop(
            Samples.resin(2, 1, MixRatio.Basis.WEIGHT),
            List.of(
                nine,
                two,
                wet,
                rough,
                Samples.mould("eleven", 11, 20.0),
                Samples.mould("on", 10, 20.0)),
            List.of(Colour.CLEAR));
    Session session =
        Samples.session(List.of(new Piece("on", 1, List.of(new Layer("clear", null, null)))));
    assertThat(Fillers.of(session, workshop, 10, 600, 5))
        .extracting(Fillers.Filler::mouldId)
        .containsExactly("pair", "nine");
    assertThat(Fillers.of(session, workshop, 10, 600, 5).get(0).leavesMl())
        .isCloseTo(0.2, within(1e-9));
  }
}
