package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTimeoutPreemptively;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Unreadable;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.store.kit.StoredKits;
import org.halfdusk.store.kit.StoredRigs;
import org.halfdusk.store.places.StoredPlaces;
import org.halfdusk.store.places.StoredTracks;
import org.halfdusk.store.shoots.StoredShoots;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.store.sqlite.Transactions;
import org.halfdusk.store.sqlite.Trouble;
import org.jooq.exception.DataAccessException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One connection is enough for everything; several changes are one; a row that cannot be read hides no other. */
@Tag("slow")
class KeepingTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2027-05-24T18:00:00Z"), ZoneOffset.UTC);

    @TempDir
    Path folder;

    private Database database;

    @BeforeEach
    void open() throws Exception {
        UpgradeTest.write(folder, 8);
        database = Database.open(folder, CLOCK, 1);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private void sql(String... statements) throws Exception {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.execute("PRAGMA busy_timeout = 5000");
            for (String statement : statements) {
                s.execute(statement);
            }
        }
    }

    private static Place cove(int n) {
        return new Place(
                "Cove " + n,
                Observer.of(35.9, -3.1, 3),
                java.time.ZoneId.of("Europe/Madrid"),
                SkyBrightness.of(21),
                List.of(),
                "");
    }

    /** With a second connection asked for while one is held, each of these would wait for itself. */
    @Test
    void oneConnectionIsEnough() throws Exception {
        StoredShoots shoots = new StoredShoots(database, CLOCK);
        StoredPlaces places = new StoredPlaces(database, CLOCK);
        StoredKits kits = new StoredKits(database, CLOCK);
        StoredRigs rigs = new StoredRigs(database, CLOCK);
        ExecutorService four = Executors.newFixedThreadPool(4);
        try {
            List<Future<Long>> done = IntStream.range(0, 40)
                    .mapToObj(i -> four.submit(() -> {
                        places.add(cove(i));
                        long seen = shoots.list("").size()
                                + shoots.furtherRigs().size()
                                + shoots.rigs(9).size()
                                + places.list().size()
                                + kits.usedBy(Kits.Kind.CAMERA, 3).size()
                                + rigs.rigs().size()
                                + rigs.usedBy(6).size()
                                + shoots.find(9).stream().count();
                        return shoots.duplicate(9).isPresent() ? seen : -1L;
                    }))
                    .toList();
            for (Future<Long> f : done) {
                assertTrue(f.get() > 0);
            }
        } finally {
            four.shutdownNow();
        }
        assertEquals(41, shoots.list("").size());
        assertEquals(41, places.list().size());
    }

    @Test
    void aListIsPagedAndCounted() {
        StoredShoots shoots = new StoredShoots(database, CLOCK);
        for (int i = 0; i < 24; i++) {
            shoots.duplicate(9);
        }
        Shoots.Listed page = shoots.list(new Shoots.Part("core", 20, 10));
        assertEquals(5, page.shoots().size());
        assertEquals(25, page.of());
        assertEquals(25, shoots.list(new Shoots.Part("", 100, 10)).of());
        assertEquals(0, shoots.list(new Shoots.Part("nothing like it", 0, 10)).of());
        assertEquals(List.of(7L), shoots.lastPlace(Subject.MILKY_WAY).stream().toList());
        assertEquals(1, shoots.nights(Subject.MILKY_WAY, 7).size());
        assertThrows(IllegalArgumentException.class, () -> new Shoots.Part("", -1, 10));
    }

    @Test
    void changesThroughSeveralStoresAreAllOrNothing() {
        StoredPlaces places = new StoredPlaces(database, CLOCK);
        StoredRigs rigs = new StoredRigs(database, CLOCK);
        Transactions atOnce = new Transactions(database);
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class,
                () -> atOnce.of(() -> {
                    places.add(cove(1));
                    rigs.deleteRig(1);
                    assertEquals(2, places.list().size());
                    throw new IllegalArgumentException("the third is wrong");
                }));
        assertEquals("the third is wrong", e.getMessage());
        assertEquals(1, places.list().size());
        assertEquals(1, rigs.rigs().size());
        assertEquals(2L, atOnce.of(() -> places.add(cove(1)) > 0 ? 2L : 0L));
        assertEquals(2, places.list().size());
    }

    @Test
    void whatCannotBeReadStandsApart() throws Exception {
        sql(
                "INSERT INTO shoot SELECT 10, subject, place_id, night, '" + "x".repeat(100_000)
                        + "', notes, created_at, saved_at, NULL FROM shoot WHERE id = 9",
                "INSERT INTO shoot_rig (shoot_id, position, camera_id, lens_id, focal_mm, budget_px, iso_school)"
                        + " VALUES (10, 0, 3, 4, 18, 2.6, 'PROTECT_COLOURS')",
                "INSERT INTO shoot SELECT 11, 'SUNFLOWERS', place_id, '9999-12-31', title, notes, created_at, 'noon', NULL"
                        + " FROM shoot WHERE id = 9",
                "INSERT INTO shoot_rig (shoot_id, position, camera_id, lens_id, focal_mm, budget_px, iso_school)"
                        + " VALUES (11, 0, 3, 4, 18, 2.6, 'PROTECT_COLOURS')",
                "INSERT INTO place (id, name, latitude, longitude, elevation_m, zone, sky_brightness)"
                        + " VALUES (8, 'Nowhere', 1, 1, 1, 'Moon/Tycho', 99)",
                "INSERT INTO lens (id, name, shortest_mm, longest_mm, widest_at_shortest, widest_at_longest,"
                        + " smallest_aperture, sharpest_aperture) VALUES (5, 'bent', 18, 10, 2, 2, 16, 2.8)",
                "INSERT INTO accessory (kind, name, rates, alignment_arcmin) VALUES ('SUPPORT', 'odd', 'BACKWARDS', 1)",
                "INSERT INTO track VALUES (3, 'gone', NULL)",
                "INSERT INTO track_line (track_id, position, points) VALUES (3, 0, 'a b')");
        StoredShoots shoots = new StoredShoots(database, CLOCK);
        Shoots.Listed listed = shoots.list(Shoots.Part.ALL);
        assertEquals(1, listed.shoots().size());
        assertEquals(2, listed.unread().size());
        assertEquals(3, listed.of());
        assertTrue(listed.unread().stream().anyMatch(u -> u.why().contains("100000 characters; at most 120")));
        assertTrue(listed.unread().stream().allMatch(u -> u.name().length() <= 80));
        Unreadable e = assertThrows(Unreadable.class, () -> shoots.find(10));
        assertTrue(String.valueOf(e.getMessage()).startsWith("shoot number 10"), e.getMessage());
        assertTrue(shoots.delete(10));
        assertEquals(1, shoots.list(Shoots.Part.ALL).unread().size());
        StoredPlaces places = new StoredPlaces(database, CLOCK);
        assertEquals(1, places.list().size());
        assertEquals("Nowhere", places.unread().get(0).name());
        assertThrows(Unreadable.class, () -> places.find(8));
        StoredKits kits = new StoredKits(database, CLOCK);
        assertEquals(1, kits.lenses().size());
        assertEquals("bent", kits.unread(Kits.Kind.LENS).get(0).name());
        StoredRigs rigs = new StoredRigs(database, CLOCK);
        assertEquals("odd", rigs.unreadAccessories().get(0).name());
        assertEquals(2, rigs.accessories().size());
        assertEquals("gone", new StoredTracks(database, CLOCK).unread().get(0).name());
    }

    /** Another program that writes for long: the save says so, is not half done, and succeeds afterwards. */
    @Test
    void aHeldFileIsToldFromAFaultOfOurs() throws Exception {
        StoredPlaces places = new StoredPlaces(database, CLOCK);
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("half-dusk.db"));
                Statement s = c.createStatement()) {
            s.execute("BEGIN IMMEDIATE");
            DataAccessException e = assertTimeoutPreemptively(
                    Duration.ofSeconds(20), () -> assertThrows(DataAccessException.class, () -> places.add(cove(1))));
            assertEquals(Trouble.Kind.LOCKED, Trouble.in(e).orElseThrow().kind());
            s.execute("ROLLBACK");
        }
        assertEquals(1, places.list().size());
        places.add(cove(1));
        assertEquals(2, places.list().size());
    }

    /** SQLite's own bound on the pages of a file answers as a full disk does (sqlite.org, SQLITE_FULL). */
    @Test
    void aFullDiskIsToldFromAFaultOfOurs() {
        StoredPlaces places = new StoredPlaces(database, CLOCK);
        int pages = database.dsl().fetchOne("PRAGMA page_count").get(0, Integer.class);
        database.dsl().execute("PRAGMA max_page_count = " + (pages + 3));
        DataAccessException e = assertThrows(
                DataAccessException.class,
                () -> new Transactions(database).of(() -> {
                    for (int i = 0; i < 2000; i++) {
                        places.add(cove(i));
                    }
                    return true;
                }));
        assertEquals(Trouble.Kind.FULL, Trouble.in(e).orElseThrow().kind());
        assertEquals(1, places.list().size());
        database.dsl().execute("PRAGMA max_page_count = 100000");
        places.add(cove(1));
        assertEquals(2, places.list().size());
        assertFalse(places.list().isEmpty());
    }

    @Test
    void aFaultOfOursIsNoTrouble() {
        DataAccessException e =
                assertThrows(DataAccessException.class, () -> database.dsl().execute("SELECT nonsense FROM nowhere"));
        assertTrue(Trouble.in(e).isEmpty());
        assertTrue(Trouble.in(null).isEmpty());
    }
}
