package org.halfdusk.optics.framing;

import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Rig;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.typed.Range;

/**
 * Where the camera points and how it is turned.
 *
 * @param rollDegrees 0 level (long side along the horizon), 90 upright; −180 to 180
 */
public record Framing(Azimuth azimuth, Altitude altitude, double rollDegrees) {
    public static final Range ROLL = new Range("roll", -180, 180, "°");

    public Framing {
        ROLL.check(rollDegrees);
    }

    /** Whether the picture is higher than wide: rolled by more than 45° from level. */
    public boolean upright() {
        double r = Math.abs(rollDegrees) % 180;
        return r > 45 && r < 135;
    }

    /** Roll of the picture as it is shown: an upright camera's is shown upright, and of its right angle nothing is left. */
    public double shownRollDegrees() {
        return rollDegrees - (upright() ? 90 * Math.signum(rollDegrees) : 0);
    }

    /** Unit direction of the frame's centre as north, east, up. */
    public Vector direction() {
        return new HorizontalPosition(altitude, azimuth, 1).direction();
    }

    /** Declination of the frame's centre from a latitude, degrees: it sets how fast the stars in it move. */
    public double declinationDegrees(double latitudeDegrees) {
        double lat = Math.toRadians(latitudeDegrees);
        double alt = altitude.radians();
        double sin = Math.sin(lat) * Math.sin(alt) + Math.cos(lat) * Math.cos(alt) * Math.cos(azimuth.radians());
        return Math.toDegrees(Math.asin(Math.max(-1, Math.min(1, sin))));
    }

    /**
     * An upright frame that holds a body on its vertical middle line, a third of the way up from the lower edge, as
     * long as that does not point it over the zenith.
     */
    public static Framing uprightWithBodyAThirdUp(HorizontalPosition body, Rig rig) {
        double half = Math.tan(Math.toRadians(rig.longFieldDegrees() / 2));
        double above = Math.toDegrees(Math.atan(half / 3));
        double altitude = Math.min(90, body.altitude().degrees() + above);
        return new Framing(body.azimuth(), Altitude.ofDegrees(altitude), 90);
    }

    /** Camera level, a body in the middle of the width and at two thirds of the height; never aimed under the horizon. */
    public static Framing levelWithBodyInUpperThird(HorizontalPosition body, Rig rig) {
        double half = Math.tan(Math.toRadians(rig.shortFieldDegrees() / 2));
        double below = Math.toDegrees(Math.atan(half / 3));
        return new Framing(
                body.azimuth(), Altitude.ofDegrees(Math.max(0, body.altitude().degrees() - below)), 0);
    }
}
