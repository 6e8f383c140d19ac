package org.halfdusk.sky.shapes;

import java.time.Instant;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.sky.HorizontalPosition;
import org.halfdusk.sky.Sky;

/**
 * The Moon's disc as an observer sees it.
 *
 * @param illuminatedFraction 0 to 1
 * @param limbFromZenithDegrees where the middle of the bright limb is, from straight up counter-clockwise
 * @param diameterDegrees seen from here
 */
public record MoonDisc(
        HorizontalPosition position, double illuminatedFraction, double limbFromZenithDegrees, double diameterDegrees) {
    /** As the place sees it at a time. */
    public static MoonDisc at(Sky sky, Instant at) {
        return new MoonDisc(
                sky.at(Body.MOON, at),
                sky.moonPhase(at).illuminatedFraction(),
                sky.moonAspect(at).brightLimbDegrees() - sky.parallacticAngleDegrees(Body.MOON, at),
                sky.diameterDegrees(Body.MOON, at));
    }
}
