package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The journeys of a maker in a real browser, counted: an action is one click, one key command or
 * one field's value. Not a test: run by {@code bench/actions}, named so that a test run passes it
 * by.
 */
class Actions {
  @TempDir Path data;

  /** What a maker has in hand. */
  enum By {
    POINTER,
    /** A phone upright: nothing may lie beyond its right edge. */
    PHONE,
    /** Tab, arrows, Enter and typing, and nothing else. */
    KEYS
  }

  /** One journey, from an address to what has to be seen at its end. */
  private static final class Journey {
    /** Nobody presses Tab more often than that to get anywhere. */
    private static final int MOST_TABS = 250;

    private final Page page;
    private final By by;
    private int actions;
    private int tabs;

    Journey(Browser browser, RunningApp app, By by, String path) {
      this.by = by;
      page = by == By.PHONE ? browser.page(390, 844) : browser.page(1280, 800);
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
      if (by == By.KEYS) {
        reach(place);
        page.keyboard().press("Enter");
      } else {
        place.click();
      }
      return acted(1);
    }

    Journey type(String label, String value) {
      return type(Seen.field(page, label).first(), value);
    }

    Journey type(Locator field, String value) {
      if (by == By.KEYS) {
        reach(field);
        page.keyboard().press("ControlOrMeta+a");
        page.keyboard().type(value);
      } else {
        field.fill(value);
      }
      return acted(1);
    }

    /** A list is opened and a line of it taken: two clicks. */
    Journey choose(String label, String option) {
      // Nobody is quicker than the piece that was just put there is opened.
      page.waitForTimeout(700);
      Locator list =
          page.getByRole(
                  AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true))
              .first();
      Locator line =
          page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option)).first();
      if (by == By.KEYS) {
        reach(list);
        page.keyboard().press("Enter");
        line.waitFor();
        for (int i = 0; i < MOST_TABS && !focused(line); i++) {
          page.keyboard().press("ArrowDown");
        }
        assertThat(focused(line)).as("%s by arrows", option).isTrue();
        page.keyboard().press("Enter");
        assertThat(line).isHidden();
      } else {
        list.click();
        line.click();
      }
      return acted(2);
    }

    /**
     * Moves the focus on until it is there, as hands without a pointer do, and sees where it is.
     */
    private void reach(Locator place) {
      place.waitFor();
      for (int i = 0; i < MOST_TABS && !focused(place); i++) {
        page.keyboard().press("Tab");
        tabs++;
      }
      assertThat(focused(place)).as("%s by Tab", place).isTrue();
      assertThat((Boolean) place.evaluate("e => e.matches(':focus-visible')")).isTrue();
    }

    private static boolean focused(Locator place) {
      return (Boolean) place.evaluate("e => e === document.activeElement");
    }

    private Journey acted(int more) {
      actions += more;
      if (by == By.PHONE) {
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
            .as("sideways after %d actions at %s", actions, page.url())
            .isLessThanOrEqualTo(390);
      }
      return this;
    }

    void planned(String what, int atMost) {
      page.getByRole(
              AriaRole.GROUP, new Page.GetByRoleOptions().setName("Batch 1, mixing").setExact(true))
          .first()
          .waitFor(new Locator.WaitForOptions().setTimeout(20_000));
      told(what, atMost);
    }

    void told(String what, int atMost) {
      String how =
          switch (by) {
            case POINTER -> "pointer";
            case PHONE -> "390 px";
            case KEYS -> "keys, " + tabs + " times Tab";
          };
      System.out.printf("| %s | %s | %d | %d |%n", what, how, actions, atMost);
    }
  }

  @ParameterizedTest
  @EnumSource
  void journeys(By by) {
    System.out.println("| journey | by | actions | at most |\n|---|---|---|---|");
    try (Browser browser = new Browser();
        RunningApp empty = RunningApp.empty(data.resolve("empty"));
        RunningApp demo = RunningApp.demo(data.resolve("demo"))) {
      first(browser, empty, by);
      tray(browser, empty, by);
      water(browser, demo, by);
      twoSides(browser, demo, by);
      embeds(browser, demo, by);
      deep(browser, demo, by);
      again(browser, demo, by);
      habit(browser, demo, by);
      sixty(browser, demo, by);
      assertThat(browser.complaints()).isEmpty();
    }
  }

  private static void first(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/");
    j.follow("Begin with a mould, a resin and a colour");
    j.type("What do you call it?", "Knob").type("Filled with water", "12");
    j.press("That is my mould");
    j.type("What is on the label?", "Slow casting resin 2:1").press("That is my resin");
    j.type("What is in the jar?", "Moss green").press("Plan with this colour");
    j.planned("first plan from nothing", 12);
  }

  /** One large and three small cavities in three colours, each of a new jar. */
  private static void tray(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/plan/new");
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
  private static void water(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/");
    j.on(j.page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("New session")));
    j.press("the water of several, tipped together");
    j.type("Moulds", "5").type("All of them hold", "143").press("Put it on the board");
    j.planned("143 mL from five moulds", 6);
  }

  private static void twoSides(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/plan/new");
    j.press("Knob 32").choose("Layer, colour", "Harbour");
    j.press("More options").press("+ a colour beside it");
    j.choose("Beside it", "Bracken");
    j.planned("two colours from two sides", 14);
  }

  private static void embeds(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/plan/new");
    j.press("Bell push").press("More options").press("+ an embed");
    j.press("+ a layer on top").choose("Layer 2, colour", "Oat");
    j.choose("Meets the one below", "at gel");
    j.planned("embeds with a gel join and a back", 25);
  }

  /** A deep resin copied from its label with both ratios, and a block of it. */
  private static void deep(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/plan/new");
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

  private static void again(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/sessions");
    j.press("Copy Pantry knobs, first set").press("Make the copy");
    j.planned("a second session like the last", 5);
  }

  private static void habit(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/");
    j.follow("My workshop").type("Rest for bubbles", "10");
    assertThat(j.page.getByText("Kept.")).isVisible();
    j.told("change a habit for good", 3);
  }

  private static void sixty(Browser browser, RunningApp app, By by) {
    Journey j = new Journey(browser, app, by, "/plan/new");
    j.type("Pieces", "20").press("Knob 32");
    j.press("+ a mould").type("Pieces", "20").press("Cord pull");
    j.press("+ a mould").type("Pieces", "20").press("Switch toggle");
    j.planned("a session of sixty moulds", 20);
  }
}
