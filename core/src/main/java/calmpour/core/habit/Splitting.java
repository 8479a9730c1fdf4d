package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;

/**
 * How one mix becomes cups.
 *
 * @param reserveMl clear resin kept back in the mixing cup, for what runs short
 * @param cupAtMostMl most in one cup because of its own heat; 50 to 120 mL is common practice for
 *     hobby epoxies, no source. Deep-pour resins are slow enough to be ruled by their label alone.
 */
public record Splitting(double reserveMl, double cupAtMostMl) {
  public static final Range RESERVE_ML = new Range(0, 500);
  public static final Range CUP_AT_MOST_ML = new Range(5, 5_000);

  public static final Splitting DEFAULT = new Splitting(0, 120);

  public Splitting {
    new Check()
        .within("reserveMl", reserveMl, RESERVE_ML)
        .within("cupAtMostMl", cupAtMostMl, CUP_AT_MOST_ML)
        .orThrow();
  }
}
