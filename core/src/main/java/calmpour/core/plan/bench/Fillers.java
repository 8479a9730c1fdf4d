package calmpour.core.plan.bench;

import calmpour.core.habit.Hands;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldState;
import calmpour.core.plan.doc.Batch;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Moulds kept ready for what is left over, the one that leaves least waste first. */
public final class Fillers {
  private Fillers() {}

  /**
   * A mould that takes a leftover.
   *
   * @param pieces that can be filled
   * @param takesMl in all, as much more as they may hold counted in
   * @param leavesMl what is then still left
   * @param pourSeconds how long pouring them takes
   * @param inTime whether the cup is still pourable when that is done
   */
  public record Filler(
      String mouldId,
      String cavityId,
      String name,
      int pieces,
      double takesMl,
      double leavesMl,
      int pourSeconds,
      boolean inTime) {}

  /**
   * A batch made larger up to a round figure, and moulds that take what is more.
   *
   * @param totalG the round figure
   * @param moreMl that much more to pour, when what is left anyway is counted in
   */
  public record TopUp(double totalG, double moreMl, List<Filler> fillers) {
    public TopUp {
      fillers = List.copyOf(fillers);
    }
  }

  /**
   * @param leftMl what is left to pour, mL
   * @param openSeconds how long it can still be poured
   * @return at most {@code most}: those in time first, then the least waste; none that is wet,
   *     being made or on the board
   */
  public static List<Filler> of(
      Session session, Workshop workshop, double leftMl, int openSeconds, int most) {
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
          int seconds = seconds(session.hands(), pieces, takes);
          fillers.add(
              new Filler(
                  mould.id(),
                  cavity.id(),
                  mould.nameOf(cavity),
                  pieces,
                  takes,
                  leftMl - takes,
                  seconds,
                  seconds <= openSeconds));
        }
      }
    }
    return fillers.stream()
        .sorted(
            Comparator.comparing((Filler f) -> !f.inTime())
                .thenComparingDouble(Filler::leavesMl)
                .thenComparingInt(Filler::pieces)
                .thenComparing(Filler::name))
        .limit(most)
        .toList();
  }

  /**
   * Round figures above a batch, as far as the label's largest batch and the mixing cup allow, with
   * the moulds that would take the difference.
   *
   * @param leftMl what the batch leaves to pour as it is
   */
  public static List<TopUp> topUps(
      Session session, Workshop workshop, Batch batch, double leftMl, double mostG, int most) {
    double perMl =
        batch.measuring().totalG()
            / (batch.measuring().partA().volumeMl() + batch.measuring().partB().volumeMl());
    int open =
        batch.cups().stream().mapToInt(c -> c.times().latestPourEndSeconds()).min().orElse(0)
            - batch.times().endSeconds();
    double fitsG = Math.min(mostG, batch.mixing().cup().capacityMl() * perMl);
    List<TopUp> ways = new ArrayList<>();
    double before = batch.measuring().totalG();
    for (double step : new double[] {10, 25, 50, 100}) {
      double round = Math.ceil((batch.measuring().totalG() + 0.5) / step) * step;
      double moreMl = leftMl + (round - batch.measuring().totalG()) / perMl;
      List<Filler> fillers = of(session, workshop, moreMl, Math.max(0, open), most);
      if (round > before && round <= fitsG && !fillers.isEmpty()) {
        ways.add(new TopUp(round, moreMl, fillers));
        before = round;
      }
    }
    return ways;
  }

  private static int seconds(Hands hands, int pieces, double ml) {
    return (int) Math.ceil(pieces * hands.pourSecondsCavity() + ml * hands.pourSecondsMl());
  }

  private static boolean fit(@Nullable MouldState state, Session session) {
    return state == null
        || (!Boolean.FALSE.equals(state.dry())
            && (state.readyFrom() == null || !state.readyFrom().isAfter(session.startsAt())));
  }
}
