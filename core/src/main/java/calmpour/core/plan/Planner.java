package calmpour.core.plan;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureRun;
import calmpour.core.derive.Derivation;
import calmpour.core.derive.Recorder;
import calmpour.core.plan.amounts.Amounts;
import calmpour.core.plan.amounts.BatchDraft;
import calmpour.core.plan.amounts.FilledBatch;
import calmpour.core.plan.amounts.Limits;
import calmpour.core.plan.amounts.MixSheet;
import calmpour.core.plan.bench.BatchCard;
import calmpour.core.plan.bench.BenchTally;
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
import calmpour.core.plan.ways.Mends;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.plan.ways.WaysOut;
import calmpour.core.resin.ResinSystem;
import calmpour.core.session.Job;
import calmpour.core.session.JustMix;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colourant;
import calmpour.core.tool.Booking;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Proposes a plan for a session. Depends on nothing but its arguments: the same session and
 * workshop always give the same plan.
 */
public final class Planner {
  /** Courses kept: a screen asks for plan, card and curves of the same session. */
  private static final int MOST_COURSES = 24;

  private final CureModel cure;
  private final Judge judge;
  private final Map<Asked, Arranger.Course> courses =
      new LinkedHashMap<>(MOST_COURSES, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, Arranger.Course> eldest) {
          return size() > MOST_COURSES;
        }
      };

  private record Asked(Session session, Workshop used, List<Booking> bookings) {}

  public Planner(CureModel cure, Judge judge) {
    this.cure = cure;
    this.judge = judge;
  }

  /**
   * @throws InvalidValuesException when the session names what the workshop lacks, or asks for what
   *     no mould can hold
   */
  public Plan plan(Session session, Workshop workshop) {
    return plan(session, workshop, Watch.NOBODY);
  }

  /**
   * The same while somebody waits.
   *
   * @throws InvalidValuesException when the session names what the workshop lacks, or asks for what
   *     no mould can hold
   */
  public Plan plan(Session session, Workshop workshop, Watch watch) {
    Job job = Resolution.of(session, workshop);
    Made made = made(job, course(job, watch), Recorder.off());
    Chance chance =
        ChanceRuns.of(job, cure, made.plan().batches(), made.plan().tasks())
            .chance(ChanceRuns.RUNS);
    Plan plan = made.plan().arranged(chance, made.course().how());
    List<Finding> findings =
        new ArrayList<>(judge.judge(Facts.of(job, cure, plan), () -> ways(job, made)));
    findings.addAll(Sureness.of(job, plan));
    return plan.judged(findings);
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

  private List<Finding.Mend> ways(Job job, Made made) {
    return new Mends(job, changed -> inTime(changed, made.course())).forLatePours();
  }

  /**
   * What stands in the way of a session, and the cheapest changes with which it fits.
   *
   * @throws InvalidValuesException when the session cannot be planned
   */
  public WaysOut.Ways ways(Session session, Workshop workshop, Watch watch) {
    return WaysOut.of(session, workshop, this::plan, watch);
  }

  /**
   * How much each assumed value matters to a plan, one for each that can be varied.
   *
   * @throws InvalidValuesException when the session cannot be planned
   */
  public List<Sensitivity.Weight> assumed(Session session, Workshop workshop) {
    return new Sensitivity(session, workshop, (s, w, watch) -> unjudged(s, w)).weigh();
  }

  /** The plan as it stands before it is judged. */
  private Plan unjudged(Session session, Workshop workshop) {
    Job job = Resolution.of(session, workshop);
    return made(job, course(job), Recorder.off()).plan();
  }

  /** Whether every pour is in time in a session like this one, shared out in the same batches. */
  private boolean inTime(Job changed, Arranger.Course course) {
    if (changed.session().justMix() != null) {
      return made(changed, course, Recorder.off()).plan().spareSeconds() >= 0;
    }
    return Schedule.spare(changed, cure, amounts(changed, fill(changed, course, Recorder.off())))
        >= 0;
  }

  /** How every number that can be opened came about. */
  public List<Derivation> everyDerivation(Session session, Workshop workshop, Watch watch) {
    Recorder recorder = Recorder.on();
    Job job = Resolution.of(session, workshop);
    made(job, course(job, watch), recorder);
    return recorder.derivations();
  }

  /**
   * How one number of the plan came about: the plan is made once more with somebody writing along.
   *
   * @param quantity address such as {@code cup/1.2/dose/tint-1/massG}
   * @return empty when the plan has no such number
   */
  public Optional<Derivation> explain(Session session, Workshop workshop, String quantity) {
    Recorder recorder = Recorder.on();
    Job job = Resolution.of(session, workshop);
    made(job, course(job), recorder);
    return recorder.derivation(quantity);
  }

  /**
   * The curve behind a moment of the plan.
   *
   * @param body address: {@code cup/1.2} for a cup as it is emptied, {@code cup/1.2/peakC} for the
   *     same forgotten, {@code pour/1.1.1} for a layer in its mould
   * @return empty when the plan has no such body, or a rule of thumb stands in
   */
  public Optional<CureRun> curve(Session session, Workshop workshop, String body) {
    Job job = Resolution.of(session, workshop);
    Arranger.Course course = course(job);
    List<Batch> amounts = amounts(job, fill(job, course, Recorder.off()));
    Schedule.Laid laid = Schedule.of(job, cure, amounts, course.notBefore());
    for (Batch batch : amounts) {
      Map<String, BodyHistory> bodies = new HashMap<>();
      laid.states()
          .get(batch.number())
          .cups()
          .forEach((id, cup) -> {
            bodies.put("cup/" + id, cup.body());
            bodies.put("cup/" + id + "/peakC", cup.forgottenBody());
            cup.layers().forEach(l -> bodies.put("pour/" + l.pour().id(), l.body()));
          });
      BodyHistory history = bodies.get(body);
      if (history != null) {
        return cure.curve(job.in(batch.resinId()).resin(), history);
      }
    }
    return Optional.empty();
  }

  /**
   * The card of one batch, for the scale.
   *
   * @param number of the batch, from 1
   * @return empty when the plan has no such batch
   */
  public Optional<BatchCard> card(Session session, Workshop workshop, int number) {
    Job job = Resolution.of(session, workshop);
    Plan plan = made(job, course(job), Recorder.off()).plan();
    return plan.batches().stream()
        .filter(b -> b.number() == number)
        .findFirst()
        .map(b -> BatchCard.of(job.in(b.resinId()), b, plan.tasks()));
  }

  /**
   * A cup of the plan with more colour in it than planned.
   *
   * @return empty when the plan has no such cup
   * @throws InvalidValuesException when a colourant is not in the workshop
   */
  public Optional<BenchTally> tally(
      Session session, Workshop workshop, String cupId, List<BenchTally.AddedColour> added) {
    Job job = Resolution.of(session, workshop);
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
    return made(job, course(job), Recorder.off()).plan().batches().stream()
        .flatMap(b ->
            b.cups().stream()
                .filter(c -> c.id().equals(cupId))
                .map(c -> BenchTally.of(job.in(b.resinId()), c, added, colourants)))
        .findFirst();
  }

  /** What the session really uses of the workshop, to be kept with a saved plan. */
  public static Workshop snapshot(Session session, Workshop workshop) {
    return Resolution.of(session, workshop).used();
  }

  /** A plan and the course it follows. */
  private record Made(Arranger.Course course, Plan plan) {}

  private Made made(Job job, Arranger.Course course, Recorder recorder) {
    List<FilledBatch> filled = fill(job, course, recorder);
    Schedule.Laid laid = Schedule.of(job, cure, amounts(job, filled), course.notBefore());
    List<Batch> batches = new ArrayList<>();
    for (FilledBatch batch : filled) {
      Assembly assembly = new Assembly(job.in(batch.resinId()), cure, recorder);
      batches.add(assembly.batch(batch, laid, laid.tasks()));
    }
    return new Made(course, new Assembly(job, cure, recorder).plan(batches, laid.tasks()));
  }

  private List<Batch> amounts(Job job, List<FilledBatch> filled) {
    return filled.stream().map(b -> new Amounts(job.in(b.resinId())).batch(b)).toList();
  }

  /** Worked out once for a session: the plan, its cards and its curves all ask. */
  private Arranger.Course course(Job job) {
    return course(job, null);
  }

  /**
   * @param watch of somebody who waits for it; null for what a plan of it is asked for afterwards:
   *     then it is the course of that plan, even if it was stopped
   */
  private Arranger.Course course(Job job, @Nullable Watch watch) {
    if (job.session().justMix() != null) {
      return new Arranger.Course(List.of(), 0, new Arranged(1, 0, false, 0));
    }
    Asked asked = new Asked(job.session(), job.used(), job.bookings());
    synchronized (courses) {
      Arranger.Course known = courses.get(asked);
      if (known != null && (watch == null || !known.how().stopped())) {
        return known;
      }
    }
    Arranger.Course found =
        new Arranger(job, cure, watch == null ? Watch.NOBODY : watch, drafts -> day(job, drafts))
            .course();
    synchronized (courses) {
      courses.put(asked, found);
    }
    return found;
  }

  /** What goes wrong in the course of the day; what is wrong with the amounts stays as it is. */
  private Courses.Day day(Job job, List<BatchDraft.Settled> drafts) {
    Arranger.Course course = new Arranger.Course(drafts, 0, new Arranged(0, 0, false, 0));
    List<Batch> amounts = amounts(job, fill(job, course, Recorder.off()));
    return notBefore -> {
      List<Task> tasks = Schedule.of(job, cure, amounts, notBefore).tasks();
      return judge.missedInTime(Facts.of(job, cure, Plan.ofTasks(amounts, tasks)));
    };
  }

  private static List<FilledBatch> fill(Job job, Arranger.Course course, Recorder recorder) {
    List<FilledBatch> filled = new ArrayList<>();
    JustMix mix = job.session().justMix();
    if (mix != null) {
      ResinSystem resin = job.resin();
      double totalG = mix.massG() != null ? mix.massG() : mix.volumeMl() * resin.mixedDensity();
      double largest = new Limits(job).largestMixG();
      int batches = (int) Math.max(job.session().splitInto(), Math.ceil(totalG / largest));
      for (int b = 1; b <= batches; b++) {
        filled.add(new MixSheet(job, recorder).justMix(b, totalG / batches));
      }
      return filled;
    }
    for (BatchDraft.Settled draft : course.drafts()) {
      MixSheet sheet = new MixSheet(job.in(draft.resinId()), recorder);
      filled.add(sheet.fill(filled.size() + 1, draft));
    }
    return filled;
  }
}
