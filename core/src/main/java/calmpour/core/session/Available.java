package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What there is of the session's resin, where no more of it is to be taken: a total of A and B
 * together, or grams of each, as in a kit or in what is left in two bottles.
 */
public record Available(
    @Nullable Double totalG,
    @Nullable Double totalMl,
    @Nullable Double partAG,
    @Nullable Double partBG) {
  public static final Range TOTAL_G = new Range(0.5, 100_000);
  public static final Range TOTAL_ML = new Range(0.5, 100_000);
  public static final Range PART_AG = new Range(0.1, 100_000);
  public static final Range PART_BG = new Range(0.1, 100_000);

  public Available {
    boolean parts = partAG != null || partBG != null;
    long told = Stream.of(totalG, totalMl).filter(Objects::nonNull).count() + (parts ? 1 : 0);
    new Check()
        .within("totalG", totalG, TOTAL_G)
        .within("totalMl", totalMl, TOTAL_ML)
        .within("partAG", partAG, PART_AG)
        .within("partBG", partBG, PART_BG)
        .that(told == 1, Problem.of("totalG", Problem.Code.ONE_OF_THESE, null))
        .that(!parts || partAG != null, Problem.of("partAG", Problem.Code.MISSING, null))
        .that(!parts || partBG != null, Problem.of("partBG", Problem.Code.MISSING, null))
        .orThrow();
  }

  /** So many grams of A and B together. */
  public static Available ofG(double totalG) {
    return new Available(totalG, null, null, null);
  }
}
