package calmpour.core.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.tint.KubelkaMunk.Coefficients;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

class KubelkaMunkTest {
  /**
   * The equation that Kubelka and Munk (1931) begin with: a layer growing on its ground reflects R,
   * with dR/dX = S − 2(K + S)R + SR². Hipparchus integrates it; the closed form has to agree.
   */
  private static double grown(double k, double s, double thickness, double ground) {
    OrdinaryDifferentialEquation growth =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 1;
          }

          @Override
          public double[] computeDerivatives(double x, double[] r) {
            return new double[] {s - 2 * (k + s) * r[0] + s * r[0] * r[0]};
          }
        };
    return new DormandPrince853Integrator(1e-9, 1, 1e-12, 1e-12)
        .integrate(growth, new ODEState(0, new double[] {ground}), thickness)
        .getPrimaryState()[0];
  }

  @Property(tries = 200, seed = "20261123")
  void aLayerReflectsWhatItsGrowthAddsUpTo(
      @ForAll @DoubleRange(min = 0, max = 3) double k,
      @ForAll @DoubleRange(min = 0, max = 3) double s,
      @ForAll @DoubleRange(min = 0.01, max = 12) double thickness,
      @ForAll @DoubleRange(min = 0, max = 1) double ground) {
    double reflected = KubelkaMunk.reflectance(new Coefficients(k, s), thickness, ground);
    assertThat(reflected).isCloseTo(grown(k, s, thickness, ground), within(1e-8));
  }

  /** Beer's and Lambert's law: half the light left after each mm is a quarter after both ways. */
  @Test
  void withoutScatteringLightOnlyFades() {
    Coefficients dye = new Coefficients(Math.log(2), 0);
    assertThat(KubelkaMunk.reflectance(dye, 1, 1)).isCloseTo(0.25, within(1e-12));
    assertThat(KubelkaMunk.reflectance(dye, 2, 0.8)).isCloseTo(0.8 / 16, within(1e-12));
    assertThat(KubelkaMunk.reflectance(dye, 5, 0)).isZero();
  }

  /**
   * The table of the Kubelka–Munk function that accompanies every colour text, from memory: K/S of
   * a hiding layer is 4.05 at a reflectance of 0.1, 0.25 at 0.5, 0.025 at 0.8.
   */
  @Test
  void aHidingLayerLooksAsItsRatioSays() {
    double[][] table = {{4.05, 0.1}, {0.25, 0.5}, {0.025, 0.8}};
    for (double[] row : table) {
      Coefficients hiding = new Coefficients(row[0] * 40, 40);
      assertThat(KubelkaMunk.reflectance(hiding, 10, 1)).isCloseTo(row[1], within(1e-6));
      assertThat(KubelkaMunk.reflectance(hiding, 10, 0)).isCloseTo(row[1], within(1e-6));
    }
  }

  @Property(tries = 300, seed = "20261123")
  void aChipOverTwoCardsTellsWhatItIsMadeOf(
      @ForAll @DoubleRange(min = 0.005, max = 0.6) @Scale(4) double k,
      @ForAll @DoubleRange(min = 0.01, max = 0.6) double s,
      @ForAll @DoubleRange(min = 0.5, max = 3) double thickness,
      @ForAll @DoubleRange(min = 0.7, max = 1) double white,
      @ForAll @DoubleRange(min = 0, max = 0.08) double black) {
    Coefficients chip = new Coefficients(k, s);
    double overWhite = KubelkaMunk.reflectance(chip, thickness, white);
    double overBlack = KubelkaMunk.reflectance(chip, thickness, black);
    Coefficients found =
        KubelkaMunk.fit(thickness, overWhite, white, overBlack, black).orElseThrow();
    // Where the chip looks like one of its cards that card tells nothing; the other still does.
    assertThat(found.k()).isCloseTo(k, within(1e-4 + k * 1e-3));
    assertThat(found.s()).isCloseTo(s, within(1e-4 + s * 1e-3));
  }

  @Test
  void aDyeIsFoundWithoutScatterAndWhatCannotBeIsRefused() {
    Coefficients dye = KubelkaMunk.fit(2, 0.25, 1, 0, 0).orElseThrow();
    assertThat(dye.s()).isZero();
    assertThat(dye.k()).isCloseTo(Math.log(2) / 2, within(1e-12));
    assertThat(KubelkaMunk.fit(2, 0.3, 1, 0.5, 0)).as("lighter over black").isEmpty();
    assertThat(KubelkaMunk.fit(2, 0.95, 0.8, 0, 0)).as("lighter than its card").isEmpty();
    assertThat(KubelkaMunk.fit(2, 0.5, 0.1, 0.2, 0.3)).as("cards the wrong way").isEmpty();
  }
}
