package calmpour.core.derive;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
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
   * @param learned what the journal knows its evenings by, such as {@code fill/MOULD/CAVITY},
   *     {@code pace/RESIN/OF}, {@code lid/MOULD}, {@code overage} or {@code hands/SPEED/PERSON};
   *     null for what was not learned
   */
  public record Input(
      String name,
      @Nullable String subject,
      double value,
      String unit,
      Origin origin,
      @Nullable Derivation from,
      @Nullable String learned) {

    private Input learnedWhere(Function<Input, Optional<String>> known) {
      Derivation its = from == null ? null : from.learnedWhere(known);
      if (learned == null || origin == Origin.LEARNED) {
        return new Input(name, subject, value, unit, origin, its, learned);
      }
      return known
          .apply(this)
          .map(of -> new Input(name, subject, value, unit, Origin.LEARNED, its, of))
          .orElseGet(() -> new Input(name, subject, value, unit, origin, its, null));
    }
  }

  /**
   * The same, with what may have been learned marked as learned or as given.
   *
   * @param known what the journal knows the evenings by that say just that; empty where none do
   */
  public Derivation learnedWhere(Function<Input, Optional<String>> known) {
    return new Derivation(
        quantity,
        value,
        unit,
        formula,
        inputs.stream().map(i -> i.learnedWhere(known)).toList(),
        rounding);
  }

  /**
   * @param exact the value before rounding
   * @param step the division rounded to, in the same unit
   * @param up true when rounded up, so that there is never less than is needed
   */
  public record Rounding(double exact, double step, boolean up) {}
}
