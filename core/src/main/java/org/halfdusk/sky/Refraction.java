package org.halfdusk.sky;

import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Apparent;

/**
 * Bending of light by the air.
 *
 * <p>Within 0.07′ of exact ray tracing from 0° to 90° in standard air (Bennett 1982, J. Navigation 35, 255; Sæmundsson
 * 1986, Sky and Telescope 72, 70); real air near the horizon differs by minutes of arc. Below −1° true altitude nothing
 * is bent into view and none is given.
 *
 * @param pressureHectopascal 0 (no air) to 1100
 * @param celsius −60 to 60
 */
public record Refraction(double pressureHectopascal, double celsius) {
    /** 1010 hPa and 10 °C, for which the formulas were made. */
    public static final Refraction STANDARD = new Refraction(1010, 10);

    /** Refraction at the horizon that rise and set are defined with, degrees: 34′. */
    public static final double AT_HORIZON_DEGREES = 34.0 / 60;

    /** @throws IllegalArgumentException for a pressure outside 0 to 1100 hPa, a temperature outside −60 to 60 °C */
    public Refraction {
        if (!(pressureHectopascal >= 0 && pressureHectopascal <= 1100)) {
            throw new IllegalArgumentException("pressure " + pressureHectopascal + " hPa is outside 0 to 1100 hPa");
        }
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
    }

    private double air() {
        return pressureHectopascal / 1010 * 283 / (273 + celsius);
    }

    /** Where a body without air is seen. */
    public Apparent seen(Altitude airless) {
        return new Apparent(apparent(airless.degrees()));
    }

    /** Apparent altitude for a true (airless) one, degrees: Sæmundsson. */
    public double apparent(double trueDegrees) {
        if (trueDegrees < -1) {
            return trueDegrees;
        }
        double arcmin = 1.02 / Math.tan(Math.toRadians(trueDegrees + 10.3 / (trueDegrees + 5.11)));
        return Math.min(90, trueDegrees + Math.max(0, arcmin) * air() / 60);
    }

    /** True (airless) altitude for an apparent one, degrees: Bennett. */
    public double airless(double apparentDegrees) {
        if (apparentDegrees < -1) {
            return apparentDegrees;
        }
        double arcmin = 1 / Math.tan(Math.toRadians(apparentDegrees + 7.31 / (apparentDegrees + 4.4)));
        return apparentDegrees - Math.max(0, arcmin) * air() / 60;
    }
}
