package calmpour.core.audit;

import calmpour.core.habit.Habits;
import calmpour.core.plan.Batch;
import calmpour.core.plan.Facts;
import calmpour.core.plan.Finding;
import calmpour.core.resin.WeighOut;

/** A and B are in the label's ratio, within the label's largest batch, and the cup holds them. */
final class Weighing implements Rule {
  /** More digits than any scale shows. */
  private static final double HAIR = 1e-9;

  @Override
  public void judge(Facts facts, Told told) {
    Habits habits = facts.job().session().habits();
    for (Batch batch : facts.plan().batches()) {
      String place = "batch/" + batch.number();
      var resin = facts.job(batch).resin();
      double shareA = WeighOut.shareA(resin, habits.mixing().extraAPercent());
      double wanted = shareA / (1 - shareA);
      double a = batch.partA().massG();
      double b = batch.partB().massG();
      double error = (a / b / wanted - 1) * 100;
      // Each part is kept in whole milligrams.
      double rounded = 100 * (1e-3 / a + 1e-3 / b);
      if (Math.abs(error) > habits.ratioTolerancePercent() + rounded) {
        told.breach(
            Finding.Rule.RATIO_OFF, place, error, habits.ratioTolerancePercent(), "%", Told.ANEW);
      }
      Double largest = resin.largestBatchG();
      if (largest != null && a + b > largest + HAIR) {
        told.breach(Finding.Rule.BATCH_TOO_LARGE, place, a + b, largest, "g", Told.ANOTHER_BATCH);
      }
      double volume = a / resin.knownDensityA().value() + b / resin.knownDensityB().value();
      if (volume > batch.mixingCup().capacityMl() + HAIR) {
        told.breach(
            Finding.Rule.CUP_TOO_SMALL,
            place,
            volume,
            batch.mixingCup().capacityMl(),
            "mL",
            Told.ANOTHER_BATCH,
            Told.open("cup/" + batch.mixingCup().id()));
      }
    }
  }
}
