package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.CureTimes;
import calmpour.core.resin.DemouldRow;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Never sooner than the label: figures by hand, and random labels, bodies and places. */
class LabelFloorTest {
  private static final EngineModel ENGINE = new EngineModel();

  private static BodyHistory layer(double depthMm, double minutesInCup, double... roomsAndMinutes) {
    List<BodyHistory.Segment> segments = new ArrayList<>();
    segments.add(
        new BodyHistory.Segment(
            minutesInCup, 100, BodyShape.InCup.asHighAsWide(90), roomsAndMinutes[0]));
    BodyShape shape = BodyShape.InMould.round(depthMm * 5, depthMm, 50, 50);
    for (int i = 0; i < roomsAndMinutes.length; i += 2) {
      double minutes = i + 1 < roomsAndMinutes.length ? roomsAndMinutes[i + 1] : 0;
      segments.add(new BodyHistory.Segment(minutes, depthMm * 5.5, shape, roomsAndMinutes[i]));
    }
    return new BodyHistory(roomsAndMinutes[0], segments);
  }

  private static double outHours(CureModel model, ResinSystem resin, BodyHistory body) {
    double poured = body.segments().get(0).minutes();
    return (model.states(resin, body).demould().minutes() - poured) / 60;
  }

  private static ResinSystem resin(ResinKind kind, double potLife, CureTimes times) {
    return Samples.resin(kind, potLife, 100, 23, times);
  }

  private static CureTimes rows(DemouldRow... rows) {
    return new CureTimes(null, null, null, null, null, null, List.of(rows));
  }

  /** 24 h on the label are 24 h after the pour for a thick piece, too, however warm it got. */
  @Test
  void aThickPieceWaitsForTheLabelAsWell() {
    CureTimes times = new CureTimes(null, null, null, 24.0, 10.0, 72.0);
    ResinSystem casting = resin(ResinKind.CASTING, 40, times);
    BodyHistory thick = layer(40, 20, 23);
    double alone = ENGINE.curve(casting, thick).orElseThrow().demould() / 60;
    assertThat(alone).as("the engine alone").isLessThan(20);
    assertThat(outHours(ENGINE, casting, thick)).isCloseTo(24, within(1e-6));
    assertThat(ENGINE.states(casting, thick).fullCure().minutes() - 20)
        .isGreaterThanOrEqualTo(72 * 60 - 1e-6);
    // A sheet of it is thinner than what the label is for, and takes longer by the engine.
    CureTimes deep = new CureTimes(null, null, null, 24.0, 40.0, 72.0);
    ResinSystem meant = resin(ResinKind.CASTING, 40, deep);
    assertThat(outHours(ENGINE, meant, layer(2, 20, 23))).isGreaterThan(25);
  }

  /** Common practice by kind; between 3 and 100 mm a straight line of the logarithm, by hand. */
  @Test
  void aSilentLabelIsTakenByItsKind() {
    ResinSystem deep = resin(ResinKind.DEEP, 360, null);
    assertThat(outHours(ENGINE, deep, layer(100, 30, 23))).isGreaterThanOrEqualTo(48 - 1e-6);
    assertThat(outHours(ENGINE, deep, layer(3, 30, 23))).isGreaterThanOrEqualTo(72 - 1e-6);
    HalvingRule rule = new HalvingRule();
    assertThat(outHours(rule, deep, layer(51.5, 30, 23)))
        .isCloseTo(Math.sqrt(72 * 48), within(1e-6));
    assertThat(outHours(rule, deep, layer(300, 30, 23))).isCloseTo(48, within(1e-6));
    assertThat(outHours(rule, resin(ResinKind.CASTING, 40, null), layer(20, 30, 23)))
        .isCloseTo(24, within(1e-6));
    assertThat(outHours(ENGINE, resin(ResinKind.FAST, 12, null), layer(20, 3, 23)))
        .isCloseTo(6, within(1e-6));
    assertThat(outHours(ENGINE, resin(ResinKind.POLYURETHANE, 5, null), layer(20, 1, 23)))
        .isGreaterThanOrEqualTo(2);
  }

  /** "150 mm: 16 to 24 h; 100 mm: 24 to 48 h" counts by its late ends; by hand 2^½ between them. */
  @Test
  void aRangeCountsByItsLateEnd() {
    ResinSystem deep =
        resin(
            ResinKind.DEEP,
            360,
            rows(new DemouldRow(150, 16, 24.0), new DemouldRow(100, 24, 48.0)));
    HalvingRule rule = new HalvingRule();
    assertThat(outHours(rule, deep, layer(150, 30, 23))).isCloseTo(24, within(1e-6));
    assertThat(outHours(rule, deep, layer(125, 30, 23))).isCloseTo(24 * Math.sqrt(2), within(1e-6));
    assertThat(outHours(rule, deep, layer(60, 30, 23))).isCloseTo(48, within(1e-6));
  }

  /** Half the label's time in a box 10 °C warmer, by the rule of thumb: 2 h of 24 on the bench. */
  @Test
  void aWarmBoxMakesTheLabelsHoursPassQuicker() {
    CureTimes times = new CureTimes(null, null, null, 24.0, 10.0, null);
    ResinSystem casting = resin(ResinKind.CASTING, 40, times);
    HalvingRule rule = new HalvingRule();
    assertThat(outHours(rule, casting, layer(10, 20, 23, 120, 33))).isCloseTo(13, within(1e-6));
    double cool = outHours(ENGINE, casting, layer(10, 20, 18));
    double meant = outHours(ENGINE, casting, layer(10, 20, 23));
    double warm = outHours(ENGINE, casting, layer(10, 20, 23, 120, 33));
    assertThat(meant).isCloseTo(24, within(0.5));
    assertThat(cool).isGreaterThan(30);
    assertThat(warm).isBetween(8.0, 18.0);
  }

  /**
   * A layer gelled before the label's recoat waits; where bonding is over by then, until its end.
   */
  @Test
  void aNextLayerWaitsForTheLabelsRecoat() {
    CureTimes times = new CureTimes(null, 6.0, 10.0, 24.0, 10.0, null);
    ResinSystem casting = resin(ResinKind.CASTING, 40, times);
    CureStates states = ENGINE.states(casting, layer(30, 20, 23));
    assertThat(states.gels().minutes()).isLessThan(5 * 60.0);
    assertThat(states.takesNext().minutes()).isCloseTo(20 + 6 * 60, within(1e-6));
    assertThat(states.bondEnds().minutes()).isGreaterThanOrEqualTo(20 + 6 * 60);
  }

  /** Whatever is on the label and wherever it lies: at the label's temperature never sooner. */
  @Test
  void noRandomLayerComesOutBeforeItsLabel() {
    Random random = new Random(20_261_126);
    ResinKind[] kinds = ResinKind.values();
    int held = 0;
    int engines = 0;
    for (int n = 0; n < 150; n++) {
      double out = 1 + random.nextInt(40);
      double full = out + random.nextInt(100);
      double depth = 2 + random.nextInt(40);
      ResinSystem resin =
          resin(
              kinds[random.nextInt(kinds.length)],
              8 + random.nextInt(100),
              new CureTimes(null, null, null, out, depth, full));
      double cup = 1 + random.nextInt(8);
      BodyHistory body = layer(2 + random.nextInt(40), cup, 23);
      CureStates states = ENGINE.states(resin, body);
      if (states.demould() != null) {
        double hours = (states.demould().minutes() - cup) / 60;
        assertThat(hours).as("%s in %s", resin, body).isGreaterThanOrEqualTo(out - 1e-9);
        assertThat(states.demould().earliestMinutes())
            .isLessThanOrEqualTo(states.demould().minutes());
        held += Math.abs(hours - out) < 1e-6 ? 1 : 0;
        engines += hours > out + 0.1 ? 1 : 0;
      }
      if (states.fullCure() != null) {
        assertThat((states.fullCure().minutes() - cup) / 60).isGreaterThanOrEqualTo(full - 1e-9);
        assertThat(states.fullCure().minutes())
            .isGreaterThanOrEqualTo(states.demould().minutes() - 1e-9);
      }
    }
    assertThat(held).as("held by the label").isGreaterThan(20);
    assertThat(engines).as("later by the engine").isGreaterThan(20);
  }
}
