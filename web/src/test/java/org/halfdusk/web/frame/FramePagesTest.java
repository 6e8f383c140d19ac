package org.halfdusk.web.frame;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.GZIPOutputStream;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.stars.Star;
import org.halfdusk.ephemeris.stars.StarCatalogue;
import org.halfdusk.place.Place;
import org.halfdusk.place.Skyline;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.planning.Planner;
import org.halfdusk.sky.Sky;
import org.halfdusk.typed.Field;
import org.halfdusk.web.DemoPages;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The Frame step over HTTP: drawn for every subject, aimed, and the year searched. */
@Tag("slow")
class FramePagesTest extends DemoPages {
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7})
    void everySubjectHasItsFrame(long id) throws Exception {
        HttpResponse<String> r = app.get("/shoots/" + id + "/frame");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "class=\"frame-edge\"");
        assertEquals(200, app.get("/shoots/" + id + "/alignments").statusCode());
    }

    @Test
    void starsShowAtNightAndNotByDay() throws Exception {
        assertTrue(app.get("/shoots/1/frame?at=02:30").body().split("<circle cx=").length > 60);
        assertTrue(app.get("/shoots/1/frame?at=20:40").body().split("<circle cx=").length < 10);
    }

    private static String picture(String query, String theme) throws Exception {
        String body =
                app.get("/shoots/8/frame" + query, "Cookie", "theme=" + theme).body();
        return body.substring(body.indexOf("<noscript>"), body.indexOf("</noscript>"));
    }

    /** It is drawn once for all that it follows from: whatever changes, another is shown, and changed back the first again. */
    @Test
    void thePictureFollowsWhateverItIsDrawnFrom() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        Places places = app.bean(Places.class);
        long at = shoots.find(8).orElseThrow().it().placeId();
        Place place = places.find(at).orElseThrow().it();
        String first = picture("", "desk");
        Set<String> all = new HashSet<>(Set.of(first));
        assertTrue(all.add(picture("?at=03:00", "desk")), "another hour");
        assertTrue(all.add(picture("", "field")), "red");
        assertEquals(first, picture("", "desk"));

        places.update(at, place.with(new Skyline(List.of(new Skyline.Point(0, 12), new Skyline.Point(180, 25)))));
        assertTrue(all.add(picture("", "desk")), "another skyline");
        places.update(at, place);
        assertEquals(first, picture("", "desk"));

        for (Map.Entry<Field<Shoot, ?>, String> change : Map.<Field<Shoot, ?>, String>of(
                        ShootField.AIM, "150 30 90", ShootField.NIGHT, "2027-07-09")
                .entrySet()) {
            assertEquals(
                    new Shoots.Outcome.Saved(),
                    shoots.change(
                            8,
                            List.of(Shoots.Edit.read(
                                    change.getKey(),
                                    Optional.of(change.getKey()
                                            .text(shoots.find(8).orElseThrow().it())),
                                    change.getValue()))));
            assertTrue(all.add(picture("", "desk")), change.getKey().name());
            assertTrue(shoots.undo(8));
            assertEquals(first, picture("", "desk"));
        }

        hours("12");
        assertTrue(all.add(picture("", "desk")), "hours of another kind");
        hours("24");
        assertEquals(first, picture("", "desk"));
    }

    /** Saves the settings as they stand but for the clock. */
    private static void hours(String clock) throws Exception {
        Map<String, String> form = new HashMap<>();
        for (Element field : app.page("/settings").select("form:has(#clock) [name]")) {
            form.put(field.attr("name"), field.val());
        }
        form.put("clock", clock);
        assertEquals(302, app.post("/settings", form).statusCode());
    }

    @Test
    void anAimIsKeptChangesTheExposureAndCanBeUndone() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        HttpResponse<String> saved = app.post(
                "/shoots/1/frame", Map.of("was.AIM", "", "azimuth", "171,2", "altitude", "40", "roll", "0", "at", ""));
        assertEquals(302, saved.statusCode());
        assertEquals(
                "171.2 40 0", ShootField.AIM.text(shoots.find(1).orElseThrow().it()));
        assertHas(app.get("/shoots/1/frame").body(), "As the subject asks");
        assertHas(app.get("/shoots/1/expose").body(), "18 mm level");
        assertTrue(shoots.undo(1));
        assertEquals("", ShootField.AIM.text(shoots.find(1).orElseThrow().it()));
    }

    /** Aimed at the zenith only the azimuths before the camera are told at the picture's foot, and north is 0.0, not 360.0. */
    @Test
    void theFootOfAFrameAimedAtTheZenithTellsWhatLiesThere() throws Exception {
        assertEquals(
                302,
                app.post(
                                "/shoots/1/frame",
                                Map.of("was.AIM", "", "azimuth", "359.96", "altitude", "90", "roll", "0", "at", ""))
                        .statusCode());
        Document page = app.page("/shoots/1/frame");
        assertTrue(app.bean(Shoots.class).undo(1));
        assertEquals("0.0", page.select("[name=azimuth]").val());
        assertEquals("0.0", page.select("canvas").attr("data-azimuth"));
        List<Integer> told = page.select("noscript text.haloed[y=424]").eachText().stream()
                .map(t -> Integer.valueOf(t.replace("°", "")))
                .toList();
        assertTrue(told.size() >= 3 && told.contains(0), told.toString());
        assertTrue(told.stream().allMatch(a -> a < 90 || a > 270), told.toString());
    }

    @Test
    void nonsenseIsSaidAndKept() throws Exception {
        HttpResponse<String> r =
                app.post("/shoots/1/frame", Map.of("was.AIM", "", "azimuth", "south", "altitude", "40", "roll", "0"));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "“south”");
        assertHas(r.body(), "value=\"south\"");
        HttpResponse<String> wide = app.get("/shoots/1/alignments?sideways=0.1&over=5&body=MOON&object=0&light=ANY");
        assertEquals(400, wide.statusCode());
        assertHas(wide.body(), "is outside 0.5 to 45");
    }

    @Test
    void theSeasonOfTheCoreOverTheTower() throws Exception {
        assertHas(app.get("/shoots/1/frame").body(), "Within 2° over Watchtower from");
        for (String page : List.of("alignments", "stand")) {
            HttpResponse<String> unknown = app.get("/shoots/1/" + page + "?body=PLUTO&object=0");
            assertEquals(400, unknown.statusCode());
            assertHas(unknown.body(), "hat is sought “PLUTO”");
        }
        assertHas(app.get("/shoots/1/alignments?body=CYGNUS&over=60&sideways=5").body(), "of 2027");
        assertHas(app.get("/shoots/1/stand?body=BAND_TOP").body(), "band");
        String season = app.get("/shoots/1/alignments").body();
        assertHas(season, "nights of 2027, the first");
        assertHas(season, "Fri 4 Jun");
        assertHas(season, ">Core over the watchtower</a>");
        assertHas(app.get("/shoots/2/alignments").body(), "nothing before the sky yet");
    }

    /** One sheet a night: all stars, five-minute turns, and no more than 400 kB on the way. */
    @Test
    void theSheetOfANightIsWholeAndSmall() throws Exception {
        String sheet = app.get("/shoots/1/sky").body();
        JsonNode json = new JsonMapper().readTree(sheet);
        int stars = json.get("magnitudes").size();
        assertTrue(stars > 8800, "stars " + stars);
        assertEquals(3 * stars, json.get("stars").size());
        assertEquals(9 * json.get("clocks").size(), json.get("turns").size());
        assertEquals(7, json.get("bodies").size());
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream zip = new GZIPOutputStream(packed)) {
            zip.write(sheet.getBytes(StandardCharsets.UTF_8));
        }
        assertTrue(packed.size() < 400_000, "compressed " + packed.size());
    }

    /** Turned by the sheet's own matrix, the brightest star stands where the core puts it. */
    @Test
    void theSheetTurnsStarsAsTheCoreDoes() throws Exception {
        JsonNode json = new JsonMapper().readTree(app.get("/shoots/1/sky").body());
        int node = json.get("clocks").size() / 2;
        double[] v = new double[3];
        for (int row = 0; row < 3; row++) {
            for (int k = 0; k < 3; k++) {
                v[row] += json.get("turns").get(9 * node + 3 * row + k).asInt()
                        / 1e6
                        * json.get("stars").get(k).asInt()
                        / 1e6;
            }
        }
        Instant at = Instant.ofEpochMilli(json.get("from").asLong()).plusSeconds(300L * node);
        Sky sky = app.bean(Planner.class)
                .sky(app.bean(Places.class).find(1).orElseThrow().it());
        Star sirius = StarCatalogue.instance().stars().get(0);
        double apart = new Vector(v[0], v[1], v[2])
                .separationRad(sky.stars(List.of(sirius), at).get(0));
        assertEquals(0, Math.toDegrees(apart) * 3600, 1.5, "arcseconds");
    }

    @Test
    void aPanoramaIsLaidKeptAndTakenAway() throws Exception {
        Map<String, String> form = Map.of(
                "was.PANORAMA",
                "",
                "panoramaFrom",
                "90",
                "panoramaSpan",
                "180",
                "panoramaOverlap",
                "30",
                "panoramaRows",
                "1",
                "panoramaSpares",
                "1");
        assertEquals(302, app.post("/shoots/1/frame", form).statusCode());
        String page = app.get("/shoots/1/frame").body();
        assertHas(page, "7 tiles in");
        assertHas(page, "mark on the head");
        assertHas(page, "data-tiles=\"");
        HttpResponse<String> wrong = app.post(
                "/shoots/1/frame",
                Map.of(
                        "was.PANORAMA",
                        "90 180 30 1 1",
                        "panoramaFrom",
                        "90",
                        "panoramaSpan",
                        "500",
                        "panoramaOverlap",
                        "30",
                        "panoramaRows",
                        "1",
                        "panoramaSpares",
                        "1"));
        assertEquals(400, wrong.statusCode());
        assertHas(wrong.body(), "500 ° is outside 1 to 360 °");
        assertHas(wrong.body(), "value=\"500\"");
        assertTrue(app.bean(Shoots.class).undo(1));
        assertEquals(
                "",
                ShootField.ofChoices(RigChoices.PANORAMA)
                        .text(app.bean(Shoots.class).find(1).orElseThrow().it()));
    }

    @Test
    void theDepthSaysWhatIsSharp() throws Exception {
        assertHas(app.get("/shoots/1/frame").body(), "Watchtower at 64 m and the stars are both sharp, from 5.4 m on.");
        assertEquals(
                302,
                app.post("/shoots/1/frame", Map.of("was.FOCUS", "", "FOCUS", "3"))
                        .statusCode());
        assertHas(app.get("/shoots/1/frame").body(), "The stars are soft: sharp ends at 6.7 m.");
        assertTrue(app.bean(Shoots.class).undo(1));
        assertEquals(
                400,
                app.post("/shoots/1/frame", Map.of("was.FOCUS", "", "FOCUS", "-1"))
                        .statusCode());
    }

    @Test
    void whereToStandAnswersAndRefuses() throws Exception {
        HttpResponse<String> r = app.get("/shoots/1/stand?body=MOON&over=0.3");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "The moon stands on Watchtower from the points of the line: from");
        assertHas(r.body(), "class=\"map-spots\"");
        HttpResponse<String> wrong = app.get("/shoots/1/stand?over=99");
        assertEquals(400, wrong.statusCode());
        assertHas(wrong.body(), "99");
        assertHas(app.get("/shoots/2/stand").body(), "nothing before the sky yet");
        String pole = app.get("/shoots/1/stand?body=CELESTIAL_POLE&over=2").body();
        assertHas(pole, "stands still: all night it stands on Watchtower from one point");
        assertEquals(2, pole.split("/places/new\\?latitude=").length, "one point, one row");
        assertEquals(
                200,
                app.get("/map/sheet?lat=35.95&lon=-3.05&zoom=14&stand=1&body=MOON&over=0.3")
                        .statusCode());
    }

    /** A skyline knows directions only: how far its hills are off is typed, and moves the line. */
    @Test
    void oneStandsForAGapToo() throws Exception {
        Places places = app.bean(Places.class);
        long id = app.bean(Shoots.class).find(2).orElseThrow().it().placeId();
        Place flat = places.find(id).orElseThrow().it();
        places.update(
                id,
                flat.with(new Skyline(List.of(
                        new Skyline.Point(0, 2),
                        new Skyline.Point(150, 9),
                        new Skyline.Point(200, 3),
                        new Skyline.Point(240, 8),
                        new Skyline.Point(300, 2)))));
        try {
            String page = app.get("/shoots/2/stand?body=GALACTIC_CENTRE&object=1&over=1&hills=2000")
                    .body();
            assertHas(page, ">the gap at 200°</option>");
            assertHas(page, "The core stands on the gap at 200° from the points of the line: from");
            String farther = app.get("/shoots/2/stand?body=GALACTIC_CENTRE&object=1&over=1&hills=4000")
                    .body();
            assertNotEquals(first(page), first(farther));
            HttpResponse<String> near = app.get("/shoots/2/stand?body=GALACTIC_CENTRE&object=1&over=1&hills=7");
            assertEquals(400, near.statusCode());
            assertHas(near.body(), "100 to 30000");
        } finally {
            places.update(id, flat);
        }
    }

    /** Where the first point of the line is. */
    private static String first(String page) {
        int at = page.indexOf("/places/new?latitude=");
        return page.substring(at, page.indexOf('"', at));
    }

    @Test
    void theYearIsSummedUp() throws Exception {
        assertHas(
                app.get("/shoots/1/alignments/summary").body(),
                "The core within 2° over Watchtower, dark and moonless: 6");
    }
}
