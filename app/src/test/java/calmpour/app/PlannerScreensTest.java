package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.choose;
import static calmpour.app.Seen.field;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** What the planner decides as it is seen: ways out, story, bench, plans side by side. */
class PlannerScreensTest extends DemoScreens {
  /** On a day of its own, so that nothing else is in its way. */
  private static Page opened(ObjectNode session, String name, String day) {
    session.put("name", name).put("startsAt", day + "T10:00:00");
    String id = demo.post("/api/sessions", session).body().get("id").asString();
    Page page = browser.page(1280, 900);
    page.navigate(demo.url("/plan/" + id));
    button(page, "Summary").waitFor();
    return page;
  }

  private static Locator ways(Page page) {
    return page.getByRole(
        AriaRole.TABLE, new Page.GetByRoleOptions().setName("Plans side by side"));
  }

  @Test
  void whatDoesNotFitIsToldWithWaysOutThatFit() {
    Page page =
        opened(RunningApp.demoDocument("sessions/late-switch-toggles"), "Late", "2027-01-04");
    Locator sentence = page.getByRole(AriaRole.STATUS);
    assertThat(sentence).containsText("too late");
    Locator compare = button(page, "Compare these ways");
    assertThat(compare)
        .isVisible(
            new com.microsoft.playwright.assertions.LocatorAssertions.IsVisibleOptions()
                .setTimeout(30_000));
    compare.click();
    Locator table = ways(page);
    assertThat(table.getByRole(AriaRole.COLUMNHEADER).first()).hasText("As it is");
    assertThat(table.getByRole(AriaRole.ROW).nth(1)).containsText("too late");
    Locator first =
        table
            .getByRole(
                AriaRole.BUTTON,
                new Locator.GetByRoleOptions().setName(Pattern.compile("^Its pour line:")))
            .first();
    first.click();
    assertThat(
            page.getByRole(
                AriaRole.GROUP,
                new Page.GetByRoleOptions().setName(Pattern.compile("^Pour line:"))))
        .not()
        .hasCount(1);
    table
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Take:")))
        .first()
        .click();
    assertThat(sentence).not().containsText("too late");
    assertThat(table).hasCount(0);
    button(page, "Undo").click();
    assertThat(sentence).containsText("too late");
  }

  @Test
  void aPlanTellsItsStoryAndHowTheMouldsStand() {
    Page page = opened(RunningApp.demoDocument("sessions/pantry-knobs"), "Told", "2027-01-05");
    button(page, "Summary").click();
    Locator story = page.getByLabel("Summary", new Page.GetByLabelOptions().setExact(true)).last();
    assertThat(story).containsText("fills 14 pieces");
    assertThat(story).containsText("Tightest is");
    assertThat(story).containsText("out of its mould");
    button(page, "From above").click();
    Locator above =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("The bench from above"));
    assertThat(above.getByText("14", new Locator.GetByTextOptions().setExact(true))).isVisible();
    button(page, "In section").click();
    button(page, "One Knob 32 more").click();
    assertThat(page.getByText(Pattern.compile("^Changed: .*more to mix"))).isVisible();
  }

  @Test
  void twoPlansLieSideBySide() {
    Page page = opened(RunningApp.demoDocument("sessions/pantry-knobs"), "Beside", "2027-01-06");
    button(page, "One Knob 32 more").click();
    assertThat(page.getByText(Pattern.compile("^Changed:"))).isVisible();
    button(page, "Compare plans").click();
    choose(page, "Beside", "before the last change");
    Locator table = ways(page);
    assertThat(table.getByRole(AriaRole.ROW).nth(2)).hasText(Pattern.compile("pieces\\s*15\\s*14"));
    table
        .getByRole(
            AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Take: Before the last change"))
        .click();
    assertThat(page.getByLabel("6 of Knob 32")).isVisible();
  }

  @Test
  void aLargeBoardIsSearchedAndFolded() {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    var pieces = session.withArray("pieces");
    int lines = pieces.size();
    while (pieces.size() < 14) {
      ObjectNode more = (ObjectNode) pieces.get(pieces.size() % lines).deepCopy();
      pieces.add(more.put("count", 1));
    }
    Page page = opened(session, "Many", "2027-01-07");
    field(page, "Find a mould or colour").fill("cord");
    Locator board =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Moulds on the board"));
    assertThat(board.getByRole(AriaRole.LISTITEM)).hasCount(3);
    field(page, "Find a mould or colour").fill("");
    assertThat(board.getByRole(AriaRole.LISTITEM)).hasCount(14);
  }

  @Test
  void aHelperIsAThreadOfTheirOwnAndNobodyIsCertain() {
    Page page = opened(RunningApp.demoDocument("sessions/pantry-knobs"), "Helped", "2027-01-08");
    page.getByRole(
            AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("· change$")))
        .click();
    button(page, "Certainty").click();
    field(page, "Pairs of hands").fill("2");
    assertThat(
            page.getByRole(
                AriaRole.GROUP,
                new Page.GetByRoleOptions()
                    .setName(Pattern.compile("the work of two pairs of hands"))))
        .isVisible();
    field(page, "Certainty wanted").fill("100");
    Locator told =
        page.getByLabel("Conditions", new Page.GetByLabelOptions().setExact(true))
            .getByText("Nobody can be 100 % sure");
    assertThat(told).isVisible();
    field(page, "Certainty wanted").fill("97");
    assertThat(told).hasCount(0);
    // Whatever else is typed or pasted there: a message, and the plan before it stays.
    for (String typed : List.of("", "0", "-1", "1.5", "1,5", "1e9", "two", "2\t2", "99999999999")) {
      field(page, "Pairs of hands").fill(typed);
      assertThat(field(page, "Pairs of hands")).hasAttribute("aria-invalid", "true");
    }
    assertThat(page.getByLabel("6 of Knob 32")).isVisible();
    field(page, "Pairs of hands").fill(" 1 ");
    assertThat(field(page, "Pairs of hands")).hasAttribute("aria-invalid", "false");
    for (String typed : List.of("", "0", "-5", "1e9", "sure", "9 7")) {
      field(page, "Certainty wanted").fill(typed);
      assertThat(field(page, "Certainty wanted")).hasAttribute("aria-invalid", "true");
    }
    field(page, "Certainty wanted").fill("97,5");
    assertThat(field(page, "Certainty wanted")).hasAttribute("aria-invalid", "false");
  }
}
