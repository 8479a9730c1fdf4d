package calmpour.app.work;

import calmpour.core.plan.FillerLine;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.search.Watch;
import calmpour.core.plan.ways.LatestStart;
import calmpour.core.plan.ways.Mending;
import calmpour.core.plan.ways.Sensitivity;
import calmpour.core.plan.ways.Ways;
import calmpour.core.session.Job;
import calmpour.core.session.Resolution;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import calmpour.core.tool.Booking;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Plans as they are asked for: each is worked out once, and its card, curves and doses read off it.
 */
@Component
public class PlanDesk {
  /** Tasks of all plans that are kept: a few of the largest sessions, many of the usual ones. */
  private static final int MOST_TASKS = 8_000;

  /** What a plan weighs beside its tasks, as tasks. */
  private static final int AT_LEAST = 60;

  private final Planner planner;
  private final Cache<Asked, WorkedPlan> worked =
      Caffeine.newBuilder()
          .maximumWeight(MOST_TASKS)
          .weigher((Asked asked, WorkedPlan plan) -> AT_LEAST + plan.plan().tasks().size())
          .executor(Runnable::run)
          .build();

  /** All that a plan depends on. */
  private record Asked(Session session, Workshop used, List<Booking> bookings) {}

  PlanDesk(Planner planner) {
    this.planner = planner;
  }

  /**
   * A plan while somebody waits for it; one that was stopped before is looked for again.
   *
   * @throws calmpour.core.check.InvalidValuesException when the session cannot be planned
   */
  public WorkedPlan work(Session session, Workshop workshop, Watch watch) {
    return worked(session, workshop, watch, false);
  }

  /**
   * The plan that was shown for this session, even if it was stopped; worked out if there is none.
   */
  public WorkedPlan shown(Session session, Workshop workshop) {
    return worked(session, workshop, Watch.NOBODY, true);
  }

  private WorkedPlan worked(Session session, Workshop workshop, Watch watch, boolean stoppedToo) {
    Job job = Resolution.of(session, workshop);
    Asked asked = new Asked(job.session(), job.used(), job.bookings());
    WorkedPlan known = worked.getIfPresent(asked);
    if (known != null && (stoppedToo || !stopped(known))) {
      return known;
    }
    WorkedPlan found = planner.work(job, watch);
    worked.put(asked, found);
    return found;
  }

  /** See {@link Planner#ways}. */
  public Ways ways(Session session, Workshop workshop, Watch watch) {
    return Planner.ways(session, workshop, (s, w, its) -> work(s, w, its).plan(), watch);
  }

  /** See {@link LatestStart}. */
  public @Nullable LocalDateTime latestStart(Session session, Workshop workshop) {
    return LatestStart.of(session, workshop, (s, w, watch) -> work(s, w, watch).plan());
  }

  /** See {@link Planner#audit}. */
  public List<Finding> audit(Session session, Workshop workshop, Plan plan) {
    return planner.audit(session, workshop, plan);
  }

  /**
   * The session with a mend made.
   *
   * @return empty where it is not made in the session, but on the board, the shelf or a mould
   */
  public Optional<Session> mended(Session session, Workshop workshop, Finding.Mend mend) {
    return mend.kind() == Finding.Mend.Kind.FILLER
        ? FillerLine.added(session, workshop, mend.value())
        : Mending.of(session, mend);
  }

  /** See {@link Planner#assumed}. */
  public List<Sensitivity.Weight> assumed(Session session, Workshop workshop) {
    return planner.assumed(session, workshop);
  }

  private static boolean stopped(WorkedPlan plan) {
    return plan.plan().arranged() != null && plan.plan().arranged().stopped();
  }
}
