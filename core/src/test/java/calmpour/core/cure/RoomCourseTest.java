package calmpour.core.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What stands in a room is as warm around as the last thermometer that was read said. */
class RoomCourseTest {
  private static final double ASSUMED = 21;

  /** Where a body is at a minute: its mass and what is around it. */
  private static BodyHistory.Segment at(BodyHistory body, double minute) {
    double from = 0;
    for (BodyHistory.Segment segment : body.segments()) {
      from += segment.minutes();
      if (minute < from) {
        return segment;
      }
    }
    return body.last();
  }

  @Test
  void everyMinuteIsAsWarmAsTheLastReading() {
    Random random = new Random(20261130);
    for (int i = 0; i < 300; i++) {
      List<BodyHistory.Segment> segments = new ArrayList<>();
      int parts = 1 + random.nextInt(4);
      for (int p = 0; p < parts; p++) {
        // Some of it in a hot box, which no thermometer on the bench says anything of.
        double around = random.nextInt(4) == 0 ? 45 : ASSUMED;
        segments.add(
            new BodyHistory.Segment(
                1 + random.nextInt(30), 10 + p, BodyShape.InCup.asHighAsWide(50), around));
      }
      double startC = random.nextInt(3) == 0 ? 35 : ASSUMED;
      BodyHistory body = new BodyHistory(startC, segments);
      int contact = random.nextInt(1_800);
      List<RoomCourse.Reading> readings = new ArrayList<>();
      for (int second = random.nextInt(900); second < 7_000; second += 60 + random.nextInt(1_500)) {
        readings.add(new RoomCourse.Reading(second, 15 + random.nextInt(15)));
      }
      RoomCourse room = new RoomCourse(ASSUMED, readings);
      BodyHistory read = room.of(body, contact);
      for (double minute = 0.25; minute < 150; minute += 0.5) {
        BodyHistory.Segment before = at(body, minute);
        BodyHistory.Segment after = at(read, minute);
        double said = ASSUMED;
        for (RoomCourse.Reading reading : readings) {
          said = reading.atSeconds() <= contact + minute * 60 ? reading.temperatureC() : said;
        }
        assertThat(after.massG()).isEqualTo(before.massG());
        assertThat(after.surroundingsC())
            .as("minute %s of %s", minute, body)
            .isEqualTo(before.surroundingsC() == ASSUMED ? said : before.surroundingsC());
        assertThat(room.atC(contact + minute * 60)).isEqualTo(said);
      }
      double all = read.segments().stream().mapToDouble(BodyHistory.Segment::minutes).sum();
      double were =
          segments.subList(0, parts - 1).stream().mapToDouble(BodyHistory.Segment::minutes).sum();
      assertThat(all - read.last().minutes()).isGreaterThanOrEqualTo(were - 1e-9);
      assertThat(read.startC()).isEqualTo(startC == ASSUMED ? room.atC(contact) : startC);
    }
  }

  @Test
  void whereNothingWasReadABodyIsAsItWas() {
    BodyHistory body =
        new BodyHistory(
            ASSUMED,
            List.of(new BodyHistory.Segment(0, 10, BodyShape.InCup.asHighAsWide(10), ASSUMED)));
    assertThat(new RoomCourse(ASSUMED, List.of()).of(body, 60)).isSameAs(body);
    assertThat(new RoomCourse(ASSUMED, List.of()).atC(7)).isCloseTo(ASSUMED, within(1e-12));
  }
}
