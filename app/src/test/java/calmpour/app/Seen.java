package calmpour.app;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** What a maker sees on a page: keys, fields, groups, by their names. */
final class Seen {
  private Seen() {}

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
