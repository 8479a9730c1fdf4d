package calmpour.core.run;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One line of the record that can be put right, as it counts now.
 *
 * @param id of the line, or of what put it right last: what the next correction has to name
 * @param of what it is about, see {@link RunEvent.Kind}
 * @param atSeconds from when the run was begun
 * @param value grams or °C; null where none was told
 * @param measured what its value is; a value can be told where it is not {@code NOTHING}
 * @param person who told it; null where nobody said
 * @param was what it said before, the first telling first; empty where it was never put right
 */
public record AsTold(
    String id,
    RunEvent.Kind kind,
    @Nullable String of,
    int atSeconds,
    @Nullable Double value,
    Measured measured,
    @Nullable String person,
    List<Was> was) {
  public AsTold {
    was = List.copyOf(was);
  }

  /** What a value is. */
  public enum Measured {
    NOTHING,
    GRAMS,
    CELSIUS
  }

  /**
   * What a line said before it was put right.
   *
   * @param why it was put right
   * @param who did; null where nobody said
   * @param toldAt when it was put right
   */
  public record Was(
      int atSeconds, @Nullable Double value, String why, @Nullable String who, Instant toldAt) {}
}
