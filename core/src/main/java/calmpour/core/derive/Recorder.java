package calmpour.core.derive;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * Writes down how numbers come about while a plan is worked out. A plan is normally made with
 * {@link #off()}, which costs nothing; to explain a number the same plan is made again with {@link
 * #on()}. So an explanation is always of the computation itself, never a second version of it.
 */
public final class Recorder {
  private final @Nullable Map<String, Step> steps;

  private Recorder(@Nullable Map<String, Step> steps) {
    this.steps = steps;
  }

  public static Recorder off() {
    return new Recorder(null);
  }

  public static Recorder on() {
    return new Recorder(new HashMap<>());
  }

  /** Notes one number; {@code inputs} is only run when somebody asked. */
  public void note(
      String quantity, double value, String unit, Formula formula, Consumer<Step> inputs) {
    if (steps == null) {
      return;
    }
    Step step = new Step(quantity, value, unit, formula);
    inputs.accept(step);
    steps.put(quantity, step);
  }

  /** The derivation of one quantity, down to what was given; empty when the plan has none such. */
  public Optional<Derivation> derivation(String quantity) {
    Step step = steps == null ? null : steps.get(quantity);
    return step == null ? Optional.empty() : Optional.of(open(step));
  }

  /** Everything that was noted. */
  public List<Derivation> derivations() {
    return steps == null ? List.of() : steps.values().stream().map(this::open).toList();
  }

  private Derivation open(Step step) {
    List<Derivation.Input> inputs = new ArrayList<>();
    for (Derivation.Input given : step.inputs) {
      inputs.add(given);
    }
    for (Step.Reference reference : step.references) {
      Derivation from = derivation(reference.quantity).orElse(null);
      inputs.add(
          reference.at,
          new Derivation.Input(
              reference.name,
              reference.subject,
              reference.value,
              reference.unit,
              Origin.WORKED_OUT,
              from,
              null));
    }
    return new Derivation(
        step.quantity, step.value, step.unit, step.formula, inputs, step.rounding);
  }

  /** The inputs of one number while they are being noted. */
  public static final class Step {
    private final String quantity;
    private final double value;
    private final String unit;
    private final Formula formula;
    private final List<Derivation.Input> inputs = new ArrayList<>();
    private final List<Reference> references = new ArrayList<>();
    private Derivation.@Nullable Rounding rounding;

    private Step(String quantity, double value, String unit, Formula formula) {
      this.quantity = quantity;
      this.value = value;
      this.unit = unit;
      this.formula = formula;
    }

    private record Reference(
        int at,
        String name,
        @Nullable String subject,
        String quantity,
        double value,
        String unit) {}

    /** Something given: a label value, a measurement, a habit, an assumption. */
    public Step given(
        String name, @Nullable String subject, double given, String givenUnit, Origin origin) {
      inputs.add(new Derivation.Input(name, subject, given, givenUnit, origin, null, null));
      return this;
    }

    /**
     * Something that the workshop drew from its own evenings.
     *
     * @param of what the journal knows those evenings by, see {@link Derivation.Input#learned}
     */
    public Step learned(
        String name, @Nullable String subject, double given, String givenUnit, String of) {
      inputs.add(new Derivation.Input(name, subject, given, givenUnit, Origin.LEARNED, null, of));
      return this;
    }

    /**
     * Something given that a maker may have typed or taken over from the journal: whoever knows the
     * journal says which, see {@link Derivation#learnedWhere}.
     *
     * @param of what the journal knows its evenings by
     */
    public Step mayBeLearned(
        String name,
        @Nullable String subject,
        double given,
        String givenUnit,
        Origin origin,
        String of) {
      inputs.add(new Derivation.Input(name, subject, given, givenUnit, origin, null, of));
      return this;
    }

    /** Something given that may be unknown, with the value that stands in for it. */
    public Step given(String name, @Nullable String subject, Known known, String givenUnit) {
      return given(name, subject, known.value(), givenUnit, known.origin());
    }

    /** Another number of the plan, which can be opened in turn. */
    public Step from(String name, String otherQuantity, double other, String otherUnit) {
      return from(name, null, otherQuantity, other, otherUnit);
    }

    /** Likewise, of something that has a name of its own. */
    public Step from(
        String name,
        @Nullable String subject,
        String otherQuantity,
        double other,
        String otherUnit) {
      int at = inputs.size() + references.size();
      references.add(new Reference(at, name, subject, otherQuantity, other, otherUnit));
      return this;
    }

    public Step rounded(double exact, double step, boolean up) {
      rounding = new Derivation.Rounding(exact, step, up);
      return this;
    }
  }
}
