package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.LoadingBasis;
import java.util.List;
import org.junit.jupiter.api.Test;

class TintTest {
  private static final double RESIN = 1.10;

  private static Tint tint(List<Colourant> colourants, List<Double> percents, LoadingLimit... l) {
    return Tint.within(colourants, percents, RESIN, List.of(l));
  }

  private static LoadingLimit all(double percent, LoadingBasis basis) {
    return new LoadingLimit(LoadingLimit.Whose.SHOP_ALL, null, percent, basis);
  }

  /**
   * Common practice, no source: on 188 g of resin 6 % of the mix is 12.0 g, 6 % of the resin 11.3
   * g.
   */
  @Test
  void sixPercentOfTheMixIsMoreThanSixPercentOfTheResin() {
    List<Colourant> liquid = List.of(Samples.liquid("tint"));
    double ofMix =
        188 * tint(liquid, List.of(20.0), all(6, LoadingBasis.WEIGHT_OF_MIX)).gPerGResin();
    double ofResin =
        188 * tint(liquid, List.of(20.0), all(6, LoadingBasis.WEIGHT_OF_RESIN)).gPerGResin();
    assertThat(ofMix).isCloseTo(12.0, within(0.005));
    assertThat(ofResin).isCloseTo(11.28, within(0.005));
  }

  /** Common practice, no source: the cap counts tint, powder, glitter and ink together. */
  @Test
  void additivesCountTogether() {
    List<Colourant> four =
        List.of(
            Samples.liquid("tint"),
            Samples.colourant("powder", ColourantForm.POWDER),
            Samples.colourant("glitter", ColourantForm.GLITTER),
            Samples.colourant("ink", ColourantForm.ALCOHOL_INK));
    Tint tint = tint(four, List.of(2.0, 2.0, 2.0, 6.0), all(10, LoadingBasis.WEIGHT_OF_MIX));
    assertThat(tint.heldAt()).isLessThan(1);
    assertThat(tint.readings().get(0).percent()).isCloseTo(10, within(1e-9));
    assertThat(tint.gPerGResin() / (1 + tint.gPerGResin())).isCloseTo(0.10, within(1e-12));
    assertThat(tint.shares().get(3).gPerGResin() / tint.shares().get(0).gPerGResin())
        .as("the recipe's proportions stay")
        .isCloseTo(3, within(1e-12));
  }

  @Test
  void byVolumeALightPowderReachesItsLimitLongBeforeALiquid() {
    LoadingLimit cap = all(10, LoadingBasis.VOLUME_OF_MIX);
    Tint mica = tint(List.of(Samples.colourant("m", ColourantForm.MICA)), List.of(8.0), cap);
    Tint liquid = tint(List.of(Samples.liquid("t")), List.of(8.0), cap);
    assertThat(mica.heldAt()).isLessThan(0.5);
    assertThat(liquid.heldAt()).isEqualTo(1);
    // 0.1 of the volume at bulk 0.3 g/mL beside 0.9 of resin at 1.10 g/mL.
    assertThat(mica.gPerGResin()).isCloseTo(0.1 * 0.3 / (0.9 * 1.10), within(1e-12));
  }

  @Test
  void anUnknownBasisIsReadTheStrictestWay() {
    List<Colourant> mica = List.of(Samples.colourant("m", ColourantForm.MICA));
    LoadingLimit unknown = new LoadingLimit(LoadingLimit.Whose.COLOURANT, "m", 5, null);
    double strictest = tint(mica, List.of(20.0), unknown).gPerGResin();
    for (LoadingBasis basis : LoadingBasis.values()) {
      LoadingLimit known = new LoadingLimit(LoadingLimit.Whose.COLOURANT, "m", 5, basis);
      assertThat(strictest).isLessThanOrEqualTo(tint(mica, List.of(20.0), known).gPerGResin());
    }
  }

  @Test
  void theTrueDensityNotTheBulkOneFillsTheMould() {
    Tint mica =
        tint(
            List.of(Samples.colourant("m", ColourantForm.MICA)),
            List.of(3.0),
            all(40, LoadingBasis.WEIGHT_OF_MIX));
    // 97 g of resin and 3 g of grains of 2.8 g/mL.
    assertThat(mica.mixDensity()).isCloseTo(100 / (97 / 1.10 + 3 / 2.8), within(1e-9));
  }
}
