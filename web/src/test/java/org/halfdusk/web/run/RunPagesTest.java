package org.halfdusk.web.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.halfdusk.sequence.Block;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.picture.PictureFiles;
import org.halfdusk.web.shoot.ShootDesk;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The night itself: its bundle, what devices note and how that merges, what can be done when time is lost, clocks. */
@Tag("slow")
class RunPagesTest extends DemoPages {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static JsonNode bundle(long id) throws Exception {
        return JSON.readTree(app.get("/shoots/" + id + "/run/bundle").body());
    }

    private static HttpResponse<String> merge(long id, String json) throws Exception {
        return app.send(HttpRequest.newBuilder(URI.create(app.url("/shoots/" + id + "/run/entries")))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", app.token())
                .POST(HttpRequest.BodyPublishers.ofString(json))
                .build());
    }

    private static String entry(String id, String kind, String text) {
        return "{\"id\":\"" + id + "\",\"at\":1812146400000,\"rig\":0,\"kind\":\"" + kind
                + "\",\"step\":\"\",\"text\":\"" + text + "\"}";
    }

    /** The bundle's shots are the programme's frames, whether told by an interval or listed; the page and the single file carry the same. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7})
    void theBundleIsTheProgramme(long id) throws Exception {
        JsonNode bundle = bundle(id);
        List<Block> blocks =
                app.bean(ShootDesk.class).open(id, Optional.empty()).blocks();
        int frames = 0;
        for (JsonNode s : bundle.get("shots")) {
            if (s.get("rig").asInt() != 0) {
                continue;
            }
            int count = s.get("count").asInt();
            Block block = blocks.stream()
                    .filter(b -> !b.frames().isEmpty()
                            && b.start().toEpochMilli() == s.get("first").asLong()
                            && b.frames().size() == count)
                    .findFirst()
                    .orElseThrow();
            for (int i = 0; i < count; i++) {
                long opens = s.get("every").asLong() > 0
                        ? i * s.get("every").asLong()
                        : s.get("opens").get(2 * i).asLong();
                long planned = block.frames().get(i).open().toEpochMilli()
                        - s.get("first").asLong();
                assertEquals(planned, opens, 2, "frame " + i);
            }
            frames += count;
        }
        assertEquals(Block.frames(blocks), frames);
        JsonNode levels = bundle.get("rigs").get(0).get("levels");
        assertTrue(levels.size() > 1 && levels.size() < 70, "levels " + levels.size());
        assertHas(levels.get(0).get("battery").asString(), "%");
        assertHas(levels.get(0).get("card").asString(), "B");
        Document page = Jsoup.parse(app.get("/shoots/" + id + "/run").body());
        assertEquals(
                bundle.get("version"),
                JSON.readTree(
                                page.select("#run-bundle").first() == null
                                        ? ""
                                        : page.select("#run-bundle").get(0).data())
                        .get("version"));
        assertEquals(bundle.get("steps").size(), page.select(".run-steps li").size());
        Document alone =
                Jsoup.parse(app.get("/shoots/" + id + "/run/alone.html").body());
        assertEquals(0, alone.select("[src], link[href], a[href]").size(), "the single file asks nothing of anybody");
        assertEquals(
                bundle.get("version"),
                JSON.readTree(alone.select("#run-bundle").get(0).data()).get("version"));
    }

    /** Sent twice, in another order, by two devices at once: each entry is there once. */
    @Test
    void entriesMerge() throws Exception {
        String one = "[" + entry("phone-0001", "NOTE", "dew") + "," + entry("phone-0002", "PAUSED", "") + "]";
        String two = "[" + entry("phone-0002", "PAUSED", "") + "," + entry("other-0001", "NOTE", "cloud <b>") + "]";
        Callable<Integer> first = () -> merge(2, one).statusCode();
        Callable<Integer> second = () -> merge(2, two).statusCode();
        ExecutorService both = Executors.newFixedThreadPool(2);
        for (var answer : both.invokeAll(List.of(first, second, first, second))) {
            assertEquals(200, answer.get());
        }
        both.shutdown();
        List<RunEntry> kept = app.bean(RunLog.class).entries(2);
        assertEquals(
                List.of("other-0001", "phone-0001", "phone-0002"),
                kept.stream().map(RunEntry::id).toList());
        assertEquals(0, JSON.readTree(merge(2, one).body()).get("added").asInt());
        String page = app.get("/shoots/2/run").body();
        assertFalse(page.contains("cloud <b>"), "what was noted is text");
        assertHas(page, "cloud");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[null]|is null",
                "[{\"id\":\"x\",\"at\":0,\"rig\":0,\"kind\":\"NOTE\",\"step\":\"\",\"text\":\"a\"}]|“x”",
                "[{\"id\":\"phone-1234\",\"at\":0,\"rig\":700,\"kind\":\"NOTE\",\"step\":\"\",\"text\":\"a\"}]|700",
                "[{\"id\":\"phone-1234\",\"at\":0,\"rig\":0,\"kind\":\"DANCED\",\"step\":\"\",\"text\":\"a\"}]|DANCED",
                "[{\"id\":\"phone-1234\",\"at\":0,\"rig\":0,\"kind\":\"NOTE\",\"step\":\"\",\"text\":\" \"}]|note is empty"
            })
    void wrongEntriesAreNamed(String json, String named) throws Exception {
        HttpResponse<String> r = merge(1, json);
        assertEquals(400, r.statusCode(), r.body());
        assertHas(r.body(), named);
    }

    @Test
    void doneWithoutAScript() throws Exception {
        String step = bundle(5).get("steps").get(0).get("id").asString();
        Map<String, String> done = Map.of("kind", "DONE", "rig", "0", "step", step);
        assertEquals(302, app.post("/shoots/5/run/note", done).statusCode());
        assertHas(app.get("/shoots/5/run").body(), "1 done of");
        app.post("/shoots/5/run/note", Map.of("kind", "UNDONE", "rig", "0", "step", step));
        assertFalse(app.get("/shoots/5/run").body().contains("1 done of"));
        assertEquals(400, app.post("/shoots/5/run/note", Map.of("text", " ")).statusCode());
        assertEquals(404, app.get("/shoots/99/run/bundle").statusCode());
    }

    /** Forty minutes of cloud in the trails: nothing changes by asking; what is chosen becomes the programme; Undo takes it back. */
    @Test
    void aWayOutIsChosen() throws Exception {
        ShootDesk desk = app.bean(ShootDesk.class);
        Block trails = desk.open(6, Optional.empty()).blocks().get(0);
        Instant cloud = trails.frames().get(20).open();
        String asked = app.get("/shoots/6/run/ways?minutes=40&from=" + cloud).body();
        assertEquals(3, Jsoup.parse(asked).select("#ways form").size(), asked);
        assertEquals(trails, desk.open(6, Optional.empty()).blocks().get(0), "asking changes nothing");
        Map<String, String> later = Map.of("way", "LATER", "minutes", "40", "from", cloud.toString(), "spoilt", "");
        assertEquals(302, app.post("/shoots/6/run", later).statusCode());
        List<Block> now = desk.open(6, Optional.empty()).blocks();
        assertEquals(20, now.get(0).frames().size());
        assertEquals(cloud.plusSeconds(2400), now.get(1).start());
        assertEquals(
                trails.frames().size(),
                now.get(0).frames().size() + now.get(1).frames().size());
        assertTrue(app.bean(Shoots.class).undo(6));
        assertEquals(trails, desk.open(6, Optional.empty()).blocks().get(0));
        assertHas(app.get("/shoots/6/run/ways?minutes=many").body(), "“many” is not a number");
        assertHas(app.get("/shoots/7/run/ways?minutes=5").body(), "Nothing is lost by that");
    }

    @Test
    void aCamerasClockIsKept() throws Exception {
        long camera = app.bean(Shoots.class).find(1).orElseThrow().it().rig().cameraId();
        Map<String, String> form = Map.of("camera", "" + camera, "shown", "18:30:05.3", "file", "18:30:06,5");
        assertEquals(302, app.post("/clock", form).statusCode());
        assertEquals(
                1.2,
                Optional.ofNullable(app.bean(RunLog.class).clocks().get(camera))
                        .orElseThrow()
                        .seconds(),
                1e-9);
        assertHas(app.get("/clock").body(), "1.2 s ahead");
        JsonNode step = bundle(1).get("steps").get(0);
        assertHas(step.get("detail").asString(), "its own clock shows");
        assertHas(
                app.get("/shoots/1/sequence").body(),
                "clock is 1.2 s ahead: what starts by it starts that much too early");
        assertHas(app.get("/shoots/1/sequence/card").body(), "1.2 s ahead");
        HttpResponse<String> wrong =
                app.post("/clock", Map.of("camera", "" + camera, "shown", "25:00:00", "file", "18:30:06"));
        assertEquals(400, wrong.statusCode());
        assertHas(wrong.body(), "“25:00:00” is no time");
        assertHas(wrong.body(), "value=\"18:30:06\"");
    }

    /** The file of the picture says it to its fraction of a second, whatever zone the camera is set to. */
    @Test
    void aCamerasClockFromItsFile() throws Exception {
        long camera = app.bean(Shoots.class).find(2).orElseThrow().it().rig().cameraId();
        String clock = "/clock?camera=" + camera + "&shown=18:30:05.30";
        byte[] file = PictureFiles.taken("2027:05:25 04:00:04", "12");
        assertEquals(302, app.upload(clock, "picture", "face.jpg", file).statusCode());
        assertEquals(
                -1.18,
                Optional.ofNullable(app.bean(RunLog.class).clocks().get(camera))
                        .orElseThrow()
                        .seconds(),
                1e-9);
        HttpResponse<String> none = app.upload(clock, "picture", "grey.jpg", PictureFiles.jpeg(8, 8));
        assertEquals(400, none.statusCode());
        assertHas(none.body(), "“grey.jpg” does not say when it was taken");
    }

    @Test
    void itCanBeInstalled() throws Exception {
        HttpResponse<String> worker = app.get("/sw.js");
        assertTrue(worker.headers().firstValue("Content-Type").orElse("").startsWith("text/javascript"));
        assertEquals("no-cache", worker.headers().firstValue("Cache-Control").orElse(""));
        JsonNode manifest = JSON.readTree(app.get("/manifest.webmanifest").body());
        assertEquals("standalone", manifest.get("display").asString());
        assertEquals(
                200, app.get(manifest.get("icons").get(0).get("src").asString()).statusCode());
    }

    /** The same night by page and by interface; simulated cameras are named as such. */
    @Test
    void aRehearsal() throws Exception {
        JsonNode gone = JSON.readTree(app.get("/api/v1/shoots/7/rehearsal?seed=5&faults=CLOCK_OFF,CABLE_OUT")
                .body());
        assertEquals(2, gone.get("faults").size());
        assertEquals(
                gone.toString(),
                JSON.readTree(app.get("/api/v1/shoots/7/rehearsal?seed=5&faults=CLOCK_OFF,CABLE_OUT")
                                .body())
                        .toString());
        assertTrue(gone.get("missed").size() > 0);
        String page = app.get("/shoots/7/run/rehearsal?night=5&fault=CLOCK_OFF&fault=CABLE_OUT")
                .body();
        assertHas(page, "All cameras are simulated");
        String text = Jsoup.parse(page).text();
        for (String href : Jsoup.parse(page).select(".rehearsal-found a").eachAttr("href")) {
            assertEquals(200, app.get(href).statusCode(), href + " mends nothing");
        }
        for (JsonNode f : gone.get("findings")) {
            assertTrue(text.contains(f.asString()), f.asString() + " in " + text);
        }
        assertEquals(400, app.get("/api/v1/shoots/7/rehearsal?faults=RAIN").statusCode());
        assertEquals(400, app.get("/shoots/7/run/rehearsal?fault=RAIN").statusCode());
        assertEquals(404, app.get("/api/v1/shoots/99/rehearsal").statusCode());
    }

    /** Each fault can strike, is named, and what is found of it has a button that does something. */
    @ParameterizedTest
    @EnumSource(Fault.class)
    void whatIsFoundIsMended(Fault fault) throws Exception {
        HttpResponse<String> r = app.get("/shoots/7/run/rehearsal?fault=" + fault);
        assertEquals(200, r.statusCode());
        for (Element f : Jsoup.parse(r.body()).select(".rehearsal-found li")) {
            Element form = f.selectFirst("form");
            if (form == null) {
                assertEquals(200, app.get(f.select("a").attr("href")).statusCode());
                continue;
            }
            Map<String, String> fields = new HashMap<>();
            form.select("input").forEach(i -> fields.put(i.attr("name"), i.val()));
            fields.remove("_csrf");
            assertEquals(302, app.post(form.attr("action"), fields).statusCode(), form.outerHtml());
            if (fields.containsKey("name")) {
                assertHas(app.get("/shoots/7/pack").body(), fields.get("name"));
            }
        }
    }

    /** A fault that is chosen while it runs strikes at its moment and rig, and is carried on with the next. */
    @Test
    void aFaultChosenWhileItRuns() throws Exception {
        String at = "2027-08-02T08:47:00Z";
        String first = app.get("/shoots/7/run/rehearsal?night=3&strike=CABLE_OUT&rig=2&from=" + at)
                .body();
        assertHas(first, "Chosen: cable out, rig 2, 10:47:00");
        assertEquals(
                List.of("CABLE_OUT@2@" + at),
                Jsoup.parse(first).select("[data-strike] [name=struck]").eachAttr("value"));
        String second = app.get("/shoots/7/run/rehearsal?night=3&strike=DEW&rig=1&from=2027-08-02T08:50:00Z&struck="
                        + URLEncoder.encode("CABLE_OUT@2@" + at, StandardCharsets.UTF_8))
                .body();
        assertHas(second, "Chosen: cable out, rig 2, 10:47:00");
        assertHas(second, "Chosen: dew, rig 1, 10:50:00");
        for (String wrong : List.of("RAIN@1@" + at, "DEW@700@" + at, "DEW@1@noon", "DEW", "@@")) {
            HttpResponse<String> r =
                    app.get("/shoots/7/run/rehearsal?struck=" + URLEncoder.encode(wrong, StandardCharsets.UTF_8));
            assertEquals(400, r.statusCode(), wrong);
            assertTrue(r.body().contains("allowed") || r.body().contains("is outside 1 to 100"), r.body());
        }
    }
}
