package org.halfdusk.shoot.running;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.Timer;
import org.halfdusk.sequence.camera.RunSimulation;
import org.halfdusk.shoot.Plan;
import org.halfdusk.shoot.camera.CameraState;
import org.halfdusk.shoot.camera.Fault;
import org.halfdusk.shoot.camera.Reason;
import org.halfdusk.shoot.camera.SimulatedCamera;
import org.halfdusk.shoot.choices.RigChoices;
import org.halfdusk.shoot.packing.Air;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.time.Interval;

/**
 * A night gone through against simulated cameras: they are told the programme, and drop what a camera would drop. Faults come by a seed or as
 * they are chosen, and stay until somebody at the camera would notice.
 *
 * @param events in order of time
 * @param missed frames that are not there or of no use
 * @param injected the faults, where they struck
 * @param looks how each rig's camera stood, some hundreds of times in the night
 */
public record Rehearsal(
        List<Event> events, List<Missed> missed, List<Finding> findings, List<Injected> injected, List<Look> looks) {
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

    /**
     * @param frame counted from 1 in its rig's programme; 0 where it is none
     * @param why a frame was missed or spoilt
     * @param fault that struck, or was mended
     */
    public record Event(Instant at, int rig, What what, int frame, Optional<Reason> why, Optional<Fault> fault) {
        private static Event of(Instant at, Injected i, What what) {
            return new Event(at, i.rig(), what, 0, Optional.empty(), Optional.of(i.fault()));
        }
    }

    /** @param opens as planned @param fired whether the shutter fired all the same */
    public record Missed(Instant opens, int rig, Reason reason, boolean fired) {}

    /** Frames that one thing cost. @param first and last opening of them */
    public record Finding(int rig, Reason reason, int frames, int of, Instant first, Instant last, boolean fired) {}

    /** How a rig's camera stood. */
    public record Look(Instant at, int rig, CameraState state) {}

    /** A fault that strikes a rig at a moment, as somebody chose while it ran. */
    public record Placed(Fault fault, int rig, Instant at) {}

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

    /** So often in a night a camera is looked at. */
    private static final int LOOKS = 300;

    /** And so often, each so long after the one before, while its buffer empties. */
    private static final int DRAINS = 8;

    private static final Duration DRAIN = Duration.ofSeconds(3);

    /** A card that is nearly full has room for this share of the night. */
    private static final double ROOM = 0.6;

    private static final int FEWEST_FAULTS = 2;
    private static final int MORE_FAULTS = 3;

    /** @param chosen none for as the seed has them */
    public static Rehearsal of(List<OfRig> rigs, long seed, Set<Fault> chosen) {
        return of(rigs, seed, chosen, List.of());
    }

    /** @param placed that strike beside those; such as a rig cannot have do not */
    public static Rehearsal of(List<OfRig> rigs, long seed, Set<Fault> chosen, List<Placed> placed) {
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
        for (Placed p : placed) {
            rigs.stream()
                    .filter(r -> r.rig() == p.rig() && possible(p.fault(), r))
                    .findFirst()
                    .ifPresent(
                            r -> injected.add(new Injected(p.fault(), p.rig(), p.at(), until(p.fault(), r, p.at()))));
        }
        List<Event> events = new ArrayList<>();
        List<Missed> missed = new ArrayList<>();
        List<Look> looks = new ArrayList<>();
        for (Injected i : injected) {
            events.add(Event.of(i.from(), i, What.FAULT));
            events.add(Event.of(i.until(), i, What.MENDED));
        }
        for (OfRig r : rigs) {
            gone(r, injected.stream().filter(i -> i.rig() == r.rig()).toList(), events, missed, looks);
        }
        events.sort(Comparator.comparing(Event::at).thenComparingInt(Event::rig));
        looks.sort(Comparator.comparing(Look::at).thenComparingInt(Look::rig));
        missed.sort(Comparator.comparing(Missed::opens).thenComparingInt(Missed::rig));
        return new Rehearsal(
                List.copyOf(events),
                List.copyOf(missed),
                findings(rigs, missed),
                List.copyOf(injected),
                List.copyOf(looks));
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
            case MIRROR_UP -> frames && r.plan().rig().camera().shutter().mirror();
            case INTERVAL_OTHER_WAY -> frames && timed(r).isPresent();
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

    /** The first block that a timer does. */
    private static Optional<Block> timed(OfRig r) {
        return r.programme().planned().stream()
                .filter(p -> p.timer(r.plan()).isPresent())
                .map(Programme.Planned::block)
                .findFirst();
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
            case CARD_FULL, COLD_BATTERY, CLOCK_OFF, NOISE_REDUCTION, ASLEEP -> span.start();
            case INTERVAL_OTHER_WAY -> timed(r).orElseThrow().start();
            case FILTER_ON -> bare(r).orElseThrow().start();
            case FILTER_OFF -> bare(r).orElseThrow().end();
            case CARD_DOOR_OPEN -> pause(r).orElseThrow().end();
            default -> some;
        };
        return new Injected(f, r.rig(), from, until(f, r, from));
    }

    private static Instant until(Fault f, OfRig r, Instant from) {
        Instant end = span(r).orElseThrow().end();
        return switch (f) {
            case CARD_FULL, COLD_BATTERY, CLOCK_OFF, ASLEEP -> end.isAfter(from) ? end : from;
            case FILTER_ON -> from.plus(FILTER_LATE);
            case FILTER_OFF -> from.plus(FILTER_FORGOTTEN);
            case CARD_DOOR_OPEN -> from.plus(DOOR);
            case CABLE_OUT, PHONE_CONNECTED -> from.plus(CABLE);
            case RELEASE_STUCK -> from.plus(HELD);
            case INTERVAL_OTHER_WAY ->
                r.programme().blocks().stream()
                        .filter(b -> !b.frames().isEmpty() && b.end().isAfter(from))
                        .map(Block::end)
                        .findFirst()
                        .orElse(from);
            default -> noticed(r, from);
        };
    }

    private static Instant noticed(OfRig r, Instant from) {
        Instant look = from.plus(LOOK);
        return Hand.of(r.rig(), r.plan(), r.programme()).stream()
                .map(Hand::at)
                .filter(t -> t.isAfter(from) && t.isBefore(look))
                .findFirst()
                .orElse(look);
    }

    private static void gone(
            OfRig r, List<Injected> faults, List<Event> events, List<Missed> missed, List<Look> looks) {
        Optional<Interval> span = span(r);
        if (span.isEmpty()) {
            return;
        }
        SimulatedCamera camera = new SimulatedCamera(
                r.plan().rig(),
                new SimulatedCamera.Setup(
                        span.get().start(),
                        r.air().celsius(),
                        r.clock(),
                        r.choices().recording()));
        new Going(r, faults, camera, events, missed, looks).all();
    }

    /** One rig's night as it goes. */
    private static final class Going {
        private final OfRig r;
        private final List<Injected> faults;
        private final SimulatedCamera camera;
        private final List<Event> events;
        private final List<Missed> missed;
        private final List<Look> looks;
        private final Set<Injected> begun = new HashSet<>();

        /** When it is looked at beside that: as faults come and go, and as the buffer empties, in order of time. */
        private final Deque<Instant> turning;

        private final int every;

        /** Of all frames that are still to come. */
        private double megabytesAhead;

        private int number;

        Going(
                OfRig r,
                List<Injected> faults,
                SimulatedCamera camera,
                List<Event> events,
                List<Missed> missed,
                List<Look> looks) {
            this.r = r;
            this.faults = faults;
            this.camera = camera;
            this.events = events;
            this.missed = missed;
            this.looks = looks;
            this.turning = new ArrayDeque<>(Stream.concat(
                            faults.stream()
                                    .flatMap(i -> Stream.concat(Stream.of(i.from(), i.until()), drains(i.from()))),
                            r.programme().blocks().stream()
                                    .filter(b -> b.frames().size() > 1)
                                    .flatMap(b -> drains(b.end())))
                    .sorted()
                    .toList());
            this.every = Math.max(1, Block.frames(r.programme().blocks()) / LOOKS);
            this.megabytesAhead = r.programme().planned().stream()
                    .mapToDouble(p -> p.block().frames().size() * r.plan().rig().fileMegabytes(p.jpeg()))
                    .sum();
        }

        void all() {
            for (Programme.Planned p : r.programme().planned()) {
                Block b = p.block();
                if (b.frames().isEmpty() && Duration.between(b.start(), b.end()).compareTo(RunSimulation.CHANGE) >= 0) {
                    camera.served(b.end());
                }
                double megabytes = r.plan().rig().fileMegabytes(p.jpeg());
                turn(b.start(), b, megabytes);
                look(b.start(), b);
                Optional<Injected> otherWay = faults.stream()
                        .filter(i -> i.fault() == Fault.INTERVAL_OTHER_WAY && i.at(b.start()))
                        .findFirst();
                double period = otherWay.flatMap(i -> p.timer(r.plan()))
                        .map(Rehearsal::otherWay)
                        .orElse(0.0);
                for (int i = 0; i < b.frames().size(); i++) {
                    Frame f = b.frames().get(i);
                    Instant told = period > 0 ? b.start().plusMillis(Math.round(i * period * 1000)) : f.open();
                    number++;
                    take(b, f, told, megabytes, period > 0);
                }
                turn(b.end(), b, megabytes);
                look(b.end(), b);
            }
        }

        /** Moments after one at which its buffer empties. */
        private static Stream<Instant> drains(Instant from) {
            return IntStream.rangeClosed(1, DRAINS).mapToObj(i -> from.plus(DRAIN.multipliedBy(i)));
        }

        private void take(Block b, Frame f, Instant told, double megabytes, boolean counted) {
            Instant at = camera.byItsClock(told, there(told));
            Set<Fault> there = there(at);
            turn(at, b, megabytes);
            megabytesAhead -= megabytes;
            boolean over = counted && told.isAfter(b.end());
            SimulatedCamera.Answer answer = over
                    ? new SimulatedCamera.Answer(Optional.empty(), Optional.of(Reason.INTERVAL_OTHER_WAY))
                    : camera.fire(at, f, megabytes, there);
            // What a timer tells while the camera is busy is the timer's fault.
            Optional<Reason> why = (counted && answer.why().equals(Optional.of(Reason.BUSY))
                            ? Optional.of(Reason.INTERVAL_OTHER_WAY)
                            : answer.why())
                    .or(() -> late(r, b, answer.opened().orElse(at), f));
            boolean fired = answer.opened().isPresent();
            events.add(new Event(
                    answer.opened().orElse(at),
                    r.rig(),
                    why.isEmpty() ? What.FIRED : fired ? What.SPOILT : What.MISSED,
                    number,
                    why,
                    Optional.empty()));
            why.ifPresent(w -> missed.add(new Missed(f.open(), r.rig(), w, fired)));
            if (number % every == 0) {
                look(at, b);
            }
        }

        /** What has struck and gone since the frame before. */
        private void turn(Instant until, Block b, double megabytes) {
            while (!turning.isEmpty() && !turning.peekFirst().isAfter(until)) {
                Instant at = turning.removeFirst();
                faults.stream()
                        .filter(i -> !at.isBefore(i.from()) && begun.add(i))
                        .forEach(i -> begins(i, megabytes));
                look(at, b);
            }
        }

        private void begins(Injected i, double megabytes) {
            if (i.fault() == Fault.RELEASE_STUCK) {
                camera.held(i.from(), megabytes);
            } else if (i.fault() == Fault.CARD_FULL) {
                camera.card(ROOM * megabytesAhead);
            }
        }

        private Set<Fault> there(Instant at) {
            Set<Fault> there = EnumSet.noneOf(Fault.class);
            faults.stream().filter(i -> i.at(at)).forEach(i -> there.add(i.fault()));
            return there;
        }

        private void look(Instant at, Block b) {
            boolean bulb = !b.frames().isEmpty()
                    && b.frames().get(0).shutter().nominalSeconds()
                            > r.plan().rig().camera().shutter().longestTimedSeconds();
            looks.add(new Look(at, r.rig(), camera.state(at, bulb, there(at))));
        }
    }

    /** From opening to opening where an interval was typed for a timer that counts the other way, s. */
    private static double otherWay(Timer t) {
        return t.from() == IntervalTimer.From.START_TO_START
                ? t.exposure().realSeconds() + t.intervalSeconds()
                : t.intervalSeconds();
    }

    /** In totality by a clock that is off: frames that open while the filter has to be on are of no use. */
    private static Optional<Reason> late(OfRig r, Block b, Instant at, Frame f) {
        if (b.kind() != Block.Kind.TOTALITY || at.equals(f.open())) {
            return Optional.empty();
        }
        Interval bare = bare(r).orElseThrow();
        Instant close = at.plus(Duration.between(f.open(), f.close()));
        return at.isBefore(bare.start()) || close.isAfter(bare.end())
                ? Optional.of(Reason.CLOCK_OFF)
                : Optional.empty();
    }

    private static List<Finding> findings(List<OfRig> rigs, List<Missed> missed) {
        List<Finding> all = new ArrayList<>();
        for (OfRig r : rigs) {
            int of = Block.frames(r.programme().blocks());
            List<Reason> reasons = missed.stream()
                    .filter(m -> m.rig() == r.rig())
                    .map(Missed::reason)
                    .distinct()
                    .toList();
            for (Reason why : reasons) {
                List<Missed> mine = missed.stream()
                        .filter(m -> m.rig() == r.rig() && m.reason() == why)
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
