package calmpour.core.audit;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;

/** What is mixed is in cups or stays behind; what is in a cup is poured or stays in it. */
final class MassBalance implements Rule {
  /** Masses are whole milligrams, so sums of them are exact but for the last bit. */
  private static final double HALF_MILLIGRAM = 5e-4;

  @Override
  public void judge(Facts facts, Findings told) {
    for (Batch batch : facts.plan().batches()) {
      double inG = batch.measuring().partA().massG() + batch.measuring().partB().massG();
      double outG = batch.mixing().staysG();
      boolean whole = !batch.mixing().tintedWhole().isEmpty();
      if (whole) {
        inG += batch.mixing().tintedWhole().stream().mapToDouble(Cup.Dose::massG).sum();
      }
      for (Cup cup : batch.cups()) {
        double doses = cup.tint().doses().stream().mapToDouble(Cup.Dose::massG).sum();
        outG += whole ? cup.amounts().resinG() + doses : cup.amounts().resinG();
        unequal(told, Place.of(cup), cup.amounts().resinG() + doses, cup.amounts().contentG());
        double poured = cup.pours().stream().mapToDouble(Cup.Pour::massG).sum();
        unequal(told, Place.of(cup), poured + cup.amounts().staysG(), cup.amounts().contentG());
        if (cup.amounts().staysG() < -HALF_MILLIGRAM) {
          told.breach(
              Finding.Rule.MASS_BALANCE,
              Place.of(cup),
              cup.amounts().staysG(),
              0,
              "g",
              Findings.ANEW);
        }
      }
      unequal(told, Place.of(batch), outG, inG);
    }
  }

  private static void unequal(Findings told, Place place, double value, double limit) {
    if (Math.abs(value - limit) > HALF_MILLIGRAM) {
      told.breach(Finding.Rule.MASS_BALANCE, place, value, limit, "g", Findings.ANEW);
    }
  }
}
