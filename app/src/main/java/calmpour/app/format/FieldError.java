package calmpour.app.format;

import calmpour.core.check.Problem;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * One entry of {@code errors} in a problem document.
 *
 * @param field path inside the document, such as {@code pieces[2].count}; empty for all of it
 * @param message for the maker
 */
public record FieldError(
    String field,
    String code,
    String message,
    @Nullable String actual,
    @Nullable Double min,
    @Nullable Double max) {

  /** The wording for a problem that core found. */
  public static FieldError of(Problem problem) {
    return new FieldError(
        problem.field(),
        problem.code().name().toLowerCase(Locale.ROOT),
        Messages.of(problem),
        problem.actual(),
        problem.minInclusive(),
        problem.maxInclusive());
  }

  public static FieldError of(String field, String code, String message, @Nullable String actual) {
    return new FieldError(field, code, message, actual, null, null);
  }
}
