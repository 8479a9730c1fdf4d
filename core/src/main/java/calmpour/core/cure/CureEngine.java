package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.CureRun.CurvePoint;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.solvers.RiddersSolver;
import org.hipparchus.ode.ODEIntegrator;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.ODEStateAndDerivative;
import org.hipparchus.ode.events.Action;
import org.hipparchus.ode.nonstiff.DormandPrince54Integrator;
import org.hipparchus.ode.sampling.ODEStateInterpolator;
import org.hipparchus.ode.sampling.ODEStepHandler;
import org.jspecify.annotations.Nullable;

/**
 * Follows a body of resin through its history: conversion, temperature and what flows while it
 * thickens, together; see {@link Body} for the equations. When it is poured over, conversion and
 * temperature go with it. Adaptive steps of Dormand and Prince; states are found inside a step on
 * the integrator's own interpolation.
 */
public final class CureEngine {
  /** Pourable up to that thickness, Pa·s; the thickness of a runny honey. */
  public static final double POURABLE_PA_S = 5;

  /** A drawn thread holds from that thickness on, Pa·s. */
  public static final double THICK_PA_S = 50;

  /** Warmer than that a cup is put away, not poured, °C. */
  public static final double TOO_WARM_C = 60;

  /** A piece this near to its room comes out of its mould without bending, K; no source. */
  public static final double AT_ROOM_K = 5;

  /** Longest that is looked ahead: full cure takes no longer than four weeks. */
  public static final double MOST_MINUTES = 28 * 24 * 60;

  /**
   * Relative tolerance, and absolute ones of conversion, temperature and flow in their units: times
   * then come out to a thousandth, far within what a label knows.
   */
  private static final double RELATIVE = 1e-6;

  private static final double OF_CONVERSION = 1e-8;
  private static final double OF_TEMPERATURE = 1e-5;
  private static final double OF_FLOW = 1e-4;
  private static final double LEAST_STEP = 1e-10;
  private static final double MOST_STEP = 240;

  /** A thick piece over four weeks takes some ten thousand; more is no resin. */
  private static final int MOST_EVALUATIONS = 400_000;

  /** A state is found to this, min and relative: far within what the integration is good for. */
  private static final double FOUND_TO = 1e-9;

  private static final int MOST_LOOKS = 100;
  private static final double BEYOND = 1e3;

  /** A forgotten cup has had its peak when it is so much cooler again, K. */
  private static final double PAST_PEAK_K = 2;

  /** A point of the curve that differs by less from the one before need not be drawn. */
  private static final double SHOWS_K = 0.3;

  private static final double SHOWS_CONVERSION = 0.004;

  private static final double NEARLY_ALL = 0.95;
  private static final double ALL = 0.999;

  private final Chemistry chemistry;
  private final @Nullable Targets targets;

  /** Looks no further than gel and the peak of its warmth. */
  public CureEngine(Chemistry chemistry) {
    this(chemistry, null);
  }

  /** Looks as far as full cure. */
  public CureEngine(Chemistry chemistry, @Nullable Targets targets) {
    this.chemistry = chemistry;
    this.targets = targets;
  }

  /**
   * @param history from the first contact of A and B; its last segment goes on until everything
   *     asked for has happened, at most {@code minutes}
   * @param minutes how far ahead to look, more than 0
   * @throws IllegalArgumentException when that is longer than four weeks
   */
  public CureRun run(BodyHistory history, double minutes) {
    return run(history, minutes, true);
  }

  /** The same to its last minute, whatever happens on the way. */
  CureRun runThrough(BodyHistory history, double minutes) {
    return run(history, minutes, false);
  }

  /**
   * The working time alone, which is much quicker to find.
   *
   * @param minutes how far ahead to look, more than 0
   * @return minutes from the first contact; {@code minutes} when it is pourable all the while
   */
  double workingTime(BodyHistory history, double minutes) {
    Double ends = run(history, minutes, true, new StepReader(Until.THICK)).workingTimeEnds();
    return ends == null ? minutes : ends;
  }

  /**
   * The working time and the gel alone, quicker to find than all states.
   *
   * @param minutes how far ahead to look, more than 0; what does not happen until then is said to
   *     happen then
   */
  Thickens thickens(BodyHistory history, double minutes) {
    CureRun run = run(history, minutes, true, new StepReader(Until.GEL));
    return new Thickens(
        run.workingTimeEnds() == null ? minutes : run.workingTimeEnds(),
        run.gels() == null ? minutes : run.gels());
  }

  /** How much of a body's history is asked for. */
  private enum Until {
    THICK,
    GEL,
    /** And every state, the peak and the curve on the way. */
    ALL
  }

  private CureRun run(BodyHistory history, double minutes, boolean stopsWhenDone) {
    return run(history, minutes, stopsWhenDone, new StepReader(Until.ALL));
  }

  private CureRun run(
      BodyHistory history, double minutes, boolean stopsWhenDone, StepReader watch) {
    if (!(minutes > 0) || minutes > MOST_MINUTES) {
      throw new IllegalArgumentException(
          "CureEngine minutes (" + minutes + ") must be in (0, " + MOST_MINUTES + "]");
    }
    double from = 0;
    double[] state = {0, history.startC(), 0};
    BodyHistory.Segment before = null;
    List<BodyHistory.Segment> segments = history.segments();
    for (int i = 0; i < segments.size() && from < minutes; i++) {
      BodyHistory.Segment segment = segments.get(i);
      boolean last = i == segments.size() - 1;
      double to = last ? minutes : Math.min(minutes, from + segment.minutes());
      if (to - from > BodyHistory.NO_TIME) {
        Body body = new Body(chemistry, segment);
        state = body.takeOver(state, before == null || pouredOver(before, segment));
        before = segment;
        watch.enter(body, from, state);
        ODEState end = integrate(body, from, to, state, watch, last && stopsWhenDone);
        state = end.getPrimaryState();
        while (to - end.getTime() > BodyHistory.NO_TIME
            && !(last && stopsWhenDone && watch.done())) {
          // It has come to rest in one way or other, and the days that are left go faster.
          state = body.calmed(state);
          body = body.calmer();
          watch.enter(body, end.getTime(), state);
          end = integrate(body, end.getTime(), to, state, watch, last && stopsWhenDone);
          state = end.getPrimaryState();
        }
        from = to;
      }
    }
    return watch.run();
  }

  /** Less in the same cup is not poured over; another cup, or a mould, is. */
  static boolean pouredOver(BodyHistory.Segment before, BodyHistory.Segment now) {
    if (before.shape() instanceof BodyShape.InCup was
        && now.shape() instanceof BodyShape.InCup is) {
      return was.bottomWidthMm() != is.bottomWidthMm() || is.depthMm() > was.depthMm();
    }
    return !before.shape().equals(now.shape());
  }

  private ODEState integrate(
      Body body, double from, double to, double[] state, StepReader watch, boolean stopsWhenDone) {
    int cells = body.cells();
    double[] absolute = new double[body.getDimension()];
    double[] relative = new double[body.getDimension()];
    java.util.Arrays.fill(relative, RELATIVE);
    java.util.Arrays.fill(absolute, 0, cells, OF_CONVERSION);
    java.util.Arrays.fill(absolute, cells, 2 * cells, OF_TEMPERATURE);
    absolute[2 * cells] = OF_FLOW;
    ODEIntegrator integrator =
        new DormandPrince54Integrator(
            Math.min(LEAST_STEP, (to - from) / 2), MOST_STEP, absolute, relative);
    integrator.setMaxEvaluations(MOST_EVALUATIONS);
    integrator.addStepHandler(watch);
    integrator.addStepEndHandler((end, forward) ->
        (stopsWhenDone && watch.done()) || body.calm(end.getPrimaryState())
            ? Action.STOP
            : Action.CONTINUE);
    return integrator.integrate(body, new ODEState(from, state), to);
  }

  /** Looks at every step for what happens inside it. */
  private final class StepReader implements ODEStepHandler {
    private final List<CurvePoint> curve = new ArrayList<>();
    private @Nullable Body body;
    private @Nullable Double workingTimeEnds;
    private @Nullable Double tooThick;
    private @Nullable Double gels;
    private @Nullable Double bondEnds;
    private @Nullable Double demould;
    private @Nullable Double fullCure;
    private double peakC = Double.NEGATIVE_INFINITY;
    private double peakAt;
    private double heatUsed;
    private @Nullable CurvePoint unwritten;
    private double warmestNow;
    private double behindNow;

    private final Until until;

    StepReader(Until until) {
      this.until = until;
    }

    void enter(Body other, double minutes, double[] state) {
      body = other;
      note(minutes, state);
    }

    /** Whether everything that is asked for has happened. */
    boolean done() {
      if (until != Until.ALL) {
        return workingTimeEnds != null && (until == Until.THICK || gels != null);
      }
      if (targets == null) {
        // A large cup may still be warming where nearly all of it has reacted.
        boolean past = behindNow > NEARLY_ALL && warmestNow < peakC;
        return gels != null && (warmestNow < peakC - PAST_PEAK_K || past || behindNow > ALL);
      }
      return fullCure != null && demould != null && bondEnds != null;
    }

    private Body body() {
      return known(body);
    }

    private void note(double minutes, double[] state) {
      warmestNow = body().warmest(state);
      behindNow = body().behind(state);
      if (!Double.isFinite(behindNow) || !Double.isFinite(warmestNow)) {
        throw new IllegalStateException(
            "bug: conversion or temperature is no number after " + minutes + " min");
      }
      write(
          new CurvePoint(
              minutes,
              behindNow,
              body().cured(state),
              warmestNow,
              body().face(state),
              body().viscosity(state),
              body().flow(state)));
      heatUsed = Math.max(heatUsed, body().drive(state));
      if (warmestNow > peakC) {
        peakC = warmestNow;
        peakAt = minutes;
      }
    }

    /** A thick piece takes thousands of steps; the curve needs only those that show. */
    private void write(CurvePoint point) {
      CurvePoint before = curve.isEmpty() ? null : curve.get(curve.size() - 1);
      boolean shows =
          before == null
              || point.minutes() > before.minutes() * 1.04 + 0.1
              || Math.abs(point.temperatureC() - before.temperatureC()) > SHOWS_K
              || Math.abs(point.conversion() - before.conversion()) > SHOWS_CONVERSION;
      if (!shows) {
        unwritten = point;
        return;
      }
      if (unwritten != null) {
        curve.add(unwritten);
        unwritten = null;
      }
      curve.add(point);
    }

    @Override
    public void handleStep(ODEStateInterpolator step) {
      if (workingTimeEnds == null) {
        workingTimeEnds = first(step, this::pourable);
      }
      if (until == Until.THICK) {
        return;
      }
      if (gels == null) {
        gels = first(step, y -> body().behind(y) - chemistry.gel());
      }
      if (until == Until.GEL) {
        return;
      }
      if (tooThick == null) {
        tooThick = first(step, y -> Math.log(body().viscosity(y) / THICK_PA_S));
      }
      if (tooThick != null && gels != null) {
        // Where both come at once the search may find them in the wrong order, by a rounding.
        tooThick = Math.min(tooThick, gels);
      }
      if (targets != null) {
        later(step, targets);
      }
      // Steps grow long where little happens; the peak lies inside one.
      double from = step.getPreviousState().getTime();
      ODEStateAndDerivative end = step.getCurrentState();
      double[] before = step.getPreviousState().getPrimaryState();
      double[] after = end.getPrimaryState();
      double cured = body().behind(after) - body().behind(before);
      boolean warms = Math.abs(body().warmest(after) - body().warmest(before)) > SHOWS_K;
      // A row of cells takes short steps anyway, and every look inside a step costs.
      int parts =
          body().cells() > 1
              ? 1
              : cured > SHOWS_CONVERSION * 4 ? 6 : warms || cured > SHOWS_CONVERSION ? 2 : 1;
      for (int i = 1; i < parts; i++) {
        double between = from + (end.getTime() - from) * i / parts;
        note(between, step.getInterpolatedState(between).getPrimaryState());
      }
      note(end.getTime(), after);
    }

    private void later(ODEStateInterpolator step, Targets wanted) {
      if (bondEnds == null) {
        bondEnds = first(step, y -> body().behind(y) - wanted.bond().value());
      }
      if (demould == null) {
        demould = first(step, y -> curedAndCool(y, wanted, wanted.demould().value()));
      }
      if (fullCure == null) {
        fullCure = first(step, y -> curedAndCool(y, wanted, wanted.fullCure().value()));
      }
      if (fullCure != null && demould != null) {
        fullCure = Math.max(fullCure, demould);
      }
    }

    /** Negative until all in all it is cured so far, and nearly as cool as its room. */
    private double curedAndCool(double[] y, Targets wanted, double conversion) {
      return Math.min(body().cured(y) - conversion, wanted.withinK() - body().offRoom(y));
    }

    /** Negative while it can be poured. */
    private double pourable(double[] y) {
      double thick = Math.log(body().viscosity(y) / POURABLE_PA_S);
      return Math.max(thick, body().warmest(y) - TOO_WARM_C);
    }

    private @Nullable Double first(ODEStateInterpolator step, ToDoubleFunction<double[]> of) {
      double from = step.getPreviousState().getTime();
      double to = step.getCurrentState().getTime();
      if (of.applyAsDouble(step.getCurrentState().getPrimaryState()) < 0) {
        return null;
      }
      if (of.applyAsDouble(step.getPreviousState().getPrimaryState()) >= 0) {
        return from;
      }
      return new RiddersSolver(FOUND_TO, FOUND_TO)
          .solve(
              MOST_LOOKS,
              // From the gel on nothing flows at all, which is no number to search with.
              t ->
                  Math.min(
                      BEYOND, of.applyAsDouble(step.getInterpolatedState(t).getPrimaryState())),
              from,
              to);
    }

    CureRun run() {
      if (unwritten != null) {
        curve.add(unwritten);
      }
      return new CureRun(
          curve,
          workingTimeEnds,
          tooThick,
          gels,
          bondEnds,
          demould,
          fullCure,
          peakC,
          peakAt,
          heatUsed);
    }
  }
}
