package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.RunningApp.Answer;
import calmpour.app.store.Exercises;
import calmpour.core.practice.Rehearsal;
import calmpour.core.run.RunReader;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The exercises that ship, rehearsed over HTTP in a workshop that has nothing on its shelves. */
class ExercisesTest {
  private static final String ALL = "/api/practice/exercises";
  private static final String REHEARSALS = "/api/practice/rehearsals/";

  @TempDir static Path data;
  private static RunningApp empty;

  @BeforeAll
  static void start() {
    empty = RunningApp.empty(data);
  }

  @AfterAll
  static void stop() {
    empty.close();
  }

  private static JsonNode begin(String exercise) {
    Answer answer = empty.post(ALL + "/" + exercise + "/begin", Map.of());
    assertThat(answer.status()).isEqualTo(201);
    return answer.body();
  }

  private static JsonNode tell(String run, String kind, String of, Double value) {
    Map<String, Object> event = new HashMap<>();
    event.put("id", UUID.randomUUID().toString());
    event.put("at", Instant.now().toString());
    event.put("kind", kind);
    event.put("codes", List.of());
    if (of != null) {
      event.put("of", of);
    }
    if (value != null) {
      event.put("value", value);
    }
    Answer answer = empty.post("/api/runs/" + run + "/events", Map.of("events", List.of(event)));
    assertThat(answer.status()).isEqualTo(200);
    return answer.body();
  }

  private static JsonNode current(JsonNode stands) {
    JsonNode state = stands.get("state");
    for (JsonNode step : state.get("steps")) {
      if (step.get("taskId").equals(state.get("currentId"))) {
        return step;
      }
    }
    throw new AssertionError("nothing is next");
  }

  /** Does what the bench says next, with what the scale shows, until such a step is next. */
  private static JsonNode upTo(String run, String kind) {
    JsonNode stands = empty.get("/api/runs/" + run + "/state").body();
    while (!current(stands).get("kind").asString().equals(kind)) {
      stands = next(run, stands);
    }
    return stands;
  }

  private static JsonNode next(String run, JsonNode stands) {
    JsonNode step = current(stands);
    JsonNode scale = stands.get("seen").get("scaleG");
    return tell(
        run, "DONE", step.get("taskId").asString(), scale == null ? null : scale.asDouble());
  }

  @Test
  void nineShipFromOneMouldToALongEveningAndWhatGoesWrongIsNotTold() {
    JsonNode all = empty.get(ALL).body();
    assertThat(all).hasSize(9);
    for (int i = 0; i < 9; i++) {
      JsonNode line = all.get(i);
      assertThat(line.get("grade").asInt()).isEqualTo(i + 1);
      assertThat(line.has("mishaps")).isFalse();
      JsonNode opened = empty.get(ALL + "/" + line.get("id").asString()).body();
      // What is rehearsed can be done: nothing in its plan is broken before anything goes wrong.
      for (JsonNode finding : opened.get("plan").get("findings")) {
        assertThat(finding.get("severity").asString()).as("%s", finding).isNotEqualTo("BREACH");
      }
    }
    assertThat(all.get(0).get("pieces").asInt()).isEqualTo(1);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "one-knob",
        "two-colours",
        "labels-that-leak",
        "warm-toggles",
        "knobs-with-inserts",
        "tipped-cup",
        "three-colours",
        "layered-evening",
        "long-evening"
      })
  void handsThatSeeToEverythingComeToWhatIsSaidAndCarelessOnesToLess(String id) {
    Exercises.Prepared prepared = empty.bean(Exercises.class).find(id).orElseThrow();
    Rehearsal rehearsal =
        new Rehearsal(prepared.exercise(), prepared.run(), empty.bean(RunReader.class));
    int par = rehearsal.par();
    assertThat(prepared.exercise().best()).isEqualTo(par);
    assertThat(rehearsal.careless()).isLessThan(par);
  }

  @Test
  void aRehearsalIsARunWithAClockOfItsOwnAndStaysOutOfEverythingElse() {
    JsonNode opened = begin("one-knob");
    String run = opened.get("id").asString();
    Instant begun = Instant.parse(opened.get("begunAt").asString());
    JsonNode stands = opened.get("stands");
    assertThat(Duration.between(begun, Instant.parse(stands.get("now").asString())))
        .isLessThan(Duration.ofMinutes(2));
    // A step takes as long as hands take, by that clock.
    stands = upTo(run, "STIR");
    Instant mixed = Instant.parse(stands.get("now").asString());
    assertThat(Duration.between(begun, mixed)).isGreaterThan(Duration.ofSeconds(60));
    stands = next(run, stands);
    assertThat(stands.get("seen").get("signs").get(0).get("kind").asString())
        .isEqualTo("PHONE_RINGS");
    Answer held = empty.put(REHEARSALS + run + "/clock", Map.of("speed", 0, "aheadSeconds", 30));
    assertThat(held.status()).isEqualTo(200);
    String now = held.body().get("now").asString();
    assertThat(empty.get("/api/runs/" + run + "/state").body().get("now").asString())
        .isEqualTo(now);
    for (Object wrong :
        List.of(
            Map.of("speed", -1, "aheadSeconds", 0),
            Map.of("speed", 61, "aheadSeconds", 0),
            Map.of("speed", 1, "aheadSeconds", -5))) {
      assertThat(empty.put(REHEARSALS + run + "/clock", wrong).status()).isEqualTo(422);
    }
    // In no list, not on Today, not in the journal, and its end is not told before it is there.
    assertThat(empty.get("/api/runs").body()).isEmpty();
    assertThat(empty.get(REHEARSALS + run).status()).isEqualTo(404);
    assertThat(empty.get("/api/today").body().toString()).doesNotContain(run);
    JsonNode ended = empty.post(REHEARSALS + run + "/end", Map.of()).body();
    assertThat(ended.get("score").get("points").asInt()).isZero();
    assertThat(ended.get("par").asInt()).isEqualTo(2);
    assertThat(empty.get(REHEARSALS + run).body()).isEqualTo(ended);
    assertThat(empty.get("/api/journal").body().toString()).doesNotContain(run);
    assertThat(empty.get("/api/runs").body()).isEmpty();
    // An evening that is poured is no rehearsal.
    assertThat(empty.get(REHEARSALS + "no-such-run").status()).isEqualTo(404);
    assertThat(empty.post(ALL + "/sheep/begin", Map.of()).status()).isEqualTo(404);
  }

  @Test
  void thePhoneIsLetRingAndTheBestSoFarIsKept() {
    String run = begin("one-knob").get("id").asString();
    JsonNode stands = empty.get("/api/runs/" + run + "/state").body();
    while (!stands.get("seen").get("over").asBoolean()) {
      JsonNode waits = current(stands).get("notBeforeSeconds");
      int ahead = waits == null ? 0 : waits.asInt() - stands.get("state").get("atSeconds").asInt();
      if (ahead > 0) {
        stands =
            empty
                .put(REHEARSALS + run + "/clock", Map.of("speed", 1, "aheadSeconds", ahead))
                .body();
      }
      stands = next(run, stands);
    }
    JsonNode score = empty.post(REHEARSALS + run + "/end", Map.of()).body().get("score");
    assertThat(score.get("points").asInt()).isEqualTo(2);
    assertThat(score.get("befell").get(0).get("seenTo").asBoolean()).isTrue();
    assertThat(empty.get(ALL).body().get(0).get("reached").asInt()).isEqualTo(2);
    // Older rehearsals are forgotten; what was reached in them is not.
    for (int i = 0; i < 25; i++) {
      begin("two-colours");
    }
    assertThat(empty.get("/api/runs/" + run).status()).isEqualTo(404);
    assertThat(empty.get(ALL).body().get(0).get("reached").asInt()).isEqualTo(2);
  }

  @Test
  void aTakenCallLosesTheKnob() {
    String run = begin("one-knob").get("id").asString();
    JsonNode stands = next(run, upTo(run, "STIR"));
    Instant rang = Instant.parse(stands.get("now").asString());
    stands = tell(run, "AWAY", null, null);
    assertThat(Duration.between(rang, Instant.parse(stands.get("now").asString())))
        .isBetween(Duration.ofMinutes(60), Duration.ofMinutes(61));
    tell(run, "BACK", null, null);
    JsonNode score = empty.post(REHEARSALS + run + "/end", Map.of()).body().get("score");
    assertThat(score.get("points").asInt()).isZero();
    assertThat(score.get("pieces").get(0).get("why")).isNotEmpty();
  }
}
