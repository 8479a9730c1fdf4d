package calmpour.core.resin;

import calmpour.core.check.Check;
import calmpour.core.check.Range;

/**
 * The label's mix ratio, part A to part B.
 *
 * <p>A and B differ in density, so 2:1 by volume and 2:1 by weight are two different ratios; this
 * record always says which one it is.
 */
public record MixRatio(double partsA, double partsB, Basis basis) {
  public static final Range PARTS_A = new Range(0.01, 1_000);
  public static final Range PARTS_B = new Range(0.01, 1_000);

  /** What the label counts in. */
  public enum Basis {
    WEIGHT,
    VOLUME
  }

  public MixRatio {
    new Check()
        .within("partsA", partsA, PARTS_A)
        .within("partsB", partsB, PARTS_B)
        .present("basis", basis)
        .orThrow();
  }

  /** Share of A in the mass of A + B, 0 to 1, through the densities in g/mL. */
  public double massShareA(double densityA, double densityB) {
    double a = basis == Basis.WEIGHT ? partsA : partsA * densityA;
    double b = basis == Basis.WEIGHT ? partsB : partsB * densityB;
    return a / (a + b);
  }
}
