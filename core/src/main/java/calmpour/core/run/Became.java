package calmpour.core.run;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What became of a piece.
 *
 * @param atSeconds from when the run was begun
 * @param text to whom, or why; null for nothing said
 */
public record Became(What what, int atSeconds, @Nullable String text) {
  /** What can become of a piece. */
  public enum What {
    /** Nothing yet; takes back what was told before. */
    STILL_HERE,
    KEPT,
    TO_TEST_AGAIN,
    GIVEN_AWAY,
    SOLD,
    THROWN_AWAY;

    /** Whether somebody else has it now. */
    public boolean handedOver() {
      return this == GIVEN_AWAY || this == SOLD;
    }
  }

  /** Empty where the codes are not one of ours. */
  static Optional<Became> of(List<String> codes, @Nullable String text, int at) {
    if (codes.size() != 1) {
      return Optional.empty();
    }
    try {
      return Optional.of(new Became(What.valueOf(codes.getFirst()), at, text));
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
  }
}
