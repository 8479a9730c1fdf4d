package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The server with the demo's data as a process of its own. */
final class ServerProcess implements AutoCloseable {
  private static final JsonMapper JSON = JsonMapper.shared();
  private static final int STARTS_WITHIN_SECONDS = 90;

  private final HttpClient http =
      HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
  private final int port;
  private final Process process;

  private ServerProcess(int port, Process process) {
    this.port = port;
    this.process = process;
  }

  /** Waits until it answers. */
  static ServerProcess start(Path data) throws IOException, InterruptedException {
    int port = freePort();
    Process process =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "calmpour.app.App",
                "--server.port=" + port,
                "--calmpour.data=" + data.resolve("workshop"),
                "--calmpour.demo=true",
                "--calmpour.history=false")
            .redirectErrorStream(true)
            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
            .start();
    ServerProcess server = new ServerProcess(port, process);
    for (int i = 0; i < STARTS_WITHIN_SECONDS * 5; i++) {
      try {
        // The workshop of the demo is laid out once the port is open.
        if (!server.get("/api/sessions").isEmpty()) {
          return server;
        }
      } catch (IOException notYet) {
        assertThat(process.isAlive()).as("the server starts").isTrue();
      }
      Thread.sleep(200);
    }
    throw new AssertionError("the server did not start");
  }

  private static int freePort() throws IOException {
    try (ServerSocket any = new ServerSocket(0)) {
      return any.getLocalPort();
    }
  }

  String url(String path) {
    return "http://127.0.0.1:" + port + path;
  }

  boolean isAlive() {
    return process.isAlive();
  }

  long pid() {
    return process.pid();
  }

  /** SIGKILL on Linux: nothing of the server's own is run any more. */
  void kill() {
    process.destroyForcibly();
  }

  @Override
  public void close() {
    process.destroyForcibly().onExit().join();
  }

  JsonNode get(String path) throws IOException, InterruptedException {
    return answer(HttpRequest.newBuilder(URI.create(url(path))).build());
  }

  JsonNode post(String path, Object body) throws IOException, InterruptedException {
    return answer("POST", path, body);
  }

  JsonNode put(String path, Object body) throws IOException, InterruptedException {
    return answer("PUT", path, body);
  }

  private JsonNode answer(String method, String path, Object body)
      throws IOException, InterruptedException {
    return answer(
        HttpRequest.newBuilder(URI.create(url(path)))
            .header("Content-Type", "application/json")
            .method(method, HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body)))
            .build());
  }

  private JsonNode answer(HttpRequest request) throws IOException, InterruptedException {
    HttpResponse<String> response = http.send(request, HttpResponse.BodyHandlers.ofString());
    assertThat(response.statusCode()).as(response.body()).isBetween(200, 299);
    return response.body().isEmpty() ? JSON.nullNode() : JSON.readTree(response.body());
  }
}
