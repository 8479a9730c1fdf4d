package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.ClockFact.Kind;
import calmpour.core.cure.ClockFact.Side;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.PotLifeRow;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
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
}
