package calmpour.core.journal;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How many times as long as its label says a resin takes, or as much as measured a mould, by the
 * evenings on which somebody looked.
 *
 * @param times as told, in the middle of what is thought
 * @param lowest it lies between them in 19 of 20 cases
 * @param highest likewise
 * @param sd of its logarithm
 * @param evenings that count
 * @param contradictory evenings that were left out, because their looks contradict each other
 * @param looks on all that count
 * @param enough whether there are evenings enough to plan with it
 */
public record LearnedTimes(
    double times,
    double lowest,
    double highest,
    double sd,
    int evenings,
    int contradictory,
    int looks,
    boolean enough) {
  /** Never learned from fewer evenings. */
  public static final int FEWEST_EVENINGS = 3;

  /** Less of a difference changes no plan: what is planned with stays as it is, as a share. */
  public static final double SAME = 0.03;

  /** The most informative evenings of a resin; more cost time and tell nothing more. */
  private static final int MOST_EVENINGS = 100;

  /** What was told may be off before anything was seen, of its logarithm (starting value). */
  private static final double TOLD_SD = 0.25;

  /** What was only assumed of a kind may be off by more (starting value). */
  private static final double ASSUMED_SD = 0.6;

  /** What one evening differs from the next, of its logarithm, one as likely as the other. */
  private static final double[] EVENING_SDS = {0.02, 0.04, 0.08, 0.13, 0.2};

  private static final double WIDEST = 1.2;
  private static final double STEP = 0.004;

  /** No evening is quite impossible. */
  private static final double LEAST = 1e-9;

  private static final double TAIL = 0.025;

  /**
   * What is thought of it, given what each evening says. An evening is off what it mostly is by
   * something with heavy tails (Student's distribution with three degrees of freedom), so that a
   * wrong reading is taken for one (K. L. Lange, R. J. A. Little, J. M. G. Taylor, J. Am. Stat.
   * Assoc. 84 (1989) 881); how far evenings differ is averaged over. Worked out on a grid.
   *
   * @param evenings of one resin and one pace, or of one cavity
   */
  public static LearnedTimes of(List<? extends Bounds> evenings) {
    return of(evenings, 0, TOLD_SD);
  }

  /**
   * The same where nothing was told, and something of its kind was assumed.
   *
   * @param told whether it was told after all
   */
  static LearnedTimes of(List<? extends Bounds> evenings, boolean told) {
    return of(evenings, 0, told ? TOLD_SD : ASSUMED_SD);
  }

  /**
   * The same beside what is thought of others of its kind.
   *
   * @param others what is thought of them
   * @param differ what one of them differs from the next, of its logarithm
   */
  static LearnedTimes beside(LearnedTimes others, double differ, List<? extends Bounds> evenings) {
    return of(evenings, Math.log(others.times), Math.hypot(others.sd, differ));
  }

  private static LearnedTimes of(
      List<? extends Bounds> evenings, double thought, double thoughtSd) {
    List<? extends Bounds> counts =
        evenings.stream()
            .filter(e -> !e.contradicts())
            .sorted((a, b) -> Double.compare(width(a), width(b)))
            .limit(MOST_EVENINGS)
            .toList();
    int points = (int) Math.round(2 * WIDEST / STEP) + 1;
    double[] log = new double[points * EVENING_SDS.length];
    double most = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < points; i++) {
      double pace = -WIDEST + i * STEP;
      for (int s = 0; s < EVENING_SDS.length; s++) {
        double off = (pace - thought) / thoughtSd;
        double sum = -off * off / 2;
        for (Bounds evening : counts) {
          sum += Math.log(LEAST + likelihood(evening, pace, EVENING_SDS[s]));
        }
        log[i * EVENING_SDS.length + s] = sum;
        most = Math.max(most, sum);
      }
    }
    double[] weight = new double[points];
    double all = 0;
    for (int i = 0; i < log.length; i++) {
      double each = Math.exp(log[i] - most);
      weight[i / EVENING_SDS.length] += each;
      all += each;
    }
    double mean = 0;
    for (int i = 0; i < points; i++) {
      weight[i] /= all;
      mean += weight[i] * (-WIDEST + i * STEP);
    }
    double variance = STEP * STEP / 12;
    for (int i = 0; i < points; i++) {
      double off = -WIDEST + i * STEP - mean;
      variance += weight[i] * off * off;
    }
    return new LearnedTimes(
        Math.exp(quantile(weight, 0.5)),
        Math.exp(quantile(weight, TAIL)),
        Math.exp(quantile(weight, 1 - TAIL)),
        Math.sqrt(variance),
        counts.size(),
        evenings.size() - (int) evenings.stream().filter(e -> !e.contradicts()).count(),
        counts.stream().mapToInt(Bounds::looks).sum(),
        counts.size() >= FEWEST_EVENINGS);
  }

  private static double width(Bounds evening) {
    return evening.lowest() == null || evening.highest() == null
        ? Double.MAX_VALUE
        : Math.log(evening.highest() / evening.lowest());
  }

  private static double likelihood(Bounds evening, double pace, double sd) {
    double below =
        evening.highest() == null ? 1 : student((Math.log(evening.highest()) - pace) / sd);
    double above = evening.lowest() == null ? 0 : student((Math.log(evening.lowest()) - pace) / sd);
    return Math.max(0, below - above);
  }

  /** Student's distribution with three degrees of freedom, in closed form. */
  private static double student(double t) {
    double x = t / Math.sqrt(3);
    return 0.5 + (x / (1 + x * x) + Math.atan(x)) / Math.PI;
  }

  private static double quantile(double[] weight, double share) {
    double sum = 0;
    for (int i = 0; i < weight.length; i++) {
      if (sum + weight[i] >= share) {
        return -WIDEST + (i - 0.5 + (share - sum) / weight[i]) * STEP;
      }
      sum += weight[i];
    }
    return WIDEST;
  }

  /**
   * Whether there are evenings enough to plan with it, and it is another figure than that.
   *
   * @param taken what is planned with; null for what was told
   */
  public boolean differsFrom(@Nullable Double taken) {
    double now = taken == null ? 1 : taken;
    return enough && Math.abs(times / now - 1) > SAME;
  }
}
