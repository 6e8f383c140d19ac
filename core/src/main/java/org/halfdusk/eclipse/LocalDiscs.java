package org.halfdusk.eclipse;

import java.time.Instant;
import org.halfdusk.angle.LevelFrame;
import org.halfdusk.sky.Sky;

/**
 * Sun and Moon as an observer sees them beside each other, with the horizon level.
 *
 * @param right of the Moon's centre from the Sun's, in radii of the Sun; negative to the left
 * @param up towards the zenith
 * @param moonRadius in radii of the Sun
 */
public record LocalDiscs(double right, double up, double moonRadius) {
    /** Of Sun and Moon as the place sees them, refraction left out. */
    public static LocalDiscs at(Sky sky, Instant at) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(at));
        double radius = Math.asin(Sky.SUN_RADIUS_KM / pair.sun().length());
        LevelFrame.Offset offset = LevelFrame.towards(pair.sun()).offset(pair.moon());
        return new LocalDiscs(
                offset.right() / radius,
                offset.up() / radius,
                Math.asin(SolarEclipse.MOON_RADIUS_KM / pair.moon().length()) / radius);
    }

    /** Share of the Sun's diameter that is covered; 0 outside. */
    public double magnitude() {
        return Math.max(0, (1 + moonRadius - Math.hypot(right, up)) / 2);
    }
}
