package org.halfdusk.time;

import java.time.Instant;

/**
 * An instant in both time scales, as days from 2000-01-01 12:00 (Julian date 2451545.0) in UT and in TT. A double of
 * days resolves about a microsecond over the centuries used here.
 */
public record Moment(double utDays, double ttDays) {
    /** Julian date of the origin. */
    public static final double J2000 = 2451545.0;

    private static final long J2000_EPOCH_SECOND = 946_728_000L;
    private static final double DAY = 86_400;

    /** A moment of the clock, leap seconds left out: UTC is taken for UT1, which differs by less than 0.9 s. */
    public static Moment of(Instant instant, DeltaT deltaT) {
        return ofUtDays(utDays(instant), deltaT);
    }

    /**
     * @param utDays days of UT from J2000
     * @param deltaT what terrestrial time is ahead then
     */
    public static Moment ofUtDays(double utDays, DeltaT deltaT) {
        return new Moment(utDays, utDays + deltaT.secondsAt(utDays) / DAY);
    }

    /** Days of UT from J2000. */
    public static double utDays(Instant instant) {
        return ((instant.getEpochSecond() - J2000_EPOCH_SECOND) + instant.getNano() * 1e-9) / DAY;
    }

    /** The instant of a number of days of UT from J2000, to the nearest 0.1 ms. */
    public static Instant instantOf(double utDays) {
        long tenthsOfMillis = Math.round(utDays * DAY * 1e4);
        return Instant.ofEpochSecond(
                J2000_EPOCH_SECOND + Math.floorDiv(tenthsOfMillis, 10_000L),
                Math.floorMod(tenthsOfMillis, 10_000L) * 100_000L);
    }

    /** By the clock. */
    public Instant instant() {
        return instantOf(utDays);
    }

    /** Julian centuries of TT from J2000. */
    public double ttCenturies() {
        return ttDays / 36_525;
    }
}
