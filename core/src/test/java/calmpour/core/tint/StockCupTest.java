package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StockCupTest {
  /** Of the sample's liquid, g. */
  private static final double DROP = 0.035;

  private static final double TENTH = 0.1;

  /** Half a drop on a scale of 0.1 g: a drop in 2 g, and about half of that, to 0.1 g. */
  @Test
  void halfADropIsHalfOfAStockOfOne() {
    StockCup stock = StockCup.of(Samples.liquid("t"), DROP / 2, 0.1, 50).orElseThrow();
    assertThat(stock.counted()).isEqualTo(1);
    assertThat(stock.colourantG()).isCloseTo(DROP, within(1e-12));
    assertThat(stock.resinG()).isEqualTo(2);
    assertThat(stock.takeG()).isCloseTo(1.0, within(1e-12));
    assertThat(stock.leftG()).isCloseTo(2 + DROP - 1, within(1e-12));
    assertThat(stock.errorPercent()).isCloseTo(100 * (1 / (1 + DROP / 2) - 1), within(1e-9));
    StockCup less = stock.less(0.1);
    assertThat(less.takeG()).isCloseTo(0.9, within(1e-12));
    assertThat(less.leftG()).isCloseTo(stock.leftG() + 0.1, within(1e-12));
    assertThat(dose(less) / (DROP / 2) - 1).isCloseTo(less.errorPercent() / 100, within(1e-9));
  }

  /** Every dose that a scale can take from a stock is taken from the smallest that resolves it. */
  @Test
  void theSmallestStockThatTheScaleResolves() {
    int there = 0;
    for (double division : new double[] {0.01, 0.1, 1}) {
      for (double dose = 0.0005; dose < 0.3; dose *= 1.17) {
        Optional<StockCup> found = StockCup.of(Samples.liquid("t"), dose, division, 60);
        if (found.isEmpty()) {
          continue;
        }
        there++;
        StockCup stock = found.get();
        String as = dose + " g at " + division;
        assertThat(stock.counted() * DROP).as(as).isGreaterThanOrEqualTo(dose * (1 - 1e-12));
        assertThat((stock.counted() - 1) * DROP).as(as).isLessThan(dose);
        double steps = stock.takeG() / division;
        assertThat(steps).as(as).isCloseTo(Math.rint(steps), within(1e-6)).isGreaterThan(0.5);
        assertThat(stock.leftG() + stock.takeG())
            .as(as)
            .isCloseTo(stock.resinG() + stock.colourantG(), within(1e-9));
        assertThat(dose(stock) / dose - 1).isCloseTo(stock.errorPercent() / 100, within(1e-9));
        assertThat(stock.resinWithItG()).as(as).isLessThan(60);
        assertThat(stock.resinG()).as(as).isBetween(2.0, 40.0);
        if (stock.resinG() < 40) {
          assertThat(Math.abs(stock.errorPercent())).as(as).isLessThanOrEqualTo(100 * TENTH + 1e-9);
        }
        // A gram less of resin would not do: too coarse for the scale, or less than is taken.
        double smaller = stock.resinG() - 1;
        double wanted = dose * (smaller + stock.colourantG()) / stock.colourantG();
        boolean coarse = division / 2 / wanted > TENTH;
        boolean short_ = Math.rint(wanted / division) * division > smaller + stock.colourantG();
        assertThat(smaller < 2 || coarse || short_).as(as).isTrue();
      }
    }
    assertThat(there).isGreaterThan(40);
  }

  @Test
  void nothingOrTooMuchHasNoStock() {
    assertThat(StockCup.of(Samples.liquid("t"), 0, 0.1, 50)).isEmpty();
    assertThat(StockCup.of(Samples.liquid("t"), -1, 0.1, 50)).isEmpty();
    // Half of two grams is more resin than a cup of one gram is to hold.
    assertThat(StockCup.of(Samples.liquid("t"), DROP / 2, 0.1, 0.9)).isEmpty();
    assertThat(StockCup.of(Samples.liquid("t"), DROP / 2, 0.1, 1.1)).isPresent();
  }

  /** Colourant that reaches the cup, g. */
  private static double dose(StockCup stock) {
    return stock.takeG() * stock.colourantG() / (stock.resinG() + stock.colourantG());
  }
}
