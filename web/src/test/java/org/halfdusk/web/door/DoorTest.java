package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Requests as nobody's page sends them: answered in words, never by a fault of ours. */
@Tag("slow")
class DoorTest extends DemoPages {
    private static HttpResponse<String> ask(String method, String path, String... headers) throws Exception {
        HttpRequest.Builder b =
                HttpRequest.newBuilder(URI.create(app.url(path))).method(method, HttpRequest.BodyPublishers.noBody());
        if (headers.length > 0) {
            b.headers(headers);
        }
        return app.send(b.build());
    }

    /** What a client library would not let through. */
    private static String raw(String request) throws Exception {
        try (Socket s = new Socket("127.0.0.1", app.port())) {
            s.setSoTimeout(10_000);
            OutputStream out = s.getOutputStream();
            out.write(request.getBytes(StandardCharsets.ISO_8859_1));
            out.flush();
            InputStream in = s.getInputStream();
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static String rawGet(String path) throws Exception {
        return raw("GET " + path + " HTTP/1.1\r\nHost: 127.0.0.1:" + app.port() + "\r\nConnection: close\r\n\r\n");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/nights?x=%zz", "/shoots?q=%", "/api/v1/sky?lat=%ff%fe&lon=1", "/map?lat=%e", "/about?a=%00%zz"
            })
    void whatCannotBeDecodedIsRefusedInWords(String path) throws Exception {
        String answer = rawGet(path);
        assertTrue(answer.startsWith("HTTP/1.1 400"), answer);
        assertTrue(answer.contains("allowed"), answer);
        assertEquals(path.startsWith("/api"), answer.contains("application/problem+json"), answer);
    }

    /** Packing takes longer than the way to this machine's own browser. */
    @Test
    void atTheMachineItselfNothingIsPacked() throws Exception {
        HttpResponse<String> r = ask("GET", "/nights", "Accept-Encoding", "gzip");
        assertEquals(200, r.statusCode());
        assertTrue(r.headers().firstValue("Content-Encoding").isEmpty());
    }

    @Test
    void aFormThatCannotBeDecodedToo() throws Exception {
        HttpResponse<String> r = app.send(HttpRequest.newBuilder(URI.create(app.url("/settings")))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + app.token() + "&budget=%zz"))
                .build());
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "cannot be decoded");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{x}", "${7*7}", "<b>", "2027-06-04T25:99:00Z", "+999999999-01-01T00:00:00Z"})
    void aPlayheadThatIsNoMomentCountsAsNone(String at) throws Exception {
        assertEquals(200, ask("GET", "/shoots/1/night?at=" + encoded(at)).statusCode());
        HttpResponse<String> r = app.post("/shoots/1/expose", Map.of("at", at, "BUDGET", "2.6", "was.BUDGET", "2.6"));
        assertEquals(302, r.statusCode());
        assertTrue(r.headers().firstValue("Location").orElse("").endsWith("/shoots/1/expose"));
    }

    @Test
    void aPlayheadOfTenThousandCharactersToo() throws Exception {
        HttpResponse<String> r =
                app.post("/shoots/1/expose", Map.of("at", "9".repeat(10_000), "BUDGET", "2.6", "was.BUDGET", "2.6"));
        assertEquals(302, r.statusCode());
    }

    private static String encoded(String text) {
        return java.net.URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(strings = {"/backup", "/places/formats", "/places/1/skyline", "/places/1/forecast"})
    void fileDoorsWithoutAFile(String door) throws Exception {
        assertEquals(400, app.post(door, Map.of("x", "1")).statusCode());
        assertEquals(400, app.upload(door, "other", "a.txt", "text").statusCode());
        assertEquals(400, app.upload(door, "file", "", "").statusCode());
        HttpResponse<String> broken = app.send(HttpRequest.newBuilder(URI.create(app.url(door)))
                .headers("Content-Type", "multipart/form-data; boundary=x", "X-XSRF-TOKEN", app.token())
                .POST(HttpRequest.BodyPublishers.ofString("--x\r\nno head, no end"))
                .build());
        assertTrue(broken.statusCode() >= 400 && broken.statusCode() < 500, () -> broken.statusCode() + broken.body());
        HttpResponse<String> edgeless = app.send(HttpRequest.newBuilder(URI.create(app.url(door)))
                .headers("Content-Type", "multipart/form-data", "X-XSRF-TOKEN", app.token())
                .POST(HttpRequest.BodyPublishers.ofString("x"))
                .build());
        assertTrue(edgeless.statusCode() >= 400 && edgeless.statusCode() < 500, () -> "" + edgeless.statusCode());
    }

    @ParameterizedTest
    @CsvSource({
        "GET, /api/v1/nothing, 404, */*",
        "POST, /api/v1/sky, 403, */*",
        "GET, /api/v1/sky, 400, */*",
        "GET, '/api/v1/sky?lat=1&lon=1&at=2027-06-04T22:00:00Z', 406, application/xml",
        "OPTIONS, /api/v1/nothing, 404, */*",
        "GET, /api/v1, 404, */*",
        "GET, '/api/v1/moon/phases?from=x', 400, text/html",
        "GET, /api/, 404, */*"
    })
    void theJsonInterfaceRefusesByDocuments(String method, String path, int status, String accept) throws Exception {
        HttpResponse<String> r = ask(method, path, "Accept", accept);
        assertEquals(status, r.statusCode(), r.body());
        assertEquals(
                "application/problem+json",
                r.headers().firstValue("Content-Type").orElse(""));
        JsonNode body = JsonMapper.builder().build().readTree(r.body());
        assertEquals(status, body.get("status").asInt());
        assertFalse(body.get("title").asString().isBlank());
        assertFalse(body.get("detail").asString().isBlank());
    }

    @Test
    void aMethodThatIsNotTakenNamesThoseThatAre() throws Exception {
        HttpResponse<String> r = app.send(HttpRequest.newBuilder(URI.create(app.url("/api/v1/sky")))
                .header("X-XSRF-TOKEN", app.token())
                .method("DELETE", HttpRequest.BodyPublishers.noBody())
                .build());
        assertEquals(405, r.statusCode(), r.body());
        assertHas(r.body(), "allowed: GET");
    }

    @Test
    void aPictureForWhoWantsOnlyPages() throws Exception {
        HttpResponse<String> r = ask("GET", "/nights/carpet.png?place=1&start=2027-06-01", "Accept", "text/html");
        assertEquals(406, r.statusCode());
        assertHas(r.body(), "image/png");
    }

    @Test
    void listsMayBeGivenInPartsAndSingleValuesOnce() throws Exception {
        String at = "/api/v1/events?lat=36&lon=-3&from=2027-06-04T00:00:00Z&to=2027-06-05T00:00:00Z";
        String both = ask("GET", at + "&types=SUNRISE&types=SUNSET").body();
        assertTrue(both.contains("SUNRISE") && both.contains("SUNSET"), both);
        HttpResponse<String> twice = ask("GET", at + "&lat=37");
        assertEquals(400, twice.statusCode());
        assertHas(twice.body(), "one value, not 2");
        for (String odd : List.of("12d", "0x1p4", "NaN", "1,5", "Infinity")) {
            assertEquals(
                    400, ask("GET", at.replace("lat=36", "lat=" + encoded(odd))).statusCode(), odd);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/places/0x1", "/places/1d", "/shoots/0x1/night", "/places/%EF%BC%91", "/kit/cameras/1e0"})
    void numbersInAddressesAreDigits(String path) throws Exception {
        assertEquals(404, ask("GET", path).statusCode());
    }

    /** Beside pages and beside files: a sentence that names the address, whatever Spring calls it. */
    @ParameterizedTest
    @ValueSource(strings = {"/stack", "/shoots/1/nothing", "/assets/none.css", "/nights/2027"})
    void whatIsNotThereIsNamed(String path) throws Exception {
        HttpResponse<String> r = ask("GET", path);
        assertEquals(404, r.statusCode());
        assertHas(r.body(), "There is no page " + path + ".");
        assertFalse(r.body().contains("endpoint"), r.body());
    }

    /** A form whose own page does not show it again is kept by the door: named, to be mended, and sent again. */
    @Test
    void whatAnyFormIsRefusedForStaysTyped() throws Exception {
        String weather = "fog ".repeat(200).strip();
        HttpRequest own = HttpRequest.newBuilder(URI.create(app.url("/shoots/1/review/afterwards")))
                .headers("Content-Type", "application/x-www-form-urlencoded", "Origin", app.url(""))
                .POST(HttpRequest.BodyPublishers.ofString(
                        "_csrf=" + app.token() + "&text=went+well&mark=&weather=" + weather.replace(' ', '+')))
                .build();
        HttpResponse<String> r = app.send(own);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "at most 300 are allowed");
        assertHas(r.body(), ">" + weather + "</textarea>");
        assertHas(r.body(), ">went well</textarea>");
        assertHas(r.body(), "action=\"/shoots/1/review/afterwards\"");
    }

    /** The page's token is from before a restart: nothing is lost, one press sends it again. */
    @Test
    void aLostTokenKeepsWhatWasTyped() throws Exception {
        HttpRequest own = HttpRequest.newBuilder(URI.create(app.url("/shoots/1/night")))
                .headers("Content-Type", "application/x-www-form-urlencoded", "Origin", app.url(""))
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=stale&NOTES=bring+the+%22red%22+lamp&was.NOTES="))
                .build();
        HttpResponse<String> r = app.send(own);
        assertEquals(403, r.statusCode());
        assertHas(r.body(), "Send it again");
        assertHas(r.body(), ">bring the &quot;red&quot; lamp</textarea>");
        assertHas(r.body(), "action=\"/shoots/1/night\"");
        assertFalse(r.body().contains("stale"));
        HttpRequest foreign = HttpRequest.newBuilder(URI.create(app.url("/shoots/1/night")))
                .headers("Content-Type", "application/x-www-form-urlencoded", "Origin", "http://elsewhere.example")
                .POST(HttpRequest.BodyPublishers.ofString("NOTES=mine"))
                .build();
        HttpResponse<String> no = app.send(foreign);
        assertEquals(403, no.statusCode());
        assertFalse(no.body().contains("Send it again"), "a foreign page's form must not be confirmed here");
    }

    @Test
    void whereToComeBackToIsAPathOfOurs() throws Exception {
        for (String back : List.of(
                "//evil.example",
                "/\\evil.example",
                "https://evil.example",
                "/a\r\nSet-Cookie: x=y",
                "/{x}",
                "/ü",
                "/%zz")) {
            HttpResponse<String> r = app.post("/theme", Map.of("theme", "desk", "back", back));
            assertEquals("/nights", r.headers().firstValue("Location").orElse(""), back);
            assertEquals(
                    1,
                    r.headers().allValues("Set-Cookie").stream()
                            .filter(c -> c.startsWith("theme="))
                            .count());
        }
        HttpResponse<String> r = app.post("/theme", Map.of("theme", "desk", "back", "/shoots/1/night?at=22:30"));
        assertEquals(
                "/shoots/1/night?at=22:30", r.headers().firstValue("Location").orElse(""));
        assertEquals(400, app.post("/theme", Map.of("theme", "pink")).statusCode());
    }

    @Test
    void choicesTakeOnlyWhatTheyOffer() throws Exception {
        for (String field : List.of("FILES", "NOISE_REDUCTION", "PERSON", "MOUNT", "ISO_SCHOOL")) {
            HttpResponse<String> r = app.post("/shoots/1/sequence", Map.of(field, "perhaps", "was." + field, ""));
            assertEquals(400, r.statusCode(), field);
        }
        HttpResponse<String> kit = app.post("/kit/supports", Map.of("name", "Tripod", "sidereal", "perhaps"));
        assertEquals(400, kit.statusCode());
        assertHas(kit.body(), "“perhaps” is not known");
        assertEquals(404, app.post("/shoots/1/pack/own/999999/remove", Map.of()).statusCode());
        assertEquals(
                400,
                app.post("/shoots/1/pack/ticks", Map.of("packed", "x".repeat(61)))
                        .statusCode());
        assertEquals(
                400,
                app.post("/settings", Map.of("budget", "2.6", "lowestCore", "10", "length", "miles"))
                        .statusCode());
    }

    @Test
    void aPresetPressedTwiceMakesOneRig() throws Exception {
        app.post("/kit/preset", Map.of("camera", "3", "lens", "4"));
        int rigs = app.bean(org.halfdusk.shoot.kept.kit.Rigs.class).rigs().size();
        app.post("/kit/preset", Map.of("camera", "3", "lens", "4"));
        assertEquals(
                rigs, app.bean(org.halfdusk.shoot.kept.kit.Rigs.class).rigs().size());
    }

    @Test
    void forecastsOfFarYearsAreRefused() throws Exception {
        HttpResponse<String> r = app.upload(
                "/places/1/forecast",
                "file",
                "a.csv",
                "time,temperature,humidity,cloud,wind\n9999-01-01T00:00Z,1,50,1,1\n");
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "outside the years 1950 to 2100");
    }

    /** Told by its length before any of it is read; a part is read and dropped, so that a browser sees the answer. */
    @Test
    void aFileThatIsTooLongIsRefusedByItsLength() throws Exception {
        String head = "POST /places/formats HTTP/1.1\r\nHost: 127.0.0.1:" + app.port()
                + "\r\nContent-Type: multipart/form-data; boundary=x\r\n";
        long begun = System.nanoTime();
        try (Socket s = new Socket("127.0.0.1", app.port())) {
            s.setSoTimeout(20_000);
            OutputStream out = s.getOutputStream();
            out.write((head + "Content-Length: 60000000\r\nConnection: close\r\n\r\n")
                    .getBytes(StandardCharsets.ISO_8859_1));
            out.write(new byte[60_000_000]);
            out.flush();
            String answer = new String(s.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.startsWith("HTTP/1.1 413"), answer);
            assertTrue(answer.contains("up to 50 MB are allowed"), answer);
        }
        assertTrue(System.nanoTime() - begun < 20_000_000_000L);
        String chunked = raw(head + "Transfer-Encoding: chunked\r\nConnection: close\r\n\r\n5\r\n--x\r\n\r\n0\r\n\r\n");
        assertTrue(chunked.startsWith("HTTP/1.1 411"), chunked);
    }

    @Test
    void twoTabsOnAPlaceMergeAndAsk() throws Exception {
        Map<String, String> shown = new java.util.HashMap<>(
                Map.of("name", "Old Watchtower", "latitude", "35.952", "longitude", "-3.048", "elevation", "62"));
        String page = app.get("/places/1").body();
        java.util.regex.Matcher m = java.util.regex.Pattern.compile("name=\"was\\.([^\"]+)\" value=\"([^\"]*)\"")
                .matcher(page);
        Map<String, String> was = new java.util.HashMap<>();
        while (m.find()) {
            was.put("was." + m.group(1), org.springframework.web.util.HtmlUtils.htmlUnescape(m.group(2)));
            shown.put(m.group(1), was.get("was." + m.group(1)));
        }
        assertTrue(was.size() > 10, page);
        Map<String, String> first = new java.util.HashMap<>(shown);
        first.putAll(was);
        Map<String, String> second = new java.util.HashMap<>(first);
        first.put("tide", "low at two");
        second.put("parking", "by the gate");
        second.put("elevation", "61");
        assertEquals(302, app.post("/places/1", first).statusCode());
        assertEquals(302, app.post("/places/1", second).statusCode());
        org.halfdusk.place.Place now = app.bean(org.halfdusk.shoot.kept.Places.class)
                .find(1)
                .orElseThrow()
                .it();
        assertEquals("low at two", now.notes().tide());
        assertEquals("by the gate", now.notes().parking());
        assertEquals(61, now.observer().elevationMetres());
        first.put("elevation", "70");
        HttpResponse<String> asked = app.post("/places/1", first);
        assertEquals(409, asked.statusCode());
        assertHas(asked.body(), "Another tab changed elevation to “61” meanwhile; you chose “70”.");
        assertHas(asked.body(), "name=\"was.elevation\" value=\"61\"");
        first.put("was.elevation", "61");
        first.put("clash", "mine");
        assertEquals(302, app.post("/places/1", first).statusCode());
        assertEquals(
                70,
                app.bean(org.halfdusk.shoot.kept.Places.class)
                        .find(1)
                        .orElseThrow()
                        .it()
                        .observer()
                        .elevationMetres());
        second.put("elevation", "55");
        second.put("clash", "theirs");
        assertEquals(302, app.post("/places/1", second).statusCode());
        assertEquals(
                70,
                app.bean(org.halfdusk.shoot.kept.Places.class)
                        .find(1)
                        .orElseThrow()
                        .it()
                        .observer()
                        .elevationMetres());
    }

    @Test
    void aShootThatCannotBeReadIsShownAndEverythingElseWorks() throws Exception {
        long copy = app.bean(Shoots.class).duplicate(1).orElseThrow();
        try (java.sql.Connection c =
                        java.sql.DriverManager.getConnection("jdbc:sqlite:" + data().resolve("half-dusk.db"));
                java.sql.Statement s = c.createStatement()) {
            s.execute("PRAGMA busy_timeout = 5000");
            s.execute("UPDATE shoot SET title = '" + "y".repeat(100_000) + "', night = 'soon' WHERE id = " + copy);
            s.execute("INSERT OR REPLACE INTO setting VALUES ('budget', 'abc')");
        }
        HttpResponse<String> list = app.get("/shoots");
        assertEquals(200, list.statusCode());
        assertHas(list.body(), "Kept, but not to be read");
        assertEquals(422, app.get("/shoots/" + copy + "/night").statusCode());
        assertEquals(200, app.get("/backup.json").statusCode());
        assertEquals(302, app.post("/shoots/" + copy + "/delete", Map.of()).statusCode());
        assertFalse(app.get("/shoots").body().contains("Kept, but not to be read"));
        app.bean(org.halfdusk.shoot.kept.KeptSettings.class).replace(Map.of());
    }

    /** Another program writes for long: 503, what was typed is there to be sent again, and once it is free it is saved. */
    @Test
    void aLockedDatabaseKeepsWhatWasTyped() throws Exception {
        try (java.sql.Connection c =
                        java.sql.DriverManager.getConnection("jdbc:sqlite:" + data().resolve("half-dusk.db"));
                java.sql.Statement s = c.createStatement()) {
            s.execute("BEGIN IMMEDIATE");
            HttpResponse<String> r = app.send(HttpRequest.newBuilder(URI.create(app.url("/places")))
                    .headers("Content-Type", "application/x-www-form-urlencoded", "Origin", app.url(""))
                    .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + app.token()
                            + "&name=Locked+Cove&latitude=35.9&longitude=-3.1&elevation=3&sky=21"))
                    .build());
            assertEquals(503, r.statusCode());
            assertHas(r.body(), "Another program holds the database.");
            assertHas(r.body(), "name=\"name\">Locked Cove</textarea>");
            assertHas(r.body(), "Send it again");
            assertEquals(200, app.get("/places").statusCode(), "what is read works meanwhile");
            s.execute("ROLLBACK");
        }
        Map<String, String> again =
                Map.of("name", "Locked Cove", "latitude", "35.9", "longitude", "-3.1", "elevation", "3", "sky", "21");
        assertEquals(302, app.post("/places", again).statusCode());
        assertHas(app.get("/places").body(), "Locked Cove");
    }
}
