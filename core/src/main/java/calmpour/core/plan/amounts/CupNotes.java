package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.OwnStays;
import calmpour.core.cup.Residue;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.Tint;
import java.util.List;

/** Writes down how the masses of a cup and of its pours came about. */
public final class CupNotes {
  /** Beyond that something else than rounding up to milligrams made it more, g. */
  private static final double WHOLE_MILLIGRAMS = 0.002;

  private final JobInResin job;
  private final Recorder recorder;
  private final ResinSystem resin;

  CupNotes(JobInResin job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.resin = job.resin();
  }

  /**
   * @param lone whether the mix stays in this cup; then these are its needs, and what is really in
   *     it follows from weighing out, see {@link #noteAsMixed}
   */
  void note(FilledCup cup, Residue clings, boolean lone) {
    Place at = new Place.OfCup(cup.id());
    String resinKey = at + (lone ? "/resinNeededG" : "/resinG");
    String contentKey = at + (lone ? "/contentNeededG" : "/contentG");
    noteDensities(cup, at);
    for (PourDraft pour : cup.pours()) {
      new PourNotes(job, recorder).note(pour, cup, at);
    }
    double poured = Milligrams.grams(cup.pouredMg());
    recorder.note(
        at + "/pouredG",
        poured,
        "g",
        Formula.SUM_OF_POURS,
        step -> {
          for (PourDraft pour : cup.pours()) {
            double mass = Milligrams.grams(pour.massMg());
            step.from(name(pour), new Place.OfPour(pour.id()) + "/massG", mass, "g");
          }
        });
    double content = Milligrams.grams(cup.contentMg());
    Habits habits = job.session().habits();
    double mayTakeMore =
        Milligrams.grams(cup.pours().stream().mapToLong(PourDraft::mayTakeMoreMg).sum());
    recorder.note(
        contentKey,
        content,
        "g",
        Formula.CUP_CONTENT,
        step -> {
          step.from("to be poured", at + "/pouredG", poured, "g")
              .mayBeLearned("overage", null, habits.overagePercent(), "%", Origin.CHOSEN, "overage")
              .given("moulds may take more", null, mayTakeMore, "g", Origin.MEASURED);
          residue(step, cup.kind(), clings);
          double exact =
              clings.contentFor(poured * (1 + habits.overagePercent() / 100) + mayTakeMore);
          if (content - exact > WHOLE_MILLIGRAMS) {
            step.given(
                "more, so that doses are whole", null, content - exact, "g", Origin.WORKED_OUT);
          }
        });
    double resinG = Milligrams.grams(cup.resinMg());
    recorder.note(
        resinKey,
        resinG,
        "g",
        Formula.CUP_RESIN,
        step -> {
          step.from("content", contentKey, content, "g");
          doses(step, cup, at + (lone ? "/doseNeeded/" : "/dose/"));
        });
    new DoseNotes(job, recorder).note(cup, at + (lone ? "/doseNeeded/" : "/dose/"), resinG);
    if (!lone) {
      noteLoading(cup, at, resinG);
    }
    if (!lone) {
      noteStays(cup, at);
    }
  }

  /** What stays in a cup, as it enters into what has to be in it. */
  static void residue(Recorder.Step step, CupKind kind, Residue clings) {
    OwnStays own = kind.learned();
    if (own != null) {
      step.learned(
          "stays in this kind of cup, learned",
          kind.name(),
          own.times(),
          "times",
          "stays/" + kind.id());
    }
    Origin told = kind.staysG() == null ? Origin.ASSUMED : Origin.MEASURED;
    Origin origin = own == null ? told : Origin.LEARNED;
    step.given("stays in the cup, always", kind.name(), clings.alwaysG(), "g", origin)
        .given("stays in the cup, of its content", kind.name(), clings.share() * 100, "%", origin);
  }

  /**
   * A lone cup holds the whole batch, with what rounding A and B up has added.
   *
   * @param elsewhereMg what stayed in a first mixing cup or went into stock cups
   */
  void noteAsMixed(FilledCup cup, int batch, long elsewhereMg) {
    Place at = new Place.OfCup(cup.id());
    double resinG = Milligrams.grams(cup.resinMg());
    recorder.note(
        at + "/resinG",
        resinG,
        "g",
        Formula.RESIN_AS_MIXED,
        step -> {
          double elsewhereG = Milligrams.grams(elsewhereMg);
          step.from(
              "A and B mixed", new Place.OfBatch(batch) + "/totalG", resinG + elsewhereG, "g");
          if (elsewhereMg > 0) {
            step.given("stays elsewhere", null, elsewhereG, "g", Origin.WORKED_OUT);
          }
        });
    recorder.note(
        at + "/contentG",
        Milligrams.grams(cup.contentMg()),
        "g",
        Formula.CONTENT_AS_MIXED,
        step -> {
          step.from("resin", at + "/resinG", resinG, "g");
          doses(step, cup, at + "/dose/");
        });
    new DoseNotes(job, recorder).note(cup, at + "/dose/", resinG);
    noteLoading(cup, at, resinG);
    noteStays(cup, at);
  }

  private void noteStays(FilledCup cup, Place at) {
    double content = Milligrams.grams(cup.contentMg());
    double poured = Milligrams.grams(cup.pouredMg());
    recorder.note(
        at + "/staysG",
        Milligrams.grams(cup.contentMg() - cup.pouredMg()),
        "g",
        Formula.CUP_STAYS,
        step ->
            step.from("content", at + "/contentG", content, "g")
                .from("poured", at + "/pouredG", poured, "g"));
  }

  private static void doses(Recorder.Step step, FilledCup cup, String at) {
    for (Dosing.Counted dose : cup.doses()) {
      double mass = Milligrams.grams(Milligrams.down(dose.massG()));
      step.from(dose.colourant().name(), at + dose.colourant().id() + "/massG", mass, "g");
    }
  }

  private String name(PourDraft pour) {
    return job.lines().get(pour.line()).name() + " " + pour.cavity();
  }

  private void noteDensities(FilledCup cup, Place at) {
    recorder.note(
        "resin/density",
        resin.mixedDensity(),
        "g/mL",
        Formula.RESIN_DENSITY,
        step -> {
          String unit = resin.ratio().basis().name().toLowerCase(java.util.Locale.ROOT);
          step.given("parts of A", resin.name(), resin.ratio().partsA(), "by " + unit, Origin.LABEL)
              .given("parts of B", resin.name(), resin.ratio().partsB(), "by " + unit, Origin.LABEL)
              .given("density of A", resin.name(), resin.knownDensityA(), "g/mL")
              .given("density of B", resin.name(), resin.knownDensityB(), "g/mL");
        });
    recorder.note(
        at + "/mixDensity",
        cup.tint().mixDensity(),
        "g/mL",
        Formula.MIX_DENSITY,
        step -> {
          step.from("resin", "resin/density", resin.mixedDensity(), "g/mL");
          for (Tint.Share share : cup.tint().shares()) {
            var colourant = share.colourant();
            step.given("in 1 g of resin", colourant.name(), share.gPerGResin(), "g", Origin.CHOSEN)
                .given("true density", colourant.name(), colourant.knownTrueDensity(), "g/mL");
          }
        });
  }

  private void noteLoading(FilledCup cup, Place at, double resinG) {
    List<Tint.Reading> readings = cup.asCounted().readings();
    for (int i = 0; i < readings.size(); i++) {
      Tint.Reading reading = readings.get(i);
      recorder.note(
          at + "/loading/" + i,
          reading.percent(),
          reading.basis() == LoadingBasis.DROPS_IN_10_ML ? "drops" : "%",
          Formula.LOADING,
          step -> {
            Origin origin =
                switch (reading.limit().whose()) {
                  case SHOP_ALL, SHOP_LIQUIDS, SHOP_DROPS -> Origin.CHOSEN;
                  case RESIN, COLOURANT -> Origin.LABEL;
                };
            boolean drops = reading.basis() == LoadingBasis.DROPS_IN_10_ML;
            step.given("limit", null, reading.limitPercent(), basisWords(reading.basis()), origin)
                .given("resin in the cup", null, resinG, "g", Origin.WORKED_OUT)
                .from("density of the resin", "resin/density", resin.mixedDensity(), "g/mL");
            for (Dosing.Counted dose : cup.doses()) {
              var colourant = dose.colourant();
              double mass = Milligrams.grams(Milligrams.down(dose.massG()));
              boolean counts = reading.limit().counts(colourant);
              String name = counts ? colourant.name() : colourant.name() + ", not counted";
              step.from(name, at + "/dose/" + colourant.id() + "/massG", mass, "g");
              if (drops) {
                step.given("one drop", colourant.name(), colourant.knownDropG(), "g");
              } else {
                step.given("bulk density", colourant.name(), colourant.knownBulkDensity(), "g/mL");
              }
            }
          });
    }
  }

  /** What a limit counts, as its unit. */
  private static String basisWords(LoadingBasis basis) {
    return switch (basis) {
      case WEIGHT_OF_MIX -> "% by weight of the mix";
      case WEIGHT_OF_RESIN -> "% by weight of the resin";
      case VOLUME_OF_MIX -> "% by volume of the mix";
      case VOLUME_OF_RESIN -> "% by volume of the resin";
      case DROPS_IN_10_ML -> "drops in 10 mL of resin";
    };
  }
}
