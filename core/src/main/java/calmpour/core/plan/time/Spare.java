package calmpour.core.plan.time;

import calmpour.core.cure.CureModel;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.List;

/** How much time cups have left when the last of them is poured out. */
public final class Spare {
  private Spare() {}

  /**
   * The least time between the end of a pour and its cup's last good moment, s. Whether a pour is
   * in time does not depend on when its batch begins, so nothing but the cups is worked out.
   *
   * @param batches their amounts, at least one pour among them
   */
  public static int of(Job job, CureModel cure, List<Batch> batches) {
    return batches.stream()
        .flatMap(b -> ofCups(job.in(b.resinId()), cure, b).stream())
        .mapToInt(Integer::intValue)
        .min()
        .orElseThrow();
  }

  /** The same for each cup of a batch, in their order. */
  public static List<Integer> ofCups(JobInResin inResin, CureModel cure, Batch batch) {
    Times laid = Times.of(Chain.of(inResin, cure, batch, new Filled()).tasks());
    Bodies bodies = new Bodies(inResin, batch, laid);
    int fromContact = laid.contact(batch.number()) - inResin.session().habits().marginSeconds();
    return cure.each(
        batch.cups(),
        cup -> {
          double ends = cure.thickens(inResin.resin(), bodies.emptied(cup)).workingMinutes();
          int last =
              cup.pours().stream()
                  .mapToInt(p -> laid.end(TaskId.pour(p.id())))
                  .max()
                  .orElse(Integer.MIN_VALUE / 2);
          return Window.down(fromContact, ends) - last;
        });
  }
}
