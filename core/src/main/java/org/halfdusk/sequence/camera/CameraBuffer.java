package org.halfdusk.sequence.camera;

import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import org.halfdusk.exposure.Setting;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Frame;

/**
 * A camera that takes frames as fast as it can: the buffer takes so many, and is emptied to the card at the speed of the slower of camera and card.
 * When it is full the next frame waits for room.
 */
public final class CameraBuffer {
    /** From shutter close to the next open while the buffer has room, seconds†. */
    private static final double READY_SECONDS = 0.2;

    private final int frames;
    private final double writeSeconds;
    private final Deque<Instant> written = new ArrayDeque<>();
    private Instant ready = Instant.MIN;

    private CameraBuffer(int frames, double writeSeconds) {
        this.frames = frames;
        this.writeSeconds = writeSeconds;
    }

    /** An empty buffer. @param jpeg whether a JPEG is written beside the raw file */
    public static CameraBuffer of(Rig rig, boolean jpeg) {
        return new CameraBuffer(
                rig.camera().files().bufferFrames(),
                Math.max(0.001, rig.fileMegabytes(jpeg) / rig.writeMegabytesPerSecond()));
    }

    /** Frames a second that go on when the buffer is full. */
    public double framesPerSecond() {
        return 1 / writeSeconds;
    }

    /** The next frame at a moment or as soon after it as the camera can. */
    public Frame next(Instant wished, Setting setting) {
        Instant open = wished.isAfter(ready) ? wished : ready;
        if (written.size() >= frames) {
            Instant room = written.removeFirst();
            open = open.isAfter(room) ? open : room;
        }
        Frame frame = new Frame(open, setting.shutter(), setting.fNumber(), setting.iso());
        ready = seconds(frame.close(), READY_SECONDS);
        Instant begin =
                written.isEmpty() || written.getLast().isBefore(frame.close()) ? frame.close() : written.getLast();
        written.addLast(seconds(begin, writeSeconds));
        return frame;
    }

    private static Instant seconds(Instant at, double seconds) {
        return at.plusNanos(Math.round(seconds * 1e9));
    }
}
