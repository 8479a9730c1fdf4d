package calmpour.core.journal;

import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.run.AsRun;
import calmpour.core.run.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.IntBinaryOperator;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** How the layers of an evening's pieces met those below them. */
public final class Joined {
  private Joined() {}

  /**
   * One layer upon another.
   *
   * @param layer the upper one, from 1 (the floor layer is 0 and meets none)
   * @param planned how it was to meet the one below
   * @param minutesAfter from the last pour of the layer below to its own first one, min; null where
   *     one of the two has no time
   */
  public record JoinMade(CavityId piece, int layer, Join planned, @Nullable Integer minutesAfter) {}

  /** Every join of which the upper layer was poured, by piece and layer. */
  public static List<JoinMade> of(Run run, AsRun asRun) {
    List<JoinMade> all = new ArrayList<>();
    for (AsRun.PieceOut piece : asRun.pieces()) {
      List<Layer> layers = run.session().pieces().get(piece.line()).layers();
      for (int layer = 1; layer < layers.size(); layer++) {
        if (!isPoured(asRun, piece.piece(), layer)) {
          continue;
        }
        OptionalInt below = at(asRun, piece.piece(), layer - 1, Math::max);
        OptionalInt own = at(asRun, piece.piece(), layer, Math::min);
        all.add(
            new JoinMade(
                piece.piece(),
                layer,
                layers.get(layer).join(),
                below.isPresent() && own.isPresent()
                    ? (Integer) ((own.getAsInt() - below.getAsInt()) / 60)
                    : null));
      }
    }
    return List.copyOf(all);
  }

  private static boolean isPoured(AsRun asRun, CavityId piece, int layer) {
    return asRun.pours().stream()
        .anyMatch(p ->
            p.pourId().into().equals(piece)
                && p.layer() == layer
                && p.outcome() == AsRun.Outcome.POURED);
  }

  private static OptionalInt at(
      AsRun asRun, CavityId piece, int layer, IntBinaryOperator whichever) {
    return asRun.pours().stream()
        .filter(p -> p.pourId().into().equals(piece) && p.layer() == layer)
        .flatMap(p -> Stream.ofNullable(p.atSeconds()))
        .mapToInt(Integer::intValue)
        .reduce(whichever);
  }
}
