package calmpour.core.cure;

import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.RiddersSolver;
import org.jspecify.annotations.Nullable;

/**
 * Follows a body of resin like {@link CureEngine}, for estimates and spreads: to about a thousandth
 * of a time instead of a millionth, in a few dozen steps. A Rosenbrock method of order 3, four
 * stages, stiffly accurate (RODAS3: Sandu, Verwer, Blom, Spee, Potra and Carmichael, Atmospheric
 * Environment 31 (1997) 3459, from memory; the tests hold it against an explicit method): each step
 * solves the linearised equations, conversion eliminated cell by cell, so that what is left is a
 * row of temperatures that each pull at their next.
 */
final class QuickRun {
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

  /** Of the conversion that is to come, in the first step. */
  private static final double FIRST = 2e-3;

  private static final double MOST_STEP = 24 * 60;
  private static final double LEAST_STEP = 1e-9;
  private static final int MOST_STEPS = 20_000;
  private static final double FOUND_TO = 1e-5;
  private static final double BEYOND = 1e3;
  private static final double PAST_PEAK_K = 2;

  /** Between ends that differ by less there is no peak to speak of, K. */
  private static final double STIRS_K = 0.2;

  private static final double NEARLY_ALL = 0.95;
  private static final double ALL = 0.999;

  private final Chemistry chemistry;
  private final @Nullable Targets targets;
  private final double tolerance;

  private @Nullable Double workingTimeEnds;
  private @Nullable Double tooThick;
  private @Nullable Double gels;
  private @Nullable Double bondEnds;
  private @Nullable Double demould;
  private @Nullable Double fullCure;
  private double peakC = Double.NEGATIVE_INFINITY;
  private double heatUsed;
  private double conversion;
  private double offRoomK;

  /**
   * When a body came to what, in minutes from the first contact; null where it did not.
   *
   * @param conversion 0 to 1, all in all, where it was left
   * @param offRoomK how far any of it is from its room there
   */
  record Moments(
      @Nullable Double workingTimeEnds,
      @Nullable Double tooThick,
      @Nullable Double gels,
      @Nullable Double bondEnds,
      @Nullable Double demould,
      @Nullable Double fullCure,
      double peakC,
      double heatUsed,
      double conversion,
      double offRoomK) {}

  /** How much of a body's way is asked for. */
  enum Until {
    THICK,
    GEL,
    HARD,
    /** Of a cup its gel and its peak, of a piece its full cure. */
    ALL,
    /** All the minutes that are given. */
    END
  }

  private final Until until;

  private QuickRun(Chemistry chemistry, @Nullable Targets targets, Until until, double tolerance) {
    this.chemistry = chemistry;
    this.targets = targets;
    this.until = until;
    this.tolerance = tolerance;
  }

  /**
   * @param targets null for a cup, which is followed as far as its gel and its peak
   * @param minutes how far ahead to look, more than 0
   */
  static Moments of(
      Chemistry chemistry, @Nullable Targets targets, BodyHistory history, double minutes) {
    return of(chemistry, targets, history, minutes, Until.ALL);
  }

  /** The same, as far as is asked for. */
  static Moments of(
      Chemistry chemistry,
      @Nullable Targets targets,
      BodyHistory history,
      double minutes,
      Until until) {
    return new QuickRun(chemistry, targets, until, 1).follow(history, minutes);
  }

  /** To its last minute, with errors so many times those let pass otherwise. */
  static Moments through(
      Chemistry chemistry, BodyHistory history, double minutes, double tolerance) {
    return new QuickRun(chemistry, null, Until.END, tolerance).follow(history, minutes);
  }

  private Moments follow(BodyHistory history, double minutes) {
    double from = 0;
    double[] state = {0, history.startC(), 0};
    BodyHistory.Segment before = null;
    List<BodyHistory.Segment> segments = history.segments();
    for (int i = 0; i < segments.size() && from < minutes; i++) {
      BodyHistory.Segment segment = segments.get(i);
      boolean last = i == segments.size() - 1;
      double to = last ? minutes : Math.min(minutes, from + segment.minutes());
      if (to > from) {
        Body body = new Body(chemistry, segment);
        state = body.takeOver(state, before == null || CureEngine.pouredOver(before, segment));
        before = segment;
        state = stretch(body, from, to, state, last);
        from = to;
      }
    }
    return new Moments(
        workingTimeEnds,
        tooThick,
        gels,
        bondEnds,
        demould,
        fullCure,
        peakC,
        heatUsed,
        conversion,
        offRoomK);
  }

  private double[] stretch(Body first, double from, double to, double[] start, boolean last) {
    Body body = first;
    Stepper stepper = new Stepper(body);
    double[] y = start;
    double[] slope = new double[y.length];
    body.derivatives(y, slope);
    double t = from;
    double h = Math.min(to - from, firstStep(body, slope));
    note(body, y);
    for (int steps = 0; t < to; steps++) {
      if (steps > MOST_STEPS || !(h > LEAST_STEP * Math.max(1, t))) {
        throw new IllegalStateException("bug: steps of " + h + " min after " + t + " min");
      }
      double step = Math.min(h, to - t);
      double error = stepper.step(y, slope, step) / tolerance;
      // Order 3 with an estimate of order 2.
      double next = step * Math.clamp(0.9 * Math.pow(Math.max(error, 1e-8), -1.0 / 3), 0.2, 4);
      if (!(error <= 1)) {
        h = Double.isFinite(error) ? next : step / 5;
        continue;
      }
      double[] after = stepper.end.clone();
      double[] slopeAfter = new double[y.length];
      body.derivatives(after, slopeAfter);
      look(body, t, step, y, slope, after, slopeAfter);
      t += step;
      y = after;
      slope = slopeAfter;
      h = Math.min(next, MOST_STEP);
      if (last && done(body, y)) {
        break;
      }
      if (body.cells() > 1 && body.calm(y)) {
        y = body.calmed(y);
        body = body.calmer();
        stepper = new Stepper(body);
        slope = new double[y.length];
        body.derivatives(y, slope);
      }
    }
    conversion = body.cured(y);
    offRoomK = body.offRoom(y);
    return y;
  }

  private static double firstStep(Body body, double[] slope) {
    double quickest = 1e-9;
    for (int i = 0; i < body.cells(); i++) {
      quickest = Math.max(quickest, Math.abs(slope[i]));
      quickest = Math.max(quickest, Math.abs(slope[body.cells() + i]) / 100);
    }
    return Math.min(MOST_STEP, FIRST / quickest);
  }

  private boolean done(Body body, double[] y) {
    return switch (until) {
      case THICK -> workingTimeEnds != null;
      case GEL -> gels != null;
      case HARD -> demould != null;
      case END -> false;
      case ALL ->
          targets == null ? past(body, y) : fullCure != null && demould != null && bondEnds != null;
    };
  }

  /** Whether a cup has gelled, and had its peak. */
  private boolean past(Body body, double[] y) {
    boolean cured = body.behind(y) > NEARLY_ALL && body.warmest(y) < peakC;
    boolean over = body.warmest(y) < peakC - PAST_PEAK_K || cured || body.behind(y) > ALL;
    return gels != null && workingTimeEnds != null && over;
  }

  private void note(Body body, double[] y) {
    double warmest = body.warmest(y);
    if (!Double.isFinite(warmest) || !Double.isFinite(y[0])) {
      throw new IllegalStateException("bug: conversion or temperature is no number");
    }
    peakC = Math.max(peakC, warmest);
    if (until == Until.ALL) {
      heatUsed = Math.max(heatUsed, body.drive(y));
    }
  }

  /** What happens inside a step, on the cubic through its two ends. */
  private void look(
      Body body, double t, double h, double[] y, double[] dy, double[] z, double[] dz) {
    Within within = new Within(t, h, y, dy, z, dz);
    if (workingTimeEnds == null) {
      workingTimeEnds = within.first(s -> pourable(body, s));
    }
    if (gels == null) {
      gels = within.first(s -> body.behind(s) - chemistry.gel());
    }
    if (tooThick == null) {
      tooThick = within.first(s -> Math.log(body.viscosity(s) / CureEngine.THICK_PA_S));
      tooThick = tooThick != null && gels != null ? (Double) Math.min(tooThick, gels) : tooThick;
    }
    if (targets != null) {
      if (bondEnds == null) {
        bondEnds = within.first(s -> body.behind(s) - targets.bond().value());
      }
      if (demould == null) {
        demould = within.first(s -> curedAndCool(body, s, targets.demould().value()));
      }
      if (fullCure == null) {
        fullCure = within.first(s -> curedAndCool(body, s, targets.fullCure().value()));
      }
      fullCure =
          fullCure != null && demould != null ? (Double) Math.max(fullCure, demould) : fullCure;
    }
    if (Math.abs(body.warmest(z) - body.warmest(y)) > STIRS_K) {
      for (int part = 1; part < 4; part++) {
        note(body, within.at(t + h * part / 4));
      }
    }
    note(body, z);
  }

  private double curedAndCool(Body body, double[] y, double wanted) {
    return Math.min(body.cured(y) - wanted, targets.withinK() - body.offRoom(y));
  }

  private static double pourable(Body body, double[] y) {
    double thick = Math.log(body.viscosity(y) / CureEngine.POURABLE_PA_S);
    return Math.max(thick, body.warmest(y) - CureEngine.TOO_WARM_C);
  }

  /** One step from two states and their slopes: Hermite's cubic. */
  private static final class Within {
    private final double t;
    private final double h;
    private final double[] y;
    private final double[] dy;
    private final double[] z;
    private final double[] dz;

    Within(double t, double h, double[] y, double[] dy, double[] z, double[] dz) {
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

  /** One linearly implicit step of one body. */
  private static final class Stepper {
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

    Stepper(Body body) {
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
}
