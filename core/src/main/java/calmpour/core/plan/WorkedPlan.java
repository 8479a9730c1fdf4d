package calmpour.core.plan;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureRun;
import calmpour.core.derive.Derivation;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.FilledBatch;
import calmpour.core.plan.amounts.MixSheet;
import calmpour.core.plan.bench.BatchAtHand;
import calmpour.core.plan.bench.BatchCard;
import calmpour.core.plan.bench.BatchRescue;
import calmpour.core.plan.bench.BenchTally;
import calmpour.core.plan.bench.StepCard;
import calmpour.core.plan.bench.StepCards;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.search.Arranger;
import calmpour.core.plan.time.Schedule;
import calmpour.core.session.Job;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A session that was planned: the plan, and all it was made from. Card, curve, tally and rescue are
 * views of it; nothing is planned again for them. Does not change, so it can be shared and kept.
 */
public final class WorkedPlan {
  private final Job job;
  private final CureModel cure;
  private final Arranger.Course course;
  private final List<Batch> amounts;
  private final Schedule.Laid laid;
  private final Plan plan;

  private WorkedPlan(
      Job job,
      CureModel cure,
      Arranger.Course course,
      List<Batch> amounts,
      Schedule.Laid laid,
      Plan plan) {
    this.job = job;
    this.cure = cure;
    this.course = course;
    this.amounts = amounts;
    this.laid = laid;
    this.plan = plan;
  }

  /** What a course comes to, not judged yet. */
  static WorkedPlan of(Job job, CureModel cure, Arranger.Course course, Recorder recorder) {
    List<FilledBatch> filled = MixSheet.all(job, course.drafts(), recorder);
    List<Batch> amounts = Amounts.all(job, filled);
    Schedule.Laid laid = Schedule.of(job, cure, amounts, course.notBefore());
    List<Batch> batches = new ArrayList<>();
    for (FilledBatch batch : filled) {
      BatchAssembly assembly = new BatchAssembly(job.in(batch.resinId()), cure, recorder);
      batches.add(assembly.batch(batch, laid, laid.tasks()));
    }
    Plan plan = new Assembly(job, recorder).plan(batches, laid.tasks());
    return new WorkedPlan(job, cure, course, amounts, laid, plan);
  }

  /** The same with what was found wrong with it. */
  WorkedPlan judged(Plan arranged, List<Finding> findings) {
    return new WorkedPlan(job, cure, course, amounts, laid, arranged.judged(findings));
  }

  public Job job() {
    return job;
  }

  public Plan plan() {
    return plan;
  }

  Arranger.Course course() {
    return course;
  }

  /**
   * @param number of the batch, from 1
   */
  private Optional<Batch> batch(int number) {
    return plan.batches().stream().filter(b -> b.number() == number).findFirst();
  }

  /**
   * The card of one batch, for the scale.
   *
   * @param number of the batch, from 1
   * @return empty when the plan has no such batch
   */
  public Optional<BatchCard> card(int number) {
    return batch(number).map(b -> BatchCard.of(job.in(b.resinId()), b, plan.tasks()));
  }

  /**
   * What a task says beside its name and its quantity.
   *
   * @param taskId which
   */
  public record TaskCard(TaskId taskId, StepCard card) {}

  /** What every step of the plan says beside its name and its quantity, where it says more. */
  public List<TaskCard> stepCards() {
    StepCards cards = new StepCards(job, plan, plan.tasks());
    return plan.tasks().stream()
        .map(t -> new TaskCard(t.id(), cards.of(t)))
        .filter(c -> !c.card().equals(StepCard.NOTHING))
        .toList();
  }

  /**
   * The same, and where each leftover can go.
   *
   * @param workshop with every mould that may be filled
   */
  public Optional<BatchAtHand> atHand(int number, Workshop workshop) {
    return batch(number).map(b -> BatchAtHand.of(job.in(b.resinId()), b, plan.tasks(), workshop));
  }

  /**
   * What to do when A and B did not come out as planned.
   *
   * @param inAG what is really in the cup, g
   * @param inBG what is really in the cup, g
   * @param workshop with every mould that may be filled
   * @throws InvalidValuesException when these are no weights
   */
  public Optional<BatchRescue> rescue(int number, double inAG, double inBG, Workshop workshop) {
    return batch(number).map(b -> BatchRescue.of(job.in(b.resinId()), b, inAG, inBG, workshop));
  }

  /**
   * A cup of the plan with more colour in it than planned.
   *
   * @param workshop with every colourant that may have gone in
   * @return empty when the plan has no such cup
   * @throws InvalidValuesException when a colourant is not in the workshop
   */
  public Optional<BenchTally> tally(
      CupId cupId, List<BenchTally.AddedColour> added, Workshop workshop) {
    Map<String, Colourant> colourants = new HashMap<>();
    workshop.colourants().forEach(c -> colourants.put(c.id(), c));
    job.used().colourants().forEach(c -> colourants.put(c.id(), c));
    Check check = new Check();
    for (int i = 0; i < added.size(); i++) {
      String id = added.get(i).colourantId();
      check.that(
          colourants.containsKey(id),
          Problem.of("added[" + i + "].colourantId", Problem.Code.UNKNOWN_ID, id));
    }
    check.orThrow();
    return plan.batches().stream()
        .flatMap(b ->
            b.cups().stream()
                .filter(c -> c.id().equals(cupId))
                .map(c -> BenchTally.of(job.in(b.resinId()), c, added, colourants)))
        .findFirst();
  }

  /**
   * The curve behind a moment of the plan.
   *
   * @param body address: {@code cup/1.2} for a cup as it is emptied, {@code cup/1.2/peakC} for the
   *     same forgotten, {@code pour/1.1.1} for a layer in its mould
   * @return empty when the plan has no such body, or a rule of thumb stands in
   */
  public Optional<CureRun> curve(String body) {
    for (Batch batch : amounts) {
      Map<String, BodyHistory> bodies = new HashMap<>();
      known(laid.states().get(batch.number()))
          .cups()
          .forEach((id, cup) -> {
            bodies.put(new Place.OfCup(id).toString(), cup.body());
            bodies.put(new Place.OfCup(id) + "/peakC", cup.forgottenBody());
            cup.layers().forEach(l -> bodies.put(Place.of(l.pour()).toString(), l.body()));
          });
      BodyHistory history = bodies.get(body);
      if (history != null) {
        return cure.curve(job.in(batch.resinId()).resin(), history);
      }
    }
    return Optional.empty();
  }

  /**
   * How one number of the plan came about: the plan is made once more with somebody writing along.
   *
   * @param quantity address such as {@code cup/1.2/dose/tint-1/massG}
   * @return empty when the plan has no such number
   */
  public Optional<Derivation> explain(String quantity) {
    Recorder recorder = Recorder.on();
    of(job, cure, course, recorder);
    return recorder.derivation(quantity);
  }

  /** How every number that can be opened came about. */
  public List<Derivation> everyDerivation() {
    Recorder recorder = Recorder.on();
    of(job, cure, course, recorder);
    return recorder.derivations();
  }
}
