package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.resin.LoadingBasis;
import java.util.List;
import javax.measure.Quantity;
import javax.measure.quantity.Mass;
import javax.measure.quantity.Volume;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Scale;
import org.junit.jupiter.api.Test;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

/** Loading in its four readings, small doses, stronger and weaker. */
class DoseTest {
  /**
   * 100 g of resin and so many grams of an additive, as quantities of a units library (Indriya):
   * masses and bulk volumes are compared there, the percentages here.
   */
  @Property(tries = 200, seed = "20261123")
  void theFourReadingsAgreeWithALibraryOfQuantities(
      @ForAll @DoubleRange(min = 0.01, max = 60) double additiveG,
      @ForAll @DoubleRange(min = 0.1, max = 5) double bulkDensity,
      @ForAll @DoubleRange(min = 0.9, max = 1.3) double resinDensity) {
    Quantity<Mass> resin = Quantities.getQuantity(100, Units.GRAM);
    Quantity<Mass> additive = Quantities.getQuantity(additiveG, Units.GRAM);
    Quantity<Volume> resinMl = volume(resin, resinDensity);
    Quantity<Volume> additiveMl = volume(additive, bulkDensity);
    double[] expected = {
      ratio(additive, resin.add(additive)),
      ratio(additive, resin),
      ratio(additiveMl, resinMl.add(additiveMl)),
      ratio(additiveMl, resinMl)
    };
    for (int i = 0; i < expected.length; i++) {
      LoadingBasis basis = LoadingBasis.PERCENTAGES.get(i);
      double percent = basis.percent(additiveG / 100, bulkDensity, resinDensity);
      assertThat(percent).as(basis.name()).isCloseTo(expected[i] * 100, within(1e-9));
      assertThat(basis.gPerGResin(percent, bulkDensity, resinDensity))
          .isCloseTo(additiveG / 100, within(1e-9));
    }
  }

  /**
   * Ideal mixing, masses and volumes both add up, against the same sums of a units library; and a
   * mixture known to be nearly ideal, benzene and toluene at 25 °C in equal moles: 39.06 g of
   * 0.8736 and 46.07 g of 0.8622 g/mL give 0.867 g/mL to a thousandth (a handbook of chemistry,
   * from memory).
   */
  @Property(tries = 100, seed = "20261123")
  void theDensityOfAMixIsThatOfItsMassesAndVolumes(
      @ForAll @DoubleRange(min = 0.95, max = 1.25) double resinDensity,
      @ForAll @DoubleRange(min = 0.1, max = 6) double percent) {
    Colourant mica = Samples.colourant("m", ColourantForm.MICA);
    Tint tint = Tint.within(List.of(mica), List.of(percent), resinDensity, List.of());
    Quantity<Mass> resin = Quantities.getQuantity(100 - percent, Units.GRAM);
    Quantity<Mass> powder = Quantities.getQuantity(percent, Units.GRAM);
    // The grains themselves, 2.8 g/mL, take room; the air between them does not.
    Quantity<Volume> ml = volume(resin, resinDensity).add(volume(powder, 2.8));
    double density =
        resin.add(powder).to(Units.GRAM).getValue().doubleValue()
            / (ml.to(Units.LITRE).getValue().doubleValue() * 1_000);
    assertThat(tint.mixDensity()).isCloseTo(density, within(1e-9));
  }

  @Test
  void nearlyIdealLiquidsMixAsTheHandbookSays() {
    Tint toluene =
        Tint.within(List.of(of(0.8622)), List.of(100 * 46.07 / 85.13), 0.8736, List.of());
    assertThat(toluene.mixDensity()).isCloseTo(0.867, within(1e-3));
  }

  private static Colourant of(double density) {
    return new Colourant(
        "l",
        "L",
        ColourantForm.LIQUID_TINT,
        "#ffffff",
        density,
        density,
        null,
        null,
        null,
        null,
        null);
  }

  private static Quantity<Volume> volume(Quantity<Mass> mass, double gPerMl) {
    return Quantities.getQuantity(
        mass.to(Units.GRAM).getValue().doubleValue() / gPerMl / 1_000, Units.LITRE);
  }

  private static <Q extends Quantity<Q>> double ratio(Quantity<Q> part, Quantity<Q> whole) {
    return part.divide(whole).toSystemUnit().getValue().doubleValue();
  }

  @Test
  void dropsAreNoPercentageAndTheWholeMixCannotBeColour() {
    assertThatThrownBy(() -> LoadingBasis.DROPS_IN_10_ML.percent(0.1, 1, 1))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> LoadingBasis.WEIGHT_OF_MIX.gPerGResin(100, 1, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  /** Five drops of 35 mg in 10 mL of 1.1 g/mL, by hand: 0.175 g in 11 g of resin. */
  @Test
  void whoCountsDropsIsHeldAtDrops() {
    LoadingLimit drops =
        new LoadingLimit(LoadingLimit.Whose.SHOP_DROPS, null, 5, LoadingBasis.DROPS_IN_10_ML);
    Tint tint = Tint.within(List.of(Samples.liquid("t")), List.of(4.0), 1.1, List.of(drops));
    assertThat(tint.gPerGResin()).isCloseTo(0.175 / 11, within(1e-12));
    assertThat(tint.readings().get(0).percent()).isCloseTo(5, within(1e-9));
    Tint powder =
        Tint.within(
            List.of(Samples.colourant("m", ColourantForm.MICA)), List.of(4.0), 1.1, List.of(drops));
    assertThat(powder.heldAt()).as("a powder has no drops").isEqualTo(1);
  }

  /** Water and solvent add up over the colourants; what nobody says counts in full. */
  @Test
  void waterAndSolventAreSummed() {
    Colourant ink = Samples.colourant("ink", ColourantForm.ALCOHOL_INK);
    Colourant paint = Samples.colourant("paint", ColourantForm.ACRYLIC_PAINT);
    Tint tint = Tint.within(List.of(ink, paint), List.of(1.0, 3.0), 1.1, List.of());
    assertThat(tint.waterPercent()).isCloseTo(3, within(1e-9));
    assertThat(tint.solventPercent()).isCloseTo(1, within(1e-9));
  }

  /**
   * 2 mg with a dropper of 35 mg and a scale of 0.1 g, by hand: one drop in 9 g of resin is 9.035 g
   * of stock; 0.516 g of it hold the dose, 0.5 g on the scale 3.2 % less.
   */
  @Test
  void aDoseBelowAnyMeasureIsLetDownFromAStock() {
    StockCup stock = StockCup.of(Samples.liquid("t"), 0.002, 0.1, 50).orElseThrow();
    assertThat(stock.counted()).isEqualTo(1);
    assertThat(stock.resinG()).isEqualTo(9);
    assertThat(stock.takeG()).isEqualTo(0.5);
    assertThat(stock.errorPercent()).isCloseTo(-3.2, within(0.1));
    assertThat(stock.leftG()).isCloseTo(8.535, within(1e-9));
    // A cup too small to take it has none.
    assertThat(StockCup.of(Samples.liquid("t"), 0.002, 0.1, 0.4)).isEmpty();
    // 0.01 mg would be 11 mg of the thinnest stock, which that scale shows as nothing.
    assertThat(StockCup.of(Samples.liquid("t"), 1e-5, 0.1, 50)).isEmpty();
  }

  @Property(tries = 300, seed = "20261123")
  void whatIsTakenOfAStockHoldsTheDose(
      @ForAll @DoubleRange(min = 1e-4, max = 0.08) @Scale(6) double doseG,
      @ForAll @DoubleRange(min = 0.05, max = 0.2) double divisionG) {
    StockCup.of(Samples.liquid("t"), doseG, divisionG, 100)
        .ifPresent(s -> {
          double share = s.colourantG() / (s.colourantG() + s.resinG());
          double error = s.takeG() * share / doseG - 1;
          assertThat(error * 100).isCloseTo(s.errorPercent(), within(1e-9));
          assertThat(s.resinWithItG() + s.takeG() * share).isCloseTo(s.takeG(), within(1e-12));
          assertThat(s.leftG()).isNotNegative();
        });
  }

  private static final List<LoadingLimit> CAPS =
      List.of(
          new LoadingLimit(LoadingLimit.Whose.SHOP_ALL, null, 10, LoadingBasis.VOLUME_OF_MIX),
          new LoadingLimit(LoadingLimit.Whose.SHOP_LIQUIDS, null, 6, LoadingBasis.WEIGHT_OF_MIX));

  /** Step by step to the limit and no further, each step a drop more. */
  @Property(tries = 100, seed = "20261123")
  void strongerEndsAtTheLimitAndSaysWhichOne(
      @ForAll @DoubleRange(min = 0.2, max = 5) double percent,
      @ForAll @IntRange(min = 12, max = 80) int resinG) {
    Colourant liquid = Samples.liquid("t");
    double factor = 1;
    int steps = 0;
    StrengthSteps at = steps(liquid, percent, factor, resinG);
    while (at.stronger() != null) {
      double before = tint(liquid, percent, factor).shares().get(0).gPerGResin() * resinG;
      factor = at.stronger();
      double after = tint(liquid, percent, factor).shares().get(0).gPerGResin() * resinG;
      assertThat(after).isGreaterThan(before).isLessThanOrEqualTo(before + 1.5 * 0.035 + 1e-9);
      if (!at.lastStep()) {
        assertThat(after / 0.035).isCloseTo(Math.rint(after / 0.035), within(1e-6));
      }
      at = steps(liquid, percent, factor, resinG);
      steps++;
      assertThat(steps).isLessThan(400);
    }
    assertThat(at.stoppedBy().limit().whose()).isEqualTo(LoadingLimit.Whose.SHOP_LIQUIDS);
    // As near as whole drops come: not one more of 35 mg would stay within 6 %.
    double in = tint(liquid, percent, factor).shares().get(0).gPerGResin() * resinG;
    double more = (Math.rint(in / 0.035 + 1e-9) + 1) * 0.035;
    assertThat(100 * more / (resinG + more)).isGreaterThan(6);
    assertThat(tint(liquid, percent, factor).heldAt()).isCloseTo(1, within(1e-6));
    // And back: a weaker step is one drop less, never below nothing.
    Assume.that(steps > 2);
    assertThat(at.weaker()).isLessThan(factor);
  }

  private static Tint tint(Colourant colourant, double percent, double factor) {
    return Tint.within(List.of(colourant), List.of(percent * factor), 1.1, CAPS);
  }

  private static StrengthSteps steps(Colourant c, double percent, double factor, double resinG) {
    return StrengthSteps.of(tint(c, percent, factor), List.of(percent), factor, resinG, 50)
        .orElseThrow();
  }

  @Test
  void aRecipeInPartsIsThatInShares() {
    Colour parts =
        new Colour(
            "c",
            "C",
            "#112233",
            List.of(new Colour.Part("a", null, 3.0), new Colour.Part("b", null, 1.0)),
            2.0);
    assertThat(parts.percentsOfMix()).containsExactly(1.5, 0.5);
    assertThatThrownBy(
            () -> new Colour("c", "C", "#112233", List.of(new Colour.Part("a", null, 0.0)), 2.0))
        .isInstanceOfSatisfying(
            InvalidValuesException.class,
            e ->
                assertThat(e.problems())
                    .extracting(Problem::code)
                    .containsExactly(Problem.Code.RECIPE_IS_NOTHING));
    assertThatThrownBy(
            () -> new Colour("c", "C", "#112233", List.of(new Colour.Part("a", 1.0)), 2.0))
        .as("shares where parts are wanted")
        .isInstanceOf(InvalidValuesException.class)
        .hasMessageContaining("recipe[0].parts");
    assertThatThrownBy(() -> new Colour("c", "C", "#112233", List.of(new Colour.Part("a", 0.0))))
        .isInstanceOf(InvalidValuesException.class);
  }
}
