package calmpour.core.design;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * How much of its cavity a layer takes; one of the five is given. By share, depth or share of the
 * depth it is room in the cavity, embeds and all; by mL or grams it is what is poured.
 *
 * @param share of the cavity's volume, 0 to 1
 * @param depthMm thickness of the layer, mm
 * @param volumeMl of the mix, mL
 * @param massG of the mix, g
 * @param depthShare thickness as a share of the cavity's depth, 0 to 1: what a design keeps when it
 *     goes to another mould
 */
public record Fill(
    @Nullable Double share,
    @Nullable Double depthMm,
    @Nullable Double volumeMl,
    @Nullable Double massG,
    @Nullable Double depthShare) {
  public static final Range SHARE = new Range(0.001, 1);
  public static final Range DEPTH_MM = new Range(0.05, 500);
  public static final Range VOLUME_ML = new Range(0.01, 20_000);
  public static final Range MASS_G = new Range(0.01, 25_000);
  public static final Range DEPTH_SHARE = new Range(0.001, 1);

  public Fill {
    long given =
        Stream.of(share, depthMm, volumeMl, massG, depthShare).filter(Objects::nonNull).count();
    new Check()
        .within("share", share, SHARE)
        .within("depthMm", depthMm, DEPTH_MM)
        .within("volumeMl", volumeMl, VOLUME_ML)
        .within("massG", massG, MASS_G)
        .within("depthShare", depthShare, DEPTH_SHARE)
        .that(given == 1, Problem.of("", Problem.Code.ONE_OF_THESE, given + " given"))
        .orThrow();
  }

  public static Fill ofShare(double share) {
    return new Fill(share, null, null, null, null);
  }

  public static Fill ofDepthMm(double depthMm) {
    return new Fill(null, depthMm, null, null, null);
  }

  public static Fill ofVolumeMl(double volumeMl) {
    return new Fill(null, null, volumeMl, null, null);
  }

  public static Fill ofMassG(double massG) {
    return new Fill(null, null, null, massG, null);
  }

  public static Fill ofDepthShare(double share) {
    return new Fill(null, null, null, null, share);
  }
}
