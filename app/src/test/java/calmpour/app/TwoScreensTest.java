package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/**
 * Two screens of one evening, tapped and typed at by chance, one of them cut off now and then. Each
 * shows what a maker with a pencil would have it show, and nothing that was pressed is lost.
 */
class TwoScreensTest extends BenchScreens {
  private static final Map<String, String> TITLES =
      Map.of(
          "WEIGH_FIRST", "into the mixing cup",
          "WEIGH_SECOND", "on top of it",
          "STIR", "^Stir",
          "REST", "Let it rest",
          "SPLIT", "^Split",
          "TINT", "^Tint",
          "POUR", " into ");

  private static final Pattern GOES = Pattern.compile("\\b(hot|thick|gelled|given up|poured)\\b");

  /** Before that no key is taken for an answer, ms. */
  private static final int YOUNG_MS = 620;

  @Test
  void threeEvenings() {
    for (int seed = 1; seed <= 3; seed++) {
      evening(seed);
    }
  }

  private void evening(int seed) {
    Random random = new Random(seed);
    String run = begun();
    List<Page> screens = List.of(bench(run), bench(run, 390, 844));
    Set<Page> off = new LinkedHashSet<>();
    List<String> pressed = new ArrayList<>();
    int most = 0;
    for (int turn = 0; turn < 7; turn++) {
      Page page = screens.get(random.nextInt(2));
      calm(page, random);
      switch (random.nextInt(10)) {
        case 0 -> {
          page.context().setOffline(off.add(page));
          pressed.add("cut off");
        }
        case 1 -> {
          Locator undo = button(page, "^Undo");
          if (undo.isEnabled()) {
            undo.click();
            pressed.add("undo");
          }
        }
        case 2 -> {
          // Before anything is opened nobody is missed.
          if (!button(page, "Stepped away").isVisible()) {
            button(page, "Go on all the same|Everything is ready").click();
          } else {
            button(page, "Stepped away").click();
          }
          pressed.add("away");
        }
        case 3 -> {
          page.keyboard().press("ArrowRight");
          page.keyboard().press("ArrowLeft");
        }
        default -> {
          page.keyboard().press(" ");
          pressed.add("space");
        }
      }
      page.waitForTimeout(450);
      most = Math.max(most, shown(page));
    }
    for (Page page : off) {
      page.context().setOffline(false);
    }
    for (Page page : screens) {
      page.waitForCondition(() ->
          (Boolean)
              page.evaluate(
                  "k => JSON.parse(localStorage.getItem(k) ?? '{\"events\":[]}').events.length === 0",
                  "calm-pour.untold." + run));
      calm(page, random);
    }
    agree(run, screens, pressed.contains("undo") ? 0 : most, "evening " + seed + " " + pressed);
    screens.forEach(Page::close);
  }

  /** How many steps a screen says are done. */
  private static int shown(Page page) {
    String place = page.locator("header").getByText(Pattern.compile("^\\d+ of \\d+$")).innerText();
    return Integer.parseInt(place.replaceAll(" of.*", "")) - 1;
  }

  /** Answers whatever lies over the step with its first key or its last. */
  private static void calm(Page page, Random random) {
    for (int i = 0; i < 6; i++) {
      Locator over = page.locator("[data-over]");
      if (over.count() == 0) {
        return;
      }
      page.waitForTimeout(YOUNG_MS);
      Locator keys =
          over.first()
              .getByRole(AriaRole.BUTTON)
              // A figure that opens how it came about answers nothing.
              .filter(new Locator.FilterOptions().setHasNotText(Pattern.compile("within \\d")));
      if (keys.count() > 0) {
        (random.nextInt(4) > 0 ? keys.first() : keys.last()).click();
      }
      page.waitForTimeout(200);
    }
  }

  /** What a screen says of the cups that a phone has room for: which, and whether they go. */
  private static List<String> warned(Page page) {
    return page
        .getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Open cups"))
        .getByRole(AriaRole.LISTITEM)
        .allInnerTexts()
        .stream()
        .limit(3)
        .map(
            cup -> cup.lines().findFirst().orElse("") + GOES.matcher(cup).results().toList().size())
        .toList();
  }

  /**
   * Every sentence that is to be read on a screen, drawings aside: over the step, else the step's.
   */
  private static Object sentences(Page page) {
    return page.evaluate(
        """
        () => {
          const over = [...document.querySelectorAll("[data-over]")];
          const said = [];
          for (const root of over.length > 0 ? over : [document.querySelector("main")]) {
            const walk = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
            while (walk.nextNode()) {
              const parent = walk.currentNode.parentElement;
              if (!parent.closest("svg") && parent.checkVisibility()) {
                said.push(walk.currentNode.data.trim());
              }
            }
          }
          return said.join(" ").replace(/\\s+/g, " ");
        }\
        """);
  }

  private static void agree(String run, List<Page> screens, int most, String evening) {
    JsonNode state = state(run);
    long done =
        state
            .get("steps")
            .valueStream()
            .filter(s -> s.get("hands").asBoolean() && s.get("status").asString().equals("DONE"))
            .count();
    assertThat(done)
        .as("%s: nothing that was pressed is lost", evening)
        .isGreaterThanOrEqualTo(most);
    String next = state.get("currentId").asString();
    String kind = step(run, next).get("kind").asString();
    screens
        .getLast()
        .waitForCondition(() -> warned(screens.getFirst()).equals(warned(screens.getLast())));
    assertThat(sentences(screens.getFirst())).asString().hasSizeGreaterThan(20);
    try {
      // Minutes count down on both, not in the same instant.
      screens
          .getLast()
          .waitForCondition(
              () -> sentences(screens.getFirst()).equals(sentences(screens.getLast())));
    } catch (TimeoutError differ) {
      assertThat(sentences(screens.getLast()))
          .as("%s: what both say", evening)
          .isEqualTo(sentences(screens.getFirst()));
    }
    for (Page page : screens) {
      Locator place = page.locator("header").getByText(Pattern.compile("^\\d+ of \\d+$"));
      page.waitForCondition(() -> place.innerText().startsWith((done + 1) + " of"));
      String title = page.locator("main h2").first().innerText();
      // A rest that runs is on the screen instead of what follows it; and the list may be back.
      boolean other = title.equals("Let it rest") || title.startsWith("Before");
      assertThat(other || Pattern.compile(TITLES.getOrDefault(kind, "")).matcher(title).find())
          .as("%s: %s for %s", evening, title, kind)
          .isTrue();
    }
  }
}
