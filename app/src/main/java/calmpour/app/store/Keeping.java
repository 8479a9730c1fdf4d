package calmpour.app.store;

import static calmpour.core.check.Known.known;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/**
 * What happens to the workshop's data before anything reads it: data of a newer Calm Pour is
 * refused untouched, older data is copied before it is changed. And after everything has read it:
 * what has grown large and is mostly out of date is packed.
 */
@Component
class Keeping implements FlywayMigrationStrategy {
  private static final int COPIES = 3;
  private static final Set<MigrationState> FUTURE =
      EnumSet.of(MigrationState.FUTURE_SUCCESS, MigrationState.FUTURE_FAILED);
  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmssSSS").withZone(ZoneOffset.UTC);

  /** Less than that is not worth the time. */
  private static final long LARGE_BYTES = 100_000_000;

  /** Of what stands in the file, what still counts. */
  private static final int MOSTLY_OLD_PERCENT = 60;

  private static final String STILL_COUNTS =
      "select setting_value from information_schema.settings where setting_name ="
          + " 'info.CHUNKS_FILL_RATE'";
  private static final Logger LOG = LoggerFactory.getLogger(Keeping.class);

  private final Path data;
  private final DataSource source;

  Keeping(@Value("${calmpour.data}") String data, DataSource source) {
    this.data = Path.of(data);
    this.source = source;
  }

  /**
   * Whoever uses the data was made after this and has ended before it. Every evening is on the disk
   * when it is told, so a file grows by far more than it holds, and is not packed by itself.
   */
  @PreDestroy
  void pack() {
    Path file = data.resolveSibling(data.getFileName() + ".mv.db");
    try {
      if (!Files.exists(file) || Files.size(file) < LARGE_BYTES) {
        return;
      }
      try (Connection connection = source.getConnection();
          Statement statement = connection.createStatement();
          ResultSet counts = statement.executeQuery(STILL_COUNTS)) {
        if (counts.next() && counts.getInt(1) < MOSTLY_OLD_PERCENT) {
          statement.execute("SHUTDOWN COMPACT");
        }
      }
    } catch (SQLException | IOException notNow) {
      // It is as large as it was, and whole.
      LOG.warn("the data could not be packed", notNow);
    }
  }

  /** The data were written by a newer program than this. */
  static final class NewerData extends IllegalStateException {
    NewerData(String version) {
      super("data version (" + version + ") is newer than this program");
    }
  }

  @Override
  public void migrate(Flyway flyway) {
    for (MigrationInfo known : flyway.info().all()) {
      if (FUTURE.contains(known.getState())) {
        throw new NewerData(String.valueOf(known.getVersion()));
      }
    }
    MigrationInfo current = flyway.info().current();
    if (current != null && flyway.info().pending().length > 0) {
      copy(flyway.getConfiguration().getDataSource());
    }
    flyway.migrate();
  }

  /** The whole database as one zip beside it; the last three are kept. */
  private void copy(DataSource source) {
    Path folder = known(data.toAbsolutePath().getParent());
    String name = data.getFileName() + "-before-";
    Path copy = folder.resolve(name + STAMP.format(Instant.now()) + ".zip");
    try (Connection connection = source.getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute("BACKUP TO '" + copy.toString().replace("'", "''") + "'");
    } catch (SQLException failed) {
      throw new IllegalStateException("copy of the data to " + copy + " failed", failed);
    }
    try (Stream<Path> files = Files.list(folder)) {
      List<Path> copies =
          files
              .filter(f -> f.getFileName().toString().startsWith(name))
              .sorted(Comparator.comparing(Path::getFileName).reversed())
              .toList();
      for (Path old : copies.subList(Math.min(COPIES, copies.size()), copies.size())) {
        Files.delete(old);
      }
    } catch (IOException unreadable) {
      throw new UncheckedIOException(unreadable);
    }
  }
}
