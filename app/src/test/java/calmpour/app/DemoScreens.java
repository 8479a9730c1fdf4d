package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;

/** Screens of the demo workshop in a browser; each class has a server of its own. */
abstract class DemoScreens {
  @TempDir static Path data;
  static RunningApp demo;
  static Browser browser;

  @BeforeAll
  static void start() {
    demo = RunningApp.demo(data);
    browser = new Browser();
  }

  @AfterAll
  static void stop() {
    browser.close();
    demo.close();
  }

  @AfterEach
  void nothingLeftTheMachineAndNothingFailed() {
    assertThat(browser.complaints()).isEmpty();
  }
}
