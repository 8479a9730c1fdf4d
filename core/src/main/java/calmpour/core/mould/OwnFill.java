package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import java.time.LocalDate;

/**
 * How much more or less than measured a cavity takes in this workshop, where its maker took over
 * what the weighed pours say.
 *
 * @param times as much as measured, at every level
 * @param sd how far that may be off: of its logarithm
 * @param evenings on which pours into it were weighed
 * @param since the day it was taken over
 * @param ofMl what had been measured then, mL; where it is measured anew, that counts again
 */
public record OwnFill(double times, double sd, int evenings, LocalDate since, double ofMl) {
  public static final Range TIMES = new Range(0.3, 3);
  public static final Range SD = new Range(0.001, 1);

  /** Far below what a scale shows, far above the noise of arithmetic. */
  private static final double SAME = 1e-6;

  /** Either way, in 19 of 20 cases. */
  private static final double SDS = 2;

  public OwnFill {
    new Check()
        .within("times", times, TIMES)
        .within("sd", sd, SD)
        .within("evenings", evenings, new Range(1, Integer.MAX_VALUE))
        .present("since", since)
        .within("ofMl", ofMl, Mould.VOLUME_ML)
        .orThrow();
  }

  /** Whether this is still the measurement it was learned beside. */
  boolean counts(Measured bare) {
    return Math.abs(bare.volumeMl() / ofMl - 1) < SAME;
  }

  Measured in(Measured bare) {
    return new Measured(
        bare.totalMl() * times,
        bare.volumeMl() * times * SDS * sd,
        new Times(bare.profile(), times),
        bare.section(),
        bare.depthAssumed(),
        bare.doubts());
  }

  /** A cavity that is so many times as wide at every level as it was measured. */
  private static final class Times extends ProfileBase {
    private final DepthProfile measured;
    private final double times;

    Times(DepthProfile measured, double times) {
      this.measured = measured;
      this.times = times;
    }

    @Override
    public double volumeMl() {
      return measured.volumeMl() * times;
    }

    @Override
    public double depthMm() {
      return measured.depthMm();
    }

    @Override
    double volumeBelow(double depth) {
      return measured.volumeAtMl(depth) * times;
    }

    @Override
    double areaAt(double depth) {
      return measured.areaAtMm2(depth) * times;
    }
  }
}
