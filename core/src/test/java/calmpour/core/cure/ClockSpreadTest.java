package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.CureStates.Moment;
import calmpour.core.derive.Known;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.work.Helpers;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.SobolSequenceGenerator;
import org.junit.jupiter.api.Test;

/**
 * The five runs about a body, beside 500 draws of everything that may be off. They are drawn evenly
 * (a Sobol sequence in seven dimensions, Joe and Kuo 2008, of the library): by chance alone, 500
 * know a deviation to no better than 3 %.
 */
class ClockSpreadTest {
  private static final int DRAWS = 500;

  private static final double NEAR = 0.10;

  private static final ResinSystem KNOWN_DEEP =
      Samples.resin(
          ResinKind.DEEP,
          480.0,
          300,
          23,
          new CureTimes(
              null,
              null,
              null,
              null,
              null,
              null,
              List.of(
                  new DemouldRow(3, 72, null),
                  new DemouldRow(100, 24, 48.0),
                  new DemouldRow(150, 16, 24.0))));

  @Test
  void fiveRunsAreAsWideAsFiveHundred() {
    ResinSystem casting = Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null);
    check(casting, 23, 3, 15, 30);
    check(casting, 30, 10, 25);
    CureTimes day = new CureTimes(null, null, null, 24.0, 20.0, null);
    check(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, day), 19, 10, 25);
    check(Samples.resin(ResinKind.FAST, 12.0, 100, 23, null), 22, 8);
    check(KNOWN_DEEP, 22, 8, 60);
    check(Samples.resin(ResinKind.DEEP, 480.0, 300, 23, null), 22, 8, 60);
  }

  /**
   * Between a block that runs hot and one that does not lies a cliff, which no logarithmic band
   * fits: there it has to hold what happens in four cases of five.
   */
  @Test
  void aBlockAtItsCliffComesOutWithinItsBandMoreOftenThanNot() {
    for (ResinSystem resin :
        List.of(KNOWN_DEEP, Samples.resin(ResinKind.DEEP, 480.0, 300, 23, null))) {
      for (double mm : new double[] {100, 150}) {
        BodyHistory block = Calibration.labelPiece(resin.kind(), mm, 22);
        Moment out = five(resin, block).demould();
        double within =
            draws(resin, block).stream()
                .mapToDouble(m -> m.demould() == null ? CureEngine.MOST_MINUTES : m.demould())
                .filter(d -> d >= out.earliestMinutes() && d <= out.latestMinutes())
                .count();
        assertThat(within / DRAWS).as("%s, %s mm", resin.name(), mm).isGreaterThan(0.8);
      }
    }
  }

  private static void check(ResinSystem resin, double roomC, double... depthsMm) {
    for (double massG : new double[] {25, 150}) {
      check(resin, Calibration.asLabelled(massG, roomC), massG + " g at " + roomC);
    }
    for (double mm : depthsMm) {
      check(resin, Calibration.labelPiece(resin.kind(), mm, roomC), mm + " mm at " + roomC);
    }
  }

  private static CureStates five(ResinSystem resin, BodyHistory body) {
    Calibrated label = Calibration.of(resin);
    CureRun usual =
        new CureEngine(label.chemistry(), inCup(body) ? null : label.targets())
            .run(body, CureEngine.MOST_MINUTES);
    return new ClockSpread(
            label.estimate(), label.targets(), 23, Helpers.alone().memory("slopes", 64))
        .states(body, usual, CureEngine.MOST_MINUTES);
  }

  private static boolean inCup(BodyHistory body) {
    return body.last().shape() instanceof BodyShape.InCup;
  }

  /** The body with all that may be off drawn at once: the resin, its bottle and the room. */
  private static List<QuickRun.Moments> draws(ResinSystem resin, BodyHistory body) {
    Calibrated label = Calibration.of(resin);
    double[][] root = label.estimate().root(0.075);
    SobolSequenceGenerator even = new SobolSequenceGenerator(7);
    NormalDistribution normal = new NormalDistribution();
    even.skipTo(1);
    List<QuickRun.Moments> draws = new ArrayList<>();
    for (int i = 0; i < DRAWS; i++) {
      double[] unknowns = label.estimate().mean();
      double[] off =
          Arrays.stream(even.nextVector())
              .map(u -> normal.inverseCumulativeProbability(u))
              .toArray();
      for (int k = 0; k < 6; k++) {
        for (int j = 0; j < 6; j++) {
          unknowns[k] += root[k][j] * off[j];
        }
      }
      double hard = Math.min(0.93, unknowns[5]);
      Known full = label.targets().fullCure();
      Targets targets =
          new Targets(
              label.targets().bond(),
              new Known(hard, full.origin()),
              new Known(Math.max(hard, full.value()), full.origin()));
      draws.add(
          QuickRun.of(
              ClockPrior.chemistry(resin.kind(), unknowns),
              inCup(body) ? null : targets,
              body.warmer(0.75 * off[6]),
              CureEngine.MOST_MINUTES));
    }
    return draws;
  }

  private static void check(ResinSystem resin, BodyHistory body, String what) {
    CureStates five = five(resin, body);
    List<Double> working = new ArrayList<>();
    List<Double> gel = new ArrayList<>();
    List<Double> out = new ArrayList<>();
    List<Double> peak = new ArrayList<>();
    for (QuickRun.Moments run : draws(resin, body)) {
      working.add(Math.log(run.workingTimeEnds()));
      gel.add(Math.log(run.gels()));
      peak.add(run.peakC());
      out.add(Math.log(run.demould() == null ? CureEngine.MOST_MINUTES : run.demould()));
    }
    String of = resin.kind() + " " + what;
    near(of + ", working", five.workingTimeEnds(), working);
    near(of + ", gel", five.gels(), gel);
    if (inCup(body)) {
      double wide = five.heat().mostPeakC() - five.heat().leastPeakC();
      assertThat(wide / (2 * 1.2816 * sd(peak))).as(of + ", peak").isBetween(0.85, 1.2);
    } else {
      near(of + ", out", five.demould(), out);
    }
  }

  private static void near(String what, Moment five, List<Double> draws) {
    double wide = Math.log(five.latestMinutes() / five.earliestMinutes());
    assertThat(wide / (2 * 1.96 * sd(draws))).as(what).isBetween(1 - NEAR, 1 + NEAR);
  }

  private static double sd(List<Double> of) {
    double mean = of.stream().mapToDouble(d -> d).average().orElseThrow();
    double square = of.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum();
    return Math.sqrt(square / (of.size() - 1));
  }
}
