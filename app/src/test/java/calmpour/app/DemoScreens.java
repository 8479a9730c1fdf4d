package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.AfterEach;

/** Screens of the demo workshop in a browser, both shared by all tests of a JVM. */
abstract class DemoScreens {
  static final RunningApp demo = RunningApp.sharedDemo();
  static final Browser browser = Browser.shared();

  @AfterEach
  void nothingLeftTheMachineAndNothingFailed() {
    assertThat(browser.done()).isEmpty();
  }
}
