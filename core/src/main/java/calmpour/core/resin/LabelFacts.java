package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What else a label says. Everything may be left out.
 *
 * @param otherRatio the ratio on the other basis, where the label gives both
 * @param flexible whether it stays flexible
 * @param coloured whether a part comes ready coloured
 * @param viscosityPaS of the fresh mix at room temperature, Pa·s
 * @param depthFromMm thinnest pour
 * @param depthToMm deepest pour
 * @param shrinkagePercent when it cures
 * @param shrinkageIs whether that is of a length or of the volume; null when not said
 * @param twoCups whether it asks to be stirred on in a second cup
 * @param warmFromC coolest that A and B may be
 * @param warmToC warmest that A and B may be
 * @param forEveryUse whether the label claims to be right for everything
 * @param potLifeRows pot lives beyond the first, of other masses or temperatures
 * @param dampFromPercent humidity above which it is not to be used, %
 */
public record LabelFacts(
    @Nullable MixRatio otherRatio,
    @Nullable Boolean flexible,
    @Nullable Boolean coloured,
    @Nullable Double viscosityPaS,
    @Nullable Double depthFromMm,
    @Nullable Double depthToMm,
    @Nullable Double shrinkagePercent,
    @Nullable Shrinkage shrinkageIs,
    @Nullable Boolean twoCups,
    @Nullable Double warmFromC,
    @Nullable Double warmToC,
    @Nullable Boolean forEveryUse,
    @Nullable List<PotLifeRow> potLifeRows,
    @Nullable Double dampFromPercent) {
  public static final Range VISCOSITY_PA_S = new Range(0.01, 100);
  public static final Range DEPTH_FROM_MM = new Range(0, 500);
  public static final Range DEPTH_TO_MM = new Range(0.5, 500);
  public static final Range SHRINKAGE_PERCENT = new Range(0, 15);
  public static final Range WARM_FROM_C = new Range(0, 60);
  public static final Range WARM_TO_C = new Range(0, 80);
  public static final Range DAMP_FROM_PERCENT = new Range(10, 100);

  /** What a shrinkage counts. */
  public enum Shrinkage {
    LINEAR,
    VOLUMETRIC
  }

  /**
   * How much of its volume it loses when it cures, 0 to 1; null where the label does not say. A
   * shrinkage that does not say what it is of is taken as one of a length: that is the larger.
   */
  public @Nullable Double volumeLost() {
    if (shrinkagePercent == null) {
      return null;
    }
    double share = shrinkagePercent / 100;
    return shrinkageIs == Shrinkage.VOLUMETRIC ? share : 1 - Math.pow(1 - share, 3);
  }

  private static final Range ROWS = new Range(0, 12);

  /** A label with at most one pot life. */
  public LabelFacts(
      @Nullable MixRatio otherRatio,
      @Nullable Boolean flexible,
      @Nullable Boolean coloured,
      @Nullable Double viscosityPaS,
      @Nullable Double depthFromMm,
      @Nullable Double depthToMm,
      @Nullable Double shrinkagePercent,
      @Nullable Shrinkage shrinkageIs,
      @Nullable Boolean twoCups,
      @Nullable Double warmFromC,
      @Nullable Double warmToC,
      @Nullable Boolean forEveryUse) {
    this(
        otherRatio,
        flexible,
        coloured,
        viscosityPaS,
        depthFromMm,
        depthToMm,
        shrinkagePercent,
        shrinkageIs,
        twoCups,
        warmFromC,
        warmToC,
        forEveryUse,
        null,
        null);
  }

  public LabelFacts {
    potLifeRows = potLifeRows == null || potLifeRows.isEmpty() ? null : List.copyOf(potLifeRows);
    int rows = potLifeRows == null ? 0 : potLifeRows.size();
    new Check()
        .that(
            ROWS.contains(rows), Problem.outside("potLifeRows", Problem.Code.TOO_MANY, rows, ROWS))
        .within("viscosityPaS", viscosityPaS, VISCOSITY_PA_S)
        .within("depthFromMm", depthFromMm, DEPTH_FROM_MM)
        .within("depthToMm", depthToMm, DEPTH_TO_MM)
        .within("shrinkagePercent", shrinkagePercent, SHRINKAGE_PERCENT)
        .within("warmFromC", warmFromC, WARM_FROM_C)
        .within("warmToC", warmToC, WARM_TO_C)
        .within("dampFromPercent", dampFromPercent, DAMP_FROM_PERCENT)
        .that(
            depthFromMm == null || depthToMm == null || depthFromMm < depthToMm,
            Problem.of("depthToMm", Problem.Code.RANGE_REVERSED, "" + depthToMm))
        .that(
            warmFromC == null || warmToC == null || warmFromC < warmToC,
            Problem.of("warmToC", Problem.Code.RANGE_REVERSED, "" + warmToC))
        .orThrow();
  }
}
