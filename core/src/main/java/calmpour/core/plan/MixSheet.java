package calmpour.core.plan;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.habit.Habits;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;

/** Masses of one batch: what goes into every cup, and so how much A and B. */
final class MixSheet {
  private final Job job;
  private final Recorder recorder;
  private final Habits habits;
  private final ResinSystem resin;

  MixSheet(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.habits = job.session().habits();
    this.resin = job.resin();
  }

  /**
   * One cup with its masses in milligrams.
   *
   * @param dosesMg in the order of the colour's recipe
   */
  record FilledCup(
      String id,
      Colour colour,
      Tint tint,
      List<PourDraft> pours,
      CupKind kind,
      long pouredMg,
      long resinMg,
      List<Long> dosesMg) {
    long contentMg() {
      return resinMg + dosesMg.stream().mapToLong(Long::longValue).sum();
    }

    double contentMl() {
      return Milligrams.grams(contentMg()) / tint.mixDensity();
    }
  }

  /** One batch with its masses. */
  record FilledBatch(
      int number,
      int stage,
      double needG,
      WeighOut weighOut,
      long partAMg,
      long partBMg,
      CupKind mixingCup,
      boolean split,
      List<FilledCup> cups) {
    long totalMg() {
      return partAMg + partBMg;
    }

    /** What is left in the mixing cup; nothing is counted there when the mix stays in it. */
    long staysMg() {
      return split ? totalMg() - cups.stream().mapToLong(FilledCup::resinMg).sum() : 0;
    }
  }

  /** How A and B are measured in this session. */
  static MixRatio.Basis measured(Job job) {
    return switch (job.session().habits().measureBy()) {
      case LABEL -> job.resin().ratio().basis();
      case WEIGHT -> MixRatio.Basis.WEIGHT;
      case VOLUME -> MixRatio.Basis.VOLUME;
    };
  }

  FilledBatch fill(int number, BatchDraft draft) {
    boolean split = draft.cups().size() > 1;
    List<FilledCup> cups = new ArrayList<>();
    for (int i = 0; i < draft.cups().size(); i++) {
      cups.add(cup(number + "." + (i + 1), draft.cups().get(i), split));
    }
    long resinMg = cups.stream().mapToLong(FilledCup::resinMg).sum();
    Limits limits = new Limits(job, !split);
    double need = Milligrams.grams(resinMg);
    double needG = split ? Milligrams.grams(Milligrams.up(limits.mixedG(need))) : need;
    String at = "batch/" + number;
    recorder.note(
        at + "/needG",
        needG,
        "g",
        Formula.BATCH_NEED,
        step -> {
          for (FilledCup cup : cups) {
            String quantity = "cup/" + cup.id + (split ? "/resinG" : "/resinNeededG");
            step.from(cup.colour.name() + " cup", quantity, Milligrams.grams(cup.resinMg), "g");
          }
          if (split) {
            allowance(step);
          }
        });
    return weighed(number, draft.stage(), needG, split, cups);
  }

  /** A mix without moulds: everything stays in the cup it was mixed in. */
  FilledBatch justMix(int number, double massG) {
    Tint clear = job.tints().get(Colour.CLEAR.id());
    CupKind kind = kindFor(massG / resin.mixedDensity(), job.mixingCups());
    FilledCup cup =
        new FilledCup(
            number + ".1",
            Colour.CLEAR,
            clear,
            List.of(),
            kind,
            0,
            Milligrams.up(massG),
            List.of());
    recorder.note(
        "batch/" + number + "/needG",
        massG,
        "g",
        Formula.BATCH_NEED,
        step -> step.given("total asked for", null, massG, "g", Origin.CHOSEN));
    return weighed(number, 0, massG, false, List.of(cup));
  }

  private FilledBatch weighed(
      int number, int stage, double needG, boolean split, List<FilledCup> cups) {
    MixRatio.Basis basis = measured(job);
    double division =
        basis == MixRatio.Basis.WEIGHT ? habits.scaleDivisionG() : habits.marksDivisionMl();
    WeighOut out =
        WeighOut.of(
            resin,
            needG,
            basis,
            division,
            habits.ratioTolerancePercent(),
            resin.largestBatchG() == null ? Double.POSITIVE_INFINITY : resin.largestBatchG());
    long partAMg = Milligrams.up(out.partA().massG());
    long partBMg = Milligrams.up(out.partB().massG());
    double volume = out.partA().volumeMl() + out.partB().volumeMl();
    CupKind mixingCup = split ? kindFor(volume, job.mixingCups()) : cups.get(0).kind;
    // From here on the masses in whole milligrams are the ones that count.
    WeighOut weighed =
        new WeighOut(
            new WeighOut.Amount(Milligrams.grams(partAMg), out.partA().volumeMl()),
            new WeighOut.Amount(Milligrams.grams(partBMg), out.partB().volumeMl()),
            basis,
            division,
            out.ratioErrorPercent());
    noteParts("batch/" + number, needG, weighed, division);
    List<FilledCup> filled = cups;
    if (!split) {
      // The mix stays where it is, with what rounding up added.
      FilledCup only = cups.get(0);
      FilledCup whole =
          new FilledCup(
              only.id,
              only.colour,
              only.tint,
              only.pours,
              only.kind,
              only.pouredMg,
              partAMg + partBMg,
              only.dosesMg);
      new CupNotes(job, recorder).noteAsMixed(whole, number);
      filled = List.of(whole);
    }
    return new FilledBatch(
        number, stage, needG, weighed, partAMg, partBMg, mixingCup, split, filled);
  }

  private void noteParts(String at, double needG, WeighOut out, double division) {
    notePart(at, "partA", needG, resin.massShareA(), out, out.partA(), division);
    notePart(at, "partB", needG, 1 - resin.massShareA(), out, out.partB(), division);
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
        });
  }

  private void notePart(
      String at,
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
  }

  private void densities(Recorder.Step step) {
    step.given("density of A", resin.name(), resin.knownDensityA(), "g/mL")
        .given("density of B", resin.name(), resin.knownDensityB(), "g/mL");
  }

  private void allowance(Recorder.Step step) {
    step.given("stays in the cup, always", null, habits.residueG(), "g", Origin.ASSUMED)
        .given(
            "stays in the cup, of its content", null, habits.residuePercent(), "%", Origin.ASSUMED);
  }

  private FilledCup cup(String id, BatchDraft.CupDraft draft, boolean split) {
    Limits limits = new Limits(job, !split);
    double pouredG = Milligrams.grams(draft.pouredMg);
    double moreG = Milligrams.grams(draft.mayTakeMoreMg);
    long contentMg = Milligrams.up(limits.contentG(pouredG, moreG));
    Tint tint = draft.tint;
    long resinMg = Milligrams.up(Milligrams.grams(contentMg) / (1 + tint.gPerGResin()));
    List<Long> doses = doses(tint, resinMg);
    // Doses are rounded down to keep the limits, so the resin makes up for the lost milligrams.
    long missing = contentMg - resinMg - doses.stream().mapToLong(Long::longValue).sum();
    if (missing > 0) {
      resinMg += missing;
      doses = doses(tint, resinMg);
    }
    double volume = Milligrams.grams(contentMg) / tint.mixDensity();
    CupKind kind = kindFor(volume, split ? job.colourCups() : job.mixingCups());
    FilledCup cup =
        new FilledCup(id, draft.colour, tint, draft.pours, kind, draft.pouredMg, resinMg, doses);
    new CupNotes(job, recorder).note(cup, !split);
    return cup;
  }

  /**
   * Rounding a dose down takes up to a milligram out of the mix that a limit on another one counts
   * in; so all are reckoned for a milligram of resin less for each of them.
   */
  private static List<Long> doses(Tint tint, long resinMg) {
    double resinG = Milligrams.grams(Math.max(0, resinMg - tint.shares().size()));
    return tint.shares().stream().map(s -> Milligrams.down(resinG * s.gPerGResin())).toList();
  }

  /** The smallest kind with headroom for the volume, otherwise the largest there is. */
  private CupKind kindFor(double volumeMl, List<CupKind> smallestFirst) {
    double usable = 1 - habits.headroomPercent() / 100;
    return smallestFirst.stream()
        .filter(c -> c.capacityMl() * usable >= volumeMl)
        .findFirst()
        .orElse(smallestFirst.get(smallestFirst.size() - 1));
  }
}
