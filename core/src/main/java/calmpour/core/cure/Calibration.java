package calmpour.core.cure;

import calmpour.core.resin.LabelFacts;
import calmpour.core.resin.ResinSystem;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Finds how quick a resin is from its label: the label's pot life, for its mass at its temperature
 * in a cup filled as high as wide, is then exactly when the model ends the working time.
 */
public final class Calibration {
  /** Density of the mix in that cup, g/mL: a starting value, no source. */
  private static final double DENSITY = 1.10;

  /** Part of the way to gel that a pot life is, roughly; only where the search begins. */
  private static final double ABOUT = 0.4;

  /** How far from there the search goes, in logarithms of the rate. */
  private static final double AROUND = 3;

  private static final double EXACT = 1e-7;
  private static final int MOST_TRIES = 200;

  private Calibration() {}

  /**
   * @return empty when no such resin can have this label: fresh it is already too thick, or its
   *     temperature too high, or its pot life beyond what is looked at
   */
  public static Optional<Chemistry> of(ResinSystem resin) {
    return of(resin, resin.knownPotLifeMinutes().value());
  }

  /**
   * @param potLife in place of the label's, min
   */
  static Optional<Chemistry> of(ResinSystem resin, double potLife) {
    LabelFacts facts = resin.facts();
    Chemistry fresh =
        Chemistry.startingValues(resin.kind(), facts == null ? null : facts.viscosityPaS());
    double temperatureC = resin.knownPotLifeTemperatureC().value();
    if (fresh.viscosity(0, temperatureC) >= CureEngine.POURABLE_PA_S
        || temperatureC >= CureEngine.TOO_WARM_C
        || potLife * 4 > CureEngine.MOST_MINUTES) {
      return Optional.empty();
    }
    BodyHistory body = asLabelled(resin.knownPotLifeMassG().value(), temperatureC);
    UnivariateFunction off =
        lnA -> {
          Double ends = new CureEngine(fresh.withLnA(lnA)).run(body, potLife * 4).workingTimeEnds();
          // In logarithms, so that a resin far too slow and one far too quick are alike far off.
          return ends == null ? Math.log(4) : Math.log(Math.max(ends, 1e-6) / potLife);
        };
    double kelvin = temperatureC + Chemistry.KELVIN;
    double begin =
        fresh.activationKJ() * 1_000 / (Chemistry.GAS * kelvin) + Math.log(ABOUT / potLife);
    double slow = begin - AROUND;
    double quick = begin + AROUND;
    if (off.value(slow) <= 0 || off.value(quick) >= 0) {
      return Optional.empty();
    }
    double lnA = new BrentSolver(EXACT, EXACT).solve(MOST_TRIES, off, slow, quick);
    return Optional.of(fresh.withLnA(lnA));
  }

  /** A cup filled as high as it is wide, at one temperature with its room. */
  static BodyHistory asLabelled(double massG, double temperatureC) {
    double wide = Math.cbrt(massG / DENSITY * 1_000 * 4 / Math.PI);
    BodyShape cup = new BodyShape.InCup(wide, wide, wide);
    return new BodyHistory(
        temperatureC, List.of(new BodyHistory.Segment(0, massG, cup, temperatureC)));
  }
}
