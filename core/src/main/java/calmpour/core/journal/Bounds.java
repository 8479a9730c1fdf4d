package calmpour.core.journal;

import org.jspecify.annotations.Nullable;

/** Between which two figures an evening says something lies, as many times as it was told to be. */
public interface Bounds {
  /** More than 0; null where the evening says nothing of the kind. */
  @Nullable Double lowest();

  /** Likewise. */
  @Nullable Double highest();

  /** It is told by, 1 or more. */
  int looks();

  /** What was seen contradicts itself: one look was a slip, nobody knows which. */
  default boolean contradicts() {
    Double low = lowest();
    Double high = highest();
    return low != null && high != null && low >= high;
  }
}
