package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;

/**
 * Drops or scoops weighed to find out what one is: the same number each time, on a scale set to
 * zero.
 *
 * @param count drops or scoops in each weighing
 * @param weighingsG what the scale showed, g
 */
public record Weighed(int count, List<Double> weighingsG) {
  public static final Range COUNT = new Range(1, 500);
  public static final Range WEIGHINGS_G = new Range(1, 20);
  private static final Range ONE_G = new Range(0.0005, 50);

  public Weighed {
    weighingsG = weighingsG == null ? List.of() : List.copyOf(weighingsG);
    Check check =
        new Check()
            .within("count", count, COUNT)
            .that(
                WEIGHINGS_G.contains(weighingsG.size()),
                Problem.outside(
                    "weighingsG", Problem.Code.OUT_OF_RANGE, weighingsG.size(), WEIGHINGS_G));
    for (int i = 0; i < weighingsG.size(); i++) {
      double one = weighingsG.get(i) / Math.max(1, count);
      check.that(
          ONE_G.contains(one),
          Problem.outside("weighingsG[" + i + "]", Problem.Code.OUT_OF_RANGE, one, ONE_G));
    }
    check.orThrow();
  }

  /** Mass of one, g: the mean. */
  public double eachG() {
    return weighingsG.stream().mapToDouble(Double::doubleValue).average().orElseThrow() / count;
  }

  /**
   * Spread of one, as a share of it: the sample standard deviation of the weighings over their
   * mean. With a single weighing a third, the product's starting value (no source).
   */
  public double spread() {
    if (weighingsG.size() < 2) {
      return 1.0 / 3;
    }
    double mean = eachG() * count;
    double squares = weighingsG.stream().mapToDouble(w -> (w - mean) * (w - mean)).sum();
    return Math.sqrt(squares / (weighingsG.size() - 1)) / mean;
  }
}
