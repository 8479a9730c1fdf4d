package calmpour.core.plan.doc;

/**
 * Where a cavity stands on the bench.
 *
 * @param line index of the session's line of pieces
 * @param cavity from 1
 * @param leftMm from the left edge of its row
 * @param acrossMm what it needs, rubber and all
 * @param turn in which it is poured for the first time, from 1
 */
public record BenchSpot(int line, int cavity, double leftMm, double acrossMm, int turn) {}
