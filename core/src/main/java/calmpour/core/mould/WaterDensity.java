package calmpour.core.mould;

import calmpour.core.check.Range;

/**
 * Density of pure, air-free water at 1 atm: G. S. Kell, J. Chem. Eng. Data 20 (1975) 97–105, eq.
 * 16, given there for 0 to 150 °C.
 */
public final class WaterDensity {
  /** Water that a hand can pour. */
  public static final Range TEMPERATURE_C = new Range(1, 60);

  private WaterDensity() {}

  /**
   * Density in g/mL.
   *
   * @param celsius within {@link #TEMPERATURE_C}
   * @throws IllegalArgumentException outside of it
   */
  public static double gPerMl(double celsius) {
    if (!TEMPERATURE_C.contains(celsius)) {
      throw new IllegalArgumentException(
          "WaterDensity celsius (" + celsius + ") must be 1 to 60 °C");
    }
    double t = celsius;
    double above =
        999.83952
            + t
                * (16.945176
                    + t
                        * (-7.9870401e-3
                            + t * (-46.170461e-6 + t * (105.56302e-9 + t * -280.54253e-12))));
    return above / (1 + 16.879850e-3 * t) / 1_000;
  }
}
