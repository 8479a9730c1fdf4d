package calmpour.core.plan.doc;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One pour into one cavity, as it is called on paper and in JSON: {@code 1.3.2}, or {@code 1.3.2.1}
 * where the layer comes in parts.
 *
 * @param line of pieces, from 1
 * @param cavity from 1
 * @param layer from 1
 * @param part from 1; 0 for a pour in one go
 */
public record PourId(int line, int cavity, int layer, int part) {
  private static final Pattern TEXT =
      Pattern.compile("([1-9]\\d{0,5})\\.([1-9]\\d{0,5})\\.([1-9]\\d{0,5})(?:\\.([1-9]\\d{0,5}))?");

  /** Empty for what names no pour. */
  public static Optional<PourId> read(String text) {
    Matcher at = TEXT.matcher(text);
    if (!at.matches()) {
      return Optional.empty();
    }
    String part = at.group(4);
    return Optional.of(
        new PourId(
            Integer.parseInt(at.group(1)),
            Integer.parseInt(at.group(2)),
            Integer.parseInt(at.group(3)),
            part == null ? 0 : Integer.parseInt(part)));
  }

  /**
   * The pour of that name.
   *
   * @throws IllegalArgumentException when it names none
   */
  public static PourId of(String text) {
    return read(text).orElseThrow(() -> new IllegalArgumentException("no pour: " + text));
  }

  /** All parts of it together. */
  public PourId whole() {
    return new PourId(line, cavity, layer, 0);
  }

  /** Where it is poured into. */
  public CavityId into() {
    return new CavityId(line, cavity);
  }

  @Override
  public String toString() {
    return line + "." + cavity + "." + layer + (part == 0 ? "" : "." + part);
  }
}
