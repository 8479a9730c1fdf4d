package calmpour.app.store;

import calmpour.core.plan.doc.Plan;
import calmpour.core.session.Session;
import calmpour.core.session.Workshop;
import java.time.OffsetDateTime;
import org.jspecify.annotations.Nullable;

/**
 * A session that is kept.
 *
 * @param revision counts the savings, from 1
 * @param snapshot what its plan was made from; null while it cannot be planned
 * @param plan as it was when saved
 */
public record SavedSession(
    String id,
    int revision,
    Session session,
    @Nullable Workshop snapshot,
    @Nullable Plan plan,
    OffsetDateTime changedAt) {}
