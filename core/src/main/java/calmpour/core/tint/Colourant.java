package calmpour.core.tint;

import calmpour.core.check.Check;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import calmpour.core.derive.Known;
import calmpour.core.derive.Origin;
import calmpour.core.resin.LoadingBasis;
import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param shelf what else is known of it; null when nothing is
 */
@RecordBuilder
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
    @Nullable LoadingBasis limitBasis,
    @Nullable Jar shelf)
    implements ColourantBuilder.With {
  public static final Range BULK_DENSITY = new Range(0.02, 8);
  public static final Range TRUE_DENSITY = new Range(0.5, 20);
  public static final Range DROP_G = new Range(0.002, 0.5);
  public static final Range SCOOP_ML = new Range(0.01, 20);
  public static final Range LIMIT_PERCENT = new Range(0.01, 50);

  /**
   * What is known of one jar beside its form.
   *
   * @param implement what drops or scoops it: each is different
   * @param weighed drops or scoops of that implement, weighed
   * @param waterPercent of it that is water
   * @param solventPercent of it that is solvent
   * @param strength how strong it is beside others of its form, 1 for usual
   * @param lightFast whether its colour holds in daylight; null for unknown
   * @param curedSwatch whether the swatch was taken from a cured piece; a guess otherwise
   * @param leftG what is left, g
   * @param swatches a cured chip on white and on black; null until there is one
   * @param grainMm how coarse flakes or glitter are, mm
   * @param own how much heavier or lighter one drop or scoop is here, learned from doses that were
   *     weighed at the bench; null while that is as told
   */
  public record Jar(
      @Nullable String implement,
      @Nullable Weighed weighed,
      @Nullable Double waterPercent,
      @Nullable Double solventPercent,
      @Nullable Double strength,
      @Nullable Boolean lightFast,
      @Nullable Boolean curedSwatch,
      @Nullable Double leftG,
      @Nullable CuredSwatch swatches,
      @Nullable Double grainMm,
      @Nullable OwnCount own) {
    public static final Range WATER_PERCENT = new Range(0, 100);
    public static final Range SOLVENT_PERCENT = new Range(0, 100);
    public static final Range STRENGTH = new Range(0.05, 20);
    public static final Range LEFT_G = new Range(0, 100_000);
    public static final Range GRAIN_MM = new Range(0.001, 20);

    /** Nothing is known of it. */
    static final Jar UNKNOWN =
        new Jar(null, null, null, null, null, null, null, null, null, null, null);

    public Jar {
      new Check()
          .atMost("implement", implement, Check.NAME_LENGTH)
          .within("waterPercent", waterPercent, WATER_PERCENT)
          .within("solventPercent", solventPercent, SOLVENT_PERCENT)
          .within("strength", strength, STRENGTH)
          .within("leftG", leftG, LEFT_G)
          .within("grainMm", grainMm, GRAIN_MM)
          .orThrow();
    }
  }

  public Colourant {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("form", form)
        .colour("swatch", swatch)
        .within("bulkDensity", bulkDensity, BULK_DENSITY)
        .within("trueDensity", trueDensity, TRUE_DENSITY)
        .within("dropG", dropG, DROP_G)
        .within("scoopMl", scoopMl, SCOOP_ML)
        .that(
            limitPercent == null || limitPercent != 0,
            Problem.of("limitPercent", Problem.Code.FORBIDDEN_PERCENT, null))
        .within(
            "limitPercent",
            limitPercent != null && limitPercent == 0 ? null : limitPercent,
            LIMIT_PERCENT)
        .that(
            limitBasis != LoadingBasis.DROPS_IN_10_ML || form == null || form.liquid(),
            Problem.of("limitBasis", Problem.Code.DROPS_OF_A_POWDER, null))
        .orThrow();
  }

  public Known knownBulkDensity() {
    return Known.measuredOr(bulkDensity, form.assumedBulkDensity());
  }

  public Known knownTrueDensity() {
    return Known.measuredOr(trueDensity, form.assumedTrueDensity());
  }

  /** Mass of a drop, g: as told, or as many times as much as was learned in this workshop. */
  public Known knownDropG() {
    return learned(toldDropG());
  }

  /** Volume of the scoop, mL: as told, or as many times as much as was learned in this workshop. */
  public Known knownScoopMl() {
    return learned(toldScoopMl());
  }

  private Known learned(Known told) {
    OwnCount own = learnedCount();
    return own == null ? told : new Known(told.value() * own.times(), Origin.LEARNED);
  }

  /** What was learned of a drop or scoop of it, where it still counts; null for nothing. */
  public @Nullable OwnCount learnedCount() {
    OwnCount own = shelf == null ? null : shelf.own();
    // As near as two roundings of one figure.
    return own != null && Math.abs(own.ofG() - toldG()) <= 1e-6 * own.ofG() ? own : null;
  }

  /** Mass of a drop of a liquid, of a level scoop of anything else, as told or assumed, g. */
  public double toldG() {
    return form.liquid() ? toldDropG().value() : toldScoopMl().value() * knownBulkDensity().value();
  }

  /** The same jar with what was learned of its drop or scoop; null for as told. */
  public Colourant withCount(@Nullable OwnCount own) {
    Jar its = shelf == null ? Jar.UNKNOWN : shelf;
    return withShelf(
        new Jar(
            its.implement,
            its.weighed,
            its.waterPercent,
            its.solventPercent,
            its.strength,
            its.lightFast,
            its.curedSwatch,
            its.leftG,
            its.swatches,
            its.grainMm,
            own));
  }

  /**
   * Mass of a drop, g: as weighed, as given, or 0.035 where nobody weighed any (± a third, starting
   * value, no source).
   */
  private Known toldDropG() {
    Weighed weighed = shelf == null ? null : shelf.weighed();
    Double own = weighed != null && form.liquid() ? Double.valueOf(weighed.eachG()) : dropG;
    return Known.measuredOr(own, 0.035);
  }

  /**
   * Volume of the scoop, mL: as weighed through the bulk density, as given, or 0.15 where unknown
   * (starting value, no source).
   */
  private Known toldScoopMl() {
    Weighed weighed = shelf == null ? null : shelf.weighed();
    Double own =
        weighed != null && !form.liquid()
            ? Double.valueOf(weighed.eachG() / knownBulkDensity().value())
            : scoopMl;
    return Known.measuredOr(own, 0.15);
  }

  /**
   * How much of it is water, %. Where nobody says, water-based paint counts as water altogether:
   * the cautious end, no source.
   */
  public Known knownWaterPercent() {
    Double given = shelf == null ? null : shelf.waterPercent();
    return Known.labelOr(given, form == ColourantForm.ACRYLIC_PAINT ? 100 : 0);
  }

  /**
   * How much of it is solvent, %; alcohol ink and thinner count as solvent altogether where nobody
   * says.
   */
  public Known knownSolventPercent() {
    Double given = shelf == null ? null : shelf.solventPercent();
    return Known.labelOr(given, form.allSolvent() ? 100 : 0);
  }

  /** What doses of it are counted with; null where nobody has named it. */
  public @Nullable String implement() {
    return shelf == null ? null : shelf.implement();
  }

  /**
   * Whether it sinks in a thin resin: flakes, and glitter of half a millimetre and more or of
   * unknown size. Common practice, no source; the size is a starting value.
   */
  public boolean coarse() {
    Double grain = shelf == null ? null : shelf.grainMm();
    boolean large = grain == null || grain >= 0.5;
    return form == ColourantForm.FLAKE || (form == ColourantForm.GLITTER && large);
  }

  /** A cured chip of it; null while its look is a guess. */
  public @Nullable CuredSwatch curedSwatch() {
    return shelf == null ? null : shelf.swatches();
  }

  /** Absorption and scattering for one percent of it: from its cured chip, or a guess. */
  public Optics optics() {
    CuredSwatch chip = curedSwatch();
    return chip == null ? Optics.guess(this) : chip.optics();
  }

  /** Mass of what is counted, g: a drop of a liquid, a quarter of a scoop of anything else. */
  public double countedG() {
    return form.liquid()
        ? knownDropG().value()
        : knownScoopMl().value() * knownBulkDensity().value() / 4;
  }
}
