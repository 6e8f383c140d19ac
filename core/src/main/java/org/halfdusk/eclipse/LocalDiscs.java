package org.halfdusk.eclipse;

import java.time.Instant;
import org.halfdusk.angle.Vector;
import org.halfdusk.sky.Sky;

/**
 * Sun and Moon as an observer sees them beside each other, with the horizon level.
 *
 * @param right of the Moon's centre from the Sun's, in radii of the Sun; negative to the left
 * @param up towards the zenith
 * @param moonRadius in radii of the Sun
 * @param sunRadiusRad apparent radius of the Sun
 */
public record LocalDiscs(double right, double up, double moonRadius, double sunRadiusRad) {
    public static LocalDiscs at(Sky sky, Instant at) {
        Sky.Pair pair = sky.sunAndMoon(sky.moment(at));
        Vector sun = pair.sun().unit();
        Vector moon = pair.moon().unit();
        double radius = Math.asin(Sky.SUN_RADIUS_KM / pair.sun().length());
        double flat = Math.hypot(sun.x(), sun.y());
        Vector right = new Vector(-sun.y() / flat, sun.x() / flat, 0);
        Vector up = new Vector(-sun.z() * sun.x() / flat, -sun.z() * sun.y() / flat, flat);
        double ahead = moon.dot(sun);
        return new LocalDiscs(
                moon.dot(right) / ahead / radius,
                moon.dot(up) / ahead / radius,
                Math.asin(SolarEclipse.MOON_RADIUS_KM / pair.moon().length()) / radius,
                radius);
    }

    /** Share of the Sun's diameter that is covered; 0 outside. */
    public double magnitude() {
        return Math.max(0, (1 + moonRadius - Math.hypot(right, up)) / 2);
    }
}
