package org.halfdusk.shoot.review;

import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.frame.solved.Solution;
import org.halfdusk.optics.framing.Framing;

/**
 * How far a frame looked from where it was meant to, degrees.
 *
 * @param off along the great circle
 * @param right positive where it looked too far to the right: difference of azimuths, −180 to 180
 * @param up positive where it looked too high
 * @param askew positive where its right side stands too high, of the picture as it is shown, −180 to 180
 */
public record AimOff(double off, double right, double up, double askew) {
    /** Of a solved frame from where its rig was to look. */
    public static AimOff of(Solution s, Framing planned) {
        double right = (s.azimuthDegrees() - planned.azimuth().degrees() + 540) % 360 - 180;
        double askew = (s.rollDegrees() - planned.shownRollDegrees() + 540) % 360 - 180;
        return new AimOff(
                Math.toDegrees(planned.direction().separationRad(s.forward())),
                right,
                s.altitudeDegrees() - planned.altitude().degrees(),
                askew);
    }

    /** Where it really looked, turned as planned. */
    public static Framing looked(Solution s, Framing planned) {
        return new Framing(
                Azimuth.ofDegrees(s.azimuthDegrees()),
                Altitude.ofDegrees(Math.max(-90, Math.min(90, s.altitudeDegrees()))),
                planned.rollDegrees());
    }
}
