package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyHistory.Segment;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.EngineModel;
import calmpour.core.cure.TintShift;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Room;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.domains.Domain;
import org.junit.jupiter.api.Test;

/**
 * Plans with the cure engine behind them: what a plan says of its cups is told again from the plan
 * alone, by the words of the rule, not by the planner.
 */
class CuredPlanTest {
  private static final EngineModel ENGINE = new EngineModel();
  private static final Planner PLANNER = Samples.planner(ENGINE);

  @Property(tries = 40, seed = "20261126")
  @Domain(RandomSessions.class)
  void everyCupLastsAsLongAsWhatIsLeftInIt(@ForAll RandomSessions.Case made) {
    Plan plan = PLANNER.plan(made.session(), made.workshop());
    ResinSystem resin = made.workshop().resins().get(0);
    for (Batch batch : plan.batches()) {
      for (Cup cup : batch.cups()) {
        CureStates told = ENGINE.states(resin, emptied(made.session(), resin, batch, cup));
        assertThat(cup.times().thickensSeconds() - batch.times().contactSeconds())
            .as("cup " + cup.id())
            .isCloseTo((int) Math.floor(told.workingTimeEnds().minutes() * 60), within(1));
        assertThat(cup.times().gelsSeconds()).isGreaterThanOrEqualTo(cup.times().tooThickSeconds());
        assertThat(cup.times().tooThickSeconds())
            .isGreaterThanOrEqualTo(cup.times().thickensSeconds());
        assertThat(cup.follows().peak().mostC())
            .isGreaterThanOrEqualTo(cup.follows().peak().peakC());
      }
    }
  }

  /** Mixed in one cup until it is split; then its own, less every pour but the last. */
  private static BodyHistory emptied(Session session, ResinSystem resin, Batch batch, Cup cup) {
    double room = session.room().temperatureC();
    List<Segment> segments = new ArrayList<>();
    int from = batch.times().contactSeconds();
    if (batch.split()) {
      double wholeMl = batch.measuring().totalG() / resin.mixedDensity();
      segments.add(
          new Segment(
              (cup.times().filledSeconds() - from) / 60.0,
              batch.measuring().totalG(),
              in(batch.mixing().cup(), wholeMl),
              room));
      from = cup.times().filledSeconds();
    }
    TintShift tint =
        TintShift.of(
            cup.tint().solventPercent(),
            cup.tint().waterPercent(),
            0,
            cup.tint().inAll().weightOfMix());
    double left = cup.amounts().contentG();
    double density = cup.amounts().contentG() / cup.amounts().contentMl();
    List<Cup.Pour> pours = new ArrayList<>(cup.pours());
    pours.sort(java.util.Comparator.comparingInt(Cup.Pour::endSeconds));
    for (int i = 0; i < pours.size() - 1; i++) {
      int end = pours.get(i).endSeconds();
      segments.add(
          new Segment((end - from) / 60.0, left, in(cup.kind(), left / density), room)
              .tinted(tint));
      left -= pours.get(i).massG();
      from = end;
    }
    segments.add(new Segment(0, left, in(cup.kind(), left / density), room).tinted(tint));
    return new BodyHistory(batch.mixing().startC(), segments);
  }

  private static BodyShape in(CupKind kind, double volumeMl) {
    double level = kind.levelMm(volumeMl);
    double share = level / kind.heightMm();
    double top = kind.bottomWidthMm() * (1 - share) + kind.topWidthMm() * share;
    return new BodyShape.InCup(kind.bottomWidthMm(), top, level);
  }

  /** Damp air, a hot cup, a piece that never gets hard: each is told once, with its figure. */
  @Test
  void whatTheEngineSeesIsTold() {
    Workshop workshop =
        Samples.workshop(
            Samples.slow(), List.of(Samples.mould("m", 30, 25.0)), List.of(Colour.CLEAR));
    Session session =
        Samples.session(List.of(new Piece("m", 3, List.of(new Layer("clear", null, null)))));
    Session cold = session.withRoom(new Room(8, 75.0));
    Plan plan = PLANNER.plan(cold, workshop);
    assertThat(plan.findings())
        .extracting(Finding::rule)
        .contains(Finding.Rule.DAMP_AIR)
        .containsOnlyOnce(Finding.Rule.NEVER_FULLY_CURED);
  }
}
