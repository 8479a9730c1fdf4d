package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * What the bench takes: from a tap to the next step, from an event to a second screen, a rest
 * planned anew, and eight hours of memory. Not a test: run by {@code bench/at-the-bench}, named so
 * that a test run passes it by.
 */
class AtTheBench {
  private static final int HOURS = 8;
  private static final int SPEED = 120;

  @TempDir Path data;

  private static String begun(RunningApp app) {
    return app.begin(RunningApp.demoDocument("sessions/pantry-knobs")).body().get("id").asString();
  }

  private static JsonNode tell(RunningApp app, String run, String kind, String of) {
    return app.tell(run, kind, of, null).body();
  }

  private static Page bench(RunningApp app, Browser browser, String run) {
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/pour/" + run));
    page.locator("main h2").waitFor();
    return page;
  }

  private static JsonNode state(RunningApp app, String run) {
    return app.get("/api/runs/" + run + "/state").body().get("state");
  }

  /** Waits for another step, and for the frame in which it is seen. */
  private static final String NEXT =
      """
      () => new Promise(done => {
        const step = () => document.querySelector('main h2')?.innerText;
        const before = step();
        let begun = performance.now();
        // What a key takes to come from the test to the page is not the page's.
        addEventListener('keydown', () => { begun = performance.now(); }, { once: true, capture: true });
        const watch = new MutationObserver(() => {
          if (step() !== before) {
            watch.disconnect();
            requestAnimationFrame(() => requestAnimationFrame(() => done(performance.now() - begun)));
          }
        });
        watch.observe(document.body, { subtree: true, childList: true, characterData: true });
        setTimeout(() => done(-1), 3000);
      })
      """;

  private static final String REFERENCE =
      """
      async () => {
        const begun = performance.now();
        await fetch('/api/units').then(r => r.text());
        await new Promise(r => requestAnimationFrame(() => requestAnimationFrame(r)));
        return performance.now() - begun;
      }
      """;

  @Test
  void tapToStep() {
    try (RunningApp app = RunningApp.demo(data);
        Browser browser = new Browser()) {
      System.out.println("| what | median | 95 % | median ÷ reference |\n|---|---|---|---|");
      List<Double> reference = new ArrayList<>();
      List<Double> taps = new ArrayList<>();
      List<Double> seconds = new ArrayList<>();
      List<Double> plain = new ArrayList<>();
      List<Double> states = new ArrayList<>();
      for (int round = 0; round < 3; round++) {
        String run = begun(app);
        tell(app, run, "CHECKED", "READY");
        Page page = bench(app, browser, run);
        Page second = bench(app, browser, run);
        for (int i = 0; i < 44; i++) {
          reference.add(((Number) page.evaluate(REFERENCE)).doubleValue());
          // A key that was on its way is ignored for so long after a change.
          page.waitForTimeout(BenchScreens.MEANT_MS);
          if (i % 2 == 0) {
            page.evaluate("() => { window.seen = (" + NEXT + ")(); }");
            page.keyboard().press(" ");
            double tap = ((Number) page.evaluate("() => window.seen")).doubleValue();
            if (tap < 0) {
              // Asked whether it is not too early: no measurement, and answered from elsewhere.
              tell(app, run, "DONE", state(app, run).get("currentId").asString());
              page.reload();
              page.locator("main h2").waitFor();
            } else {
              taps.add(tap);
            }
          } else {
            // Armed on the second screen, told from here: the way from the event to its picture.
            second.evaluate("() => { window.seen = (" + NEXT + ")(); }");
            tell(app, run, "DONE", state(app, run).get("currentId").asString());
            double seen = ((Number) second.evaluate("() => window.seen")).doubleValue();
            if (seen >= 0) {
              seconds.add(seen);
            }
          }
          plain.add(timed(() -> app.get("/api/units")));
          states.add(timed(() -> app.get("/api/runs/" + run + "/state")));
        }
        page.context().close();
        second.context().close();
      }
      row("reference: a round trip and two frames in the page", reference, reference);
      row("tap to the next step on the screen", taps, reference);
      row("event to a second screen", seconds, reference);
      row("reference: a round trip of the test", plain, plain);
      row("the rest planned anew, over HTTP", states, plain);
      assertThat(browser.complaints()).isEmpty();
    }
  }

  private static double timed(Runnable what) {
    long begun = System.nanoTime();
    what.run();
    return (System.nanoTime() - begun) / 1e6;
  }

  private static void row(String what, List<Double> times, List<Double> reference) {
    double[] its = sorted(times);
    double[] beside = sorted(reference);
    System.out.printf(
        "| %s | %.1f ms | %.1f ms | %.1f |%n",
        what,
        its[its.length / 2],
        its[its.length * 95 / 100],
        its[its.length / 2] / beside[beside.length / 2]);
  }

  private static double[] sorted(List<Double> values) {
    double[] all = values.stream().mapToDouble(v -> v).toArray();
    Arrays.sort(all);
    return all;
  }

  /** Every mishap of the exercises that shows in what is told or measured, and nobody goes on. */
  @Test
  void mishaps() throws Exception {
    try (RunningApp app = RunningApp.demo(data);
        Browser browser = new Browser();
        var exercises = AtTheBench.class.getResourceAsStream("/exercises.json")) {
      System.out.println(
          "| exercise | mishap | warned, min | first lost, min | in time |\n|---|---|---|---|---|");
      for (JsonNode exercise : RunningApp.JSON.readTree(exercises)) {
        for (JsonNode mishap : exercise.get("mishaps")) {
          String kind = mishap.get("kind").asString();
          if (LeftAlone.SEEN.contains(kind)) {
            LeftAlone.Seen seen =
                LeftAlone.after(
                    app,
                    browser,
                    exercise.get("session"),
                    kind,
                    mishap.get("at").asString(),
                    mishap.get("nth").asInt(),
                    mishap.get("size").asDouble());
            System.out.printf(
                "| %s | %s | %s | %s | %s: %s |%n",
                exercise.get("id").asString(),
                kind,
                minutes(seen.warned()),
                minutes(seen.lost()),
                seen.inTime() ? "yes" : "no",
                seen.words());
          }
        }
      }
      assertThat(browser.complaints()).isEmpty();
    }
  }

  private static String minutes(@Nullable Integer seconds) {
    return seconds == null ? "–" : String.valueOf(seconds / 60);
  }

  @Test
  void eightHours() throws Exception {
    try (ServerProcess server = ServerProcess.start(data);
        Browser browser = new Browser()) {
      System.out.println("| hours | events | server, MB | tab, MB |\n|---|---|---|---|");
      String run =
          server
              .post(
                  "/api/runs", Map.of("session", RunningApp.demoDocument("sessions/pantry-knobs")))
              .get("id")
              .asString();
      String at = "/api/runs/" + run;
      server.post(at + "/events", Map.of("events", List.of(event("CHECKED", "READY"))));
      Page page = browser.page(1280, 800);
      page.navigate(server.url("/pour/" + run));
      page.locator("main h2").waitFor();
      CDPSession tab = page.context().newCDPSession(page);
      server.put("/api/clock", Map.of("speed", SPEED));
      long begun = System.nanoTime();
      for (int hour = 0; hour <= HOURS; hour++) {
        double until = hour * 3_600.0 / SPEED;
        while ((System.nanoTime() - begun) / 1e9 < until) {
          // The room goes up and down, the cups are read, steps are done and taken back.
          double warm = 22 + 4 * Math.sin((System.nanoTime() - begun) / 4e9);
          server.post("/api/devices/simulated", Map.of("roomC", warm));
          JsonNode state = server.get(at + "/state").get("state");
          Map<String, Object> next =
              state.has("currentId")
                  ? event("DONE", state.get("currentId").asString())
                  : event("UNDONE", state.get("undoable").get(0).get("eventIds").get(0).asString());
          server.post(at + "/events", Map.of("events", List.of(next)));
          page.waitForTimeout(1_000);
        }
        tab.send("HeapProfiler.collectGarbage");
        JsonObject heap = tab.send("Runtime.getHeapUsage");
        System.out.printf(
            "| %d | %d | %.1f | %.1f |%n",
            hour,
            server.get(at + "/state").get("told").asInt(),
            heapMb(server.pid()),
            heap.get("usedSize").getAsDouble() / 1e6);
      }
      assertThat(browser.complaints()).isEmpty();
    }
  }

  private static Map<String, Object> event(String kind, String of) {
    return Map.of(
        "id", UUID.randomUUID().toString(), "at", "2099-01-01T00:00:00Z", "kind", kind, "of", of);
  }

  /** What is still used after a collection, by the JDK's own tool. */
  private static double heapMb(long pid) throws Exception {
    jcmd(pid, "GC.run");
    Matcher used = Pattern.compile("total \\d+K, used (\\d+)K").matcher(jcmd(pid, "GC.heap_info"));
    double all = 0;
    while (used.find()) {
      all += Double.parseDouble(used.group(1)) / 1_000;
    }
    return all;
  }

  private static String jcmd(long pid, String what) throws Exception {
    Process tool =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "jcmd").toString(),
                Long.toString(pid),
                what)
            .redirectErrorStream(true)
            .start();
    String said = new String(tool.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    tool.waitFor();
    return said;
  }
}
