package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.store.SettingsCounted;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Settings are counted down by what was poured into them. */
class SettingsUsedTest {
  private static final RunningApp app = RunningApp.sharedDemo();
  private static final Browser browser = Browser.shared();

  @AfterEach
  void nothingLeftTheMachine() {
    assertThat(browser.done()).isEmpty();
  }

  /** What stays with its piece is gone once the evening is over, until somebody counts anew. */
  @Test
  void settingsAreUsedUp() {
    ObjectNode rim = (ObjectNode) RunningApp.mould("slate-rim", "Slate rim", 4);
    rim.putObject("make").put("opening", "BEZEL").put("copies", 3);
    assertThat(app.put("/api/moulds/slate-rim", rim).status()).isEqualTo(200);
    ObjectNode two = RunningApp.demoDocument("sessions/pantry-knobs");
    two.putArray("pieces").add(piece("slate-rim", 2));
    assertThat(booked(two)).isEmpty();
    String run = app.begin(two).body().get("id").asString();
    for (int pours = 0; pours < 2; ) {
      JsonNode state = app.get("/api/runs/" + run + "/state").body().get("state");
      String next = state.get("currentId").asString();
      pours += next.startsWith("pour/") ? 1 : 0;
      app.tell(run, "DONE", next, null);
    }
    assertThat(usedUp("slate-rim")).isZero();
    app.tell(run, "FINISHED", null, null);
    assertThat(usedUp("slate-rim")).isEqualTo(2);
    assertThat(booked(two)).containsExactly("4 of 3");
    // Saved for another reason: the same number is no new count.
    rim.put("name", "Slate rim, large");
    app.put("/api/moulds/slate-rim", rim);
    assertThat(booked(two)).containsExactly("4 of 3");
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/moulds/slate-rim"));
    Locator left = page.getByText("2 of these 3 stayed with their pieces since you counted");
    assertThat(left).containsText("one is left");
    button(page, "There are 3 again").click();
    assertThat(left).hasCount(0);
    assertThat(usedUp("slate-rim")).isZero();
    assertThat(booked(two)).isEmpty();
    assertThat(app.post("/api/moulds/no-such/counted", Map.of()).status()).isEqualTo(404);
    ((ObjectNode) rim.get("make")).put("opening", "OPEN");
    app.put("/api/moulds/slate-rim", rim);
    assertThat(app.post("/api/moulds/slate-rim/counted", Map.of()).status()).isEqualTo(404);
    // Taken off the shelf and put there again with the same number it is counted anew.
    ((ObjectNode) rim.get("make")).put("opening", "BEZEL");
    app.put("/api/moulds/slate-rim", rim);
    SettingsCounted counted = app.bean(SettingsCounted.class);
    assertThat(counted.countedAt("slate-rim")).isPresent();
    app.delete("/api/moulds/slate-rim");
    assertThat(counted.countedAt("slate-rim")).isEmpty();
  }

  private static JsonNode piece(String mouldId, int count) {
    return RunningApp.JSON.readTree(
        """
        {"mouldId":"%s","count":%d,"layers":[{"colourId":"harbour"}]}
        """
            .formatted(mouldId, count));
  }

  private static int usedUp(String mouldId) {
    return app.get("/api/moulds")
        .body()
        .valueStream()
        .filter(m -> m.at("/mould/id").asString().equals(mouldId))
        .findFirst()
        .orElseThrow()
        .get("usedUp")
        .asInt();
  }

  private static List<String> booked(JsonNode session) {
    return app.post("/api/plan", session)
        .body()
        .at("/plan/findings")
        .valueStream()
        .filter(f -> f.get("rule").asString().equals("MOULD_BOOKED"))
        .map(f -> f.get("value").asInt() + " of " + f.get("limit").asInt())
        .toList();
  }
}
