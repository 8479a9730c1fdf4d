package calmpour.app.format;

import calmpour.core.check.Problem;
import java.text.MessageFormat;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * What is said to the maker about a problem. {0} is the value found, {1} the smallest and {2} the
 * largest legal value.
 */
enum Messages {
  MISSING("This is still empty."),
  OUT_OF_RANGE("This has to be between {1} and {2}; it is {0}."),
  TOO_LONG("At most {2} characters, please; it has {0}."),
  UNKNOWN_ID("“{0}” is not in the workshop. Has it been removed? Choose another, or add it."),
  DUPLICATE_ID("There is already one called “{0}”."),
  NOTHING_TO_MAKE("Nothing to make yet: add a mould, or give a total to mix."),
  ONE_OF_THESE("Give exactly one of the possible amounts."),
  REST_ONLY_ON_TOP("Only the top layer can take whatever room is left."),
  DEPTH_UNKNOWN("Nobody has measured how deep “{0}” is: give a share or mL, or add its depth."),
  OVERFILLED("That is more than the mould holds: {0}, where {2} reaches the rim."),
  NOTHING_LEFT_FOR_LAYER("The layers below already fill the mould; nothing is left for this one."),
  RECIPE_TOO_STRONG(
      "The colourants add up to {0} % of the mix; at most {2} % leaves room for resin."),
  RECIPE_IS_NOTHING("The recipe adds up to nothing: give at least one colourant a share."),
  CUP_KEEPS_ALL("A cup that keeps {0} g keeps all that it holds: {2} g. Weigh it again."),
  CUP_HOLDS_TOO_LITTLE(
      "“{0}” is so small that nearly all it holds would stay on its walls. Lay out a larger one."),
  CUP_OVERFLOWS("That would be {0} mL, and this cup holds {2} to its brim. Take a larger one."),
  MOULD_TAKES_MORE(
      "This mould takes {2} g, and a cup has only {0} g. Mix more, or split it into fewer cups."),
  CUP_OF_TWO_COLOURS(
      "This cup was put together for one colour, and now its layers have two. Release it, or give"
          + " them one colour."),
  CUP_OF_TWO_SITTINGS(
      "This cup’s layers are poured at different times, and no cup waits that long. Release it."),
  NOTHING_FOR_CUP("This cup was put together for a layer that is no longer there. Release it."),
  FORBIDDEN_PERCENT(
      "A limit of 0 % would forbid it. Leave this empty where the label gives no limit, and remove"
          + " from the shelf what is not to be used."),
  NOT_A_COLOUR("“{0}” is no colour: # and six figures, such as #2f5d57."),
  NO_SUCH_SWATCH(
      "No layer looks like that: over black it cannot be lighter than over white, nor lighter than"
          + " its card over white. Look at both in the same light."),
  CUP_TOO_SMALL(
      "This would take more than {2} cups for a single pour: lay out larger cups, or check"
          + " the label’s largest batch."),
  NOT_A_ZONE("“{0}” is not a time zone this machine knows, such as Europe/London."),
  NOT_HEAVIER("With water it has to weigh more than before; the scale says {0} g."),
  LEVELS_NOT_RISING("Each reading has to be deeper, and hold more, than the one before it."),
  ABOVE_RIM("That is above the rim: {0} mm, where the rim is at {2} mm."),
  DRAFT_TOO_STEEP("Walls that lean by {0}° would meet before they reach the floor."),
  ONLY_A_TOTAL(
      "These {0} are not alike, so this is a total for mixing, not what one of them holds. Measure"
          + " this one alone."),
  INNER_TOO_WIDE("The inner mould does not fit in: there would be no wall left round it."),
  BED_TOO_HEAVY("That is too heavy for the room it takes: at most {2} g."),
  RANGE_REVERSED("The end has to lie after the beginning; it is {0}."),
  DEPTH_TWICE("Two rows are for the same depth. Keep one of them."),
  TWO_OF_THREE("Two of mass, volume and density are needed; the third follows."),
  DISAGREES("Mass over volume is {1} g/mL; this says {0}."),
  NOTHING_LEFT_FOR_COLOUR(
      "The colours beside it take {0} of the layer, and nothing is left for its own. Lower a share."),
  EMBEDS_FILL_LAYER(
      "What is put in takes {0} mL, and this layer has room for {2} mL: no resin would be left. Make"
          + " the layer deeper, or put in less."),
  HOURS_REVERSED("That ends before it begins: until {0}. For past midnight, end at 24:00."),
  JOIN_OF_TWO_RESINS("Two resins do not flow together here: let the lower one gel or cure first."),
  EMBED_ON_FLUID(
      "A layer that is still fluid bears nothing. Let it gel or cure first, anchor the embed, or put"
          + " it in when this layer has thickened."),
  NO_SUCH_CAVITY("This plan pours into “{0}”, and the session has no such cavity."),
  NO_SUCH_DENSITY("Mass over volume comes to {0} g/mL, and nothing weighs that. Check both."),
  UNKNOWN_WORD("“{0}” is not a choice here."),
  NEVER_CERTAIN(
      "Nobody can be {0} % sure: hands, room and label all vary. At most {2} % can be asked for."),
  DROPS_OF_A_POWDER("Drops are counted of liquids only. Choose a share instead."),
  NOT_YET("This is still to come: choose a moment that is over."),
  NO_SUCH_DAY("{0} is no day a session can be on. Choose one between 2000 and 2200."),
  FORMAT_IS_NEWER("A newer Calm Pour wrote this (format {0}; this one reads up to {2})."),
  NOT_A_SESSION_FILE("This is not a Calm Pour session file."),
  HEAT_NOT_SEEN(
      "This plan has heat warnings. Read them, then begin all the same, or change the plan."),
  MOULDS_FULL(
      "Moulds of this session are still full: {0}. Take those pieces out first, or begin all the same"
          + " if they are out."),
  TOO_MANY("That is too many at once: {0}, and at most {2} can be planned. Check the number.");

  private final String template;

  Messages(String template) {
    this.template = template;
  }

  static String of(Problem problem) {
    return new MessageFormat(valueOf(problem.code().name()).template, Locale.UK)
        .format(
            new Object[] {
              plain(problem.actual()),
              number(problem.minInclusive()),
              number(problem.maxInclusive())
            });
  }

  private static String plain(@Nullable String actual) {
    if (actual == null) {
      return "nothing";
    }
    try {
      return number(Double.parseDouble(actual));
    } catch (NumberFormatException text) {
      return actual;
    }
  }

  private static String number(@Nullable Double value) {
    if (value == null) {
      return "";
    }
    double rounded = Math.rint(value * 1_000) / 1_000;
    return rounded == Math.rint(rounded) && Math.abs(rounded) < 1e15
        ? String.format(Locale.ROOT, "%d", (long) rounded)
        : Double.toString(rounded);
  }
}
