package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How long one pair of hands takes, in seconds. Starting values: common practice, no source, each
 * uncertain by about a third.
 *
 * @param secondCupSeconds over into a clean cup, before it is stirred on there
 * @param embedSeconds each, to put it in or to get it ready
 * @param nudgeSeconds each, at every look until gel
 * @param mouldSeconds to wipe or spray one cavity
 * @param cleanUpSeconds after a batch, cups and sticks
 */
@RecordBuilder
public record Hands(
    double weighSecondsPart,
    double secondCupSeconds,
    double splitSecondsCup,
    double tintSecondsCup,
    double tintPowderSecondsCup,
    double pourSecondsCavity,
    double pourSecondsMl,
    double bubbleSecondsCavity,
    double coverSeconds,
    double embedSeconds,
    double nudgeSeconds,
    double demouldSecondsPiece,
    double mouldSeconds,
    double cleanUpSeconds)
    implements HandsBuilder.With {
  public static final Range WEIGH_SECONDS_PART = new Range(1, 1_800);
  public static final Range SECOND_CUP_SECONDS = new Range(1, 600);
  public static final Range SPLIT_SECONDS_CUP = new Range(1, 600);
  public static final Range TINT_SECONDS_CUP = new Range(1, 1_800);
  public static final Range TINT_POWDER_SECONDS_CUP = new Range(1, 1_800);
  public static final Range POUR_SECONDS_CAVITY = new Range(1, 1_800);
  public static final Range POUR_SECONDS_ML = new Range(0, 60);
  public static final Range BUBBLE_SECONDS_CAVITY = new Range(0, 600);
  public static final Range COVER_SECONDS = new Range(0, 3_600);

  public static final Range EMBED_SECONDS = new Range(1, 1_800);
  public static final Range NUDGE_SECONDS = new Range(1, 600);
  public static final Range DEMOULD_SECONDS_PIECE = new Range(1, 3_600);
  public static final Range MOULD_SECONDS = new Range(1, 1_800);
  public static final Range CLEAN_UP_SECONDS = new Range(0, 3_600);

  public static final Hands DEFAULT =
      new Hands(60, 30, 15, 60, 90, 15, 1, 10, 60, 25, 8, 60, 20, 120);

  /** How far each of these may be off, as a share of it: common practice, no source. */
  public static final double UNCERTAIN = 1.0 / 3;

  public Hands {
    new Check()
        .within("weighSecondsPart", weighSecondsPart, WEIGH_SECONDS_PART)
        .within("secondCupSeconds", secondCupSeconds, SECOND_CUP_SECONDS)
        .within("splitSecondsCup", splitSecondsCup, SPLIT_SECONDS_CUP)
        .within("tintSecondsCup", tintSecondsCup, TINT_SECONDS_CUP)
        .within("tintPowderSecondsCup", tintPowderSecondsCup, TINT_POWDER_SECONDS_CUP)
        .within("pourSecondsCavity", pourSecondsCavity, POUR_SECONDS_CAVITY)
        .within("pourSecondsMl", pourSecondsMl, POUR_SECONDS_ML)
        .within("bubbleSecondsCavity", bubbleSecondsCavity, BUBBLE_SECONDS_CAVITY)
        .within("coverSeconds", coverSeconds, COVER_SECONDS)
        .within("embedSeconds", embedSeconds, EMBED_SECONDS)
        .within("nudgeSeconds", nudgeSeconds, NUDGE_SECONDS)
        .within("demouldSecondsPiece", demouldSecondsPiece, DEMOULD_SECONDS_PIECE)
        .within("mouldSeconds", mouldSeconds, MOULD_SECONDS)
        .within("cleanUpSeconds", cleanUpSeconds, CLEAN_UP_SECONDS)
        .orThrow();
  }
}
