package calmpour.core.cure;

import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.RiddersSolver;
import org.jspecify.annotations.Nullable;

/** One step from two states and their slopes: Hermite's cubic. */
final class WithinStep {
  private static final double FOUND_TO = 1e-5;
  private static final double BEYOND = 1e3;

  private final double t;
  private final double h;
  private final double[] y;
  private final double[] dy;
  private final double[] z;
  private final double[] dz;

  WithinStep(double t, double h, double[] y, double[] dy, double[] z, double[] dz) {
    this.t = t;
    this.h = h;
    this.y = y;
    this.dy = dy;
    this.z = z;
    this.dz = dz;
  }

  double[] at(double minutes) {
    double s = (minutes - t) / h;
    double[] state = new double[y.length];
    double a = (1 + 2 * s) * (1 - s) * (1 - s);
    double b = s * (1 - s) * (1 - s) * h;
    double c = s * s * (3 - 2 * s);
    double d = s * s * (s - 1) * h;
    // The flow is not followed.
    for (int i = 0; i < y.length - 1; i++) {
      state[i] = a * y[i] + b * dy[i] + c * z[i] + d * dz[i];
    }
    return state;
  }

  @Nullable Double first(ToDoubleFunction<double[]> of) {
    if (of.applyAsDouble(z) < 0) {
      return null;
    }
    if (of.applyAsDouble(y) >= 0) {
      return t;
    }
    return new RiddersSolver(FOUND_TO, FOUND_TO * h)
        .solve(200, m -> Math.min(BEYOND, of.applyAsDouble(at(m))), t, t + h);
  }
}
