package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.doc.Task;
import calmpour.core.plan.search.Watch;
import calmpour.core.session.Hours;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Comparator;
import org.jspecify.annotations.Nullable;

/**
 * When it is too late to begin: the last start of the same day with which a session goes no worse
 * than as it stands. The hours at home bound it, and whatever would then fall into the night.
 */
public final class LatestStart {
  /** Told in steps of so long: nobody begins to the minute, s. */
  private static final int STEP_SECONDS = 600;

  /** Begun when it was asked to, s. */
  private static final int NOW_SECONDS = 300;

  /** What comes after a longer pause need not be the same evening, s. */
  private static final int PAUSE_SECONDS = 1_800;

  private static final Comparator<Task> BY_START = Comparator.comparingInt(Task::startSeconds);

  private LatestStart() {}

  /**
   * @return null where no hours bound it, or where the plan as it stands is wrong already
   * @throws InvalidValuesException when the session cannot be planned
   */
  public static @Nullable LocalDateTime of(Session session, Workshop workshop, Plans plans) {
    Hours hours = session.arrangement().hours();
    Plan plan = plans.plan(session, workshop, Watch.NOBODY);
    if (hours == null || breaches(plan) > 0) {
      return null;
    }
    Integer first =
        plan.tasks().stream()
            .filter(Task::hands)
            .map(Task::startSeconds)
            .min(Integer::compare)
            .orElse(null);
    if (first == null) {
      return null;
    }
    Session begun = later(session, first);
    Hours.Present present = hours.on(begun.startsAt().toLocalDate(), ZoneId.of(session.zoneId()));
    if (present == null) {
      return null;
    }
    int room = (int) Duration.between(begun.startsAtInstant(), present.to()).toSeconds();
    int busy = busyUntil(plan, first);
    int most = Math.max(0, (room - busy) / STEP_SECONDS);
    int least = 0;
    // Mostly nothing but the hours bounds it: one plan more, and that is known.
    if (most > 0 && fits(later(begun, most * STEP_SECONDS), workshop, plans)) {
      least = most;
    }
    while (least < most) {
      int middle = (least + most + 1) / 2;
      if (fits(later(begun, middle * STEP_SECONDS), workshop, plans)) {
        least = middle;
      } else {
        most = middle - 1;
      }
    }
    return later(begun, least * STEP_SECONDS).startsAt();
  }

  /** How long the first stretch of work takes from the first step on, s. */
  private static int busyUntil(Plan plan, int first) {
    int until = first;
    for (Task task : plan.tasks().stream().filter(Task::hands).sorted(BY_START).toList()) {
      if (task.startSeconds() > until + PAUSE_SECONDS) {
        break;
      }
      until = Math.max(until, task.endSeconds());
    }
    return until - first;
  }

  private static boolean fits(Session session, Workshop workshop, Plans plans) {
    Plan plan = plans.plan(session, workshop, Watch.NOBODY);
    int first =
        plan.tasks().stream().filter(Task::hands).mapToInt(Task::startSeconds).min().orElse(0);
    // A plan that waits until the next morning does not begin when it is asked to.
    return breaches(plan) == 0 && first < NOW_SECONDS;
  }

  private static long breaches(Plan plan) {
    return plan.findings().stream()
        .filter(f -> f.severity() == Finding.Severity.BREACH && f.accepted() == null)
        .count();
  }

  private static Session later(Session session, int seconds) {
    return session.withStartsAt(session.startsAt().plusSeconds(seconds));
  }
}
