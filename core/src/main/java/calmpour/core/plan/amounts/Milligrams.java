package calmpour.core.plan.amounts;

/**
 * Masses of a plan are counted in whole milligrams, so that what is mixed equals what is poured
 * plus what stays, exactly, whatever the order of adding.
 */
public final class Milligrams {
  /** A millionth of a milligram: noise of the arithmetic, not resin. */
  private static final double NOISE = 1e-6;

  private Milligrams() {}

  /** Whole milligrams, not less than {@code grams}. */
  static long up(double grams) {
    return (long) Math.ceil(grams * 1_000 - NOISE);
  }

  public static long nearest(double grams) {
    return Math.round(grams * 1_000);
  }

  /** Whole milligrams, not more than {@code grams}: for doses, which have an upper limit. */
  static long down(double grams) {
    return (long) Math.floor(grams * 1_000 + NOISE);
  }

  public static double grams(long milligrams) {
    return milligrams / 1_000.0;
  }
}
