package calmpour.core.cure;

import static calmpour.core.check.Known.known;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Follows a body of resin like {@link CureEngine}, for estimates and spreads: to about a thousandth
 * of a time instead of a millionth, in a few dozen steps ({@link RosenbrockStep}).
 */
final class QuickRun {
  /** Of the conversion that is to come, in the first step. */
  private static final double FIRST = 2e-3;

  private static final double MOST_STEP = 24 * 60;
  private static final double LEAST_STEP = 1e-12;
  private static final int MOST_STEPS = 20_000;
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
      if (to - from > BodyHistory.NO_TIME) {
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
    RosenbrockStep stepper = new RosenbrockStep(body);
    double[] y = start;
    double[] slope = new double[y.length];
    body.derivatives(y, slope);
    double t = from;
    double h = Math.min(to - from, firstStep(body, slope));
    note(body, y);
    for (int steps = 0; to - t > BodyHistory.NO_TIME; steps++) {
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
      double[] after = stepper.end().clone();
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
        stepper = new RosenbrockStep(body);
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
    WithinStep within = new WithinStep(t, h, y, dy, z, dz);
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
    return Math.min(body.cured(y) - wanted, known(targets).withinK() - body.offRoom(y));
  }

  private static double pourable(Body body, double[] y) {
    double thick = Math.log(body.viscosity(y) / CureEngine.POURABLE_PA_S);
    return Math.max(thick, body.warmest(y) - CureEngine.TOO_WARM_C);
  }
}
