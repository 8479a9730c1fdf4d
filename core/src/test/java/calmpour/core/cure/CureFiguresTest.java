package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.ClockFact.Kind;
import calmpour.core.cure.ClockFact.Side;
import calmpour.core.habit.Care;
import calmpour.core.mould.DepthProfile;
import calmpour.core.mould.Mould;
import calmpour.core.mould.MouldMake;
import calmpour.core.mould.StraightSided;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.PotLifeRow;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;

/**
 * Small figures of the cure, each by hand: between points, by the label's hours, by the halving.
 */
class CureFiguresTest {
  /** Whatever multiplies is met between its grid's points as on them; beyond it stays. */
  @Test
  void workingTimesAreMetBetweenTheirPoints() {
    WorkingTimes times =
        WorkingTimes.of((roomK, label) -> 40 * Math.pow(label, 1.1) * Math.exp(-0.06 * roomK), 0.1);
    assertThat(times.labelSd()).isEqualTo(0.1);
    for (double roomK = -2; roomK <= 2; roomK += 0.37) {
      for (double label = 0.55; label <= 1.75; label += 0.11) {
        assertThat(times.minutes(roomK, label))
            .as("%s K, %s times", roomK, label)
            .isCloseTo(40 * Math.pow(label, 1.1) * Math.exp(-0.06 * roomK), within(1e-9));
      }
    }
    assertThat(times.minutes(0, 0.1)).isEqualTo(times.minutes(0, 0.5));
    assertThat(times.minutes(0, 9)).isEqualTo(times.minutes(0, 1.8));
    assertThat(times.minutes(90, 1)).isEqualTo(times.minutes(60, 1)).isLessThan(40);
    assertThat(times.minutes(-90, 1)).isEqualTo(times.minutes(-60, 1)).isGreaterThan(40);
  }

  private static CureRun.CurvePoint point(double minutes, double each, double viscosity) {
    return new CureRun.CurvePoint(
        minutes, each / 100, each / 50, 20 + each, 18 + each, viscosity, each * 3);
  }

  @Test
  void betweenTwoPointsOfACurveLiesALine() {
    CureRun run =
        new CureRun(
            List.of(
                point(2, 0, 1),
                point(6, 8, 3),
                point(14, 24, 11),
                point(20, 40, Double.POSITIVE_INFINITY)),
            null,
            null,
            null,
            null,
            null,
            null,
            60,
            20,
            0);
    assertThat(run.lasts()).isEqualTo(20);
    for (double minute = 2; minute < 14; minute += 0.5) {
      CureRun.CurvePoint at = run.at(minute);
      double each = 2 * (minute - 2);
      assertThat(at.minutes()).isEqualTo(minute);
      assertThat(at.conversion()).isCloseTo(each / 100, within(1e-12));
      assertThat(at.cured()).isCloseTo(each / 50, within(1e-12));
      assertThat(at.temperatureC()).isCloseTo(20 + each, within(1e-12));
      assertThat(at.faceC()).isCloseTo(18 + each, within(1e-12));
      assertThat(at.flow()).isCloseTo(3 * each, within(1e-12));
      assertThat(at.viscosityPaS())
          .isCloseTo(minute < 6 ? 1 + (minute - 2) / 2 : 3 + (minute - 6), within(1e-12));
    }
    // On the way to the gel it is as thick as it was; from then on nothing flows.
    assertThat(run.at(17).viscosityPaS()).isEqualTo(11);
    assertThat(run.at(17).temperatureC()).isCloseTo(52, within(1e-12));
    assertThat(run.at(20).viscosityPaS()).isInfinite();
    assertThat(run.at(1)).isEqualTo(run.curve().getFirst());
    assertThat(run.at(99)).isEqualTo(run.curve().getLast());
  }

  /** 3 h of the label: 60 min at twice its pace are two of them, the third takes 2 h at half. */
  @Test
  void theLabelsHoursPassAsWarmAsItIs() {
    BodyShape lies = new BodyShape.Spread(50, 5);
    BodyHistory body =
        new BodyHistory(
            23,
            List.of(
                new BodyHistory.Segment(5, 30, BodyShape.InCup.asHighAsWide(30), 23),
                new BodyHistory.Segment(60, 28, lies, 33),
                new BodyHistory.Segment(0, 28, lies, 13)));
    DoubleUnaryOperator pace = c -> Math.pow(2, (c - 23) / 10);
    assertThat(LabelFloor.minutes(body, 3, pace)).isCloseTo(5 + 60 + 120, within(1e-9));
    assertThat(LabelFloor.minutes(body, 2, pace)).isCloseTo(5 + 60, within(1e-9));
    assertThat(LabelFloor.minutes(body, 1, pace)).isCloseTo(5 + 30, within(1e-9));
    assertThat(LabelFloor.pace(600.0, 300.0, 7)).isEqualTo(2);
    assertThat(LabelFloor.pace(null, 300.0, 7)).isEqualTo(7);
    assertThat(LabelFloor.pace(600.0, null, 7)).isEqualTo(7);
  }

  private static BodyHistory sheet(double roomC) {
    return new BodyHistory(
        roomC, List.of(new BodyHistory.Segment(0, 28, new BodyShape.Spread(50, 5), roomC)));
  }

  /**
   * By the rule of thumb 24 h at 23 °C are 12 at 33 and 48 at 13; a label is right to 15 %, a room
   * to 1.5 °C, which are a ninth of the time.
   */
  @Test
  void theRuleOfThumbHalvesTheLabelsHours() {
    HalvingRule rule = new HalvingRule();
    ResinSystem day =
        Samples.resin(
            ResinKind.CASTING, 40, 100, 23, new CureTimes(null, null, 8.0, 24.0, null, 60.0));
    double degree = Math.pow(2, HalvingRule.ROOM_SPREAD_K / 10);
    for (double[] roomHours : new double[][] {{23, 24}, {33, 12}, {13, 48}}) {
      CureStates states = rule.states(day, sheet(roomHours[0]));
      double minutes = roomHours[1] * 60;
      assertThat(states.demould().minutes()).isCloseTo(minutes, within(1e-6));
      assertThat(states.demould().earliestMinutes())
          .isBetween(minutes * 0.85 / degree - 1e-6, minutes + 1e-6);
      assertThat(states.demould().latestMinutes()).isCloseTo(minutes * 1.15 * degree, within(1e-6));
      assertThat(states.fullCure().minutes()).isCloseTo(minutes * 2.5, within(1e-6));
      assertThat(states.bondEnds().minutes()).isCloseTo(minutes / 3, within(1e-6));
      assertThat(rule.pace(day, roomHours[0])).isCloseTo(24 / roomHours[1], within(1e-12));
    }
    // Where the label is silent: common practice, no source.
    CureStates silent = rule.states(Samples.resin(ResinKind.CASTING, 40, 100, 23, null), sheet(23));
    assertThat(silent.demould().minutes() / 60).isCloseTo(24, within(1e-9));
    assertThat(silent.fullCure().minutes() / 60).isCloseTo(72, within(1e-9));
    // A cup has no demould.
    BodyHistory cup = Calibration.asLabelled(100, 23);
    assertThat(rule.states(day, cup).demould()).isNull();
    assertThat(rule.states(day, cup).fullCure()).isNull();
    assertThat(rule.states(day, cup).bondEnds()).isNull();
    WorkingTimes times = rule.workingTimes(day, cup);
    assertThat(times.minutes(0, 1)).isCloseTo(40, within(1e-6));
    assertThat(times.minutes(2, 1)).isCloseTo(40 * Math.pow(2, -0.2), within(0.3));
    assertThat(times.minutes(0, 1.3)).isCloseTo(52, within(1e-6));
  }

  /** What a label says, as facts: each with its clock, its body and how far it may be off. */
  @Test
  void aLabelIsReadIntoFacts() {
    ResinSystem bare =
        Samples.resin(
            ResinKind.CASTING,
            40,
            100,
            24,
            new CureTimes(
                5.0,
                3.0,
                12.0,
                null,
                null,
                72.0,
                List.of(new DemouldRow(10, 24, 36.0), new DemouldRow(3, 30, null))));
    ResinSystem label =
        Samples.withFacts(
            bare,
            new LabelFacts(
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                List.of(new PotLifeRow(200, 24, 25)),
                null));
    List<ClockFact> facts = ClockFacts.of(label);
    assertThat(facts)
        .extracting(ClockFact::kind)
        .containsExactly(
            Kind.POT_LIFE,
            Kind.POT_LIFE,
            Kind.TACK_FREE,
            Kind.RECOAT,
            Kind.DEMOULD,
            Kind.DEMOULD,
            Kind.FULL_CURE);
    assertThat(facts).allMatch(f -> f.source() == ClockFact.Source.LABEL);
    assertThat(facts.get(0).value()).isEqualTo(40);
    assertThat(facts.get(0).body().last().massG()).isEqualTo(100);
    assertThat(facts.get(1).value()).isEqualTo(25);
    assertThat(facts.get(1).body().last().massG()).isEqualTo(200);
    assertThat(facts.get(1).target()).isCloseTo(Math.log(25), within(1e-12));
    // One of several is looser than one alone.
    assertThat(ClockFacts.of(bare).getFirst().sd()).isLessThan(facts.get(0).sd());
    // Tack-free, recoat and full cure are met by then; in minutes.
    for (int[] kindMinutes : new int[][] {{2, 300}, {3, 180}, {6, 4_320}}) {
      assertThat(facts.get(kindMinutes[0]).value()).isCloseTo(kindMinutes[1], within(1e-9));
      assertThat(facts.get(kindMinutes[0]).side()).isEqualTo(Side.AT_MOST);
    }
    // Of a range the middle of its logarithm, as sure as its ends are the nineties.
    ClockFact range =
        facts.stream()
            .filter(f -> f.kind() == Kind.DEMOULD && f.said().depthMm() == 10.0)
            .findFirst()
            .orElseThrow();
    assertThat(range.value()).isCloseTo(Math.sqrt(24 * 36.0) * 60, within(1e-9));
    assertThat(range.sd()).isCloseTo(Math.log(36 / 24.0) / 2 / 1.645, within(1e-9));
    assertThat(range.said().from()).isEqualTo(24);
    assertThat(range.said().to()).isEqualTo(36);
    assertThat(range.side()).isEqualTo(Side.THEN);
    // The small layer of a tack-free time: 40 mm wide, 8 mm deep, 10.05 mL.
    BodyHistory layer = facts.get(2).body();
    assertThat(layer.last().massG()).isCloseTo(Math.PI * 4 * 0.8 * 1.1, within(1e-9));
    assertThat(layer.last().surroundingsC()).isEqualTo(24);
    assertThat(ClockFacts.of(Samples.resin(ResinKind.CASTING, 40, 100, 24, null))).hasSize(1);
  }

  /** How much sooner a resin is hard where it is warmer: both ways round, and 1 at home. */
  @Test
  void aResinsPaceIsThatOfItsOwnDemould() {
    EngineModel model = new EngineModel();
    ResinSystem resin = Samples.resin(ResinKind.CASTING, 40, 100, 23, null);
    assertThat(model.pace(resin, 23)).isEqualTo(1);
    double at30 = model.pace(resin, 30);
    double at16 = model.pace(resin, 16);
    double home =
        model.curve(resin, Calibration.piece(ResinKind.CASTING, 10, 23)).orElseThrow().demould();
    double warm =
        model.curve(resin, Calibration.piece(ResinKind.CASTING, 10, 30)).orElseThrow().demould();
    double cool =
        model.curve(resin, Calibration.piece(ResinKind.CASTING, 10, 16)).orElseThrow().demould();
    assertThat(at30).isCloseTo(home / warm, within(0.02 * at30)).isBetween(1.2, 2.2);
    assertThat(at16).isCloseTo(home / cool, within(0.02 * at16)).isBetween(0.3, 0.8);
    assertThat(model.usualBodies(resin))
        .isNotEmpty()
        .anyMatch(b -> b.massG() != null)
        .anyMatch(b -> b.depthMm() != null)
        .allMatch(b -> b.moment().earliestMinutes() <= b.moment().minutes());
  }

  /** A curve for drawing: at most every so many of its points, its peak and its end among them. */
  @Test
  void aDrawnCurveKeepsItsPeakAndItsEnd() {
    List<CureRun.CurvePoint> all = new ArrayList<>();
    for (int i = 0; i < 1_000; i++) {
      double warm = i == 501 ? 90 : 20 + i * 0.03;
      double viscosity = i < 900 ? 0.6 + i * 0.01 : Double.POSITIVE_INFINITY;
      all.add(new CureRun.CurvePoint(i, i / 1_000.0, i / 1_000.0, warm, warm, viscosity, i));
    }
    CureCurve drawn = CureCurve.of(run(all, 440.0));
    // Every seventh of a thousand, the peak, and the end.
    assertThat(drawn.points()).hasSize(145);
    assertThat(drawn.points())
        .extracting(CureCurve.CurveSample::minutes)
        .contains(0.0, 7.0, 501.0, 999.0)
        .doesNotContain(8.0, 500.0);
    assertThat(drawn.points()).allMatch(p -> (p.viscosityPaS() == null) == (p.minutes() >= 900));
    assertThat(CureCurve.of(run(all.subList(0, 150), null)).points()).hasSize(150);
    // At 440 min it is at 5 Pa·s: too thick. At 300 it is thinner: too warm.
    assertThat(drawn.endsTooWarm()).isFalse();
    assertThat(CureCurve.of(run(all, 300.0)).endsTooWarm()).isTrue();
    assertThat(CureCurve.of(run(all, null)).endsTooWarm()).isFalse();
    assertThat(CureCurve.of(run(all, 2_000.0)).endsTooWarm()).isFalse();
  }

  private static CureRun run(List<CureRun.CurvePoint> all, Double workingTimeEnds) {
    return new CureRun(all, workingTimeEnds, null, null, null, null, null, 90, 501, 0.4);
  }

  /** Solvent slows by a twentieth for a per cent, water and an overdose by 3 %, to 0.3 at most. */
  @Test
  void whatIsStirredInSlowsAndCools() {
    TintShift some = TintShift.of(2, 3, 1, 8);
    assertThat(some.rateFactor()).isCloseTo(1 - 0.10 - 0.09 - 0.03, within(1e-12));
    assertThat(some.heatFactor()).isCloseTo(0.92, within(1e-12));
    assertThat(TintShift.of(2, 0, -4, 0).rateFactor()).isCloseTo(0.9, within(1e-12));
    assertThat(TintShift.of(30, 0, 0, 40).rateFactor()).isEqualTo(0.3);
    assertThatThrownBy(() -> new TintShift(0, 1)).isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new TintShift(1, 1.01)).isInstanceOf(IllegalArgumentException.class);
    assertThat(new TintShift(1, 1)).isEqualTo(TintShift.NONE);
  }

  /** A fill between two levels of a cavity, and thick rubber round it as a resistance in a row. */
  @Test
  void aFillLiesBetweenItsLevels() {
    DepthProfile cavity = new StraightSided(20, 40);
    BodyShape.InMould fill = BodyShape.InMould.of(cavity, 10, 26, 8);
    assertThat(fill.depthMm()).isEqualTo(16);
    assertThat(fill.openCm2()).isCloseTo(5, within(1e-12));
    // 8 mL, 16 mm deep: 5 cm² of floor, as wide round 25.23 mm, with sides of 12.68 cm².
    double across = Math.sqrt(500 * 4 / Math.PI);
    assertThat(fill.acrossMm()).isCloseTo(across, within(1e-9));
    assertThat(fill.wettedCm2()).isCloseTo(5 + Math.PI * across * 16 / 100, within(1e-9));
    assertThatThrownBy(() -> new BodyShape.InMould(0, 5, 16, 25))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new BodyShape.InMould(5, 0, 16, 25))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new BodyShape.InMould(5, 5, 0, 25))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new BodyShape.InMould(5, 5, 16, 0))
        .isInstanceOf(IllegalArgumentException.class);
    // 25 mm of rubber are 20 more than thin: 0.1 m²·K/W in a row with an eighth and a tenth.
    BodyShape.Around thick = BodyShape.Around.of(walled(25.0), Care.StandsOn.BOARD);
    assertThat(thick.top()).isEqualTo(12);
    assertThat(thick.sides()).isCloseTo(1 / (1 / 8.0 + 0.1), within(1e-12));
    assertThat(thick.base()).isCloseTo(1 / (1 / 10.0 + 0.1), within(1e-12));
    assertThat(BodyShape.Around.of(walled(5.0), Care.StandsOn.STONE))
        .isEqualTo(BodyShape.Around.SILICONE_ON_STONE);
    assertThat(BodyShape.Around.of(null, Care.StandsOn.BOARD))
        .isEqualTo(BodyShape.Around.SILICONE_ON_BOARD);
  }

  private static Mould walled(double wallMm) {
    Mould bare = Samples.mould("knob", 12, 20.0);
    return bare.withMake(
        new MouldMake(
            null, null, null, null, null, null, null, null, null, null, null, null, null, wallMm,
            null, null, null, null));
  }

  /** A label counts its gel from the end of stirring, its largest batch until it is poured. */
  @Test
  void stirringCountsBeforeALabelsGel() {
    ResinSystem plain = Samples.resin(ResinKind.CASTING, 40, 100, 24, null);
    ResinSystem gels =
        new ResinSystem(
            plain.id(),
            plain.name(),
            plain.kind(),
            plain.ratio(),
            1.15,
            1.01,
            40.0,
            100.0,
            24.0,
            800.0,
            3.0,
            90.0,
            null,
            null,
            null,
            null,
            null,
            null);
    List<ClockFact> facts = ClockFacts.of(gels);
    assertThat(facts)
        .extracting(ClockFact::kind)
        .containsExactly(Kind.POT_LIFE, Kind.GEL, Kind.LARGEST_BATCH);
    // Three minutes of stirring come before the 90, and before the five that a batch is poured in.
    assertThat(facts.get(1).value()).isEqualTo(93);
    assertThat(facts.get(2).value()).isEqualTo(8);
    assertThat(facts.get(2).side()).isEqualTo(Side.AT_LEAST);
    assertThat(facts.get(2).body().last().massG()).isEqualTo(800);
  }
}
