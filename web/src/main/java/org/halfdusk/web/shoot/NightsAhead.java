package org.halfdusk.web.shoot;

import org.halfdusk.shoot.Subject;
import org.halfdusk.shoot.Traits;

/** How many nights of a subject a list looks ahead: two months of nights, or the coming eclipses. */
public final class NightsAhead {
    private static final int NIGHTS = 60;
    private static final int ECLIPSES = 12;

    private NightsAhead() {}

    public static int count(Subject subject) {
        return everyNight(subject) ? NIGHTS : ECLIPSES;
    }

    /** Whether every night can be looked at, and not only those on which something happens. */
    public static boolean everyNight(Subject subject) {
        return Traits.of(subject).dating() != Traits.Dating.OF_THE_SKY;
    }
}
