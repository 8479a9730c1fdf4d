package calmpour.app.format;

import calmpour.core.check.Problem;
import java.text.MessageFormat;
import java.util.Locale;

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
  CUP_TOO_SMALL(
      "This would take more than {2} cups for a single pour: lay out larger cups, or check"
          + " the label’s largest batch."),
  NOT_A_ZONE("“{0}” is not a time zone this machine knows, such as Europe/London."),
  TOO_MANY("That is too many at once: {0}, and at most {2} can be planned. A slip of the finger?");

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

  private static String plain(String actual) {
    if (actual == null) {
      return "nothing";
    }
    try {
      return number(Double.parseDouble(actual));
    } catch (NumberFormatException text) {
      return actual;
    }
  }

  private static String number(Double value) {
    if (value == null) {
      return "";
    }
    double rounded = Math.rint(value * 1_000) / 1_000;
    return rounded == Math.rint(rounded) && Math.abs(rounded) < 1e15
        ? String.format(Locale.ROOT, "%d", (long) rounded)
        : Double.toString(rounded);
  }
}
