package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How much colour this workshop allows.
 *
 * @param liquids whether liquid colour is limited by its share or by counting drops
 * @param dropsPer10Ml most drops of all liquids in 10 mL of resin, where drops are counted; a
 *     starting value, no source
 * @param waterPaint what is done about water-based paint
 */
@RecordBuilder
public record Tinting(LiquidLimit liquids, double dropsPer10Ml, WaterPaint waterPaint)
    implements TintingBuilder.With {
  public static final Range DROPS_PER_10_ML = new Range(0.5, 40);

  public static final Tinting DEFAULT = new Tinting(LiquidLimit.SHARE, 5, WaterPaint.WARN);

  /** Two schools: a share of the mix, or drops only. */
  public enum LiquidLimit {
    SHARE,
    DROPS
  }

  /** At most a tenth and tested first, or never. */
  public enum WaterPaint {
    WARN,
    FORBID
  }

  public Tinting {
    new Check()
        .present("liquids", liquids)
        .within("dropsPer10Ml", dropsPer10Ml, DROPS_PER_10_ML)
        .present("waterPaint", waterPaint)
        .orThrow();
  }
}
