package org.halfdusk.web.practice;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.halfdusk.shoot.fireworks.FireworksPlan;
import org.halfdusk.shoot.fireworks.Practice;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.Exercise;
import org.halfdusk.show.practice.PractisedFrame;
import org.halfdusk.show.practice.Reaction;
import org.halfdusk.show.practice.Verdict;
import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.CueTexts;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.web.App;
import org.halfdusk.web.shoot.ShootDesk;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The practice over HTTP, on the demo's fireworks shoot. */
@Tag("slow")
class PracticePagesTest {
    private static final String PRACTICE = "/shoots/2/practice";
    private static final String ONE_SHELL = "0:02 peony 125 red\n0:20 peony 125 blue";

    /** The first of those leaves at 2 s, breaks at 6.0 s and is dark at 8.2 s. */
    private static final Map<String, String> WHOLE = Map.of("cues", ONE_SHELL, "open", "5", "close", "8.4");

    @TempDir
    static Path data;

    private static App app;

    @BeforeAll
    static void start() {
        app = App.demo(data);
    }

    @AfterAll
    static void stop() {
        app.close();
    }

    @BeforeEach
    void forget() throws Exception {
        app.post(PRACTICE + "/forget", Map.of());
    }

    private static Document page(HttpResponse<String> answer) {
        return Jsoup.parse(answer.body());
    }

    private static BufferedImage picture(String path) throws Exception {
        return ImageIO.read(new ByteArrayInputStream(app.bytes(path)));
    }

    @Test
    void beforeTheFirstFrameItSaysWhatToDo() throws Exception {
        Document d = page(app.get(PRACTICE));
        assertTrue(d.select("#practice-frames").text().contains("None yet"));
        assertTrue(d.select("#practice-hand").text().contains("After the first frame"));
        assertTrue(d.select("main").text().contains("Flashing light"));
        assertTrue(d.select("aside").text().contains("organiser’s line"));
        assertTrue(page(app.get("/shoots/2/run"))
                        .select("a[href=" + PRACTICE + "]")
                        .size()
                == 1);
    }

    @Test
    void aFrameIsDevelopedJudgedAndKept() throws Exception {
        Document d = page(app.post(PRACTICE + "/frames", WHOLE));
        if (d.select(".practice-shots li").isEmpty()) {
            d = page(app.get(PRACTICE));
        }
        assertEquals("Whole with climb", d.select(".practice-shots b").text());
        assertEquals("3.4 s", d.select(".practice-shots .hint").text());
        assertTrue(
                d.select("#practice-hand .answer").text().contains("1.0 s before the break"),
                d.select("#practice-hand").text());
        BufferedImage small = picture(d.select(".practice-shots img").attr("src"));
        assertEquals(240, Math.max(small.getWidth(), small.getHeight()));
        BufferedImage large = picture(d.select(".practice-shots a").attr("href"));
        assertEquals(1200, Math.max(large.getWidth(), large.getHeight()));
        assertTrue(reddest(large) > 200, "a red break is in it");
    }

    private static int reddest(BufferedImage image) {
        int most = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                most = Math.max(most, (rgb >> 16 & 255) - (rgb & 255) / 2);
            }
        }
        return most;
    }

    @Test
    void framesAreSaidToBeLateAndBlack() throws Exception {
        app.post(PRACTICE + "/frames", with("6.9", "9"));
        app.post(PRACTICE + "/frames", with("12", "15"));
        Document d = page(app.get(PRACTICE));
        assertEquals(
                List.of("Black", "Opened too late"),
                d.select(".practice-shots b").eachText());
        assertEquals(
                "0 of the last 2 frames to keep.",
                d.select("#practice-hand h2 + p").eachText().get(0));
    }

    private static Map<String, String> with(String open, String close) {
        Map<String, String> form = new HashMap<>(WHOLE);
        form.put("open", open);
        form.put("close", close);
        return form;
    }

    @Test
    void framesGoTogether() throws Exception {
        app.post(PRACTICE + "/frames", WHOLE);
        app.post(PRACTICE + "/frames", with("23", "26.4"));
        Document d = page(app.get(PRACTICE));
        List<String> numbers = d.select(".practice-shots input").eachAttr("value");
        Document chosen = page(app.get(PRACTICE + "?frame=" + numbers.get(0) + "&frame=" + numbers.get(1)));
        BufferedImage both = picture(chosen.select(".practice-together img").attr("src"));
        int red = 0;
        int blue = 0;
        for (int y = 0; y < both.getHeight(); y++) {
            for (int x = 0; x < both.getWidth(); x++) {
                int rgb = both.getRGB(x, y);
                red += (rgb >> 16 & 255) > (rgb & 255) + 50 ? 1 : 0;
                blue += (rgb & 255) > (rgb >> 16 & 255) + 50 ? 1 : 0;
            }
        }
        assertTrue(red > 100 && blue > 100, red + " red and " + blue + " blue");
    }

    @Test
    void whatIsWrongIsSaidAndStays() throws Exception {
        HttpResponse<String> backwards = app.post(PRACTICE + "/frames", with("9", "4"));
        assertEquals(400, backwards.statusCode());
        Document d = page(backwards);
        assertTrue(
                d.select("#shutter-wrong").text().contains("9"),
                d.select("main").text());
        assertEquals("9", d.select("#open").val());
        HttpResponse<String> rose = app.get(PRACTICE + "?cues=0:04+rose+125+red");
        assertEquals(400, rose.statusCode());
        assertTrue(
                page(rose).select("#cues-wrong").text().contains("ROSE"),
                page(rose).select("aside").text());
        assertEquals("0:04 rose 125 red", page(rose).select("#cues").text());
        assertEquals(404, app.get("/shoots/1/practice").statusCode());
        assertEquals(404, app.get(PRACTICE + "/frames/999999.png").statusCode());
        assertEquals(
                400, app.get(PRACTICE + "/frame.png?open=1&close=2&cells=9000").statusCode());
    }

    @Test
    void sparksAreThoseOfTheShow() throws Exception {
        ShootDesk.Open open = app.bean(ShootDesk.class).open(2, Optional.empty());
        FireworksPlan plan = PracticeDesk.plan(open);
        var display = Practice.display(plan, Practice.exercise(plan, 7));
        long born = display.sheet().cues().stream()
                .flatMap(c -> display.sparks(c).stream())
                .filter(s -> s.born() >= 60 && s.born() < 90)
                .count();
        byte[] sent = app.bytes(PRACTICE + "/sparks?show=7&from=60&to=90");
        assertEquals(born * SparkStream.FIGURES * Float.BYTES, sent.length);
        assertTrue(born > 100);
        Cue peony = display.sheet().cues().stream()
                .filter(c -> c.kind() == ShellKind.PEONY)
                .findFirst()
                .orElseThrow();
        assertEquals(ShellKind.PEONY.stars() + 1, display.sparks(peony).size());
    }

    /** The Expose step shows what several times give, as this rig would record them. */
    @Test
    void exposeShowsFramesOfSeveralTimes() throws Exception {
        Document d = page(app.get("/shoots/2/expose"));
        List<String> pictures = d.select(".break-frame").eachAttr("src");
        assertEquals(6, pictures.size());
        BufferedImage brief = picture(pictures.get(0));
        BufferedImage chosen = picture(pictures.get(2));
        assertEquals(brief.getWidth(), chosen.getWidth());
        assertTrue(light(chosen) > 1.5 * light(brief), light(chosen) + " against " + light(brief));
        assertTrue(
                d.select("img[alt^=3.5 s:]").attr("alt").contains("break"),
                d.select("img").eachAttr("alt").toString());
    }

    private static long light(BufferedImage image) {
        long sum = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                int rgb = image.getRGB(x, y);
                sum += (rgb >> 16 & 255) + (rgb >> 8 & 255) + (rgb & 255);
            }
        }
        return sum;
    }

    /** What a hand has practised stands in the log, goes out with a backup and comes in by it once. */
    @Test
    void practiceIsInTheLogAndInBackups() throws Exception {
        PracticeLog log = app.bean(PracticeLog.class);
        Exercise made = new Exercise(7, Optional.empty(), Exercise.Smoke.THIN, true, 600);
        Exercise typed = new Exercise(
                0,
                Optional.of(CueTexts.read("0:10 peony 100 gold\n0:14.5 willow 125 gold")),
                Exercise.Smoke.NONE,
                false,
                400);
        Instant at = Instant.parse("2027-05-24T18:30:00Z");
        log.add(
                2,
                new PractisedFrame(
                        0,
                        at,
                        made,
                        new Shutter(10, 13.5),
                        Verdict.WHOLE,
                        Optional.of(new Reaction(1.5, 0.2, 0.6, 3.5, 0.4))));
        log.add(
                2,
                new PractisedFrame(0, at.plusSeconds(9), typed, new Shutter(20, 21), Verdict.BLACK, Optional.empty()));
        List<PractisedFrame> before = log.frames(2);
        assertTrue(page(app.get("/log"))
                .text()
                .contains("Practised: 2 frames, 1 of whole bursts; the hand opens 0.6 s before the break on average."));
        String backup = app.get("/backup.json").body();
        app.post(PRACTICE + "/forget", Map.of());
        assertEquals(List.of(), log.frames(2));
        for (int i = 0; i < 2; i++) {
            assertEquals(200, app.upload("/backup", "file", "b.json", backup).statusCode());
            List<PractisedFrame> after = log.frames(2);
            assertEquals(2, after.size());
            for (int k = 0; k < 2; k++) {
                assertEquals(before.get(k).exercise(), after.get(k).exercise());
                assertEquals(before.get(k).reaction(), after.get(k).reaction());
                assertEquals(before.get(k).at(), after.get(k).at());
            }
        }
    }
}
