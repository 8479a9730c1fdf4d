package calmpour.core.plan;

import calmpour.core.mould.Cavity;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldState;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Moulds kept ready for what is left over, the one that leaves least waste first. */
public final class Fillers {
  private Fillers() {}

  /**
   * A mould that takes a leftover.
   *
   * @param pieces that can be filled
   * @param takesMl in all, as much more as they may hold counted in
   * @param leavesMl what is then still left
   */
  public record Filler(
      String mouldId, String cavityId, String name, int pieces, double takesMl, double leavesMl) {}

  /**
   * @param leftMl what is left to pour, mL
   * @return at most {@code most}, the least waste first; none that is wet, being made or on the
   *     board
   */
  public static List<Filler> of(Session session, Workshop workshop, double leftMl, int most) {
    Set<String> onTheBoard =
        session.pieces().stream().map(p -> p.mouldId()).collect(Collectors.toSet());
    List<Filler> fillers = new ArrayList<>();
    for (Mould mould : workshop.moulds()) {
      if (onTheBoard.contains(mould.id()) || !fit(mould.state(), session)) {
        continue;
      }
      for (Cavity cavity : mould.cavities()) {
        Measured measured = cavity.measured();
        // As much as it may hold: a filler that comes out short is no piece.
        double each = measured.volumeMl() + measured.plusMinusMl();
        int pieces = Math.min(cavity.count(), (int) Math.floor(leftMl / each));
        if (pieces > 0) {
          double takes = pieces * each;
          fillers.add(
              new Filler(
                  mould.id(), cavity.id(), mould.nameOf(cavity), pieces, takes, leftMl - takes));
        }
      }
    }
    return fillers.stream()
        .sorted(
            Comparator.comparingDouble(Filler::leavesMl)
                .thenComparingInt(Filler::pieces)
                .thenComparing(Filler::name))
        .limit(most)
        .toList();
  }

  private static boolean fit(MouldState state, Session session) {
    return state == null
        || (!Boolean.FALSE.equals(state.dry())
            && (state.readyFrom() == null || !state.readyFrom().isAfter(session.startsAt())));
  }
}
