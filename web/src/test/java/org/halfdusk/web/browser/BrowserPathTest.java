package org.halfdusk.web.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Mouse;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.SelectOption;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.App;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The main paths in a real browser. */
class BrowserPathTest {
    @TempDir
    static Path data;

    private static Playwright playwright;
    private static Browser browser;
    private static App app;

    private BrowserContext context;
    private Page page;
    private final List<String> console = new CopyOnWriteArrayList<>();

    /** The status that a test provokes; its lines on the console can come after the test has seen the answer. */
    private String expected = "";

    @BeforeAll
    static void start() {
        app = App.demo(data);
        playwright = Chromium.driver();
        browser = Chromium.launched(playwright);
    }

    @AfterAll
    static void stop() {
        browser.close();
        playwright.close();
        app.close();
    }

    @BeforeEach
    void open() {
        fresh(new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    private void fresh(Browser.NewContextOptions options) {
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
        context.close();
        if (!expected.isEmpty()) {
            console.removeIf(m -> m.contains("status of " + expected));
        }
        assertEquals(List.of(), console, "the console stays empty");
    }

    private void go(String path) {
        page.navigate(app.url(path));
    }

    /** A shoot of the demo for one test alone, where its pages begin. */
    private static String own(long shoot) {
        return "/shoots/" + app.bean(Shoots.class).duplicate(shoot).orElseThrow();
    }

    /** Does something that saves, and waits until the page that answers it is there. */
    private void saving(Runnable act) {
        page.waitForResponse(
                r -> r.request().method().equals("POST") || r.request().redirectedFrom() != null, act);
    }

    private Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    private Locator caption() {
        return page.locator("footer.caption");
    }

    @Test
    void fromTheBestNightToASavedShootThatOutlivesARestart(@TempDir Path mine) {
        App shared = app;
        app = App.demo(mine);
        try {
            outlivesARestart(mine);
        } finally {
            app.close();
            app = shared;
        }
    }

    private void outlivesARestart(Path mine) {
        int before = app.bean(Shoots.class).list("").size();
        go("/");
        page.getByText("Plan this night").first().click();
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        assertThat(page.locator("#title")).hasValue("Core over the watchtower");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Expose")))
                .click();
        assertThat(caption()).containsText("f/2");
        assertThat(caption()).containsText("18 mm upright");
        page.locator(".kit-line > summary").click();
        page.locator("#LENS").selectOption(new SelectOption().setLabel("14–30 mm f/4"));
        assertThat(caption()).containsText("f/4");
        assertThat(page.locator("aside")).containsText("Why f/4");

        app.close();
        app = App.demo(mine);
        go("/shoots/" + id + "/expose");
        assertThat(caption()).containsText("f/4");
        go("/shoots");
        assertThat(page.locator("main li")).hasCount(before + 1);
    }

    /** From the first start of an empty installation to a planned shoot: typed, Enter, kept, planned. */
    @Test
    void fromTheFirstStartToAPlannedShootInFourSteps(@TempDir Path mine) {
        try (App empty = App.empty(mine)) {
            page.navigate(empty.url("/"));
            page.locator("#where").fill("35.952 -3.048");
            page.locator("#where").press("Enter");
            page.locator("text=Keep this place and rig").click();
            page.locator("text=Plan this night").first().click();
            page.waitForURL("**/shoots/1/night");
            assertTrue(page.locator(".steps").innerText().contains("Expose"));
        }
    }

    @Test
    void fromASubjectToItsFrames() {
        go("/shoots");
        page.getByText("New shoot").first().click();
        page.locator("input[value=STAR_TRAILS]").check();
        assertThat(page.locator("label[for=lens]")).containsText("15 mm");
        page.locator("#place").selectOption(new SelectOption().setLabel("Salt Pans, Vesper Isle"));
        page.waitForURL(Pattern.compile(".*place=2&.*"));
        page.locator(".offer button").first().click();
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        assertThat(page.locator("#title")).hasValue("Wheel over the windmill");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Sequence")))
                .click();
        assertThat(page.locator("aside")).containsText("79 frames of 90 s");
        page.locator("#TRAILS_MINUTES").fill("60");
        page.keyboard().press("Tab");
        assertThat(page.locator("aside")).containsText("39 frames of 90 s");
        assertThat(caption()).containsText("×39 every 91 s");
    }

    @Test
    void undoBringsTheLensBack() {
        go(own(1) + "/expose");
        String before = caption().innerText();
        page.locator(".kit-line > summary").click();
        saving(() -> page.locator("#APERTURE").selectOption("4"));
        assertThat(caption()).containsText("f/4");
        button("Undo").click();
        assertThat(caption()).containsText("f/2");
        assertEquals(before, caption().innerText());
    }

    /** A handle is stepped by keys and typed: what is set is held, the third follows, the playhead stays. */
    @Test
    void twoAreHeldAndTheThirdFollows() {
        go(own(1) + "/expose?at=2027-06-05T02:00:00Z");
        Locator answer = page.locator(".answer-line h2");
        assertThat(answer).containsText("ISO 1250");
        page.locator("[data-ruler=TIME] input[type=range]").focus();
        saving(() -> page.keyboard().press("ArrowRight"));
        assertThat(answer).containsText("10 s");
        assertThat(answer).containsText("ISO 1000");
        List<String> sent = new CopyOnWriteArrayList<>();
        page.onRequest(r -> {
            if (r.method().equals("POST")) {
                sent.add(r.postData());
            }
        });
        page.locator("[data-ruler=ISO] [name=typed]").fill("ISO 6400");
        saving(() -> page.locator("[data-ruler=ISO] [name=typed]").press("Enter"));
        assertThat(answer).containsText("ISO 6400");
        assertThat(page.locator("[data-ruler=APERTURE]")).hasAttribute("data-state", "follows");
        page.locator("[data-ruler=TIME] [name=typed]").fill("ages");
        page.locator("[data-ruler=TIME] [name=typed]").press("Enter");
        assertThat(page.locator("#wrong-TIME")).containsText("ages");
        assertThat(page.locator("[data-ruler=TIME] [name=typed]")).hasValue("ages");
        assertThat(page.locator(".met")).containsText("at 04:00");
        assertEquals(2, sent.size(), () -> "Enter is a change and a sending, and goes once: " + sent);
        expected = "400";
    }

    @Test
    void renamingKeepsThePage() {
        go(own(1) + "/night");
        page.locator("#title")
                .fill("A very long name for one night among many, which has to be cut or wrapped somewhere");
        saving(() -> page.keyboard().press("Enter"));
        assertThat(button("Undo")).isVisible();
        page.reload();
        assertThat(page.locator("#title")).hasValue(Pattern.compile("A very long name.*"));
        assertFits();
        button("Undo").click();
        assertThat(page.locator("#title")).hasValue("Core over the watchtower (copy)");
    }

    @Test
    void aBadLatitudeIsSaidByItsFieldAndNothingIsLost() {
        go("/places/new");
        page.locator("#name").fill("Cove of the Long Shadow");
        page.locator("#latitude").fill("97");
        page.locator("#longitude").fill("-3.1");
        button("Save").click();
        assertThat(page.locator("#latitude-wrong")).hasText("Latitude 97 is outside −90° to 90°.");
        assertThat(page.locator("#name")).hasValue("Cove of the Long Shadow");
        assertThat(page.locator("#latitude")).hasValue("97");
        expected = "400";
    }

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

    @Test
    void aTickedThingStaysTickedAndTheTabSaysIt() {
        String shoot = own(1);
        go(shoot + "/pack");
        saving(() -> page.locator("input[name=packed]").first().check());
        assertThat(page.locator(".step[aria-current] .answer")).hasText(Pattern.compile("1 of \\d+ packed"));
        go(shoot + "/pack");
        assertThat(page.locator("input[name=packed]").first()).isChecked();
    }

    @Test
    void searchAnswersWhileTyping() {
        go("/search");
        page.locator("#q").pressSequentially("watcht");
        assertThat(page.locator("#found")).containsText("Old Watchtower, Vesper Isle");
    }

    private Locator frame() {
        return page.locator("canvas[data-drawn]");
    }

    /** The same table as the core's, at 5.12 µm: 0.1 px is half a thousandth of a millimetre. */
    @Test
    @SuppressWarnings("unchecked")
    void theScriptProjectsAsTheCoreDoes() throws IOException {
        go("/shoots/1/frame");
        Path table = Path.of("../core/src/test/resources/org/halfdusk/optics/projection.csv");
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

    @Test
    void keyNGoesToTheNextGoodNight() {
        go(own(1) + "/night");
        page.onceDialog(Dialog::accept);
        saving(() -> page.keyboard().press("n"));
        assertThat(page.locator("header")).containsText("Sat 5 June 2027");
        button("Undo").click();
        assertThat(page.locator("header")).containsText("Fri 4 June 2027");
    }

    @Test
    void theWholePathWorksByKeyboard() {
        go("/nights");
        for (int i = 0; i < 60 && !focused().contains("Plan this night"); i++) {
            page.keyboard().press("Tab");
        }
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/shoots/\\d+/night.*"));
        for (int i = 0; i < 40 && !focused().startsWith("Expose"); i++) {
            page.keyboard().press("Tab");
        }
        page.keyboard().press("Enter");
        page.waitForURL(Pattern.compile(".*/expose.*"));
        page.locator(".kit-line > summary").focus();
        page.keyboard().press("Enter");
        page.locator("#LENS").focus();
        page.keyboard().press("ArrowDown");
        page.keyboard().press("Tab");
        assertThat(button("Undo")).isVisible();
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        go("/shoots");
        page.locator("form[action='/shoots/" + id + "/delete'] button").press("Enter");
        assertThat(page.getByText("The shoot was deleted.")).isVisible();
    }

    private String focused() {
        return String.valueOf(page.evaluate(
                "document.activeElement === document.body ? '' : document.activeElement.innerText || ''"));
    }

    @Test
    void theWholePathWorksWithoutScript() {
        fresh(new Browser.NewContextOptions().setJavaScriptEnabled(false).setViewportSize(1280, 800));
        go("/nights");
        page.getByText("Plan this night").first().click();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Expose")))
                .click();
        page.locator(".kit-line > summary").click();
        page.locator("#LENS").selectOption(new SelectOption().setLabel("14–30 mm f/4"));
        page.locator("form[aria-label='Kit and wishes']").getByText("Apply").click();
        assertThat(caption()).containsText("f/4");
        page.locator("a.step").first().click();
        String id = page.url().replaceAll(".*/shoots/(\\d+)/.*", "$1");
        go("/shoots/" + id + "/night");
        page.locator("#at").fill("01:30");
        button("Show").click();
        assertThat(page.locator("aside h2").first()).hasText("At 01:30");
        go("/shoots");
        page.locator("form[action='/shoots/" + id + "/delete'] button").click();
        assertThat(page.getByText("The shoot was deleted.")).isVisible();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/nights",
                "/shoots",
                "/shoots/1/night",
                "/shoots/1/frame",
                "/shoots/1/stand",
                "/shoots/1/expose",
                "/shoots/2/night",
                "/shoots/2/expose",
                "/shoots/4/night",
                "/shoots/5/night",
                "/shoots/6/expose",
                "/shoots/7/night",
                "/shoots/7/sequence",
                "/shoots/1/sequence",
                "/shoots/new",
                "/nights/2027-06-04?place=1&place=2",
                "/places",
                "/places/1",
                "/places/1/forecast",
                "/places/formats",
                "/map?place=1",
                "/map?place=1&eclipse=2027-08-02",
                "/shoots/7/pack",
                "/shoots/7/rig2/expose",
                "/shoots/2/practice",
                "/settings",
                "/search?q=light",
                "/kit",
                "/kit/rigs/1",
                "/kit/cameras/1",
                "/kit/lenses/new",
                "/keys",
                "/about",
                "/shoots/999/night"
            })
    void pagesHaveNoAccessibilityFaultsAndFitAPhone(String path) {
        go(path);
        assertEquals(List.of(), faults(), path);
        page.setViewportSize(390, 844);
        assertFits();
        if (REARRANGED.contains(path)) {
            assertEquals(List.of(), faults(), path + " on a phone");
        }
        expected = "404";
    }

    /** Pages that a small screen arranges in another way; the others only become narrower. */
    private static final List<String> REARRANGED =
            List.of("/nights", "/shoots/1/night", "/shoots/1/expose", "/shoots/7/night");

    /** The rows of the year's table are all alike: looking at each of them takes the tool minutes. */
    private List<String> faults() {
        return new AxeBuilder(page)
                .exclude(List.of("#year tbody")).analyze().getViolations().stream()
                        .map(r -> r.getId() + " " + r.getNodes())
                        .toList();
    }

    private void assertFits() {
        Object over = page.evaluate("document.documentElement.scrollWidth - document.documentElement.clientWidth");
        assertEquals(0, over, "pixels too wide");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/nights",
                "/shoots/1/night",
                "/shoots/1/expose",
                "/shoots/2/expose",
                "/shoots/5/night",
                "/shoots/7/night",
                "/shoots/7/sequence",
                "/shoots/new",
                "/shoots",
                "/places/1",
                "/map?place=1",
                "/shoots/1/frame",
                "/shoots/1/sequence/card",
                "/shoots/7/pack",
                "/shoots/2/practice",
                "/shoots/9/stack",
                "/kit/cameras/1"
            })
    void fieldStaysWithinTheRedChannel(String path) throws IOException {
        context.addCookies(List.of(new Cookie("theme", "field").setUrl(app.url("/"))));
        for (int[] size : new int[][] {{390, 844}, {1280, 800}}) {
            page.setViewportSize(size[0], size[1]);
            go(path);
            page.keyboard().press("Tab");
            byte[] shot = page.screenshot(new Page.ScreenshotOptions().setFullPage(true));
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(shot));
            int green = 0;
            int red = 0;
            for (int y = 0; y < image.getHeight(); y++) {
                for (int x = 0; x < image.getWidth(); x++) {
                    int rgb = image.getRGB(x, y);
                    green = Math.max(green, Math.max(rgb >> 8 & 255, rgb & 255));
                    red = Math.max(red, rgb >> 16 & 255);
                }
            }
            assertEquals(0, green, path + " shows green or blue at " + size[0]);
            assertTrue(red > 150, path + " shows nothing at " + size[0]);
            assertEquals(List.of(), page.evaluate(FAINT), path + " has text too faint at " + size[0]);
        }
    }

    /** Texts that are shown with a contrast below 4.5 to what they stand on (WCAG 2.2, 1.4.3). */
    private static final String FAINT = """
            () => {
              const lin = (c) => (c /= 255) <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
              const parse = (s) => (s.match(/[\\d.]+/g) || []).map(Number);
              const lum = ([r, g, b]) => 0.2126 * lin(r) + 0.7152 * lin(g) + 0.0722 * lin(b);
              const ground = (el) => {
                for (let e = el; e; e = e.parentElement) {
                  const b = parse(getComputedStyle(e).backgroundColor);
                  if (b.length === 3 || b[3] > 0.5) return b;
                }
                return [0, 0, 0];
              };
              const faint = [];
              const walk = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
              while (walk.nextNode()) {
                const el = walk.currentNode.parentElement;
                if (!walk.currentNode.data.trim() || !el.checkVisibility({ visibilityProperty: true, opacityProperty: true })) continue;
                if (!el.getClientRects().length || el.closest("script, style, option")) continue;
                const svg = el.closest("svg text") !== null;
                const c = parse(svg ? getComputedStyle(el).fill : getComputedStyle(el).color);
                const g = svg ? [0, 0, 0] : ground(el);
                const [a, b] = [lum(c), lum(g)].sort((x, y) => y - x);
                const dark = svg && el.closest(".head-text, .scale-handle");
                if (!dark && (a + 0.05) / (b + 0.05) < 4.5) faint.push(walk.currentNode.data.trim().slice(0, 40) + " " + c + " on " + g);
              }
              return [...new Set(faint)].slice(0, 12);
            }""";
}
