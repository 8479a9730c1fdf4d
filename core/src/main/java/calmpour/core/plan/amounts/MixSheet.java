package calmpour.core.plan.amounts;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.cup.Residue;
import calmpour.core.derive.Formula;
import calmpour.core.derive.Origin;
import calmpour.core.derive.Recorder;
import calmpour.core.habit.Habits;
import calmpour.core.habit.Splitting;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Place;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.session.JustMix;
import calmpour.core.tint.Colour;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.Tint;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/** Masses of one batch: what goes into every cup, and so how much A and B. */
public final class MixSheet {
  /** A dose follows from the resin and the resin from the dose; twice is mostly enough. */
  private static final int TURNS = 4;

  private static final int STOCK_TURNS = 12;

  private final JobInResin job;
  private final Recorder recorder;
  private final Habits habits;
  private final ResinSystem resin;
  private final Limits limits;

  public MixSheet(JobInResin job, Recorder recorder) {
    this.job = job;
    this.recorder = recorder;
    this.habits = job.session().habits();
    this.resin = job.resin();
    this.limits = new Limits(job);
  }

  public FilledBatch fill(int number, BatchDraft.Settled draft) {
    if (!tintedWhole(draft)) {
      List<FilledCup> withStocks = cups(number, draft, cup -> counted(cup, true));
      double wanted = resinG(withStocks) + reserveG(draft);
      CupKind wantedIn = draft.lone() ? withStocks.get(0).kind() : limits.mixed(wanted).kind();
      // Where a batch has no room for stock cups, small doses are counted as well as they can be.
      boolean room = limits.mixes(wantedIn, limits.mixedG(wantedIn, wanted, !draft.lone()));
      List<FilledCup> cups = room ? withStocks : cups(number, draft, cup -> counted(cup, false));
      return fill(number, draft, cups, room);
    }
    Tint tint = draft.cups().get(0).tint();
    FilledBatch asAsked = fill(number, draft, cups(number, draft, cup -> share(cup, tint)), false);
    List<Dosing.Counted> doses = dosing(tint, asAsked.wholeMg(), false);
    Tint asCounted = FilledCup.counted(doses, asAsked.wholeMg(), tint);
    FilledBatch batch =
        fill(number, draft, cups(number, draft, cup -> share(cup, asCounted)), false);
    List<Dosing.Counted> whole = new ArrayList<>();
    for (int i = 0; i < doses.size(); i++) {
      Dosing.Counted d = doses.get(i);
      double wantedG = Milligrams.grams(batch.wholeMg()) * tint.shares().get(i).gPerGResin();
      whole.add(
          new Dosing.Counted(d.colourant(), d.by(), d.count(), d.massG(), wantedG, d.stock()));
    }
    return batch.tinted(whole);
  }

  private double reserveG(BatchDraft.Settled draft) {
    return draft.lone() ? 0 : limits.reserveG();
  }

  private FilledBatch fill(
      int number, BatchDraft.Settled draft, List<FilledCup> cups, boolean stocked) {
    boolean lone = draft.lone();
    double reserveG = reserveG(draft);
    double neededG = resinG(cups) + reserveG;
    CupKind kind = lone ? cups.get(0).kind() : limits.mixed(neededG).kind();
    double needG = Milligrams.grams(Milligrams.up(limits.mixedG(kind, neededG, !lone)));
    CupNotes notes = new CupNotes(job, recorder);
    cups.forEach(c -> notes.note(c, limits.residue(c.kind()), lone));
    recorder.note(
        new Place.OfBatch(number) + "/needG",
        needG,
        "g",
        Formula.BATCH_NEED,
        step -> {
          for (FilledCup cup : cups) {
            String quantity = new Place.OfCup(cup.id()) + (lone ? "/resinNeededG" : "/resinG");
            step.from(cup.colour().name() + " cup", quantity, Milligrams.grams(cup.resinMg()), "g");
            if (cup.stockExtraG() > 0) {
              step.given(
                  "stock cup", cup.colour().name(), cup.stockExtraG(), "g", Origin.WORKED_OUT);
            }
          }
          if (reserveG > 0) {
            step.given("clear reserve", null, reserveG, "g", Origin.CHOSEN);
          }
          // Poured over once into the cups, and once more where it is stirred on in a second one.
          int over = (lone ? 0 : 1) + (habits.mixing().twoCups() ? 1 : 0);
          for (int time = 0; time < over; time++) {
            CupNotes.residue(step, kind, limits.residue(kind));
          }
        });
    return weighed(number, draft.stage(), needG, lone, kind, cups, stocked);
  }

  /** Whether this batch is tinted in the mixing cup: by habit, and one colour in several cups. */
  private boolean tintedWhole(BatchDraft.Settled draft) {
    Colour colour = draft.cups().get(0).colour();
    return habits.splitting().when() == Splitting.SplitWhen.AFTER_TINTING
        && !draft.lone()
        && limits.reserveG() == 0
        && !colour.clear()
        && draft.cups().stream().allMatch(c -> c.colour().id().equals(colour.id()));
  }

  private static List<FilledCup> cups(
      int number, BatchDraft.Settled draft, UnaryOperator<FilledCup> filled) {
    List<FilledCup> cups = new ArrayList<>();
    for (int i = 0; i < draft.cups().size(); i++) {
      cups.add(filled.apply(empty(new CupId(number, i + 1), draft.cups().get(i))));
    }
    return cups;
  }

  /** Resin of all cups, and what their stock cups take beyond. */
  private static double resinG(List<FilledCup> cups) {
    return Milligrams.grams(cups.stream().mapToLong(FilledCup::resinMg).sum())
        + cups.stream().mapToDouble(FilledCup::stockExtraG).sum();
  }

  /** Every batch of a session: of its drafts, or of what is just mixed. */
  public static List<FilledBatch> all(Job job, List<BatchDraft.Settled> drafts, Recorder recorder) {
    List<FilledBatch> filled = new ArrayList<>();
    JustMix mix = job.session().justMix();
    if (mix != null) {
      JobInResin own = job.in(job.session().resinId());
      double totalG =
          mix.massG() != null ? mix.massG() : known(mix.volumeMl()) * own.resin().mixedDensity();
      double largest = new Limits(own).largestMixG();
      int batches = (int) Math.max(job.session().splitInto(), Math.ceil(totalG / largest));
      for (int b = 1; b <= batches; b++) {
        filled.add(new MixSheet(own, recorder).justMix(b, totalG / batches));
      }
      return filled;
    }
    for (BatchDraft.Settled draft : drafts) {
      MixSheet sheet = new MixSheet(job.in(draft.resinId()), recorder);
      filled.add(sheet.fill(filled.size() + 1, draft));
    }
    return filled;
  }

  /** A mix without moulds: everything stays in the cup it was mixed in. */
  public FilledBatch justMix(int number, double massG) {
    Tint clear = known(job.tints().get(Colour.CLEAR.id()));
    CupKind kind = kindFor(massG / resin.mixedDensity(), job.mixingCups());
    FilledCup cup =
        new FilledCup(
            new CupId(number, 1),
            Colour.CLEAR,
            clear,
            List.of(),
            kind,
            0,
            Milligrams.up(massG),
            List.of(),
            CupDraft.BY_PLAN);
    recorder.note(
        new Place.OfBatch(number) + "/needG",
        massG,
        "g",
        Formula.BATCH_NEED,
        step -> step.given("total asked for", null, massG, "g", Origin.CHOSEN));
    return weighed(number, 0, massG, true, kind, List.of(cup), false);
  }

  /**
   * A cup that everything was mixed in, less what its stock cups keep of it, dosed for what is then
   * in it. How much they keep follows from the doses, and these from that.
   *
   * @return null where the one never fits the other, or too little would be left to pour: then the
   *     doses are counted as well as they can be
   */
  private @Nullable FilledCup withItsStock(FilledCup cup, long mixedMg) {
    long stockMg = Milligrams.up(cup.stockExtraG());
    for (int turn = 0; turn < STOCK_TURNS; turn++) {
      long resinMg = mixedMg - stockMg;
      if (resinMg < cup.pouredMg()) {
        return null;
      }
      FilledCup dosed = cup.holding(resinMg, dosing(cup.tint(), resinMg, true));
      long takenMg = Milligrams.up(dosed.stockExtraG());
      if (takenMg == stockMg) {
        return dosed;
      }
      stockMg = takenMg;
    }
    return null;
  }

  private FilledBatch weighed(
      int number,
      int stage,
      double needG,
      boolean lone,
      CupKind mixingCup,
      List<FilledCup> cups,
      boolean stocked) {
    MixRatio.Basis basis = Limits.measured(job);
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
    new PartNotes(job, recorder).note(new Place.OfBatch(number), needG, weighed, division);
    long firstStaysMg = firstStaysMg(mixingCup, partAMg + partBMg);
    List<FilledCup> filled = cups;
    if (lone) {
      // The mix stays where it is, with what rounding up added; its doses are for that.
      long mixedMg = partAMg + partBMg - firstStaysMg;
      FilledCup whole = stocked ? withItsStock(cups.get(0), mixedMg) : null;
      if (whole == null) {
        whole = cups.get(0).holding(mixedMg, dosing(cups.get(0).tint(), mixedMg, false));
      }
      long stockMg = mixedMg - whole.resinMg();
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
    Residue clings = limits.residue(kind);
    return Milligrams.down(clings.alwaysG() + clings.share() * Milligrams.grams(mixedMg));
  }

  private static FilledCup empty(CupId id, CupDraft draft) {
    return new FilledCup(
        id,
        draft.colour(),
        draft.tint(),
        draft.pours(),
        known(draft.kind()),
        draft.pouredMg(),
        0,
        List.of(),
        draft.hand());
  }

  /** What has to be in a cup so that all of its pours come out of it, mg. */
  private long neededMg(FilledCup cup) {
    long mayTakeMoreMg = cup.pours().stream().mapToLong(PourDraft::mayTakeMoreMg).sum();
    return Milligrams.up(
        limits.residue(cup.kind()).contentFor(limits.loadG(cup.pouredMg(), mayTakeMoreMg)));
  }

  /** A cup that is tinted by itself. */
  private FilledCup counted(FilledCup cup, boolean stocked) {
    long contentMg = neededMg(cup);
    long resinMg = Milligrams.up(Milligrams.grams(contentMg) / (1 + cup.tint().gPerGResin()));
    FilledCup full = cup.holding(resinMg, dosing(cup.tint(), resinMg, stocked));
    // Where a dose is counted down, resin makes up for it, and may make room for another drop.
    for (int turn = 0; turn < TURNS && full.contentMg() < contentMg; turn++) {
      resinMg += contentMg - full.contentMg();
      full = cup.holding(resinMg, dosing(cup.tint(), resinMg, stocked));
    }
    long missing = contentMg - full.contentMg();
    return missing > 0 ? full.holding(resinMg + missing, full.doses()) : full;
  }

  /** A cup of a mix that is tinted before it is split. */
  private FilledCup share(FilledCup cup, Tint whole) {
    long contentMg = neededMg(cup);
    long resinMg = Milligrams.up(Milligrams.grams(contentMg) / (1 + whole.gPerGResin()));
    FilledCup full = cup.holding(resinMg, shares(whole, resinMg));
    long missing = Math.max(0, contentMg - full.contentMg());
    return full.holding(resinMg + missing, shares(whole, resinMg + missing));
  }

  private static List<Dosing.Counted> shares(Tint whole, long resinMg) {
    double resinG = Milligrams.grams(resinMg);
    return whole.shares().stream()
        .map(s -> {
          double massG = resinG * s.gPerGResin();
          return new Dosing.Counted(s.colourant(), Dosing.By.WITH_MIX, 0, massG, massG, null);
        })
        .toList();
  }

  private List<Dosing.Counted> dosing(Tint tint, long resinMg, boolean stocked) {
    return Dosing.of(tint, Milligrams.grams(resinMg), habits.scaleDivisionG(), stocked);
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
