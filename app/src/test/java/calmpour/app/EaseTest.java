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
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Colours as makers count them, plans from what there is, and moulds of which only a total is
 * known.
 */
class EaseTest extends DemoScreens {
  private static Page pantry(String name) {
    var session = RunningApp.demoDocument("sessions/pantry-knobs").put("name", name);
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/plan/" + id));
    group(page, "Batch 1, mixing").waitFor();
    return page;
  }

  /** 8 drops of 0.03125 g, as its dropper was weighed, in 30 g of resin: 0.826 % by hand. */
  @Test
  void oneDoseIsToldInDropsGramsAndPercent() {
    JsonNode jar = null;
    for (JsonNode each : demo.get("/api/workshop").body().get("colourants")) {
      jar = each.get("form").asString().equals("LIQUID_TINT") ? each : jar;
    }
    JsonNode told =
        demo.post(
                "/api/colours/counted",
                Map.of(
                    "resinG",
                    30,
                    "parts",
                    List.of(Map.of("colourant", jar, "amount", 8, "in", "DROPS"))))
            .body();
    double grams = told.at("/doses/0/massG").asDouble();
    assertThat(told.at("/doses/0/drops").asDouble()).isEqualTo(8);
    assertThat(told.at("/doses/0/percentOfMix").asDouble())
        .isCloseTo(100 * grams / (30 + grams), org.assertj.core.api.Assertions.within(1e-9));
    assertThat(
            demo.post(
                    "/api/colours/counted",
                    Map.of(
                        "resinG",
                        30,
                        "parts",
                        List.of(Map.of("colourant", jar, "amount", -1, "in", "DROPS"))))
                .error(0)
                .get("field")
                .asString())
        .isEqualTo("parts[0].amount");
  }

  @Test
  void aColourIsCountedBesideItsLayerAndAgainInItsCup() {
    Page page = pantry("Counted");
    button(page, "Change Cord pull").click();
    choose(page, "First layer, colour", "+ a colour");
    Locator form = page.getByRole(AriaRole.FORM, new Page.GetByRoleOptions().setName("A colour"));
    button(page, "Use it here").click();
    assertThat(form).containsText("How much of it?");
    choose(form, page, "Jar", "a new jar");
    form.getByLabel("Its name").fill("Tide green");
    form.getByLabel("Dose").fill("8");
    assertThat(form).containsText("0.28 g");
    Seen.readable(page, "a new colour");
    button(page, "Use it here").click();
    // One jar lends the colour its name; the cup holds a little more than the layer takes.
    Locator cup = group(page, "Cup Tide green");
    assertThat(cup).containsText("9 drops");
    button(page, "Open the Tide green cup").click();
    Locator recipe =
        page.getByRole(
            AriaRole.REGION, new Page.GetByRoleOptions().setName("What goes into Tide green"));
    recipe.getByLabel("Dose").fill("12");
    assertThat(cup).containsText("12 drops");
    assertThat(recipe).containsText("otherwise than on the shelf");
    recipe
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("As on the shelf"))
        .click();
    assertThat(cup).containsText("9 drops");
    assertThat(page.getByText(Pattern.compile("^Pot life: 40 min on the label"))).isVisible();
  }

  /** A total, and the plan says what fits it; one press and it does. */
  @Test
  void aPlanFitsWhatThereIs() {
    Page page = pantry("From a total");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    choose(page, "There is", "a total, by weight");
    field(page, "A and B together").fill("212");
    Locator told =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("What to look at"));
    assertThat(told).containsText("too little resin");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Overage down")))
        .click();
    assertThat(page.getByText("too little resin")).hasCount(0);
    field(page, "A and B together").fill("260");
    assertThat(told).containsText("would be left over");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("instead of \\d+$")))
        .first()
        .click();
    assertThat(page.getByText("too little resin")).hasCount(0);
    // Much too little: several lines give up their share at once, and then it is enough.
    field(page, "A and B together").fill("140");
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^\\d+ pieces fewer in all$")))
        .click();
    assertThat(page.getByText("too little resin")).hasCount(0);
    // What stays over then goes into a mould that was not on the board.
    field(page, "A and B together").fill("260");
    Locator lines =
        page.getByLabel("Moulds on the board")
            .getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("^Change ")));
    int before = lines.count();
    button(page, "Add a filler mould").click();
    assertThat(lines).hasCount(before + 1);
    assertThat(page.getByText("too little resin")).hasCount(0);
    for (String typed : List.of("", "0", "-5", "1e9", "lots")) {
      field(page, "A and B together").fill(typed);
      assertThat(field(page, "A and B together")).hasAttribute("aria-invalid", "true");
    }
    // Out of the bottles: both parts as they are left, and no more pieces than moulds could hold.
    choose(page, "There is", "what is left in the bottles");
    assertThat(field(page, "Of A")).not().hasValue("");
    assertThat(told).containsText("would be left over");
    assertThat(
            page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("\\d{2,} .* instead of \\d$"))))
        .hasCount(0);
  }

  /** 143 mL were read for both parts together: 143 and not twice that is mixed. */
  @Test
  void waterOfSeveralMouldsIsATotalOfBothParts() {
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/plan/new"));
    button(page, "the water of several, tipped together").click();
    button(page, "Put it on the board").click();
    assertThat(page.getByText("How much water they held together.")).isVisible();
    field(page, "Moulds").fill("5");
    field(page, "All of them hold").fill("143");
    button(page, "Put it on the board").click();
    assertThat(page.getByText(Pattern.compile("5 cavities"))).isVisible();
    assertThat(page.getByText("143.0 mL").first()).isVisible();
  }

  /** From nothing to a plan, and on from screen to screen until the maker has seen enough. */
  @Test
  void aFirstEveningIsLedThrough(@TempDir Path data) {
    try (RunningApp own = RunningApp.empty(data)) {
      Page page = browser.page(1280, 800);
      page.navigate(own.url("/first"));
      Locator copies = group(page, "Or copy one from the demo").getByRole(AriaRole.BUTTON);
      for (String step : List.of("Knob 32", "Slow casting resin 2:1", "Harbour")) {
        copies.filter(new Locator.FilterOptions().setHasText(step)).first().click();
      }
      Locator led =
          page.getByRole(
              AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Your first evening"));
      assertThat(led).containsText("1 of 5: the plan");
      group(page, "Batch 1, mixing").waitFor();
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Today")).click();
      assertThat(led).containsText("3 of 5: the wait");
      page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Journal")).click();
      assertThat(led).containsText("5 of 5: the journal");
      button(page, "That was it").click();
      assertThat(led).hasCount(0);
      page.reload();
      page.getByRole(AriaRole.HEADING).first().waitFor();
      assertThat(led).hasCount(0);
    }
  }
}
