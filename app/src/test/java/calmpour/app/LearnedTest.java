package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import calmpour.app.store.RunStore;
import calmpour.app.store.ShelfStore;
import calmpour.core.plan.Planner;
import calmpour.core.plan.WorkedPlan;
import calmpour.core.practice.World;
import calmpour.core.run.Run;
import calmpour.core.run.RunEvent;
import calmpour.core.session.Session;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What evenings of two people teach of lids, overage, the room as it goes on, and whose hands. */
class LearnedTest {
  private static final Browser browser = Browser.shared();
  private static final String CLOSED = "ring-pull";
  private static final int EVENINGS = 12;
  private static final LocalDateTime FIRST = LocalDateTime.of(2026, 6, 6, 17, 0);

  @TempDir static Path data;
  private static RunningApp app;

  @BeforeAll
  static void start() {
    app = RunningApp.demo(data);
    Session session = closed();
    for (int i = 0; i < EVENINGS; i++) {
      Session its = session.withStartsAt(FIRST.plusDays(9L * i));
      WorkedPlan worked = app.bean(Planner.class).work(its, app.bean(ShelfStore.class).workshop());
      Run run = new Run(its, worked.job().used(), worked.plan(), its.startsAtInstant());
      String person = i % 2 == 0 ? World.QUICK_HANDS : World.SLOW_HANDS;
      RunStore runs = app.bean(RunStore.class);
      List<RunEvent> events = World.carryOut(run, i, true, Map.of(), person).events();
      runs.append(runs.begin(null, run).id(), i == 1 ? inTurn(events) : events);
    }
    while (app.get("/api/journal").body().get("pending").asInt() > 0) {
      Thread.onSpinWait();
    }
  }

  /** Both were there, and told a step each. */
  private static List<RunEvent> inTurn(List<RunEvent> events) {
    List<RunEvent> told = new ArrayList<>();
    for (RunEvent event : events) {
      told.add(event.withPerson(told.size() % 2 == 0 ? World.QUICK_HANDS : World.SLOW_HANDS));
    }
    return told;
  }

  /** The session of the demo that has a closed mould in it. */
  private static Session closed() {
    JsonMapper json = app.bean(JsonMapper.class);
    return json.readTree(LearnedTest.class.getResourceAsStream("/demo/past.json"))
        .valueStream()
        .map(past -> past.get("session"))
        .filter(s -> s.toString().contains(CLOSED))
        .map(s -> json.treeToValue(s, Session.class))
        .findFirst()
        .orElseThrow();
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  private static JsonNode get(String path) {
    return app.get("/api/journal" + (path.isEmpty() ? "" : "/" + path)).body();
  }

  private static Page learned(int width) {
    Page page = browser.page(width, 800);
    page.navigate(app.url("/journal?part=hands"));
    return page;
  }

  private static Locator key(Page page, String name) {
    return page.getByRole(
        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile(name)));
  }

  /** What a lid of this world really needs comes out, and is planned with until it is put back. */
  @Test
  void aLidTeachesHowMuchItsMouldIsFilledOver() {
    JsonNode lid = get("lids").get(0);
    assertThat(lid.get("mouldId").asString()).isEqualTo(CLOSED);
    assertThat(lid.at("/learned/enough").asBoolean()).isTrue();
    double holds = VOLUME_ML;
    double beyond = (World.takes(CLOSED) - 1) * holds;
    // A fiftieth of what it holds is assumed.
    double truth = beyond + World.LID_NEEDS * 0.02 * holds;
    assertThat(lid.at("/learned/middleMl").asDouble()).isCloseTo(truth, within(0.03 * holds));
    assertThat(get("lids/" + CLOSED + "/evenings").size())
        .isEqualTo(lid.at("/learned/evenings").asInt());
    Page page = learned(1280);
    key(page, "^Plan with it: Ring pull$").last().click();
    assertThat(key(page, "^As assumed: Ring pull")).isVisible();
    double taken = get("lids").get(0).get("plannedMl").asDouble();
    assertThat(taken).isBetween(lid.at("/learned/enoughMl").asDouble(), 9.0);
    assertThat(taken - lid.at("/learned/enoughMl").asDouble()).isLessThan(0.05);
    key(page, "^As assumed: Ring pull").click();
    assertThat(key(page, "^As assumed: Ring pull")).isHidden();
    assertThat(get("lids").get(0).has("plannedMl")).isFalse();
    assertThat(app.put("/api/journal/lids/knob-32?learned=true", Map.of()).status()).isEqualTo(404);
    assertThat(app.put("/api/journal/lids/none?learned=true", Map.of()).status()).isEqualTo(404);
  }

  /** 2 π² R r², of a ring 52 mm wide and a tube of 9 mm. */
  private static final double VOLUME_ML = 2 * Math.PI * Math.PI * 21.5 * 4.5 * 4.5 / 1_000;

  @Test
  void theRoomIsPlannedWithAsItGoesOn() {
    JsonNode drift = get("room/drift");
    assertThat(drift.get("enough").asBoolean()).isTrue();
    assertThat(drift.get("warmerKPerHour").asDouble())
        .isCloseTo(World.WARMS_K_PER_HOUR, within(0.15));
    assertThat(get("room").get("warmerK").asDouble()).isCloseTo(World.WARMER_K, within(0.4));
    assertThat(get("room/drift/evenings").size()).isEqualTo(drift.get("evenings").asInt());
    Page page = learned(1280);
    key(page, "^Plan with .* an hour$").click();
    Locator before = key(page, "^As before: How your room goes on$");
    assertThat(before).isVisible();
    assertThat(app.get("/api/usual").body().at("/usual/room/warmsPerHourK").asDouble())
        .isCloseTo(drift.get("warmerKPerHour").asDouble(), within(0.051));
    // What else is taken over meanwhile stays when this is put back.
    key(page, "^Plan with [0-9.]+ %$").click();
    Locator overage = key(page, "^As before: Your overage$");
    assertThat(overage).isVisible();
    before.click();
    assertThat(before).isHidden();
    assertThat(app.get("/api/usual").body().at("/usual/room").has("warmsPerHourK")).isFalse();
    assertThat(app.get("/api/usual").body().at("/usual/habits/overagePercent").asDouble())
        .isEqualTo(get("overage").get("enoughPercent").asDouble());
    overage.click();
    assertThat(overage).isHidden();
  }

  @Test
  void theOverageThatWasEnoughIsPlannedWith() {
    JsonNode needed = get("overage");
    assertThat(needed.get("enough").asBoolean()).isTrue();
    assertThat(get("overage/evenings").size()).isGreaterThanOrEqualTo(3);
    double enough = needed.get("enoughPercent").asDouble();
    Page page = learned(1280);
    key(page, "^Plan with [0-9.]+ %$").click();
    Locator before = key(page, "^As before: Your overage$");
    assertThat(before).isVisible();
    assertThat(app.get("/api/usual").body().at("/usual/habits/overagePercent").asDouble())
        .isEqualTo(enough);
    before.click();
    assertThat(before).isHidden();
    assertThat(app.get("/api/usual").body().at("/usual/habits/overagePercent").asDouble())
        .isEqualTo(5);
  }

  /**
   * What is just what enough evenings say is marked so, with its evenings; what is typed is not.
   */
  @Test
  void aPlanMarksWhatEveningsSay() {
    double enough = get("overage").get("enoughPercent").asDouble();
    double drift = Math.round(10 * get("room/drift").get("warmerKPerHour").asDouble()) / 10.0;
    assertThat(app.put("/api/journal/lids/" + CLOSED + "?learned=true", Map.of()).status())
        .isEqualTo(200);
    Map<String, Double> learned = marked(enough, drift);
    assertThat(learned).containsOnlyKeys("overage", "drift", "lid/" + CLOSED);
    assertThat(learned.get("lid/" + CLOSED))
        .isEqualTo(get("lids").get(0).get("plannedMl").asDouble());
    assertThat(marked(enough + 1, drift + 1)).containsOnlyKeys("lid/" + CLOSED);
    assertThat(app.put("/api/journal/lids/" + CLOSED + "?learned=false", Map.of()).status())
        .isEqualTo(200);
    assertThat(marked(enough + 1, drift + 1)).isEmpty();
  }

  /** What stands as learned behind the numbers of a plan with that overage, in such a room. */
  private static Map<String, Double> marked(double overagePercent, double warmsPerHourK) {
    ObjectNode session = app.bean(JsonMapper.class).valueToTree(closed());
    ((ObjectNode) session.get("habits")).put("overagePercent", overagePercent);
    ((ObjectNode) session.get("room")).put("warmsPerHourK", warmsPerHourK);
    Map<String, Double> learned = new HashMap<>();
    for (JsonNode cup : app.post("/api/plan", session).body().at("/plan/batches/0/cups")) {
      String id = cup.get("id").asString();
      for (String quantity : List.of("resinG", "contentNeededG", "workingTimeMinutes")) {
        read(learned, explained(session, "cup/" + id + "/" + quantity));
      }
      for (JsonNode pour : cup.get("pours")) {
        read(learned, explained(session, "pour/" + pour.get("id").asString() + "/volumeMl"));
      }
    }
    return learned;
  }

  /** Hands that were taken over of one person are marked with that person's evenings. */
  @Test
  void aPlanMarksWhoseHandsItGoesBy() {
    ObjectNode session = app.bean(JsonMapper.class).valueToTree(closed());
    assertThat(hands(session)).isEmpty();
    session.set("hands", app.get("/api/journal/hands/of?person=" + World.SLOW_HANDS).body());
    Map<String, Double> learned = hands(session);
    assertThat(learned).containsKey("hands/POUR_SECONDS_CAVITY/" + World.SLOW_HANDS);
    assertThat(get("hands/POUR_SECONDS_CAVITY/evenings?person=" + World.SLOW_HANDS).size())
        .isGreaterThanOrEqualTo(3);
    ((ObjectNode) session.get("hands")).put("pourSecondsMl", 3.33);
    assertThat(hands(session)).doesNotContainKey("hands/POUR_SECONDS_CAVITY/" + World.SLOW_HANDS);
  }

  /** What stands as learned behind the time to spare. */
  private static Map<String, Double> hands(ObjectNode session) {
    Map<String, Double> learned = new HashMap<>();
    read(learned, explained(session, "plan/spareMinutes"));
    learned.keySet().removeIf(of -> !of.startsWith("hands/"));
    return learned;
  }

  private static JsonNode explained(ObjectNode session, String quantity) {
    return app.post("/api/plan/explain", Map.of("session", session, "quantity", quantity)).body();
  }

  private static void read(Map<String, Double> learned, JsonNode derivation) {
    for (JsonNode input : derivation.path("inputs")) {
      if (input.has("learned")) {
        assertThat(input.get("origin").asString()).isEqualTo("LEARNED");
        learned.put(input.get("learned").asString(), input.get("value").asDouble());
      }
      read(learned, input.path("from"));
    }
  }

  @Test
  void handsAreToldApart() {
    assertThat(get("hands/people").valueStream().map(JsonNode::asString))
        .containsExactly(World.QUICK_HANDS, World.SLOW_HANDS);
    // However many tell an evening in their own names, it is one evening.
    assertThat(evenings("hands"))
        .isBetween(EVENINGS, app.get("/api/journal").body().at("/counted/evenings").asInt());
    double quick = seconds("hands?person=" + World.QUICK_HANDS);
    double slow = seconds("hands?person=" + World.SLOW_HANDS);
    assertThat(slow / quick).isCloseTo(World.handsTake(World.SLOW_HANDS), within(0.08));
    assertThat(get("hands?person=nobody").size()).isZero();
    double taken =
        app.get("/api/journal/hands/of?person=" + World.SLOW_HANDS)
            .body()
            .get("pourSecondsCavity")
            .asDouble();
    assertThat(taken).isCloseTo(slow, within(0.06));
    Page page = learned(390);
    page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Whose hands"))
        .getByText(World.SLOW_HANDS)
        .click();
    assertThat(
            page.getByRole(
                AriaRole.HEADING,
                new Page.GetByRoleOptions().setName(World.SLOW_HANDS + "’s hands")))
        .isVisible();
    Seen.readableOnAnyWidth(page, "whose hands");
    // The record says who told a line; where one told all of it, that is said once.
    Pattern alone = Pattern.compile("^Told by (Fennel|Tarn)\\.$");
    toldOn(page, FIRST.plusDays(9));
    assertThat(page.getByText("(told by Tarn)").first()).isVisible();
    assertThat(page.getByText("(told by Fennel)").first()).isVisible();
    assertThat(page.getByText(alone)).hasCount(0);
    toldOn(page, FIRST);
    assertThat(page.getByText(alone)).hasCount(1);
    assertThat(page.getByText(Pattern.compile("told by (Fennel|Tarn)"))).hasCount(0);
  }

  /** Opens the lines of the evening of that day. */
  private static void toldOn(Page page, LocalDateTime day) {
    String on = day.toLocalDate().toString();
    JsonNode found = app.get("/api/journal?words=ring&from=" + on + "&to=" + on).body();
    String evening = found.get("evenings").get(0).get("id").asString();
    page.navigate(app.url("/pour/" + evening + "/record"));
    key(page, "^Correct a line").click();
  }

  private static int evenings(String path) {
    return get(path).valueStream().mapToInt(r -> r.get("evenings").asInt()).max().orElseThrow();
  }

  private static double seconds(String path) {
    return get(path)
        .valueStream()
        .filter(r -> r.get("speed").asString().equals("POUR_SECONDS_CAVITY"))
        .findFirst()
        .orElseThrow()
        .get("seconds")
        .asDouble();
  }

  /**
   * Every table is saved as other programs read it: as many fields in every line as in its head.
   */
  @Test
  void everyTableIsSaved() throws IOException {
    String run = get("").at("/evenings/0/id").asString();
    Map<String, Integer> rows = new HashMap<>();
    for (String path :
        List.of(
            "/api/journal/yields.csv?by=MOULD",
            "/api/journal/learned.csv",
            "/api/journal/pieces.csv",
            "/api/swatches/swatches.csv",
            "/api/runs/" + run + "/pours.csv")) {
      String text = app.text(path);
      List<CSVRecord> lines = CSVFormat.RFC4180.parse(new StringReader(text)).getRecords();
      assertThat(lines).as(path).allMatch(l -> l.size() == lines.getFirst().size());
      rows.put(path.replaceAll("^.*/|\\?.*$", ""), lines.size() - 1);
    }
    assertThat(rows.get("yields.csv")).isEqualTo(get("yields?by=MOULD").size());
    assertThat(rows.get("learned.csv"))
        .isEqualTo(
            3
                + get("hands").size()
                + get("paces").size()
                + get("fills").size()
                + get("stays").size()
                + get("doses").size()
                + get("lids").size());
    assertThat(rows.get("pours.csv"))
        .isEqualTo(app.get("/api/runs/" + run + "/record").body().at("/asRun/pours").size());
    assertThat(app.get("/api/runs/none/pours.csv").status()).isEqualTo(404);
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/journal?part=yields&by=MONTH"));
    Locator save =
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Save as a table"));
    String saved = Files.readString(page.waitForDownload(save::click).path());
    assertThat(saved).startsWith("by month,looked at,good").contains("2026-06");
    // What nothing is counted by counts by mould.
    page.navigate(app.url("/journal?part=yields&by=%27%25_zzz"));
    assertThat(save).hasAttribute("href", Pattern.compile("by=MOULD$"));
    assertThat(app.get("/api/journal/yields?by=zzz").status()).isBetween(400, 422);
  }

  /** A list that scrolls is printed whole. */
  @Test
  void allEveningsAreOnPaper() {
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/journal"));
    Locator evenings = page.getByRole(AriaRole.ARTICLE);
    assertThat(evenings.first()).isVisible();
    int all = app.get("/api/journal").body().at("/counted/evenings").asInt();
    assertThat(all).isGreaterThanOrEqualTo(EVENINGS);
    assertThat(evenings.count()).isLessThan(all);
    page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
    assertThat(evenings).hasCount(all);
    for (Locator evening : evenings.all()) {
      assertThat(evening).isVisible();
    }
  }

  /** Named before the start, weighed beside the lids; the weight is there after a reload. */
  @Test
  void whoWorksAndWhatALidSqueezedOutAreToldAtTheBench() {
    ObjectNode session = app.bean(JsonMapper.class).valueToTree(closed());
    session.put("startsAt", "2031-03-01T18:00:00");
    String run = app.begin(session).body().get("id").asString();
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/pour/" + run));
    page.getByLabel("Who works at this screen?").fill(World.SLOW_HANDS);
    key(page, "^Go on all the same").click();
    assertThat(key(page, "^Go on all the same")).isHidden();
    upToLids(run);
    key(page, "^Weigh Ring pull, first$").click();
    // What was meant for the screen before it is not taken by what lies over it.
    page.waitForTimeout(BenchScreens.MEANT_MS);
    key(page, "^0$").click();
    key(page, "^\\.$").click();
    key(page, "^3$").click();
    key(page, "^That much$").click();
    assertThat(key(page, "^Weigh Ring pull, first$")).hasText("Ring pull, first: 0.30 g");
    page.reload();
    assertThat(key(page, "^Weigh Ring pull, first$")).hasText("Ring pull, first: 0.30 g");
    RunEvent weighed = app.bean(RunStore.class).find(run).orElseThrow().events().getLast();
    assertThat(weighed.kind()).isEqualTo(RunEvent.Kind.SQUEEZED);
    assertThat(weighed.of()).isEqualTo("1.1");
    assertThat(weighed.value()).isEqualTo(0.3);
    assertThat(weighed.person()).isEqualTo(World.SLOW_HANDS);
    assertThat(app.tell(run, "SQUEEZED", "9.1", 0.3).status()).isEqualTo(422);
    assertThat(app.tell(run, "SQUEEZED", "1.1", null).status()).isEqualTo(422);
    app.tell(run, "FINISHED", null, null);
  }

  private static void upToLids(String run) {
    for (int i = 0; i < 90; i++) {
      JsonNode state = app.get("/api/runs/" + run + "/state").body().get("state");
      String next = state.get("currentId").asString();
      if (next.endsWith("/LID")) {
        return;
      }
      app.tell(run, "DONE", next, null);
    }
    throw new AssertionError("never comes to the lids");
  }
}
