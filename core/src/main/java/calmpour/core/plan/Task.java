package calmpour.core.plan;

import org.jspecify.annotations.Nullable;

/**
 * Something that is done between two moments, in whole seconds from the first step.
 *
 * @param hands whether it keeps the pair of hands busy; a rest does not
 */
public record Task(
    Kind kind,
    int batch,
    @Nullable String cupId,
    @Nullable String pourId,
    boolean hands,
    int startSeconds,
    int endSeconds) {

  /** The steps of the bench, in the order of the work. */
  public enum Kind {
    WARM,
    WEIGH_FIRST,
    WEIGH_SECOND,
    STIR,
    SECOND_CUP,
    REST,
    SPLIT,
    STOCK_CUP,
    TINT,
    POUR,
    BUBBLE_PASS,
    COVER
  }
}
