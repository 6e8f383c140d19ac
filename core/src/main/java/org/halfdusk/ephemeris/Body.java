package org.halfdusk.ephemeris;

/** What the planner follows through the night. */
public enum Body {
    SUN,
    MOON,
    /** Centre of the Milky Way, J2000 17h45m40.04s −29°00′28.1″, at infinity. */
    GALACTIC_CENTRE,
    /** North pole of the Milky Way's plane, J2000 192.85948°, +27.12825°, at infinity. */
    GALACTIC_NORTH_POLE
}
