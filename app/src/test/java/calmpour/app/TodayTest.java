package calmpour.app;

import static calmpour.app.Seen.button;
import static calmpour.app.Seen.typeMoment;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.store.RunStore;
import calmpour.app.store.WorkshopClock;
import calmpour.core.plan.doc.Task;
import calmpour.core.practice.World;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZonedDateTime;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is due of an evening that was poured yesterday, in a demo of its own. */
class TodayTest {
  private static final Browser browser = Browser.shared();

  @TempDir static Path data;
  private static RunningApp app;
  private static Duration ahead;

  @BeforeAll
  static void start() {
    app = RunningApp.demo(data);
    // At night nobody takes anything out of its mould: it is noon, whenever this is run.
    WorkshopClock clock = app.bean(WorkshopClock.class);
    ZonedDateTime now = clock.instant().atZone(ZoneId.of("Europe/London"));
    ZonedDateTime noon = now.with(LocalTime.NOON);
    ahead = Duration.between(now, noon.isBefore(now) ? noon.plusDays(1) : noon);
    clock.runAt(1, ahead);
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  /**
   * Once something was poured the day begins with what is due, what cures and what is worth a
   * touch.
   */
  @Test
  void theDayBeginsWithWhatIsDue() {
    RunStore runs = app.bean(RunStore.class);
    Instant now = app.bean(WorkshopClock.class).instant();
    Run run = PastEvenings.planned(app, "pantry-knobs", 0);
    int out =
        run.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.DEMOULD)
            .mapToInt(Task::startSeconds)
            .min()
            .orElseThrow();
    Run open =
        new Run(
            run.session(), run.workshop(), run.plan(), now.minusSeconds(out).minusSeconds(1_800));
    String id = runs.begin(null, open).id();
    runs.append(id, World.carryOutUntil(open, 1, now.minusSeconds(6 * 3_600)));
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/"));
    assertThat(page).hasURL(Pattern.compile("/today$"));
    Locator due = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Due now"));
    assertThat(due).containsText("Out of the mould");
    // Nobody wipes a mould with a piece in it, although that is planned for a minute later.
    assertThat(due).not().containsText("Wipe");
    // Nobody knows yet whether it is hard: one tap, and it is not asked again.
    Locator touch =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Worth a touch now"));
    int asked = touch.getByRole(AriaRole.GROUP).count();
    assertThat(asked).isPositive();
    touch
        .getByRole(AriaRole.GROUP)
        .first()
        .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("hard"))
        .click();
    assertThat(touch.getByRole(AriaRole.GROUP)).hasCount(asked - 1);
    int lines = due.getByRole(AriaRole.LISTITEM).count();
    Seen.readableOnAnyWidth(page, "today");
    page.setViewportSize(1280, 800);
    due.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Later")).first().click();
    page.getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("in an hour")).click();
    assertThat(due.getByRole(AriaRole.LISTITEM)).hasCount(lines - 1);
    assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Curing")))
        .containsText("left");
    runs.append(id, List.of(RunEvent.of("over", now, RunEvent.Kind.FINISHED, null)));
  }

  /** An evening without the bench goes into the record from its plan; one to come is refused. */
  @Test
  void whatWasPouredWithoutTheBenchIsEnteredFromItsPlan() {
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/sessions"));
    page.getByRole(
            AriaRole.LINK,
            new Page.GetByRoleOptions().setName("Garden-row labels for the walled garden"))
        .first()
        .click();
    button(page, "I poured this already").click();
    typeMoment(page, "Begun", "20Nov21991800");
    button(page, "Enter it").click();
    assertThat(page.getByText("This is still to come")).isVisible();
    typeMoment(page, "Begun", "20Jun20261800");
    button(page, "Enter it").click();
    assertThat(page).hasURL(Pattern.compile("/record$"));
    assertThat(page.getByText("Nothing: it went as it was planned.")).isVisible();
    assertThat(page.getByText("12 of 12").or(page.getByText("0 of 12"))).isVisible();
    page.navigate(app.url("/today"));
    assertThat(
            page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Later"))
                .or(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Due now")))
                .first())
        .containsText("Garden-row labels");
  }

  /** The browser's own notice, as soon as something becomes due, and once. */
  @Test
  void theBrowserSaysWhatHasJustBecomeDue() {
    RunStore runs = app.bean(RunStore.class);
    WorkshopClock clock = app.bean(WorkshopClock.class);
    Run run = PastEvenings.planned(app, "fern-bell-pushes", 0);
    int out =
        run.plan().tasks().stream()
            .filter(t -> t.kind() == Task.Kind.DEMOULD)
            .mapToInt(Task::startSeconds)
            .min()
            .orElseThrow();
    Instant begun = clock.instant().minusSeconds(out).plusSeconds(600);
    Run open = new Run(run.session(), run.workshop(), run.plan(), begun);
    String id = runs.begin(null, open).id();
    runs.append(id, World.carryOutUntil(open, 1, clock.instant().minusSeconds(6 * 3_600)));
    Page page = browser.page(1280, 800);
    // Nobody sees a notice here: what the browser is asked to show is written down instead.
    page.addInitScript(
        """
        window.notices = [];
        window.Notification = class {
          static permission = "granted";
          static requestPermission = async () => "granted";
          constructor(title, options) { window.notices.push(title + " | " + options.body); }
        };
        """);
    page.clock().install();
    page.navigate(app.url("/today"));
    button(page, "Tell me when something is due").click();
    assertThat(button(page, "Do not tell me")).isVisible();
    page.waitForResponse("**/api/today", () -> page.clock().fastForward(31_000));
    clock.runAt(1, ahead.plusMinutes(20));
    page.waitForResponse("**/api/today", () -> page.clock().fastForward(31_000));
    page.waitForFunction("() => window.notices.length > 0");
    page.waitForResponse("**/api/today", () -> page.clock().fastForward(31_000));
    // Two kinds of pieces; nobody finishes one that is still in its mould.
    assertThat(page.evaluate("() => window.notices.join('; ')").toString().split("; "))
        .hasSize(2)
        .doesNotHaveDuplicates()
        .allMatch(n -> n.startsWith("Out of the mould: "))
        .allMatch(n -> n.endsWith(" | " + open.session().name()));
    clock.runAt(1, ahead);
    runs.append(id, List.of(RunEvent.of("over", clock.instant(), RunEvent.Kind.FINISHED, null)));
  }
}
