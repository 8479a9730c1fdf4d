package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A benchmark, not a test of speed: frames that the browser shows while the shelf of moulds is
 * scrolled and searched, with twenty moulds (the reference) and with two thousand, in one run. Run
 * by {@code bench/shelf-frames}.
 */
class ShelfFrames {
  private static final int STEPS = 120;

  @TempDir Path data;

  /** Times between frames, ms. */
  private record Frames(List<Double> gaps) {
    double at(double share) {
      List<Double> sorted = new ArrayList<>(gaps);
      Collections.sort(sorted);
      return sorted.get((int) Math.min(sorted.size() - 1, share * sorted.size()));
    }

    String row(String what) {
      return String.format(
          "| %s | %d | %.1f ms | %.1f ms | %.1f ms |", what, gaps.size(), at(0.5), at(0.95), at(1));
    }
  }

  @Test
  void framesWhileScrollingAndSearching() {
    System.out.println("| what | frames | median | 95 % | longest |\n|---|---|---|---|---|");
    for (int moulds : new int[] {20, 2_000}) {
      try (RunningApp app = RunningApp.empty(data.resolve("of-" + moulds));
          Browser browser = new Browser()) {
        for (int i = 0; i < moulds; i++) {
          String name = (i % 3 == 0 ? "Knob " : i % 3 == 1 ? "Bar pull " : "Row label ") + i;
          app.put("/api/moulds/m" + i, RunningApp.mould("m" + i, name, 3 + i % 17));
        }
        Page page = browser.page(1280, 800);
        page.navigate(app.url("/moulds"));
        page.getByLabel("Find").waitFor();
        page.waitForTimeout(1_000);
        Frames scrolled = watched(page, () -> scroll(page));
        System.out.println(scrolled.row(moulds + " moulds, scrolling"));
        Frames searched =
            watched(
                page,
                () -> {
                  for (String key : List.of("k", "n", "o", "b", "Space", "7")) {
                    page.getByLabel("Find").press(key);
                    page.waitForTimeout(120);
                  }
                });
        System.out.println(searched.row(moulds + " moulds, searching"));
        assertThat(browser.complaints()).isEmpty();
      }
    }
  }

  private static void scroll(Page page) {
    page.mouse().move(640, 500);
    for (int i = 0; i < STEPS; i++) {
      page.mouse().wheel(0, i < STEPS / 2 ? 400 : -400);
      page.waitForTimeout(16);
    }
  }

  @SuppressWarnings("unchecked") // the browser answers with a list of numbers
  private static Frames watched(Page page, Runnable what) {
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
