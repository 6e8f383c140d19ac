package org.halfdusk.frame.solved;

import java.util.List;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;

/**
 * What is known before a frame is solved.
 *
 * @param stars of the catalogue above the horizon, brightest first
 * @param azimuthDegrees as it was meant to be aimed, and the others
 * @param focalMm nominal
 * @param fisheye equisolid; else rectilinear
 * @param pitchMicrons of a pixel of this picture
 * @param clockKnown whether the camera's clock was compared: where it was not, a sky that seems turned far from the plan says nothing of
 *     where the camera looked
 */
public record SkyGuess(
        List<Known> stars,
        double azimuthDegrees,
        double altitudeDegrees,
        double focalMm,
        boolean fisheye,
        double pitchMicrons,
        boolean clockKnown) {
    /** A star as it is seen: north, east, up with refraction, of unit length. @param magnitude V above the air */
    public record Known(Vector direction, double magnitude, Apparent altitude) {}

    public SkyGuess {
        stars = List.copyOf(stars);
    }
}
