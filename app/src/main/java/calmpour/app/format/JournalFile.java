package calmpour.app.format;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A table that other programs read: comma-separated values as RFC 4180 has them. */
public final class JournalFile {
  private JournalFile() {}

  public static String csv(List<String> heads, List<List<String>> rows) {
    StringBuilder text = new StringBuilder();
    try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
      printer.printRecord(heads);
      for (List<String> row : rows) {
        printer.printRecord(row.stream().map(JournalFile::plain).toList());
      }
    } catch (IOException never) {
      throw new UncheckedIOException(never);
    }
    return text.toString();
  }

  /** What a spreadsheet would take for a formula is only text. */
  private static String plain(String text) {
    return text.matches("(?s)[=+\\-@\t\r].*") ? "'" + text : text;
  }
}
