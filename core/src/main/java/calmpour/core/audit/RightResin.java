package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.LabelCheck;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import java.util.List;

/**
 * The resin is of the kind for its work, poured as deep as its label allows, and its label sound.
 */
final class RightResin implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    Job job = facts.job();
    for (int i = 0; i < job.lines().size(); i++) {
      rated(job, i, told);
    }
    boolean coating =
        job.lines().stream()
            .flatMap(l -> l.levels().stream())
            .anyMatch(v -> job.in(v.resinId()).resin().kind() == ResinKind.COATING);
    if (coating) {
      told.near(
          Finding.Rule.COATING_IN_A_MOULD, Place.Whole.RESIN, 1, 0, "", Findings.open("resin"));
    }
    int doubts = job.resins().stream().mapToInt(r -> LabelCheck.of(r.resin()).size()).sum();
    if (doubts > 0) {
      told.note(Finding.Rule.LABEL_CONTRADICTS, Place.Whole.RESIN, doubts, 0, "");
    }
  }

  /** Depth that is poured in one go, against what the label allows. */
  private static void rated(Job job, int which, Findings told) {
    Place place = Place.line(which);
    Job.Line line = job.lines().get(which);
    int stages = line.levels().stream().mapToInt(Job.Level::stage).max().orElse(-1);
    for (int stage = 0; stage <= stages; stage++) {
      int now = stage;
      List<Job.Level> poured = line.levels().stream().filter(l -> l.stage() == now).toList();
      if (poured.isEmpty()) {
        continue;
      }
      ResinSystem resin = job.in(poured.get(0).resinId()).resin();
      LabelFacts facts = resin.facts();
      double depth = poured.stream().mapToDouble(l -> l.toMm() - l.fromMm()).sum();
      if (facts != null && facts.depthToMm() != null && depth > facts.depthToMm()) {
        told.breach(
            Finding.Rule.DEEPER_THAN_RATED,
            place,
            depth,
            facts.depthToMm(),
            "mm",
            Findings.openPiece(which),
            Findings.leaveOut(which));
      }
      if (facts != null && facts.depthFromMm() != null && depth < facts.depthFromMm()) {
        told.note(Finding.Rule.THINNER_THAN_RATED, place, depth, facts.depthFromMm(), "mm");
      }
    }
  }
}
