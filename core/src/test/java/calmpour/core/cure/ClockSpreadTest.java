package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.Samples;
import calmpour.core.cure.CureStates.Moment;
import calmpour.core.derive.Known;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The five runs about a body, beside 500 draws of everything that may be off. */
class ClockSpreadTest {
  private static final int DRAWS = 500;

  /** 500 draws know a deviation to 3 % themselves. */
  private static final double NEAR = 0.12;

  @Test
  void fiveRunsAreAsWideAsFiveHundred() {
    ResinSystem casting = Samples.resin(ResinKind.CASTING, 40.0, 100, 23, null);
    check(casting, 23, 3, 15, 30);
    check(casting, 30, 10, 25);
    CureTimes day = new CureTimes(null, null, null, 24.0, 20.0, null);
    check(Samples.resin(ResinKind.CASTING, 40.0, 100, 23, day), 19, 10, 25);
    check(Samples.resin(ResinKind.FAST, 12.0, 100, 23, null), 22, 8);
    List<DemouldRow> rows =
        List.of(
            new DemouldRow(3, 72, null),
            new DemouldRow(100, 24, 48.0),
            new DemouldRow(150, 16, 24.0));
    CureTimes table = new CureTimes(null, null, null, null, null, null, rows);
    check(Samples.resin(ResinKind.DEEP, 480.0, 300, 23, table), 22, 8, 60);
    check(Samples.resin(ResinKind.DEEP, 480.0, 300, 23, null), 22, 8, 60);
  }

  private static void check(ResinSystem resin, double roomC, double... depthsMm) {
    for (double massG : new double[] {25, 150}) {
      check(resin, Calibration.asLabelled(massG, roomC), massG + " g at " + roomC);
    }
    for (double mm : depthsMm) {
      check(resin, Calibration.labelPiece(resin.kind(), mm, roomC), mm + " mm at " + roomC);
    }
  }

  private static void check(ResinSystem resin, BodyHistory body, String what) {
    Calibrated label = Calibration.of(resin);
    boolean cup = body.last().shape() instanceof BodyShape.InCup;
    CureRun usual =
        new CureEngine(label.chemistry(), cup ? null : label.targets())
            .run(body, CureEngine.MOST_MINUTES);
    CureStates five =
        new ClockSpread(label.estimate(), label.targets(), 23)
            .states(body, usual, CureEngine.MOST_MINUTES);
    double[][] root = label.estimate().root(0.075);
    Random random = new Random(20_261_127);
    List<Double> working = new ArrayList<>();
    List<Double> gel = new ArrayList<>();
    List<Double> out = new ArrayList<>();
    List<Double> peak = new ArrayList<>();
    for (int i = 0; i < DRAWS; i++) {
      double[] unknowns = label.estimate().mean();
      double[] off = random.doubles(6).map(d -> random.nextGaussian()).toArray();
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
      QuickRun.Moments run =
          QuickRun.of(
              ClockPrior.chemistry(resin.kind(), unknowns),
              cup ? null : targets,
              body.warmer(0.75 * random.nextGaussian()),
              CureEngine.MOST_MINUTES);
      working.add(Math.log(run.workingTimeEnds()));
      gel.add(Math.log(run.gels()));
      peak.add(run.peakC());
      if (!cup) {
        out.add(Math.log(run.demould() == null ? CureEngine.MOST_MINUTES : run.demould()));
      }
    }
    String of = resin.kind() + " " + what;
    near(of + ", working", five.workingTimeEnds(), working);
    near(of + ", gel", five.gels(), gel);
    if (cup) {
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
