package calmpour.core.mould;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * A profile through measured or sliced levels: a cubic between each two, kept from turning back by
 * the limiter of F. N. Fritsch and R. E. Carlson, SIAM J. Numer. Anal. 17 (1980) 238–246.
 */
final class MonotoneProfile extends ProfileBase {
  private final double[] depths;
  private final double[] volumes;
  private final double[] slopes;

  /**
   * @param depthsMm rising, from 0 to the rim
   * @param volumesMl rising, from 0
   * @param areasMm2 area at each depth where it is known; null to reckon it from the neighbours
   */
  MonotoneProfile(double[] depthsMm, double[] volumesMl, double @Nullable [] areasMm2) {
    depths = depthsMm.clone();
    volumes = volumesMl.clone();
    slopes = areasMm2 == null ? estimated() : Arrays.stream(areasMm2).map(a -> a / 1_000).toArray();
    for (int i = 0; i + 1 < depths.length; i++) {
      limit(i);
    }
  }

  /** Slopes by the three neighbouring points; at the ends those of the outer stretch. */
  private double[] estimated() {
    int n = depths.length;
    double[] estimate = new double[n];
    for (int i = 0; i < n; i++) {
      double below = rise(Math.max(0, i - 1));
      double above = rise(Math.min(n - 2, i));
      estimate[i] = (below + above) / 2;
    }
    return estimate;
  }

  private double rise(int i) {
    return (volumes[i + 1] - volumes[i]) / (depths[i + 1] - depths[i]);
  }

  /** Keeps (α, β) inside the circle of radius 3 of Fritsch and Carlson. */
  private void limit(int i) {
    double rise = rise(i);
    if (rise == 0) {
      slopes[i] = 0;
      slopes[i + 1] = 0;
      return;
    }
    double alpha = slopes[i] / rise;
    double beta = slopes[i + 1] / rise;
    double length = Math.hypot(alpha, beta);
    if (length > 3) {
      slopes[i] = 3 * alpha / length * rise;
      slopes[i + 1] = 3 * beta / length * rise;
    }
  }

  @Override
  public double volumeMl() {
    return volumes[volumes.length - 1];
  }

  @Override
  public double depthMm() {
    return depths[depths.length - 1];
  }

  @Override
  double volumeBelow(double depth) {
    int i = stretch(depth);
    double h = depths[i + 1] - depths[i];
    double t = (depth - depths[i]) / h;
    double volume =
        volumes[i] * (1 + 2 * t) * (1 - t) * (1 - t)
            + slopes[i] * h * t * (1 - t) * (1 - t)
            + volumes[i + 1] * t * t * (3 - 2 * t)
            - slopes[i + 1] * h * t * t * (1 - t);
    return Math.max(0, Math.min(volumeMl(), volume));
  }

  @Override
  double areaAt(double depth) {
    int i = stretch(depth);
    double h = depths[i + 1] - depths[i];
    double t = (depth - depths[i]) / h;
    double slope =
        6 * t * (1 - t) * rise(i)
            + slopes[i] * (1 - t) * (1 - 3 * t)
            + slopes[i + 1] * t * (3 * t - 2);
    return Math.max(0, slope) * 1_000;
  }

  private int stretch(double depth) {
    int found = Arrays.binarySearch(depths, depth);
    int above = found >= 0 ? found : -found - 1;
    return Math.max(0, Math.min(depths.length - 2, above - 1));
  }
}
