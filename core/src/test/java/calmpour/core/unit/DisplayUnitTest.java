package calmpour.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import javax.measure.MetricPrefix;
import javax.measure.Unit;
import javax.measure.quantity.Length;
import javax.measure.quantity.Mass;
import javax.measure.quantity.Temperature;
import javax.measure.quantity.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.quantity.Quantities;
import tech.units.indriya.unit.Units;

/** Conversions against the published factors and against an independent units library. */
class DisplayUnitTest {
  /**
   * NIST Special Publication 811 (2008), appendix B.8: ounce (avoirdupois) 2.834 952 E−02 kg; ounce
   * (U.S. fluid) 2.957 353 E+01 mL; inch 2.54 E+00 cm exactly. Given there to seven figures.
   */
  @ParameterizedTest
  @CsvSource({"WEIGHT_OUNCE, 28.34952", "US_FLUID_OUNCE, 29.57353", "INCH, 25.4"})
  void agreesWithTheFactorsOfSp811(DisplayUnit unit, double published) {
    assertThat(unit.toProductUnit(1)).isCloseTo(published, within(5e-6));
  }

  @Test
  void agreesWithAnIndependentUnitsLibrary() {
    Unit<Mass> gram = Units.GRAM;
    Unit<Mass> pound = gram.multiply(45_359_237).divide(100_000);
    assertThat(Quantities.getQuantity(7, pound.divide(16)).to(gram).getValue().doubleValue())
        .isCloseTo(DisplayUnit.WEIGHT_OUNCE.toProductUnit(7), within(1e-9));

    Unit<Length> inch = MetricPrefix.MILLI(Units.METRE).multiply(254).divide(10);
    Unit<Volume> gallon = inch.pow(3).multiply(231).asType(Volume.class);
    Unit<Volume> millilitre = MetricPrefix.MILLI(Units.LITRE);
    assertThat(
            Quantities.getQuantity(3, gallon.divide(128)).to(millilitre).getValue().doubleValue())
        .isCloseTo(DisplayUnit.US_FLUID_OUNCE.toProductUnit(3), within(1e-9));

    Unit<Temperature> fahrenheit =
        Units.KELVIN.multiply(5).divide(9).shift(459.67).asType(Temperature.class);
    for (double reading : new double[] {-40, 32, 72.5, 212}) {
      double celsius =
          Quantities.getQuantity(reading, fahrenheit).to(Units.CELSIUS).getValue().doubleValue();
      assertThat(DisplayUnit.FAHRENHEIT.toProductUnit(reading)).isCloseTo(celsius, within(1e-9));
    }
    assertThat(AbstractUnit.ONE.isCompatible(gram)).isFalse();
  }

  @Test
  void aTemperatureAndADifferenceOfTemperaturesConvertDifferently() {
    assertThat(DisplayUnit.FAHRENHEIT.toProductUnit(50)).isCloseTo(10, within(1e-9));
    assertThat(DisplayUnit.FAHRENHEIT_DIFFERENCE.toProductUnit(50))
        .isCloseTo(27.777_777_78, within(1e-8));
  }

  @Test
  void goingThereAndBackChangesNothing() {
    for (DisplayUnit unit : DisplayUnit.values()) {
      assertThat(unit.fromProductUnit(unit.toProductUnit(12.34)))
          .as(unit.name())
          .isCloseTo(12.34, within(1e-12));
    }
  }

  /** NIST SP 811 (2008), appendix B: 1 psi is 6.894 757 kPa. */
  @Test
  void poundsOnASquareInch() {
    assertThat(DisplayUnit.PSI.toProductUnit(1)).isCloseTo(6.894_757, within(5e-7));
    assertThat(DisplayUnit.PSI.fromProductUnit(275.79)).isCloseTo(40, within(1e-3));
  }
}
