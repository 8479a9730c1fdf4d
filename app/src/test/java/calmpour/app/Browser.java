package calmpour.app;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.net.URI;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Headless Chromium, watched: what leaves the machine or fails in a page is remembered. */
final class Browser implements AutoCloseable {
  private final Playwright playwright;
  private final com.microsoft.playwright.Browser browser;
  private final List<String> complaints = new ArrayList<>();

  Browser() {
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
                            "--disable-sync")));
  }

  /** A fresh page with nothing remembered, of this size in px. */
  Page page(int width, int height) {
    BrowserContext context =
        browser.newContext(
            new com.microsoft.playwright.Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setTimezoneId("Europe/London")
                .setLocale("en-GB"));
    Page page = context.newPage();
    page.setDefaultTimeout(10_000);
    page.onRequest(request -> {
      URI to = URI.create(request.url().startsWith("data:") ? "data:" : request.url());
      if (to.getHost() != null && !to.getHost().equals("127.0.0.1")) {
        complaints.add("left the machine: " + request.url());
      }
    });
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

  @Override
  public void close() {
    browser.close();
    playwright.close();
  }
}
