package org.halfdusk.exposure;

import org.halfdusk.light.Daylight;
import org.halfdusk.light.Magnitudes;
import org.halfdusk.light.SkyLight;

/**
 * Level ground under a night sky, as something to be exposed for: its light and how it comes out.
 *
 * @param lux falling on it
 * @param reflectance share that it gives back: 0.1 dark rock, 0.15 grass and soil, 0.4 dry sand
 */
public record Ground(double lux, double reflectance) {
    /** Grass and soil. */
    public static final double USUAL_REFLECTANCE = 0.15;

    /** Where on the histogram ground at night looks like night and still shows. */
    public static final double TARGET = 0.12;

    private static final double FAINTEST = 25;
    private static final double BRIGHTEST = -5;

    public Ground {
        if (!(lux > 0 && reflectance > 0 && reflectance <= 1)) {
            throw new IllegalArgumentException("ground in " + lux + " lux that reflects " + reflectance
                    + " is outside above 0 lux and above 0 to 1");
        }
    }

    /**
     * In the light of a moment: an even sky of the zenith's brightness gives π times its luminance, the Moon its own; in
     * bright twilight the illuminance by the Sun's altitude. Towns' lamps are not counted.
     */
    public static Ground under(SkyLight.At at, double sunAltitude, double reflectance) {
        double sky = Math.PI
                * Magnitudes.ZERO_POINT_CD_PER_M2
                * Math.pow(10, -0.4 * at.zenith().magnitude());
        double twilight = sunAltitude > -12 ? Daylight.lux(sunAltitude) : 0;
        return new Ground(Math.max(sky, twilight) + at.moonOnGroundLux(), reflectance);
    }

    /** cd/m² of a matt surface. */
    public double luminance() {
        return lux * reflectance / Math.PI;
    }

    /** As mag/arcsec², the measure that skies have. */
    public double brightness() {
        return Math.max(
                BRIGHTEST, Math.min(FAINTEST, -2.5 * Math.log10(luminance() / Magnitudes.ZERO_POINT_CD_PER_M2)));
    }

    public SkyExposure comesOut(double fNumber, double seconds, double iso) {
        return new SkyExposure(brightness(), fNumber, seconds, iso);
    }

    /** Seconds that put it at a place across the histogram. */
    public double seconds(double histogramPosition, double fNumber, double iso) {
        return comesOut(fNumber, 1, iso).isoFor(histogramPosition) / iso;
    }
}
