package calmpour.core.tool;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A pot, box, lamp or board that several pieces share.
 *
 * @param holds pieces at once; null where nobody counted
 * @param temperatureC inside, of a hot box; null for the room's
 * @param ratedKPa what a pressure pot is rated for; null for what is none
 * @param workKPa what it is set to, below its relief valve and up to what it is rated for; null
 *     where nobody has said
 * @param reliefKPa at which its relief valve opens; null where nobody has said
 * @param opensBy who opens it, in the maker's words; null where nobody has said
 */
public record Tool(
    String id,
    String name,
    Kind kind,
    @Nullable Integer holds,
    @Nullable Double temperatureC,
    @Nullable Double ratedKPa,
    @Nullable Double workKPa,
    @Nullable Double reliefKPa,
    @Nullable String opensBy) {
  private static final int NAME_LENGTH = 200;

  public static final Range HOLDS = new Range(1, 2_000);
  public static final Range TEMPERATURE_C = new Range(15, 90);
  public static final Range RATED_K_PA = new Range(50, 2_000);

  public static final Range WORK_K_PA = new Range(10, 2_000);
  public static final Range RELIEF_K_PA = WORK_K_PA;

  /** One that nobody has set yet. */
  public Tool(
      String id,
      String name,
      Kind kind,
      @Nullable Integer holds,
      @Nullable Double temperatureC,
      @Nullable Double ratedKPa) {
    this(id, name, kind, holds, temperatureC, ratedKPa, null, null, null);
  }

  /** What it is for. */
  public enum Kind {
    /** Shut from the pour to the cure; nothing joins later. */
    PRESSURE_POT,
    HOT_BOX,
    LAMP,
    /** A level board that moulds stand on until they are opened. */
    BOARD
  }

  /** A pot is set below its relief valve, and that opens below what it is rated for. */
  private static Range below(@Nullable Double kPa) {
    return kPa == null || !WORK_K_PA.contains(kPa)
        ? WORK_K_PA
        : new Range(WORK_K_PA.minInclusive(), kPa);
  }

  public Tool {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("kind", kind)
        .within("holds", holds, HOLDS)
        .within("temperatureC", temperatureC, TEMPERATURE_C)
        .within("ratedKPa", ratedKPa, RATED_K_PA)
        .within("reliefKPa", reliefKPa, below(ratedKPa))
        .atMost("opensBy", opensBy, NAME_LENGTH)
        .within("workKPa", workKPa, below(reliefKPa != null ? reliefKPa : ratedKPa))
        .orThrow();
  }
}
