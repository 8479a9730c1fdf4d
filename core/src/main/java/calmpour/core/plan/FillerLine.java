package calmpour.core.plan;

import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.plan.bench.Fillers;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A mould for what would be left over, as one more line of the session. */
public final class FillerLine {
  private FillerLine() {}

  /**
   * The session with the dry mould that leaves the least of it, in the colour of its last line.
   *
   * @param leftMl what there is more of than the plan needs, mL
   * @return empty where no mould of the workshop is free and small enough
   */
  public static Optional<Session> added(Session session, Workshop workshop, double leftMl) {
    if (session.pieces().isEmpty()) {
      return Optional.empty();
    }
    String colour = session.pieces().getLast().layers().getFirst().colourId();
    return Fillers.of(session, workshop, leftMl, Integer.MAX_VALUE, 1).stream()
        .findFirst()
        .map(f -> {
          Layer layer = new Layer(colour, null, Join.TOGETHER);
          List<Piece> pieces = new ArrayList<>(session.pieces());
          pieces.add(new Piece(f.mouldId(), f.cavityId(), f.pieces(), List.of(layer)));
          return session.withPieces(pieces);
        });
  }
}
