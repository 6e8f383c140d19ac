package org.halfdusk.sequence.camera;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.halfdusk.optics.Rig;
import org.halfdusk.sequence.Block;
import org.halfdusk.sequence.Frame;

/**
 * What becomes of a programme on a camera, frame by frame: which frames are dropped, because the one before is not over or
 * the buffer is full, how much the card takes, and where a battery ends.
 *
 * @param dropped frames that the camera does not take
 * @param megabytes of what it takes
 * @param charges of the battery that it takes
 * @param emptyAt when a charge first ends before there is a pause to change it in; nothing where none does
 * @param cardFullAt when the rig's cards are full, where they are known and are
 * @param course how battery, card and buffer stand over time, some hundreds of points
 */
public record RunSimulation(
        int taken,
        List<Dropped> dropped,
        double megabytes,
        double charges,
        Optional<Instant> emptyAt,
        Optional<Instant> cardFullAt,
        List<Level> course) {
    /** A block with what it writes. @param jpeg whether a JPEG is written beside the raw file */
    public record Recorded(Block block, boolean jpeg) {}

    /**
     * How it stands after a frame.
     *
     * @param charge share left of the battery in the camera, 0 to 1
     * @param megabytes taken so far
     * @param buffer share of it that is full, 0 to 1
     */
    public record Level(Instant at, double charge, double megabytes, double buffer) {}

    /** Points of a course beside those of the blocks' ends. */
    private static final int POINTS = 400;

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
     * @param noiseReduction whether the camera takes an equal dark frame after each
     * @param outsidePower whether it is fed from outside, so that no charge is used
     * @param celsius of the air
     */
    public static RunSimulation of(
            List<Recorded> blocks, Rig rig, boolean noiseReduction, boolean outsidePower, double celsius) {
        double capacity = rig.cardMegabytes();
        WorkingCamera camera = new WorkingCamera(rig, Battery.share(celsius, rig.camera()));
        List<Dropped> dropped = new ArrayList<>();
        Instant empty = null;
        int number = 0;
        int taken = 0;
        double used = 0;
        double written = 0;
        Instant cardFull = null;
        double sinceChange = 0;
        List<Level> course = new ArrayList<>();
        int every =
                Math.max(1, Block.frames(blocks.stream().map(Recorded::block).toList()) / POINTS);
        for (Recorded r : blocks) {
            Block b = r.block();
            double megabytes = rig.fileMegabytes(r.jpeg());
            course.add(new Level(b.start(), left(sinceChange), written, camera.waiting(b.start())));
            if (b.frames().isEmpty() && Duration.between(b.start(), b.end()).compareTo(CHANGE) >= 0) {
                sinceChange = 0;
            }
            for (Frame f : b.frames()) {
                number++;
                boolean busy = camera.busy(f.open());
                boolean full = camera.full(f.open());
                if (busy || full) {
                    if (dropped.size() < MOST_LISTED) {
                        dropped.add(new Dropped(number, f.open(), busy ? Why.CAMERA_BUSY : Why.BUFFER_FULL));
                    }
                    continue;
                }
                taken++;
                written += megabytes;
                cardFull = cardFull == null && written > capacity ? f.open() : cardFull;
                double share = camera.expose(f.open(), f.shutter().realSeconds(), noiseReduction, megabytes)
                        * (outsidePower ? 0 : 1);
                used += share;
                sinceChange += share;
                if (empty == null && sinceChange >= 1) {
                    empty = f.open();
                }
                if (taken % every == 0) {
                    course.add(new Level(camera.ready(), left(sinceChange), written, camera.waiting(camera.ready())));
                }
            }
            course.add(new Level(b.end(), left(sinceChange), written, camera.waiting(b.end())));
        }
        return new RunSimulation(
                taken, dropped, written, used, Optional.ofNullable(empty), Optional.ofNullable(cardFull), course);
    }

    /** When the frames open that are not taken, of those that are listed. */
    public Set<Instant> droppedAt() {
        return dropped.stream().map(Dropped::at).collect(Collectors.toSet());
    }

    private static double left(double used) {
        return Math.max(0, 1 - used);
    }
}
