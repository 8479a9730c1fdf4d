package calmpour.core.check;

import org.jspecify.annotations.Nullable;

/**
 * One thing that is wrong with what was given, as data; the wording is made elsewhere.
 *
 * @param field path of the value inside the document, such as {@code pieces[2].count}
 * @param code what is wrong
 * @param actual the value found, as text, when there is one
 * @param minInclusive smallest legal value, where the rule has one
 * @param maxInclusive largest legal value, where the rule has one
 */
public record Problem(
    String field,
    Code code,
    @Nullable String actual,
    @Nullable Double minInclusive,
    @Nullable Double maxInclusive) {

  /** The kinds of trouble an input can have. */
  public enum Code {
    MISSING,
    OUT_OF_RANGE,
    TOO_LONG,
    UNKNOWN_ID,
    DUPLICATE_ID,
    NOTHING_TO_MAKE,
    ONE_OF_THESE,
    REST_ONLY_ON_TOP,
    DEPTH_UNKNOWN,
    OVERFILLED,
    NOTHING_LEFT_FOR_LAYER,
    RECIPE_TOO_STRONG,
    RECIPE_IS_NOTHING,
    CUP_TOO_SMALL,
    CUP_KEEPS_ALL,
    CUP_HOLDS_TOO_LITTLE,
    CUP_OVERFLOWS,
    MOULD_TAKES_MORE,
    CUP_OF_TWO_COLOURS,
    CUP_OF_TWO_SITTINGS,
    NOTHING_FOR_CUP,
    FORBIDDEN_PERCENT,
    NOT_A_COLOUR,
    NO_SUCH_SWATCH,
    NOT_A_ZONE,
    TOO_MANY,
    NOT_HEAVIER,
    LEVELS_NOT_RISING,
    ABOVE_RIM,
    DRAFT_TOO_STEEP,
    ONLY_A_TOTAL,
    INNER_TOO_WIDE,
    BED_TOO_HEAVY,
    RANGE_REVERSED,
    DEPTH_TWICE,
    TWO_OF_THREE,
    DISAGREES,
    NO_SUCH_DENSITY,
    NOTHING_LEFT_FOR_COLOUR,
    EMBEDS_FILL_LAYER,
    HOURS_REVERSED,
    JOIN_OF_TWO_RESINS,
    EMBED_ON_FLUID,
    NO_SUCH_CAVITY,
    NEVER_CERTAIN,
    HEAT_NOT_SEEN,
    MOULDS_FULL,
    DROPS_OF_A_POWDER,
    NO_SUCH_DAY,
    NOT_YET,
    FORMAT_IS_NEWER,
    NOT_A_SESSION_FILE,
    UNKNOWN_WORD
  }

  /** A problem without bounds. */
  public static Problem of(String field, Code code, @Nullable String actual) {
    return new Problem(field, code, actual, null, null);
  }

  /** A problem with a bound it broke. */
  public static Problem outside(String field, Code code, double actual, Range legal) {
    return new Problem(
        field, code, Double.toString(actual), legal.minInclusive(), legal.maxInclusive());
  }

  /** The same problem seen from the document that holds the value. */
  public Problem under(String parent) {
    String joined = field.isEmpty() ? parent : parent + "." + field;
    return new Problem(joined, code, actual, minInclusive, maxInclusive);
  }
}
