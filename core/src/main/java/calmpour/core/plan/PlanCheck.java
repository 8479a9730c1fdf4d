package calmpour.core.plan;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.HashSet;
import java.util.Set;

/** Whether a plan speaks of the same resins, colours and cavities as its session. */
final class PlanCheck {
  private PlanCheck() {}

  /**
   * @throws calmpour.core.check.InvalidValuesException naming everything the session does not have
   */
  static void orThrow(Job job, Plan plan) {
    Check check = new Check();
    Set<TaskId> ids = new HashSet<>();
    for (int t = 0; t < plan.tasks().size(); t++) {
      Task task = plan.tasks().get(t);
      check.present("plan.tasks[" + t + "].kind", task.kind());
      check.that(
          ids.add(task.id()),
          Problem.of("plan.tasks[" + t + "].id", Problem.Code.DUPLICATE_ID, task.id().text()));
      check.that(
          task.endSeconds() >= task.startSeconds(),
          Problem.of(
              "plan.tasks[" + t + "].endSeconds",
              Problem.Code.RANGE_REVERSED,
              "" + task.endSeconds()));
    }
    for (int b = 0; b < plan.batches().size(); b++) {
      Batch batch = plan.batches().get(b);
      String at = "plan.batches[" + b + "]";
      check
          .present(at + ".mixingCup", batch.mixing().cup())
          .present(at + ".partA", batch.measuring().partA())
          .present(at + ".partB", batch.measuring().partB())
          .present(at + ".firstPart", batch.measuring().firstPart())
          .present(at + ".measured", batch.measuring().by());
      boolean known = job.resins().stream().anyMatch(r -> r.resin().id().equals(batch.resinId()));
      check.that(known, Problem.of(at + ".resinId", Problem.Code.UNKNOWN_ID, batch.resinId()));
      for (int c = 0; known && c < batch.cups().size(); c++) {
        cup(job.in(batch.resinId()), batch.cups().get(c), at + ".cups[" + c + "]", check);
      }
    }
    check.orThrow();
  }

  private static void cup(JobInResin job, Cup cup, String at, Check check) {
    check.present(at + ".kind", cup.kind());
    check.that(
        job.tints().containsKey(cup.colour().id()),
        Problem.of(at + ".colourId", Problem.Code.UNKNOWN_ID, cup.colour().id()));
    for (int d = 0; d < cup.tint().doses().size(); d++) {
      String id = cup.tint().doses().get(d).colourantId();
      check.that(
          job.job().used().colourants().stream().anyMatch(c -> c.id().equals(id)),
          Problem.of(at + ".doses[" + d + "].colourantId", Problem.Code.UNKNOWN_ID, id));
    }
    for (int p = 0; p < cup.pours().size(); p++) {
      Cup.Pour pour = cup.pours().get(p);
      boolean there =
          pour.line() >= 0
              && pour.line() < job.lines().size()
              && pour.layer() >= 0
              && pour.layer() < job.lines().get(pour.line()).poured().size()
              && pour.cavity() >= 1
              && pour.cavity() <= job.lines().get(pour.line()).piece().count();
      check.that(
          there,
          Problem.of(at + ".pours[" + p + "]", Problem.Code.NO_SUCH_CAVITY, pour.id().toString()));
    }
  }
}
