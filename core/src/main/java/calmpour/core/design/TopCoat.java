package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * A thin coat over the finished piece, a small batch of its own: area × thickness, and what the
 * edges and what runs off take on top.
 *
 * @param colourId which colour; mostly clear
 * @param resinId which resin; null for the session's
 * @param thicknessMm as it lies, 1.5 to 3 mm is usual
 * @param areaCm2 what is coated; null for the piece's open side
 * @param edgesPercent of that on top, for edges that are coated as well
 * @param dripPercent of the resin that runs off
 * @param side which side of the piece it lies on
 */
public record TopCoat(
    String colourId,
    @Nullable String resinId,
    double thicknessMm,
    @Nullable Double areaCm2,
    double edgesPercent,
    double dripPercent,
    PieceSide side) {
  public static final Range THICKNESS_MM = new Range(0.2, 10);
  public static final Range AREA_CM2 = new Range(0.05, 20_000);
  public static final Range EDGES_PERCENT = new Range(0, 200);
  public static final Range DRIP_PERCENT = new Range(0, 200);

  public TopCoat {
    side = side == null ? PieceSide.OPEN : side;
    new Check()
        .name("colourId", colourId)
        .within("thicknessMm", thicknessMm, THICKNESS_MM)
        .within("areaCm2", areaCm2, AREA_CM2)
        .within("edgesPercent", edgesPercent, EDGES_PERCENT)
        .within("dripPercent", dripPercent, DRIP_PERCENT)
        .orThrow();
  }

  /**
   * Mix that one piece takes, mL: area × thickness, edges and drip on top.
   *
   * @param openCm2 the piece's open side, cm²
   */
  public double volumeMl(double openCm2) {
    double area = areaCm2 == null ? openCm2 : areaCm2;
    // 1 cm² × 1 mm is 0.1 mL.
    return area * thicknessMm / 10 * (1 + edgesPercent / 100) * (1 + dripPercent / 100);
  }
}
