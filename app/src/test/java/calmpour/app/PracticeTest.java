package calmpour.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What if, over HTTP and in the browser, and the curves behind the plan's numbers. */
class PracticeTest extends DemoScreens {
  private static final String CUP =
      "{'resinId':'slow-casting','massG':100,'roomC':24,'mixMinutes':3,'restMinutes':5,"
          + "'lampMinutes':0,'splitInto':1,'lies':'CUP'}";

  private static ObjectNode setUp(String with) {
    ObjectNode setUp = (ObjectNode) RunningApp.JSON.readTree(CUP.replace('\'', '"'));
    setUp.setAll((ObjectNode) RunningApp.JSON.readTree("{" + with.replace('\'', '"') + "}"));
    return setUp;
  }

  private static RunningApp.Answer whatIf(ObjectNode first, ObjectNode second) {
    ObjectNode pair = RunningApp.JSON.createObjectNode();
    pair.set("first", first);
    pair.set("second", second);
    return demo.post("/api/practice/what-if", pair);
  }

  /** 40 min for 100 g at 24 °C is what the label says, for a cup as high as wide. */
  @Test
  void theLabelComesOutAndAShallowCupOutlastsIt() {
    JsonNode answer = whatIf(setUp(""), setUp("'massG':25,'cupId':'shallow-dish'")).body();
    JsonNode first = answer.get("first").get("cup").get("states");
    assertThat(first.get("workingTimeEnds").get("minutes").asDouble()).isCloseTo(40, within(0.1));
    assertThat(answer.get("lasts").asString()).isEqualTo("SECOND_BEYOND_GEL");
    JsonNode points = answer.get("first").get("cup").get("curve").get("points");
    assertThat(points.size()).isBetween(20, 200);
    double before = -1;
    for (JsonNode point : points) {
      assertThat(point.get("minutes").asDouble()).isGreaterThanOrEqualTo(before);
      before = point.get("minutes").asDouble();
    }
    assertThat(points.get(points.size() - 1).has("viscosityPaS")).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "'roomC':-20 | second.roomC",
        "'roomC':60 | second.roomC",
        "'massG':0 | second.massG",
        "'massG':4000,'cupId':'mixing-230' | second.cupId",
        "'resinId':'gone' | second.resinId",
        "'lies':'SHEET' | second.sheetMm",
        "'lies':'SHEET','sheetMm':0 | second.sheetMm",
        "'laterC':32 | second.laterAfterHours",
        "'lies':'MOULD' | second.mouldId",
        "'lies':'MOULD','mouldId':'knob-32','massG':5 | second.mouldId",
        "'lies':'SHEET','sheetMm':5,'pouredAfterMinutes':3 | second.pouredAfterMinutes",
        "'splitInto':100 | second.splitInto",
      })
  void whatCannotBeTriedIsToldAtItsField(String with, String field) {
    RunningApp.Answer answer = whatIf(setUp(""), setUp(with));
    assertThat(answer.status()).isBetween(400, 422);
    assertThat(answer.body().get("errors"))
        .anySatisfy(e -> {
          assertThat(e.get("field").asString()).isEqualTo(field);
          assertThat(e.get("message").asString()).isNotBlank();
        });
  }

  @Test
  void aCupThatOverflowsSaysByHowMuch() {
    JsonNode error =
        whatIf(setUp(""), setUp("'massG':400,'cupId':'mixing-230'")).body().get("errors").get(0);
    assertThat(error.get("message").asString())
        .matches("That would be 3\\d\\d.* mL, and this cup holds 2\\d\\d.*");
  }

  /** Every number of a cup's and a layer's states opens, down to what is assumed. */
  @Test
  void everyStateOfAPlanOpensDownToWhatIsAssumed() {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    JsonNode cup = demo.post("/api/plan", session).body().at("/plan/batches/0/cups/0");
    String at = "cup/" + cup.get("id").asString();
    String pour = "pour/" + cup.at("/follows/layers").get(0).get("pourId").asString();
    for (String quantity :
        List.of(
            at + "/workingTimeMinutes",
            at + "/threadMinutes",
            at + "/gelsMinutes",
            at + "/peakC",
            pour + "/gelsMinutes",
            pour + "/bondHours",
            pour + "/demouldHours",
            pour + "/fullCureHours",
            pour + "/peakC")) {
      ObjectNode ask = RunningApp.JSON.createObjectNode().put("quantity", quantity);
      ask.set("session", session);
      RunningApp.Answer answer = demo.post("/api/plan/explain", ask);
      assertThat(answer.status()).as(quantity).isEqualTo(200);
      assertThat(answer.body().get("inputs"))
          .as(quantity)
          .anySatisfy(i -> assertThat(i.get("origin").asString()).isEqualTo("ASSUMED"))
          .anySatisfy(i -> assertThat(i.get("origin").asString()).isEqualTo("LABEL"));
    }
  }

  /** Every cup and layer of a plan has its curve, and what it says is what the plan says. */
  @Test
  void theCurveBehindAWorkingTimeIsThePlansOwn() {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    JsonNode batch = demo.post("/api/plan", session).body().get("plan").get("batches").get(0);
    double contact = batch.at("/times/contactSeconds").asDouble();
    for (JsonNode cup : batch.get("cups")) {
      JsonNode curve = curve(session, "cup/" + cup.get("id").asString());
      assertThat(contact + curve.get("workingTimeEnds").asDouble() * 60)
          .isCloseTo(cup.at("/times/thickensSeconds").asDouble(), within(1.0));
      JsonNode forgotten = curve(session, "cup/" + cup.get("id").asString() + "/peakC");
      assertThat(forgotten.get("peakC").asDouble())
          .isCloseTo(cup.at("/follows/peak").get("peakC").asDouble(), within(1e-6));
      for (JsonNode layer : cup.at("/follows/layers")) {
        JsonNode lying = curve(session, "pour/" + layer.get("pourId").asString());
        // The plan also waits for what the label says; the resin itself is never later.
        assertThat(contact + lying.get("demould").asDouble() * 60)
            .isLessThanOrEqualTo(layer.get("demould").get("seconds").asDouble() + 1.0);
      }
    }
    ObjectNode lost = RunningApp.JSON.createObjectNode().put("body", "cup/9.9");
    lost.set("session", session);
    assertThat(demo.post("/api/plan/curve", lost).status()).isEqualTo(404);
  }

  private static JsonNode curve(ObjectNode session, String body) {
    ObjectNode request = RunningApp.JSON.createObjectNode().put("body", body);
    request.set("session", session);
    RunningApp.Answer answer = demo.post("/api/plan/curve", request);
    assertThat(answer.status()).as(body).isEqualTo(200);
    return answer.body();
  }

  private static Page practice(int width) {
    Page page = browser.page(width, 800);
    page.navigate(demo.url("/practice"));
    page.getByRole(AriaRole.IMG, named("The first: thickness and temperature of the cup"))
        .waitFor();
    return page;
  }

  private static Page.GetByRoleOptions named(String name) {
    return new Page.GetByRoleOptions().setName(name);
  }

  private static Locator set(Page page, String which) {
    return page.getByRole(AriaRole.FORM, named(which + " set-up"));
  }

  private static Locator slider(Locator form, String name) {
    return form.getByRole(
        AriaRole.SLIDER, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  private static Locator in(Locator form, String name) {
    return form.getByRole(
        AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name).setExact(true));
  }

  /** A slider moved with the keys answers at once, in the sentence and in the states. */
  @Test
  void slidersAnswerAsTheyMove() {
    Page page = practice(1280);
    Locator sentence = page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setLevel(1));
    assertThat(sentence).containsText("The second cup");
    Locator states = page.getByLabel("The first: states");
    String before = states.innerText();
    slider(set(page, "The first"), "Room").focus();
    for (int i = 0; i < 12; i++) {
      page.keyboard().press("ArrowLeft");
    }
    assertThat(states).not().hasText(before);
    slider(set(page, "The second"), "Split into").focus();
    page.keyboard().press("Home");
    assertThat(set(page, "The second")).containsText("not split");
    assertThat(sentence).containsText("The first cup");
    // What was tried stays when one looks elsewhere and comes back.
    page.navigate(demo.url("/sessions"));
    page.getByRole(AriaRole.LINK, named("Practice")).click();
    assertThat(set(page, "The second")).containsText("not split");
  }

  @Test
  void aForgottenCupIsNamedWithItsFigureAndWhatToDo() {
    Page page = practice(1280);
    assertThat(page.getByLabel("The first: what to mind"))
        .containsText(Pattern.compile("If this cup is forgotten it gets to about \\d+ °C"));
    assertThat(page.getByLabel("A cup that runs away"))
        .containsText("do not hold, cover or bin it");
    assertThat(page.locator("main").innerText())
        .doesNotContainIgnoringCase(" safe ")
        .doesNotContainIgnoringCase("harmless");
  }

  @Test
  void aPieceIsFollowedToItsFullCureAndAnEmbedInIt() {
    Page page = practice(1280);
    Locator first = set(page, "The first");
    Seen.choose(first, page, "Then it", "is poured into a mould");
    in(first, "Rest, lamp, colour, damp…").click();
    Seen.choose(first, page, "Embed", "Brass threaded insert M4");
    Locator states = page.getByLabel("The first: states");
    assertThat(states).containsText("Out of its mould after");
    assertThat(states).containsText("Fully cured after");
    assertThat(page.getByLabel("The first: what to mind")).containsText("sinks");
    page.getByRole(AriaRole.BUTTON, named("the cup")).first().click();
    assertThat(states).containsText("Pourable for");
  }

  @Test
  void theHowOfAWorkingTimeOpensItsCurve() {
    Page page = browser.page(1280, 900);
    page.navigate(demo.url("/plan"));
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName("Working time of Harbour: how it came about"))
        .first()
        .click();
    assertThat(page.getByRole(AriaRole.IMG, named("Thickness and temperature"))).isVisible();
    assertThat(page.getByRole(AriaRole.DIALOG)).containsText("The cure engine");
    page.keyboard().press("Escape");
    // And every mould says when its pieces come out.
    assertThat(
            page.getByRole(AriaRole.BUTTON, named("Knob 32: out of the mould: how it came about")))
        .containsText(Pattern.compile("out \\w{3} \\d\\d:\\d\\d"));
  }

  @Test
  void practiceFitsItsWidthAndPassesTheAccessibilityRules() {
    Page page = practice(1280);
    in(set(page, "The first"), "Rest, lamp, colour, damp…").click();
    Seen.readableOnAnyWidth(page, "Practice");
  }
}
