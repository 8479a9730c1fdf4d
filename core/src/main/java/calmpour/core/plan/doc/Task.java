package calmpour.core.plan.doc;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Something that is done between two moments, in whole seconds from the first step of the session.
 *
 * @param id the same as long as the pieces are, so that a task can be pinned
 * @param batch 0 for what belongs to no batch
 * @param line index of the session's line of pieces, from 0; null for several or none
 * @param hands whether it keeps the pair of hands busy; a rest does not
 * @param pair which pair of hands does it, from 0; 0 where none does
 * @param toolId the shared thing it keeps busy; null for none
 * @param places how many places of that thing, or how many pieces it is for
 * @param startSeconds inclusive
 * @param endSeconds exclusive
 * @param spreadSeconds how much longer or shorter it may take
 * @param after what it has to wait for, or not wait for too long
 * @param optional nothing is broken where it is left out
 * @param pinned moved by hand
 */
public record Task(
    TaskId id,
    Kind kind,
    int batch,
    @Nullable CupId cupId,
    @Nullable PourId pourId,
    @Nullable Integer line,
    boolean hands,
    int pair,
    @Nullable String toolId,
    int places,
    int startSeconds,
    int endSeconds,
    int spreadSeconds,
    List<Lag> after,
    boolean optional,
    boolean pinned) {
  public Task {
    after = List.copyOf(after);
  }

  /** The steps of the bench, in the order of the work. */
  public enum Kind {
    /** Wiped with alcohol. */
    WIPE_MOULDS,
    SPRAY_MOULDS,
    SURFACE_WORK,
    PREPARE_EMBEDS,
    WARM,
    WEIGH_FIRST,
    WEIGH_SECOND,
    STIR,
    SECOND_CUP,
    REST,
    SPLIT,
    STOCK_CUP,
    TINT,
    /** Several colours over each other into one more cup, to be poured at once. */
    GATHER,
    /** Embeds on the floor or on the layer below, before they are covered. */
    LAY_EMBEDS,
    POUR,
    EMBED,
    BUBBLE_PASS,
    UNDER_LAMP,
    COVER,
    LOAD_POT,
    IN_POT,
    LOAD_BOX,
    IN_BOX,
    /** What is left over goes into fillers kept ready. */
    LEFTOVERS,
    CLEAN_UP,
    /** For bubbles, once more. */
    LOOK,
    NUDGE,
    DEMOULD,
    FINISH,
    /** From here on it is ready to hand over. */
    READY
  }

  public int takesSeconds() {
    return endSeconds - startSeconds;
  }

  /** The same task at another time. */
  public Task at(int start, boolean byHand) {
    return with(pair, start, start + takesSeconds(), after, byHand);
  }

  /** The same task between two other moments. */
  public Task lasting(int from, int to) {
    return with(pair, from, Math.max(from, to), after, pinned);
  }

  /** The same task by another pair of hands. */
  public Task by(int otherPair) {
    return with(otherPair, startSeconds, endSeconds, after, pinned);
  }

  /** The same task with further lags. */
  public Task and(List<Lag> more) {
    List<Lag> all = new ArrayList<>(after);
    all.addAll(more);
    return with(pair, startSeconds, endSeconds, all, pinned);
  }

  private Task with(int by, int from, int to, List<Lag> lags, boolean byHand) {
    return new Task(
        id,
        kind,
        batch,
        cupId,
        pourId,
        line,
        hands,
        by,
        toolId,
        places,
        from,
        to,
        spreadSeconds,
        lags,
        optional,
        byHand);
  }
}
