package calmpour.app.store;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;

/** The oldest evening that was answered. */
public record Older(Instant begunAt, String runId) {
  /** As one word. */
  public String text() {
    return begunAt + "/" + runId;
  }

  /** Empty where it is none of ours. */
  public static Optional<Older> read(String text) {
    String[] parts = text.split("/", 2);
    try {
      return parts.length == 2
          ? Optional.of(new Older(Instant.parse(parts[0]), parts[1]))
          : Optional.empty();
    } catch (DateTimeParseException notOurs) {
      return Optional.empty();
    }
  }
}
