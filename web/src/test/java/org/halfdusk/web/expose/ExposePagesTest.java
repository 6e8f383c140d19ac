package org.halfdusk.web.expose;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.web.DemoPages;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The Expose step over HTTP: limits, the test frame's dialogue, brackets. */
@Tag("slow")
class ExposePagesTest extends DemoPages {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7})
    void everySubjectHasOtherWaysToTheSameLight(long id) throws Exception {
        HttpResponse<String> r = app.get("/shoots/" + id + "/expose");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "The same light by other means");
        assertHas(r.body(), "What does the test frame show?");
    }

    private void save(String field, String was, String value) throws Exception {
        assertEquals(
                302,
                app.post("/shoots/1/expose", Map.of("was." + field, was, field, value))
                        .statusCode());
    }

    @Test
    void aPersonAMountAndAPrintChangeTheTime() throws Exception {
        save("PERSON", "", "STANDS");
        assertHas(app.get("/shoots/1/expose").body(), "A person in the frame sways: 3 s");
        assertTrue(app.bean(Shoots.class).undo(1));
        save("MOUNT", "", "SIDEREAL");
        String tracked = app.get("/shoots/1/expose").body();
        // Four minutes would put the sky half a stop over its place at ISO 100: the light decides, no more the stars.
        assertHas(tracked, "even ISO 100, the lowest, needs no longer");
        assertHas(tracked, "its own frames with the mount stopped");
        assertTrue(app.bean(Shoots.class).undo(1));
        save("TOLERANCE", "", "SCREEN");
        String screen = app.get("/shoots/1/expose").body();
        assertHas(screen, "Your budget of 8.9");
        assertFalse(screen.contains("name=\"BUDGET\""), "a budget is not asked for beside it");
        assertTrue(app.bean(Shoots.class).undo(1));
        save("TOLERANCE", "", "PRINT 60 80");
        Map<String, String> print = Map.of(
                "was.TOLERANCE", "PRINT 60 80", "TOLERANCE", "PRINT 60 80", "printWidth", "100", "printDistance", "90");
        assertEquals(302, app.post("/shoots/1/expose", print).statusCode());
        assertHas(app.get("/shoots/1/expose").body(), "value=\"100\"");
        Map<String, String> wrong = Map.of(
                "was.TOLERANCE",
                "PRINT 100 90",
                "TOLERANCE",
                "PRINT 60 80",
                "printWidth",
                "9000",
                "printDistance",
                "90");
        HttpResponse<String> refused = app.post("/shoots/1/expose", wrong);
        assertEquals(400, refused.statusCode());
        assertHas(refused.body(), "9000 cm is outside 5 to 1000 cm");
        assertHas(refused.body(), "value=\"9000\"");
        assertTrue(app.bean(Shoots.class).undo(1));
        assertTrue(app.bean(Shoots.class).undo(1));
    }

    @Test
    void nonsenseIsSaidAndKept() throws Exception {
        HttpResponse<String> r = app.post("/shoots/1/expose", Map.of("was.FILTER", "", "FILTER", "dark"));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Filter density “dark” is not a number; 0 to 6 is allowed");
        assertHas(r.body(), "value=\"dark\"");
    }

    @Test
    void theTestFrameIsTalkedAbout() throws Exception {
        String advice = app.get("/shoots/1/expose/seen/LEFT_EDGE").body();
        assertHas(advice, "Set ISO 2500");
        assertHas(advice, "name=\"ISO\" value=\"2500\"");
        assertHas(app.get("/shoots/1/expose/seen/SOFT").body(), "6 Last and least, a lens out of calibration");
        assertEquals(404, app.get("/shoots/1/expose/seen/GHOSTS").statusCode());
    }

    @Test
    void aBracketIsALadderOfTheCamerasMarks() throws Exception {
        save("BRACKET", "", "5 3");
        assertHas(app.get("/shoots/1/expose").body(), "5 frames at f/2 ISO 1250: 2 s, 4 s, 8 s, 15 s, 30 s.");
        assertTrue(app.bean(Shoots.class).undo(1));
    }

    /**
     * A film's long times are drawn and counted alike wherever the sky is told: the histogram's peak and the light towards the frame
     * agree, and what counts is the time to the power of 1/1.3.
     */
    @Test
    void aFilmHasItsPicture() throws Exception {
        assertEquals(
                302,
                app.post("/kit/preset", Map.of("camera", "9", "lens", "5", "viewport", "100"))
                        .statusCode());
        Kits kits = app.bean(Kits.class);
        long film = kits.cameras().stream()
                .filter(c -> c.it().film())
                .findFirst()
                .orElseThrow()
                .id();
        long was = app.bean(Shoots.class).find(6).orElseThrow().it().rig().cameraId();
        Map<String, String> change = Map.of("was.CAMERA", Long.toString(was), "CAMERA", Long.toString(film));
        assertEquals(302, app.post("/shoots/6/expose", change).statusCode());
        String page = app.get("/shoots/6/expose").body();
        Matcher m = Pattern.compile("(\\d+) s count as (\\d+) s").matcher(page);
        assertTrue(m.find(), "no picture of the film");
        double exponent = kits.camera(film)
                .orElseThrow()
                .it()
                .sensitivity()
                .filmExponent()
                .orElseThrow();
        assertEquals(Math.pow(Double.parseDouble(m.group(1)), 1 / exponent), Double.parseDouble(m.group(2)), 0.5);
        Matcher peak = Pattern.compile("peak stands (\\d+) % across").matcher(page);
        assertTrue(peak.find());
        assertHas(page, "mag/arcsec², " + peak.group(1) + " % across the raw file");
        assertTrue(app.bean(Shoots.class).undo(6));
        assertFalse(app.get("/shoots/6/expose").body().contains("count as"), "a sensor has none");
    }

    /** A ruler of an eclipse sets the phase that the playhead stands in: the corona's time, and not the partial phase's. */
    @Test
    void anEclipsesRulerSetsItsPhase() throws Exception {
        String totality = "/shoots/7/expose?at=2027-08-02T08:50:34Z";
        String partial = "/shoots/7/expose?at=2027-08-02T08:10:00Z";
        String before = answer(partial);
        Map<String, String> typed = Map.of(
                "at",
                "2027-08-02T08:50:34Z",
                "part",
                "TIME",
                "from",
                "0",
                "before",
                "1/200 s",
                "notch",
                "0",
                "typed",
                "1/800");
        assertEquals(302, app.post("/shoots/7/expose", typed).statusCode());
        assertEquals("1/800 s f/8 ISO 400", answer(totality));
        assertEquals(before, answer(partial));
        assertTrue(app.bean(Shoots.class).undo(7));
        assertEquals("1/200 s f/8 ISO 100", answer(totality));
    }

    private static String answer(String path) throws Exception {
        return Jsoup.parse(app.get(path).body()).select(".answer-line h2").text();
    }
}
