package calmpour.core.run;

import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.PourId;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A run looked back on: what went in and when, what was otherwise than planned, what was left over,
 * how each piece came out. Times are seconds from when it was begun, masses grams.
 *
 * @param deviations in the order in which they came about
 * @param pieces every cavity of the session
 * @param pot the log of the pressure pot
 * @param felt the cure diary: how cups and pieces were when somebody touched them
 * @param troubles what went wrong and was told
 */
public record AsRun(
    int endSeconds,
    List<BatchIn> batches,
    List<CupIn> cups,
    List<PourIn> pours,
    List<Deviation> deviations,
    List<PieceOut> pieces,
    List<PotLog> pot,
    List<Felt> felt,
    List<BenchTrouble> troubles,
    Masses masses) {
  public AsRun {
    batches = List.copyOf(batches);
    cups = List.copyOf(cups);
    pours = List.copyOf(pours);
    deviations = List.copyOf(deviations);
    pieces = List.copyOf(pieces);
    pot = List.copyOf(pot);
    felt = List.copyOf(felt);
    troubles = List.copyOf(troubles);
  }

  /**
   * A batch that was opened.
   *
   * @param ratioErrorPercent positive when A is heavy; null until both are in
   * @param contactSeconds when A and B met
   * @param mixedSeconds null while it was not stirred
   */
  public record BatchIn(
      int number,
      String resinName,
      double plannedAG,
      double plannedBG,
      double aG,
      double bG,
      @Nullable Double ratioErrorPercent,
      int contactSeconds,
      @Nullable Integer mixedSeconds) {}

  /**
   * A cup of an opened batch, with what came into it and what stayed there.
   *
   * @param lostG spilled, or tipped out of a mould again
   * @param stayedG what stayed on its wall and stick, weighed; null where nobody weighed it
   */
  public record CupIn(
      CupId cupId,
      int batch,
      String colourName,
      String swatch,
      double plannedG,
      double filledG,
      double leftG,
      double lostG,
      @Nullable Double stayedG) {}

  /** What became of a pour. */
  public enum Outcome {
    POURED,
    OPEN,
    GIVEN_UP,
    /** Its cup was too thick, or hot, before it was poured. */
    LOST
  }

  /**
   * One pour.
   *
   * @param cupId it was to come out of; where it was poured, the cup that it did come out of
   * @param grams null where it was not poured
   * @param weighed whether that was read off a scale; as planned where it was not
   * @param atSeconds its end; null where it was not poured
   * @param spareSeconds how long its cup stayed pourable after it; negative where it was poured too
   *     thick; null where it was not poured
   */
  public record PourIn(
      PourId pourId,
      int line,
      int cavity,
      int layer,
      CupId cupId,
      String colourName,
      String swatch,
      Outcome outcome,
      double plannedG,
      @Nullable Double grams,
      boolean weighed,
      int plannedSeconds,
      @Nullable Integer atSeconds,
      @Nullable Integer spareSeconds) {}

  /** What was otherwise than planned. */
  public enum Code {
    /** {@code of}: a batch; {@code by}: percent, positive when A is heavy. */
    RATIO_OFF,
    /** {@code of}: a batch and its part; {@code by}: grams added to mend its ratio. */
    ADDED,
    /** {@code of}: a batch; {@code by}: minutes less than planned. */
    STIRRED_SHORT,
    /** {@code of}: a batch; {@code by}: minutes its last pour came later than planned. */
    LATE,
    /** {@code of}: a pour; {@code by}: grams more than planned, negative for less. */
    OTHER_MASS,
    /** {@code of}: a pour; {@code by}: minutes after its cup was too thick. */
    POURED_THICK,
    /** {@code of}: a pour that was given up. */
    GIVEN_UP,
    /** {@code of}: a pour that came too late. */
    LOST,
    /** {@code by}: minutes away from the bench. */
    AWAY,
    /** {@code of}: a cup that was told to be too thick. */
    TOLD_THICK,
    /** {@code of}: a cup that got hot. */
    HOT,
    /** {@code by}: kelvin warmer than planned, at its furthest; negative for colder. */
    ROOM,
    /** {@code of}: an embed's step that was left out. */
    EMBED_LEFT_OUT,
    /** {@code of}: a task; {@code by}: minutes before its wait was over, and meant so. */
    EARLY
  }

  /**
   * One thing that was otherwise.
   *
   * @param of see the codes; null where it is about the whole run
   * @param by see the codes; null where there is no figure
   */
  public record Deviation(Code code, @Nullable String of, @Nullable Double by, int atSeconds) {}

  /**
   * One piece.
   *
   * @param piece line and cavity, both from 1, such as {@code 1.2}
   * @param line index of the session's line of pieces, from 0
   * @param cavity from 1
   * @param poured layers that are in, whole
   * @param layers that it was to have
   * @param demoulded whether it is out of its mould
   * @param givenUp whether it is not used any more, because its mould leaked or something fell in
   * @param lookedOver null until somebody looked
   * @param readySeconds from when it may be handed over; null where nothing is known of it
   * @param became what became of it; null where nobody said
   */
  public record PieceOut(
      CavityId piece,
      int line,
      int cavity,
      String mouldName,
      int poured,
      int layers,
      boolean demoulded,
      boolean givenUp,
      @Nullable LookOver lookedOver,
      @Nullable Integer readySeconds,
      @Nullable Became became) {}
}
