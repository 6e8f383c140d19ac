package org.halfdusk.web.browser;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.App;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;

/** A page of the demo in a real browser, whose console stays empty. */
@Tag("slow")
abstract class BrowserTest {
    @TempDir
    static Path data;

    static Browser browser;
    static App app;

    BrowserContext context;
    Page page;
    final List<String> console = new CopyOnWriteArrayList<>();

    /** The status that a test provokes; its lines on the console can come after the test has seen the answer. */
    String expected = "";

    @BeforeAll
    static void start() {
        app = App.demo(data);
        browser = Chromium.browser();
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    @BeforeEach
    void open() {
        fresh(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    void fresh(Browser.NewContextOptions options) {
        if (context != null) {
            context.close();
        }
        context = browser.newContext(options);
        context.setDefaultTimeout(20_000);
        page = context.newPage();
        page.onConsoleMessage(m -> console.add(m.type() + ": " + m.text() + " " + m.location()));
        page.onPageError(console::add);
    }

    @AfterEach
    void quiet() {
        leave();
        if (!expected.isEmpty()) {
            console.removeIf(m -> m.contains("status of " + expected));
        }
        assertEquals(List.of(), console, "the console stays empty");
    }

    /** After each test, before its console is looked at. */
    void leave() {
        context.close();
    }

    void go(String path) {
        page.navigate(app.url(path));
    }

    /** A shoot of the demo for one test alone, where its pages begin. */
    static String own(long shoot) {
        return "/shoots/" + app.bean(Shoots.class).duplicate(shoot).orElseThrow();
    }

    /** Does something that saves, and waits until the page that answers it is there. */
    void saving(Runnable act) {
        page.waitForResponse(
                r -> r.request().method().equals("POST") || r.request().redirectedFrom() != null, act);
    }

    Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    Locator caption() {
        return page.locator("footer.caption");
    }

    /** Nothing lies to the right of the window. */
    void assertFits() {
        Object over = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertEquals(0, over, "pixels too wide");
    }
}
