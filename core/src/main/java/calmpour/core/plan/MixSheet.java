package calmpour.core.plan;

import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Splitting;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.Clings;
import calmpour.core.session.CupKind;
import calmpour.core.session.Job;
import calmpour.core.tint.Colour;
import calmpour.core.tint.StockCup;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Masses of one batch: what goes into every cup, and so how much A and B. */
final class MixSheet {
  private final Job job;
  private final Recorder recorder;
  private final Habits habits;
  private final ResinSystem resin;
  private final Limits limits;

  MixSheet(Job job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.habits = job.session().habits();
    this.resin = job.resin();
    this.limits = new Limits(job);
  }

  /**
   * One cup with its masses in milligrams.
   *
   * @param dosesMg in the order of the colour's recipe
   * @param stocks stock cups for doses too small to measure, in the same order
   * @param hand which of the cups put together by hand it is, or {@link CupDraft#BY_PLAN}
   */
  record FilledCup(
      String id,
      Colour colour,
      Tint tint,
      List<PourDraft> pours,
      CupKind kind,
      long pouredMg,
      long resinMg,
      List<Long> dosesMg,
      List<Optional<StockCup>> stocks,
      int hand) {
    long contentMg() {
      return resinMg + dosesMg.stream().mapToLong(Long::longValue).sum();
    }

    double contentMl() {
      return Milligrams.grams(contentMg()) / tint.mixDensity();
    }

    /** Resin that its stock cups take beyond what comes back with the stock, g. */
    double stockExtraG() {
      return stocks.stream()
          .flatMap(Optional::stream)
          .mapToDouble(s -> s.resinG() - s.resinWithItG())
          .sum();
    }
  }

  /**
   * One batch with its masses.
   *
   * @param tintedStaysMg where the whole mix is tinted before it is split: what stays of each
   *     colourant in the mixing cup; empty otherwise
   * @param firstStaysMg what clings to the first of two mixing cups; 0 where there is one
   */
  record FilledBatch(
      int number,
      String resinId,
      int stage,
      double needG,
      WeighOut weighOut,
      long partAMg,
      long partBMg,
      CupKind mixingCup,
      boolean split,
      List<Long> tintedStaysMg,
      long firstStaysMg,
      List<FilledCup> cups) {
    boolean tintedWhole() {
      return !tintedStaysMg.isEmpty();
    }

    long totalMg() {
      return partAMg + partBMg;
    }

    /** What is left in the mixing cups, the clear reserve and what stock cups keep with it. */
    long staysMg() {
      return resinStaysMg() + tintedStaysMg.stream().mapToLong(Long::longValue).sum();
    }

    private long resinStaysMg() {
      return totalMg() - cups.stream().mapToLong(FilledCup::resinMg).sum();
    }

    /** The same batch, tinted before it is split. */
    private FilledBatch tinted() {
      List<Long> stays = doses(cups.get(0).tint, resinStaysMg() - firstStaysMg);
      return new FilledBatch(
          number,
          resinId,
          stage,
          needG,
          weighOut,
          partAMg,
          partBMg,
          mixingCup,
          split,
          stays,
          firstStaysMg,
          cups);
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

  FilledBatch fill(int number, BatchDraft.Settled draft) {
    boolean lone = draft.lone();
    double reserveG = lone ? 0 : limits.reserveG();
    boolean whole = tintedWhole(draft);
    List<FilledCup> withStocks = cups(number, draft, !whole);
    double wanted = resinG(withStocks) + reserveG;
    CupKind wantedIn = lone ? withStocks.get(0).kind : limits.mixed(wanted).kind();
    // Where a batch has no room for stock cups, small doses are counted as well as they can be.
    boolean stocked = limits.mixes(wantedIn, limits.mixedG(wantedIn, wanted, !lone));
    List<FilledCup> cups = stocked ? withStocks : cups(number, draft, false);
    double neededG = resinG(cups) + reserveG;
    CupKind kind = lone ? cups.get(0).kind : limits.mixed(neededG).kind();
    double needG = Milligrams.grams(Milligrams.up(limits.mixedG(kind, neededG, !lone)));
    CupNotes notes = new CupNotes(job, recorder);
    cups.forEach(c -> notes.note(c, limits.clings(c.kind), lone));
    recorder.note(
        "batch/" + number + "/needG",
        needG,
        "g",
        Formula.BATCH_NEED,
        step -> {
          for (FilledCup cup : cups) {
            String quantity = "cup/" + cup.id + (lone ? "/resinNeededG" : "/resinG");
            step.from(cup.colour.name() + " cup", quantity, Milligrams.grams(cup.resinMg), "g");
            if (cup.stockExtraG() > 0) {
              step.given("stock cup", cup.colour.name(), cup.stockExtraG(), "g", Origin.WORKED_OUT);
            }
          }
          if (reserveG > 0) {
            step.given("clear reserve", null, reserveG, "g", Origin.CHOSEN);
          }
          if (!lone || habits.mixing().twoCups()) {
            CupNotes.clings(step, kind, limits.clings(kind));
          }
        });
    FilledBatch batch = weighed(number, draft.stage(), needG, lone, kind, cups);
    return whole ? batch.tinted() : batch;
  }

  /** Whether this batch is tinted in the mixing cup: by habit, and one colour in several cups. */
  private boolean tintedWhole(BatchDraft.Settled draft) {
    Colour colour = draft.cups().get(0).colour;
    return habits.splitting().when() == Splitting.SplitWhen.AFTER_TINTING
        && !draft.lone()
        && limits.reserveG() == 0
        && !colour.clear()
        && draft.cups().stream().allMatch(c -> c.colour.id().equals(colour.id()));
  }

  private List<FilledCup> cups(int number, BatchDraft.Settled draft, boolean stocked) {
    List<FilledCup> cups = new ArrayList<>();
    for (int i = 0; i < draft.cups().size(); i++) {
      cups.add(cup(number + "." + (i + 1), draft.cups().get(i), stocked));
    }
    return cups;
  }

  /** Resin of all cups, and what their stock cups take beyond. */
  private static double resinG(List<FilledCup> cups) {
    return Milligrams.grams(cups.stream().mapToLong(FilledCup::resinMg).sum())
        + cups.stream().mapToDouble(FilledCup::stockExtraG).sum();
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
            List.of(),
            List.of(),
            CupDraft.BY_PLAN);
    recorder.note(
        "batch/" + number + "/needG",
        massG,
        "g",
        Formula.BATCH_NEED,
        step -> step.given("total asked for", null, massG, "g", Origin.CHOSEN));
    return weighed(number, 0, massG, true, kind, List.of(cup));
  }

  private FilledBatch weighed(
      int number, int stage, double needG, boolean lone, CupKind mixingCup, List<FilledCup> cups) {
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
            resin.largestBatchG() == null ? Double.POSITIVE_INFINITY : resin.largestBatchG(),
            habits.mixing().extraAPercent());
    long partAMg = Milligrams.up(out.partA().massG());
    long partBMg = Milligrams.up(out.partB().massG());
    // From here on the masses in whole milligrams are the ones that count.
    WeighOut weighed =
        new WeighOut(
            new WeighOut.Amount(Milligrams.grams(partAMg), out.partA().volumeMl()),
            new WeighOut.Amount(Milligrams.grams(partBMg), out.partB().volumeMl()),
            basis,
            division,
            out.ratioErrorPercent());
    noteParts("batch/" + number, needG, weighed, division);
    long firstStaysMg = firstStaysMg(mixingCup, partAMg + partBMg);
    List<FilledCup> filled = cups;
    if (lone) {
      // The mix stays where it is, with what rounding up added.
      FilledCup only = cups.get(0);
      long stockMg = Milligrams.up(only.stockExtraG());
      FilledCup whole =
          new FilledCup(
              only.id,
              only.colour,
              only.tint,
              only.pours,
              only.kind,
              only.pouredMg,
              partAMg + partBMg - firstStaysMg - stockMg,
              only.dosesMg,
              only.stocks,
              only.hand);
      new CupNotes(job, recorder).noteAsMixed(whole, number, firstStaysMg + stockMg);
      filled = List.of(whole);
    }
    return new FilledBatch(
        number,
        resin.id(),
        stage,
        needG,
        weighed,
        partAMg,
        partBMg,
        mixingCup,
        !lone,
        List.of(),
        firstStaysMg,
        filled);
  }

  private long firstStaysMg(CupKind kind, long mixedMg) {
    if (!habits.mixing().twoCups()) {
      return 0;
    }
    Clings clings = limits.clings(kind);
    return Milligrams.down(clings.alwaysG() + clings.share() * Milligrams.grams(mixedMg));
  }

  private void noteParts(String at, double needG, WeighOut out, double division) {
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
    if (habits.mixing().extraAPercent() > 0) {
      step.given("extra A", null, habits.mixing().extraAPercent(), "%", Origin.CHOSEN);
    }
  }

  private void densities(Recorder.Step step) {
    step.given("density of A", resin.name(), resin.knownDensityA(), "g/mL")
        .given("density of B", resin.name(), resin.knownDensityB(), "g/mL");
  }

  private FilledCup cup(String id, CupDraft draft, boolean stocked) {
    CupKind kind = draft.kind;
    Clings clings = limits.clings(kind);
    long contentMg =
        Milligrams.up(clings.contentFor(limits.loadG(draft.pouredMg, draft.mayTakeMoreMg)));
    Tint tint = draft.tint;
    long resinMg = Milligrams.up(Milligrams.grams(contentMg) / (1 + tint.gPerGResin()));
    List<Long> doses = doses(tint, resinMg);
    // Doses are rounded down to keep the limits, so the resin makes up for the lost milligrams.
    long missing = contentMg - resinMg - doses.stream().mapToLong(Long::longValue).sum();
    if (missing > 0) {
      resinMg += missing;
      doses = doses(tint, resinMg);
    }
    List<Optional<StockCup>> stocks = new ArrayList<>();
    double roomG = stocked ? Milligrams.grams(resinMg) : 0;
    for (int i = 0; i < doses.size(); i++) {
      double doseG = Milligrams.grams(doses.get(i));
      Optional<StockCup> stock =
          StockCup.of(tint.shares().get(i).colourant(), doseG, habits.scaleDivisionG(), roomG);
      roomG -= stock.map(StockCup::resinWithItG).orElse(0.0);
      stocks.add(stock);
    }
    return new FilledCup(
        id,
        draft.colour,
        tint,
        draft.pours,
        kind,
        draft.pouredMg,
        resinMg,
        doses,
        stocks,
        draft.hand);
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
