package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.design.Fill;
import calmpour.core.design.Join;
import calmpour.core.design.Layer;
import calmpour.core.mould.Cavity;
import calmpour.core.mould.Measured;
import calmpour.core.mould.Mould;
import calmpour.core.mould.OwnFill;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Batch;
import calmpour.core.plan.doc.Cup;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.doc.TaskId;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.run.RunReader;
import calmpour.core.session.Piece;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tint.Colour;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/** What moulds really take, by pours of which the truth is known. */
class FilledTest {
  private static final Mould PUSH = Samples.mould("push", 8, 10.0);
  private static final Layer TO_THE_RIM = new Layer(Colour.CLEAR.id(), null, null);
  private static final Layer HALF = new Layer(Colour.CLEAR.id(), Fill.ofShare(0.5), null);

  private static OwnFill own(double times, double ofMl) {
    return new OwnFill(times, 0.02, 8, LocalDate.of(2026, 11, 28), ofMl);
  }

  private static Mould taking(OwnFill own) {
    return PUSH.with(PUSH.cavities().getFirst().taking(own));
  }

  private static Run run(Mould mould, Layer... layers) {
    Workshop shop = Samples.workshop(Samples.slow(), List.of(mould), List.of(Colour.CLEAR));
    Session session = Samples.session(List.of(new Piece("push", 5, List.of(layers))));
    WorkedPlan worked = Samples.planner().work(session, shop);
    return new Run(session, worked.job().used(), worked.plan(), session.startsAtInstant());
  }

  /**
   * Everything as planned, with so many times the grams in every mould; the first piece is not
   * weighed.
   */
  private static List<Filled> told(Run run, double times) {
    Map<TaskId, Double> grams = new HashMap<>();
    for (Batch batch : run.plan().batches()) {
      for (Cup cup : batch.cups()) {
        cup.pours().stream()
            .filter(p -> p.id().cavity() != 1)
            .forEach(p -> grams.put(TaskId.pour(p.id()), p.massG() * times));
      }
    }
    List<RunEvent> events = new ArrayList<>();
    for (Task task : run.plan().tasks()) {
      if (task.hands() && task.kind() != Task.Kind.READY && task.kind() != Task.Kind.DEMOULD) {
        events.add(
            new RunEvent(
                "e" + events.size(),
                run.begunAt().plusSeconds(task.endSeconds()),
                RunEvent.Kind.DONE,
                task.id().text(),
                grams.get(task.id()),
                List.of(),
                null));
      }
    }
    return Filled.of(
        run,
        new RunReader(new calmpour.core.cure.HalvingRule())
            .lookBack(run, events, run.begunAt().plusSeconds(200_000)));
  }

  @Test
  void weighedPoursSayWhatAMouldTakes() {
    assertThat(told(run(PUSH, TO_THE_RIM), 1.06))
        .singleElement()
        .satisfies(f -> {
          assertThat(f.mouldId()).isEqualTo("push");
          assertThat(f.times()).isCloseTo(1.06, within(1e-6));
          assertThat(f.looks()).isEqualTo(4);
        });
    // Over all layers of a piece, however they were shared out.
    assertThat(told(run(PUSH, HALF, new Layer(Colour.CLEAR.id(), null, Join.TOGETHER)), 0.93))
        .singleElement()
        .satisfies(f -> assertThat(f.times()).isCloseTo(0.93, within(1e-6)));
    // A chosen amount is poured to a figure.
    assertThat(told(run(PUSH, HALF), 1.06)).isEmpty();
  }

  /** What was taken over is planned with, and learned beside the measurement still. */
  @Test
  void whatWasTakenOverIsPlannedWith() {
    Run measured = run(PUSH, TO_THE_RIM);
    Run learned = run(taking(own(1.06, 8)), TO_THE_RIM);
    assertThat(poured(learned) / poured(measured)).isCloseTo(1.06, within(1e-4));
    assertThat(told(learned, 1))
        .singleElement()
        .satisfies(f -> assertThat(f.times()).isCloseTo(1.06, within(1e-6)));
    // Measured anew since then: the measurement counts again.
    assertThat(poured(run(taking(own(1.06, 7.5)), TO_THE_RIM))).isEqualTo(poured(measured));
  }

  private static double poured(Run run) {
    return run.plan().batches().stream()
        .flatMap(b -> b.cups().stream())
        .flatMap(c -> c.pours().stream())
        .mapToDouble(Cup.Pour::massG)
        .sum();
  }

  @Test
  void aCavityTakesSoManyTimesAsMuchAtEveryLevel() {
    Cavity cavity = PUSH.cavities().getFirst();
    Measured measured = cavity.measured();
    Measured taken = cavity.taking(own(0.9, 8)).measured();
    for (double depth : new double[] {0, 0.5, 3, 7.25, 10}) {
      double ml = taken.profile().volumeAtMl(depth);
      assertThat(ml).isCloseTo(0.9 * measured.profile().volumeAtMl(depth), within(1e-9));
      assertThat(taken.profile().depthAtMm(ml)).isCloseTo(depth, within(1e-6));
    }
    assertThat(taken.plusMinusMl()).isCloseTo(0.9 * 8 * 0.04, within(1e-9));
  }

  /**
   * 500 seeded moulds, eight evenings each, one of ten with a reading that is quite wrong: 19 bands
   * in 20 hold the truth.
   */
  @Test
  void itsBandHoldsTheTruthNineteenTimesInTwenty() {
    Random random = new Random(29);
    int holds = 0;
    double[] width = new double[500];
    for (int i = 0; i < width.length; i++) {
      double truth = Math.exp(0.06 * random.nextGaussian());
      double sd = 0.02 + 0.03 * random.nextDouble();
      List<Filled> evenings = new ArrayList<>();
      for (int e = 0; e < 8; e++) {
        double slip = random.nextInt(80) == 0 ? 1.4 : 1;
        double times = truth * slip * Math.exp(sd * random.nextGaussian());
        evenings.add(new Filled("m", "c", times, 4));
      }
      LearnedTimes learned = LearnedTimes.of(evenings);
      holds += learned.lowest() <= truth && truth <= learned.highest() ? 1 : 0;
      width[i] = learned.highest() / learned.lowest();
    }
    assertThat(holds).isBetween(460, 492);
    assertThat(new Percentile().evaluate(width, 50)).as("median width").isBetween(1.02, 1.1);
  }
}
