package calmpour.core.mould;

import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** What every profile shares: refusing what is outside, and turning volume back into depth. */
abstract class ProfileBase implements DepthProfile {
  /** A billionth of the depth: far below a hair, well above the arithmetic's noise. */
  private static final double SHARE_OF_DEPTH = 1e-9;

  private static final int MOST_STEPS = 200;
  private static final int ORDER = 5;

  /** Volume below a level that is known to be inside, mL. */
  abstract double volumeBelow(double depth);

  /** Area at a level that is known to be inside, mm². */
  abstract double areaAt(double depth);

  @Override
  public final double volumeAtMl(double depth) {
    inside(depth);
    return volumeBelow(depth);
  }

  @Override
  public final double areaAtMm2(double depth) {
    inside(depth);
    return areaAt(depth);
  }

  @Override
  public final double depthAtMm(double volume) {
    if (!(volume >= 0 && volume <= volumeMl())) {
      throw new IllegalArgumentException(
          "volume (" + volume + ") must be 0 to " + volumeMl() + " mL");
    }
    if (volume == 0 || volume == volumeMl()) {
      return volume == 0 ? 0 : depthMm();
    }
    return new BracketingNthOrderBrentSolver(
            SHARE_OF_DEPTH, SHARE_OF_DEPTH * depthMm(), volumeMl() * 1e-13, ORDER)
        .solve(MOST_STEPS, depth -> volumeBelow(depth) - volume, 0, depthMm());
  }

  private void inside(double depth) {
    if (!(depth >= 0 && depth <= depthMm())) {
      throw new IllegalArgumentException("depth (" + depth + ") must be 0 to " + depthMm() + " mm");
    }
  }
}
