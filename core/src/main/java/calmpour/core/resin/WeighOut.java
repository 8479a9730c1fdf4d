package calmpour.core.resin;

/**
 * How much of A and of B goes into one batch, in both scales, rounded up to what can be read.
 *
 * @param ratioErrorPercent how far the rounded A:B is from the label's, on the label's basis;
 *     positive when A is heavy
 * @param divisionUsed the step rounded to, g or mL after {@code measured}
 */
public record WeighOut(
    Amount partA,
    Amount partB,
    MixRatio.Basis measured,
    double divisionUsed,
    double ratioErrorPercent) {

  /** One part, by mass and by volume. */
  public record Amount(double massG, double volumeMl) {}

  /**
   * A ten-millionth of a division: far below what any scale shows, far above the noise of the
   * arithmetic, so that an amount which is a whole number of divisions stays what it is.
   */
  private static final double WHOLE = 1e-7;

  /** The smallest whole number of {@code step} that is not below {@code value}. */
  public static double roundUp(double value, double step) {
    double steps = Math.ceil(value / step - WHOLE);
    // Decimal steps such as 0.1 are multiplied back through their reciprocal where that is whole,
    // so that the result is the double nearest to the printed figure.
    double perUnit = Math.rint(1 / step);
    return step < 1 && Math.abs(perUnit * step - 1) < WHOLE ? steps / perUnit : steps * step;
  }

  /**
   * Splits a need into A and B and rounds both up, so that never less than the need is mixed.
   *
   * @param resin whose ratio and densities count
   * @param needG grams of A + B needed, more than 0
   * @param measured by weight or by volume, as it is done at the bench
   * @param division of the scale in g, or of the cup's marks in mL
   */
  public static WeighOut of(
      ResinSystem resin, double needG, MixRatio.Basis measured, double division) {
    double densityA = resin.knownDensityA().value();
    double densityB = resin.knownDensityB().value();
    double exactA = needG * resin.massShareA();
    double exactB = needG - exactA;
    double massA;
    double massB;
    if (measured == MixRatio.Basis.WEIGHT) {
      massA = roundUp(exactA, division);
      massB = roundUp(exactB, division);
    } else {
      massA = roundUp(exactA / densityA, division) * densityA;
      massB = roundUp(exactB / densityB, division) * densityB;
    }
    double error = ((massA / massB) / (exactA / exactB) - 1) * 100;
    return new WeighOut(
        new Amount(massA, massA / densityA),
        new Amount(massB, massB / densityB),
        measured,
        division,
        error);
  }

  /** Grams of A + B in the mixing cup. */
  public double totalG() {
    return partA.massG + partB.massG;
  }
}
