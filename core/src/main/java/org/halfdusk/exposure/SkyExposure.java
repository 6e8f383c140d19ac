package org.halfdusk.exposure;

import org.halfdusk.optics.Rig;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Srgb;
import org.halfdusk.photometry.Stops;

/**
 * How bright an even sky comes out, after ISO 12232 saturation-based speed.
 *
 * <p>L = 10.8·10⁴ × 10^(−0.4 m) cd/m²; H = 0.65 L t/N² lux·s in the focal plane; clipped at 78/ISO. Real cameras and
 * their picture curves differ by up to a stop.
 *
 * @param sky between day (−5) and blackness (25)
 * @param seconds real exposure, above 0
 */
public record SkyExposure(SkyBrightness sky, FNumber fNumber, double seconds, Iso iso) {
    /** As a camera takes it in, in a setting: on film a long time counts for less. */
    public static SkyExposure of(SkyBrightness sky, Setting s, Rig rig) {
        return new SkyExposure(
                sky.exposable(),
                s.fNumber(),
                Reciprocity.counts(rig, s.shutter().realSeconds()),
                s.iso());
    }

    /** Of a thing's light what reaches the focal plane: H = 0.65 L t/N² (ISO 12232). */
    public static final double FOCAL_PLANE = 0.65;

    /** Exposure that clips at ISO 1, lux·s (ISO 12232). */
    public static final double SATURATION = 78;

    static final double GAMMA = 2.2;

    /** 118/255 of sRGB as a linear share, and the exposure that gives it at ISO 1, lux·s. */
    private static final double MID_GREY = 0.1812;

    private static final double MID_GREY_EXPOSURE = 10;

    /** As far across as a sky behind something bright may stand before it looks like day†: the middle. */
    public static final double MOST_BEHIND = 0.5;

    /** @throws IllegalArgumentException for a sky outside −5 to 25 mag/arcsec², a time that is not above 0 */
    public SkyExposure {
        if (!sky.equals(sky.exposable())) {
            throw new IllegalArgumentException(
                    "sky brightness " + sky.magnitude() + " mag/arcsec² is outside −5 to 25");
        }
        if (!(seconds > 0)) {
            throw new IllegalArgumentException("time " + seconds + " s must be above 0");
        }
    }

    /** Focal-plane exposure, lux·s. */
    public double exposureLuxSeconds() {
        return focalPlane(sky.luminance() * seconds, fNumber);
    }

    /** Focal-plane exposure of an even thing, lux·s. @param luminanceSeconds its luminance through the time, cd·s/m² */
    public static double focalPlane(double luminanceSeconds, FNumber fNumber) {
        return FOCAL_PLANE * luminanceSeconds / fNumber.squared();
    }

    /** How much of what a sensor holds an exposure fills, 1 where it clips. */
    public static double shareOfFull(double luxSeconds, Iso iso) {
        return luxSeconds * iso.value() / SATURATION;
    }

    /** Stops below clipping; negative where it clips. */
    public double stopsUnderClipping() {
        return Stops.between(SATURATION / iso.value(), exposureLuxSeconds());
    }

    /** Place of the sky's peak across a gamma-2.2 histogram, 0 black to 1 clipped. */
    public double histogramPosition() {
        return Math.min(1, Math.pow(shareOfFull(exposureLuxSeconds(), iso), 1 / GAMMA));
    }

    /**
     * Place across the histogram of the camera's own picture, until a measured frame calibrates the camera: 10/ISO lux·s come out as
     * mid-grey, 118 of 255 (ISO 12232, standard output sensitivity), by the sRGB curve (IEC 61966-2-1); 0 black to 1 white.
     */
    public double picturePosition() {
        return Srgb.code(Math.min(1, pictureLinear()));
    }

    /** The same as linear light, 1 at the end and more beyond it. */
    public double pictureLinear() {
        return MID_GREY * exposureLuxSeconds() * iso.value() / MID_GREY_EXPOSURE;
    }

    /** The ISO that puts this sky at a place across the histogram, at the same time and aperture. */
    public Iso isoFor(double histogramPosition) {
        return Iso.of(SATURATION * Math.pow(histogramPosition, GAMMA) / exposureLuxSeconds());
    }

    /**
     * The guide value 2^Q = N²/(t·ISO) at which a sky stands at a place across the histogram: a longer exposure, a lower value,
     * puts it further. A sky brighter or darker than the range counts as its end.
     */
    public static double guideValue(SkyBrightness sky, double histogramPosition) {
        return Iso.ONE.stopsOver(new SkyExposure(sky.exposable(), FNumber.ONE, 1, Iso.ONE).isoFor(histogramPosition));
    }

    /** Stops from here to a place across the histogram: positive where the sky would come out brighter than that. */
    public double stopsOver(double histogramPosition) {
        return iso.stopsOver(isoFor(histogramPosition));
    }
}
