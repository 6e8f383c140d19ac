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
    GALACTIC_CENTRE(Galaxy.CENTRE_J2000),
    /** North pole of the Milky Way's plane, J2000 192.85948°, +27.12825°, at infinity. */
    GALACTIC_NORTH_POLE(Galaxy.NORTH_POLE_J2000),
    /** The band's brightest part of the north, galactic longitude 80°: the star clouds on both sides of the Great Rift. */
    CYGNUS(Galaxy.onPlaneJ2000(80)),
    /** The band nearest to the north celestial pole, galactic longitude 120°. */
    CASSIOPEIA(Galaxy.onPlaneJ2000(120)),
    /** The faint band of the northern winter beside Orion, galactic longitude 205°. */
    ORION(Galaxy.onPlaneJ2000(205)),
    /** The band's brightest part of the far south, galactic longitude 287°. */
    CARINA(Galaxy.onPlaneJ2000(287)),
    /** The highest point of the band's middle line: another part of the band at each moment and place. */
    BAND_TOP(null);

    private final @Nullable Vector j2000;

    Body(@Nullable Vector j2000) {
        this.j2000 = j2000;
    }

    /** Its unit direction in the mean equator of J2000; nothing of what moves. */
    public Optional<Vector> j2000() {
        return Optional.ofNullable(j2000);
    }

    /** Whether it has a place of its own, seen from the Earth's centre; the band's top is only seen from somewhere. */
    public boolean placed() {
        return this != BAND_TOP;
    }

    /** Whether it is a part of the Milky Way's band. */
    public boolean ofBand() {
        return galacticLongitudeDegrees().isPresent() || this == BAND_TOP;
    }

    /** Where on the band it is, degrees from its centre; nothing of what is not a fixed part of it. */
    public OptionalDouble galacticLongitudeDegrees() {
        return switch (this) {
            case GALACTIC_CENTRE -> OptionalDouble.of(0);
            case CYGNUS, CASSIOPEIA, ORION, CARINA ->
                OptionalDouble.of(Math.toDegrees(
                        Galaxy.fromEquatorJ2000().apply(j2000().orElseThrow()).longitudeRad()));
            default -> OptionalDouble.empty();
        };
    }
}
