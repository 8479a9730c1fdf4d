package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.CureStates;
import calmpour.core.cure.EngineModel;
import calmpour.core.practice.SetUp;
import calmpour.core.practice.Timing;
import calmpour.core.practice.Timing.TimingEvent;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.OwnPace;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import calmpour.core.run.Felt.Word;
import calmpour.core.session.Workshop;
import calmpour.core.stock.Lot;
import calmpour.core.stock.ResinPart;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;

/** The pace of single lots, and of a resin that is timed for its own sake. */
class LearnedPaceTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 28);
  private static final ResinSystem RESIN =
      Samples.resin(
          ResinKind.CASTING, 40, 100, 23, new CureTimes(null, null, null, 24.0, 10.0, 72.0));

  private static Looked evening(Random random, String lot, double pace) {
    double its = pace * Math.exp(0.05 * random.nextGaussian());
    return new Looked("r", lot, Looked.Of.FLUID, its * 0.97, its * 1.03, 2);
  }

  /**
   * 500 seeded workshops with an old lot and a new one of three evenings, each with its own truth.
   */
  @Test
  void theBandOfALotHoldsItsTruthNineteenTimesInTwenty() {
    Random random = new Random(29);
    int holds = 0;
    double[] width = new double[500];
    for (int i = 0; i < width.length; i++) {
      double resin = 0.15 * random.nextGaussian();
      double old = Math.exp(resin + OwnPace.LOT_SD * random.nextGaussian());
      double fresh = Math.exp(resin + OwnPace.LOT_SD * random.nextGaussian());
      List<Looked> looks = new ArrayList<>();
      for (int e = 0; e < 9; e++) {
        looks.add(evening(random, e < 6 ? "old" : "fresh", e < 6 ? old : fresh));
      }
      LearnedPace learned = LearnedPace.of(looks, true);
      LearnedTimes its =
          learned.lots().stream()
              .filter(l -> l.lot().equals("fresh"))
              .findFirst()
              .orElseThrow()
              .learned();
      assertThat(its.enough()).isTrue();
      holds += its.lowest() <= fresh && fresh <= its.highest() ? 1 : 0;
      width[i] = its.highest() / its.lowest();
    }
    assertThat(holds).isBetween(460, 495);
    assertThat(new Percentile().evaluate(width, 50)).as("median width").isBetween(1.1, 1.35);
  }

  /**
   * A slow lot is told as slow, the others are not; where bottles are not known apart, no lot is.
   */
  @Test
  void aSlowLotIsTold() {
    Random random = new Random(3);
    List<Looked> looks = new ArrayList<>();
    List<Looked> nameless = new ArrayList<>();
    for (int e = 0; e < 16; e++) {
      boolean slow = e % 2 == 0;
      Looked look = evening(random, slow ? "slow" : "usual", slow ? 1.35 : 1.1);
      looks.add(look);
      nameless.add(new Looked("r", null, look.of(), look.lowest(), look.highest(), 2));
    }
    LearnedPace learned = LearnedPace.of(looks, true);
    assertThat(learned.lots())
        .extracting(LearnedPace.LotPace::lot)
        .containsExactly("slow", "usual");
    assertThat(learned.lots().get(0).learned().times()).isCloseTo(1.35, within(0.05));
    assertThat(learned.lots().get(1).learned().times()).isCloseTo(1.1, within(0.05));
    assertThat(LearnedPace.of(nameless, true).lots()).isEmpty();
    // Taken over, each lot keeps its own; of a bottle nobody knows the span is wider.
    OwnPace own = learned.takenBy(RESIN, Looked.Of.FLUID, DAY).own();
    assertThat(own.with("slow").fluid().times()).isCloseTo(1.35, within(0.05));
    assertThat(own.with("another").fluid().times()).isEqualTo(own.fluid().times());
    assertThat(own.with("another").fluid().sd()).isGreaterThan(OwnPace.LOT_SD);
    assertThat(own.with("slow").fluid().sd()).isLessThan(OwnPace.LOT_SD);
    assertThat(learned.differsFromWhatIsPlannedWith(RESIN.withOwn(own), Looked.Of.FLUID)).isFalse();
    assertThat(learned.differsFromWhatIsPlannedWith(RESIN, Looked.Of.FLUID)).isTrue();
    // What was learned of the other pace stays, and putting this one back leaves nothing of it.
    ResinSystem both = learned.takenBy(RESIN.withOwn(own), Looked.Of.HARD, DAY);
    ResinSystem hard = LearnedPace.forgotten(both, Looked.Of.FLUID);
    assertThat(hard.ofLot("slow").ownFluid()).isNull();
    assertThat(hard.ofLot("slow").ownHard()).isEqualTo(both.ofLot("slow").ownHard());
    assertThat(LearnedPace.forgotten(hard, Looked.Of.HARD).own()).isNull();
  }

  /** What was only assumed is believed less: the same three evenings move it further. */
  @Test
  void anAssumedTimeIsBelievedLess() {
    List<Looked> looks = new ArrayList<>();
    for (int e = 0; e < 3; e++) {
      looks.add(new Looked("r", null, Looked.Of.FLUID, 1.8, null, 1));
    }
    assertThat(LearnedPace.of(looks, false).all().times())
        .isGreaterThan(LearnedPace.of(looks, true).all().times());
    assertThat(LearnedPace.isTold(RESIN, Looked.Of.FLUID)).isTrue();
    assertThat(LearnedPace.isTold(RESIN.withTimes(null), Looked.Of.HARD)).isFalse();
  }

  private static Timing timing(Workshop shop, SetUp setUp, List<TimingEvent> told) {
    Instant met = Instant.parse("2026-11-28T18:00:00Z");
    return new Timing(setUp, Timing.usedBy(setUp, shop), met, "Europe/London", told);
  }

  private static SetUp sheet(double roomC) {
    return new SetUp(
        RESIN.id(),
        100,
        null,
        roomC,
        null,
        null,
        3,
        0,
        0,
        1,
        null,
        SetUp.Lies.SHEET,
        null,
        null,
        null,
        10.0,
        null,
        null,
        null,
        null);
  }

  private static TimingEvent at(double minutes, TimingEvent.Kind kind, boolean piece, Word word) {
    Instant at = Instant.parse("2026-11-28T18:00:00Z").plusMillis(Math.round(minutes * 60_000));
    return Timing.event(kind + " " + minutes, at, kind, piece, word, null);
  }

  private static List<Looked> says(Timing timing) {
    Timing.Expected expected = timing.expected(new EngineModel());
    List<Looked.Touched> touched =
        timing.standing().stream()
            .filter(e -> e.word() != null)
            .map(e -> new Looked.Touched(e.word(), e.piece(), timing.minutes(e.at())))
            .toList();
    return Looked.of(
        timing.ofLot(),
        timing.lot(),
        expected.cup(),
        timing.pouredAt().isEmpty() ? null : expected.piece(),
        expected.pouredMinutes(),
        touched);
  }

  /** Mixed as on its label: 100 g at 23 °C is too thick after its 40 minutes, by that label. */
  @Test
  void aResinIsTimedBesideItsLabel() {
    Workshop shop = Samples.workshop(RESIN, List.of(), List.of());
    Timing begun = timing(shop, sheet(23), List.of());
    Timing.Expected expected = begun.expected(new EngineModel());
    assertThat(expected.cup().workingTimeEnds().minutes()).isCloseTo(40, within(1.0));
    double poured = 6;
    TimingEvent felt = at(44, TimingEvent.Kind.FELT, false, Word.SYRUP);
    List<TimingEvent> told =
        new ArrayList<>(
            List.of(
                at(poured, TimingEvent.Kind.POURED, false, null),
                felt,
                at(48, TimingEvent.Kind.FELT, false, Word.HONEY)));
    CureStates piece = timing(shop, sheet(23), told).expected(new EngineModel()).piece();
    double hard = piece.demould().minutes() - poured;
    // Never sooner than the label's own 24 h at this depth.
    assertThat(hard).isGreaterThanOrEqualTo(24 * 60 - 1);
    told.add(at(poured + 1.02 * hard, TimingEvent.Kind.FELT, true, Word.NAIL_DENTS));
    told.add(at(poured + 1.2 * hard, TimingEvent.Kind.FELT, true, Word.HARD));
    List<Looked> says = says(timing(shop, sheet(23), told));
    assertThat(says).hasSize(2);
    double thick = expected.cup().workingTimeEnds().minutes();
    assertThat(says.get(0).lowest()).isCloseTo(44 / thick, within(0.01));
    assertThat(says.get(0).highest()).isCloseTo(48 / thick, within(0.01));
    assertThat(says.get(1).lowest()).isCloseTo(1.02, within(0.01));
    assertThat(says.get(1).highest()).isCloseTo(1.2, within(0.01));
    told.add(Timing.event("back", felt.at(), TimingEvent.Kind.UNDONE, false, null, felt.id()));
    // Honey says no more than that a thread does not hold yet.
    assertThat(says(timing(shop, sheet(23), told)).get(0).lowest()).isLessThan(1);
  }

  /** What is planned with a lot at hand is its own pace; the timing knows which lot it was. */
  @Test
  void theLotThatIsOpenIsTheOneThatCounts() {
    OwnPace.Pace usual = new OwnPace.Pace(1.1, 0.02, 8, DAY);
    OwnPace.Pace slow = new OwnPace.Pace(1.4, 0.02, 8, DAY);
    ResinSystem resin =
        RESIN
            .withPartAId("a")
            .withPartBId("b")
            .withOwn(new OwnPace(usual, null, List.of(new OwnPace.OfLot("A1 + B2", slow, null))));
    Workshop shop =
        Samples.workshop(resin, List.of(), List.of())
            .withParts(
                List.of(
                    part("a", ResinPart.Side.A, new Lot("A1", DAY.minusDays(3), null, null, null)),
                    part(
                        "b",
                        ResinPart.Side.B,
                        new Lot("B1", DAY.minusDays(90), 0.0, null, null),
                        new Lot("B3", DAY.plusDays(1), null, null, null),
                        new Lot("B2", DAY.minusDays(1), null, null, null))));
    Timing timing = timing(shop, sheet(23), List.of());
    assertThat(timing.lot()).isEqualTo("A1 + B2");
    assertThat(timing.expected(new EngineModel()).cup().workingTimeEnds().minutes())
        .isCloseTo(56, within(2.0));
    Looked felt =
        says(timing(shop, sheet(23), List.of(at(56, TimingEvent.Kind.FELT, false, Word.HONEY))))
            .getFirst();
    assertThat(felt.lot()).isEqualTo("A1 + B2");
    // Told beside the label, not beside what is planned with.
    assertThat(felt.highest()).isCloseTo(1.4, within(0.05));
  }

  private static ResinPart part(String id, ResinPart.Side side, Lot... lots) {
    return new ResinPart(id, id, side, null, null, null, List.of(lots));
  }
}
