package org.halfdusk.web.stack;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.stream.Stream;
import org.halfdusk.web.App;
import org.halfdusk.web.picture.PictureFile;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** The stacking bench over HTTP, with the demo's simulated night; the pictures are made by the real command in its own process. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("slow")
class StackPagesTest {
    private static final String STACK = "/shoots/9/stack";

    @TempDir
    static Path data;

    @TempDir
    static Path out;

    private static App app;

    @BeforeAll
    static void start() throws Exception {
        app = App.night(data.resolve("kept"), "--halfdusk.out=" + out, "--halfdusk.stack.memory=300m");
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static Document page(String path) throws Exception {
        return app.page(path);
    }

    private static String headline(Document d) {
        return d.select("aside h2").eachText().get(0);
    }

    @Test
    @Order(1)
    void framesAreLeftOutWithTheirReasonAndPutBack() throws Exception {
        Document d = page(STACK);
        assertEquals("17 frames to one picture", headline(d), "the cap's frame is no light frame");
        assertTrue(
                d.select(".stack-left").text().contains("DUSK4119.JPG"),
                d.select("aside").text());
        assertTrue(
                d.select(".stack-left").text().contains("lamp"),
                d.select("aside").text());
        assertTrue(d.select("aside").text().contains("1 dark frame, same exposure"));
        assertEquals(1, d.select(".stack-strip [data-tone=missing]").size());
        assertTrue(d.select(".stack-picture figcaption").text().startsWith("One of them: "), "no picture yet");
        assertEquals(200, app.get(d.select(".stack-picture img").attr("src")).statusCode());
        assertTrue(
                d.select("aside").text().contains("Without it the mean of the others gains 0"),
                d.select("aside").text());
        Document lightest = page(STACK + "?mode=LIGHTEST");
        assertTrue(
                lightest.select(".stack-left").text().contains("aircraft"),
                "of the lightest pixel an aircraft stays for good");
        String id = d.select(".stack-left input[name=frame]").eachAttr("value").get(0);
        assertEquals(
                302,
                app.post(STACK + "/judge", Map.of("frame", id, "back", "yes")).statusCode());
        Document back = page(STACK);
        assertEquals("18 frames to one picture", headline(back));
        assertTrue(back.select("aside").text().contains("kept by you"));
        assertEquals(302, app.post(STACK + "/judge", Map.of("frame", id)).statusCode());
        assertEquals("17 frames to one picture", headline(page(STACK)));
        assertEquals(404, app.post(STACK + "/judge", Map.of("frame", "999999")).statusCode());
    }

    @Test
    @Order(2)
    void aPictureIsMade() throws Exception {
        assertEquals(302, begin("MEAN", "First core", "tif").statusCode());
        HttpResponse<String> twice = begin("MEAN", "Another", "tif");
        assertEquals(400, twice.statusCode(), "one at a time for a rig");
        assertTrue(twice.body().contains("value=\"Another\""), "what was typed stays");
        Document d = app.until(STACK, "#stacking", "Take the picture");
        String said = d.select("#stacking").text();
        assertTrue(said.contains("17, 136 s of light"), said);
        assertTrue(said.contains("times less than in one frame; the root of their number is 4"), said);
        assertEquals(200, app.get(STACK + "/preview.jpg").statusCode());
        HttpResponse<String> whole = app.get(STACK + "/picture");
        assertEquals(200, whole.statusCode());
        assertTrue(
                whole.headers().firstValue("Content-Disposition").orElseThrow().contains("First%20core.tif"));
        Path file = out.resolve("First core.tif");
        assertEquals(1800, PictureFile.head(file, "it").height());
        assertEquals(302, begin("LIGHTEST", "First core", "jpg").statusCode());
        assertTrue(app.until(STACK, "#stacking", "Take the picture")
                .select("#stacking")
                .text()
                .contains("First core.jpg"));
        try (Stream<Path> all = Files.list(out)) {
            assertEquals(2, all.count(), "the first picture is still there, and nothing else");
        }
    }

    /** Stopped it says so, and goes on when it is told to. */
    @Test
    @Order(3)
    void itIsStoppedAndGoesOn() throws Exception {
        assertEquals(302, begin("MEDIAN", "Slow", "tif").statusCode());
        assertEquals(302, app.post(STACK + "/stop", Map.of()).statusCode());
        Document d = app.until(STACK, "#stacking", "Stopped; what was reached is kept");
        assertFalse(d.select("#stacking form[action$=again]").isEmpty());
        assertEquals(302, app.post(STACK + "/again", Map.of()).statusCode());
        app.until(STACK, "#stacking", "Take the picture");
        assertTrue(Files.exists(out.resolve("Slow.tif")));
        assertEquals(400, app.post(STACK + "/again", Map.of()).statusCode());
    }

    @Test
    @Order(4)
    void badNamesAndEmptyShoots() throws Exception {
        HttpResponse<String> bad = begin("MEAN", "../../etc/passwd", "tif");
        assertEquals(400, bad.statusCode());
        assertTrue(bad.body().contains("up to 80 letters"), bad.body());
        assertEquals(400, begin("SHARPEST", "x", "tif").statusCode());
        Document none = page("/shoots/1/stack");
        assertEquals(0, none.select(".stack-picture").size());
        assertEquals("No frames to make one of", headline(none));
        assertTrue(
                none.select("main").text().contains("bring them in on Review"),
                none.select("main").text());
        assertTrue(none.select("aside form button[disabled]").size() == 1);
        assertEquals(404, app.get("/shoots/1/stack/preview.jpg").statusCode());
        assertEquals(404, app.get("/shoots/1/stack/picture").statusCode());
    }

    private static HttpResponse<String> begin(String mode, String name, String kind) throws Exception {
        return app.post(STACK, Map.of("mode", mode, "name", name, "kind", kind, "dark", "on"));
    }
}
