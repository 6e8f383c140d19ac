package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.place.PlaceNotes;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.Track;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.store.kit.StoredKits;
import org.halfdusk.store.places.StoredPlaces;
import org.halfdusk.store.places.StoredTracks;
import org.halfdusk.store.shoots.StoredShoots;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.typed.Field;
import org.jooq.exception.IntegrityConstraintViolationException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The file as people rely on it: what was saved comes back, is merged, is undone. */
@Tag("slow")
class StoreTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2027-05-24T18:00:00Z"), ZoneOffset.UTC);
    private static final Place TOWER = new Place(
            "Old Watchtower",
            Observer.of(35.952, -3.048, 62),
            ZoneId.of("Europe/Madrid"),
            SkyBrightness.of(21.4),
            List.of(new ForegroundObject("Watchtower", 18, 7, Azimuth.ofDegrees(171.2), 64, 1)),
            "south car park");
    private static final Camera CAMERA = new Camera(
            "full frame",
            new Sensor(35.9, 23.9, 7008, 4672),
            Camera.Sensitivity.of(100, 25600),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(35, 10, 30, 100),
            Camera.Power.of(400, 150));
    private static final Lens LENS = new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8);

    @TempDir
    Path folder;

    private Database database;
    private StoredPlaces places;
    private StoredKits kits;
    private StoredShoots shoots;

    @BeforeEach
    void open() {
        database = Database.open(folder, CLOCK);
        places = new StoredPlaces(database, CLOCK);
        kits = new StoredKits(database, CLOCK);
        shoots = new StoredShoots(database, CLOCK);
    }

    @AfterEach
    void close() {
        database.close();
    }

    private long shoot() {
        long place = places.add(TOWER);
        Shoot.ShootRig rig = new Shoot.ShootRig(
                kits.add(CAMERA), kits.add(LENS), Optional.empty(), 18, Optional.empty(), Wishes.DEFAULT);
        return shoots.add(new Shoot(
                Subject.MILKY_WAY,
                place,
                LocalDate.of(2027, 6, 4),
                "Core over the tower",
                rig,
                MilkyWayWish.KIND.usual(),
                "",
                CLOCK.instant()));
    }

    private Shoots.Outcome change(long id, Field<Shoot, ?> field, String was, String value) {
        return shoots.change(id, List.of(Shoots.Edit.read(field, Optional.of(was), value)));
    }

    private double lowest(long id) {
        return ((MilkyWayWish) shoots.find(id).orElseThrow().it().wish()).lowestDegrees();
    }

    @Test
    void everythingIsThereAfterReopening() {
        long id = shoot();
        change(id, ShootField.APERTURE, "", "2.8");
        Shoot before = shoots.find(id).orElseThrow().it();
        close();
        open();
        assertEquals(before, shoots.find(id).orElseThrow().it());
        assertEquals(TOWER, places.find(before.placeId()).orElseThrow().it());
        assertEquals(CAMERA, kits.camera(before.rig().cameraId()).orElseThrow().it());
        assertEquals(LENS, kits.lens(before.rig().lensId()).orElseThrow().it());
        assertEquals(
                org.halfdusk.photometry.FNumber.of(2.8),
                before.rig().wishes().pinnedAperture().orElseThrow());
    }

    @Test
    void changesOfDifferentFieldsMerge() {
        long id = shoot();
        // Two tabs have seen the same state; each changes another field.
        assertInstanceOf(Shoots.Outcome.Saved.class, change(id, ShootField.TITLE, "Core over the tower", "Mine"));
        assertInstanceOf(Shoots.Outcome.Saved.class, change(id, ShootField.NIGHT, "2027-06-04", "2027-06-05"));
        Shoot s = shoots.find(id).orElseThrow().it();
        assertEquals("Mine", s.title());
        assertEquals(LocalDate.of(2027, 6, 5), s.night());
    }

    @Test
    void changesOfTheSameFieldClashAndOverwriteNothing() {
        long id = shoot();
        change(id, ShootField.TITLE, "Core over the tower", "First");
        Shoots.Outcome.Conflict c = assertInstanceOf(
                Shoots.Outcome.Conflict.class, change(id, ShootField.TITLE, "Core over the tower", "Second"));
        assertEquals("First", c.theirs().title());
        assertEquals("Second", c.yours().value());
        assertEquals("First", shoots.find(id).orElseThrow().it().title());
        assertInstanceOf(Shoots.Outcome.Saved.class, change(id, ShootField.TITLE, "First", "Second"));
    }

    private static final Field<Shoot, ?> LOWEST =
            ShootField.wishes(Subject.MILKY_WAY).get(1);

    /** A wish of the subject is kept, noticed in a conflict and taken back like any other field. */
    @Test
    void wishesOfASubjectAreFieldsToo() {
        long id = shoot();
        assertInstanceOf(Shoots.Outcome.Saved.class, change(id, LOWEST, "10", "20"));
        assertEquals(20, lowest(id));
        Shoots.Outcome.Conflict c = assertInstanceOf(Shoots.Outcome.Conflict.class, change(id, LOWEST, "10", "30"));
        assertEquals("20", LOWEST.text(c.theirs()));
        close();
        open();
        assertEquals(20, lowest(id));
        long copy = shoots.duplicate(id).orElseThrow();
        assertEquals(20, lowest(copy));
        assertTrue(shoots.undo(id));
        assertEquals(10, lowest(id));
        assertEquals(20, lowest(copy));
    }

    @Test
    void skylineNotesCompassAndPositionsComeBack() {
        Observer light = Observer.of(35.978, -3.041, 28);
        Place place = new Place(
                "Sandbar",
                Observer.of(35.9861, -3.0588, 1),
                ZoneId.of("Europe/Madrid"),
                SkyBrightness.of(21.4),
                List.of(ForegroundObject.at("North Light", 34, 8, light, Observer.of(35.9861, -3.0588, 1))),
                new Skyline(List.of(new Skyline.Point(0, 1.5), new Skyline.Point(119.5, 3))),
                -0.4,
                new PlaceNotes("by boat", "soft sand", "low water only", "none", "north beach"));
        long id = places.add(place);
        assertEquals(place, places.find(id).orElseThrow().it());
        assertTrue(places.update(id, place.with(Skyline.FLAT)));
        assertTrue(places.list().get(0).it().skyline().flat());
    }

    @Test
    void tracksComeBackInTheirLines() {
        StoredTracks tracks = new StoredTracks(database, CLOCK);
        Track walk = new Track(
                "Up the path",
                List.of(
                        List.of(new Track.Point(-3.05, 35.95), new Track.Point(-3.049, 35.951)),
                        List.of(
                                new Track.Point(
                                        -3.048,
                                        35.952,
                                        OptionalDouble.of(61.5),
                                        Optional.of(Instant.parse("2027-06-05T20:00:00.250Z"))),
                                new Track.Point(-3.0476, 35.9522, OptionalDouble.of(-2), Optional.empty()),
                                new Track.Point(-3.0475, 35.9525))));
        long id = tracks.add(walk);
        assertEquals(walk, tracks.list().get(0).it());
        assertTrue(tracks.delete(id));
        assertEquals(List.of(), tracks.list());
        assertTrue(tracks.restore(id));
        assertEquals(1, tracks.list().size());
    }

    @Test
    void undoTakesBackOneSaveAtATime() {
        long id = shoot();
        shoots.change(
                id,
                List.of(
                        Shoots.Edit.read(ShootField.TITLE, Optional.of("Core over the tower"), "A"),
                        Shoots.Edit.read(ShootField.ISO, Optional.of(""), "3200")));
        change(id, ShootField.TITLE, "A", "B");
        assertEquals(2, shoots.undoable(id));
        assertTrue(shoots.undo(id));
        assertEquals("A", shoots.find(id).orElseThrow().it().title());
        assertTrue(shoots.undo(id));
        assertEquals("Core over the tower", shoots.find(id).orElseThrow().it().title());
        assertTrue(shoots.find(id).orElseThrow().it().rig().wishes().pinnedIso().isEmpty());
        assertFalse(shoots.undo(id));
    }

    @Test
    void fiftyChangesCanBeUndone() {
        long id = shoot();
        String was = "Core over the tower";
        for (int i = 0; i < 60; i++) {
            change(id, ShootField.TITLE, was, "title " + i);
            was = "title " + i;
        }
        assertEquals(50, shoots.undoable(id));
    }

    @Test
    void deletedThingsHideAndComeBack() {
        long id = shoot();
        assertTrue(shoots.delete(id));
        assertTrue(shoots.find(id).isEmpty());
        assertEquals(List.of(), shoots.list(""));
        assertTrue(shoots.restore(id));
        assertEquals(1, shoots.list("").size());

        long place = shoots.find(id).orElseThrow().it().placeId();
        assertEquals(List.of("Core over the tower"), places.usedBy(place));
        places.delete(place);
        assertEquals(List.of(), places.list());
        assertTrue(places.find(place).isPresent(), "shoots may still stand on it");
        assertTrue(places.restore(place));
    }

    @Test
    void shootsOfAPlaceAreItsOwnTheLatestFirst() {
        long first = shoot();
        long later = shoots.duplicate(first).orElseThrow();
        change(later, ShootField.NIGHT, "2027-06-04", "2027-07-02");
        long hidden = shoots.duplicate(first).orElseThrow();
        shoots.delete(hidden);
        long elsewhere = shoot();
        long place = shoots.find(first).orElseThrow().it().placeId();
        assertEquals(
                List.of(later, first), shoots.at(place).stream().map(Kept::id).toList());
        assertEquals(shoots.find(first), Optional.of(shoots.at(place).get(1)));
        long other = shoots.find(elsewhere).orElseThrow().it().placeId();
        assertEquals(List.of(elsewhere), shoots.at(other).stream().map(Kept::id).toList());
        assertEquals(List.of(), shoots.at(999));
    }

    @Test
    void searchFindsByTitleAndPlaceAndTakesSignsLiterally() {
        long id = shoot();
        change(id, ShootField.TITLE, "Core over the tower", "100%_sure");
        assertEquals(1, shoots.list("WATCH").size());
        assertEquals(1, shoots.list("100%").size());
        assertEquals(1, shoots.list("%_s").size());
        assertEquals(0, shoots.list("%x").size());
    }

    @Test
    void aCopyStandsAlone() {
        long id = shoot();
        long copy = shoots.duplicate(id).orElseThrow();
        change(copy, ShootField.TITLE, "Core over the tower (copy)", "Other");
        assertEquals("Core over the tower", shoots.find(id).orElseThrow().it().title());
        assertEquals(Optional.empty(), shoots.duplicate(9999));
    }

    @Test
    void aShootWithoutItsPlaceCannotBeWritten() {
        long id = shoot();
        assertThrows(
                IntegrityConstraintViolationException.class,
                () -> change(
                        id,
                        ShootField.PLACE,
                        ShootField.PLACE.text(shoots.find(id).orElseThrow().it()),
                        "4711"));
        assertEquals(0, shoots.undoable(id), "the refused change left no trace");
    }

    @Test
    void kitIsUpdatedInPlace() {
        long lens = kits.add(LENS);
        long converter = kits.add(new Converter("1.4×", 1.4));
        assertTrue(kits.update(lens, new Lens("20 mm f/1.8", 20, 20, 1.8, 1.8, 16, 2.8)));
        assertTrue(kits.update(converter, new Converter("2×", 2)));
        assertEquals("20 mm f/1.8", kits.lens(lens).orElseThrow().it().name());
        assertEquals(2, kits.converter(converter).orElseThrow().it().factor());
        assertFalse(kits.update(999, CAMERA));
        kits.delete(Kits.Kind.LENS, lens);
        assertEquals(List.of(), kits.lenses());
        kits.restore(Kits.Kind.LENS, lens);
        assertEquals(1, kits.lenses().size());
    }

    /** Reading and then writing by many at once: every save counts, none fails for a locked file. */
    @Test
    void manyWritersTakeTurns() throws Exception {
        long id = shoot();
        ExecutorService threads = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> saves = IntStream.range(0, 80)
                    .<Callable<Boolean>>mapToObj(i -> () -> {
                        String seen = shoots.find(id).orElseThrow().it().notes();
                        return change(id, ShootField.NOTES, seen, "note " + i) instanceof Shoots.Outcome.Unknown;
                    })
                    .toList();
            for (Future<Boolean> f : threads.invokeAll(saves)) {
                assertFalse(f.get());
            }
        } finally {
            threads.shutdown();
        }
        assertTrue(shoots.find(id).orElseThrow().it().notes().startsWith("note "));
    }

    @Test
    void factsAreOverwritten() {
        Facts facts = new Facts(database);
        assertEquals(Optional.empty(), facts.get("x"));
        facts.put("x", "1");
        facts.put("x", "2");
        assertEquals(Optional.of("2"), facts.get("x"));
    }

    @Test
    void aShootHasSeveralRigsEachWithItsOwnFields() {
        long id = shoot();
        Shoot.ShootRig second = new Shoot.ShootRig(
                kits.add(CAMERA), kits.add(LENS), Optional.empty(), 18, Optional.empty(), Wishes.DEFAULT);
        int number = shoots.addRig(id, second);
        assertEquals(1, number);
        assertEquals(second, shoots.find(id, number).orElseThrow().it().rig());
        assertInstanceOf(
                Shoots.Outcome.Saved.class,
                shoots.change(id, number, List.of(Shoots.Edit.read(ShootField.BUDGET, Optional.of("2.6"), "5"))));
        assertEquals(2.6, shoots.find(id).orElseThrow().it().rig().wishes().budgetPx());
        assertEquals(
                5, shoots.find(id, number).orElseThrow().it().rig().wishes().budgetPx());
        assertTrue(shoots.undo(id));
        assertEquals(
                2.6, shoots.find(id, number).orElseThrow().it().rig().wishes().budgetPx());
    }

    @Test
    void aRigIsTakenOffAndComesBackAndTheFirstStays() {
        long id = shoot();
        Shoot.ShootRig first = shoots.find(id).orElseThrow().it().rig();
        int number = shoots.addRig(id, first);
        assertTrue(shoots.removeRig(id, number));
        assertTrue(shoots.find(id, number).isEmpty());
        assertEquals(1, shoots.rigs(id).size());
        assertTrue(shoots.restoreRig(id, number));
        assertEquals(2, shoots.rigs(id).size());
        assertFalse(shoots.removeRig(id, 0));
        long copy = shoots.duplicate(id).orElseThrow();
        assertEquals(2, shoots.rigs(copy).size());
        for (int i = 2; i < Shoots.MOST_RIGS; i++) {
            shoots.addRig(id, first);
        }
        assertThrows(IllegalArgumentException.class, () -> shoots.addRig(id, first));
    }
}
