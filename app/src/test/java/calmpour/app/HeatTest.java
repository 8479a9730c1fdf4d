package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Heat stands above everything about time, and is asked about before the work begins. */
class HeatTest extends DemoScreens {
  private static final Set<String> HEAT =
      Set.of(
          "RESIN_HOT",
          "HOT_IF_FORGOTTEN",
          "PIECE_GETS_HOT",
          "BATCH_TOO_LARGE",
          "DEEPER_THAN_RATED");

  /** A warning that is always on is none. */
  @ParameterizedTest
  @ValueSource(strings = {"pantry-knobs", "fern-bell-pushes", "garden-row-labels"})
  void anOrdinaryEveningHasNone(String name) {
    ObjectNode session = RunningApp.demoDocument("sessions/" + name);
    ((ObjectNode) session.get("room")).put("temperatureC", 22);
    JsonNode plan = demo.post("/api/plan", session).body().get("plan");
    assertThat(rules(plan)).doesNotContainAnyElementsOf(HEAT);
    for (JsonNode batch : plan.get("batches")) {
      JsonNode heat = batch.get("heat");
      for (String what : List.of("mixing", "cup", "piece")) {
        double planned = heat.get(what).get("plannedC").asDouble();
        double forgotten = heat.get(what).get("forgottenC").asDouble();
        assertThat(planned).isBetween(21.0, 60.0);
        assertThat(forgotten).isGreaterThanOrEqualTo(planned - 0.5);
        assertThat(heat.get(what).get("forgottenMostC").asDouble())
            .isGreaterThanOrEqualTo(forgotten);
      }
    }
  }

  /** 170 mL, 60 mm deep, of a 22-minute resin at 32 °C. */
  private static ObjectNode hot(String name) {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    session.put("name", name);
    session.put("resinId", "quick-casting");
    ((ObjectNode) session.get("room")).put("temperatureC", 32);
    ObjectNode big = (ObjectNode) RunningApp.mould("finial", "Deep finial", 170);
    ((ObjectNode) big.get("cavities").get(0)).put("depthMm", 60);
    session.putObject("carried").putArray("moulds").add(big);
    session.putArray("pieces").addObject().put("mouldId", "finial").put("count", 1);
    ((ObjectNode) session.get("pieces").get(0))
        .putArray("layers")
        .addObject()
        .put("colourId", "harbour");
    return session;
  }

  @Test
  void aHotPlanBeginsOnlyWhenItsHeatWasSeenAndTheAnswerIsKept() {
    ObjectNode begin = RunningApp.JSON.createObjectNode();
    begin.set("session", hot("Heat seen"));
    JsonNode plan = demo.post("/api/plan", begin.get("session")).body().get("plan");
    assertThat(rules(plan)).contains("RESIN_HOT", "PIECE_GETS_HOT", "DEEPER_THAN_RATED");
    assertThat(HEAT).as("told first").contains(rules(plan).get(0));
    RunningApp.Answer refused = demo.post("/api/runs", begin);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.error(0).get("field").asString()).isEqualTo("heatSeen");
    begin.put("heatSeen", true);
    begin.put("mouldsEmpty", true);
    RunningApp.Answer begun = demo.post("/api/runs", begin);
    assertThat(begun.status()).isEqualTo(201);
    assertThat(begun.body().get("stands").get("state").get("checked").toString()).contains("heat");
    // An ordinary one is not asked about.
    ObjectNode cool = RunningApp.JSON.createObjectNode();
    cool.set("session", RunningApp.demoDocument("sessions/pantry-knobs"));
    cool.put("mouldsEmpty", true);
    assertThat(demo.post("/api/runs", cool).status()).isEqualTo(201);
  }

  @Test
  void theTitleTheCupThePaperTheKeyAndTheBenchSayIt() {
    String id = demo.post("/api/sessions", hot("Heat on screen")).body().get("id").asString();
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/plan/" + id));
    Locator alert = page.getByRole(AriaRole.ALERT).first();
    page.getByText("Warmest:").waitFor();
    assertThat(alert.innerText()).startsWith("Heat: The mixing cup");
    Locator status = page.getByRole(AriaRole.STATUS).first();
    assertThat(alert.boundingBox().y).as("above what is late").isLessThan(status.boundingBox().y);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Begin").setExact(true))
        .click();
    Locator asks =
        page.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("Begin with heat warnings?"));
    assertThat(asks.innerText()).contains("Heat: The mixing cup").contains("safety data sheet");
    asks.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Begin all the same"))
        .click();
    begunFrom(page);
    Locator bench = page.getByRole(AriaRole.ALERT).first();
    bench.waitFor();
    assertThat(bench.innerText()).startsWith("Heat: ");
    page.close();
  }

  private static List<String> rules(JsonNode plan) {
    return plan.get("findings").valueStream().map(f -> f.get("rule").asString()).toList();
  }
}
