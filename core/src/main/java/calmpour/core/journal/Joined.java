package calmpour.core.journal;

import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
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
   * @param met the state that it found the layer below in, by that layer's clock as planned from
   *     when it was really poured; null where one of the two has no time
   */
  public record JoinMade(
      CavityId piece,
      int layer,
      Join planned,
      @Nullable Integer minutesAfter,
      @Nullable Join met) {}

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
        boolean timed = below.isPresent() && own.isPresent();
        Cup.LayerCure cure = cure(run, piece, layer - 1);
        all.add(
            new JoinMade(
                piece.piece(),
                layer,
                layers.get(layer).join(),
                timed ? (Integer) ((own.getAsInt() - below.getAsInt()) / 60) : null,
                timed && cure != null ? met(cure, own.getAsInt() - below.getAsInt()) : null));
      }
    }
    return List.copyOf(all);
  }

  /** What becomes of a piece's layer as planned; null where nothing was said of it. */
  private static Cup.@Nullable LayerCure cure(Run run, AsRun.PieceOut piece, int layer) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c ->
            c.pours().stream()
                .anyMatch(p -> p.id().into().equals(piece.piece()) && p.layer() == layer))
        .flatMap(c -> c.follows().layers().stream())
        .filter(l -> l.line() == piece.line() && l.layer() == layer)
        .findFirst()
        .orElse(null);
  }

  /**
   * @param after the layer below was poured, s
   */
  private static Join met(Cup.LayerCure below, int after) {
    int at = below.pouredSeconds() + after;
    if (at < below.thick().seconds()) {
      return Join.TOGETHER;
    }
    if (at < below.gels().seconds()) {
      return Join.THICK;
    }
    return below.bondEnds() == null || at < below.bondEnds().seconds() ? Join.GEL : Join.CURED;
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
