package calmpour.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A benchmark, not a test of speed: frames that the browser shows while the shelf of moulds is
 * scrolled and searched, with twenty moulds (the reference) and with two thousand, in one run. Run
 * by {@code bench/shelf-frames}.
 */
class ShelfFrames {
  @TempDir Path data;

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
        Frames scrolled = Frames.watched(page, () -> Frames.scroll(page));
        System.out.println(scrolled.row(moulds + " moulds, scrolling"));
        Frames searched =
            Frames.watched(
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
}
