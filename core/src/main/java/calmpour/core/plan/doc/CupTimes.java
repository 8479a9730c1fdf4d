package calmpour.core.plan.doc;

/**
 * Its moments, in seconds from the first step; all 0 before it is laid on the clock.
 *
 * @param latestPourEndSeconds when the last pour out of it has to be done: its working time less
 *     the margin
 * @param thickensSeconds end of its working time
 * @param thickensEarliestSeconds as early as bottle, room and what is known of the resin make it,
 *     19 times in 20
 * @param tooThickSeconds when a drawn thread holds
 */
public record CupTimes(
    int filledSeconds,
    int latestPourEndSeconds,
    int thickensSeconds,
    int thickensEarliestSeconds,
    int thickensLatestSeconds,
    int tooThickSeconds,
    int gelsSeconds) {
  static final CupTimes NONE = new CupTimes(0, 0, 0, 0, 0, 0, 0);
}
