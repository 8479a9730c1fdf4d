package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The bench notices what is wrong, and no key skips a warning. */
class BenchJudgementTest extends BenchScreens {
  private static boolean inside(Page page) {
    return (Boolean) page.evaluate("document.activeElement.closest('[data-over]') !== null");
  }

  /** B is a fifth too much: the step behind the rescue is not what space finishes. */
  @Test
  void atTheRescueAKeyDoesNotFinishTheStepBehindIt() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    tell(run, "DONE", second, step(run, second).get("targetG").asDouble() * 1.2);
    Page page = bench(run);
    Locator told = page.getByRole(AriaRole.MAIN);
    assertThat(told).containsText("Too much");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    page.keyboard().press("Enter");
    page.waitForTimeout(300);
    assertThat(told).containsText("Too much");
    assertThat(step(run, "batch/1/STIR").get("status").asString()).isEqualTo("TO_DO");
    assertThat(state(run).has("rescue")).isTrue();
    button(page, "Added").focus();
    page.keyboard().press("Enter");
    assertThat(told).not().containsText("Too much");
    page.waitForCondition(() -> !state(run).has("rescue"));
  }

  @Test
  void aRatioLeftAsItIsStaysAnsweredAfterAReload() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    tell(run, "DONE", second, step(run, second).get("targetG").asDouble() * 1.2);
    Page page = bench(run);
    button(page, "Leave it").click();
    assertThat(page.getByRole(AriaRole.MAIN)).not().containsText("Too much");
    page.waitForCondition(() -> state(run).get("checked").toString().contains("RATIO/1"));
    page.reload();
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Stir");
    assertThat(page.getByRole(AriaRole.MAIN)).not().containsText("Too much");
  }

  /** Nothing behind it is reached, and neither an early nor a held key answers it. */
  @Test
  void whatLiesOverTheBenchHasTheKeys() {
    String run = begun();
    upTo(run, "POUR");
    String cup = state(run).get("cups").get(0).get("cupId").asString();
    Page page = bench(run);
    page.waitForTimeout(MEANT_MS);
    tell(run, "HOT", cup, null);
    Locator told = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(told).containsText("getting hot");
    for (String key : List.of(" ", "Enter", "Escape")) {
      page.keyboard().press(key);
    }
    page.waitForTimeout(MEANT_MS);
    for (String key : List.of(" ", "Enter", "Escape")) {
      page.keyboard().press(key);
    }
    assertThat(told).isVisible();
    for (int i = 0; i < 25; i++) {
      page.keyboard().press("Tab");
      assertThat(inside(page)).isTrue();
    }
    String next = state(run).get("currentId").asString();
    button(page, "It is outdoors; go on").focus();
    page.keyboard().press("Enter");
    assertThat(told).hasCount(0);
    assertThat(state(run).get("currentId").asString()).isEqualTo(next);
    page.waitForCondition(() -> state(run).get("checked").toString().contains("HOT/" + cup));
    page.reload();
    page.getByRole(AriaRole.MAIN).getByRole(AriaRole.HEADING).first().waitFor();
    assertThat(told).hasCount(0);
    // It gets hot once more: that was not answered yet.
    tell(run, "HOT", cup, null);
    assertThat(told).containsText("getting hot");
  }

  @Test
  void aTickIsTakenBack() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    Page page = bench(run);
    Locator gloves =
        page.getByRole(
            AriaRole.CHECKBOX,
            new Page.GetByRoleOptions().setName(Pattern.compile("Gloves and glasses")));
    gloves.focus();
    page.keyboard().press(" ");
    assertThat(gloves).isChecked();
    page.keyboard().press(" ");
    assertThat(gloves).not().isChecked();
    page.waitForCondition(() -> state(run).get("checked").isEmpty());
  }

  @Test
  void theKeypadSaysWhatWasPlannedAndNobodyPoursMoreThanIsThere() {
    String run = begun();
    String pour = upTo(run, "POUR");
    JsonNode step = step(run, pour);
    Page page = bench(run);
    button(page, "Other weight").click();
    Locator pad =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What the scale says"));
    assertThat(pad).containsText("planned");
    // Typed at once, without a click into it.
    page.keyboard().type("900");
    assertThat(pad).containsText("has no more in it than");
    assertThat(button(page, "That is what is in")).isDisabled();
    for (int i = 0; i < 3; i++) {
      page.keyboard().press("Backspace");
    }
    double grams = Math.floor(step.get("targetG").asDouble() * 10) / 10;
    page.keyboard().type(String.valueOf(grams));
    page.keyboard().press("Enter");
    page.waitForCondition(() -> step(run, pour).get("status").asString().equals("DONE"));
    assertThat(step(run, pour).get("grams").asDouble()).isEqualTo(grams);
  }

  /** B wanted so much and the scale shows half of it: asked about, not taken in silence. */
  @Test
  void aWeightIsLookedAtBeforeItIsBelieved() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    double wanted = step(run, second).get("targetG").asDouble();
    Page page = bench(run);
    button(page, "Other weight").click();
    page.keyboard().type(String.valueOf((int) (wanted * 0.6)));
    page.keyboard().press("Enter");
    Locator asked = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(asked).containsText("too little");
    assertThat(step(run, second).get("status").asString()).isEqualTo("TO_DO");
    page.waitForTimeout(MEANT_MS);
    button(page, "Fill up to").click();
    assertThat(asked).hasCount(0);
    assertThat(step(run, second).get("status").asString()).isEqualTo("TO_DO");
  }

  /** Two thirds of A: said how many pours that costs, and then exactly these fall away. */
  @Test
  void aSmallerBatchSaysWhichPoursFallAway() {
    String run = begun();
    String first = upTo(run, "WEIGH_FIRST");
    double wanted = step(run, first).get("targetG").asDouble();
    Page page = bench(run);
    button(page, "Other weight").click();
    page.keyboard().type(String.valueOf((int) (wanted * 0.66)));
    page.keyboard().press("Enter");
    Locator asked = page.getByRole(AriaRole.ALERTDIALOG);
    Locator less =
        asked.getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions()
                .setName(Pattern.compile("^Make less: \\d+ pours? falls? away$")));
    less.waitFor();
    int falls = Integer.parseInt(less.innerText().replaceAll("\\D", ""));
    page.waitForTimeout(MEANT_MS);
    less.click();
    page.waitForCondition(() -> step(run, first).get("status").asString().equals("DONE"));
    tell(run, "DONE", upTo(run, "WEIGH_SECOND"), null);
    long lost =
        state(run)
            .get("steps")
            .valueStream()
            .filter(s -> s.get("kind").asString().equals("POUR"))
            .filter(s -> s.get("status").asString().equals("LOST"))
            .count();
    assertThat(lost).isEqualTo(falls).isPositive();
  }

  /** From the first tick to the large key of the list, and through what an absence leaves. */
  @Test
  void listAndOverlaysWorkByKeyboardAlone() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    Page page = bench(run);
    page.getByRole(AriaRole.CHECKBOX).first().waitFor();
    int ticks = page.getByRole(AriaRole.CHECKBOX).count();
    int ticked = 0;
    for (int i = 0; i < 60 && !page.locator("main h2").innerText().contains("mixing cup"); i++) {
      page.keyboard().press("Tab");
      String role = (String) page.evaluate("document.activeElement.getAttribute('role') ?? ''");
      String words = (String) page.evaluate("document.activeElement.innerText ?? ''");
      if (role.equals("checkbox")) {
        page.keyboard().press(" ");
        ticked++;
      } else if (words.contains("Everything is ready")) {
        page.keyboard().press("Enter");
        page.waitForTimeout(300);
      }
    }
    assertThat(ticked).isEqualTo(ticks);
    upTo(run, "POUR");
    tell(run, "AWAY", null, null);
    answered(page, "I am back");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("can still be made");
    answered(page, "Go on");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).hasCount(0);
    assertThat(state(run).has("awaySinceSeconds")).isFalse();
  }

  /** Tabs to a key of what lies over the bench, and presses it. */
  private static void answered(Page page, String key) {
    page.getByRole(AriaRole.ALERTDIALOG)
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(key).setExact(true))
        .waitFor();
    page.waitForTimeout(MEANT_MS);
    for (int i = 0; i < 12; i++) {
      page.keyboard().press("Tab");
      if (key.equals(page.evaluate("document.activeElement.innerText"))) {
        page.keyboard().press("Enter");
        return;
      }
    }
    throw new AssertionError("never comes to " + key);
  }

  /** Half of B: the cups share what there is, and nothing more is asked for. */
  @Test
  void whatABatchCannotGiveIsNotAskedFor() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    tell(run, "DONE", second, step(run, second).get("targetG").asDouble() * 0.6);
    double there = 0;
    for (JsonNode step : state(run).get("steps")) {
      there +=
          step.get("kind").asString().startsWith("WEIGH") && step.get("batch").asInt() == 1
              ? step.get("grams") == null
                  ? step.get("targetG").asDouble()
                  : step.get("grams").asDouble()
              : 0;
    }
    double split = 0;
    for (JsonNode step : state(run).get("steps")) {
      boolean its = step.get("kind").asString().equals("SPLIT") && step.get("batch").asInt() == 1;
      split += its ? step.get("targetG").asDouble() : 0;
    }
    assertThat(split).isPositive().isLessThanOrEqualTo(there + 1e-6);
    for (int i = 0; i < 60 && state(run).has("currentId"); i++) {
      JsonNode next = step(run, state(run).get("currentId").asString());
      if (next.get("kind").asString().equals("POUR")) {
        double left = 0;
        for (JsonNode cup : state(run).get("cups")) {
          left = cup.get("cupId").equals(next.get("cupId")) ? cup.get("leftG").asDouble() : left;
        }
        assertThat(next.get("targetG").asDouble()).isLessThanOrEqualTo(left + 1e-6);
      }
      tell(run, "DONE", next.get("taskId").asString(), null);
    }
  }

  @Test
  void aScaleThatShowsNothingHasNotWeighed() {
    String run = begun();
    upTo(run, "WEIGH_FIRST");
    String first = state(run).get("currentId").asString();
    demo.post("/api/devices/simulated", Map.of("putG", 0));
    demo.post("/api/devices/tare", Map.of());
    Page page = bench(run);
    assertThat(page.getByRole(AriaRole.METER)).isVisible();
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    Locator asked = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(asked).containsText("The scale shows");
    page.waitForTimeout(MEANT_MS);
    button(page, "Done without the scale").click();
    page.waitForCondition(() -> step(run, first).get("status").asString().equals("DONE"));
    assertThat(step(run, first).has("grams")).isFalse();
  }
}
