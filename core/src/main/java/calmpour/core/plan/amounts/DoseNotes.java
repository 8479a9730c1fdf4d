package calmpour.core.plan.amounts;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.OwnCount;
import calmpour.core.tint.StockCup;
import java.util.List;

/** Writes down how the colourants of a cup were counted or weighed. */
final class DoseNotes {
  private final JobInResin job;
  private final Recorder recorder;

  DoseNotes(JobInResin job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
  }

  void note(FilledCup cup, String at, double resinG) {
    double strength = job.session().strengthOf(cup.colour().id());
    List<Double> percents = cup.colour().percentsOfMix();
    double all = percents.stream().mapToDouble(p -> p * strength).sum();
    for (int i = 0; i < cup.doses().size(); i++) {
      Dosing.Counted dose = cup.doses().get(i);
      String its = at + dose.colourant().id();
      if (dose.by() == Dosing.By.WITH_MIX) {
        noteShare(dose, its, resinG);
        continue;
      }
      double asked = percents.get(i) * strength;
      recorder.note(
          its + "/wantedG",
          dose.wantedG(),
          "g",
          Formula.DOSE,
          step ->
              step.given("resin in the cup", null, resinG, "g", Origin.WORKED_OUT)
                  .given("recipe, of the mix", dose.colourant().name(), asked, "%", Origin.CHOSEN)
                  .given(
                      "the whole recipe, of the mix", cup.colour().name(), all, "%", Origin.CHOSEN)
                  .given(
                      "held at, of the recipe",
                      null,
                      cup.tint().heldAt() * 100,
                      "%",
                      Origin.WORKED_OUT));
      noteCounted(dose, its);
    }
  }

  /** A cup's share of what was counted into the whole mix. */
  private void noteShare(Dosing.Counted dose, String its, double resinG) {
    recorder.note(
        its + "/massG",
        Milligrams.grams(Milligrams.down(dose.massG())),
        "g",
        Formula.DOSE_WITH_MIX,
        step ->
            step.given("resin in the cup", null, resinG, "g", Origin.WORKED_OUT)
                .given(
                    "in 1 g of resin, as counted",
                    dose.colourant().name(),
                    dose.massG() / resinG,
                    "g",
                    Origin.WORKED_OUT));
  }

  private void noteCounted(Dosing.Counted dose, String its) {
    var colourant = dose.colourant();
    double mass = Milligrams.grams(Milligrams.down(dose.massG()));
    boolean liquid = colourant.form().liquid();
    String wanted = its + "/wantedG";
    recorder.note(
        its + "/massG",
        mass,
        "g",
        switch (dose.by()) {
          case SCALE -> Formula.DOSE_WEIGHED;
          case STOCK -> Formula.DOSE_FROM_STOCK;
          case NOTHING -> Formula.DOSE_LEFT_OUT;
          case WITH_MIX -> throw new IllegalStateException("bug: counted in the whole mix");
          case COUNT -> liquid ? Formula.DOSE_IN_DROPS : Formula.DOSE_IN_SCOOPS;
        },
        step -> {
          switch (dose.by()) {
            case STOCK -> {
              StockCup stock = java.util.Objects.requireNonNull(dose.stock());
              step.given("taken of the stock", null, stock.takeG(), "g", Origin.WORKED_OUT)
                  .given("resin in the stock", null, stock.resinG(), "g", Origin.WORKED_OUT)
                  .given(
                      "colour in the stock",
                      colourant.name(),
                      stock.colourantG(),
                      "g",
                      Origin.WORKED_OUT)
                  .from("wanted", wanted, dose.wantedG(), "g");
            }
            case COUNT -> {
              String counted = its + (liquid ? "/drops" : "/scoops");
              double count = liquid ? dose.count() : dose.count() / 4.0;
              step.from("counted", counted, count, liquid ? "drops" : "scoops");
              implement(step, colourant);
            }
            case SCALE ->
                step.from("wanted", wanted, dose.wantedG(), "g")
                    .rounded(dose.wantedG(), job.session().habits().scaleDivisionG(), false);
            case NOTHING, WITH_MIX -> step.from("wanted", wanted, dose.wantedG(), "g");
          }
        });
    if (dose.by() == Dosing.By.COUNT) {
      double unitG = colourant.countedG() * (liquid ? 1 : 4);
      recorder.note(
          its + (liquid ? "/drops" : "/scoops"),
          liquid ? dose.count() : dose.count() / 4.0,
          liquid ? "drops" : "scoops",
          liquid ? Formula.DROPS : Formula.SCOOPS,
          step -> {
            step.from("wanted", wanted, dose.wantedG(), "g");
            implement(step, colourant);
            step.rounded(dose.wantedG() / unitG, liquid ? 1 : 0.25, false);
          });
    }
  }

  private static void implement(Recorder.Step step, Colourant colourant) {
    OwnCount own = colourant.learnedCount();
    if (own != null) {
      step.learned(
          colourant.form().liquid() ? "one drop, learned" : "one scoop, learned",
          colourant.name(),
          own.times(),
          "times",
          "doses/" + colourant.id());
    }
    if (colourant.form().liquid()) {
      step.given("one drop", colourant.name(), colourant.knownDropG(), "g");
    } else {
      step.given("one scoop", colourant.name(), colourant.knownScoopMl(), "mL")
          .given("bulk density", colourant.name(), colourant.knownBulkDensity(), "g/mL");
    }
  }
}
