package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** Every pour ends inside its cup's working time less the margin. */
final class PoursInTime implements Rule {
  private final Supplier<List<Mend>> ways;

  /**
   * @param ways out of late pours, asked for only when one is
   */
  PoursInTime(Supplier<List<Mend>> ways) {
    this.ways = ways;
  }

  @Override
  public void judge(Facts facts, Findings told) {
    int margin = (int) Math.ceil(facts.job().session().habits().marginMinutes() * 60);
    List<Mend> tried = null;
    for (Batch batch : facts.plan().batches()) {
      if (!facts.mixes(batch)) {
        // Where A never meets B no clock runs; that is told by itself.
        continue;
      }
      for (Cup cup : batch.cups()) {
        Facts.CupEnds ends = facts.ends(cup);
        int last = 0;
        boolean late = false;
        for (Cup.Pour pour : cup.pours()) {
          Task task = facts.task(TaskId.pour(pour.id())).orElse(null);
          if (task == null) {
            continue;
          }
          last = Math.max(last, task.endSeconds());
          int over = task.endSeconds() - (ends.seconds() - margin);
          if (over > 0) {
            late = true;
            tried = tried == null ? ways.get() : tried;
            told.add(late(task, ends.seconds() - margin, tried));
          }
        }
        if (!late && last > ends.earliestSeconds() - margin && last > 0) {
          told.near(
              Finding.Rule.POUR_AFTER_WORKING_TIME,
              Place.of(cup),
              Findings.minutes(last),
              Findings.minutes(ends.earliestSeconds() - margin),
              "min");
        }
      }
    }
  }

  private static Finding late(Task task, int latest, List<Mend> ways) {
    List<Mend> mends = new ArrayList<>();
    if (task.pinned()) {
      mends.add(new Mend(Mend.Kind.RELEASE_PIN, 0, task.id()));
    }
    mends.addAll(ways);
    if (mends.isEmpty()) {
      // A plan from elsewhere: nothing was tried on it, but this pour can be done sooner.
      int over = task.endSeconds() - latest;
      double start = Math.max(0, task.startSeconds() - over);
      mends.add(new Mend(Mend.Kind.MOVE_TASK, start, task.id()));
    }
    return new Finding(
        Finding.Severity.BREACH,
        Finding.Rule.POUR_AFTER_WORKING_TIME,
        Place.of(task),
        Findings.minutes(task.endSeconds()),
        Findings.minutes(latest),
        "min",
        mends);
  }
}
