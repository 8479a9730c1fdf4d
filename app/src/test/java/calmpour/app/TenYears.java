package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import calmpour.app.store.RunStore;
import calmpour.app.work.JournalDesk;
import calmpour.core.practice.World;
import calmpour.core.run.Run;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What a journal of many years costs: each question over HTTP beside a plain round trip in the same
 * run, the start beside that of an empty workshop, the size of what is kept, and working all of it
 * out anew. Not a test: run by {@code bench/ten-years [evenings]}.
 */
class TenYears {
  private static final int EVENINGS = Integer.getInteger("calmpour.evenings", 5_000);
  private static final int TIMES = 40;
  private static final int DAYS = 3_650;

  /** Of what these sessions have: twenty pieces an evening. */
  private static final double MORE_PIECES = 5 / 3.0;

  private static final LocalDateTime FIRST = LocalDateTime.of(2016, 12, 1, 17, 30);

  /**
   * Few plans, each poured over and over: what happens on an evening differs, its plan does not.
   */
  private static final List<String> SESSIONS =
      List.of("pantry-knobs", "garden-row-labels", "fern-bell-pushes");

  @TempDir Path data;

  @Test
  void yearsOfEvenings() throws IOException {
    String last;
    try (RunningApp app = RunningApp.demo(data)) {
      last = pour(app);
      long began = System.nanoTime();
      app.bean(JournalDesk.class).rebuild();
      double minutes = (System.nanoTime() - began) / 6e10;
      System.out.printf(Locale.ROOT, "| worked out anew | %.1f min |%n", minutes);
    }
    double mb;
    try (Stream<Path> files = Files.walk(data)) {
      mb = files.filter(Files::isRegularFile).mapToLong(f -> f.toFile().length()).sum() / 1e6;
    }
    System.out.printf(Locale.ROOT, "| kept | %.0f MB |%n", mb);
    try (RunningApp app = RunningApp.demo(data)) {
      System.out.printf(
          Locale.ROOT, "| open, at once after a start | %.0f ms |%n", asked(app, "/api/journal"));
    }
    double empty = start(data.resolve("empty"), true);
    start(data.resolve("empty"), false);
    double bare = start(data.resolve("empty"), false);
    double full = start(data, false);
    System.out.printf(
        Locale.ROOT, "| start | %.1f s, empty %.1f s (new %.1f s) |%n", full, bare, empty);
    try (RunningApp app = RunningApp.demo(data);
        Browser browser = new Browser()) {
      ask(app, last);
      show(app, browser, last);
    }
  }

  /** What a browser shows meanwhile; an empty page beside it. */
  private static void show(RunningApp app, Browser browser, String last) {
    System.out.println("| frames | number | median | 95 % | longest |\n|---|---|---|---|---|");
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/manual"));
    page.waitForTimeout(1_500);
    System.out.println(Frames.watched(page, () -> Frames.scroll(page)).row("reference: manual"));
    page.navigate(app.url("/journal"));
    page.getByRole(AriaRole.ARTICLE).first().waitFor();
    page.waitForTimeout(1_500);
    System.out.println(Frames.watched(page, () -> Frames.scroll(page)).row("journal, scrolling"));
    Frames searching =
        Frames.watched(
            page,
            () -> {
              for (String key : List.of("k", "n", "o", "b", "Space", "d", "u", "l", "l")) {
                page.getByLabel("Find").press(key);
                page.waitForTimeout(250);
              }
              page.waitForTimeout(1_000);
            });
    System.out.println(searching.row("journal, searching as one types"));
    for (String part : List.of("yields", "hands")) {
      page.navigate(app.url("/journal?part=" + part));
      page.getByRole(AriaRole.HEADING).nth(2).waitFor();
      page.waitForTimeout(1_500);
      System.out.println(Frames.watched(page, () -> Frames.scroll(page)).row("journal, " + part));
    }
    page.navigate(app.url("/journal/" + last + "/1.1"));
    page.waitForTimeout(1_500);
    System.out.println(Frames.watched(page, () -> Frames.scroll(page)).row("a piece's page"));
  }

  private static double start(Path data, boolean make) throws IOException {
    if (make) {
      Files.createDirectories(data);
    }
    long began = System.nanoTime();
    try (RunningApp app = RunningApp.demo(data)) {
      assertThat(app.get("/api/units").status()).isEqualTo(200);
    }
    return (System.nanoTime() - began) / 1e9;
  }

  /** The id of the latest. */
  private static String pour(RunningApp app) {
    RunStore runs = app.bean(RunStore.class);
    List<Run> plans = new ArrayList<>();
    for (String session : SESSIONS) {
      plans.add(PastEvenings.planned(app, session, 0, MORE_PIECES));
    }
    Map<String, Integer> casts = new HashMap<>();
    int pieces = 0;
    String id = "";
    long began = System.nanoTime();
    for (int i = 0; i < EVENINGS; i++) {
      Run of = plans.get(i % plans.size());
      LocalDateTime at = FIRST.plusMinutes((long) i * DAYS * 1_440 / EVENINGS);
      Run run =
          new Run(
              of.session().withStartsAt(at),
              of.workshop(),
              of.plan(),
              of.session().withStartsAt(at).startsAtInstant());
      id = runs.begin(null, run).id();
      runs.append(
          id,
          World.carryOut(run, i, true, casts, i % 5 < 2 ? World.SLOW_HANDS : World.QUICK_HANDS)
              .events());
      pieces += of.session().pieces().stream().mapToInt(p -> p.count()).sum();
      of.session().pieces().forEach(p -> casts.merge(p.mouldId(), p.count(), Integer::sum));
    }
    System.out.printf(
        Locale.ROOT,
        "| %d evenings, %d pieces | poured in %.1f min |%n",
        EVENINGS,
        pieces,
        Duration.ofNanos(System.nanoTime() - began).toMillis() / 6e4);
    return id;
  }

  private static void ask(RunningApp app, String last) {
    Map<String, String> questions = new LinkedHashMap<>();
    questions.put("reference: a round trip", "/api/units");
    questions.put("open", "/api/journal");
    questions.put("a word", "/api/journal?words=knob");
    questions.put("two words", "/api/journal?words=harbour%20dull");
    questions.put("a word that is nowhere", "/api/journal?words=zzzz");
    questions.put("a fault", "/api/journal?fault=DULL");
    questions.put("a mould and a grade", "/api/journal?mould=knob-32&grade=LOST");
    questions.put("a colour", "/api/journal?colour=Harbour");
    questions.put("yields by mould", "/api/journal/yields?by=MOULD");
    questions.put("yields by month", "/api/journal/yields?by=MONTH");
    questions.put("yields by colour", "/api/journal/yields?by=COLOUR");
    questions.put("moulds’ lives", "/api/journal/moulds");
    questions.put("how the plans held", "/api/journal/plans");
    questions.put("learned: hands", "/api/journal/hands");
    questions.put("learned: resins", "/api/journal/paces");
    questions.put("learned: room", "/api/journal/room");
    questions.put("learned: the room as it goes on", "/api/journal/room/drift");
    questions.put("learned: moulds", "/api/journal/fills");
    questions.put("learned: cups", "/api/journal/stays");
    questions.put("learned: doses", "/api/journal/doses");
    questions.put("learned: overage", "/api/journal/overage");
    questions.put("learned: one person's hands", "/api/journal/hands?person=" + World.SLOW_HANDS);
    questions.put("a piece, and what went wrong", "/api/journal/pieces/" + last + "/1.1");
    questions.put("today", "/api/today");
    // What is worked out behind everybody's back after the start is there by then.
    try {
      Thread.sleep(AHEAD_MS);
    } catch (InterruptedException end) {
      throw new IllegalStateException(end);
    }
    System.out.println(
        "| question | first, ms | median, ms | 95 %, ms | 95 % ÷ reference | after something was told: median, ms | longest, ms |\n|---|---|---|---|---|---|---|");
    List<String> evenings = new ArrayList<>();
    app.get("/api/journal")
        .body()
        .get("evenings")
        .forEach(e -> evenings.add(e.get("id").asString()));
    int number = 0;
    double reference = 0;
    for (Map.Entry<String, String> question : questions.entrySet()) {
      double[] ms = new double[TIMES];
      double first = 0;
      for (int i = -5; i < TIMES; i++) {
        double took = asked(app, question.getValue());
        first = first == 0 ? took : first;
        if (i >= 0) {
          ms[i] = took;
        }
      }
      Arrays.sort(ms);
      double high = ms[(int) (TIMES * 0.95) - 1];
      reference = reference == 0 ? high : reference;
      double[] told = new double[TOLD];
      for (int i = 0; i < TOLD; i++) {
        tell(app, evenings.get(number++ % evenings.size()), i);
        told[i] = asked(app, question.getValue());
      }
      Arrays.sort(told);
      System.out.printf(
          Locale.ROOT,
          "| %s | %.1f | %.1f | %.1f | %.0f | %.1f | %.1f |%n",
          question.getKey(),
          first,
          ms[TIMES / 2],
          high,
          high / reference,
          told[TOLD / 2],
          told[TOLD - 1]);
    }
    double[] typed = new double[TYPED.length()];
    for (int i = 0; i < typed.length; i++) {
      typed[i] = asked(app, "/api/journal?words=" + TYPED.substring(0, i + 1).replace(" ", "%20"));
    }
    Arrays.sort(typed);
    System.out.printf(
        Locale.ROOT,
        "| as one types, each never asked before | | %.1f | %.1f | %.0f | | %.1f |%n",
        typed[typed.length / 2],
        typed[(int) (typed.length * 0.95) - 1],
        typed[(int) (typed.length * 0.95) - 1] / reference,
        typed[typed.length - 1]);
  }

  private static final int AHEAD_MS = 10_000;
  private static final int TOLD = 9;
  private static final String TYPED = "harbour knob lichen fern dull part a lot bracken row label";

  private static double asked(RunningApp app, String path) {
    long began = System.nanoTime();
    assertThat(app.text(path)).isNotEmpty();
    return (System.nanoTime() - began) / 1e6;
  }

  /** Somebody looks at a piece of the latest evening again. */
  private static void tell(RunningApp app, String run, int time) {
    Map<String, Object> look =
        Map.of(
            "id", UUID.randomUUID().toString(),
            "at", Instant.now().toString(),
            "kind", "LOOKED_OVER",
            "of", "1.1",
            "codes", List.of(time % 2 == 0 ? "GOOD" : "LOST"));
    assertThat(app.post("/api/runs/" + run + "/events", Map.of("events", List.of(look))).status())
        .isEqualTo(200);
  }
}
