package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * When the maker is there, in wall-clock minutes after midnight; the same every day but for the
 * days of the week that have hours of their own, and those but for the dates named otherwise.
 *
 * @param fromMinutes inclusive
 * @param toMinutes exclusive; 1440 for midnight
 * @param weekly days of the week on which it is different, every week; null for none
 */
public record Hours(
    int fromMinutes, int toMinutes, List<OtherDay> otherwise, @Nullable List<OfWeek> weekly) {
  public static final Range FROM_MINUTES = new Range(0, 1_439);
  public static final Range TO_MINUTES = new Range(1, 1_440);
  public static final Range OTHERWISE = new Range(0, 400);

  /**
   * A day of the week on which it is different.
   *
   * @param fromMinutes null for away all day
   * @param toMinutes null for away all day
   */
  public record OfWeek(DayOfWeek day, @Nullable Integer fromMinutes, @Nullable Integer toMinutes) {
    public static final Range FROM_MINUTES = Hours.FROM_MINUTES;
    public static final Range TO_MINUTES = Hours.TO_MINUTES;

    public OfWeek {
      between(new Check().present("day", day), fromMinutes, toMinutes).orThrow();
    }
  }

  /** The same on every day of the week. */
  public Hours(int fromMinutes, int toMinutes, List<OtherDay> otherwise) {
    this(fromMinutes, toMinutes, otherwise, null);
  }

  /**
   * A day on which it is different.
   *
   * @param fromMinutes null for away all day
   * @param toMinutes null for away all day
   */
  public record OtherDay(
      LocalDate date, @Nullable Integer fromMinutes, @Nullable Integer toMinutes) {
    public static final Range FROM_MINUTES = Hours.FROM_MINUTES;
    public static final Range TO_MINUTES = Hours.TO_MINUTES;

    public OtherDay {
      between(new Check().present("date", date), fromMinutes, toMinutes).orThrow();
    }
  }

  /** Both ends of a day's hours, or neither. */
  private static Check between(Check check, @Nullable Integer from, @Nullable Integer to) {
    return check
        .within("fromMinutes", from, FROM_MINUTES)
        .within("toMinutes", to, TO_MINUTES)
        .that((from == null) == (to == null), Problem.of("toMinutes", Problem.Code.MISSING, null))
        .that(
            from == null || to == null || from < to,
            Problem.of("toMinutes", Problem.Code.HOURS_REVERSED, clock(to)));
  }

  public Hours {
    otherwise = otherwise == null ? List.of() : List.copyOf(otherwise);
    weekly = weekly == null || weekly.isEmpty() ? null : List.copyOf(weekly);
    Check check =
        new Check()
            .within("fromMinutes", fromMinutes, FROM_MINUTES)
            .within("toMinutes", toMinutes, TO_MINUTES)
            .that(
                fromMinutes < toMinutes,
                Problem.of("toMinutes", Problem.Code.HOURS_REVERSED, clock(toMinutes)))
            .that(
                OTHERWISE.contains(otherwise.size()),
                Problem.outside("otherwise", Problem.Code.TOO_MANY, otherwise.size(), OTHERWISE));
    Set<LocalDate> days = new HashSet<>();
    for (int i = 0; i < otherwise.size(); i++) {
      LocalDate date = otherwise.get(i).date();
      check.that(
          days.add(date),
          Problem.of("otherwise[" + i + "].date", Problem.Code.DUPLICATE_ID, "" + date));
    }
    Set<DayOfWeek> week = EnumSet.noneOf(DayOfWeek.class);
    for (int i = 0; weekly != null && i < weekly.size(); i++) {
      DayOfWeek day = weekly.get(i).day();
      check.that(
          week.add(day), Problem.of("weekly[" + i + "].day", Problem.Code.DUPLICATE_ID, "" + day));
    }
    check.orThrow();
  }

  /** Every day from and until these minutes after midnight. */
  public static Hours daily(int fromMinutes, int toMinutes) {
    return new Hours(fromMinutes, toMinutes, List.of());
  }

  /**
   * From when to when the maker is there, as instants.
   *
   * @param from inclusive
   * @param to exclusive
   */
  public record Present(Instant from, Instant to) {}

  /** That day's hours; null when the maker is away, or where the clocks skip all of them. */
  public @Nullable Present on(LocalDate date, ZoneId zone) {
    Integer from = fromMinutes;
    Integer to = toMinutes;
    for (OfWeek day : weekly == null ? List.<OfWeek>of() : weekly) {
      if (day.day() == date.getDayOfWeek()) {
        from = day.fromMinutes();
        to = day.toMinutes();
      }
    }
    for (OtherDay day : otherwise) {
      if (day.date().equals(date)) {
        from = day.fromMinutes();
        to = day.toMinutes();
      }
    }
    if (from == null || to == null) {
      return null;
    }
    Instant begin = at(date, from, zone);
    Instant end = at(date, to, zone);
    return begin.isBefore(end) ? new Present(begin, end) : null;
  }

  private static Instant at(LocalDate date, int minutes, ZoneId zone) {
    boolean midnight = minutes == TO_MINUTES.maxInclusive();
    LocalDate day = midnight ? date.plusDays(1) : date;
    return day.atTime(LocalTime.ofSecondOfDay(midnight ? 0 : minutes * 60L))
        .atZone(zone)
        .toInstant();
  }

  private static @Nullable String clock(@Nullable Integer minutes) {
    return minutes == null
        ? null
        : String.format(java.util.Locale.ROOT, "%02d:%02d", minutes / 60, minutes % 60);
  }
}
