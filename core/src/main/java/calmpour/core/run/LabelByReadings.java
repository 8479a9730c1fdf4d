package calmpour.core.run;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.HalvingRule;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What thermometers say of a body of resin, beside what was expected of it. */
final class LabelByReadings {
  /** How near an infrared thermometer reads a cup's mix, K; one standard deviation, no source. */
  private static final double READS_K = 0.7;

  /** Half of what "±" means for a label, as in the chance of a plan. */
  private static final double LABEL = HalvingRule.LABEL_SPREAD / 2;

  /** Labels that are tried, times what is printed. */
  private static final double LEAST = 0.6;

  private static final double MOST = 1.4;
  private static final double COARSE = 0.1;
  private static final double FINE = 0.02;

  /**
   * What a thermometer said of a body.
   *
   * @param minutes from the first contact
   */
  record Warmth(double minutes, double temperatureC) {}

  private LabelByReadings() {}

  /**
   * How far the label is off by what a cup's thermometer read: the most probable factor on its pot
   * life, where the label is ± 15 % and each reading ± 0.7 °C, both taken as normal (the largest
   * posterior, on a grid that is refined where it is largest).
   *
   * @param readings in order of time; empty for nothing measured
   * @return 1 where nothing was measured, or the engine has no curve
   */
  static double labelFactor(
      CureModel cure, ResinSystem resin, BodyHistory body, List<Warmth> readings) {
    if (readings.isEmpty()) {
      return 1;
    }
    BodyHistory past = until(body, readings.getLast().minutes());
    double rough = best(cure, resin, past, readings, LEAST, MOST, COARSE);
    double from = Math.max(LEAST, rough - COARSE + FINE);
    return best(cure, resin, past, readings, from, Math.min(MOST, rough + COARSE), FINE);
  }

  private static double best(
      CureModel cure,
      ResinSystem resin,
      BodyHistory body,
      List<Warmth> readings,
      double from,
      double to,
      double step) {
    double best = 1;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; from + i * step <= to + step / 2; i++) {
      // Without the rounding of many sums, so that 1 is 1.
      double factor = Math.rint((from + i * step) / FINE) * FINE;
      Optional<CureRun> run = cure.curve(resin.ofPotLife(factor), body);
      if (run.isEmpty()) {
        continue;
      }
      double cost = Math.pow((factor - 1) / LABEL, 2);
      for (Warmth reading : readings) {
        Double expected = temperature(run.get().curve(), reading.minutes());
        if (expected != null) {
          cost += Math.pow((reading.temperatureC() - expected) / READS_K, 2);
        }
      }
      if (cost < least) {
        least = cost;
        best = factor;
      }
    }
    return best;
  }

  /** A body as it was until a minute: what comes later says nothing of what was read before. */
  static BodyHistory until(BodyHistory body, double minutes) {
    List<BodyHistory.Segment> segments = new ArrayList<>();
    double from = 0;
    for (BodyHistory.Segment segment : body.segments()) {
      from += segment.minutes();
      if (from > minutes) {
        segments.add(segment.lasting(0));
        break;
      }
      segments.add(segment);
    }
    return new BodyHistory(body.startC(), segments);
  }

  /** Between two points of a curve, °C; null beyond its end. */
  static @Nullable Double temperature(List<CureRun.CurvePoint> curve, double minutes) {
    for (int i = 1; i < curve.size(); i++) {
      CureRun.CurvePoint to = curve.get(i);
      if (to.minutes() >= minutes) {
        CureRun.CurvePoint from = curve.get(i - 1);
        double share =
            to.minutes() > from.minutes()
                ? (minutes - from.minutes()) / (to.minutes() - from.minutes())
                : 1;
        return from.temperatureC() + share * (to.temperatureC() - from.temperatureC());
      }
    }
    return null;
  }
}
