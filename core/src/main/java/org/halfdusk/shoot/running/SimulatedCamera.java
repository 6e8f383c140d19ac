package org.halfdusk.shoot.running;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Battery;
import org.halfdusk.sequence.Frame;

/**
 * A camera that fires nothing: what its shutter, buffer, card and battery would do when it is told to take frames. It stands in for a real
 * one in a rehearsal.
 */
final class SimulatedCamera {
    /** Why a frame is not there, or is of no use. */
    enum Reason {
        BUSY,
        BUFFER_FULL,
        CARD_FULL,
        BATTERY_EMPTY,
        CARD_DOOR_OPEN,
        CABLE_OUT,
        RELEASE_STUCK,
        WRONG_DIAL,
        ISO_AUTO,
        DEW,
        BUMPED,
        CLOCK_OFF,
        FILTER_ON,
        FILTER_OFF,
        /** It still takes the dark frame of the one before. */
        NOISE_REDUCTION
    }

    /** A camera that meters by itself in the dark takes its longest time†, s. */
    private static final double METERED_SECONDS = 30;

    /** Shorter frames get no dark frame of their own. */
    private static final double REDUCED_SECONDS = 1;

    private static final double MEGABYTES_OF_A_GIGABYTE = 1000;

    private final Rig rig;
    private final double chargesPerBattery;
    private final Deque<Instant> writing = new ArrayDeque<>();
    private Instant ready = Instant.MIN;

    /** What keeps it busy until then. */
    private Reason busy = Reason.BUSY;

    private Instant fired = Instant.MIN;
    private double free;
    private double charge = 1;

    /** @param celsius of the air @param cold whether the battery gives half */
    SimulatedCamera(Rig rig, double celsius, boolean cold, Optional<Double> freeMegabytes) {
        this.rig = rig;
        this.chargesPerBattery = Battery.share(celsius, rig.camera()) * (cold ? 0.5 : 1);
        this.free = freeMegabytes.orElseGet(() -> rig.card()
                .map(c -> c.totalGigabytes() * MEGABYTES_OF_A_GIGABYTE)
                .orElse(Double.POSITIVE_INFINITY));
    }

    /** A fresh battery and an empty card. */
    void served() {
        charge = 1;
        free = rig.card().map(c -> c.totalGigabytes() * MEGABYTES_OF_A_GIGABYTE).orElse(Double.POSITIVE_INFINITY);
    }

    /** Whether its shutter fired at a moment, for whatever that is worth. */
    boolean firedAt(Instant at) {
        return fired.equals(at);
    }

    /** Frames that a held release has fired: the buffer is full until the card has taken them. */
    void held(Instant at, double megabytes) {
        Instant free = at;
        writing.clear();
        for (int i = 0; i < rig.camera().bufferFrames(); i++) {
            free = later(free, megabytes / rig.writeMegabytesPerSecond());
            writing.addLast(free);
        }
    }

    /**
     * Takes a frame, or says why not.
     *
     * @param at when it is told, by true time
     * @param faults that are there then
     */
    Optional<Reason> fire(Instant at, Frame f, double megabytes, boolean reduced, boolean outside, Set<Fault> faults) {
        while (!writing.isEmpty() && !writing.peekFirst().isAfter(at)) {
            writing.removeFirst();
        }
        Optional<Reason> still = stopped(at, megabytes, faults);
        if (still.isPresent()) {
            return still;
        }
        Camera camera = rig.camera();
        double real = faults.contains(Fault.WRONG_DIAL)
                ? METERED_SECONDS
                : f.shutter().realSeconds();
        boolean dark = (reduced || faults.contains(Fault.NOISE_REDUCTION)) && real >= REDUCED_SECONDS;
        Instant closed = later(at, dark ? 2 * real : real);
        fired = at;
        ready = closed;
        busy = dark && faults.contains(Fault.NOISE_REDUCTION)
                ? Reason.NOISE_REDUCTION
                : faults.contains(Fault.WRONG_DIAL) ? Reason.WRONG_DIAL : Reason.BUSY;
        Instant last = writing.isEmpty() ? closed : writing.peekLast();
        writing.addLast(later(last.isAfter(closed) ? last : closed, megabytes / rig.writeMegabytesPerSecond()));
        free -= megabytes;
        if (!outside) {
            double used = Math.max(1.0 / camera.batteryFrames(), (dark ? 2 : 1) * real / 60 / camera.batteryMinutes());
            charge -= used / chargesPerBattery;
        }
        return spoilt(faults);
    }

    private Optional<Reason> stopped(Instant at, double megabytes, Set<Fault> faults) {
        if (faults.contains(Fault.CABLE_OUT)) {
            return Optional.of(Reason.CABLE_OUT);
        }
        if (faults.contains(Fault.CARD_DOOR_OPEN)) {
            return Optional.of(Reason.CARD_DOOR_OPEN);
        }
        if (charge <= 0) {
            return Optional.of(Reason.BATTERY_EMPTY);
        }
        if (free < megabytes) {
            return Optional.of(Reason.CARD_FULL);
        }
        if (at.isBefore(ready)) {
            return Optional.of(busy);
        }
        if (writing.size() >= rig.camera().bufferFrames()) {
            return Optional.of(faults.contains(Fault.RELEASE_STUCK) ? Reason.RELEASE_STUCK : Reason.BUFFER_FULL);
        }
        return Optional.empty();
    }

    private static Optional<Reason> spoilt(Set<Fault> faults) {
        if (faults.contains(Fault.FILTER_OFF)) {
            return Optional.of(Reason.FILTER_OFF);
        }
        if (faults.contains(Fault.FILTER_ON)) {
            return Optional.of(Reason.FILTER_ON);
        }
        if (faults.contains(Fault.WRONG_DIAL)) {
            return Optional.of(Reason.WRONG_DIAL);
        }
        if (faults.contains(Fault.ISO_AUTO)) {
            return Optional.of(Reason.ISO_AUTO);
        }
        if (faults.contains(Fault.BUMPED)) {
            return Optional.of(Reason.BUMPED);
        }
        return faults.contains(Fault.DEW) ? Optional.of(Reason.DEW) : Optional.empty();
    }

    private static Instant later(Instant at, double seconds) {
        return at.plus(Duration.ofNanos(Math.round(seconds * 1e9)));
    }
}
