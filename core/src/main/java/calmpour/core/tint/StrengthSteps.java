package calmpour.core.tint;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What "stronger" and "weaker" mean for one cup: a drop or a quarter scoop more or less of the
 * colourant that there is most of, and the others with it.
 *
 * @param factor of the recipe, as it is now
 * @param weaker factor of one step less; null when it cannot be counted any weaker
 * @param stronger factor of one step more; null at a limit
 * @param lastStep whether {@code stronger} is less than a whole step, up to the limit
 * @param stoppedBy the limit that is met first; null when none counts any of it
 */
public record StrengthSteps(
    double factor,
    @Nullable Double weaker,
    @Nullable Double stronger,
    boolean lastStep,
    Tint.@Nullable Reading stoppedBy) {
  /** Nearer to a limit than this share there is no more step: less than a hundredth of a drop. */
  private static final double AT_LIMIT = 1e-4;

  /** A step keeps this far below the limit, so that it is not held back by the last digit. */
  private static final double BELOW = 1 - 1e-9;

  /** So many counts of one colourant further on, the others have moved as well. */
  private static final int MOST_COUNTS = 12;

  /**
   * @param tint as it is wanted in the cup
   * @param percents of the mix by the recipe as written, in the order of the tint's shares
   * @param resinG in the cup
   * @param divisionG of the scale
   * @return empty for a clear cup
   */
  public static Optional<StrengthSteps> of(
      Tint tint, List<Double> percents, double factor, double resinG, double divisionG) {
    if (tint.shares().isEmpty() || tint.gPerGResin() <= 0) {
      return Optional.empty();
    }
    int main =
        java.util.stream.IntStream.range(0, percents.size())
            .boxed()
            .max(Comparator.comparingDouble(percents::get))
            .orElseThrow();
    double all = percents.stream().mapToDouble(Double::doubleValue).sum();
    double now = tint.shares().get(main).gPerGResin();
    double unit = tint.shares().get(main).colourant().countedG() / resinG;
    double most = now * tint.mayGrowTimes();
    double percent = percents.get(main);
    double counted = Math.rint(now / unit);
    double countedG = countedG(tint, percents, factor, resinG, divisionG);
    // A step goes to where more, or less, is counted out than now, so that it can be seen and done:
    // surely so, with what changes in the cup, or where there is no such step, only just.
    Double stronger = null;
    Double barely = null;
    boolean last = false;
    boolean barelyLast = false;
    for (int n = 1; n <= MOST_COUNTS && stronger == null && most > now * (1 + AT_LIMIT); n++) {
      double up = (counted + n) * unit;
      last = up > most * (1 + 1e-9);
      double to = factor(Math.min(up, most * BELOW), percent, all);
      if (countedG(tint, percents, to, resinG, divisionG) > countedG + HAIR_G) {
        barelyLast = barely == null ? last : barelyLast;
        barely = barely == null ? (Double) to : barely;
        double less = resinG * (1 - MOVES);
        // Of one colourant a drop more is a drop more.
        boolean surely =
            percents.size() == 1
                || countedG(tint, percents, to, less, divisionG) > countedG + HAIR_G;
        stronger = surely ? (Double) to : null;
      }
      if (last) {
        break;
      }
    }
    if (stronger == null) {
      stronger = barely;
      last = barelyLast;
    }
    Double weaker = null;
    for (int n = 1; n <= MOST_COUNTS && weaker == null && (counted - n) * unit > unit / 2; n++) {
      double to = factor((counted - n) * unit, percent, all);
      boolean less = countedG(tint, percents, to, resinG, divisionG) < countedG - HAIR_G;
      weaker = less ? (Double) to : null;
    }
    return Optional.of(
        new StrengthSteps(
            factor,
            weaker == null ? halved(factor) : weaker,
            stronger,
            stronger != null && last,
            tint.stoppedBy().orElse(null)));
  }

  /** With another dose there is a little more or less resin in the cup, as a share. */
  private static final double MOVES = 0.015;

  /** A hundredth of the smallest drop. */
  private static final double HAIR_G = 1e-5;

  /** What is counted out in all at another strength, g. */
  private static double countedG(
      Tint tint, List<Double> percents, double factor, double resinG, double divisionG) {
    List<Double> asked = percents.stream().map(p -> p * factor).toList();
    if (asked.stream().mapToDouble(Double::doubleValue).sum() >= 100) {
      return Double.POSITIVE_INFINITY;
    }
    Tint other =
        Tint.within(
            tint.shares().stream().map(Tint.Share::colourant).toList(),
            asked,
            tint.resinDensity(),
            tint.limits());
    return Dosing.of(other, resinG, divisionG, false).stream()
        .mapToDouble(Dosing.Counted::massG)
        .sum();
  }

  /** Below one drop there are stock cups; a tenth of a recipe is hardly a colour any more. */
  private static @Nullable Double halved(double factor) {
    return factor > 0.1 ? Double.valueOf(factor / 2) : null;
  }

  /**
   * The factor of a recipe that gives {@code q} grams of a colourant per gram of resin: q = pf /
   * (100 − Sf) with p its percentage and S all of them, solved for f.
   */
  private static double factor(double q, double percent, double all) {
    return 100 * q / (percent + all * q);
  }
}
