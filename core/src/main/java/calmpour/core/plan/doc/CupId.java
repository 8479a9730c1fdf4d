package calmpour.core.plan.doc;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One cup of a batch, as it is called on paper and in JSON: {@code 1.2}.
 *
 * @param batch from 1
 * @param cup of that batch, from 1
 */
public record CupId(int batch, int cup) {
  private static final Pattern TEXT = Pattern.compile("([1-9]\\d{0,5})\\.([1-9]\\d{0,5})");

  /** Empty for what names no cup. */
  public static Optional<CupId> read(String text) {
    Matcher at = TEXT.matcher(text);
    return at.matches()
        ? Optional.of(new CupId(Integer.parseInt(at.group(1)), Integer.parseInt(at.group(2))))
        : Optional.empty();
  }

  /**
   * The cup of that name.
   *
   * @throws IllegalArgumentException when it names none
   */
  public static CupId of(String text) {
    return read(text).orElseThrow(() -> new IllegalArgumentException("no cup: " + text));
  }

  @Override
  public String toString() {
    return batch + "." + cup;
  }
}
