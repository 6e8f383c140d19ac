package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.App;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What hands and a phone's sensors do with the map and the Frame's sky. */
@Tag("slow")
class MapAndCompassTest {
    @TempDir
    static Path data;

    private static Browser browser;
    private static App app;

    private BrowserContext context;
    private Page page;
    private final List<String> console = new CopyOnWriteArrayList<>();

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
        context = browser.newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.setDefaultTimeout(20_000);
        page = context.newPage();
        page.onConsoleMessage(m -> {
            if (!m.type().equals("info")) {
                console.add(m.type() + ": " + m.text());
            }
        });
        page.onPageError(console::add);
    }

    @AfterEach
    void quiet() {
        context.close();
        assertEquals(List.of(), console, "the console stays empty");
    }

    private String zoom() {
        return String.valueOf(page.locator("[data-map]").getAttribute("data-zoom"));
    }

    /** Two fingers that come apart to twice their distance: one step closer. */
    @Test
    void twoFingersZoomTheMap() {
        page.navigate(app.url("/map?place=1&night=2027-06-05&hour=3:00&zoom=10"));
        assertEquals("10", zoom());
        page.evaluate("""
                () => {
                  const el = document.querySelector("[data-map]"), box = el.getBoundingClientRect();
                  const send = (type, id, dx) => el.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: id, button: 0,
                    pointerType: "touch", clientX: box.left + 300 + dx, clientY: box.top + 120 }));
                  send("pointerdown", 1, -40); send("pointerdown", 2, 40);
                  send("pointermove", 1, -80); send("pointermove", 2, 80);
                  send("pointerup", 1, -80); send("pointerup", 2, 80);
                }""");
        assertThat(page.locator("[data-map]")).hasAttribute("data-zoom", "11");
        page.locator("[data-map]").focus();
        page.keyboard().press("-");
        assertThat(page.locator("[data-map]")).hasAttribute("data-zoom", "10");
    }

    /** The strip's hour is dragged, the sky on the map follows, and where the map was moved to it stays. */
    @Test
    void theHourIsDraggedAndTheSkyFollows() {
        page.navigate(app.url("/map?place=1&night=2027-06-05&hour=3:00&zoom=9&lat=36.1&lon=-3.2"));
        assertThat(page.locator("h1")).containsText("At 03:00 the core stands 25° up in the south");
        BoundingBox strip = page.locator("[data-strip]").boundingBox();
        page.mouse().move(strip.x + 5, strip.y + 40);
        page.mouse().down();
        page.mouse().move(strip.x + strip.width * 0.45, strip.y + 40);
        page.mouse().up();
        assertThat(page.locator("h1")).not().containsText("At 03:00");
        assertTrue(page.url().contains("zoom=9") && page.url().contains("at=2027-06-0"), page.url());
        assertThat(page.locator("[data-map]")).hasAttribute("data-lat", Pattern.compile("36\\.1.*"));
    }

    @Test
    void aClickBeginsAPlan() {
        page.navigate(app.url("/map?lat=36.95&lon=-3.35&zoom=11"));
        BoundingBox map = page.locator("[data-map]").boundingBox();
        page.mouse().click(map.x + map.width * 0.6, map.y + map.height * 0.3);
        page.locator("[data-map-plan]").click();
        assertThat(page).hasURL(Pattern.compile(".*/first\\?where=3[67].*"));
        assertThat(page.locator("main")).containsText(Pattern.compile("3[67]\\.\\d{3}° N"));
    }

    private void phone(double alpha, double beta, double gamma) {
        page.evaluate(
                "([alpha, beta, gamma]) => { for (let i = 0; i < 40; i++) window.dispatchEvent(new DeviceOrientationEvent("
                        + "'deviceorientationabsolute', { alpha, beta, gamma, absolute: true })); }",
                List.of(alpha, beta, gamma));
    }

    /** Upright in the hand a phone looks at the horizon; leant back by 20° it looks 20° up. Turned to the left alpha grows. */
    @Test
    void theSkyTurnsAsThePhoneTurns() {
        long own = app.bean(Shoots.class).duplicate(1).orElseThrow();
        page.navigate(app.url("/shoots/" + own + "/frame"));
        assertThat(page.locator("canvas[data-drawn]")).isVisible();
        double declination =
                Double.parseDouble(page.locator("canvas[data-frame]").getAttribute("data-declination"));
        assertNotEquals(0, declination);
        String planned = page.locator("[name=azimuth]").first().inputValue();
        page.locator("[data-frame-hold]").click();
        Locator said = page.locator("[data-frame-held-text]");
        assertThat(said).containsText("Waiting");
        phone(0, 90, 0);
        assertThat(said).containsText("Azimuth " + Math.round((declination + 360) % 360) + "°, 0° up");
        phone(90, 110, 0);
        assertThat(said).containsText("Azimuth " + Math.round(270 + declination) + "°, 20° up");
        phone(180, 120, 0);
        assertThat(said).containsText("Azimuth " + Math.round(180 + declination) + "°, 30° up");
        // Set right by a drag to the left: what stands to the right of the middle comes into it.
        BoundingBox sky = page.locator("canvas[data-frame]").boundingBox();
        page.mouse().move(sky.x + 400, sky.y + 200);
        page.mouse().down();
        page.mouse().move(sky.x + 330, sky.y + 200);
        page.mouse().up();
        assertThat(said).containsText("set right by");
        assertEquals(planned, page.locator("[name=azimuth]").first().inputValue(), "nothing is changed yet");
        page.locator("[data-frame-let]").click();
        assertThat(page.locator("[data-frame-held]")).isHidden();
        page.locator("[data-frame-hold]").click();
        assertThat(said).containsText("Waiting");
        phone(200, 115, 0);
        assertThat(said).containsText("25° up");
        page.waitForResponse(
                r -> r.request().method().equals("POST"),
                () -> page.locator("[data-frame-take]").click());
        page.reload();
        assertThat(page.locator("[name=altitude]").first()).hasValue("25.0");
    }

    @Test
    void withoutACompassItIsSaid() {
        page.navigate(app.url("/shoots/1/frame"));
        assertThat(page.locator("canvas[data-drawn]")).isVisible();
        page.locator("[data-frame-hold]").click();
        assertThat(page.locator("[data-frame-held-text]")).containsText("No compass answers");
        assertThat(page.locator("[data-frame-held]")).containsText("off by 5° to 15°");
    }
}
