package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.Stranger;
import org.halfdusk.web.exchange.map.MapFile;
import org.halfdusk.web.exchange.map.PlaceTexts;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Our files in readers that we have not written, and back from them: GDAL and gpsbabel, where they are installed. */
@Tag("slow")
class OtherReadersTest extends DemoPages {
    @TempDir
    Path folder;

    private static String degrees(double v) {
        return String.format(Locale.ROOT, "%.4f", v);
    }

    private String taken(String format) throws Exception {
        Path file = folder.resolve("all." + format);
        Files.write(file, app.bytes("/places/export." + format));
        return file.toString();
    }

    @ParameterizedTest
    @ValueSource(strings = {"gpx", "kml", "geojson"})
    void gdalReadsEveryPlaceWhereItIs(String format) throws Exception {
        Stranger.needed("ogrinfo", "gdal-bin");
        String said = Stranger.run("ogrinfo", "-ro", "-al", taken(format));
        for (Kept<Place> k : app.bean(Places.class).list()) {
            assertHas(said, k.it().name());
            assertTrue(
                    said.replaceAll("(\\d\\.\\d{4})\\d*", "$1")
                            .contains("(" + cut(k.it().observer().longitudeDegrees()) + " "
                                    + cut(k.it().observer().latitudeDegrees())),
                    () -> k.it().name() + " in\n" + said);
        }
    }

    /** To four decimals without rounding, as the pattern above cuts. */
    private static String cut(double v) {
        String text = degrees(v);
        double kept = Math.abs(v) - Math.abs(Double.parseDouble(text)) < -1e-9
                ? Math.copySign(Math.floor(Math.abs(v) * 1e4) / 1e4, v)
                : Double.parseDouble(text);
        String plain = Double.toString(kept);
        return plain.endsWith(".0") ? plain.substring(0, plain.length() - 2) : plain;
    }

    /** A shoot's wedge is an outline that GDAL holds valid, and it lies about the aim. */
    @Test
    void aShootsFrameIsAnOutline() throws Exception {
        Stranger.needed("ogrinfo", "gdal-bin");
        Path file = folder.resolve("shoot.geojson");
        Files.write(file, app.bytes("/places/export.geojson?shoot=1"));
        String said = Stranger.run("ogrinfo", "-ro", "-al", file.toString());
        assertHas(said, "POLYGON");
        assertHas(said, "LINESTRING");
        assertHas(said, "Frame from ");
        assertHas(said, "Aimed at 180°");
        String valid = Stranger.run(
                "ogrinfo",
                "-ro",
                "-dialect",
                "sqlite",
                "-sql",
                "SELECT COUNT(*) AS n FROM shoot WHERE ST_IsValid(geometry) AND GeometryType(geometry) LIKE 'POLYGON%'",
                file.toString());
        assertHas(valid, "n (Integer) = 1");
    }

    /** Through another program and back: every name, position and height, and of tracks their times. */
    @ParameterizedTest
    @CsvSource({"gpx, gpx", "kml, kml", "gpx, kml", "kml, gpx"})
    void equalAfterTheWayRound(String out, String back) throws Exception {
        Stranger.needed("gpsbabel", "gpsbabel");
        app.bringIn(
                "walk.gpx",
                "<gpx version=\"1.1\"><trk><name>Recorded walk</name><trkseg>"
                        + "<trkpt lat=\"35.95\" lon=\"-3.05\"><ele>12</ele><time>2027-06-05T20:00:00Z</time></trkpt>"
                        + "<trkpt lat=\"35.96\" lon=\"-3.04\"><ele>80</ele><time>2027-06-05T20:10:30Z</time></trkpt>"
                        + "</trkseg></trk></gpx>");
        Path round = folder.resolve("round." + back);
        Stranger.run("gpsbabel", "-i", out, "-f", taken(out), "-o", back, "-F", round.toString());
        MapFile read = MapFile.read(Files.readString(round));
        List<String> there = new ArrayList<>();
        for (Kept<Place> k : app.bean(Places.class).list()) {
            there.add(told(
                    k.it().name(),
                    k.it().observer().latitudeDegrees(),
                    k.it().observer().longitudeDegrees(),
                    k.it().observer().elevationMetres()));
        }
        List<String> came = read.waypoints().stream()
                .map(w -> told(
                        w.name(),
                        w.latitudeDegrees(),
                        w.longitudeDegrees(),
                        w.elevationMetres().orElse(0)))
                .toList();
        assertEquals(there.stream().sorted().toList(), came.stream().sorted().toList());
        var track = app.bean(Tracks.class).list().get(0).it().lines().get(0);
        var again = read.tracks().get(0).lines().get(0);
        assertEquals(track.size(), again.size());
        for (int i = 0; i < track.size(); i++) {
            assertEquals(track.get(i).longitudeDegrees(), again.get(i).longitudeDegrees(), 1e-6);
            assertEquals(
                    track.get(i).elevationMetres().orElseThrow(),
                    again.get(i).elevationMetres().orElse(-1),
                    0.01);
            if (back.equals("gpx")) {
                assertEquals(track.get(i).at(), again.get(i).at());
            }
        }
    }

    private static String told(String name, double lat, double lon, double metres) {
        return name + " " + degrees(lat) + " " + degrees(lon) + " " + Math.round(metres) + File.separator;
    }

    /** What goes out of one installation and into another is the same place, with sky, skyline, objects and notes. */
    @ParameterizedTest
    @ValueSource(strings = {"gpx", "kml", "geojson"})
    void aPlaceComesBackWithAllItKnows(String format) throws Exception {
        for (Kept<Place> k : app.bean(Places.class).list()) {
            String text =
                    new String(app.bytes("/places/export." + format + "?place=" + k.id()), StandardCharsets.UTF_8);
            assertEquals(k.it(), PlaceTexts.place(MapFile.read(text).waypoints().get(0), 0), text);
        }
    }
}
