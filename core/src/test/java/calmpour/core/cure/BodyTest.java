package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Pieces with a warm middle, and what drives itself, against closed forms and handbooks. */
class BodyTest {
  private static final Chemistry DEAD =
      new Chemistry(1, 2, 0.5, 55, -200, 270, 1.9, 0.6, 48, 1.6, 1.0);

  private static final Targets TARGETS = Calibration.of(calmpour.core.Samples.slow()).targets();

  private static BodyHistory still(double startC, double massG, BodyShape shape, double roomC) {
    return new BodyHistory(startC, List.of(new BodyHistory.Segment(0, massG, shape, roomC)));
  }

  /**
   * A plane wall cooling on both faces at Bi = 1: θ = C₁·e^(−ζ₁²Fo) in its middle, ζ₁ = 0.8603 and
   * C₁ = 1.1191. Incropera and DeWitt, Fundamentals of Heat and Mass Transfer, table 5.1, from
   * memory; ζ₁ tan ζ₁ = 1 and C₁ = 4 sin ζ₁/(2ζ₁ + sin 2ζ₁) are checked first.
   */
  @Test
  void aPlaneWallCoolsAsTheSeriesSays() {
    double zeta = 0.8603;
    double c1 = 1.1191;
    assertThat(zeta * Math.tan(zeta)).isCloseTo(1, within(1e-3));
    assertThat(4 * Math.sin(zeta) / (2 * zeta + Math.sin(2 * zeta))).isCloseTo(c1, within(1e-3));
    // 100 mm across, ten metres high: 4 W/m²K on both sides, half of it 50 mm, k = 0.2 W/mK.
    double across = 0.1;
    double depth = 10;
    double volume = 1;
    double floor = volume / depth;
    double sides = 2 * volume / across;
    BodyShape wall =
        new BodyShape.InMould(
            1e-9,
            (sides + floor) * 1e4,
            depth * 1_000,
            across * 1_000,
            BodyShape.Around.WOODEN_FORM);
    double massG = volume * 1.10e6;
    double roomC = 20;
    CureRun run = new CureEngine(DEAD).runThrough(still(60, massG, wall, roomC), 2_000);
    // The rubber round it takes its share at once, and is cooled with it from then on.
    double capacity = massG * 1.9 + 1.5e6 * 5e-3 * (sides + floor);
    double diffusivity = 0.2 / (capacity / volume);
    for (double minutes : new double[] {600, 1_000, 1_500, 2_000}) {
      double fourier = diffusivity * minutes * 60 / (0.05 * 0.05);
      double shared = massG * 1.9 / capacity;
      double theta = shared * c1 * Math.exp(-zeta * zeta * fourier);
      // The floor and the open end take a hundredth of it away as well.
      assertThat((run.at(minutes).temperatureC() - roomC) / 40)
          .as("after " + minutes + " min, Fo " + fourier)
          .isCloseTo(theta, within(0.01));
    }
  }

  /** A thick piece is warmest in its middle, and a history cut in two tells the same. */
  @Test
  void aThickPieceIsWarmestInItsMiddle() {
    Chemistry slow = Calibration.of(calmpour.core.Samples.slow()).chemistry();
    double massG = 100 * 6 * 1.1;
    BodyShape thick = new BodyShape.Spread(100, 60);
    CureRun run = new CureEngine(slow).run(still(22, massG, thick, 22), 10_000);
    CureRun through = new CureEngine(slow).runThrough(still(22, massG, thick, 22), 600);
    CureRun.CurvePoint cooling = through.at(run.peakAt() + 90);
    assertThat(cooling.temperatureC()).isGreaterThan(cooling.faceC() + 20);
    // Taken for one cell when it has evened out, it goes on from where it was.
    CureRun whole = new CureEngine(slow, TARGETS).run(still(22, massG, thick, 22), 40_000);
    for (int i = 1; i < whole.curve().size(); i++) {
      double fell = whole.curve().get(i - 1).temperatureC() - whole.curve().get(i).temperatureC();
      assertThat(fell).isLessThan(3);
    }
    assertThat(whole.fullCure()).isNotNull();
    // Nothing gets warmer than with no loss at all: ΔH/cp above where it began.
    assertThat(run.peakC()).isLessThan(22 + 270 / 1.9);
    BodyHistory.Segment first = new BodyHistory.Segment(30, massG, thick, 22);
    BodyHistory inTwo =
        new BodyHistory(22, List.of(first, new BodyHistory.Segment(0, massG, thick, 22)));
    CureRun cut = new CureEngine(slow).run(inTwo, 10_000);
    assertThat(cut.gels()).isCloseTo(run.gels(), within(1e-3 * run.gels()));
    assertThat(cut.peakC()).isCloseTo(run.peakC(), within(0.2));
  }

  /**
   * Semenov (1928): a reaction that does not use itself up runs away when ψ = Q·E/(R·T²·UA) at the
   * surroundings' temperature is beyond 1/e, and settles below it.
   */
  @Test
  void aReactionRunsAwayWhereSemenovSays() {
    assertThat(driven(0.85 / Math.E).heatUsed()).isLessThan(1);
    CureRun away = driven(1.2 / Math.E);
    assertThat(away.heatUsed()).isGreaterThan(1);
    // RT²/E is 12.6 K at 17 °C: the hottest that can settle. Half as much again runs off.
    assertThat(driven(0.85 / Math.E).peakC()).isLessThan(17 + 12.7);
    assertThat(away.peakC()).isGreaterThan(17 + 25);
  }

  private static CureRun driven(double psi) {
    BodyShape.InCup cup = new BodyShape.InCup(50, 50, 50, 0);
    double massG = 100;
    double ua = HeatLoss.of(cup, massG).wattsPerKelvin();
    double kelvin = 290.15;
    double grow = 55_000 / (8.314462618 * kelvin * kelvin);
    double watts = psi * ua / grow;
    // So much heat in a gram that hardly any of it is used up on the way.
    double heat = 1e7;
    double lnA = Math.log(watts * 60 / (massG * heat)) + 55_000 / (8.314462618 * kelvin);
    Chemistry endless = new Chemistry(1e9, 1, 1, 55, lnA, heat, 1.9, 0.6, 48, 1.6, 1);
    return new CureEngine(endless).runThrough(still(17, massG, cup, 17), 1_500);
  }

  /** Isothermal reaction of order n: 1 − α = (1 + (n − 1)kt)^(−1/(n − 1)). */
  @Test
  void anIsothermalReactionOfAnyOrderFollowsItsClosedForm() {
    for (double n : new double[] {1.5, 2, 3}) {
      double k = 0.02;
      // With m beyond all measure α^m is nothing, and r = 1 leaves the plain order in 1 − α.
      Chemistry plain =
          new Chemistry(
              1e9,
              n,
              1,
              55,
              Math.log(k) + 55_000 / (8.314462618 * 353.15),
              0,
              1.9,
              0.6,
              48,
              1.6,
              1);
      BodyShape cup = new BodyShape.InCup(50, 50, 50);
      CureRun run = new CureEngine(plain).runThrough(still(80, 100, cup, 80), 90);
      double left = Math.pow(1 + (n - 1) * k * 90, -1 / (n - 1));
      assertThat(1 - run.at(90).conversion()).as("order " + n).isCloseTo(left, within(1e-5));
    }
  }

  /** What the reaction gives is stored or lost: over a whole run, to a hundredth. */
  @Test
  void heatBalancesOverARun() {
    Chemistry slow = Calibration.of(calmpour.core.Samples.slow()).chemistry();
    BodyShape.InCup cup = new BodyShape.InCup(50, 60, 40);
    double massG = 110;
    CureRun run = new CureEngine(slow).runThrough(still(22, massG, cup, 22), 400);
    HeatLoss loss = HeatLoss.of(cup, massG);
    double lost = 0;
    CureRun.CurvePoint before = run.curve().get(0);
    for (CureRun.CurvePoint point : run.curve()) {
      double mean = (point.temperatureC() + before.temperatureC()) / 2 - 22;
      lost += loss.wattsPerKelvin() * mean * 60 * (point.minutes() - before.minutes());
      before = point;
    }
    double stored = (massG * 1.9 + loss.wallJPerK()) * (before.temperatureC() - 22);
    double made = massG * 250 * before.conversion();
    assertThat(lost + stored).isCloseTo(made, within(made * 0.01));
    assertThat(lost).isGreaterThan(made / 2);
  }

  /** What has settled is slowed once, and never again: else every step would begin anew. */
  @Test
  void whatHasSettledIsSlowedOnce() {
    Chemistry slow = Calibration.of(calmpour.core.Samples.slow()).chemistry();
    for (double depthMm : new double[] {0.5, 1, 2, 3, 5, 8}) {
      BodyShape sheet = new BodyShape.Spread(100, depthMm);
      Body body = new Body(slow, new BodyHistory.Segment(0, 11 * depthMm, sheet, 22));
      double[] settled = {0.9, 22.05, 10};
      assertThat(body.calm(settled)).isTrue();
      assertThat(body.calmer().calm(settled)).isFalse();
      assertThat(body.calm(new double[] {0.5, 22.05, 10})).isFalse();
      assertThat(body.calm(new double[] {0.9, 23, 10})).isFalse();
    }
  }

  /** A warm mix in a cup as cold as the room: they share their heat at once. */
  @Test
  void aColdCupTakesItsShare() {
    BodyShape.InCup cup = new BodyShape.InCup(50, 50, 50);
    double wall = HeatLoss.of(cup, 100).wallJPerK();
    double shared = (100 * 1.9 * 40 + wall * 20) / (100 * 1.9 + wall);
    CureRun run = new CureEngine(DEAD).runThrough(still(40, 100, cup, 20), 1);
    assertThat(run.curve().get(0).temperatureC()).isCloseTo(shared, within(1e-9));
  }
}
