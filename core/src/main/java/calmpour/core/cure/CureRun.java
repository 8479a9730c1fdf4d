package calmpour.core.cure;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What became of a body of resin. Moments are minutes from the first contact of A and B; null where
 * it does not come to that within the time that was looked at.
 *
 * @param curve from the first contact on, in time order
 * @param workingTimeEnds when it is no longer pourable: at 5 Pa·s, or at 60 °C if that comes first
 * @param tooThick when it is thicker than honey: at 50 Pa·s
 * @param gels at the gel point
 * @param peakC the warmest it gets
 * @param peakAt and when
 */
public record CureRun(
    List<CurvePoint> curve,
    @Nullable Double workingTimeEnds,
    @Nullable Double tooThick,
    @Nullable Double gels,
    double peakC,
    double peakAt) {
  public CureRun {
    curve = List.copyOf(curve);
  }

  /**
   * @param conversion 0 to 1
   * @param viscosityPaS infinite from the gel point on
   */
  public record CurvePoint(
      double minutes, double conversion, double temperatureC, double viscosityPaS) {}
}
