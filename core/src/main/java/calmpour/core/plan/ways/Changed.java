package calmpour.core.plan.ways;

import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** A changed session, and the pieces that are no longer in it. */
record Changed(List<Way.Fewer> fewer, Session session) {
  static Changed to(Session session) {
    return new Changed(List.of(), session);
  }

  /** Without so many pieces of some lines, by their index from 0. */
  static Changed without(Session session, Map<Integer, Integer> fewer) {
    List<Piece> pieces = new ArrayList<>();
    List<Way.Fewer> all = new ArrayList<>();
    for (int line = 0; line < session.pieces().size(); line++) {
      Piece piece = session.pieces().get(line);
      int out = Math.min(piece.count(), fewer.getOrDefault(line, 0));
      if (out > 0) {
        all.add(new Way.Fewer(line, out));
      }
      if (piece.count() > out) {
        pieces.add(piece.withCount(piece.count() - out));
      }
    }
    // Lines move up, so nothing that was put together or moved by hand can be told any more.
    return new Changed(all, unpinned(anew(session.withPieces(pieces).withCupsByHand(List.of()))));
  }

  /** Pieces of one plain layer in so many of equal depth; what is laid in stays with one pour. */
  static Session inLayers(Session session, int count) {
    List<Piece> pieces = new ArrayList<>();
    for (Piece piece : session.pieces()) {
      Layer only = piece.layers().get(0);
      boolean plain =
          piece.layers().size() == 1
              && only.fill() == null
              && only.embeds().isEmpty()
              && only.beside().isEmpty();
      List<Layer> layers = new ArrayList<>();
      for (int i = 0; plain && i < count; i++) {
        Fill fill = i < count - 1 ? Fill.ofDepthShare(1.0 / count) : null;
        layers.add(new Layer(only.colourId(), fill, i == 0 ? null : Join.CURED));
      }
      pieces.add(plain ? piece.withLayers(layers) : piece);
    }
    return anew(session.withPieces(pieces).withCupsByHand(List.of()));
  }

  /** Whatever shared a batch need not share it again. */
  static Session anew(Session changed) {
    return changed.withArrangement(changed.arrangement().withTogether(List.of()));
  }

  /** Nothing stays where it was moved by hand. */
  static Session unpinned(Session changed) {
    return changed.withArrangement(changed.arrangement().withPins(List.of()));
  }
}
