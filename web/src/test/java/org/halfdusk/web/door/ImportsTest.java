package org.halfdusk.web.door;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.SocketTimeoutException;
import java.net.http.HttpResponse;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.DemoPages;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of other people: nothing outside them is read, all of one is kept or none, and its text as it was meant. */
@Tag("slow")
class ImportsTest extends DemoPages {
    private static int things() {
        return app.bean(Places.class).list().size()
                + app.bean(Shoots.class).list("").size()
                + app.bean(Tracks.class).list().size()
                + app.bean(KeptSettings.class).all().size();
    }

    /** Each in every door that takes files: a socket listens and hears nothing. */
    @Test
    void noImportCallsOut() throws Exception {
        try (ServerSocket ear = new ServerSocket(0, 10, InetAddress.getLoopbackAddress())) {
            ear.setSoTimeout(400);
            String url = "http://127.0.0.1:" + ear.getLocalPort() + "/x";
            String wpt = "<wpt lat=\"1\" lon=\"2\"><name>&e;</name></wpt>";
            List<String> hostile = List.of(
                    "<?xml version=\"1.0\"?><!DOCTYPE gpx SYSTEM \"" + url + "\"><gpx version=\"1.1\">" + wpt
                            + "</gpx>",
                    "<!DOCTYPE gpx [<!ENTITY e SYSTEM \"" + url + "\">]><gpx version=\"1.1\">" + wpt + "</gpx>",
                    "<!DOCTYPE gpx [<!ENTITY % p SYSTEM \"" + url + "\"> %p;]><gpx version=\"1.1\">" + wpt + "</gpx>",
                    "<!DOCTYPE kml [<!ENTITY e SYSTEM \"" + url
                            + "\">]><kml><Placemark><name>&e;</name></Placemark></kml>",
                    "<gpx xmlns:xsi=\"http://www.w3.org/2001/XMLSchema-instance\" xsi:schemaLocation=\"a " + url
                            + "\" xmlns:xi=\"http://www.w3.org/2001/XInclude\"><xi:include href=\"" + url + "\"/>"
                            + "<wpt lat=\"1\" lon=\"2\"><name>Include</name></wpt></gpx>",
                    "<kml><NetworkLink><Link><href>" + url + "</href></Link></NetworkLink></kml>",
                    "<?xml-stylesheet href=\"" + url + "\"?><svg xmlns=\"http://www.w3.org/2000/svg\"><image href=\""
                            + url + "\"/></svg>",
                    "{\"type\":\"FeatureCollection\",\"features\":[{\"$ref\":\"" + url
                            + "\"}],\"crs\":{\"type\":\"link\"," + "\"properties\":{\"href\":\"" + url + "\"}}}");
            for (String file : hostile) {
                for (String door : List.of("/places/formats", "/backup", "/places/1/skyline", "/places/1/forecast")) {
                    HttpResponse<String> r = app.upload(door, "file", "a.gpx", file);
                    assertTrue(r.statusCode() < 500, () -> door + " " + r.statusCode() + " for " + file);
                }
            }
            for (String door : List.of("/places/formats", "/backup")) {
                assertEquals(
                        400,
                        app.upload(door, "file", "a.kmz", kmz(hostile.get(3))).statusCode());
                assertEquals(
                        400,
                        app.upload(door, "file", "a.kmz", kmz(hostile.get(5))).statusCode());
            }
            assertThrows(SocketTimeoutException.class, ear::accept);
        }
    }

    private static byte[] kmz(String kml) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("../../doc.kml"));
            zip.write(kml.getBytes(StandardCharsets.UTF_8));
        }
        return bytes.toByteArray();
    }

    private static String backup(String sections) {
        return "{\"format\":\"half-dusk backup\",\"version\":1,\"takenAt\":\"2027-05-24T18:00:00Z\"," + sections + "}";
    }

    private static final String PLACE = "{\"id\":1,\"it\":{\"name\":\"From afar\",\"observer\":{\"latitudeDegrees\":10,"
            + "\"longitudeDegrees\":10,\"elevationMetres\":1},\"zone\":\"Europe/Madrid\",\"skyBrightness\":21,"
            + "\"objects\":[],\"skyline\":{\"points\":[]},\"compassDegrees\":0,\"notes\":{\"access\":\"\",\"hazards\":\"\","
            + "\"tide\":\"\",\"permission\":\"\",\"parking\":\"\"}}}";

    private static String shoot(String subject, String night, String title, String wish) {
        return backup(
                "\"places\":[" + PLACE + "],\"cameras\":[{\"id\":1,\"it\":{\"name\":\"c\",\"sensor\":{\"widthMm\":36,"
                        + "\"heightMm\":24,\"widthPx\":6000,\"heightPx\":4000},\"lowestIso\":100,\"highestIso\":6400,"
                        + "\"shortestSeconds\":0.001,\"longestTimedSeconds\":30,\"bulb\":true,\"rawMegabytes\":30,"
                        + "\"jpegMegabytes\":10,\"bufferFrames\":20,\"writeMegabytesPerSecond\":100,\"batteryFrames\":400,"
                        + "\"batteryMinutes\":200,\"mirror\":false,\"stabiliserStops\":0,\"filmExponent\":null,\"coldLoss\":0.01,"
                        + "\"heatLoss\":0.01}}],\"lenses\":[{\"id\":1,\"it\":{\"name\":\"l\",\"shortestMm\":20,\"longestMm\":20,"
                        + "\"widestAtShortest\":2,\"widestAtLongest\":2,\"smallestAperture\":16,\"sharpestAperture\":4,"
                        + "\"electronicAperture\":true,\"coma\":\"\",\"fisheye\":false}}],\"shoots\":[{\"id\":1,\"it\":{\"subject\":\""
                        + subject + "\",\"placeId\":1,\"night\":\"" + night + "\",\"title\":\"" + title
                        + "\",\"rig\":{\"cameraId\":1,\"lensId\":1,\"converterId\":null,\"focalMm\":20,\"framing\":null,\"wishes\":"
                        + "{\"budgetPx\":2.6,\"isoSchool\":\"PROTECT_COLOURS\",\"pinnedSeconds\":null,\"pinnedAperture\":null,"
                        + "\"pinnedIso\":null,\"limits\":null},\"choices\":null},\"wish\":{\"texts\":{" + wish
                        + "}},\"notes\":\"\",\"savedAt\":\"2027-05-24T18:00:00Z\"}}]");
    }

    /** What forms refuse, a backup cannot bring in by the back door; nothing of it is kept then. */
    @Test
    void aBadBackupChangesNothing() throws Exception {
        int before = things();
        String own =
                "\"packing\":[{\"shootId\":1,\"ticked\":[],\"own\":[{\"id\":1,\"it\":\"" + "p".repeat(500) + "\"}]}]}";
        String good = shoot("MILKY_WAY", "2027-06-04", "Fine", "");
        List<String> bad = List.of(
                backup("\"places\":[" + PLACE + "],\"settings\":{\"budget\":\"abc\"}"),
                backup("\"places\":[" + PLACE + "],\"settings\":{\"isoSchool\":\"HIGH\"}"),
                backup("\"places\":[" + PLACE + ", null]"),
                backup("\"places\":[" + PLACE + "],\"shoots\":[{\"id\":3,\"it\":null}]"),
                backup("\"places\":[" + PLACE.replace("From afar", "") + "]"),
                backup("\"places\":[" + PLACE.replace("From afar", "x".repeat(1000)) + "]"),
                backup("\"places\":[" + PLACE.replace("Europe/Madrid", "Moon/Tycho") + "]"),
                backup("\"places\":[" + PLACE.replace("\"skyBrightness\":21", "\"skyBrightness\":\"NaN\"") + "]"),
                good.replace(
                        "\"shoots\":[",
                        "\"furtherRigs\":[" + "{\"shootId\":1,\"rig\":null},".repeat(7)
                                + "{\"shootId\":1,\"rig\":null}],\"shoots\":["),
                good.substring(0, good.length() - 1) + "," + own,
                shoot("MILKY_WAY", "9999-12-31", "Late", ""),
                shoot("MILKY_WAY", "2027-06-04", "", ""),
                shoot("MILKY_WAY", "2027-06-04", "t".repeat(100_000), ""),
                shoot("MILKY_WAY", "2027-06-04", "Odd", "\"CORE_LOWEST\":\"high\""),
                shoot("MILKY_WAY", "2027-06-04", "Odd", "\"NONSENSE\":\"1\""),
                shoot("SUNFLOWERS", "2027-06-04", "Odd", ""),
                good.replace("\"version\":1", "\"version\":\"1\""),
                good.replace("\"version\":1", "\"version\":1.9"),
                good.replace("\"version\":1", "\"version\":2"),
                "[]",
                "{",
                "[".repeat(100_000));
        for (String file : bad) {
            HttpResponse<String> r = app.upload("/backup", "file", "b.json", file);
            String shown = file.substring(0, Math.min(300, file.length()));
            assertEquals(400, r.statusCode(), shown);
            assertHas(r.body(), "Nothing was changed.");
            assertFalse(r.body().contains("org.halfdusk"), "names a class: " + shown);
            assertEquals(before, things(), shown);
        }
        for (String page : List.of("/shoots", "/settings", "/places", "/kit")) {
            assertEquals(200, app.get(page).statusCode(), page);
        }
    }

    @Test
    void sectionsThatAreNullAreEmpty() throws Exception {
        HttpResponse<String> r = app.upload(
                "/backup",
                "file",
                "b.json",
                backup("\"places\":[" + PLACE.replace("From afar", "Null section")
                        + "],\"shoots\":null,\"cameras\":null,\"packing\":null,\"settings\":null,\"tracks\":null"));
        assertEquals(200, r.statusCode(), r.body());
    }

    /** A bad point far down in a file of good ones is named, and looking keeps nothing. */
    @Test
    void aBadPointOfAMapFileIsNamedAndNothingIsKeptByLooking() throws Exception {
        int before = things();
        StringBuilder gpx = new StringBuilder("<gpx version=\"1.1\">");
        for (int i = 0; i < 200; i++) {
            gpx.append("<wpt lat=\"36\" lon=\"-3\"><name>Stone ").append(i).append("</name></wpt>");
        }
        HttpResponse<String> r =
                app.upload("/places/formats", "file", "a.gpx", gpx + "<wpt lat=\"97\" lon=\"-3\"/></gpx>");
        assertEquals(200, r.statusCode());
        assertHas(r.body(), "200 points and 0 tracks in the file: 200 new, 0 there already, 1 entry skipped.");
        assertHas(r.body(), "latitude 97.0° is outside −90° to 90°");
        assertEquals(before, things());
    }

    @ParameterizedTest
    @CsvSource({
        "ISO-8859-1, ISO-8859-1, ''",
        "windows-1252, windows-1252, ''",
        "UTF-16, UTF-16BE, '\uFEFF'",
        "UTF-16, UTF-16LE, '\uFEFF'",
        "UTF-8, UTF-8, '\uFEFF'",
        "UTF-8, UTF-8, ''",
        "UTF-16LE, UTF-16LE, ''"
    })
    void filesAreReadInTheEncodingTheyDeclare(String declared, String charset, String mark) throws Exception {
        String name = "Señal " + charset + mark.length();
        String gpx = mark + "<?xml version=\"1.0\" encoding=\"" + declared
                + "\"?><gpx version=\"1.1\"><wpt lat=\"36.1\" lon=\"-3.2\"><name>" + name + "</name></wpt></gpx>";
        HttpResponse<String> r = app.bringIn("a.gpx", gpx.getBytes(Charset.forName(charset)));
        assertEquals(200, r.statusCode(), r.body());
        assertTrue(app.bean(Places.class).list().stream()
                .anyMatch(p -> p.it().name().equals(name)));
    }

    @Test
    void aFileThatIsNotWhatItDeclaresIsRefused() throws Exception {
        byte[] latin =
                "{\"type\":\"Feature\",\"properties\":{\"name\":\"Señal\"}}".getBytes(StandardCharsets.ISO_8859_1);
        HttpResponse<String> r = app.upload("/places/formats", "file", "a.json", latin);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "not in the encoding UTF-8");
        HttpResponse<String> unknown = app.upload(
                "/places/formats", "file", "a.gpx", "<?xml version=\"1.0\" encoding=\"KLINGON-1\"?><gpx></gpx>");
        assertHas(unknown.body(), "KLINGON-1");
    }

    /** JSON can spell them; nothing that XML or PDF could not carry gets in. */
    @Test
    void controlCharactersGetInNowhere() throws Exception {
        String json = "{\"type\":\"Feature\",\"properties\":{\"name\":\"Bell\\u0001 \\u000b\\ufffeRock\","
                + "\"notes\":\"a\\u0000b\"},\"geometry\":{\"type\":\"Point\",\"coordinates\":[-3.3,36.3]}}";
        assertEquals(200, app.bringIn("a.json", json).statusCode());
        Place rock = app.bean(Places.class).list().stream()
                .map(k -> k.it())
                .filter(p -> p.name().startsWith("Bell"))
                .findFirst()
                .orElseThrow();
        assertEquals("Bell Rock", rock.name());
        assertEquals("ab", rock.notes().access());
        String title = app.bean(Shoots.class).find(1).orElseThrow().it().title();
        HttpResponse<String> renamed =
                app.post("/shoots/1/night", Map.of("TITLE", "Core\u0001\uFFFE over", "was.TITLE", title));
        assertEquals(302, renamed.statusCode(), renamed.body());
        assertEquals(
                "Core over", app.bean(Shoots.class).find(1).orElseThrow().it().title());
        for (String out : List.of(
                "/places/export.gpx",
                "/places/export.kml",
                "/places/export.geojson",
                "/shoots/1/sequence/card.pdf",
                "/shoots/1/sequence/blocks.ics",
                "/backup.json")) {
            HttpResponse<String> r = app.get(out);
            assertEquals(200, r.statusCode(), out);
            assertFalse(r.body().contains("\uFFFE"), out);
        }
    }

    /** Refused while it is read: the heap that is free would not hold what a tree of it takes. */
    @ParameterizedTest
    @ValueSource(strings = {"/places/formats", "/places/1/skyline"})
    void filesOfMillionsAreRefusedQuickly(String door) throws Exception {
        String file = door.endsWith("skyline")
                ? "1 2\n".repeat(1_000_000)
                : "<gpx version=\"1.1\"><trk><trkseg>" + "<trkpt lat=\"1\" lon=\"2\"/>".repeat(600_000)
                        + "</trkseg></trk></gpx>";
        HttpResponse<String> r = app.upload(door, "file", "a", file);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "allowed");
    }

    @Test
    void aGeoJsonOfMillionsIsRefusedQuickly() throws Exception {
        String file = "{\"type\":\"LineString\",\"coordinates\":[" + "[1,2],".repeat(2_000_000) + "[1,2]]}";
        HttpResponse<String> r = app.upload("/places/formats", "file", "a.json", file);
        assertEquals(400, r.statusCode());
        assertHas(r.body(), "at most that many are allowed");
        assertNotEquals(0, things());
    }
}
