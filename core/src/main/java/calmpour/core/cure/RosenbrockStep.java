package calmpour.core.cure;

/**
 * One linearly implicit step of one body: a Rosenbrock method of order 3, four stages, stiffly
 * accurate (RODAS3: Sandu, Verwer, Blom, Spee, Potra and Carmichael, Atmospheric Environment 31
 * (1997) 3459, from memory; the tests hold it against an explicit method). Each step solves the
 * linearised equations, conversion eliminated cell by cell, so that what is left is a row of
 * temperatures that each pull at their next.
 */
final class RosenbrockStep {
  /** Errors of a step that are let pass: of conversion, and of temperature in K. */
  private static final double OF_CONVERSION = 4e-4;

  private static final double OF_TEMPERATURE = 0.04;

  /** Of that error, what is let pass where all is cured. */
  private static final double LAST = 0.05;

  private static final double GAMMA = 0.5;
  private static final double[][] A = {{}, {0}, {2, 0}, {2, 0, 1}};
  private static final double[][] C = {{}, {4}, {1, -1}, {1, -1, -8.0 / 3}};
  private static final double[] B = {2, 0, 1, 1};
  private static final int STAGES = 4;

  private final Body body;
  private final int cells;
  private final double[][] k;
  private final double[] at;
  private final double[] f;
  private final double[] byAlpha;
  private final double[] byC;
  private final double[] upper;
  private final double[] right;

  /** Where the step ends. */
  private final double[] end;

  RosenbrockStep(Body body) {
    this.body = body;
    this.cells = body.cells();
    int n = body.getDimension();
    k = new double[STAGES][2 * cells];
    at = new double[n];
    f = new double[n];
    end = new double[n];
    byAlpha = new double[cells];
    byC = new double[cells];
    upper = new double[cells];
    right = new double[cells];
  }

  /**
   * @return its error beside what is let pass; 1 and less is good
   */
  double step(double[] y, double[] slope, double h) {
    body.slopes(y, byAlpha, byC);
    double d = 1 / (h * GAMMA);
    for (int s = 0; s < STAGES; s++) {
      if (s == 0) {
        System.arraycopy(slope, 0, f, 0, f.length);
      } else if (s > 1) {
        System.arraycopy(y, 0, at, 0, at.length);
        add(at, A[s], 1);
        body.derivatives(at, f);
      }
      double[] b = k[s];
      System.arraycopy(f, 0, b, 0, 2 * cells);
      add(b, C[s], 1 / h);
      solve(b, d);
    }
    System.arraycopy(y, 0, end, 0, end.length);
    add(end, B, 1);
    double worst = 0;
    for (int i = 0; i < cells; i++) {
      // The last stage alone is the difference to the method of order 2 within.
      // The more it is cured the slower it goes, and the more a little of it is in time.
      double let = OF_CONVERSION * (LAST + Math.max(0, 1 - y[i]));
      worst = Math.max(worst, Math.abs(k[3][i]) / let);
      worst = Math.max(worst, Math.abs(k[3][cells + i]) / OF_TEMPERATURE);
      if (Double.isNaN(k[3][i])) {
        return Double.NaN;
      }
    }
    return worst;
  }

  /** The state where the step ends; its own array, overwritten by the next step. */
  double[] end() {
    return end;
  }

  private void add(double[] to, double[] weights, double times) {
    for (int s = 0; s < weights.length; s++) {
      double w = weights[s] * times;
      if (w != 0) {
        for (int i = 0; i < 2 * cells; i++) {
          to[i] += w * k[s][i];
        }
      }
    }
  }

  /** (d − J)·x = b in place: conversions out of the way, then a row of temperatures. */
  private void solve(double[] b, double d) {
    double w = body.warming();
    double pull = body.exchange();
    for (int i = 0; i < cells; i++) {
      double own = d - byAlpha[i];
      int next = (i > 0 ? 1 : 0) + (i < cells - 1 ? 1 : 0);
      double diagonal =
          d + body.loses(i) + next * pull - w * byC[i] - w * byAlpha[i] * byC[i] / own;
      double rhs = b[cells + i] + w * byAlpha[i] * b[i] / own;
      if (i > 0) {
        diagonal -= pull * upper[i - 1];
        rhs += pull * right[i - 1];
      }
      upper[i] = pull / diagonal;
      right[i] = rhs / diagonal;
    }
    for (int i = cells - 1; i >= 0; i--) {
      b[cells + i] = right[i] + (i < cells - 1 ? upper[i] * b[cells + i + 1] : 0);
      b[i] = (b[i] + byC[i] * b[cells + i]) / (d - byAlpha[i]);
    }
  }
}
