package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Everything that lies over the bench or takes the place of its step, by day and by night. */
class BenchOverlaysTest extends BenchScreens {
  private static void press(Page page, String name) {
    page.waitForTimeout(MEANT_MS);
    button(page, name).first().click();
  }

  @Test
  void whatIsAskedIsReadable() {
    String run = begin(true).body().get("id").asString();
    Page page = bench(run);
    button(page, "Foot switch").waitFor();
    Seen.readable(page, "the list before the start");
    tell(run, "CHECKED", "READY", null);
    upTo(run, "WEIGH_SECOND");
    press(page, "^Other weight");
    Seen.readable(page, "a weight is typed");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().type("9");
    press(page, "That is what is in");
    page.getByRole(AriaRole.ALERTDIALOG).waitFor();
    Seen.readable(page, "a weight that is doubted");
    press(page, "Weigh again|gain$|Fill up");
    press(page, "°C");
    Seen.readable(page, "the room");
    press(page, "Type a reading");
    Seen.readable(page, "a reading of the room is typed");
    page.context().close();
  }

  @Test
  void whatWarnsIsReadable() {
    String run = begun();
    String second = upTo(run, "WEIGH_SECOND");
    tell(run, "DONE", second, step(run, second).get("targetG").asDouble() * 1.2);
    Page page = bench(run);
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Too much");
    Seen.readable(page, "off its ratio");
    tell(run, "CHECKED", "RATIO/1", null);
    upTo(run, "POUR");
    press(page, "hot");
    Seen.readable(page, "which cup");
    press(page, "^None of them");
    String cup = state(run).get("cups").get(0).get("cupId").asString();
    tell(run, "THICK", cup, null);
    Locator told = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(told).containsText("lost");
    Seen.readable(page, "a cup has gone");
    press(page, "What is left to do");
    assertThat(told).containsText("can still be made");
    Seen.readable(page, "what can still be made");
    press(page, "^Go on$");
    tell(run, "HOT", state(run).get("cups").get(0).get("cupId").asString(), null);
    assertThat(told).containsText("getting hot");
    Seen.readable(page, "a cup is getting hot");
    press(page, "It is outdoors");
    tell(run, "AWAY", null, null);
    assertThat(told).containsText("Away for");
    Seen.readable(page, "stepped away");
    press(page, "I am back");
    press(page, "^Go on$");
    page.context().close();
  }

  /** Hours too early, and on a phone the cups on a page of their own. */
  @Test
  void whatIsAskedOnAPhoneIsReadable() {
    String run = begun();
    upTo(run, "POUR");
    Page page = bench(run, 390, 844);
    press(page, "what waits, what is filled|What waits, what is filled");
    Seen.readable(page, "all open cups");
    press(page, "Back to the step");
    upTo(run, "DEMOULD");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    assertThat(page.getByRole(AriaRole.ALERTDIALOG)).containsText("too early");
    Seen.readable(page, "hours too early");
    page.context().close();
  }
}
