package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The API over HTTP, against the real application. */
class ApiTest {
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

  private static ObjectNode pantry() {
    return RunningApp.demoDocument("sessions/pantry-knobs");
  }

  @Test
  void itIsHealthyAndDescribesItself() {
    assertThat(app.get("/actuator/health").body().get("status").asString()).isEqualTo("UP");
    JsonNode document = app.get("/api/openapi").body();
    assertThat(document.get("openapi").asString()).startsWith("3.1");
    assertThat(document.get("paths").has("/api/plan")).isTrue();
  }

  @Test
  void aSessionInAPlanOutAndNothingKept() {
    int before = app.get("/api/sessions").body().size();
    RunningApp.Answer answer =
        app.post("/api/plan", pantry().put("startsAt", "2026-01-10T10:00:00"));
    assertThat(answer.status()).isEqualTo(200);
    JsonNode plan = answer.body().get("plan");
    JsonNode batch = plan.get("batches").get(0);
    double a = batch.at("/measuring/partA").get("massG").asDouble();
    double b = batch.at("/measuring/partB").get("massG").asDouble();
    assertThat(a / b).isCloseTo(2, within(0.01));
    assertThat(batch.get("cups")).hasSize(5);
    assertThat(plan.get("totals").get("volumeMl").asDouble()).isCloseTo(170.7061, within(1e-4));
    assertThat(answer.body().get("startsAt").asString()).isEqualTo("2026-01-10T10:00:00Z");
    assertThat(app.get("/api/sessions").body()).hasSize(before);
  }

  @Test
  void aSessionThatCarriesItsMaterialsNeedsNoWorkshop() {
    ObjectNode session = pantry();
    session.set("carried", app.get("/api/demo/workshop").body());
    try (RunningApp own = RunningApp.empty(data.resolve("elsewhere"))) {
      assertThat(own.post("/api/plan", pantry()).status()).isEqualTo(422);
      JsonNode there = own.post("/api/plan", session).body().get("plan");
      session.remove("carried");
      assertThat(there).isEqualTo(app.post("/api/plan", session).body().get("plan"));
    }
  }

  @Test
  void anyPlanIsJudgedAsItIs() {
    ObjectNode request = RunningApp.JSON.createObjectNode();
    ObjectNode session = RunningApp.demoDocument("sessions/fern-bell-pushes");
    request.set("session", session);
    ObjectNode plan = (ObjectNode) app.post("/api/plan", session).body().get("plan");
    request.set("plan", plan);
    assertThat(breaches(app.post("/api/plan/audit", request).body())).isEmpty();
    // The same plan with the embed put in before its rest is over, and the demoulding forgotten.
    ArrayNode tasks = RunningApp.JSON.createArrayNode();
    for (JsonNode task : plan.get("tasks")) {
      ObjectNode copy = (ObjectNode) task.deepCopy();
      if (task.get("id").asString().equals("batch/1/EMBED/1.1/HALF_FILL")) {
        copy.put("startSeconds", task.get("startSeconds").asInt() - 300);
        copy.put("endSeconds", task.get("endSeconds").asInt() - 300);
      }
      if (!task.get("kind").asString().equals("DEMOULD")) {
        tasks.add(copy);
      }
    }
    plan.set("tasks", tasks);
    assertThat(breaches(app.post("/api/plan/audit", request).body()))
        .contains("EMBED_TOO_EARLY", "TASK_MISSING");
    // A plan of something else is refused at its place.
    ((ObjectNode) plan.get("batches").get(0)).put("resinId", "gone");
    RunningApp.Answer refused = app.post("/api/plan/audit", request);
    assertThat(refused.status()).isEqualTo(422);
    assertThat(refused.body().at("/errors/0/field").asString())
        .isEqualTo("plan.batches[0].resinId");
  }

  private static JsonNode finding(JsonNode findings, String rule) {
    return findings
        .valueStream()
        .filter(f -> f.get("rule").asString().equals(rule))
        .findFirst()
        .orElseThrow();
  }

  private static Set<String> breaches(JsonNode findings) {
    Set<String> rules = new TreeSet<>();
    findings.forEach(f -> {
      if (f.get("severity").asString().equals("BREACH")) {
        rules.add(f.get("rule").asString());
      }
    });
    return rules;
  }

  @Test
  void aSessionIsInTheWayOfOthersButNotOfItself() {
    ObjectNode session = pantry();
    String id = app.post("/api/sessions", session).body().get("id").asString();
    JsonNode itself = app.post("/api/plan?id=" + id, session).body().at("/plan/findings");
    assertThat(breaches(itself)).isEmpty();
    // As long as it is only thought of, it is in nobody's way.
    JsonNode beside = app.post("/api/plan", session).body().at("/plan");
    assertThat(beside.at("/arranged/beginsSeconds").asInt()).isZero();
    app.put("/api/sessions/" + id + "/confirmed?confirmed=true", session);
    assertThat(app.get("/api/sessions/" + id).body().get("confirmed").asBoolean()).isTrue();
    // Another one of the same evening keeps out of the way of a confirmed one, and says so.
    JsonNode another = app.post("/api/plan", session).body().at("/plan");
    assertThat(breaches(another.get("findings"))).isEmpty();
    assertThat(another.at("/arranged/beginsSeconds").asInt()).isPositive();
    JsonNode later = finding(another.get("findings"), "BEGINS_LATER");
    assertThat(later.at("/other/id").asString()).isEqualTo(id);
    app.delete("/api/sessions/" + id);
    assertThat(breaches(app.post("/api/plan", session).body().at("/plan/findings"))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '\u0000',
      value = {
        "/arrangement | {\"hours\":{\"fromMinutes\":600,\"toMinutes\":300}} | arrangement.hours.toMinutes | ends before",
        "/arrangement | {\"pins\":[{\"taskId\":\"a\",\"startSeconds\":-5}]} | arrangement.pins[0].startSeconds | between",
        "/arrangement | {\"accepted\":[{\"rule\":\"A\",\"place\":\"b\",\"reason\":\" \"}]} | arrangement.accepted[0].reason | ",
      })
  void whatIsDecidedAboutTimesIsChecked(String at, String value, String field, String words) {
    ObjectNode session = pantry();
    session.set(at.trim().substring(1), RunningApp.JSON.readTree(value.trim()));
    RunningApp.Answer answer = app.post("/api/plan", session);
    assertThat(answer.status()).isEqualTo(422);
    JsonNode error = answer.body().at("/errors/0");
    assertThat(error.get("field").asString()).isEqualTo(field);
    assertThat(error.get("message").asString()).contains(words == null ? "" : words);
  }

  /** Common practice, no source: at 2:1 by weight an A over-poured to 63.4 g wants 31.7 g of B. */
  @Test
  void anOverPouredCupIsSavedAndTheRestFindsAMould() {
    ObjectNode request = RunningApp.JSON.createObjectNode();
    request.set("session", pantry());
    request.put("batch", 1).put("inAG", 151.4).put("inBG", 0);
    JsonNode saved = app.post("/api/plan/rescue", request).body();
    assertThat(saved.at("/rescue/addBG").asDouble()).isEqualTo(75.7);
    assertThat(saved.at("/rescue/addAG").asDouble()).isZero();
    assertThat(saved.get("overagePercent").asDouble()).isGreaterThan(5);
    assertThat(saved.get("fillers")).isNotEmpty();
    assertThat(saved.has("overLargestBatchG")).isFalse();
    request.put("inAG", 400);
    assertThat(app.post("/api/plan/rescue", request).body().get("overLargestBatchG").asDouble())
        .isCloseTo(100, within(0.2));
    request.put("inAG", -1);
    assertThat(app.post("/api/plan/rescue", request).error(0).get("field").asString())
        .isEqualTo("inAG");
    assertThat(
            app.post("/api/plan/rescue", "{\"batch\":1,\"inAG\":0,\"inBG\":0}")
                .error(0)
                .get("field")
                .asString())
        .isEqualTo("session");
    assertThat(app.post("/api/plan/card", "{\"batch\":1}").status()).isEqualTo(422);
    request.put("inAG", 1).put("batch", 9);
    assertThat(app.post("/api/plan/rescue", request).status()).isEqualTo(404);
  }

  /** Only what differs from the usual has to be named, also within a group of habits. */
  @Test
  void aHabitNamedAloneKeepsTheOthers() {
    ObjectNode session = pantry();
    session.set(
        "habits", RunningApp.JSON.readTree("{\"mixing\": {\"cups\": \"TWO\"}, \"tinting\": {}}"));
    JsonNode plan = app.post("/api/plan", session).body().get("plan");
    assertThat(plan.get("tasks").toString()).contains("SECOND_CUP").doesNotContain("WARM");
    assertThat(plan.at("/batches/0/mixing/firstCupStaysG").asDouble()).isPositive();
  }

  /** Six drops more of a liquid with drops of its own: the limit's count goes down by six. */
  @Test
  void aBitMoreIsTallied() {
    ObjectNode request = RunningApp.JSON.createObjectNode();
    request.set("session", pantry());
    request.put("cupId", "1.1");
    JsonNode before = app.post("/api/plan/tally", request).body();
    String colourant = before.at("/doses/0/colourantId").asString();
    request.putArray("added").addObject().put("colourantId", colourant).put("counted", 6);
    JsonNode after = app.post("/api/plan/tally", request).body();
    assertThat(after.at("/doses/0/counted").asInt()).isEqualTo(6);
    assertThat(after.at("/doses/0/moreCounted").asInt())
        .isEqualTo(before.at("/doses/0/moreCounted").asInt() - 6);
    request.put("cupId", "7.7");
    assertThat(app.post("/api/plan/tally", request).status()).isEqualTo(404);
    request.putArray("added").addObject().put("colourantId", "gone").put("counted", 1);
    assertThat(app.post("/api/plan/tally", request).error(0).get("field").asString())
        .isEqualTo("added[0].colourantId");
  }

  @Test
  void aNumberIsExplainedDownToTheLabel() {
    ObjectNode request = RunningApp.JSON.createObjectNode();
    request.set("session", pantry());
    request.put("quantity", "batch/1/partA/massG");
    JsonNode derivation = app.post("/api/plan/explain", request).body();
    assertThat(derivation.get("formula").asString()).isEqualTo("PART_BY_WEIGHT");
    assertThat(derivation.get("rounding").get("step").asDouble()).isEqualTo(0.1);
    assertThat(derivation.toString()).contains("\"origin\":\"LABEL\"", "CUP_CONTENT", "Knob 32");
    request.put("quantity", "batch/7/partA/massG");
    assertThat(app.post("/api/plan/explain", request).status()).isEqualTo(404);
  }

  /** Whatever is typed: a message at the field, never a failure of ours. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "/room/temperatureC | 99 | room.temperatureC | between 5 and 45",
        "/room/temperatureC | 1e400 | room.temperatureC | between 5 and 45",
        "/room/temperatureC | \"21,5\" | room.temperatureC | number",
        "/room/temperatureC | \"warm\" | room.temperatureC | number",
        "/room/temperatureC | null | room.temperatureC | number",
        "/room | null | room | empty",
        "/pieces/0/count | 0 | pieces[0].count | between 1 and 500",
        "/pieces/0/count | -3 | pieces[0].count | between 1 and 500",
        "/pieces/0/count | 1.5 | pieces[0].count | whole number",
        "/pieces/0/count | 1000000000000 | pieces[0].count | number",
        "/pieces/0/layers/0/fill/share | 1.2 | pieces[0].layers[0].fill.share | between 0.001 and 1",
        "/pieces/0/layers/0/fill | {} | pieces[0].layers[0].fill | exactly one",
        "/pieces/0/layers/0/colourId | \"mauve\" | pieces[0].layers[0].colourId | mauve",
        "/pieces/0/layers | [] | pieces[0].layers | between 1 and 6",
        "/pieces/1/mouldId | \"gone\" | pieces[1].mouldId | gone",
        "/pieces | [] | pieces | add a mould",
        "/resinId | \"unknown\" | resinId | unknown",
        "/resinId | \"\" | resinId | empty",
        "/startsAt | \"tomorrow\" | startsAt | date and time",
        "/zoneId | \"Moon/Sea\" | zoneId | time zone",
        "/splitInto | 21 | splitInto | between 1 and 20",
        "/name | \"\" | name | empty",
        "/habits | {\"restMinutes\": 61} | habits.restMinutes | between 0 and 60",
        "/habits | {\"rest\": 6} | habits | no field",
        "/habits | 5 | habits | kind",
        "/colour | \"red\" | colour | no field",
        "/pieces/0 | 7 | pieces[0] | kind",
        "/carried | {\"moulds\": [{\"id\": \"x\", \"name\": \"X\", \"cavities\": [{\"id\": \"m\","
            + " \"name\": \"M\", \"count\": 1, \"measure\": {\"method\": \"TOLD\", \"toldMl\": 0}}]}]}"
            + " | carried.moulds[0].cavities[0].measure.toldMl | between 0.05 and 20000",
        "/pieces/0/cavityId | \"lid\" | pieces[0].cavityId | lid",
        "/cupsByHand | [{\"layers\": [{\"line\": 0, \"layer\": 0}, {\"line\": 0, \"layer\": 1}]}]"
            + " | cupsByHand[0] | two",
        "/cupsByHand | [{\"layers\": [{\"line\": 77, \"layer\": 0}]}]"
            + " | cupsByHand[0].layers[0] | no longer there",
        "/cupsByHand | [{\"layers\": []}] | cupsByHand[0].layers | between",
        "/strengths | [{\"colourId\": \"harbour\", \"factor\": 0}] | strengths[0].factor | between",
        "/habits | {\"planning\": {\"surePercent\": 100}} | habits.planning.surePercent"
            + " | Nobody can be 100",
        "/habits | {\"planning\": {\"surePercent\": 0}} | habits.planning.surePercent | between 50",
        "/habits | {\"planning\": {\"surePercent\": -1}} | habits.planning.surePercent | between 50",
        "/habits | {\"planning\": {\"surePercent\": 1e9}} | habits.planning.surePercent | between 50",
        "/habits | {\"planning\": {\"surePercent\": \"97,5\"}} | habits.planning.surePercent | number",
        "/habits | {\"planning\": {\"surePercent\": \"\"}} | habits.planning.surePercent | number",
        "/habits | {\"planning\": {\"pairsOfHands\": 0}} | habits.planning.pairsOfHands | between 1 and 2",
        "/habits | {\"planning\": {\"pairsOfHands\": 1.5}} | habits.planning.pairsOfHands | whole",
        "/habits | {\"planning\": {\"pairsOfHands\": 1000000000}} | habits.planning.pairsOfHands | between",
        "/habits | {\"planning\": {\"pairsOfHands\": \"two\"}} | habits.planning.pairsOfHands | number",
        "/habits | {\"planning\": {\"pairsOfHands\": 3}} | habits.planning.pairsOfHands | between 1 and 2",
        "/habits | {\"mixing\": {\"extraAPercent\": 5}} | habits.mixing.extraAPercent | between 0 and 2",
        "/habits | {\"mixing\": {\"cups\": \"THREE\"}} | habits.mixing.cups | ONE",
        "/habits | {\"splitting\": {\"cupAtMostMl\": 0}} | habits.splitting.cupAtMostMl | between 5",
      })
  void badInputIsToldAtItsField(String at, String json, String field, String says) {
    String text = withValue(pantry(), at, json);
    RunningApp.Answer answer = app.post("/api/plan", text);
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
    assertThat(answer.body().get("type").asString())
        .isEqualTo("urn:calm-pour:problem:invalid-values");
    assertThat(answer.error(0).get("field").asString()).startsWith(field);
    assertThat(answer.error(0).get("message").asString()).containsIgnoringCase(says);
  }

  /** Puts raw JSON text at a place, so that also what no tree can hold is sent as typed. */
  private static String withValue(ObjectNode document, String at, String json) {
    String name = at.substring(at.lastIndexOf('/') + 1);
    JsonNode parent = document.at(at.substring(0, at.lastIndexOf('/')));
    if (parent instanceof ObjectNode object) {
      object.put(name, "@@@");
    } else {
      ((tools.jackson.databind.node.ArrayNode) parent)
          .set(Integer.parseInt(name), RunningApp.JSON.stringNode("@@@"));
    }
    return document.toString().replace("\"@@@\"", json);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {"{\"name\": NaN}", "not json", "{\"name\": ", "{]"})
  void whatIsNoJsonIsRefusedWithItsPlace(String text) {
    RunningApp.Answer answer = app.post("/api/plan", text);
    assertThat(answer.status()).isEqualTo(400);
    assertThat(answer.body().get("detail").asString()).contains("line 1");
  }

  @Test
  void aDocumentOfTenMegabytesIsRefusedAtTheDoor() {
    ObjectNode session = pantry();
    session.put("name", "x".repeat(10_000_000));
    RunningApp.Answer answer = app.post("/api/plan", session);
    assertThat(answer.status()).isEqualTo(413);
    assertThat(answer.body().get("detail").asString()).contains("2 MB");
    assertThat(app.post("/api/plan", pantry()).status()).isEqualTo(200);
  }

  @Test
  void whatDoesNotFitComesWithPlansThatDo() {
    ObjectNode late = RunningApp.demoDocument("sessions/late-switch-toggles");
    late.put("startsAt", "2027-02-01T10:00:00");
    assertThat(breaches(app.post("/api/plan", late).body().at("/plan/findings"))).isNotEmpty();
    RunningApp.Answer answer = app.post("/api/plan/ways", late);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.body().at("/binding/rule").asString()).isEqualTo("RESIN_HOT");
    // It rests 32 min of a 22-min pot life: that is the cause, and one batch does once it is gone.
    assertThat(answer.body().at("/binding/rest/restMinutes").asDouble()).isEqualTo(32);
    assertThat(answer.body().at("/binding/rest/potLifeMinutes").asDouble()).isEqualTo(22);
    JsonNode ways = answer.body().get("ways");
    assertThat(ways.get(0).get("kind").asString()).isEqualTo("SHORTER_REST");
    assertThat(ways.get(0).at("/plan/batches").size()).isEqualTo(1);
    assertThat(ways.size()).isBetween(1, 3);
    for (JsonNode way : ways) {
      JsonNode again = app.post("/api/plan", way.get("session")).body().at("/plan");
      assertThat(breaches(again.get("findings"))).as(way.get("kind").asString()).isEmpty();
      assertThat(again.get("batches")).isEqualTo(way.at("/plan/batches"));
    }
  }

  /** Two thousand pieces by mistake: an answer, and whoever has had enough gets what there is. */
  @Test
  void aPlanInTheMakingTellsHowFarItIsAndCanBeStopped() throws Exception {
    ObjectNode session = pantry();
    session.put("startsAt", "2027-02-03T10:00:00");
    for (JsonNode piece : session.withArray("pieces")) {
      ((ObjectNode) piece).put("count", 60);
    }
    var planning =
        java.util.concurrent.CompletableFuture.supplyAsync(
            () -> app.post("/api/plan?ticket=mine", session));
    int tried = 0;
    while (!planning.isDone() && tried == 0) {
      RunningApp.Answer progress = app.get("/api/plan/tickets/mine");
      tried = progress.status() == 200 ? progress.body().get("tried").asInt() : 0;
    }
    app.delete("/api/plan/tickets/mine");
    RunningApp.Answer answer = planning.get(60, java.util.concurrent.TimeUnit.SECONDS);
    assertThat(answer.status()).isEqualTo(200);
    assertThat(answer.body().at("/plan/totals/cavities").asInt()).isEqualTo(300);
    assertThat(app.get("/api/plan/tickets/mine").status()).isEqualTo(404);
  }

  @Test
  void twoThousandCavitiesAndNotOneMore() {
    ObjectNode session = pantry();
    ObjectNode piece = (ObjectNode) session.get("pieces").get(0);
    piece.put("count", 500);
    for (int i = 0; i < 4; i++) {
      session.withArray("pieces").add(piece.deepCopy());
    }
    RunningApp.Answer answer = app.post("/api/plan", session);
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.error(0).get("message").asString()).contains("2000");
  }

  /** A page of another site whose name was made to point here must not read the workshop. */
  @Test
  void requestsAddressedElsewhereAreNotLetIn() throws IOException {
    int port = java.net.URI.create(app.url("/")).getPort();
    try (Socket socket = new Socket(java.net.InetAddress.getLoopbackAddress(), port)) {
      OutputStream out = socket.getOutputStream();
      out.write(
          "GET /api/workshop HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n"
              .getBytes(StandardCharsets.US_ASCII));
      InputStream in = socket.getInputStream();
      assertThat(new String(in.readAllBytes(), StandardCharsets.UTF_8))
          .startsWith("HTTP/1.1 421")
          .doesNotContain("Knob 32");
    }
  }

  /** A page of another site can send what has no body; it must not tare the scale. */
  @Test
  void noOtherSitesPageChangesAnything() throws IOException {
    int port = java.net.URI.create(app.url("/")).getPort();
    String host = "127.0.0.1:" + port;
    assertThat(tare(host, "Origin: http://evil.example")).startsWith("HTTP/1.1 403");
    assertThat(tare(host, "Origin: null")).startsWith("HTTP/1.1 403");
    assertThat(tare(host, "Sec-Fetch-Site: cross-site")).startsWith("HTTP/1.1 403");
    assertThat(tare(host, "Origin: http://" + host)).startsWith("HTTP/1.1 2");
    assertThat(tare(host, "Accept: */*")).startsWith("HTTP/1.1 2");
  }

  private static String tare(String host, String header) throws IOException {
    int port = Integer.parseInt(host.substring(host.indexOf(':') + 1));
    try (Socket socket = new Socket(java.net.InetAddress.getLoopbackAddress(), port)) {
      String request =
          String.join(
              "\r\n",
              "POST /api/devices/tare HTTP/1.1",
              "Host: " + host,
              header,
              "Content-Length: 0",
              "Connection: close",
              "",
              "");
      socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
      return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  @Test
  void savingOverWhatAnotherWindowSavedIsRefusedAndLosesNothing() {
    String id = app.post("/api/sessions", pantry()).body().get("id").asString();
    ObjectNode mine = pantry().put("name", "Mine");
    ObjectNode theirs = pantry().put("name", "Theirs");
    String path = "/api/sessions/" + id + "?revision=1";
    assertThat(app.put(path, theirs).status()).isEqualTo(200);
    RunningApp.Answer refused = app.put(path, mine);
    assertThat(refused.status()).isEqualTo(409);
    assertThat(refused.body().get("title").asString()).contains("in the meantime");
    JsonNode kept = app.get("/api/sessions/" + id).body();
    assertThat(kept.get("session").get("name").asString()).isEqualTo("Theirs");
    assertThat(kept.get("revision").asInt()).isEqualTo(2);
    assertThat(app.delete("/api/sessions/" + id).status()).isEqualTo(204);
    assertThat(app.get("/api/sessions/" + id).status()).isEqualTo(404);
  }

  @Test
  void aMouldRemovedWhileASessionUsesItStaysInTheSavedSnapshot() {
    app.put("/api/moulds/short-lived", RunningApp.mould("short-lived", "Short-lived", 5));
    ObjectNode session = pantry();
    ((ObjectNode) session.get("pieces").get(0)).put("mouldId", "short-lived");
    JsonNode saved = app.post("/api/sessions", session).body();
    assertThat(saved.get("workshopChanged").asBoolean()).isFalse();

    assertThat(app.delete("/api/moulds/short-lived").status()).isEqualTo(204);
    assertThat(app.post("/api/plan", session).error(0).get("field").asString())
        .isEqualTo("pieces[0].mouldId");
    JsonNode opened = app.get("/api/sessions/" + saved.get("id").asString()).body();
    assertThat(opened.get("workshopChanged").asBoolean()).isTrue();
    assertThat(opened.get("snapshot").get("moulds").toString()).contains("Short-lived");

    // Saving on while it cannot be planned keeps the session and the old snapshot.
    String path = "/api/sessions/" + saved.get("id").asString() + "?revision=1";
    JsonNode again = app.put(path, session.put("name", "Still here")).body();
    assertThat(again.get("snapshot").get("moulds").toString()).contains("Short-lived");
    app.delete("/api/sessions/" + saved.get("id").asString());
  }

  @Test
  void whatIsSavedSurvivesARestart() {
    Path folder = data.resolve("restart");
    String id;
    try (RunningApp first = RunningApp.demo(folder)) {
      id = first.post("/api/sessions", pantry().put("name", "Kept")).body().get("id").asString();
      assertThat(first.delete("/api/moulds/knob-25").status()).isEqualTo(204);
    }
    try (RunningApp second = RunningApp.demo(folder)) {
      JsonNode opened = second.get("/api/sessions/" + id).body();
      assertThat(opened.get("session").get("name").asString()).isEqualTo("Kept");
      assertThat(second.get("/api/workshop").body().get("moulds").toString())
          .as("what a visitor removed from the demo does not come back")
          .doesNotContain("knob-25");
    }
  }

  /** A plan that an older version kept, in a form that is no longer read, is made anew. */
  @Test
  void whatAnOlderVersionKeptStillOpens() throws java.sql.SQLException {
    Path older = data.resolve("older");
    String id;
    double resinG;
    try (RunningApp before = RunningApp.demo(older)) {
      id = before.post("/api/sessions", pantry().put("name", "Old")).body().get("id").asString();
      resinG = resinOf(before, id);
    }
    try (var db =
            java.sql.DriverManager.getConnection(
                "jdbc:h2:file:" + older.resolve("workshop") + ";WRITE_DELAY=0", "calm", "");
        var change = db.createStatement()) {
      int changed =
          change.executeUpdate("update saved_session set plan = '{\"pieces\": [], \"what\": 1}'");
      assertThat(changed).isPositive();
    }
    try (RunningApp after = RunningApp.demo(older)) {
      assertThat(after.get("/api/sessions/" + id).status()).isEqualTo(200);
      assertThat(resinOf(after, id)).isEqualTo(resinG);
    }
  }

  private static double resinOf(RunningApp running, String id) {
    for (JsonNode line : running.get("/api/sessions").body()) {
      if (line.get("id").asString().equals(id)) {
        return line.get("resinG").asDouble();
      }
    }
    throw new AssertionError("no session " + id);
  }

  @Test
  void unknownPlacesAndMethodsAreProblemsToo() {
    for (RunningApp.Answer answer :
        new RunningApp.Answer[] {
          app.get("/api/nowhere"), app.post("/api/workshop", "{}"), app.delete("/api/moulds/none")
        }) {
      assertThat(answer.status()).isBetween(404, 405);
      assertThat(answer.body().get("title").asString()).isNotBlank();
    }
  }
}
