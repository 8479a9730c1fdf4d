package calmpour.core.plan.doc;

import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param phase of the work; that of its kind
 */
@RecordBuilder
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
    boolean pinned,
    Phase phase)
    implements TaskBuilder.With {
  public Task {
    after = List.copyOf(after);
    // Whatever it was called when it was kept.
    phase = kind == null ? phase : kind.phase();
  }

  /** What part of the work a task belongs to. */
  public enum Phase {
    /** Before the bottles are opened. */
    PREPARE,
    /** From warm bottles to a mix that has rested. */
    MIX,
    /** Split, tinted, poured, covered: in one go with the mixing. */
    POUR,
    /** Embeds laid in meanwhile. */
    EMBED,
    /** What a batch is left with, and where its pieces cure. */
    AFTER,
    /** Somebody looks, and nudges. */
    WATCH,
    /** Out of the mould, finished, ready. */
    FREE
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
    /** Bubbles brought out of the mix: flame, hot air, lamp, tray, vacuum or machine. */
    RELEASE,
    SPLIT,
    STOCK_CUP,
    TINT,
    /** Several colours over each other into one more cup, to be poured at once. */
    GATHER,
    /** Embeds on the floor or on the layer below, before they are covered. */
    LAY_EMBEDS,
    POUR,
    EMBED,
    /** Drawn, swirled, tilted … while it flows. */
    WET_WORK,
    BUBBLE_PASS,
    UNDER_LAMP,
    /** Of closed moulds, pressed on over their keys. */
    LID,
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
    /** Wiped, drained, dried, lidded, once the last piece is out. */
    MOULDS_AWAY,
    FINISH,
    /** From here on it is ready to hand over. */
    READY;

    /** What part of the work it belongs to. */
    public Phase phase() {
      return switch (this) {
        case WIPE_MOULDS, SPRAY_MOULDS, SURFACE_WORK, PREPARE_EMBEDS -> Phase.PREPARE;
        case WARM, WEIGH_FIRST, WEIGH_SECOND, STIR, SECOND_CUP, REST, RELEASE -> Phase.MIX;
        case SPLIT, STOCK_CUP, TINT, GATHER, POUR, WET_WORK, BUBBLE_PASS, UNDER_LAMP, LID, COVER ->
            Phase.POUR;
        case LAY_EMBEDS, EMBED -> Phase.EMBED;
        case LOAD_POT, IN_POT, LOAD_BOX, IN_BOX, LEFTOVERS, CLEAN_UP -> Phase.AFTER;
        case LOOK, NUDGE -> Phase.WATCH;
        case DEMOULD, MOULDS_AWAY, FINISH, READY -> Phase.FREE;
      };
    }

    /** Whether a batch is split, tinted, poured and covered in one go with it. */
    public boolean inOneGo() {
      return phase() == Phase.MIX || phase() == Phase.POUR || phase() == Phase.EMBED;
    }
  }

  public int takesSeconds() {
    return endSeconds - startSeconds;
  }

  /** The same task at another time. */
  public Task at(int start, boolean byHand) {
    return withStartSeconds(start).withEndSeconds(start + takesSeconds()).withPinned(byHand);
  }

  /** The same task between two other moments. */
  public Task lasting(int from, int to) {
    return withStartSeconds(from).withEndSeconds(Math.max(from, to));
  }

  /** The same task by another pair of hands. */
  public Task by(int otherPair) {
    return withPair(otherPair);
  }

  /** The same task with further lags. */
  public Task and(List<Lag> more) {
    List<Lag> all = new ArrayList<>(after);
    all.addAll(more);
    return withAfter(all);
  }
}
