package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Arrangement;

/** A task that was moved by hand is still one of the plan's. */
final class PinsHold implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Arrangement.Pin pin : facts.job().session().arrangement().pins()) {
      TaskId pinned = new TaskId(pin.taskId());
      if (facts.task(pinned).isEmpty()) {
        told.near(
            Finding.Rule.PIN_LOST,
            new Place.OfTask(pinned),
            Findings.minutes(pin.startSeconds()),
            0,
            "min",
            new Mend(Mend.Kind.RELEASE_PIN, 0, pinned));
      }
    }
  }
}
