package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * How much of its cavity a layer takes; one of the three is given.
 *
 * @param share of the cavity's volume, 0 to 1
 * @param depthMm thickness of the layer, mm
 * @param volumeMl mL
 */
public record Fill(@Nullable Double share, @Nullable Double depthMm, @Nullable Double volumeMl) {
  public static final Range SHARE = new Range(0.001, 1);
  public static final Range DEPTH_MM = new Range(0.05, 500);
  public static final Range VOLUME_ML = new Range(0.01, 20_000);

  public Fill {
    int given = (share == null ? 0 : 1) + (depthMm == null ? 0 : 1) + (volumeMl == null ? 0 : 1);
    new Check()
        .within("share", share, SHARE)
        .within("depthMm", depthMm, DEPTH_MM)
        .within("volumeMl", volumeMl, VOLUME_ML)
        .that(given == 1, Problem.of("", Problem.Code.ONE_OF_THESE, given + " given"))
        .orThrow();
  }

  public static Fill ofShare(double share) {
    return new Fill(share, null, null);
  }

  public static Fill ofDepthMm(double depthMm) {
    return new Fill(null, depthMm, null);
  }

  public static Fill ofVolumeMl(double volumeMl) {
    return new Fill(null, null, volumeMl);
  }
}
