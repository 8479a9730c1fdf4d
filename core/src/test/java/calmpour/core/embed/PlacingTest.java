package calmpour.core.embed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import calmpour.core.Samples;
import calmpour.core.cure.BodyHistory;
import calmpour.core.cure.BodyShape;
import calmpour.core.cure.Calibration;
import calmpour.core.cure.Chemistry;
import calmpour.core.cure.CureRun;
import calmpour.core.cure.EngineModel;
import calmpour.core.resin.ResinKind;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.hipparchus.ode.ODEState;
import org.hipparchus.ode.OrdinaryDifferentialEquation;
import org.hipparchus.ode.nonstiff.DormandPrince853Integrator;
import org.junit.jupiter.api.Test;

/** Bubbles, grains and embeds in a layer 10 mm deep of a resin of 40 min at 24 °C. */
class PlacingTest {
  private static final ResinSystem SLOW = Samples.resin(ResinKind.CASTING, 40, 100, 24, null);
  private static final double MIX = 1.10;
  private static final CureRun LAYER = run(22, 10);

  private static CureRun run(double roomC, double depthMm) {
    BodyShape sheet = new BodyShape.Spread(30, depthMm);
    BodyHistory.Segment lies = new BodyHistory.Segment(0, 3.3 * depthMm, sheet, roomC);
    return new EngineModel().curve(SLOW, new BodyHistory(roomC, List.of(lies))).orElseThrow();
  }

  /** Worked by hand: 0.5 mm of air in 1.1 g/mL and 1 Pa·s rise 1 100·9.80665·0.25·10⁻⁶/18 m/s. */
  @Test
  void aBubbleRisesAsStokesSays() {
    assertThat(Drift.mmPerFlow(0.5, 1.1)).isCloseTo(1.4982e-4 * 60_000, within(1e-3));
    assertThat(Drift.reynolds(0.5, 1.1, 1.1, 1))
        .isCloseTo(1.4982e-4 * 0.5e-3 * 1_100, within(1e-7));
  }

  /**
   * Drag of a ball beyond Stokes: Lapple and Shepherd, Industrial and Engineering Chemistry 32
   * (1940) 605, give a coefficient of 4.1 at Re 10 and 1.07 at Re 100 (from memory).
   */
  @Test
  void quickThingsMeetTheDragOfTheHandbook() {
    for (double[] known : new double[][] {{10, 4.1}, {100, 1.07}}) {
      // The thickness in which a steel ball of 2 mm falls at this Reynolds number.
      double thickness = 10;
      double reynolds = 0;
      double share = 1;
      while (reynolds < known[0]) {
        thickness *= 0.995;
        share = Drift.forSpeed(2, MIX - 7.8, MIX, thickness);
        reynolds = Drift.reynolds(2, MIX - 7.8, MIX, thickness) * share;
      }
      double speed = share * Math.abs(Drift.mmPerFlow(2, MIX - 7.8)) / thickness / 60_000;
      double drag = 4.0 / 3 * 9.80665 * 0.002 * (7.8 - MIX) / MIX / (speed * speed);
      assertThat(drag).as("at Re " + known[0]).isCloseTo(known[1], within(known[1] * 0.06));
    }
  }

  /** Faxén's series for a ball in a tube, 1 − 2.104λ + 2.089λ³ − 0.948λ⁵, from memory. */
  @Test
  void wallsSlowAsFaxenSays() {
    for (double wide : new double[] {0.02, 0.1, 0.2, 0.3}) {
      double faxen = 1 - 2.10444 * wide + 2.08877 * Math.pow(wide, 3) - 0.94813 * Math.pow(wide, 5);
      assertThat(Drift.betweenWalls(wide, 1)).isCloseTo(faxen, within(0.03));
    }
  }

  /**
   * The window's beginning by another road: what is left to sink from there to gel, by another
   * integrator over one over the thickness.
   */
  @Property(tries = 40, seed = "20261126")
  void whatIsPlacedInItsWindowStays(
      @ForAll @Scale(3) @DoubleRange(min = 0.1, max = 0.6) double sizeMm,
      @ForAll @DoubleRange(min = 1.3, max = 3) double density) {
    double speed = (density - MIX) * 1_000 * 9.80665 * sizeMm * sizeMm * 1e-6 / 18 * 60_000;
    Placing placing = Placing.small(LAYER, 0, sizeMm, density, MIX, 10, 1);
    assertThat(placing.tendency()).isEqualTo(Embed.Tendency.SINKS);
    double all = speed * flow(0);
    if (placing.way() == Placing.Way.IN_WINDOW) {
      assertThat(speed * flow(placing.fromMinutes())).isCloseTo(1, within(0.07));
      assertThat(placing.untilMinutes()).isGreaterThanOrEqualTo(placing.fromMinutes());
      assertThat(all).isGreaterThan(1);
    } else if (placing.way() == Placing.Way.ANY_TIME) {
      assertThat(all).isLessThan(1.05);
    } else {
      assertThat(placing.way()).isEqualTo(Placing.Way.BED_OR_ANCHOR);
      // A window of less than two minutes is none.
      assertThat(speed * flow(placing.untilMinutes() - 2)).isGreaterThan(0.93);
    }
  }

  private static double flow(double from) {
    Chemistry chemistry = Calibration.of(SLOW).chemistry();
    // 22 W/m²K on 30 cm², and 33 g at 1.9 J/(g·K); 10 mm are thin enough for one temperature.
    double loss = 22 * 30e-4 * 60 / (33 * 1.9);
    OrdinaryDifferentialEquation sheet =
        new OrdinaryDifferentialEquation() {
          @Override
          public int getDimension() {
            return 3;
          }

          @Override
          public double[] computeDerivatives(double t, double[] y) {
            double rate = chemistry.rate(y[0], y[1]);
            double warms = rate * 250 / 1.9 - loss * (y[1] - 22);
            return new double[] {rate, warms, 1 / chemistry.viscosity(y[0], y[1])};
          }
        };
    var integrator = new DormandPrince853Integrator(1e-9, 1, 1e-8, 1e-8);
    double[] at = {0, 22, 0};
    if (from > 0) {
      at = integrator.integrate(sheet, new ODEState(0, at), from).getPrimaryState();
    }
    at[2] = 0;
    return integrator.integrate(sheet, new ODEState(from, at), LAYER.gels()).getPrimaryState()[2];
  }

  @Test
  void stokesIsNotAskedWhereItDoesNotHold() {
    assertThat(Placing.isSmall(LAYER, 0.3, 1.4, MIX, 10)).isTrue();
    // More than a tenth of the layer, and too quick for its thickness.
    assertThat(Placing.isSmall(LAYER, 1.2, 1.4, MIX, 10)).isFalse();
    assertThat(Placing.isSmall(LAYER, 3, 20, MIX, 60)).isFalse();
    assertThatThrownBy(() -> Placing.small(LAYER, 0, 1.2, 1.4, MIX, 10, 1))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void largerThingsGoToFloorOrSurfaceAndSomeHaveNoWayToGo() {
    // A brass insert of 1 mL, 12.4 mm as a ball, in a layer 30 mm deep.
    CureRun deep = run(22, 30);
    Placing brass = Placing.large(deep, 0, 1, 8.5, MIX, 30, 40, 1);

    assertThat(brass.ends()).isEqualTo(Placing.Ends.FLOOR);
    assertThat(brass.way()).isEqualTo(Placing.Way.BED_OR_ANCHOR);
    assertThat(brass.freeMm()).isCloseTo(30 - 12.407, within(0.01));
    // A birch disc of as much volume rises.
    assertThat(Placing.large(deep, 0, 1, 0.65, MIX, 30, 40, 1).ends())
        .isEqualTo(Placing.Ends.SURFACE);
    // Between floor and surface with hardly a millimetre left.
    Placing tight = Placing.large(LAYER, 0, 0.45, 8.5, MIX, 10, 40, 1);
    assertThat(tight.way()).isEqualTo(Placing.Way.TOUCHES_BOTH);
    // A hundredth heavier is within what anybody knows of either: it stays as well.
    Placing hovers = Placing.large(deep, 0, 1, MIX * 1.01, MIX, 30, 40, 1);
    assertThat(hovers.ends()).isEqualTo(Placing.Ends.WHERE_IT_IS);
    assertThat(hovers.atOnceMm()).isZero();
    // A linen swatch soaked to the mix's own density stays where it is put.
    assertThat(Placing.large(LAYER, 0, 0.05, MIX, MIX, 10, 40, 1).way())
        .isEqualTo(Placing.Way.ANY_TIME);
  }

  /** A tight mould slows a thing, a wide one hardly does. */
  @Test
  void wallsWidenTheWindow() {
    Placing wide = Placing.large(LAYER, 0, 0.001, 1.13, MIX, 10, 200, 1);
    Placing tight = Placing.large(LAYER, 0, 0.001, 1.13, MIX, 10, 2.8, 1);
    assertThat(tight.fromMinutes()).isLessThan(wide.fromMinutes() - 1);
  }

  /** Common practice, no source: rest 5 to 10 min; cold resin keeps its micro-bubbles. */
  @Test
  void restingIsWorthItWhenItIsWarm() {
    ResinSystem resin = SLOW;
    Bubbles warm = rested(resin, 26, 10);
    Bubbles cold = rested(resin, 14, 10);
    assertThat(warm.clearsMm()).isLessThan(cold.clearsMm());
    assertThat(warm.worthMinutes()).isBetween(3.0, 20.0);
    assertThat(cold.worthMinutes() == null || cold.worthMinutes() > 1.8 * warm.worthMinutes())
        .isTrue();
    // Ten minutes leave nothing that rises 40 mm in less, and keep what needs longer.
    double rises = Drift.mmPerFlow(warm.clearsMm(), MIX);
    CureRun cup = cup(resin, 26);
    assertThat(rises * (cup.at(13).flow() - cup.at(3).flow())).isCloseTo(40, within(0.5));
  }

  private static CureRun cup(ResinSystem resin, double roomC) {
    BodyShape cup = new BodyShape.InCup(55, 55, 40);
    return new EngineModel()
        .curve(resin, new BodyHistory(roomC, List.of(new BodyHistory.Segment(0, 105, cup, roomC))))
        .orElseThrow();
  }

  private static Bubbles rested(ResinSystem resin, double roomC, double minutes) {
    return Bubbles.of(cup(resin, roomC), 3, minutes, 40, MIX);
  }

  /** There is no layer to put it in before the pour, and what is poured late has thickened. */
  @Test
  void driftCountsFromThePour() {
    double latePour = LAYER.workingTimeEnds() * 0.9;
    Placing early = Placing.small(LAYER, 0, 0.2, 1.4, MIX, 10, 0.2);
    Placing late = Placing.small(LAYER, latePour, 0.2, 1.4, MIX, 10, 0.2);
    assertThat(late.atOnceMm()).isLessThan(early.atOnceMm() * 0.6);
    assertThat(late.fromMinutes()).isGreaterThanOrEqualTo(latePour);
  }
}
