package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * One silicone mould with one cavity.
 *
 * @param volumeMl what the cavity holds to the rim, as measured, mL
 * @param depthMm floor to rim, mm; null when nobody measured it
 * @param lengthMm its longer side seen in section, mm; null when unknown
 */
public record Mould(
    String id, String name, double volumeMl, @Nullable Double depthMm, @Nullable Double lengthMm) {
  public static final Range VOLUME_ML = new Range(0.05, 20_000);
  public static final Range DEPTH_MM = new Range(0.5, 500);
  public static final Range LENGTH_MM = new Range(1, 2_000);

  public Mould {
    new Check()
        .name("id", id)
        .name("name", name)
        .within("volumeMl", volumeMl, VOLUME_ML)
        .within("depthMm", depthMm, DEPTH_MM)
        .within("lengthMm", lengthMm, LENGTH_MM)
        .orThrow();
  }

  /**
   * The cavity's profile. Where the depth is unknown a cube of the same volume stands in; it serves
   * the drawing only, and fills by depth are refused.
   */
  public DepthProfile profile() {
    return new StraightSided(volumeMl, depthMm == null ? Math.cbrt(volumeMl) * 10 : depthMm);
  }
}
