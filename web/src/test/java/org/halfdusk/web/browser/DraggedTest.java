package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.SelectOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.Shoots;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is dragged, drawn and read with the pointer and the arrows. */
class DraggedTest extends BrowserTest {
    @Test
    void theMapIsDraggedZoomedAndGivesANewPlacesPosition() {
        go("/map?place=1");
        var box = page.locator("[data-map]").boundingBox();
        String before = page.locator("[data-map]").getAttribute("data-lon");
        page.mouse().move(box.x + 300, box.y + 100);
        page.mouse().down();
        page.mouse().move(box.x + 200, box.y + 100);
        page.mouse().up();
        assertThat(page.locator("[data-map]")).not().hasAttribute("data-lon", before);
        page.locator("[data-map]").press("+");
        assertThat(page.locator("[data-map]")).hasAttribute("data-zoom", "15");
        page.mouse().click(box.x + 250, box.y + 60);
        page.locator("[data-map-new]").click();
        assertThat(page.locator("#latitude")).hasValue(Pattern.compile("35\\.9\\d+"));
        assertThat(page.locator("#longitude")).hasValue(Pattern.compile("-3\\.0\\d+"));
    }

    @Test
    void aSkylineIsDrawnAndSaved() {
        go("/places/4");
        var strip = page.locator("[data-skyline]");
        strip.scrollIntoViewIfNeeded();
        var box = strip.boundingBox();
        // South-east to south, at about 12° of the strip's 40.
        double y = box.y + (35 - 12) / 40.0 * 120 * box.width / 720;
        page.mouse().move(box.x + box.width * 135 / 360, y);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 180 / 360, y);
        page.mouse().up();
        button("Save").click();
        assertThat(page.locator("h1")).hasText("Places");
        double south = app.bean(org.halfdusk.shoot.kept.Places.class)
                .find(4)
                .orElseThrow()
                .it()
                .skyline()
                .at(160);
        assertEquals(12, south, 0.6);
    }

    private Locator frame() {
        return page.locator("canvas[data-drawn]");
    }

    private static final String LIT = """
            c => {
              const copy = new OffscreenCanvas(c.width, c.height).getContext('2d', { willReadFrequently: true });
              copy.drawImage(c, 0, 0);
              return copy.getImageData(0, 0, c.width, c.height).data.filter((v, i) => i % 4 < 3 && v > 60).length;
            }""";

    /** While its sky is on the way the picture says so: black alone would look like a night without stars. */
    @Test
    void aSkyThatIsLongOnItsWayIsWaitedForInWords() {
        List<Route> held = new ArrayList<>();
        page.route(Pattern.compile("/sky\\?v="), held::add);
        go("/shoots/1/frame");
        page.waitForCondition(
                () -> ((Number) page.locator("#frame-canvas").evaluate(LIT)).intValue() > 100,
                new Page.WaitForConditionOptions().setTimeout(10_000));
        assertThat(frame()).hasCount(0);
        held.forEach(Route::resume);
        assertThat(frame()).isVisible();
    }

    @Test
    void aSkyThatDoesNotComeIsToldAndTheFiguresStay() {
        page.route(Pattern.compile("/sky\\?v="), r -> r.fulfill(new Route.FulfillOptions().setStatus(503)));
        expected = "503";
        go("/shoots/1/frame");
        assertThat(page.locator("[data-frame-note]"))
                .hasText(
                        "The picture cannot be drawn: the sky of this night could not be computed. The figures beside it hold.");
        assertEquals(
                0, ((Number) page.locator("#frame-canvas").evaluate(LIT)).intValue(), "no words of waiting are left");
        assertThat(page.locator("aside")).containsText("Core 25.1° up");
    }

    /** The same table as the core's, at 5.12 µm: 0.1 px is half a thousandth of a millimetre. */
    @Test
    @SuppressWarnings("unchecked")
    void theScriptProjectsAsTheCoreDoes() throws IOException {
        go("/shoots/1/frame");
        Path table = Path.of("../core/src/test/resources/org/halfdusk/optics/framing/projection.csv");
        List<String> lines = Files.readAllLines(table).stream()
                .filter(l -> !l.startsWith("#"))
                .toList();
        assertTrue(lines.size() >= 50);
        for (String line : lines) {
            String[] c = line.split(",");
            Map<String, Object> p = (Map<String, Object>) page.evaluate(
                    "([a, h, f, lens, x, y]) => halfDusk.project(halfDusk.eyeOf(+a, +h, +f, lens === 'EQUISOLID'), +x, +y)",
                    List.of(c[0], c[1], c[2], c[3], c[4], c[5]));
            assertEquals(Double.parseDouble(c[6]), ((Number) p.get("x")).doubleValue(), 0.0005, line);
            assertEquals(Double.parseDouble(c[7]), ((Number) p.get("y")).doubleValue(), 0.0005, line);
        }
    }

    @Test
    void theSkyIsDraggedTurnedAndSaved() {
        go(own(1) + "/frame");
        assertThat(frame()).isVisible();
        assertThat(page.locator("#azimuth")).hasValue("180.0");
        var box = frame().boundingBox();
        page.mouse().move(box.x + 400, box.y + 200);
        page.mouse().down();
        page.mouse().move(box.x + 300, box.y + 230, new Mouse.MoveOptions().setSteps(5));
        saving(() -> page.mouse().up());
        assertThat(button("As the subject asks")).isVisible();
        double azimuth = Double.parseDouble(page.locator("#azimuth").inputValue());
        assertTrue(azimuth > 195 && azimuth < 240, "dragged to the left, the aim moves right: " + azimuth);
        saving(() -> page.keyboard().press("r"));
        assertThat(page.locator("#roll")).hasValue("0.0");
        assertThat(caption()).containsText("18 mm level");
        Download still = page.waitForDownload(() -> button("Save as PNG").click());
        assertTrue(still.suggestedFilename().endsWith(".png"));
        button("Undo").click();
        assertThat(caption()).containsText("18 mm upright");
        button("Undo").click();
        assertThat(page.locator("#azimuth")).hasValue("180.0");
    }

    @Test
    void aBlockIsDraggedAlongTheNightAndMadeLonger() {
        go(own(1) + "/sequence");
        assertThat(page.locator("#start-0")).hasCount(1);
        String before = page.locator("#start-0").inputValue();
        var bar = page.locator("[data-block='0'] rect").boundingBox();
        page.mouse().move(bar.x + 4, bar.y + 10);
        page.mouse().down();
        page.mouse().move(bar.x - 80, bar.y + 10, new Mouse.MoveOptions().setSteps(4));
        saving(() -> page.mouse().up());
        assertThat(page.getByText("laid by hand", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        assertThat(page.locator("#start-0")).not().hasValue(before);
        var moved = page.locator("[data-block='0'] rect").boundingBox();
        page.mouse().move(moved.x + moved.width - 3, moved.y + 10);
        page.mouse().down();
        page.mouse().move(moved.x + moved.width + 60, moved.y + 10, new Mouse.MoveOptions().setSteps(4));
        saving(() -> page.mouse().up());
        assertThat(page.locator("#amount-0")).not().hasValue("16");
        saving(() -> button("Undo").click());
        assertThat(page.locator("#amount-0")).hasValue("16");
        saving(() -> button("Undo").click());
        assertThat(page.locator("#start-0")).hasValue(before);
    }

    /** A hand that drags, drags again and presses Undo twice without waiting for any answer: each waits for the one before. */
    @Test
    void changesWaitForEachOther() {
        String shoot = own(1);
        go(shoot + "/expose");
        String before = caption().innerText();
        page.evaluate("() => {"
                + " const set = (id, v) => { const e = document.getElementById(id); e.value = v;"
                + "   e.dispatchEvent(new Event('change', { bubbles: true })); };"
                + " set('APERTURE', '4'); set('ISO', '800'); set('APERTURE', '5.6'); }");
        assertThat(caption())
                .containsText(
                        "f/5.6",
                        new com.microsoft.playwright.assertions.LocatorAssertions.ContainsTextOptions()
                                .setTimeout(20_000));
        assertThat(caption()).containsText("ISO 800");
        assertThat(page.locator(".notice.bad")).hasCount(0);
        assertEquals(
                3,
                app.bean(Shoots.class).undoable(Long.parseLong(shoot.substring("/shoots/".length()))),
                "three changes, three to take back");
        for (int i = 0; i < 3; i++) {
            saving(() -> button("Undo").click());
        }
        assertThat(caption()).containsText("f/2");
        assertEquals(before, caption().innerText());
    }

    @Test
    void arrowsMoveTheTimeAndTheAddressFollows() {
        go("/shoots/1/night?at=02:30");
        assertThat(page.locator("[data-head-text]")).hasText("02:30");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("Shift+ArrowLeft");
        assertThat(page.locator("[data-head-text]")).hasText("02:39");
        assertThat(page.locator("aside h2").first()).hasText("At 02:39");
        assertThat(page).hasURL(Pattern.compile(".*at=2027-06-05T00:39.*"));
    }

    /** On a phone, at both ends of the night, in Field's larger type too; and what was dragged stands where the page then draws it. */
    @ParameterizedTest
    @ValueSource(strings = {"desk", "field"})
    void theTimeStaysInSightAtTheStripsEnds(String theme) {
        context.addCookies(List.of(new Cookie("theme", theme).setUrl(app.url("/"))));
        page.setViewportSize(390, 844);
        go("/shoots/1/night?at=02:30");
        for (double end : new double[] {0, 1}) {
            var strip = page.locator("[data-strip]").boundingBox();
            page.mouse().move(strip.x + strip.width / 2, strip.y + 40);
            page.mouse().down();
            page.mouse().move(strip.x + strip.width * end, strip.y + 40);
            var time = page.locator("[data-head-box]").boundingBox();
            assertTrue(time.x >= 0 && time.x + time.width <= 390, "from " + time.x + ", " + time.width + " wide");
            var word = page.locator("[data-head-text]").boundingBox();
            assertEquals(time.x + time.width / 2, word.x + word.width / 2, 1, "the words in the middle of their box");
            assertTrue(word.width <= time.width, word.width + " in " + time.width);
            String before = page.locator("aside h2").first().innerText();
            page.mouse().up();
            assertThat(page.locator("aside h2").first()).not().hasText(before);
            var drawn = page.locator("[data-head-box]").boundingBox();
            assertEquals(drawn.x, time.x, 0.5);
        }
    }

    @Test
    void draggingTheStripMovesThePage() {
        go("/shoots/1/night?at=02:30");
        var box = page.locator("[data-strip]").boundingBox();
        page.mouse().move(box.x + box.width * 0.58, box.y + 40);
        page.mouse().down();
        page.mouse().move(box.x + box.width * 0.75, box.y + 40);
        page.mouse().up();
        assertThat(page.locator("aside h2").first()).hasText(Pattern.compile("At 05:\\d\\d"));
    }

    @Test
    void theCarpetIsReadByPointerAndKeysAndOpensANight() {
        go("/nights");
        Locator carpet = page.locator("[data-carpet]");
        Locator panel = page.locator("[data-carpet-panel]");
        carpet.hover(new Locator.HoverOptions().setPosition(2, 100));
        assertThat(panel).containsText("Sat 1 May");
        carpet.focus();
        page.keyboard().press("ArrowRight");
        assertThat(panel).containsText("Sun 2 May");
        assertThat(carpet).hasAttribute("aria-valuetext", Pattern.compile("Sun 2 May, 21:0.*"));
        page.keyboard().press("n");
        assertThat(carpet).not().hasAttribute("aria-valuenow", "1");
        page.keyboard().press("Home");
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/nights/2027-05-01.*"));
        assertThat(page.locator("h1")).containsText("Milky Way, night of Sat 1 May 2027");
        page.locator("#place1").selectOption(new SelectOption().setLabel("Salt Pans, Vesper Isle"));
        assertThat(page.locator(".beside > section")).hasCount(2);
    }
}
