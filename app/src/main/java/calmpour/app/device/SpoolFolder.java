package calmpour.app.device;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Locale;

/** A printer that is not there: what it would print lies in a folder, one file a job. */
public final class SpoolFolder implements TagPrinter {
  private static final int LONGEST_NAME = 60;

  private final Path folder;

  public SpoolFolder(Path folder) {
    this.folder = folder;
  }

  @Override
  public String print(String name, byte[] pdf) {
    // Names of sessions are the maker's: nothing of them may lead out of the folder.
    String plain = name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
    String stem = plain.substring(0, Math.min(plain.length(), LONGEST_NAME));
    try {
      Files.createDirectories(folder);
      // Somebody prints the same again: both stay.
      for (int i = 1; ; i++) {
        Path file = folder.resolve(stem + (i == 1 ? "" : "-" + i) + ".pdf");
        if (!Files.exists(file)) {
          Files.write(file, pdf, StandardOpenOption.CREATE_NEW);
          return file.toString();
        }
      }
    } catch (IOException cannot) {
      throw new UncheckedIOException("The printer's folder cannot be written: " + folder, cannot);
    }
  }
}
