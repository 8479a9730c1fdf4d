package calmpour.core.mould;

import calmpour.core.check.Check;
import calmpour.core.check.InvalidValuesException;
import calmpour.core.check.Problem;
import calmpour.core.check.Range;
import org.jspecify.annotations.Nullable;

/**
 * One kind of cavity in a mould; a tray may have several, each so many times.
 *
 * @param count how many of them the mould has
 * @param measure how it was found out what it holds
 * @param depthMm floor to rim, mm; null when nobody measured it or the shape says it
 * @param lengthMm its longer side seen in section, mm; null when unknown or the shape says it
 * @param inner a form that stands in it and leaves a hollow
 * @param bed chips or stones that lie on its floor before the pour
 * @param own how much more or less than that it takes, learned from weighed pours; null for nothing
 */
public record Cavity(
    String id,
    String name,
    int count,
    Measurement measure,
    @Nullable Double depthMm,
    @Nullable Double lengthMm,
    @Nullable InnerMould inner,
    @Nullable ChipBed bed,
    @Nullable OwnFill own) {
  public static final Range COUNT = new Range(1, 100);
  public static final Range DEPTH_MM = new Range(0.5, 500);
  public static final Range LENGTH_MM = new Range(1, 2_000);

  public Cavity {
    new Check()
        .name("id", id)
        .name("name", name)
        .within("count", count, COUNT)
        .present("measure", measure)
        .within("depthMm", depthMm, DEPTH_MM)
        .within("lengthMm", lengthMm, LENGTH_MM)
        .orThrow();
    if (!measure.tellsOne()) {
      throw new InvalidValuesException(
          java.util.List.of(
              Problem.of("measure.identical", Problem.Code.ONLY_A_TOTAL, "" + measure.together())));
    }
    form(measure, depthMm, lengthMm, inner, bed, own);
  }

  /** One of which nothing was learned. */
  public Cavity(
      String id,
      String name,
      int count,
      Measurement measure,
      @Nullable Double depthMm,
      @Nullable Double lengthMm,
      @Nullable InnerMould inner,
      @Nullable ChipBed bed) {
    this(id, name, count, measure, depthMm, lengthMm, inner, bed, null);
  }

  /** The same, taking so much more or less than measured; null for as measured. */
  public Cavity taking(@Nullable OwnFill fill) {
    return new Cavity(id, name, count, measure, depthMm, lengthMm, inner, bed, fill);
  }

  /** The same with an inner mould in it. */
  public Cavity around(InnerMould form) {
    return new Cavity(id, name, count, measure, depthMm, lengthMm, form, bed, own);
  }

  /** What was learned of it, where it is still measured as it was then; null for nothing. */
  public @Nullable OwnFill learned() {
    return own != null && own.counts(Measured.of(measure, depthMm, lengthMm)) ? own : null;
  }

  /** Whether its section is more than a square of the same volume. */
  public boolean outlineKnown() {
    return lengthMm != null || !measure.parts().isEmpty() || measure.mesh() != null;
  }

  /** What it holds and how it fills, with whatever stands or lies in it taken off. */
  public Measured measured() {
    return form(measure, depthMm, lengthMm, inner, bed, own);
  }

  /** The cavity as if nothing stood or lay in it. */
  public Measured bare() {
    return form(measure, depthMm, lengthMm, null, null, own);
  }

  private static Measured form(
      Measurement measure,
      @Nullable Double depthMm,
      @Nullable Double lengthMm,
      @Nullable InnerMould inner,
      @Nullable ChipBed bed,
      @Nullable OwnFill own) {
    Measured measured = Measured.of(measure, depthMm, lengthMm);
    Measured bare = own != null && own.counts(measured) ? own.in(measured) : measured;
    Measured with = bed == null ? bare : bed.in(bare);
    return inner == null ? with : inner.in(with);
  }
}
