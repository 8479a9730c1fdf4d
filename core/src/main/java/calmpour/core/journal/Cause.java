package calmpour.core.journal;

/** Why a piece may have come out otherwise than it should; in the trade's words on the screens. */
public enum Cause {
  TOO_MUCH_A(NextTest.WEIGH_TWICE),
  TOO_MUCH_B(NextTest.WEIGH_TWICE),
  SHORT_MIX(NextTest.STIR_LONGER),
  WALLS_NOT_SCRAPED(NextTest.TWO_CUPS),
  WALL_SCRAPED_AT_THE_END(NextTest.LEAVE_THE_REST),
  COLD(NextTest.WARMER_ROOM),
  DAMP(NextTest.DRY_DAY),
  OLD_STOCK(NextTest.NEW_BOTTLE),
  SOLVENT_OR_INK(NextTest.WITHOUT_COLOUR),
  WATER_IN_COLOUR(NextTest.WITHOUT_COLOUR),
  TOO_MUCH_COLOUR(NextTest.HALF_THE_COLOUR),
  KIND_OF_RESIN(NextTest.ANOTHER_RESIN),
  TAKEN_OUT_EARLY(NextTest.LONGER_IN_THE_MOULD),
  THIN_PIECE(NextTest.LONGER_IN_THE_MOULD),
  NO_REST(NextTest.REST_LONGER),
  FAST_STIRRING(NextTest.STIR_SLOWLY),
  POLYURETHANE_RESIDUE(NextTest.ANOTHER_MOULD),
  DRY_EMBED(NextTest.SEAL_THE_EMBED),
  AIR_NOT_TEASED_OUT(NextTest.TEASE),
  POURED_TOO_LATE(NextTest.SMALLER_BATCH),
  TOO_DEEP_OR_LARGE(NextTest.SMALLER_BATCH),
  HOT_ROOM_OR_WARMED(NextTest.COOLER),
  HEAT_OF_FAST_RESIN(NextTest.ANOTHER_RESIN),
  NOT_STIRRED_IN(NextTest.STIR_LONGER),
  POURED_TOO_EARLY(NextTest.POUR_LATER),
  JOINED_TOO_SOON(NextTest.POUR_LATER),
  EMBED_TOO_EARLY(NextTest.POUR_LATER),
  NOT_WATCHED(NextTest.LOOK_AGAIN),
  NOT_LEVEL(NextTest.LEVEL_BOARD),
  LID_OVERFULL(NextTest.LESS_SURPLUS),
  TOO_LITTLE_POURED(NextTest.MEASURE_THE_MOULD),
  MATTE_OR_DIRTY_MOULD(NextTest.ANOTHER_MOULD),
  ALCOHOL_LEFT(NextTest.LET_IT_DRY);

  private final NextTest test;

  Cause(NextTest test) {
    this.test = test;
  }

  /** What would show it: one piece or cup more, one thing changed. */
  public NextTest test() {
    return test;
  }

  /** The smallest next test, beside a control. */
  public enum NextTest {
    WEIGH_TWICE,
    STIR_LONGER,
    STIR_SLOWLY,
    TWO_CUPS,
    LEAVE_THE_REST,
    WARMER_ROOM,
    COOLER,
    DRY_DAY,
    NEW_BOTTLE,
    WITHOUT_COLOUR,
    HALF_THE_COLOUR,
    ANOTHER_RESIN,
    LONGER_IN_THE_MOULD,
    REST_LONGER,
    ANOTHER_MOULD,
    SEAL_THE_EMBED,
    TEASE,
    SMALLER_BATCH,
    POUR_LATER,
    LOOK_AGAIN,
    LEVEL_BOARD,
    LESS_SURPLUS,
    MEASURE_THE_MOULD,
    LET_IT_DRY
  }
}
