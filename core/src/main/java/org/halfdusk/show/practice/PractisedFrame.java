package org.halfdusk.show.practice;

import java.time.Instant;
import java.util.Optional;
import org.halfdusk.show.Shutter;

/**
 * A frame that a hand took while practising.
 *
 * @param number by which it is kept, 0 before it is
 * @param at when it was taken
 * @param reaction what the hand did on the shell that the frame is of; nothing where no shell was near
 */
public record PractisedFrame(
        long number, Instant at, Exercise exercise, Shutter shutter, Verdict verdict, Optional<Reaction> reaction) {
    /** Most that are kept of a shoot; the oldest go. */
    public static final int MOST = 400;
}
