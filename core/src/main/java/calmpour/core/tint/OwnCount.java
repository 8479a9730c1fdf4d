package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;

/**
 * How much heavier or lighter than told a drop or scoop of one colourant is in this workshop, where
 * its maker took over what doses weighed at the bench say.
 *
 * @param times as heavy as told
 * @param sd how far that may be off: of its logarithm
 * @param evenings on which such doses were weighed
 * @param since the day it was taken over
 * @param ofG what one was told or assumed to weigh then, g; where that is told anew, it counts
 *     again
 */
public record OwnCount(double times, double sd, int evenings, LocalDate since, double ofG) {
  public static final Range TIMES = new Range(0.2, 5);
  public static final Range SD = new Range(0.001, 1);
  public static final Range OF_G = new Range(0.0001, 500);

  public OwnCount {
    new Check()
        .within("times", times, TIMES)
        .within("sd", sd, SD)
        .within("evenings", evenings, new Range(1, Integer.MAX_VALUE))
        .present("since", since)
        .within("ofG", ofG, OF_G)
        .orThrow();
  }
}
