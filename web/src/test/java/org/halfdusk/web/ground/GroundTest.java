package org.halfdusk.web.ground;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.halfdusk.place.Place;
import org.halfdusk.place.terrain.RasterMap;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.web.DemoPages;
import org.halfdusk.web.layout.files.DataHome;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files of a user's own ground: each format by the sample that the demo lays, and files that are none. */
@Tag("slow")
class GroundTest extends DemoPages {
    private static GroundFolder demo() {
        return app.bean(GroundFolder.class);
    }

    @Test
    void everyFormatIsReadAndTheHeightsAgree() {
        assertEquals(
                3,
                demo().told().stream().filter(GroundFolder.Told::used).count(),
                demo().told().toString());
        // Monte Vesper and the sea beside it.
        assertEquals(104, demo().metres(35.962, -3.034).orElseThrow(), 6);
        assertEquals(0, demo().metres(35.90, -3.085).orElseThrow(), 0.5);
        GroundFolder tiles = alone("N35W004.hgt");
        GroundFolder fine = alone("vesper-isle.tif");
        for (double lat = 35.925; lat < 35.975; lat += 0.01) {
            assertEquals(
                    tiles.metres(lat, -3.045).orElseThrow(),
                    fine.metres(lat, -3.045).orElseThrow(),
                    8,
                    "at " + lat);
        }
        assertEquals(java.util.Optional.empty(), fine.metres(35.5, -3.5));
        assertEquals(0, tiles.metres(35.5, -3.5).orElse(0.0), 0.5);
    }

    @TempDir
    Path folder;

    private GroundFolder alone(String name) {
        try {
            Path one = Files.createDirectories(folder.resolve("of-" + name));
            Files.copy(data().resolve("maps").resolve(name), one.resolve(name));
            return new GroundFolder(one.toString(), new DataHome(folder), app.bean(RasterMap.Opener.class));
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    @Test
    void filesThatAreNoneAreToldOfAndTheOthersUsed() throws Exception {
        Files.copy(data().resolve("maps/vesper-isle.tif"), folder.resolve("good.tif"));
        byte[] whole = Files.readAllBytes(folder.resolve("good.tif"));
        Files.write(folder.resolve("torn.tif"), java.util.Arrays.copyOf(whole, 900));
        Files.writeString(folder.resolve("text.tif"), "hello");
        Files.writeString(folder.resolve("text.mbtiles"), "hello");
        Files.write(folder.resolve("N10E010.hgt"), new byte[5]);
        Path outside = Files.createTempFile("outside", ".hgt");
        Files.write(outside, new byte[8]);
        Files.createSymbolicLink(folder.resolve("N11E011.hgt"), outside);
        GroundFolder ground =
                new GroundFolder(folder.toString(), new DataHome(folder), app.bean(RasterMap.Opener.class));
        assertEquals(
                1,
                ground.told().stream().filter(GroundFolder.Told::used).count(),
                ground.told().toString());
        assertEquals(5, ground.told().size(), "the link that leads out is not there");
        for (GroundFolder.Told t : ground.told()) {
            assertTrue(t.used() || t.what().startsWith("not used: "), t.toString());
        }
        Files.delete(outside);
        assertEquals(
                0,
                new GroundFolder(
                                folder.resolve("none").toString(),
                                new DataHome(folder),
                                app.bean(RasterMap.Opener.class))
                        .told()
                        .size());
    }

    @Test
    void theMapLiesUnderTheSheetWithItsCredit() throws Exception {
        String page = app.get("/map?place=1").body();
        assertHas(page, "Map under it: Vesper Isle, made up for Half Dusk.");
        Matcher tile = Pattern.compile("class=\"map-back\"[^>]*href=\"(/map/tiles/0/1\\d/\\d+/\\d+)\"")
                .matcher(page);
        int pictures = 0;
        while (tile.find()) {
            byte[] bytes = app.bytes(tile.group(1));
            // Of the open sea it has none.
            if (bytes.length > 0) {
                pictures++;
                assertArrayEquals(new byte[] {(byte) 0x89, 'P', 'N', 'G'}, java.util.Arrays.copyOf(bytes, 4));
            }
        }
        assertTrue(pictures >= 3, pictures + " of the isle");
        assertEquals(204, app.get("/map/tiles/0/14/1/1").statusCode());
        assertEquals(204, app.get("/map/tiles/7/14/1/1").statusCode());
        assertEquals(204, app.get("/map/tiles/0/99/-1/5").statusCode());
    }

    @Test
    void aPlaceTakesHeightAndSkylineFromIt() throws Exception {
        String fresh = app.get("/places/new?latitude=35.962&longitude=-3.034").body();
        Matcher m = Pattern.compile("id=\"elevation\" name=\"elevation\" value=\"(\\d+)\"")
                .matcher(fresh);
        assertTrue(m.find(), fresh);
        assertEquals(104, Integer.parseInt(m.group(1)), 6);
        Places places = app.bean(Places.class);
        Place before = places.find(1).orElseThrow().it();
        assertEquals(302, app.post("/places/1/skyline/ground", Map.of()).statusCode());
        Place after = places.find(1).orElseThrow().it();
        assertEquals(720, after.skyline().points().size());
        assertEquals(before.skyline().highest(), after.skyline().highest(), 0.6);
        assertHas(app.get("/places/formats").body(), "N35W004.hgt");
    }
}
