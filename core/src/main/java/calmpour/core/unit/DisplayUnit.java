package calmpour.core.unit;

/**
 * Units a maker may read and type instead of the ones the product computes in. Factors are exact by
 * definition: the avoirdupois pound is 0.453 592 37 kg, the inch 25.4 mm, the US gallon 231 cubic
 * inches (NIST Special Publication 811, 2008 edition, appendix B).
 *
 * <p>Fluid and weight ounce are two units with two names, and neither is ever called just "ounce".
 */
public enum DisplayUnit {
  GRAM(Quantity.MASS, 1, 0),
  WEIGHT_OUNCE(Quantity.MASS, 453.592_37 / 16, 0),
  MILLILITRE(Quantity.VOLUME, 1, 0),
  US_FLUID_OUNCE(Quantity.VOLUME, 231 * 2.54 * 2.54 * 2.54 / 128, 0),
  MILLIMETRE(Quantity.LENGTH, 1, 0),
  INCH(Quantity.LENGTH, 25.4, 0),
  CELSIUS(Quantity.TEMPERATURE, 1, 0),
  FAHRENHEIT(Quantity.TEMPERATURE, 5.0 / 9, 32),
  CELSIUS_DIFFERENCE(Quantity.TEMPERATURE_DIFFERENCE, 1, 0),
  FAHRENHEIT_DIFFERENCE(Quantity.TEMPERATURE_DIFFERENCE, 5.0 / 9, 0),
  KILOPASCAL(Quantity.PRESSURE, 1, 0),
  /** Pound-force on a square inch, with standard gravity. */
  PSI(Quantity.PRESSURE, 0.453_592_37 * 9.806_65 / (25.4 * 25.4) * 1_000, 0);

  /** What is measured; a temperature and a difference of temperatures convert differently. */
  public enum Quantity {
    MASS,
    VOLUME,
    LENGTH,
    TEMPERATURE,
    TEMPERATURE_DIFFERENCE,
    /** Above that of the room. */
    PRESSURE
  }

  private final Quantity quantity;
  private final double scale;
  private final double zeroAt;

  DisplayUnit(Quantity quantity, double scale, double zeroAt) {
    this.quantity = quantity;
    this.scale = scale;
    this.zeroAt = zeroAt;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** Product units (g, mL, mm, °C, kPa) in one of this unit. */
  public double scale() {
    return scale;
  }

  /** Reading of this unit where the product unit reads zero. */
  public double zeroAt() {
    return zeroAt;
  }

  /** {@code reading} of this unit, in g, mL, mm, °C or kPa. */
  public double toProductUnit(double reading) {
    return (reading - zeroAt) * scale;
  }

  /** {@code value} in g, mL, mm, °C or kPa, read in this unit. */
  public double fromProductUnit(double value) {
    return value / scale + zeroAt;
  }
}
