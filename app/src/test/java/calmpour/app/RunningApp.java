package calmpour.app;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The real application on a free port, with its data in a folder of the test's own. */
final class RunningApp implements AutoCloseable {
  static final JsonMapper JSON = JsonMapper.shared();

  private final ServletWebServerApplicationContext context;
  private final HttpClient http = HttpClient.newHttpClient();

  private RunningApp(ServletWebServerApplicationContext context) {
    this.context = context;
  }

  static RunningApp demo(Path data) {
    return start(data, true);
  }

  private static @Nullable RunningApp shared;

  /**
   * One demo workshop for all tests of a JVM that leave others their sessions and materials; it
   * ends with the JVM.
   */
  static synchronized RunningApp sharedDemo() {
    if (shared == null) {
      try {
        Path folder = Files.createTempDirectory("calm-pour-tests");
        shared = demo(folder);
        Runtime.getRuntime()
            .addShutdownHook(new Thread(() -> FileSystemUtils.deleteRecursively(folder.toFile())));
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      }
    }
    return shared;
  }

  static RunningApp empty(Path data) {
    return start(data, false);
  }

  private static RunningApp start(Path data, boolean demo) {
    return new RunningApp(
        (ServletWebServerApplicationContext)
            SpringApplication.run(
                App.class,
                "--server.port=0",
                "--calmpour.data=" + data.resolve("workshop"),
                "--calmpour.demo=" + demo,
                "--calmpour.history=false"));
  }

  /** A part of the server, for what nobody can ask for from outside. */
  <T> T bean(Class<T> type) {
    return context.getBean(type);
  }

  String url(String path) {
    return "http://127.0.0.1:" + context.getWebServer().getPort() + path;
  }

  /** A status and a body that is JSON, or missing. */
  record Answer(int status, JsonNode body) {
    JsonNode error(int index) {
      return body.get("errors").get(index);
    }
  }

  Answer get(String path) {
    return send(HttpRequest.newBuilder(URI.create(url(path))).build());
  }

  /** What is no JSON. */
  String text(String path) {
    try {
      return http.send(
              HttpRequest.newBuilder(URI.create(url(path))).build(),
              HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8))
          .body();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  Answer delete(String path) {
    return send(HttpRequest.newBuilder(URI.create(url(path))).DELETE().build());
  }

  /** Begins a session; tests share their moulds, and say that these are empty. */
  Answer begin(Object session) {
    return post("/api/runs", Map.of("session", session, "mouldsEmpty", true));
  }

  /** Tells one thing of an evening as it happens: a day to come is taken for now. */
  Answer tell(
      String run, String kind, @Nullable String of, @Nullable Double value, String... codes) {
    Map<String, Object> event = new HashMap<>();
    event.put("id", UUID.randomUUID().toString());
    event.put("at", "2099-01-01T00:00:00Z");
    event.put("kind", kind);
    event.put("codes", List.of(codes));
    if (of != null) {
      event.put("of", of);
    }
    if (value != null) {
      event.put("value", value);
    }
    return post("/api/runs/" + run + "/events", Map.of("events", List.of(event)));
  }

  Answer post(String path, Object body) {
    return post(path, JSON.writeValueAsString(body));
  }

  Answer post(String path, String text) {
    return send(withBody("POST", path, text));
  }

  Answer put(String path, Object body) {
    return send(withBody("PUT", path, JSON.writeValueAsString(body)));
  }

  /** Sends bytes as they are. */
  Answer bytes(String method, String path, String type, byte[] body) {
    return send(
        HttpRequest.newBuilder(URI.create(url(path)))
            .header("Content-Type", type)
            .method(method, HttpRequest.BodyPublishers.ofByteArray(body))
            .build());
  }

  /** Sends a stream of unknown length. */
  Answer stream(String path, String type, java.io.InputStream body) {
    return send(
        HttpRequest.newBuilder(URI.create(url(path)))
            .header("Content-Type", type)
            .POST(HttpRequest.BodyPublishers.ofInputStream(() -> body))
            .build());
  }

  /** What is answered, byte for byte. */
  byte[] download(String path) {
    try {
      HttpRequest request = HttpRequest.newBuilder(URI.create(url(path))).build();
      return http.send(request, HttpResponse.BodyHandlers.ofByteArray()).body();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private HttpRequest withBody(String method, String path, String text) {
    return HttpRequest.newBuilder(URI.create(url(path)))
        .header("Content-Type", "application/json")
        .method(method, HttpRequest.BodyPublishers.ofString(text))
        .build();
  }

  private Answer send(HttpRequest request) {
    try {
      HttpResponse<String> response =
          http.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
      String text = response.body();
      return new Answer(
          response.statusCode(), text.isBlank() ? JSON.nullNode() : JSON.readTree(text));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /**
   * A document that ships with the demo; a session on a day of its own, so that no two tests want
   * the same hands.
   */
  static tools.jackson.databind.node.ObjectNode demoDocument(String name) {
    var document =
        (tools.jackson.databind.node.ObjectNode)
            JSON.readTree(RunningApp.class.getResourceAsStream("/demo/" + name + ".json"));
    if (document.has("startsAt")) {
      LocalTime time = LocalDateTime.parse(document.get("startsAt").asString()).toLocalTime();
      LocalDate day = LocalDate.of(2030, 1, 5).plusWeeks(SESSIONS.incrementAndGet());
      document.put("startsAt", LocalDateTime.of(day, time) + ":00");
    }
    return document;
  }

  private static final AtomicInteger SESSIONS = new AtomicInteger();

  /** A mould of one cavity, of a volume that somebody told. */
  static JsonNode mould(String id, String name, double toldMl) {
    return JSON.readTree(
        """
        {"id":"%s","name":"%s","cavities":[{"id":"main","name":"%s","count":1,
         "measure":{"method":"TOLD","toldMl":%s}}]}
        """
            .formatted(id, name, name, toldMl));
  }

  @Override
  public void close() {
    context.close();
  }
}
