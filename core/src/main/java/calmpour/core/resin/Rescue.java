package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * What to add when a cup does not hold what the card said: the other part is raised until the ratio
 * is right again, and never less is made than was planned. Nothing can be taken out again.
 *
 * @param addAG grams of A to add now
 * @param addBG grams of B to add now
 * @param totalG A + B in the cup afterwards
 * @param beyondPlanG how much more that is than was planned
 * @param errorIfLeftPercent how far A:B is off as it stands, positive when A is heavy; NaN while
 *     one part is still missing altogether
 * @param errorAfterPercent the same after adding, in steps of the scale
 */
public record Rescue(
    double addAG,
    double addBG,
    double totalG,
    double beyondPlanG,
    @Nullable Double errorIfLeftPercent,
    double errorAfterPercent) {
  public static final Range IN_A_G = new Range(0, 50_000);
  public static final Range IN_B_G = new Range(0, 50_000);

  /**
   * @param plannedG A + B that the card asks for, more than 0
   * @param inAG grams of A really in the cup
   * @param inBG grams of B really in the cup
   * @param divisionG of the scale, g
   */
  public static Rescue of(
      ResinSystem resin, double plannedG, double inAG, double inBG, double divisionG) {
    new Check().within("inAG", inAG, IN_A_G).within("inBG", inBG, IN_B_G).orThrow();
    double shareA = resin.massShareA();
    // The smallest whole that holds what is there, in the right ratio, and what was planned.
    double whole = Math.max(plannedG, Math.max(inAG / shareA, inBG / (1 - shareA)));
    double addA = nearest(whole * shareA - inAG, divisionG);
    double addB = nearest(whole * (1 - shareA) - inBG, divisionG);
    double ratio = shareA / (1 - shareA);
    Double left = inAG > 0 && inBG > 0 ? Double.valueOf((inAG / inBG / ratio - 1) * 100) : null;
    double after = ((inAG + addA) / (inBG + addB) / ratio - 1) * 100;
    double total = inAG + inBG + addA + addB;
    return new Rescue(addA, addB, total, total - plannedG, left, after);
  }

  private static double nearest(double grams, double divisionG) {
    // Not minus nought.
    return Math.max(0, WeighOut.roundUp(Math.max(0, grams - divisionG / 2), divisionG));
  }
}
