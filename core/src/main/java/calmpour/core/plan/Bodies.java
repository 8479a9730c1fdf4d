package calmpour.core.plan;

import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyHistory.Segment;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.TintShift;
import calmpour.core.habit.Mixing;
import calmpour.core.resin.WeighOut;
import calmpour.core.session.Job;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * The bodies of resin that one batch becomes: mixed in one cup, split into others that are emptied
 * pour by pour, and what lies in the moulds. Seconds count from the first step of the session.
 */
final class Bodies {
  /** Nothing is ever poured out to nothing: what clings is more than that, g. */
  private static final double LEAST_G = 1e-3;

  private final Job job;
  private final MixSheet.FilledBatch batch;
  private final int contact;

  /**
   * @param contact when A meets B
   */
  Bodies(Job job, MixSheet.FilledBatch batch, int contact) {
    this.job = job;
    this.batch = batch;
    this.contact = contact;
  }

  /** Temperature of A and B when they meet, °C. */
  static double startC(Job job) {
    Mixing mixing = job.session().habits().mixing();
    double shareA = WeighOut.shareA(job.resin(), mixing.extraAPercent());
    return mixing.startC(job.session().room().temperatureC(), shareA);
  }

  /** A cup from which nothing is ever poured. */
  BodyHistory forgotten(MixSheet.FilledCup cup, int filledAt) {
    List<Segment> segments = new ArrayList<>(untilFilled(filledAt));
    segments.add(inCup(cup, Milligrams.grams(cup.contentMg())));
    return new BodyHistory(startC(job), segments);
  }

  /**
   * The same cup with what is left in it after every pour. The last one stays in it to the end: its
   * deadline is when it would be too late for it, not for what clings.
   */
  BodyHistory emptied(MixSheet.FilledCup cup, int filledAt, Map<String, HandsLine.Span> pours) {
    List<PourDraft> inOrder = new ArrayList<>(cup.pours());
    inOrder.sort(Comparator.comparingInt(p -> pours.get(p.id()).end()));
    List<Segment> segments = new ArrayList<>(untilFilled(filledAt));
    double leftG = Milligrams.grams(cup.contentMg());
    // Unsplit, the mix is in this cup from the first contact on.
    int from = batch.split() ? filledAt : contact;
    for (PourDraft pour : inOrder.subList(0, Math.max(0, inOrder.size() - 1))) {
      int end = pours.get(pour.id()).end();
      segments.add(inCup(cup, leftG).lasting((end - from) / 60.0));
      leftG = Math.max(LEAST_G, leftG - Milligrams.grams(pour.massMg()));
      from = end;
    }
    segments.add(inCup(cup, leftG));
    return new BodyHistory(startC(job), segments);
  }

  /** One layer as it lies in its cavity, poured at {@code end}. */
  BodyHistory layer(MixSheet.FilledCup cup, int filledAt, PourDraft pour, int end) {
    List<Segment> segments = new ArrayList<>(untilFilled(filledAt));
    int from = batch.split() ? filledAt : contact;
    double contentG = Milligrams.grams(cup.contentMg());
    segments.add(inCup(cup, contentG).lasting((end - from) / 60.0));
    double massG = Milligrams.grams(pour.massMg()) * pour.parts();
    Job.Level level = pour.level();
    BodyShape shape =
        BodyShape.InMould.of(
            job.lines().get(pour.line()).profile(), level.fromMm(), level.toMm(), level.volumeMl());
    segments.add(new Segment(0, massG, shape, room()).tinted(TintShift.of(cup.tint())));
    return new BodyHistory(startC(job), segments);
  }

  private double room() {
    return job.session().room().temperatureC();
  }

  private List<Segment> untilFilled(int filledAt) {
    if (!batch.split()) {
      return List.of();
    }
    double totalG = Milligrams.grams(batch.totalMg());
    BodyShape shape = batch.mixingCup().holding(totalG / job.resin().mixedDensity());
    return List.of(new Segment((filledAt - contact) / 60.0, totalG, shape, room()));
  }

  private Segment inCup(MixSheet.FilledCup cup, double massG) {
    double density = Milligrams.grams(cup.contentMg()) / cup.contentMl();
    Segment clear = new Segment(0, massG, cup.kind().holding(massG / density), room());
    return clear.tinted(TintShift.of(cup.tint()));
  }
}
