package calmpour.core.plan.doc;

/**
 * How a plan's batches and times were found.
 *
 * @param leastBatches that no plan of these pieces can do without, by mass and by hands
 * @param tried batches and courses that were tried out
 * @param stopped whether somebody had enough, and the best so far was taken
 * @param beginsSeconds how much later than the session says the work begins, because that mends it
 */
public record Arranged(int leastBatches, int tried, boolean stopped, int beginsSeconds) {}
