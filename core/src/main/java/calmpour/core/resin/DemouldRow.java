package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import org.jspecify.annotations.Nullable;

/**
 * A row of a label's table of demould times.
 *
 * @param depthMm how deep a pour it is meant for
 * @param fromHours until it comes out of its mould
 * @param toHours the late end where the label gives a range; null where it gives one figure
 */
public record DemouldRow(double depthMm, double fromHours, @Nullable Double toHours) {
  public DemouldRow {
    new Check()
        .within("depthMm", depthMm, CureTimes.DEMOULD_DEPTH_MM)
        .within("fromHours", fromHours, CureTimes.DEMOULD_HOURS)
        .within("toHours", toHours, CureTimes.DEMOULD_HOURS)
        .that(
            toHours == null || fromHours <= toHours,
            Problem.of("toHours", Problem.Code.RANGE_REVERSED, "" + toHours))
        .orThrow();
  }

  /** What a cautious maker goes by, h. */
  public double lateHours() {
    return toHours == null ? fromHours : toHours;
  }
}
