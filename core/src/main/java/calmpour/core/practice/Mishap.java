package calmpour.core.practice;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.plan.doc.Task;

/**
 * Something that goes wrong in an exercise.
 *
 * @param at it happens with a step of this kind,
 * @param nth the first, or a later one, from 1
 * @param size minutes of a call; percent of an over-pour, of what is spilled out of a cup or leaks
 *     out of a mould; kelvin of a room or of cold bottles; not used by the others
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
    /** Too much of the second part goes in. */
    OVER_POUR,
    /** The room is warmer than it was planned for. */
    WARM_ROOM,
    /** The bottles are cold. */
    COLD_RESIN,
    /** Another colour than planned goes into a cavity. */
    WRONG_CUP,
    /** An embed is left out when it is its turn. */
    EMBED_FORGOTTEN,
    /** A cup tips over. */
    SPILL,
    /** A mould lets resin out. */
    LEAK;

    /** Whether it can happen with such a step. */
    private boolean with(Task.Kind step) {
      return switch (this) {
        case PHONE, WARM_ROOM -> true;
        case OVER_POUR -> step == Task.Kind.WEIGH_SECOND;
        case COLD_RESIN -> step == Task.Kind.WEIGH_FIRST;
        case WRONG_CUP, SPILL, LEAK -> step == Task.Kind.POUR;
        case EMBED_FORGOTTEN -> step == Task.Kind.EMBED;
      };
    }
  }
}
