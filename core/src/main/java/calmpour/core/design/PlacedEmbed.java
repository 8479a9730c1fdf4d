package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * An embed in a layer.
 *
 * @param embedId which one
 * @param count how many of it in one piece
 * @param moment when it goes in
 * @param anchored held where it is: glued, wired or pressed on, so that it neither rises nor sinks
 * @param standsOutPercent of it that is not in resin, and displaces none
 * @param facing which side of it looks to the front, in the maker's words
 * @param prepare what is done with it before the mix
 */
public record PlacedEmbed(
    String embedId,
    int count,
    Moment moment,
    boolean anchored,
    double standsOutPercent,
    @Nullable String facing,
    List<Prepare> prepare) {
  public static final Range COUNT = new Range(1, 200);
  public static final Range STANDS_OUT_PERCENT = new Range(0, 95);
  private static final int FACING_LENGTH = 200;

  /** When an embed goes in: the schools. */
  public enum Moment {
    /** On the floor, or on the layer below once that bears it, before this layer is poured. */
    BEFORE_POUR,
    /** Half the layer, some minutes of rest, the embed, the other half. */
    HALF_FILL,
    /** Straight into the fresh layer. */
    AFTER_POUR,
    /** When the layer has thickened so far that it holds it. */
    WHEN_THICK
  }

  /** What is done with an embed beforehand. */
  public enum Prepare {
    TRIM,
    DRY_FIT,
    /** Glued, and the glue has to dry. */
    GLUE,
    /** Wetted with resin to shed its air. */
    WET
  }

  public PlacedEmbed {
    moment = moment == null ? Moment.AFTER_POUR : moment;
    prepare = prepare == null ? List.of() : List.copyOf(prepare);
    new Check()
        .name("embedId", embedId)
        .within("count", count, COUNT)
        .within("standsOutPercent", standsOutPercent, STANDS_OUT_PERCENT)
        .atMost("facing", facing, FACING_LENGTH)
        .orThrow();
  }

  /** One embed put straight into the fresh layer, free, all of it in resin. */
  public static PlacedEmbed of(String embedId, Moment moment) {
    return new PlacedEmbed(embedId, 1, moment, false, 0, null, List.of());
  }

  /** How much of it is in resin, as a share. */
  public double inResin() {
    return 1 - standsOutPercent / 100;
  }
}
