package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;

/** Everything that the pieces and habits ask for is done once. */
final class NothingLeftOut implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Task expected : facts.expected()) {
      if (!expected.optional() && facts.task(expected.id()).isEmpty()) {
        told.breach(Finding.Rule.TASK_MISSING, Place.of(expected), 0, 1, "", Findings.ANEW);
      }
    }
  }
}
