package calmpour.core.plan;

import calmpour.core.habit.Planning;
import calmpour.core.plan.doc.Chance;
import calmpour.core.plan.doc.Finding;
import calmpour.core.plan.doc.Place;
import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Job;
import calmpour.core.tool.Booking;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What is told of how sure a plan is, and of a start that is not the one that was said. */
final class Sureness {
  /** Starts are tried to the half hour. */
  private static final Duration JUST_BEFORE = Duration.ofMinutes(30);

  private Sureness() {}

  static List<Finding> of(Job job, Plan plan) {
    List<Finding> told = new ArrayList<>();
    Planning wanted = job.session().habits().planning();
    Chance chance = plan.chance();
    // Where a pour is late anyway, that is what counts.
    if (chance != null && chance.percent() < wanted.surePercent() && plan.spareSeconds() >= 0) {
      Place place =
          chance.weakest() == null ? Place.Whole.PLAN : new Place.OfPour(chance.weakest().pourId());
      List<Finding.Mend> mends = new ArrayList<>();
      if (wanted.pairsOfHands() < Planning.PAIRS_OF_HANDS.maxInclusive()) {
        mends.add(new Finding.Mend(Finding.Mend.Kind.HELPER, wanted.pairsOfHands() + 1.0));
      }
      double less = Math.floor(chance.percent());
      if (less >= Planning.SURE_PERCENT.minInclusive()) {
        mends.add(new Finding.Mend(Finding.Mend.Kind.LESS_SURE, less));
      }
      mends.add(new Finding.Mend(Finding.Mend.Kind.ANEW, 0));
      told.add(
          new Finding(
              Finding.Severity.NEAR,
              Finding.Rule.NOT_SURE_ENOUGH,
              place,
              chance.percent(),
              wanted.surePercent(),
              "%",
              mends));
    }
    if (plan.arranged() != null && plan.arranged().beginsSeconds() > 0) {
      told.add(later(job, plan, plan.arranged().beginsSeconds()));
    }
    return told;
  }

  private static Finding later(Job job, Plan plan, int beginsSeconds) {
    Finding later =
        new Finding(
            Finding.Severity.NOTE,
            Finding.Rule.BEGINS_LATER,
            Place.Whole.PLAN,
            beginsSeconds / 60.0,
            0,
            "min",
            List.of());
    Instant begins = job.session().startsAtInstant().plusSeconds(beginsSeconds);
    // What became free just before is what was waited for; longer before, it was somebody's hours.
    return job.bookings().stream()
        .filter(b -> b.to().isAfter(job.session().startsAtInstant()) && !b.to().isAfter(begins))
        .filter(b -> b.to().plus(JUST_BEFORE).isAfter(begins))
        .filter(b -> needs(job, plan, b))
        .max(Comparator.comparing(Booking::to))
        .map(later::because)
        .orElse(later);
  }

  /** Whether it is something that this session uses as well. */
  private static boolean needs(Job job, Plan plan, Booking other) {
    return switch (other.what()) {
      case HANDS -> true;
      case TOOL -> plan.tasks().stream().anyMatch(t -> other.id().equals(t.toolId()));
      case MOULD ->
          job.lines().stream().anyMatch(l -> l.mould().keyOf(l.cavity()).equals(other.id()));
    };
  }
}
