package org.halfdusk.sequence.camera;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Rig;

/** A camera as one frame follows another: whether its shutter is free, what waits in its buffer, what a frame takes of a charge. */
public final class WorkingCamera {
    private final Camera camera;
    private final double writeMegabytesPerSecond;
    private final double perCharge;

    /** When each file that waits is on the card. */
    private final Deque<Instant> writing = new ArrayDeque<>();

    private Instant ready = Instant.MIN;

    /** @param perCharge share of what it should give that a charge gives, above 0 */
    public WorkingCamera(Rig rig, double perCharge) {
        this.camera = rig.camera();
        this.writeMegabytesPerSecond = rig.writeMegabytesPerSecond();
        this.perCharge = perCharge;
    }

    /** Whether the frame before, or its dark frame, is still being taken. */
    public boolean busy(Instant at) {
        return at.isBefore(ready);
    }

    /** Whether its buffer has no room. Moments are asked in order of time. */
    public boolean full(Instant at) {
        while (!writing.isEmpty() && !writing.peekFirst().isAfter(at)) {
            writing.removeFirst();
        }
        return writing.size() >= camera.files().bufferFrames();
    }

    /** Share of the buffer that still waits for the card at a moment, 0 to 1. */
    public double waiting(Instant at) {
        return (double) waitingFrames(at) / camera.files().bufferFrames();
    }

    /** Frames that still wait for the card at a moment, at most as many as the buffer takes. */
    public int waitingFrames(Instant at) {
        long waiting = writing.stream().filter(w -> w.isAfter(at)).count();
        return (int) Math.min(camera.files().bufferFrames(), waiting);
    }

    /**
     * Takes a frame.
     *
     * @param seconds for which the shutter is open
     * @param dark whether a dark frame as long follows
     * @param megabytes of its files
     * @return share of a charge that it takes
     */
    public double expose(Instant open, double seconds, boolean dark, double megabytes) {
        double exposing = dark ? 2 * seconds : seconds;
        ready = later(later(open, seconds), exposing - seconds);
        Instant begin = writing.isEmpty() || writing.peekLast().isBefore(ready) ? ready : writing.peekLast();
        writing.addLast(later(begin, megabytes / writeMegabytesPerSecond));
        return Math.max(
                        1.0 / camera.power().batteryFrames(),
                        exposing / 60 / camera.power().batteryMinutes())
                / perCharge;
    }

    /** When it can take the next frame. */
    public Instant ready() {
        return ready;
    }

    /** Its buffer is full from a moment on, of files of a size. */
    public void fill(Instant at, double megabytes) {
        writing.clear();
        Instant written = at;
        for (int i = 0; i < camera.files().bufferFrames(); i++) {
            written = later(written, megabytes / writeMegabytesPerSecond);
            writing.addLast(written);
        }
    }

    private static Instant later(Instant at, double seconds) {
        return at.plusNanos(Math.round(seconds * 1e9));
    }
}
