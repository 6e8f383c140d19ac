package org.halfdusk.frame;

import java.util.List;
import java.util.OptionalDouble;
import org.halfdusk.angle.Vector;

/**
 * A frame solved against the stars: where it really looked, and how much light came through.
 *
 * @param azimuthDegrees of the middle
 * @param altitudeDegrees airless
 * @param rollDegrees 0 where the picture's horizontal lies along the horizon, positive where its right side goes up
 * @param focalMm as the stars measure it
 * @param k1 distortion
 * @param forward of the middle as seen: north, east, up
 * @param residualPx median distance of stars from where they should be
 * @param matched stars
 * @param zLinear magnitude of a star above the air that gives a linear sum of 1 in green; NaN where too few stars tell it
 * @param extinction magnitudes an airmass; NaN like it
 * @param fall magnitudes that the lens loses from the middle to the corner beyond its geometry; NaN like them
 * @param sky five rows of five, mag/arcsec², from the top left; nothing where there is no sky
 * @param towards the directions of the middles of those, as seen: north, east, up
 */
public record Solution(
        double azimuthDegrees,
        double altitudeDegrees,
        double rollDegrees,
        double focalMm,
        double k1,
        Vector forward,
        double residualPx,
        int matched,
        double zLinear,
        double extinction,
        double fall,
        List<List<OptionalDouble>> sky,
        List<Vector> towards) {}
