package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Track;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What goes out in a format comes back from it the same; what is no such file is refused in words. */
class MapFileTest {
    private static final MapFile FILE = new MapFile(
            List.of(
                    new MapFile.Waypoint("Old Watchtower, <Isle> & \"more\"", Observer.of(35.952, -3.048, 62), "path"),
                    new MapFile.Waypoint("Ushuaia", Observer.of(-54.8, -68.3, 23), "")),
            List.of(new Track(
                    "Up the path",
                    List.of(
                            List.of(new Track.Point(-3.05, 35.95), new Track.Point(-3.049, 35.951)),
                            List.of(new Track.Point(179.9, -16.5), new Track.Point(-179.9, -16.6))))));

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
        assertTrue(refused("hello").contains("none of GPX, KML or GeoJSON"));
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
}
