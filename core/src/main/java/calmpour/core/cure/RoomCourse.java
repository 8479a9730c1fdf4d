package calmpour.core.cure;

import java.util.ArrayList;
import java.util.List;

/**
 * How warm a room was while something was under way: as assumed until somebody looked, and from
 * each reading on as read, until the next one.
 *
 * @param assumedC before the first reading, °C
 * @param readings in order of time; empty for a room that is as assumed
 */
public record RoomCourse(double assumedC, List<Reading> readings) {
  public RoomCourse {
    readings = List.copyOf(readings);
  }

  /**
   * What a thermometer said of the room.
   *
   * @param atSeconds from when the work began
   */
  public record Reading(int atSeconds, double temperatureC) {}

  /** At a moment, s from when the work began, °C. */
  public double atC(double seconds) {
    double temperature = assumedC;
    for (Reading reading : readings) {
      if (reading.atSeconds() <= seconds) {
        temperature = reading.temperatureC();
      }
    }
    return temperature;
  }

  /**
   * A body in this room. What is as warm as the room was assumed to be follows it; a hot box and
   * warmed bottles do not.
   *
   * @param body as if the room had been as assumed throughout
   * @param contact when it begins, s from when the work began
   */
  public BodyHistory of(BodyHistory body, int contact) {
    if (readings.isEmpty()) {
      return body;
    }
    List<BodyHistory.Segment> segments = new ArrayList<>();
    double from = 0;
    for (int i = 0; i < body.segments().size(); i++) {
      BodyHistory.Segment segment = body.segments().get(i);
      boolean last = i == body.segments().size() - 1;
      double to = last ? Double.POSITIVE_INFINITY : from + segment.minutes();
      double inside = from;
      if (segment.surroundingsC() == assumedC) {
        for (Reading reading : readings) {
          double at = minutes(reading, contact);
          if (at > inside && at < to) {
            segments.add(segment.in(after(contact, inside)).lasting(at - inside));
            inside = at;
          }
        }
        segment = segment.in(after(contact, inside));
      }
      segments.add(last ? segment : segment.lasting(to - inside));
      from = to;
    }
    double startC = body.startC() == assumedC ? atC(contact) : body.startC();
    return new BodyHistory(startC, segments);
  }

  /** Minutes from a contact to a reading: every comparison is made with just this number. */
  private static double minutes(Reading reading, int contact) {
    return (reading.atSeconds() - contact) / 60.0;
  }

  /** So many minutes after a contact, °C; back in seconds a reading may be a rounding away. */
  private double after(int contact, double minutes) {
    double temperature = assumedC;
    for (Reading reading : readings) {
      if (minutes(reading, contact) <= minutes) {
        temperature = reading.temperatureC();
      }
    }
    return temperature;
  }
}
