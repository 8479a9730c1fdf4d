package calmpour.core.plan.doc;

import calmpour.core.cup.CupKind;
import calmpour.core.habit.Habits;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.WeighOut;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One mixing of A and B and the cups it is split into.
 *
 * @param number 1 for the first
 * @param stage 0 for what is poured first, one more for every join that waits
 * @param needG A + B needed before rounding up
 * @param totalG A + B in the mixing cup
 * @param firstPartMm level of the first part in the mixing cup
 * @param bothPartsMm level of both
 * @param staysG left in the mixing cups, the reserve and what stock cups keep with it; what a lone
 *     cup keeps is told there
 * @param firstCupStaysG left in the first of two mixing cups; 0 where there is one
 * @param reserveG clear resin kept back in the mixing cup
 * @param startC temperature of A and B when they meet
 * @param tintedWhole what is stirred into the mixing cup before it is split; empty where each cup
 *     is tinted by itself
 * @param split whether the mix is poured over into cups, or stays in the cup it was mixed in
 * @param contactSeconds first contact of A and B
 * @param mixedSeconds end of stirring
 * @param heat how warm it gets; null where a rule of thumb stands in
 */
public record Batch(
    int number,
    String resinId,
    String resinName,
    int stage,
    double needG,
    WeighOut.Amount partA,
    WeighOut.Amount partB,
    double totalG,
    Habits.FirstPart firstPart,
    MixRatio.Basis measured,
    double divisionUsed,
    double ratioErrorPercent,
    CupKind mixingCup,
    double firstPartMm,
    double bothPartsMm,
    double staysG,
    double firstCupStaysG,
    double reserveG,
    double startC,
    List<Cup.Dose> tintedWhole,
    boolean split,
    List<Cup> cups,
    int startSeconds,
    int contactSeconds,
    int mixedSeconds,
    int endSeconds,
    @Nullable BatchHeat heat) {
  public Batch {
    cups = List.copyOf(cups);
    tintedWhole = List.copyOf(tintedWhole);
  }

  /**
   * The same batch with what is really in its cups.
   *
   * @param really A + B in the mixing cup, g
   */
  public Batch holding(double really, List<Cup> itsCups) {
    return new Batch(
        number,
        resinId,
        resinName,
        stage,
        needG,
        partA,
        partB,
        really,
        firstPart,
        measured,
        divisionUsed,
        ratioErrorPercent,
        mixingCup,
        firstPartMm,
        bothPartsMm,
        staysG,
        firstCupStaysG,
        reserveG,
        startC,
        tintedWhole,
        split,
        itsCups,
        startSeconds,
        contactSeconds,
        mixedSeconds,
        endSeconds,
        heat);
  }

  /** The same batch with the moments of its tasks, s, and how warm it gets. */
  public Batch timed(
      List<Cup> itsCups, int start, int contact, int mixed, int end, @Nullable BatchHeat its) {
    return new Batch(
        number,
        resinId,
        resinName,
        stage,
        needG,
        partA,
        partB,
        totalG,
        firstPart,
        measured,
        divisionUsed,
        ratioErrorPercent,
        mixingCup,
        firstPartMm,
        bothPartsMm,
        staysG,
        firstCupStaysG,
        reserveG,
        startC,
        tintedWhole,
        split,
        itsCups,
        start,
        contact,
        mixed,
        end,
        its);
  }
}
