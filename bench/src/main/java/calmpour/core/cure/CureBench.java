package calmpour.core.cure;

import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.hipparchus.ode.AbstractIntegrator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * The cure engine beside a plain adaptive integration of the same two equations by a library, at
 * the same tolerance and over the same time, in one run; see bench/cure. Each round asks for
 * another mass, so that nothing is answered from what is kept.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class CureBench {
  private static final ResinSystem SLOW =
      new ResinSystem(
          "r",
          "r",
          ResinKind.CASTING,
          new MixRatio(2, 1, MixRatio.Basis.WEIGHT),
          1.15,
          1.01,
          40.0,
          100.0,
          24.0,
          null,
          null,
          null,
          null,
          null,
          null,
          null,
          null,
          null);

  /** A day at 20 mm, full cure, deepest pour, largest batch, thickness. */
  private static final ResinSystem CASTING =
      new ResinSystem(
          "r",
          "r",
          ResinKind.CASTING,
          new MixRatio(2, 1, MixRatio.Basis.WEIGHT),
          1.15,
          1.01,
          40.0,
          100.0,
          24.0,
          500.0,
          3.0,
          240.0,
          null,
          null,
          new CureTimes(10.0, 3.0, 36.0, 24.0, 20.0, 120.0),
          new LabelFacts(null, null, null, 0.6, 1.0, 50.0, null, null, null, null, null, null),
          null,
          null);

  /** A pot life and three demould times by depth. */
  private static final ResinSystem DEEP =
      new ResinSystem(
          "r",
          "r",
          ResinKind.DEEP,
          new MixRatio(2, 1, MixRatio.Basis.WEIGHT),
          1.15,
          1.01,
          420.0,
          250.0,
          23.0,
          null,
          null,
          null,
          null,
          null,
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
                  new DemouldRow(150, 16, 24.0))),
          null,
          null,
          null);

  private final Chemistry chemistry = Calibration.of(SLOW).chemistry();
  private final EngineModel model = new EngineModel();
  private double mass = 60;

  private double next() {
    mass = mass > 120 ? 60 : mass + 0.001_37;
    return mass;
  }

  private static BodyHistory piece(double massG) {
    // A round fill as wide as deep.
    double mm = Math.cbrt(massG / 1.1 * 1_000 * 4 / Math.PI);
    return Calibration.piece(ResinKind.CASTING, mm, 22);
  }

  @Benchmark
  public CureRun curveOfACup() {
    return new CureEngine(chemistry).run(Calibration.asLabelled(next(), 22), 2_400);
  }

  @Benchmark
  public CureStates statesOfACupWithSpread() {
    return model.states(SLOW, Calibration.asLabelled(next(), 22));
  }

  @Benchmark
  public CureStates statesOfAPieceWithSpread() {
    return model.states(SLOW, piece(next() / 5));
  }

  @Benchmark
  public CureRun pieceWithAWarmMiddle() {
    BodyShape sheet = new BodyShape.Spread(100, 60 + next() / 1_000);
    BodyHistory.Segment lies = new BodyHistory.Segment(0, 660, sheet, 22);
    return new CureEngine(chemistry, Calibration.of(SLOW).targets())
        .run(new BodyHistory(22, List.of(lies)), CureEngine.MOST_MINUTES);
  }

  @Benchmark
  public Calibrated clockOfAPotLifeAlone() {
    return Calibration.of(SLOW);
  }

  @Benchmark
  public Calibrated clockOfACastingLabel() {
    return Calibration.of(CASTING);
  }

  @Benchmark
  public Calibrated clockOfADeepLabelOfFourRows() {
    return Calibration.of(DEEP);
  }

  /** The same cup, conversion and temperature only, no states, by a library's method of order 8. */
  @Benchmark
  public double[] referenceIntegration() {
    return reference(next(), 1e-6, 120);
  }

  private double[] reference(double massG, double tolerance, double minutes) {
    BodyShape shape = Calibration.asLabelled(massG, 22).last().shape();
    HeatLoss loss = HeatLoss.of(shape, massG);
    double capacity = massG * chemistry.heatCapacity() + loss.wallJPerK();
    double cooling = loss.wattsPerKelvin() * 60 / capacity;
    double warming = massG * chemistry.heatJPerG() / capacity;
    OrdinaryDifferentialEquation same =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double t, double[] y) {
            double rate = chemistry.rate(y[0], y[1]);
            return new double[] {rate, warming * rate - cooling * (y[1] - 22)};
          }
        };
    AbstractIntegrator integrator =
        new DormandPrince853Integrator(
            1e-10, 240, new double[] {1e-8, 1e-5}, new double[] {tolerance, tolerance});
    return integrator
        .integrate(same, new ODEState(0, new double[] {0, 22}), minutes)
        .getPrimaryState();
  }

  /** How far the engine's moments are from those of the reference at a far tighter tolerance. */
  public static void main(String[] args) {
    CureBench bench = new CureBench();
    double worst = 0;
    for (double massG : new double[] {10, 25, 60, 100, 300}) {
      CureRun run = new CureEngine(bench.chemistry).run(Calibration.asLabelled(massG, 22), 2_400);
      List<Double> times = new ArrayList<>(List.of(run.workingTimeEnds(), run.gels()));
      for (int i = 0; i < 2; i++) {
        double low = times.get(i) * 0.9;
        double high = times.get(i) * 1.1;
        for (int k = 0; k < 40; k++) {
          double middle = (low + high) / 2;
          double[] y = bench.reference(massG, 1e-11, middle);
          boolean there =
              i == 0
                  ? bench.chemistry.viscosity(y[0], y[1]) >= CureEngine.POURABLE_PA_S
                      || y[1] >= CureEngine.TOO_WARM_C
                  : y[0] >= Chemistry.GEL;
          if (there) {
            high = middle;
          } else {
            low = middle;
          }
        }
        worst = Math.max(worst, Math.abs(times.get(i) / high - 1));
      }
    }
    System.out.printf("worst error of a time over five cups: %.5f %%%n", worst * 100);
  }
}
