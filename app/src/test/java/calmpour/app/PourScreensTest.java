package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The bench, driven as gloves drive it. */
class PourScreensTest extends DemoScreens {
  /** A little longer than a sleeve is ignored for, ms. */
  private static final Pattern UNDO = Pattern.compile("^Undo");

  private static final int SLEEVE_MS = 450;

  @BeforeEach
  void nothingIsWeighed() {
    demo.post("/api/devices/simulated", Map.of("plugged", false));
  }

  @AfterEach
  void theClockGoesAsItShould() {
    demo.put("/api/clock", Map.of("speed", 1));
    demo.post("/api/devices/simulated", Map.of("plugged", true));
  }

  private static String begun() {
    return demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
  }

  /** The same colours and layers in fewer cavities. */
  private static String begunSmall() {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    for (JsonNode piece : session.get("pieces")) {
      ((ObjectNode) piece).put("count", 1);
    }
    return demo.begin(session).body().get("id").asString();
  }

  private static Page bench(String run, int width, int height) {
    Page page = browser.page(width, height);
    page.navigate(demo.url("/pour/" + run));
    page.getByText("Before anything is opened").first().waitFor();
    return page;
  }

  private static void ready(Page page) {
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("ready|Go on all the same")))
        .click();
    heading(page).waitFor();
  }

  private static Locator heading(Page page) {
    return page.getByRole(AriaRole.MAIN)
        .getByRole(AriaRole.HEADING, new Locator.GetByRoleOptions().setLevel(2));
  }

  private static Locator large(Page page) {
    return page.getByRole(
        AriaRole.BUTTON,
        new Page.GetByRoleOptions()
            .setName(
                Pattern.compile(
                    "^(Weighed|Stirred|Stirred again|Filled|Tinted|Both are in|All \\d are in|Poured|Done|Covered|Clean|Shut|Go on now)( space)?$")));
  }

  private static JsonNode state(String run) {
    return demo.get("/api/runs/" + run + "/state").body().get("state");
  }

  /** Until nothing is left of the kind of work that is done in one go. */
  private static void wholeSession(Page page, String run, Runnable next) {
    for (int i = 0; i < 90; i++) {
      JsonNode state = state(run);
      if (!state.has("currentId") || state.has("leavesUntil")) {
        return;
      }
      heard(page, run, next);
    }
    throw new AssertionError("the session does not end");
  }

  /** A key that comes before its step is drawn is not meant for it: on a busy machine once more. */
  private static void heard(Page page, String run, Runnable next) {
    int told = told(run);
    for (int turn = 1; ; turn++) {
      page.waitForTimeout(SLEEVE_MS);
      next.run();
      try {
        allTheSame(page, () -> told(run) > told);
        page.waitForCondition(() -> told(run) > told);
        return;
      } catch (TimeoutError unheard) {
        if (turn == MOST_TURNS) {
          throw unheard;
        }
      }
    }
  }

  private static final int MOST_TURNS = 3;

  private static int told(String run) {
    return demo.get("/api/runs/" + run + "/state").body().get("told").asInt();
  }

  /** A rest that is cut short is asked about; answered, unless the step is taken before. */
  private static void allTheSame(Page page, BooleanSupplier taken) {
    Locator early = page.getByRole(AriaRole.ALERTDIALOG, named("Is that early?"));
    page.waitForCondition(() -> taken.getAsBoolean() || early.isVisible());
    if (early.isVisible()) {
      early
          .getByRole(
              AriaRole.BUTTON,
              new Locator.GetByRoleOptions().setName(Pattern.compile("all the same$")))
          .click();
    }
  }

  private static Locator undo(Page page) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(UNDO));
  }

  private static void press(Page page, String run) {
    int told = told(run);
    page.waitForTimeout(SLEEVE_MS);
    page.keyboard().press(" ");
    allTheSame(page, () -> told(run) > told);
    page.waitForCondition(() -> told(run) > told);
  }

  private static void everythingWasPoured(String run, int atLeast) {
    int pours = 0;
    for (JsonNode step : state(run).get("steps")) {
      if (step.get("kind").asString().equals("POUR")) {
        pours++;
        assertThat(step.get("status").asString()).isEqualTo("DONE");
      }
    }
    assertThat(pours).isGreaterThanOrEqualTo(atLeast);
  }

  @Test
  void aWholeLayeredSessionByKeyboardAlone() {
    String run = begunSmall();
    Page page = bench(run, 1280, 800);
    demo.put("/api/clock", Map.of("speed", 10));
    // From the list before anything is opened to its large key, and on.
    for (int i = 0; i < 40 && heading(page).textContent().contains("Before"); i++) {
      page.keyboard().press("Tab");
      String focus =
          (String) page.evaluate("document.activeElement ? document.activeElement.innerText : ''");
      if (focus.contains("Go on all the same") || focus.contains("Everything is ready")) {
        page.keyboard().press("Enter");
        break;
      }
    }
    assertThat(heading(page)).containsText("mixing cup");
    wholeSession(page, run, () -> page.keyboard().press(" "));
    everythingWasPoured(run, 8);
  }

  @Test
  void aWholeLayeredSessionByTouchAlone() {
    String run = begunSmall();
    Page page = bench(run, 390, 844);
    demo.put("/api/clock", Map.of("speed", 10));
    page.getByRole(AriaRole.CHECKBOX).first().click();
    assertThat(page.getByRole(AriaRole.CHECKBOX).first()).isChecked();
    ready(page);
    wholeSession(
        page,
        run,
        () -> {
          // Never a scroll, whatever the step is.
          assertThat(
                  (Boolean)
                      page.evaluate(
                          "document.documentElement.scrollHeight <= window.innerHeight + 1"
                              + " && document.documentElement.scrollWidth <= window.innerWidth + 1"))
              .isTrue();
          large(page).click();
        });
    everythingWasPoured(run, 8);
  }

  @Test
  void twoTapsWithinABlinkAreOne() {
    String run = begun();
    Page page = bench(run, 1280, 800);
    ready(page);
    page.waitForTimeout(SLEEVE_MS);
    String first = state(run).get("currentId").asString();
    page.keyboard().press(" ");
    page.keyboard().press(" ");
    page.waitForCondition(() -> !state(run).get("currentId").asString().equals(first));
    page.waitForTimeout(SLEEVE_MS);
    int done = 0;
    for (JsonNode step : state(run).get("steps")) {
      done += step.get("status").asString().equals("DONE") ? 1 : 0;
    }
    assertThat(done).isEqualTo(1);
    undo(page).click();
    page.waitForCondition(() -> state(run).get("currentId").asString().equals(first));
  }

  @Test
  void twoBrowsersShowOneRunAndAStepCountsOnce() {
    String run = begun();
    Page one = bench(run, 1280, 800);
    Page two = bench(run, 768, 1024);
    ready(one);
    assertThat(heading(two)).containsText("mixing cup");
    one.waitForTimeout(SLEEVE_MS);
    one.keyboard().press(" ");
    assertThat(heading(one)).containsText("on top of it");
    assertThat(heading(two)).containsText("on top of it");
    // Cut off, the second goes on by itself and tells it when it is back.
    two.context().setOffline(true);
    two.waitForTimeout(SLEEVE_MS);
    large(two).click();
    assertThat(two.getByRole(AriaRole.ALERT)).containsText("Not connected");
    assertThat(heading(two)).containsText("Stir");
    one.keyboard().press(" ");
    assertThat(heading(one)).containsText("Stir");
    two.context().setOffline(false);
    assertThat(two.getByRole(AriaRole.ALERT)).containsText("already");
    int done = 0;
    for (JsonNode step : state(run).get("steps")) {
      done += step.get("status").asString().equals("DONE") ? 1 : 0;
    }
    assertThat(done).isEqualTo(2);
  }

  @Test
  void steppedAwayForLongSaysWhatIsLostAndWhatToDoWithIt() {
    // A resin that gels in minutes, so that nobody has to wait for the slow one.
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    session.put("resinId", "quick-casting");
    // It gets hot, which is asked about before the work begins.
    assertThat(demo.begin(session).status()).isEqualTo(422);
    String run =
        demo.post("/api/runs", Map.of("session", session, "heatSeen", true, "mouldsEmpty", true))
            .body()
            .get("id")
            .asString();
    Page page = bench(run, 1280, 800);
    ready(page);
    for (int i = 0; i < 16; i++) {
      press(page, run);
    }
    button(page, "Stepped away").click();
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("Away for");
    JsonNode told = state(run);
    int gels = told.get("cups").get(0).get("gelsSeconds").asInt() - told.get("atSeconds").asInt();
    demo.put("/api/clock", Map.of("speed", 120, "aheadSeconds", gels - 60));
    page.waitForCondition(
        () -> state(run).get("cups").get(0).get("state").asString().equals("GELLED"),
        new Page.WaitForConditionOptions().setTimeout(120_000));
    demo.put("/api/clock", Map.of("speed", 1));
    button(page, "I am back").click();
    Locator left =
        page.getByRole(
            AriaRole.ALERTDIALOG, new Page.GetByRoleOptions().setName("What can still be poured"));
    // First what has become of the cups, then what is left to do.
    Locator gone =
        page.getByRole(AriaRole.ALERTDIALOG, new Page.GetByRoleOptions().setName("A cup has gone"));
    assertThat(gone).containsText("lost");
    gone.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("hat is left to do$")))
        .click();
    assertThat(left).containsText("Lost: their cup no longer pours");
    assertThat(left).containsText(Pattern.compile("let it cure, then|is hot: outdoors"));
    // A reload comes back to the same step.
    button(page, "Go on").click();
    String before = heading(page).textContent();
    page.reload();
    assertThat(heading(page)).hasText(before);
  }

  @Test
  void theScaleFillsItsBarAndAnOverPourIsRescued() {
    String run = begun();
    demo.post("/api/devices/simulated", Map.of("plugged", true));
    Page page = bench(run, 1280, 800);
    ready(page);
    double target = state(run).get("steps").get(0).get("targetG").asDouble();
    demo.post("/api/devices/simulated", Map.of("putG", 0));
    demo.post("/api/devices/tare", Map.of());
    page.waitForTimeout(500);
    demo.post("/api/devices/simulated", Map.of("putG", target));
    assertThat(page.getByRole(AriaRole.METER))
        .hasAttribute("aria-valuetext", Pattern.compile("enough"));
    page.keyboard().press(" ");
    assertThat(heading(page)).containsText("on top of it");
    page.waitForTimeout(800);
    demo.post("/api/devices/simulated", Map.of("putG", target + target * 2 * 1.25));
    assertThat(page.getByRole(AriaRole.METER))
        .hasAttribute("aria-valuetext", Pattern.compile("too much"));
    page.keyboard().press(" ");
    button(page, "That much is in").click();
    assertThat(heading(page)).containsText("Too much");
    button(page, "Added").click();
    assertThat(heading(page)).containsText("Stir");
    assertThat(state(run).has("rescue")).isFalse();
  }

  @Test
  void aCupThatGetsHotComesBeforeEverythingElse() {
    String run = begun();
    Page page = bench(run, 1280, 800);
    ready(page);
    for (int i = 0; i < 10; i++) {
      press(page, run);
    }
    String cup = state(run).get("cups").get(0).get("cupId").asString();
    demo.post(
        "/api/runs/" + run + "/events",
        Map.of(
            "events",
            List.of(
                Map.of(
                    "id",
                    "h",
                    "at",
                    "2099-01-01T00:00:00Z",
                    "kind",
                    "WARMTH",
                    "of",
                    cup,
                    "value",
                    71))));
    Locator told = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(told).containsText("getting hot");
    assertThat(told).containsText("safety data sheet");
    button(page, "It is outdoors; go on").click();
    assertThat(told).hasCount(0);
  }

  @Test
  void theKeypadTakesWeightsAndNothingElse() {
    String run = begun();
    Page page = bench(run, 1280, 800);
    ready(page);
    button(page, "Other weight").click();
    Locator takes = button(page, "That is what is in");
    assertThat(takes).isDisabled();
    Locator pad = page.getByRole(AriaRole.GROUP, named("What the scale says"));
    pad.getByRole(AriaRole.BUTTON, exactly("0")).click();
    assertThat(pad).containsText("0 is not a weight");
    assertThat(takes).isDisabled();
    for (int i = 0; i < 6; i++) {
      pad.getByRole(AriaRole.BUTTON, exactly("9")).click();
    }
    assertThat(pad).containsText("The mixing cup holds no more than");
    assertThat(takes).isDisabled();
    for (int i = 0; i < 9; i++) {
      page.keyboard().press("Backspace");
    }
    // Letters, a sign, two points: a keyboard that lies beside the gloves does no harm.
    page.keyboard().type("-1x2,5");
    assertThat(pad).containsText("12.5");
    page.keyboard().press(".");
    assertThat(pad).containsText("That is no number.");
    page.keyboard().press("Backspace");
    takes.click();
    // Far off what was planned: asked about once.
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("too little");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^(That is right|Make less)")))
        .click();
    assertThat(heading(page)).containsText("on top of it");
    assertThat(state(run).get("steps").get(0).get("grams").asDouble()).isEqualTo(12.5);
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  private static Locator.GetByRoleOptions exactly(String name) {
    return new Locator.GetByRoleOptions().setName(name).setExact(true);
  }

  @Test
  void aCupThatIsFeltToGetHotIsNamedWithTwoKeys() {
    String run = begun();
    Page page = bench(run, 1280, 800);
    ready(page);
    for (int i = 0; i < 10; i++) {
      press(page, run);
    }
    button(page, "Gets hot").click();
    page.getByRole(AriaRole.DIALOG, named("Which cup gets hot?"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Harbour"))
        .click();
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("Harbour is getting hot");
    button(page, "It is outdoors; go on").click();
    // What was to be poured from it is not asked for any more.
    for (JsonNode step : state(run).get("steps")) {
      if (step.get("kind").asString().equals("POUR")
          && step.get("status").asString().equals("TO_DO")) {
        assertThat(step.get("cupId").asString()).isNotEqualTo(hotCup(run));
      }
    }
    undo(page).click();
    page.waitForCondition(() -> hotCup(run) == null);
  }

  private static String hotCup(String run) {
    for (JsonNode cup : state(run).get("cups")) {
      if (cup.get("hot").asBoolean()) {
        return cup.get("cupId").asString();
      }
    }
    return null;
  }

  @Test
  void thePotIsLoggedBeforeItIsShut() {
    ObjectNode session = RunningApp.demoDocument("sessions/fern-bell-pushes");
    session.withArray("pieces").remove(0);
    ((ObjectNode) session.at("/pieces/0/work")).put("curing", "PRESSURE_POT");
    ((ObjectNode) session.at("/pieces/0/layers/0")).remove("embeds");
    String run = demo.begin(session).body().get("id").asString();
    for (int i = 0; i < 60; i++) {
      JsonNode state = state(run);
      String next = state.get("currentId").asString();
      if (next.endsWith("LOAD_POT")) {
        break;
      }
      tellDone(run, next);
    }
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/pour/" + run));
    assertThat(heading(page)).containsText("pot");
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("witness cup");
    button(page, "Rated for…").click();
    type(page, "3");
    button(page, "Relief valve works").click();
    button(page, "Set to…").click();
    type(page, "3.5");
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("above its rating");
    button(page, "Set to 3.5 bar").click();
    type(page, "2.5");
    assertThat(page.getByRole(AriaRole.ALERT)).hasCount(0);
    page.waitForTimeout(SLEEVE_MS);
    String before = heading(page).textContent();
    large(page).click();
    assertThat(heading(page)).not().hasText(before);
    page.navigate(demo.url("/pour/" + run + "/record"));
    Locator log = page.getByRole(AriaRole.REGION, named("Pressure pot"));
    assertThat(log).containsText("rated 3 bar");
    assertThat(log).containsText("relief valve seen to work");
    assertThat(log).containsText("set to 2.5 bar");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions()
                .setName(Pattern.compile("^Pot of batch \\d: emptied and opened$")))
        .click();
    assertThat(log).containsText("emptied and opened");
  }

  private static void type(Page page, String bar) {
    page.getByRole(AriaRole.DIALOG)
        .getByRole(AriaRole.BUTTON, exactly(bar.substring(0, 1)))
        .click();
    page.keyboard().type(bar.substring(1));
    button(page, "That is it").click();
  }

  private static void tellDone(String run, String task) {
    demo.post(
        "/api/runs/" + run + "/events",
        Map.of(
            "events",
            List.of(
                Map.of(
                    "id",
                    UUID.randomUUID().toString(),
                    "at",
                    "2099-01-01T00:00:00Z",
                    "kind",
                    "DONE",
                    "of",
                    task))));
  }

  @Test
  void eachOfTwoPairsOfHandsHasItsOwnStepsOnItsOwnScreen() {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    session.putObject("habits").putObject("planning").put("pairsOfHands", 2);
    String run = demo.begin(session).body().get("id").asString();
    Page page = bench(run, 1280, 800);
    ready(page);
    button(page, "Both pairs of hands").click();
    button(page, "First pair of hands").click();
    assertThat(button(page, "Second pair of hands")).isVisible();
    String helpers = null;
    for (JsonNode step : state(run).get("steps")) {
      if (helpers == null && step.get("hands").asBoolean() && step.get("pair").asInt() == 1) {
        helpers = step.get("taskId").asString();
      }
    }
    assertThat(helpers).isNotEqualTo(state(run).get("currentId").asString());
    press(page, run);
    String theirs = helpers;
    page.waitForCondition(() -> {
      for (JsonNode step : state(run).get("steps")) {
        if (step.get("taskId").asString().equals(theirs)) {
          return step.get("status").asString().equals("DONE");
        }
      }
      return false;
    });
  }
}
