package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;

/** Screens of the demo workshop in a browser, both shared by all tests of a JVM. */
abstract class DemoScreens {
  static final RunningApp demo = RunningApp.sharedDemo();
  static final Browser browser = Browser.shared();

  /**
   * Begins from a plan; tests share their moulds, and say that these are empty where it is asked.
   */
  static void begunFrom(Page page) {
    Locator empty =
        page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName("They are empty: begin"));
    page.waitForCondition(() -> page.url().contains("/pour/") || empty.isVisible());
    if (!page.url().contains("/pour/")) {
      empty.click();
      page.waitForURL("**/pour/*");
    }
  }

  /** Every pour of a run, told as done now. */
  static void pourAll(String run) {
    List<Map<String, Object>> events =
        demo.get("/api/runs/" + run)
            .body()
            .get("plan")
            .get("tasks")
            .valueStream()
            .filter(t -> t.get("kind").asString().equals("POUR"))
            .map(t ->
                Map.<String, Object>of(
                    "id",
                    UUID.randomUUID().toString(),
                    "at",
                    "2099-01-01T00:00:00Z",
                    "kind",
                    "DONE",
                    "of",
                    t.get("id").asString()))
            .toList();
    demo.post("/api/runs/" + run + "/events", Map.of("events", events));
  }

  @AfterEach
  void nothingLeftTheMachineAndNothingFailed() {
    assertThat(browser.done()).isEmpty();
  }
}
