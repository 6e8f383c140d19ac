package org.halfdusk.web.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** The browser of the tests: Debian's own, nothing is fetched. */
final class Chromium {
    private static final List<String> FLAGS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    /** Started once for all classes of tests that one machine runs; contexts part them from one another. */
    private static final class Started {
        static final Browser BROWSER = start();
    }

    private Chromium() {}

    /** The browser; whoever asks opens contexts of their own and closes them. */
    static Browser browser() {
        return Started.BROWSER;
    }

    private static Browser start() {
        Playwright driver = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        Runtime.getRuntime().addShutdownHook(new Thread(driver::close));
        return driver.chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(FLAGS));
    }
}
