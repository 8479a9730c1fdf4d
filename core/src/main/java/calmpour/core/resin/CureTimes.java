package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * What a label says of the time after the pour. Everything may be left out.
 *
 * @param tackFreeHours until a finger leaves no mark
 * @param recoatFromHours earliest next layer
 * @param recoatToHours latest next layer without scuffing
 * @param demouldHours until it comes out of its mould
 * @param demouldDepthMm how deep a pour that is meant for
 * @param fullCureHours until it is as hard as it gets
 */
public record CureTimes(
    @Nullable Double tackFreeHours,
    @Nullable Double recoatFromHours,
    @Nullable Double recoatToHours,
    @Nullable Double demouldHours,
    @Nullable Double demouldDepthMm,
    @Nullable Double fullCureHours) {
  public static final Range TACK_FREE_HOURS = new Range(0.02, 336);
  public static final Range RECOAT_FROM_HOURS = new Range(0.02, 336);
  public static final Range RECOAT_TO_HOURS = new Range(0.05, 1_000);
  public static final Range DEMOULD_HOURS = new Range(0.05, 336);
  public static final Range DEMOULD_DEPTH_MM = new Range(0.5, 500);
  public static final Range FULL_CURE_HOURS = new Range(0.5, 2_000);

  public CureTimes {
    new Check()
        .within("tackFreeHours", tackFreeHours, TACK_FREE_HOURS)
        .within("recoatFromHours", recoatFromHours, RECOAT_FROM_HOURS)
        .within("recoatToHours", recoatToHours, RECOAT_TO_HOURS)
        .within("demouldHours", demouldHours, DEMOULD_HOURS)
        .within("demouldDepthMm", demouldDepthMm, DEMOULD_DEPTH_MM)
        .within("fullCureHours", fullCureHours, FULL_CURE_HOURS)
        .that(
            recoatFromHours == null || recoatToHours == null || recoatFromHours < recoatToHours,
            Problem.of("recoatToHours", Problem.Code.RANGE_REVERSED, "" + recoatToHours))
        .orThrow();
  }
}
