package org.halfdusk.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.lang.reflect.RecordComponent;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Sensor;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.optics.kit.Filter;
import org.halfdusk.photometry.Measurement;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.milkyway.MilkyWayWish;
import org.halfdusk.shoot.review.Afterwards;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.shoot.running.RunEntry;
import org.halfdusk.shoot.setting.wished.Wishes;
import org.halfdusk.store.kit.StoredFocusMarks;
import org.halfdusk.store.kit.StoredKits;
import org.halfdusk.store.kit.StoredRigs;
import org.halfdusk.store.places.StoredPlaces;
import org.halfdusk.store.shoots.StoredForecasts;
import org.halfdusk.store.shoots.StoredFrames;
import org.halfdusk.store.shoots.StoredLearning;
import org.halfdusk.store.shoots.StoredPackLists;
import org.halfdusk.store.shoots.StoredRunLog;
import org.halfdusk.store.shoots.StoredShoots;
import org.halfdusk.store.sqlite.Database;
import org.halfdusk.weather.Forecast;
import org.halfdusk.weather.WeatherHour;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.function.Executable;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is remembered of the file is what stands in it, whoever wrote it last. */
@Tag("slow")
class RememberedTest {
    private static final Clock CLOCK = Clock.fixed(Instant.parse("2027-05-24T18:00:00Z"), ZoneOffset.UTC);
    private static final Observer TOWER = Observer.of(35.952, -3.048, 62);

    @TempDir
    Path folder;

    private Database here;

    /** Another process with the same file, as far as the file can tell. */
    private Database elsewhere;

    @BeforeEach
    void open() {
        here = Database.open(folder, CLOCK);
        elsewhere = Database.open(folder, CLOCK);
    }

    @AfterEach
    void close() {
        here.close();
        elsewhere.close();
    }

    /** All ports of one open file. */
    private record Ports(
            Database database,
            StoredShoots shoots,
            StoredPlaces places,
            StoredKits kits,
            StoredRigs rigs,
            StoredFocusMarks marks,
            StoredForecasts forecasts,
            StoredLearning learning,
            StoredPackLists lists,
            StoredRunLog log,
            StoredFrames frames,
            StoredSettings settings) {
        static Ports of(Database d) {
            return new Ports(
                    d,
                    new StoredShoots(d, CLOCK),
                    new StoredPlaces(d, CLOCK),
                    new StoredKits(d, CLOCK),
                    new StoredRigs(d, CLOCK),
                    new StoredFocusMarks(d, CLOCK),
                    new StoredForecasts(d),
                    new StoredLearning(d),
                    new StoredPackLists(d, CLOCK),
                    new StoredRunLog(d),
                    new StoredFrames(d),
                    new StoredSettings(d));
        }

        /** All that is remembered, of the first few of everything. */
        List<Object> reads() {
            List<Object> all = new ArrayList<>(List.of(
                    places.list(), kits.cameras(), kits.lenses(), kits.converters(), rigs.rigs(), rigs.accessories()));
            all.addAll(List.of(learning.all(), log.clocks(), settings.all(), forecasts.near(TOWER)));
            all.addAll(List.of(frames.counts(), frames.afterwards()));
            for (Subject subject : List.of(Subject.MILKY_WAY, Subject.MOON)) {
                all.addAll(List.of(shoots.lastPlace(subject), shoots.nights(subject, 1), shoots.nights(subject, 2)));
            }
            for (int id = 1; id < 4; id++) {
                all.addAll(List.of(shoots.find(id), shoots.find(id, 1), shoots.rigs(id), shoots.undoable(id)));
                all.addAll(List.of(places.find(id), kits.camera(id), kits.lens(id), kits.converter(id)));
                all.addAll(List.of(rigs.accessory(id), marks.of(id), lists.ticked(id), lists.own(id)));
                all.addAll(List.of(frames.count(id), log.entries(id)));
            }
            return all;
        }
    }

    private static Place place(String name) {
        return new Place(name, TOWER, ZoneId.of("Europe/Madrid"), SkyBrightness.of(21.4), List.of(), "");
    }

    private static Camera camera(String name) {
        return new Camera(
                name,
                new Sensor(35.9, 23.9, 7008, 4672),
                Camera.Sensitivity.of(100, 25600),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(35, 10, 30, 100),
                Camera.Power.of(400, 150));
    }

    private static Lens lens(String name) {
        return new Lens(name, 18, 18, 2, 2, 16, 2.8);
    }

    private static Shoot shoot(long place, LocalDate night) {
        return new Shoot(
                Subject.MILKY_WAY, place, night, "Core", rig(), MilkyWayWish.KIND.usual(), "", CLOCK.instant());
    }

    private static Shoot.ShootRig rig() {
        return new Shoot.ShootRig(1, 1, Optional.empty(), 18, Optional.empty(), Wishes.DEFAULT);
    }

    private static Forecast forecast(double low) {
        WeatherHour hour = new WeatherHour(
                CLOCK.instant(),
                low,
                0,
                0,
                1,
                OptionalDouble.empty(),
                12,
                5,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                0);
        return new Forecast("by hand", false, CLOCK.instant(), List.of(hour));
    }

    private static Ports filled(Database database) {
        Ports p = Ports.of(database);
        for (String name : List.of("Old Watchtower", "Salt Pans", "North Light")) {
            long place = p.places().add(place(name));
            p.kits().add(camera("beside " + name));
            p.kits().add(lens("18 mm f/2"));
            p.kits().add(new Converter("1.4×", 1.4));
            p.rigs().add(new Filter("six stops", Filter.Use.NEUTRAL, 1.8));
            p.shoots().add(shoot(place, LocalDate.of(2027, 6, 4)));
        }
        return p;
    }

    private static List<Runnable> writes(Ports p, Random random) {
        String name = "name " + random.nextInt(1000);
        LocalDate night = LocalDate.of(2027, 6, 1).plusDays(random.nextInt(25));
        long one = 1L + random.nextInt(3);
        boolean so = random.nextBoolean();
        return List.of(
                () -> p.places().update(one, place(name)),
                () -> p.places().delete(2),
                () -> p.places().restore(2),
                () -> p.kits().update(1, camera(name)),
                () -> p.kits().update(1, lens(name)),
                () -> p.kits().update(1, new Converter(name, 2)),
                () -> p.kits().delete(Kits.Kind.CONVERTER, 1),
                () -> p.kits().restore(Kits.Kind.CONVERTER, 1),
                () -> p.rigs().update(1, new Filter(name, Filter.Use.NEUTRAL, 3)),
                () -> p.rigs().add(standing(name)),
                () -> p.rigs().deleteRig(one),
                () -> p.marks().add(new FocusMark(1, 18, OptionalDouble.of(12), name, CLOCK.instant())),
                () -> p.marks().remove(one),
                () -> p.forecasts().keep(TOWER, forecast(random.nextInt(100) / 100.0)),
                () -> p.forecasts().forget(TOWER),
                () -> p.learning().take(List.of(learnt(random.nextInt(50)))),
                () -> p.learning().turn(Learnt.Figure.MOUNT_AXIS, 1, so),
                () -> p.lists().tick(one, "tripod", so),
                () -> p.lists().add(1, name),
                () -> p.lists().remove(1, one),
                () -> p.log().clock(one, new ClockOffset(random.nextInt(60), CLOCK.instant())),
                () -> p.log().merge(one, List.of(entry(name))),
                () -> p.frames().afterwards(one, new Afterwards(name, "", "")),
                () -> p.settings().replace(Map.of("units", name)),
                () -> p.shoots().add(shoot(1, night)),
                () -> p.shoots().addRig(1, rig()),
                () -> p.shoots().removeRig(1, 1),
                () -> p.shoots().restoreRig(1, 1),
                () -> p.shoots()
                        .find(1)
                        .ifPresent(s -> p.shoots().change(1, List.of(Shoots.Edit.of(s.it(), ShootField.TITLE, name)))),
                () -> p.shoots().undo(1),
                () -> p.shoots().delete(one),
                () -> p.shoots().restore(one),
                () -> p.shoots().duplicate(1));
    }

    private static StandingRig standing(String name) {
        return new StandingRig(
                name,
                1,
                1,
                Optional.empty(),
                18,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static Learnt learnt(double arcmin) {
        return new Learnt(Learnt.Figure.MOUNT_AXIS, 1, "", new Measurement(arcmin, 1, 9), 1, CLOCK.instant(), true);
    }

    private static RunEntry entry(String name) {
        return new RunEntry("entry-" + name.substring(5).repeat(3), CLOCK.instant(), 0, RunEntry.Kind.NOTE, "", name);
    }

    private static final class TakenBack extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** Any write by this process or another, in a transaction or not, taken back or not. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2})
    void whateverIsWrittenIsSeenByWhoAsksNext(long seed) {
        Random random = new Random(seed);
        Ports mine = filled(here);
        Ports theirs = Ports.of(elsewhere);
        int differed = 0;
        List<Object> before = mine.reads();
        for (int i = 0; i < 40; i++) {
            Ports writer = random.nextBoolean() ? mine : theirs;
            List<Runnable> writes = writes(writer, random);
            Runnable write = writes.get(random.nextInt(writes.size()));
            switch (random.nextInt(3)) {
                case 0 -> perhaps(write);
                case 1 ->
                    perhaps(() -> writer.database().whole(() -> {
                        write.run();
                        // What is seen here has to be the transaction's.
                        alike(Ports.of(writer.database()).reads(), writer.reads());
                        return true;
                    }));
                default -> takenBack(writer, write);
            }
            List<Object> now = mine.reads();
            alike(Ports.of(elsewhere).reads(), now);
            alike(now, theirs.reads());
            differed += now.equals(before) ? 0 : 1;
            before = now;
        }
        assertTrue(differed > 10, "only " + differed + " writes changed anything");
    }

    /** Said of the first that differs, not of all. */
    private static void alike(List<Object> file, List<Object> remembered) {
        assertEquals(file.size(), remembered.size());
        for (int i = 0; i < file.size(); i++) {
            assertEquals(file.get(i), remembered.get(i));
        }
    }

    /** What a rule of the file refuses changes nothing. */
    private static void perhaps(Runnable write) {
        try {
            write.run();
        } catch (IllegalArgumentException e) {
            assertTrue(String.valueOf(e.getMessage()).contains("allowed"), e::getMessage);
        }
    }

    private static void takenBack(Ports writer, Runnable write) {
        assertThrows(
                TakenBack.class,
                () -> writer.database().whole(() -> {
                    perhaps(write);
                    writer.reads();
                    throw new TakenBack();
                }));
    }

    @Test
    void theFileIsReadAgainOnlyOnceItChanged() {
        AtomicInteger reads = new AtomicInteger();
        Supplier<Integer> asked = here.remembered(reads::incrementAndGet);
        assertEquals(1, asked.get());
        assertEquals(1, asked.get());
        Facts facts = new Facts(here);
        assertEquals(Optional.empty(), facts.get("x"));
        assertEquals(1, asked.get(), "reading changes nothing");
        facts.put("x", "1");
        assertEquals(2, asked.get());
        new Facts(elsewhere).put("x", "2");
        assertEquals(3, asked.get());
        assertEquals(3, asked.get());
        here.whole(() -> {
            assertEquals(4, asked.get());
            assertEquals(5, asked.get(), "in a transaction it is read each time");
            return true;
        });
        assertEquals(3, asked.get(), "and nothing of that is remembered");
    }

    /** Skylines are long to read: whatever else is saved, places are the same ones. */
    @Test
    void placesAreReadAgainOnlyOncePlacesChanged() {
        Ports p = filled(here);
        List<Kept<Place>> before = p.places().list();
        p.settings().replace(Map.of("units", "feet"));
        Ports.of(elsewhere).lists().add(1, "rope");
        assertSame(before, p.places().list());
        assertSame(before.get(0), p.places().find(before.get(0).id()).orElseThrow());
        assertThrows(
                TakenBack.class,
                () -> here.whole(() -> {
                    p.places().update(1, place("never so called"));
                    throw new TakenBack();
                }));
        assertSame(before, p.places().list());
        for (Ports writer : List.of(p, Ports.of(elsewhere))) {
            assertTrue(writer.places().update(1, place("by " + writer.hashCode())));
            assertEquals(Ports.of(here).places().list(), p.places().list());
            assertTrue(writer.places().delete(1));
            assertEquals(2, p.places().list().size());
            assertTrue(writer.places().restore(1));
            assertEquals(3, p.places().list().size());
        }
    }

    /** Eight at once: once a save is through, whoever made it sees it, or a later one. */
    @Test
    void whoSavedSeesWhatWasSaved() throws Exception {
        Ports p = filled(here);
        AtomicInteger number = new AtomicInteger();
        ExecutorService threads = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> saves = IntStream.range(0, 60)
                    .<Callable<Boolean>>mapToObj(i -> () -> {
                        int mine = here.whole(() -> {
                            int n = number.incrementAndGet();
                            p.settings().replace(Map.of("number", Integer.toString(n)));
                            return n;
                        });
                        return Integer.parseInt(p.settings().all().getOrDefault("number", "0")) >= mine;
                    })
                    .toList();
            for (Future<Boolean> f : threads.invokeAll(saves)) {
                assertTrue(f.get());
            }
        } finally {
            threads.shutdown();
        }
        assertEquals(Map.of("number", "60"), p.settings().all());
    }

    /** A file that no longer tells is read. */
    @Test
    void whatIsClosedIsNotRememberedEither() {
        AtomicInteger reads = new AtomicInteger();
        Supplier<Integer> asked = here.remembered(reads::incrementAndGet);
        assertEquals(1, asked.get());
        here.close();
        assertEquals(2, asked.get());
        assertEquals(3, asked.get());
    }

    /** What many threads are given must not be changed by one of them. */
    @Test
    void whatIsRememberedCannotBeChanged() throws Exception {
        Ports p = filled(here);
        p.forecasts().keep(TOWER, forecast(0.4));
        p.shoots().addRig(1, rig());
        p.lists().tick(1, "tripod", true);
        p.lists().add(1, "rope");
        p.log().clock(1, new ClockOffset(3, CLOCK.instant()));
        p.log().merge(1, List.of(entry("name 123")));
        p.frames().afterwards(1, new Afterwards("fine", "", ""));
        p.settings().replace(Map.of("units", "metric"));
        int held = unchangeable(List.copyOf(p.reads()));
        assertTrue(held > 60, held + " collections were looked at");
    }

    /** Collections in a value, in what records hold and in what collections hold; each refuses to be changed. */
    private static int unchangeable(@Nullable Object value) throws ReflectiveOperationException {
        int held = 0;
        if (value instanceof Collection<?> many) {
            held = refused(() -> many.add(null), many);
            for (Object one : many) {
                held += unchangeable(one);
            }
        } else if (value instanceof Map<?, ?> map) {
            held = refused(() -> map.put(null, null), map) + unchangeable(List.copyOf(map.values()));
        } else if (value instanceof Optional<?> maybe && maybe.isPresent()) {
            held = unchangeable(maybe.get());
        } else if (value instanceof Record record) {
            for (RecordComponent component : record.getClass().getRecordComponents()) {
                component.getAccessor().setAccessible(true);
                held += unchangeable(component.getAccessor().invoke(record));
            }
        }
        return held;
    }

    private static int refused(Executable change, Object what) {
        assertThrows(UnsupportedOperationException.class, change, () -> what.getClass() + " " + what);
        return 1;
    }
}
