package calmpour.core.plan;

import static calmpour.core.check.Known.known;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureModel;
import calmpour.core.cure.CureStates;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.CavityId;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.CupId;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.LineLayer;
import calmpour.core.plan.doc.PieceGroup;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.plan.time.BatchStates;
import calmpour.core.plan.time.BatchWork;
import calmpour.core.plan.time.Bodies;
import calmpour.core.plan.time.Chain;
import calmpour.core.plan.time.Filled;
import calmpour.core.plan.time.FollowUps;
import calmpour.core.plan.time.PieceTasks;
import calmpour.core.plan.time.PourOrder;
import calmpour.core.plan.time.Presence;
import calmpour.core.plan.time.Times;
import calmpour.core.plan.time.Window;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * What follows from a plan's amounts and from the times of its tasks, whoever made it: how every
 * cup thickens, what has to be done when, when the maker is there. Nothing that the plan itself
 * says of states is believed.
 */
public final class Facts {
  private final Job job;
  private final Plan plan;
  private final CureModel cure;
  private final Times times;
  private final Presence presence;
  private final Filled filled;
  private final Map<CupId, CupEnds> cups = new HashMap<>();
  private final List<Task> expected = new ArrayList<>();

  /**
   * When a cup's working time ends, seconds from the first step.
   *
   * @param earliestSeconds as early as it comes, 19 times in 20
   */
  public record CupEnds(int seconds, int earliestSeconds) {}

  private Facts(Job job, CureModel cure, Plan plan) {
    this.job = job;
    this.plan = plan;
    this.filled = new Filled(plan.batches());
    this.cure = cure;
    this.times = Times.of(plan.tasks());
    this.presence = new Presence(job.session());
  }

  public static Facts of(Job job, CureModel cure, Plan plan) {
    Facts facts = new Facts(job, cure, plan);
    facts.follow();
    return facts;
  }

  public Job job() {
    return job;
  }

  public Plan plan() {
    return plan;
  }

  public CureModel cure() {
    return cure;
  }

  /** With the resin of a batch at hand. */
  public JobInResin job(Batch batch) {
    return job.in(batch.resinId());
  }

  /** What a plan of these amounts has to do, each with what it waits for at these times. */
  public List<Task> expected() {
    return expected;
  }

  /** The plan's task of that id. */
  public Optional<Task> task(TaskId id) {
    return Optional.ofNullable(times.task(id));
  }

  /** The moment that a lag counts from; null when the plan has no such thing. */
  public @Nullable Integer moment(Lag lag) {
    return times.moment(lag);
  }

  /** When A and B of a batch meet, seconds from the first step. */
  public int contact(Batch batch) {
    return times.contact(batch.number());
  }

  /** All of a batch as if it stayed in its mixing cup. */
  public BodyHistory mixed(Batch batch) {
    return new Bodies(job(batch), batch, times).mixed();
  }

  /** Whether A and B of a batch ever meet in this plan. */
  public boolean mixes(Batch batch) {
    return times.task(TaskId.batch(batch.number(), Task.Kind.WEIGH_FIRST)) != null;
  }

  /** The cups whose colours meet in one more cup, layer by layer. */
  public List<List<Cup>> gathered(Batch batch) {
    return List.copyOf(BatchWork.gatheredCups(job(batch), batch).values());
  }

  /** Cups and cavities that nobody else can be at while a task is done, as the plan names them. */
  public List<String> uses(Task task) {
    return task.hands() && Chain.atCups(task.kind()) ? Chain.uses(task) : List.of();
  }

  public CupEnds ends(Cup cup) {
    return known(cups.get(cup.id()));
  }

  /** Whether the maker is there all the while, seconds from the first step. */
  public boolean there(int fromSeconds, int toSeconds) {
    return presence.there(fromSeconds, toSeconds);
  }

  /** Pieces of a line that have everything in common. */
  public List<PieceGroup> groups(int line) {
    return filled.groups(line, job.lines().get(line).piece().count());
  }

  /**
   * Until when pieces keep their cavities.
   *
   * @return end of demoulding, or of the plan's last task where it never comes to that
   */
  public int keepCavitiesUntil(PieceGroup group) {
    if (job.lines().get(group.line()).stays()) {
      return Integer.MAX_VALUE;
    }
    Task out = times.task(group.taskId(Task.Kind.DEMOULD));
    return out != null
        ? out.endSeconds()
        : plan.tasks().stream().mapToInt(Task::endSeconds).max().orElse(0);
  }

  private void follow() {
    PieceTasks pieces = new PieceTasks(job);
    expected.addAll(pieces.before());
    Set<CavityId> begun = new HashSet<>();
    List<Task> later = new ArrayList<>();
    for (Batch batch : plan.batches()) {
      JobInResin inResin = job.in(batch.resinId());
      BatchStates states = BatchStates.of(inResin, cure, batch, times);
      int contact = times.contact(batch.number());
      states
          .cups()
          .forEach((id, cup) -> {
            CureStates.Moment ends = cup.states().workingTimeEnds();
            cups.put(
                id,
                new CupEnds(
                    Window.down(contact, ends.minutes()),
                    Window.down(contact, ends.earliestMinutes())));
          });
      BatchWork work = new BatchWork(inResin, batch);
      FollowUps next = new FollowUps(inResin, batch, states, times);
      Map<TaskId, List<Lag>> deadlines = next.deadlines();
      List<Task> its = pieces.prepared(batch, work.tasks(order(batch), filled), begun);
      for (Task task : its) {
        List<Lag> more = new ArrayList<>(afterAll(batch, task));
        more.addAll(deadlines.getOrDefault(task.id(), List.of()));
        expected.add(task.and(more));
      }
      filled.put(batch, states, times);
      next.lateEmbeds().forEach(e -> expected.add(pieces.prepared(e)));
      later.addAll(next.cures());
      later.addAll(next.nudges(times));
      later.addAll(next.looks());
    }
    expected.addAll(later);
    List<PieceGroup> taken = new ArrayList<>();
    for (int l = 0; l < job.lines().size(); l++) {
      for (PieceGroup group : groups(l)) {
        List<Task> out = pieces.demould(group, filled, times);
        expected.addAll(out);
        expected.addAll(pieces.finishing(group, filled, !out.isEmpty()));
        if (!out.isEmpty()) {
          taken.add(group);
        }
      }
    }
    pieces.mouldsAway(taken).ifPresent(expected::add);
  }

  /** The pours as the plan does them, with the embeds between halves where they have to be. */
  private List<PourOrder.Step> order(Batch batch) {
    List<PourOrder.Step.PourStep> pours = new ArrayList<>();
    for (Cup cup : batch.cups()) {
      cup.pours().forEach(p -> pours.add(new PourOrder.Step.PourStep(cup, p)));
    }
    pours.sort(
        Comparator.comparingInt((PourOrder.Step.PourStep p) -> {
          Task task = times.task(TaskId.pour(p.pour().id()));
          return task == null ? Integer.MAX_VALUE : task.startSeconds();
        }));
    // From the floor up within each cavity, whatever the plan does: that is what is judged.
    Map<CavityId, List<PourOrder.Step.PourStep>> byCavity = new LinkedHashMap<>();
    pours.forEach(
        p -> byCavity.computeIfAbsent(CavityId.of(p.pour()), k -> new ArrayList<>()).add(p));
    byCavity
        .values()
        .forEach(c ->
            c.sort(
                Comparator.comparingInt((PourOrder.Step.PourStep p) -> p.pour().layer())
                    .thenComparingInt(p -> p.pour().half())));
    List<PourOrder.Step> order = new ArrayList<>();
    Set<LineLayer> embedded = new HashSet<>();
    for (PourOrder.Step.PourStep slot : pours) {
      PourOrder.Step.PourStep next = known(byCavity.get(CavityId.of(slot.pour()))).remove(0);
      LineLayer at = LineLayer.of(next.pour());
      if (next.pour().half() == 2 && embedded.add(at)) {
        order.add(new PourOrder.Step.EmbedStep(at));
      }
      order.add(next);
    }
    return order;
  }

  /** What is done for the moulds together comes after every one of them is poured. */
  private static List<Lag> afterAll(Batch batch, Task task) {
    boolean together = task.kind() == Task.Kind.BUBBLE_PASS || task.kind() == Task.Kind.CLEAN_UP;
    return together
        ? batch.cups().stream()
            .flatMap(c -> c.pours().stream())
            .map(p -> Lag.after(TaskId.pour(p.id())))
            .toList()
        : List.of();
  }
}
