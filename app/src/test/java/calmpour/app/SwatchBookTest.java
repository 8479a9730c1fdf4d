package calmpour.app;

import static calmpour.app.Seen.button;
import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** The swatch book, over HTTP and as a maker uses it. */
class SwatchBookTest {
  private static final RunningApp app = RunningApp.sharedDemo();
  private static final Browser browser = Browser.shared();

  private static RunningApp.Answer add(String id, Map<String, Object> otherwise) {
    Map<String, Object> chip =
        new HashMap<>(
            Map.of(
                "id",
                id,
                "colourId",
                "harbour",
                "thicknessMm",
                3,
                "madeOn",
                LocalDate.now(ZoneOffset.UTC).minusMonths(4).toString()));
    chip.putAll(otherwise);
    return app.post("/api/swatches", chip);
  }

  private static JsonNode chip(String id) {
    return app.get("/api/swatches")
        .body()
        .get("chips")
        .valueStream()
        .filter(c -> c.at("/chip/id").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aChipKeepsItsRecipeAndIsLookedAtAfterMonths() {
    String id = UUID.randomUUID().toString();
    assertThat(add(id, Map.of("strengthPercent", 50)).status()).isEqualTo(200);
    double half = chip(id).at("/chip/doses/0/percentOfMix").asDouble();
    // Told twice it is there once, as it was told first.
    add(id, Map.of("strengthPercent", 100));
    assertThat(chip(id).at("/chip/doses/0/percentOfMix").asDouble()).isEqualTo(half);
    String whole = UUID.randomUUID().toString();
    add(whole, Map.of());
    assertThat(chip(whole).at("/chip/doses/0/percentOfMix").asDouble()).isEqualTo(2 * half);
    assertThat(chip(id).get("due").asBoolean()).isTrue();
    app.post("/api/swatches/" + id + "/looks", Map.of("was", "A_LITTLE", "note", "on the sill"));
    assertThat(chip(id).get("due").asBoolean()).isFalse();
    assertThat(chip(id).at("/chip/looks/0/was").asString()).isEqualTo("A_LITTLE");
    assertThat(app.delete("/api/swatches/" + id).status()).isEqualTo(204);
    assertThat(app.delete("/api/swatches/" + id).status()).isEqualTo(404);
    assertThat(app.delete("/api/swatches/" + whole).status()).isEqualTo(204);
  }

  @Test
  void nonsenseIsRefusedAtItsField() {
    refused(add("x", Map.of("colourId", "no-such")), "colourId");
    refused(add("x", Map.of("thicknessMm", 0)), "thicknessMm");
    refused(add("x", Map.of("thicknessMm", 1e9)), "thicknessMm");
    refused(add("x", Map.of("strengthPercent", -5)), "strengthPercent");
    refused(
        add("x", Map.of("madeOn", LocalDate.now(ZoneOffset.UTC).plusDays(40).toString())),
        "madeOn");
    refused(add("x", Map.of("note", "n".repeat(400))), "note");
    refused(add("x", Map.of("wall", "w".repeat(101))), "wall");
    String id = UUID.randomUUID().toString();
    add(id, Map.of());
    String looks = "/api/swatches/" + id + "/looks";
    refused(app.post(looks, Map.of("was", "SAME", "on", "2001-01-01")), "on");
    assertThat(app.post(looks, Map.of("was", "PURPLE")).status()).isEqualTo(422);
    assertThat(app.post("/api/swatches/none/looks", Map.of("was", "SAME")).status()).isEqualTo(404);
    assertThat(chip(id).at("/chip/looks").size()).isZero();
    app.delete("/api/swatches/" + id);
    // Where it is tomorrow already, a chip of today is not from before it was made.
    String early = UUID.randomUUID().toString();
    add(early, Map.of("madeOn", LocalDate.now(ZoneOffset.UTC).plusDays(1).toString()));
    looks = "/api/swatches/" + early + "/looks";
    assertThat(app.post(looks, Map.of("was", "SAME")).status()).isEqualTo(200);
    app.delete("/api/swatches/" + early);
  }

  private static void refused(RunningApp.Answer answer, String field) {
    assertThat(answer.status()).isEqualTo(422);
    assertThat(answer.error(0).get("field").asString()).isEqualTo(field);
  }

  @Test
  void aMakerKeepsAChipAndLooksAtIt() {
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/journal?part=swatches"));
    button(page, "Add a chip").click();
    button(page, "Keep the chip").click();
    assertThat(page.getByText("This is still empty.").first()).isVisible();
    page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Colour")).click();
    page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName("Ember")).click();
    page.getByLabel("Thickness").fill("4");
    Seen.typeMoment(page, "Made on", "01Jun2026");
    page.getByLabel("Dusted or painted first with").fill("bronze dust");
    page.getByLabel("Note").fill("from the bell pushes");
    button(page, "Keep the chip").click();
    Locator book =
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Swatch book"));
    Locator card =
        book.getByRole(AriaRole.LISTITEM)
            .filter(new Locator.FilterOptions().setHasText("from the bell pushes"));
    assertThat(card).containsText("bronze dust first; ");
    assertThat(card).containsText("4 mm thick");
    page.navigate(app.url("/today"));
    page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Swatches to look at"))
        .getByRole(AriaRole.LINK)
        .first()
        .click();
    card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("How is it now?"))
        .click();
    card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("the same")).click();
    assertThat(card).containsText("months the same");
    Seen.readableOnAnyWidth(page, "the swatch book");
    page.setViewportSize(1280, 800);
    card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Remove").setExact(true))
        .click();
    card.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Remove for good"))
        .click();
    assertThat(card).hasCount(0);
  }
}
