package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A form that stands in a cavity while the resin is poured round it, and leaves a hollow.
 *
 * @param parts its shape from its own floor up; what stands above the rim displaces nothing
 * @param clearanceMm resin between the cavity's floor and its own, mm
 * @param massG what it weighs, g; null when unknown
 */
public record InnerMould(List<Solid> parts, double clearanceMm, @Nullable Double massG) {
  public static final Range PARTS = new Range(1, 12);
  public static final Range CLEARANCE_MM = new Range(0, 500);
  public static final Range MASS_G = new Range(0, 20_000);

  /** A wall thinner than this tears when the form is drawn (starting value, no source). */
  private static final double THIN_WALL_MM = 2;

  /** Ballast for this much more than the lift, so that a nudge does not raise it (no source). */
  private static final double SURE = 1.25;

  /** The drawn outline of a round floor is made of chords, a few per cent inside the circle. */
  private static final double ROUND = 0.06;

  public InnerMould {
    parts = parts == null ? List.of() : List.copyOf(parts);
    new Check()
        .that(
            PARTS.contains(parts.size()),
            Problem.outside("parts", Problem.Code.OUT_OF_RANGE, parts.size(), PARTS))
        .within("clearanceMm", clearanceMm, CLEARANCE_MM)
        .within("massG", massG, MASS_G)
        .orThrow();
  }

  /**
   * What it does to a cavity.
   *
   * @param savedMl resin that it keeps out
   * @param wallMm thinnest wall round it
   * @param thin whether that wall is likely to tear when the form is drawn
   * @param liftG what the mix pushes up, as a mass
   * @param ballastG mass to lay on so that it stays down for sure
   * @param drawsOut whether it nowhere widens downwards, so that it comes out again
   */
  public record Effect(
      double savedMl,
      double wallMm,
      boolean thin,
      double liftG,
      double ballastG,
      boolean drawsOut) {}

  /**
   * @param mixDensity of what is poured, g/mL
   */
  public Effect effect(Measured bare, double mixDensity) {
    DepthProfile around = in(bare).profile();
    double saved = bare.volumeMl() - around.volumeMl();
    double lift = saved * mixDensity;
    double own = massG == null ? 0 : massG;
    double wall = thinnestWall(bare);
    double ballast = Math.max(0, lift * SURE - own);
    return new Effect(saved, wall, wall < THIN_WALL_MM, lift, ballast, drawsOut());
  }

  private double thinnestWall(Measured bare) {
    StackedSolids own = StackedSolids.of(parts);
    double thinnest = Double.POSITIVE_INFINITY;
    for (Section.SectionRow row : own.section().rows()) {
      double at = clearanceMm + row.depthMm();
      if (at <= bare.profile().depthMm()) {
        double outside = bare.section().reachMm(at);
        double across =
            narrowerMm(outside, bare.profile().areaAtMm2(at))
                - narrowerMm(row.rightMm(), own.areaAtMm2(Math.min(own.depthMm(), row.depthMm())));
        thinnest = Math.min(thinnest, Math.min(outside - row.rightMm(), across));
      }
    }
    return Double.isInfinite(thinnest) ? bare.section().widthMm() / 2 : thinnest;
  }

  /**
   * Half of the width that the section does not show, from the area there: as wide as the other
   * where both make a circle, otherwise as a rectangle, which errs on the side of a thin wall.
   */
  private static double narrowerMm(double halfMm, double areaMm2) {
    if (halfMm <= 0) {
      return 0;
    }
    boolean round = Math.abs(areaMm2 / (Math.PI * halfMm * halfMm) - 1) < ROUND;
    return round ? halfMm : areaMm2 / (4 * halfMm);
  }

  private boolean drawsOut() {
    List<Section.SectionRow> rows = StackedSolids.of(parts).section().rows();
    for (int i = 1; i < rows.size(); i++) {
      // A step has two rows at one height.
      if (rows.get(i).rightMm() < rows.get(i - 1).rightMm() - 1e-9) {
        return false;
      }
    }
    return true;
  }

  /**
   * The cavity with this form in it.
   *
   * @throws InvalidValuesException when it is wider than the cavity or stands above its rim
   */
  Measured in(Measured bare) {
    DepthProfile outside = bare.profile();
    StackedSolids own = StackedSolids.of(parts);
    if (clearanceMm >= outside.depthMm()) {
      throw problem("inner.clearanceMm", Problem.Code.ABOVE_RIM, clearanceMm, outside.depthMm());
    }
    double wall = thinnestWall(bare);
    if (wall <= 0) {
      throw problem("inner.parts", Problem.Code.INNER_TOO_WIDE, -wall, 0);
    }
    Displaced profile = new Displaced(outside, own, clearanceMm);
    if (profile.volumeMl() < Mould.VOLUME_ML.minInclusive()) {
      throw problem("inner.parts", Problem.Code.INNER_TOO_WIDE, own.volumeMl(), outside.volumeMl());
    }
    List<Section.SectionRow> rows =
        java.util.stream.Stream.concat(
                bare.section().rows().stream().map(Section.SectionRow::depthMm),
                own.section().rows().stream().map(r -> clearanceMm + r.depthMm()))
            .filter(d -> d <= outside.depthMm())
            .distinct()
            .sorted()
            .flatMap(d -> row(bare.section(), own, d).stream())
            .toList();
    return new Measured(
        bare.totalMl(),
        bare.plusMinusMl(),
        profile,
        new Section(rows),
        bare.depthAssumed(),
        bare.doubts());
  }

  private List<Section.SectionRow> row(Section outside, StackedSolids own, double depth) {
    double wall = outside.reachMm(depth);
    double z = depth - clearanceMm;
    Section.SectionRow without = new Section.SectionRow(depth, -wall, wall, 0);
    if (z < 0 || z > own.depthMm()) {
      return List.of(without);
    }
    Section.SectionRow with = new Section.SectionRow(depth, -wall, wall, own.section().reachMm(z));
    if (z == 0) {
      return List.of(without, with);
    }
    return z == own.depthMm() ? List.of(with, without) : List.of(with);
  }

  private static InvalidValuesException problem(
      String field, Problem.Code code, double actual, double limit) {
    return new InvalidValuesException(
        List.of(Problem.outside(field, code, actual, new Range(0, limit))));
  }

  /** A cavity less what stands in it. */
  private static final class Displaced extends ProfileBase {
    private final DepthProfile outside;
    private final StackedSolids inside;
    private final double clearance;

    Displaced(DepthProfile outside, StackedSolids inside, double clearance) {
      this.outside = outside;
      this.inside = inside;
      this.clearance = clearance;
    }

    @Override
    public double volumeMl() {
      return volumeBelow(outside.depthMm());
    }

    @Override
    public double depthMm() {
      return outside.depthMm();
    }

    @Override
    double volumeBelow(double depth) {
      return outside.volumeAtMl(depth) - inside.volumeAtMl(wet(depth));
    }

    @Override
    double areaAt(double depth) {
      boolean beside = depth >= clearance && depth - clearance <= inside.depthMm();
      return outside.areaAtMm2(depth) - (beside ? inside.areaAtMm2(wet(depth)) : 0);
    }

    private double wet(double depth) {
      return Math.max(0, Math.min(inside.depthMm(), depth - clearance));
    }
  }
}
