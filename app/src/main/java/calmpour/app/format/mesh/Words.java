package calmpour.app.format.mesh;

import calmpour.core.mould.mesh.MeshProblem;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/** Words of a text file, one after the other, without making a string of every line. */
final class Words {
  private final byte[] bytes;
  private int at;
  private int line = 1;
  private int from;

  Words(byte[] bytes) {
    this.bytes = bytes;
  }

  int line() {
    return line;
  }

  /** Goes to the next word anywhere; false at the end. */
  boolean next() {
    while (at < bytes.length && bytes[at] <= ' ' && bytes[at] >= 0) {
      line += bytes[at] == '\n' ? 1 : 0;
      at++;
    }
    from = at;
    while (at < bytes.length && (bytes[at] > ' ' || bytes[at] < 0)) {
      at++;
    }
    return at > from;
  }

  /** Goes to the next word on this line; false at its end. */
  boolean nextOnLine() {
    while (at < bytes.length && bytes[at] <= ' ' && bytes[at] >= 0 && bytes[at] != '\n') {
      at++;
    }
    if (at >= bytes.length || bytes[at] == '\n') {
      return false;
    }
    return next();
  }

  void skipLine() {
    while (at < bytes.length && bytes[at] != '\n') {
      at++;
    }
  }

  boolean is(String word) {
    if (at - from != word.length()) {
      return false;
    }
    for (int i = 0; i < word.length(); i++) {
      int c = bytes[from + i];
      if ((c >= 'A' && c <= 'Z' ? c + 32 : c) != word.charAt(i)) {
        return false;
      }
    }
    return true;
  }

  /** The word before the first slash as a whole number. */
  int index() {
    int end = from;
    while (end < at && bytes[end] != '/') {
      end++;
    }
    try {
      return Integer.parseInt(text(end));
    } catch (NumberFormatException notANumber) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line);
    }
  }

  double number() {
    // No number is written with more characters; a long word is something else.
    if (at - from > 64) {
      throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line);
    }
    String text = text(at);
    try {
      double value = Double.parseDouble(text);
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException notANumber) {
      // C programs write the same thing in small letters.
      if (!text.toLowerCase(Locale.ROOT).matches("[+-]?(nan|inf|infinity).*")) {
        throw new MeshProblem(MeshProblem.Reason.NOT_READABLE, line);
      }
    }
    throw new MeshProblem(MeshProblem.Reason.NOT_A_NUMBER, line);
  }

  private String text(int end) {
    return new String(bytes, from, end - from, StandardCharsets.ISO_8859_1);
  }
}
