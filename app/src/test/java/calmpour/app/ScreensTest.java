// Longer than other files: what all screens have in common, and the demo as a visitor sees it.
package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.field;
import static calmpour.app.Seen.group;
import static calmpour.app.Seen.link;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The screens in a real browser, driven by what a maker sees: roles and visible names. */
class ScreensTest extends DemoScreens {
  @TempDir static Path data;
  private static RunningApp own;

  @BeforeAll
  static void startOwn() {
    own = RunningApp.empty(data.resolve("own"));
  }

  @AfterAll
  static void stopOwn() {
    own.close();
  }

  private static Page open(RunningApp app, String path) {
    Page page = browser.page(1280, 800);
    page.navigate(app.url(path));
    return page;
  }

  private static String newPantry(String name) {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", name);
    return demo.post("/api/sessions", session).body().get("id").asString();
  }

  private static Locator how(Page page, String what) {
    return page.getByRole(
        AriaRole.BUTTON,
        new Page.GetByRoleOptions().setName(Pattern.compile("g " + what + ": how it came about$")));
  }

  @Test
  void aVisitorSeesTheDemoChangesItAndFindsItSavedAfterAReload() {
    Page page = open(demo, "/plan/" + newPantry("For a visitor"));
    Locator parts = group(page, "Batch 1, mixing");
    assertThat(parts).containsText("144.8 g");
    for (String colour : List.of("Harbour", "Clear", "Bracken", "Oat", "Lichen")) {
      assertThat(group(page, "Cup " + colour)).isVisible();
    }
    button(page, "One Knob 32 more").click();
    assertThat(page.getByLabel("7 of Knob 32")).isVisible();
    assertThat(parts).not().containsText("144.8 g");
    String withSeven = parts.textContent();

    button(page, "Undo").click();
    assertThat(parts).containsText("144.8 g");
    button(page, "Redo").click();
    assertThat(parts).hasText(withSeven);
    button(page, "Save").click();
    assertThat(button(page, "Saved")).isDisabled();
    page.reload();
    assertThat(page.getByLabel("7 of Knob 32")).isVisible();
    assertThat(parts).hasText(withSeven);
  }

  @Test
  void anAssumedValueSaysHowMuchItMatters() {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", "Guessed");
    session.put("resinId", "deep-clear");
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = open(demo, "/plan/" + id);
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("values are assumed")))
        .click();
    Locator assumed =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Assumed values"));
    assertThat(assumed)
        .containsText("density of A 1.14 g/mL; if 1.08 g/mL to 1.2 g/mL, it changes");
  }

  @Test
  void theBatchCardLeadsThroughTheWeighingAndSavesAnOverPour() {
    Page page = open(demo, "/plan/" + newPantry("At the scale"));
    button(page, "Batch card").click();
    Locator card = page.getByRole(AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Batch 1"));
    assertThat(card).containsText("Pour in B");
    assertThat(card).containsText("72.4 g");
    button(page, "Done").click();
    assertThat(card).containsText("the scale shows; that is 144.8 g of A");
    assertThat(card).containsText("217.2 g");
    button(page, "zero in between").click();
    assertThat(card).containsText("then the scale back to zero");
    field(page, "A really in it").fill("150");
    field(page, "B really in it").fill("73,2");
    assertThat(card).containsText("Add 1.8 g of B");
    page.keyboard().press("Escape");
    assertThat(card).hasCount(0);
  }

  @Test
  void whatIsNotSavedYetSurvivesAReload() {
    Page page = open(demo, "/plan/" + newPantry("Half done"));
    button(page, "One Cord pull more").click();
    assertThat(page.getByLabel("3 of Cord pull")).isVisible();
    page.reload();
    assertThat(page.getByLabel("3 of Cord pull")).isVisible();
    assertThat(button(page, "Save")).isEnabled();
  }

  @Test
  void aNumberOpensHowItCameAbout() {
    Page page = open(demo, "/plan/" + newPantry("Asked about"));
    how(page, "Part A").click();
    Locator how = page.getByRole(AriaRole.DIALOG);
    assertThat(how).containsText("shared out in the label’s ratio");
    assertThat(how).containsText("parts of A, Slow casting resin 2:1");
    assertThat(how).containsText("label");
    how.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("A and B needed"))
        .click();
    assertThat(how).containsText("Harbour cup");
    page.keyboard().press("Escape");
    page.getByRole(AriaRole.STATUS).getByRole(AriaRole.BUTTON).click();
    assertThat(how).containsText("last pour ends");
    assertThat(how).containsText("working time");
    how.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("last pour ends"))
        .click();
    assertThat(how).containsText("stir");
    page.keyboard().press("Escape");
    how(page, "Part B").click();
    how.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("A and B needed"))
        .click();
    assertThat(how).containsText("assumed");
    // However much of it is opened, all of it can be reached.
    Locator deeper =
        how.getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("open$")));
    for (int i = 0; i < 6; i++) {
      deeper.last().click();
    }
    page.waitForFunction(
        "() => document.querySelector('[role=dialog]').getBoundingClientRect().bottom <= innerHeight");
  }

  @Test
  void aLatePourIsUnmistakableAndOneKeyMendsIt() {
    var session = RunningApp.demoDocument("sessions/late-switch-toggles");
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = open(demo, "/plan/" + id);
    Locator sentence = page.getByRole(AriaRole.STATUS);
    assertThat(sentence).containsText("too late");
    assertThat(page.getByText(Pattern.compile("^\\d+ too late$")).first()).isVisible();
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Rest \\d+ min instead of")))
        .click();
    assertThat(sentence).not().containsText("too late");
    button(page, "Undo").click();
    assertThat(sentence).containsText("too late");
  }

  @Test
  void badInputIsToldAtTheFieldAndLosesNothing() {
    Page page = open(demo, "/plan/" + newPantry("Mistyped"));
    button(page, "Change Bar pull").click();
    Locator pieces = field(page, "Pieces");
    Locator parts = group(page, "Batch 1, mixing");
    for (String[] typed :
        new String[][] {
          {"", "still empty"},
          {"abc", "Enter a number"},
          {"1e9", "Enter a number"},
          {"NaN", "Enter a number"},
          {"0", "between 1 and 500"},
          {"-2", "between 1 and 500"},
          {"100000", "between 1 and 500"},
          {"2.5", "whole number"},
        }) {
      pieces.fill(typed[0]);
      assertThat(pieces).hasAccessibleDescription(Pattern.compile(typed[1]));
      assertThat(pieces).hasValue(typed[0]);
      assertThat(parts).isVisible();
    }
    pieces.fill("3");
    assertThat(page.getByLabel("3 of Bar pull")).isVisible();

    Locator depth = field(page, "Depth");
    depth.fill("5,5");
    assertThat(depth).hasAccessibleDescription("");
    depth.fill("40");
    assertThat(depth).hasAccessibleDescription(Pattern.compile("more than the mould holds"));
    depth.fill("6");
    assertThat(depth).hasAccessibleDescription("");
  }

  @Test
  void aMouldRemovedWhileInUseIsToldAndCanBeUsedAsItWas() {
    demo.put("/api/moulds/fleeting", RunningApp.mould("fleeting", "Fleeting", 5));
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", "Bereft");
    ((tools.jackson.databind.node.ObjectNode) session.get("pieces").get(0))
        .put("mouldId", "fleeting");
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    demo.delete("/api/moulds/fleeting");

    Page page = open(demo, "/plan/" + id);
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("is not in the workshop");
    button(page, "Change missing mould").click();
    button(page, "Use it as it was when this session was saved").click();
    assertThat(page.getByLabel("6 of Fleeting")).isVisible();
    assertThat(group(page, "Batch 1, mixing")).isVisible();
  }

  @Test
  void fromAnEmptyWorkshopToAFirstPlan() {
    Page page = open(own, "/plan/new");
    button(page, "+ a resin").click();
    field(page, "What is on the label?").fill("Slow casting resin 2:1");
    button(page, "Put it on the shelf").click();
    assertThat(page.getByText("Choose a resin")).hasCount(0);
    button(page, "+ a mould").click();
    Locator form =
        page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("Add a mould"));
    field(page, "A new mould: its name").fill("Bell push");
    button(page, "Put it on the board").click();
    assertThat(form).containsText("How much it holds");
    field(page, "Holds").fill("0");
    button(page, "Put it on the board").click();
    assertThat(form).containsText("between 0.05 and 20000");
    field(page, "Holds").fill("8,1");
    form.getByLabel("Pieces").fill("4");
    button(page, "Put it on the board").click();
    assertThat(page.getByLabel("4 of Bell push")).isVisible();
    assertThat(group(page, "Batch 1, mixing")).containsText("B first, then A");
    field(page, "Name of the session").fill("Bell pushes");
    button(page, "Save").click();
    assertThat(button(page, "Saved")).isDisabled();
    link(page, "Sessions").click();
    assertThat(link(page, "Bell pushes")).isVisible();
  }

  @Test
  void justMixGivesGramsAndARunningClockAndKeepsThem() {
    Page page = open(own, "/mix");
    field(page, "A and B together").fill("84");
    button(page, "Go").click();
    assertThat(group(page, "Part A")).containsText("56.0 g");
    assertThat(group(page, "Part B")).containsText("28.0 g");
    Locator clock = page.getByRole(AriaRole.TIMER);
    String before = clock.textContent();
    assertThat(clock).not().hasText(before);
    page.reload();
    assertThat(group(page, "Part A")).containsText("56.0 g");
    button(page, "Mixed: start the clock").click();
    assertThat(clock).containsText("A met B at");
    // Kept only when it is asked for.
    assertThat(own.get("/api/sessions").body().toString()).doesNotContain("Mix of 84 g");
    button(page, "Keep this mix").click();
    assertThat(button(page, "Keep this mix")).hasCount(0);
    link(page, "Sessions").click();
    assertThat(link(page, "Mix of 84 g")).isVisible();
  }

  @Test
  void aSessionSavedAsAFileOpensInAnotherWorkshop() throws java.io.IOException {
    Page page = open(demo, "/plan/" + newPantry("To be sent"));
    Locator parts = group(page, "Batch 1, mixing");
    assertThat(parts).containsText("144.8 g");
    String here = parts.textContent();
    Path file = data.resolve("sent.json");
    page.waitForDownload(() -> button(page, "Save as a file").click()).saveAs(file);

    Page there = open(own, "/sessions");
    there.getByLabel("Open a session file").setInputFiles(file);
    assertThat(group(there, "Batch 1, mixing")).hasText(here);

    Path broken = data.resolve("broken.json");
    String text = java.nio.file.Files.readString(file);
    java.nio.file.Files.writeString(broken, text.replace("\"count\": 6", "\"count\": \"six\""));
    there.navigate(own.url("/sessions"));
    there.getByLabel("Open a session file").setInputFiles(broken);
    assertThat(there.getByRole(AriaRole.ALERT)).containsText("whole number");
  }

  @Test
  void aRemovedSessionCanBeBroughtBack() {
    newPantry("Not so fast");
    Page page = open(demo, "/sessions");
    button(page, "Remove Not so fast").click();
    Locator link = link(page, "Not so fast");
    assertThat(link).hasCount(0);
    button(page, "Bring it back").click();
    assertThat(link).hasCount(1);
  }

  @Test
  void savingWhatAnotherWindowSavedSaysSoAndKeepsBoth() {
    String id = newPantry("Two windows");
    Page one = open(demo, "/plan/" + id);
    Page two = open(demo, "/plan/" + id);
    button(one, "One Knob 32 more").click();
    button(two, "One Cord pull more").click();
    button(one, "Save").click();
    assertThat(button(one, "Saved")).isDisabled();
    button(two, "Save").click();
    assertThat(two.getByRole(AriaRole.ALERT)).containsText("Another window has saved");
    button(two, "Save as another").click();
    assertThat(button(two, "Saved")).isDisabled();
    JsonNode kept = demo.get("/api/sessions/" + id).body().get("session").get("pieces");
    assertThat(kept.get(0).get("count").asInt()).isEqualTo(7);
    assertThat(kept.get(2).get("count").asInt()).isEqualTo(2);
  }

  @Test
  void usOuncesAreNamedAndNeverConfused() {
    Page page = open(demo, "/plan/" + newPantry("Across the water"));
    Locator parts = group(page, "Batch 1, mixing");
    // 144.8 g ÷ 28.349 523 125 g and 125.9 mL ÷ 29.573 529 6 mL, worked by hand.
    JsonNode before = demo.get("/api/usual").body();
    demo.put("/api/usual?revision=" + before.get("revision").asInt(), us(before.get("usual")));
    try {
      page.reload();
      assertThat(parts).containsText("5.11 oz wt");
      assertThat(parts).containsText("4.26 US fl oz");
      // Half a gram of tint is no hundredth of an ounce to anybody.
      assertThat(group(page, "Cup Harbour")).containsText("0.50 g");
      assertThat(page.getByRole(AriaRole.MAIN)).not().containsText("0.01 oz wt");
    } finally {
      JsonNode now = demo.get("/api/usual").body();
      demo.put("/api/usual?revision=" + now.get("revision").asInt(), before.get("usual"));
    }
  }

  private static JsonNode us(JsonNode usual) {
    return ((ObjectNode) usual.deepCopy()).put("units", "US");
  }

  @Test
  void theFormsDefaultsAreTheServers() {
    Page page = open(demo, "/plan/" + newPantry("As usual"));
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    JsonNode defaults = demo.get("/api/defaults").body();
    button(page, "Splitting and cups").click();
    assertThat(field(page, "Overage"))
        .hasValue(String.valueOf(defaults.at("/habits/overagePercent").asInt()));
    button(page, "Mixing").click();
    field(page, "Rest for bubbles").fill("0");
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("The last pour ends at 10:21");
    field(page, "Rest for bubbles").fill("61");
    assertThat(page.getByText("between 0 and 60")).not().hasCount(0);
  }

  @Test
  void everyScreenFitsItsWidthAndPassesTheAccessibilityRules() {
    String id = newPantry("Measured");
    for (String path : List.of("/plan/" + id, "/sessions", "/mix")) {
      Page page = browser.page(1280, 800);
      page.navigate(demo.url(path));
      page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)).waitFor();
      if (path.contains("plan")) {
        group(page, "Batch 1, mixing").waitFor();
        button(page, "Change Bar pull").click();
      }
      Seen.readableOnAnyWidth(page, path);
      page.context().close();
    }
  }

  /** What only a programmer says, and a number that is none. */
  @Test
  void noScreenSaysUndefined() {
    List<String> screens = new java.util.ArrayList<>();
    for (JsonNode session : demo.get("/api/sessions").body()) {
      screens.add("plan/" + session.get("id").asString());
    }
    for (String shelf :
        "resins bottles colourants colours embeds cups tools designs".split(" ", -1)) {
      screens.add("shelf/" + shelf);
    }
    screens.addAll(List.of("today", "sessions", "mix", "moulds", "pour", "practice", "first"));
    Page page = open(demo, "/today");
    for (String screen : screens) {
      // As a link within does it: the page is not loaded anew.
      page.evaluate(
          "to => { history.pushState(null, '', to); dispatchEvent(new PopStateEvent('popstate')); }",
          "/" + screen);
      page.getByRole(AriaRole.NAVIGATION).first().waitFor();
      // Ways out of a late evening are looked for meanwhile.
      browser.quiet(page);
      assertThat(page.locator("body").innerText())
          .as(screen)
          .doesNotContainPattern("\\b(undefined|NaN|null|Infinity)\\b|\\[object");
    }
  }

  @Test
  void thePrintForTheBenchHasEveryPourAndNoButtons() {
    Page page = open(demo, "/plan/" + newPantry("On paper"));
    group(page, "Batch 1, mixing").waitFor();
    page.emulateMedia(
        new Page.EmulateMediaOptions().setMedia(com.microsoft.playwright.options.Media.PRINT));
    assertThat(page.getByRole(AriaRole.BUTTON)).hasCount(0);
    Locator rows = page.getByRole(AriaRole.TABLE).nth(1).getByRole(AriaRole.ROW);
    // 6 knobs, 4 bar pulls and 2 cord pulls in two layers, one bell push in one and one in two.
    assertThat(rows).hasCount(1 + 12 + 8 + 4 + 1 + 2);
    assertThat(page.getByText("safety data sheet").last()).isVisible();
  }

  /** A closed mould says a long line with its pour; a layer of three colours takes some of each. */
  @Test
  void thePrintFitsItsPaperAndNamesEveryColour() {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", "On narrow paper");
    session.set(
        "pieces",
        RunningApp.JSON.readTree(
            """
            [{"mouldId":"ring-pull","count":1,"layers":[{"colourId":"harbour"}]},
             {"mouldId":"knob-32","count":1,"layers":[{"colourId":"clear","meeting":"IN_SPOTS",
              "beside":[{"colourId":"bracken","share":0.3},{"colourId":"oat","share":0.3}]}]}]
            """));
    Page page =
        open(demo, "/plan/" + demo.post("/api/sessions", session).body().get("id").asString());
    group(page, "Batch 1, mixing").waitFor();
    // A4 between its margins.
    page.setViewportSize(718, 1_000);
    page.emulateMedia(
        new Page.EmulateMediaOptions().setMedia(com.microsoft.playwright.options.Media.PRINT));
    assertThat(page.getByText("then press the lid over its keys").last()).isVisible();
    assertThat(page.evaluate("document.documentElement.scrollWidth")).isEqualTo(718);
    assertThat(
            page.getByText(
                Pattern.compile("^Clear \\d\\.\\d g, Bracken \\d\\.\\d g, Oat \\d\\.\\d g$")))
        .isVisible();
  }

  @Test
  void whenTheServerIsGoneTheScreenSaysSoAndKeepsWhatWasTyped() {
    RunningApp brief = RunningApp.demo(data.resolve("brief"));
    Page page = open(brief, "/");
    group(page, "Batch 1, mixing").waitFor();
    brief.close();
    button(page, "One Knob 32 more").click();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("does not answer");
    assertThat(page.getByLabel("7 of Knob 32")).isVisible();
  }
}
