package calmpour.core.run;

import calmpour.core.plan.bench.Fillers;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Moulds that take what is left in a cup from which nothing more is to be poured.
 *
 * @param leftMl what can still be poured out of it, mL
 * @param untilSeconds until when it pours, from when the run was begun
 * @param fillers those that are filled in time first; none where nothing that is dry is so small
 */
public record FillersNow(
    CupId cupId, double leftMl, int untilSeconds, List<Fillers.Filler> fillers) {
  private static final int MOST = 3;

  public FillersNow {
    fillers = List.copyOf(fillers);
  }

  /**
   * @param workshop with every mould that may be filled
   */
  public static List<FillersNow> of(Run run, RunState state, Workshop workshop) {
    List<FillersNow> all = new ArrayList<>();
    for (RunState.LeftOver left : state.leftOvers()) {
      if (left.advice() != RunState.Advice.FILLERS) {
        continue;
      }
      for (RunState.CupNow now : state.cups()) {
        Cup cup = now.cupId().equals(left.cupId()) ? planned(run, now.cupId()) : null;
        if (cup == null) {
          continue;
        }
        double clings =
            left.grams() - cup.kind().residue(run.session().habits()).outOf(left.grams());
        double ml =
            Math.max(0, left.grams() - clings)
                * cup.amounts().contentMl()
                / cup.amounts().contentG();
        int until = now.standsUntilSeconds();
        all.add(
            new FillersNow(
                left.cupId(),
                ml,
                until,
                Fillers.of(
                    run.session(), workshop, ml, Math.max(0, until - state.atSeconds()), MOST)));
      }
    }
    return all;
  }

  private static @Nullable Cup planned(Run run, CupId id) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElse(null);
  }
}
