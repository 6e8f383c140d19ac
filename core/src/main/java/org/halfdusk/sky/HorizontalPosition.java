package org.halfdusk.sky;

import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.place.Skyline;

/** Where a body stands for an observer, topocentric and airless; km from the observer, 1 for directions at infinity. */
public record HorizontalPosition(Altitude altitude, Azimuth azimuth, double distance) {
    /** From north, east, up components. */
    public static HorizontalPosition of(Vector northEastUp) {
        return new HorizontalPosition(
                Altitude.ofDegrees(Math.toDegrees(northEastUp.latitudeRad())),
                Azimuth.ofDegrees(Math.toDegrees(Math.atan2(northEastUp.y(), northEastUp.x()))),
                northEastUp.length());
    }

    /** As it is seen: lifted by refraction in standard air. */
    public HorizontalPosition apparent() {
        return new HorizontalPosition(
                Altitude.ofDegrees(Refraction.STANDARD.apparent(altitude.degrees())), azimuth, distance);
    }

    /** Its altitude as it is seen, lifted by refraction in standard air: what light's way through the air goes by. */
    public Apparent seen() {
        return Refraction.STANDARD.seen(altitude);
    }

    /** Degrees by which it is seen, lifted by refraction, over the land in its direction; negative behind it. */
    public double degreesOver(Skyline skyline) {
        return seen().degrees() - skyline.at(azimuth.degrees());
    }

    /** How far it stands to either side of an azimuth, along the sky at its own height, degrees. */
    public double degreesAside(Azimuth of) {
        return Math.abs(azimuth.turnTo(of)) * Math.cos(altitude.radians());
    }

    /** The unit direction as north, east, up. */
    public Vector direction() {
        return Vector.ofSpherical(azimuth.radians(), altitude.radians(), 1);
    }
}
