package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.store.Formats;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The committed contract is what the server says of itself: the OpenAPI document, and the two JSON
 * Schemas drawn from it. Run with {@code -Dcalmpour.contract=write} after a change on purpose.
 */
class FormatsTest {
  private static final Path DOCS = Path.of("..", "docs");
  private static final Path SESSION_SCHEMA = DOCS.resolve("formats/session.schema.json");
  private static final Path PLAN_SCHEMA = DOCS.resolve("formats/plan.schema.json");
  private static final boolean WRITE = "write".equals(System.getProperty("calmpour.contract"));
  private static final JsonMapper PRETTY =
      JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

  @TempDir static Path data;
  private static RunningApp app;
  private static JsonNode openApi;

  @BeforeAll
  static void start() throws IOException {
    app = RunningApp.demo(data);
    openApi = app.get("/api/openapi").body();
    if (WRITE) {
      write(DOCS.resolve("openapi.json"), openApi);
      write(SESSION_SCHEMA, sessionSchema());
      write(PLAN_SCHEMA, planSchema());
      ObjectNode session =
          RunningApp.demoDocument("sessions/pantry-knobs").put("startsAt", "2026-01-10T10:00:00");
      JsonNode kept = app.post("/api/sessions", session).body();
      session.set("carried", kept.get("snapshot"));
      // Gone again, so that it is not in its own way.
      app.delete("/api/sessions/" + kept.get("id").asString());
      write(DOCS.resolve("formats/session.example.json"), session);
      write(DOCS.resolve("formats/plan.example.json"), app.post("/api/plan", session).body());
    }
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  private static void write(Path file, JsonNode document) throws IOException {
    Files.writeString(file, PRETTY.writeValueAsString(document) + "\n");
  }

  private static ObjectNode sessionSchema() {
    return schema("Session", "session", "Calm Pour session: what is to be made");
  }

  private static ObjectNode planSchema() {
    return schema("PlanAnswer", "plan", "Calm Pour plan: how a session is carried out");
  }

  private static void same(Path file, JsonNode now) throws IOException {
    assertThat(RunningApp.JSON.readTree(Files.readString(file)))
        .as(file + " is what the server says now")
        .isEqualTo(now);
  }

  /** One schema with everything it refers to beside it. */
  private static ObjectNode schema(String root, String file, String title) {
    ObjectNode schema = RunningApp.JSON.createObjectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("$id", "urn:calm-pour:format:" + file);
    schema.put("title", title);
    schema.put("$ref", "#/$defs/" + root);
    ObjectNode defs = schema.putObject("$defs");
    TreeSet<String> open = new TreeSet<>(List.of(root));
    while (!open.isEmpty()) {
      String name = open.pollFirst();
      String text = openApi.at("/components/schemas/" + name).toString();
      defs.set(name, RunningApp.JSON.readTree(text.replace("#/components/schemas/", "#/$defs/")));
      java.util.regex.Matcher refs =
          java.util.regex.Pattern.compile("#/components/schemas/(\\w+)").matcher(text);
      while (refs.find()) {
        if (!defs.has(refs.group(1))) {
          open.add(refs.group(1));
        }
      }
    }
    return schema;
  }

  @Test
  void theBrowserKeepsWhatItKeepsInTodaysFormat() throws IOException {
    assertThat(Path.of("..", "web", "src", "api", "format.ts"))
        .content()
        .contains("export const FORMAT = " + Formats.CURRENT + ";");
  }

  @Test
  void theContractIsWhatTheServerSays() throws IOException {
    same(DOCS.resolve("openapi.json"), openApi);
    same(SESSION_SCHEMA, sessionSchema());
    same(PLAN_SCHEMA, planSchema());
  }

  private static List<String> errors(String schemaFile, String document) throws IOException {
    SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
    Schema schema =
        registry.getSchema(
            Files.readString(DOCS.resolve("formats/" + schemaFile)), InputFormat.JSON);
    return schema.validate(document, InputFormat.JSON).stream().map(Object::toString).toList();
  }

  @Test
  void theWorkedExamplesAreValidAndBelongTogether() throws IOException {
    Path sessionFile = DOCS.resolve("formats/session.example.json");
    String session = Files.readString(sessionFile);
    assertThat(errors("session.schema.json", session)).isEmpty();
    JsonNode plan = app.post("/api/plan", session).body();
    assertThat(errors("plan.schema.json", plan.toString())).isEmpty();
    same(DOCS.resolve("formats/plan.example.json"), plan);
  }

  @Test
  void theSchemaRefusesWhatTheServerRefuses() throws IOException {
    String session = Files.readString(DOCS.resolve("formats/session.example.json"));
    for (String[] change :
        new String[][] {
          {"\"count\" : 6", "\"count\" : 0"},
          {"\"count\" : 6", "\"count\" : \"6\""},
          {"\"share\" : 0.45", "\"share\" : 45"},
          {"\"splitInto\"", "\"split\""},
          {"\"resinId\"", "\"resin\""},
        }) {
      String broken = session.replaceFirst(change[0], change[1]);
      assertThat(broken).isNotEqualTo(session);
      assertThat(errors("session.schema.json", broken)).as(change[1]).isNotEmpty();
      assertThat(app.post("/api/plan", broken).status()).as(change[1]).isEqualTo(422);
    }
  }

  @Test
  void everySavedSessionAndEveryAnswerKeepsToTheSchemas() throws IOException {
    for (JsonNode line : app.get("/api/sessions").body()) {
      JsonNode saved = app.get("/api/sessions/" + line.get("id").asString()).body();
      String session = saved.get("session").toString();
      assertThat(errors("session.schema.json", session)).isEmpty();
      assertThat(errors("plan.schema.json", app.post("/api/plan", session).body().toString()))
          .isEmpty();
    }
  }

  /** Nobody has to guess what an operation is for and how it says no. */
  @Test
  void everyOperationSaysWhatItIsForAndHowItRefuses() {
    JsonNode paths = openApi.get("paths");
    paths.forEachEntry((path, item) ->
        item.forEachEntry((method, operation) -> {
          String which = method + " " + path;
          assertThat(operation.path("summary").asString("")).as(which).endsWith(".");
          boolean named = path.contains("{");
          boolean body = operation.has("requestBody");
          assertThat(operation.get("responses").has("404")).as(which).isEqualTo(named);
          assertThat(operation.get("responses").has("422")).as(which).isEqualTo(body);
          assertThat(operation.get("responses").has("403"))
              .as(which)
              .isEqualTo(!method.equals("get"));
        }));
  }
}
