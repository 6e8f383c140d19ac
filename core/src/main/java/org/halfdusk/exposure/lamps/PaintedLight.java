package org.halfdusk.exposure.lamps;

import org.halfdusk.exposure.MeterReading;
import org.halfdusk.exposure.Reciprocity;
import org.halfdusk.exposure.Setting;
import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.Stops;

/**
 * A thing that is lit by a lamp while the shutter is open. Illuminance E = E₁ cos φ/d²; a matt surface of reflectance ρ then has the
 * luminance L = ρE/π cd/m², and in the focal plane H = 0.65 L t/N² (ISO 12232). Where the lamp is not on it, it takes nothing, so its
 * exposure is a matter of lamp and aperture and not of the shutter.
 *
 * @param lamp in its beam
 * @param metres from lamp to thing, above 0
 * @param degrees between the beam and the thing's face turned to the lamp, 0 to 89: 0 straight on
 */
public record PaintedLight(LampPower lamp, double metres, double degrees, Thing thing) {
    /** What is lit, by its reflectance†. */
    public enum Thing {
        FACE(0.36),
        PALE_STONE(0.4),
        DARK_STONE(0.15),
        TREE(0.1),
        MID_GREY(0.18),
        WHITE_CLOTH(0.8);

        private final double reflectance;

        Thing(double reflectance) {
            this.reflectance = reflectance;
        }

        /** Share of the light that comes back, 0 to 1 (working figures of ours). */
        public double reflectance() {
            return reflectance;
        }

        /** Stops over a mid-tone at which it comes out as it looks. */
        public double overMidTone() {
            return Stops.between(reflectance, MID_GREY.reflectance);
        }
    }

    /** @throws IllegalArgumentException for a distance that is not above 0, an angle outside 0° to below 90° */
    public PaintedLight {
        if (!(metres > 0 && degrees >= 0 && degrees < 90)) {
            throw new IllegalArgumentException(
                    "lamp at " + metres + " m and " + degrees + "° is outside above 0 m and 0° to 89°");
        }
    }

    /** On the thing, lux. */
    public double lux() {
        return lamp.luxAtOneMetre() * Math.cos(Math.toRadians(degrees)) / (metres * metres);
    }

    /** Of the thing, cd/m². */
    public double luminance() {
        return thing.reflectance() * lux() / Math.PI;
    }

    /** How far the thing comes out over how it looks, stops; negative darker. @param seconds that the lamp is on it, above 0 */
    public double stopsOff(Rig rig, Setting s, double seconds) {
        return Stops.between(seconds, seconds(rig, s));
    }

    /** Seconds of the lamp for the thing to come out as it looks, over all passes. */
    public double seconds(Rig rig, Setting s) {
        double wanted = MeterReading.MID_TONE
                * Math.pow(2, thing.overMidTone())
                * SkyExposure.SATURATION
                / s.iso().value();
        double metered = wanted * s.fNumber().squared() / (SkyExposure.FOCAL_PLANE * luminance());
        return Reciprocity.needed(rig, metered);
    }
}
