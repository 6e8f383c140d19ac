package org.halfdusk.sky.events;

import java.time.Instant;
import org.halfdusk.time.Interval;

/** When the Sun is under −18° in one night. */
public sealed interface Darkness {
    /** Dark for one span; it may begin or end with the night itself (polar night). */
    record Dark(Interval interval) implements Darkness {}

    /** The Sun stays above −18°: the least light there is, and when. */
    record NeverDark(double sunLowestDegrees, Instant at) implements Darkness {}
}
