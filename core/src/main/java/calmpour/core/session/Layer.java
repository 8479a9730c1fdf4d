package calmpour.core.session;

import calmpour.core.check.Check;
import org.jspecify.annotations.Nullable;

/**
 * One layer of a piece, counted from the floor of the mould.
 *
 * @param colourId which colour it is poured in
 * @param fill how much it takes; null for whatever room is left to the rim, on the top layer only
 * @param join how it meets the layer below; has no meaning on the first
 */
public record Layer(String colourId, @Nullable Fill fill, Join join) {
  public Layer {
    join = join == null ? Join.TOGETHER : join;
    new Check().name("colourId", colourId).orThrow();
  }
}
