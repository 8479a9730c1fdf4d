package calmpour.core.derive;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How one number of a plan came about.
 *
 * @param quantity its address in the plan, such as {@code batch/1/partA/massG}
 * @param value the number itself
 * @param unit its unit
 * @param formula which formula made it
 * @param inputs what went in, in the order of the formula
 * @param rounding how it was rounded, when it was
 */
public record Derivation(
    String quantity,
    double value,
    String unit,
    Formula formula,
    List<Input> inputs,
    @Nullable Rounding rounding) {

  public Derivation {
    inputs = List.copyOf(inputs);
  }

  /**
   * One number that went into a formula.
   *
   * @param name what it is, as a short key
   * @param subject the material or habit it belongs to, when it has one
   * @param from how it came about in turn; null for what was given
   * @param learned what the journal knows its evenings by, {@code fill/MOULD/CAVITY} or {@code
   *     pace/RESIN/OF}; null for what was not learned
   */
  public record Input(
      String name,
      @Nullable String subject,
      double value,
      String unit,
      Origin origin,
      @Nullable Derivation from,
      @Nullable String learned) {}

  /**
   * @param exact the value before rounding
   * @param step the division rounded to, in the same unit
   * @param up true when rounded up, so that there is never less than is needed
   */
  public record Rounding(double exact, double step, boolean up) {}
}
