package calmpour.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cup.CupKind;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.EngineModel;
import calmpour.core.cure.RoomCourse;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LabelByReadingsTest {
  private static final EngineModel CURE = new EngineModel();
  private static final ResinSystem RESIN = Samples.resin(ResinKind.CASTING, 40, 100, 24, null);

  private static BodyHistory tallCup(double massG, double roomC) {
    CupKind cup = new CupKind("t", "Tall", CupKind.Use.EITHER, 40, 52, 90);
    return new BodyHistory(
        roomC, List.of(new BodyHistory.Segment(0, massG, cup.holding(massG / 1.1), roomC)));
  }

  /** A bottle that is quicker or slower than its label shows in how its cup warms. */
  @Test
  void thermometerReadingsFindAQuickerBottle() {
    Random random = new Random(8);
    for (double truth : new double[] {0.8, 0.9, 1.1, 1.2}) {
      BodyHistory cup = tallCup(110, 24);
      List<CureRun.CurvePoint> curve =
          CURE.curve(RESIN.ofPotLife(truth), cup).orElseThrow().curve();
      List<LabelByReadings.Warmth> readings = new ArrayList<>();
      for (double minute : new double[] {8, 12, 16, 20, 24, 28}) {
        double warm = LabelByReadings.temperature(curve, minute);
        readings.add(new LabelByReadings.Warmth(minute, warm + random.nextGaussian() * 0.5));
      }
      assertThat(LabelByReadings.labelFactor(CURE, RESIN, cup, readings))
          .as("a bottle of %s times its label", truth)
          .isCloseTo(truth, within(0.07));
    }
  }

  @Test
  void aReadingThatSaysNothingLeavesTheLabelAlone() {
    BodyHistory cup = tallCup(110, 24);
    assertThat(LabelByReadings.labelFactor(CURE, RESIN, cup, List.of())).isEqualTo(1);
    // After one minute every label is as warm as the room.
    assertThat(
            LabelByReadings.labelFactor(
                CURE, RESIN, cup, List.of(new LabelByReadings.Warmth(1, 24.1))))
        .isCloseTo(1, within(0.03));
  }

  /**
   * A day that warms in two steps lies between the cool day and the warm one, in the right place.
   */
  @Test
  void theRoomCountsAsItWasMeasured() {
    BodyHistory cup = tallCup(60, 20);
    double cool = minutes(cup);
    double warm = minutes(tallCup(60, 28));
    List<RoomCourse.Reading> late = List.of(new RoomCourse.Reading((int) (cool * 60 * 0.9), 28));
    List<RoomCourse.Reading> early = List.of(new RoomCourse.Reading(300, 28));
    double nearlyCool = minutes(new RoomCourse(20, late).of(cup, 0));
    double nearlyWarm = minutes(new RoomCourse(20, early).of(cup, 0));
    // Warmed just before its end it is thinner for a while: it may even last a little longer.
    assertThat(nearlyCool).isCloseTo(cool, within((cool - warm) * 0.15));
    assertThat(nearlyWarm).isBetween(warm, nearlyCool);
    assertThat(minutes(new RoomCourse(20, List.of()).of(cup, 0))).isEqualTo(cool);
  }

  private static double minutes(BodyHistory body) {
    return CURE.thickens(RESIN, body).workingMinutes();
  }
}
