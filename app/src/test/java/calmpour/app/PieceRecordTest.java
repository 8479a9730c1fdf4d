package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.RunningApp.Answer;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A record that is corrected, pieces looked over together, and what becomes of one. */
class PieceRecordTest extends DemoScreens {
  private static String poured() {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    tell(run, "DONE", Map.of("of", "batch/1/WEIGH_FIRST", "value", 70));
    pourAll(run);
    return run;
  }

  private static Answer tell(String run, String kind, Map<String, Object> more) {
    Map<String, Object> event = new HashMap<>(more);
    event.put("id", UUID.randomUUID().toString());
    event.putIfAbsent("codes", List.of());
    event.put("at", java.time.Instant.now().toString());
    event.put("kind", kind);
    return demo.post("/api/runs/" + run + "/events", Map.of("events", List.of(event)));
  }

  private static JsonNode record(String run) {
    return demo.get("/api/runs/" + run + "/record").body();
  }

  private static JsonNode weighed(String run) {
    for (JsonNode line : record(run).get("told")) {
      if (line.get("of").asString("").equals("batch/1/WEIGH_FIRST")) {
        return line;
      }
    }
    throw new AssertionError("nothing was weighed");
  }

  @Test
  void aClockThatWasWrongAllEveningIsPutRightAsOne() {
    String run = poured();
    int pouredAt = record(run).at("/asRun/pours/0/atSeconds").asInt();
    String began = record(run).get("begunAt").asString();
    Answer soon =
        tell(run, "CLOCK", Map.of("codes", List.of("BEGAN/2099-01-01T18:00:00"), "text", "x"));
    assertThat(soon.status()).isEqualTo(422);
    assertThat(soon.error(0).get("field").asString()).isEqualTo("events[0].codes");
    assertThat(tell(run, "CLOCK", Map.of("codes", List.of("soon"), "text", "x")).status())
        .isEqualTo(422);
    Page page = browser.page(1280, 1000);
    page.navigate(demo.url("/pour/" + run + "/record"));
    button(page, "The clock was wrong…").click();
    button(page, "Correct the record").click();
    assertThat(page.getByText("Say when it really began.")).isVisible();
    Seen.typeMoment(page, "It really began", "03Mar20261830");
    page.getByLabel("Why").fill("flat battery");
    button(page, "Correct the record").click();
    assertThat(page.getByText(Pattern.compile("corrected: flat battery"))).isVisible();
    JsonNode right = record(run);
    assertThat(right.get("begunAt").asString()).isEqualTo("2026-03-03T18:30:00Z");
    // Between its beginning and a pour as much time went by as before.
    assertThat(right.at("/asRun/pours/0/atSeconds").asInt()).isEqualTo(pouredAt);
    assertThat(
            demo.get("/api/runs")
                .body()
                .valueStream()
                .filter(r -> r.get("id").asString().equals(run))
                .findFirst()
                .orElseThrow()
                .get("begunAt")
                .asString())
        .isEqualTo("2026-03-03T18:30:00Z");
    button(page, "The clock was right").click();
    assertThat(page.getByText(Pattern.compile("corrected: flat battery"))).isHidden();
    assertThat(record(run).get("begunAt").asString()).isEqualTo(began);
  }

  @Test
  void aLineIsPutRightOnceAndWhoIsSlowerIsTold() {
    String run = poured();
    JsonNode line = weighed(run);
    String id = line.get("id").asString();
    double plannedA = record(run).at("/asRun/batches/0/plannedAG").asDouble();
    boolean aFirst = record(run).at("/plan/batches/0/measuring/firstPart").asString().equals("A");
    String part = aFirst ? "aG" : "bG";
    assertThat(tell(run, "CORRECTED", Map.of("of", id, "value", 77.5, "text", "misread")).status())
        .isEqualTo(200);
    assertThat(record(run).at("/asRun/batches/0/" + part).asDouble()).isEqualTo(77.5);
    assertThat(record(run).at("/asRun/batches/0/plannedAG").asDouble()).isEqualTo(plannedA);
    // The second of two windows.
    Answer slower = tell(run, "CORRECTED", Map.of("of", id, "value", 20, "text", "misread"));
    assertThat(slower.status()).isEqualTo(409);
    assertThat(slower.body().get("detail").asString()).contains("77.5 g");
    assertThat(record(run).at("/asRun/batches/0/" + part).asDouble()).isEqualTo(77.5);
    // What cannot be: each is told at its field, and nothing is kept.
    String now = weighed(run).get("id").asString();
    for (Map<String, Object> odd :
        List.<Map<String, Object>>of(
            Map.of("of", now, "value", -1, "text", "x"),
            Map.of("of", now, "value", 1e9, "text", "x"),
            Map.of("of", now, "value", 3),
            Map.of("of", now, "text", "x"),
            Map.of("of", now, "codes", List.of("AT/yesterday"), "text", "x"),
            Map.of("of", now, "codes", List.of("AT/1999-01-01T00:00:00Z"), "text", "x"),
            Map.of("of", "nobody", "value", 3, "text", "x"))) {
      assertThat(tell(run, "CORRECTED", odd).status()).as("%s", odd).isEqualTo(422);
    }
    assertThat(weighed(run).get("was")).hasSize(1);
  }

  @Test
  void aPictureIsTakenAwayInTwoPresses() throws Exception {
    String run = poured();
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
    for (int number = 1; number <= 2; number++) {
      String address = "/api/runs/" + run + "/pieces/1.1/photos/" + number;
      assertThat(demo.bytes("PUT", address, "image/png", png.toByteArray()).status())
          .isEqualTo(204);
    }
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/journal/" + run + "/1.1"));
    Locator pictures =
        page.getByRole(
            AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("picture \\d$")));
    assertThat(pictures).hasCount(2);
    button(page, "Remove picture 1").click();
    button(page, "Keep it").click();
    assertThat(pictures).hasCount(2);
    button(page, "Remove picture 1").click();
    button(page, "Remove picture 1 for good").click();
    assertThat(pictures).hasCount(1);
    assertThat(button(page, "Remove picture 2")).isVisible();
  }

  @Test
  void whatBecameOfAPieceIsFoundByItsCode() throws Exception {
    String run = poured();
    assertThat(tell(run, "BECAME", Map.of("of", "9.9", "codes", List.of("SOLD"))).status())
        .isEqualTo(422);
    assertThat(tell(run, "BECAME", Map.of("of", "1.1", "codes", List.of("EATEN"))).status())
        .isEqualTo(422);
    assertThat(tell(run, "LOOKED_OVER", Map.of("of", "9.9", "codes", List.of("GOOD"))).status())
        .isEqualTo(422);
    assertThat(tell(run, "BECAME", Map.of("of", "1.1", "codes", List.of("SOLD"))).status())
        .isEqualTo(200);
    JsonNode page = demo.get("/api/journal/pieces/" + run + "/1.1").body();
    String code = page.get("code").asString();
    assertThat(page.at("/piece/became/what").asString()).isEqualTo("SOLD");
    // Other tests have evenings of their own that are read meanwhile.
    for (int i = 0; i < 600 && demo.get("/api/journal").body().get("pending").asInt() > 0; i++) {
      Thread.sleep(100);
    }
    JsonNode found =
        demo.get("/api/journal?words=" + code.toLowerCase(java.util.Locale.ROOT))
            .body()
            .get("evenings");
    assertThat(found).hasSize(1);
    assertThat(found.get(0).get("pieces")).hasSize(1);
    assertThat(found.at("/0/pieces/0/became").asString()).isEqualTo("SOLD");
    assertThat(demo.text("/api/journal/pieces.csv")).contains(code + ",").contains("SOLD");
    // A scanner reads the same off its printed tag.
    try (PDDocument tags = Loader.loadPDF(demo.download("/api/runs/" + run + "/tags/PIECES"))) {
      BufferedImage printed = new PDFRenderer(tags).renderImageWithDPI(0, 300);
      int width = printed.getWidth();
      int height = printed.getHeight();
      int[] pixels = printed.getRGB(0, 0, width, height, null, 0, width);
      assertThat(
              new QRCodeReader()
                  .decode(
                      new BinaryBitmap(
                          new HybridBinarizer(new RGBLuminanceSource(width, height, pixels))))
                  .getText())
          .isEqualTo(code);
    }
  }

  @Test
  void manyPiecesAreLookedOverByKeysAndOneIsLookedAtClosely() {
    String run = poured();
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/pour/" + run + "/record"));
    button(page, "Look over many at once…").click();
    Locator dialog =
        page.getByRole(
            AriaRole.DIALOG, new Page.GetByRoleOptions().setName("Look over the pieces"));
    assertThat(dialog.getByRole(AriaRole.STATUS)).containsText("14 of 14 chosen");
    button(page, "None").click();
    dialog.getByRole(AriaRole.CHECKBOX).first().focus();
    // The first lost, the next a second, the one after that chosen by hand and good.
    page.keyboard().press("l");
    page.keyboard().press("s");
    page.keyboard().press("Space");
    page.keyboard().press("g");
    Locator tiles = dialog.getByRole(AriaRole.CHECKBOX);
    assertThat(tiles.filter(new Locator.FilterOptions().setHasText("lost"))).hasCount(1);
    assertThat(tiles.filter(new Locator.FilterOptions().setHasText("not looked at"))).hasCount(11);
    button(page, "Not looked at yet").click();
    assertThat(dialog.getByRole(AriaRole.STATUS)).containsText("11 of 14 chosen");
    button(page, "Good").click();
    assertThat(dialog.getByRole(AriaRole.STATUS)).containsText("all are looked over");
    button(page, "Back").click();
    Locator pieces =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("The pieces"));
    assertThat(pieces).containsText("14 of 14 looked over");

    // One of them closely: a fault with its place, and what became of it.
    pieces.getByRole(AriaRole.LINK).nth(1).click();
    button(page, "Look again").click();
    page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("dull")).click();
    button(page, "at the rim").click();
    button(page, "Keep it").click();
    assertThat(page.getByText("dull (at the rim)")).isVisible();
    assertThat(
            page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName("What went wrong?")))
        .isVisible();
    page.getByLabel("To whom, or why").fill("Mrs Alder");
    button(page, "sold").click();
    assertThat(page.getByText("sold: Mrs Alder")).isVisible();
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("before it was ready");
  }

  @Test
  void aLineIsCorrectedOnTheScreen() {
    String run = poured();
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/pour/" + run + "/record"));
    Locator told =
        page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("As it was told"));
    button(page, "Correct a line…").click();
    told.getByRole(AriaRole.BUTTON)
        .filter(new Locator.FilterOptions().setHasText("Correct"))
        .first()
        .click();
    Locator dialog = page.getByRole(AriaRole.DIALOG);
    button(page, "Correct the record").click();
    assertThat(dialog).containsText("Nothing is different yet.");
    assertThat(dialog).containsText("Say why");
    Locator time = dialog.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("Time"));
    time.getByRole(AriaRole.SPINBUTTON).last().click();
    page.keyboard().press("ArrowDown");
    assertThat(dialog.getByText(Pattern.compile("before the evening began|still to come")))
        .isVisible();
    page.keyboard().press("ArrowUp");
    dialog.getByLabel("Weight").fill("-4");
    assertThat(dialog.getByLabel("Weight")).hasValue("-4");
    dialog.getByLabel("Why").fill("the cup stood on the scale");
    dialog.getByLabel("Who says so").fill("Ada");
    button(page, "Correct the record").click();
    assertThat(dialog.getByLabel("Weight")).hasAttribute("aria-invalid", "true");
    dialog.getByLabel("Weight").fill("71.5");
    button(page, "Correct the record").click();
    assertThat(told).containsText("1 corrected");
    assertThat(told).containsText("71.5 g");
    assertThat(told).containsText("corrected by Ada: the cup stood on the scale");
  }
}
