package calmpour.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.EngineModel;
import calmpour.core.cure.HalvingRule;
import calmpour.core.cure.WorkingTimes;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Planning;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.util.List;
import java.util.Random;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

/** How sure a plan is: the table behind it, and the runs. */
class ChanceTest {
  /** Between the points of its grid the table is within 2 % of the engine itself. */
  @Test
  void theTableIsNearTheEngine() {
    EngineModel engine = new EngineModel();
    Random random = new Random(20_261_126);
    double worst = 0;
    CupKind tall = new CupKind("t", "Tall", CupKind.Use.EITHER, 40, 52, 70);
    CupKind wide = new CupKind("w", "Wide", CupKind.Use.EITHER, 90, 110, 60);
    for (int i = 0; i < 60; i++) {
      double potLife = 12 + random.nextInt(60);
      ResinSystem resin = Samples.resin(ResinKind.CASTING, potLife, 100, 23, null);
      boolean high = random.nextBoolean();
      CupKind cup = high ? tall : wide;
      // Up to large, hot cups that end by their warmth, not by their thickness.
      double massG = 8 + random.nextInt(high ? 80 : 300);
      double roomC = 18 + random.nextInt(12);
      BodyHistory body =
          new BodyHistory(
              roomC, List.of(new BodyHistory.Segment(0, massG, cup.holding(massG / 1.1), roomC)));
      WorkingTimes table = engine.workingTimes(resin, body);
      double off = -3 + 6 * random.nextDouble();
      double label = 0.7 + 0.6 * random.nextDouble();
      ResinSystem other = Samples.resin(ResinKind.CASTING, potLife * label, 100, 23, null);
      double direct = engine.states(other, body.warmer(off)).workingTimeEnds().minutes();
      worst = Math.max(worst, Math.abs(table.minutes(off, label) / direct - 1));
    }
    assertThat(worst).isLessThan(0.03);
  }

  /**
   * One cup, one pour: its chance by integrating two normal distributions (Hipparchus) over label,
   * room and hands.
   */
  @Test
  void oneCupIsAsLikelyAsTheIntegralSays() {
    for (double potLife : new double[] {13.0, 14.5, 16.0}) {
      ResinSystem resin = Samples.resin(ResinKind.CASTING, potLife, 100, 22, null);
      Workshop workshop =
          Samples.workshop(resin, List.of(Samples.mould("knob", 60, 50.0)), List.of(Colour.CLEAR));
      Session session =
          Samples.session(
              List.of(new Piece("knob", 1, List.of(new Layer("clear", null, null)))),
              null,
              Habits.DEFAULT.withPlanning(new Planning(50, 1)));
      Plan plan = Samples.planner().plan(session, workshop);
      Batch batch = plan.batches().get(0);
      Cup cup = batch.cups().get(0);
      assertThat(batch.split()).isFalse();
      // From the first contact: second part, stirring, rest, one pour.
      double rest = session.habits().restMinutes() * 60;
      double[] hands = {
        60, 3 * 60, cup.pours().get(0).endSeconds() - cup.pours().get(0).startSeconds()
      };
      double sum = 0;
      double squares = 0;
      for (double each : hands) {
        sum += each;
        squares += each * each;
      }
      double sd = Math.sqrt(0.5 * sum * sum + 0.5 * squares) / 6;
      NormalDistribution ends = new NormalDistribution(rest + sum, sd);
      double usual = cup.times().thickensSeconds() - batch.times().contactSeconds();
      NormalDistribution unit = new NormalDistribution();
      double chance = 0;
      int steps = 200;
      for (int l = 0; l < steps; l++) {
        for (int r = 0; r < steps; r++) {
          double label = 1 + 0.075 * unit.inverseCumulativeProbability((l + 0.5) / steps);
          double room = 0.75 * unit.inverseCumulativeProbability((r + 0.5) / steps);
          double window = usual * label * Math.pow(2, -room / HALVES_EVERY_C);
          chance += ends.cumulativeProbability(window) / steps / steps;
        }
      }
      // 2,000 runs of one in two are right to 1.1 %; three times that.
      assertThat(plan.chance().percent()).isCloseTo(100 * chance, within(3.3));
      assertThat(plan.chance().runs()).isEqualTo(2_000);
    }
  }

  /** The rule of thumb that the sample planner goes by. */
  private static final double HALVES_EVERY_C = 10;

  @Test
  void aSurerPlanTakesMoreBatchesOrCupsAndIsSurer() {
    ResinSystem resin = Samples.resin(ResinKind.CASTING, 16, 100, 22, null);
    Workshop workshop =
        Samples.workshop(
            resin,
            List.of(Samples.mould("knob", 12, 30.0)),
            List.of(new Colour("a", "A", "#334455", List.of(new Colour.Part("tint", 2)))));
    double before = 0;
    int batches = 0;
    boolean more = false;
    for (double sure : new double[] {50, 80, 95, 99.5}) {
      Session session =
          Samples.session(
              List.of(new Piece("knob", 14, List.of(new Layer("a", null, null)))),
              null,
              Habits.DEFAULT.withPlanning(new Planning(sure, 1)));
      Plan plan = Samples.planner(new HalvingRule()).plan(session, workshop);
      assertThat(plan.chance().percent()).isGreaterThanOrEqualTo(Math.max(sure, before) - 1e-9);
      assertThat(plan.batches().size()).isGreaterThanOrEqualTo(batches);
      more |= batches > 0 && plan.batches().size() > batches;
      before = plan.chance().percent() > 99 ? before : plan.chance().percent();
      batches = plan.batches().size();
    }
    assertThat(more).as("more batches for more certainty").isTrue();
  }
}
