package calmpour.core.session;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * When the maker is there, in wall-clock minutes after midnight; the same every day but for the
 * days named otherwise.
 *
 * @param fromMinutes inclusive
 * @param toMinutes exclusive; 1440 for midnight
 */
public record Hours(int fromMinutes, int toMinutes, List<OtherDay> otherwise) {
  public static final Range FROM_MINUTES = new Range(0, 1_439);
  public static final Range TO_MINUTES = new Range(1, 1_440);
  public static final Range OTHERWISE = new Range(0, 400);

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
      new Check()
          .present("date", date)
          .within("fromMinutes", fromMinutes, FROM_MINUTES)
          .within("toMinutes", toMinutes, TO_MINUTES)
          .that(
              (fromMinutes == null) == (toMinutes == null),
              Problem.of("toMinutes", Problem.Code.MISSING, null))
          .that(
              fromMinutes == null || toMinutes == null || fromMinutes < toMinutes,
              Problem.of("toMinutes", Problem.Code.HOURS_REVERSED, clock(toMinutes)))
          .orThrow();
    }
  }

  public Hours {
    otherwise = otherwise == null ? List.of() : List.copyOf(otherwise);
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
