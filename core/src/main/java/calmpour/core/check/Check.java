package calmpour.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** Collects what is wrong with the values of one record; detecting and throwing are separate. */
public final class Check {
  /** Longest name of anything in the workshop, in characters. */
  public static final int NAME_LENGTH = 80;

  private static final Pattern HEX = Pattern.compile("#[0-9a-fA-F]{6}");

  private final List<Problem> problems = new ArrayList<>();

  public Check name(String field, @Nullable String value) {
    if (value == null || value.isBlank()) {
      problems.add(Problem.of(field, Problem.Code.MISSING, value));
    } else if (value.length() > NAME_LENGTH) {
      problems.add(
          new Problem(
              field,
              Problem.Code.TOO_LONG,
              String.format(Locale.ROOT, "%d characters", value.length()),
              null,
              (double) NAME_LENGTH));
    }
    return this;
  }

  /** A value that may be unknown (null) but is legal when it is given. */
  public Check within(String field, @Nullable Number value, Range legal) {
    if (value != null && !legal.contains(value.doubleValue())) {
      problems.add(Problem.outside(field, Problem.Code.OUT_OF_RANGE, value.doubleValue(), legal));
    }
    return this;
  }

  /** Free text that may be left out but not run on for ever. */
  public Check atMost(String field, @Nullable String text, int characters) {
    if (text != null && text.length() > characters) {
      problems.add(
          new Problem(
              field,
              Problem.Code.TOO_LONG,
              String.format(Locale.ROOT, "%d characters", text.length()),
              null,
              (double) characters));
    }
    return this;
  }

  public Check present(String field, @Nullable Object value) {
    if (value == null) {
      problems.add(Problem.of(field, Problem.Code.MISSING, null));
    }
    return this;
  }

  /** A colour as {@code #rrggbb}. */
  public Check colour(String field, @Nullable String value) {
    if (value == null || !HEX.matcher(value).matches()) {
      Problem.Code code = value == null ? Problem.Code.MISSING : Problem.Code.NOT_A_COLOUR;
      problems.add(Problem.of(field, code, value));
    }
    return this;
  }

  /** Adds {@code problem} unless {@code holds}. */
  public Check that(boolean holds, Problem problem) {
    if (!holds) {
      problems.add(problem);
    }
    return this;
  }

  public void orThrow() {
    if (!problems.isEmpty()) {
      throw new InvalidValuesException(problems);
    }
  }
}
