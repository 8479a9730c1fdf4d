package calmpour.core.practice;

import calmpour.core.cure.CureEngine;
import calmpour.core.cure.CureStates;
import org.jspecify.annotations.Nullable;

/**
 * Two set-ups side by side, and what matters about them.
 *
 * @param minutes by how much the one lasts longer, or is still pourable after the other's gel
 * @param coolC neither of them passes that, if forgotten, in steps of 5 °C; null where one gets
 *     hot, or nobody can tell
 */
public record Comparison(
    Tried first, Tried second, Lasts lasts, double minutes, Hot hot, @Nullable Double coolC) {
  /** Which cup lasts longer. */
  public enum Lasts {
    FIRST_BEYOND_GEL,
    SECOND_BEYOND_GEL,
    FIRST_LONGER,
    SECOND_LONGER,
    ALIKE
  }

  /** Which cup gets hotter than anything is poured at, if it is forgotten. */
  public enum Hot {
    NEITHER,
    FIRST,
    SECOND,
    BOTH,
    UNKNOWN
  }

  /** Shorter than that is no difference on a bench, min. */
  private static final double ALIKE_MINUTES = 1;

  private static final double STEP_K = 5;

  public static Comparison of(Tried first, Tried second) {
    CureStates a = first.cup().states();
    CureStates b = second.cup().states();
    double endsA = a.workingTimeEnds().minutes();
    double endsB = b.workingTimeEnds().minutes();
    double minutes = Math.abs(endsA - endsB);
    Lasts lasts = endsA > endsB ? Lasts.FIRST_LONGER : Lasts.SECOND_LONGER;
    if (minutes < ALIKE_MINUTES) {
      lasts = Lasts.ALIKE;
    } else if (endsB > a.gels().minutes()) {
      lasts = Lasts.SECOND_BEYOND_GEL;
      minutes = endsB - a.gels().minutes();
    } else if (endsA > b.gels().minutes()) {
      lasts = Lasts.FIRST_BEYOND_GEL;
      minutes = endsA - b.gels().minutes();
    }
    Hot hot = hot(a.heat(), b.heat());
    Double cool = null;
    if (hot == Hot.NEITHER && a.heat() != null && b.heat() != null) {
      double peak = Math.max(a.heat().peakC(), b.heat().peakC());
      cool = STEP_K * (Math.floor(peak / STEP_K) + 1);
    }
    return new Comparison(first, second, lasts, minutes, hot, cool);
  }

  private static Hot hot(CureStates.@Nullable Heat a, CureStates.@Nullable Heat b) {
    if (a == null || b == null) {
      return Hot.UNKNOWN;
    }
    boolean first = a.peakC() >= CureEngine.TOO_WARM_C;
    boolean second = b.peakC() >= CureEngine.TOO_WARM_C;
    return first ? second ? Hot.BOTH : Hot.FIRST : second ? Hot.SECOND : Hot.NEITHER;
  }
}
