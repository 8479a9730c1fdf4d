package calmpour.core.run;

import calmpour.core.check.Check;
import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;

/**
 * A plan that somebody began to carry out. None of it changes afterwards: what happens is told by
 * events.
 *
 * @param session as it was planned
 * @param workshop what the session uses of it, kept as it was
 * @param plan whose second 0 is when it was begun, whatever the session says
 * @param begunAt wall-clock time
 */
public record Run(Session session, Workshop workshop, Plan plan, Instant begunAt) {
  public Run {
    new Check()
        .present("session", session)
        .present("workshop", workshop)
        .present("plan", plan)
        .present("begunAt", begunAt)
        .orThrow();
  }

  /** The session as if it had been planned for when it was really begun. */
  public Session asBegun() {
    return session.withStartsAt(
        LocalDateTime.ofInstant(begunAt, ZoneId.of(session.zoneId())).withNano(0));
  }
}
