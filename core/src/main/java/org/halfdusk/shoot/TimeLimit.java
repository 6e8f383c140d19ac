package org.halfdusk.shoot;

/**
 * A time from which on something moves too much, to be marked beside the others.
 *
 * @param seconds above 0
 */
public record TimeLimit(Kind kind, double seconds) {
    /** What moves. */
    public enum Kind {
        /** Hands alone: 1/(focal length × crop). */
        HAND,
        /** Hands with the stabiliser's stops. */
        HAND_STABILISED,
        /** The body itself, by a pixel. */
        MOTION
    }
}
