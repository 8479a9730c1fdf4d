package calmpour.app;

import com.microsoft.playwright.Page;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A mishap at the bench after which nobody touches anything: when the screen warns, and when the
 * first piece is lost by what the server says. What nobody tells and nothing measures, cold bottles
 * and a cup that was mistaken, no bench can see.
 */
final class LeftAlone {
  static final Set<String> SEEN = Set.of("PHONE", "OVER_POUR", "WARM_ROOM", "EMBED_FORGOTTEN");

  /** Said while something can still be done, or at once where it no longer can. */
  private static final Pattern WARNS =
      Pattern.compile(
          "within \\d+ min|\\bnow, or a pour|: now[.,]|Too much [AB]|cannot be in time");

  private static final int SPEED = 120;
  private static final int MOST_LOOKS = 900;

  /** Time for a screen to hear of the other clock (10 s of the world), and for any warning. */
  private static final int EARLY_SECONDS = 2_100;

  private final RunningApp app;
  private final String run;

  /** What happened, in seconds from the beginning of the evening; null: not at all. */
  record Seen(@Nullable Integer warned, @Nullable Integer lost, String words) {
    /** Something was lost, or would have been, and it was told while it was not. */
    boolean inTime() {
      return warned != null && (lost == null || warned <= lost);
    }
  }

  private LeftAlone(RunningApp app, String run) {
    this.app = app;
    this.run = run;
  }

  /**
   * @param at kind of the step with which it happens
   * @param nth the first of them, or a later one
   * @param size of the mishap, as the exercises have it
   */
  static Seen after(
      RunningApp app,
      Browser browser,
      JsonNode session,
      String kind,
      String at,
      int nth,
      double size) {
    String run =
        app.post("/api/runs", Map.of("session", session, "heatSeen", true, "mouldsEmpty", true))
            .body()
            .get("id")
            .asString();
    LeftAlone alone = new LeftAlone(app, run);
    alone.tell("CHECKED", "READY", null);
    JsonNode step = alone.upTo(at, nth);
    String embed = kind.equals("EMBED_FORGOTTEN") ? step.get("taskId").asString() : null;
    switch (kind) {
      case "PHONE" -> alone.tell("AWAY", null, null);
      case "WARM_ROOM" ->
          alone.tell("ROOM", null, session.get("room").get("temperatureC").asDouble() + size);
      case "OVER_POUR" ->
          alone.tell(
              "DONE",
              step.get("taskId").asString(),
              step.get("targetG").asDouble() * (1 + size / 100));
      default -> alone.pourTheRest();
    }
    Page page = browser.page(1280, 800);
    page.navigate(app.url("/pour/" + run));
    page.locator("main").waitFor();
    app.put("/api/clock", Map.of("speed", SPEED, "aheadSeconds", alone.nothingBefore(embed)));
    try {
      return alone.watch(page, embed);
    } finally {
      app.put("/api/clock", Map.of("speed", 1));
      page.context().close();
    }
  }

  /**
   * So long nothing can come yet of an embed that is forgotten, s; what else happens may be near.
   */
  private int nothingBefore(@Nullable String embed) {
    if (embed == null) {
      return 0;
    }
    JsonNode state = state();
    JsonNode step = step(state, embed);
    return Math.max(
        0, step.path("untilSeconds").asInt(0) - state.get("atSeconds").asInt() - EARLY_SECONDS);
  }

  private Seen watch(Page page, @Nullable String embed) {
    Integer warned = null;
    Integer lost = null;
    String words = "";
    for (int i = 0; i < MOST_LOOKS && (warned == null || lost == null); i++) {
      // First what the screen says: between the two looks time goes on for the worse only.
      String said = page.locator("body").innerText();
      JsonNode state = state();
      int now = state.get("atSeconds").asInt();
      if (warned == null && WARNS.matcher(said).find()) {
        warned = now;
        words = said.lines().filter(l -> WARNS.matcher(l).find()).findFirst().orElse("");
      }
      if (lost == null && isLost(state, now, embed)) {
        lost = now;
      }
      if (!state.has("currentId")
          || now > 8 * 3_600
          || (warned != null && words.startsWith("Too"))) {
        break;
      }
      page.waitForTimeout(100);
    }
    return new Seen(warned, lost, words);
  }

  private static boolean isLost(JsonNode state, int now, @Nullable String embed) {
    Set<String> gone = new HashSet<>(Set.of("LOST", "TOO_LATE"));
    return state
        .get("steps")
        .valueStream()
        .anyMatch(s ->
            (s.get("kind").asString().equals("POUR") && gone.contains(s.get("status").asString()))
                || (s.get("taskId").asString().equals(embed)
                    && s.has("untilSeconds")
                    && now > s.get("untilSeconds").asInt()));
  }

  private JsonNode upTo(String kind, int nth) {
    int seen = 0;
    for (int i = 0; i < 300; i++) {
      JsonNode state = state();
      JsonNode step = step(state, state.get("currentId").asString());
      if (step.get("kind").asString().equals(kind) && ++seen == nth) {
        return step;
      }
      tell("DONE", step.get("taskId").asString(), null);
    }
    throw new AssertionError("never comes to " + kind);
  }

  private void pourTheRest() {
    state()
        .get("steps")
        .valueStream()
        .filter(s -> s.get("kind").asString().equals("POUR"))
        .filter(s -> s.get("status").asString().equals("TO_DO"))
        .forEach(s -> tell("DONE", s.get("taskId").asString(), null));
  }

  private static JsonNode step(JsonNode state, String id) {
    return state
        .get("steps")
        .valueStream()
        .filter(s -> s.get("taskId").asString().equals(id))
        .findFirst()
        .orElseThrow();
  }

  private JsonNode state() {
    return app.get("/api/runs/" + run + "/state").body().get("state");
  }

  private void tell(String kind, @Nullable String of, @Nullable Double value) {
    app.tell(run, kind, of, value);
  }
}
