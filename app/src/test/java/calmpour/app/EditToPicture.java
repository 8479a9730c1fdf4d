package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * From an edit to the new picture in a real browser, beside a plain round trip and two frames in
 * the same page. Not a test: run by {@code bench/edit-to-picture}, named so that a test run passes
 * it by.
 */
class EditToPicture {
  private static final int TIMES = 40;
  private static final List<String> COLOURS =
      List.of("clear", "harbour", "bracken", "oat", "lichen", "ember");

  @TempDir Path data;

  @Test
  void fromEditToPicture() {
    System.out.println("| what | median | 95 % | median ÷ reference |\n|---|---|---|---|");
    try (RunningApp app = RunningApp.demo(data);
        Browser browser = new Browser()) {
      Page page = browser.page(1280, 800);
      page.navigate(app.url("/plan/" + kept(app, demo())));
      Seen.group(page, "Batch 1, mixing").waitFor();
      double[] reference = timed(page, "() => fetch('/api/units').then(r => r.text())");
      row("reference: a round trip and two frames", reference, reference);
      row("demo: one piece more or fewer", timed(page, EDIT), reference);
      page.navigate("about:blank");
      page.navigate(app.url("/plan/" + kept(app, big(app))));
      Seen.group(page, "Batch 1, mixing").waitFor();
      row("big session: one piece more or fewer", timed(page, EDIT), reference);
      assertThat(browser.complaints()).isEmpty();
    }
  }

  /**
   * Presses + and − in turn, and waits until the count of cavities beside the board has changed.
   */
  private static final String EDIT =
      """
      () => new Promise(done => {
        window.turn = (window.turn ?? 0) + 1;
        const label = window.turn % 2 ? /^One .* more$/ : /^One .* fewer$/;
        const count = () => /(\\d+) cavities/.exec(document.body.innerText)?.[1];
        const before = count();
        const watch = new MutationObserver(() => {
          if (count() !== before) { watch.disconnect(); done(); }
        });
        watch.observe(document.body, { subtree: true, childList: true, characterData: true });
        [...document.querySelectorAll('button')]
          .find(b => label.test(b.getAttribute('aria-label') ?? '')).click();
      })
      """;

  private static double[] timed(Page page, String what) {
    double[] times = new double[TIMES];
    for (int i = -10; i < TIMES; i++) {
      Object took =
          page.evaluate(
              "async () => { const begun = performance.now(); await ("
                  + what
                  + ")(); await new Promise(r => requestAnimationFrame(() =>"
                  + " requestAnimationFrame(r))); return performance.now() - begun; }");
      if (i >= 0) {
        times[i] = ((Number) took).doubleValue();
      }
    }
    java.util.Arrays.sort(times);
    return times;
  }

  private static void row(String what, double[] times, double[] reference) {
    System.out.printf(
        "| %s | %.1f ms | %.1f ms | %.1f |%n",
        what, times[TIMES / 2], times[TIMES * 95 / 100], times[TIMES / 2] / reference[TIMES / 2]);
  }

  private static String kept(RunningApp app, ObjectNode session) {
    return app.post("/api/sessions", session).body().get("id").asString();
  }

  private static ObjectNode demo() {
    return RunningApp.demoDocument("sessions/pantry-knobs");
  }

  /** 60 moulds, 120 cavities, 3 layers over three days, six colours, two resins. */
  private static ObjectNode big(RunningApp app) {
    ObjectNode session = demo().put("name", "Big");
    ArrayNode pieces = RunningApp.JSON.createArrayNode();
    for (int i = 0; i < 60; i++) {
      app.put("/api/moulds/b" + i, RunningApp.mould("b" + i, "Mould " + i, 4 + i * 7 % 17));
      ObjectNode piece = pieces.addObject().put("mouldId", "b" + i).put("count", 2);
      ArrayNode layers = piece.putArray("layers");
      for (int l = 0; l < 3; l++) {
        ObjectNode layer = layers.addObject().put("colourId", COLOURS.get((i + l) % 6));
        layer.put("join", l == 0 ? "TOGETHER" : l == 1 && i % 3 == 0 ? "GEL" : "CURED");
        if (i % 2 == 1) {
          layer.put("resinId", "casting-brisk");
        }
        if (l < 2) {
          layer.putObject("fill").put("share", 0.3);
        }
      }
    }
    session.set("pieces", pieces);
    return session;
  }
}
