package org.halfdusk.web.firing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import org.halfdusk.sequence.Frame;
import org.halfdusk.shoot.camera.CameraPort;
import org.halfdusk.shoot.camera.Conductor;
import org.halfdusk.shoot.programme.Programme;
import org.halfdusk.web.StartRefused;
import org.halfdusk.web.layout.MachineClock;
import org.halfdusk.web.shoot.ShootDesk;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Fires rigs' programmes, each in a thread of its own, and knows what came of it until the server ends. */
@Component
class FiringDesk implements DisposableBean {
    /** A trial takes so many frames, the first so long after it was asked for, each so long after the one before. */
    static final int TRIAL_FRAMES = 5;

    private static final Duration TRIAL_BEGINS = Duration.ofSeconds(3);

    private static final Duration TRIAL_APART = Duration.ofSeconds(2);

    private static final Duration NAP = Duration.ofMillis(200);

    /** The last of a wait is not slept, since a sleep may be late by this. */
    private static final Duration AWAKE = Duration.ofMillis(2);

    private final Clock clock;
    private final Clock machine;
    private final Optional<CameraCommand> command;
    private final boolean dry;
    private final Duration patience;
    private final Duration lead;
    private final Map<Key, Firing> all = new ConcurrentHashMap<>();

    /** How early each rig's camera has to be told, from the firings before. */
    private final Map<Integer, Duration> learnt = new ConcurrentHashMap<>();

    FiringDesk(
            Clock clock,
            MachineClock machine,
            @Value("${halfdusk.camera.command:}") String command,
            @Value("${halfdusk.camera.dry-run:false}") boolean dry,
            @Value("${halfdusk.camera.patience:10}") int patienceSeconds,
            @Value("${halfdusk.camera.lead:0}") int leadMillis) {
        this.clock = clock;
        this.machine = machine.clock();
        this.command = command.isBlank() ? Optional.empty() : Optional.of(CameraCommand.read(command));
        this.dry = dry;
        this.patience = Duration.ofSeconds(StartRefused.within("halfdusk.camera.patience", patienceSeconds, 1, 3600));
        this.lead = Duration.ofMillis(StartRefused.within("halfdusk.camera.lead", leadMillis, 0, 60_000));
    }

    private record Key(long shoot, int rig) {}

    /** One rig's programme as it is fired. */
    static final class Firing {
        private final List<Conductor.Shot> shots = new ArrayList<>();
        private final int of;
        private final boolean trial;
        private volatile boolean over;
        private volatile boolean stopped;
        private volatile @Nullable Thread thread;

        private Firing(int of, boolean trial) {
            this.of = of;
            this.trial = trial;
        }

        private void begin(String name, Runnable work) {
            Thread t = new Thread(work, name);
            t.setDaemon(true);
            thread = t;
            t.start();
        }

        private void stop() {
            Thread t = thread;
            if (t != null) {
                t.interrupt();
            }
        }

        private synchronized void heard(Conductor.Shot shot) {
            shots.add(shot);
        }

        synchronized List<Conductor.Shot> shots() {
            return List.copyOf(shots);
        }

        /** Frames that it was asked for. */
        int of() {
            return of;
        }

        boolean trial() {
            return trial;
        }

        boolean over() {
            return over;
        }

        boolean stopped() {
            return stopped;
        }
    }

    /** The tool given at start, by its name; nothing where the simulated camera stands in. */
    Optional<String> tool() {
        return command.map(CameraCommand::tool);
    }

    boolean dry() {
        return dry && command.isPresent();
    }

    Optional<Firing> of(long shoot, int rig) {
        return Optional.ofNullable(all.get(new Key(shoot, rig)));
    }

    /**
     * Begins to fire what is still to come of a rig's programme.
     *
     * @param trial its first frames now instead, to see that camera and tool do what they are told
     * @throws IllegalArgumentException where it fires already, or nothing is to come
     */
    void begin(ShootDesk.Open open, boolean trial) {
        Key key = new Key(open.shoot().id(), open.rig());
        List<CameraPort.Order> orders = trial ? trial(open.programme()) : ahead(open.programme());
        if (orders.isEmpty()) {
            throw new IllegalArgumentException(
                    "No frame of this programme is still to come; a trial, which takes its first ones now, is allowed.");
        }
        Firing firing = new Firing(orders.size(), trial);
        Firing there = all.compute(key, (k, old) -> old == null || old.over() ? firing : old);
        if (there != firing) {
            throw new IllegalArgumentException(
                    "This rig is being fired already, and one firing at a time is allowed; stop that first.");
        }
        firing.begin("firing-" + key.shoot() + "-" + key.rig(), () -> go(open, orders, firing));
    }

    private void go(ShootDesk.Open open, List<CameraPort.Order> orders, Firing firing) {
        CameraPort camera = camera(open);
        try {
            new Conductor(camera, clock, this::rest).go(orders, firing::heard);
        } catch (InterruptedException e) {
            firing.stopped = true;
        } finally {
            learnt.put(open.rig(), camera.lead());
            firing.over = true;
        }
    }

    private CameraPort camera(ShootDesk.Open open) {
        int rig = open.rig() + 1;
        return command.<CameraPort>map(c -> dry
                        ? new DryCamera(c, rig, clock)
                        : new CommandCamera(c, rig, patience, learnt.getOrDefault(open.rig(), lead), clock, machine))
                .orElseGet(() -> new StandInCamera(open, clock, this::rest));
    }

    void stop(long shoot, int rig) {
        of(shoot, rig).ifPresent(Firing::stop);
    }

    /** In naps, so that a clock that is set meanwhile is heard. */
    private void rest(Instant until) throws InterruptedException {
        for (Duration left = left(until); !left.isNegative(); left = left(until)) {
            if (Thread.interrupted()) {
                throw new InterruptedException();
            }
            if (left.compareTo(AWAKE) > 0) {
                Duration nap = left.minus(AWAKE);
                TimeUnit.NANOSECONDS.sleep((nap.compareTo(NAP) > 0 ? NAP : nap).toNanos());
            } else {
                LockSupport.parkNanos(left.toNanos() / 2 + 1);
            }
        }
    }

    private Duration left(Instant until) {
        return Duration.between(clock.instant(), until);
    }

    private List<CameraPort.Order> ahead(Programme programme) {
        Instant now = clock.instant();
        return orders(programme).stream()
                .filter(o -> o.frame().open().isAfter(now))
                .toList();
    }

    private List<CameraPort.Order> trial(Programme programme) {
        List<CameraPort.Order> moved = new ArrayList<>();
        Instant open = clock.instant().plus(TRIAL_BEGINS);
        for (CameraPort.Order o : orders(programme).stream().limit(TRIAL_FRAMES).toList()) {
            Frame f = new Frame(
                    open, o.frame().shutter(), o.frame().fNumber(), o.frame().iso());
            moved.add(new CameraPort.Order(o.number(), f, o.jpeg()));
            open = f.close().plus(TRIAL_APART);
        }
        return moved;
    }

    private static List<CameraPort.Order> orders(Programme programme) {
        List<CameraPort.Order> all = new ArrayList<>();
        for (Programme.Planned p : programme.planned()) {
            for (Frame f : p.block().frames()) {
                all.add(new CameraPort.Order(all.size() + 1, f, p.jpeg()));
            }
        }
        return all;
    }

    @Override
    public void destroy() {
        all.values().forEach(Firing::stop);
    }
}
