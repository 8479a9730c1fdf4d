package calmpour.core.journal;

import static calmpour.core.journal.Cause.*;
import static calmpour.core.journal.Clue.*;

import calmpour.core.run.LookOver.Fault;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * The trade's table of faults: which causes a fault has, how often each is the reason where nothing
 * is known, and which facts speak for it and against it. Common practice, no source; the weights
 * are starting values.
 */
public final class FaultTable {
  private static final Map<Fault, List<Row>> ROWS = new EnumMap<>(Fault.class);

  /** A fact that decides: without it the cause is hardly possible. */
  private static final double[] DECIDES = {8, 5};

  /** A fact that points there, and whose absence is worth something. */
  private static final double[] POINTS = {4, 2.5};

  /** A fact that only makes it likelier. */
  private static final double[] HINTS = {2, 1.2};

  static {
    rows(
        Fault.STICKY_ALL_OVER,
        row(TOO_MUCH_A, 3, decides(A_HEAVY)),
        row(SHORT_MIX, 2, points(STIRRED_SHORT), hints(ONE_CUP)),
        row(COLD, 2, points(COLD_ROOM)),
        row(TOO_MUCH_COLOUR, 1, decides(COLOUR_NEAR_LIMIT)),
        row(DAMP, 1, hints(DAMP_AIR)));
    rows(
        Fault.STICKY_SPOTS,
        row(WALLS_NOT_SCRAPED, 3, points(STIRRED_SHORT), points(ONE_CUP)),
        row(WALL_SCRAPED_AT_THE_END, 2, decides(LAST_FROM_ITS_CUP)),
        row(SHORT_MIX, 2, decides(STIRRED_SHORT)));
    rows(
        Fault.SOFT_EDGE_OR_TOP,
        row(SOLVENT_OR_INK, 3, decides(SOLVENT)),
        row(WATER_IN_COLOUR, 2, decides(WATER)),
        row(TOO_MUCH_COLOUR, 2, decides(COLOUR_NEAR_LIMIT)),
        row(COLD, 1, points(COLD_ROOM)));
    rows(
        Fault.BENDS,
        row(KIND_OF_RESIN, 3, decides(FLEXIBLE_RESIN)),
        row(TAKEN_OUT_EARLY, 3, decides(OUT_EARLY)),
        row(THIN_PIECE, 2, decides(THIN)),
        row(COLD, 2, points(COLD_ROOM)),
        row(SOLVENT_OR_INK, 1, decides(SOLVENT)));
    rows(
        Fault.CLOUDY,
        row(COLD, 3, points(COLD_ROOM)),
        row(NO_REST, 3, decides(RESTED_SHORT)),
        row(DAMP, 2, points(DAMP_AIR)),
        row(FAST_STIRRING, 2, hints(RESTED_SHORT)));
    rows(
        Fault.FOAM,
        row(OLD_STOCK, 3, decides(OPENED_LONG), hints(DAMP_AIR)),
        row(DAMP, 2, points(DAMP_AIR), points(FOAMED)),
        row(POLYURETHANE_RESIDUE, 2, decides(POLYURETHANE_BEFORE)));
    rows(
        Fault.BUBBLES_AT_EMBEDS_OR_LIPS,
        row(DRY_EMBED, 3, decides(EMBED_NOT_DRY)),
        row(AIR_NOT_TEASED_OUT, 3, points(NOT_TEASED), points(HOLDS_AIR)),
        row(NO_REST, 1, points(RESTED_SHORT)),
        row(COLD, 1, hints(COLD_ROOM)));
    rows(
        Fault.LAST_PIECES_BAD,
        row(POURED_TOO_LATE, 5, decides(Clue.POURED_THICK)),
        row(WALL_SCRAPED_AT_THE_END, 1, decides(LAST_FROM_ITS_CUP)));
    rows(
        Fault.CRACKS_OR_RIPPLES,
        row(TOO_DEEP_OR_LARGE, 4, decides(GOT_HOT)),
        row(HOT_ROOM_OR_WARMED, 2, points(HOT_ROOM), points(Clue.WARMED)),
        row(HEAT_OF_FAST_RESIN, 1, decides(FAST_RESIN)));
    rows(
        Fault.YELLOW,
        row(TOO_MUCH_B, 3, decides(B_HEAVY)),
        row(TOO_DEEP_OR_LARGE, 2, points(GOT_HOT)),
        row(HEAT_OF_FAST_RESIN, 2, points(FAST_RESIN), points(GOT_HOT)),
        row(OLD_STOCK, 1, points(OPENED_LONG)));
    rows(
        Fault.LUMPS_OR_SUNK_GLITTER,
        row(NOT_STIRRED_IN, 3, points(POWDER), points(STIRRED_SHORT)),
        row(POURED_TOO_EARLY, 3, decides(POURED_THIN)));
    rows(
        Fault.PATCHY_COLOUR,
        row(TOO_MUCH_COLOUR, 3, decides(COLOUR_NEAR_LIMIT)),
        row(NOT_STIRRED_IN, 2, points(STIRRED_SHORT), hints(POWDER)),
        row(POURED_TOO_LATE, 1, points(Clue.POURED_THICK)),
        row(JOINED_TOO_SOON, 1, decides(JOINED_SOFTER)));
    rows(
        Fault.EMBED_MOVED,
        row(EMBED_TOO_EARLY, 3, decides(Clue.EMBED_EARLY)),
        row(NOT_WATCHED, 3, points(NOT_LOOKED_AFTER)),
        row(JOINED_TOO_SOON, 2, decides(JOINED_SOFTER)));
    rows(
        Fault.LOPSIDED_OR_SHORT,
        row(Cause.NOT_LEVEL, 3, decides(Clue.NOT_LEVEL)),
        row(TOO_LITTLE_POURED, 3, decides(POURED_SHORT), hints(VOLUME_UNSURE)),
        row(Cause.LID_OVERFULL, 2, decides(Clue.LID_OVERFULL)));
    rows(
        Fault.DULL,
        row(MATTE_OR_DIRTY_MOULD, 3, points(MATTE_MOULD), points(DIRTY_MOULD)),
        row(Cause.ALCOHOL_LEFT, 2, decides(Clue.ALCOHOL_LEFT)),
        row(TAKEN_OUT_EARLY, 2, decides(OUT_EARLY)),
        row(DAMP, 1, points(DAMP_AIR)));
  }

  private FaultTable() {}

  /**
   * One cause of a fault.
   *
   * @param usual how often it is the reason where nothing is known, beside the others
   */
  public record Row(Cause cause, double usual, List<Weight> weights) {
    public Row {
      weights = List.copyOf(weights);
    }
  }

  /**
   * What a fact is worth to a cause.
   *
   * @param by the odds times so much where it is there; more than 1
   * @param against the odds by so much less where it is not; 1 or more
   */
  public record Weight(Clue clue, double by, double against) {}

  /** The causes of a fault, the most usual first. */
  public static List<Row> of(Fault fault) {
    return ROWS.getOrDefault(fault, List.of());
  }

  private static void rows(Fault fault, Row... rows) {
    ROWS.put(fault, List.of(rows));
  }

  private static Row row(Cause cause, double usual, Weight... weights) {
    return new Row(cause, usual, List.of(weights));
  }

  private static Weight decides(Clue clue) {
    return new Weight(clue, DECIDES[0], DECIDES[1]);
  }

  private static Weight points(Clue clue) {
    return new Weight(clue, POINTS[0], POINTS[1]);
  }

  private static Weight hints(Clue clue) {
    return new Weight(clue, HINTS[0], HINTS[1]);
  }
}
