package org.halfdusk.web.exchange.map;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import org.halfdusk.place.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What goes out in a format comes back from it the same; what is no such file is refused in words. */
class MapFileTest {
    private static final MapFile FILE = new MapFile(
            List.of(
                    new MapFile.Waypoint(
                            "Old Watchtower, <Isle> & \"more\"",
                            35.952,
                            -3.048,
                            OptionalDouble.of(62),
                            "path",
                            Map.of("darkness", "21.4", "skyline", "0.0 1.5 90.0 3.25")),
                    new MapFile.Waypoint("Ushuaia", -54.8, -68.3, OptionalDouble.empty(), "", Map.of())),
            List.of(
                    new Track(
                            "Up the path",
                            List.of(
                                    List.of(new Track.Point(-3.05, 35.95), new Track.Point(-3.049, 35.951)),
                                    List.of(new Track.Point(179.9, -16.5), new Track.Point(-179.9, -16.6)))),
                    new Track(
                            "Recorded",
                            List.of(List.of(
                                    recorded(-3.05, 35.95, 12.5, "2027-06-05T20:00:00Z"),
                                    recorded(-3.04, 35.96, 80, "2027-06-05T20:10:30Z"))))));

    private static Track.Point recorded(double lon, double lat, double metres, String at) {
        return new Track.Point(lon, lat, OptionalDouble.of(metres), Optional.of(Instant.parse(at)));
    }

    static Stream<Arguments> formats() {
        return Stream.of(
                Arguments.of("GPX", (Function<MapFile, byte[]>) GpxFile::write),
                Arguments.of("KML", (Function<MapFile, byte[]>) KmlFile::write),
                Arguments.of("GeoJSON", (Function<MapFile, byte[]>) GeoJsonFile::write));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("formats")
    void comesBackTheSame(String name, Function<MapFile, byte[]> write) {
        assertEquals(FILE, MapFile.read(new String(write.apply(FILE), StandardCharsets.UTF_8)), name);
    }

    private static String refused(String text) {
        return String.valueOf(assertThrows(IllegalArgumentException.class, () -> MapFile.read(text))
                .getMessage());
    }

    @Test
    void saysWhatIsWrong() {
        assertTrue(refused("hello").contains("none of GPX, KML, KMZ, GeoJSON"));
        assertTrue(
                refused("{\"type\": \"FeatureCollection\", \"features\": []}").contains("no points and no tracks"));
        assertTrue(
                refused("{\"type\": \"Point\", \"coordinates\": [200, 10]}").contains("longitude 200.0° is outside"));
        assertTrue(refused("{\"type\": \"Point\", \"coordinates\": [\"a\", 10]}")
                .contains("is not longitude and latitude"));
        assertTrue(refused("{\"type\": \"Circle\"}").contains("“Circle” is not known"));
        assertTrue(refused("<kml><Placemark><Point><coordinates>3</coordinates></Point></Placemark></kml>")
                .contains("“3” in the KML are not longitude,latitude"));
        assertTrue(refused("<kml><Placemark>").contains("no KML"));
        assertTrue(refused("<gpx><wpt").contains("no GPX"));
    }

    @Test
    void aKmlFileCannotReadOtherFiles() {
        String hostile = "<?xml version=\"1.0\"?><!DOCTYPE kml [<!ENTITY e SYSTEM \"file:///etc/passwd\">]>"
                + "<kml><Placemark><name>&e;</name><Point><coordinates>1,2</coordinates></Point></Placemark></kml>";
        IllegalArgumentException e = assertThrows(IllegalArgumentException.class, () -> MapFile.read(hostile));
        assertTrue(String.valueOf(e.getMessage()).contains("DOCTYPE"), e.getMessage());
    }

    @Test
    void routesAndUnnamedPointsOfGpx() {
        MapFile f = MapFile.read("""
                <?xml version="1.0" encoding="UTF-8"?>
                <gpx version="1.1" creator="a walk" xmlns="http://www.topografix.com/GPX/1/1">
                  <wpt lat="35.9" lon="-3.1"/>
                  <rte><name>Shore</name><rtept lat="35.9" lon="-3.1"/><rtept lat="35.91" lon="-3.1"/></rte>
                </gpx>
                """);
        assertEquals("Point 1", f.waypoints().get(0).name());
        assertEquals(1.11, f.tracks().get(0).lengthKm(), 0.01);
    }

    /** What a converter makes of a recorded way: a point for each place of it, the way itself called "Path". */
    @Test
    void pointsOfATrackAreNotPlaces() {
        StringBuilder points = new StringBuilder();
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < 8; i++) {
            String at = (-3.05 + i / 1000.0) + ",35.95," + i;
            points.append("<Placemark><name>Shore-").append(i).append("</name><Point><coordinates>");
            points.append(at).append("</coordinates></Point></Placemark>");
            path.append(at).append(' ');
        }
        MapFile f = MapFile.read(
                "<kml xmlns=\"http://www.opengis.net/kml/2.2\"><Document><Folder><name>Shore</name><Folder><name>Points"
                        + "</name>" + points + "</Folder><Placemark><name>Path</name><LineString><coordinates>" + path
                        + "</coordinates></LineString></Placemark></Folder><Placemark><name>Hut</name><Point><coordinates>-3.2,35.9"
                        + "</coordinates></Point></Placemark></Document></kml>");
        assertEquals(
                List.of("Hut"),
                f.waypoints().stream().map(MapFile.Waypoint::name).toList());
        assertEquals("Shore", f.tracks().get(0).name());
        assertEquals(7, f.tracks().get(0).climbMetres().orElseThrow(), 1e-9);
        assertTrue(f.skipped().get(0).contains("8 points"), f.skipped().toString());
    }

    @Test
    void formattedDescriptionsAndOtherKeysAreRead() {
        MapFile kml = MapFile.read(
                "<kml xmlns=\"http://www.opengis.net/kml/2.2\"><Placemark><name>Hut</name><description><b>Key</b> under "
                        + "the <i>stone</i></description><Point><coordinates>1,2</coordinates></Point></Placemark><Placemark><description>"
                        + "<![CDATA[<p>First<br/>second &amp; third</p>]]></description><Point><coordinates>1,3</coordinates></Point></Placemark></kml>");
        assertEquals("Key under the stone", kml.waypoints().get(0).notes());
        assertEquals("First\nsecond & third", kml.waypoints().get(1).notes());
        assertEquals(OptionalDouble.empty(), kml.waypoints().get(0).elevationMetres());
        MapFile json =
                MapFile.read("{\"type\":\"Feature\",\"properties\":{\"Name\":\"Hut\",\"desc\":\"key\"},\"geometry\":"
                        + "{\"type\":\"Point\",\"coordinates\":[1,2,300]}}");
        assertEquals("Hut", json.waypoints().get(0).name());
        assertEquals("key", json.waypoints().get(0).notes());
        assertEquals(300, json.waypoints().get(0).elevationMetres().orElseThrow());
    }

    @Test
    void olderGpxWithTimesAndComments() {
        MapFile f = MapFile.read(
                "<gpx version=\"1.0\" xmlns=\"http://www.topografix.com/GPX/1/0\"><wpt lat=\"35.9\" lon=\"-3.1\"><time>"
                        + "2027-06-05T20:00:00Z</time><name>Cairn</name><cmt>loose</cmt></wpt><wpt lat=\"x\" lon=\"2\"><name>Torn</name></wpt>"
                        + "<trk><name>Up</name><trkseg><trkpt lat=\"1\" lon=\"2\"><ele>3</ele><time>2027-06-05T20:00:00+02:00</time></trkpt>"
                        + "<trkpt lat=\"1.1\" lon=\"2\"><ele>9</ele></trkpt></trkseg></trk></gpx>");
        assertEquals(
                "loose\nRecorded at 2027-06-05T20:00:00Z.", f.waypoints().get(0).notes());
        Track.Point first = f.tracks().get(0).lines().get(0).get(0);
        assertEquals(Optional.of(Instant.parse("2027-06-05T18:00:00Z")), first.at());
        assertEquals(3, first.elevationMetres().orElseThrow());
        assertTrue(
                f.skipped().get(0).contains("“Torn”: latitude “x”"), f.skipped().toString());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Name,Latitude,Longitude,Elevation,Notes\n\"Hut, old\",35.952,-3.048,62,\"key \"\"under\"\" it\"\nNowhere,95,1,,\n",
                "lat;lon;name;ele;desc\n35,952;-3,048;Hut, old;62;key \"under\" it\n95;1;Nowhere;;\n",
                "name\tlat\tlng\theight\tcomment\r\nHut, old\t35°57′07.2″ N\t3°02′52.8″ W\t62\tkey \"under\" it\r\nNowhere\t95\t1\t\t"
            })
    void tablesOfPlaces(String csv) {
        MapFile f = MapFile.read(csv);
        MapFile.Waypoint hut = f.waypoints().get(0);
        assertEquals(1, f.waypoints().size());
        assertEquals("Hut, old", hut.name());
        assertEquals(35.952, hut.latitudeDegrees(), 1e-9);
        assertEquals(-3.048, hut.longitudeDegrees(), 1e-9);
        assertEquals(62, hut.elevationMetres().orElseThrow());
        assertEquals("key \"under\" it", hut.notes());
        assertTrue(
                f.skipped().get(0).contains("“Nowhere”: latitude 95 is outside"),
                f.skipped().toString());
    }

    @Test
    void theBoxGoesOverTheAntimeridianWhereThatIsShorter() {
        Box box = Box.of(new MapFile(
                        List.of(
                                new MapFile.Waypoint("a", -16, 179, OptionalDouble.empty(), "", Map.of()),
                                new MapFile.Waypoint("b", -17, -178, OptionalDouble.empty(), "", Map.of())),
                        List.of()))
                .orElseThrow();
        assertEquals(new Box(179, -17, -178, -16), box);
    }

    @Test
    void timesOfATableAreKept() {
        MapFile f = MapFile.read("name,lat,lon,time\nHut,1,2,2027-06-05T20:00:00Z\nShed,1,3,yesterday\n");
        assertEquals("Recorded at 2027-06-05T20:00:00Z.", f.waypoints().get(0).notes());
        assertEquals("", f.waypoints().get(1).notes());
    }
}
