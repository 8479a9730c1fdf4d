package calmpour.core.cup;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * How much more or less than reckoned stays in a kind of cup in this workshop, where its maker took
 * over what cups that were weighed after the pour say.
 *
 * @param times as much as reckoned, or as weighed before
 * @param sd how far that may be off: of its logarithm
 * @param evenings on which such a cup was weighed
 * @param since the day it was taken over
 * @param ofG what was said to stay in it then, g; null for what was reckoned by its shape; where
 *     that is said anew, it counts again
 */
public record OwnStays(
    double times, double sd, int evenings, LocalDate since, @Nullable Double ofG) {
  public static final Range TIMES = new Range(0.3, 3);
  public static final Range SD = new Range(0.001, 1);

  public OwnStays {
    new Check()
        .within("times", times, TIMES)
        .within("sd", sd, SD)
        .within("evenings", evenings, new Range(1, Integer.MAX_VALUE))
        .present("since", since)
        .within("ofG", ofG, CupKind.STAYS_G)
        .orThrow();
  }
}
