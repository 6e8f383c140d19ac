package org.halfdusk.ephemeris;

import java.util.Optional;
import java.util.OptionalDouble;
import org.halfdusk.angle.Vector;
import org.jspecify.annotations.Nullable;

/** What the planner follows through the night. */
public enum Body {
    SUN(null),
    MOON(null),
    /** Centre of the Milky Way, J2000 17h45m40.04s −29°00′28.1″, at infinity. */
    GALACTIC_CENTRE(Galaxy.CENTRE_J2000, OptionalDouble.of(0)),
    /** North pole of the Milky Way's plane, J2000 192.85948°, +27.12825°, at infinity. */
    GALACTIC_NORTH_POLE(Galaxy.NORTH_POLE_J2000),
    /** The band's brightest part of the north, galactic longitude 80°: the star clouds on both sides of the Great Rift. */
    CYGNUS(80),
    /** The band nearest to the north celestial pole, galactic longitude 120°. */
    CASSIOPEIA(120),
    /** The faint band of the northern winter beside Orion, galactic longitude 205°. */
    ORION(205),
    /** The band's brightest part of the far south, galactic longitude 287°. */
    CARINA(287),
    /** The highest point of the band's middle line: another part of the band at each moment and place. */
    BAND_TOP(null),
    /** The celestial pole over the horizon of a place, which stands still. */
    CELESTIAL_POLE(null);

    private final @Nullable Vector j2000;
    private final OptionalDouble galacticLongitudeDegrees;

    Body(@Nullable Vector j2000, OptionalDouble galacticLongitudeDegrees) {
        this.j2000 = j2000;
        this.galacticLongitudeDegrees = galacticLongitudeDegrees;
    }

    Body(@Nullable Vector j2000) {
        this(j2000, OptionalDouble.empty());
    }

    /** A part of the band on its middle line. */
    Body(double galacticLongitudeDegrees) {
        this(Galaxy.onPlaneJ2000(galacticLongitudeDegrees), OptionalDouble.of(galacticLongitudeDegrees));
    }

    /** Its unit direction in the mean equator of J2000; nothing of what moves. */
    public Optional<Vector> j2000() {
        return Optional.ofNullable(j2000);
    }

    /** Whether it has a place of its own, seen from the Earth's centre; the band's top and the pole are only seen from somewhere. */
    public boolean placed() {
        return this != BAND_TOP && this != CELESTIAL_POLE;
    }

    /** Whether it is a part of the Milky Way's band. */
    public boolean ofBand() {
        return galacticLongitudeDegrees().isPresent() || this == BAND_TOP;
    }

    /** Where on the band it is, degrees from its centre; nothing of what is not a fixed part of it. */
    public OptionalDouble galacticLongitudeDegrees() {
        return galacticLongitudeDegrees;
    }
}
