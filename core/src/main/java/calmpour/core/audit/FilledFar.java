package calmpour.core.audit;

import calmpour.core.habit.Care;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Job;
import java.util.List;

/** A dome stands as high as its skin holds it; a closed mould is full to its lid, and no fuller. */
final class FilledFar implements Rule {
  /** More than that lifts a lid (starting value, no source). */
  private static final double MOST_SURPLUS = 0.1;

  @Override
  public void judge(Facts facts, Findings told) {
    List<Job.Line> lines = facts.job().lines();
    for (int l = 0; l < lines.size(); l++) {
      Job.Line line = lines.get(l);
      Job.Level top = line.levels().get(line.levels().size() - 1);
      Job.Above above = top.above();
      Place place = Place.line(l);
      if (line.lidded()) {
        lid(facts, line, top, place, l, told);
      } else if (!line.flat() && above != null && above.mm() > above.mostMm()) {
        told.near(
            Finding.Rule.DOME_RUNS_OVER,
            place,
            above.mm(),
            above.mostMm(),
            "mm",
            Findings.openPiece(l));
      }
    }
  }

  private static void lid(
      Facts facts, Job.Line line, Job.Level top, Place place, int l, Findings told) {
    Job.Above above = top.above();
    double holds = line.measured().volumeMl();
    if (above == null || above.ml() <= 0) {
      double full = line.profile().volumeAtMl(top.toMm());
      told.near(Finding.Rule.LID_LEAVES_A_VOID, place, full, holds, "mL", Findings.openPiece(l));
    } else if (above.ml() > MOST_SURPLUS * holds) {
      told.near(
          Finding.Rule.LID_OVERFULL,
          place,
          above.ml(),
          MOST_SURPLUS * holds,
          "mL",
          Findings.openPiece(l));
    }
    Care.BubbleMethod method = facts.job().session().habits().care().bubbles();
    if (method != Care.BubbleMethod.SOFT_TOOL) {
      told.note(Finding.Rule.HEAT_UNDER_LID, place, 1, 0, "");
    }
  }
}
