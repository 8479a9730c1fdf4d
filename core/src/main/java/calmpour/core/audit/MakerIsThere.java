package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;

/** Nothing that takes hands falls in hours when the maker is away. */
final class MakerIsThere implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Task task : facts.plan().tasks()) {
      boolean works = task.hands() && task.endSeconds() > task.startSeconds();
      if (works && !facts.there(task.startSeconds(), task.endSeconds())) {
        Mend change =
            task.pinned()
                ? new Mend(Mend.Kind.RELEASE_PIN, 0, task.id())
                : new Mend(Mend.Kind.CHANGE_HOURS, 0);
        told.breach(
            Finding.Rule.MAKER_AWAY,
            Place.of(task),
            Findings.minutes(task.startSeconds()),
            0,
            "min",
            change);
      }
    }
  }
}
