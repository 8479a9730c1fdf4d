package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.EngineModel;
import calmpour.core.design.Layer;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Felt.Word;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/** The pace of a resin, by looks of which the truth is known. */
class LearnedTimesTest {
  private static final ResinSystem RESIN =
      Samples.resin(
          ResinKind.CASTING, 40, 100, 23, new CureTimes(null, null, null, 24.0, 10.0, 72.0));

  private static Looked between(Double lowest, Double highest) {
    return new Looked("r", null, Looked.Of.FLUID, lowest, highest, 2);
  }

  /** Two looks somewhere about the true moment, as a maker's eye and clock have them. */
  private static Looked evening(Random random, double pace, double sd) {
    double its = pace * Math.exp(sd * random.nextGaussian());
    Double lowest = null;
    Double highest = null;
    for (double look :
        new double[] {0.8 + 0.4 * random.nextDouble(), 0.8 + 0.8 * random.nextDouble()}) {
      if (look < its) {
        lowest = lowest == null ? look : Math.max(lowest, look);
      } else {
        highest = highest == null ? look : Math.min(highest, look);
      }
    }
    return between(lowest, highest);
  }

  /**
   * 500 seeded workshops: 19 bands in 20 hold the truth, and they are narrow enough to be of use.
   */
  @Test
  void itsBandHoldsTheTruthNineteenTimesInTwenty() {
    Random random = new Random(28);
    int holds = 0;
    double[] width = new double[500];
    for (int i = 0; i < width.length; i++) {
      double truth = Math.exp(0.15 * random.nextGaussian());
      double sd = 0.03 + 0.07 * random.nextDouble();
      List<Looked> evenings = new ArrayList<>();
      for (int e = 0; e < 8; e++) {
        evenings.add(evening(random, truth, sd));
      }
      LearnedTimes learned = LearnedTimes.of(evenings);
      holds += learned.lowest() <= truth && truth <= learned.highest() ? 1 : 0;
      width[i] = learned.highest() / learned.lowest();
    }
    assertThat(holds).isBetween(460, 495);
    assertThat(new Percentile().evaluate(width, 50)).as("median width").isBetween(1.1, 1.4);
  }

  /** One cup that was mistaken for another, or a clock that was wrong. */
  @Test
  void oneWrongReadingMovesNothing() {
    List<Looked> evenings = new ArrayList<>();
    for (double off : List.of(0.94, 0.97, 1.0, 1.02, 1.03, 1.06)) {
      evenings.add(between(1.12 * off * 0.98, 1.12 * off * 1.02));
    }
    double before = LearnedTimes.of(evenings).times();
    assertThat(before).isCloseTo(1.12, within(0.02));
    evenings.add(between(2.8, 3.0));
    assertThat(LearnedTimes.of(evenings).times()).isCloseTo(before, within(0.03));
    evenings.add(between(1.3, 1.1));
    LearnedTimes left = LearnedTimes.of(evenings);
    assertThat(left.contradictory()).isOne();
    assertThat(left.evenings()).isEqualTo(7);
  }

  /** The same sums by a library's distribution, for one evening seen from one side. */
  @Test
  void agreesWithALibrarysDistribution() {
    TDistribution student = new TDistribution(3);
    double sum = 0;
    double mean = 0;
    for (double pace = -1.2; pace <= 1.2; pace += 0.001) {
      double prior = Math.exp(-pace * pace / (2 * 0.25 * 0.25));
      double seen = 0;
      for (double sd : new double[] {0.02, 0.04, 0.08, 0.13, 0.2}) {
        seen += student.cumulativeProbability((pace - Math.log(1.1)) / sd);
      }
      sum += prior * seen;
      mean += prior * seen * pace;
    }
    LearnedTimes one = LearnedTimes.of(List.of(between(1.1, null)));
    assertThat(one.enough()).isFalse();
    // The middle lies a little below the mean of what is skewed; both are within a per cent.
    assertThat(Math.log(one.times())).isCloseTo(mean / sum, within(0.03));
    assertThat(one.lowest()).isLessThan(1.1);
  }

  private static Run run(ResinSystem resin) {
    Workshop shop =
        Samples.workshop(resin, List.of(Samples.mould("push", 4, 10.0)), List.of(Colour.CLEAR));
    Session session =
        Samples.session(
            List.of(new Piece("push", 6, List.of(new Layer(Colour.CLEAR.id(), null, null)))));
    WorkedPlan worked = Samples.planner(new EngineModel()).work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  private static RunEvent event(
      Run run, double seconds, RunEvent.Kind kind, String of, String... codes) {
    return new RunEvent(
        kind + " " + of + " " + seconds,
        run.begunAt().plusMillis(Math.round(1000 * seconds)),
        kind,
        of,
        null,
        Arrays.asList(codes),
        null);
  }

  /** As planned, then two looks at the cup and two at a piece at so many times what was planned. */
  private static List<Looked> looked(Run run, double early, double late) {
    Batch batch = run.plan().batches().getFirst();
    Cup cup = batch.cups().getFirst();
    List<RunEvent> events = new ArrayList<>();
    for (Task task : run.plan().tasks()) {
      if (task.hands() && task.kind() != Task.Kind.READY && task.kind() != Task.Kind.DEMOULD) {
        events.add(event(run, task.endSeconds(), RunEvent.Kind.DONE, task.id().text()));
      }
    }
    double met = batch.times().contactSeconds();
    double takes = cup.times().thickensSeconds() - met;
    String of = "CUP/" + cup.id();
    events.add(event(run, met + early * takes, RunEvent.Kind.FELT, of, Word.SYRUP.name()));
    events.add(event(run, met + late * takes, RunEvent.Kind.FELT, of, Word.HONEY.name()));
    Cup.LayerCure layer = cup.follows().layers().getFirst();
    double poured = layer.pouredSeconds();
    double hard = layer.demould().seconds() - poured;
    String piece = "PIECE/" + layer.pourId().into();
    events.add(
        event(run, poured + early * hard, RunEvent.Kind.FELT, piece, Word.NAIL_DENTS.name()));
    events.add(event(run, poured + late * hard, RunEvent.Kind.FELT, piece, Word.HARD.name()));
    return Looked.of(
        run,
        new RunReader(new EngineModel()).lookBack(run, events, run.begunAt().plusSeconds(200_000)));
  }

  @Test
  void looksBoundThePaceOfCupAndPiece() {
    List<Looked> looked = looked(run(RESIN), 1.05, 1.2);
    assertThat(looked).hasSize(2);
    for (Looked each : looked) {
      assertThat(each.lowest()).as(each.of().name()).isCloseTo(1.05, within(0.01));
      assertThat(each.highest()).as(each.of().name()).isCloseTo(1.2, within(0.01));
    }
  }

  /** What is planned with what was taken over is still told beside the label. */
  @Test
  void whatWasTakenOverIsPlannedWithAndLearnedBesideTheLabel() {
    OwnPace.Pace slow = new OwnPace.Pace(1.25, 0.03, 8, LocalDate.of(2026, 11, 28));
    OwnPace.Pace quick = new OwnPace.Pace(0.7, 0.03, 8, LocalDate.of(2026, 11, 28));
    Run label = run(RESIN);
    Run slower = run(RESIN.withOwn(new OwnPace(slow, slow)));
    Run quicker = run(RESIN.withOwn(new OwnPace(null, quick)));
    // This cup is not the label's: it is smaller, and is poured from.
    assertThat(pourable(slower) / pourable(label)).isCloseTo(1.25, within(0.05));
    assertThat(out(slower) / out(label)).isCloseTo(1.25, within(0.05));
    // Never sooner than the label.
    assertThat(out(quicker)).isGreaterThanOrEqualTo(24 * 3_600 - 1);
    for (Looked each : looked(slower, 1, 1.1)) {
      assertThat(each.lowest()).isCloseTo(1.25, within(0.02));
    }
  }

  private static double pourable(Run run) {
    Batch batch = run.plan().batches().getFirst();
    return batch.cups().getFirst().times().thickensSeconds() - batch.times().contactSeconds();
  }

  private static double out(Run run) {
    Cup.LayerCure layer =
        run.plan().batches().getFirst().cups().getFirst().follows().layers().getFirst();
    return layer.demould().seconds() - layer.pouredSeconds();
  }
}
