package calmpour.app;

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

/** Designs drawn on the mould, tasks moved by hand, days, and what the audit says of it. */
class DesignScreensTest extends DemoScreens {
  private static Page fern(String name, int width) {
    var session = RunningApp.demoDocument("sessions/fern-bell-pushes").put("name", name);
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = browser.page(width, 900);
    page.navigate(demo.url("/plan/" + id));
    group(page, "Batch 1, mixing").waitFor();
    return page;
  }

  private static Page opened(String name, int width) {
    Page page = fern(name, width);
    button(page, "Change Bell push").click();
    slider(page).waitFor();
    return page;
  }

  private static Locator slider(Page page) {
    return page.getByRole(AriaRole.SLIDER, new Page.GetByRoleOptions().setName("Top of layer 1"));
  }

  private static Locator mark(Page page, String begins) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + begins)));
  }

  @Test
  void theTopOfALayerIsDraggedAndTheVolumesFollow() {
    Page page = opened("Dragged level", 1280);
    Locator first = group(page, "First layer");
    assertThat(first).containsText("4.5 mL");
    BoundingBox grip = slider(page).boundingBox();
    page.mouse().move(grip.x + 18, grip.y + grip.height / 2);
    page.mouse().down();
    page.mouse().move(grip.x + 18, grip.y + grip.height / 2 + 20);
    // A plan that comes meanwhile may push the drawing down: what is in the hand stays there.
    page.evaluate("document.body.style.paddingTop = '60px'");
    page.mouse().move(grip.x + 18, grip.y + grip.height / 2 + 40);
    page.mouse().up();
    page.evaluate("document.body.style.paddingTop = ''");
    assertThat(first).not().containsText("4.5 mL");
    // Twice as far down as after the first half of the way.
    assertThat(slider(page)).hasAttribute("aria-valuenow", Pattern.compile("^[12](\\.\\d+)?$"));
    double mm = Double.parseDouble(slider(page).getAttribute("aria-valuenow"));
    assertThat(mm).isLessThan(6);
    // The same by keys, a tenth of a millimetre at a time.
    slider(page).press("ArrowUp");
    String higher =
        new java.math.BigDecimal(mm + 0.1).setScale(1, java.math.RoundingMode.HALF_UP).toString();
    assertThat(slider(page)).hasAttribute("aria-valuetext", higher + " mm");
    button(page, "Undo").click();
    assertThat(first).containsText("4.5 mL");
  }

  /** Half of them otherwise, the others beside them; a line that is too long says so. */
  @Test
  void aTrialIsSetUpOnThePlan() {
    Page page = opened("A trial of pushes", 1280);
    button(page, "+ a trial").click();
    assertThat(button(page, "Make the trial")).isDisabled();
    field(page, "A trial: done otherwise with half of them").fill("teased a second time");
    button(page, "Make the trial").click();
    assertThat(page.getByText("trial: teased a second time")).isVisible();
    assertThat(page.getByLabel("2 of Bell push", new Page.GetByLabelOptions().setExact(true)))
        .hasCount(2);
    Locator its = field(page, "A trial: done otherwise with these");
    assertThat(its).hasValue("teased a second time");
    its.fill("x".repeat(61));
    assertThat(page.getByText("1 letter too many.")).isVisible();
    its.fill("brushed first");
    assertThat(page.getByText("trial: brushed first")).isVisible();
    Seen.readableOnAnyWidth(page, "a trial on the plan");
    page.setViewportSize(1280, 900);
    button(page, "No trial").click();
    assertThat(page.getByText("trial: brushed first")).not().isVisible();
  }

  /**
   * A dome, a flat back and nonsense for its height; how it comes out stands beneath the drawing.
   */
  @Test
  void howFullAMouldIsStandsWithTheDrawing() {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", "Domed");
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = browser.page(1280, 900);
    page.navigate(demo.url("/plan/" + id));
    group(page, "Batch 1, mixing").waitFor();
    button(page, "Change Bar pull").click();
    button(page, "Front and base, before and after").click();
    Locator sheet = page.getByRole(AriaRole.MAIN);
    choose(page, "Filled", "to a dome");
    assertThat(sheet).containsText("Filled to a dome 1.0 mm above the rim.");
    Locator high = field(page, "High (1 mm or more if empty)");
    high.fill("abc");
    assertThat(high).hasAccessibleDescription(Pattern.compile("number"));
    high.fill("0");
    assertThat(high).hasAccessibleDescription(Pattern.compile("between"));
    high.fill("9");
    assertThat(sheet).containsText("a dome of 9.0 mm runs over");
    choose(page, "Filled", "short of the rim");
    field(page, "Below the rim").fill("2");
    assertThat(sheet).containsText("Filled to 2.0 mm below the rim.");
    field(page, "Below the rim").fill("90");
    assertThat(field(page, "Below the rim")).hasAccessibleDescription(Pattern.compile("between"));
    field(page, "Below the rim").fill("1,5");
    assertThat(sheet).containsText("Filled to 1.5 mm below the rim.");
    Seen.readable(page, "a mould filled short");
    choose(page, "Filled", "as usual here");
    assertThat(sheet).not().containsText("Filled to");
  }

  /** Drawn in while it flows: a mark on the line, and what is typed is kept. */
  @Test
  void whatIsDoneWhileItFlowsIsPlanned() {
    Page page = opened("Drawn in", 1280);
    group(page, "First layer").getByRole(AriaRole.BUTTON, named("+ work on the wet face")).click();
    assertThat(group(page, "Wet work 1")).isVisible();
    assertThat(mark(page, "[Ww]ork on the wet face")).isVisible();
    choose(page, "While it flows", "hot air until it laces");
    within(group(page, "Wet work 1"), "With").fill("the small nozzle");
    button(page, "Save").click();
    assertThat(button(page, "Saved")).isDisabled();
    // Anew and without what was open: that stands in the address.
    page.navigate(page.url().replaceAll("[?#].*", ""));
    group(page, "Batch 1, mixing").waitFor();
    button(page, "Change Bell push").click();
    assertThat(within(group(page, "Wet work 1"), "With")).hasValue("the small nozzle");
    Seen.readable(page, "wet work");
  }

  /** A night without heating: said in the title, kept, and pieces come out later. */
  @Test
  void aColdNightIsSaidAndPutsOffWhatCures() {
    Page page = fern("Cold night", 1280);
    Locator out = page.getByText(Pattern.compile("^out \\w{3} \\d\\d:\\d\\d$")).first();
    String usual = out.innerText();
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    button(page, "Room by the hour").click();
    button(page, "The room gets cold at night").click();
    assertThat(page.getByText(Pattern.compile("down to 1\\d"))).isVisible();
    assertThat(out).not().hasText(usual);
    Locator change = group(page, "Change 1");
    Locator celsius = within(change, "the room is at");
    celsius.fill("-300");
    assertThat(celsius).hasAccessibleDescription(Pattern.compile("between"));
    celsius.fill("12");
    assertThat(celsius).hasAccessibleDescription("");
    Seen.readable(page, "a room by the hour");
    group(page, "Change 2").getByRole(AriaRole.BUTTON, named("Remove")).click();
    group(page, "Change 1").getByRole(AriaRole.BUTTON, named("Remove")).click();
    assertThat(out).hasText(usual);
  }

  private static Locator within(Locator group, String label) {
    return group.getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
  }

  private static Locator.GetByRoleOptions named(String name) {
    return new Locator.GetByRoleOptions().setName(name);
  }

  @Test
  void theFrontIsOnTheSameSideHoweverItIsTurned() {
    Page page = opened("Turned", 1280);
    Locator poured =
        page.getByRole(
            AriaRole.GROUP,
            new Page.GetByRoleOptions().setName("Bell push, the design in section, as poured"));
    double frontBelow = poured.getByText("front").boundingBox().y;
    double baseAbove = poured.getByText("base").boundingBox().y;
    assertThat(frontBelow).isGreaterThan(baseAbove);
    button(page, "as finished").click();
    Locator finished =
        page.getByRole(
            AriaRole.GROUP,
            new Page.GetByRoleOptions().setName("Bell push, the design in section, as finished"));
    assertThat(finished.getByText("front").boundingBox().y)
        .isLessThan(finished.getByText("base").boundingBox().y);
  }

  @Test
  void aDesignIsKeptAndPouredInAnotherMould() {
    Page page = opened("Kept", 1280);
    button(page, "Keep this design").click();
    field(page, "Name of the design").fill("Fern at two thirds");
    button(page, "Keep").click();
    button(page, "Keep this design").waitFor();
    button(page, "Done").click();
    button(page, "Change Knob 25").click();
    choose(page, "Pour a kept design", "Fern at two thirds");
    assertThat(group(page, "First layer")).containsText("Of the depth");
    assertThat(group(page, "Layer 2")).isVisible();
    // The knob leans outwards: 65 % of its depth is less than 65 % of its 6.3 mL.
    Locator knob =
        page.getByRole(
            AriaRole.GROUP,
            new Page.GetByRoleOptions().setName("Knob 25, the design in section, as poured"));
    assertThat(knob).isVisible();
    // And in every mould at once: the bell push has it, the knob has it, one undo takes both back.
    page.getByLabel("in every mould").check();
    choose(page, "Pour a kept design", "Half and half");
    assertThat(group(page, "First layer")).containsText("Of the depth");
    // Beside it stands for a moment that the design is not drawn yet.
    assertThat(page.getByRole(AriaRole.STATUS).first()).containsText("One batch");
    page.navigate(demo.url("/shelf/designs"));
    assertThat(button(page, "Fern at two thirds")).isVisible();
  }

  @Test
  void whatCannotBeIsToldAtTheEmbedAndNothingIsLost() {
    Page page = opened("Too many", 1280);
    Locator embed = group(page, "Embed");
    embed.getByLabel("How many").fill("60");
    assertThat(page.getByRole(AriaRole.ALERT).getByText(Pattern.compile("no resin would be left")))
        .isVisible();
    assertThat(embed.getByLabel("How many")).hasValue("60");
    embed.getByLabel("How many").fill("2");
    assertThat(page.getByText(Pattern.compile("no resin would be left"))).hasCount(0);
    choose(embed, page, "Goes in", "laid first, then covered");
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("Two batches");
  }

  @Test
  void aTaskDraggedTooEarlyIsToldAndMendedWithOneKey() {
    Page page = fern("Too early", 1280);
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Batch 2, ")))
        .click();
    Locator back = mark(page, "pour Oat into Bell push, first");
    BoundingBox from = back.boundingBox();
    page.mouse().move(from.x + from.width / 2, from.y + from.height / 2);
    page.mouse().down();
    page.mouse().move(from.x - 100, from.y + from.height / 2);
    page.mouse().move(from.x - 200, from.y + from.height / 2);
    Locator told =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What to look at"));
    // The audit answers while it is still in the hand.
    assertThat(told).isVisible();
    page.mouse().up();
    // Drops lie close together: one of them was caught.
    assertThat(mark(page, "pour Oat into Bell push.*moved by hand$")).hasCount(1);
    told.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Let the plan place it"))
        .first()
        .click();
    assertThat(told).hasCount(0);
    button(page, "Undo").click();
    assertThat(told).isVisible();
  }

  @Test
  void aTaskIsMovedByKeysAndGivenBack() {
    Page page = fern("By keys", 1280);
    Locator stir = mark(page, "stir, batch 1");
    String before = stir.getAttribute("aria-label");
    stir.press("ArrowRight");
    assertThat(mark(page, "stir, batch 1"))
        .hasAttribute("aria-label", Pattern.compile("moved by hand$"));
    mark(page, "stir, batch 1").press("Delete");
    assertThat(mark(page, "stir, batch 1")).hasAttribute("aria-label", before);
  }

  @Test
  void theDaysTellWhatIsDueAndMakeRoomForADayAway() {
    Page page = fern("Away", 1280);
    Locator days = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Days"));
    Locator second = days.getByText(Pattern.compile("take Bell push ×4 out of the mould"));
    assertThat(second).isVisible();
    Locator out =
        days.locator("li").filter(new Locator.FilterOptions().setHasText("take Bell push")).first();
    String day = out.locator("b").first().innerText();
    out.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Not at home?")).click();
    // Away all that day, so it is taken out on the next.
    assertThat(
            days.locator("li")
                .filter(new Locator.FilterOptions().setHasText("take Bell push"))
                .first()
                .locator("b")
                .first())
        .not()
        .hasText(day);
    button(page, "+ ½ h: take Bell push ×4 out of the mould, half an hour later").click();
    assertThat(button(page, "let the plan place it")).isVisible();
  }

  @Test
  void theSecondOfTwoSessionsKeepsOutOfTheWayAndSaysSo() {
    var session = RunningApp.demoDocument("sessions/fern-bell-pushes").put("name", "One");
    String first = demo.post("/api/sessions", session).body().get("id").asString();
    String id = demo.post("/api/sessions", session.put("name", "Two")).body().get("id").asString();
    Page page = browser.page(1280, 900);
    page.navigate(demo.url("/plan/" + id));
    assertThat(page.getByRole(AriaRole.STATUS)).containsText("to spare");
    Locator told =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What to look at"));
    // As long as the first is only thought of, it is in nobody's way.
    assertThat(page.getByText("after the start you gave")).hasCount(0);
    page.navigate(demo.url("/plan/" + first));
    button(page, "Confirm").click();
    assertThat(button(page, "Confirmed")).isVisible();
    page.navigate(demo.url("/plan/" + id));
    assertThat(told).containsText("after the start you gave");
    demo.delete("/api/sessions/" + first);
  }

  private static Locator button(Page page, String name) {
    return Seen.button(page, name);
  }

  @Test
  void theDesignFitsItsWidthAndPassesTheAccessibilityRules() {
    Page page = opened("Measured", 1280);
    Seen.readableOnAnyWidth(page, "a design");
  }
}
