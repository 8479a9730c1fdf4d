package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.Calibrated.Why;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class CalibrationTest {
  private static ResinSystem resin(ResinKind kind, double potLife, CureTimes times) {
    return Samples.resin(kind, potLife, 100, 23, times);
  }

  private static BodyHistory poured(BodyShape shape, double massG, double... segmentsMinutesC) {
    java.util.ArrayList<BodyHistory.Segment> segments = new java.util.ArrayList<>();
    for (int i = 0; i < segmentsMinutesC.length; i += 2) {
      segments.add(
          new BodyHistory.Segment(segmentsMinutesC[i], massG, shape, segmentsMinutesC[i + 1]));
    }
    return new BodyHistory(segmentsMinutesC[1], segments);
  }

  private static BodyHistory sheet(double depthMm, double... segments) {
    return poured(new BodyShape.Spread(100, depthMm), 11 * depthMm, segments);
  }

  /** A block as wide as deep. */
  private static BodyHistory block(double depthMm, double roomC) {
    return Calibration.piece(ResinKind.CASTING, depthMm, roomC);
  }

  private static double demouldHours(ResinSystem resin, BodyHistory body) {
    return new EngineModel().states(resin, body).demould().minutes() / 60;
  }

  /**
   * A pot life that stands alone is met whatever else is said; a demould time is met, or told to be
   * at odds with it.
   */
  @Property(tries = 60, seed = "20261126")
  void whatIsSaidIsMetOrDoubted(
      @ForAll @DoubleRange(min = 8, max = 300) double potLife,
      @ForAll @DoubleRange(min = 6, max = 72) double demould,
      @ForAll @DoubleRange(min = 3, max = 40) double depthMm,
      @ForAll @DoubleRange(min = 16, max = 32) double meantAtC) {
    CureTimes times = new CureTimes(null, null, null, demould, depthMm, null);
    ResinSystem resin = Samples.resin(ResinKind.CASTING, potLife, 100, meantAtC, times);
    Calibrated label = Calibration.of(resin);
    assertThat(label.chemistry()).isNotNull();
    CureStates cup = new EngineModel().states(resin, Calibration.asLabelled(100, meantAtC));
    assertThat(cup.workingTimeEnds().minutes()).isCloseTo(potLife, within(potLife * 1e-4));
    double comes =
        new EngineModel()
                .curve(resin, Calibration.labelPiece(ResinKind.CASTING, depthMm, meantAtC))
                .orElseThrow()
                .demould()
            / 60;
    boolean doubted =
        label.estimate().facts().stream()
            .anyMatch(m -> m.fact().kind() == ClockFact.Kind.DEMOULD && m.atOdds());
    // Two of its deviations are a fifth.
    assertThat(doubted || !label.refusals().isEmpty() || Math.abs(comes / demould - 1) < 0.24)
        .as("%.0f min, %.1f h said, %.1f comes", potLife, demould, comes)
        .isTrue();
  }

  @Test
  void timesInTheWrongOrderAreRefusedOneByOne() {
    CureTimes soon = new CureTimes(null, null, null, 0.3, null, 72.0);
    Calibrated liquid = Calibration.of(resin(ResinKind.CASTING, 60, soon));
    assertThat(liquid.refusals())
        .extracting(Calibrated.Refusal::why)
        .contains(Why.LIQUID_AT_DEMOULD);
    assertThat(liquid.targets().demould().assumed()).isTrue();
    CureTimes late = new CureTimes(null, null, null, 72.0, null, 20.0);
    Calibrated backwards = Calibration.of(resin(ResinKind.CASTING, 60, late));
    assertThat(backwards.refusals())
        .extracting(Calibrated.Refusal::why)
        .contains(Why.CURED_BEFORE_DEMOULD);
    CureTimes hasty = new CureTimes(null, 0.1, 0.5, null, null, null);
    assertThat(Calibration.of(resin(ResinKind.CASTING, 60, hasty)).refusals())
        .extracting(Calibrated.Refusal::why)
        .containsExactly(Why.LIQUID_AT_RECOAT);
  }

  /**
   * A label that lets the next layer come for so long says what the layer has cured to by then, as
   * long as it has gelled: a polyurethane gels later in its cure than an epoxy.
   */
  @Test
  void aRecoatTimeIsTakenOnlyOfWhatHasGelled() {
    for (ResinKind kind : ResinKind.values()) {
      double potLife = kind == ResinKind.POLYURETHANE ? 6 : kind == ResinKind.DEEP ? 300 : 40;
      CureRun sheet =
          new CureEngine(Calibration.of(resin(kind, potLife, null)).chemistry())
              .run(Calibration.sheet(23), CureEngine.MOST_MINUTES);
      for (double share : new double[] {0.5, 0.8, 0.95, 1.05, 1.3}) {
        double hours = sheet.gels() / 60 * share;
        Calibrated label =
            Calibration.of(
                resin(kind, potLife, new CureTimes(null, null, hours, null, null, null)));
        boolean refused = label.refusals().stream().anyMatch(r -> r.why() == Why.LIQUID_AT_RECOAT);
        assertThat(refused).as("%s at %s of its gel", kind, share).isEqualTo(share < 1);
        assertThat(label.targets().bond().assumed()).isEqualTo(refused);
        assertThat(label.targets().bond().value()).isGreaterThan(label.chemistry().gel());
      }
    }
  }

  private static Calibrated.Refusal refusal(Calibrated label, Why why) {
    return label.refusals().stream().filter(r -> r.why() == why).findFirst().orElseThrow();
  }

  /** What is refused says what was told and what comes out, in the words of the label. */
  @Test
  void aRefusalSaysBothFigures() {
    Calibrated usual = Calibration.of(resin(ResinKind.CASTING, 60, null));
    double sheetGels =
        new CureEngine(usual.chemistry()).run(Calibration.sheet(23), 6_000).gels() / 60;
    Calibrated.Refusal recoat =
        refusal(
            Calibration.of(
                resin(ResinKind.CASTING, 60, new CureTimes(null, 0.1, 0.5, null, null, null))),
            Why.LIQUID_AT_RECOAT);
    assertThat(recoat.value()).isEqualTo(0.5);
    assertThat(recoat.unit()).isEqualTo("h");
    Calibrated.Refusal liquid =
        refusal(
            Calibration.of(
                resin(ResinKind.CASTING, 60, new CureTimes(null, null, null, 0.3, 10.0, null))),
            Why.LIQUID_AT_DEMOULD);
    assertThat(liquid.value()).isCloseTo(0.3, within(1e-9));
    // Looked at no further than a multiple of what was told.
    assertThat(liquid.against()).isBetween(0.3, sheetGels + 1e-9);
    Calibrated.Refusal backwards =
        refusal(
            Calibration.of(
                resin(ResinKind.CASTING, 60, new CureTimes(null, null, null, 72.0, null, 20.0))),
            Why.CURED_BEFORE_DEMOULD);
    assertThat(backwards.value()).isEqualTo(20);
    assertThat(backwards.against()).isEqualTo(72);
    // A block taken out within the day is still warm from its cure; within the week it is not.
    Calibrated.Refusal warm =
        refusal(
            Calibration.of(
                Samples.resin(
                    ResinKind.CASTING,
                    20,
                    100,
                    23,
                    new CureTimes(null, null, null, 1.5, 60.0, null))),
            Why.WARM_AT_DEMOULD);
    assertThat(warm.value()).isGreaterThan(CureEngine.AT_ROOM_K);
    assertThat(warm.unit()).isEqualTo("K");
    assertThat(
            Calibration.of(
                    Samples.resin(
                        ResinKind.CASTING,
                        20,
                        100,
                        23,
                        new CureTimes(null, null, null, 48.0, 60.0, null)))
                .refusals())
        .noneMatch(r -> r.why() == Why.WARM_AT_DEMOULD);
    // Of what is too thick to pour when fresh that is told, and its kind's own hardness stands in.
    Calibrated never =
        Calibration.of(
            Samples.withFacts(
                resin(ResinKind.FAST, 12, null),
                new LabelFacts(
                    null, null, null, 6.0, null, null, null, null, null, null, null, null, null,
                    null)));
    assertThat(refusal(never, Why.TOO_THICK_WHEN_FRESH).against()).isEqualTo(5);
    assertThat(never.chemistry()).isNull();
    assertThat(never.targets().demould().value()).isEqualTo(0.84);
    BodyHistory.Segment sheet = Calibration.sheet(23).last();
    assertThat(sheet.shape()).isInstanceOf(BodyShape.Spread.class);
    BodyShape.Spread spread = (BodyShape.Spread) sheet.shape();
    assertThat(sheet.massG())
        .isCloseTo(spread.areaCm2() * spread.depthMm() / 10 * 1.1, within(1e-9));
  }

  /** Ten seconds to a week: a resin, or a reason; never no number. */
  @Test
  void anyPotLifeIsMetOrRefused() {
    for (double potLife : new double[] {1 / 6.0, 2, 600, 7 * 24 * 60, 30 * 24 * 60}) {
      java.util.ArrayList<Calibrated.Refusal> refusals = new java.util.ArrayList<>();
      Chemistry chemistry =
          Calibration.chemistry(
              resin(ResinKind.CASTING, 40, null),
              potLife,
              Calibration.asLabelled(100, 23),
              refusals);
      assertThat(chemistry == null).isEqualTo(!refusals.isEmpty());
      if (chemistry != null) {
        assertThat(chemistry.lnA()).isFinite();
      }
    }
  }

  /** Common practice, no source: a 12-minute resin is hard within 3 h from 10 to 25 mm. */
  @Test
  void aFastPieceIsHardWithinThreeHours() {
    ResinSystem fast = resin(ResinKind.FAST, 12, null);
    EngineModel model = new EngineModel();
    for (double depthMm : new double[] {10, 15, 25}) {
      assertThat(model.curve(fast, block(depthMm, 23)).orElseThrow().demould())
          .as(depthMm + " mm")
          .isLessThan(3 * 60.0);
    }
    assertThat(model.curve(fast, sheet(1, 0, 20)).orElseThrow().demould()).isGreaterThan(3 * 60.0);
    // What a plan goes by is later where the label says nothing: 6 h at 23 °C, by its kind.
    assertThat(demouldHours(fast, block(25, 23))).isCloseTo(6, within(1e-6));
  }

  /** Common practice, no source: 8 × 40 mm of a 45-minute resin take a gel join from about 3 h. */
  @Test
  void aSmallLayerGelsInAboutThreeHours() {
    ResinSystem slow = resin(ResinKind.CASTING, 45, null);
    double volumeMl = Math.PI / 4 * 4 * 4 * 0.8;
    BodyShape layer = BodyShape.InMould.round(volumeMl, 8, Math.PI / 4 * 16, Math.PI / 4 * 16);
    BodyHistory body = poured(layer, volumeMl * 1.1, 0, 22);
    assertThat(new EngineModel().states(slow, body).gels().minutes() / 60).isBetween(2.5, 3.7);
  }

  /**
   * Common practice, no source: blocks of a slow deep resin in a wooden form are hard after 24 to
   * 48 h at 100 mm and 16 to 24 h at 150 mm, a 3 mm sheet after up to 72 h, a third more or less.
   * Taken as a pot life of 8 h for 300 g at 23 °C.
   */
  @Test
  void aDeepResinCuresTheSoonerTheDeeper() {
    ResinSystem deep = Samples.resin(ResinKind.DEEP, 480, 300, 23, null);
    EngineModel model = new EngineModel();
    assertThat(hard(model, deep, Calibration.piece(ResinKind.DEEP, 150, 23))).isBetween(12.0, 24.0);
    assertThat(hard(model, deep, Calibration.piece(ResinKind.DEEP, 100, 23))).isBetween(24.0, 48.0);
    assertThat(hard(model, deep, sheet(3, 0, 23))).isBetween(48.0, 130.0);
  }

  private static double hard(EngineModel model, ResinSystem resin, BodyHistory body) {
    return model.curve(resin, body).orElseThrow().demould() / 60;
  }

  /** Common practice, no source: a box of 32 °C overnight is enough after a cool pour. */
  @Test
  void aWarmBoxOvernightIsEnough() {
    ResinSystem slow = resin(ResinKind.CASTING, 40, null);
    EngineModel model = new EngineModel();
    double cool = hard(model, slow, sheet(8, 0, 18));
    double boxed = hard(model, slow, sheet(8, 120, 18, 0, 32));
    assertThat(boxed).isLessThan(14);
    assertThat(cool).isGreaterThan(boxed * 1.6);
  }

  /** Common practice, no source: bigger and deeper is faster, warmer is faster. */
  @Property(tries = 80, seed = "20261126")
  void biggerAndWarmerIsFaster(
      @ForAll @DoubleRange(min = 5, max = 800) double massG,
      @ForAll @DoubleRange(min = 12, max = 34) double roomC) {
    Chemistry slow = Calibration.of(resin(ResinKind.CASTING, 40, null)).chemistry();
    double here = working(slow, massG, roomC);
    assertThat(working(slow, massG * 1.5, roomC)).isLessThanOrEqualTo(here);
    double warmer = working(slow, massG, roomC + 10);
    assertThat(warmer / here).isBetween(0.25, 0.7);
  }

  private static double working(Chemistry chemistry, double massG, double roomC) {
    return new CureEngine(chemistry)
        .run(Calibration.asLabelled(massG, roomC), 20_000)
        .workingTimeEnds();
  }

  /** Whatever becomes of a body, its states come in their order, within their spread. */
  @Property(tries = 60, seed = "20261126")
  void statesComeInTheirOrder(
      @ForAll @DoubleRange(min = 1, max = 60) double depthMm,
      @ForAll @DoubleRange(min = 10, max = 40) double roomC,
      @ForAll @DoubleRange(min = 5, max = 40) double minutes) {
    ResinSystem slow = resin(ResinKind.CASTING, 40, null);
    BodyHistory cup = Calibration.asLabelled(80, roomC);
    BodyHistory.Segment lies =
        new BodyHistory.Segment(0, 11 * depthMm, new BodyShape.Spread(100, depthMm), roomC);
    CureStates states =
        new EngineModel()
            .states(slow, new BodyHistory(roomC, List.of(cup.last().lasting(minutes), lies)));
    assertThat(states.gels().minutes()).isGreaterThanOrEqualTo(states.tooThick().minutes());
    assertThat(states.bondEnds().minutes()).isGreaterThanOrEqualTo(states.gels().minutes());
    if (states.demould() != null && states.fullCure() != null) {
      assertThat(states.fullCure().minutes()).isGreaterThanOrEqualTo(states.demould().minutes());
      assertThat(states.demould().earliestMinutes())
          .isLessThanOrEqualTo(states.demould().minutes());
    }
    assertThat(states.heat().leastPeakC()).isLessThanOrEqualTo(states.heat().mostPeakC());
    assertThat(states.heat().used()).isLessThanOrEqualTo(states.heat().mostUsed());
  }

  /** Assumed factors: solvent and water slow it; what is no resin makes no heat. */
  @Test
  void colourSlowsAndCools() {
    ResinSystem slow = resin(ResinKind.CASTING, 40, null);
    BodyHistory clear = Calibration.asLabelled(100, 24);
    BodyHistory inked = new BodyHistory(24, List.of(clear.last().tinted(TintShift.of(4, 0, 0, 5))));
    CureStates plain = new EngineModel().states(slow, clear);
    CureStates tinted = new EngineModel().states(slow, inked);
    assertThat(tinted.workingTimeEnds().minutes()).isGreaterThan(plain.workingTimeEnds().minutes());
    assertThat(tinted.heat().peakC()).isLessThan(plain.heat().peakC());
    // What is assumed to slow it never lets anybody count on more time than without it.
    assertThat(tinted.workingTimeEnds().earliestMinutes())
        .isEqualTo(plain.workingTimeEnds().earliestMinutes());
    assertThat(TintShift.of(40, 40, 40, 20).rateFactor()).isEqualTo(TintShift.SLOWEST);
  }
}
