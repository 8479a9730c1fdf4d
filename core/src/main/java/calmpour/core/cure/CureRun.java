package calmpour.core.cure;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of a body of resin. Moments are minutes from the first contact of A and B; null where
 * it does not come to that within the time that was looked at.
 *
 * @param curve from the first contact on, in time order
 * @param workingTimeEnds when it is no longer pourable: at 5 Pa·s, or at 60 °C if that comes first
 * @param tooThick when a drawn thread holds: its mean is at 50 Pa·s
 * @param gels when the last of it is at the gel point
 * @param bondEnds when a next layer no longer bonds by itself
 * @param demould when it can come out of its mould: cured so far, and within 5 °C of the room
 * @param fullCure when it is as hard as its label means by cured
 * @param peakC the warmest that any of it gets
 * @param peakAt and when
 * @param heatUsed the heat it makes, at its worst, beside that from which on it would drive itself,
 *     see {@link Body#drive}; 1 and more is a runaway
 */
public record CureRun(
    List<CurvePoint> curve,
    @Nullable Double workingTimeEnds,
    @Nullable Double tooThick,
    @Nullable Double gels,
    @Nullable Double bondEnds,
    @Nullable Double demould,
    @Nullable Double fullCure,
    double peakC,
    double peakAt,
    double heatUsed) {
  public CureRun {
    curve = List.copyOf(curve);
  }

  /**
   * @param conversion 0 to 1, where it is furthest behind
   * @param cured 0 to 1, all in all
   * @param temperatureC where it is warmest
   * @param faceC at its open face; the same where it has one temperature
   * @param viscosityPaS of its mean; infinite from the gel point on
   * @param flow what thickness has let through so far: ∫ dt/η, min/(Pa·s)
   */
  public record CurvePoint(
      double minutes,
      double conversion,
      double cured,
      double temperatureC,
      double faceC,
      double viscosityPaS,
      double flow) {}

  /** How long it was looked at, min. */
  public double lasts() {
    return curve.get(curve.size() - 1).minutes;
  }

  /** Where it was in a minute, between the points of the curve on a straight line. */
  public CurvePoint at(double minutes) {
    int low = 0;
    int high = curve.size() - 1;
    if (minutes <= curve.get(0).minutes) {
      return curve.get(0);
    }
    if (minutes >= curve.get(high).minutes) {
      return curve.get(high);
    }
    while (high - low > 1) {
      int middle = (low + high) / 2;
      if (curve.get(middle).minutes <= minutes) {
        low = middle;
      } else {
        high = middle;
      }
    }
    CurvePoint a = curve.get(low);
    CurvePoint b = curve.get(high);
    double s = (minutes - a.minutes) / (b.minutes - a.minutes);
    return new CurvePoint(
        minutes,
        a.conversion + s * (b.conversion - a.conversion),
        a.cured + s * (b.cured - a.cured),
        a.temperatureC + s * (b.temperatureC - a.temperatureC),
        a.faceC + s * (b.faceC - a.faceC),
        // Infinite less infinite is no number.
        Double.isInfinite(b.viscosityPaS)
            ? s < 1 ? a.viscosityPaS : b.viscosityPaS
            : a.viscosityPaS + s * (b.viscosityPaS - a.viscosityPaS),
        a.flow + s * (b.flow - a.flow));
  }
}
