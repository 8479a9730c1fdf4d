package calmpour.core.audit;

import calmpour.core.cup.CupKind;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import java.util.HashMap;
import java.util.Map;

/**
 * A cup holds one thing until it is wiped: of each kind no more are in use at once than there are.
 */
final class CupsSuffice implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Batch batch : facts.plan().batches()) {
      Map<CupKind, Integer> inUse = new HashMap<>();
      inUse.merge(
          batch.mixing().cup(),
          facts.job().session().habits().mixing().twoCups() ? 2 : 1,
          Integer::sum);
      if (batch.split()) {
        for (Cup cup : batch.cups()) {
          inUse.merge(cup.kind(), 1, Integer::sum);
        }
      }
      // Colours that are poured from one cup need that cup besides.
      facts.gathered(batch).forEach(cups -> inUse.merge(cups.get(0).kind(), 1, Integer::sum));
      inUse.forEach((kind, count) -> {
        if (kind.have() != null && count > kind.have()) {
          told.breach(
              Finding.Rule.CUPS_SHORT,
              Place.of(batch),
              count,
              kind.have(),
              kind.name(),
              new Mend(Mend.Kind.MORE_BATCHES, 0),
              new Mend(Mend.Kind.OPEN_SHELF, 0, "cup/" + kind.id()));
        }
      });
    }
  }
}
