package org.halfdusk.exposure.lamps;

import org.halfdusk.exposure.SkyExposure;
import org.halfdusk.numeric.ErrorFunction;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.trailing.Trailing;

/** Stars on the sensor: which of them clip. A star of magnitude m gives 2.54·10⁻⁶ · 10^(−0.4 m) lux above the air. */
public final class PointLight {
    private static final double LUX = 2.54e-6;

    /** Of glass and air high up. */
    private static final double TRANSMISSION = 0.75;

    private PointLight() {}

    /**
     * Place across a gamma-2.2 histogram of the brightest pixel of a star, 0 black to 1 clipped, the sky under it not counted.
     *
     * @param clipping magnitude of the faintest star that clips
     */
    public static double histogramPosition(double magnitude, double clipping) {
        return Math.min(1, Math.pow(10, -0.4 * (magnitude - clipping) / 2.2));
    }

    /**
     * The faintest star whose brightest pixel clips, by V: its light gathered by an aperture of f/N goes in a Gaussian of
     * {@link Trailing#BLUR_PX} drawn evenly along its trail; 78/ISO lux·s saturate.
     *
     * @param pitchMicrometres µm
     * @param trailPx how far it trails, px
     */
    public static double clippingMagnitude(
            double focalMm, FNumber fNumber, double pitchMicrometres, double seconds, Iso iso, double trailPx) {
        double pixelMetres = pitchMicrometres * 1e-6;
        double peak = peak(trailPx);
        double ofMagnitudeZero = gathered(LUX * seconds, focalMm, fNumber) / (pixelMetres * pixelMetres) * peak;
        return 2.5 * Math.log10(ofMagnitudeZero / (SkyExposure.SATURATION / iso.value()));
    }

    /** Lumen seconds behind a lens at which a point lays so many lux seconds: π/4 (f/N)² of them, less what glass takes. */
    public static double gathered(double luxSeconds, double focalMm, FNumber fNumber) {
        double apertureMetres = focalMm / fNumber.value() / 1000;
        return luxSeconds * Math.PI / 4 * apertureMetres * apertureMetres * TRANSMISSION;
    }

    /**
     * Share of a star's light that falls on the pixel in the middle of its trail: a Gaussian of σ across, along the trail the mean
     * of one that moves by L, erf(L/(2√2 σ))/L.
     */
    static double peak(double trailPx) {
        double sigma = Trailing.BLUR_PX;
        double across = 1 / (Math.sqrt(2 * Math.PI) * sigma);
        double along = trailPx < 0.01 ? across : ErrorFunction.of(trailPx / (2 * Math.sqrt(2) * sigma)) / trailPx;
        return across * along;
    }
}
