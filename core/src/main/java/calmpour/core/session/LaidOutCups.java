package calmpour.core.session;

import calmpour.core.check.Problem;
import calmpour.core.cup.AssumedCups;
import calmpour.core.cup.CupKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** The cups of a session: those laid out, or every one that gives out something. */
final class LaidOutCups {
  /** A cup that gives out less than that serves for nothing, g. */
  private static final double LEAST_POUR_G = 0.5;

  private final Found found;
  private final Session session;
  private final Assumptions assumptions;

  LaidOutCups(Found found, Assumptions assumptions) {
    this.found = found;
    this.session = found.session;
    this.assumptions = assumptions;
  }

  /** All of them; those that every workshop has where there is none. */
  List<CupKind> all() {
    List<CupKind> laidOut = new ArrayList<>();
    for (int i = 0; i < session.cupIds().size(); i++) {
      CupKind cup = found.find(found.cups, session.cupIds().get(i), "cupIds[" + i + "]");
      if (cup != null && keepsAll(cup)) {
        found.problem(
            Problem.of("cupIds[" + i + "]", Problem.Code.CUP_HOLDS_TOO_LITTLE, cup.name()));
      } else if (cup != null) {
        laidOut.add(cup);
      }
    }
    if (session.cupIds().isEmpty()) {
      found.cups.values().stream().filter(c -> !keepsAll(c)).forEach(laidOut::add);
    }
    if (laidOut.isEmpty()) {
      for (CupKind cup : AssumedCups.ALL) {
        laidOut.add(cup);
        assumptions.cup(cup);
      }
    }
    return laidOut;
  }

  /** Whether a cup filled up to its headroom would give out next to nothing. */
  private boolean keepsAll(CupKind cup) {
    double usableG = cup.capacityMl() * (1 - session.habits().headroomPercent() / 100);
    return cup.residue(session.habits()).outOf(usableG) < LEAST_POUR_G;
  }

  /** Kinds that may be used when those kept for {@code notUse} are left out; all if none remain. */
  static List<CupKind> fit(List<CupKind> laidOut, CupKind.Use notUse) {
    List<CupKind> fit = laidOut.stream().filter(c -> c.use() != notUse).toList();
    return (fit.isEmpty() ? laidOut : fit)
        .stream()
            .sorted(Comparator.comparingDouble(CupKind::capacityMl).thenComparing(CupKind::id))
            .toList();
  }
}
