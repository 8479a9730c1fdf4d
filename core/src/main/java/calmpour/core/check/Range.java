package calmpour.core.check;

/** The legal values of one quantity, both ends included, in the quantity's own unit. */
public record Range(double minInclusive, double maxInclusive) {
  public Range {
    if (!(minInclusive <= maxInclusive)) {
      throw new IllegalArgumentException(
          "Range minInclusive (" + minInclusive + ") must not exceed maxInclusive");
    }
  }

  /** Whether {@code value} is a number inside the range; NaN never is. */
  public boolean contains(double value) {
    return value >= minInclusive && value <= maxInclusive;
  }
}
