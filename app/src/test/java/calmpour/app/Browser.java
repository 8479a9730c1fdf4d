package calmpour.app;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.Request;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.ReducedMotion;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;

/** Headless Chromium, watched: what leaves the machine or fails in a page is remembered. */
final class Browser implements AutoCloseable {
  /** A plan of seconds takes longer where two servers and two browsers share two busy cores. */
  private static final double PATIENT_MS = 30_000;

  /**
   * The address bar's own pages, which stand hidden behind every window and cost a third of what
   * opening one of ours costs; then what the driver turns off by itself, as the last list counts.
   */
  private static final List<String> TURNED_OFF =
      List.of(
          "WebUIOmniboxPopup",
          "WebUIOmniboxAimPopup",
          "WebUIOmniboxFullPopup",
          "OmniboxAimPopup",
          "AimEnabled",
          "AvoidUnnecessaryBeforeUnloadCheckSync",
          "BoundaryEventDispatchTracksNodeRemoval",
          "DestroyProfileOnBrowserClose",
          "DialMediaRouteProvider",
          "GlobalMediaControls",
          "HttpsUpgrades",
          "LensOverlay",
          "MediaRouter",
          "OptimizationHints",
          "PaintHolding",
          "ThirdPartyStoragePartitioning",
          "Translate");

  private static @Nullable Browser shared;

  private final Playwright playwright;
  private final com.microsoft.playwright.Browser browser;
  private final List<String> complaints = new ArrayList<>();
  private final List<BrowserContext> contexts = new ArrayList<>();
  private final Map<Page, Set<Request>> asked = new HashMap<>();

  private static final int LOOK_MS = 60;
  private static final int CALM_LOOKS = 4;
  private static final int MOST_LOOKS = 600;

  /** One for all tests of a JVM; it ends with it. */
  static synchronized Browser shared() {
    if (shared == null) {
      shared = new Browser();
    }
    return shared;
  }

  Browser() {
    // What is asserted is that it comes; how soon is measured elsewhere, on a machine that rests.
    PlaywrightAssertions.setDefaultAssertionTimeout(PATIENT_MS);
    playwright =
        Playwright.create(
            new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    browser =
        playwright
            .chromium()
            .launch(
                new BrowserType.LaunchOptions()
                    .setExecutablePath(
                        Path.of(System.getenv().getOrDefault("CHROMIUM", "/usr/bin/chromium")))
                    .setArgs(
                        List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--disable-features=" + String.join(",", TURNED_OFF))));
  }

  /** A fresh page with nothing remembered, of this size in px. */
  Page page(int width, int height) {
    BrowserContext context =
        browser.newContext(
            new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setTimezoneId("Europe/London")
                // Nothing waits for a fade; what moves is painted without a graphics card here.
                .setReducedMotion(ReducedMotion.REDUCE)
                .setLocale("en-GB"));
    contexts.add(context);
    Page page = context.newPage();
    page.setDefaultTimeout(10_000);
    page.onRequest(request -> {
      URI to = URI.create(request.url().startsWith("data:") ? "data:" : request.url());
      if (to.getHost() != null && !to.getHost().equals("127.0.0.1")) {
        complaints.add("left the machine: " + request.url());
      }
    });
    Set<Request> underWay = ConcurrentHashMap.newKeySet();
    asked.put(page, underWay);
    page.onRequest(underWay::add);
    page.onRequestFinished(underWay::remove);
    page.onRequestFailed(underWay::remove);
    // Nobody is told what became of what the page before had asked for.
    page.onFrameNavigated(frame -> underWay.clear());
    page.onPageError(error -> complaints.add("page error: " + error));
    page.onResponse(response -> {
      if (response.status() >= 500) {
        complaints.add(response.status() + " from " + response.url());
      }
    });
    return page;
  }

  /** Requests to other machines, failures of scripts, failures of the server. */
  List<String> complaints() {
    return complaints;
  }

  /** Waits until a page has had its answers for a moment; a stream of events does not count. */
  void quiet(Page page) {
    int calm = 0;
    for (int i = 0; i < MOST_LOOKS && calm < CALM_LOOKS; i++) {
      page.waitForTimeout(LOOK_MS);
      boolean waits =
          asked.get(page).stream().anyMatch(r -> !"eventsource".equals(r.resourceType()));
      calm = waits ? 0 : calm + 1;
    }
  }

  /** Closes every page: what is still open goes on asking the server. */
  List<String> done() {
    contexts.forEach(BrowserContext::close);
    contexts.clear();
    asked.clear();
    List<String> all = List.copyOf(complaints);
    complaints.clear();
    return all;
  }

  @Override
  public void close() {
    browser.close();
    playwright.close();
  }
}
