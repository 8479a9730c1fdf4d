package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A line of the session: so many pieces alike, each from its own cavity of one kind.
 *
 * @param cavityId which of the mould's cavities; null for its first
 * @param count pieces and so cavities
 * @param layers from the floor of the mould up
 */
public record Piece(String mouldId, @Nullable String cavityId, int count, List<Layer> layers) {
  public static final Range COUNT = new Range(1, 500);
  public static final Range LAYERS = new Range(1, 6);

  /** Pieces from the first cavity of a mould. */
  public Piece(String mouldId, int count, List<Layer> layers) {
    this(mouldId, null, count, layers);
  }

  public Piece {
    layers = layers == null ? List.of() : List.copyOf(layers);
    new Check()
        .name("mouldId", mouldId)
        .within("count", count, COUNT)
        .that(
            LAYERS.contains(layers.size()),
            Problem.outside("layers", Problem.Code.OUT_OF_RANGE, layers.size(), LAYERS))
        .orThrow();
  }
}
