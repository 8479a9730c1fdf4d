package calmpour.core.plan.amounts;

import calmpour.core.cup.CupKind;
import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.BatchMeasuring;
import calmpour.core.plan.doc.BatchMixing;
import calmpour.core.plan.doc.BatchTimes;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupAmounts;
import calmpour.core.plan.doc.CupColour;
import calmpour.core.plan.doc.CupTint;
import calmpour.core.resin.LoadingBasis;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Colourant;
import calmpour.core.tint.Dosing;
import calmpour.core.tint.Look;
import calmpour.core.tint.Tint;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is in a batch and its cups, as the plan tells it; of times and looks it knows nothing. */
public final class Amounts {
  private final JobInResin job;

  /** */
  public Amounts(JobInResin job) {
    this.job = job;
  }

  /** The amounts of every batch, in their order. */
  public static List<Batch> all(Job job, List<FilledBatch> filled) {
    return filled.stream().map(b -> new Amounts(job.in(b.resinId())).batch(b)).toList();
  }

  /** A batch of which nothing is known but what is in it. */
  public Batch batch(FilledBatch batch) {
    Habits habits = job.session().habits();
    var a = batch.weighOut().partA();
    var b = batch.weighOut().partB();
    double firstMl = habits.firstPart() == Habits.FirstPart.A ? a.volumeMl() : b.volumeMl();
    CupKind mixingCup = batch.mixingCup();
    return new Batch(
        batch.number(),
        batch.stage(),
        batch.resinId(),
        job.resin().name(),
        new BatchMeasuring(
            batch.needG(),
            a,
            b,
            Milligrams.grams(batch.totalMg()),
            habits.firstPart(),
            batch.weighOut().measured(),
            batch.weighOut().divisionUsed(),
            batch.weighOut().ratioErrorPercent()),
        new BatchMixing(
            mixingCup,
            mixingCup.levelMm(firstMl),
            mixingCup.levelMm(a.volumeMl() + b.volumeMl()),
            Milligrams.grams(batch.staysMg()),
            Milligrams.grams(batch.firstStaysMg()),
            batch.split() ? new Limits(job).reserveG() : 0,
            job.startC(),
            batch.wholeDoses().stream().map(Amounts::dose).toList()),
        batch.split(),
        batch.cups().stream().map(c -> cup(batch, c)).toList(),
        BatchTimes.NONE,
        null);
  }

  private static Cup cup(FilledBatch batch, FilledCup cup) {
    List<Cup.Pour> pours = cup.pours().stream().map(p -> pour(p, 0, 0)).toList();
    return cup(batch, cup, pours, null, null);
  }

  public static Cup cup(
      FilledBatch batch,
      FilledCup cup,
      List<Cup.Pour> pours,
      Cup.@Nullable Strength strength,
      @Nullable Look look) {
    Tint asCounted = cup.asCounted();
    return Cup.filled(
        cup.id(),
        batch.number(),
        cup.hand() == CupDraft.BY_PLAN ? null : cup.hand(),
        new CupColour(cup.colour().id(), cup.colour().name(), cup.colour().swatch()),
        cup.kind(),
        new CupAmounts(
            cup.kind().levelMm(cup.contentMl()),
            Milligrams.grams(cup.resinMg()),
            Milligrams.grams(cup.contentMg()),
            cup.contentMl(),
            Milligrams.grams(cup.pouredMg()),
            Milligrams.grams(cup.contentMg() - cup.pouredMg())),
        new CupTint(
            cup.doses().stream().map(Amounts::dose).toList(),
            cup.tint().heldAt(),
            asCounted.readings().stream().map(Amounts::loading).toList(),
            asCounted.inAll(),
            asCounted.waterPercent(),
            asCounted.solventPercent(),
            strength,
            look),
        pours);
  }

  public static Cup.Loading loading(Tint.Reading reading) {
    LoadingBasis basis = reading.basis();
    return new Cup.Loading(
        reading.limit().whose(),
        reading.limit().colourantId(),
        basis,
        reading.percent(),
        reading.limitPercent());
  }

  public static Cup.Pour pour(PourDraft pour, int startSeconds, int endSeconds) {
    return new Cup.Pour(
        pour.id(),
        pour.line(),
        pour.cavity(),
        pour.layer(),
        pour.part(),
        pour.parts(),
        pour.half(),
        pour.volumeMl(),
        Milligrams.grams(pour.massMg()),
        pour.toMm(),
        startSeconds,
        endSeconds);
  }

  private static Cup.Dose dose(Dosing.Counted counted) {
    Colourant colourant = counted.colourant();
    boolean told = counted.by() != Dosing.By.WITH_MIX && counted.by() != Dosing.By.NOTHING;
    boolean liquid = colourant.form().liquid();
    // Beside a weight the nearest count is told, for who has no scale at hand.
    double count =
        counted.by() == Dosing.By.SCALE
            ? Math.rint(counted.massG() / colourant.countedG())
            : counted.count();
    return new Cup.Dose(
        colourant.id(),
        colourant.name(),
        Milligrams.grams(Milligrams.down(counted.massG())),
        counted.wantedG(),
        counted.errorPercent(),
        told && liquid ? (Integer) (int) count : null,
        told && !liquid ? (Double) (count / 4) : null,
        colourant.implement(),
        counted.by(),
        counted.stock());
  }
}
