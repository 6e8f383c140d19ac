package org.halfdusk.show.practice;

/** What a frame came to. */
public enum Verdict {
    /** Nothing glowed while the shutter was open. */
    BLACK,
    /** Only what climbs was taken. */
    BEFORE_THE_BREAK,
    /** It opened when the break was well under way. */
    TOO_LATE,
    /** It closed before the stars had burnt. */
    CUT_OFF,
    /** White without colour. */
    BLOWN,
    /** Smoke stood before the break. */
    SMOKE,
    /** Several breaks lie over each other. */
    ON_TOP,
    /** All of a break. */
    WHOLE,
    /** All of a break with a stroke of its climb. */
    WHOLE_WITH_CLIMB;

    /** Whether one would keep the frame. */
    public boolean good() {
        return this == WHOLE || this == WHOLE_WITH_CLIMB;
    }
}
