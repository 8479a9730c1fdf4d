package calmpour.core.plan.time;

import static calmpour.core.check.Known.known;

import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyHistory.Segment;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.TintShift;
import calmpour.core.design.PieceWork;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.session.Job;
import calmpour.core.session.JobInResin;
import calmpour.core.tint.Tint;
import calmpour.core.tool.Tool;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * The bodies of resin that one batch becomes: mixed in one cup, split into others that are emptied
 * pour by pour, and what lies in the moulds. Everything is read off amounts and times, so a plan
 * made by hand is followed in the same way as one of ours.
 */
public final class Bodies {
  /** Nothing is ever poured out to nothing: what clings is more than that, g. */
  private static final double LEAST_G = 1e-3;

  private final JobInResin job;
  private final Batch batch;
  private final Times times;
  private final int contact;

  /** */
  public Bodies(JobInResin job, Batch batch, Times times) {
    this.job = job;
    this.batch = batch;
    this.times = times;
    this.contact = times.contact(batch.number());
  }

  /** A mass that stays in a cup from the first contact on. */
  public static BodyHistory alone(JobInResin job, CupKind kind, double massG, Tint tint) {
    Segment segment =
        new Segment(
            0, massG, kind.holding(massG / tint.mixDensity()), job.session().room().temperatureC());
    return new BodyHistory(job.startC(), List.of(segment.tinted(TintShift.of(tint))));
  }

  /** A cup from which nothing is ever poured. */
  BodyHistory forgotten(Cup cup) {
    List<Segment> segments = new ArrayList<>(untilFilled(cup));
    segments.add(inCup(cup, cup.amounts().contentG()));
    return inRoom(segments);
  }

  /**
   * The same cup with what is left in it after every pour. The last one stays in it to the end: its
   * deadline is when it would be too late for it, not for what clings.
   */
  public BodyHistory emptied(Cup cup) {
    List<Cup.Pour> inOrder = inOrder(cup);
    return poured(cup, inOrder.subList(0, Math.max(0, inOrder.size() - 1)));
  }

  /** The same cup if nothing more is poured from it than its pours say. */
  public BodyHistory leftStanding(Cup cup) {
    return poured(cup, inOrder(cup));
  }

  private List<Cup.Pour> inOrder(Cup cup) {
    List<Cup.Pour> inOrder = new ArrayList<>(cup.pours());
    inOrder.sort(Comparator.comparingInt(this::end));
    return inOrder;
  }

  private BodyHistory poured(Cup cup, List<Cup.Pour> pours) {
    List<Segment> segments = new ArrayList<>(untilFilled(cup));
    double leftG = cup.amounts().contentG();
    int from = from(cup);
    for (Cup.Pour pour : pours) {
      int end = Math.max(from, end(pour));
      segments.add(inCup(cup, leftG).lasting((end - from) / 60.0));
      leftG = Math.max(LEAST_G, leftG - pour.massG());
      from = end;
    }
    segments.add(inCup(cup, leftG));
    return inRoom(segments);
  }

  /** All of a batch, mixed and left in its mixing cup. */
  public BodyHistory mixed() {
    Tint clear = Tint.within(List.of(), List.of(), job.resin().mixedDensity(), List.of());
    return job.room()
        .of(alone(job, batch.mixing().cup(), batch.measuring().totalG(), clear), contact);
  }

  /** The whole layer as it lies in its cavity, or the coat on its piece, once this is poured. */
  public BodyHistory layer(Cup cup, Cup.Pour pour) {
    List<Segment> segments = new ArrayList<>(untilFilled(cup));
    int end = Math.max(from(cup), end(pour));
    segments.add(inCup(cup, cup.amounts().contentG()).lasting((end - from(cup)) / 60.0));
    Job.Line line = job.lines().get(pour.line());
    Job.Level level = line.level(pour.layer());
    double massG = level.volumeMl() * cup.amounts().contentG() / cup.amounts().contentMl();
    BodyShape shape =
        level.coat()
            ? new BodyShape.Spread(level.coatAreaCm2(), level.volumeMl() / level.coatAreaCm2() * 10)
            : BodyShape.InMould.of(line.profile(), level.fromMm(), level.toMm(), level.volumeMl())
                .in(
                    BodyShape.Around.of(
                        line.mould(), job.session().habits().care().knownStandsOn()));
    Segment lying = new Segment(0, massG, shape, room()).tinted(TintShift.of(cup.stirred(job)));
    Task loaded = times.task(TaskId.batch(batch.number(), Task.Kind.IN_BOX));
    Double boxC = loaded == null ? null : boxC(loaded);
    boolean inBox =
        boxC != null
            && line.piece().workOrNone().curing() == PieceWork.Curing.HOT_BOX
            && pour.layer() == line.levels().size() - 1;
    if (inBox) {
      segments.add(lying.lasting(Math.max(0, known(loaded).startSeconds() - end) / 60.0));
      lying = new Segment(0, massG, shape, known(boxC)).tinted(TintShift.of(cup.stirred(job)));
    }
    segments.add(lying);
    return inRoom(segments);
  }

  private @org.jspecify.annotations.Nullable Double boxC(Task loaded) {
    return job.tools().stream()
        .filter(t -> t.id().equals(loaded.toolId()))
        .map(Tool::temperatureC)
        .filter(java.util.Objects::nonNull)
        .findFirst()
        .orElse(null);
  }

  private int end(Cup.Pour pour) {
    return times.end(TaskId.pour(pour.id()));
  }

  /** Unsplit, the mix is in this cup from the first contact on. */
  private int from(Cup cup) {
    return batch.split() ? Math.max(contact, times.filled(batch.number(), cup.id())) : contact;
  }

  private BodyHistory inRoom(List<Segment> segments) {
    return job.room().of(new BodyHistory(job.startC(), segments), contact);
  }

  private double room() {
    return job.session().room().temperatureC();
  }

  private List<Segment> untilFilled(Cup cup) {
    if (!batch.split()) {
      return List.of();
    }
    BodyShape shape =
        batch.mixing().cup().holding(batch.measuring().totalG() / job.resin().mixedDensity());
    return List.of(
        new Segment((from(cup) - contact) / 60.0, batch.measuring().totalG(), shape, room()));
  }

  private Segment inCup(Cup cup, double massG) {
    double density = cup.amounts().contentG() / cup.amounts().contentMl();
    Segment clear = new Segment(0, massG, cup.kind().holding(massG / density), room());
    return clear.tinted(TintShift.of(cup.stirred(job)));
  }
}
