package calmpour.core.journal;

/**
 * A fact of the record that speaks for a cause where it is there, and against it where it is not.
 */
public enum Clue {
  /** More A than the ratio allows; its figure: how much, %. */
  A_HEAVY,
  /** More B than the ratio allows; its figure: how much, %. */
  B_HEAVY,
  /** Stirred for less than three quarters of what was planned; its figure: minutes short. */
  STIRRED_SHORT,
  /** Mixed in one cup, so that walls and bottom have to be scraped while stirring. */
  ONE_CUP,
  /** Poured last from its cup: what was scraped off the wall goes with it. */
  LAST_FROM_ITS_CUP,
  /** The room below 20 °C; its figure: °C. */
  COLD_ROOM,
  /** The room above 26 °C; its figure: °C. */
  HOT_ROOM,
  /** Air damper than the workshop's limit; its figure: %. */
  DAMP_AIR,
  /** A bottle open for more than half a year; its figure: days. */
  OPENED_LONG,
  /** Solvent in the mix, ink or thinner, from 1 %; its figure: %. */
  SOLVENT,
  /** Water in the mix, from 1 %; its figure: %. */
  WATER,
  /** Colour at nine tenths of its limit or beyond; its figure: % of the limit. */
  COLOUR_NEAR_LIMIT,
  /** Powder or glitter in it. */
  POWDER,
  /**
   * Poured less than three minutes before its cup was thick, or later; its figure: minutes left.
   */
  POURED_THICK,
  /** Glitter or flakes poured in the first ten minutes, into thin resin; its figure: minutes. */
  POURED_THIN,
  /** A layer went onto one that was softer than planned. */
  JOINED_SOFTER,
  /** Rested for less than five minutes, or cut short; its figure: minutes. */
  RESTED_SHORT,
  /** Bubbles were not teased out after the pour. */
  NOT_TEASED,
  /** A cup or a piece above 60 °C, as planned or as told; its figure: °C. */
  GOT_HOT,
  /** Bottles or cup were warmed. */
  WARMED,
  /** A fast resin. */
  FAST_RESIN,
  /** A resin that stays flexible, or one for coating. */
  FLEXIBLE_RESIN,
  /** Taken out of its mould before its time; its figure: minutes. */
  OUT_EARLY,
  /** Thinner than 4 mm; its figure: mm. */
  THIN,
  /** The mould last held polyurethane. */
  POLYURETHANE_BEFORE,
  /** A cup that foamed at the bench. */
  FOAMED,
  /** An embed that is not dried or sealed. */
  EMBED_NOT_DRY,
  /** An embed put in before its layer held it; its figure: minutes. */
  EMBED_EARLY,
  /** Looks and nudges that were planned and not done. */
  NOT_LOOKED_AFTER,
  /** A mould with lips, undercuts or a lid, which hold air. */
  HOLDS_AIR,
  /** A mould with a matte inside. */
  MATTE_MOULD,
  /** A mould that was not clean. */
  DIRTY_MOULD,
  /** Wiped with alcohol, and poured within ten minutes. */
  ALCOHOL_LEFT,
  /** A mould that does not stand level by itself. */
  NOT_LEVEL,
  /** Less went in than planned; its figure: % less. */
  POURED_SHORT,
  /** More went into a closed mould than planned; its figure: % more. */
  LID_OVERFULL,
  /** What the mould holds is known to more than 5 % only; its figure: %. */
  VOLUME_UNSURE
}
