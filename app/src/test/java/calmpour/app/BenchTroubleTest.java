package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What goes wrong has a key, and what a step wants is said with it. */
class BenchTroubleTest extends BenchScreens {
  private static long lost(String run) {
    return state(run)
        .get("steps")
        .valueStream()
        .filter(s -> s.get("kind").asString().equals("POUR"))
        .filter(s -> s.get("status").asString().equals("LOST"))
        .count();
  }

  private static void press(Page page, String name) {
    page.waitForTimeout(MEANT_MS);
    button(page, name).click();
  }

  /** All of a cup on the floor: named before it is told, kept in the record, and taken back. */
  @Test
  void aSpillNamesThePoursThatFallAwayAndIsTakenBack() {
    String run = begun();
    upTo(run, "POUR");
    String colour = state(run).get("cups").get(0).get("colourName").asString();
    Page page = bench(run);
    button(page, "Trouble").click();
    Seen.readable(page, "what went wrong");
    press(page, "^Spilled$");
    press(page, "^" + colour + "$");
    Seen.readable(page, "spilled");
    press(page, "^All of it$");
    Locator asked = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(asked).containsText(Pattern.compile("\\d+ pours fall away"));
    assertThat(asked).containsText(colour + " into");
    Seen.readable(page, "what it changes");
    int falls =
        Integer.parseInt(asked.getByRole(AriaRole.HEADING).innerText().replaceAll("\\D.*", ""));
    assertThat(lost(run)).isZero();
    press(page, "^It is so$");
    page.waitForCondition(() -> lost(run) == falls);
    assertThat(button(page, "Undo Spilled")).isVisible();
    Page record = browser.page(1280, 800);
    record.navigate(demo.url("/pour/" + run + "/record"));
    assertThat(record.getByRole(AriaRole.MAIN))
        .containsText("All that was left of " + colour + " was spilled.");
    assertThat(record.getByRole(AriaRole.MAIN)).containsText("g lost");
    press(page, "Undo Spilled");
    page.waitForCondition(() -> lost(run) == 0);
  }

  /** Whatever is typed or pasted for a weight is a number between nothing and what there is. */
  @Test
  void whatIsTypedForASpillIsWeighedFirst() {
    String run = begun();
    upTo(run, "POUR");
    JsonNode cup = state(run).get("cups").get(0);
    Page page = bench(run);
    button(page, "Trouble").click();
    press(page, "^Spilled$");
    press(page, "^" + cup.get("colourName").asString() + "$");
    press(page, "^Type how much$");
    page.waitForTimeout(MEANT_MS);
    Locator takes = button(page, "^That much$");
    Locator says = page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.STATUS);
    for (String[] typed :
        new String[][] {
          {"0", "not a weight"},
          {"..", "no number"},
          {"99999", "There is no more than " + cup.get("leftG").asString().replaceAll("\\..*", "")},
        }) {
      page.keyboard().type(typed[0]);
      assertThat(says).containsText(typed[1]);
      assertThat(takes).isDisabled();
      for (int i = 0; i < typed[0].length(); i++) {
        page.keyboard().press("Backspace");
      }
    }
    paste(page, "Harbour\t12.5\nOat\t30");
    assertThat(says).containsText("no number");
    assertThat(takes).isDisabled();
    paste(page, "2,5");
    assertThat(takes).isEnabled();
    page.keyboard().press("Backspace");
    page.keyboard().type("5");
    Seen.readable(page, "typed for a spill");
    takes.click();
    settled(page);
    page.waitForCondition(() -> state(run).get("masses").get("lostG").asDouble() > 0);
    assertThat(state(run).get("masses").get("lostG").asDouble()).isEqualTo(2.5);
  }

  private static void paste(Page page, String text) {
    page.evaluate(
        """
        text => {
          const data = new DataTransfer();
          data.setData('text', text);
          document.activeElement.dispatchEvent(
              new ClipboardEvent('paste', { clipboardData: data, bubbles: true }));
        }
        """,
        text);
  }

  /** A leak, foam and an embed that was forgotten, from the key to the record. */
  @Test
  void leakFoamAndAForgottenEmbedArePressed() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/fern-bell-pushes"))
            .body()
            .get("id")
            .asString();
    tell(run, "CHECKED", "READY", null);
    String embed = upTo(run, "EMBED");
    Page page = bench(run);
    button(page, "Trouble").click();
    press(page, "^A mould leaks$");
    page.waitForTimeout(MEANT_MS);
    page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON).first().click();
    press(page, "^Give this piece up$");
    settled(page);
    page.waitForCondition(() -> state(run).get("givenUp").size() == 1);

    press(page, "Trouble");
    press(page, "^A cup foams$");
    page.waitForTimeout(MEANT_MS);
    page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON).first().click();
    press(page, "^Let it rest 3 min$");
    settled(page);

    press(page, "Trouble");
    press(page, "^An embed was forgotten$");
    page.waitForTimeout(MEANT_MS);
    page.getByRole(AriaRole.DIALOG).getByRole(AriaRole.BUTTON).first().click();
    press(page, "^It goes without$");
    settled(page);
    page.waitForCondition(() -> !step(run, embed).get("status").asString().equals("TO_DO"));
    page.navigate(demo.url("/pour/" + run + "/record"));
    Locator record = page.getByRole(AriaRole.MAIN);
    assertThat(record).containsText(Pattern.compile("leak", Pattern.CASE_INSENSITIVE));
    assertThat(record).containsText(Pattern.compile("foam", Pattern.CASE_INSENSITIVE));
  }

  /** What it costs is said first, where it costs something. */
  private static void settled(Page page) {
    Locator so = button(page, "^It is so$");
    page.waitForCondition(() -> so.isVisible() || page.locator("[data-over]").count() == 0);
    if (so.isVisible()) {
      press(page, "^It is so$");
    }
    page.waitForCondition(() -> page.locator("[data-over]").count() == 0);
  }

  @Test
  void aWrongColourThatIsTippedOutIsPouredAgain() {
    String run = begun();
    String pour = upTo(run, "POUR");
    tell(run, "DONE", pour, null);
    // A second cup has to be open: the mishap is told a few steps on.
    for (int i = 0; i < 40 && state(run).get("cups").size() < 2; i++) {
      tell(run, "DONE", state(run).get("currentId").asString(), null);
    }
    assertThat(step(run, pour).get("status").asString()).isEqualTo("DONE");
    String other =
        state(run)
            .get("cups")
            .valueStream()
            .filter(c -> !c.get("cupId").equals(step(run, pour).get("cupId")))
            .findFirst()
            .orElseThrow()
            .get("colourName")
            .asString();
    long before = poured(run);
    JsonNode last = step(run, pour);
    String own = colour(run, last.get("cupId").asString());
    String mould =
        demo.get("/api/runs/" + run)
            .body()
            .get("plan")
            .get("pieces")
            .get(last.get("line").asInt())
            .get("mouldName")
            .asString();
    Page page = bench(run);
    button(page, "Trouble").click();
    press(page, "^Wrong colour into a mould$");
    press(page, "^" + own + " into " + mould + ", first$");
    press(page, "^" + other + "$");
    press(page, "^Tipped out and wiped: pour it again$");
    settled(page);
    page.waitForCondition(() -> state(run).get("masses").get("lostG").asDouble() > 0);
    assertThat(poured(run)).isEqualTo(before - 1);
  }

  /** What the record's tag says is what is in the piece, not what was meant. */
  @Test
  void aWrongColourThatStaysStandsOnTheTag() {
    String run = begun();
    String pour = upTo(run, "POUR");
    JsonNode meant = step(run, pour);
    String own = colour(run, meant.get("cupId").asString());
    JsonNode other =
        state(run)
            .get("cups")
            .valueStream()
            .filter(c -> !c.get("colourName").asString().equals(own))
            .findFirst()
            .orElseThrow();
    String tagged = tag(run, pour);
    trouble(
        run,
        "WRONG_COLOUR/" + pour.substring("pour/".length()) + "/" + other.get("cupId").asString(),
        "STAYS");
    assertThat(tag(run, pour))
        .isNotEqualTo(tagged)
        .contains(other.get("colourName").asString())
        .doesNotContain(own);
  }

  /**
   * The tag of the piece that a pour goes into; the demo's first line has a tag for each cavity.
   */
  private static String tag(String run, String pour) {
    String[] at = pour.substring("pour/".length()).split("\\.", -1);
    JsonNode looked = demo.get("/api/runs/" + run + "/record").body();
    JsonNode piece = looked.get("plan").get("pieces").get(Integer.parseInt(at[0]) - 1);
    int count = piece.get("count").asInt();
    String title = piece.get("mouldName").asString() + (count > 1 ? ", " + at[1] + " of " : "");
    return looked
        .get("pieceTags")
        .valueStream()
        .filter(t -> t.get("title").asString().startsWith(title))
        .findFirst()
        .orElseThrow()
        .get("lines")
        .toString();
  }

  private static void trouble(String run, String of, String answer) {
    demo.tell(run, "TROUBLE", of, null, answer);
  }

  /** Nobody presses an insert into a mould that has leaked. */
  @Test
  void aPieceThatIsGivenUpGetsNoEmbed() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/fern-bell-pushes"))
            .body()
            .get("id")
            .asString();
    tell(run, "CHECKED", "READY", null);
    String embed = upTo(run, "EMBED");
    JsonNode before = step(run, embed);
    String piece = (before.get("line").asInt() + 1) + ".1";
    trouble(run, "LEAKS/" + piece, "GIVEN_UP");
    assertThat(step(run, embed).get("places").asInt()).isEqualTo(before.get("places").asInt() - 1);
    for (int cavity = 2; cavity <= before.get("places").asInt(); cavity++) {
      trouble(run, "LEAKS/" + (before.get("line").asInt() + 1) + "." + cavity, "GIVEN_UP");
    }
    assertThat(state(run).get("steps").valueStream().map(s -> s.get("taskId").asString()))
        .doesNotContain(embed);
  }

  private static String colour(String run, String cupId) {
    return state(run)
        .get("cups")
        .valueStream()
        .filter(c -> c.get("cupId").asString().equals(cupId))
        .findFirst()
        .orElseThrow()
        .get("colourName")
        .asString();
  }

  private static long poured(String run) {
    return state(run)
        .get("steps")
        .valueStream()
        .filter(s -> s.get("kind").asString().equals("POUR"))
        .filter(s -> s.get("status").asString().equals("DONE"))
        .count();
  }

  /** What a workshop cannot have is refused at its field, and a line of words is kept. */
  @Test
  void nonsenseIsRefusedAndALineIsKept() {
    String run = begun();
    upTo(run, "POUR");
    for (String of : List.of("SPILLED/9.9", "LEAKS/99.1", "EMBED_FORGOTTEN/batch/1/STIR", "X/1")) {
      RunningApp.Answer answer = told(run, "TROUBLE", of, null, "2099-01-01T00:00:00Z", null);
      assertThat(answer.status()).as(of).isBetween(400, 422);
    }
    Page page = bench(run, 390, 844);
    button(page, "Trouble").click();
    press(page, "^Write a line$");
    assertThat(button(page, "^Keep it$")).isDisabled();
    page.getByLabel("A line for the record").fill("The lamp went out twice");
    press(page, "^Keep it$");
    assertThat(page.getByRole(AriaRole.DIALOG)).hasCount(0);
    page.waitForCondition(() ->
        demo.get("/api/runs/" + run + "/record")
            .body()
            .get("asRun")
            .get("troubles")
            .toString()
            .contains("The lamp went out twice"));
  }

  @Test
  void anEmbedsStepSaysWhichWayHowFarAndUntilWhenWithADrawing() {
    String run =
        demo.post(
                "/api/runs",
                Map.of(
                    "session",
                    RunningApp.demoDocument("sessions/fern-bell-pushes"),
                    "heatSeen",
                    true,
                    "mouldsEmpty",
                    true))
            .body()
            .get("id")
            .asString();
    tell(run, "CHECKED", "READY", null);
    upTo(run, "EMBED");
    Page page = bench(run);
    Locator says =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("What this step says"));
    assertThat(says).containsText("1 a piece");
    assertThat(says).containsText("open end to the back");
    assertThat(says).containsText("stands out 40 %");
    assertThat(says).containsText("held until the resin holds it");
    assertThat(page.getByRole(AriaRole.MAIN))
        .containsText(Pattern.compile("Until (\\w+ )?\\d\\d:\\d\\d"));
    assertThat(
            page.getByRole(
                AriaRole.IMG,
                new Page.GetByRoleOptions().setName(Pattern.compile("Brass threaded insert"))))
        .isVisible();
    Seen.readable(page, "an embed's step");
  }

  /** At the bench, in the record and on Today: from the plan, and what was told since. */
  @Test
  void aFigureOpensHowItCameAbout() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    Page page = bench(run);
    button(page, "on top of it.*: how it came about$").click();
    Locator how = page.getByRole(AriaRole.DIALOG);
    assertThat(how).containsText("makes the ratio right");
    assertThat(how).containsText("in the cup");
    // Space is not the large key while it is read.
    page.keyboard().press(" ");
    page.waitForTimeout(300);
    assertThat(step(run, second).get("status").asString()).isEqualTo("TO_DO");
    page.keyboard().press("Escape");
    assertThat(how).hasCount(0);
    upTo(run, "POUR");
    tell(run, "DONE", state(run).get("currentId").asString(), null);
    page.getByRole(AriaRole.COMPLEMENTARY)
        .first()
        .getByRole(AriaRole.BUTTON, figure())
        .first()
        .click();
    assertThat(how).containsText("A met B");
    page.keyboard().press("Escape");
    for (String[] opens :
        new String[][] {
          {"Filled", "told to be done"},
          {"Next", "all that its cup still has"},
        }) {
      page.getByLabel(opens[0], new Page.GetByLabelOptions().setExact(true))
          .getByRole(AriaRole.BUTTON, figure())
          .first()
          .click();
      assertThat(how).containsText(opens[1]);
      page.keyboard().press("Escape");
    }
    page.navigate(demo.url("/pour/" + run + "/record"));
    page.getByRole(AriaRole.CELL).getByRole(AriaRole.BUTTON, figure()).first().click();
    assertThat(how).containsText("as planned where nobody weighed");
    Seen.readable(page, "a record's figure");
    page.navigate(demo.url("/today"));
    page.getByRole(AriaRole.LISTITEM).getByRole(AriaRole.BUTTON, figure()).first().click();
    assertThat(how).containsText("what it waits for");
  }

  private static Locator.GetByRoleOptions figure() {
    return new Locator.GetByRoleOptions().setName(Pattern.compile("how it came about$"));
  }

  /** A presenter's key is the large key; another one is chosen before anything is opened. */
  @Test
  void aFootSwitchIsTheLargeKey() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    Page page = bench(run);
    button(page, "Foot switch").click();
    page.waitForTimeout(MEANT_MS);
    Locator chosen = page.getByRole(AriaRole.DIALOG);
    assertThat(chosen).containsText("It is PageDown");
    page.keyboard().press("b");
    assertThat(chosen).containsText("It is b");
    Seen.readable(page, "a foot switch");
    press(page, "Back to the step");
    tell(run, "CHECKED", "READY", null);
    String stir = upTo(run, "STIR");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Stir");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press("PageDown");
    page.waitForTimeout(300);
    assertThat(step(run, stir).get("status").asString()).isEqualTo("TO_DO");
    page.keyboard().press("b");
    page.waitForCondition(() -> step(run, stir).get("status").asString().equals("DONE"));
    assertThat(button(page, "Foot switch")).hasCount(0);
  }

  /** What is made up is called so; in one's own workshop nothing is. */
  @Test
  void withoutAScaleNoneIsShown(@TempDir Path data) {
    String run = begun();
    upTo(run, "POUR");
    assertThat(bench(run).getByRole(AriaRole.MAIN)).containsText("on the simulated scale");
    try (RunningApp own = RunningApp.empty(data)) {
      JsonNode devices = own.get("/api/devices").body();
      assertThat(devices.get("scale").get("link").asString()).isEqualTo("NONE");
      assertThat(devices.get("simulated").asBoolean()).isFalse();
      String its =
          own.post("/api/runs", Map.of("session", demoSession(), "mouldsEmpty", true))
              .body()
              .get("id")
              .asString();
      own.tell(its, "CHECKED", "READY", null);
      Page page = browser.page(1280, 800);
      page.navigate(own.url("/pour/" + its));
      Locator told = page.getByRole(AriaRole.MAIN);
      button(page, "Connect a scale").click();
      assertThat(page.getByRole(AriaRole.DIALOG)).containsText("--scale HOST:PORT");
      press(page, "Back to the step");
      assertThat(told).containsText("Other weight");
      assertThat(button(page, "Tare")).hasCount(0);
      page.close();
    }
  }

  /** A session that carries its own shelves. */
  private static JsonNode demoSession() {
    JsonNode kept =
        demo.post("/api/sessions", RunningApp.demoDocument("sessions/pantry-knobs")).body();
    JsonNode session =
        RunningApp.demoDocument("sessions/pantry-knobs").set("carried", kept.get("snapshot"));
    demo.delete("/api/sessions/" + kept.get("id").asString());
    return session;
  }
}
