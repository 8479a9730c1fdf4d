package calmpour.core.plan.doc;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What becomes of it.
 *
 * @param peak how warm it would get if it were forgotten full; null where a rule of thumb stands in
 * @param layers what becomes of what is poured from it, by line and layer
 */
public record CupFollows(Cup.@Nullable Peak peak, List<Cup.LayerCure> layers) {
  static final CupFollows NOTHING = new CupFollows(null, List.of());

  public CupFollows {
    layers = List.copyOf(layers);
  }
}
