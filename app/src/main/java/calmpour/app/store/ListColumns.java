package calmpour.app.store;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Timestamp;
import java.sql.Types;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.HashSet;
import java.util.Set;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Fills the columns of V7 from what was kept before them, which formats 1 and 2 say alike. What
 * cannot be read keeps empty columns and stands in its list by its name.
 */
@Component
class ListColumns implements JavaMigration {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  @Override
  public MigrationVersion getVersion() {
    return MigrationVersion.fromVersion("8");
  }

  @Override
  public String getDescription() {
    return "list columns";
  }

  @Override
  public @Nullable Integer getChecksum() {
    return null;
  }

  @Override
  public boolean canExecuteInTransaction() {
    return true;
  }

  @Override
  public void migrate(Context context) throws SQLException {
    sessions(context.getConnection());
    runs(context.getConnection());
  }

  private static void sessions(Connection connection) throws SQLException {
    try (Statement all = connection.createStatement();
        ResultSet row = all.executeQuery("select id, document, plan from saved_session");
        PreparedStatement fill =
            connection.prepareStatement(
                "update saved_session set starts_at = ?, zone_id = ?, cavities = ?, resin_g = ?,"
                    + " just_mix = ? where id = ?")) {
      while (row.next()) {
        JsonNode session = read(row.getString(2));
        if (session == null) {
          continue;
        }
        String startsAt = session.path("startsAt").asString("");
        fill.setTimestamp(
            1, startsAt.isEmpty() ? null : Timestamp.valueOf(LocalDateTime.parse(startsAt)));
        fill.setString(2, session.path("zoneId").asString(null));
        fill.setInt(
            3, session.path("pieces").valueStream().mapToInt(p -> p.path("count").asInt(0)).sum());
        JsonNode plan = read(row.getString(3));
        JsonNode resinG = plan == null ? null : plan.at("/totals/resinG");
        if (resinG != null && resinG.isNumber()) {
          fill.setDouble(4, resinG.asDouble());
        } else {
          fill.setNull(4, Types.DOUBLE);
        }
        fill.setBoolean(5, session.path("justMix").isObject());
        fill.setString(6, row.getString(1));
        fill.executeUpdate();
      }
    }
  }

  private static void runs(Connection connection) throws SQLException {
    try (Statement all = connection.createStatement();
        ResultSet row = all.executeQuery("select id, session from run");
        PreparedStatement fill =
            connection.prepareStatement(
                "update run set zone_id = ?, finished_at = ? where id = ?")) {
      while (row.next()) {
        JsonNode session = read(row.getString(2));
        fill.setString(1, session == null ? null : session.path("zoneId").asString(null));
        Instant finished = finished(connection, row.getString(1));
        fill.setTimestamp(2, finished == null ? null : Timestamp.from(finished));
        fill.setString(3, row.getString(1));
        fill.executeUpdate();
      }
    }
  }

  /** When a run was said to be over and nobody took that back. */
  private static @Nullable Instant finished(Connection connection, String run) throws SQLException {
    Instant finished = null;
    String finishing = null;
    Set<String> of = new HashSet<>();
    try (PreparedStatement events =
        connection.prepareStatement(
            "select document from run_event where run_id = ? order by seq")) {
      events.setString(1, run);
      try (ResultSet row = events.executeQuery()) {
        while (row.next()) {
          JsonNode event = read(row.getString(1));
          if (event == null) {
            continue;
          }
          of.add(event.path("of").asString(""));
          if (event.path("kind").asString("").equals("FINISHED") && finished == null) {
            finished = Instant.parse(event.path("at").asString());
            finishing = event.path("id").asString();
          }
        }
      }
    }
    return finishing == null || of.contains(finishing) ? null : finished;
  }

  private static @Nullable JsonNode read(@Nullable String document) {
    try {
      return document == null ? null : JSON.readTree(document);
    } catch (JacksonException damaged) {
      return null;
    }
  }
}
