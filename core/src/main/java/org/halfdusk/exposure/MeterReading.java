package org.halfdusk.exposure;

import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.Magnitudes;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.typed.Range;

/**
 * What a meter that looks at a thing says of it, as exposure value at ISO 100: 2^EV = N²/t · 100/ISO. The thing's luminance is then
 * K · 2^EV/100 with the reflected-light constant K = 12.5 (ISO 2720), in cd/m².
 *
 * @param ev −12 to 20: starlight on the ground to snow in the sun
 */
public record MeterReading(double ev) {
    public static final Range EV = new Range("exposure value", -12, 20, "EV");

    /** Times that a meter shows. */
    public static final Range SECONDS = new Range("metered time", 1.0 / 64_000, 7200, "s");

    /** Reflected-light calibration constant (ISO 2720). */
    private static final double K = 12.5;

    /** @throws IllegalArgumentException outside −12 to 20 */
    public MeterReading {
        EV.check(ev);
    }

    /** From a setting as the meter shows it. @param seconds above 0 */
    public static MeterReading of(double seconds, FNumber fNumber, Iso iso) {
        return new MeterReading(Stops.between(fNumber.squared() / seconds * 100, iso.value()));
    }

    /** Luminance of what was metered, cd/m². */
    public double luminance() {
        return K * Math.pow(2, ev) / 100;
    }

    /** The same as a brightness. */
    public SkyBrightness brightness() {
        return SkyBrightness.ofFlux(luminance() / Magnitudes.ZERO_POINT_CD_PER_M2);
    }

    /** Of a luminance, cd/m², above 0. */
    public static double ev(double luminance) {
        return Stops.between(luminance * 100, K);
    }

    /** Seconds that it says for an aperture and ISO. */
    public double seconds(FNumber fNumber, Iso iso) {
        return fNumber.squared() * 100 / (iso.value() * Math.pow(2, ev));
    }

    /** How far across the linear range a tone comes out that is exposed as a meter says: 0.65 K/78, 3.3 stops under clipping. */
    public static final double MID_TONE = SkyExposure.FOCAL_PLANE * K / SkyExposure.SATURATION;
}
