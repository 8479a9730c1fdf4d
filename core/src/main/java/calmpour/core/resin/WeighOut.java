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

  /** Beyond this a coarser division cannot hit the ratio, and the plan says so. */
  private static final int MOST_MORE_STEPS = 400;

  /** The smallest whole number of {@code step} that is not below {@code value}. */
  public static double roundUp(double value, double step) {
    return inSteps(Math.ceil(value / step - WHOLE), step);
  }

  /**
   * Splits a need into A and B and rounds both up, so that never less than the need is mixed. Where
   * that throws the ratio off by more than is allowed, both go on to the next steps that keep it: a
   * coarse scale makes a small batch somewhat larger, never wrong.
   *
   * @param resin whose ratio and densities count
   * @param needG grams of A + B needed, more than 0
   * @param measured by weight or by volume, as it is done at the bench
   * @param division of the scale in g, or of the cup's marks in mL
   * @param tolerancePercent how far the rounded A:B may be off
   * @param mostG largest batch of the label, which this search never passes; infinite for none
   * @param extraAPercent A beyond the label's ratio, by habit; it uses up part of the tolerance
   */
  public static WeighOut of(
      ResinSystem resin,
      double needG,
      MixRatio.Basis measured,
      double division,
      double tolerancePercent,
      double mostG,
      double extraAPercent) {
    boolean byWeight = measured == MixRatio.Basis.WEIGHT;
    double perStepA = division * (byWeight ? 1 : resin.knownDensityA().value());
    double perStepB = division * (byWeight ? 1 : resin.knownDensityB().value());
    double shareA = shareA(resin, extraAPercent);
    double left = tolerancePercent - extraAPercent;
    double exactA = needG * shareA / perStepA;
    double exactB = needG * (1 - shareA) / perStepB;
    int leastA = Math.max(1, (int) Math.ceil(exactA - WHOLE));
    int leastB = Math.max(1, (int) Math.ceil(exactB - WHOLE));
    int stepsA = leastA;
    int stepsB = leastB;
    for (int b = leastB; b <= leastB + MOST_MORE_STEPS; b++) {
      // The two whole numbers of A nearest to the ratio for this much B.
      double wantedA = b * exactA / exactB;
      int below = Math.max(leastA, (int) Math.floor(wantedA + WHOLE));
      int a = Math.abs(below - wantedA) <= Math.abs(below + 1 - wantedA) ? below : below + 1;
      if (b == leastB && within(leastA, leastB, exactA / exactB, left)) {
        break;
      }
      if (a * perStepA + b * perStepB > mostG) {
        break;
      }
      if (within(a, b, exactA / exactB, left)) {
        stepsA = a;
        stepsB = b;
        break;
      }
    }
    double extra = 1 + extraAPercent / 100;
    double error = (stepsA / (double) stepsB / (exactA / exactB) * extra - 1) * 100;
    return new WeighOut(
        amount(stepsA, division, byWeight, resin.knownDensityA().value()),
        amount(stepsB, division, byWeight, resin.knownDensityB().value()),
        measured,
        division,
        error);
  }

  /** Share of A in the mass of A + B when A is raised by {@code extraAPercent}, 0 to 1. */
  public static double shareA(ResinSystem resin, double extraAPercent) {
    double a = resin.massShareA() * (1 + extraAPercent / 100);
    return a / (a + 1 - resin.massShareA());
  }

  private static boolean within(int a, int b, double ratio, double tolerancePercent) {
    return Math.abs(a / (double) b / ratio - 1) * 100 <= tolerancePercent;
  }

  private static Amount amount(double steps, double division, boolean byWeight, double density) {
    double measured = inSteps(steps, division);
    return byWeight
        ? new Amount(measured, measured / density)
        : new Amount(measured * density, measured);
  }

  /**
   * Decimal steps such as 0.1 are multiplied back through their reciprocal where that is whole, so
   * that the result is the double nearest to the printed figure.
   */
  private static double inSteps(double steps, double step) {
    double perUnit = Math.rint(1 / step);
    return step < 1 && Math.abs(perUnit * step - 1) < WHOLE ? steps / perUnit : steps * step;
  }

  /**
   * The batch from which on rounding A and B to this division keeps the ratio for certain, g of A +
   * B: the smaller part has to be so large that one division is within the tolerance.
   *
   * @param division in g, or in mL when measured by volume
   */
  public static double surelyRightFromG(
      ResinSystem resin, MixRatio.Basis measured, double division, double tolerancePercent) {
    double shareA = resin.massShareA();
    boolean byWeight = measured == MixRatio.Basis.WEIGHT;
    double ofA = division * (byWeight ? 1 : resin.knownDensityA().value()) / shareA;
    double ofB = division * (byWeight ? 1 : resin.knownDensityB().value()) / (1 - shareA);
    return Math.max(ofA, ofB) / (tolerancePercent / 100);
  }

  /** Grams of A + B in the mixing cup. */
  public double totalG() {
    return partA.massG + partB.massG;
  }
}
