package calmpour.core.habit;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import io.soabase.recordbuilder.core.RecordBuilder;
import org.jspecify.annotations.Nullable;

/**
 * How A and B become one: warmed before or not, in one cup or two.
 *
 * @param warmMinutes how long the bottles stand in warm water; null for what the school does
 * @param warmedToC how warm that makes them; null for the school's starting value
 * @param secondStirMinutes stirred on in the second cup, where there is one
 * @param extraAPercent A beyond the label's ratio, against slightly tacky pieces
 * @param measuringCupMl what the cup that A and B are measured in holds to its last mark; null when
 *     that is the mixing cup itself
 * @param release how bubbles are brought out of the mix; null for by its rest alone
 */
@RecordBuilder
public record Mixing(
    Warming warming,
    @Nullable Double warmMinutes,
    @Nullable Double warmedToC,
    MixingCups cups,
    double secondStirMinutes,
    double extraAPercent,
    @Nullable Double measuringCupMl,
    @Nullable Release release)
    implements MixingBuilder.With {
  public static final Range WARM_MINUTES = new Range(1, 120);
  public static final Range WARMED_TO_C = new Range(10, 60);
  public static final Range SECOND_STIR_MINUTES = new Range(0.25, 10);
  public static final Range EXTRA_A_PERCENT = new Range(0, 2);
  public static final Range MEASURING_CUP_ML = new Range(2, 5_000);

  public static final Mixing DEFAULT =
      new Mixing(Warming.NONE, null, null, MixingCups.ONE, 0.75, 0, null);

  /**
   * What is warmed before mixing, how long and how warm that makes it. The minutes are common
   * practice; the temperatures of the first two are starting values; no source for either.
   */
  public enum Warming {
    NONE(0, 0),
    BOTH(5, 28),
    A_ONLY(20, 40),
    /** Hot air on A in its cup, before B is there. */
    A_HOT_AIR(2, 32),
    TO_TEMPERATURE(10, 38);

    private final double minutes;
    private final double toC;

    Warming(double minutes, double toC) {
      this.minutes = minutes;
      this.toC = toC;
    }
  }

  /** One cup, scraped well; or over into a clean one, which leaves unmixed walls behind. */
  public enum MixingCups {
    ONE,
    TWO
  }

  /** A mix whose bubbles rise by themselves. */
  public Mixing(
      Warming warming,
      @Nullable Double warmMinutes,
      @Nullable Double warmedToC,
      MixingCups cups,
      double secondStirMinutes,
      double extraAPercent,
      @Nullable Double measuringCupMl) {
    this(
        warming,
        warmMinutes,
        warmedToC,
        cups,
        secondStirMinutes,
        extraAPercent,
        measuringCupMl,
        null);
  }

  public Mixing {
    new Check()
        .present("warming", warming)
        .within("warmMinutes", warmMinutes, WARM_MINUTES)
        .within("warmedToC", warmedToC, WARMED_TO_C)
        .present("cups", cups)
        .within("secondStirMinutes", secondStirMinutes, SECOND_STIR_MINUTES)
        .within("extraAPercent", extraAPercent, EXTRA_A_PERCENT)
        .within("measuringCupMl", measuringCupMl, MEASURING_CUP_ML)
        .orThrow();
  }

  /** How long A, or both, stand in warm water; 0 when nothing is warmed. */
  public double minutesOfWarming() {
    if (warming == Warming.NONE) {
      return 0;
    }
    return warmMinutes == null ? warming.minutes : warmMinutes;
  }

  /** How warm what was warmed comes out, °C; meaningless when nothing is. */
  public double warmTemperatureC() {
    return warmedToC == null ? warming.toC : warmedToC;
  }

  /**
   * Temperature of A + B when they meet, °C: heat shared by mass, both parts taken to hold alike.
   *
   * @param shareA of the mass that is A, 0 to 1
   */
  public double startC(double roomC, double shareA) {
    return switch (warming) {
      case NONE -> roomC;
      case BOTH, TO_TEMPERATURE -> warmTemperatureC();
      case A_ONLY, A_HOT_AIR -> shareA * warmTemperatureC() + (1 - shareA) * roomC;
    };
  }

  /** Whether A alone is warmed. */
  public boolean warmsAOnly() {
    return warming == Warming.A_ONLY || warming == Warming.A_HOT_AIR;
  }

  /** How bubbles are brought out of the mix. */
  public Release releaseOrNone() {
    return release == null ? Release.NONE : release;
  }

  /** Whether hot air or a flame is used before the pour. */
  public boolean ignites() {
    return warming == Warming.A_HOT_AIR || releaseOrNone().ignites();
  }

  /** The same without hot air and flame: A in hot water, bubbles by rest. */
  public Mixing withoutFlame() {
    Mixing cool = warming == Warming.A_HOT_AIR ? unwarmed().withWarming(Warming.A_ONLY) : this;
    return releaseOrNone().ignites() ? cool.withRelease(null) : cool;
  }

  /** The same, with nothing warmed. */
  public Mixing unwarmed() {
    return withWarming(Warming.NONE).withWarmMinutes(null).withWarmedToC(null);
  }

  public boolean twoCups() {
    return cups == MixingCups.TWO;
  }
}
