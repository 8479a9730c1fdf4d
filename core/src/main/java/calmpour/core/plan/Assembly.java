package calmpour.core.plan;

import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Milligrams;
import calmpour.core.plan.bench.BenchRows;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.List;

/** Puts batches together into the plan that everybody reads. */
final class Assembly {
  private final Job job;
  private final Recorder recorder;

  Assembly(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
  }

  Plan plan(List<Batch> batches, List<Task> tasks) {
    PieceViews views = new PieceViews(job);
    PlanNotes notesOfPlan = new PlanNotes(job, recorder);
    List<Plan.PieceView> pieces = new ArrayList<>();
    int cavities = 0;
    double volume = 0;
    for (Job.Line line : job.lines()) {
      pieces.add(views.of(line));
      int count = line.piece().count();
      cavities += count;
      volume += count * line.poured().stream().mapToDouble(Job.Level::volumeMl).sum();
    }
    long a = 0;
    long b = 0;
    long colourants = 0;
    long poured = 0;
    long stays = 0;
    int spare = Integer.MAX_VALUE;
    for (Batch batch : batches) {
      a += Milligrams.nearest(batch.measuring().partA().massG());
      b += Milligrams.nearest(batch.measuring().partB().massG());
      stays += Milligrams.nearest(batch.mixing().staysG());
      // Tinted whole, the doses of the cups are within those of the batch.
      for (Cup.Dose dose : batch.mixing().tintedWhole()) {
        colourants += Milligrams.nearest(dose.massG());
      }
      for (Cup cup : batch.cups()) {
        for (Cup.Dose dose :
            batch.mixing().tintedWhole().isEmpty() ? cup.tint().doses() : List.<Cup.Dose>of()) {
          colourants += Milligrams.nearest(dose.massG());
        }
        poured += Milligrams.nearest(cup.amounts().pouredG());
        stays += Milligrams.nearest(cup.amounts().staysG());
        for (Cup.Pour pour : cup.pours()) {
          int left = cup.times().latestPourEndSeconds() - pour.endSeconds();
          if (left < spare) {
            spare = left;
            notesOfPlan.spare(left, batch, cup, pour, tasks);
          }
        }
      }
    }
    notesOfPlan.volumes(volume);
    int end = batches.stream().mapToInt(each -> each.times().endSeconds()).max().orElse(0);
    if (spare == Integer.MAX_VALUE) {
      // A mix without moulds has no pour to be late: what counts is when it is ready.
      spare =
          batches.stream()
              .mapToInt(
                  x -> x.cups().get(0).times().latestPourEndSeconds() - x.times().endSeconds())
              .min()
              .orElse(0);
    }
    Plan.Totals totals =
        new Plan.Totals(
            cavities,
            volume,
            Milligrams.grams(a + b),
            Milligrams.grams(a),
            Milligrams.grams(b),
            Milligrams.grams(colourants),
            Milligrams.grams(poured),
            Milligrams.grams(stays));
    return new Plan(
        pieces,
        batches,
        tasks,
        List.of(),
        job.assumptions(),
        totals,
        end,
        spare,
        BenchRows.of(job, tasks),
        null,
        null,
        List.of());
  }
}
