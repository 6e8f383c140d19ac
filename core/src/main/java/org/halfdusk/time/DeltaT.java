package org.halfdusk.time;

/** ΔT = TT − UT1 in seconds, as a function of time. */
@FunctionalInterface
public interface DeltaT {
    /** Seconds by which TT is ahead of UT, for days of UT from J2000. */
    double secondsAt(double utDays);

    /**
     * The built-in model: yearly values of 1950–2026 as published in The Astronomical Almanac and by the IERS,
     * interpolated linearly (error below 0.1 s), then 69.15 s until 2030 and a slow quadratic drift to about 91 s in
     * 2100, the middle of the range that long eclipse records suggest (Morrison et al. 2021, Proc. R. Soc. A 477,
     * 20200776). The future part is a forecast: a few seconds off by 2050 is possible.
     */
    static DeltaT model() {
        return DeltaTTable::secondsAt;
    }

    /** The same value always: for comparing with sources that state theirs. */
    static DeltaT fixed(double seconds) {
        if (!(seconds >= -50 && seconds <= 300)) {
            throw new IllegalArgumentException("ΔT " + seconds + " s is outside −50 to 300 s");
        }
        return utDays -> seconds;
    }
}
