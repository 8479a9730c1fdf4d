package calmpour.core.plan.ways;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.plan.doc.Plan;
import calmpour.core.plan.search.Watch;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;

/** Whoever plans: a change is tried out by planning the changed session. */
@FunctionalInterface
public interface Plans {
  /**
   * @throws InvalidValuesException when the session names what the workshop lacks, or asks for what
   *     no mould can hold
   */
  Plan plan(Session session, Workshop workshop, Watch watch);
}
