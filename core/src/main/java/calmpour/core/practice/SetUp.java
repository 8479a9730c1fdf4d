package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.session.Room;
import org.jspecify.annotations.Nullable;

/**
 * One way of mixing and leaving a resin, to see what would become of it.
 *
 * @param massG A + B
 * @param cupId kind of cup it is mixed in; null for one filled as high as wide
 * @param startC temperature of A and B when they meet; null for that of the room
 * @param lampMinutes a lamp or hot air on the mixed cup, from the end of mixing on
 * @param splitInto how many cups it is divided into after the rest; 1 leaves it where it is
 * @param splitCupId kind of those cups; null for the one it was mixed in
 * @param lies where it ends up
 * @param pouredAfterMinutes from the first contact; null for right after the rest
 * @param mouldId mould that is filled to its rim
 * @param sheetMm depth of a sheet or top coat
 * @param laterC room or hot box later on; null when it stays as it is
 * @param laterAfterHours from the first contact
 * @param colourId what it is tinted with; null for clear
 * @param embedId what is put into the piece
 */
public record SetUp(
    String resinId,
    double massG,
    @Nullable String cupId,
    double roomC,
    @Nullable Double humidityPercent,
    @Nullable Double startC,
    double mixMinutes,
    double restMinutes,
    double lampMinutes,
    int splitInto,
    @Nullable String splitCupId,
    Lies lies,
    @Nullable Double pouredAfterMinutes,
    @Nullable String mouldId,
    @Nullable String cavityId,
    @Nullable Double sheetMm,
    @Nullable Double laterC,
    @Nullable Double laterAfterHours,
    @Nullable String colourId,
    @Nullable String embedId) {
  public static final Range MASS_G = new Range(1, 10_000);
  public static final Range START_C = new Range(5, 55);
  public static final Range MIX_MINUTES = new Range(0.25, 30);
  public static final Range REST_MINUTES = new Range(0, 120);
  public static final Range LAMP_MINUTES = new Range(0, 30);
  public static final Range SPLIT_INTO = new Range(1, 24);
  public static final Range POURED_AFTER_MINUTES = new Range(0.25, 1_440);
  public static final Range SHEET_MM = new Range(0.5, 200);
  public static final Range LATER_C = new Range(5, 55);
  public static final Range LATER_AFTER_HOURS = new Range(0, 96);

  /** Where it ends up. */
  public enum Lies {
    /** Forgotten, or waiting, in its cup. */
    CUP,
    MOULD,
    SHEET,
    /** On a piece, open on top, the piece under it. */
    TOP_COAT
  }

  public SetUp {
    new Check()
        .name("resinId", resinId)
        .within("massG", massG, MASS_G)
        .within("roomC", roomC, Room.TEMPERATURE_C)
        .within("humidityPercent", humidityPercent, Room.HUMIDITY_PERCENT)
        .within("startC", startC, START_C)
        .within("mixMinutes", mixMinutes, MIX_MINUTES)
        .within("restMinutes", restMinutes, REST_MINUTES)
        .within("lampMinutes", lampMinutes, LAMP_MINUTES)
        .within("splitInto", splitInto, SPLIT_INTO)
        .present("lies", lies)
        .within("sheetMm", sheetMm, SHEET_MM)
        .within("laterC", laterC, LATER_C)
        .within("laterAfterHours", laterAfterHours, LATER_AFTER_HOURS)
        .within(
            "pouredAfterMinutes",
            pouredAfterMinutes,
            new Range(
                readyAfter(mixMinutes, restMinutes, lampMinutes),
                POURED_AFTER_MINUTES.maxInclusive()))
        .that(
            lies != Lies.MOULD || mouldId != null,
            Problem.of("mouldId", Problem.Code.MISSING, null))
        .that(
            (lies != Lies.SHEET && lies != Lies.TOP_COAT) || sheetMm != null,
            Problem.of("sheetMm", Problem.Code.MISSING, null))
        .that(
            (laterC == null) == (laterAfterHours == null),
            Problem.of(laterC == null ? "laterC" : "laterAfterHours", Problem.Code.MISSING, null))
        .orThrow();
  }

  /** When it is mixed, rested, and had its lamp, min from the first contact. */
  double readyAfterMinutes() {
    return readyAfter(mixMinutes, restMinutes, lampMinutes);
  }

  private static double readyAfter(double mix, double rest, double lamp) {
    return mix + Math.max(rest, lamp);
  }

  double knownStartC() {
    return startC == null ? roomC : startC;
  }

  /**
   * The same, poured when it really was: whoever poured sooner than meant stirred and rested less.
   *
   * @param minutes from the first contact
   */
  SetUp pouredAfter(double minutes) {
    double least = POURED_AFTER_MINUTES.minInclusive();
    double poured = Math.clamp(minutes, least, POURED_AFTER_MINUTES.maxInclusive());
    double mixed = Math.min(mixMinutes, poured);
    double rested = Math.min(restMinutes, poured - mixed);
    double lit = Math.min(lampMinutes, poured - mixed);
    return new SetUp(
        resinId,
        massG,
        cupId,
        roomC,
        humidityPercent,
        startC,
        mixed,
        rested,
        lit,
        splitInto,
        splitCupId,
        lies,
        poured,
        mouldId,
        cavityId,
        sheetMm,
        laterC,
        laterAfterHours,
        colourId,
        null);
  }

  SetUp unwarmed() {
    return with(null, lampMinutes, splitInto, laterC, laterAfterHours, colourId);
  }

  SetUp warmedTo(double toC) {
    return with(toC, lampMinutes, splitInto, laterC, laterAfterHours, colourId);
  }

  SetUp withoutLamp() {
    return with(startC, 0, splitInto, laterC, laterAfterHours, colourId);
  }

  SetUp unsplit() {
    return with(startC, lampMinutes, 1, laterC, laterAfterHours, colourId);
  }

  SetUp inTheSameRoom() {
    return with(startC, lampMinutes, splitInto, null, null, colourId);
  }

  SetUp clear() {
    return with(startC, lampMinutes, splitInto, laterC, laterAfterHours, null);
  }

  private SetUp with(
      @Nullable Double otherStartC,
      double otherLamp,
      int otherSplit,
      @Nullable Double otherLaterC,
      @Nullable Double otherLaterAfter,
      @Nullable String otherColour) {
    return new SetUp(
        resinId,
        massG,
        cupId,
        roomC,
        humidityPercent,
        otherStartC,
        mixMinutes,
        restMinutes,
        otherLamp,
        otherSplit,
        splitCupId,
        lies,
        pouredAfterMinutes,
        mouldId,
        cavityId,
        sheetMm,
        otherLaterC,
        otherLaterAfter,
        otherColour,
        embedId);
  }
}
