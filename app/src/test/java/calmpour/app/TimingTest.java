package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.app.store.WorkshopClock;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import org.jooq.DSLContext;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** A resin that is timed for its own sake, and the clock of the demo. */
class TimingTest {
  private static final Browser browser = Browser.shared();

  @TempDir static Path data;
  private static RunningApp app;

  @BeforeAll
  static void start() {
    app = RunningApp.demo(data);
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  private static Map<String, Object> setUp(Map<String, Object> otherwise) {
    Map<String, Object> setUp =
        new HashMap<>(
            Map.of(
                "resinId", "slow-casting",
                "massG", 100,
                "roomC", 24,
                "mixMinutes", 3,
                "restMinutes", 0,
                "lampMinutes", 0,
                "splitInto", 1,
                "lies", "CUP"));
    setUp.putAll(otherwise);
    return setUp;
  }

  private static RunningApp.Answer begin(String id, Map<String, Object> setUp, double minutesAgo) {
    return app.post(
        "/api/timings",
        Map.of("id", id, "setUp", setUp, "minutesAgo", minutesAgo, "zoneId", "Europe/London"));
  }

  private static RunningApp.Answer tell(String id, Map<String, Object> told) {
    Map<String, Object> event = new HashMap<>(Map.of("id", UUID.randomUUID().toString()));
    event.putAll(told);
    return app.post("/api/timings/" + id + "/events", event);
  }

  private static Map<String, Object> felt(String word, double minutesAgo) {
    return Map.of("kind", "FELT", "word", word, "minutesAgo", minutesAgo);
  }

  /**
   * Three times mixed as on the label, which says 40 minutes for 100 g at 24 °C, and each time
   * still like syrup after 48 and like honey after 52: its pace is learned, shown with where it
   * came from, and planned with when somebody says so.
   */
  @Test
  void threeTimingsTeachAResinsPace() {
    for (int i = 0; i < 3; i++) {
      String id = "timed-" + i;
      JsonNode begun = begin(id, setUp(Map.of()), 90).body();
      Instant met = Instant.parse(begun.get("metAt").asString());
      Instant thick = Instant.parse(begun.at("/cup/thick").asString());
      assertThat(Duration.between(met, thick).toSeconds() / 60.0).isCloseTo(40, within(1.5));
      // Begun twice is begun once.
      assertThat(begin(id, setUp(Map.of()), 20).body().get("metAt")).isEqualTo(begun.get("metAt"));
      String syrup = "syrup-" + i;
      Map<String, Object> event = new HashMap<>(felt("SYRUP", 42));
      event.put("id", syrup);
      tell(id, event);
      tell(id, event);
      JsonNode told = tell(id, felt("HONEY", 38)).body();
      assertThat(told.get("looks").size()).isEqualTo(2);
      assertThat(told.at("/says/0/lowest").asDouble()).isBetween(1.12, 1.28);
      assertThat(told.at("/says/0/highest").asDouble()).isBetween(1.22, 1.38);
      assertThat(told.get("lot").asString()).isEqualTo("A-0711 + S-0711");
    }
    JsonNode pace = pace();
    assertThat(pace.at("/learned/evenings").asInt()).isEqualTo(3);
    assertThat(pace.at("/learned/enough").asBoolean()).isTrue();
    assertThat(pace.at("/learned/times").asDouble()).isBetween(1.15, 1.32);
    JsonNode behind = app.get("/api/journal/paces/slow-casting/FLUID/evenings").body();
    assertThat(behind.size()).isEqualTo(3);
    assertThat(behind.get(0).has("runId")).isFalse();
    assertThat(app.put("/api/journal/paces/slow-casting/FLUID?learned=true", Map.of()).status())
        .isEqualTo(200);
    assertThat(pace().at("/taken/times").asDouble())
        .isCloseTo(pace.at("/learned/times").asDouble(), within(1e-9));
    // What was taken back says nothing any more, and of two timings nothing is planned.
    tell("timed-0", Map.of("kind", "UNDONE", "undoes", "syrup-0"));
    JsonNode last = app.get("/api/timings").body().get("timings");
    assertThat(last.size()).isGreaterThanOrEqualTo(3);
    app.put("/api/journal/paces/slow-casting/FLUID?learned=false", Map.of());
    assertThat(pace().has("taken")).isFalse();
  }

  private static JsonNode pace() {
    return app.get("/api/journal/paces")
        .body()
        .valueStream()
        .filter(p -> p.get("resinId").asString().equals("slow-casting"))
        .filter(p -> p.get("of").asString().equals("FLUID"))
        .findFirst()
        .orElseThrow();
  }

  /** Whatever does not fit is refused at its field, and nothing of it is kept. */
  @Test
  void nonsenseIsRefusedAtItsField() {
    int before = app.get("/api/timings").body().get("timings").size();
    refused(begin("n", setUp(Map.of()), -1), "minutesAgo");
    refused(begin("n", setUp(Map.of()), 1e9), "minutesAgo");
    refused(begin("n", setUp(Map.of("resinId", "no-such")), 0), "resinId");
    refused(begin("n", setUp(Map.of("cupId", "cup-50", "massG", 500)), 0), "cupId");
    refused(begin("n", setUp(Map.of("massG", 0)), 0), "setUp.massG");
    refused(begin("n", setUp(Map.of("lies", "MOULD")), 0), "setUp.mouldId");
    refused(
        app.post(
            "/api/timings", Map.of("id", "n", "setUp", setUp(Map.of()), "zoneId", "Nowhere/Land")),
        "zoneId");
    assertThat(app.get("/api/timings").body().get("timings").size()).isEqualTo(before);
    begin("real", setUp(Map.of()), 10);
    refused(tell("real", felt("HONEY", 30)), "minutesAgo");
    refused(tell("real", Map.of("kind", "FELT")), "word");
    refused(tell("real", Map.of("kind", "POURED")), "piece");
    assertThat(tell("no-such", felt("HONEY", 1)).status()).isEqualTo(404);
    assertThat(tell("real", Map.of("kind", "FELT", "word", "SOGGY")).status()).isEqualTo(422);
    tell("real", Map.of("kind", "OVER"));
  }

  private static void refused(RunningApp.Answer answer, String field) {
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.error(0).get("field").asString()).isEqualTo(field);
  }

  /** As a maker would: mix, pour some into a mould, say how it is, take one back. */
  @Test
  void aMakerTimesAResin() {
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/practice"));
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Time a resin")).click();
    assertThat(
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Time a resin")))
        .isVisible();
    choose(page, "Then it", "is poured into a mould");
    choose(page, "Mould", "Knob 25");
    page.getByLabel("Mixed how long ago").fill("soon");
    assertThat(page.getByText("Enter a number")).isVisible();
    page.getByLabel("Mixed how long ago").fill("12");
    button(page, "Mixed: start the clock").click();
    assertThat(page.getByRole(AriaRole.TIMER).first()).containsText("12 min");
    page.getByLabel("That was how long ago").first().fill("8");
    button(page, "Poured").first().click();
    Locator poured =
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What you poured"))
            .first();
    poured.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("like syrup")).click();
    Locator looks =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("How it was")).first();
    assertThat(looks.getByRole(AriaRole.LISTITEM)).hasCount(1);
    assertThat(page.getByText(Pattern.compile("^Until it gels: .* \\(1 check\\)"))).isVisible();
    Seen.readableOnAnyWidth(page, "a resin that is timed");
    page.setViewportSize(1280, 800);
    looks
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("^Take back: like syrup")))
        .click();
    assertThat(looks.getByRole(AriaRole.LISTITEM)).hasCount(0);
    page.navigate(app.url("/today"));
    assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Being timed")))
        .containsText("Look again about");
    page.navigate(app.url("/practice/timing"));
    button(page, "No more looks").first().click();
    assertThat(page.getByRole(AriaRole.TIMER).first()).containsText("over");
  }

  private static void choose(Page page, String what, String which) {
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName(what)).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(which)).first().click();
  }

  /** A demo that lay shut for a month goes on where it stood; a workshop of one's own does not. */
  @Test
  void theClockOfTheDemoStandsWhileItIsShut(@TempDir Path other) {
    try (RunningApp own = RunningApp.empty(other)) {
      DSLContext db = own.bean(DSLContext.class);
      Instant begun = Instant.parse("2026-11-29T10:00:00Z");
      WorkshopClock first = new WorkshopClock(db, Clock.fixed(begun, ZoneOffset.UTC), true);
      first.runAt(1, Duration.ofHours(3));
      first.keepWhereItStands();
      Clock later = Clock.fixed(begun.plus(Duration.ofDays(30)), ZoneOffset.UTC);
      Instant again = new WorkshopClock(db, later, true).instant();
      // A few seconds on, for what was told after it was kept last.
      assertThat(again).isBetween(first.instant(), first.instant().plusSeconds(60));
      assertThat(new WorkshopClock(db, later, false).instant())
          .isEqualTo(first.instant().plus(Duration.ofDays(30)));
    }
  }

  /** A timing that is damaged is told, and takes none of the others with it. */
  @Test
  void aDamagedTimingTakesNoOtherWithIt() {
    begin("damaged", setUp(Map.of()), 5);
    app.bean(DSLContext.class)
        .execute("update timing set set_up = '{\"massG\": \"much\"}' where id = 'damaged'");
    JsonNode all = app.get("/api/timings").body();
    assertThat(all.get("unreadable").valueStream().map(JsonNode::asString).toList())
        .isEqualTo(List.of("Slow casting resin 2:1"));
    assertThat(all.get("timings").valueStream().map(t -> t.get("id").asString()))
        .doesNotContain("damaged");
    app.bean(DSLContext.class).execute("delete from timing where id = 'damaged'");
  }
}
