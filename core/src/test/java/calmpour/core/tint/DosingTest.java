package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.LoadingBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Doses as they are counted, held against a search of its own written from docs/science.md. */
class DosingTest {
  private static final double DROP = 0.035;
  private static final double QUARTER = 0.15 * 0.3 / 4;

  /** One way of measuring one colourant, in plain grams. */
  private record Way(double grams, double error) {}

  private record Case(
      List<ColourantForm> forms,
      List<Double> percents,
      double resinG,
      double divisionG,
      double all) {}

  /** All additives by weight of the mix, so that the referee can reckon the limit in a line. */
  private static List<LoadingLimit> limits(double percent) {
    return List.of(
        new LoadingLimit(LoadingLimit.Whose.SHOP_ALL, null, percent, LoadingBasis.WEIGHT_OF_MIX));
  }

  private static List<Dosing.Counted> counted(Case given, boolean stocked) {
    List<Colourant> colourants = new ArrayList<>();
    List<Double> percents = new ArrayList<>();
    for (int i = 0; i < given.forms.size(); i++) {
      colourants.add(Samples.colourant("c" + i, given.forms.get(i)));
      percents.add(given.percents.get(i));
    }
    Tint tint = Tint.within(colourants, percents, 1.1, limits(given.all));
    return Dosing.of(tint, given.resinG, given.divisionG, stocked);
  }

  private static Case random(Random random) {
    int parts = 1 + random.nextInt(3);
    List<ColourantForm> forms = new ArrayList<>();
    List<Double> percents = new ArrayList<>();
    for (int i = 0; i < parts; i++) {
      forms.add(random.nextBoolean() ? ColourantForm.LIQUID_TINT : ColourantForm.MICA);
      percents.add(Math.exp(random.nextDouble() * 6 - 5));
    }
    double[] divisions = {0.01, 0.1, 0.5, 1};
    return new Case(
        forms,
        percents,
        5 + random.nextDouble() * 80,
        divisions[random.nextInt(divisions.length)],
        random.nextInt(3) == 0 ? 0.3 + random.nextDouble() * 3 : 10);
  }

  @Test
  void noLimitIsPassedAndBeyondATenthNoOtherCountIsNearer() {
    Random random = new Random(20_261_126);
    int coarse = 0;
    int held = 0;
    for (int n = 0; n < 3_000; n++) {
      Case given = random(random);
      List<Dosing.Counted> doses = counted(given, false);
      double total = doses.stream().mapToDouble(Dosing.Counted::massG).sum();
      assertThat(100 * total / (given.resinG + total)).isLessThanOrEqualTo(given.all + 1e-7);
      double[] wanted = wanted(given);
      held += wanted[0] < given.percents.get(0) / 100 * given.resinG * 0.99 ? 1 : 0;
      List<List<Way>> ways = new ArrayList<>();
      for (int i = 0; i < wanted.length; i++) {
        assertThat(doses.get(i).wantedG()).isCloseTo(wanted[i], within(1e-9));
        ways.add(ways(wanted[i], given.forms.get(i).liquid() ? DROP : QUARTER, given.divisionG));
      }
      double least = least(ways, wanted, new double[wanted.length], 0, 0, given);
      double ours = 0;
      double out = 0;
      double low = Double.POSITIVE_INFINITY;
      double high = 0;
      for (int i = 0; i < wanted.length; i++) {
        Dosing.Counted dose = doses.get(i);
        if (dose.by() == Dosing.By.NOTHING) {
          out += 10;
          continue;
        }
        double times = dose.massG() / wanted[i];
        double unsure = dose.by() == Dosing.By.SCALE ? given.divisionG / 2 / wanted[i] : 0;
        ours = Math.max(ours, Math.abs(times - 1) + unsure);
        low = Math.min(low, times);
        high = Math.max(high, times);
      }
      ours = out + Math.max(ours, high == 0 ? 0 : high / low - 1);
      // Within a tenth nothing nearer is looked for.
      assertThat(ours)
          .as("%s gives %s", given, doses)
          .isBetween(least - 1e-9, Math.max(least, 0.1) + 1e-9);
      coarse += ours > 0.2 ? 1 : 0;
    }
    assertThat(coarse).as("cases that nothing measures well").isGreaterThan(300);
    assertThat(held).as("cases that a limit holds back").isGreaterThan(100);
  }

  /** Grams by the recipe, all scaled alike where together they pass the limit. */
  private static double[] wanted(Case given) {
    double all = 0;
    for (double percent : given.percents) {
      all += percent;
    }
    double held = Math.min(1, given.all / (100 - given.all) / (all / (100 - all)));
    double[] wanted = new double[given.percents.size()];
    for (int i = 0; i < wanted.length; i++) {
      wanted[i] = given.resinG * given.percents.get(i) / (100 - all) * held;
    }
    return wanted;
  }

  /** Every count up to twice what is wanted, every weight, and nothing. */
  private static List<Way> ways(double wanted, double unit, double division) {
    List<Way> ways = new ArrayList<>();
    double unsure = division / 2 / wanted;
    for (int n = 1; unsure > 0.05 && (n - 1) * unit <= 2 * wanted; n++) {
      ways.add(new Way(n * unit, Math.abs(n * unit / wanted - 1)));
    }
    for (int n = 1; unsure <= 0.2 && (n - 1) * division <= 2 * wanted; n++) {
      // Where a weight is fine, only those as near as a search by hand would still try.
      if (unsure > 0.01 || Math.abs(n * division / wanted - 1) < 0.35) {
        ways.add(new Way(n * division, Math.abs(n * division / wanted - 1) + unsure));
      }
    }
    ways.removeIf(w -> w.error >= 1);
    ways.add(new Way(0, 0));
    return ways;
  }

  private static double least(
      List<List<Way>> ways, double[] wanted, double[] grams, int at, double worst, Case given) {
    if (at == wanted.length) {
      double sum = 0;
      double low = Double.POSITIVE_INFINITY;
      double high = 0;
      double out = 0;
      for (int i = 0; i < at; i++) {
        sum += grams[i];
        if (grams[i] == 0) {
          out += 10;
          continue;
        }
        low = Math.min(low, grams[i] / wanted[i]);
        high = Math.max(high, grams[i] / wanted[i]);
      }
      boolean over = 100 * sum / (given.resinG + sum) > given.all + 1e-7;
      return over
          ? Double.POSITIVE_INFINITY
          : out + Math.max(worst, high == 0 ? 0 : high / low - 1);
    }
    double best = Double.POSITIVE_INFINITY;
    for (Way way : ways.get(at)) {
      grams[at] = way.grams;
      best = Math.min(best, least(ways, wanted, grams, at + 1, Math.max(worst, way.error), given));
    }
    return best;
  }

  /**
   * With resin for stock cups, nothing of 20 g and more is left out or further off than a fifth.
   */
  @Test
  void aStockCupMeasuresWhatNothingElseDoes() {
    Random random = new Random(20_261_127);
    int stocks = 0;
    for (int n = 0; n < 2_000; n++) {
      Case drawn = random(random);
      Case given =
          new Case(drawn.forms, drawn.percents, 20 + drawn.resinG, 0.1, Math.max(1, drawn.all));
      for (Dosing.Counted dose : counted(given, true)) {
        assertThat(dose.by()).isNotEqualTo(Dosing.By.NOTHING);
        assertThat(Math.abs(dose.errorPercent())).as("%s of %s", dose, given).isLessThan(25);
        if (dose.stock() != null) {
          StockCup stock = dose.stock();
          double share = stock.colourantG() / (stock.colourantG() + stock.resinG());
          assertThat(dose.massG()).isCloseTo(stock.takeG() * share, within(1e-9));
          assertThat(stock.takeG() / 0.1).isCloseTo(Math.rint(stock.takeG() / 0.1), within(1e-6));
          stocks++;
        }
      }
    }
    assertThat(stocks).isGreaterThan(200);
  }

  /** By hand: 0.06 g on a scale of 0.1 g are two drops of 0.035 g, never a weight. */
  @Test
  void whatAScaleCannotShowIsNotWeighed() {
    Tint tint = Tint.within(List.of(Samples.liquid("t")), List.of(0.3), 1.1, limits(10));
    Dosing.Counted dose = Dosing.of(tint, 20, 0.1, false).get(0);
    assertThat(dose.by()).isEqualTo(Dosing.By.COUNT);
    assertThat(dose.count()).isEqualTo(2);
    assertThat(dose.massG()).isCloseTo(0.07, within(1e-12));
    // And 2 g are weighed, not counted out in 57 drops.
    Tint strong = Tint.within(List.of(Samples.liquid("t")), List.of(5.0), 1.1, limits(10));
    assertThat(Dosing.of(strong, 38, 0.1, false).get(0).by()).isEqualTo(Dosing.By.SCALE);
  }
}
