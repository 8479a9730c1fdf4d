package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/**
 * The server as a process of its own, killed at any moment of a run: nothing acknowledged is lost.
 */
class KilledTest {
  private static final int MOST_WAITS = 1_000;

  @TempDir Path data;

  @Test
  void twoKills() throws Exception {
    kills(2, 28);
  }

  /** What it last found is in docs/campaigns.md. */
  @Tag("long")
  @Test
  void fiftyKills() throws Exception {
    kills(50, 1_128);
  }

  private void kills(int count, long seed) throws Exception {
    Random random = new Random(seed);
    ServerProcess server = ServerProcess.start(data);
    try {
      JsonNode begun =
          server.post(
              "/api/runs", Map.of("session", RunningApp.demoDocument("sessions/pantry-knobs")));
      String run = begun.get("id").asString();
      List<String> tasks = new ArrayList<>();
      begun.get("plan").get("tasks").forEach(t -> tasks.add(t.get("id").asString()));
      Set<String> acknowledged = new LinkedHashSet<>();
      int next = 0;
      for (int kill = 0; kill < count; kill++) {
        // A server that has just started answers slowly: not before it has answered at all.
        long until = System.nanoTime() + (400 + random.nextInt(1_200)) * 1_000_000L;
        AtomicInteger answered = new AtomicInteger();
        Thread killer = killAt(server, until, answered, random.nextInt(200));
        // Tells on until the server is gone; the last telling may or may not have been kept.
        int told = 0;
        while (server.isAlive()) {
          String task = tasks.get(next % tasks.size());
          String id = UUID.randomUUID().toString();
          try {
            JsonNode stands =
                server.post(
                    "/api/runs/" + run + "/events",
                    Map.of(
                        "events",
                        List.of(
                            Map.of(
                                "id",
                                id,
                                "at",
                                "2026-01-01T00:00:00Z",
                                "kind",
                                next % 5 == 4 ? "CHECKED" : "DONE",
                                "of",
                                task))));
            acknowledged.add(id);
            answered.incrementAndGet();
            told = stands.get("told").asInt();
            next++;
          } catch (IOException gone) {
            break;
          }
        }
        killer.join();
        server.close();
        server = ServerProcess.start(data);
        JsonNode after = server.get("/api/runs/" + run + "/state");
        assertThat(after.get("told").asInt())
            .as("kill %d after %d tellings", kill + 1, told)
            .isBetween(acknowledged.size(), acknowledged.size() + kill + 1);
        // The same again from the disk is the same state.
        Set<String> done = doneTasks(after);
        for (int i = 0; i < next; i++) {
          if (i % 5 != 4) {
            assertThat(done).contains(tasks.get(i % tasks.size()));
          }
        }
      }
      // How many depends on how busy the machine is.
      assertThat(acknowledged).hasSizeGreaterThan(count);
    } finally {
      server.close();
    }
  }

  /** At some moment, and on however busy a machine not before two tellings were answered. */
  private static Thread killAt(
      ServerProcess server, long until, AtomicInteger answered, int laterMillis) {
    return Thread.ofPlatform()
        .start(() -> {
          try {
            Thread.sleep(Math.max(0, (until - System.nanoTime()) / 1_000_000));
            for (int i = 0; i < MOST_WAITS && answered.get() < 2; i++) {
              Thread.sleep(laterMillis + 5);
            }
          } catch (InterruptedException never) {
            throw new IllegalStateException(never);
          }
          // SIGKILL on Linux: nothing of the server's own is run any more.
          server.kill();
        });
  }

  private static Set<String> doneTasks(JsonNode stands) {
    Set<String> done = new LinkedHashSet<>();
    for (JsonNode step : stands.get("state").get("steps")) {
      if (step.get("status").asString().equals("DONE")) {
        done.add(step.get("taskId").asString());
      }
    }
    return done;
  }
}
