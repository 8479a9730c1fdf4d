package calmpour.core.resin;

import static calmpour.core.check.Known.known;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.List;
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
 * @param demouldRows demould times of a label that gives them by depth; at most one a depth
 */
public record CureTimes(
    @Nullable Double tackFreeHours,
    @Nullable Double recoatFromHours,
    @Nullable Double recoatToHours,
    @Nullable Double demouldHours,
    @Nullable Double demouldDepthMm,
    @Nullable Double fullCureHours,
    @Nullable List<DemouldRow> demouldRows) {
  public static final Range TACK_FREE_HOURS = new Range(0.02, 336);
  public static final Range RECOAT_FROM_HOURS = new Range(0.02, 336);
  public static final Range RECOAT_TO_HOURS = new Range(0.05, 1_000);
  public static final Range DEMOULD_HOURS = new Range(0.05, 336);
  public static final Range DEMOULD_DEPTH_MM = new Range(0.5, 500);
  public static final Range FULL_CURE_HOURS = new Range(0.5, 2_000);

  private static final Range ROWS = new Range(0, 12);

  /** A label without a table. */
  public CureTimes(
      @Nullable Double tackFreeHours,
      @Nullable Double recoatFromHours,
      @Nullable Double recoatToHours,
      @Nullable Double demouldHours,
      @Nullable Double demouldDepthMm,
      @Nullable Double fullCureHours) {
    this(
        tackFreeHours,
        recoatFromHours,
        recoatToHours,
        demouldHours,
        demouldDepthMm,
        fullCureHours,
        null);
  }

  public CureTimes {
    demouldRows = demouldRows == null || demouldRows.isEmpty() ? null : List.copyOf(demouldRows);
    int rows = demouldRows == null ? 0 : demouldRows.size();
    new Check()
        .that(
            ROWS.contains(rows), Problem.outside("demouldRows", Problem.Code.TOO_MANY, rows, ROWS))
        .that(
            rows == 0
                || known(demouldRows).stream().map(DemouldRow::depthMm).distinct().count() == rows,
            Problem.of("demouldRows", Problem.Code.DEPTH_TWICE, null))
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
