package calmpour.core.plan.amounts;

import calmpour.core.cup.Clings;
import calmpour.core.cup.CupKind;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.design.Fill;
import calmpour.core.design.Layer;
import calmpour.core.habit.Habits;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.StockCup;
import calmpour.core.tint.Tint;
import java.util.List;

/** Writes down how the masses of a cup and of its pours came about. */
public final class CupNotes {
  /** Beyond that something else than rounding up to milligrams made it more, g. */
  private static final double WHOLE_MILLIGRAMS = 0.002;

  private final Job job;
  private final Recorder recorder;
  private final ResinSystem resin;

  CupNotes(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.resin = job.resin();
  }

  /**
   * @param lone whether the mix stays in this cup; then these are its needs, and what is really in
   *     it follows from weighing out, see {@link #noteAsMixed}
   */
  void note(FilledCup cup, Clings clings, boolean lone) {
    String at = "cup/" + cup.id();
    String resinKey = at + (lone ? "/resinNeededG" : "/resinG");
    String contentKey = at + (lone ? "/contentNeededG" : "/contentG");
    noteDensities(cup, at);
    for (PourDraft pour : cup.pours()) {
      notePour(pour, cup, at);
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
            step.from(name(pour), "pour/" + pour.id() + "/massG", mass, "g");
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
              .given("overage", null, habits.overagePercent(), "%", Origin.CHOSEN)
              .given("moulds may take more", null, mayTakeMore, "g", Origin.MEASURED);
          clings(step, cup.kind(), clings);
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
    noteDoses(cup, at + (lone ? "/doseNeeded/" : "/dose/"), resinG);
    if (!lone) {
      noteLoading(cup, at, resinG);
    }
    if (!lone) {
      noteStays(cup, at);
    }
  }

  /** What stays in a cup, as it enters into what has to be in it. */
  static void clings(Recorder.Step step, CupKind kind, Clings clings) {
    Origin origin = kind.staysG() == null ? Origin.ASSUMED : Origin.MEASURED;
    step.given("stays in the cup, always", kind.name(), clings.alwaysG(), "g", origin)
        .given("stays in the cup, of its content", kind.name(), clings.share() * 100, "%", origin);
  }

  /**
   * A lone cup holds the whole batch, with what rounding A and B up has added.
   *
   * @param elsewhereMg what stayed in a first mixing cup or went into stock cups
   */
  void noteAsMixed(FilledCup cup, int batch, long elsewhereMg) {
    String at = "cup/" + cup.id();
    double resinG = Milligrams.grams(cup.resinMg());
    recorder.note(
        at + "/resinG",
        resinG,
        "g",
        Formula.RESIN_AS_MIXED,
        step -> {
          double elsewhereG = Milligrams.grams(elsewhereMg);
          step.from("A and B mixed", "batch/" + batch + "/totalG", resinG + elsewhereG, "g");
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
    noteDoses(cup, at + "/dose/", resinG);
    noteLoading(cup, at, resinG);
    noteStays(cup, at);
  }

  private void noteStays(FilledCup cup, String at) {
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

  private void noteDensities(FilledCup cup, String at) {
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

  private void notePour(PourDraft pour, FilledCup cup, String cupAt) {
    String at = "pour/" + pour.id();
    Job.Line line = job.lines().get(pour.line());
    Job.Level level = pour.level();
    // A coat and what goes round embeds have a sum of their own.
    Layer layer = level.coat() ? null : line.piece().layers().get(pour.layer());
    Fill fill = layer == null ? null : layer.fill();
    Formula formula =
        layer == null
            ? Formula.COAT_VOLUME
            : fill == null
                ? Formula.FILL_THE_REST
                : fill.share() != null
                    ? Formula.FILL_BY_SHARE
                    : fill.volumeMl() != null || fill.massG() != null
                        ? Formula.FILL_BY_VOLUME
                        : Formula.FILL_BY_DEPTH;
    recorder.note(
        at + "/volumeMl",
        pour.volumeMl(),
        "mL",
        formula,
        step -> {
          if (layer == null) {
            double thick = level.volumeMl() / level.coatAreaCm2() * 10;
            step.given("area", line.name(), level.coatAreaCm2(), "cm²", Origin.MEASURED)
                .given("thickness with edges and drip", null, thick, "mm", Origin.CHOSEN);
            return;
          }
          step.given("mould holds", line.name(), line.measured().volumeMl(), "mL", Origin.MEASURED);
          double off = line.measured().plusMinusMl();
          step.given("give or take", line.name(), off, "mL", Origin.ASSUMED);
          if (fill == null) {
            double below = line.profile().volumeAtMl(pour.level().fromMm());
            step.given("filled below", null, below, "mL", Origin.WORKED_OUT);
          } else if (fill.share() != null) {
            step.given("share", null, fill.share() * 100, "%", Origin.CHOSEN);
          } else if (fill.volumeMl() != null) {
            step.given("layer", null, fill.volumeMl(), "mL", Origin.CHOSEN);
          } else if (fill.massG() != null) {
            double density = cup.tint().mixDensity();
            step.given("layer", null, fill.massG(), "g", Origin.CHOSEN)
                .from("density of the mix", cupAt + "/mixDensity", density, "g/mL");
          } else {
            double deep = level.toMm() - level.fromMm();
            step.given("mould depth", line.name(), line.profile().depthMm(), "mm", Origin.MEASURED)
                .given("layer", null, deep, "mm", Origin.CHOSEN)
                .given(
                    "holds up to there",
                    line.name(),
                    line.profile().volumeAtMl(level.toMm()),
                    "mL",
                    Origin.MEASURED)
                .given(
                    "holds below",
                    line.name(),
                    line.profile().volumeAtMl(level.fromMm()),
                    "mL",
                    Origin.MEASURED);
          }
          for (Job.EmbedIn inside : level.embeds()) {
            String name = inside.embed().name();
            step.given("displaced by", name, inside.displacesMl(), "mL", Origin.MEASURED);
          }
          double share = pour.volumeMl() / level.volumeMl();
          if (Math.abs(share - 1) > 1e-9) {
            // One of several colours, halves, or parts that one cup cannot hold.
            step.given("of the layer", null, share * 100, "%", Origin.WORKED_OUT);
          }
        });
    recorder.note(
        at + "/massG",
        Milligrams.grams(pour.massMg()),
        "g",
        Formula.POUR_MASS,
        step -> {
          double density = cup.tint().mixDensity();
          step.from("volume", at + "/volumeMl", pour.volumeMl(), "mL")
              .from("density of the mix", cupAt + "/mixDensity", density, "g/mL");
          double more = Milligrams.grams(pour.massMg()) - pour.volumeMl() * density;
          if (more > WHOLE_MILLIGRAMS) {
            step.given("stays in the cup of all colours", null, more, "g", Origin.ASSUMED);
          }
        });
  }

  private void noteDoses(FilledCup cup, String at, double resinG) {
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
    if (colourant.form().liquid()) {
      step.given("one drop", colourant.name(), colourant.knownDropG(), "g");
    } else {
      step.given("one scoop", colourant.name(), colourant.knownScoopMl(), "mL")
          .given("bulk density", colourant.name(), colourant.knownBulkDensity(), "g/mL");
    }
  }

  private void noteLoading(FilledCup cup, String at, double resinG) {
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
