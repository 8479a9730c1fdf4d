package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.PourId;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Every layer of every cavity gets what it holds, no less and no more. */
final class EveryCavity implements Rule {
  /** Thirds that are added up again may miss by a hair. */
  private static final double HAIR = 1e-6;

  @Override
  public void judge(Facts facts, Findings told) {
    Map<String, Double> poured = new HashMap<>();
    for (Batch batch : facts.plan().batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.pours()) {
          if (facts.task(TaskId.pour(pour.id())).isPresent()) {
            poured.merge(
                pour.line() + "." + pour.cavity() + "." + pour.layer(),
                pour.volumeMl(),
                Double::sum);
          }
        }
      }
    }
    List<Job.Line> lines = facts.job().lines();
    for (int l = 0; l < lines.size(); l++) {
      Job.Line line = lines.get(l);
      for (int cavity = 1; cavity <= line.piece().count(); cavity++) {
        for (int layer = 0; layer < line.poured().size(); layer++) {
          double wanted = line.level(layer).volumeMl();
          double has = poured.getOrDefault(l + "." + cavity + "." + layer, 0.0);
          Place place = new Place.OfPour(new PourId(l + 1, cavity, layer + 1, 0));
          if (has < wanted * (1 - HAIR)) {
            told.breach(Finding.Rule.CAVITY_SHORT, place, has, wanted, "mL", Findings.ANEW);
          } else if (has > wanted * (1 + HAIR)) {
            told.breach(Finding.Rule.CAVITY_OVERFULL, place, has, wanted, "mL", Findings.ANEW);
          }
        }
      }
    }
  }
}
