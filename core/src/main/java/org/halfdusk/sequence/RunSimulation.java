package org.halfdusk.sequence;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.halfdusk.optics.Camera;

/**
 * What becomes of a programme on a camera, frame by frame: which frames are dropped, because the one before is not over or
 * the buffer is full, how much the card takes, and where a battery ends.
 *
 * @param dropped frames that the camera does not take
 * @param megabytes of what it takes
 * @param charges of the battery that it takes
 * @param emptyAt when a charge first ends before there is a pause to change it in; nothing where none does
 */
public record RunSimulation(
        int taken, List<Dropped> dropped, double megabytes, double charges, Optional<Instant> emptyAt) {
    /** Why a frame is not taken. */
    public enum Why {
        /** The shutter of the one before is still open, or its dark frame is being taken. */
        CAMERA_BUSY,
        BUFFER_FULL
    }

    public record Dropped(int number, Instant at, Why why) {}

    /** A pause in which a battery is changed takes as long as this at least. */
    public static final Duration CHANGE = Duration.ofMinutes(1);

    /** A few of them tell it all. */
    private static final int MOST_LISTED = 1000;

    /**
     * @param jpeg whether a JPEG is written beside the raw file
     * @param noiseReduction whether the camera takes an equal dark frame after each
     * @param celsius of the air
     */
    public static RunSimulation of(
            List<Block> blocks, Camera camera, boolean jpeg, boolean noiseReduction, double celsius) {
        double megabytes = camera.rawMegabytes() + (jpeg ? camera.jpegMegabytes() : 0);
        double writeSeconds = megabytes / camera.writeMegabytesPerSecond();
        double perCharge = Battery.share(celsius, camera);
        Deque<Instant> writing = new ArrayDeque<>();
        List<Dropped> dropped = new ArrayList<>();
        Instant ready = Instant.MIN;
        Instant empty = null;
        int number = 0;
        int taken = 0;
        double used = 0;
        double sinceChange = 0;
        for (Block b : blocks) {
            if (b.frames().isEmpty() && Duration.between(b.start(), b.end()).compareTo(CHANGE) >= 0) {
                sinceChange = 0;
            }
            for (Frame f : b.frames()) {
                number++;
                while (!writing.isEmpty() && !writing.peekFirst().isAfter(f.open())) {
                    writing.removeFirst();
                }
                boolean busy = f.open().isBefore(ready);
                boolean full = writing.size() >= camera.bufferFrames();
                if (busy || full) {
                    if (dropped.size() < MOST_LISTED) {
                        dropped.add(new Dropped(number, f.open(), busy ? Why.CAMERA_BUSY : Why.BUFFER_FULL));
                    }
                    continue;
                }
                taken++;
                double real = f.shutter().realSeconds();
                Instant closed = noiseReduction ? seconds(f.close(), real) : f.close();
                ready = closed;
                Instant free = writing.isEmpty() ? closed : writing.peekLast();
                writing.addLast(seconds(free.isAfter(closed) ? free : closed, writeSeconds));
                double exposing = noiseReduction ? 2 * real : real;
                double share =
                        Math.max(1.0 / camera.batteryFrames(), exposing / 60 / camera.batteryMinutes()) / perCharge;
                used += share;
                sinceChange += share;
                if (empty == null && sinceChange >= 1) {
                    empty = f.open();
                }
            }
        }
        return new RunSimulation(taken, dropped, taken * megabytes, used, Optional.ofNullable(empty));
    }

    private static Instant seconds(Instant at, double seconds) {
        return at.plus(Duration.ofNanos(Math.round(seconds * 1e9)));
    }
}
