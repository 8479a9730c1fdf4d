package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What the maker decides about the times of a plan.
 *
 * @param hours when the maker is there; null for whenever it takes
 * @param pins tasks moved by hand
 * @param accepted rules that are broken on purpose
 * @param together which pours shared a batch the last time, by their ids, in the order the batches
 *     began: they stay together where that is no worse
 */
@RecordBuilder
public record Arrangement(
    @Nullable Hours hours, List<Pin> pins, List<Accepted> accepted, List<List<String>> together)
    implements ArrangementBuilder.With {
  public static final Range PINS = new Range(0, 2_000);
  public static final Range ACCEPTED = new Range(0, 400);
  public static final Range TOGETHER = new Range(0, 100);

  public static final Arrangement FREE = new Arrangement(null, List.of(), List.of(), List.of());

  /**
   * A task that begins when the maker says.
   *
   * @param taskId its id in the plan
   * @param startSeconds from the first step of the session
   */
  public record Pin(String taskId, int startSeconds) {
    public static final Range START_SECONDS = new Range(0, 60 * 24 * 3_600);

    public Pin {
      new Check()
          .name("taskId", taskId)
          .within("startSeconds", startSeconds, START_SECONDS)
          .orThrow();
    }
  }

  /**
   * A finding that is accepted, and why.
   *
   * @param rule its name
   * @param place what it concerned
   */
  public record Accepted(String rule, String place, String reason) {
    private static final int REASON_LENGTH = 300;

    public Accepted {
      new Check()
          .name("rule", rule)
          .name("place", place)
          .present("reason", reason == null || reason.isBlank() ? null : reason)
          .atMost("reason", reason, REASON_LENGTH)
          .orThrow();
    }
  }

  public Arrangement {
    pins = pins == null ? List.of() : List.copyOf(pins);
    accepted = accepted == null ? List.of() : List.copyOf(accepted);
    together = together == null ? List.of() : together.stream().map(List::copyOf).toList();
    Check check =
        new Check()
            .that(
                PINS.contains(pins.size()),
                Problem.outside("pins", Problem.Code.TOO_MANY, pins.size(), PINS))
            .that(
                ACCEPTED.contains(accepted.size()),
                Problem.outside("accepted", Problem.Code.TOO_MANY, accepted.size(), ACCEPTED))
            .that(
                TOGETHER.contains(together.size()),
                Problem.outside("together", Problem.Code.TOO_MANY, together.size(), TOGETHER));
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < pins.size(); i++) {
      String id = pins.get(i).taskId();
      check.that(ids.add(id), Problem.of("pins[" + i + "].taskId", Problem.Code.DUPLICATE_ID, id));
    }
    check.orThrow();
  }
}
