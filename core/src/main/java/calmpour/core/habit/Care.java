package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * What is done for moulds and pieces before, between and after the pours.
 *
 * @param bubbles how a bubble pass is made
 * @param moulds what is done to every mould before the pour
 * @param mouldDryMinutes until a wiped or sprayed mould is dry
 * @param halfFillRestMinutes between the first half of a layer and its embed
 * @param embedDryMinutes until the glue under an embed holds
 * @param lampMinutes under the lamp, where that is how bubbles are brought up
 * @param leaving when a piece is ready to hand over
 * @param leavingDays for those who wait longer than the label, days lying flat
 * @param standsOn what moulds stand on while they cure; null for a board
 * @param fill how far moulds are filled where the piece does not say; null for flush
 * @param dampFromPercent humidity from which air is damp where the label does not say, %; null for
 *     what is usual for that kind of resin
 * @param stream how resin is let into a mould that wants nothing else; null where nobody says
 */
@RecordBuilder
public record Care(
    BubbleMethod bubbles,
    MouldPrep moulds,
    double mouldDryMinutes,
    double halfFillRestMinutes,
    double embedDryMinutes,
    double lampMinutes,
    Leaving leaving,
    double leavingDays,
    @Nullable StandsOn standsOn,
    @Nullable FillTo fill,
    @Nullable Double dampFromPercent,
    @Nullable Stream stream)
    implements CareBuilder.With {
  public static final Range MOULD_DRY_MINUTES = new Range(0, 1_440);
  public static final Range HALF_FILL_REST_MINUTES = new Range(0, 120);
  public static final Range EMBED_DRY_MINUTES = new Range(0, 2_880);
  public static final Range LAMP_MINUTES = new Range(1, 120);
  public static final Range LEAVING_DAYS = new Range(0, 365);
  public static final Range DAMP_FROM_PERCENT = new Range(10, 100);

  /** Starting values: common practice, no source. */
  public static final Care DEFAULT =
      new Care(BubbleMethod.SOFT_TOOL, MouldPrep.NONE, 15, 10, 60, 10, Leaving.FULL_CURE, 24);

  /** How bubbles are brought out of a poured mould. */
  public enum BubbleMethod {
    SOFT_TOOL,
    HOT_AIR,
    FLAME,
    LAMP,
    ALCOHOL_MIST,
    /** Blown at through a straw, whose moisture drips. */
    STRAW;

    /** Whether it lights what evaporates from alcohol. */
    public boolean ignites() {
      return this == HOT_AIR || this == FLAME;
    }
  }

  /** What is done to a mould before the pour. */
  public enum MouldPrep {
    NONE,
    /** Wiped with isopropyl alcohol. */
    ALCOHOL_WIPE,
    RELEASE_SPRAY
  }

  /** What moulds stand on: stone takes their heat away. */
  public enum StandsOn {
    BOARD,
    STONE
  }

  /** How resin is let into a mould. */
  public enum Stream {
    /** Just above it and slowly, so that it draws no air in. */
    CLOSE_SLOW,
    /** Thin and from high up, so that bubbles are drawn out of it. */
    THIN_HIGH,
    /** Down the wall, so that it runs across the floor and pushes the air before it. */
    DOWN_THE_WALL
  }

  /** When a piece is ready to hand over. */
  public enum Leaving {
    FULL_CURE,
    /** Not before so many days have passed. */
    AFTER_DAYS
  }

  /** Moulds standing on a board. */
  public Care(
      BubbleMethod bubbles,
      MouldPrep moulds,
      double mouldDryMinutes,
      double halfFillRestMinutes,
      double embedDryMinutes,
      double lampMinutes,
      Leaving leaving,
      double leavingDays) {
    this(
        bubbles,
        moulds,
        mouldDryMinutes,
        halfFillRestMinutes,
        embedDryMinutes,
        lampMinutes,
        leaving,
        leavingDays,
        null,
        null,
        null,
        null);
  }

  /** What moulds stand on here. */
  public StandsOn knownStandsOn() {
    return standsOn == null ? StandsOn.BOARD : standsOn;
  }

  public Care {
    new Check()
        .present("bubbles", bubbles)
        .present("moulds", moulds)
        .within("mouldDryMinutes", mouldDryMinutes, MOULD_DRY_MINUTES)
        .within("halfFillRestMinutes", halfFillRestMinutes, HALF_FILL_REST_MINUTES)
        .within("embedDryMinutes", embedDryMinutes, EMBED_DRY_MINUTES)
        .within("lampMinutes", lampMinutes, LAMP_MINUTES)
        .present("leaving", leaving)
        .within("leavingDays", leavingDays, LEAVING_DAYS)
        .within("dampFromPercent", dampFromPercent, DAMP_FROM_PERCENT)
        .orThrow();
  }
}
