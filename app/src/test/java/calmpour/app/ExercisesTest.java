package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.RunningApp.Answer;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** The exercises that ship, played over HTTP in a workshop that has nothing on its shelves. */
class ExercisesTest {
  private static final String ALL = "/api/practice/exercises";

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

  private static JsonNode play(String id, List<String> choices) {
    Answer answer = empty.post(ALL + "/" + id + "/play", Map.of("choices", choices));
    assertThat(answer.status()).isEqualTo(200);
    return answer.body();
  }

  @Test
  void sixShipFromOneMouldToALayeredEveningAndCoverEveryMishap() {
    JsonNode all = empty.get(ALL).body();
    assertThat(all).hasSize(6);
    Set<String> mishaps = new HashSet<>();
    for (int i = 0; i < 6; i++) {
      JsonNode line = all.get(i);
      assertThat(line.get("grade").asInt()).isEqualTo(i + 1);
      line.get("mishaps").forEach(m -> mishaps.add(m.asString()));
      JsonNode opened = empty.get(ALL + "/" + line.get("id").asString()).body();
      // What is rehearsed can be done: nothing in its plan is broken before anything goes wrong.
      for (JsonNode finding : opened.get("plan").get("findings")) {
        assertThat(finding.get("severity").asString()).as("%s", finding).isNotEqualTo("BREACH");
      }
    }
    assertThat(all.get(0).get("pieces").asInt()).isEqualTo(1);
    assertThat(mishaps)
        .containsExactlyInAnyOrder(
            "PHONE", "OVER_POUR", "WARM_ROOM", "COLD_RESIN", "WRONG_CUP", "EMBED_FORGOTTEN");
  }

  @ParameterizedTest
  @ValueSource(strings = {"one-knob", "two-colours", "warm-toggles", "knobs-with-inserts"})
  void whatIsCalledTheBestIsAndChoosingBadlyCosts(String id) {
    bestIs(id);
  }

  @ParameterizedTest
  @Tag("long")
  @ValueSource(strings = {"three-colours", "layered-evening"})
  void whatIsCalledTheBestIsAlsoInTheLargeOnes(String id) {
    bestIs(id);
  }

  private static void bestIs(String id) {
    List<Integer> points = new ArrayList<>();
    all(id, List.of(), points);
    int best = play(id, List.of()).get("best").asInt();
    assertThat(points.stream().max(Integer::compare)).contains(best);
    assertThat(points.stream().min(Integer::compare).orElseThrow()).isLessThan(best);
  }

  private static void all(String id, List<String> soFar, List<Integer> points) {
    JsonNode played = play(id, soFar).get("rehearsed");
    if (played.has("score")) {
      points.add(played.get("score").get("points").asInt());
      return;
    }
    for (JsonNode choice : played.get("question").get("choices")) {
      List<String> next = new ArrayList<>(soFar);
      next.add(choice.asString());
      all(id, next, points);
    }
  }

  @Test
  void whatIsNoChoiceIsRefusedInWords() {
    Answer wrong = empty.post(ALL + "/one-knob/play", Map.of("choices", List.of("PRESS_IT_IN")));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.error(0).get("field").asString()).isEqualTo("choices[0]");
    assertThat(wrong.error(0).get("message").asString()).contains("PRESS_IT_IN");
    assertThat(empty.post(ALL + "/one-knob/play", Map.of("choices", List.of("SING"))).status())
        .isEqualTo(422);
    assertThat(
            empty
                .post(
                    ALL + "/one-knob/play",
                    Map.of("choices", java.util.Collections.nCopies(51, "GO_ON")))
                .status())
        .isEqualTo(422);
    assertThat(empty.post(ALL + "/sheep/play", Map.of("choices", List.of())).status())
        .isEqualTo(404);
  }
}
