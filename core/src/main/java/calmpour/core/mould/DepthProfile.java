package calmpour.core.mould;

/**
 * How a cavity fills. Depths run in mm from the lowest point of the cavity to its rim, volumes in
 * mL; both are monotone in each other.
 */
public interface DepthProfile {
  /** Volume to the rim, mL. */
  double volumeMl();

  /** Depth to the rim, mm. */
  double depthMm();

  /**
   * Volume below a level.
   *
   * @param depthMm level above the lowest point, 0 to {@link #depthMm()}
   * @throws IllegalArgumentException when the level is outside the cavity
   */
  double volumeAtMl(double depthMm);

  /**
   * Level that a volume reaches.
   *
   * @param volumeMl 0 to {@link #volumeMl()}
   * @throws IllegalArgumentException when the cavity does not hold so much
   */
  double depthAtMm(double volumeMl);

  /**
   * Open area of the resin's surface at a level, mm².
   *
   * @param depthMm level above the lowest point, 0 to {@link #depthMm()}
   * @throws IllegalArgumentException when the level is outside the cavity
   */
  double areaAtMm2(double depthMm);
}
