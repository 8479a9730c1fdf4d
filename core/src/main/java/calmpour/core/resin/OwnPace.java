package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * How much slower or quicker than its label a resin is in this workshop, where its maker took over
 * what the cure diary says.
 *
 * @param fluid until it thickens and gels; null where that is as on the label
 * @param hard until it comes out of its mould; null where that is as on the label
 */
public record OwnPace(@Nullable Pace fluid, @Nullable Pace hard) {
  public static final Range TIMES = new Range(0.3, 3);
  public static final Range SD = new Range(0.001, 1);

  /**
   * One pace.
   *
   * @param times as long as the label says
   * @param sd how far that may be off: of its logarithm
   * @param evenings on which somebody looked
   * @param since the day it was taken over
   */
  public record Pace(double times, double sd, int evenings, LocalDate since) {
    public Pace {
      new Check()
          .within("times", times, TIMES)
          .within("sd", sd, SD)
          .within("evenings", evenings, new Range(1, Integer.MAX_VALUE))
          .present("since", since)
          .orThrow();
    }
  }

  /** As many times as long as on the label, 1 where nothing was taken over. */
  public static double times(@Nullable Pace pace) {
    return pace == null ? 1 : pace.times();
  }
}
