package org.halfdusk.shoot.running;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.Air;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.RigChoices;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.Interval;

/**
 * A night gone through against simulated cameras: they are told the programme, and drop what a camera would drop. Faults come by a seed or as
 * they are chosen, and stay until somebody at the camera would notice.
 *
 * @param events in order of time
 * @param missed frames that are not there or of no use
 * @param injected the faults, where they struck
 */
public record Rehearsal(List<Event> events, List<Missed> missed, List<Finding> findings, List<Injected> injected) {
    /** @param clock how far the camera's clock is off, s; it fires by it */
    public record OfRig(int rig, Plan plan, Programme programme, RigChoices choices, Air air, double clock) {}

    /** What happens. */
    public enum What {
        FIRED,
        MISSED,
        SPOILT,
        FAULT,
        MENDED
    }

    /** @param frame counted from 1 in its rig's programme; 0 where it is none @param why of a missed or spoilt frame or the fault */
    public record Event(Instant at, int rig, What what, int frame, String why) {}

    /** @param opens as planned @param reason a constant's name; see {@link Fault} too */
    public record Missed(Instant opens, int rig, String reason, boolean fired) {}

    /** Frames that one thing cost. @param first and last opening of them */
    public record Finding(int rig, String reason, int frames, int of, Instant first, Instant last, boolean fired) {}

    public record Injected(Fault fault, int rig, Instant from, Instant until) {
        boolean at(Instant t) {
            return !t.isBefore(from) && t.isBefore(until);
        }
    }

    /** Somebody looks at a frame so often when no step calls them†. */
    private static final Duration LOOK = Duration.ofMinutes(10);

    private static final Duration CABLE = Duration.ofMinutes(2);
    private static final Duration DOOR = Duration.ofMinutes(1);
    private static final Duration HELD = Duration.ofSeconds(8);
    private static final Duration FILTER_LATE = Duration.ofSeconds(20);
    private static final Duration FILTER_FORGOTTEN = Duration.ofSeconds(5);
    private static final double CLOCK_SECONDS = 10;

    /** In a pause of a minute and more battery and card are changed. */
    private static final Duration SERVED = Duration.ofMinutes(1);

    /** A card that is nearly full has room for this share of the night. */
    private static final double ROOM = 0.6;

    private static final int FEWEST_FAULTS = 2;
    private static final int MORE_FAULTS = 3;

    /** @param chosen none for as the seed has them */
    public static Rehearsal of(List<OfRig> rigs, long seed, Set<Fault> chosen) {
        Random random = new Random(seed);
        // In the order of their constants: a set of another kind would give another night.
        Set<Fault> faults = chosen.isEmpty() ? seeded(rigs, random) : EnumSet.copyOf(chosen);
        List<Injected> injected = new ArrayList<>();
        for (Fault f : faults) {
            List<OfRig> where = rigs.stream().filter(r -> possible(f, r)).toList();
            if (!where.isEmpty()) {
                injected.add(strike(f, where.get(random.nextInt(where.size())), random));
            }
        }
        List<Event> events = new ArrayList<>();
        List<Missed> missed = new ArrayList<>();
        for (Injected i : injected) {
            events.add(new Event(i.from(), i.rig(), What.FAULT, 0, i.fault().name()));
            events.add(new Event(i.until(), i.rig(), What.MENDED, 0, i.fault().name()));
        }
        for (OfRig r : rigs) {
            gone(r, injected.stream().filter(i -> i.rig() == r.rig()).toList(), events, missed);
        }
        events.sort(Comparator.comparing(Event::at).thenComparingInt(Event::rig));
        missed.sort(Comparator.comparing(Missed::opens).thenComparingInt(Missed::rig));
        return new Rehearsal(List.copyOf(events), List.copyOf(missed), findings(rigs, missed), List.copyOf(injected));
    }

    private static Set<Fault> seeded(List<OfRig> rigs, Random random) {
        List<Fault> all = new ArrayList<>(EnumSet.allOf(Fault.class).stream()
                .filter(f -> rigs.stream().anyMatch(r -> possible(f, r)))
                .toList());
        Set<Fault> some = EnumSet.noneOf(Fault.class);
        int count = Math.min(all.size(), FEWEST_FAULTS + random.nextInt(MORE_FAULTS));
        for (int i = 0; i < count; i++) {
            some.add(all.remove(random.nextInt(all.size())));
        }
        return some;
    }

    private static boolean possible(Fault f, OfRig r) {
        boolean frames = span(r).isPresent();
        return switch (f) {
            case FILTER_ON, FILTER_OFF -> frames && bare(r).isPresent();
            case CARD_DOOR_OPEN -> frames && pause(r).isPresent();
            default -> frames;
        };
    }

    private static Optional<Interval> span(OfRig r) {
        List<Block> taken = r.programme().blocks().stream()
                .filter(b -> !b.frames().isEmpty())
                .toList();
        return taken.isEmpty()
                ? Optional.empty()
                : Optional.of(Interval.of(
                        taken.get(0).start(), taken.get(taken.size() - 1).end()));
    }

    /** From the filter's coming off to its going on again, as the programme has them. */
    private static Optional<Interval> bare(OfRig r) {
        return r.programme().blocks().stream()
                .filter(b -> b.kind() == Block.Kind.TOTALITY && !b.frames().isEmpty())
                .findFirst()
                .map(b -> Interval.of(b.start(), b.end()));
    }

    private static Optional<Block> pause(OfRig r) {
        return r.programme().blocks().stream()
                .filter(b -> b.kind() == Block.Kind.PAUSE)
                .findFirst();
    }

    /** Where and for how long: until the next step of the hand, or the next look at a frame. */
    private static Injected strike(Fault f, OfRig r, Random random) {
        Interval span = span(r).orElseThrow();
        Instant some = span.start().plus(Duration.ofMillis((long) (random.nextDouble()
                * 0.8
                * Duration.between(span.start(), span.end()).toMillis())));
        Instant from = switch (f) {
            case CARD_FULL, COLD_BATTERY, CLOCK_OFF, NOISE_REDUCTION -> span.start();
            case FILTER_ON -> bare(r).orElseThrow().start();
            case FILTER_OFF -> bare(r).orElseThrow().end();
            case CARD_DOOR_OPEN -> pause(r).orElseThrow().end();
            default -> some;
        };
        Instant until = switch (f) {
            case CARD_FULL, COLD_BATTERY, CLOCK_OFF -> span.end();
            case FILTER_ON -> from.plus(FILTER_LATE);
            case FILTER_OFF -> from.plus(FILTER_FORGOTTEN);
            case CARD_DOOR_OPEN -> from.plus(DOOR);
            case CABLE_OUT -> from.plus(CABLE);
            case RELEASE_STUCK -> from.plus(HELD);
            default -> noticed(r, from);
        };
        return new Injected(f, r.rig(), from, until);
    }

    private static Instant noticed(OfRig r, Instant from) {
        Instant look = from.plus(LOOK);
        return Hand.of(r.rig(), r.plan(), r.programme()).stream()
                .map(Hand::at)
                .filter(t -> t.isAfter(from) && t.isBefore(look))
                .findFirst()
                .orElse(look);
    }

    private static void gone(OfRig r, List<Injected> faults, List<Event> events, List<Missed> missed) {
        boolean cold = faults.stream().anyMatch(i -> i.fault() == Fault.COLD_BATTERY);
        boolean full = faults.stream().anyMatch(i -> i.fault() == Fault.CARD_FULL);
        double whole = r.programme().simulated(r.plan(), r.choices(), r.air()).megabytes();
        SimulatedCamera camera = new SimulatedCamera(
                r.plan().rig(), r.air().celsius(), cold, full ? Optional.of(ROOM * whole) : Optional.empty());
        double clock = faults.stream().anyMatch(i -> i.fault() == Fault.CLOCK_OFF) ? CLOCK_SECONDS : r.clock();
        Set<Injected> begun = new HashSet<>();
        int number = 0;
        for (Programme.Planned p : r.programme().planned()) {
            Block b = p.block();
            boolean served =
                    b.frames().isEmpty() && Duration.between(b.start(), b.end()).compareTo(SERVED) >= 0;
            if (served) {
                camera.served();
            }
            double megabytes = r.plan().rig().fileMegabytes(p.jpeg());
            for (Frame f : b.frames()) {
                number++;
                // A camera whose clock is ahead fires too early.
                Instant at = f.open().minusMillis(Math.round(clock * 1000));
                Set<Fault> there = EnumSet.noneOf(Fault.class);
                faults.stream().filter(i -> i.at(at)).forEach(i -> there.add(i.fault()));
                faults.stream()
                        .filter(i -> i.fault() == Fault.RELEASE_STUCK && !at.isBefore(i.from()) && begun.add(i))
                        .forEach(i -> camera.held(i.from(), megabytes));
                Optional<SimulatedCamera.Reason> why = camera.fire(
                                at,
                                f,
                                megabytes,
                                r.choices().recording().noiseReduction(),
                                r.choices().recording().outsidePower(),
                                there)
                        .or(() -> late(r, b, at, f));
                boolean fired = camera.firedAt(at);
                events.add(new Event(
                        at,
                        r.rig(),
                        why.isEmpty() ? What.FIRED : fired ? What.SPOILT : What.MISSED,
                        number,
                        why.map(Enum::name).orElse("")));
                why.ifPresent(w -> missed.add(new Missed(f.open(), r.rig(), w.name(), fired)));
            }
        }
    }

    /** In totality by a clock that is off: frames that open while the filter has to be on are of no use. */
    private static Optional<SimulatedCamera.Reason> late(OfRig r, Block b, Instant at, Frame f) {
        if (b.kind() != Block.Kind.TOTALITY || at.equals(f.open())) {
            return Optional.empty();
        }
        Interval bare = bare(r).orElseThrow();
        Instant close = at.plus(Duration.between(f.open(), f.close()));
        return at.isBefore(bare.start()) || close.isAfter(bare.end())
                ? Optional.of(SimulatedCamera.Reason.CLOCK_OFF)
                : Optional.empty();
    }

    private static List<Finding> findings(List<OfRig> rigs, List<Missed> missed) {
        List<Finding> all = new ArrayList<>();
        for (OfRig r : rigs) {
            int of = Block.frames(r.programme().blocks());
            List<String> reasons = missed.stream()
                    .filter(m -> m.rig() == r.rig())
                    .map(Missed::reason)
                    .distinct()
                    .toList();
            for (String why : reasons) {
                List<Missed> mine = missed.stream()
                        .filter(m -> m.rig() == r.rig() && m.reason().equals(why))
                        .toList();
                Missed first = mine.get(0);
                all.add(new Finding(
                        r.rig(),
                        why,
                        mine.size(),
                        of,
                        first.opens(),
                        mine.get(mine.size() - 1).opens(),
                        first.fired()));
            }
        }
        return all;
    }
}
