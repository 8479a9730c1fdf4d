package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The shelves over HTTP: what is put there comes back as it was, and nonsense stays out. */
class ShelfApiTest {
  private static final String RATIO = "\"ratio\":{\"partsA\":2,\"partsB\":1,\"basis\":\"VOLUME\"}";

  private static final String CAVITY =
      "{\"id\":\"main\",\"name\":\"Main\",\"count\":1,\"measure\":{\"method\":\"TOLD\",\"toldMl\":";

  @TempDir static Path data;
  private static RunningApp app;

  @BeforeAll
  static void start() {
    app = RunningApp.empty(data);
  }

  @AfterAll
  static void stop() {
    app.close();
  }

  private static ObjectNode json(String text) {
    return (ObjectNode) RunningApp.JSON.readTree(text);
  }

  private static JsonNode shelf(String kind) {
    return app.get("/api/workshop").body().get(kind);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "moulds | {'id':'x','name':'Knob','cavities':[{'id':'main','name':'Knob','count':1,"
            + "'measure':{'method':'WATER_IN_MOULD','filledG':11.8,'waterC':21.0,'parts':[],"
            + "'levels':[]},'depthMm':22.0}],'state':{'casts':3,'dry':false}}",
        "resins | {'id':'x','name':'Slow','kind':'CASTING','ratio':"
            + "{'partsA':2.0,'partsB':1.0,'basis':'WEIGHT'},'potLifeMinutes':40.0}",
        "colourants | {'id':'x','name':'Mica','form':'MICA','swatch':'#aa8844','scoopMl':0.5}",
        "colours | {'id':'x','name':'Oat','swatch':'#e3d3ae','recipe':"
            + "[{'colourantId':'x','percentOfMix':1.5}]}",
        "parts | {'id':'x','name':'Part A','side':'A','density':1.14,'lots':"
            + "[{'code':'A-1','openedOn':'2026-09-14','leftG':420.0}]}",
        "embeds | {'id':'x','name':'Insert','massG':1.65,'density':8.45,'left':12}",
        "cups | {'id':'x','name':'Cup','use':'COLOUR','bottomWidthMm':40.0,'topWidthMm':52.0,"
            + "'heightMm':45.0}",
      })
  void everythingPutOnAShelfComesBackUnchangedAndGoesWhenRemoved(String kind, String text) {
    ObjectNode item = json(text.replace('\'', '"'));
    String path = "/api/" + kind + "/x";
    assertThat(app.put(path, item).status()).isEqualTo(200);
    assertThat(shelf(kind)).contains(item);
    ObjectNode renamed = item.deepCopy().put("name", "Other");
    assertThat(app.put(path, renamed).status()).isEqualTo(200);
    assertThat(shelf(kind)).containsOnlyOnce(renamed).doesNotContain(item);
    assertThat(app.delete(path).status()).isEqualTo(204);
    assertThat(shelf(kind)).isEmpty();
    assertThat(app.delete(path).status()).isEqualTo(404);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "moulds | {\"id\":\"x\",\"name\":\"\",\"cavities\":[" + CAVITY + "5}}]} | name",
        "moulds | {\"id\":\"x\",\"name\":\"Knob\",\"cavities\":["
            + CAVITY
            + "1000000000}}]} | cavities[0].measure.toldMl",
        "moulds | {\"id\":\"x\",\"name\":\"Knob\",\"cavities\":["
            + CAVITY
            + "0}}]} | cavities[0].measure.toldMl",
        "moulds | {\"id\":\"x\",\"name\":\"Knob\"} | cavities",
        "moulds | {\"id\":\"other\",\"name\":\"Knob\",\"cavities\":[" + CAVITY + "5}}]} | id",
        "moulds | {\"id\":\"x\",\"name\":\"Knob\",\"cavities\":["
            + CAVITY
            + "5}},"
            + CAVITY
            + "6}}]} | cavities[1].id",
        "embeds | {\"id\":\"x\",\"name\":\"Insert\",\"massG\":1} | volumeMl",
        "embeds | {\"id\":\"x\",\"name\":\"Insert\",\"massG\":100,\"volumeMl\":1} | massG",
        "colourants | {\"id\":\"x\",\"name\":\"T\",\"form\":\"LIQUID_TINT\",\"swatch\":\"#ffffff\","
            + "\"shelf\":{\"weighed\":{\"count\":20,\"weighingsG\":[0]}}} |"
            + " shelf.weighed.weighingsG[0]",
        "resins | {\"id\":\"x\",\"name\":\"Slow\",\"kind\":\"CASTING\"} | ratio",
        "resins | {\"id\":\"x\",\"name\":\"Slow\",\"kind\":\"GLUE\"," + RATIO + "} | kind",
        "resins | {\"id\":\"x\",\"name\":\"Slow\",\"kind\":\"DEEP\",\"potLifeMinutes\":0.1,"
            + RATIO
            + "} | potLifeMinutes",
        "colourants | {\"id\":\"x\",\"name\":\"T\",\"form\":\"PASTE\",\"swatch\":\"#ffffff\","
            + "\"dropG\":0} | dropG",
        "colours | {\"id\":\"x\",\"name\":\"C\",\"swatch\":\"#ffffff\",\"recipe\":"
            + "[{\"colourantId\":\"t\",\"percentOfMix\":39},"
            + "{\"colourantId\":\"u\",\"percentOfMix\":9}]} | recipe",
        "cups | {\"id\":\"x\",\"name\":\"Cup\",\"use\":\"COLOUR\",\"bottomWidthMm\":40,"
            + "\"topWidthMm\":52,\"heightMm\":0} | heightMm",
        "cups | {\"id\":\"x\",\"name\":\"Cup\",\"use\":\"COLOUR\",\"bottomWidthMm\":20,"
            + "\"topWidthMm\":20,\"heightMm\":20,\"staysG\":9} | staysG",
        "colourants | {\"id\":\"x\",\"name\":\"T\",\"form\":\"PASTE\",\"swatch\":\"#ffffff\","
            + "\"limitPercent\":0} | limitPercent",
        "colourants | {\"id\":\"x\",\"name\":\"T\",\"form\":\"PASTE\",\"swatch\":\"teal\"} |"
            + " swatch",
        "colourants | {\"id\":\"x\",\"name\":\"T\",\"form\":\"PASTE\",\"swatch\":\"#ffffff\","
            + "\"shelf\":{\"swatches\":{\"percentOfMix\":1,\"thicknessMm\":3,"
            + "\"overWhite\":\"#202020\",\"overBlack\":\"#808080\"}}} |"
            + " shelf.swatches.overBlack",
        "colours | {\"id\":\"x\",\"name\":\"C\",\"swatch\":\"#ffffff\",\"strengthPercent\":2,"
            + "\"recipe\":[{\"colourantId\":\"t\",\"parts\":0}]} | recipe",
      })
  void nonsenseIsRefusedAtItsFieldAndNothingIsKept(String kind, String text, String field) {
    RunningApp.Answer answer = app.put("/api/" + kind + "/x", json(text));
    assertThat(answer.status()).as(answer.body().toString()).isEqualTo(422);
    assertThat(answer.error(0).get("field").asString()).isEqualTo(field);
    assertThat(shelf(kind)).isEmpty();
  }

  @Test
  void theUnitsServedAreThePublishedOnes() {
    for (JsonNode line : app.get("/api/units").body()) {
      // NIST SP 811 (2008), appendix B.8, to seven figures.
      switch (line.get("unit").asString()) {
        case "US_FLUID_OUNCE" ->
            assertThat(line.get("scale").asDouble()).isCloseTo(29.57353, within(5e-6));
        case "WEIGHT_OUNCE" ->
            assertThat(line.get("scale").asDouble()).isCloseTo(28.34952, within(5e-6));
        case "INCH" -> assertThat(line.get("scale").asDouble()).isEqualTo(25.4);
        default -> assertThat(line.get("scale").asDouble()).isPositive();
      }
    }
  }

  @Test
  void ofManyWhoSaveOverTheSameRevisionOneSucceeds() throws Exception {
    ObjectNode session = RunningApp.demoDocument("sessions/pantry-knobs");
    session.set("carried", app.get("/api/demo/workshop").body());
    String id = app.post("/api/sessions", session).body().get("id").asString();
    List<Callable<Integer>> savers = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      ObjectNode mine = session.deepCopy().put("name", "Saver " + i);
      savers.add(() -> app.put("/api/sessions/" + id + "?revision=1", mine).status());
    }
    List<Integer> statuses = new ArrayList<>();
    try (ExecutorService pool = Executors.newFixedThreadPool(8)) {
      for (Future<Integer> each : pool.invokeAll(savers)) {
        statuses.add(each.get());
      }
    }
    assertThat(statuses).containsOnlyOnce(200).containsOnly(200, 409);
    assertThat(app.get("/api/sessions/" + id).body().get("revision").asInt()).isEqualTo(2);
  }
}
