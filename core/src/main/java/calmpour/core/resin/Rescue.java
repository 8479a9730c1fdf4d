package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * What to add when a cup does not hold what the card said: the next steps of the scale that bring
 * the ratio within its tolerance, both parts if need be, and never less than was planned. Once A
 * has met B nothing can be taken out again; while one of them is alone, too much of it can.
 *
 * @param addAG grams of A to add now
 * @param addBG grams of B to add now
 * @param totalG A + B in the cup afterwards
 * @param beyondPlanG how much more that is than was planned
 * @param errorIfLeftPercent how far A:B is off as it stands, positive when A is heavy; NaN while
 *     one part is still missing altogether
 * @param errorAfterPercent the same after adding, in steps of the scale
 * @param takeOutG of the only part that is in, beyond what was planned of it; null where nothing
 *     can or need be taken out
 */
public record Rescue(
    double addAG,
    double addBG,
    double totalG,
    double beyondPlanG,
    @Nullable Double errorIfLeftPercent,
    double errorAfterPercent,
    @Nullable Double takeOutG) {
  /** So many steps of the scale further on the ratio is met or never. */
  private static final int MOST_STEPS = 400;

  private static final double HAIR = 1e-7;

  public static final Range IN_A_G = new Range(0, 50_000);
  public static final Range IN_B_G = new Range(0, 50_000);

  /**
   * @param plannedG A + B that the card asks for, more than 0
   * @param inAG grams of A really in the cup
   * @param inBG grams of B really in the cup
   * @param divisionG of the scale, g
   * @param tolerancePercent how far A:B may be off
   */
  public static Rescue of(
      ResinSystem resin,
      double plannedG,
      double inAG,
      double inBG,
      double divisionG,
      double tolerancePercent) {
    new Check().within("inAG", inAG, IN_A_G).within("inBG", inBG, IN_B_G).orThrow();
    double shareA = resin.massShareA();
    double ratio = shareA / (1 - shareA);
    // The smallest whole that holds what is there, in the right ratio, and what was planned.
    double whole = Math.max(plannedG, Math.max(inAG / shareA, inBG / (1 - shareA)));
    // Half a division less still rounds to it.
    int leastB = steps(whole * (1 - shareA) - inBG - divisionG / 2, divisionG);
    Double left = inAG > 0 && inBG > 0 ? Double.valueOf((inAG / inBG / ratio - 1) * 100) : null;
    double addA = 0;
    double addB = 0;
    double after = Double.POSITIVE_INFINITY;
    if (inAG / shareA > whole - HAIR) {
      // More of an A that is over would only be more: B alone, to the nearest step.
      int b = (int) Math.max(0, Math.rint((inAG / ratio - inBG) / divisionG));
      double error = (inAG / (inBG + b * divisionG) / ratio - 1) * 100;
      if (Math.abs(error) <= tolerancePercent) {
        addB = b == 0 ? 0 : WeighOut.roundUp(b * divisionG, divisionG);
        after = error;
      }
    }
    for (int b = leastB; Math.abs(after) > tolerancePercent && b <= leastB + MOST_STEPS; b++) {
      double partB = inBG + b * divisionG;
      double wantedA = partB * ratio - inAG;
      int a = (int) Math.max(0, Math.rint(wantedA / divisionG));
      double error = ((inAG + a * divisionG) / partB / ratio - 1) * 100;
      boolean enough = inAG + a * divisionG + partB > plannedG - divisionG / 2 - HAIR;
      if (enough && Math.abs(error) < Math.abs(after) - HAIR) {
        addA = a == 0 ? 0 : WeighOut.roundUp(a * divisionG, divisionG);
        addB = b == 0 ? 0 : WeighOut.roundUp(b * divisionG, divisionG);
        after = error;
      }
    }
    double total = inAG + inBG + addA + addB;
    return new Rescue(
        addA,
        addB,
        total,
        total - plannedG,
        left,
        after,
        takeOut(plannedG * shareA, inAG, plannedG * (1 - shareA), inBG, divisionG));
  }

  private static @Nullable Double takeOut(
      double plannedA, double inA, double plannedB, double inB, double divisionG) {
    double over = inB == 0 ? inA - plannedA : inA == 0 ? inB - plannedB : 0;
    return over > divisionG / 2 + HAIR
        ? Double.valueOf(WeighOut.roundUp(over - divisionG / 2, divisionG))
        : null;
  }

  private static int steps(double grams, double divisionG) {
    return (int) Math.max(0, Math.ceil(grams / divisionG - HAIR));
  }
}
