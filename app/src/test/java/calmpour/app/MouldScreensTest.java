package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.choose;
import static calmpour.app.Seen.field;
import static calmpour.app.Seen.link;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import calmpour.core.mould.mesh.Meshes;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Moulds and the shelf in a real browser, driven by roles and visible names. */
class MouldScreensTest extends DemoScreens {
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

  /** From the scale to a plan that minds the wet mould: nothing but what a maker would do. */
  @Test
  void aMouldIsMeasuredWithWaterAndThePlanAsksForItToBeDried() {
    Page page = open(demo, "/moulds");
    link(page, "Measure a mould").click();
    field(page, "What is it called?").fill("Pantry latch");
    field(page, "Before (0 if set to zero)").fill("50");
    field(page, "With water").fill("40");
    assertThat(field(page, "With water"))
        .hasAccessibleDescription(Pattern.compile("weigh more than before"));
    field(page, "With water").fill("59,98");
    // 9.98 g at 20 °C are 10.00 mL (CRC Handbook: 0.99821 g/mL).
    assertThat(page.getByText("10.00 mL", new Page.GetByTextOptions().setExact(true))).isVisible();
    button(page, "+ its shape (water says how much, the shape how it fills)").click();
    choose(page, "Shape", "Round, tapering");
    field(page, "Across at floor").fill("0");
    field(page, "Across at rim").fill("31");
    field(page, "Deep").fill("40");
    // A cone filled to half its height from the tip holds an eighth; half of it is at 79 %.
    assertThat(page.getByText("40 mm deep", new Page.GetByTextOptions())).isVisible();
    button(page, "Put it on the shelf").click();

    Locator item = link(page, "Pantry latch");
    assertThat(item).isVisible();
    JsonNode kept = mould("Pantry latch");
    assertThat(kept.at("/mould/state/dry").asBoolean(true)).isFalse();
    assertThat(kept.at("/cavities/0/volumeMl").asDouble())
        .isCloseTo(10, org.assertj.core.api.Assertions.within(0.01));

    page.navigate(demo.url("/plan/new"));
    button(page, "+ a mould").click();
    button(page, "Pantry latch").click();
    // It begins with the resin of the session planned last.
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    choose(page, "Resin", "Slow casting resin 2:1");
    Locator look =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What to look at"));
    assertThat(look).containsText("Pantry latch is wet");

    page.navigate(demo.url("/moulds"));
    item.click();
    button(page, "Wet: mark as dry").click();
    assertThat(button(page, "Dry: mark as wet")).isVisible();
    assertThat(button(page, "Saved")).isDisabled();
    page.goBack();
    page.navigate(demo.url("/plan/new"));
    page.reload();
    assertThat(page.getByText("Pantry latch is wet")).hasCount(0);
  }

  private static JsonNode mould(String name) {
    for (JsonNode each : demo.get("/api/moulds").body()) {
      if (each.at("/mould/name").asString().equals(name)) {
        return each;
      }
    }
    throw new AssertionError(name + " is not on the shelf");
  }

  @Test
  void aModelIsTakenInTurnedOverAndRefusedWhenItLeaks() {
    Page page = open(demo, "/moulds/new");
    field(page, "What is it called?").fill("Bowl knob");
    choose(page, "How it was measured", "From a 3D model");
    Locator input = page.getByLabel("3D model");
    input.setInputFiles(
        new FilePayload(
            "leaky.stl",
            "model/stl",
            ModelFiles.binaryStl(Meshes.spoilt(Meshes.sphere(10, 12), 40, false, 0, 7))));
    assertThat(page.getByText(Pattern.compile("The surface is not closed"))).isVisible();
    input.setInputFiles(
        new FilePayload("bowl.stl", "model/stl", ModelFiles.binaryStl(Meshes.bowl(15, 64))));
    assertThat(page.getByText("30 mm wide, 15 mm deep as it lies")).isVisible();
    Locator drawing =
        page.getByRole(
            AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("in section")));
    assertThat(drawing).isVisible();
    button(page, "Tip sideways").click();
    assertThat(page.getByText(Pattern.compile("30 mm deep as it lies"))).isVisible();
    choose(page, "One unit of the file is", "centimetres");
    assertThat(page.getByText(Pattern.compile("300 mm deep as it lies"))).isVisible();
    choose(page, "One unit of the file is", "millimetres");
    button(page, "Put it on the shelf").click();
    assertThat(link(page, "Bowl knob")).isVisible();
    assertThat(mould("Bowl knob").at("/cavities/0/depthMm").asDouble())
        .isCloseTo(30, org.assertj.core.api.Assertions.within(1e-3));
  }

  @Test
  void aTrayPutsALineForEachOfItsCavitiesOnTheBoard() {
    Page page = open(demo, "/plan/new");
    button(page, "+ a mould").click();
    button(page, "Toggle tray").click();
    // It begins with the resin of the session planned last.
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    choose(page, "Resin", "Slow casting resin 2:1");
    assertThat(page.getByLabel("5 of Toggle tray, Toggle")).isVisible();
    assertThat(page.getByLabel("1 of Toggle tray, Back plate")).isVisible();
  }

  @Test
  void aLabelThatContradictsItselfIsToldInPlainWords() {
    Page page = open(demo, "/shelf/resins");
    button(page, "Do-it-all resin 2:1").click();
    Locator check =
        page.getByRole(AriaRole.STATUS, new Page.GetByRoleOptions().setName("Label check"));
    assertThat(check).containsText("1.50 times as dense as B");
    assertThat(check).containsText("For every use");
    field(page, "Parts A, second ratio").fill("2,2");
    assertThat(check).not().containsText("times as dense");
    field(page, "Demould after").fill("0");
    button(page, "Save").click();
    assertThat(field(page, "Demould after"))
        .hasAccessibleDescription(Pattern.compile("between 0.05 and 336"));
    assertThat(field(page, "Demould after")).hasValue("0");
  }

  @Test
  void aResinsClockShowsWhatItRestsOnAndWhatDoesNotFit() {
    Page page = open(demo, "/shelf/resins");
    button(page, "Deep clear resin 2:1").click();
    Locator clock =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("This resin’s clock"));
    assertThat(clock.getByRole(AriaRole.ROW)).hasCount(9);
    assertThat(clock).containsText("Out of the mould, 100 mm deep");
    assertThat(clock).containsText("too little is known for one figure");
    assertThat(clock).not().containsText("does not fit");
    button(page, "Add a depth").click();
    Locator row =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Demould by depth 4"));
    row.getByLabel("At a depth of").fill("50");
    row.getByLabel("demould after").fill("20");
    assertThat(clock).containsText("does not fit the rest");
    row.getByLabel("demould after").fill("0");
    button(page, "Save").click();
    assertThat(row.getByLabel("demould after"))
        .hasAccessibleDescription(Pattern.compile("between 0.05 and 336"));
    // The first is for the resin itself.
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Remove")).nth(4).click();
    button(page, "Add a pot life").click();
    Locator potLife =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Pot life 1"));
    potLife.getByLabel("Pot life").fill("200");
    potLife.getByLabel("for a mass of").fill("100");
    potLife.getByLabel("at", new Locator.GetByLabelOptions().setExact(true)).fill("33");
    assertThat(clock).containsText("Pot life of 100 g at 33 °C");
  }

  @Test
  void dropsAreWeighedAndANewColourIsMadeOfThem() {
    Page page = open(demo, "/shelf/colourants");
    button(page, "Add a colourant").click();
    field(page, "Jar").fill("Fern liquid tint");
    button(page, "+ a weighing").click();
    field(page, "Weighing 1").fill("0.7");
    button(page, "+ a weighing").click();
    field(page, "Weighing 2").fill("0.8");
    // Twenty drops each time: 0.75 g / 20, and the two differ by 0.1 g: s = 0.0707 g, 9 %.
    assertThat(page.getByText("37.5 mg each, ± 9 %")).isVisible();
    button(page, "Put it on the shelf").click();
    assertThat(button(page, "Fern liquid tint")).isVisible();
    link(page, "Colours").click();
    button(page, "Add a colour").click();
    field(page, "Colour").fill("Fern");
    button(page, "+ a colourant").click();
    choose(page, "is", "Fern liquid tint");
    field(page, "Of the whole mix").fill("60");
    button(page, "Put it on the shelf").click();
    assertThat(field(page, "Of the whole mix"))
        .hasAccessibleDescription(Pattern.compile("between 0 and 40"));
    field(page, "Of the whole mix").fill("2");
    button(page, "Put it on the shelf").click();
    assertThat(button(page, "Fern")).isVisible();
  }

  @Test
  void aNewMakerComesFromNothingToAPlanInThreeSteps() {
    Page page = open(own, "/");
    link(page, "Begin with a mould, a resin and a colour").click();
    field(page, "What do you call it?").fill("My knob");
    field(page, "Mould alone, on the scale").fill("40");
    field(page, "Filled with water").fill("39");
    button(page, "That is my mould").click();
    assertThat(field(page, "Filled with water"))
        .hasAccessibleDescription(Pattern.compile("weigh more than before"));
    field(page, "Filled with water").fill("52");
    button(page, "That is my mould").click();
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Or copy one from the demo"))
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Deep clear resin 2:1"))
        .click();
    field(page, "What is in the jar?").fill("My blue");
    button(page, "Plan with this colour").click();
    assertThat(page.getByLabel("1 of My knob")).isVisible();
    Locator mixing =
        page.getByRole(
            AriaRole.GROUP, new Page.GetByRoleOptions().setName("Batch 1, mixing").setExact(true));
    assertThat(mixing).containsText("B first, then A");
  }

  @Test
  void aMouldInTheMakingHasItsPartsItsClockAndItsReadyDate() {
    Page page = open(demo, "/moulds/make");
    field(page, "The master displaces").fill("8");
    field(page, "Master, long").fill("40");
    field(page, "wide").fill("20");
    field(page, "high").fill("10");
    field(page, "To spare").fill("0");
    field(page, "Density, if known").fill("1,25");
    assertThat(page.getByText("A 25.0 g and B 25.0 g")).isVisible();
    button(page, "Mixed: start the clock").click();
    assertThat(page.getByRole(AriaRole.TIMER)).containsText("Do not stop");
    page.reload();
    assertThat(page.getByRole(AriaRole.TIMER)).containsText("Do not stop");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("Put it on the shelf")))
        .click();
    // The year is only there once the day is.
    assertThat(
            page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName("Ready from").setExact(true)))
        .containsText(Pattern.compile("20\\d\\d"));
  }

  @Test
  void searchingLeavesWhatMatchesAndSaysWhenNothingDoes() {
    Page page = open(demo, "/moulds");
    field(page, "Find").fill("pull old");
    Locator items = page.getByRole(AriaRole.LISTITEM);
    assertThat(items).hasCount(1);
    assertThat(items.first()).containsText("Bar pull, old");
    field(page, "Find").fill("teapot");
    assertThat(page.getByText("No mould is called “teapot”.")).isVisible();
    button(page, "Show all").click();
    assertThat(items.first()).isVisible();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/moulds",
        "/moulds/hollow-cord-pull",
        "/moulds/new",
        "/moulds/make",
        "/shelf/resins",
        "/shelf/embeds",
        "/first"
      })
  void everyoneCanReadItOnAnyWidth(String path) {
    Page page = browser.page(1280, 800);
    page.navigate(demo.url(path));
    page.getByRole(AriaRole.NAVIGATION).first().waitFor();
    browser.quiet(page);
    Seen.readableOnAnyWidth(page, path);
  }
}
