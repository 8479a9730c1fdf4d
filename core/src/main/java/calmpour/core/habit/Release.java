package calmpour.core.habit;

/**
 * How bubbles are brought out of the mix before it is poured. Minutes and degrees are starting
 * values, no source.
 */
public enum Release {
  NONE(0, 0, false),
  /** A flame passed over the cup. */
  FLAME(0.5, 1, true),
  HOT_AIR(1, 6, true),
  LAMP(5, 4, false),
  /** Thinned out into a tray under hot air, and back. */
  TRAY(4, 8, true),
  /** Some epoxies only foam. */
  VACUUM(6, 0, false),
  /** A machine that shakes or spins them out. */
  MACHINE(4, 0, false);

  private final double minutes;
  private final double warmerK;
  private final boolean ignites;

  Release(double minutes, double warmerK, boolean ignites) {
    this.minutes = minutes;
    this.warmerK = warmerK;
    this.ignites = ignites;
  }

  /** Of hands, while the clock runs. */
  public double minutes() {
    return minutes;
  }

  /** By how much the mix is warmer afterwards, K. */
  public double warmerK() {
    return warmerK;
  }

  /** Whether it lights what evaporates from alcohol. */
  public boolean ignites() {
    return ignites;
  }
}
