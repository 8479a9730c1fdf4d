package calmpour.core.plan;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.cure.CureModel;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.MixSheet;
import calmpour.core.plan.doc.Arranged;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Chance;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.search.Arranger;
import calmpour.core.plan.search.ChanceRuns;
import calmpour.core.plan.search.Courses;
import calmpour.core.plan.search.Watch;
import calmpour.core.plan.time.Schedule;
import calmpour.core.plan.time.Spare;
import calmpour.core.plan.ways.Mends;
import calmpour.core.plan.ways.Plans;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.plan.ways.Ways;
import calmpour.core.plan.ways.WaysOut;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.util.ArrayList;
import java.util.List;

/**
 * Proposes a plan for a session. Depends on nothing but its arguments: the same session and
 * workshop always give the same plan. Remembers nothing; whoever asks keeps what was worked out.
 */
public final class Planner {
  private final CureModel cure;
  private final Judge judge;

  public Planner(CureModel cure, Judge judge) {
    this.cure = cure;
    this.judge = judge;
  }

  /**
   * @throws InvalidValuesException when the session names what the workshop lacks, or asks for what
   *     no mould can hold
   */
  public WorkedPlan work(Session session, Workshop workshop) {
    return work(Resolution.of(session, workshop), Watch.NOBODY);
  }

  /**
   * A plan while somebody waits for it.
   *
   * @param job the session with everything it names
   * @throws InvalidValuesException when it would take an absurd number of batches
   */
  public WorkedPlan work(Job job, Watch watch) {
    WorkedPlan worked = unjudged(job, watch);
    Plan plan = worked.plan();
    Chance chance = ChanceRuns.of(job, cure, plan.batches(), plan.tasks()).chance(ChanceRuns.RUNS);
    Plan arranged = plan.arranged(chance, worked.course().how());
    List<Finding> findings =
        new ArrayList<>(
            judge.judge(
                Facts.of(job, cure, arranged),
                () -> new Mends(job, changed -> inTime(changed, worked.course())).forLatePours()));
    findings.addAll(Sureness.of(job, arranged));
    return worked.judged(arranged, findings);
  }

  /** The plan alone. */
  public Plan plan(Session session, Workshop workshop) {
    return work(session, workshop).plan();
  }

  /** The plan alone, while somebody waits for it. */
  public Plan plan(Session session, Workshop workshop, Watch watch) {
    return work(Resolution.of(session, workshop), watch).plan();
  }

  /** What the session really uses of the workshop, to be kept with a saved plan. */
  public static Workshop snapshot(Session session, Workshop workshop) {
    return Resolution.of(session, workshop).used();
  }

  /**
   * What is wrong with a plan of this session, whoever made it; what it says of states is not
   * believed.
   *
   * @throws InvalidValuesException when it is not a plan of this session
   */
  public List<Finding> audit(Session session, Workshop workshop, Plan plan) {
    Job job = Resolution.of(session, workshop);
    PlanCheck.orThrow(job, plan);
    return judge.judge(Facts.of(job, cure, plan), List::of);
  }

  /**
   * What stands in the way of a session, and the cheapest changes with which it fits.
   *
   * @param plans by whom the changed sessions are planned: this planner, or whoever remembers them
   * @throws InvalidValuesException when the session cannot be planned
   */
  public static Ways ways(Session session, Workshop workshop, Plans plans, Watch watch) {
    return WaysOut.of(session, workshop, plans, watch);
  }

  /**
   * How much each assumed value matters to a plan, one for each that can be varied.
   *
   * @throws InvalidValuesException when the session cannot be planned
   */
  public List<Sensitivity.Weight> assumed(Session session, Workshop workshop) {
    Plans plans = (s, w, watch) -> unjudged(Resolution.of(s, w), watch).plan();
    return new Sensitivity(session, workshop, plans).weigh();
  }

  /** The same before it is judged: for whoever asks for its numbers alone. */
  public WorkedPlan unjudged(Job job, Watch watch) {
    return WorkedPlan.of(job, cure, course(job, watch), Recorder.off());
  }

  private Arranger.Course course(Job job, Watch watch) {
    if (job.session().justMix() != null) {
      return new Arranger.Course(List.of(), 0, new Arranged(1, 0, false, 0));
    }
    return new Arranger(job, cure, watch, drafts -> day(job, drafts)).course();
  }

  /** Whether every pour is in time in a session like this one, shared out in the same batches. */
  private boolean inTime(Job changed, Arranger.Course course) {
    if (changed.session().justMix() != null) {
      return WorkedPlan.of(changed, cure, course, Recorder.off()).plan().spareSeconds() >= 0;
    }
    return Spare.of(changed, cure, amounts(changed, course.drafts())) >= 0;
  }

  /** What goes wrong in the course of the day; what is wrong with the amounts stays as it is. */
  private Courses.Day day(Job job, List<BatchDraft.Settled> drafts) {
    List<Batch> amounts = amounts(job, drafts);
    return notBefore -> {
      List<Task> tasks = Schedule.of(job, cure, amounts, notBefore).tasks();
      return judge.missedInTime(Facts.of(job, cure, Plan.ofTasks(amounts, tasks)));
    };
  }

  private static List<Batch> amounts(Job job, List<BatchDraft.Settled> drafts) {
    return Amounts.all(job, MixSheet.all(job, drafts, Recorder.off()));
  }
}
