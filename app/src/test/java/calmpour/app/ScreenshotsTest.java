package calmpour.app;

import static calmpour.app.Seen.button;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import org.junit.jupiter.api.io.TempDir;

/** Draws the pictures of the README from the demo data: {@code docs/refresh-screenshots}. */
@EnabledIfSystemProperty(named = "calmpour.screenshots", matches = "true")
class ScreenshotsTest {
  private static final Path TO = Path.of("..", "docs", "screenshots");

  @TempDir static Path data;

  @Test
  void everyMainView() {
    try (RunningApp app = RunningApp.demo(data);
        Browser browser = new Browser()) {
      Page plan = open(browser, app, "/", 1280, 800);
      shoot(plan, "plan");
      plan.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Part A: how it came about"))
          .click();
      plan.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("A and B needed"))
          .click();
      shoot(plan, "how");

      Page card = open(browser, app, "/", 1280, 800);
      card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Batch card")).click();
      card.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done").setExact(true))
          .click();
      card.getByLabel("A really in it").fill("151");
      card.getByText("Add 75.5 g of B").waitFor();
      shoot(card, "batch-card");

      Page cup = open(browser, app, "/", 1280, 1060);
      cup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Open the Harbour cup"))
          .click();
      cup.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Split in two")).click();
      cup.getByText("From one cup to six").waitFor();
      shoot(cup, "cup");

      Page design = open(browser, app, "/sessions", 1280, 1120);
      design
          .getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Fern bell pushes"))
          .click();
      design
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Change Bell push"))
          .click();
      design.getByRole(AriaRole.SLIDER).waitFor();
      shoot(design, "design");
      shoot(open(browser, app, "/sessions", 1280, 800), "sessions");
      shoot(open(browser, app, "/workshop", 1280, 800), "workshop");

      Page late = open(browser, app, "/sessions", 1280, 800);
      late.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Switch toggles")).click();
      late.getByText(java.util.regex.Pattern.compile("^\\d+ too late$")).first().waitFor();
      button(late, "Compare these ways")
          .waitFor(new com.microsoft.playwright.Locator.WaitForOptions().setTimeout(60_000));
      shoot(late, "plan-late");

      Page mix = open(browser, app, "/mix", 1280, 800);
      mix.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Go").setExact(true))
          .click();
      mix.getByRole(AriaRole.TIMER).waitFor();
      shoot(mix, "just-mix");

      shoot(open(browser, app, "/moulds", 1280, 800), "moulds");
      Page mould = open(browser, app, "/moulds/hollow-cord-pull", 1280, 800);
      mould
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Measure again"))
          .click();
      shoot(mould, "mould");
      Page shelf = open(browser, app, "/shelf/resins", 1280, 800);
      shelf
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Do-it-all resin 2:1"))
          .click();
      shelf.getByText("The label against itself").waitFor();
      shoot(shelf, "shelf");
      PastEvenings.pour(app, List.of("pantry-knobs", "garden-row-labels", "fern-bell-pushes"), 3);
      shoot(open(browser, app, "/journal", 1280, 800), "journal");

      Page practice = open(browser, app, "/practice", 1280, 1180);
      practice.getByLabel("The first: states").waitFor();
      shoot(practice, "practice");

      shoot(open(browser, app, "/plan", 390, 844), "plan-phone");

      Page bench = open(browser, app, "/plan", 1280, 800);
      bench
          .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Begin").setExact(true))
          .click();
      bench
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Go on all the same")))
          .click();
      app.post("/api/devices/simulated", java.util.Map.of("roomC", 22.4, "plugged", false));
      for (int step = 0; step < 19; step++) {
        bench.waitForTimeout(step == 3 ? 4_000 : 900);
        bench.keyboard().press(" ");
        bench.waitForTimeout(400);
        com.microsoft.playwright.Locator early =
            bench.getByRole(
                AriaRole.ALERTDIALOG, new Page.GetByRoleOptions().setName("Is that early?"));
        if (early.isVisible()) {
          button(bench, "Go on all the same").click();
        }
      }
      app.post("/api/devices/simulated", java.util.Map.of("plugged", true));
      bench.waitForTimeout(1_500);
      shoot(bench, "pour");
      shoot(open(browser, app, "/today", 1280, 800), "today");
      String run = bench.url().substring(bench.url().lastIndexOf('/') + 1);
      Page record = open(browser, app, "/pour/" + run + "/record", 1280, 1000);
      look(record, "Look over Bar pull, first", "good");
      look(record, "Look over Bar pull, second", "second", "cloudy, micro-bubbles");
      shoot(record, "record");

      Page rehearsal = open(browser, app, "/practice/rehearsal/labels-that-leak", 1280, 800);
      button(rehearsal, "Begin at the bench").click();
      rehearsal
          .getByRole(
              AriaRole.BUTTON,
              new Page.GetByRoleOptions().setName(Pattern.compile("^Go on all the same")))
          .click();
      for (int step = 0; step < 9; step++) {
        rehearsal.waitForTimeout(1_300);
        if (step == 3) {
          rehearsal
              .getByRole(
                  AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^On to")))
              .click();
          rehearsal.waitForTimeout(2_000);
        }
        rehearsal.keyboard().press(" ");
      }
      rehearsal.getByText("ran out.").waitFor();
      shoot(rehearsal, "rehearsal");
    }
  }

  private static Page open(Browser browser, RunningApp app, String path, int width, int height) {
    Page page = browser.page(width, height);
    page.navigate(app.url(path));
    page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1)).waitFor();
    return page;
  }

  private static void look(Page page, String piece, String verdict, String... faults) {
    button(page, piece).click();
    page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(verdict)).click();
    for (String fault : faults) {
      page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName(fault)).click();
    }
    button(page, "Keep it").click();
    page.getByRole(AriaRole.DIALOG)
        .waitFor(
            new com.microsoft.playwright.Locator.WaitForOptions()
                .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
  }

  private static void shoot(Page page, String name) {
    page.waitForTimeout(700); // fonts and drawings settle
    page.screenshot(new Page.ScreenshotOptions().setPath(TO.resolve(name + ".png")));
  }
}
