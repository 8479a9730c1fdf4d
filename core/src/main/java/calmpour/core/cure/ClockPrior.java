package calmpour.core.cure;

import calmpour.core.resin.ResinKind;
import java.util.List;

/**
 * What is thought of a resin's clock before anything is known of it but its kind: mean and standard
 * deviation of each unknown. Starting values, no source but that the rules of thumb in
 * docs/science.md hold together with them.
 *
 * <p>The unknowns are counted in this order: ln of the rate at 23 °C (1/min), E (kJ/mol), ln of the
 * heat (J/g), ln r, ln of the fresh thickness at 25 °C (Pa·s), demould conversion.
 */
final class ClockPrior {
  /** What a clock is made of, in the order of every array about it. */
  static final List<String> NAMES =
      List.of("SPEED", "ACTIVATION", "HEAT", "START", "THICKNESS", "HARDNESS");

  static final int SPEED = 0;
  static final int ACTIVATION = 1;
  static final int HEAT = 2;
  static final int START = 3;
  static final int THICKNESS = 4;
  static final int HARDNESS = 5;
  static final int UNKNOWNS = NAMES.size();

  /** Where the speed of a reaction is told, °C; so it is not tied to its activation energy. */
  static final double AT_C = 23;

  /** A resin at 23 °C turns to glass at 0.948; nothing waits for that. */
  static final double HARDEST = 0.93;

  /** A pot life that is told leaves the speed free; one that is assumed does not. */
  private static final double SPEED_FREE = 1;

  private static final double SPEED_ASSUMED = 0.3;

  /** Part of the way to gel that a pot life is, roughly; only where a search begins. */
  private static final double ABOUT = 0.4;

  private final double[] mean;
  private final double[] sd;

  private ClockPrior(double[] mean, double[] sd) {
    this.mean = mean;
    this.sd = sd;
  }

  /**
   * @param potLife min: of the label, or assumed by its kind
   * @param told whether the label or a maker gives it
   */
  static ClockPrior of(ResinKind kind, double potLife, boolean told) {
    ClockPrior prior =
        switch (kind) {
          case CASTING -> of(42, 4, 250, 0.15, 0.6, 0.5, 0.6, 0.25, 0.91, 0.02);
          case FAST -> of(45, 4, 270, 0.15, 0.3, 0.6, 0.6, 0.25, 0.84, 0.03);
          case DEEP -> of(57, 4, 190, 0.12, 0.1, 0.7, 0.3, 0.25, 0.91, 0.02);
          case COATING -> of(42, 5, 250, 0.15, 0.6, 0.5, 1.0, 0.3, 0.90, 0.03);
          case POLYURETHANE -> of(42, 6, 170, 0.2, 0.5, 0.7, 0.12, 0.4, 0.88, 0.03);
        };
    prior.mean[SPEED] = Math.log(ABOUT / potLife);
    prior.sd[SPEED] = told ? SPEED_FREE : SPEED_ASSUMED;
    return prior;
  }

  private static ClockPrior of(
      double activation,
      double activationSd,
      double heat,
      double heatSd,
      double start,
      double startSd,
      double thickness,
      double thicknessSd,
      double hardness,
      double hardnessSd) {
    return new ClockPrior(
        new double[] {
          0, activation, Math.log(heat), Math.log(start), Math.log(thickness), hardness
        },
        new double[] {0, activationSd, heatSd, startSd, thicknessSd, hardnessSd});
  }

  /** How far a demould time that nobody told may be off the one that the means give: ×/÷, ln. */
  static double demouldSpread(ResinKind kind) {
    return Math.log(
        switch (kind) {
          case CASTING, FAST, DEEP -> 1.35;
          case COATING -> 1.4;
          case POLYURETHANE -> 1.5;
        });
  }

  /** How deep a piece that is meant for, mm. */
  static double demouldDepthMm(ResinKind kind) {
    return switch (kind) {
      case CASTING, FAST, POLYURETHANE -> 10;
      case DEEP -> 100;
      case COATING -> 3;
    };
  }

  double mean(int unknown) {
    return mean[unknown];
  }

  double sd(int unknown) {
    return sd[unknown];
  }

  /** With another mean speed. */
  ClockPrior at(double speed) {
    double[] other = mean.clone();
    other[SPEED] = speed;
    return new ClockPrior(other, sd);
  }

  /** From standard deviations off the mean to the unknowns themselves. */
  double[] unknowns(double[] off) {
    double[] of = new double[UNKNOWNS];
    for (int i = 0; i < UNKNOWNS; i++) {
      of[i] = mean[i] + sd[i] * off[i];
    }
    return of;
  }

  /** The resin of such unknowns. */
  static Chemistry chemistry(ResinKind kind, double[] of) {
    double kelvin = AT_C + Chemistry.KELVIN;
    return Chemistry.of(
        kind,
        of[SPEED] + of[ACTIVATION] * 1_000 / (Chemistry.GAS * kelvin),
        of[ACTIVATION],
        Math.exp(of[HEAT]),
        Math.exp(of[START]),
        Math.exp(of[THICKNESS]));
  }

  /** Conversion at which it comes out of its mould. */
  static double hardness(double[] of) {
    return Math.clamp(of[HARDNESS], 0.6, HARDEST);
  }
}
