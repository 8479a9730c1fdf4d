package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.session.Session;
import java.util.List;

/**
 * A session to be rehearsed, and what goes wrong in it.
 *
 * @param grade from 1, the easiest
 * @param seed of hands, room and label: the same seed is the same evening
 * @param best the points of hands that see to everything, as {@link Rehearsal#par} finds
 * @param mishaps in the order in which they are looked for
 */
public record Exercise(
    String id, int grade, long seed, int best, Session session, List<Mishap> mishaps) {
  public static final Range GRADE = new Range(1, 9);

  public Exercise {
    mishaps = mishaps == null ? List.of() : List.copyOf(mishaps);
    new Check()
        .name("id", id)
        .within("grade", (double) grade, GRADE)
        .present("session", session)
        .that(
            session == null || !session.pieces().isEmpty(),
            Problem.of("session.pieces", Problem.Code.NOTHING_TO_MAKE, null))
        .orThrow();
  }
}
