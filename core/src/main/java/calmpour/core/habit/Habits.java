package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How this workshop works: one choice from each school, with a default, changeable per session.
 *
 * @param measureBy as the label says, or always one way
 * @param firstPart which part goes into the cup first
 * @param scaleDivisionG smallest step of the scale
 * @param marksDivisionMl smallest step of the measuring cup
 * @param overagePercent mixed beyond what the moulds hold
 * @param residueG stays in any cup and on its stick
 * @param residuePercent stays as well, of what was in it
 * @param headroomPercent of a cup kept empty for stirring
 * @param capAllPercent all additives together, by bulk volume of the mix
 * @param capLiquidPercent liquid colourants together, by weight of the mix
 * @param stirMinutes where the label does not say
 * @param restMinutes for bubbles, the clock running
 * @param marginMinutes every pour ends this long before its cup thickens
 * @param ratioTolerancePercent how far the rounded A:B may be off
 * @param thickWaitMinutes from the end of mixing until a thick join
 * @param gelWaitMinutes from the end of mixing until a gel join, where the label does not say
 * @param curedWaitHours from the pour until a cured join
 * @param mixing how A and B become one
 * @param splitting how one mix becomes cups
 * @param tinting how much colour is allowed
 * @param care what is done for moulds and pieces before, between and after
 * @param planning how sure a plan has to be, and for how many hands
 */
@RecordBuilder
public record Habits(
    MeasureBy measureBy,
    FirstPart firstPart,
    double scaleDivisionG,
    double marksDivisionMl,
    double overagePercent,
    double residueG,
    double residuePercent,
    double headroomPercent,
    double capAllPercent,
    double capLiquidPercent,
    double stirMinutes,
    double restMinutes,
    double marginMinutes,
    double ratioTolerancePercent,
    double thickWaitMinutes,
    double gelWaitMinutes,
    double curedWaitHours,
    Mixing mixing,
    Splitting splitting,
    Tinting tinting,
    Care care,
    Planning planning)
    implements HabitsBuilder.With {
  public static final Range SCALE_DIVISION_G = new Range(0.001, 10);
  public static final Range MARKS_DIVISION_ML = new Range(0.1, 50);
  public static final Range OVERAGE_PERCENT = new Range(0, 100);
  public static final Range RESIDUE_G = new Range(0, 50);
  public static final Range RESIDUE_PERCENT = new Range(0, 30);
  public static final Range HEADROOM_PERCENT = new Range(0, 80);
  public static final Range CAP_ALL_PERCENT = new Range(0.1, 40);
  public static final Range CAP_LIQUID_PERCENT = new Range(0.1, 40);
  public static final Range STIR_MINUTES = new Range(0.25, 30);
  public static final Range REST_MINUTES = new Range(0, 60);
  public static final Range MARGIN_MINUTES = new Range(0, 60);
  public static final Range RATIO_TOLERANCE_PERCENT = new Range(0.1, 20);
  public static final Range THICK_WAIT_MINUTES = new Range(1, 600);
  public static final Range GEL_WAIT_MINUTES = new Range(1, 4_320);
  public static final Range CURED_WAIT_HOURS = new Range(1, 672);

  /** The starting values of the trade; common practice, no source. */
  public static final Habits DEFAULT =
      new Habits(
          MeasureBy.LABEL,
          FirstPart.B,
          0.1,
          1,
          5,
          1.5,
          2,
          20,
          10,
          6,
          3,
          8,
          3,
          2,
          35,
          240,
          24,
          Mixing.DEFAULT,
          Splitting.DEFAULT,
          Tinting.DEFAULT,
          Care.DEFAULT,
          Planning.DEFAULT);

  /** How A and B are measured. */
  public enum MeasureBy {
    LABEL,
    WEIGHT,
    VOLUME
  }

  /** Which part goes first; mostly the thinner one, B, so that the thick one does not stick. */
  public enum FirstPart {
    A,
    B
  }

  public Habits {
    new Check()
        .present("measureBy", measureBy)
        .present("firstPart", firstPart)
        .within("scaleDivisionG", scaleDivisionG, SCALE_DIVISION_G)
        .within("marksDivisionMl", marksDivisionMl, MARKS_DIVISION_ML)
        .within("overagePercent", overagePercent, OVERAGE_PERCENT)
        .within("residueG", residueG, RESIDUE_G)
        .within("residuePercent", residuePercent, RESIDUE_PERCENT)
        .within("headroomPercent", headroomPercent, HEADROOM_PERCENT)
        .within("capAllPercent", capAllPercent, CAP_ALL_PERCENT)
        .within("capLiquidPercent", capLiquidPercent, CAP_LIQUID_PERCENT)
        .within("stirMinutes", stirMinutes, STIR_MINUTES)
        .within("restMinutes", restMinutes, REST_MINUTES)
        .within("marginMinutes", marginMinutes, MARGIN_MINUTES)
        .within("ratioTolerancePercent", ratioTolerancePercent, RATIO_TOLERANCE_PERCENT)
        .within("thickWaitMinutes", thickWaitMinutes, THICK_WAIT_MINUTES)
        .within("gelWaitMinutes", gelWaitMinutes, GEL_WAIT_MINUTES)
        .within("curedWaitHours", curedWaitHours, CURED_WAIT_HOURS)
        .present("mixing", mixing)
        .present("splitting", splitting)
        .present("tinting", tinting)
        .present("care", care)
        .present("planning", planning)
        .orThrow();
  }

  /** The same habits with another overage and other residues: %, g, %. */
  public Habits withAllowances(double overage, double alwaysG, double percent) {
    return withOveragePercent(overage).withResidueG(alwaysG).withResiduePercent(percent);
  }

  /**
   * The same habits with another way of measuring A and B.
   *
   * @param marksMl division of the cup's marks, where they are read
   */
  public Habits withMeasureBy(MeasureBy other, double marksMl) {
    return withMeasureBy(other).withMarksDivisionMl(marksMl);
  }

  /** Whole seconds by which every pour ends before its cup thickens; never less than said. */
  public int marginSeconds() {
    return (int) Math.ceil(marginMinutes * 60);
  }
}
