package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.ResinKind;
import calmpour.core.work.Helpers;
import java.util.List;
import org.junit.jupiter.api.Test;

/**
 * How sure the moments of a sheet are that is as warm as its room all along: there a reaction so
 * many times as fast is done so many times as soon, and Arrhenius' law says what a degree does. A
 * bottle is off by 7.5 %, a room by half of what a plan allows for it, as docs/science.md has it.
 */
class SpreadOfASheetTest {
  private static final double MEANT_C = 23;
  private static final double BOTTLE = HalvingRule.LABEL_SPREAD / 2;
  private static final double ROOM_K = HalvingRule.ROOM_SPREAD_K / 2;
  private static final double KELVIN = 273.15;
  private static final double GAS = 8.314462618;

  private static final Targets TARGETS =
      new Targets(
          new Known(0.8, Origin.ASSUMED),
          new Known(0.85, Origin.ASSUMED),
          new Known(0.9, Origin.ASSUMED),
          6);

  /** A slow casting resin of which one thing is so unsure. */
  private static ClockEstimate unsure(int unknown, double sd) {
    ClockPrior prior = ClockPrior.of(ResinKind.CASTING, 2_000, true);
    double[] mean = prior.unknowns(new double[ClockPrior.UNKNOWNS]);
    double[][] covariance = new double[ClockPrior.UNKNOWNS][ClockPrior.UNKNOWNS];
    for (int i = 0; i < ClockPrior.UNKNOWNS; i++) {
      // Nothing is known for certain; next to nothing is.
      covariance[i][i] = i == unknown ? sd * sd : 1e-10;
    }
    return new ClockEstimate(ResinKind.CASTING, prior, mean, covariance, List.of());
  }

  private static BodyHistory sheet(double roomC) {
    return new BodyHistory(
        roomC,
        List.of(
            new BodyHistory.Segment(0, 100 * 0.05 * 1.1, new BodyShape.Spread(100, 0.5), roomC)));
  }

  private static CureStates states(ClockEstimate estimate, BodyHistory body) {
    CureRun usual =
        new CureEngine(estimate.chemistry(), TARGETS).run(body, CureEngine.MOST_MINUTES);
    return new ClockSpread(
            estimate, TARGETS, MEANT_C, Helpers.alone().memory("spread of a sheet", 64))
        .states(body, usual, CureEngine.MOST_MINUTES);
  }

  private static void isWide(CureStates.Moment moment, double sd) {
    assertThat(Math.log(moment.latestMinutes() / moment.minutes()))
        .isCloseTo(1.96 * sd, within(0.06 * 1.96 * sd));
    assertThat(Math.log(moment.minutes() / moment.earliestMinutes()))
        .isCloseTo(1.96 * sd, within(0.06 * 1.96 * sd));
  }

  /** Of 42 kJ/mol a degree at 23 °C is E/RT². */
  private static double perDegree(double roomC) {
    double kelvin = roomC + KELVIN;
    return 42_000 / (GAS * kelvin * kelvin);
  }

  @Test
  void anUnsureSpeedBottleAndRoomAddUpAsErrorsDo() {
    for (double sd : new double[] {1e-5, 0.1, 0.3}) {
      CureStates states = states(unsure(ClockPrior.SPEED, sd), sheet(23));
      double all = Math.sqrt(sd * sd + BOTTLE * BOTTLE + Math.pow(ROOM_K * perDegree(23), 2));
      isWide(states.gels(), all);
      isWide(states.bondEnds(), all);
      // It gets no warmer than its room, give or take what that is off.
      assertThat(states.heat().peakC()).isCloseTo(23, within(0.2));
      assertThat(states.heat().mostPeakC())
          .isBetween(states.heat().peakC(), states.heat().peakC() + 1.3 * ROOM_K);
    }
  }

  /** An unsure activation energy says nothing at the label's temperature, and more beside it. */
  @Test
  void anUnsureActivationIsAtHomeAtTheLabelsTemperature() {
    ClockEstimate unsure = unsure(ClockPrior.ACTIVATION, 6);
    for (double roomC : new double[] {23, 16, 31}) {
      double away = 6_000 / GAS * (1 / (roomC + KELVIN) - 1 / (MEANT_C + KELVIN));
      double all =
          Math.sqrt(away * away + BOTTLE * BOTTLE + Math.pow(ROOM_K * perDegree(roomC), 2));
      CureStates.Moment gels = states(unsure, sheet(roomC)).gels();
      assertThat(Math.log(gels.latestMinutes() / gels.earliestMinutes()))
          .as("at %s °C", roomC)
          .isCloseTo(2 * 1.96 * all, within(0.1 * 2 * 1.96 * all));
    }
  }

  /** A colour that slows the reaction may do so, or not: the late end waits for it. */
  @Test
  void aColourMakesOnlyTheLateEndLater() {
    ClockEstimate sure = unsure(ClockPrior.SPEED, 1e-5);
    BodyHistory clear = sheet(23);
    BodyHistory slowed = new BodyHistory(23, List.of(clear.last().tinted(new TintShift(0.8, 1))));
    CureStates.Moment before = states(sure, clear).gels();
    CureStates.Moment after = states(sure, slowed).gels();
    assertThat(after.minutes()).isCloseTo(before.minutes() / 0.8, within(0.01 * before.minutes()));
    assertThat(after.earliestMinutes())
        .isCloseTo(before.earliestMinutes(), within(0.01 * before.minutes()));
    assertThat(after.latestMinutes())
        .isCloseTo(before.latestMinutes() / 0.8, within(0.01 * before.minutes()));
  }

  /** What a cup's working time may be off by, but for the room: its bottle, its speed. */
  @Test
  void aCupsWorkingTimeIsAsSureAsItsSpeed() {
    for (double sd : new double[] {0.1, 0.3}) {
      ClockSpread spread =
          new ClockSpread(
              unsure(ClockPrior.SPEED, sd), TARGETS, MEANT_C, Helpers.alone().memory("cup", 64));
      double off = spread.ofWorkingTime(Calibration.asLabelled(10, 23));
      assertThat(off).isCloseTo(Math.hypot(sd, BOTTLE), within(0.05));
    }
  }
}
