package org.halfdusk.web.exchange.backup;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.FocusMark;
import org.halfdusk.place.Place;
import org.halfdusk.shoot.camera.ClockOffset;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.shoot.kept.AllOrNothing;
import org.halfdusk.shoot.kept.Kept;
import org.halfdusk.shoot.kept.kit.StandingRig;
import org.halfdusk.shoot.review.learnt.Learnt;
import org.halfdusk.show.practice.PractisedFrame;
import org.springframework.stereotype.Component;

/** Takes a backup of all that is kept, and brings one in: what is there already, by all its figures, is not doubled. */
@Component
public class BackupDesk {
    private final AllKept kept;
    private final AllOrNothing atOnce;
    private final Clock clock;

    BackupDesk(AllKept kept, AllOrNothing atOnce, Clock clock) {
        this.kept = kept;
        this.atOnce = atOnce;
        this.clock = clock;
    }

    /** Everything that is not deleted, and the deleted kit and places that shoots and rigs still stand on. */
    public Backup take() {
        List<Kept<Shoot>> all = kept.shoots().list("");
        List<Kept<StandingRig>> standing = kept.rigs().rigs();
        List<Backup.Further> further = further(all);
        List<Shoot.ShootRig> inShoots = Stream.concat(
                        all.stream().map(s -> s.it().rig()), further.stream().map(Backup.Further::rig))
                .toList();
        return new Backup(
                Backup.FORMAT,
                Backup.VERSION,
                clock.instant(),
                places(all),
                withUsed(
                        kept.kits().cameras(),
                        used(inShoots, standing, r -> Optional.of(r.cameraId()), s -> Optional.of(s.cameraId())),
                        kept.kits()::camera),
                withUsed(
                        kept.kits().lenses(),
                        used(inShoots, standing, r -> Optional.of(r.lensId()), s -> Optional.of(s.lensId())),
                        kept.kits()::lens),
                withUsed(
                        kept.kits().converters(),
                        used(inShoots, standing, Shoot.ShootRig::converterId, StandingRig::converterId),
                        kept.kits()::converter),
                kept.rigs().accessories(),
                standing,
                all,
                further,
                packed(all),
                noted(all),
                all.stream().flatMap(s -> practised(s.id())).toList(),
                clocks(kept.kits().cameras()),
                kept.frames().all().stream().map(Kept::it).toList(),
                afterwards(all),
                answers(all),
                learnt(),
                focusMarks(),
                kept.tracks().list(),
                kept.settings().all());
    }

    private List<Kept<Place>> places(List<Kept<Shoot>> all) {
        return withUsed(
                kept.places().list(), all.stream().map(s -> s.it().placeId()).toList(), kept.places()::find);
    }

    private List<Backup.Packed> packed(List<Kept<Shoot>> all) {
        Set<Long> packed = kept.packing().packed();
        return all.stream()
                .filter(s -> packed.contains(s.id()))
                .map(s -> new Backup.Packed(
                        s.id(), kept.packing().ticked(s.id()), kept.packing().own(s.id())))
                .filter(p -> !p.ticked().isEmpty() || !p.own().isEmpty())
                .toList();
    }

    private List<Backup.Noted> noted(List<Kept<Shoot>> all) {
        Set<Long> noted = kept.log().noted();
        return all.stream()
                .filter(s -> noted.contains(s.id()))
                .map(s -> new Backup.Noted(s.id(), kept.log().entries(s.id())))
                .toList();
    }

    /** Rigs of shoots beside their first. */
    private List<Backup.Further> further(List<Kept<Shoot>> all) {
        Map<Long, List<Kept<Shoot.ShootRig>>> more = kept.shoots().furtherRigs();
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
        return kept.frames().afterwards().entrySet().stream()
                .filter(e -> there.contains(e.getKey()) && !e.getValue().empty())
                .sorted(Map.Entry.comparingByKey())
                .map(e -> new Backup.NotedAfterwards(e.getKey(), e.getValue()))
                .toList();
    }

    /** Of lenses that are still there, the oldest first. */
    private List<FocusMark> focusMarks() {
        Set<Long> there = BackupCheck.ids(kept.kits().lenses());
        return kept.marks().all().stream()
                .map(Kept::it)
                .filter(m -> there.contains(m.lensId()))
                .sorted(Comparator.comparing(FocusMark::noted))
                .toList();
    }

    /** Of things that are still there. */
    private List<Learnt> learnt() {
        Map<Learnt.Of, Set<Long>> there = Map.of(
                Learnt.Of.CAMERA,
                BackupCheck.ids(kept.kits().cameras()),
                Learnt.Of.LENS,
                BackupCheck.ids(kept.kits().lenses()),
                Learnt.Of.PLACE,
                BackupCheck.ids(kept.places().list()),
                Learnt.Of.MOUNT,
                BackupCheck.ids(kept.rigs().accessories()));
        return kept.learning().all().stream()
                .filter(l -> there.getOrDefault(l.figure().of(), Set.of()).contains(l.id()))
                .toList();
    }

    private List<Backup.Answered> answers(List<Kept<Shoot>> all) {
        List<Backup.Answered> answers = new ArrayList<>();
        kept.frames().counts().keySet().forEach(shoot -> {
            if (all.stream().anyMatch(s -> s.id() == shoot)) {
                kept.shoots()
                        .rigs(shoot)
                        .forEach(r -> kept.frames()
                                .answers(shoot, (int) r.id())
                                .forEach((cause, so) ->
                                        answers.add(new Backup.Answered(shoot, (int) r.id(), cause, so))));
            }
        });
        return answers;
    }

    private List<Backup.CameraClock> clocks(List<Kept<Camera>> cameras) {
        Map<Long, ClockOffset> clocks = kept.log().clocks();
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
        return atOnce.of(() -> new BroughtBack(kept).keep(b));
    }

    /** The oldest first, as they were taken. */
    private Stream<Backup.Practised> practised(long shoot) {
        List<PractisedFrame> newest = kept.practice().frames(shoot);
        return IntStream.range(0, newest.size())
                .mapToObj(i -> Backup.Practised.of(shoot, newest.get(newest.size() - 1 - i)));
    }
}
