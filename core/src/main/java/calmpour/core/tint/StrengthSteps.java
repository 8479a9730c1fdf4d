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

  /**
   * @param tint as it is in the cup
   * @param percents of the mix by the recipe as written, in the order of the tint's shares
   * @param resinG in the cup
   * @return empty for a clear cup
   */
  public static Optional<StrengthSteps> of(
      Tint tint, List<Double> percents, double factor, double resinG) {
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
    double counted = now / unit;
    // A step goes to another whole count than is counted out now, so that it can be seen and done.
    double up = (Math.rint(counted) + 1) * unit;
    double down = (Math.rint(counted) - 1) * unit;
    boolean room = most > now * (1 + AT_LIMIT);
    boolean last = room && up > most * (1 + 1e-9);
    Double stronger =
        room ? Double.valueOf(factor(Math.min(up, most * BELOW), percent, all)) : null;
    Double weaker = down > unit / 2 ? Double.valueOf(factor(down, percent, all)) : null;
    return Optional.of(
        new StrengthSteps(
            factor,
            weaker == null ? halved(factor) : weaker,
            stronger,
            last,
            tint.stoppedBy().orElse(null)));
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
