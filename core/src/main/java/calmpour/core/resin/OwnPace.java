package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How much slower or quicker than its label a resin is in this workshop, where its maker took over
 * what the cure diary says.
 *
 * @param fluid until it thickens and gels; null where that is as on the label
 * @param hard until it comes out of its mould; null where that is as on the label
 * @param lots the lots of A and B of which enough is known by themselves; none where nobody notes
 *     lots
 */
public record OwnPace(@Nullable Pace fluid, @Nullable Pace hard, List<OfLot> lots) {
  public static final Range TIMES = new Range(0.3, 3);
  public static final Range SD = new Range(0.001, 1);

  /** What a lot differs from the next, of its logarithm (starting value, no source). */
  public static final double LOT_SD = 0.1;

  /**
   * One pair of lots.
   *
   * @param lot what is printed on the bottles of A and B
   */
  public record OfLot(String lot, @Nullable Pace fluid, @Nullable Pace hard) {
    private static final int LENGTH = 170;

    public OfLot {
      new Check().present("lot", lot).atMost("lot", lot, LENGTH).orThrow();
    }
  }

  public OwnPace {
    lots = lots == null ? List.of() : List.copyOf(lots);
  }

  /** Where nothing is known of single lots. */
  public OwnPace(@Nullable Pace fluid, @Nullable Pace hard) {
    this(fluid, hard, List.of());
  }

  /**
   * What counts with a lot at hand: its own pace where that is known; else that of all lots, as
   * unsure as lots differ (docs/rules.md, "The cure diary").
   *
   * @param lot null where nobody noted it
   */
  public OwnPace with(@Nullable String lot) {
    if (lots.isEmpty()) {
      return this;
    }
    OfLot its =
        lots.stream()
            .filter(l -> l.lot().equals(lot))
            .findFirst()
            .orElse(new OfLot("", null, null));
    return new OwnPace(
        its.fluid() == null ? another(fluid) : its.fluid(),
        its.hard() == null ? another(hard) : its.hard());
  }

  private static @Nullable Pace another(@Nullable Pace pace) {
    return pace == null
        ? null
        : new Pace(
            pace.times(),
            Math.min(SD.maxInclusive(), Math.hypot(pace.sd(), LOT_SD)),
            pace.evenings(),
            pace.since());
  }

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
