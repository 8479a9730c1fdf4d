package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.field;
import static calmpour.app.Seen.link;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** How a workshop works, and the list of its sessions, in a demo of its own. */
class WorkshopTest {
  private static final Browser browser = Browser.shared();

  @TempDir static Path data;
  private static RunningApp app;

  @BeforeAll
  static void start() {
    app = RunningApp.demo(data);
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  private static Page open(String path) {
    Page page = browser.page(1280, 800);
    page.navigate(app.url(path));
    return page;
  }

  private static String keep(String name) {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", name);
    return app.post("/api/sessions", session).body().get("id").asString();
  }

  @Test
  void whatIsUsualIsKeptOnceAndRefusedWhereItCannotBe() {
    JsonNode before = app.get("/api/usual").body();
    int revision = before.get("revision").asInt();
    String path = "/api/usual?revision=" + revision;
    ObjectNode hot = (ObjectNode) before.get("usual").deepCopy();
    ((ObjectNode) hot.get("room")).put("temperatureC", 75);
    RunningApp.Answer refused = app.put(path, hot);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.error(0).get("field").asString()).isEqualTo("room.temperatureC");
    ObjectNode late = (ObjectNode) before.get("usual").deepCopy();
    ((ObjectNode) late.get("hours")).put("toMinutes", 1_290);
    assertThat(app.put(path, late).status()).isEqualTo(200);
    assertThat(app.put(path, late).status()).isEqualTo(409);
    JsonNode now = app.get("/api/usual").body();
    assertThat(now.at("/usual/hours/toMinutes").asInt()).isEqualTo(1_290);
    assertThat(now.at("/starting/hours/toMinutes").asInt()).isEqualTo(1_380);
    app.put("/api/usual?revision=" + now.get("revision").asInt(), before.get("usual"));
  }

  /** A habit changed once, seen in what is planned next, and in every session after it. */
  @Test
  void aHabitIsChangedOnceForEverySession() {
    keep("Planned next");
    Page page = open("/workshop");
    field(page, "Rest for bubbles").fill("12");
    assertThat(page.getByText("Kept.")).isVisible();
    Locator effect =
        page.getByRole(AriaRole.STATUS, new Page.GetByRoleOptions().setName("What it changes"));
    assertThat(effect).containsText(Pattern.compile("the last pour 4(\\.0)? min later"));
    field(page, "Rest for bubbles").fill("600");
    assertThat(field(page, "Rest for bubbles"))
        .hasAccessibleDescription(Pattern.compile("between 0 and 60"));
    field(page, "Rest for bubbles").fill("12");
    assertThat(page.getByText("Kept.")).isVisible();

    page.navigate(app.url("/plan/new"));
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    button(page, "Mixing").click();
    assertThat(field(page, "Rest for bubbles")).hasValue("12");
    field(page, "Rest for bubbles").fill("6");
    assertThat(button(page, "Mixing, not as usual")).isVisible();
    button(page, "Put back").click();
    assertThat(field(page, "Rest for bubbles")).hasValue("12");
    field(page, "Rest for bubbles").fill("8");
    button(page, "Keep for every session").click();
    assertThat(button(page, "Mixing").first()).isVisible();
    assertThat(app.get("/api/usual").body().at("/usual/habits/restMinutes").asInt()).isEqualTo(8);
  }

  /** What two windows changed at once: the second chooses which of the two holds. */
  @Test
  void aWorkshopChangedInTwoWindowsKeepsWhatIsChosen() {
    Page one = open("/workshop");
    Page two = open("/workshop");
    field(two, "Room").waitFor();
    field(one, "Room").fill("19");
    assertThat(one.getByText("Kept.")).isVisible();
    field(two, "Room").fill("25");
    assertThat(two.getByRole(AriaRole.ALERT)).containsText("Another window has changed");
    button(two, "Keep what is on this screen").click();
    assertThat(two.getByText("Kept.")).isVisible();
    assertThat(roomC()).isEqualTo(25);

    one.reload();
    assertThat(field(one, "Room")).hasValue("25");
    field(one, "Room").fill("17");
    assertThat(one.getByText("Kept.")).isVisible();
    field(two, "Room").fill("24");
    assertThat(two.getByRole(AriaRole.ALERT)).containsText("Another window has changed");
    button(two, "Take what the other window says").click();
    assertThat(field(two, "Room")).hasValue("17");
    assertThat(two.getByText("Kept.")).isVisible();
    assertThat(roomC()).isEqualTo(17);
    // What was typed here is one key away.
    button(two, "Undo").click();
    assertThat(field(two, "Room")).hasValue("24");
  }

  private static double roomC() {
    return app.get("/api/usual").body().at("/usual/room/temperatureC").asDouble();
  }

  @Test
  void theRoomOfAWorkshopIsReadableAtAnyWidth() {
    Page page = open("/workshop");
    button(page, "+ a day of its own").click();
    button(page, "Not at home that day").click();
    assertThat(button(page, "Not at home; give hours")).isVisible();
    button(page, "As on other days").click();
    Seen.readableOnAnyWidth(page, "my workshop");
  }

  @Test
  void sessionsAreFoundCopiedAndThrownAway() {
    keep("Larder knobs");
    Page page = open("/sessions");
    field(page, "Find").fill("larder bracken");
    Locator list = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Sessions"));
    assertThat(list.getByRole(AriaRole.LISTITEM)).hasCount(1);
    assertThat(list).containsText("planned");
    button(page, "Confirm Larder knobs").click();
    assertThat(list).containsText("confirmed");
    button(page, "Copy Larder knobs").click();
    assertThat(page.getByLabel("Name")).hasValue("Larder knobs 2");
    button(page, "Make the copy").click();
    assertThat(page.getByLabel("Name of the session")).hasValue("Larder knobs 2");
    page.navigate(app.url("/sessions"));
    button(page, "Remove Larder knobs 2").click();
    page.reload();
    assertThat(link(page, "Larder knobs 2")).hasCount(0);
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^bin")))
        .click();
    button(page, "Bring back Larder knobs 2").click();
    assertThat(page.getByText("Nothing in the bin.")).isVisible();
    button(page, "all").click();
    assertThat(link(page, "Larder knobs 2")).isVisible();
    field(page, "Find").fill("%_'\"");
    assertThat(page.getByText(Pattern.compile("^None of"))).isVisible();
    field(page, "Find").fill("");
    Seen.readableOnAnyWidth(page, "the list of sessions");
  }

  /** What was typed and not saved is not lost, and not in the way either. */
  @Test
  void draftsAreSeenAndAFreshOneCanBeStarted() {
    Page page = open("/plan/new");
    page.getByLabel("Name of the session").fill("Half thought");
    page.navigate(app.url("/sessions"));
    Locator drafts =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Not saved yet"));
    assertThat(drafts).containsText("Half thought");
    link(page, "Half thought").click();
    assertThat(page.getByLabel("Name of the session")).hasValue("Half thought");
    button(page, "Start fresh").click();
    assertThat(page.getByLabel("Name of the session")).hasValue("New session");
    assertThat(link(page, "Half thought")).isVisible();
    page.navigate(app.url("/sessions"));
    button(page, "Throw away the draft Half thought").click();
    assertThat(drafts).hasCount(0);
  }
}
