package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.MixRatio;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.GraggBulirschStoerIntegrator;
import org.junit.jupiter.api.Test;

class CureEngineTest {
  /** 40 minutes for 100 g at 24 °C, in a cup that takes no heat itself. */
  private static final Chemistry SLOW = slow();

  private static Chemistry slow() {
    var resin = Samples.resin(2, 1, MixRatio.Basis.WEIGHT);
    return Calibration.chemistry(resin, 40, bare(100, 24), new java.util.ArrayList<>());
  }

  /** A cup filled as high as wide whose own heat is left out. */
  private static BodyHistory bare(double massG, double temperatureC) {
    return still(temperatureC, massG, high(massG), temperatureC);
  }

  private static BodyHistory still(double startC, double massG, BodyShape shape, double roomC) {
    return new BodyHistory(startC, List.of(new BodyHistory.Segment(0, massG, shape, roomC)));
  }

  private static double working(BodyHistory body) {
    return new CureEngine(SLOW).run(body, 1_000).workingTimeEnds();
  }

  private static BodyShape high(double massG) {
    var cup = (BodyShape.InCup) Calibration.asLabelled(massG, 20).last().shape();
    return new BodyShape.InCup(cup.bottomWidthMm(), cup.topWidthMm(), cup.depthMm(), 0);
  }

  @Test
  void theLabelIsMetToASecond() {
    assertThat(working(bare(100, 24))).isCloseTo(40, within(1 / 60.0));
  }

  /** A reaction of the first order that speeds itself up and gives no heat follows tanh(kt). */
  @Test
  void withoutHeatItFollowsItsClosedForm() {
    Chemistry first = new Chemistry(1, 1, 1, 0, Math.log(0.01), 0, 1.9, 0.6, 48, 1.6, 1);
    // (r + α)(1 − α) with r = 1 is 1 − α²; its solution is tanh(kt).
    CureRun run = new CureEngine(first).runThrough(still(80, 50, high(50), 80), 60);
    CureRun.CurvePoint end = run.curve().get(run.curve().size() - 1);
    assertThat(end.minutes()).isEqualTo(60);
    assertThat(end.conversion()).isCloseTo(Math.tanh(0.6), within(1e-5));
    assertThat(end.temperatureC()).isCloseTo(80, within(1e-9));
  }

  /** Newton's law of cooling: without reaction the difference falls by exp(−UA·t/(m·cp)). */
  @Test
  void withoutReactionItCoolsAsNewtonSays() {
    Chemistry dead = SLOW.withLnA(-100);
    BodyShape sheet = new BodyShape.Spread(100, 10);
    CureRun run = new CureEngine(dead).runThrough(still(60, 110, sheet, 20), 30);
    CureRun.CurvePoint end = run.curve().get(run.curve().size() - 1);
    // By hand: 22 W/m²K on 0.01 m² is 0.22 W/K; 110 g hold 209 J/K; half an hour is 1 800 s.
    assertThat(end.temperatureC()).isCloseTo(20 + 40 * Math.exp(-0.22 * 1_800 / 209), within(1e-4));
  }

  /** Nothing lost, all reacted: the temperature has risen by ΔH/cp times the conversion. */
  @Test
  void heatIsNeitherMadeNorLost() {
    BodyShape none = new BodyShape.InCup(1e-3, 1e-3, 1e-3, 0);
    CureRun run = new CureEngine(SLOW).runThrough(still(22, 500, none, 22), 600);
    for (CureRun.CurvePoint point : run.curve()) {
      assertThat(point.temperatureC() - 22).isCloseTo(250 / 1.9 * point.conversion(), within(2e-3));
    }
    assertThat(run.peakC()).isGreaterThan(130);
  }

  /** The same equations by another method of a library, far tighter: times to half a percent. */
  @Test
  void anotherIntegratorComesToTheSameMoments() {
    double mass = 200;
    BodyShape cup = high(mass);
    CureRun run = new CureEngine(SLOW).run(still(24, mass, cup, 24), 200);
    double ua = HeatLoss.of(cup, mass).wattsPerKelvin();
    OrdinaryDifferentialEquation same =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double t, double[] y) {
            double rate = SLOW.rate(y[0], y[1]);
            return new double[] {rate, rate * 250 / 1.9 - ua * 60 / (mass * 1.9) * (y[1] - 24)};
          }
        };
    var exact = new GraggBulirschStoerIntegrator(1e-9, 1, 1e-12, 1e-12);
    double at = run.workingTimeEnds();
    double[] state =
        exact.integrate(same, new ODEState(0, new double[] {0, 24}), at).getPrimaryState();
    double off =
        Math.min(
            Math.abs(SLOW.viscosity(state[0], state[1]) - 5) / 5, Math.abs(state[1] - 60) / 60);
    assertThat(off).isLessThan(2e-3);
    double gels = run.gels();
    double[] gelled =
        exact.integrate(same, new ODEState(0, new double[] {0, 24}), gels).getPrimaryState();
    assertThat(gelled[0]).isCloseTo(Chemistry.GEL, within(1e-4));
  }

  /**
   * A curve has the points that show, and not many more: between them it lies within what can be
   * seen of what another method says of every minute, its peak and the heat it uses among them.
   */
  @Test
  void aCurveShowsWhatAnotherMethodSeesEveryMinute() {
    shows(still(24, 200, high(200), 24), 60, 150);
    shows(still(24, 30, high(30), 24), 200, 150);
    shows(still(22, 440, new BodyShape.Spread(100, 40), 22), 400, 400);
  }

  private static void shows(BodyHistory history, int minutes, int points) {
    CureRun run = new CureEngine(SLOW).runThrough(history, minutes);
    assertThat(run.lasts()).isCloseTo(minutes, within(1e-6));
    assertThat(run.curve()).hasSizeBetween(20, points);
    Body body = new Body(SLOW, history.last());
    int cells = body.cells();
    double[] y = new double[body.getDimension()];
    double start = body.takeOver(new double[] {0, history.startC(), 0}, true)[cells];
    Arrays.fill(y, cells, 2 * cells, start);
    var exact = new GraggBulirschStoerIntegrator(1e-9, 1, 1e-10, 1e-10);
    double peak = start;
    double used = body.drive(y);
    for (int minute = 1; minute <= minutes; minute++) {
      y = exact.integrate(body, new ODEState(minute - 1, y), minute).getPrimaryState();
      peak = Math.max(peak, body.warmest(y));
      used = Math.max(used, body.drive(y));
      CureRun.CurvePoint at = run.at(minute);
      assertThat(at.temperatureC())
          .as("minute %d", minute)
          .isCloseTo(body.warmest(y), within(0.25));
      assertThat(at.faceC()).isCloseTo(body.face(y), within(0.25));
      assertThat(at.conversion()).isCloseTo(body.behind(y), within(0.004));
      assertThat(at.cured()).isCloseTo(body.cured(y), within(0.004));
    }
    assertThat(run.peakC()).isCloseTo(peak, within(0.1));
    assertThat(run.heatUsed()).isCloseTo(used, within(0.01 * used));
  }

  /** Flory and Stockmayer: functionalities two and four gel at 1/√((2 − 1)(4 − 1)). */
  @Test
  void gelsWhereFloryAndStockmayerSay() {
    assertThat(Chemistry.GEL).isCloseTo(1 / Math.sqrt((2 - 1) * (4 - 1)), within(1e-15));
    assertThat(SLOW.viscosity(0, 25)).isCloseTo(0.6, within(1e-12));
    assertThat(SLOW.viscosity(0.576, 25)).isGreaterThan(1_000);
    assertThat(SLOW.viscosity(0.58, 25)).isInfinite();
  }

  /**
   * Common practice, no source: the pot life of 100 g falls by 2.0 to 2.4 for ten degrees more; a
   * shallow cup lasts longer than a tall one and keeps cool; mixed at 40 °C it lasts 8 to 15 min.
   */
  @Test
  void theRulesOfThumbComeOut() {
    assertThat(working(bare(100, 15)) / working(bare(100, 25))).isBetween(2.0, 2.4);
    assertThat(working(bare(100, 23)) / working(bare(100, 33))).isBetween(2.0, 2.4);
    double deep = 25 / 1.1 * 1_000 / (Math.PI / 4 * 70 * 70);
    BodyShape shallow = new BodyShape.InCup(70, 70, deep, 0);
    CureRun spread = new CureEngine(SLOW).run(still(24, 25, shallow, 24), 1_000);
    CureRun tall = new CureEngine(SLOW).run(still(24, 25, high(25), 24), 1_000);
    assertThat(spread.workingTimeEnds()).isBetween(tall.workingTimeEnds() * 1.1, 100.0);
    assertThat(spread.peakC()).isLessThan(45);
    assertThat(working(still(40, 100, high(100), 22))).isBetween(8.0, 15.0);
    // A wide sheet of 20 mm on a bench stays below 90 °C; a thin one is not hard the same evening.
    CureRun wide =
        new CureEngine(SLOW)
            .runThrough(still(23, 2_200, new BodyShape.Spread(1_000, 20), 23), 3_000);
    assertThat(wide.peakC()).isBetween(60.0, 90.0);
    CureRun sheet =
        new CureEngine(SLOW).runThrough(still(23, 33, new BodyShape.Spread(100, 3), 23), 3_000);
    double ninety =
        sheet.curve().stream().filter(p -> p.cured() >= 0.9).findFirst().orElseThrow().minutes();
    assertThat(ninety / 60).isBetween(16.0, 32.0);
  }

  /** Split early, a big mix lasts longer: its cups keep cool (common practice, no source). */
  @Test
  void whatIsPouredOverTakesItsAgeAndItsWarmthAlong() {
    BodyHistory.Segment whole = new BodyHistory.Segment(12, 400, high(400), 24);
    BodyShape small = new BodyShape.InCup(60, 60, 30);
    BodyHistory split =
        new BodyHistory(24, List.of(whole, new BodyHistory.Segment(0, 90, small, 24)));
    double together = working(still(24, 400, high(400), 24));
    double apart = working(split);
    double fresh = working(still(24, 90, small, 24));
    assertThat(apart).isBetween(together, fresh);
    CureRun run = new CureEngine(SLOW).run(split, 200);
    assertThat(run.curve())
        .isSortedAccordingTo(java.util.Comparator.comparingDouble(CureRun.CurvePoint::minutes));
  }

  /** Read and poured at the same moment: what lies between is no time at all. */
  @Test
  void aMomentThatIsNoTimeChangesNothing() {
    BodyShape cup = high(200);
    BodyHistory.Segment first = new BodyHistory.Segment(12, 200, cup, 24);
    BodyHistory.Segment last = new BodyHistory.Segment(0, 120, cup, 24);
    double sure = working(new BodyHistory(24, List.of(first, last)));
    BodyHistory.Segment blink = new BodyHistory.Segment(Math.ulp(12.0), 160, cup, 25);
    assertThat(working(new BodyHistory(24, List.of(first, blink, last))))
        .isCloseTo(sure, within(1e-6));
  }

  /** Cold it never fully cures: the glass stops it, and a warm box lets it go on. */
  @Test
  void aColdRoomNeverFullyCures() {
    BodyShape sheet = new BodyShape.Spread(100, 5);
    double cold = end(still(10, 55, sheet, 10));
    double warm = end(still(32, 55, sheet, 32));
    assertThat(cold).isLessThan(0.94);
    assertThat(warm).isGreaterThan(0.96);
    assertThat(end(still(10, 55, sheet, 10))).isLessThan(SLOW.glassConversion(10) + 0.1);
  }

  private static double end(BodyHistory body) {
    List<CureRun.CurvePoint> curve = new CureEngine(SLOW).runThrough(body, 14 * 24 * 60).curve();
    return curve.get(curve.size() - 1).conversion();
  }

  /**
   * Ten kilograms in a bucket, a hot room, an icy one: an answer, never endless, never no number.
   */
  @Test
  void whateverIsAskedItEnds() {
    for (double roomC : new double[] {-20, 5, 24, 45, 60}) {
      for (double massG : new double[] {0.5, 100, 10_000}) {
        CureRun run =
            new CureEngine(SLOW).runThrough(still(roomC, massG, high(massG), roomC), 7 * 24 * 60);
        assertThat(run.peakC()).isFinite();
        assertThat(run.curve())
            .allSatisfy(p -> assertThat(p.conversion()).isBetween(-1e-6, 1 + 1e-6));
      }
    }
    assertThatThrownBy(() -> new CureEngine(SLOW).run(still(20, 1, high(1), 20), 1e9))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void everyKindOfLabelIsMetOrRefused() {
    for (double potLife : new double[] {2, 12, 90, 600}) {
      Chemistry met =
          Calibration.of(
                  Samples.resin(new MixRatio(2, 1, MixRatio.Basis.WEIGHT), 1.1, 1.0, potLife, null))
              .chemistry();
      double ends =
          new CureEngine(met).run(Calibration.asLabelled(100, 24), potLife * 2).workingTimeEnds();
      assertThat(ends).isCloseTo(potLife, within(potLife * 1e-4));
    }
  }
}
