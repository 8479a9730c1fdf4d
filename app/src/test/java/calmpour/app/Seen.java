package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOnlyOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Keyboard;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ColorScheme;
import java.util.List;
import java.util.Map;

/** What a maker sees on a page: keys, fields, groups, by their names. */
final class Seen {
  private static final int MOST_TOLD = 8;
  private static final int TYPED_MS = 120;
  private static final String WRITTEN = "label-content-name-mismatch";

  private Seen() {}

  /** Fits its width and passes the rules of accessibility, its colours by day and by night. */
  static void readable(Page page, String which) {
    fits(page, which);
    assertThat(broken(page, allRules())).as(which).isEmpty();
    readableByNight(page, which);
  }

  /** The same at the width of a phone, a tablet and a laptop, without loading it three times. */
  static void readableOnAnyWidth(Page page, String which) {
    for (int width : List.of(1280, 768, 390)) {
      page.setViewportSize(width, 800);
      // What asks for the width draws itself anew.
      page.evaluate(
          "() => new Promise(r => requestAnimationFrame(() => requestAnimationFrame(r)))");
      fits(page, which + " at " + width);
      if (width != 768) {
        assertThat(broken(page, allRules())).as(which + " at " + width).isEmpty();
      }
    }
    readableByNight(page, which);
  }

  private static void fits(Page page, String which) {
    Object beyond = page.evaluate("document.documentElement.scrollWidth - window.innerWidth");
    assertThat(((Number) beyond).intValue()).as(which + " is too wide").isNotPositive();
  }

  /** Only the colours are others in the dark. */
  private static void readableByNight(Page page, String which) {
    AxeRunOptions colours = new AxeRunOptions();
    colours.setResultTypes(List.of("violations"));
    AxeRunOnlyOptions only = new AxeRunOnlyOptions();
    only.setType("rule");
    only.setValues(List.of("color-contrast"));
    colours.setRunOnly(only);
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
    assertThat(broken(page, colours)).as(which + ", dark").isEmpty();
    page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
  }

  private static AxeRunOptions allRules() {
    AxeRunOptions options = new AxeRunOptions();
    options.setResultTypes(List.of("violations"));
    // Who says what is written on a key has to reach it; not among the rules that run unasked.
    AxeRuleOptions wanted = new AxeRuleOptions();
    wanted.setEnabled(true);
    options.setRules(Map.of(WRITTEN, wanted));
    return options;
  }

  /**
   * Rules of accessibility that a page breaks, with the first places where it does.
   *
   * <p>Run in the page itself: there are no frames here, and the other way of asking, which carries
   * all that was right as well from one page into another, takes four times as long.
   */
  private static List<String> broken(Page page, AxeRunOptions options) {
    return new AxeBuilder(page)
        .options(options).setLegacyMode(true).analyze().getViolations().stream()
            .flatMap(v -> v.getNodes().stream().map(n -> v.getId() + ": " + n.getHtml()))
            // A mark in a drawing has a tooltip, which is not written on it.
            .filter(told -> !told.startsWith(WRITTEN + ": <g "))
            .limit(MOST_TOLD)
            .toList();
  }

  static Locator button(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  static Locator field(Page page, String label) {
    return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
  }

  static Locator group(Page page, String name) {
    return page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A day and an hour, typed as quickly as a hand does: a script would be ahead of the field. */
  static void typeMoment(Page page, String label, String typed) {
    group(page, label)
        .getByRole(AriaRole.SPINBUTTON, new Locator.GetByRoleOptions().setName("Day"))
        .click();
    page.keyboard().type(typed, new Keyboard.TypeOptions().setDelay(TYPED_MS));
  }

  static Locator link(Page page, String name) {
    return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
  }

  /** Opens a list of one part of the page and takes one of its lines. */
  static void choose(Locator in, Page page, String label, String option) {
    in.getByRole(AriaRole.COMBOBOX, new Locator.GetByRoleOptions().setName(label).setExact(true))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }

  static void choose(Page page, String label, String option) {
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(label).setExact(true))
        .click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option).setExact(true))
        .click();
  }
}
