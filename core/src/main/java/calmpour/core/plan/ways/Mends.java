package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.habit.Mixing;
import calmpour.core.plan.doc.Finding;
import calmpour.core.session.Job;
import calmpour.core.session.Session;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Predicate;

/**
 * Ways out of a late pour, each tried on the batches as they are before it is offered. More batches
 * are none: where they help, the plan has them.
 */
public final class Mends {
  private final Job job;
  private final Session session;
  private final Predicate<Job> inTime;

  /**
   * @param inTime whether every pour of a changed session is in time, shared out in the same
   *     batches
   */
  public Mends(Job job, Predicate<Job> inTime) {
    this.job = job;
    this.session = job.session();
    this.inTime = inTime;
  }

  /** The mildest change of each kind that brings every pour in; empty when none does. */
  public List<Finding.Mend> forLatePours() {
    List<Finding.Mend> ways = new ArrayList<>();
    Mixing mixing = session.habits().mixing();
    if (mixing.warming() != Mixing.Warming.NONE) {
      Session cold = Mending.unwarmed(session);
      add(ways, Finding.Mend.Kind.NO_WARMING, holds(cold) ? Optional.of(0.0) : Optional.empty());
    }
    double rest = session.habits().restMinutes();
    add(
        ways,
        Finding.Mend.Kind.SHORTER_REST,
        firstThatHolds(Math.ceil(rest) - 1, 0, -1, m -> Mending.rested(session, m)));
    add(
        ways,
        Finding.Mend.Kind.COOLER_ROOM,
        firstThatHolds(
            Math.ceil(session.room().temperatureC()) - 1,
            Mending.COLDEST_ROOM_C,
            -1,
            session::withTemperatureC));
    return ways;
  }

  private static void add(List<Finding.Mend> ways, Finding.Mend.Kind kind, Optional<Double> value) {
    value.ifPresent(v -> ways.add(new Finding.Mend(kind, v)));
  }

  private Optional<Double> firstThatHolds(
      double first, double last, double step, DoubleFunction<Session> change) {
    // The far end tells whether the whole way is worth walking.
    if ((last - first) * step < 0 || !holds(change.apply(last))) {
      return Optional.empty();
    }
    // More of a change makes pours no later, as a rule; the one that is found was tried.
    int least = 0;
    int most = (int) Math.round((last - first) / step);
    while (least < most) {
      int middle = (least + most) / 2;
      if (holds(change.apply(first + middle * step))) {
        most = middle;
      } else {
        least = middle + 1;
      }
    }
    return Optional.of(first + most * step);
  }

  private boolean holds(Session changed) {
    try {
      return inTime.test(job.of(changed));
    } catch (InvalidValuesException cannotBePlanned) {
      return false;
    }
  }
}
