package calmpour.core.plan.bench;

import calmpour.core.habit.Habits;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.Counted;
import calmpour.core.resin.MixRatio;
import calmpour.core.resin.ResinSystem;
import calmpour.core.resin.TwoMeasures;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.JobInResin;
import calmpour.core.stock.ResinPart;
import calmpour.core.tint.Colour;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One batch as it is carried to the scale: what to add next, and what the scale then shows.
 *
 * @param surelyRightFromG from this total on, rounding to this scale keeps the ratio for certain
 * @param tolerancePercent how far A:B may be off
 * @param pumps the same by whole strokes; null when a part has no pump
 * @param kit the same by whole bottles; null when it is no kit
 * @param measures what measuring in two cups does, school by school
 * @param leftovers what stays to be poured when every mould is full, a line a cup
 */
public record BatchCard(
    int batch,
    String resinName,
    MixRatio.Basis measured,
    double division,
    double totalG,
    double ratioErrorPercent,
    double tolerancePercent,
    double surelyRightFromG,
    List<CardStep> steps,
    @Nullable Counted pumps,
    @Nullable Counted kit,
    List<TwoMeasures.MeasureEffect> measures,
    List<Leftover> leftovers) {
  public BatchCard {
    steps = List.copyOf(steps);
    measures = List.copyOf(measures);
    leftovers = List.copyOf(leftovers);
  }

  /**
   * One thing to do.
   *
   * @param what A or B, or the name of the cup; empty where there is nothing to add
   * @param cupId which cup it is about; null for the mixing cup
   * @param addG grams to add in this step
   * @param addMl the same by volume
   * @param scaleShowsG what the scale shows afterwards when it is not set to zero in between
   * @param levelMm how high it then stands in the cup
   * @param fillsMl where it is more than the measuring cup holds: each fill, to be ticked off
   * @param startSeconds from the session's first step
   */
  public record CardStep(
      Task.Kind kind,
      String what,
      @Nullable CupId cupId,
      double addG,
      double addMl,
      double scaleShowsG,
      double levelMm,
      List<Double> fillsMl,
      int startSeconds,
      int endSeconds) {
    public CardStep {
      fillsMl = List.copyOf(fillsMl);
    }
  }

  /**
   * Mix that is planned to be left to pour in a cup: the overage and what moulds did not take; or
   * the clear reserve, which is in its mixing cup.
   *
   * @param of the cup or batch
   * @param openSeconds how long after the batch's last pour it can still be poured
   */
  public record Leftover(
      Place of, String colourName, String swatch, double leftMl, int openSeconds) {}

  public static BatchCard of(JobInResin job, Batch batch, List<Task> tasks) {
    Habits habits = job.session().habits();
    ResinSystem resin = job.resin();
    boolean aFirst = batch.measuring().firstPart() == Habits.FirstPart.A;
    return new BatchCard(
        batch.number(),
        resin.name(),
        batch.measuring().by(),
        batch.measuring().divisionUsed(),
        batch.measuring().totalG(),
        batch.measuring().ratioErrorPercent(),
        habits.ratioTolerancePercent(),
        WeighOut.surelyRightFromG(
            resin,
            batch.measuring().by(),
            batch.measuring().divisionUsed(),
            habits.ratioTolerancePercent()),
        steps(habits, batch, tasks),
        pumps(job, batch),
        kit(job, batch),
        TwoMeasures.effects(
            batch.measuring().partA().massG(),
            batch.measuring().partB().massG(),
            aFirst,
            habits.residueG(),
            habits.residuePercent() / 100),
        leftovers(job, batch));
  }

  private static List<CardStep> steps(Habits habits, Batch batch, List<Task> tasks) {
    boolean aFirst = batch.measuring().firstPart() == Habits.FirstPart.A;
    WeighOut.Amount first = aFirst ? batch.measuring().partA() : batch.measuring().partB();
    WeighOut.Amount second = aFirst ? batch.measuring().partB() : batch.measuring().partA();
    List<CardStep> steps = new ArrayList<>();
    for (Task task : tasks) {
      if (task.batch() != batch.number()) {
        continue;
      }
      switch (task.kind()) {
        case WEIGH_FIRST ->
            steps.add(
                weigh(
                    task,
                    aFirst ? "A" : "B",
                    first,
                    first.massG(),
                    batch.mixing().firstPartMm(),
                    fills(habits, batch, first)));
        case WEIGH_SECOND ->
            steps.add(
                weigh(
                    task,
                    aFirst ? "B" : "A",
                    second,
                    batch.measuring().totalG(),
                    batch.mixing().bothPartsMm(),
                    fills(habits, batch, second)));
        case WARM ->
            steps.add(step(task, habits.mixing().warmsAOnly() ? "A" : "A and B", 0, 0, 0, 0));
        case STIR, SECOND_CUP, REST, RELEASE -> steps.add(step(task, "", 0, 0, 0, 0));
        case SPLIT -> {
          Cup cup = cup(batch, task);
          // What comes with the stock is not poured over from the mixing cup.
          double fromStock =
              cup.tint().doses().stream()
                  .filter(d -> d.stock() != null)
                  .mapToDouble(d -> d.stock().resinWithItG())
                  .sum();
          boolean tinted = !batch.mixing().tintedWhole().isEmpty();
          double g = (tinted ? cup.amounts().contentG() : cup.amounts().resinG()) - fromStock;
          double ml = g / batch.measuring().totalG() * (first.volumeMl() + second.volumeMl());
          steps.add(step(task, cup.colour().name(), g, ml, g, cup.kind().levelMm(ml)));
        }
        case STOCK_CUP -> {
          Cup cup = cup(batch, task);
          double takes =
              cup.tint().doses().stream()
                  .filter(d -> d.stock() != null)
                  .mapToDouble(d -> d.stock().takeG())
                  .sum();
          steps.add(step(task, cup.colour().name(), takes, 0, takes, cup.amounts().levelMm()));
        }
        case TINT -> {
          if (task.cupId() == null) {
            double all = batch.mixing().tintedWhole().stream().mapToDouble(Cup.Dose::massG).sum();
            String colour = batch.cups().get(0).colour().name();
            steps.add(
                step(
                    task,
                    colour,
                    all,
                    0,
                    batch.measuring().totalG() + all,
                    batch.mixing().bothPartsMm()));
            continue;
          }
          Cup cup = cup(batch, task);
          double doses = cup.tint().doses().stream().mapToDouble(Cup.Dose::massG).sum();
          steps.add(
              step(
                  task,
                  cup.colour().name(),
                  doses,
                  0,
                  cup.amounts().resinG() + doses,
                  cup.amounts().levelMm()));
        }
        default -> {
          // Pouring has a line of its own.
        }
      }
    }
    return steps;
  }

  private static CardStep weigh(
      Task task,
      String part,
      WeighOut.Amount amount,
      double shows,
      double level,
      List<Double> fills) {
    return new CardStep(
        task.kind(),
        part,
        null,
        amount.massG(),
        amount.volumeMl(),
        shows,
        level,
        fills,
        task.startSeconds(),
        task.endSeconds());
  }

  /** Full measuring cups and the rest, where one part is more than the cup holds. */
  private static List<Double> fills(Habits habits, Batch batch, WeighOut.Amount amount) {
    Double holds = habits.mixing().measuringCupMl();
    if (batch.measuring().by() != MixRatio.Basis.VOLUME
        || holds == null
        || amount.volumeMl() <= holds) {
      return List.of();
    }
    // The last mark that is a whole step, so that every fill can be read.
    double full =
        Math.floor(holds / batch.measuring().divisionUsed() + 1e-9)
            * batch.measuring().divisionUsed();
    List<Double> fills = new ArrayList<>();
    double left = amount.volumeMl();
    while (left > full + 1e-9 && full > 0) {
      fills.add(full);
      left -= full;
    }
    fills.add(left);
    return fills;
  }

  private static CardStep step(
      Task task, String what, double addG, double addMl, double shows, double level) {
    return new CardStep(
        task.kind(),
        what,
        task.cupId(),
        addG,
        addMl,
        shows,
        level,
        List.of(),
        task.startSeconds(),
        task.endSeconds());
  }

  private static Cup cup(Batch batch, Task task) {
    return batch.cups().stream().filter(c -> c.id().equals(task.cupId())).findFirst().orElseThrow();
  }

  /** A and B of a batch in whole strokes of their pumps; null where one of them has none. */
  static @Nullable Counted pumps(JobInResin job, Batch batch) {
    ResinPart a = part(job, job.resin().partAId());
    ResinPart b = part(job, job.resin().partBId());
    if (a == null || b == null || a.pumpMl() == null || b.pumpMl() == null) {
      return null;
    }
    return Counted.of(
        job.resin(),
        batch.measuring().needG(),
        a.pumpMl() * job.resin().knownDensityA().value(),
        b.pumpMl() * job.resin().knownDensityB().value(),
        job.session().habits().ratioTolerancePercent());
  }

  private static @Nullable Counted kit(JobInResin job, Batch batch) {
    ResinPart a = part(job, job.resin().partAId());
    ResinPart b = part(job, job.resin().partBId());
    if (a == null || b == null || a.kitG() == null || b.kitG() == null) {
      return null;
    }
    return Counted.of(
        job.resin(),
        batch.measuring().needG(),
        a.kitG(),
        b.kitG(),
        job.session().habits().ratioTolerancePercent());
  }

  private static @Nullable ResinPart part(JobInResin job, @Nullable String id) {
    return job.job().used().parts().stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElse(null);
  }

  /** What stays less what clings: that much can still be poured into a filler. */
  private static List<Leftover> leftovers(JobInResin job, Batch batch) {
    Habits habits = job.session().habits();
    int lastPour =
        batch.cups().stream()
            .flatMap(c -> c.pours().stream())
            .mapToInt(Cup.Pour::endSeconds)
            .max()
            .orElse(batch.times().endSeconds());
    List<Leftover> leftovers = new ArrayList<>();
    int soonest = Integer.MAX_VALUE;
    for (Cup cup : batch.cups()) {
      double leftG =
          cup.kind().residue(habits).outOf(cup.amounts().contentG()) - cup.amounts().pouredG();
      double leftMl = leftG / (cup.amounts().contentG() / cup.amounts().contentMl());
      int open = Math.max(0, cup.times().latestPourEndSeconds() - lastPour);
      soonest = Math.min(soonest, open);
      if (leftMl > 0) {
        leftovers.add(
            new Leftover(Place.of(cup), cup.colour().name(), cup.colour().swatch(), leftMl, open));
      }
    }
    if (batch.mixing().reserveG() > 0) {
      leftovers.add(
          new Leftover(
              Place.of(batch),
              Colour.CLEAR.name(),
              Colour.CLEAR.swatch(),
              batch.mixing().reserveG() / job.resin().mixedDensity(),
              soonest));
    }
    return leftovers;
  }
}
