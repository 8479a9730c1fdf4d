package calmpour.core.audit;

import static calmpour.core.check.Known.known;

import calmpour.core.plan.Facts;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Finding.Mend;
import calmpour.core.plan.doc.Lag;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Task;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Nothing begins before what it waits for, and nothing that has a latest comes after it. */
final class Waits implements Rule {
  @Override
  public void judge(Facts facts, Findings told) {
    for (Task expected : facts.expected()) {
      facts.task(expected.id()).ifPresent(task -> judge(facts, expected, task, told));
    }
  }

  /** The worst of each kind is told; a task that waits for forty cavities is late once. */
  private static void judge(Facts facts, Task expected, Task task, Findings told) {
    Map<Lag.Why, Miss> early = new EnumMap<>(Lag.Why.class);
    Map<Lag.Why, Miss> late = new EnumMap<>(Lag.Why.class);
    Map<Lag.Why, Miss> near = new EnumMap<>(Lag.Why.class);
    int margin = (int) Math.ceil(facts.job().session().habits().marginMinutes() * 60);
    for (Lag lag : expected.after()) {
      Integer moment = facts.moment(lag);
      if (moment == null || lag.why() == Lag.Why.WORKING_TIME) {
        continue;
      }
      int at = (lag.ends() ? task.endSeconds() : task.startSeconds()) - moment;
      Integer most = lag.atMostSeconds();
      if (!lag.ends() && at < lag.atLeastSeconds()) {
        worst(early, lag.why(), new Miss(at, lag.atLeastSeconds()));
      }
      boolean wish = expected.optional() && lag.why() == Lag.Why.LOOK;
      if (most != null && at > most && !wish) {
        worst(late, lag.why(), new Miss(at, most));
      } else if (most != null && at > most - margin && shuts(lag)) {
        near.merge(lag.why(), new Miss(at, most), (a, b) -> a.by() <= b.by() ? a : b);
      }
    }
    early.forEach((why, miss) -> {
      Finding.Rule rule = tooEarly(why);
      Mend later =
          new Mend(
              Mend.Kind.MOVE_TASK, task.startSeconds() + (double) miss.limit - miss.at, task.id());
      told.breach(
          rule,
          Place.of(task),
          Findings.minutes(miss.at),
          Findings.minutes(miss.limit),
          "min",
          task.pinned() ? new Mend(Mend.Kind.RELEASE_PIN, 0, task.id()) : later);
    });
    late.forEach((why, miss) -> tooLate(why, miss, task, Finding.Severity.BREACH, 0, told));
    late.keySet().forEach(near::remove);
    near.forEach((why, miss) -> tooLate(why, miss, task, Finding.Severity.NEAR, margin, told));
  }

  /** Whether something really ends there; looks and nudges are due then, and a little later. */
  private static boolean shuts(Lag lag) {
    return switch (lag.why()) {
      case JOIN, EMBED, BEFORE_GEL -> known(lag.atMostSeconds()) > lag.atLeastSeconds();
      default -> false;
    };
  }

  /**
   * @param margin how much earlier than its limit it had better be, s
   */
  private static void tooLate(
      Lag.Why why, Miss miss, Task task, Finding.Severity severity, int margin, Findings told) {
    Finding.Rule rule = tooLate(why);
    if (rule == null) {
      return;
    }
    double earlier = Math.max(0, task.startSeconds() + (double) miss.limit - margin - miss.at);
    Mend mend =
        task.pinned()
            ? new Mend(Mend.Kind.RELEASE_PIN, 0, task.id())
            : new Mend(Mend.Kind.MOVE_TASK, earlier, task.id());
    told.add(
        new Finding(
            severity,
            rule,
            Place.of(task),
            Findings.minutes(miss.at),
            Findings.minutes(miss.limit),
            "min",
            List.of(mend)));
  }

  private record Miss(int at, int limit) {
    int by() {
      return Math.abs(at - limit);
    }
  }

  private static void worst(Map<Lag.Why, Miss> misses, Lag.Why why, Miss miss) {
    misses.merge(why, miss, (a, b) -> a.by() >= b.by() ? a : b);
  }

  private static Finding.Rule tooEarly(Lag.Why why) {
    return switch (why) {
      case ORDER, WORKING_TIME, BEFORE_GEL, LOOK, NUDGE, WET -> Finding.Rule.OUT_OF_ORDER;
      case JOIN -> Finding.Rule.JOIN_TOO_EARLY;
      case EMBED -> Finding.Rule.EMBED_TOO_EARLY;
      case DRYING -> Finding.Rule.NOT_YET_DRY;
      case CURED -> Finding.Rule.NOT_YET_CURED;
      case FINISHING -> Finding.Rule.FINISHED_TOO_EARLY;
    };
  }

  private static Finding.@Nullable Rule tooLate(Lag.Why why) {
    return switch (why) {
      case JOIN -> Finding.Rule.JOIN_TOO_LATE;
      case EMBED -> Finding.Rule.EMBED_TOO_LATE;
      case WET -> Finding.Rule.WET_TOO_LATE;
      case NUDGE -> Finding.Rule.NUDGE_TOO_LATE;
      case LOOK -> Finding.Rule.LOOK_TOO_LATE;
      case BEFORE_GEL -> Finding.Rule.AFTER_GEL;
      case ORDER, WORKING_TIME, DRYING, CURED, FINISHING -> null;
    };
  }
}
