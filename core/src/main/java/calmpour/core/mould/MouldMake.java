package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * How a mould is made. Everything may be unknown.
 *
 * @param finish what the piece's surface takes on
 * @param opening how the cavity is closed, if it is
 * @param front which side of the piece is looked at
 * @param levelBase whether it stands level by itself
 * @param undercuts whether lips or hollows hold air and hold the piece
 * @param narrowMouth whether it wants a funnel
 * @param pressureFit whether it may go into a pressure pot
 * @param benchLengthMm room it takes on the bench
 * @param benchWidthMm room it takes on the bench
 * @param opensBy how it likes to be opened
 * @param copies how many alike there are; null when nobody has said
 * @param wallMm how thick its wall is; null when nobody has said
 * @param pace how quickly it can be filled; null for as usual
 * @param surplusMl what a closed mould is filled over by, as was learned with it; null while nobody
 *     knows
 * @param edgeMm height of the edges of flat work that are coated as well; null for none
 * @param dripPercent of the resin that runs off flat work; null for a tenth
 */
@RecordBuilder
public record MouldMake(
    @Nullable Material material,
    @Nullable Finish finish,
    @Nullable Opening opening,
    @Nullable Front front,
    @Nullable Boolean levelBase,
    @Nullable Boolean undercuts,
    @Nullable Boolean narrowMouth,
    @Nullable Boolean pressureFit,
    @Nullable Double benchLengthMm,
    @Nullable Double benchWidthMm,
    @Nullable String opensBy,
    @Nullable String notes,
    @Nullable Integer copies,
    @Nullable Double wallMm,
    @Nullable Pace pace,
    @Nullable Double surplusMl,
    @Nullable Double edgeMm,
    @Nullable Double dripPercent)
    implements MouldMakeBuilder.With {
  public static final Range WALL_MM = new Range(0.5, 200);
  public static final Range SURPLUS_ML = new Range(0, 500);
  public static final Range EDGE_MM = new Range(0, 200);
  public static final Range DRIP_PERCENT = new Range(0, 200);
  public static final Range COPIES = new Range(1, 500);
  public static final Range BENCH_LENGTH_MM = new Range(5, 2_000);
  public static final Range BENCH_WIDTH_MM = new Range(5, 2_000);

  /** Longest note, in characters. */
  public static final int NOTE_LENGTH = 2_000;

  /** What it is made of. */
  public enum Material {
    SILICONE,
    URETHANE_RUBBER,
    POLYPROPYLENE,
    POLYETHYLENE,
    LATEX,
    /** Boards, sealed; for deep blocks. */
    WOODEN_FORM,
    OTHER;

    /** Whether a dye goes into it. */
    public boolean rubber() {
      return this == SILICONE || this == URETHANE_RUBBER || this == LATEX;
    }
  }

  /** Gloss mould, gloss piece. */
  public enum Finish {
    GLOSS,
    MATTE
  }

  /** How the cavity is closed. */
  public enum Opening {
    OPEN,
    CLOSED,
    /** A setting that stays with the piece. */
    BEZEL,
    /** No mould: a panel or a print, coated where it stands. */
    FLAT
  }

  /** Which side of the piece is its front. */
  public enum Front {
    /** What is poured first shows. */
    FLOOR,
    /** The open side shows. */
    OPEN_SIDE
  }

  /** How quickly a cavity can be filled; times as usual are starting values, no source. */
  public enum Pace {
    USUAL(1),
    /** Tall and narrow, or full of detail: a thin stream. */
    SLOW(2),
    /** Drop by drop from a stick. */
    BY_STICK(3);

    private final double times;

    Pace(double times) {
      this.times = times;
    }
  }

  /** So many times the usual minutes; a narrow mouth takes a funnel and half as long again. */
  public double pourTimes() {
    double times = pace == null ? 1 : pace.times;
    return Boolean.TRUE.equals(narrowMouth) ? Math.max(times, 1.5) : times;
  }

  /** Of a mould whose wall nobody has measured. */
  public MouldMake(
      @Nullable Material material,
      @Nullable Finish finish,
      @Nullable Opening opening,
      @Nullable Front front,
      @Nullable Boolean levelBase,
      @Nullable Boolean undercuts,
      @Nullable Boolean narrowMouth,
      @Nullable Boolean pressureFit,
      @Nullable Double benchLengthMm,
      @Nullable Double benchWidthMm,
      @Nullable String opensBy,
      @Nullable String notes,
      @Nullable Integer copies) {
    this(
        material,
        finish,
        opening,
        front,
        levelBase,
        undercuts,
        narrowMouth,
        pressureFit,
        benchLengthMm,
        benchWidthMm,
        opensBy,
        notes,
        copies,
        null,
        null,
        null,
        null,
        null);
  }

  public MouldMake {
    new Check()
        .within("wallMm", wallMm, WALL_MM)
        .within("benchLengthMm", benchLengthMm, BENCH_LENGTH_MM)
        .within("benchWidthMm", benchWidthMm, BENCH_WIDTH_MM)
        .atMost("opensBy", opensBy, NOTE_LENGTH)
        .atMost("notes", notes, NOTE_LENGTH)
        .within("copies", copies, COPIES)
        .within("surplusMl", surplusMl, SURPLUS_ML)
        .within("edgeMm", edgeMm, EDGE_MM)
        .within("dripPercent", dripPercent, DRIP_PERCENT)
        .orThrow();
  }
}
