package calmpour.core.check;

import java.util.List;
import java.util.stream.Collectors;

/** What was given breaks one or more rules; carries all of them, never only the first. */
public final class InvalidValuesException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final transient List<Problem> problems;

  public InvalidValuesException(List<Problem> problems) {
    super(
        problems.stream()
            .map(p -> p.field() + " (" + p.actual() + "): " + p.code())
            .collect(Collectors.joining("; ")));
    this.problems = List.copyOf(problems);
  }

  /** At least one problem. */
  public List<Problem> problems() {
    return problems;
  }
}
