package org.halfdusk.web.exchange.backup;

import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.PractisedFrame;

/** Brings a backup in: what is there already, by all its figures, is not doubled; old numbers become those here. */
final class BroughtBack {
    private final AllKept kept;

    BroughtBack(AllKept kept) {
        this.kept = kept;
    }

    /** All of it, one part after the other; who asks makes it one transaction. */
    BackupDesk.Report keep(Backup b) {
        Counter counter = new Counter();
        Map<Long, Long> place = merge(b.places(), kept.places().list(), kept.places()::add, counter);
        Map<Long, Long> camera = merge(b.cameras(), kept.kits().cameras(), kept.kits()::add, counter);
        Map<Long, Long> lens = merge(b.lenses(), kept.kits().lenses(), kept.kits()::add, counter);
        Map<Long, Long> converter = merge(b.converters(), kept.kits().converters(), kept.kits()::add, counter);
        Map<Long, Long> accessory = merge(b.accessories(), kept.rigs().accessories(), kept.rigs()::add, counter);
        merge(
                b.rigs().stream()
                        .map(k -> new Kept<>(k.id(), moved(k.it(), camera, lens, converter, accessory)))
                        .toList(),
                kept.rigs().rigs(),
                kept.rigs()::add,
                counter);
        merge(b.tracks(), kept.tracks().list(), kept.tracks()::add, counter);
        Map<Long, Long> shoot = shoots(b, place, camera, lens, converter, counter);
        for (Backup.Further f : b.furtherRigs()) {
            long id = of(shoot, f.shootId());
            Shoot.ShootRig rig = moved(f.rig(), camera, lens, converter);
            // A twin of the first rig is one, and must come back as one.
            boolean there =
                    kept.shoots().rigs(id).stream().anyMatch(r -> r.id() != Shoots.FIRST_RIG && r.it().equals(rig));
            if (!there) {
                kept.shoots().addRig(id, rig);
            }
        }
        b.packing().forEach(p -> pack(p, of(shoot, p.shootId())));
        b.nights().forEach(n -> kept.log().merge(of(shoot, n.shootId()), n.entries()));
        practise(b, shoot);
        // What was found here since is newer than what a file says.
        Map<Long, ClockOffset> known = kept.log().clocks();
        b.clocks().stream()
                .filter(c -> !known.containsKey(of(camera, c.cameraId())))
                .forEach(c -> kept.log().clock(of(camera, c.cameraId()), c.offset()));
        review(b, shoot, camera, lens, place, accessory);
        if (kept.settings().all().isEmpty()) {
            kept.settings().replace(SettingTexts.withoutThings(b.settings()));
        }
        return new BackupDesk.Report(counter.added, counter.there);
    }

    /** What is there already is not doubled. */
    private void practise(Backup b, Map<Long, Long> shoot) {
        record Taken(Instant at, Shutter shutter) {}
        Map<Long, Set<Taken>> known = new HashMap<>();
        for (Backup.Practised p : b.practised()) {
            long id = of(shoot, p.shootId());
            PractisedFrame f = p.frame();
            Set<Taken> there = known.computeIfAbsent(
                    id,
                    s -> kept.practice().frames(s).stream()
                            .map(k -> new Taken(k.at(), k.shutter()))
                            .collect(Collectors.toCollection(HashSet::new)));
            if (there.add(new Taken(f.at(), f.shutter()))) {
                kept.practice().add(id, f);
            }
        }
    }

    /** Frames that are there already stay as they are, and so does what was noted and taken over here. */
    private void review(
            Backup b,
            Map<Long, Long> shoot,
            Map<Long, Long> camera,
            Map<Long, Long> lens,
            Map<Long, Long> place,
            Map<Long, Long> accessory) {
        b.takenFrames().forEach(f -> kept.frames().add(f.of(f.shootId().map(s -> of(shoot, s)))));
        b.afterwards().stream()
                .filter(a -> kept.frames().afterwards(of(shoot, a.shootId())).empty())
                .forEach(a -> kept.frames().afterwards(of(shoot, a.shootId()), a.noted()));
        b.answers().stream()
                .filter(a ->
                        !kept.frames().answers(of(shoot, a.shootId()), a.rig()).containsKey(a.cause()))
                .forEach(a -> kept.frames().answer(of(shoot, a.shootId()), a.rig(), a.cause(), Optional.of(a.so())));
        Set<FocusMark> marked = kept.marks().all().stream().map(Kept::it).collect(Collectors.toSet());
        b.focusMarks().stream()
                .map(m -> m.of(of(lens, m.lensId())))
                .filter(m -> !marked.contains(m))
                .forEach(kept.marks()::add);
        List<Learnt> here = kept.learning().all();
        kept.learning()
                .take(b.learnt().stream()
                        .map(l -> l.of(
                                of(
                                        switch (l.figure().of()) {
                                            case CAMERA -> camera;
                                            case LENS -> lens;
                                            case PLACE -> place;
                                            case MOUNT -> accessory;
                                        },
                                        l.id()),
                                Optional.<Long>ofNullable(shoot.get(l.shootId()))
                                        .orElse(0L)))
                        .filter(l -> here.stream().noneMatch(h -> h.same(l)))
                        .toList());
    }

    private static final class Counter {
        private int added;
        private int there;
    }

    /** Old numbers to the numbers here. */
    private static <T> Map<Long, Long> merge(
            List<Kept<T>> brought, List<Kept<T>> here, Function<T, Long> add, Counter counter) {
        Map<T, Long> known = new HashMap<>();
        here.forEach(k -> known.putIfAbsent(k.it(), k.id()));
        Map<Long, Long> numbers = new HashMap<>();
        for (Kept<T> k : brought) {
            if (known.containsKey(k.it())) {
                counter.there++;
            } else {
                known.put(k.it(), add.apply(k.it()));
                counter.added++;
            }
            numbers.put(k.id(), of(known, k.it()));
        }
        return numbers;
    }

    private static <K> long of(Map<K, Long> numbers, K key) {
        return Optional.<Long>ofNullable(numbers.get(key)).orElseThrow();
    }

    private static Optional<Long> of(Map<Long, Long> numbers, Optional<Long> key) {
        return key.map(k -> of(numbers, k));
    }

    private static StandingRig moved(
            StandingRig r,
            Map<Long, Long> camera,
            Map<Long, Long> lens,
            Map<Long, Long> converter,
            Map<Long, Long> accessory) {
        return new StandingRig(
                r.name(),
                of(camera, r.cameraId()),
                of(lens, r.lensId()),
                of(converter, r.converterId()),
                r.focalMm(),
                of(accessory, r.filterId()),
                of(accessory, r.supportId()),
                of(accessory, r.cardId()),
                of(accessory, r.batteryId()));
    }

    /** A shoot is the same whenever it was saved. */
    private Map<Long, Long> shoots(
            Backup b,
            Map<Long, Long> place,
            Map<Long, Long> camera,
            Map<Long, Long> lens,
            Map<Long, Long> converter,
            Counter counter) {
        List<Kept<Shoot>> brought = b.shoots().stream()
                .map(k -> new Kept<>(k.id(), moved(k.it(), place, camera, lens, converter)))
                .toList();
        List<Kept<Shoot>> here = kept.shoots().list("").stream()
                .map(k -> new Kept<>(k.id(), timeless(k.it())))
                .toList();
        return merge(brought, here, kept.shoots()::add, counter);
    }

    private static Shoot moved(
            Shoot s, Map<Long, Long> place, Map<Long, Long> camera, Map<Long, Long> lens, Map<Long, Long> converter) {
        return timeless(new Shoot(
                s.subject(),
                of(place, s.placeId()),
                s.night(),
                s.title(),
                moved(s.rig(), camera, lens, converter),
                s.wish(),
                s.notes(),
                s.savedAt()));
    }

    private static Shoot.ShootRig moved(
            Shoot.ShootRig r, Map<Long, Long> camera, Map<Long, Long> lens, Map<Long, Long> converter) {
        return new Shoot.ShootRig(
                of(camera, r.cameraId()),
                of(lens, r.lensId()),
                of(converter, r.converterId()),
                r.focalMm(),
                r.framing(),
                r.wishes(),
                r.choices());
    }

    private static Shoot timeless(Shoot s) {
        return new Shoot(s.subject(), s.placeId(), s.night(), s.title(), s.rig(), s.wish(), s.notes(), Instant.EPOCH);
    }

    private void pack(Backup.Packed p, long shootId) {
        Map<Long, Long> own = new HashMap<>();
        Map<String, Long> here = new HashMap<>();
        kept.packing().own(shootId).forEach(k -> here.put(k.it(), k.id()));
        for (Kept<String> k : p.own()) {
            Long known = here.get(k.it());
            own.put(k.id(), known == null ? kept.packing().add(shootId, k.it()) : known);
        }
        for (String key : p.ticked()) {
            String renumbered = key;
            for (Map.Entry<Long, Long> e : own.entrySet()) {
                if (key.equals("own." + e.getKey())) {
                    renumbered = "own." + e.getValue();
                }
            }
            kept.packing().tick(shootId, renumbered, true);
        }
    }
}
