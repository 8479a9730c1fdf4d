package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How one mix becomes cups.
 *
 * @param when before the cups are tinted, or after, where one colour takes several cups
 * @param reserveMl clear resin kept back in the mixing cup, for what runs short
 * @param cupAtMostMl most in one cup because of its own heat; 50 to 120 mL is common practice for
 *     hobby epoxies, no source. Deep-pour resins are slow enough to be ruled by their label alone.
 */
@RecordBuilder
public record Splitting(SplitWhen when, double reserveMl, double cupAtMostMl)
    implements SplittingBuilder.With {
  public static final Range RESERVE_ML = new Range(0, 500);
  public static final Range CUP_AT_MOST_ML = new Range(5, 5_000);

  public static final Splitting DEFAULT = new Splitting(SplitWhen.BEFORE_TINTING, 0, 120);

  /**
   * Early keeps the resin cool in shallow cups; late tints one colour once. Several colours can
   * only be split before, and so can a batch of which a part is kept back clear.
   */
  public enum SplitWhen {
    BEFORE_TINTING,
    AFTER_TINTING
  }

  public Splitting {
    new Check()
        .present("when", when)
        .within("reserveMl", reserveMl, RESERVE_ML)
        .within("cupAtMostMl", cupAtMostMl, CUP_AT_MOST_ML)
        .orThrow();
  }
}
