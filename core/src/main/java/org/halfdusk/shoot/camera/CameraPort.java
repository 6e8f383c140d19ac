package org.halfdusk.shoot.camera;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.halfdusk.sequence.Frame;

/** A camera that takes frames when it is told to: the simulated one, or a real one at the end of a cable. */
public interface CameraPort {
    /**
     * One frame that is asked for.
     *
     * @param number counted from 1 in its rig's programme
     * @param jpeg whether a JPEG is written beside the raw file
     */
    record Order(int number, Frame frame, boolean jpeg) {}

    /**
     * What came of it.
     *
     * @param opened when the shutter opened, as far as that is known; nothing where it did not
     * @param trouble why it did not, or what else was wrong, in words
     */
    record Taken(Optional<Instant> opened, Optional<String> trouble) {}

    /** How long before a frame opens it has to be told, as far as that is known by now. */
    Duration lead();

    /** Takes a frame at once; returns when the camera can be told the next one. */
    Taken take(Order order) throws InterruptedException;
}
