package calmpour.app;

import static calmpour.app.Seen.typeMoment;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Every screen has an address of its own, and what cannot be read is said where it is looked for.
 */
class AddressesTest {
  private static RunningApp demo;
  private static Browser browser;

  @BeforeAll
  static void open() {
    demo = RunningApp.sharedDemo();
    browser = Browser.shared();
  }

  @AfterAll
  static void close() {
    browser.done();
  }

  @Test
  void backReloadAndOldAddressesLeadToTheSameScreen() {
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/#/shelf/colours"));
    assertThat(page.getByRole(AriaRole.LIST, named("Colours"))).isVisible();
    org.assertj.core.api.Assertions.assertThat(page.url()).endsWith("/shelf/colours");
    page.getByRole(AriaRole.LINK, named("Moulds")).click();
    assertThat(heading(page)).hasText("Moulds");
    page.getByLabel("Find").fill("pull");
    page.waitForURL(Pattern.compile("\\?find=pull$"));
    page.reload();
    assertThat(page.getByLabel("Find")).hasValue("pull");
    page.goBack();
    assertThat(page.getByRole(AriaRole.LIST, named("Colours"))).isVisible();

    page.navigate(demo.url("/#/plan"));
    assertThat(page.getByText("Batch card")).isVisible();
    // A total that was measured has a point in its address.
    page.navigate(demo.url("/mix/total-143.25"));
    assertThat(page.getByLabel("A and B together")).hasValue("143.25");
    page.navigate(demo.url("/nothing/of/the/kind"));
    assertThat(page.getByText("There is nothing at this address")).isVisible();
    page.getByRole(AriaRole.LINK, named("To the plan")).click();
    assertThat(page.getByText("Batch card")).isVisible();
    org.assertj.core.api.Assertions.assertThat(demo.get("/api/nothing").status()).isEqualTo(404);
    org.assertj.core.api.Assertions.assertThat(demo.get("/assets/none.js").status()).isEqualTo(404);
  }

  @Test
  void backClosesTheCardAndAReloadKeepsIt() {
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/plan/" + kept("Pantry knobs")));
    button(page, "Batch card").click();
    Locator card = page.getByRole(AriaRole.DIALOG);
    assertThat(card).isVisible();
    page.reload();
    assertThat(card).isVisible();
    page.goBack();
    assertThat(card).hasCount(0);
    assertThat(button(page, "Batch card")).isVisible();
  }

  @Test
  void aStartIsTypedDayFirstWithTheMonthByItsName() {
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/plan/" + kept("Pantry knobs")));
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    Locator starts = page.getByRole(AriaRole.GROUP, named("Starts"));
    typeMoment(page, "Starts", "05Dec20261815");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Saturday 5 Dec, 18:15");
    // Half typed: what was there before still counts, and it is said.
    starts.getByRole(AriaRole.SPINBUTTON, spoken("Day")).click();
    page.keyboard().press("Backspace");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("No such day or time.");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Saturday 5 Dec, 18:15");
    button(page, "Undo").click();
  }

  /**
   * A damaged run, session and mould are named where somebody looks for them, and opened tell why.
   */
  @Test
  void whatCannotBeReadIsSaidOnItsScreens(@TempDir Path data) throws SQLException {
    String session;
    String run;
    try (RunningApp app = RunningApp.demo(data)) {
      JsonNode first = app.get("/api/sessions").body().get(0);
      session = first.get("id").asString();
      JsonNode document = app.get("/api/sessions/" + session).body().get("session");
      run = app.begin(document).body().get("id").asString();
    }
    try (var connection =
            DriverManager.getConnection("jdbc:h2:file:" + data.resolve("workshop"), "calm", "");
        var statement = connection.createStatement()) {
      statement.execute("update run set session = '{' where id = '" + run + "'");
      statement.execute("update saved_session set document = '{' where id = '" + session + "'");
      statement.execute("update shelf_item set document = '{' where kind = 'mould' limit 1");
    }
    try (RunningApp app = RunningApp.demo(data)) {
      Page page = browser.page(1280, 800);
      for (String screen : List.of("moulds", "pour", "today", "shelf/resins")) {
        page.navigate(app.url("/" + screen));
        assertThat(page.getByRole(AriaRole.NOTE)).containsText("cannot be read");
      }
      for (String screen : List.of("plan/" + session, "pour/" + run, "pour/" + run + "/record")) {
        page.navigate(app.url("/" + screen));
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("another version of Calm Pour");
      }
    }
  }

  private static String kept(String name) {
    for (JsonNode line : demo.get("/api/sessions").body()) {
      if (line.get("name").asString().startsWith(name)) {
        return line.get("id").asString();
      }
    }
    throw new AssertionError("no session " + name);
  }

  private static Locator heading(Page page) {
    return page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
  }

  private static Locator button(Page page, String name) {
    return page.getByRole(AriaRole.BUTTON, named(name));
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  private static Locator.GetByRoleOptions spoken(String name) {
    return new Locator.GetByRoleOptions().setName(name);
  }
}
