package org.halfdusk.exposure;

import org.halfdusk.light.SkyLight;
import org.halfdusk.light.sources.Daylight;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;

/**
 * Level ground under a night sky, as something to be exposed for: its light and how it comes out.
 *
 * @param lux falling on it
 * @param reflectance share that it gives back: 0.1 dark rock, 0.15 grass and soil, 0.4 dry sand
 */
public record Ground(double lux, double reflectance) {
    /** Grass and soil. */
    public static final double USUAL_REFLECTANCE = 0.15;

    /** How far shadows that one lifts later lie under the sky, stops†. */
    public static final double SHADOW_STOPS = 3;

    /** Where on the histogram ground at night looks like night and still shows. */
    public static final double TARGET = 0.12;

    /** @throws IllegalArgumentException for light that is not above 0 lux, a reflectance outside above 0 to 1 */
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
        double sky = Math.PI * at.zenith().total().luminance();
        double twilight = sunAltitude > -12 ? Daylight.lux(sunAltitude) : 0;
        return new Ground(Math.max(sky, twilight) + at.moonOnGroundLux(), reflectance);
    }

    /** cd/m² of a matt surface. */
    public double luminance() {
        return lux * reflectance / Math.PI;
    }

    /** In the measure that skies have. */
    public SkyBrightness brightness() {
        return SkyBrightness.ofFlux(luminance() / Magnitudes.ZERO_POINT_CD_PER_M2)
                .exposable();
    }

    /** How it comes out on a frame. @param seconds above 0 */
    public SkyExposure comesOut(FNumber fNumber, double seconds, Iso iso) {
        return new SkyExposure(brightness(), fNumber, seconds, iso);
    }

    /** Seconds that put it at a place across the histogram. */
    public double seconds(double histogramPosition, FNumber fNumber, Iso iso) {
        return comesOut(fNumber, 1, iso).isoFor(histogramPosition).value() / iso.value();
    }
}
