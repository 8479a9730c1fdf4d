package calmpour.core.run;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * An evening whose clock was wrong from its beginning, put right as a whole: see "A record that is
 * put right" in docs/rules.md. Everything told until then moves with its beginning, and what is
 * told afterwards does not.
 */
public final class WrongClock {
  private static final String BEGAN = "BEGAN/";

  /** A slip of the hand, not an evening; and seconds since then would not fit. */
  private static final int FIRST_YEAR = 2000;

  private WrongClock() {}

  /**
   * One correction of the clock.
   *
   * @param id of the line that put it right
   * @param showed when the evening began by the clock as it was
   * @param began when it really did
   * @param who null where nobody said
   */
  public record Righted(
      String id, Instant showed, Instant began, String why, @Nullable String who) {}

  /**
   * A run by the right clock.
   *
   * @param events in the order in which they were told
   * @param clocks what was put right, in that order
   */
  public record RightRun(Run run, List<RunEvent> events, List<Righted> clocks) {
    public RightRun {
      events = List.copyOf(events);
      clocks = List.copyOf(clocks);
    }
  }

  /** When an evening really began, by the clock of its place; empty where that cannot be read. */
  static Optional<LocalDateTime> began(List<String> codes) {
    if (codes.size() != 1 || !codes.getFirst().startsWith(BEGAN)) {
      return Optional.empty();
    }
    try {
      return Optional.of(LocalDateTime.parse(codes.getFirst().substring(BEGAN.length())))
          .filter(began -> began.getYear() >= FIRST_YEAR);
    } catch (DateTimeParseException notATime) {
      return Optional.empty();
    }
  }

  /** Whether something that is told changes the clock of what was told before. */
  public static boolean changes(RunEvent event, List<RunEvent> before) {
    return event.kind() == RunEvent.Kind.CLOCK
        || (event.kind() == RunEvent.Kind.UNDONE
            && before.stream()
                .anyMatch(b -> b.kind() == RunEvent.Kind.CLOCK && b.id().equals(event.of())));
  }

  /**
   * Whether a run would really have begun then: with what was told since, not in time to come.
   *
   * @param run by the clock as it is
   */
  public static boolean isPast(Run run, List<RunEvent> events, RunEvent clock, Instant now) {
    Duration by = Duration.between(run.begunAt(), really(run, clock));
    return !run.begunAt().plus(by).isAfter(now)
        && events.stream()
            .filter(e -> e.kind() != RunEvent.Kind.CLOCK)
            .noneMatch(e -> e.at().plus(by).isAfter(now));
  }

  /**
   * @param told as it was told, by the clock of then
   */
  public static RightRun of(Run run, List<RunEvent> told) {
    Set<String> undone = new HashSet<>();
    told.stream()
        .filter(e -> e.kind() == RunEvent.Kind.UNDONE && e.of() != null)
        .forEach(e -> undone.add(e.of()));
    Run right = run;
    List<RunEvent> events = new ArrayList<>();
    List<Righted> clocks = new ArrayList<>();
    for (RunEvent event : told) {
      if (event.kind() == RunEvent.Kind.CLOCK && !undone.contains(event.id())) {
        Instant began = really(right, event);
        Duration by = Duration.between(right.begunAt(), began);
        events.replaceAll(e -> e.kind() == RunEvent.Kind.CLOCK ? e : moved(e, by));
        clocks.add(
            new Righted(
                event.id(),
                right.begunAt(),
                began,
                event.text() == null ? "" : event.text(),
                event.person()));
        right = new Run(run.session(), run.workshop(), run.plan(), began);
      }
      events.add(event);
    }
    return new RightRun(right, events, clocks);
  }

  private static Instant really(Run run, RunEvent clock) {
    return began(clock.codes())
        .orElseThrow(() -> new IllegalStateException("bug: no beginning in " + clock))
        .atZone(ZoneId.of(run.session().zoneId()))
        .toInstant();
  }

  private static RunEvent moved(RunEvent event, Duration by) {
    RunEvent moved = event.withAt(event.at().plus(by));
    return event.kind() == RunEvent.Kind.CORRECTED
        ? moved.withCodes(
            Corrections.moment(event.codes())
                .map(at -> List.of(Corrections.at(at.plus(by))))
                .orElse(event.codes()))
        : moved;
  }
}
