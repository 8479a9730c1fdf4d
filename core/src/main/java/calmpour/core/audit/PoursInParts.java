package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.session.Job;

/** Tells where one pour needs several cups because none holds it. */
final class PoursInParts implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Batch batch : facts.plan().batches()) {
      for (Cup cup : batch.cups()) {
        for (Cup.Pour pour : cup.pours()) {
          Job.Level level = facts.job().lines().get(pour.line()).level(pour.layer());
          int meant = level.colours().size() * (level.inHalves() ? 2 : 1);
          if (pour.part() == 1 && pour.parts() > meant) {
            double parts = (double) pour.parts() / meant;
            told.note(Finding.Rule.POUR_IN_PARTS, Place.of(pour), parts, 1, "parts");
          }
        }
      }
    }
  }
}
