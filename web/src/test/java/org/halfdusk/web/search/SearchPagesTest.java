package org.halfdusk.web.search;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import java.net.http.HttpResponse;
import java.util.Map;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Search and the open formats over HTTP. */
@Tag("slow")
class SearchPagesTest extends DemoPages {
    @Test
    void findsShootsPlacesKitAndTownsByAFewLetters() throws Exception {
        String light = app.get("/search?q=light").body();
        assertHas(light, "Totality from the North Light");
        assertHas(light, "North Light, Vesper Isle");
        assertHas(light, "Sandbar, Vesper Isle");
        assertHas(app.get("/search?q=solar+film").body(), "/kit/filters/1");
        assertHas(app.get("/search?q=almer").body(), "Almería, ES");
        assertHas(app.get("/search?q=zzz").body(), "Nothing holds “zzz”.");
        assertFalse(app.get("/search?q=%3Cb%3E").body().contains("<b>"));
        assertEquals(200, app.get("/search?q=" + "x".repeat(3000)).statusCode());
        assertEquals(200, app.get("/search").statusCode());
    }

    @Test
    void placesGoOutAndComeInWithoutDoubles() throws Exception {
        for (String format : new String[] {"gpx", "kml", "geojson"}) {
            HttpResponse<String> out = app.get("/places/export." + format);
            assertEquals(200, out.statusCode());
            HttpResponse<String> back = app.upload("/places/formats", "file", "places." + format, out.body());
            assertEquals(200, back.statusCode(), back.body());
            assertHas(back.body(), " in the file: 0 new, ");
            assertFalse(back.body().contains("checked"), "nothing that is there is ticked");
        }
    }

    @Test
    void aTrackShowsOnTheMapAndComesBackAfterDeleting() throws Exception {
        String line = "{\"type\": \"Feature\", \"properties\": {\"name\": \"Ridge walk\"}, \"geometry\": {\"type\":"
                + " \"LineString\", \"coordinates\": [[-3.05, 35.95], [-3.045, 35.953]]}}";
        assertHas(app.bringIn("walk.geojson", line).body(), "0 places and 1 track was brought in.");
        assertHas(app.get("/map?place=1").body(), "class=\"map-track\"");
        long id = app.bean(Tracks.class).list().get(0).id();
        app.post("/places/tracks/" + id + "/delete", Map.of());
        assertFalse(app.get("/map?place=1").body().contains("class=\"map-track\""));
        assertHas(app.get("/places/formats?deleted=" + id).body(), "The track was deleted.");
        app.post("/places/tracks/" + id + "/restore", Map.of());
        assertHas(app.get("/places/formats").body(), "Ridge walk");
    }

    @Test
    void aWrongFileIsSaidAndChangesNothing() throws Exception {
        HttpResponse<String> r =
                app.upload("/places/formats", "file", "x.gpx", "<gpx><wpt lat=\"999\" lon=\"0\"/></gpx>");
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "Nothing was changed.");
        assertEquals(400, app.upload("/places/formats", "file", "x.gpx", "").statusCode());
    }
}
