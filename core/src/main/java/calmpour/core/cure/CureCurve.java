package calmpour.core.cure;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A run as it is drawn: no more points than an eye can tell apart, and when each state comes, in
 * minutes from the first contact of A and B.
 *
 * @param points in time order
 * @param pourableUntilPaS thickness up to which it can be poured
 * @param threadFromPaS thickness from which it draws a thread
 * @param endsTooWarm whether its working time ends because it gets too warm, not too thick
 */
public record CureCurve(
    List<CurveSample> points,
    @Nullable Double workingTimeEnds,
    @Nullable Double tooThick,
    @Nullable Double gels,
    @Nullable Double bondEnds,
    @Nullable Double demould,
    @Nullable Double fullCure,
    double peakC,
    double peakAt,
    double pourableUntilPaS,
    double threadFromPaS,
    boolean endsTooWarm) {
  private static final int MOST = 160;
  private static final double ALMOST = 0.98;

  public CureCurve {
    points = List.copyOf(points);
  }

  /**
   * @param viscosityPaS null from the gel point on
   */
  public record CurveSample(
      double minutes,
      double conversion,
      double temperatureC,
      double faceC,
      @Nullable Double viscosityPaS,
      Thickness thickness) {}

  public static CureCurve of(CureRun run) {
    List<CureRun.CurvePoint> all = run.curve();
    List<CurveSample> points = new ArrayList<>();
    int every = 1 + all.size() / MOST;
    for (int i = 0; i < all.size(); i++) {
      // Its end, and the peak, are never left out.
      boolean kept = i == all.size() - 1 || all.get(i).minutes() == run.peakAt();
      if (kept || i % every == 0) {
        CureRun.CurvePoint p = all.get(i);
        Double viscosity = Double.isInfinite(p.viscosityPaS()) ? null : (Double) p.viscosityPaS();
        points.add(
            new CurveSample(
                p.minutes(),
                p.conversion(),
                p.temperatureC(),
                p.faceC(),
                viscosity,
                Thickness.of(viscosity)));
      }
    }
    return new CureCurve(
        points,
        run.workingTimeEnds(),
        run.tooThick(),
        run.gels(),
        run.bondEnds(),
        run.demould(),
        run.fullCure(),
        run.peakC(),
        run.peakAt(),
        CureEngine.POURABLE_PA_S,
        CureEngine.THICK_PA_S,
        endsTooWarm(run));
  }

  /** Thinner than it may be when its working time ends, more than a curve's steps can be off. */
  private static boolean endsTooWarm(CureRun run) {
    Double ends = run.workingTimeEnds();
    return ends != null
        && run.curve().stream()
            .filter(p -> p.minutes() >= ends)
            .findFirst()
            .map(p -> p.viscosityPaS() < CureEngine.POURABLE_PA_S * ALMOST)
            .orElse(false);
  }
}
