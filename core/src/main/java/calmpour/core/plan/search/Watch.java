package calmpour.core.plan.search;

/** Somebody who waits while a plan is arranged, and may have had enough. */
@FunctionalInterface
public interface Watch {
  /** Nobody is waiting. */
  Watch NOBODY = tried -> true;

  /**
   * @param tried batches and courses tried so far
   * @return whether to go on; when not, the best so far is taken
   */
  boolean goOn(int tried);
}
