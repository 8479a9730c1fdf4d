package calmpour.core.practice;

import calmpour.core.plan.doc.CupId;
import calmpour.core.run.AsRun;
import calmpour.core.run.CupCurve;
import calmpour.core.run.LookOver;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** How the pieces of a rehearsal came out, by what was really so. */
final class Judged {
  /**
   * Off by so many times what is tolerated, a piece stays sticky; below it is a second. No source.
   */
  private static final double STAYS_STICKY = 3;

  /** What nobody can use. */
  private static final Set<Rehearsed.Why> LOST =
      EnumSet.of(
          Rehearsed.Why.GELLED,
          Rehearsed.Why.GIVEN_UP,
          Rehearsed.Why.TOO_LATE,
          Rehearsed.Why.RAN_SHORT);

  private final double tolerancePercent;
  private final List<Flaw> flaws;

  Judged(double tolerancePercent, List<Flaw> flaws) {
    this.tolerancePercent = tolerancePercent;
    this.flaws = flaws;
  }

  static int points(LookOver.Verdict verdict) {
    return switch (verdict) {
      case GOOD -> 2;
      case SECOND -> 1;
      case LOST -> 0;
    };
  }

  List<Rehearsed.PieceScore> pieces(AsRun record, List<CupCurve> curves) {
    Map<CupId, CupCurve> cups = new HashMap<>();
    curves.forEach(c -> cups.put(c.cupId(), c));
    Map<Integer, Double> off = new HashMap<>();
    record
        .batches()
        .forEach(b -> {
          if (b.ratioErrorPercent() != null) {
            off.put(b.number(), Math.abs(b.ratioErrorPercent()));
          }
        });
    List<Rehearsed.PieceScore> pieces = new ArrayList<>();
    for (AsRun.PieceOut piece : record.pieces()) {
      Set<Rehearsed.Why> why = EnumSet.noneOf(Rehearsed.Why.class);
      boolean sticky = false;
      for (AsRun.PourIn pour : record.pours()) {
        if (pour.line() == piece.line() && pour.cavity() == piece.cavity()) {
          poured(pour, cups.get(pour.cupId()), why);
          CupCurve cup = cups.get(pour.cupId());
          double error = cup == null ? 0 : off.getOrDefault(cup.batch(), 0.0);
          if (error > tolerancePercent) {
            why.add(Rehearsed.Why.OFF_RATIO);
          }
          sticky |= error > tolerancePercent * STAYS_STICKY;
        }
      }
      flaws.stream()
          .filter(f -> f.line() == piece.line() && f.cavity() == piece.cavity())
          .forEach(f -> why.add(f.why()));
      boolean lost = sticky || why.stream().anyMatch(LOST::contains);
      pieces.add(
          new Rehearsed.PieceScore(
              piece.piece(),
              piece.mouldName(),
              lost
                  ? LookOver.Verdict.LOST
                  : why.isEmpty() ? LookOver.Verdict.GOOD : LookOver.Verdict.SECOND,
              List.copyOf(why)));
    }
    return pieces;
  }

  private static void poured(AsRun.PourIn pour, @Nullable CupCurve cup, Set<Rehearsed.Why> why) {
    switch (pour.outcome()) {
      case GIVEN_UP -> why.add(Rehearsed.Why.GIVEN_UP);
      case LOST, OPEN -> why.add(Rehearsed.Why.TOO_LATE);
      case POURED -> {
        Integer spare = pour.spareSeconds();
        if (spare == null || spare >= 0) {
          return;
        }
        boolean gelled =
            cup != null
                && cup.curve() != null
                && cup.curve().gels() != null
                && pour.atSeconds() != null
                && pour.atSeconds() >= cup.contactSeconds() + cup.curve().gels() * 60;
        why.add(gelled ? Rehearsed.Why.GELLED : Rehearsed.Why.POURED_THICK);
      }
    }
  }

  /** Something that is wrong with a piece, whatever the clocks say. */
  record Flaw(int line, int cavity, Rehearsed.Why why) {}
}
