package calmpour.core.run;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at the bench. Nothing is ever taken out of the list of events: a mistake
 * is told by one more of them.
 *
 * @param id given by whoever tells it, so that telling it twice is telling it once
 * @param at wall-clock time at which it happened
 * @param of what it is about, see the kinds; null where there is nothing to name
 * @param value a reading, see the kinds; null where nothing was measured
 * @param codes faults that were seen, for a look-over
 * @param text a line of the maker's; null for none
 * @param person who did it; null where nobody said
 * @param device which screen, scale or thermometer told it; null where none said
 * @param lot of the bottle it came out of; null where nobody said
 */
@RecordBuilder
public record RunEvent(
    String id,
    Instant at,
    Kind kind,
    @Nullable String of,
    @Nullable Double value,
    List<String> codes,
    @Nullable String text,
    @Nullable String person,
    @Nullable String device,
    @Nullable String lot)
    implements RunEventBuilder.With {
  public static final Range GRAMS = new Range(0, 50_000);
  public static final Range TEMPERATURE_C = new Range(-20, 250);
  private static final Range CORRECTED_TO =
      new Range(TEMPERATURE_C.minInclusive(), GRAMS.maxInclusive());
  public static final Range POT = new Range(0, 1_000);
  public static final Range CODES = new Range(0, 60);
  private static final int TEXT_LENGTH = 300;
  private static final int NAME_LENGTH = 80;

  /** What can happen. */
  public enum Kind {
    /**
     * {@code of}: an item of the list before anything is opened, or a warning that was answered,
     * such as {@code HOT/1.2}, {@code GONE/1.2}, {@code RATIO/1} and {@code EARLY/line/1/DEMOULD};
     * {@code value}: 0 where the tick is taken back; of an early step how many minutes.
     */
    CHECKED,
    /** {@code of}: a task; {@code value}: grams as weighed, null for as planned. */
    DONE,
    /** {@code of}: another event, which is taken back. It corrects the record, not the resin. */
    UNDONE,
    /** {@code of}: a batch and its part, such as {@code 1/A}; {@code value}: grams added to it. */
    ADDED,
    /** {@code of}: a task that will not be done. */
    GIVEN_UP,
    /** The maker left the bench, */
    AWAY,
    /** and is there again. */
    BACK,
    /** {@code of}: a cup that is too thick to pour, whatever the clock says. */
    THICK,
    /** {@code of}: a cup that gets hot. */
    HOT,
    /** {@code value}: temperature of the room, °C. */
    ROOM,
    /** {@code of}: a cup; {@code value}: its temperature, °C. */
    WARMTH,
    /** {@code of}: a cup that was poured out; {@code value}: what stayed in it, weighed, g. */
    STAYED,
    /**
     * {@code of}: a cup and a colourant that was counted into it, such as {@code 1.2/sea-tint};
     * {@code value}: what that weighed, g.
     */
    DOSED,
    /**
     * {@code of}: a piece in a closed mould, such as {@code 1.2}; {@code value}: what its lid
     * squeezed out, weighed, g.
     */
    SQUEEZED,
    /**
     * {@code of}: a batch and what was done with the pressure pot, such as {@code 1/SET}, see
     * {@link PotLog}; {@code value}: bar where it is a pressure.
     */
    POT,
    /**
     * {@code of}: a piece, such as {@code 1.2}; {@code codes}: a verdict and the faults, see {@link
     * LookOver}; {@code text}: a line of the maker's.
     */
    LOOKED_OVER,
    /**
     * {@code of}: a piece, such as {@code 1.2}; {@code codes}: what became of it, see {@link
     * Became}; {@code text}: to whom, or why.
     */
    BECAME,
    /**
     * {@code of}: another event that was told wrong, or what put it right last; {@code value}: what
     * it should have said; {@code codes}: when it really was; {@code text}: why. See {@link
     * Corrections}.
     */
    CORRECTED,
    /**
     * {@code codes}: when the evening really began, by the clock of its place; {@code text}: why.
     * See {@link WrongClock}.
     */
    CLOCK,
    /**
     * {@code of}: a cup or a piece that was touched, such as {@code CUP/1.2} and {@code PIECE/1.2};
     * {@code codes}: how it was, see {@link Felt}.
     */
    FELT,
    /**
     * {@code of}: what went wrong and to what, such as {@code SPILLED/1.2}, see {@link
     * BenchTrouble}; {@code value}: grams, or minutes of a rest; {@code codes}: what is done about
     * it; {@code text}: a line of the maker's.
     */
    TROUBLE,
    /**
     * {@code of}: a task that is not looked at again before so many minutes are over, {@code
     * value}.
     */
    PUT_OFF,
    /** The run is over; what is not done will not be. */
    FINISHED
  }

  public RunEvent {
    codes = codes == null ? List.of() : List.copyOf(codes);
    new Check()
        .name("id", id)
        .present("at", at)
        .present("kind", kind)
        .that(
            kind == null || !about(kind) || (of != null && !of.isBlank()),
            Problem.of("of", Problem.Code.MISSING, of))
        .that(
            kind == null || !reading(kind) || value != null,
            Problem.of("value", Problem.Code.MISSING, null))
        .within("value", value, kind == null ? GRAMS : legal(kind))
        .that(
            codes.size() <= CODES.maxInclusive(),
            Problem.outside("codes", Problem.Code.TOO_MANY, codes.size(), CODES))
        .that(
            kind != Kind.LOOKED_OVER || LookOver.of(codes, text).isPresent(),
            Problem.of("codes", Problem.Code.UNKNOWN_WORD, String.join(" ", codes)))
        .that(
            kind != Kind.POT || of == null || PotLog.of(of, value, 0).isPresent(),
            Problem.of("of", Problem.Code.UNKNOWN_WORD, of))
        .that(
            kind != Kind.TROUBLE || BenchTrouble.read(of, codes, value, text, 0).isPresent(),
            Problem.of("of", Problem.Code.UNKNOWN_WORD, of))
        .that(
            kind != Kind.BECAME || Became.of(codes, text, 0).isPresent(),
            Problem.of("codes", Problem.Code.UNKNOWN_WORD, String.join(" ", codes)))
        .that(
            (kind != Kind.CORRECTED && kind != Kind.CLOCK) || (text != null && !text.isBlank()),
            Problem.of("text", Problem.Code.MISSING, text))
        .that(
            kind != Kind.CORRECTED || Corrections.whole(codes, value),
            Problem.of("value", Problem.Code.MISSING, null))
        .that(
            kind != Kind.CLOCK || WrongClock.began(codes).isPresent(),
            Problem.of("codes", Problem.Code.UNKNOWN_WORD, String.join(" ", codes)))
        .that(
            kind != Kind.FELT || Felt.read(of, codes, 0, "").isPresent(),
            Problem.of("codes", Problem.Code.UNKNOWN_WORD, String.join(" ", codes)))
        .atMost("text", text, TEXT_LENGTH)
        .atMost("person", person, NAME_LENGTH)
        .atMost("device", device, NAME_LENGTH)
        .atMost("lot", lot, NAME_LENGTH)
        .orThrow();
  }

  /** Something of which it is not said by whom, by what and out of which bottle. */
  public RunEvent(
      String id,
      Instant at,
      Kind kind,
      @Nullable String of,
      @Nullable Double value,
      List<String> codes,
      @Nullable String text) {
    this(id, at, kind, of, value, codes, text, null, null, null);
  }

  /** Something of which nothing was measured. */
  public static RunEvent of(String id, Instant at, Kind kind, @Nullable String of) {
    return new RunEvent(id, at, kind, of, null, List.of(), null);
  }

  private static boolean about(Kind kind) {
    return switch (kind) {
      case AWAY, BACK, ROOM, CLOCK, FINISHED -> false;
      default -> true;
    };
  }

  private static boolean reading(Kind kind) {
    return kind == Kind.ROOM
        || kind == Kind.WARMTH
        || kind == Kind.STAYED
        || kind == Kind.DOSED
        || kind == Kind.SQUEEZED
        || kind == Kind.ADDED
        || kind == Kind.PUT_OFF;
  }

  private static Range legal(Kind kind) {
    return switch (kind) {
      case ROOM, WARMTH -> TEMPERATURE_C;
      case POT -> POT;
      case CORRECTED -> CORRECTED_TO;
      default -> GRAMS;
    };
  }
}
