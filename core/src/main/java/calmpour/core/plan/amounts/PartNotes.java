package calmpour.core.plan.amounts;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.JobInResin;

/** Writes down how much A and B a batch takes. */
final class PartNotes {
  private final Recorder recorder;
  private final Habits habits;
  private final ResinSystem resin;

  PartNotes(JobInResin job, Recorder recorder) {
    this.recorder = recorder;
    this.habits = job.session().habits();
    this.resin = job.resin();
  }

  void note(Place at, double needG, WeighOut out, double division) {
    double shareA = WeighOut.shareA(resin, habits.mixing().extraAPercent());
    notePart(at, "partA", needG, shareA, out, out.partA(), division);
    notePart(at, "partB", needG, 1 - shareA, out, out.partB(), division);
    recorder.note(
        at + "/totalG",
        out.totalG(),
        "g",
        Formula.PARTS_TOGETHER,
        step ->
            step.from("part A", at + "/partA/massG", out.partA().massG(), "g")
                .from("part B", at + "/partB/massG", out.partB().massG(), "g"));
    recorder.note(
        at + "/ratioErrorPercent",
        out.ratioErrorPercent(),
        "%",
        Formula.RATIO_ERROR,
        step -> {
          step.from("part A", at + "/partA/massG", out.partA().massG(), "g")
              .from("part B", at + "/partB/massG", out.partB().massG(), "g");
          ratio(step);
          if (resin.ratio().basis() == MixRatio.Basis.VOLUME) {
            densities(step);
          }
        });
  }

  private void notePart(
      Place at,
      String part,
      double needG,
      double share,
      WeighOut out,
      WeighOut.Amount amount,
      double division) {
    String mass = at + "/" + part + "/massG";
    String volume = at + "/" + part + "/volumeMl";
    boolean a = part.equals("partA");
    boolean byWeight = out.measured() == MixRatio.Basis.WEIGHT;
    double exactG = needG * share;
    var density = a ? resin.knownDensityA() : resin.knownDensityB();
    String densityName = a ? "density of A" : "density of B";
    recorder.note(
        mass,
        amount.massG(),
        "g",
        byWeight ? Formula.PART_BY_WEIGHT : Formula.PART_MASS_FROM_VOLUME,
        step -> {
          if (byWeight) {
            step.from("A and B needed", at + "/needG", needG, "g");
            ratio(step);
            if (resin.ratio().basis() == MixRatio.Basis.VOLUME) {
              densities(step);
            }
            step.rounded(exactG, division, true);
          } else {
            step.from("volume", volume, amount.volumeMl(), "mL")
                .given(densityName, resin.name(), density, "g/mL");
          }
        });
    recorder.note(
        volume,
        amount.volumeMl(),
        "mL",
        byWeight ? Formula.PART_VOLUME_FROM_MASS : Formula.PART_BY_VOLUME,
        step -> {
          if (byWeight) {
            step.from("mass", mass, amount.massG(), "g")
                .given(densityName, resin.name(), density, "g/mL");
          } else {
            step.from("A and B needed", at + "/needG", needG, "g");
            ratio(step);
            densities(step);
            step.rounded(exactG / density.value(), division, true);
          }
        });
  }

  private void ratio(Recorder.Step step) {
    String unit = resin.ratio().basis() == MixRatio.Basis.WEIGHT ? "by weight" : "by volume";
    step.given("parts of A", resin.name(), resin.ratio().partsA(), unit, Origin.LABEL)
        .given("parts of B", resin.name(), resin.ratio().partsB(), unit, Origin.LABEL);
    if (habits.mixing().extraAPercent() > 0) {
      step.given("extra A", null, habits.mixing().extraAPercent(), "%", Origin.CHOSEN);
    }
  }

  private void densities(Recorder.Step step) {
    step.given("density of A", resin.name(), resin.knownDensityA(), "g/mL")
        .given("density of B", resin.name(), resin.knownDensityB(), "g/mL");
  }
}
