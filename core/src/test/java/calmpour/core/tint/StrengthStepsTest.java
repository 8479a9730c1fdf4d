package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.resin.LoadingBasis;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class StrengthStepsTest {
  private static final double RESIN_G = 50;

  /** Of the sample's liquid, g. */
  private static final double DROP = 0.035;

  private static LoadingLimit mix(double percent) {
    return new LoadingLimit(LoadingLimit.Whose.SHOP_ALL, null, percent, LoadingBasis.WEIGHT_OF_MIX);
  }

  private static StrengthSteps steps(
      List<Colourant> jars, List<Double> recipe, double factor, LoadingLimit... limits) {
    List<Double> asked = recipe.stream().map(p -> p * factor).toList();
    Tint tint = Tint.within(jars, asked, 1.1, List.of(limits));
    return StrengthSteps.of(tint, recipe, factor, RESIN_G, 0.1).orElseThrow();
  }

  private static StrengthSteps liquid(double percent, double factor, LoadingLimit... limits) {
    return steps(List.of(Samples.liquid("t")), List.of(percent), factor, limits);
  }

  /**
   * Drops of a recipe of one liquid at a strength: p % of the mix is p / (100 − p) of the resin.
   */
  private static double drops(double percent, double factor) {
    double p = percent * factor;
    return p / (100 - p) * RESIN_G / DROP;
  }

  /** 1 % in 50 g are 14.4 drops, so 14: one step up is fifteen drops, one down thirteen. */
  @Test
  void aStepIsADrop() {
    assertThat(drops(1, 1)).isBetween(14.3, 14.5);
    StrengthSteps steps = liquid(1, 1, mix(5));
    assertThat(drops(1, steps.stronger())).isCloseTo(15, within(1e-6));
    assertThat(drops(1, steps.weaker())).isCloseTo(13, within(1e-6));
    assertThat(steps.lastStep()).isFalse();
    assertThat(steps.factor()).isEqualTo(1);
    StrengthSteps on = liquid(1, steps.stronger(), mix(5));
    assertThat(drops(1, on.stronger())).isCloseTo(16, within(1e-6));
    assertThat(drops(1, on.weaker())).isCloseTo(14, within(1e-6));
  }

  /** Without a limit nothing stops it; at one there is no step up, and it is named. */
  @Test
  void aLimitEndsTheSteps() {
    assertThat(liquid(1, 1).stoppedBy()).isNull();
    assertThat(liquid(1, 1).stronger()).isNotNull();
    // The fifteenth drop would be 1.04 % of the mix.
    StrengthSteps near = liquid(1, 1, mix(1.03));
    assertThat(near.stronger()).isNull();
    assertThat(near.stoppedBy()).isNotNull();
    assertThat(near.stoppedBy().limit().percent()).isEqualTo(1.03);
    assertThat(near.weaker()).isNotNull();
    StrengthSteps room = liquid(1, 1, mix(1.05));
    assertThat(drops(1, room.stronger())).isCloseTo(15, within(1e-6));
    // Wanted beyond it, it is held at the limit and goes no further.
    assertThat(liquid(3, 1, mix(1)).stronger()).isNull();
  }

  /** Below a drop there are stock cups: half of it, down to a tenth of the recipe. */
  @Test
  void belowADropAStepIsHalf() {
    double one = 100 * DROP / (RESIN_G + DROP);
    assertThat(drops(one, 1)).isCloseTo(1, within(1e-9));
    assertThat(liquid(one, 1, mix(5)).weaker()).isEqualTo(0.5);
    assertThat(liquid(one, 0.2, mix(5)).weaker()).isEqualTo(0.1);
    assertThat(liquid(one, 0.1, mix(5)).weaker()).isNull();
  }

  @Test
  void aClearCupHasNoSteps() {
    Tint clear = Tint.within(List.of(), List.of(), 1.1, List.of());
    assertThat(StrengthSteps.of(clear, List.of(), 1, RESIN_G, 0.1)).isEmpty();
    Tint nothing = Tint.within(List.of(Samples.liquid("t")), List.of(0.0), 1.1, List.of());
    assertThat(StrengthSteps.of(nothing, List.of(0.0), 1, RESIN_G, 0.1)).isEmpty();
  }

  /**
   * Several together: a step up counts out more and passes no limit, a step down counts out less.
   */
  @Test
  void aStepOfARecipeCanBeSeen() {
    Random random = new Random(20_261_128);
    int up = 0;
    int down = 0;
    int last = 0;
    int whole = 0;
    for (int i = 0; i < 300; i++) {
      List<Colourant> jars = new ArrayList<>(List.of(Samples.liquid("t")));
      List<Double> recipe = new ArrayList<>(List.of(0.4 + random.nextDouble()));
      if (random.nextBoolean()) {
        jars.add(Samples.colourant("m", ColourantForm.MICA));
        recipe.add(0.2 + 2 * random.nextDouble());
      }
      if (random.nextBoolean()) {
        jars.add(Samples.colourant("p", ColourantForm.PASTE));
        recipe.add(0.2 + random.nextDouble());
      }
      double limit = 3 + 3 * random.nextDouble();
      double sum = recipe.stream().mapToDouble(Double::doubleValue).sum();
      // A third of them are near the limit, or wanted beyond it.
      double factor =
          random.nextInt(3) == 0
              ? limit / sum * (0.95 + 0.06 * random.nextDouble())
              : 0.5 + random.nextDouble();
      StrengthSteps steps = steps(jars, recipe, factor, mix(limit));
      double now = counted(jars, recipe, factor, limit);
      if (steps.stronger() != null) {
        up++;
        assertThat(steps.stronger()).isGreaterThan(factor * 0.97);
        assertThat(sum * steps.stronger()).isLessThanOrEqualTo(limit * (1 + 1e-9));
        assertThat(counted(jars, recipe, steps.stronger(), limit)).isGreaterThan(now);
        // A whole drop or quarter scoop of what there is most of; the last one ends at the limit.
        if (steps.lastStep()) {
          last++;
          assertThat(sum * steps.stronger()).isCloseTo(limit, within(1e-6));
        } else {
          assertThat(ofMost(jars, recipe, steps.stronger())).isCloseTo(0, within(1e-6));
        }
      }
      if (steps.weaker() != null) {
        down++;
        assertThat(counted(jars, recipe, steps.weaker(), limit)).isLessThan(now);
        if (steps.weaker() != factor / 2) {
          whole++;
          assertThat(ofMost(jars, recipe, steps.weaker())).isCloseTo(0, within(1e-6));
        }
      }
    }
    assertThat(up).isGreaterThan(150);
    assertThat(down).isGreaterThan(250);
    assertThat(last).isGreaterThan(8);
    assertThat(whole).isGreaterThan(150);
  }

  /** How far what there is most of is from whole counts, in counts. */
  private static double ofMost(List<Colourant> jars, List<Double> recipe, double factor) {
    int most = 0;
    double all = 0;
    for (int i = 0; i < recipe.size(); i++) {
      most = recipe.get(i) > recipe.get(most) ? i : most;
      all += recipe.get(i) * factor;
    }
    double counts = recipe.get(most) * factor / (100 - all) * RESIN_G / jars.get(most).countedG();
    return counts - Math.rint(counts);
  }

  private static double counted(
      List<Colourant> jars, List<Double> recipe, double factor, double limit) {
    List<Double> asked = recipe.stream().map(p -> p * factor).toList();
    Tint tint = Tint.within(jars, asked, 1.1, List.of(mix(limit)));
    return Dosing.of(tint, RESIN_G, 0.1, false).stream().mapToDouble(Dosing.Counted::massG).sum();
  }
}
