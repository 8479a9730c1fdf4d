package calmpour.core.cure;

import calmpour.core.cure.CureRun.CurvePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.ode.ODEIntegrator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;
import org.jspecify.annotations.Nullable;

/**
 * Follows a body of resin through its history: conversion and temperature together,
 *
 * <pre>m·cp·dT/dt = m·ΔH·dα/dt − UA·(T − T_room)</pre>
 *
 * <p>as one body that is stirred or small, so that it has one temperature. When it is poured over,
 * conversion and temperature go with it. Adaptive steps of Dormand and Prince; states are found
 * inside a step on the integrator's own interpolation.
 */
public final class CureEngine {
  /** Pourable up to that thickness, Pa·s; the thickness of a runny honey. */
  public static final double POURABLE_PA_S = 5;

  /** A drawn thread holds from that thickness on, Pa·s. */
  public static final double THICK_PA_S = 50;

  /** Warmer than that a cup is put away, not poured, °C. */
  public static final double TOO_WARM_C = 60;

  /** Longest that is looked ahead: full cure takes no longer than four weeks. */
  public static final double MOST_MINUTES = 28 * 24 * 60;

  /** Relative and absolute tolerance of conversion and of temperature, in their own units. */
  private static final double RELATIVE = 1e-6;

  private static final double[] ABSOLUTE = {1e-8, 1e-5};
  private static final double LEAST_STEP = 1e-10;
  private static final double MOST_STEP = 240;

  /** A runaway takes some thousand evaluations; more is no resin. */
  private static final int MOST_EVALUATIONS = 60_000;

  /** A state is found to this share of a step. */
  private static final int HALVINGS = 40;

  private final Chemistry chemistry;

  public CureEngine(Chemistry chemistry) {
    this.chemistry = chemistry;
  }

  /**
   * @param body from the first contact of A and B; its last segment goes on until {@code minutes}
   * @param minutes how far ahead to look, more than 0
   * @throws IllegalArgumentException when that is longer than four weeks
   */
  public CureRun run(BodyHistory body, double minutes) {
    if (!(minutes > 0) || minutes > MOST_MINUTES) {
      throw new IllegalArgumentException(
          "CureEngine minutes (" + minutes + ") must be in (0, " + MOST_MINUTES + "]");
    }
    Watch watch = new Watch();
    double from = 0;
    double[] state = {0, body.startC()};
    watch.note(0, state);
    List<BodyHistory.Segment> segments = body.segments();
    for (int i = 0; i < segments.size() && from < minutes; i++) {
      boolean last = i == segments.size() - 1;
      double to = last ? minutes : Math.min(minutes, from + segments.get(i).minutes());
      if (to > from) {
        state = integrate(segments.get(i), from, to, state, watch);
        from = to;
      }
    }
    return watch.run();
  }

  private double[] integrate(
      BodyHistory.Segment segment, double from, double to, double[] state, Watch watch) {
    // W/K over J/K is 1/s; minutes are what everything else is in.
    double loss =
        60
            * HeatLoss.wattsPerKelvin(segment.shape())
            / (segment.massG() * chemistry.heatCapacity());
    double warming = chemistry.heatJPerG() / chemistry.heatCapacity();
    OrdinaryDifferentialEquation equation =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 2;
          }

          @Override
          public double[] computeDerivatives(double t, double[] y) {
            double rate = chemistry.rate(y[0], y[1]);
            return new double[] {rate, warming * rate - loss * (y[1] - segment.surroundingsC())};
          }
        };
    double[] relative = {RELATIVE, RELATIVE};
    ODEIntegrator integrator =
        new DormandPrince54Integrator(
            Math.min(LEAST_STEP, (to - from) / 2), MOST_STEP, ABSOLUTE, relative);
    integrator.setMaxEvaluations(MOST_EVALUATIONS);
    integrator.addStepHandler(watch);
    return integrator.integrate(equation, new ODEState(from, state), to).getPrimaryState();
  }

  /** Looks at every step for what happens inside it. */
  private final class Watch implements ODEStepHandler {
    private final List<CurvePoint> curve = new ArrayList<>();
    private @Nullable Double workingTimeEnds;
    private @Nullable Double tooThick;
    private @Nullable Double gels;
    private double peakC = Double.NEGATIVE_INFINITY;
    private double peakAt;

    void note(double minutes, double[] state) {
      if (!Double.isFinite(state[0]) || !Double.isFinite(state[1])) {
        throw new IllegalStateException(
            "bug: conversion or temperature is no number after " + minutes + " min");
      }
      curve.add(
          new CurvePoint(minutes, state[0], state[1], chemistry.viscosity(state[0], state[1])));
      if (state[1] > peakC) {
        peakC = state[1];
        peakAt = minutes;
      }
    }

    @Override
    public void handleStep(ODEStateInterpolator step) {
      ODEStateAndDerivative end = step.getCurrentState();
      if (workingTimeEnds == null) {
        workingTimeEnds = first(step, this::pourable);
      }
      if (tooThick == null) {
        tooThick = first(step, y -> chemistry.viscosity(y[0], y[1]) - THICK_PA_S);
      }
      if (gels == null) {
        gels = first(step, y -> y[0] - Chemistry.GEL);
      }
      // Steps grow long where little happens; the peak lies inside one.
      double from = step.getPreviousState().getTime();
      double middle = (from + end.getTime()) / 2;
      note(middle, step.getInterpolatedState(middle).getPrimaryState());
      note(end.getTime(), end.getPrimaryState());
    }

    /** Negative while it can be poured. */
    private double pourable(double[] y) {
      double thick = Math.log(chemistry.viscosity(y[0], y[1]) / POURABLE_PA_S);
      return Math.max(thick, y[1] - TOO_WARM_C);
    }

    private @Nullable Double first(ODEStateInterpolator step, ToDoubleFunction<double[]> of) {
      double from = step.getPreviousState().getTime();
      double to = step.getCurrentState().getTime();
      if (of.applyAsDouble(step.getPreviousState().getPrimaryState()) >= 0) {
        return from;
      }
      if (of.applyAsDouble(step.getCurrentState().getPrimaryState()) < 0) {
        return null;
      }
      for (int i = 0; i < HALVINGS && to - from > 1e-9 * to; i++) {
        double middle = (from + to) / 2;
        double[] y = step.getInterpolatedState(middle).getPrimaryState();
        if (of.applyAsDouble(y) < 0) {
          from = middle;
        } else {
          to = middle;
        }
      }
      return to;
    }

    CureRun run() {
      return new CureRun(curve, workingTimeEnds, tooThick, gels, peakC, peakAt);
    }
  }
}
