package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * Whatever two screens tell of an evening, in whatever order it arrives, the bench says what a
 * maker with a pencil would: the right step, true counts, nothing lost, no warning gone.
 */
class BenchModelTest {
  @TempDir Path data;

  @Test
  void fiftyEvenings() {
    evenings(50, 20_261_127);
  }

  /** What it last found is in docs/campaigns.md. */
  @Tag("long")
  @Test
  void twoThousandEvenings() {
    evenings(2_000, 1_127);
  }

  private void evenings(int count, long seed) {
    try (RunningApp app = RunningApp.demo(data)) {
      assertThat(app.put("/api/clock", Map.of("speed", 120)).status()).isLessThan(300);
      // Each planned once; what is told of them is what is tried here.
      List<JsonNode> sessions =
          Stream.of("pantry-knobs", "fern-bell-pushes", "garden-row-labels")
              .map(s -> (JsonNode) RunningApp.demoDocument("sessions/" + s))
              .toList();
      // Begun together and told one after the other: the later ones have more time behind them.
      for (int from = 0; from < count; from += 50) {
        List<Evening> evenings = new ArrayList<>();
        for (int i = from; i < Math.min(count, from + 50); i++) {
          evenings.add(new Evening(app, sessions.get(i % sessions.size()), seed + i));
        }
        evenings.forEach(Evening::goOn);
      }
    }
  }

  /** One run, told by two screens of which one is cut off now and then. */
  private static final class Evening {
    private final RunningApp app;
    private final Random random;
    private final long seed;
    private final String run;
    private final Instant begun;
    private final JsonNode plan;
    private final MakersBook book;
    private final List<Map<String, Object>> waiting = new ArrayList<>();
    private Instant last;

    /** By the bench's clock, as it was told last. */
    private Instant now;

    Evening(RunningApp app, JsonNode session, long seed) {
      this.app = app;
      this.seed = seed;
      this.random = new Random(seed);
      JsonNode opened =
          app.post("/api/runs", Map.of("session", session, "heatSeen", true, "mouldsEmpty", true))
              .body();
      this.run = opened.get("id").asString();
      this.begun = Instant.parse(opened.get("begunAt").asString());
      this.last = begun.truncatedTo(ChronoUnit.SECONDS).plusSeconds(1);
      this.now = begun;
      this.plan = opened.get("plan");
      this.book = new MakersBook(plan);
    }

    void goOn() {
      JsonNode stands = app.get("/api/runs/" + run + "/state").body();
      now = Instant.parse(stands.get("now").asString());
      for (int turn = 0; turn < 9; turn++) {
        // Up to the pours most go straight; from there on anything happens.
        int goes = turn < 4 ? 5 : 3;
        List<Map<String, Object>> told = new ArrayList<>();
        for (int i = 0; i < goes; i++) {
          told.add(turn < 4 && random.nextInt(6) > 0 ? next(stands, i) : anything(stands));
        }
        if (random.nextInt(4) == 0) {
          waiting.addAll(told);
          continue;
        }
        stands = send(told);
        if (random.nextInt(5) == 0 && !waiting.isEmpty()) {
          stands = back();
        }
        compare(stands);
      }
      if (!waiting.isEmpty()) {
        compare(back());
      }
    }

    /** The other screen is there again, and tells what it kept; part of it twice. */
    private JsonNode back() {
      JsonNode stands = send(List.copyOf(waiting));
      if (random.nextBoolean()) {
        stands = send(waiting.subList(0, 1 + random.nextInt(waiting.size())));
      }
      waiting.clear();
      return stands;
    }

    private JsonNode send(List<Map<String, Object>> events) {
      RunningApp.Answer answer = app.post("/api/runs/" + run + "/events", Map.of("events", events));
      assertThat(answer.status()).as("%s %s", this, answer.body()).isEqualTo(200);
      events.forEach(book::write);
      now = Instant.parse(answer.body().get("now").asString());
      return answer.body();
    }

    private Map<String, Object> event(String kind, Object of) {
      Instant at = last.plusSeconds(random.nextInt(90));
      last = at.isBefore(now) ? at : last;
      Map<String, Object> event = new HashMap<>();
      event.put("id", UUID.randomUUID().toString());
      event.put("at", last.truncatedTo(ChronoUnit.SECONDS).toString());
      event.put("kind", kind);
      event.put("codes", List.of());
      if (of != null) {
        event.put("of", of.toString());
      }
      return event;
    }

    /** What the bench asks for; of several, what comes after it. */
    private Map<String, Object> next(JsonNode stands, int ahead) {
      List<JsonNode> open = new ArrayList<>();
      for (JsonNode step : stands.get("state").get("steps")) {
        if (step.get("hands").asBoolean() && step.get("status").asString().equals("TO_DO")) {
          open.add(step);
        }
      }
      if (open.size() <= ahead) {
        return event("CHECKED", "READY");
      }
      JsonNode step = open.get(ahead);
      Map<String, Object> done = event("DONE", step.get("taskId").asString());
      if (step.has("targetG") && random.nextBoolean()) {
        double off = random.nextInt(5) == 0 ? 0.5 + random.nextDouble() : 1;
        done.put("value", Math.round(step.get("targetG").asDouble() * off * 10) / 10.0);
      }
      return done;
    }

    private <T> T any(List<T> of) {
      return of.get(random.nextInt(of.size()));
    }

    private Map<String, Object> anything(JsonNode stands) {
      List<String> cups = new ArrayList<>();
      List<String> pours = new ArrayList<>();
      for (JsonNode batch : plan.get("batches")) {
        for (JsonNode cup : batch.get("cups")) {
          cups.add(cup.get("id").asString());
          cup.get("pours").forEach(p -> pours.add(p.get("id").asString()));
        }
      }
      List<String> tasks =
          plan.get("tasks").valueStream().map(t -> t.get("id").asString()).toList();
      return switch (random.nextInt(14)) {
        case 0 -> event("UNDONE", book.lines() == 0 ? "none" : any(List.copyOf(book.ids())));
        case 1 -> event("THICK", any(cups));
        case 2 -> event("HOT", any(cups));
        case 3 -> event("CHECKED", "HOT/" + any(cups));
        case 4 -> event("AWAY", null);
        case 5 -> event("BACK", null);
        case 6 -> {
          Map<String, Object> room = event("ROOM", null);
          room.put("value", 14 + random.nextInt(20) + 0.0);
          yield room;
        }
        case 7 -> event("DONE", any(tasks));
        case 8 -> trouble("WRONG_COLOUR/" + any(pours) + "/" + any(cups), "STAYS");
        case 9 -> trouble("WRONG_COLOUR/" + any(pours) + "/" + any(cups), "TIPPED_OUT");
        case 10 -> trouble("SPILLED/" + any(cups), "GOES_ON");
        default -> next(stands, 0);
      };
    }

    private Map<String, Object> trouble(String of, String answer) {
      Map<String, Object> trouble = event("TROUBLE", of);
      trouble.put("codes", List.of(answer));
      if (random.nextBoolean()) {
        trouble.put("value", 1.0 + random.nextInt(20));
      }
      return trouble;
    }

    private void compare(JsonNode stands) {
      JsonNode state = stands.get("state");
      assertThat(stands.get("told").asInt()).as("%s lines", this).isEqualTo(book.lines());
      Map<String, JsonNode> steps = new HashMap<>();
      state.get("steps").forEach(s -> steps.put(s.get("taskId").asString(), s));
      Set<String> hands = new LinkedHashSet<>();
      plan.get("tasks")
          .valueStream()
          .filter(t -> t.get("hands").asBoolean())
          .forEach(t -> hands.add(t.get("id").asString()));
      Set<String> done = new LinkedHashSet<>(book.done());
      done.retainAll(hands);
      Set<String> shown = new LinkedHashSet<>();
      steps.forEach((id, step) -> {
        if (hands.contains(id) && step.get("status").asString().equals("DONE")) {
          shown.add(id);
        }
      });
      assertThat(shown).as("%s done", this).isEqualTo(done);
      book.weights()
          .forEach((step, grams) ->
              assertThat(steps.get(step).get("grams").asDouble())
                  .as("%s %s", this, step)
                  .isEqualTo(grams));
      JsonNode m = state.get("masses");
      assertThat(
              m.get("pouredG").asDouble()
                  + m.get("leftG").asDouble()
                  + m.get("staysG").asDouble()
                  + m.get("lostG").asDouble())
          .as("%s grams", this)
          .isCloseTo(m.get("resinG").asDouble() + m.get("colourG").asDouble(), within(1e-6));
      rightStep(state, steps, done);
      warnings(state, steps);
    }

    private void rightStep(JsonNode state, Map<String, JsonNode> steps, Set<String> done) {
      if (!state.has("currentId")) {
        return;
      }
      String current = state.get("currentId").asString();
      assertThat(done).as("%s next", this).doesNotContain(current);
      for (String before : book.before(book.task(current))) {
        assertThat(steps.get(before).get("status").asString())
            .as("%s: %s before %s", this, before, current)
            .isNotIn("TO_DO", "RUNNING");
      }
    }

    private void warnings(JsonNode state, Map<String, JsonNode> steps) {
      assertThat(state.has("awaySinceSeconds")).as("%s away", this).isEqualTo(book.away());
      Set<String> checked = new LinkedHashSet<>();
      state.get("checked").forEach(c -> checked.add(c.asString()));
      Set<String> hot = book.cups("HOT");
      Set<String> thick = book.cups("THICK");
      for (JsonNode cup : state.get("cups")) {
        String id = cup.get("cupId").asString();
        if (hot.contains(id)) {
          assertThat(cup.get("hot").asBoolean()).as("%s hot %s", this, id).isTrue();
        }
        if (thick.contains(id)) {
          assertThat(cup.get("state").asString()).as("%s %s", this, id).isNotEqualTo("POURABLE");
        }
        assertThat(checked.contains("HOT/" + id))
            .as("%s answered %s", this, id)
            .isEqualTo(book.answered("HOT/" + id, "HOT", id));
      }
      steps.forEach((id, step) -> {
        boolean pours = step.get("kind").asString().equals("POUR");
        String cup = step.has("cupId") ? step.get("cupId").asString() : "";
        boolean isOpen = state.get("cups").toString().contains("\"" + cup + "\"");
        if (pours && isOpen && (hot.contains(cup) || thick.contains(cup))) {
          assertThat(step.get("status").asString()).as("%s %s", this, id).isNotEqualTo("TO_DO");
        }
      });
    }

    @Override
    public String toString() {
      return "evening " + seed;
    }
  }
}
