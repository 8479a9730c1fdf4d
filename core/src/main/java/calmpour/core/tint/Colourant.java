package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.derive.Known;
import org.jspecify.annotations.Nullable;

/**
 * One jar or bottle of colour.
 *
 * @param bulkDensity g/mL as it lies in the scoop
 * @param trueDensity g/mL of the stuff itself
 * @param dropG mass of one drop from its own dropper, g
 * @param scoopMl volume of the scoop kept with it, mL
 * @param limitPercent most of it that the label allows
 * @param limitBasis what that counts in; null when the label does not say
 */
public record Colourant(
    String id,
    String name,
    ColourantForm form,
    String swatch,
    @Nullable Double bulkDensity,
    @Nullable Double trueDensity,
    @Nullable Double dropG,
    @Nullable Double scoopMl,
    @Nullable Double limitPercent,
    @Nullable LoadingBasis limitBasis) {
  public static final Range BULK_DENSITY = new Range(0.02, 8);
  public static final Range TRUE_DENSITY = new Range(0.5, 20);
  public static final Range DROP_G = new Range(0.002, 0.5);
  public static final Range SCOOP_ML = new Range(0.01, 20);
  public static final Range LIMIT_PERCENT = new Range(0.01, 50);

  public Colourant {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("form", form)
        .name("swatch", swatch)
        .within("bulkDensity", bulkDensity, BULK_DENSITY)
        .within("trueDensity", trueDensity, TRUE_DENSITY)
        .within("dropG", dropG, DROP_G)
        .within("scoopMl", scoopMl, SCOOP_ML)
        .within("limitPercent", limitPercent, LIMIT_PERCENT)
        .orThrow();
  }

  public Known knownBulkDensity() {
    return Known.measuredOr(bulkDensity, form.assumedBulkDensity());
  }

  public Known knownTrueDensity() {
    return Known.measuredOr(trueDensity, form.assumedTrueDensity());
  }

  /** Mass of a drop, g; 0.035 where nobody weighed any (± a third, starting value, no source). */
  public Known knownDropG() {
    return Known.measuredOr(dropG, 0.035);
  }

  /** Volume of the scoop, mL; 0.15 where unknown (starting value, no source). */
  public Known knownScoopMl() {
    return Known.measuredOr(scoopMl, 0.15);
  }
}
