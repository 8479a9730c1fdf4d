package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A cup that the maker put together: it holds exactly these pours, whatever else is planned anew,
 * until it is released.
 *
 * @param layers whose pours it holds, all of one colour and poured at one sitting
 * @param cupId which kind of cup; null for whichever fits best
 */
public record HandCup(List<HandLayer> layers, @Nullable String cupId) {
  public static final Range LAYERS = new Range(1, 200);

  public HandCup {
    layers = layers == null ? List.of() : List.copyOf(layers);
    new Check()
        .that(
            LAYERS.contains(layers.size()),
            Problem.outside("layers", Problem.Code.OUT_OF_RANGE, layers.size(), LAYERS))
        .orThrow();
  }

  /**
   * Pours of one layer of one line of pieces.
   *
   * @param line index of the session's line of pieces, from 0
   * @param layer index from the floor of the mould, from 0
   * @param cavities how many of the line's, the first that no cup before it holds; null for all
   *     that are left
   */
  public record HandLayer(int line, int layer, @Nullable Integer cavities) {
    public static final Range LINE = new Range(0, 199);
    public static final Range LAYER = new Range(0, 5);

    public HandLayer {
      new Check()
          .within("line", line, LINE)
          .within("layer", layer, LAYER)
          .within("cavities", cavities, Piece.COUNT)
          .orThrow();
    }
  }
}
