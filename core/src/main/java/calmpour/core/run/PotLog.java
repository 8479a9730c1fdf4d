package calmpour.core.run;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A line of the log of a pressure pot.
 *
 * @param bar where it is a pressure; null otherwise
 */
public record PotLog(int batch, What what, @Nullable Double bar, int atSeconds) {
  /** What was done with it. */
  public enum What {
    /** What its plate says it may hold, bar. */
    RATED,
    /** The relief valve was seen to work. */
    RELIEF,
    /** What it was set to, bar. */
    SET,
    /** The moulds are in and it is shut. */
    IN,
    /** It was emptied and opened. */
    OUT
  }

  /** The batch and what was done, as an event names them; empty where it names something else. */
  static Optional<PotLog> of(String of, @Nullable Double bar, int atSeconds) {
    String[] parts = of.split("/", -1);
    try {
      return parts.length == 2
          ? Optional.of(
              new PotLog(Integer.parseInt(parts[0]), What.valueOf(parts[1]), bar, atSeconds))
          : Optional.empty();
    } catch (IllegalArgumentException notOurs) {
      return Optional.empty();
    }
  }
}
