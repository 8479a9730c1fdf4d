package calmpour.core.tint;

/** Rounding to what a scale shows. */
final class WholeSteps {
  private WholeSteps() {}

  /** The step nearest to {@code value}; decimal steps come out as they are printed. */
  static double nearest(double value, double step) {
    double steps = Math.rint(value / step);
    double perUnit = Math.rint(1 / step);
    return step < 1 && Math.abs(perUnit * step - 1) < 1e-9 ? steps / perUnit : steps * step;
  }
}
