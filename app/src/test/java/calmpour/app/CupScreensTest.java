package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.choose;
import static calmpour.app.Seen.field;
import static calmpour.app.Seen.group;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The cups as the heart of the plan: carried, put together, split, made stronger, tinted more. */
class CupScreensTest extends DemoScreens {
  private static Page pantry(String name, int width) {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", name);
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = browser.page(width, 800);
    page.navigate(demo.url("/plan/" + id));
    group(page, "Batch 1, mixing").waitFor();
    return page;
  }

  private static Locator cup(Page page, String colour) {
    // Several of one colour are counted.
    return page.getByRole(
        AriaRole.GROUP,
        new Page.GetByRoleOptions().setName(Pattern.compile("^Cup " + colour + "( \\d)?$")));
  }

  private static Locator portion(Page page, String words) {
    return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(": " + words));
  }

  private static void drag(Page page, Locator from, Locator to) {
    BoundingBox a = from.boundingBox();
    BoundingBox b = to.boundingBox();
    page.mouse().move(a.x + a.width / 2, a.y + a.height / 2);
    page.mouse().down();
    page.mouse().move(a.x + a.width / 2 + 20, a.y + a.height / 2 + 4);
    page.mouse().move(b.x + b.width / 2, b.y + 60);
    page.mouse().up();
  }

  @Test
  void aLayerDraggedToAnotherColourIsPouredInThatColour() {
    Page page = pantry("Dragged", 1280);
    drag(page, portion(page, "1 × Bell push, from Bracken"), cup(page, "Oat"));
    assertThat(portion(page, "1 × Bell push, from Oat")).isVisible();
    assertThat(portion(page, "1 × Bell push, from Bracken")).hasCount(0);
    button(page, "Undo").click();
    assertThat(portion(page, "1 × Bell push, from Bracken")).isVisible();
  }

  @Test
  void aCupSplitByHandStaysSplitUntilItIsReleased() {
    Page page = pantry("Split", 1280);
    button(page, "Open the Harbour cup").click();
    button(page, "Split in two").click();
    assertThat(cup(page, "Harbour")).hasCount(2);
    assertThat(cup(page, "Harbour").first()).containsText("by hand");
    // Whatever else is planned anew.
    button(page, "One Bar pull more").click();
    assertThat(page.getByLabel("5 of Bar pull")).isVisible();
    assertThat(cup(page, "Harbour")).hasCount(2);
    button(page, "Save").click();
    assertThat(button(page, "Saved")).isDisabled();
    page.reload();
    assertThat(cup(page, "Harbour")).hasCount(2);
    assertThat(cup(page, "Harbour").nth(1)).containsText("3 Knob 32, 1st");
    // Dragged together again, and then left to the plan.
    drag(page, button(page, "Open the Harbour 1 cup"), cup(page, "Harbour").nth(1));
    assertThat(cup(page, "Harbour")).hasCount(1);
    assertThat(cup(page, "Harbour")).containsText("6 Knob 32, 1st");
    button(page, "Open the Harbour cup").click();
    button(page, "Release this cup").click();
    assertThat(cup(page, "Harbour")).not().containsText("by hand");
  }

  @Test
  void withKeysALayerGetsACupOfItsOwnAndAnotherKind() {
    Page page = pantry("By keys", 1280);
    button(page, "Open the Clear cup").focus();
    page.keyboard().press("Enter");
    button(page, "Move to… 2 × Cord pull, second layer").press("Enter");
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("a cup of its own"))
        .press("Enter");
    assertThat(cup(page, "Clear")).hasCount(2);
    choose(page, "Kind of cup", "Mixing cup 450");
    assertThat(cup(page, "Clear").filter(new Locator.FilterOptions().setHasText("by hand")))
        .hasCount(2);
  }

  @Test
  void strongerGoesDropByDropAndStopsAtALimitByName() {
    Page page = pantry("Stronger", 1280);
    button(page, "Open the Lichen cup").click();
    Locator stronger = button(page, "Stronger");
    for (int i = 0; i < 60 && stronger.isEnabled(); i++) {
      String before = cup(page, "Lichen").textContent();
      stronger.click();
      assertThat(cup(page, "Lichen")).not().hasText(before);
    }
    assertThat(stronger).isDisabled();
    assertThat(page.getByText("No stronger: at the limit for")).isVisible();
    button(page, "As its recipe").click();
    assertThat(page.getByText("as its recipe")).isVisible();
    assertThat(stronger).isEnabled();
  }

  @Test
  void aBitMoreOnTheCardKeepsATallyAndSaysWhenItIsTooMuch() {
    Page page = pantry("More", 1280);
    button(page, "Batch card").click();
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("Tint Harbour")))
        .click();
    Locator tally = group(page, "A bit more in Harbour");
    assertThat(tally).containsText("as planned");
    Locator one = button(page, "One drop of Sea-blue liquid tint more");
    one.click();
    one.click();
    assertThat(tally).containsText("2 drops more");
    // As fast as a screen can be tapped.
    one.evaluate(
        """
        async (key) => {
          for (let i = 0; i < 80; i++) {
            key.click();
            await new Promise((next) => requestAnimationFrame(next));
          }
        }
        """);
    assertThat(tally).containsText("Too much: ");
    assertThat(tally).containsText("Over the limit.");
    // The recipe itself, typed as it is counted: the card and its plan follow.
    Locator drops =
        page.getByRole(AriaRole.DIALOG).getByText(Pattern.compile("tint: \\d+ drops")).first();
    String before = drops.textContent();
    button(page, "Change the recipe").click();
    group(page, "Jar 1").getByLabel("Dose").fill("9");
    assertThat(drops).containsText("9 drops");
    assertThat(drops).not().hasText(before);
    button(page, "Back to the plan").click();
    assertThat(group(page, "Cup Harbour")).containsText("9 drops");
  }

  @Test
  void schoolsChangeTheCard() {
    Page page = pantry("Schools", 1280);
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    button(page, "Mixing").click();
    choose(page, "Warm before mixing", "both, in warm water");
    choose(page, "Mix in", "two cups");
    button(page, "Splitting and cups").click();
    field(page, "Keep back clear").fill("20");
    button(page, "Measuring").click();
    choose(page, "Measure", "by volume");
    field(page, "Measuring cup holds").fill("50");
    assertThat(group(page, "Batch 1, mixing")).containsText("kept back");
    button(page, "Batch card").click();
    Locator card = page.getByRole(AriaRole.DIALOG);
    assertThat(card).containsText("Stand A and B in warm water");
    assertThat(card).containsText("They meet at 28.0 °C.");
    assertThat(card).containsText("Over into a clean cup");
    button(page, "Done").click();
    assertThat(page.getByLabel(Pattern.compile("^Eye level"))).isVisible();
    Locator fill = page.getByLabel(Pattern.compile("^Fill 1 of B"));
    assertThat(fill).hasAttribute("aria-pressed", "false");
    fill.click();
    assertThat(fill).hasAttribute("aria-pressed", "true");
  }

  @Test
  void aColourTakenFromALayerOfACupByHandIsToldWithItsWayOut() {
    Page page = pantry("Two colours", 1280);
    button(page, "Open the Oat cup").click();
    button(page, "Split in two").click();
    assertThat(cup(page, "Oat")).hasCount(2);
    button(page, "Put together with… the Oat 1 cup").click();
    page.getByRole(AriaRole.MENUITEM).first().click();
    assertThat(cup(page, "Oat")).hasCount(1);
    button(page, "Change Bar pull").click();
    choose(page, "Layer 2, colour", "Ember");
    Locator told =
        page.getByRole(AriaRole.ALERT)
            .filter(new Locator.FilterOptions().setHasText("put together for one colour"));
    assertThat(told).isVisible();
    button(page, "Release it").click();
    assertThat(told).hasCount(0);
    assertThat(cup(page, "Ember")).isVisible();
  }

  @Test
  void anOpenCupFitsItsWidthAndPassesTheAccessibilityRules() {
    Page page = pantry("Open", 1280);
    button(page, "Open the Lichen cup").click();
    button(page, "Stronger").waitFor();
    Seen.readableOnAnyWidth(page, "an open cup");
  }
}
