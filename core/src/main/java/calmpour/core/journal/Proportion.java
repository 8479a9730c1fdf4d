package calmpour.core.journal;

import calmpour.core.check.Check;
import calmpour.core.check.Range;

/**
 * So many of so many, with the interval in which the real share lies in 19 of 20 cases.
 *
 * @param of how many were looked at, 0 or more
 * @param count how many of them, 0 to {@code of}
 * @param lowest share, 0 to 1
 * @param highest share, 0 to 1
 */
public record Proportion(int count, int of, double lowest, double highest) {
  /** 97.5 % quantile of the normal distribution. */
  private static final double Z = 1.959963984540054;

  /** 80 % quantile of it. */
  private static final double Z_POWER = 0.8416212335729143;

  /**
   * The score interval of E. B. Wilson, "Probable inference, the law of succession, and statistical
   * inference", J. Am. Stat. Assoc. 22 (1927) 209–212: it holds for small counts as well, and never
   * leaves 0 to 1. Without anything looked at it is all of that.
   *
   * @throws calmpour.core.check.InvalidValuesException where the counts are negative or more than
   *     there are
   */
  public static Proportion of(int count, int of) {
    new Check()
        .within("of", of, new Range(0, Integer.MAX_VALUE))
        .within("count", count, new Range(0, Math.max(0, of)))
        .orThrow();
    if (of == 0) {
      return new Proportion(0, 0, 0, 1);
    }
    double p = (double) count / of;
    double zz = Z * Z;
    double middle = p + zz / (2 * of);
    double half = Z * Math.sqrt((p * (1 - p) + zz / (4 * of)) / of);
    double all = 1 + zz / of;
    return new Proportion(
        count,
        of,
        count == 0 ? 0 : Math.max(0, (middle - half) / all),
        count == of ? 1 : Math.min(1, (middle + half) / all));
  }

  public double share() {
    return of == 0 ? Double.NaN : (double) count / of;
  }

  /**
   * Whether it differs from another share by more than chance: the interval of the difference, R.
   * G. Newcombe, "Interval estimation for the difference between independent proportions", Stat.
   * Med. 17 (1998) 873–890, method 10, leaves out 0. False where one of them has nothing looked at.
   */
  public boolean differsFrom(Proportion other) {
    if (of == 0 || other.of == 0) {
      return false;
    }
    double[] between = difference(other);
    return between[0] > 0 || between[1] < 0;
  }

  /**
   * How many of each have to be looked at so that two shares like these would be told apart in four
   * of five tries, 5 % of all differences being chance: J. L. Fleiss, "Statistical Methods for
   * Rates and Proportions", 2nd ed. (1981), chapter 3, without correction for continuity.
   *
   * @return 0 where the shares are the same, for then no number would
   */
  public static int neededOfEach(double share, double other) {
    return neededOfEach(share, other, Z_POWER);
  }

  /**
   * @param zPower quantile of the normal distribution of the share of tries that tell
   */
  static int neededOfEach(double share, double other, double zPower) {
    double by = Math.abs(share - other);
    if (!(by > 0)) {
      return 0;
    }
    double middle = (share + other) / 2;
    double root =
        Z * Math.sqrt(2 * middle * (1 - middle))
            + zPower * Math.sqrt(share * (1 - share) + other * (1 - other));
    return (int) Math.ceil(root * root / (by * by));
  }

  /** This share less another: lowest and highest, −1 to 1, by the same method. */
  public double[] difference(Proportion other) {
    double by = share() - other.share();
    return new double[] {
      by - Math.hypot(share() - lowest, other.highest - other.share()),
      by + Math.hypot(highest - share(), other.share() - other.lowest)
    };
  }
}
