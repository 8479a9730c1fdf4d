package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import tools.jackson.databind.JsonNode;

/** An evening at the bench of the demo workshop, told over HTTP and looked at in a browser. */
abstract class BenchScreens extends DemoScreens {
  /** Longer than a key that was on its way is ignored for, ms. */
  static final int MEANT_MS = 800;

  static RunningApp.Answer begin(boolean mouldsEmpty) {
    return demo.post(
        "/api/runs",
        Map.of(
            "session",
            RunningApp.demoDocument("sessions/pantry-knobs"),
            "mouldsEmpty",
            mouldsEmpty));
  }

  static String begun() {
    String run = begin(true).body().get("id").asString();
    tell(run, "CHECKED", "READY", null);
    return run;
  }

  static void tell(String run, String kind, String of, Double value) {
    assertThat(told(run, kind, of, value, "2099-01-01T00:00:00Z", null).status()).isEqualTo(200);
  }

  static RunningApp.Answer told(
      String run, String kind, String of, Double value, String at, String sentAt) {
    Map<String, Object> event = new HashMap<>();
    event.put("id", UUID.randomUUID().toString());
    event.put("at", at);
    event.put("kind", kind);
    if (of != null) {
      event.put("of", of);
    }
    if (value != null) {
      event.put("value", value);
    }
    Map<String, Object> body = new HashMap<>(Map.of("events", List.of(event)));
    if (sentAt != null) {
      body.put("sentAt", sentAt);
    }
    return demo.post("/api/runs/" + run + "/events", body);
  }

  static JsonNode state(String run) {
    return demo.get("/api/runs/" + run + "/state").body().get("state");
  }

  static JsonNode step(String run, String id) {
    return state(run)
        .get("steps")
        .valueStream()
        .filter(s -> s.get("taskId").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  static String upTo(String run, String kind) {
    for (int i = 0; i < 90; i++) {
      String next = state(run).get("currentId").asString();
      if (step(run, next).get("kind").asString().equals(kind)) {
        return next;
      }
      tell(run, "DONE", next, null);
    }
    throw new AssertionError("never comes to " + kind);
  }

  /** How long the first of the open cups still pours, s. */
  static int untilThick(String run) {
    JsonNode state = state(run);
    return state
            .get("cups")
            .valueStream()
            .mapToInt(c -> c.get("thicksSeconds").asInt())
            .min()
            .orElseThrow()
        - state.get("atSeconds").asInt();
  }

  static Page bench(String run) {
    return bench(run, 1280, 800);
  }

  static Page bench(String run, int width, int height) {
    Page page = browser.page(width, height);
    page.navigate(demo.url("/pour/" + run));
    // The first page of a server that has just started takes its time beside other tests.
    page.getByRole(AriaRole.MAIN).waitFor(new Locator.WaitForOptions().setTimeout(30_000));
    return page;
  }

  static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
  }
}
