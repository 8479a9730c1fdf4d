package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.RunningApp.Answer;
import calmpour.app.store.RunStore;
import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Runs over HTTP against the real application. */
class RunApiTest {
  @TempDir static Path data;
  private static RunningApp demo;

  @BeforeAll
  static void start() {
    demo = RunningApp.demo(data);
  }

  @AfterAll
  static void stop() {
    demo.close();
  }

  private static JsonNode begun() {
    Answer begun = demo.begin(RunningApp.demoDocument("sessions/pantry-knobs"));
    assertThat(begun.status()).isEqualTo(201);
    return begun.body();
  }

  private static Map<String, Object> done(String task, String at) {
    return Map.of("id", UUID.randomUUID().toString(), "at", at, "kind", "DONE", "of", task);
  }

  private static Answer tell(JsonNode run, Map<String, Object> event) {
    return demo.post(
        "/api/runs/" + run.get("id").asString() + "/events", Map.of("events", List.of(event)));
  }

  private static JsonNode step(JsonNode state, String task) {
    for (JsonNode step : state.get("steps")) {
      if (step.get("taskId").asString().equals(task)) {
        return step;
      }
    }
    throw new AssertionError("no step " + task);
  }

  @Test
  void aStepIsKeptOnceHoweverOftenItIsTold() {
    JsonNode run = begun();
    String first = run.get("stands").get("state").get("currentId").asString();
    Map<String, Object> event = done(first, run.get("begunAt").asString());
    JsonNode once = tell(run, event).body();
    JsonNode twice = tell(run, event).body();
    assertThat(once.get("told").asInt()).isEqualTo(1);
    assertThat(twice.get("told").asInt()).isEqualTo(1);
    assertThat(twice.get("before")).isEmpty();
    // The other screen finishes the same step: it is told so.
    JsonNode other = tell(run, done(first, run.get("begunAt").asString())).body();
    assertThat(other.get("before").get(0).asString()).isEqualTo(first);
    assertThat(step(other.get("state"), first).get("status").asString()).isEqualTo("DONE");
  }

  @Test
  void whatTheClocksOfScreensSayIsKeptWithinTheRun() {
    JsonNode run = begun();
    String first = run.get("stands").get("state").get("currentId").asString();
    // A clock that was set back by a year, and one that runs ahead.
    JsonNode back = tell(run, done(first, "2020-01-01T00:00:00Z")).body();
    assertThat(step(back.get("state"), first).get("endSeconds").asInt()).isZero();
    String second = back.get("state").get("currentId").asString();
    JsonNode ahead = tell(run, done(second, "2099-01-01T00:00:00Z")).body();
    assertThat(step(ahead.get("state"), second).get("endSeconds").asInt())
        .isLessThanOrEqualTo(ahead.get("state").get("atSeconds").asInt());
  }

  @Test
  void whatCannotBeIsRefusedAtItsFieldAndChangesNothing() {
    JsonNode run = begun();
    String first = run.get("stands").get("state").get("currentId").asString();
    Answer negative =
        tell(
            run,
            Map.of(
                "id",
                "w",
                "at",
                run.get("begunAt").asString(),
                "kind",
                "DONE",
                "of",
                first,
                "value",
                -3));
    assertThat(negative.status()).isEqualTo(422);
    assertThat(negative.error(0).get("field").asString()).isEqualTo("events[0].value");
    Answer nothing = tell(run, Map.of("id", "x", "at", "now", "kind", "DONE"));
    assertThat(nothing.status()).isEqualTo(422);
    Answer none = demo.post("/api/runs/" + run.get("id").asString() + "/events", Map.of());
    assertThat(none.status()).isEqualTo(422);
    assertThat(demo.post("/api/runs/none/events", Map.of("events", List.of())).status())
        .isEqualTo(422);
    assertThat(demo.get("/api/runs/none").status()).isEqualTo(404);
    JsonNode after = demo.get("/api/runs/" + run.get("id").asString() + "/state").body();
    assertThat(after.get("told").asInt()).isZero();
  }

  @Test
  void aRunWhoseMouldIsDeletedGoesOn() {
    JsonNode run = begun();
    String mould = run.get("session").get("pieces").get(0).get("mouldId").asString();
    JsonNode kept = demo.get("/api/moulds/" + mould).body();
    assertThat(demo.delete("/api/moulds/" + mould).status()).isIn(200, 204);
    try {
      JsonNode state = demo.get("/api/runs/" + run.get("id").asString()).body();
      assertThat(state.get("stands").get("state").get("currentId").isString()).isTrue();
    } finally {
      demo.post("/api/moulds", kept.has("mould") ? kept.get("mould") : kept);
    }
  }

  /** Server-sent events, read as a browser would. */
  @Test
  @Timeout(value = 30, unit = TimeUnit.SECONDS)
  void everyScreenIsToldAtOnce() throws Exception {
    JsonNode run = begun();
    String id = run.get("id").asString();
    try (BufferedReader lines =
        new BufferedReader(
            new InputStreamReader(
                URI.create(demo.url("/api/runs/" + id + "/stream")).toURL().openStream(),
                StandardCharsets.UTF_8))) {
      assertThat(next(lines).get("told").asInt()).isZero();
      String first = run.get("stands").get("state").get("currentId").asString();
      JsonNode answered = tell(run, done(first, run.get("begunAt").asString())).body();
      // How it stands now is in what is told: no screen has to ask for it.
      JsonNode told = next(lines);
      assertThat(told.get("told").asInt()).isEqualTo(1);
      assertThat(told.get("state")).isEqualTo(answered.get("state"));
      assertThat(step(told.get("state"), first).get("status").asString()).isEqualTo("DONE");
    }
  }

  private static JsonNode next(BufferedReader lines) throws java.io.IOException {
    String event = "";
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      if (line.startsWith("event:")) {
        event = line.substring(6).strip();
      } else if (line.startsWith("data:") && event.equals("told")) {
        return RunningApp.JSON.readTree(line.substring(5).strip());
      }
    }
    throw new AssertionError("the stream ended");
  }

  @Test
  void theClockOfTheDemoCanBeHurriedAndNoFurther() {
    try {
      assertThat(demo.put("/api/clock", Map.of("speed", 120)).body().get("speed").asInt())
          .isEqualTo(120);
      Answer tooFast = demo.put("/api/clock", Map.of("speed", 1_000));
      assertThat(tooFast.status()).isEqualTo(422);
      assertThat(tooFast.error(0).get("field").asString()).isEqualTo("speed");
      assertThat(
              demo.put("/api/clock", Map.of("speed", 1, "aheadSeconds", -60))
                  .error(0)
                  .get("field")
                  .asString())
          .as("never back")
          .isEqualTo("aheadSeconds");
      Instant before = Instant.parse(demo.get("/api/clock").body().get("now").asString());
      Instant after =
          Instant.parse(
              demo.put("/api/clock", Map.of("speed", 1, "aheadSeconds", 900))
                  .body()
                  .get("now")
                  .asString());
      assertThat(after).isBetween(before.plusSeconds(900), before.plusSeconds(2_400));
    } finally {
      demo.put("/api/clock", Map.of("speed", 1));
    }
  }

  /** RFC 5545, read by a second reading of the file; an entry that moves keeps its UID. */
  @Test
  void whatIsDueComesBackAsACalendar() throws Exception {
    JsonNode run = begun();
    String at = run.get("begunAt").asString();
    for (JsonNode task : run.get("plan").get("tasks")) {
      if (task.get("hands").asBoolean() && !task.get("kind").asString().equals("DEMOULD")) {
        tell(run, done(task.get("id").asString(), at));
      }
    }
    String id = run.get("id").asString();
    String text = new String(demo.download("/api/today/calendar"), StandardCharsets.UTF_8);
    assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").contains("VERSION:2.0\r\n");
    assertThat(text.lines().allMatch(l -> l.getBytes(StandardCharsets.UTF_8).length <= 75))
        .isTrue();
    List<String> uids = uids(text, id);
    assertThat(uids).isNotEmpty().doesNotHaveDuplicates();
    JsonNode due = demo.get("/api/today").body().get("due");
    int its = 0;
    for (JsonNode line : due) {
      its += line.get("runId").asString().equals(id) ? 1 : 0;
    }
    assertThat(uids).hasSize(its);
    assertThat(uids(new String(demo.download("/api/today/calendar"), StandardCharsets.UTF_8), id))
        .isEqualTo(uids);
    tell(run, Map.of("id", "f", "at", at, "kind", "FINISHED"));
    assertThat(uids(new String(demo.download("/api/today/calendar"), StandardCharsets.UTF_8), id))
        .isEmpty();
  }

  /** What was due at three is due since three, however late somebody looks. */
  @Test
  void whatIsDueDoesNotMoveWithTheClock() throws Exception {
    JsonNode run = begun();
    JsonNode first = run.get("plan").get("tasks").get(0);
    tell(run, done(first.get("id").asString(), run.get("begunAt").asString()));
    List<String> before = dueFrom(run);
    assertThat(before).isNotEmpty();
    demo.put("/api/clock", Map.of("speed", 120));
    try {
      Thread.sleep(500);
      assertThat(dueFrom(run)).isEqualTo(before);
    } finally {
      demo.put("/api/clock", Map.of("speed", 1));
    }
  }

  private static List<String> dueFrom(JsonNode run) {
    return demo.get("/api/today")
        .body()
        .get("due")
        .valueStream()
        .filter(d -> d.get("runId").equals(run.get("id")))
        .map(d -> d.get("kind").asString() + " " + d.get("from").asString())
        .toList();
  }

  private static List<String> uids(String calendar, String run) {
    // Long lines are folded: a break and a space are nothing.
    return calendar.replace("\r\n ", "").lines().filter(l -> l.startsWith("UID:" + run)).toList();
  }

  @Test
  void theScaleIsReadAndItsTroublesAreTold() throws Exception {
    demo.post("/api/devices/simulated", Map.of("putG", 25));
    assertThat(until("TELLS", 25)).isTrue();
    demo.post("/api/devices/tare", Map.of());
    assertThat(until("TELLS", 0)).isTrue();
    demo.post("/api/devices/simulated", Map.of("putG", 5));
    // Something was lifted off: what is left is less than nothing.
    assertThat(until("TELLS", -20)).isTrue();
    demo.post("/api/devices/simulated", Map.of("garbled", true));
    assertThat(until("SILENT", null)).isTrue();
    demo.post("/api/devices/simulated", Map.of("garbled", false, "silent", true));
    assertThat(until("SILENT", null)).isTrue();
    demo.post("/api/devices/simulated", Map.of("silent", false, "plugged", false));
    assertThat(until("UNPLUGGED", null)).isTrue();
    demo.post("/api/devices/simulated", Map.of("plugged", true));
    assertThat(until("TELLS", -20)).isTrue();
  }

  private static boolean until(String link, Integer grams) throws InterruptedException {
    for (int i = 0; i < 100; i++) {
      JsonNode scale = demo.get("/api/devices").body().get("scale");
      boolean weighs =
          grams == null
              || (scale.has("grams") && Math.abs(scale.get("grams").asDouble() - grams) < 0.3);
      if (scale.get("link").asString().equals(link) && weighs) {
        return true;
      }
      Thread.sleep(100);
    }
    return false;
  }

  /** The line broke after it was kept: told again, it has the sentence that was lost. */
  @Test
  void whatIsToldAgainStillSaysWhatItChanged() {
    JsonNode run = begun();
    // All that comes before the splits, in no time: the rest is minutes early.
    List<Map<String, Object>> quick = new ArrayList<>();
    for (JsonNode task : run.get("plan").get("tasks")) {
      if (task.get("batch").asInt() == 1 && quick.size() < 4) {
        quick.add(done(task.get("id").asString(), run.get("begunAt").asString()));
      }
    }
    String path = "/api/runs/" + run.get("id").asString() + "/events";
    JsonNode first = demo.post(path, Map.of("events", quick)).body().get("change");
    assertThat(first.get("laterSeconds").asInt()).isLessThan(-60);
    JsonNode again = demo.post(path, Map.of("events", quick)).body();
    assertThat(again.get("change")).isEqualTo(first);
    assertThat(again.get("told").asInt()).isEqualTo(quick.size());
  }

  /** Whatever else is looked at, the run that is worked on keeps its thermometers. */
  @Test
  void aRunStaysAtTheBenchHoweverManyAreLookedAt() {
    RunStore runs = demo.bean(RunStore.class);
    List<String> ids = new ArrayList<>();
    for (int i = 0; i < 18; i++) {
      ids.add(begun().get("id").asString());
    }
    String worked = ids.get(17);
    ids.forEach(id -> demo.get("/api/runs/" + id + "/state"));
    assertThat(runs.atBench().stream().map(RunStore.KeptRun::id)).contains(worked);
    demo.post(
        "/api/runs/" + worked + "/events",
        Map.of(
            "events",
            List.of(
                Map.of(
                    "id",
                    UUID.randomUUID().toString(),
                    "at",
                    "2026-01-01T00:00:00Z",
                    "kind",
                    "FINISHED"))));
    assertThat(runs.atBench().stream().map(RunStore.KeptRun::id)).doesNotContain(worked);
  }
}
