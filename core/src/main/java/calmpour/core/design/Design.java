package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.mould.DepthProfile;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A design that is kept under a name, to be poured in any mould: its layers reach the same shares
 * of the depth everywhere, and how much that is follows from each mould's depth profile.
 *
 * @param layers from the floor of the mould up
 * @param work null for none
 */
public record Design(String id, String name, List<Layer> layers, @Nullable PieceWork work) {
  public static final Range LAYERS = new Range(1, 6);

  public Design {
    layers = layers == null ? List.of() : List.copyOf(layers);
    new Check()
        .name("id", id)
        .name("name", name)
        .that(
            LAYERS.contains(layers.size()),
            Problem.outside("layers", Problem.Code.OUT_OF_RANGE, layers.size(), LAYERS))
        .orThrow();
  }

  /**
   * Layers as shares of the depth, drawn in one cavity and good for any.
   *
   * @param layers as they were drawn
   * @param tops the level that each reaches there, mm above the floor
   * @param profile of that cavity
   */
  public static List<Layer> scalable(List<Layer> layers, List<Double> tops, DepthProfile profile) {
    List<Layer> scaled = new ArrayList<>();
    double below = 0;
    for (int l = 0; l < layers.size(); l++) {
      Layer layer = layers.get(l);
      double share = (tops.get(l) - below) / profile.depthMm();
      below = tops.get(l);
      // What fills up to the rim does so in every mould.
      boolean rest = layer.fill() == null;
      double legal = Math.min(Fill.DEPTH_SHARE.maxInclusive(), share);
      scaled.add(
          layer.withFill(
              rest ? null : Fill.ofDepthShare(Math.max(Fill.DEPTH_SHARE.minInclusive(), legal))));
    }
    return scaled;
  }
}
