package calmpour.core.plan.time;

import calmpour.core.session.Hours;
import calmpour.core.session.Session;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import org.jspecify.annotations.Nullable;

/** When the maker is there, in seconds from the first step; durations stay when clocks change. */
public final class Presence {
  /** Nobody plans further ahead, days. */
  static final int DAYS = 120;

  private final @Nullable Hours hours;
  private final Instant start;
  private final ZoneId zone;

  public Presence(Session session) {
    this.hours = session.arrangement().hours();
    this.start = session.startsAtInstant();
    this.zone = ZoneId.of(session.zoneId());
  }

  /**
   * The first moment from which the maker is there for so long.
   *
   * @return null when there is none in the next {@value #DAYS} days
   */
  public @Nullable Integer next(int fromSeconds, int takesSeconds) {
    if (hours == null) {
      return fromSeconds;
    }
    LocalDate day = start.plusSeconds(fromSeconds).atZone(zone).toLocalDate();
    for (int d = 0; d < DAYS; d++) {
      Hours.Present present = hours.on(day.plusDays(d), zone);
      if (present != null) {
        int begin = Math.max(fromSeconds, seconds(present.from()));
        if (begin + takesSeconds <= seconds(present.to())) {
          return begin;
        }
      }
    }
    return null;
  }

  /** Whether the maker is there all the while. */
  public boolean there(int fromSeconds, int toSeconds) {
    Integer next = next(fromSeconds, toSeconds - fromSeconds);
    return next != null && next == fromSeconds;
  }

  private int seconds(Instant instant) {
    return (int) Duration.between(start, instant).toSeconds();
  }
}
