package org.halfdusk.exposure;

/** Stars on the sensor: which of them clip. A star of magnitude m gives 2.54·10⁻⁶ · 10^(−0.4 m) lux above the air. */
public final class PointLight {
    private static final double LUX = 2.54e-6;
    private static final double SATURATION = 78;

    /** Of glass and air high up. */
    private static final double TRANSMISSION = 0.75;

    private PointLight() {}

    /**
     * The faintest star whose brightest pixel clips, by V: its light gathered by an aperture of f/N goes in a Gaussian of
     * {@link Trailing#BLUR_PX} drawn out over its trail; 78/ISO lux·s saturate.
     *
     * @param pitchMicrometres µm
     * @param trailPx how far it trails, px
     */
    public static double clippingMagnitude(
            double focalMm, double fNumber, double pitchMicrometres, double seconds, double iso, double trailPx) {
        double apertureMetres = focalMm / fNumber / 1000;
        double gathered = Math.PI / 4 * apertureMetres * apertureMetres * TRANSMISSION;
        double pixelMetres = pitchMicrometres * 1e-6;
        double peak = 1 / (2 * Math.PI * Trailing.BLUR_PX * Trailing.BLUR_PX * Trailing.elongation(trailPx));
        double ofMagnitudeZero = LUX * gathered / (pixelMetres * pixelMetres) * peak * seconds;
        return 2.5 * Math.log10(ofMagnitudeZero / (SATURATION / iso));
    }
}
