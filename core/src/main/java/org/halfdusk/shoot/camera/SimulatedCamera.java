package org.halfdusk.shoot.camera;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Frame;
import org.halfdusk.sequence.camera.Battery;
import org.halfdusk.sequence.camera.WorkingCamera;
import org.halfdusk.shoot.camera.CameraState.Dial;
import org.halfdusk.shoot.camera.CameraState.Drive;
import org.halfdusk.shoot.camera.CameraState.Link;
import org.halfdusk.shoot.setting.Recording;

/**
 * A camera that fires nothing: what its dials, shutter, mirror, buffer, card, battery and clock would do when it is told to take frames. It
 * stands in for a real one in a rehearsal. Orders come in the order of time.
 */
public final class SimulatedCamera {
    /** A camera that meters by itself in the dark takes its longest time†, s. */
    private static final double METERED_SECONDS = 30;

    /** Shorter frames get no dark frame of their own. */
    private static final double REDUCED_SECONDS = 1;

    private static final double COLD_SHARE = 0.5;

    /** From an order to the opening†. */
    private static final Duration SELF_TIMER = Duration.ofSeconds(2);

    /** It goes to sleep after so long where nobody has switched that off†. */
    private static final Duration IDLE = Duration.ofMinutes(1);

    /** It looks for something to focus on so long†, and gives up. */
    private static final Duration HUNTING = Duration.ofSeconds(3);

    /** No camera holds the shutter open longer†, s. */
    private static final double BULB_LIMIT_SECONDS = 3600;

    /** What a clock that nobody sets gains in a day†, s. */
    private static final double DRIFT_SECONDS = 1.5;

    private static final double CLOCK_SECONDS = 10;

    private static final double DAY_SECONDS = 86_400;

    /** What spoils a frame that is fired, each by the fault of its name; the gravest first. */
    private static final List<Reason> SPOILING =
            List.of(Reason.FILTER_OFF, Reason.FILTER_ON, Reason.WRONG_DIAL, Reason.ISO_AUTO, Reason.BUMPED, Reason.DEW);

    /** What keeps it from firing at all, before anything inside it is asked; the first that is there. */
    private static final List<Reason> DEAF = List.of(Reason.CABLE_OUT, Reason.PHONE_CONNECTED, Reason.CARD_DOOR_OPEN);

    private final WorkingCamera camera;
    private final Rig rig;
    private final Setup setup;

    /** What keeps it busy. */
    private Reason busy = Reason.BUSY;

    private Instant hunting = Instant.MIN;
    private Instant lastOrder;
    private boolean mirrorIsUp;
    private double free;
    private double charge = 1;

    /**
     * How it is when the night begins.
     *
     * @param celsius of the air
     * @param clockSeconds that its clock is ahead as it was measured
     * @param recording whether it is meant to take a dark frame after each, and whether it is fed from outside
     */
    public record Setup(Instant begin, double celsius, double clockSeconds, Recording recording) {}

    /**
     * What came of an order.
     *
     * @param opened when the shutter opened; nothing where it did not
     * @param why the frame is not there, or is of no use
     */
    public record Answer(Optional<Instant> opened, Optional<Reason> why) {
        private static Answer no(Reason why) {
            return new Answer(Optional.empty(), Optional.of(why));
        }
    }

    /** @param setup how it stands there: its battery full as that cold lets it be, its card empty */
    public SimulatedCamera(Rig rig, Setup setup) {
        this.camera = new WorkingCamera(rig, Battery.share(setup.celsius(), rig.camera()));
        this.rig = rig;
        this.setup = setup;
        this.free = rig.cardMegabytes();
        this.lastOrder = setup.begin();
    }

    /** A fresh battery and an empty card, and it is awake. */
    public void served(Instant at) {
        charge = 1;
        free = rig.cardMegabytes();
        lastOrder = at;
    }

    /** Another card is in it, with so much left. */
    public void card(double freeMegabytes) {
        free = freeMegabytes;
    }

    /** Frames that a held release has fired: the buffer is full until the card has taken them. */
    public void held(Instant at, double megabytes) {
        camera.fill(at, megabytes);
    }

    private double clock(Instant at, Set<Fault> faults) {
        double days = Duration.between(setup.begin(), at).toMillis() / 1000.0 / DAY_SECONDS;
        return faults.contains(Fault.CLOCK_OFF) ? CLOCK_SECONDS + DRIFT_SECONDS * days : setup.clockSeconds();
    }

    /** When it fires that is told a time by its own clock: one that is ahead fires too early. */
    public Instant byItsClock(Instant told, Set<Fault> faults) {
        return told.minusMillis(Math.round(clock(told, faults) * 1000));
    }

    /**
     * Takes a frame, or says why not.
     *
     * @param at when it is told, by true time
     * @param faults that are there then
     */
    public Answer fire(Instant at, Frame f, double megabytes, Set<Fault> faults) {
        Duration idle = Duration.between(lastOrder, at);
        lastOrder = at;
        Optional<Reason> still = stopped(at, megabytes, idle, faults);
        if (still.isPresent()) {
            return Answer.no(still.get());
        }
        boolean metered = faults.contains(Fault.WRONG_DIAL);
        boolean late = faults.contains(Fault.SELF_TIMER);
        Instant opens = late ? at.plus(SELF_TIMER) : at;
        double wished = metered ? METERED_SECONDS : f.shutter().realSeconds();
        double real = Math.min(wished, BULB_LIMIT_SECONDS);
        boolean dark = reduces(faults) && real >= REDUCED_SECONDS;
        double used = camera.expose(opens, real, dark, megabytes);
        busy = dark && faults.contains(Fault.NOISE_REDUCTION)
                ? Reason.NOISE_REDUCTION
                : metered ? Reason.WRONG_DIAL : late ? Reason.SELF_TIMER : Reason.BUSY;
        free -= megabytes;
        double cold = faults.contains(Fault.COLD_BATTERY) ? COLD_SHARE : 1;
        charge -= setup.recording().outsidePower() ? 0 : used / cold;
        Optional<Reason> why =
                first(SPOILING, faults).or(() -> wished > real ? Optional.of(Reason.BULB_LIMIT) : Optional.empty());
        return new Answer(Optional.of(opens), why);
    }

    private Optional<Reason> stopped(Instant at, double megabytes, Duration idle, Set<Fault> faults) {
        Optional<Reason> deaf = first(DEAF, faults);
        if (deaf.isPresent()) {
            return deaf;
        }
        if (charge <= 0) {
            return Optional.of(Reason.BATTERY_EMPTY);
        }
        if (free < megabytes) {
            return Optional.of(Reason.CARD_FULL);
        }
        if (faults.contains(Fault.ASLEEP) && idle.compareTo(IDLE) > 0) {
            return Optional.of(Reason.ASLEEP);
        }
        if (camera.busy(at)) {
            return Optional.of(busy);
        }
        if (camera.full(at)) {
            return Optional.of(faults.contains(Fault.RELEASE_STUCK) ? Reason.RELEASE_STUCK : Reason.BUFFER_FULL);
        }
        if (at.isBefore(hunting) || faults.contains(Fault.AUTOFOCUS)) {
            hunting = at.plus(HUNTING);
            return Optional.of(Reason.AUTOFOCUS);
        }
        mirrorIsUp = faults.contains(Fault.MIRROR_UP) && !mirrorIsUp;
        return mirrorIsUp ? Optional.of(Reason.MIRROR_UP) : Optional.empty();
    }

    private boolean reduces(Set<Fault> faults) {
        return setup.recording().noiseReduction() || faults.contains(Fault.NOISE_REDUCTION);
    }

    /** The first of some that is there as the fault of its name. */
    private static Optional<Reason> first(List<Reason> some, Set<Fault> faults) {
        return some.stream()
                .filter(r -> faults.contains(Fault.valueOf(r.name())))
                .findFirst();
    }

    /**
     * How it stands at a moment not before the last order.
     *
     * @param bulb whether its dial has to be on bulb for the frames that run
     * @param faults that are there then
     */
    public CameraState state(Instant at, boolean bulb, Set<Fault> faults) {
        return new CameraState(
                faults.contains(Fault.WRONG_DIAL) ? Dial.AUTOMATIC : bulb ? Dial.BULB : Dial.MANUAL,
                faults.contains(Fault.SELF_TIMER)
                        ? Drive.SELF_TIMER
                        : faults.contains(Fault.MIRROR_UP) ? Drive.MIRROR_UP : Drive.SINGLE,
                faults.contains(Fault.AUTOFOCUS),
                faults.contains(Fault.ISO_AUTO),
                reduces(faults),
                camera.waitingFrames(at) - (camera.busy(at) ? 1 : 0),
                rig.camera().files().bufferFrames(),
                Math.max(0, free),
                rig.cardMegabytes(),
                Math.max(0, charge),
                setup.celsius(),
                clock(at, faults),
                faults.contains(Fault.PHONE_CONNECTED)
                        ? Link.PHONE
                        : faults.contains(Fault.CABLE_OUT) ? Link.NOBODY : Link.CABLE,
                faults.contains(Fault.ASLEEP) && Duration.between(lastOrder, at).compareTo(IDLE) > 0);
    }
}
