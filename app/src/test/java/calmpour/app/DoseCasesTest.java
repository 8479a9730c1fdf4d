package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** Sessions whose doses were once wrong, over HTTP, against what they come to by hand. */
class DoseCasesTest {
  @TempDir static Path data;
  private static RunningApp app;

  @BeforeAll
  static void start() {
    app = RunningApp.empty(data);
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  /** 5 mL marks make 60 g of 18: the dose is 2 % of what is really in the cup, and it is told. */
  @Test
  void marksThatEnlargeABatchEnlargeItsDose() throws IOException {
    JsonNode plan = plan("dose-not-scaled");
    JsonNode batch = plan.get("batches").get(0);
    JsonNode cup = batch.get("cups").get(0);
    assertThat(batch.get("totalG").asDouble()).isCloseTo(60.5, within(0.5));
    double massG = cup.get("doses").get(0).get("massG").asDouble();
    // 2 % of the mix is a forty-ninth of the resin; the scale shows tenths of a gram.
    assertThat(massG).isCloseTo(cup.get("resinG").asDouble() / 49, within(0.05));
    assertThat(batch.get("totalG").asDouble() + massG)
        .isCloseTo(cup.get("contentG").asDouble(), within(1e-6));
    JsonNode told = found(plan, "BATCH_ENLARGED");
    assertThat(told.get("mends").get(0).get("kind").asString()).isEqualTo("BY_WEIGHT");
    assertThat(told.get("mends").get(0).get("value").asDouble()).isLessThan(20);
  }

  /** 0.18 % of 18 g is 0.033 g, a hair less than a drop: let down from a stock, never none. */
  @Test
  void lessThanADropIsTakenFromAStock() throws IOException {
    JsonNode cup = plan("zero-drops").get("batches").get(0).get("cups").get(0);
    JsonNode dose = cup.get("doses").get(0);
    assertThat(dose.get("by").asString()).isEqualTo("STOCK");
    double percent = 100 * dose.get("massG").asDouble() / cup.get("contentG").asDouble();
    assertThat(percent).isBetween(0.15, 0.18);
  }

  /** A quarter scoop is 0.0525 g; the label allows 1 % of the mix, as counted. */
  @Test
  void scoopsKeepTheLimitAsTheyAreCounted() throws IOException {
    JsonNode cup = plan("scoops-over-limit").get("batches").get(0).get("cups").get(0);
    JsonNode dose = cup.get("doses").get(0);
    double quarters = dose.get("scoops").asDouble() * 4;
    assertThat(dose.get("massG").asDouble()).isCloseTo(quarters * 0.0525, within(1e-3));
    double percent = 100 * dose.get("massG").asDouble() / cup.get("contentG").asDouble();
    assertThat(percent).isBetween(0.6, 1.0);
    double told = cup.get("loading").get(0).get("percent").asDouble();
    assertThat(told).isCloseTo(percent, within(1e-3));
  }

  private static JsonNode found(JsonNode plan, String rule) {
    List<JsonNode> findings =
        plan.get("findings").valueStream()
            .filter(f -> f.get("rule").asString().equals(rule))
            .toList();
    assertThat(findings).as(rule).hasSize(1);
    return findings.get(0);
  }

  private static JsonNode plan(String name) throws IOException {
    try (InputStream in = DoseCasesTest.class.getResourceAsStream("/cases/" + name + ".json")) {
      RunningApp.Answer answer = app.post("/api/plan", RunningApp.JSON.readTree(in));
      assertThat(answer.status()).as("%s", answer.body()).isEqualTo(200);
      return answer.body().get("plan");
    }
  }
}
