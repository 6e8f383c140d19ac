package org.halfdusk.web.places;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** A file is looked into before anything is kept; what was chosen comes in at once, and goes again at once. */
@Tag("slow")
class BringInTest extends DemoPages {
    private static final String KML =
            "<?xml version=\"1.0\" encoding=\"UTF-8\"?><kml xmlns=\"http://www.opengis.net/kml/2.2\" "
                    + "xmlns:gx=\"http://www.google.com/kml/ext/2.2\"><Document><Placemark><name>Goat rock</name><Point><coordinates>"
                    + "-3.061,35.941,44</coordinates></Point></Placemark><Placemark><name>Far rock</name><Point><coordinates>-3.07,135"
                    + "</coordinates></Point></Placemark><Placemark><name>Evening walk</name><gx:Track><when>2027-06-05T19:00:00Z</when>"
                    + "<when>2027-06-05T19:05:00Z</when><gx:coord>-3.05 35.95 10</gx:coord><gx:coord>-3.051 35.951 31.5</gx:coord></gx:Track>"
                    + "</Placemark></Document></kml>";

    private static byte[] kmz(String name, String kml) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("files/icon.png"));
            zip.write(new byte[] {1, 2, 3});
            zip.putNextEntry(new ZipEntry(name));
            zip.write(kml.getBytes(StandardCharsets.UTF_8));
        }
        return bytes.toByteArray();
    }

    @Test
    void lookedIntoTakenAndTakenBack() throws Exception {
        int places = app.bean(Places.class).list().size();
        HttpResponse<String> seen = app.upload("/places/formats", "file", "a.kmz", kmz("doc.kml", KML));
        assertEquals(200, seen.statusCode(), seen.body());
        assertHas(seen.body(), "1 point and 1 track in the file: 2 new, 0 there already, 1 entry skipped.");
        assertHas(seen.body(), "“Far rock”: latitude 135.0° is outside −90° to 90°");
        assertHas(seen.body(), "22 m up");
        assertEquals(places, app.bean(Places.class).list().size());
        HttpResponse<String> taken = app.bringIn("a.kmz", kmz("doc.kml", KML));
        assertHas(taken.body(), "1 place and 1 track were brought in.");
        var walk = app.bean(Tracks.class).list().get(0).it().lines().get(0).get(1);
        assertEquals(31.5, walk.elevationMetres().orElseThrow());
        assertEquals("2027-06-05T19:05:00Z", walk.at().orElseThrow().toString());
        assertHas(app.upload("/places/formats", "file", "a.kml", KML).body(), "0 new, 2 there already");
        Matcher ids = Pattern.compile("name=\"(place|track)\" value=\"(\\d+)\"").matcher(taken.body());
        Map<String, String> undo = new java.util.HashMap<>();
        while (ids.find()) {
            undo.put(ids.group(1), ids.group(2));
        }
        assertEquals(2, undo.size());
        HttpResponse<String> back = app.post("/places/formats/undo", undo);
        assertHas(back.body(), "2 things were taken back.");
        assertEquals(places, app.bean(Places.class).list().size());
        assertTrue(app.bean(Tracks.class).list().isEmpty());
    }

    @Test
    void aTicketThatIsNoneAndZipsWithoutKml() throws Exception {
        HttpResponse<String> r = app.post("/places/formats/take", Map.of("ticket", "nonsense", "point", "0"));
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "“nonsense” is no longer held");
        assertEquals(
                400,
                app.upload("/places/formats", "file", "a.kmz", kmz("readme.txt", "hello"))
                        .statusCode());
        byte[] torn = kmz("doc.kml", KML);
        HttpResponse<String> damaged =
                app.upload("/places/formats", "file", "a.kmz", java.util.Arrays.copyOf(torn, torn.length / 2));
        assertEquals(400, damaged.statusCode(), damaged.body());
        // 21 MB of blanks in a few kilobytes.
        HttpResponse<String> bomb =
                app.upload("/places/formats", "file", "a.kmz", kmz("doc.kml", " ".repeat(21_000_000)));
        assertEquals(400, bomb.statusCode());
        assertHas(bomb.body(), "20 MB");
        assertFalse(bomb.body().contains("Exception"));
    }
}
