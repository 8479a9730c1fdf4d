package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.plan.doc.Task;
import java.util.List;

/**
 * Something that goes wrong in an exercise.
 *
 * @param at it happens with a step of this kind,
 * @param nth the first, or a later one, from 1
 * @param size minutes of a call, percent of an over-pour, kelvin of a room or of cold bottles; not
 *     used by the others
 */
public record Mishap(Kind kind, Task.Kind at, int nth, double size) {
  public static final Range NTH = new Range(1, 200);
  public static final Range SIZE = new Range(0, 120);

  public Mishap {
    new Check()
        .present("kind", kind)
        .present("at", at)
        .within("nth", (double) nth, NTH)
        .within("size", size, SIZE)
        .that(
            kind == null || at == null || kind.with(at),
            Problem.of("at", Problem.Code.UNKNOWN_WORD, String.valueOf(at)))
        .orThrow();
  }

  /** What can go wrong. */
  public enum Kind {
    /** The phone rings. */
    PHONE,
    /** Too much of the second part went in. */
    OVER_POUR,
    /** The room is warmer than it was planned for. */
    WARM_ROOM,
    /** The bottles are cold. */
    COLD_RESIN,
    /** Another colour than planned went into a cavity. */
    WRONG_CUP,
    /** An embed was left out when it was its turn. */
    EMBED_FORGOTTEN,
    /** Not one by itself: not all that is left can be in time any more. */
    LATE;

    /** What can be done about it. */
    public List<Choice> choices() {
      return switch (this) {
        case PHONE -> List.of(Choice.LET_IT_RING, Choice.TAKE_THE_CALL);
        case OVER_POUR -> List.of(Choice.ADD_THE_OTHER, Choice.LEAVE_IT);
        case WARM_ROOM -> List.of(Choice.TELL_THE_BENCH, Choice.GO_ON);
        case COLD_RESIN -> List.of(Choice.WARM_THE_BOTTLES, Choice.GO_ON);
        case WRONG_CUP -> List.of(Choice.SWAP_THE_COLOURS, Choice.GO_ON);
        case EMBED_FORGOTTEN -> List.of(Choice.PRESS_IT_IN, Choice.LEAVE_IT_OUT);
        case LATE -> List.of(Choice.GIVE_UP_AS_SHOWN, Choice.TRY_THEM_ALL);
      };
    }

    /** Whether it can happen with such a step. */
    private boolean with(Task.Kind step) {
      return switch (this) {
        case PHONE, WARM_ROOM -> true;
        case OVER_POUR -> step == Task.Kind.WEIGH_SECOND;
        case COLD_RESIN -> step == Task.Kind.WEIGH_FIRST;
        case WRONG_CUP -> step == Task.Kind.POUR;
        case EMBED_FORGOTTEN -> step == Task.Kind.EMBED;
        case LATE -> false;
      };
    }
  }

  /** What a maker does about a mishap. */
  public enum Choice {
    LET_IT_RING,
    TAKE_THE_CALL,
    ADD_THE_OTHER,
    LEAVE_IT,
    TELL_THE_BENCH,
    WARM_THE_BOTTLES,
    SWAP_THE_COLOURS,
    PRESS_IT_IN,
    LEAVE_IT_OUT,
    GIVE_UP_AS_SHOWN,
    TRY_THEM_ALL,
    GO_ON
  }
}
