package org.halfdusk.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.typed.Field;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The pages over HTTP: what they answer, what they refuse and how, what protects them. */
@Tag("slow")
class PagesTest {
    private static final Pattern ELSEWHERE = Pattern.compile("(?:href|src|action|content)=\"(?:https?:)?//");

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

    private static final Map<String, String> GOOD_PLACE = Map.of(
            "name",
            "Cove",
            "latitude",
            "35.9",
            "longitude",
            "-3.1",
            "elevation",
            "3",
            "sky",
            "21",
            "zone",
            "",
            "access",
            "");

    private static Map<String, String> placeWith(String field, String value) {
        Map<String, String> form = new HashMap<>(GOOD_PLACE);
        form.put(field, value);
        return form;
    }

    private static void assertHas(HttpResponse<String> r, String text) {
        assertTrue(r.body().contains(text), () -> "no “" + text + "” in:\n" + r.body());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/nights",
                "/shoots",
                "/shoots/1/night",
                "/shoots/1/expose",
                "/places",
                "/places/1",
                "/places/new",
                "/kit",
                "/kit/cameras/1",
                "/kit/lenses/new",
                "/kit/converters/1",
                "/keys",
                "/about",
                "/nights?place=2&from=2027-12-20",
                "/shoots/1/night?at=02:30",
                "/shoots/1/expose?at=nonsense",
                "/shoots?q=zzz"
            })
    void pagesAnswerWithoutAddressesOutsideAndWithoutInlineStyleOrScript(String path) throws Exception {
        HttpResponse<String> r = app.get(path);
        assertEquals(200, r.statusCode());
        assertFalse(ELSEWHERE.matcher(r.body()).find(), "an address outside");
        assertFalse(r.body().contains("style=\""), "inline style");
        assertFalse(r.body().contains("<style"), "inline style sheet");
        assertFalse(Pattern.compile("<script(?! src)").matcher(r.body()).find(), "inline script");
        assertTrue(r.headers().firstValue("Content-Security-Policy").orElse("").contains("default-src 'none'"));
        assertEquals("nosniff", r.headers().firstValue("X-Content-Type-Options").orElse(""));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/shoots/999/night", "/shoots/abc/night", "/places/999", "/kit/tripods/1", "/kit/lenses/99", "/x"
            })
    void whatIsNotThereIsSaidSo(String path) throws Exception {
        HttpResponse<String> r = app.get(path);
        assertEquals(404, r.statusCode());
        assertHas(r, "Not here");
        assertHas(r, "To the nights");
    }

    @Test
    void datesOutsideTheTablesAreRefused() throws Exception {
        HttpResponse<String> r = app.get("/nights?from=2200-01-01");
        assertEquals(400, r.statusCode());
        assertHas(r, "2200-01-01 is outside 1950-01-01 to 2100-12-30");
        assertEquals(400, app.get("/nights?from=tomorrow").statusCode());
        assertEquals(200, app.get("/nights?from=2100-12-20").statusCode());
    }

    @Test
    void latitude97IsRefusedByTheFieldAndKept() throws Exception {
        HttpResponse<String> r = app.post("/places", placeWith("latitude", "97"));
        assertEquals(400, r.statusCode());
        assertHas(r, "Latitude 97 is outside −90° to 90°.");
        assertHas(r, "value=\"97\"");
        assertHas(r, "value=\"Cove\"");
    }

    @ParameterizedTest
    @ValueSource(strings = {"name", "longitude", "elevation"})
    void emptyFieldsOfAPlaceAreNamed(String field) throws Exception {
        HttpResponse<String> r = app.post("/places", placeWith(field, ""));
        assertEquals(400, r.statusCode());
        assertHas(r, "is empty; ");
    }

    @Test
    void aPlaceTakesTheNearestTownsZone() throws Exception {
        assertEquals(302, app.post("/places", GOOD_PLACE).statusCode());
        Places places = app.bean(Places.class);
        var cove = places.list().stream()
                .filter(p -> p.it().name().equals("Cove"))
                .findFirst()
                .orElseThrow();
        assertTrue(cove.it().zone().getId().startsWith("Africa/")
                || cove.it().zone().getId().startsWith("Europe/"));
        assertEquals(302, app.post("/places/" + cove.id() + "/delete", Map.of()).statusCode());
    }

    @Test
    void aPlaceInUseIsNotDeleted() throws Exception {
        HttpResponse<String> r = app.post("/places/1/delete", Map.of());
        assertEquals(409, r.statusCode());
        assertHas(r, "Core over the watchtower");
    }

    @Test
    void apertureZeroAndOtherNonsenseInKit() throws Exception {
        Map<String, String> lens = new HashMap<>(Map.of(
                "name", "x", "shortest", "24", "longest", "70", "widest", "0", "widestLong", "2.8", "smallest", "22"));
        lens.put("sharpest", "5.6");
        HttpResponse<String> r = app.post("/kit/lenses", lens);
        assertEquals(400, r.statusCode());
        assertHas(r, "Widest aperture f/ 0 is outside 0.5 to 64.");
        lens.put("widest", "2.8");
        lens.put("longest", "7");
        assertHas(app.post("/kit/lenses", lens), "shorter than the shortest");
        lens.put("longest", "");
        assertHas(app.post("/kit/lenses", lens), "Longest focal length is empty");
    }

    @Test
    void isoMinus100OfACamera() throws Exception {
        Map<String, String> c = new HashMap<>(Map.of(
                "name",
                "x",
                "width",
                "36",
                "height",
                "24",
                "across",
                "6000",
                "down",
                "4000",
                "lowIso",
                "-100",
                "highIso",
                "6400",
                "shortest",
                "8000",
                "longest",
                "30",
                "raw",
                "30"));
        c.putAll(Map.of("jpeg", "0", "buffer", "20", "write", "90", "frames", "400", "minutes", "100"));
        HttpResponse<String> r = app.post("/kit/cameras", c);
        assertEquals(400, r.statusCode());
        assertHas(r, "Lowest ISO -100 is outside 6 to 3276800.");
        assertHas(r, "value=\"-100\"");
    }

    private static Map<String, String> edit(Field<Shoot, ?> field, String was, String value) {
        return Map.of(field.name(), value, "was." + field.name(), was);
    }

    @Test
    void focalLengthEmptyOrOutsideTheLens() throws Exception {
        HttpResponse<String> empty = app.post("/shoots/1/expose", edit(ShootField.FOCAL, "18", ""));
        assertEquals(400, empty.statusCode());
        assertHas(empty, "Focal length is empty; 1 to 5000 mm is allowed.");
        HttpResponse<String> outside = app.post("/shoots/1/expose", edit(ShootField.FOCAL, "18", "90"));
        assertEquals(400, outside.statusCode());
        assertHas(outside, "Focal length 90 mm is outside this lens: 18 mm only.");
        assertHas(outside, "value=\"90\"");
    }

    @Test
    void pinsThatAreNoValues() throws Exception {
        assertHas(app.post("/shoots/1/expose", edit(ShootField.APERTURE, "", "0")), "Aperture f/ 0 is outside");
        assertHas(app.post("/shoots/1/expose", edit(ShootField.ISO, "", "-100")), "ISO -100 is outside 6 to 3276800.");
        assertHas(app.post("/shoots/1/expose", edit(ShootField.LENS, "1", "77")), "Lens number 77 is not known");
        assertHas(
                app.post("/shoots/1/night", edit(ShootField.NIGHT, "2027-06-04", "2200-01-01")),
                "2200-01-01 is outside");
        assertHas(app.post("/shoots/1/night", edit(ShootField.TITLE, "x", "")), "Title is empty");
    }

    @Test
    void twoTabsMergeOrAreAsked() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(1).orElseThrow();
        String title = shoots.find(id).orElseThrow().it().title();
        assertEquals(
                302,
                app.post("/shoots/" + id + "/night", edit(ShootField.TITLE, title, "One"))
                        .statusCode());
        assertEquals(
                302,
                app.post("/shoots/" + id + "/expose", edit(ShootField.ISO, "", "3200"))
                        .statusCode());
        HttpResponse<String> r = app.post("/shoots/" + id + "/night", edit(ShootField.TITLE, title, "Two"));
        assertEquals(409, r.statusCode());
        assertHas(r, "Another tab changed the");
        assertHas(r, "Use mine");
        assertEquals("One", shoots.find(id).orElseThrow().it().title());
        shoots.delete(id);
    }

    @Test
    void changesWithoutTheTokenAreRefused() throws Exception {
        assertEquals(403, app.send("/shoots/1/delete", Map.of(), "").statusCode());
        assertTrue(app.bean(Shoots.class).find(1).isPresent());
    }

    @Test
    void themeLeadsBackOnlyIntoTheApplication() throws Exception {
        HttpResponse<String> r = app.post("/theme", Map.of("theme", "desk", "back", "//elsewhere.example/"));
        assertEquals("/nights", r.headers().firstValue("Location").orElse(""));
    }

    @Test
    void linksInsteadOfFormsAreExplained() throws Exception {
        HttpResponse<String> r = app.get("/shoots/1/delete");
        assertEquals(405, r.statusCode());
        assertHas(r, "does not take GET; allowed: POST");
    }

    @Test
    void deletingAShootCanBeUndone() throws Exception {
        Shoots shoots = app.bean(Shoots.class);
        long id = shoots.duplicate(1).orElseThrow();
        app.post("/shoots/" + id + "/delete", Map.of());
        assertTrue(shoots.find(id).isEmpty());
        assertHas(app.get("/shoots?deleted=" + id), "/shoots/" + id + "/restore");
        app.post("/shoots/" + id + "/restore", Map.of());
        assertTrue(shoots.find(id).isPresent());
        assertEquals(
                302,
                app.post("/shoots/" + id + "/move", edit(ShootField.NIGHT, "2027-06-04", "2027-07-02"))
                        .statusCode());
        assertEquals("2027-07-02", shoots.find(id).orElseThrow().it().night().toString());
        app.post("/shoots/" + id + "/undo", Map.of("step", "list"));
        assertEquals("2027-06-04", shoots.find(id).orElseThrow().it().night().toString());
        shoots.delete(id);
    }
}
