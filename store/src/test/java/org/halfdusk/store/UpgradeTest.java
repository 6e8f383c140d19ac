package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.lunareclipse.LunarEclipseWish;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.store.kit.StoredKits;
import org.halfdusk.store.kit.StoredRigs;
import org.halfdusk.store.places.StoredPlaces;
import org.halfdusk.store.places.StoredTracks;
import org.halfdusk.store.shoots.StoredForecasts;
import org.halfdusk.store.shoots.StoredPackLists;
import org.halfdusk.store.shoots.StoredShoots;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.trailing.Mount;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A file of each version that ever was, with data in every table it had, is brought up to date and loses nothing. */
@Tag("slow")
class UpgradeTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2027-05-24T18:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    static void write(Path folder, int version) throws Exception {
        Files.createDirectories(folder);
        try (InputStream sql = UpgradeTest.class.getResourceAsStream("schema/" + version + ".sql");
                Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.executeUpdate(new String(sql.readAllBytes(), StandardCharsets.UTF_8));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11})
    void nothingIsLost(int version) throws Exception {
        write(folder, version);
        try (Database database = Database.open(folder, CLOCK)) {
            StoredShoots shoots = new StoredShoots(database, CLOCK);
            Shoot shoot = shoots.find(9).orElseThrow().it();
            // The control character that an older version let in is gone, the rest stands.
            assertEquals("Core over the tower", shoot.title());
            assertEquals("a note", shoot.notes());
            assertEquals(171.5, shoot.rig().framing().orElseThrow().azimuth().degrees());
            assertEquals(version >= 2 ? MilkyWayWish.core(12) : MilkyWayWish.KIND.usual(), shoot.wish());
            assertEquals(version >= 8, shoot.rig().choices().recording().jpeg());
            assertEquals(version >= 7 ? 2 : 1, shoots.rigs(9).size());
            assertEquals(1, shoots.undoable(9));
            Place place =
                    new StoredPlaces(database, CLOCK).find(7).orElseThrow().it();
            assertEquals("Watchtower", place.objects().get(0).name());
            assertEquals("south car park", place.notes().access());
            assertEquals(version >= 4 ? "cliff" : "", place.notes().hazards());
            assertEquals(version >= 4 ? -1.5 : 0, place.compassDegrees());
            assertEquals(version >= 4 ? 1 : 0, place.skyline().points().size());
            StoredKits kits = new StoredKits(database, CLOCK);
            Camera camera = kits.camera(3).orElseThrow().it();
            assertEquals(version >= 5, camera.shutter().mirror());
            Lens lens = kits.lens(4).orElseThrow().it();
            assertEquals(version >= 5 ? "wings" : "", lens.coma());
            assertEquals(version >= 8, lens.fisheye());
            assertEquals(1.4, kits.converter(5).orElseThrow().it().factor());
            later(database, version);
        }
    }

    /** Killed while the copy was written, and started again within the second that names it. */
    @org.junit.jupiter.api.Test
    void aHalfWrittenCopyDoesNotStopTheNextStart() throws Exception {
        write(folder, 1);
        Path copy = folder.resolve("half-dusk-before-20270524-180000.db");
        Files.writeString(copy, "half of a copy");
        Files.writeString(folder.resolve("half-dusk-before-20270524-180000.part"), "half of a copy");
        Database.open(folder, CLOCK).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + copy);
                Statement s = c.createStatement()) {
            assertEquals(
                    "Old Watchtower", s.executeQuery("SELECT name FROM place").getString(1));
        }
    }

    private static void later(Database database, int version) {
        StoredRigs rigs = new StoredRigs(database, CLOCK);
        assertEquals(version >= 5 ? 2 : 0, rigs.accessories().size());
        assertEquals(
                version >= 5 ? List.of("Wide") : List.of(),
                rigs.rigs().stream().map(k -> k.it().name()).toList());
        assertEquals(
                version >= 4 ? 1 : 0, new StoredTracks(database, CLOCK).list().size());
        StoredPackLists packing = new StoredPackLists(database, CLOCK);
        assertEquals(version >= 6 ? List.of(new Kept<>(1, "thermos")) : List.of(), packing.own(9));
        assertEquals(version >= 6 ? Set.of(9L) : Set.of(), packing.packed());
        assertEquals(version >= 6 ? Map.of("feet", "true") : Map.of(), new StoredSettings(database).all());
        assertEquals(
                version >= 3 ? Optional.of("hours.csv") : Optional.empty(),
                new StoredForecasts(database).near(Observer.of(35.95, -3.05, 0)).map(f -> f.source()));
        assertTrue(new Facts(database).get("demo world sown").isPresent());
    }

    /** What an eclipse's camera turns with was a wish once; it is the rig's choice now, for all rigs of the shoot. */
    @Test
    void theMountOfAnEclipseBecomesTheRigsChoice() throws Exception {
        write(folder, 8);
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.executeUpdate("UPDATE shoot SET subject = 'LUNAR_ECLIPSE' WHERE id = 9");
            s.executeUpdate("DELETE FROM shoot_wish WHERE shoot_id = 9");
            s.executeUpdate("INSERT INTO shoot_wish VALUES (9, 'LUNAR_MOUNT', 'LUNAR_RATE'), (9, 'LUNAR_DANJON', '3')");
        }
        try (Database database = Database.open(folder, CLOCK)) {
            StoredShoots shoots = new StoredShoots(database, CLOCK);
            Shoot shoot = shoots.find(9).orElseThrow().it();
            assertEquals(LunarEclipseWish.DANJON.with(LunarEclipseWish.KIND.usual(), 3), shoot.wish());
            assertEquals(Mount.LUNAR, shoot.rig().choices().limits().mount());
            for (Kept<Shoot.ShootRig> rig : shoots.rigs(9)) {
                assertEquals(Mount.LUNAR, rig.it().choices().limits().mount());
            }
        }
    }
}
