package calmpour.core.plan.doc;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One cavity on the board, which is one piece: {@code 1.3}.
 *
 * @param line of pieces, from 1
 * @param cavity from 1
 */
public record CavityId(int line, int cavity) {
  private static final Pattern TEXT = Pattern.compile("([1-9]\\d{0,5})\\.([1-9]\\d{0,5})");

  /** Empty for what names no cavity. */
  public static Optional<CavityId> read(String text) {
    Matcher at = TEXT.matcher(text);
    return at.matches()
        ? Optional.of(new CavityId(Integer.parseInt(at.group(1)), Integer.parseInt(at.group(2))))
        : Optional.empty();
  }

  /** The one that a pour of a plan goes into. */
  public static CavityId of(Cup.Pour pour) {
    return new CavityId(pour.line() + 1, pour.cavity());
  }

  @Override
  public String toString() {
    return line + "." + cavity;
  }
}
