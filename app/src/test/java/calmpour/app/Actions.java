package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * The journeys of a maker in a real browser, counted: an action is one click, one key command or
 * one field's value. Not a test: run by {@code bench/actions}, named so that a test run passes it
 * by.
 */
class Actions {
  @TempDir Path data;

  /** One journey, from an address to what has to be seen at its end. */
  private static final class Journey {
    private final Page page;
    private int actions;

    Journey(Browser browser, RunningApp app, String path) {
      page = browser.page(1280, 800);
      page.navigate(app.url(path));
    }

    Journey press(String name) {
      return on(
          page.getByRole(
              AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true)));
    }

    Journey press(Pattern name) {
      return on(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name)).first());
    }

    Journey follow(String name) {
      return on(
          page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true)));
    }

    Journey on(Locator place) {
      place.click();
      actions++;
      return this;
    }

    Journey type(String label, String value) {
      return type(Seen.field(page, label).first(), value);
    }

    Journey type(Locator field, String value) {
      field.fill(value);
      actions++;
      return this;
    }

    /** A list is opened and a line of it taken: two clicks. */
    Journey choose(String label, String option) {
      // Nobody is quicker than the piece that was just put there is opened.
      page.waitForTimeout(700);
      page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true))
          .first()
          .click();
      page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).first().click();
      actions += 2;
      return this;
    }

    void planned(String what, int atMost) {
      page.getByRole(
              AriaRole.GROUP, new Page.GetByRoleOptions().setName("Batch 1, mixing").setExact(true))
          .waitFor(new Locator.WaitForOptions().setTimeout(20_000));
      told(what, atMost);
    }

    void told(String what, int atMost) {
      System.out.printf("| %s | %d | %d |%n", what, actions, atMost);
    }
  }

  @Test
  void journeys() {
    System.out.println("| journey | actions | at most |\n|---|---|---|");
    try (Browser browser = new Browser();
        RunningApp empty = RunningApp.empty(data.resolve("empty"));
        RunningApp demo = RunningApp.demo(data.resolve("demo"))) {
      first(browser, empty);
      tray(browser, empty);
      water(browser, demo);
      twoSides(browser, demo);
      embeds(browser, demo);
      deep(browser, demo);
      again(browser, demo);
      habit(browser, demo);
      sixty(browser, demo);
      assertThat(browser.complaints()).isEmpty();
    }
  }

  private static void first(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/");
    j.follow("Begin with a mould, a resin and a colour");
    j.type("What do you call it?", "Knob").type("Filled with water", "12");
    j.press("That is my mould");
    j.type("What is on the label?", "Slow casting resin 2:1").press("That is my resin");
    j.type("What is in the jar?", "Moss green").press("Plan with this colour");
    j.planned("first plan from nothing", 12);
  }

  /** One large and three small cavities in three colours, each of a new jar. */
  private static void tray(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/plan/new");
    j.type("A new mould: its name", "Large one").type("Holds", "40");
    j.press("Put it on the board");
    colour(j, "Rust", true);
    j.press("+ a mould").type("Pieces", "2").type("A new mould: its name", "Small one");
    j.type("Holds", "6").press("Put it on the board");
    colour(j, "Straw", true);
    j.press("+ a mould").type("A new mould: its name", "Third small one").type("Holds", "6");
    j.press("Put it on the board");
    colour(j, "Ink blue", true);
    j.planned("one large and three small cavities in three colours, new jars", 40);
  }

  private static void colour(Journey j, String jar, boolean fresh) {
    Locator layer =
        j.page.getByRole(
            AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Layer, colour").setExact(true));
    assertThat(layer).containsText("Clear");
    j.choose("Layer, colour", "+ a colour");
    if (fresh && j.page.getByLabel("Its name").count() == 0) {
      j.choose("Jar", "a new jar");
    }
    j.type("Its name", jar).type("Dose", "8");
    j.press("Use it here");
    assertThat(layer).containsText(jar);
  }

  /** 143 mL of water, tipped from five moulds into one cup. */
  private static void water(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/");
    j.on(j.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New session")));
    j.press("the water of several, tipped together");
    j.type("Moulds", "5").type("All of them hold", "143").press("Put it on the board");
    j.planned("143 mL from five moulds", 6);
  }

  private static void twoSides(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/plan/new");
    j.press("Knob 32").choose("Layer, colour", "Harbour");
    j.press("More options").press("+ a colour beside it");
    j.choose("Beside it", "Bracken");
    j.planned("two colours from two sides", 14);
  }

  private static void embeds(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/plan/new");
    j.press("Bell push").press("More options").press("+ an embed");
    j.press("+ a layer on top").choose("Layer 2, colour", "Oat");
    j.choose("Meets the one below", "at gel");
    j.planned("embeds with a gel join and a back", 25);
  }

  /** A deep resin copied from its label with both ratios, and a block of it. */
  private static void deep(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/plan/new");
    j.type("A new mould: its name", "Newel block")
        .type("Holds", "900")
        .type("Deep (if known)", "90");
    j.press("Put it on the board");
    j.press(Pattern.compile("· change$"));
    j.press("+ a resin").type("What is on the label?", "Deep casting resin");
    j.choose("Kind", "deep");
    j.type("Parts A", "3").type("Pot life (if it says)", "360");
    j.type("Parts A, second ratio", "100").type("Parts B, second ratio", "38");
    j.choose("Counted, second ratio", "by weight");
    j.press("Put it on the shelf");
    j.planned("deep casting with both ratios", 18);
  }

  private static void again(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/sessions");
    j.press("Copy Pantry knobs, first set").press("Make the copy");
    j.planned("a second session like the last", 5);
  }

  private static void habit(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/");
    j.follow("My workshop").type("Rest for bubbles", "10");
    assertThat(j.page.getByText("Kept.")).isVisible();
    j.told("change a habit for good", 3);
  }

  private static void sixty(Browser browser, RunningApp app) {
    Journey j = new Journey(browser, app, "/plan/new");
    j.type("Pieces", "20").press("Knob 32");
    j.press("+ a mould").type("Pieces", "20").press("Cord pull");
    j.press("+ a mould").type("Pieces", "20").press("Switch toggle");
    j.planned("a session of sixty moulds", 20);
  }
}
