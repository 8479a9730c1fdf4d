package calmpour.core.plan.doc;

/**
 * Its moments, in seconds from the first step; all 0 before it is laid on the clock.
 *
 * @param contactSeconds first contact of A and B
 * @param mixedSeconds end of stirring
 */
public record BatchTimes(int startSeconds, int contactSeconds, int mixedSeconds, int endSeconds) {
  public static final BatchTimes NONE = new BatchTimes(0, 0, 0, 0);
}
