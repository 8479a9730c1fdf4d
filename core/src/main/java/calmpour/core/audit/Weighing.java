package calmpour.core.audit;

import calmpour.core.habit.Habits;
import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.WeighOut;

/** A and B are in the label's ratio, within the label's largest batch, and the cup holds them. */
final class Weighing implements Rule {
  /** More digits than any scale shows. */
  private static final double HAIR = 1e-9;

  /** What is mixed beyond the need, as a share of it, before it is told. */
  private static final double MUCH_MORE = 0.1;

  /** With the other way of measuring, where that makes less of the same need. */
  private static void enlarged(Facts facts, Batch batch, double totalG, Findings told) {
    Place place = Place.of(batch);
    Habits habits = facts.job().session().habits();
    boolean byWeight = batch.measuring().by() == MixRatio.Basis.WEIGHT;
    WeighOut other =
        WeighOut.of(
            facts.job(batch).resin(),
            batch.measuring().needG(),
            byWeight ? MixRatio.Basis.VOLUME : MixRatio.Basis.WEIGHT,
            byWeight ? habits.marksDivisionMl() : habits.scaleDivisionG(),
            habits.ratioTolerancePercent(),
            Double.POSITIVE_INFINITY,
            habits.mixing().extraAPercent());
    if (other.totalG() < totalG) {
      Finding.Mend.Kind kind = byWeight ? Finding.Mend.Kind.BY_VOLUME : Finding.Mend.Kind.BY_WEIGHT;
      told.near(
          Finding.Rule.BATCH_ENLARGED,
          place,
          totalG,
          batch.measuring().needG(),
          "g",
          new Finding.Mend(kind, other.totalG()));
    } else {
      told.note(Finding.Rule.BATCH_ENLARGED, place, totalG, batch.measuring().needG(), "g");
    }
  }

  @Override
  public void judge(Facts facts, Findings told) {
    Habits habits = facts.job().session().habits();
    for (Batch batch : facts.plan().batches()) {
      Place place = Place.of(batch);
      var resin = facts.job(batch).resin();
      double shareA = WeighOut.shareA(resin, habits.mixing().extraAPercent());
      double wanted = shareA / (1 - shareA);
      double a = batch.measuring().partA().massG();
      double b = batch.measuring().partB().massG();
      double error = (a / b / wanted - 1) * 100;
      // Each part is kept in whole milligrams.
      double rounded = 100 * (1e-3 / a + 1e-3 / b);
      if (Math.abs(error) > habits.ratioTolerancePercent() + rounded) {
        told.breach(
            Finding.Rule.RATIO_OFF,
            place,
            error,
            habits.ratioTolerancePercent(),
            "%",
            Findings.ANEW);
      }
      Double largest = resin.largestBatchG();
      if (largest != null && a + b > largest + HAIR) {
        told.breach(
            Finding.Rule.BATCH_TOO_LARGE, place, a + b, largest, "g", Findings.ANOTHER_BATCH);
      }
      if (a + b > batch.measuring().needG() * (1 + MUCH_MORE) + HAIR) {
        enlarged(facts, batch, a + b, told);
      }
      double volume = a / resin.knownDensityA().value() + b / resin.knownDensityB().value();
      if (volume > batch.mixing().cup().capacityMl() + HAIR) {
        told.breach(
            Finding.Rule.CUP_TOO_SMALL,
            place,
            volume,
            batch.mixing().cup().capacityMl(),
            "mL",
            Findings.ANOTHER_BATCH,
            Findings.open("cup/" + batch.mixing().cup().id()));
      }
    }
  }
}
