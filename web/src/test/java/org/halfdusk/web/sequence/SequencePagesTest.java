package org.halfdusk.web.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.io.StringReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.exchange.backup.BackupDesk;
import org.halfdusk.web.exchange.backup.BackupFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The Sequence step over HTTP: blocks laid, changed and taken away, budgets, and every file that is taken along. */
@Tag("slow")
class SequencePagesTest extends DemoPages {
    private HttpResponse<String> act(String action, String... more) throws Exception {
        Map<String, String> form = new HashMap<>(Map.of("action", action, "at", ""));
        for (int i = 0; i < more.length; i += 2) {
            form.put(more[i], more[i + 1]);
        }
        return app.post("/shoots/1/sequence", form);
    }

    @AfterEach
    void asComputed() throws Exception {
        act("computed");
        app.post("/shoots/1/sequence", Map.of("was.NOISE_REDUCTION", "ON", "NOISE_REDUCTION", ""));
    }

    @Test
    void blocksAreLaidChangedAndTakenAway() throws Exception {
        assertHas(app.get("/shoots/1/sequence").body(), "as computed");
        assertEquals(302, act("GROUND").statusCode());
        String page = app.get("/shoots/1/sequence").body();
        assertHas(page, "laid by hand");
        assertHas(page, "20 frames in 3 blocks");
        assertEquals(
                302,
                act(
                                "change",
                                "block",
                                "stack-1",
                                "start",
                                "00:20",
                                "amount",
                                "45",
                                "by",
                                "minutes",
                                "seconds",
                                "10",
                                "gap",
                                "2",
                                "aperture",
                                "2",
                                "iso",
                                "1600")
                        .statusCode());
        assertHas(app.get("/shoots/1/sequence").body(), "value=\"00:20:00\"");
        assertEquals(302, act("remove", "block", "stack-1").statusCode());
        assertTrue(app.bean(Shoots.class).undo(1));
        assertHas(app.get("/shoots/1/sequence").body(), "value=\"00:20:00\"");
        act("computed");
        assertEquals(
                "",
                ShootField.BLOCKS.text(
                        app.bean(Shoots.class).find(1).orElseThrow().it()));
    }

    @Test
    void clashesAndDaylightAreSaid() throws Exception {
        act("TRAILS");
        act(
                "change",
                "block",
                "stack-1",
                "start",
                "21:40",
                "amount",
                "3",
                "by",
                "minutes",
                "seconds",
                "10",
                "gap",
                "2",
                "aperture",
                "2",
                "iso",
                "1600");
        String page = app.get("/shoots/1/sequence").body();
        assertHas(page, "the sky is not dark for");
        // Moved into the middle of another block it waits until that is over: nothing overlaps on a rig.
        act(
                "change",
                "block",
                "dark_frame-1",
                "start",
                "21:41",
                "amount",
                "2",
                "by",
                "frames",
                "seconds",
                "10",
                "gap",
                "1",
                "aperture",
                "2",
                "iso",
                "1600");
        String moved = app.get("/shoots/1/sequence").body();
        assertFalse(moved.contains("before the block before it is over"));
        assertHas(moved, "value=\"21:43:");
    }

    @Test
    void aBadStartIsNamedAndStays() throws Exception {
        HttpResponse<String> r = act(
                "change",
                "block",
                "stack-1",
                "start",
                "25:99",
                "amount",
                "16",
                "by",
                "frames",
                "seconds",
                "10",
                "gap",
                "2",
                "aperture",
                "2",
                "iso",
                "1600");
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Start “25:99” is not a time; write it as 00:20 or 00:20:30");
        assertHas(r.body(), "value=\"25:99\"");
        HttpResponse<String> gone = act("remove", "block", "77");
        assertEquals(400, gone.statusCode());
        assertHas(gone.body(), "Block “77” is not there any more");
    }

    @Test
    void noiseReductionIsCounted() throws Exception {
        app.post("/shoots/1/sequence", Map.of("was.NOISE_REDUCTION", "", "NOISE_REDUCTION", "ON"));
        String page = app.get("/shoots/1/sequence").body();
        assertHas(page, "is dropped");
        assertHas(page, "Switch noise reduction off");
    }

    @Test
    void aPauseIsLaidWhereTheBatteryEnds() throws Exception {
        act("remove", "block", "dark_frame-1");
        act(
                "change",
                "block",
                "stack-1",
                "start",
                "23:50",
                "amount",
                "290",
                "by",
                "minutes",
                "seconds",
                "10",
                "gap",
                "1",
                "aperture",
                "2",
                "iso",
                "1600");
        assertHas(app.get("/shoots/1/sequence").body(), "A battery ends at about");
        assertEquals(302, act("battery").statusCode());
        String page = app.get("/shoots/1/sequence").body();
        assertHas(page, "Pause: focus, battery, card");
        assertFalse(page.contains("A battery ends at about"));
        assertFalse(page.contains("before the block before it is over"));
    }

    @Test
    void framesAsCsvStandInsideTheirBlocks() throws Exception {
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(app.get("/shoots/7/sequence/frames.csv").body()))
                .getRecords();
        assertTrue(rows.size() > 20);
        Instant closed = Instant.EPOCH;
        for (CSVRecord r : rows) {
            Instant open = Instant.parse(r.get("opens_utc"));
            assertFalse(open.isBefore(closed.minusMillis(1)), "frame " + r.get("number") + " overlaps");
            closed = open.plusNanos(Math.round(Double.parseDouble(r.get("real_s")) * 1e9));
        }
    }

    @Test
    void blocksAsCalendarHaveAlarms() throws Exception {
        List<VEvent> events = Biweekly.parse(
                        app.get("/shoots/1/sequence/blocks.ics").body())
                .first()
                .getEvents();
        assertEquals(2, events.size());
        assertEquals(1, events.get(0).getAlarms().size());
        Duration stack = Duration.between(
                events.get(0).getDateStart().getValue().toInstant(),
                events.get(0).getDateEnd().getValue().toInstant());
        // Sixteen of 8 s with gaps of 2 s.
        assertEquals(158, stack.toSeconds(), 2);
    }

    @Test
    void theCardIsOnePageForPaper() throws Exception {
        String card = app.get("/shoots/1/sequence/card").body();
        assertHas(card, "Aim and focus");
        assertHas(card, "Take along");
        HttpResponse<String> pdf = app.get("/shoots/1/sequence/card.pdf");
        assertEquals(200, pdf.statusCode());
        assertTrue(pdf.body().startsWith("%PDF-"));
        assertHas(app.get("/shoots/4/sequence/card").body(), "Programme");
    }

    /** Read by a library that did not write it: tagged, in a language, said to be PDF/UA-1 and PDF/A-3u, every font in it. */
    @Test
    void thePdfIsTaggedAndKeepsItsFonts() throws Exception {
        byte[] bytes = app.bytes("/shoots/1/sequence/card.pdf");
        try (PDDocument pdf = Loader.loadPDF(bytes)) {
            assertTrue(pdf.getDocumentCatalog().getMarkInfo().isMarked());
            assertTrue(pdf.getDocumentCatalog().getStructureTreeRoot().getKids().size() > 0);
            assertEquals("en", pdf.getDocumentCatalog().getLanguage());
            assertEquals(
                    "Core over the watchtower, run card",
                    pdf.getDocumentInformation().getTitle());
            assertHas(pdf.getDocumentInformation().getSubject(), "Old Watchtower");
            String meta = new String(pdf.getDocumentCatalog().getMetadata().toByteArray(), StandardCharsets.UTF_8);
            assertHas(meta, "pdfuaid:part>1");
            assertHas(meta, "pdfaid:part>3");
            assertEquals(1, pdf.getDocumentCatalog().getOutputIntents().size());
            for (var page : pdf.getPages()) {
                for (var name : page.getResources().getFontNames()) {
                    assertTrue(page.getResources().getFont(name).isEmbedded(), name.getName());
                }
            }
            assertHas(new PDFTextStripper().getText(pdf), "Aim and focus");
        }
    }

    /** Each frame of a panorama says where it is aimed: on the page that is taken along and in the file. */
    @Test
    void tilesSayWhereTheyAreAimed() throws Exception {
        assertEquals(
                302,
                app.post(
                                "/shoots/1/frame",
                                Map.of(
                                        "was.PANORAMA",
                                        "",
                                        "panoramaFrom",
                                        "120",
                                        "panoramaSpan",
                                        "100",
                                        "panoramaOverlap",
                                        "30",
                                        "panoramaRows",
                                        "1",
                                        "panoramaSpares",
                                        "1"))
                        .statusCode());
        act("PANORAMA");
        String card = app.get("/shoots/1/sequence/card").body();
        assertHas(card, "tile 1: mark 0.0°, azimuth ");
        assertHas(card, "s to turn and settle between tiles");
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(app.get("/shoots/1/sequence/frames.csv").body()))
                .getRecords();
        List<CSVRecord> tiles =
                rows.stream().filter(r -> r.get("kind").equals("PANORAMA")).toList();
        assertTrue(tiles.size() > 2, "tiles: " + tiles.size());
        for (int i = 1; i < tiles.size(); i++) {
            double turn = Double.parseDouble(tiles.get(i).get("azimuth_deg"))
                    - Double.parseDouble(tiles.get(i - 1).get("azimuth_deg"));
            assertTrue((turn + 360) % 360 > 5 && (turn + 360) % 360 < 60, "turned by " + turn);
        }
        assertTrue(rows.stream()
                .filter(r -> !r.get("kind").equals("PANORAMA"))
                .allMatch(r -> r.get("azimuth_deg").isEmpty()));
    }

    /** Lanes of light, blocks, battery and card; the four numbers; what goes wrong with a button that mends it. */
    @Test
    void theLanesSayWhatBecomesOfTheFrames() throws Exception {
        String page = app.get("/shoots/6/sequence").body();
        assertHas(page, "lane-light");
        assertHas(page, "25 % left");
        assertHas(page, "<dt>Delay</dt><dd>10 s</dd>");
        assertHas(page, "<dt>Number</dt><dd>79</dd>");
        assertFalse(page.contains("dropped from"));
        app.post("/shoots/6/sequence", Map.of("was.NOISE_REDUCTION", "", "NOISE_REDUCTION", "ON"));
        String doubled = app.get("/shoots/6/sequence").body();
        assertHas(doubled, "40 dropped from 19:47");
        assertHas(doubled, "Switch noise reduction off");
        app.post("/shoots/6/sequence", Map.of("was.NOISE_REDUCTION", "ON", "NOISE_REDUCTION", ""));
        app.post("/shoots/6/sequence", Map.of("was.POWER", "", "POWER", "OUTSIDE"));
        String fed = app.get("/shoots/6/sequence").body();
        assertHas(fed, "fed from outside");
        assertHas(fed, "from outside, no charge used");
        assertFalse(fed.contains("dropped from"));
    }

    /** The same times on another rig, set as that rig's plan gives; it can be taken back. */
    @Test
    void blocksAreCopiedToAnotherRig() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        int rig = shoots.addRig(1, shoots.find(1).orElseThrow().it().rig());
        assertEquals(400, app.post("/shoots/1/sequence/copy", Map.of("to", "x")).statusCode());
        assertEquals(
                404, app.post("/shoots/1/sequence/copy", Map.of("to", "99")).statusCode());
        act("GROUND");
        String own = app.get("/shoots/1/sequence").body();
        assertHas(own, "Copy to rig " + (rig + 1));
        var copied = app.post("/shoots/1/sequence/copy", Map.of("to", Integer.toString(rig + 1)));
        assertEquals(302, copied.statusCode());
        assertHas(copied.headers().firstValue("Location").orElseThrow(), "/shoots/1/rig" + (rig + 1) + "/sequence");
        var theirs = shoots.find(1, rig).orElseThrow().it().rig().choices().blocks();
        var ours = shoots.find(1).orElseThrow().it().rig().choices().blocks();
        assertEquals(ours.size(), theirs.size());
        for (int i = 0; i < ours.size(); i++) {
            assertEquals(ours.get(i).start(), theirs.get(i).start());
            assertEquals(ours.get(i).kind(), theirs.get(i).kind());
            assertEquals(ours.get(i).frames(), theirs.get(i).frames());
        }
        assertTrue(shoots.undo(1));
        assertTrue(
                shoots.find(1, rig).orElseThrow().it().rig().choices().blocks().isEmpty());
        shoots.removeRig(1, rig);
        act("computed");
    }

    /** Two aims of one camera: at the same time that cannot be; one after the other it is turned, zoomed and focused anew. */
    @Test
    void aSecondAimOfTheSameCameraIsTurnedZoomedAndFocused() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        int first = shoots.addRig(1, withZoom(14));
        int rig = shoots.addRig(1, withZoom(24));
        String from = "rig " + (first + 1);
        String second = "/shoots/1/rig" + (rig + 1);
        try {
            assertHas(
                    app.get(second + "/sequence").body(), "The same camera and lens are planned as " + from + " from");
            app.post(second + "/sequence", Map.of("at", "03:50", "action", "STACK"));
            app.post(second + "/sequence", Map.of("action", "remove", "block", "stack-1"));
            app.post(second + "/sequence", Map.of("action", "remove", "block", "dark_frame-1"));
            String page = app.get(second + "/sequence").body();
            assertFalse(page.contains("are planned as"), page);
            assertHas(page, "Before 03:50 this camera comes from " + from + ": turn it to");
            assertHas(page, "zoom from 14 to 24 mm, and focus anew");
            assertHas(app.get(second + "/sequence/card").body(), "this camera comes from " + from);
            int before = shoots.find(1, rig)
                    .orElseThrow()
                    .it()
                    .rig()
                    .choices()
                    .blocks()
                    .size();
            String form = page.substring(page.indexOf("this camera comes from"));
            int at = form.indexOf("name=\"at\" value=\"") + 17;
            String pause = form.substring(at, form.indexOf('"', at));
            assertEquals(
                    302,
                    app.post(second + "/sequence", Map.of("at", pause, "action", "PAUSE"))
                            .statusCode());
            var blocks = shoots.find(1, rig).orElseThrow().it().rig().choices().blocks();
            assertEquals(before + 1, blocks.size());
            assertEquals(Block.Kind.PAUSE, blocks.get(0).kind());
        } finally {
            shoots.removeRig(1, rig);
            shoots.removeRig(1, first);
        }
    }

    private Shoot.ShootRig withZoom(double focal) {
        Shoot.ShootRig own = app.bean(Shoots.class).find(1).orElseThrow().it().rig();
        long zoom = app.bean(Kits.class).lenses().stream()
                .filter(l -> l.it().name().startsWith("14–30"))
                .findFirst()
                .orElseThrow()
                .id();
        return new Shoot.ShootRig(own.cameraId(), zoom, Optional.empty(), focal, Optional.empty(), own.wishes());
    }

    /** A timer of gaps is typed otherwise, and the frames follow it. */
    @Test
    void theTimerIsThatOfTheCamera() throws Exception {
        Kits kits = app.bean(Kits.class);
        long id = app.bean(Shoots.class).find(1).orElseThrow().it().rig().cameraId();
        Camera camera = kits.camera(id).orElseThrow().it();
        IntervalTimer gap = new IntervalTimer(IntervalTimer.Step.TENTHS, IntervalTimer.From.GAP, 10);
        kits.update(id, camera.with(gap));
        String page = app.get("/shoots/1/sequence").body();
        assertHas(page, "<dt>Gap</dt><dd>2 s</dd>");
        assertHas(page, "<dt>Number</dt><dd>no end</dd>");
        assertHas(page, "without an end: stop it by hand after 16 frames");
        assertHas(app.get("/api/v1/shoots/1/programme").body(), "\"from\":\"GAP\"");
        kits.update(id, camera);
    }

    /** Opening the exported shoot again gives the same shoot, with its blocks. */
    @Test
    void theShootComesBackFromItsJson() throws Exception {
        act("GROUND");
        Shoots shoots = app.bean(Shoots.class);
        Kept<Shoot> before = shoots.find(1).orElseThrow();
        String json = app.get("/shoots/1/sequence/shoot.json").body();
        assertHas(json, "\"frames\"");
        shoots.delete(1);
        app.bean(BackupDesk.class).bringIn(BackupFile.read(json));
        Shoot back = shoots.list("Core over").stream()
                .map(Kept::it)
                .filter(s -> s.title().equals(before.it().title()))
                .findFirst()
                .orElseThrow();
        assertEquals(before.it().rig(), back.rig());
        assertEquals(before.it().night(), back.night());
        assertEquals(before.it().placeId(), back.placeId(), "its place is found again, not doubled");
        shoots.restore(1);
    }

    /** A file written before lenses could be fisheyes, and before rigs had choices and limits. */
    @Test
    void olderFilesAreStillRead() throws Exception {
        String json = app.get("/backup.json").body();
        String older = json.replaceAll(",\\s*\"fisheye\" : (true|false)", "")
                .replaceAll(",\\s*\"choices\" : \\{\\s*\"texts\" : \\{[^}]*\\}\\s*\\}", "")
                .replaceAll(",\\s*\"limits\" : \\{[^{}]*(\\{[^}]*\\})?[^{}]*\\}", "");
        assertFalse(older.contains("fisheye") || older.contains("\"limits\"") || older.contains("\"choices\""));
        assertEquals(
                BackupFile.read(json).shoots().size(),
                BackupFile.read(older).shoots().size());
    }

    private static List<VEvent> events(String calendar) {
        return Biweekly.parse(calendar).first().getEvents();
    }

    /** Read by a library of its own: a block keeps its event, told otherwise it grows, taken away it is cancelled. */
    @Test
    void aBlockKeepsItsEventForLife() throws Exception {
        act("GROUND");
        String before = app.get("/shoots/1/sequence/blocks.ics").body();
        assertHas(before, "X-WR-CALNAME:Half Dusk");
        assertHas(before, "X-WR-TIMEZONE:Europe/Madrid");
        VEvent stack = named(events(before), "Stack");
        assertHas(stack.getUrl().getValue(), "/shoots/1/sequence");
        act("remove", "block", "stack-1");
        VEvent gone = named(events(app.get("/shoots/1/sequence/blocks.ics").body()), "Stack");
        assertEquals(stack.getUid().getValue(), gone.getUid().getValue());
        assertTrue(gone.getStatus().isCancelled());
        assertEquals(stack.getSequence().getValue() + 1, gone.getSequence().getValue());
        assertTrue(gone.getAlarms().isEmpty(), "nobody is woken for what is cancelled");
    }

    /** One calendar tells of both rigs, by the shoot's own name, and of which camera and lens each block is. */
    @Test
    void aCalendarOfTwoRigs() throws Exception {
        String calendar = app.get("/shoots/7/sequence/blocks.ics").body();
        assertHas(calendar, "X-WR-CALNAME:Half Dusk: Totality from the North Light\r\n");
        List<String> details = events(calendar).stream()
                .map(e -> e.getDescription().getValue())
                .toList();
        long long400 = details.stream()
                .filter(d -> d.startsWith("Full frame 33 MP, 400 mm. "))
                .count();
        long wide = details.stream()
                .filter(d -> d.startsWith("Full frame 33 MP, 24 mm. "))
                .count();
        assertTrue(long400 > 5 && wide > 5 && long400 + wide == details.size(), details.toString());
    }

    private static VEvent named(List<VEvent> events, String name) {
        return events.stream()
                .filter(e -> e.getSummary().getValue().startsWith(name))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + name + " among "
                        + events.stream().map(e -> e.getSummary().getValue()).toList()));
    }

    /** The feed has a secret in its address; a new one ends the old, and ended there is none. */
    @Test
    void aFeedUnderASecretAddress() throws Exception {
        assertEquals(404, app.get("/calendar/guessed.ics").statusCode());
        app.post("/calendar", Map.of());
        String first = feed();
        String body = app.get(first).body();
        assertTrue(events(body).size() > 20, "all shoots ahead: " + events(body).size());
        assertEquals(
                events(body).size(),
                events(body).stream().map(e -> e.getUid().getValue()).distinct().count(),
                "identities are unique");
        app.post("/calendar", Map.of());
        assertEquals(404, app.get(first).statusCode());
        assertEquals(200, app.get(feed()).statusCode());
        app.post("/calendar", Map.of("end", "yes"));
        assertFalse(app.get("/settings").body().contains("/calendar/"));
    }

    private String feed() throws Exception {
        Matcher m = Pattern.compile("value=\"http://[^/]+(/calendar/[a-z0-9]{26}\\.ics)\"")
                .matcher(app.get("/settings").body());
        assertTrue(m.find(), "the settings show the address");
        return m.group(1);
    }

    /** Files carry date, shoot and rig, so that those of two shoots never overwrite each other. */
    @Test
    void filesAreNamedForTheirShoot() throws Exception {
        assertHas(
                app.get("/shoots/1/sequence/frames.csv")
                        .headers()
                        .firstValue("Content-Disposition")
                        .orElseThrow(),
                "2027-06-04-core-over-the-watchtower-frames.csv");
        assertHas(
                app.get("/shoots/7/rig2/sequence/frames.csv")
                        .headers()
                        .firstValue("Content-Disposition")
                        .orElseThrow(),
                "2027-08-02-totality-from-the-north-light-rig2-frames.csv");
    }

    /** Another kit gives another setting: the block that was laid before says so, and takes it or keeps its own. */
    @Test
    void anEditedBlockSaysWhatItWasMadeFor() throws Exception {
        act("GROUND");
        app.post("/shoots/1/expose", Map.of("was.ISO", "", "ISO", "400"));
        try {
            String page = app.get("/shoots/1/sequence").body();
            assertHas(page, "Made for ");
            assertHas(page, "The plan now says ");
            assertEquals(302, act("keep", "block", "stack-1").statusCode());
            assertEquals(302, act("take", "block", "dark_frame-1").statusCode());
            Matcher ground = Pattern.compile(
                            "name=\"action\" value=\"keep\"/?><input type=\"hidden\" name=\"block\" value=\"([^\"]+)\"")
                    .matcher(app.get("/shoots/1/sequence").body());
            assertTrue(ground.find(), "the ground has another exposure too");
            act("keep", "block", ground.group(1));
            String after = app.get("/shoots/1/sequence").body();
            assertFalse(after.contains("Made for "), "all are settled");
            assertEquals(400, act("take", "block", "stack-1").statusCode());
        } finally {
            app.post("/shoots/1/expose", Map.of("was.ISO", "400", "ISO", ""));
        }
    }

    private static final String SCRIPT = "/shoots/7/sequence";

    private static HttpResponse<String> script(String... fields) throws Exception {
        Map<String, String> form = new HashMap<>(Map.of("at", ""));
        for (int i = 0; i < fields.length; i += 2) {
            form.put(fields[i], fields[i + 1]);
        }
        return app.post(SCRIPT, form);
    }

    /** A phase of an eclipse's script is set by itself, goes to the other rig too, and is computed again. */
    @Test
    void aPhaseOfAScriptIsSet() throws Exception {
        String before = app.get(SCRIPT + "/frames.csv").body();
        assertEquals(
                302,
                script(
                                "action",
                                "phase",
                                "kind",
                                "TOTALITY",
                                "iso",
                                "200",
                                "frames",
                                "3",
                                "thirds",
                                "6",
                                "files",
                                "RAW_JPEG")
                        .statusCode());
        List<CSVRecord> totality = csv(SCRIPT).stream()
                .filter(r -> r.get("kind").equals("TOTALITY"))
                .toList();
        assertTrue(totality.stream()
                .allMatch(r -> r.get("iso").equals("200") && r.get("files").equals("RAW_JPEG")));
        assertEquals(
                3, totality.stream().map(r -> r.get("nominal_s")).distinct().count());
        assertHas(app.get(SCRIPT).body(), "in 1 block with JPEG");
        String refused = script("action", "phase", "kind", "TOTALITY", "iso", "0.5", "frames", "99")
                .body();
        assertHas(refused, "ISO 0.5");
        assertHas(refused, "rames of a bracket 99");
        app.post(SCRIPT + "/copy", Map.of("to", "2"));
        assertTrue(csv("/shoots/7/rig2/sequence").stream()
                .filter(r -> r.get("kind").equals("TOTALITY"))
                .allMatch(r -> r.get("files").equals("RAW_JPEG")));
        app.bean(Shoots.class).undo(7);
        assertEquals(302, script("action", "phase-computed", "kind", "TOTALITY").statusCode());
        assertEquals(before, app.get(SCRIPT + "/frames.csv").body());
    }

    /** One frame is set otherwise, moved, taken away; what has no place is refused with its moment. */
    @Test
    void aRowOfAScriptIsSet() throws Exception {
        String before = app.get(SCRIPT + "/frames.csv").body();
        String second = csv(SCRIPT).get(1).get("opens_utc");
        assertEquals(
                302,
                script("action", "row", "kind", "PARTIAL_SUN", "was", second, "start", "09:50:30", "seconds", "0.01")
                        .statusCode());
        CSVRecord moved = csv(SCRIPT).get(1);
        assertEquals("2027-08-02T07:50:30Z", moved.get("opens_utc"));
        assertEquals("0.01", moved.get("nominal_s"));
        int all = csv(SCRIPT).size();
        assertEquals(
                302,
                script("action", "row-away", "kind", "PARTIAL_SUN", "was", "2027-08-02T07:50:30Z")
                        .statusCode());
        assertEquals(all - 1, csv(SCRIPT).size());
        String refused = script(
                        "action",
                        "row",
                        "kind",
                        "TOTALITY",
                        "piece",
                        "totality-1",
                        "start",
                        "10:20:00",
                        "seconds",
                        "1",
                        "aperture",
                        "8",
                        "iso",
                        "100")
                .body();
        assertHas(refused, "no place for a frame at 10:20:00");
        assertHas(refused, "value=\"10:20:00\"");
        assertHas(
                script("action", "row-away", "kind", "TOTALITY", "piece", "totality-1")
                        .body(),
                "is not one to be taken away");
        script("action", "phase-computed", "kind", "PARTIAL_SUN");
        assertEquals(before, app.get(SCRIPT + "/frames.csv").body());
    }

    /** All frames of a block that has many, some hundreds at a time. */
    @Test
    void framesArePaged() throws Exception {
        String first = app.get(SCRIPT).body();
        assertHas(first, "/sequence/frames?block=totality-1&amp;from=401");
        String later =
                app.get("/shoots/7/sequence/frames?block=totality-1&from=401").body();
        assertHas(later, "401 to ");
        assertHas(later, "those before");
        assertEquals(404, app.get("/shoots/7/sequence/frames?block=nothing").statusCode());
        assertHas(app.get("/shoots/7/sequence/frames?block=totality-1&from=x").body(), "First frame");
    }

    private static List<CSVRecord> csv(String sequence) throws Exception {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(app.get(sequence + "/frames.csv").body()))
                .getRecords();
    }
}
