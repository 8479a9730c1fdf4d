package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.LoadingBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
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

  /** 5 % of mica of 0.3 g/mL and 3 % of tint of 1.0 in 92 g of resin of 1.10 g/mL, by hand. */
  @Test
  void allTogetherReadInFourWays() {
    Colourant mica = Samples.colourant("m", ColourantForm.MICA).withBulkDensity(0.3);
    Colourant liquid = Samples.liquid("t").withBulkDensity(1.0);
    Tint.FourReadings all = tint(List.of(mica, liquid), List.of(5.0, 3.0)).inAll();
    double volume = 5 / 0.3 + 3 / 1.0;
    double resin = 92 / 1.10;
    assertThat(all.weightOfMix()).isCloseTo(8, within(1e-9));
    assertThat(all.weightOfResin()).isCloseTo(100 * 8 / 92.0, within(1e-9));
    assertThat(all.volumeOfResin()).isCloseTo(100 * volume / resin, within(1e-9));
    assertThat(all.volumeOfMix()).isCloseTo(100 * volume / (resin + volume), within(1e-9));
    assertThat(tint(List.of(mica), List.of(5.0)).resinDensity()).isEqualTo(RESIN);
  }

  /** With just as much more of one colourant in it the first limit that counts it is met. */
  @Test
  void whatMayStillBeAddedEndsAtTheFirstLimit() {
    Random random = new Random(20_261_129);
    for (int i = 0; i < 300; i++) {
      Colourant liquid = Samples.liquid("t");
      Colourant mica = Samples.colourant("m", ColourantForm.MICA);
      List<LoadingLimit> limits = new ArrayList<>();
      for (int l = 0; l <= random.nextInt(3); l++) {
        LoadingBasis basis = List.of(LoadingBasis.values()).get(random.nextInt(5));
        boolean drops = basis == LoadingBasis.DROPS_IN_10_ML;
        limits.add(
            new LoadingLimit(
                drops
                    ? LoadingLimit.Whose.SHOP_DROPS
                    : (random.nextBoolean()
                        ? LoadingLimit.Whose.SHOP_ALL
                        : LoadingLimit.Whose.SHOP_LIQUIDS),
                null,
                drops ? 5 + random.nextInt(30) : 3 + 10 * random.nextDouble(),
                basis));
      }
      List<Tint.Share> in =
          List.of(
              new Tint.Share(liquid, 0.02 * random.nextDouble()),
              new Tint.Share(mica, 0.02 * random.nextDouble()));
      Tint now = Tint.asStirred(in, RESIN, limits);
      assertThat(now.readings().stream().map(r -> -r.fraction()).toList()).isSorted();
      for (Colourant more : List.of(liquid, mica)) {
        double may = now.mayAddGPerGResin(more);
        List<LoadingLimit> counting = limits.stream().filter(l -> l.counts(more)).toList();
        if (counting.isEmpty()) {
          assertThat(may).isInfinite();
          continue;
        }
        List<Tint.Share> then = new ArrayList<>(in);
        then.add(new Tint.Share(more, may));
        List<Tint.Reading> readings = Tint.asStirred(then, RESIN, counting).readings();
        assertThat(readings.getFirst().fraction()).isCloseTo(1, within(1e-9));
      }
    }
  }

  /** A limit that counts nothing in the cup is not read, and does not end anything. */
  @Test
  void whatIsNotInItIsNotRead() {
    LoadingLimit other =
        new LoadingLimit(LoadingLimit.Whose.COLOURANT, "m", 1, LoadingBasis.WEIGHT_OF_MIX);
    Tint liquid = tint(List.of(Samples.liquid("t")), List.of(20.0), other);
    assertThat(liquid.readings()).isEmpty();
    assertThat(liquid.heldAt()).isEqualTo(1);
    assertThat(liquid.mayGrowTimes()).isInfinite();
    assertThat(liquid.stoppedBy()).isEmpty();
  }
}
