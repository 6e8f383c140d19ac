package org.halfdusk.web.exchange.backup;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.KeptSettings;
import org.halfdusk.shoot.kept.Places;
import org.halfdusk.shoot.kept.Shoots;
import org.halfdusk.shoot.kept.Tracks;
import org.halfdusk.shoot.kept.done.Frames;
import org.halfdusk.shoot.kept.done.Learning;
import org.halfdusk.shoot.kept.done.PackLists;
import org.halfdusk.shoot.kept.done.PracticeLog;
import org.halfdusk.shoot.kept.done.RunLog;
import org.halfdusk.shoot.kept.kit.FocusMarks;
import org.halfdusk.shoot.kept.kit.Kits;
import org.halfdusk.shoot.kept.kit.Rigs;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.show.Shutter;
import org.halfdusk.show.practice.PractisedFrame;
import org.springframework.stereotype.Component;

/** Takes a backup of all that is kept, and brings one in: what is there already, by all its figures, is not doubled. */
@Component
public class BackupDesk {
    private final Places places;
    private final Kits kits;
    private final Rigs rigs;
    private final Shoots shoots;
    private final PackLists packing;
    private final RunLog log;
    private final PracticeLog practice;
    private final Frames frames;
    private final Learning learning;
    private final FocusMarks marks;
    private final Tracks tracks;
    private final KeptSettings settings;
    private final AllOrNothing atOnce;
    private final Clock clock;

    BackupDesk(
            Places places,
            Kits kits,
            Rigs rigs,
            Shoots shoots,
            PackLists packing,
            RunLog log,
            PracticeLog practice,
            Frames frames,
            Learning learning,
            FocusMarks marks,
            Tracks tracks,
            KeptSettings settings,
            AllOrNothing atOnce,
            Clock clock) {
        this.atOnce = atOnce;
        this.places = places;
        this.kits = kits;
        this.rigs = rigs;
        this.shoots = shoots;
        this.packing = packing;
        this.log = log;
        this.practice = practice;
        this.frames = frames;
        this.learning = learning;
        this.marks = marks;
        this.tracks = tracks;
        this.settings = settings;
        this.clock = clock;
    }

    /** Everything that is not deleted, and the deleted kit and places that shoots and rigs still stand on. */
    public Backup take() {
        List<Kept<Shoot>> all = shoots.list("");
        List<Kept<StandingRig>> standing = rigs.rigs();
        List<Backup.Further> further = further(all);
        List<Shoot.ShootRig> inShoots = Stream.concat(
                        all.stream().map(s -> s.it().rig()), further.stream().map(Backup.Further::rig))
                .toList();
        return new Backup(
                Backup.FORMAT,
                Backup.VERSION,
                clock.instant(),
                withUsed(places.list(), all.stream().map(s -> s.it().placeId()).toList(), places::find),
                withUsed(
                        kits.cameras(),
                        used(inShoots, standing, r -> Optional.of(r.cameraId()), s -> Optional.of(s.cameraId())),
                        kits::camera),
                withUsed(
                        kits.lenses(),
                        used(inShoots, standing, r -> Optional.of(r.lensId()), s -> Optional.of(s.lensId())),
                        kits::lens),
                withUsed(
                        kits.converters(),
                        used(inShoots, standing, Shoot.ShootRig::converterId, StandingRig::converterId),
                        kits::converter),
                rigs.accessories(),
                standing,
                all,
                further,
                packed(all),
                noted(all),
                all.stream().flatMap(s -> practised(s.id())).toList(),
                clocks(kits.cameras()),
                frames.all().stream().map(Kept::it).toList(),
                afterwards(all),
                answers(all),
                learnt(),
                focusMarks(),
                tracks.list(),
                settings.all());
    }

    private List<Backup.Packed> packed(List<Kept<Shoot>> all) {
        Set<Long> packed = packing.packed();
        return all.stream()
                .filter(s -> packed.contains(s.id()))
                .map(s -> new Backup.Packed(s.id(), packing.ticked(s.id()), packing.own(s.id())))
                .filter(p -> !p.ticked().isEmpty() || !p.own().isEmpty())
                .toList();
    }

    private List<Backup.Noted> noted(List<Kept<Shoot>> all) {
        Set<Long> noted = log.noted();
        return all.stream()
                .filter(s -> noted.contains(s.id()))
                .map(s -> new Backup.Noted(s.id(), log.entries(s.id())))
                .toList();
    }

    /** Rigs of shoots beside their first. */
    private List<Backup.Further> further(List<Kept<Shoot>> all) {
        Map<Long, List<Kept<Shoot.ShootRig>>> more = shoots.furtherRigs();
        return all.stream()
                .flatMap(
                        s -> more.getOrDefault(s.id(), List.of()).stream().map(r -> new Backup.Further(s.id(), r.it())))
                .toList();
    }

    /** One shoot with its place, its kit and what was packed for it. */
    public Backup take(long shootId) {
        Backup all = take();
        List<Kept<Shoot>> shoot =
                all.shoots().stream().filter(s -> s.id() == shootId).toList();
        List<Backup.Further> further =
                all.furtherRigs().stream().filter(f -> f.shootId() == shootId).toList();
        List<Shoot.ShootRig> kit = Stream.concat(
                        shoot.stream().map(s -> s.it().rig()), further.stream().map(Backup.Further::rig))
                .toList();
        return new Backup(
                all.format(),
                all.version(),
                all.takenAt(),
                only(all.places(), shoot.stream().map(s -> s.it().placeId()).toList()),
                only(all.cameras(), kit.stream().map(Shoot.ShootRig::cameraId).toList()),
                only(all.lenses(), kit.stream().map(Shoot.ShootRig::lensId).toList()),
                only(
                        all.converters(),
                        kit.stream().flatMap(r -> r.converterId().stream()).toList()),
                List.of(),
                List.of(),
                shoot,
                further,
                all.packing().stream().filter(p -> p.shootId() == shootId).toList(),
                all.nights().stream().filter(n -> n.shootId() == shootId).toList(),
                all.practised().stream().filter(p -> p.shootId() == shootId).toList(),
                List.of(),
                all.takenFrames().stream()
                        .filter(f -> f.shootId().filter(s -> s == shootId).isPresent())
                        .toList(),
                all.afterwards().stream().filter(a -> a.shootId() == shootId).toList(),
                all.answers().stream().filter(a -> a.shootId() == shootId).toList(),
                List.of(),
                List.of(),
                List.of(),
                Map.of());
    }

    private List<Backup.NotedAfterwards> afterwards(List<Kept<Shoot>> all) {
        Set<Long> there = BackupCheck.ids(all);
        return frames.afterwards().entrySet().stream()
                .filter(e -> there.contains(e.getKey()) && !e.getValue().empty())
                .sorted(Map.Entry.comparingByKey())
                .map(e -> new Backup.NotedAfterwards(e.getKey(), e.getValue()))
                .toList();
    }

    /** Of lenses that are still there, the oldest first. */
    private List<FocusMark> focusMarks() {
        Set<Long> there = BackupCheck.ids(kits.lenses());
        return marks.all().stream()
                .map(Kept::it)
                .filter(m -> there.contains(m.lensId()))
                .sorted(Comparator.comparing(FocusMark::noted))
                .toList();
    }

    /** Of things that are still there. */
    private List<Learnt> learnt() {
        Map<Learnt.Of, Set<Long>> there = Map.of(
                Learnt.Of.CAMERA,
                BackupCheck.ids(kits.cameras()),
                Learnt.Of.LENS,
                BackupCheck.ids(kits.lenses()),
                Learnt.Of.PLACE,
                BackupCheck.ids(places.list()),
                Learnt.Of.MOUNT,
                BackupCheck.ids(rigs.accessories()));
        return learning.all().stream()
                .filter(l -> there.getOrDefault(l.figure().of(), Set.of()).contains(l.id()))
                .toList();
    }

    private List<Backup.Answered> answers(List<Kept<Shoot>> all) {
        List<Backup.Answered> answers = new ArrayList<>();
        frames.counts().keySet().forEach(shoot -> {
            if (all.stream().anyMatch(s -> s.id() == shoot)) {
                shoots.rigs(shoot)
                        .forEach(r -> frames.answers(shoot, (int) r.id())
                                .forEach((cause, so) ->
                                        answers.add(new Backup.Answered(shoot, (int) r.id(), cause, so))));
            }
        });
        return answers;
    }

    private List<Backup.CameraClock> clocks(List<Kept<Camera>> cameras) {
        Map<Long, ClockOffset> clocks = log.clocks();
        return cameras.stream()
                .flatMap(c ->
                        Optional.ofNullable(clocks.get(c.id())).map(o -> new Backup.CameraClock(c.id(), o)).stream())
                .toList();
    }

    private static <T> List<Kept<T>> only(List<Kept<T>> all, List<Long> ids) {
        return all.stream().filter(k -> ids.contains(k.id())).toList();
    }

    private static List<Long> used(
            List<Shoot.ShootRig> inShoots,
            List<Kept<StandingRig>> standing,
            Function<Shoot.ShootRig, Optional<Long>> ofShoot,
            Function<StandingRig, Optional<Long>> ofRig) {
        List<Long> ids = new ArrayList<>();
        inShoots.forEach(r -> ofShoot.apply(r).ifPresent(ids::add));
        standing.forEach(r -> ofRig.apply(r.it()).ifPresent(ids::add));
        return ids;
    }

    private static <T> List<Kept<T>> withUsed(
            List<Kept<T>> listed, List<Long> used, Function<Long, Optional<Kept<T>>> find) {
        List<Kept<T>> all = new ArrayList<>(listed);
        Set<Long> there = new HashSet<>();
        listed.forEach(k -> there.add(k.id()));
        used.stream().filter(there::add).forEach(id -> find.apply(id).ifPresent(all::add));
        return all;
    }

    /** How many of each sort were new, and how many were there already. */
    public record Report(int added, int there) {}

    /**
     * Brings a backup in, whole or not at all.
     *
     * @throws IllegalArgumentException where its parts do not fit together
     */
    public Report bringIn(Backup b) {
        BackupCheck.of(b);
        return atOnce.of(() -> keep(b));
    }

    private Report keep(Backup b) {
        Counter counter = new Counter();
        Map<Long, Long> place = merge(b.places(), places.list(), places::add, counter);
        Map<Long, Long> camera = merge(b.cameras(), kits.cameras(), kits::add, counter);
        Map<Long, Long> lens = merge(b.lenses(), kits.lenses(), kits::add, counter);
        Map<Long, Long> converter = merge(b.converters(), kits.converters(), kits::add, counter);
        Map<Long, Long> accessory = merge(b.accessories(), rigs.accessories(), rigs::add, counter);
        merge(
                b.rigs().stream()
                        .map(k -> new Kept<>(k.id(), moved(k.it(), camera, lens, converter, accessory)))
                        .toList(),
                rigs.rigs(),
                rigs::add,
                counter);
        merge(b.tracks(), tracks.list(), tracks::add, counter);
        Map<Long, Long> shoot = shoots(b, place, camera, lens, converter, counter);
        for (Backup.Further f : b.furtherRigs()) {
            long id = of(shoot, f.shootId());
            Shoot.ShootRig rig = moved(f.rig(), camera, lens, converter);
            // A twin of the first rig is one, and must come back as one.
            boolean there = shoots.rigs(id).stream().anyMatch(r -> r.id() != Shoots.FIRST_RIG && r.it().equals(rig));
            if (!there) {
                shoots.addRig(id, rig);
            }
        }
        b.packing().forEach(p -> pack(p, of(shoot, p.shootId())));
        b.nights().forEach(n -> log.merge(of(shoot, n.shootId()), n.entries()));
        practise(b, shoot);
        // What was found here since is newer than what a file says.
        Map<Long, ClockOffset> known = log.clocks();
        b.clocks().stream()
                .filter(c -> !known.containsKey(of(camera, c.cameraId())))
                .forEach(c -> log.clock(of(camera, c.cameraId()), c.offset()));
        review(b, shoot, camera, lens, place, accessory);
        if (settings.all().isEmpty()) {
            settings.replace(SettingTexts.withoutThings(b.settings()));
        }
        return new Report(counter.added, counter.there);
    }

    /** The oldest first, as they were taken. */
    private Stream<Backup.Practised> practised(long shoot) {
        List<PractisedFrame> newest = practice.frames(shoot);
        return IntStream.range(0, newest.size())
                .mapToObj(i -> Backup.Practised.of(shoot, newest.get(newest.size() - 1 - i)));
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
                    s -> practice.frames(s).stream()
                            .map(k -> new Taken(k.at(), k.shutter()))
                            .collect(Collectors.toCollection(HashSet::new)));
            if (there.add(new Taken(f.at(), f.shutter()))) {
                practice.add(id, f);
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
        b.takenFrames().forEach(f -> frames.add(f.of(f.shootId().map(s -> of(shoot, s)))));
        b.afterwards().stream()
                .filter(a -> frames.afterwards(of(shoot, a.shootId())).empty())
                .forEach(a -> frames.afterwards(of(shoot, a.shootId()), a.noted()));
        b.answers().stream()
                .filter(a -> !frames.answers(of(shoot, a.shootId()), a.rig()).containsKey(a.cause()))
                .forEach(a -> frames.answer(of(shoot, a.shootId()), a.rig(), a.cause(), Optional.of(a.so())));
        Set<FocusMark> marked = marks.all().stream().map(Kept::it).collect(Collectors.toSet());
        b.focusMarks().stream()
                .map(m -> m.of(of(lens, m.lensId())))
                .filter(m -> !marked.contains(m))
                .forEach(marks::add);
        List<Learnt> here = learning.all();
        learning.take(b.learnt().stream()
                .map(l -> l.of(
                        of(
                                switch (l.figure().of()) {
                                    case CAMERA -> camera;
                                    case LENS -> lens;
                                    case PLACE -> place;
                                    case MOUNT -> accessory;
                                },
                                l.id()),
                        Optional.<Long>ofNullable(shoot.get(l.shootId())).orElse(0L)))
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
        List<Kept<Shoot>> here = shoots.list("").stream()
                .map(k -> new Kept<>(k.id(), timeless(k.it())))
                .toList();
        return merge(brought, here, shoots::add, counter);
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
        packing.own(shootId).forEach(k -> here.put(k.it(), k.id()));
        for (Kept<String> k : p.own()) {
            Long known = here.get(k.it());
            own.put(k.id(), known == null ? packing.add(shootId, k.it()) : known);
        }
        for (String key : p.ticked()) {
            String renumbered = key;
            for (Map.Entry<Long, Long> e : own.entrySet()) {
                if (key.equals("own." + e.getKey())) {
                    renumbered = "own." + e.getValue();
                }
            }
            packing.tick(shootId, renumbered, true);
        }
    }
}
