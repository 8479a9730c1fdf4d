package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Chips, stones or offcuts that lie on the floor of a cavity; the resin runs in between.
 *
 * @param bulkMl room they take as they lie, mL
 * @param massG what they weigh, g
 * @param density of the stuff itself, g/mL; null for 2.6, as for most stone (starting value)
 */
public record ChipBed(double bulkMl, double massG, @Nullable Double density) {
  public static final Range BULK_ML = new Range(0.05, 20_000);
  public static final Range MASS_G = new Range(0.01, 50_000);
  public static final Range DENSITY = new Range(0.1, 20);

  private static final double STONE = 2.6;

  public ChipBed {
    new Check()
        .within("bulkMl", bulkMl, BULK_ML)
        .within("massG", massG, MASS_G)
        .within("density", density, DENSITY)
        .orThrow();
    double solid = massG / (density == null ? STONE : density);
    new Check()
        .that(
            solid < bulkMl,
            Problem.outside(
                "massG", Problem.Code.BED_TOO_HEAVY, massG, new Range(0, bulkMl * massG / solid)))
        .orThrow();
  }

  /** Volume of the stuff itself: what it keeps the resin out of, mL. */
  public double solidMl() {
    return massG / (density == null ? STONE : density);
  }

  /**
   * @throws InvalidValuesException when the bed does not go into the cavity
   */
  Measured in(Measured bare) {
    DepthProfile cavity = bare.profile();
    if (bulkMl > cavity.volumeMl()) {
      throw new InvalidValuesException(
          List.of(
              Problem.outside(
                  "bed.bulkMl", Problem.Code.OVERFILLED, bulkMl, new Range(0, cavity.volumeMl()))));
    }
    return new Measured(
        bare.totalMl(),
        bare.plusMinusMl(),
        new Over(cavity, cavity.depthAtMm(bulkMl), solidMl() / bulkMl, solidMl()),
        bare.section(),
        bare.depthAssumed(),
        bare.doubts());
  }

  /** A cavity with a bed of even packing on its floor. */
  private static final class Over extends ProfileBase {
    private final DepthProfile cavity;
    private final double top;
    private final double packing;
    private final double solid;

    Over(DepthProfile cavity, double top, double packing, double solid) {
      this.cavity = cavity;
      this.top = top;
      this.packing = packing;
      this.solid = solid;
    }

    @Override
    public double volumeMl() {
      return cavity.volumeMl() - solid;
    }

    @Override
    public double depthMm() {
      return cavity.depthMm();
    }

    @Override
    double volumeBelow(double depth) {
      double whole = cavity.volumeAtMl(depth);
      return depth <= top ? whole * (1 - packing) : whole - solid;
    }

    @Override
    double areaAt(double depth) {
      return cavity.areaAtMm2(depth) * (depth <= top ? 1 - packing : 1);
    }
  }
}
