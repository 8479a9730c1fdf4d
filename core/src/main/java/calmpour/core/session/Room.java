package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.cure.RoomCourse;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The air of the workshop.
 *
 * @param temperatureC when the work begins, and until the first change
 * @param later when it changes by itself: a heater that is on until ten, a cold night, a weekend
 *     without heating; null for never
 * @param warmsPerHourK how much warmer it gets in an hour while somebody works in it, for four
 *     hours or until the first change; negative for cooler, null for not at all
 */
public record Room(
    double temperatureC,
    @Nullable Double humidityPercent,
    @Nullable List<RoomChange> later,
    @Nullable Double warmsPerHourK) {
  public static final Range WARMS_PER_HOUR_K = new Range(-3, 3);
  public static final Range TEMPERATURE_C = new Range(5, 45);
  public static final Range HUMIDITY_PERCENT = new Range(0, 100);
  public static final Range LATER = new Range(0, 12);

  /** Beyond that it stays as it is: most resins have cured long before. */
  private static final int DAYS = 21;

  /** Somebody works in it so long, and then it stays as it is (starting value). */
  private static final Duration WORKED_IN = Duration.ofHours(4);

  /** It warms in steps of so long. */
  private static final Duration STEP = Duration.ofMinutes(30);

  /** The same at any hour. */
  public Room(double temperatureC, @Nullable Double humidityPercent) {
    this(temperatureC, humidityPercent, null);
  }

  /** The same whether or not anybody works in it. */
  public Room(
      double temperatureC, @Nullable Double humidityPercent, @Nullable List<RoomChange> later) {
    this(temperatureC, humidityPercent, later, null);
  }

  public Room {
    later = later == null || later.isEmpty() ? null : List.copyOf(later);
    int changes = later == null ? 0 : later.size();
    new Check()
        .within("temperatureC", temperatureC, TEMPERATURE_C)
        .within("humidityPercent", humidityPercent, HUMIDITY_PERCENT)
        .within("warmsPerHourK", warmsPerHourK, WARMS_PER_HOUR_K)
        .that(
            LATER.contains(changes),
            Problem.outside("later", Problem.Code.TOO_MANY, changes, LATER))
        .orThrow();
  }

  /**
   * A heater that is off over night, where nobody says more (starting values, no source).
   *
   * @param fromMinutes after midnight
   * @param toMinutes after midnight, when it is as warm again as when the work begins
   * @param colderK than when the work begins
   */
  public record ColdNight(int fromMinutes, int toMinutes, double colderK) {
    public static final ColdNight USUAL = new ColdNight(22 * 60, 7 * 60, 6);
  }

  /** On which days something changes. */
  public enum Days {
    EVERY_DAY,
    WORKDAYS,
    WEEKEND;

    boolean has(LocalDate date) {
      boolean free =
          date.getDayOfWeek() == DayOfWeek.SATURDAY || date.getDayOfWeek() == DayOfWeek.SUNDAY;
      return this == EVERY_DAY || free == (this == WEEKEND);
    }
  }

  /**
   * From a time of day on it is so warm, until the next change.
   *
   * @param fromMinutes after midnight, by the clock on the wall
   */
  public record RoomChange(int fromMinutes, double temperatureC, Days days) {
    public static final Range FROM_MINUTES = Hours.FROM_MINUTES;
    public static final Range TEMPERATURE_C = Room.TEMPERATURE_C;

    public RoomChange {
      days = days == null ? Days.EVERY_DAY : days;
      new Check()
          .within("fromMinutes", fromMinutes, FROM_MINUTES)
          .within("temperatureC", temperatureC, TEMPERATURE_C)
          .orThrow();
    }
  }

  /** The same where the work begins at another temperature; a warmer room is warm at night too. */
  Room at(double otherC) {
    return new Room(
        otherC,
        humidityPercent,
        later == null || otherC <= temperatureC
            ? later
            : later.stream()
                .map(c ->
                    new RoomChange(c.fromMinutes(), Math.max(otherC, c.temperatureC()), c.days()))
                .toList(),
        warmsPerHourK);
  }

  /** The same in air of another humidity, %. */
  public Room withHumidity(double percent) {
    return new Room(temperatureC, percent, later, warmsPerHourK);
  }

  /**
   * How warm it is expected to be from when the work begins, changes in order of time.
   *
   * @param read what thermometers said since: it holds until the room is expected to change, and
   *     warms from there
   */
  List<RoomCourse.Reading> course(Instant begins, ZoneId zone, List<RoomCourse.Reading> read) {
    List<RoomCourse.Reading> changes = changes(begins, zone);
    int first = changes.isEmpty() ? Integer.MAX_VALUE : changes.getFirst().atSeconds();
    List<RoomCourse.Reading> course = new ArrayList<>();
    long step = STEP.toSeconds();
    for (long i = 1; warmsPerHourK != null && i * step <= WORKED_IN.toSeconds(); i++) {
      int at = (int) (i * step - step / 2);
      if (at < first) {
        // Each step has the temperature of its middle.
        double warmer = warmedBy((int) (i * step)) + readWarmer(read, at);
        course.add(new RoomCourse.Reading(at, temperatureC + warmer));
      }
    }
    course.addAll(changes);
    course.addAll(read);
    course.sort(Comparator.comparingInt(RoomCourse.Reading::atSeconds));
    return course;
  }

  private double warmedBy(int seconds) {
    double warms = warmsPerHourK == null ? 0 : warmsPerHourK;
    return warms * Math.min(seconds, WORKED_IN.toSeconds()) / 3_600.0;
  }

  /** By how much it was warmer than expected when it was last read, K. */
  private double readWarmer(List<RoomCourse.Reading> read, int at) {
    double warmer = 0;
    for (RoomCourse.Reading reading : read) {
      if (reading.atSeconds() <= at) {
        warmer = reading.temperatureC() - temperatureC - warmedBy(reading.atSeconds());
      }
    }
    return warmer;
  }

  private List<RoomCourse.Reading> changes(Instant begins, ZoneId zone) {
    List<RoomCourse.Reading> course = new ArrayList<>();
    if (later == null) {
      return course;
    }
    LocalDate first = LocalDate.ofInstant(begins, zone);
    double now = temperatureC;
    for (int day = 0; day < DAYS; day++) {
      LocalDate date = first.plusDays(day);
      for (RoomChange change : inOrder(later)) {
        Instant at =
            date.atTime(LocalTime.ofSecondOfDay(change.fromMinutes() * 60L))
                .atZone(zone)
                .toInstant();
        if (change.days().has(date) && at.isAfter(begins) && change.temperatureC() != now) {
          now = change.temperatureC();
          course.add(new RoomCourse.Reading((int) Duration.between(begins, at).toSeconds(), now));
        }
      }
    }
    return course;
  }

  private static List<RoomChange> inOrder(List<RoomChange> later) {
    return later.stream().sorted(Comparator.comparingInt(RoomChange::fromMinutes)).toList();
  }
}
