package org.halfdusk.web.places;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Places over HTTP: typed in several ways, with a skyline from files, on the map. */
@Tag("slow")
class PlacesPagesTest extends DemoPages {
    private static Place named(String name) {
        return app.bean(Places.class).list().stream()
                .map(k -> k.it())
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Map<String, String> cove(String name) {
        return new HashMap<>(Map.of(
                "name", name, "latitude", "35°57′07.2″ N", "longitude", "3 02 52.8 W", "elevation", "3", "sky", "B3"));
    }

    @Test
    void degreesMinutesSecondsAndBortle() throws Exception {
        assertEquals(302, app.post("/places", cove("Cove")).statusCode());
        Place cove = named("Cove");
        assertEquals(35.952, cove.observer().latitudeDegrees(), 1e-9);
        assertEquals(-3.048, cove.observer().longitudeDegrees(), 1e-9);
        assertEquals(21.45, cove.skyBrightness().magnitude());
        assertTrue(cove.skyline().flat());
    }

    @Test
    void anEmptySkyIsEstimatedFromTheTowns() throws Exception {
        Map<String, String> form = cove("By the big town");
        form.put("sky", "");
        form.put("latitude", "40.42");
        form.put("longitude", "-3.7");
        assertEquals(302, app.post("/places", form).statusCode());
        assertTrue(named("By the big town").skyBrightness().magnitude() < 20);
    }

    @Test
    void anObjectStandsWhereItsPositionSays() throws Exception {
        Map<String, String> form = cove("Beach");
        form.put("object.0.name", "North Light");
        form.put("object.0.height", "34");
        form.put("object.0.width", "8");
        form.put("object.0.at", "35.978, −3.041, 28");
        assertEquals(302, app.post("/places", form).statusCode());
        assertEquals(2959, named("Beach").objects().get(0).distanceMetres(), 15);
        form.put("object.0.at", "up there");
        HttpResponse<String> r = app.post("/places", form);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Position “up there” is not understood");
    }

    @Test
    void skylineFromPairsFromAFileAndFromHeights() throws Exception {
        Map<String, String> form = cove("Valley");
        form.put("skyline", "0 4\n90 10,5\n180 2");
        assertEquals(302, app.post("/places", form).statusCode());
        assertEquals(10.5, named("Valley").skyline().at(90));
        form.put("skyline", "0 4\nninety 10");
        HttpResponse<String> r = app.post("/places", form);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Azimuth “ninety” is not a number");
        long id = app.bean(Places.class).list().stream()
                .filter(k -> k.it().name().equals("Valley"))
                .findFirst()
                .orElseThrow()
                .id();
        assertEquals(
                302,
                app.upload("/places/" + id + "/skyline", "file", "s.csv", "azimuth,altitude\n0,1\n180,7\n")
                        .statusCode());
        assertEquals(4, named("Valley").skyline().at(90), 1e-9);
        HttpResponse<String> wrong =
                app.upload("/places/" + id + "/skyline", "file", "s.asc", "ncols 2\nnrows 2\nxllcorner 0\n1 2 3 4");
        assertEquals(400, wrong.statusCode());
        assertHas(wrong.body(), "The grid has no cellsize.");
        assertEquals(4, named("Valley").skyline().at(90), 1e-9);
    }

    @Test
    void theMapShowsDirectionsOfTheNight() throws Exception {
        String page = app.get("/map?place=1&night=2027-06-04").body();
        assertHas(page, "sunset 21:25");
        assertHas(page, "core 01:00");
        assertHas(page, "class=\"map-land\"");
        assertHas(page, "class=\"map-road\"");
        assertHas(page, "Closer");
        String sheet = app.get("/map/sheet?lat=40.4&lon=-3.7&zoom=8").body();
        assertHas(sheet, "Segovia");
        assertFalse(sheet.contains("<html"));
        assertEquals(200, app.get("/map?lat=89&lon=400&zoom=99").statusCode());
        assertEquals(404, app.get("/map?place=999").statusCode());
    }

    @Test
    void townsAreFoundByLetters() throws Exception {
        String found = app.get("/places/towns?q=malag").body();
        assertHas(found, "Málaga, ES");
        assertHas(found, "/places/new?name=M");
        assertHas(app.get("/places/towns?q=%3Cscript%3E").body(), "No town of 15,000 people");
        assertHas(app.get("/places/new?name=Here&latitude=36.7&longitude=-4.4").body(), "value=\"36.7\"");
    }

    @Test
    void aLongListIsPaged() throws Exception {
        StringBuilder gpx = new StringBuilder("<gpx version=\"1.1\">");
        for (int i = 0; i < 250; i++) {
            gpx.append("<wpt lat=\"36\" lon=\"-3\"><name>Stone ").append(i).append("</name></wpt>");
        }
        assertEquals(200, app.bringIn("a.gpx", gpx + "</gpx>").statusCode());
        String first = app.get("/places").body();
        assertHas(first, "1 to 100 of 2");
        assertEquals(101, first.split("class=\"text-\\[17px\\]", -1).length);
        assertHas(app.get("/places?page=3").body(), "201 to 2");
        assertEquals(400, app.get("/places?page=4").statusCode());
    }
}
