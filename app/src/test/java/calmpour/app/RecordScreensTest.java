package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A run looked back on, and evenings that are only rehearsed, in a browser. */
class RecordScreensTest extends DemoScreens {
  private static Locator role(Page page, AriaRole role, String name) {
    return page.getByRole(role, new Page.GetByRoleOptions().setName(name));
  }

  @Test
  void aPieceIsLookedOverAndTheRunIsEnded() throws Exception {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    pourAll(run);
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/today"));
    // Other tests have runs here as well: this one's lines are those that lead to it.
    Locator its =
        page.getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHas(page.locator("a[href*='" + run + "']")));
    Locator out =
        its.filter(new Locator.FilterOptions().setHasText("Out of the mould: Bar pull ×4"));
    out.getByText("look it over").click();
    button(page, "Look over Bar pull, second").click();
    role(page, AriaRole.RADIO, "second").click();
    role(page, AriaRole.CHECKBOX, "cloudy, micro-bubbles").click();
    role(page, AriaRole.CHECKBOX, "dull").click();
    role(page, AriaRole.CHECKBOX, "dull").click();
    Locator line = page.getByLabel("A line about it");
    line.fill("x".repeat(305));
    assertThat(page.getByText("5 letters too many; a line is enough.")).isVisible();
    assertThat(button(page, "Keep it")).isDisabled();
    line.fill("Fog at the rim");
    Locator picture = page.getByLabel("Picture of Bar pull, second");
    picture.setInputFiles(
        new FilePayload("note.png", "image/png", "no picture".getBytes(StandardCharsets.UTF_8)));
    assertThat(page.getByRole(AriaRole.ALERT)).containsText("Choose a JPEG or PNG");
    ByteArrayOutputStream png = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB), "png", png);
    picture.setInputFiles(new FilePayload("pull.png", "image/png", png.toByteArray()));
    assertThat(role(page, AriaRole.IMG, "Bar pull, second")).isVisible();
    button(page, "Keep it").click();
    Locator pieces = role(page, AriaRole.REGION, "The pieces");
    assertThat(pieces).containsText("second: cloudy, micro-bubbles – Fog at the rim");
    assertThat(pieces).containsText("1 of 14 looked over");

    button(page, "This evening is over…").click();
    button(page, "Not yet").click();
    button(page, "This evening is over…").click();
    button(page, "It is over").click();
    assertThat(page.getByText(Pattern.compile(", over "))).isVisible();
    assertThat(demo.get("/api/runs/" + run + "/record").body().has("finishedAt")).isTrue();
    page.navigate(demo.url("/today"));
    page.getByRole(AriaRole.HEADING).first().waitFor();
    browser.quiet(page);
    assertThat(its).hasCount(0);
    // It is no longer offered as something to pour.
    page.navigate(demo.url("/pour"));
    Locator begun =
        page.getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHas(page.locator("a[href*='" + run + "']")));
    assertThat(begun).containsText(Pattern.compile("over "));
    assertThat(begun.getByText("To the bench")).hasCount(0);
  }

  /** Table, curves and tags of a record, as they come out of a printer. */
  @Test
  void theRecordPrintsAsOneDocument() throws IOException {
    String run =
        demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
    for (int i = 0; i < 12; i++) {
      String next =
          demo.get("/api/runs/" + run + "/state").body().get("state").get("currentId").asString();
      demo.post(
          "/api/runs/" + run + "/events",
          Map.of(
              "events",
              List.of(
                  Map.of(
                      "id", "p" + i, "at", "2099-01-01T00:00:00Z", "kind", "DONE", "of", next))));
    }
    Page page = browser.page(1280, 900);
    page.navigate(demo.url("/pour/" + run + "/record"));
    role(page, AriaRole.REGION, "Cavity by cavity").waitFor();
    browser.quiet(page);
    byte[] printed = page.pdf(new Page.PdfOptions().setFormat("A4"));
    if (System.getenv("CALM_POUR_PRINTED") != null) {
      Files.write(Path.of(System.getenv("CALM_POUR_PRINTED")), printed);
    }
    try (PDDocument pdf = Loader.loadPDF(printed)) {
      String text = new PDFTextStripper().getText(pdf);
      assertThat(text)
          .contains("Cavity by cavity", "How the cups followed", "What went in")
          .contains("Tags for the cups", "Tags for the pieces", "cup 1.1")
          // Keys are not for paper.
          .doesNotContain("Look over", "To the bench");
    }
  }

  @Test
  void whatStayedInACupIsWeighedWhileItIsCleanedAndStandsInTheRecord() {
    JsonNode opened = demo.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body();
    String run = opened.get("id").asString();
    List<Map<String, Object>> events = new ArrayList<>();
    for (JsonNode task : opened.at("/plan/tasks")) {
      String kind = task.get("kind").asString();
      if (kind.equals("CLEAN_UP")) {
        break;
      }
      if (task.get("hands").asBoolean()) {
        events.add(
            Map.of(
                "id",
                UUID.randomUUID().toString(),
                "at",
                "2099-01-01T00:00:00Z",
                "kind",
                "DONE",
                "of",
                task.get("id").asString()));
      }
    }
    demo.post("/api/runs/" + run + "/events", Map.of("events", events));
    Page page = browser.page(1280, 800);
    page.navigate(demo.url("/pour/" + run));
    Locator stayed = role(page, AriaRole.REGION, "What stayed in the cups");
    stayed.getByRole(AriaRole.BUTTON).first().click();
    Locator pad = role(page, AriaRole.DIALOG, "What stayed in the cups");
    // More than was in it cannot have stayed.
    String back = "Delete the last figure";
    press(pad, "9", "9", "9", "9");
    assertThat(pad).containsText("There was no more in it than");
    assertThat(button(page, "That much")).isDisabled();
    press(pad, back, back, back, back, "2", ".", "5");
    button(page, "That much").click();
    assertThat(stayed).containsText("2.5 g");
    page.navigate(demo.url("/pour/" + run + "/record"));
    assertThat(role(page, AriaRole.REGION, "What stayed in the cups")).containsText("2.5 g stayed");
  }

  private static void press(Locator pad, String... keys) {
    for (String key : keys) {
      pad.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(key).setExact(true))
          .click();
    }
  }

  @Test
  void anExerciseIsPouredAtTheBenchAndJudged() {
    Page page = browser.page(390, 844);
    Locator ring = page.getByText("The phone rings.");
    begin(page, "One Harbour knob");
    // Before anything happens one sees the wall and the bottle, and nothing of what will go wrong.
    Locator seen = role(page, AriaRole.REGION, "Rehearsal");
    assertThat(seen).containsText("Thermometer on the wall");
    assertThat(seen).containsText("bottle in the hand");
    assertThat(ring).isHidden();
    for (int weighed = 0; weighed < 2; weighed++) {
      button(page, "Weighed").click();
      page.waitForTimeout(900);
    }
    button(page, "Stirred").click();
    assertThat(ring).isVisible();
    assertThat((Integer) page.evaluate("document.documentElement.scrollWidth - window.innerWidth"))
        .isLessThanOrEqualTo(0);
    button(page, "Stepped away").click();
    // The call takes as long as it takes, by the clock of the rehearsal.
    button(page, "I am back").click();
    role(page, AriaRole.ALERTDIALOG, "A cup has gone")
        .getByRole(
            AriaRole.BUTTON,
            new Locator.GetByRoleOptions().setName(Pattern.compile("hat is left to do$")))
        .click();
    role(page, AriaRole.ALERTDIALOG, "What can still be poured").getByText("Go on").click();
    button(page, "End here").click();
    assertThat(page.getByText("0 of 1 good, 1 lost")).isVisible();
    assertThat(page.getByText("0 of 2 points. Hands that see to everything come to 2."))
        .isVisible();
    assertThat(role(page, AriaRole.REGION, "What went wrong"))
        .containsText("The call took 60 min.");
    assertThat(role(page, AriaRole.REGION, "Otherwise than planned"))
        .containsText("Nobody was at the bench for 60 min.");
    page.navigate(demo.url("/practice/rehearsal"));
    assertThat(page.getByText("best so far 0 of 2 points")).isVisible();
  }

  private void begin(Page page, String exercise) {
    page.navigate(demo.url("/practice/rehearsal"));
    page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Rehearse " + exercise))
        .click();
    // The plan is seen before it goes wrong.
    assertThat(role(page, AriaRole.REGION, "The plan")).containsText("into");
    button(page, "Begin at the bench").click();
    page.getByRole(
            AriaRole.BUTTON,
            new Page.GetByRoleOptions().setName(Pattern.compile("^Go on all the same")))
        .click();
  }
}
