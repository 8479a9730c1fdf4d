package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.RunningApp.Answer;
import calmpour.app.format.TagPages;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What is kept of a run, over HTTP against the real application. */
class RecordApiTest {
  @TempDir static Path data;
  private static RunningApp demo;

  @BeforeAll
  static void start() {
    demo = RunningApp.demo(data);
  }

  @AfterAll
  static void stop() {
    demo.close();
  }

  private static JsonNode begun(String name) {
    return demo.begin(RunningApp.demoDocument("sessions/pantry-knobs").put("name", name)).body();
  }

  private static Answer tell(JsonNode run, String kind, Map<String, Object> more) {
    Map<String, Object> event = new HashMap<>(more);
    event.put("id", UUID.randomUUID().toString());
    event.put("at", run.get("begunAt").asString());
    event.put("kind", kind);
    return demo.post(at(run) + "/events", Map.of("events", List.of(event)));
  }

  private static String at(JsonNode run) {
    return "/api/runs/" + run.get("id").asString();
  }

  private static JsonNode record(JsonNode run) {
    return demo.get(at(run) + "/record").body();
  }

  @Test
  void aLookIsKeptWithItsFaultsAndItsPicture() throws Exception {
    JsonNode run = begun("Looked over");
    Answer kept =
        tell(
            run,
            "LOOKED_OVER",
            Map.of("of", "2.1", "codes", List.of("SECOND", "DULL"), "text", "Rim, at the north"));
    assertThat(kept.status()).isEqualTo(200);
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(1_800, 900, BufferedImage.TYPE_INT_RGB), "png", png);
    String photo = at(run) + "/pieces/2.1/photos/1";
    assertThat(demo.bytes("PUT", photo, "image/png", png.toByteArray()).status()).isEqualTo(204);
    JsonNode piece = null;
    for (JsonNode each : record(run).get("asRun").get("pieces")) {
      if (each.get("piece").asString().equals("2.1")) {
        piece = each;
      }
    }
    assertThat(piece).isNotNull();
    assertThat(piece.at("/lookedOver/verdict").asString()).isEqualTo("SECOND");
    assertThat(piece.at("/lookedOver/faults/0").asString()).isEqualTo("DULL");
    assertThat(piece.at("/lookedOver/text").asString()).isEqualTo("Rim, at the north");
    assertThat(record(run).at("/photos/0/piece").asString()).isEqualTo("2.1");
    BufferedImage small = ImageIO.read(new java.io.ByteArrayInputStream(demo.download(photo)));
    assertThat(small.getWidth()).isEqualTo(1_024);
    // No such piece, no picture, no verdict: each says so at its place.
    assertThat(
            demo.bytes("PUT", at(run) + "/pieces/9.9/photos/1", "image/png", png.toByteArray())
                .status())
        .isEqualTo(404);
    Answer noPhoto = demo.bytes("PUT", photo, "image/png", new byte[] {1, 2, 3});
    assertThat(noPhoto.status()).isEqualTo(422);
    Answer wrong = tell(run, "LOOKED_OVER", Map.of("of", "2.1", "codes", List.of("SPLENDID")));
    assertThat(wrong.status()).isEqualTo(422);
    assertThat(wrong.error(0).get("field").asString()).isEqualTo("events[0].codes");
    assertThat(wrong.error(0).get("message").asString()).contains("SPLENDID");
  }

  @Test
  void tagsArePagesOfTheirSizeWithWhatBelongsOnThem() throws Exception {
    JsonNode run = begun("Tags ÆØ Ł λ 日");
    try (PDDocument cups = Loader.loadPDF(demo.download(at(run) + "/tags/CUPS"))) {
      int expected = 0;
      for (JsonNode batch : run.get("plan").get("batches")) {
        expected += batch.get("cups").size();
      }
      assertThat(cups.getNumberOfPages()).isEqualTo(expected);
      // 62 × 29 mm in points of 1/72 inch, by hand.
      assertThat(cups.getPage(0).getMediaBox().getWidth()).isBetween(175.6f, 175.9f);
      assertThat(cups.getPage(0).getMediaBox().getHeight()).isBetween(82.1f, 82.3f);
      String text = new PDFTextStripper().getText(cups);
      for (JsonNode cup : run.get("plan").get("batches").get(0).get("cups")) {
        assertThat(text).contains(cup.at("/colour/name").asString());
      }
    }
    Answer printed = demo.post(at(run) + "/tags/PIECES", "");
    assertThat(printed.status()).isEqualTo(200);
    assertThat(printed.body().get("tags").asInt()).isEqualTo(14);
    Path file = Path.of(printed.body().get("lies").asString());
    assertThat(file.normalize()).startsWith(data.toAbsolutePath());
    try (PDDocument pieces = Loader.loadPDF(Files.readAllBytes(file))) {
      String text = new PDFTextStripper().getText(pieces);
      // Letters that the font has stay; the one that it has not is a question mark.
      assertThat(text)
          .contains("Tags ÆØ Ł λ ?")
          .contains("Knob 32, 3 of 6")
          .contains("ready to hand over");
    }
    // What will never be poured gets none.
    for (JsonNode task : run.get("plan").get("tasks")) {
      if (task.get("id").asString().startsWith("pour/1.1.")) {
        tell(run, "GIVEN_UP", Map.of("of", task.get("id").asString()));
      }
    }
    assertThat(demo.post(at(run) + "/tags/PIECES", "").body().get("tags").asInt()).isEqualTo(13);
    // The same again does not write over the first.
    Answer again = demo.post(at(run) + "/tags/PIECES", "");
    assertThat(again.body().get("lies").asString()).isNotEqualTo(file.toString());
    assertThat(demo.get(at(run) + "/tags/SHEEP").status()).isEqualTo(400);
  }

  @Test
  void aNameDoesNotLeadOutOfThePrintersFolder() {
    JsonNode run = begun("../../etc/knobs");
    String lies = demo.post(at(run) + "/tags/CUPS", "").body().get("lies").asString();
    assertThat(Path.of(lies).normalize().getParent())
        .isEqualTo(data.resolve("workshop-tags").toAbsolutePath());
  }

  @Test
  void aLineThatIsTooLongForItsTagGoesOnInTheNext() throws Exception {
    byte[] pdf =
        TagPages.pdf(
            List.of(new TagPages.Tag("A".repeat(90), List.of("b".repeat(200)), List.of(), null)));
    try (PDDocument document = Loader.loadPDF(pdf)) {
      String text = new PDFTextStripper().getText(document);
      assertThat(text.replaceAll("\\s", "")).isEqualTo("A".repeat(90) + "b".repeat(200));
      assertThat(text.lines().toList()).hasSizeGreaterThan(4).allMatch(line -> line.length() < 60);
    }
  }

  @Test
  void aRunThatIsOverIsOverUntilThatIsTakenBack() {
    JsonNode run = begun("Ended");
    String id = run.get("id").asString();
    tell(run, "FINISHED", Map.of());
    assertThat(record(run).has("finishedAt")).isTrue();
    assertThat(line(id).has("finishedAt")).isTrue();
    JsonNode state = demo.get(at(run) + "/state").body().get("state");
    tell(
        run,
        "UNDONE",
        Map.of("of", state.get("undoable").get(0).get("eventIds").get(0).asString()));
    assertThat(record(run).has("finishedAt")).isFalse();
    assertThat(line(id).has("finishedAt")).isFalse();
  }

  private static JsonNode line(String id) {
    for (JsonNode line : demo.get("/api/runs").body()) {
      if (line.get("id").asString().equals(id)) {
        return line;
      }
    }
    throw new AssertionError("no run " + id);
  }
}
