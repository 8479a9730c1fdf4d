package calmpour.core.run;

import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Work of one pair of hands in the order in which it is due.
 *
 * <p>What something else waits for is due so much sooner that the other can still be in time; with
 * that, soonest due first leaves the latest of all as little late as can be, and nothing comes
 * before what it waits for (E. L. Lawler, Optimal sequencing of a single machine subject to
 * precedence constraints, Management Science 19 (1973) 544–546). A plan's own pour order goes by
 * the same rule from its end backwards, over whole batches; here tints come in between, and pours
 * that are made or given up are left out.
 */
final class DueOrder {
  private DueOrder() {}

  /**
   * One thing to do.
   *
   * @param seconds that it takes, more than 0
   * @param untilSeconds when it has to be over, s
   * @param after what it waits for; what is not among the work counts for nothing
   */
  record Job(TaskId id, int seconds, int untilSeconds, Set<TaskId> after) {
    Job {
      after = Set.copyOf(after);
    }
  }

  /** The same work, soonest due first; of what is due at once the order stays. */
  static List<Job> of(List<Job> jobs) {
    Map<TaskId, Integer> due = new HashMap<>();
    jobs.forEach(j -> due.put(j.id(), j.untilSeconds()));
    // As many turns as there are things that wait for each other in a row, and one to see that.
    boolean sooner;
    do {
      sooner = false;
      for (Job job : jobs) {
        int begins = due.getOrDefault(job.id(), job.untilSeconds()) - job.seconds();
        for (TaskId before : job.after()) {
          Integer its = due.get(before);
          if (its != null && its > begins) {
            due.put(before, begins);
            sooner = true;
          }
        }
      }
    } while (sooner);
    List<Job> order = new ArrayList<>(jobs);
    order.sort(Comparator.comparingInt(j -> due.getOrDefault(j.id(), j.untilSeconds())));
    return order;
  }
}
