package org.halfdusk.shoot.camera;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Tells a camera the frames of a programme, each so early that its shutter opens when it is to. It changes nothing of the programme: a frame
 * whose moment is over when the camera is free again is not taken and is said.
 */
public final class Conductor {
    /** A frame that would open later than this is not taken. */
    public static final Duration TOLERANCE = Duration.ofMillis(50);

    /**
     * What came of one frame.
     *
     * @param late how much later than planned its shutter opened; nothing where it did not
     */
    public record Shot(int number, Instant planned, Optional<Duration> late, Optional<String> trouble) {
        /** Whether its shutter opened when it was to. */
        public boolean onTime() {
            return late.map(l -> l.abs().compareTo(TOLERANCE) <= 0).orElse(false);
        }
    }

    /** Waits for a moment of the clock. */
    @FunctionalInterface
    public interface Rest {
        void until(Instant at) throws InterruptedException;
    }

    private final CameraPort camera;
    private final Clock clock;
    private final Rest rest;

    /**
     * @param clock that the night is run by
     * @param rest how it waits for the next frame
     */
    public Conductor(CameraPort camera, Clock clock, Rest rest) {
        this.camera = camera;
        this.clock = clock;
        this.rest = rest;
    }

    /**
     * Goes through frames, in the order of time, to the last or until it is interrupted.
     *
     * @param heard is told of each frame as soon as it is known
     */
    public void go(List<CameraPort.Order> orders, Consumer<Shot> heard) throws InterruptedException {
        for (CameraPort.Order o : orders) {
            Instant planned = o.frame().open();
            Instant tell = planned.minus(camera.lead());
            if (clock.instant().isAfter(tell.plus(TOLERANCE))) {
                heard.accept(new Shot(
                        o.number(),
                        planned,
                        Optional.empty(),
                        Optional.of("the camera was not free until its moment was over")));
                continue;
            }
            rest.until(tell);
            CameraPort.Taken taken = camera.take(o);
            heard.accept(new Shot(
                    o.number(), planned, taken.opened().map(t -> Duration.between(planned, t)), taken.trouble()));
        }
    }
}
