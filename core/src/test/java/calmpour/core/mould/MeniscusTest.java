package calmpour.core.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

/**
 * A dome against the shape of a liquid under gravity and surface tension: the Young–Laplace
 * equation of a drop that stands on a round face, as F. Bashforth and J. C. Adams wrote it (An
 * Attempt to Test the Theories of Capillary Action, 1883), integrated along its arc by a library.
 */
class MeniscusTest {
  private static final double DENSITY = 1.1;
  private static final double GRAVITY = 9.806_65;

  /** Radius at which the slope is so steep, height of the top above it, volume: mm and mm³. */
  private record Drop(double radius, double height, double volume) {}

  /** Arc length s; r' = cos φ, z' = sin φ, φ' = 2b + z/λ² − sin φ/r, V' = π r² sin φ. */
  private static Drop drop(double apexCurvature, double slope) {
    double perSquare = DENSITY * 1_000 * GRAVITY / Meniscus.TENSION * 1e-6;
    OrdinaryDifferentialEquation shape =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 4;
          }

          @Override
          public double[] computeDerivatives(double s, double[] y) {
            double round = y[0] < 1e-9 ? apexCurvature : Math.sin(y[2]) / y[0];
            return new double[] {
              Math.cos(y[2]),
              Math.sin(y[2]),
              2 * apexCurvature + y[1] * perSquare - round,
              Math.PI * y[0] * y[0] * Math.sin(y[2])
            };
          }
        };
    // Until that slope by bisecting the arc: the slope only grows along it.
    double near = 0;
    double far = 400;
    double[] end = null;
    for (int i = 0; i < 60; i++) {
      double middle = (near + far) / 2;
      end =
          new DormandPrince853Integrator(1e-9, 1, 1e-10, 1e-10)
              .integrate(shape, new ODEState(0, new double[] {0, 0, 0, 0}), middle)
              .getPrimaryState();
      if (end[2] < slope) {
        near = middle;
      } else {
        far = middle;
      }
    }
    return new Drop(end[0], end[1], end[3]);
  }

  @Test
  void theHighestDomeIsThatOfYoungAndLaplaceWithinATenth() {
    for (double curvature : new double[] {1, 0.5, 0.2, 0.1, 0.05, 0.02, 0.005, 0.001}) {
      Drop drop = drop(curvature, Meniscus.ANGLE);
      Meniscus skin = Meniscus.over(Math.PI * drop.radius * drop.radius, 2 * drop.radius, DENSITY);
      assertThat(skin.highestMm())
          .as("over %.1f mm across", 2 * drop.radius)
          .isCloseTo(drop.height, within(drop.height * 0.1));
    }
  }

  /** A dome of a millimetre leans little, so that what holds for flat ones holds for it. */
  @Test
  void aDomesVolumeIsThatOfYoungAndLaplaceWithinATwentieth() {
    for (double slope : new double[] {0.1, 0.25, 0.5}) {
      for (double curvature : new double[] {0.2, 0.05, 0.01, 0.001, 0.0001}) {
        Drop drop = drop(curvature, slope);
        Meniscus skin =
            Meniscus.over(Math.PI * drop.radius * drop.radius, 2 * drop.radius, DENSITY);
        assertThat(skin.volumeMl(drop.height) * 1_000)
            .as("%.2f mm high over %.1f mm", drop.height, 2 * drop.radius)
            .isCloseTo(drop.volume, within(drop.volume * 0.05));
      }
    }
  }

  /** A puddle of epoxy on silicone stands about two millimetres high, however wide. */
  @Test
  void aWideDomeStandsAboutTwoMillimetres() {
    assertThat(Meniscus.over(10_000, 0, DENSITY).highestMm()).isBetween(1.8, 2.4);
    assertThat(Meniscus.over(20, 0, DENSITY).highestMm()).isBetween(1.0, 1.6);
  }

  /**
   * Over a long opening it is the narrow side that counts; a cap of a cylinder holds two thirds.
   */
  @Property
  void aLongOpeningIsJudgedByItsNarrowSide(
      @ForAll @DoubleRange(min = 0.5, max = 3) double wide,
      @ForAll @DoubleRange(min = 60, max = 400) double length,
      @ForAll @DoubleRange(min = 0.1, max = 2) double high) {
    Meniscus skin = Meniscus.over(wide * length, length, DENSITY);
    assertThat(skin.highestMm()).isLessThan(wide / 2);
    double share = skin.volumeMl(high) * 1_000 / (wide * length * high);
    assertThat(share).isCloseTo(2.0 / 3, within(0.02));
    assertThat(skin.heightMm(skin.volumeMl(high))).isCloseTo(high, within(1e-9));
  }
}
