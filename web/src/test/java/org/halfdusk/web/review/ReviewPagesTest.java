package org.halfdusk.web.review;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.halfdusk.web.App;
import org.halfdusk.web.layout.files.DataHome;
import org.halfdusk.web.picture.PictureFiles;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The Review step, the log and what is learnt, asked over HTTP; frames of the demo's two nights, and others from a folder. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
@Tag("slow")
class ReviewPagesTest {
    private static final String EARLY = "/shoots/9/review";
    private static final String YARD = "/shoots/8/review";

    @TempDir
    static Path data;

    @TempDir
    static Path pictures;

    private static App app;

    @BeforeAll
    static void start() throws Exception {
        Path night = Files.createDirectories(pictures.resolve("one night/raw"));
        for (int i = 0; i < 3; i++) {
            byte[] jpeg = PictureFiles.written(PictureFiles.sky(600, 400, i, 1.2), "2027:06:05 03:0" + i + ":00", 8, 1);
            Files.write(night.resolve("A" + i + ".JPG"), jpeg);
        }
        Files.write(night.resolve("cut.jpg"), Arrays.copyOf(PictureFiles.jpeg(600, 400), 900));
        Files.writeString(night.resolve("notes.txt"), "no picture");
        Path outside = Files.createDirectories(data.resolve("outside"));
        Files.write(outside.resolve("secret.jpg"), PictureFiles.jpeg(60, 60));
        Files.createSymbolicLink(pictures.resolve("way out"), outside);
        Files.createSymbolicLink(night.resolve("B.jpg"), outside.resolve("secret.jpg"));
        app = App.night(data.resolve("kept"), "--halfdusk.frames=" + pictures);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    private static Document page(String path) throws Exception {
        return app.page(path);
    }

    /** The simulated night: one frame missing, three extra, coma found, an aircraft and a lamp noted, the aim a degree off. */
    @Test
    @Order(1)
    void theNightWithTheComa() throws Exception {
        Document d = page(EARLY);
        assertTrue(d.select(".steps").text().contains("19 frames read"));
        assertTrue(d.select("main").text().contains("17 planned, 16 of them taken, 1 missing, 3 extra"));
        assertTrue(d.select(".review-change").text().contains("coma, stop down to f/2.8"));
        Set<String> noted =
                d.select(".review-sheet [data-tone=note]").eachText().stream().collect(Collectors.toSet());
        assertEquals(Set.of("5, aircraft", "10, lamp"), noted);
        assertTrue(d.select("aside.side").text().matches(".*Aim 1\\.[234]° off the plan \\(right, down\\).*"));
        assertTrue(d.select(".review-causes [data-tone=yes]").text().contains("corners only: f/2"));
        assertEquals(1, d.select(".bar-missing").size());
        assertEquals(3, d.select(".bar-extra").size());
        long id = Long.parseLong(
                d.select(".review-sheet a[aria-current=true]").attr("href").replaceAll(".*=", ""));
        var large = ImageIO.read(new ByteArrayInputStream(app.bytes("/frames/" + id + "/2048.jpg")));
        assertTrue(large.getHeight() > large.getWidth(), "upright as it was framed");
        assertEquals(
                25,
                ImageIO.read(new ByteArrayInputStream(app.bytes("/frames/" + id + "/star4.png")))
                        .getWidth());
        assertEquals(404, app.get("/frames/99999/320.jpg").statusCode());
        assertEquals(404, app.get(EARLY + "?frame=99999").statusCode());
    }

    /** A clock that was ahead is proposed; once it is said to be so every frame finds its place. The ring slipped at the seventh. */
    @Test
    @Order(2)
    void theNightWithTheClock() throws Exception {
        app.until(YARD, ".steps", "17 frames read");
        Document d = app.until(YARD, "main", "the camera's clock was 62.1 s ahead");
        assertEquals(
                302,
                app.post(
                                YARD + "/clock",
                                Map.of(
                                        "seconds",
                                        d.select("input[name=seconds]").val()))
                        .statusCode());
        Document mended = page(YARD);
        assertTrue(mended.select("main").text().contains("17 planned, 17 of them taken"), mended.text());
        assertFalse(mended.text().contains("clock was"));
        List<String> soft = mended.select(".review-sheet a:not(.pill)").eachAttr("href");
        Document sixth = page(soft.get(5));
        Document seventh = page(soft.get(6));
        assertFalse(sixth.select(".rehearsal-answer").text().contains("Out of focus"));
        assertTrue(seventh.select(".rehearsal-answer").text().contains("Out of focus"));
        assertTrue(seventh.select(".review-causes").text().contains("only you know"));
        assertEquals(
                302,
                app.post(YARD + "/answer", Map.of("cause", "WRONG_FOCUS_MODE", "so", "yes"))
                        .statusCode());
        assertTrue(page(soft.get(6)).select(".review-causes").text().contains("yes, autofocus"));
        assertEquals(400, app.post(YARD + "/clock", Map.of("seconds", "never")).statusCode());
    }

    /** What a person decides of a frame is kept, and a rejected one can be taken out of the log. */
    @Test
    @Order(3)
    void judged() throws Exception {
        Document d = page(EARLY);
        List<String> hrefs = d.select(".review-sheet a:not(.pill)").eachAttr("href");
        String id = hrefs.get(4).replaceAll(".*=", "");
        app.post(EARLY + "/judge", Map.of("frame", id, "choice", "KEEP"));
        app.post(EARLY + "/judge", Map.of("frame", id, "stars", "4"));
        app.post(EARLY + "/judge", Map.of("frame", id, "note", "The one to print <b>"));
        Document judged = page(EARLY + "?frame=" + id);
        assertEquals("true", judged.select("button[value=KEEP]").attr("aria-pressed"));
        assertEquals(4, judged.select(".review-rating [aria-pressed=true]").size());
        assertEquals("The one to print <b>", judged.select("#frame-note").val());
        assertEquals(
                400,
                app.post(EARLY + "/judge", Map.of("frame", id, "stars", "6")).statusCode());
        assertEquals(
                404,
                app.post(YARD + "/judge", Map.of("frame", id, "stars", "1")).statusCode(),
                "of another shoot");
        String out = hrefs.get(0).replaceAll(".*=", "");
        app.post(EARLY + "/judge", Map.of("frame", out, "choice", "REJECT"));
        app.post(EARLY + "/clear", Map.of());
        assertTrue(page(EARLY).select(".steps").text().contains("18 frames read"));
    }

    /** From a folder that was named at start: what is a picture comes in, what is none or leads out does not. */
    @Test
    @Order(4)
    void fromAFolder() throws Exception {
        Document d = page("/shoots/1/review");
        assertEquals(
                List.of("one night/raw, 4 pictures"), d.select("#folder option").eachText());
        for (String way : List.of("..", "../outside", "way out", "/etc", "one night/../../outside", "no such")) {
            int status =
                    app.post("/shoots/1/review/folder", Map.of("folder", way)).statusCode();
            assertEquals(400, status, way);
        }
        assertEquals(
                302,
                app.post("/shoots/1/review/folder", Map.of("folder", "one night/raw"))
                        .statusCode());
        Document done = app.until("/shoots/1/review", "#progress", "3 frames read, 1 refused");
        assertTrue(
                done.select("#progress").text().contains("“cut.jpg”"),
                done.select("#progress").text());
        app.post("/shoots/1/review/folder", Map.of("folder", "one night/raw"));
        app.until("/shoots/1/review", "#progress", "3 there already");
        try (Stream<Path> all = Files.list(pictures.resolve("one night/raw"))) {
            assertEquals(6, all.count(), "nothing was moved or made beside the originals");
        }
    }

    @Test
    @Order(5)
    void sentByAForm() throws Exception {
        byte[] jpeg = PictureFiles.written(PictureFiles.sky(600, 400, 77, 1.2), "2027:06:05 03:07:00", 8, 1);
        assertEquals(
                302,
                app.upload("/shoots/1/review/frames", "frames", "x/../Ünï <b>.jpg", jpeg)
                        .statusCode());
        assertTrue(page("/shoots/1/review").select("main").text().contains("Ünï"), "its name without a folder");
        var refused =
                app.upload("/shoots/1/review/frames", "frames", "bad.jpg", "none".getBytes(StandardCharsets.UTF_8));
        assertEquals(400, refused.statusCode());
        assertTrue(Jsoup.parse(refused.body()).select("#refused").text().contains("“bad.jpg”"));
        assertEquals(
                400,
                app.upload("/shoots/1/review/frames", "frames", "", new byte[0]).statusCode());
        assertEquals(
                404,
                app.upload("/shoots/99/review/frames", "frames", "a.jpg", jpeg).statusCode());
        try (Stream<Path> all = Files.list(app.bean(DataHome.class).folder())) {
            assertEquals(
                    0,
                    all.filter(p -> p.getFileName().toString().startsWith("sent"))
                            .count(),
                    "no sent file stays");
        }
    }

    /** Taken over, plans go by it and say so; switched off they do not; forgotten it is gone. */
    @Test
    @Order(6)
    void takenOver() throws Exception {
        String before = page("/shoots/1/expose").select(".side").text();
        assertFalse(before.contains("of yours"));
        assertEquals(302, app.post(EARLY + "/take", Map.of()).statusCode());
        String because = page("/shoots/1/expose").select(".side").text();
        assertTrue(because.matches(".*1[67] frames of yours came out 0\\.2\\d stops lighter.*"), because);
        Document learnt = page("/learnt");
        assertTrue(learnt.text().contains("From First core of the year"), learnt.text());
        String camera =
                learnt.select("input[name=figure][value=CAMERA_STOPS] + input").val();
        app.post("/learnt", Map.of("figure", "CAMERA_STOPS", "id", camera, "what", "off"));
        assertFalse(page("/shoots/1/expose").select(".side").text().contains("came out"));
        app.post("/learnt", Map.of("figure", "CAMERA_STOPS", "id", camera, "what", "forget"));
        assertFalse(page("/learnt").text().contains("stops lighter than reckoned"));
        assertEquals(
                404,
                app.post("/learnt", Map.of("figure", "CAMERA_STOPS", "id", camera, "what", "on"))
                        .statusCode());
        assertEquals(
                400,
                app.post("/learnt", Map.of("figure", "X", "id", "1", "what", "on"))
                        .statusCode());
        assertEquals(400, app.post("/shoots/2/review/take", Map.of()).statusCode(), "no frames teach nothing");
    }

    @Test
    @Order(7)
    void theLog() throws Exception {
        app.post(
                EARLY + "/afterwards", Map.of("text", "=Two steps back", "weather", "dry", "mark", "left of the tape"));
        Document log = page("/log?year=2027");
        assertTrue(
                log.select("h1 + span").text().startsWith("3 shoots"),
                log.select("h1 + span").text());
        assertEquals(3, log.select(".year-read").size());
        assertEquals(365, log.select(".year-night").size());
        assertTrue(log.text().contains("Focus mark: left of the tape."));
        assertEquals(1, page("/log?q=two+STEPS").select(".log-list li").size());
        assertEquals(0, page("/log?q=nowhere").select(".log-list li").size());
        Document tower = page("/log?place=1");
        assertEquals(2, tower.select("tbody tr").size(), "two shoots at the tower side by side");
        assertTrue(tower.select("tbody").text().contains("mag/arcsec²"));
        assertTrue(page("/places/1").text().contains("Here before"));
        assertTrue(page("/shoots/1/night").text().contains("left of the tape"));
        for (String bad : List.of("place=x", "night=2027-13-01", "year=900", "night=0001-01-01")) {
            assertEquals(400, app.get("/log?" + bad).statusCode(), bad);
        }
        String csv = app.get("/log/frames.csv").body();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))
                .getRecords();
        JsonNode json = JsonMapper.builder()
                .build()
                .readTree(app.get("/log/frames.json").body())
                .get("frames");
        assertEquals(rows.size(), json.size());
        assertEquals(18 + 17 + 4, rows.size());
        assertEquals("2027-05-08", rows.get(5).get("date"));
        assertTrue(rows.get(5).get("time").matches("\\d\\d:\\d\\d:\\d\\d"));
        assertEquals("+02:00", rows.get(5).get("offset"));
        assertEquals(
                json.get(5).get("sky").asDouble(),
                Double.parseDouble(rows.get(5).get("sky")),
                1e-9);
    }

    /** Pictures of any night without a shoot: diagnosed, the series judged, taken out again. */
    @Test
    @Order(8)
    void withoutAShoot() throws Exception {
        for (int i = 0; i < 3; i++) {
            byte[] soft = PictureFiles.written(PictureFiles.sky(900, 600, 40 + i, 2.8), "2019:08:01 23:00:00", 10, 1);
            assertEquals(
                    302,
                    app.upload("/log/frames", "frames", "old" + i + ".jpg", soft)
                            .statusCode());
        }
        Document d = page("/log/read");
        assertTrue(
                d.select(".rehearsal-answer").text().startsWith("Out of focus"),
                d.select("main").text());
        assertTrue(d.select(".side").text().contains("in any of 3 frames"));
        String id = d.select("input[name=frame]").val();
        app.post("/log/forget", Map.of("frame", id));
        assertEquals(2, page("/log/read").select(".review-sheet li").size());
        assertEquals(404, app.post("/log/forget", Map.of("frame", id)).statusCode());
        assertEquals(404, app.get("/log/read?frame=1").statusCode(), "a shoot's frame is not of these");
    }

    /** All of it comes back from a backup, once. */
    @Test
    @Order(9)
    void inTheBackup(@TempDir Path other) throws Exception {
        String backup = app.get("/backup.json").body();
        try (App second = App.empty(other.resolve("kept"))) {
            for (int i = 0; i < 2; i++) {
                assertTrue(
                        second.upload("/backup", "file", "backup.json", backup).statusCode() < 400);
            }
            String again = second.get("/backup.json").body();
            JsonMapper json = JsonMapper.builder().build();
            JsonNode a = json.readTree(backup);
            JsonNode b = json.readTree(again);
            for (String part : List.of("takenFrames", "afterwards", "answers", "learnt")) {
                assertEquals(a.get(part).size(), b.get(part).size(), part);
                assertTrue(a.get(part).size() > 0, part);
            }
            assertEquals(
                    a.get("takenFrames").get(3).get("reading").toString(),
                    b.get("takenFrames").get(3).get("reading").toString());
        }
    }
}
