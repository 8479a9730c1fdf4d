package calmpour.app;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Times between the frames that a browser showed while something was done, ms. */
record Frames(List<Double> gaps) {
  private static final int STEPS = 120;

  double at(double share) {
    List<Double> sorted = new ArrayList<>(gaps);
    Collections.sort(sorted);
    return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
  }

  String row(String what) {
    return String.format(
        "| %s | %d | %.1f ms | %.1f ms | %.1f ms |", what, gaps.size(), at(0.5), at(0.95), at(1));
  }

  static void scroll(Page page) {
    page.mouse().move(640, 500);
    for (int i = 0; i < STEPS; i++) {
      page.mouse().wheel(0, i < STEPS / 2 ? 400 : -400);
      page.waitForTimeout(16);
    }
  }

  @SuppressWarnings("unchecked") // the browser answers with a list of numbers
  static Frames watched(Page page, Runnable what) {
    page.evaluate(
        """
        () => {
          window.gaps = []; window.watching = true; let before = performance.now();
          const frame = now => {
            window.gaps.push(now - before); before = now;
            if (window.watching) requestAnimationFrame(frame);
          };
          requestAnimationFrame(frame);
        }
        """);
    what.run();
    List<Object> gaps =
        (List<Object>) page.evaluate("() => { window.watching = false; return window.gaps; }");
    return new Frames(gaps.stream().map(g -> ((Number) g).doubleValue()).toList());
  }
}
