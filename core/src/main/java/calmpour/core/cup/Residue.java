package calmpour.core.cup;

/**
 * What stays in a cup and on its stick after it was poured out, of a content of m grams: {@code
 * alwaysG + share · m}.
 *
 * @param alwaysG g, whatever was in it
 * @param share of the content, 0 to below 1
 */
public record Residue(double alwaysG, double share) {
  public Residue {
    if (!(alwaysG >= 0) || !(share >= 0) || !(share < 1)) {
      throw new IllegalArgumentException(
          "Residue alwaysG (" + alwaysG + ") must be >= 0 and share (" + share + ") in [0, 1)");
    }
  }

  /** Content needed so that {@code outG} grams can leave the cup: (out + always) / (1 − share). */
  public double contentFor(double outG) {
    return (outG + alwaysG) / (1 - share);
  }

  /** Grams that can leave a cup with {@code contentG} in it; negative when it keeps more. */
  public double outOf(double contentG) {
    return contentG * (1 - share) - alwaysG;
  }
}
