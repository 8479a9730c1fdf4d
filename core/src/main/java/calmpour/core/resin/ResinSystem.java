package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import calmpour.core.derive.Known;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A resin and its hardener as one system. Everything a label may leave out may be null; the methods
 * then answer with the declared starting value and say that it is assumed.
 *
 * @param densityA g/mL
 * @param densityB g/mL
 * @param potLifeMinutes label's pot life
 * @param potLifeMassG for which mass that is meant, A + B
 * @param potLifeTemperatureC at which temperature that is meant
 * @param largestBatchG most that may be mixed at once, A + B
 * @param mixMinutes how long the label asks to stir
 * @param gelMinutes from the end of mixing until a next layer keeps a clean edge
 * @param loadingLimitPercent most additives in all that this resin takes
 * @param loadingBasis what that limit counts in; null when the label does not say
 * @param times what the label says of the time after the pour
 * @param facts what else it says
 * @param partAId the A part on the shelf; null when it is not kept there
 * @param partBId the B part on the shelf; null when it is not kept there
 * @param own its pace in this workshop; null where that is as on the label
 */
@RecordBuilder
public record ResinSystem(
    String id,
    String name,
    ResinKind kind,
    MixRatio ratio,
    @Nullable Double densityA,
    @Nullable Double densityB,
    @Nullable Double potLifeMinutes,
    @Nullable Double potLifeMassG,
    @Nullable Double potLifeTemperatureC,
    @Nullable Double largestBatchG,
    @Nullable Double mixMinutes,
    @Nullable Double gelMinutes,
    @Nullable Double loadingLimitPercent,
    @Nullable LoadingBasis loadingBasis,
    @Nullable CureTimes times,
    @Nullable LabelFacts facts,
    @Nullable String partAId,
    @Nullable String partBId,
    @Nullable OwnPace own)
    implements ResinSystemBuilder.With {
  public static final Range DENSITY_A = new Range(0.7, 2.5);
  public static final Range DENSITY_B = new Range(0.7, 2.5);
  public static final Range POT_LIFE_MINUTES = new Range(0.5, 1_440);
  public static final Range POT_LIFE_MASS_G = new Range(1, 10_000);
  public static final Range POT_LIFE_TEMPERATURE_C = new Range(5, 45);
  public static final Range LARGEST_BATCH_G = new Range(5, 50_000);
  public static final Range MIX_MINUTES = new Range(0.25, 30);
  public static final Range GEL_MINUTES = new Range(1, 4_320);
  public static final Range LOADING_LIMIT_PERCENT = new Range(0.1, 50);

  public ResinSystem {
    new Check()
        .name("id", id)
        .name("name", name)
        .present("kind", kind)
        .present("ratio", ratio)
        .within("densityA", densityA, DENSITY_A)
        .within("densityB", densityB, DENSITY_B)
        .within("potLifeMinutes", potLifeMinutes, POT_LIFE_MINUTES)
        .within("potLifeMassG", potLifeMassG, POT_LIFE_MASS_G)
        .within("potLifeTemperatureC", potLifeTemperatureC, POT_LIFE_TEMPERATURE_C)
        .within("largestBatchG", largestBatchG, LARGEST_BATCH_G)
        .within("mixMinutes", mixMinutes, MIX_MINUTES)
        .within("gelMinutes", gelMinutes, GEL_MINUTES)
        .within("loadingLimitPercent", loadingLimitPercent, LOADING_LIMIT_PERCENT)
        .orThrow();
  }

  /** A system of which this workshop knows no more than the label. */
  public ResinSystem(
      String id,
      String name,
      ResinKind kind,
      MixRatio ratio,
      @Nullable Double densityA,
      @Nullable Double densityB,
      @Nullable Double potLifeMinutes,
      @Nullable Double potLifeMassG,
      @Nullable Double potLifeTemperatureC,
      @Nullable Double largestBatchG,
      @Nullable Double mixMinutes,
      @Nullable Double gelMinutes,
      @Nullable Double loadingLimitPercent,
      @Nullable LoadingBasis loadingBasis,
      @Nullable CureTimes times,
      @Nullable LabelFacts facts,
      @Nullable String partAId,
      @Nullable String partBId) {
    this(
        id,
        name,
        kind,
        ratio,
        densityA,
        densityB,
        potLifeMinutes,
        potLifeMassG,
        potLifeTemperatureC,
        largestBatchG,
        mixMinutes,
        gelMinutes,
        loadingLimitPercent,
        loadingBasis,
        times,
        facts,
        partAId,
        partBId,
        null);
  }

  /** Its pace until it gels; null where that is as on the label. */
  public OwnPace.@Nullable Pace ownFluid() {
    return own == null ? null : own.fluid();
  }

  /** Its pace until it comes out of its mould; null where that is as on the label. */
  public OwnPace.@Nullable Pace ownHard() {
    return own == null ? null : own.hard();
  }

  /**
   * This system with a lot of A and B at hand.
   *
   * @param lot null where nobody noted it
   */
  public ResinSystem ofLot(@Nullable String lot) {
    return own == null ? this : withOwn(own.with(lot));
  }

  /** This system with the densities of its own bottles, where its label gives none. */
  public ResinSystem withDensities(@Nullable Double ofA, @Nullable Double ofB) {
    return withDensityA(densityA == null ? ofA : densityA)
        .withDensityB(densityB == null ? ofB : densityB);
  }

  /** Density of part A, g/mL; 1.14 where unknown (starting value, no source). */
  public Known knownDensityA() {
    return Known.labelOr(densityA, 1.14);
  }

  /** Density of part B, g/mL; 1.00 where unknown (starting value, no source). */
  public Known knownDensityB() {
    return Known.labelOr(densityB, 1.00);
  }

  /** Pot life in minutes; where unknown, a starting value by kind (no source). */
  public Known knownPotLifeMinutes() {
    return Known.labelOr(
        potLifeMinutes,
        switch (kind) {
          case CASTING, COATING -> 30;
          case DEEP -> 90;
          case FAST -> 10;
          case POLYURETHANE -> 4;
        });
  }

  /**
   * The pot life that is planned with, min: the label's or that of its kind, as many times as long
   * as was learned here.
   */
  public double plannedPotLifeMinutes() {
    return knownPotLifeMinutes().value() * OwnPace.times(ownFluid());
  }

  /** Pot lives beyond the first; empty where there are none. */
  public List<PotLifeRow> potLifeRows() {
    return facts == null || facts.potLifeRows() == null ? List.of() : facts.potLifeRows();
  }

  /** Mass the pot life is meant for, g; 100 where unknown (starting value, no source). */
  public Known knownPotLifeMassG() {
    return Known.labelOr(potLifeMassG, 100);
  }

  /** Temperature the pot life is meant at, °C; 23 where unknown (starting value, no source). */
  public Known knownPotLifeTemperatureC() {
    return Known.labelOr(potLifeTemperatureC, 23);
  }

  /** Mass of A in one gram of A + B. */
  public double massShareA() {
    return ratio.massShareA(knownDensityA().value(), knownDensityB().value());
  }

  /** Density of A + B, g/mL, taken as ideal mixing: the volumes of A and B add up. */
  public double mixedDensity() {
    double a = massShareA();
    return 1 / (a / knownDensityA().value() + (1 - a) / knownDensityB().value());
  }

  /**
   * The same resin if its pot life were so many times what the label says. The label's other times
   * are left out: they were set for the pot life as printed.
   *
   * @param factor more than 0
   */
  public ResinSystem ofPotLife(double factor) {
    return withPotLifeMinutes(knownPotLifeMinutes().value() * factor)
        .withGelMinutes(null)
        .withTimes(null)
        .withFacts(null);
  }
}
