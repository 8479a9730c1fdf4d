package calmpour.core.plan.bench;

import calmpour.core.habit.Release;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Job;
import calmpour.core.tint.ColourantForm;
import java.util.Collection;
import java.util.List;

/** What there is to say of work on a mix in its cup. */
final class MixSays {
  private MixSays() {}

  /** How bubbles are brought out, and by how much it warms the mix. */
  static void release(Job job, List<StepCard.Say> says) {
    Release release = job.session().habits().mixing().releaseOrNone();
    says.add(new StepCard.Say(StepCard.Code.RELEASE, null, release.name()));
    if (release.warmerK() > 0) {
      says.add(new StepCard.Say(StepCard.Code.RELEASE_WARMS, release.warmerK(), null));
    }
  }

  /** Flakes that go into the cup, or the batch, that is tinted. */
  static void tinted(Job job, Collection<Cup> cups, Task task, List<StepCard.Say> says) {
    boolean flakes =
        cups.stream()
            .filter(c -> task.cupId() == null || c.id().equals(task.cupId()))
            .flatMap(c -> c.tint().doses().stream())
            .anyMatch(d -> flake(job, d.colourantId()));
    if (flakes) {
      says.add(new StepCard.Say(StepCard.Code.CHOP, null, null));
    }
  }

  private static boolean flake(Job job, String colourantId) {
    return job.used().colourants().stream()
        .anyMatch(c -> c.id().equals(colourantId) && c.form() == ColourantForm.FLAKE);
  }
}
