package org.halfdusk.web.browser;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.playwright.AxeBuilder;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Pages have no fault that axe finds, and fit a phone. One window goes through them all: what they share is fetched once. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class AccessTest extends BrowserTest {
    private static final String AXE = AxeBuilder.getAxeScript();

    @BeforeAll
    static void frames() throws Exception {
        app.withFramesOf(1);
    }

    @BeforeEach
    @Override
    void open() {
        if (context == null) {
            super.open();
        }
        expected = "";
        console.clear();
        page.setViewportSize(1280, 800);
    }

    /** Stays, on a page without words, so that all of the one before has been said. */
    @Override
    void leave() {
        page.navigate("about:blank");
    }

    @AfterAll
    void close() {
        context.close();
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
                "/shoots/1/review?frame=1",
                "/shoots/10/expose",
                "/shoots/1/stack",
                "/shoots/1/run",
                "/shoots/1/run/rehearsal",
                "/log",
                "/log/read",
                "/learnt",
                "/phone",
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

    /** A fault that is put into a page is found, so that none found means that there is none. */
    @Test
    void aFaultIsFound() {
        go("/about");
        page.evaluate("""
                () => {
                  const grey = document.createElement('p');
                  grey.textContent = 'grey on grey';
                  grey.style.color = '#888';
                  grey.style.background = '#999';
                  document.querySelector('main').append(grey, document.createElement('img'));
                }""");
        List<String> found = faults();
        assertTrue(found.stream().anyMatch(f -> f.startsWith("image-alt")), found.toString());
        assertTrue(found.stream().anyMatch(f -> f.startsWith("color-contrast")), found.toString());
    }

    /** Pages that a small screen arranges in another way; the others only become narrower. */
    private static final List<String> REARRANGED =
            List.of("/nights", "/shoots/1/night", "/shoots/1/expose", "/shoots/7/night");

    /**
     * Faults alone: what passes is not gathered, style sheets and media, into which no rule that is asked looks, are not fetched again. The
     * rows of the year and of hundreds of frames are all alike: looking at each of them takes the tool minutes.
     */
    private static final String FAULTS = """
            () => axe.run({ exclude: [['#year tbody'], ['.frame-list tr:nth-child(n + 6)']] },
                          { resultTypes: ['violations'], preload: false })
                     .then(r => r.violations.map(v => v.id + ' ' + v.nodes.map(n => n.html + ' ' + n.failureSummary)))""";

    private List<String> faults() {
        page.evaluate(AXE);
        return ((List<?>) page.evaluate(FAULTS)).stream().map(String::valueOf).toList();
    }
}
