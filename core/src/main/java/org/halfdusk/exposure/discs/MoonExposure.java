package org.halfdusk.exposure.discs;

import org.halfdusk.angle.Apparent;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Stops;

/**
 * The Moon as sunlit rock: f/11 and 1/ISO for a high full Moon, which puts it 28 % of the way to saturation, about a stop
 * brighter than guide value 8 of the eclipse tables. Thinner phases and low altitudes need more.
 */
public final class MoonExposure {
    private static final double RULE_APERTURE = 11;

    private MoonExposure() {}

    /**
     * Stops by which the lit surface is darker than the full Moon's, by phase angle: flux −12.73 + 0.026 |α| + 4·10⁻⁹ α⁴
     * (Allen, Astrophysical Quantities) over the lit area (1 + cos α)/2. For 0° to 170°; thinner Moons count as 170°.
     *
     * @throws IllegalArgumentException for a phase angle outside 0° to 180°
     */
    public static double phaseStops(double phaseAngleDegrees) {
        if (!(phaseAngleDegrees >= 0 && phaseAngleDegrees <= 180)) {
            throw new IllegalArgumentException("phase angle " + phaseAngleDegrees + "° is outside 0° to 180°");
        }
        double a = Math.min(170, phaseAngleDegrees);
        double magnitudes = 0.026 * a + 4e-9 * Math.pow(a, 4);
        double litArea = (1 + Math.cos(Math.toRadians(a))) / 2;
        return Stops.between(Math.pow(10, 0.4 * magnitudes) * litArea, 1);
    }

    /** Seconds at an aperture and ISO for a Moon of a phase angle at an altitude. */
    public static double seconds(
            FNumber fNumber, Iso iso, double phaseAngleDegrees, Apparent altitude, Extinction extinction) {
        double stops = phaseStops(phaseAngleDegrees) + extinction.stopsBelowHigh(altitude);
        return Math.pow(fNumber.value() / RULE_APERTURE, 2) / iso.value() * Math.pow(2, stops);
    }

    /** Longest handheld time, 1/(f · crop) seconds, lengthened by a stabiliser's stops. */
    public static double handheldSeconds(double focalMm, double cropFactor, double stabiliserStops) {
        return Math.pow(2, stabiliserStops) / (focalMm * cropFactor);
    }
}
