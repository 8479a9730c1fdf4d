package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import calmpour.app.store.Formats;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** What an earlier Calm Pour kept opens in this one, and a newer one's is left alone. */
class KeptDataTest {
  @TempDir Path data;

  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3})
  void everythingOfAnEarlierFormatOpens(int format) throws IOException {
    unpack(format);
    JsonNode facts = json(format, "facts.json");
    try (RunningApp app = RunningApp.demo(data)) {
      JsonNode sessions = app.get("/api/sessions").body();
      assertThat(sessions.valueStream().map(s -> s.get("name").asString()))
          .containsExactlyInAnyOrderElementsOf(
              facts.get("sessions").valueStream().map(JsonNode::asString).toList());
      for (JsonNode session : sessions) {
        assertThat(app.get("/api/sessions/" + session.get("id").asString()).status())
            .isEqualTo(200);
        // Kept before there were pictures: drawn from its plan all the same.
        assertThat(session.has("board")).isEqualTo(session.has("resinG") && cavities(session) > 0);
      }
      assertThat(app.get("/api/runs").body()).hasSize(2);
      String half = facts.get("half").asString();
      JsonNode stands = app.get("/api/runs/" + half + "/state").body();
      assertThat(done(stands)).isEqualTo(facts.get("halfDone").asInt());
      String finished = facts.get("finished").asString();
      JsonNode record = app.get("/api/runs/" + finished + "/record").body();
      assertThat(record.toString()).contains("stands level");
      assertThat(app.get("/api/today").body().get("due")).isNotEmpty();

      // What a browser had not told yet, its draft, and a file sent to somebody.
      JsonNode told =
          app.post("/api/runs/" + half + "/events", Map.of("events", json(format, "untold.json")))
              .body();
      assertThat(done(told)).isEqualTo(facts.get("halfDone").asInt() + 1);
      JsonNode file = json(format, "fern-bell-pushes.session.json");
      assertThat(app.post("/api/sessions/file", file).status()).isEqualTo(201);
      for (JsonNode session :
          List.of(
              json(format, "draft.json").get("session"),
              file.has("format") ? file.get("session") : file)) {
        assertThat(app.post("/api/plan", session).status()).isEqualTo(200);
        assertThat(app.post("/api/sessions/file", session).status()).isEqualTo(201);
        Map<String, Object> old = Map.of("kind", "SESSION", "format", format, "document", session);
        JsonNode raised = app.post("/api/formats/raised", old).body();
        assertThat(app.post("/api/sessions", raised).status()).isEqualTo(201);
      }
      RunningApp.Answer sent =
          app.post("/api/sessions/carrying", json(format, "draft.json").get("session"));
      assertThat(sent.body().get("format").asInt()).isEqualTo(Formats.CURRENT);
      assertThat(app.post("/api/sessions/file", sent.body()).status()).isEqualTo(201);
      refused(app, Map.of("format", 99, "session", Map.of()), "newer Calm Pour");
      refused(app, Map.of("format", 0, "session", Map.of()), "not a Calm Pour session file");
      refused(app, Map.of("format", "x", "session", Map.of()), "not a Calm Pour session file");
      refused(app, List.of(1, 2), "not a Calm Pour session file");
      refused(app, "null", "not a Calm Pour session file");
      refused(app, Map.of("format", 1, "session", Map.of("name", 7)), "");
    }
  }

  private static int cavities(JsonNode session) {
    return session.get("cavities").asInt();
  }

  /** What was broken on purpose in format 3 is still so, with lines counted from 1. */
  @Test
  void whatWasAcceptedStaysAccepted() throws IOException {
    unpack(3);
    String finished = json(3, "facts.json").get("finished").asString();
    try (RunningApp app = RunningApp.demo(data)) {
      JsonNode run = app.get("/api/runs/" + finished).body();
      assertThat(run.at("/session/arrangement/accepted/0/place").asString()).isEqualTo("piece/1");
      JsonNode accepted =
          run.at("/plan/findings")
              .valueStream()
              .filter(f -> f.has("accepted"))
              .findFirst()
              .orElseThrow();
      assertThat(accepted.get("place").asString()).isEqualTo("piece/1");
      JsonNode again = app.post("/api/plan", json(3, "draft.json").get("session")).body();
      assertThat(again.toString()).doesNotContain("piece/0");
      Map<String, Object> old =
          Map.of("kind", "SESSION", "format", 3, "document", json(3, "draft.json").get("session"));
      JsonNode raised = app.post("/api/formats/raised", old).body();
      assertThat(raised.at("/arrangement/accepted/0/place").asString()).isEqualTo("piece/1");
    }
  }

  private static void refused(RunningApp app, Object file, String why) {
    RunningApp.Answer answer = app.post("/api/sessions/file", file);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.body().get("detail").asString()).contains(why);
  }

  @Test
  void aCopyIsMadeBeforeAMigrationAndThreeAreKept() throws IOException {
    for (int i = 0; i < 4; i++) {
      Files.createFile(data.resolve("workshop-before-2020010" + i + "T000000000.zip"));
    }
    unpack(1);
    RunningApp.demo(data).close();
    assertThat(copies()).hasSize(3).contains("workshop-before-20200103T000000000.zip");
    String newest = copies().getLast();
    assertThat(Files.size(data.resolve(newest))).isGreaterThan(100_000);
    // Nothing to migrate, nothing to copy.
    RunningApp.demo(data).close();
    assertThat(copies()).last().isEqualTo(newest);
  }

  /** One damaged document of each kind: it is shown as such, and everything else goes on. */
  @Test
  void whatCannotBeReadTakesNothingElseWithIt() throws Exception {
    unpack(1);
    JsonNode facts = json(1, "facts.json");
    String half = facts.get("half").asString();
    RunningApp.demo(data).close();
    try (var connection =
            DriverManager.getConnection("jdbc:h2:file:" + data.resolve("workshop"), "calm", "");
        var statement = connection.createStatement()) {
      statement.execute("update run set session = '{\"name\": 1' where id = '" + half + "'");
      statement.execute("update saved_session set document = '{\"nme\": \"x\"}' limit 1");
      statement.execute("update saved_session set plan = '{}' where document not like '%nme%'");
      statement.execute("update shelf_item set format = 99 where kind = 'mould' limit 1");
    }
    try (RunningApp app = RunningApp.demo(data)) {
      JsonNode sessions = app.get("/api/sessions").body();
      assertThat(sessions).hasSize(facts.get("sessions").size());
      List<Integer> opened =
          sessions
              .valueStream()
              .map(s -> app.get("/api/sessions/" + s.get("id").asString()).status())
              .toList();
      assertThat(opened).containsOnlyOnce(409).contains(200);
      assertThat(app.get("/api/runs").body()).hasSize(2);
      RunningApp.Answer run = app.get("/api/runs/" + half);
      assertThat(run.status()).isEqualTo(409);
      assertThat(run.body().get("detail").asString()).contains("another version");
      assertThat(app.get("/api/today").body().get("unreadable")).hasSize(1);
      assertThat(app.get("/api/shelf").body().get("unreadable")).hasSize(1);
      assertThat(app.get("/api/moulds").status()).isEqualTo(200);
      assertThat(app.post("/api/plan", RunningApp.demoDocument("sessions/pantry-knobs")).status())
          .isIn(200, 422);
    }
  }

  @Test
  void dataOfANewerProgramIsNotTouched() throws Exception {
    RunningApp.demo(data).close();
    Path file = data.resolve("workshop.mv.db");
    try (var connection =
            DriverManager.getConnection("jdbc:h2:file:" + data.resolve("workshop"), "calm", "");
        var statement = connection.createStatement()) {
      statement.execute(
          "insert into \"flyway_schema_history\" select 99, '999', 'later', \"type\", 'V999__later.sql',"
              + " 1, \"installed_by\", now(), 1, true from \"flyway_schema_history\" where \"version\" = '1'");
    }
    assertThatThrownBy(() -> RunningApp.demo(data)).hasStackTraceContaining("newer than this");
    assertThat(copies()).isEmpty();
    assertThat(file).exists();
  }

  private List<String> copies() throws IOException {
    try (Stream<Path> files = Files.list(data)) {
      return files
          .map(f -> f.getFileName().toString())
          .filter(f -> f.endsWith(".zip"))
          .sorted()
          .toList();
    }
  }

  private static int done(JsonNode stands) {
    return (int)
        stands
            .get("state")
            .get("steps")
            .valueStream()
            // Waits end by themselves, however long ago it was kept.
            .filter(s -> s.get("hands").asBoolean() && s.get("status").asString().equals("DONE"))
            .count();
  }

  private void unpack(int format) throws IOException {
    try (InputStream in = resource(format, "workshop.zip");
        ZipInputStream zip = new ZipInputStream(in)) {
      zip.getNextEntry();
      Files.copy(zip, data.resolve("workshop.mv.db"));
    }
  }

  private static JsonNode json(int format, String name) throws IOException {
    try (InputStream in = resource(format, name)) {
      return RunningApp.JSON.readTree(in);
    }
  }

  private static InputStream resource(int format, String name) {
    return KeptDataTest.class.getResourceAsStream("/format-" + format + "/" + name);
  }
}
