package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.check.InvalidValuesException;
import calmpour.core.tint.CountedRecipe.CountedIn;
import calmpour.core.tint.CountedRecipe.CountedPart;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** A colour as makers count it; the worked figures by hand from the assumed drop and scoop. */
class CountedRecipeTest {
  private static Colourant jar(String id, ColourantForm form, String swatch) {
    return new Colourant(id, id, form, swatch, null, null, null, null, null, null, null);
  }

  private static final Colourant BLUE = jar("blue", ColourantForm.LIQUID_TINT, "#2050a0");
  private static final Colourant RUST = jar("rust", ColourantForm.MICA, "#a05028");

  /** 8 drops of 0.035 g are 0.28 g; in 28 g of resin that is 0.28 of 28.28 g. */
  @Test
  void eightDropsIntoTwentyEightGrams() {
    CountedRecipe.RecipeTold told =
        new CountedRecipe(28, List.of(new CountedPart(BLUE, 8, CountedIn.DROPS))).told();
    assertThat(told.doses().getFirst().massG()).isCloseTo(0.28, within(1e-9));
    assertThat(told.percentOfMix()).isCloseTo(0.990_099, within(1e-6));
    assertThat(told.doses().getFirst().scoops()).isNull();
  }

  /** 3 scoops of 0.15 mL at 0.3 g/mL are 0.135 g; 2 pinches of 0.05 mL are 0.03 g. */
  @Test
  void scoopsAndPinchesAreOfTheBulk() {
    double scoops =
        new CountedRecipe(50, List.of(new CountedPart(RUST, 3, CountedIn.SCOOPS)))
            .told()
            .doses()
            .getFirst()
            .massG();
    assertThat(scoops).isCloseTo(0.135, within(1e-9));
    double pinches =
        new CountedRecipe(50, List.of(new CountedPart(RUST, 2, CountedIn.PINCHES)))
            .told()
            .doses()
            .getFirst()
            .massG();
    assertThat(pinches).isCloseTo(0.03, within(1e-9));
  }

  /** Whatever it is told in, it is the same dose: told back in its own unit, nothing changes. */
  @Property(tries = 200)
  void everyViewIsTheSameDose(
      @ForAll @DoubleRange(min = 5, max = 500) double resinG,
      @ForAll @DoubleRange(min = 0.1, max = 20) double drops,
      @ForAll @DoubleRange(min = 0.1, max = 5) double percent) {
    CountedRecipe.RecipeTold first =
        new CountedRecipe(
                resinG,
                List.of(
                    new CountedPart(BLUE, drops, CountedIn.DROPS),
                    new CountedPart(RUST, percent, CountedIn.PERCENT)))
            .told();
    CountedRecipe.DoseTold blue = first.doses().get(0);
    CountedRecipe.DoseTold rust = first.doses().get(1);
    assertThat(rust.percentOfMix()).isCloseTo(percent, within(1e-9));
    for (List<CountedPart> same :
        List.of(
            List.of(
                new CountedPart(BLUE, blue.percentOfMix(), CountedIn.PERCENT),
                new CountedPart(RUST, rust.scoops(), CountedIn.SCOOPS)),
            List.of(
                new CountedPart(BLUE, blue.massG(), CountedIn.GRAMS),
                new CountedPart(RUST, rust.massG(), CountedIn.GRAMS)))) {
      CountedRecipe.RecipeTold again = new CountedRecipe(resinG, same).told();
      assertThat(again.doses().get(0).massG()).isCloseTo(blue.massG(), within(1e-6));
      assertThat(again.doses().get(1).massG()).isCloseTo(rust.massG(), within(1e-6));
    }
    // Doses and resin make up the mix.
    double mixG = resinG + blue.massG() + rust.massG();
    assertThat(blue.massG() / mixG * 100).isCloseTo(blue.percentOfMix(), within(1e-9));
  }

  @Test
  void aColourLooksLikeWhatIsInIt() {
    String blue =
        new CountedRecipe(28, List.of(new CountedPart(BLUE, 8, CountedIn.DROPS))).told().swatch();
    String rust =
        new CountedRecipe(28, List.of(new CountedPart(RUST, 5, CountedIn.PERCENT))).told().swatch();
    assertThat(Rgb.ofHex(blue).blue()).isGreaterThan(Rgb.ofHex(blue).red());
    assertThat(Rgb.ofHex(rust).red()).isGreaterThan(Rgb.ofHex(rust).blue());
  }

  @Test
  void whatCannotBeMixedIsRefused() {
    assertThatThrownBy(
            () -> new CountedRecipe(28, List.of(new CountedPart(BLUE, 0, CountedIn.DROPS))).told())
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(
            () -> new CountedRecipe(28, List.of(new CountedPart(BLUE, 41, CountedIn.PERCENT))))
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() ->
            new CountedRecipe(10, List.of(new CountedPart(BLUE, 300, CountedIn.DROPS))).told())
        .isInstanceOf(InvalidValuesException.class);
    assertThatThrownBy(() -> new CountedRecipe(0, List.of()))
        .isInstanceOf(InvalidValuesException.class);
  }
}
