package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What the bench takes back, asks before its time, and says of cups that go by themselves. */
class BenchTimeTest extends BenchScreens {
  /** Two pours without a line: undo takes the last of them back, not what the server knew last. */
  @Test
  void undoNamesWhatItTakesBackWithAndWithoutALine() {
    String run = begun();
    String first = upTo(run, "POUR");
    Page page = bench(run, 1280, 800);
    assertThat(button(page, "^Undo")).containsText("Tint");
    page.context().setOffline(true);
    page.waitForTimeout(MEANT_MS);
    String before = page.locator("main h2").first().innerText();
    page.keyboard().press(" ");
    assertThat(page.locator("main h2").first()).not().hasText(before);
    String second = page.locator("main h2").first().innerText();
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    assertThat(page.locator("main h2").first()).not().hasText(second);
    assertThat(button(page, "^Undo")).containsText(second.split(",", 2)[0]);
    button(page, "^Undo").click();
    assertThat(page.locator("main h2").first()).hasText(second);
    page.context().setOffline(false);
    page.waitForCondition(() -> step(run, first).get("status").asString().equals("DONE"));
    page.waitForTimeout(MEANT_MS);
    assertThat(page.locator("main h2").first()).hasText(second);
    long done =
        state(run)
            .get("steps")
            .valueStream()
            .filter(s -> s.get("kind").asString().equals("POUR"))
            .filter(s -> s.get("status").asString().equals("DONE"))
            .count();
    assertThat(done).isEqualTo(1);
  }

  @Test
  void undoReachesPastHavingBeenAway() {
    String run = begun();
    String pour = upTo(run, "POUR");
    tell(run, "DONE", pour, null);
    tell(run, "AWAY", null, null);
    tell(run, "BACK", null, null);
    Page page = bench(run, 1280, 800);
    assertThat(button(page, "^Undo")).containsText("into");
    button(page, "^Undo").click();
    page.waitForCondition(() -> step(run, pour).get("status").asString().equals("TO_DO"));
    assertThat(state(run).has("awaySinceSeconds")).isFalse();
  }

  /** The demould stands "not before": a key in a hurry is asked, and only then counts. */
  @Test
  void hoursTooEarlyIsAskedOnceAndKeptInTheRecord() {
    String run = begun();
    String out = upTo(run, "DEMOULD");
    Page page = bench(run, 1280, 800);
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("Not before");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    Locator asked = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(asked).containsText("too early");
    page.waitForTimeout(MEANT_MS);
    page.keyboard().press(" ");
    assertThat(asked).isVisible();
    assertThat(step(run, out).get("status").asString()).isEqualTo("TO_DO");
    button(page, "It is done all the same").click();
    page.waitForCondition(() -> step(run, out).get("status").asString().equals("DONE"));
    assertThat(demo.get("/api/runs/" + run + "/record").body().get("asRun").get("deviations"))
        .anySatisfy(d -> assertThat(d.get("code").asString()).isEqualTo("EARLY"));
    button(page, "^Undo").click();
    page.waitForCondition(() -> step(run, out).get("status").asString().equals("TO_DO"));
  }

  /** A cup that no longer pours stops the line: how many are lost, and what to do with it. */
  @Test
  void aCupThatGoesStopsTheLine() {
    String run = begun();
    upTo(run, "POUR");
    JsonNode cup = state(run).get("cups").get(0);
    Page page = bench(run, 390, 844);
    page.waitForTimeout(MEANT_MS);
    tell(run, "THICK", cup.get("cupId").asString(), null);
    Locator told = page.getByRole(AriaRole.ALERTDIALOG);
    assertThat(told).containsText("lost");
    int lost =
        state(run)
            .get("cups")
            .valueStream()
            .filter(c -> c.get("cupId").equals(cup.get("cupId")))
            .findFirst()
            .orElseThrow()
            .get("lostPours")
            .asInt();
    assertThat(lost).isPositive();
    assertThat(told).containsText(String.valueOf(lost));
    assertThat(told).containsText(cup.get("colourName").asString());
    button(page, "What is left to do").click();
    assertThat(told).containsText("can still be made");
    page.waitForCondition(() -> state(run).get("checked").toString().contains("GONE/"));
    page.reload();
    page.locator("main h2").first().waitFor();
    assertThat(told).hasCount(0);
  }

  /** Left alone until everything has gelled: nobody pressed a key, and all is told. */
  @Test
  void nobodyHasToPressAKeyToBeTold() {
    String run = begun();
    upTo(run, "POUR");
    Page page = bench(run, 1280, 800);
    page.waitForTimeout(MEANT_MS);
    demo.put("/api/clock", Map.of("speed", 120, "aheadSeconds", untilThick(run) - 240));
    try {
      Locator told = page.getByRole(AriaRole.ALERTDIALOG);
      assertThat(told)
          .containsText(
              "lost",
              new com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions()
                  .setTimeout(60_000));
    } finally {
      demo.put("/api/clock", Map.of("speed", 1));
    }
  }

  /** An embed that nobody thinks of is said while its layer still gives way. */
  @Test
  void whatIsLostNextIsSaidInTime() {
    LeftAlone.Seen seen =
        LeftAlone.after(
            demo,
            browser,
            RunningApp.demoDocument("sessions/fern-bell-pushes"),
            "EMBED_FORGOTTEN",
            "EMBED",
            1,
            0);
    assertThat(seen.inTime()).as(seen.toString()).isTrue();
    assertThat(seen.lost()).as("it was lost in the end").isNotNull();
    assertThat(seen.words()).contains("within");
  }

  @Test
  void aMouldThatIsFullIsNotPouredIntoByAnotherEvening() {
    String run = begun();
    String pour = upTo(run, "POUR");
    tell(run, "DONE", pour, null);
    RunningApp.Answer refused = begin(false);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body().toString()).contains("mouldsEmpty").contains("Pantry knobs");
    assertThat(begin(true).status()).isEqualTo(201);
    Page page = browser.page(1280, 800);
    String kept =
        demo.post("/api/sessions", RunningApp.demoDocument("sessions/pantry-knobs"))
            .body()
            .get("id")
            .asString();
    page.navigate(demo.url("/plan/" + kept));
    button(page, "^Begin$").click();
    assertThat(page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("full moulds")))
        .containsText("still full");
  }

  @Test
  void whatThePlanDoesNotHaveIsRefusedAndAWrongClockIsPutRight() throws Exception {
    String run = begun();
    assertThat(told(run, "DONE", "pour/99.1.1", null, "2099-01-01T00:00:00Z", null).status())
        .isEqualTo(422);
    String first = upTo(run, "WEIGH_SECOND");
    // Its clock is five years ahead; it happened three seconds before it was sent, not just now.
    Thread.sleep(4_500);
    Instant sent = Instant.parse("2031-05-01T10:00:00Z");
    assertThat(
            told(run, "DONE", first, null, sent.minusSeconds(3).toString(), sent.toString())
                .status())
        .isEqualTo(200);
    JsonNode step = step(run, first);
    assertThat(step.get("status").asString()).isEqualTo("DONE");
    assertThat(state(run).get("atSeconds").asInt() - step.get("endSeconds").asInt())
        .isBetween(2, 30);
  }

  /**
   * 200 % zoom of a small laptop, and a phone on its side: name, quantity and large key are there.
   */
  @ParameterizedTest
  @CsvSource({"640, 400", "844, 390"})
  void nameQuantityAndLargeKeyAreSeenOnALowScreen(int width, int height) {
    String run = begun();
    upTo(run, "POUR");
    Page page = bench(run, width, height);
    Locator name = page.locator("main h2").first();
    for (Locator each :
        List.of(name, page.locator("main h2 + div").first(), button(page, "^Poured"))) {
      BoundingBox box = each.boundingBox();
      assertThat(box.y).isGreaterThanOrEqualTo(0);
      assertThat(box.y + box.height).isLessThanOrEqualTo(height);
      assertThat(box.height).isGreaterThan(18);
      // And nothing lies over it.
      assertThat(
              (Boolean)
                  each.evaluate(
                      "e => { const b = e.getBoundingClientRect();"
                          + " const t = document.elementFromPoint(b.x + b.width / 2, b.y + b.height / 2);"
                          + " return e.contains(t) || t.contains(e); }"))
          .isTrue();
    }
    assertThat((Boolean) page.evaluate("document.body.scrollWidth <= innerWidth")).isTrue();
  }

  /**
   * Letters 8 mm high are read at two metres (common practice, no source). A phone of 390 has 6 px
   * in a millimetre, a tablet of 768 5.1, a screen of 1280 4.5; a capital is 0.7 of its size high.
   */
  @ParameterizedTest
  @CsvSource({"390, 844, 69", "768, 1024, 58", "1280, 800, 52"})
  void theStepIsReadFromAcrossTheRoom(int width, int height, int atLeast) {
    String run = begun();
    upTo(run, "POUR");
    Page page = bench(run, width, height);
    assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Leave")))
        .isInViewport(new LocatorAssertions.IsInViewportOptions().setRatio(1));
    page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Large letters"))
        .filter(new Locator.FilterOptions().setVisible(true))
        .first()
        .click();
    Locator name = page.locator("main h2").first();
    Locator far = page.locator("main div:has(> h2)").last();
    assertThat(far).containsText(" g");
    double size =
        ((Number) name.evaluate("e => parseFloat(getComputedStyle(e).fontSize)")).doubleValue();
    assertThat(size).isGreaterThanOrEqualTo(atLeast);
    assertThat(
            (Boolean)
                far.evaluate(
                    "e => e.scrollHeight <= e.clientHeight && e.scrollWidth <= e.clientWidth"))
        .as("all of it is on the screen")
        .isTrue();
    assertThat(button(page, "^Poured")).isInViewport();
    button(page, "Show all of the step").click();
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("min to spare");
  }

  @Test
  void aReadingOfTheRoomIsTypedAndTakenBack() {
    String run = begun();
    upTo(run, "POUR");
    int before = state(run).get("cups").get(0).get("thicksSeconds").asInt();
    Page page = bench(run, 1280, 800);
    button(page, "°C").click();
    button(page, "Type a reading").click();
    page.waitForTimeout(MEANT_MS);
    page.keyboard().type("31");
    button(page, "That is it").click();
    page.waitForCondition(() -> state(run).has("room"));
    assertThat(state(run).get("cups").get(0).get("thicksSeconds").asInt()).isLessThan(before);
    assertThat(page.getByRole(AriaRole.MAIN)).containsText("sooner");
    button(page, "31.0 °C").click();
    button(page, "take it back").click();
    page.waitForCondition(() -> !state(run).has("room"));
    assertThat(state(run).get("cups").get(0).get("thicksSeconds").asInt())
        .isBetween(before - 5, before + 5);
  }
}
