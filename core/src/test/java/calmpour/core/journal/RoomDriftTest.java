package calmpour.core.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.run.RunEvent;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;

/** Cases of rules.md, "The room", while somebody works in it. */
class RoomDriftTest {
  private static final Instant BEGUN = Instant.parse("2026-11-28T18:00:00Z");

  private static List<RunEvent> read(double... minutesAndCelsius) {
    List<RunEvent> events = new ArrayList<>();
    for (int i = 0; i < minutesAndCelsius.length; i += 2) {
      events.add(
          new RunEvent(
              "r" + i,
              BEGUN.plusSeconds(Math.round(60 * minutesAndCelsius[i])),
              RunEvent.Kind.ROOM,
              null,
              minutesAndCelsius[i + 1],
              List.of(),
              null));
    }
    return events;
  }

  private static RoomDrift.OfEvening told(double... minutesAndCelsius) {
    return RoomDrift.ofEvening(BEGUN, read(minutesAndCelsius)).orElseThrow();
  }

  @Test
  void aRoomIsReadBackToWhenTheWorkBegan() {
    assertThat(RoomDrift.ofEvening(BEGUN, List.of())).isEmpty();
    assertThat(told(5, 21.5)).isEqualTo(new RoomDrift.OfEvening(21.5, null));
    // Twice within a few minutes is one look.
    assertThat(told(5, 21, 15, 23).kPerHour()).isNull();
    RoomDrift.OfEvening warms = told(30, 21.5, 90, 22.5);
    assertThat(warms.kPerHour()).isCloseTo(1, within(1e-9));
    assertThat(warms.beganC()).isCloseTo(21, within(1e-9));
    // One of three in the sun.
    assertThat(told(0, 21, 30, 29, 120, 22, 180, 22.5, 240, 23).kPerHour())
        .isCloseTo(0.5, within(0.01));
    // The cold of the night is no drift of the evening.
    assertThat(told(0, 21, 60, 21, 700, 12).kPerHour()).isZero();
  }

  @Test
  void withoutWrongReadingsItIsNearAnOrdinaryRegression() {
    SplittableRandom chance = new SplittableRandom(20_261_129);
    for (int evening = 0; evening < 50; evening++) {
      double slope = chance.nextDouble(-2, 2);
      double[] told = new double[14];
      SimpleRegression library = new SimpleRegression();
      for (int i = 0; i < told.length; i += 2) {
        told[i] = 25 * i / 2.0 + chance.nextDouble(0, 3);
        told[i + 1] = 21 + slope * told[i] / 60 + chance.nextGaussian(0, 0.05);
        library.addData(told[i] / 60, told[i + 1]);
      }
      RoomDrift.OfEvening its = told(told);
      assertThat(its.kPerHour()).isCloseTo(library.getSlope(), within(0.1));
      assertThat(its.beganC()).isCloseTo(library.getIntercept(), within(0.15));
    }
  }

  @Test
  void oneEveningTeachesNothing() {
    assertThat(RoomDrift.of(List.of(0.4, 0.5)).enough()).isFalse();
    RoomDrift all = RoomDrift.of(List.of(0.4, 0.5, 9.0));
    assertThat(all.enough()).isTrue();
    assertThat(all.warmerKPerHour()).isEqualTo(0.5);
  }
}
