package calmpour.core.plan.search;

import calmpour.core.plan.time.Chain;

/**
 * How good a plan, or a part of one, is. First that every pour makes it, then as few things as can
 * be that go wrong in the course of the day, then few batches, little waste, and calm.
 *
 * @param missed how many things go wrong because of when they are done
 * @param batches it takes
 * @param wasteG what is mixed and reaches no mould
 * @param spareSeconds least time between a pour's end and its cup's last good moment
 */
record Quality(int missed, int batches, double wasteG, int spareSeconds) {
  /**
   * The only comparison of plans there is; not a {@link Comparable}, since what is enough depends
   * on what is asked for.
   *
   * @param stepG waste that differs by less than such a step is the same, g
   * @param required time to spare that is looked for, s; beyond calm, more of it counts for nothing
   */
  boolean betterThan(Quality other, double stepG, int required) {
    boolean does = spareSeconds >= required;
    if (does != other.spareSeconds >= required) {
      return does;
    }
    if (!does) {
      return spareSeconds > other.spareSeconds;
    }
    if (missed != other.missed) {
      return missed < other.missed;
    }
    if (batches != other.batches) {
      return batches < other.batches;
    }
    long steps = steps(wasteG, stepG);
    long others = steps(other.wasteG, stepG);
    if (steps != others) {
      return steps < others;
    }
    int calm = Chain.calm(required);
    return Math.min(spareSeconds, calm) > Math.min(other.spareSeconds, calm);
  }

  /** Whole steps of waste; what differs by a hair below one is that one. */
  static long steps(double wasteG, double stepG) {
    return (long) Math.floor(wasteG / stepG + 1e-9);
  }
}
