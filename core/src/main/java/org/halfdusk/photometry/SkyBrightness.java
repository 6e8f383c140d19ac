package org.halfdusk.photometry;

/**
 * Surface brightness in the V band. A larger number is darker, and five of them are a hundred times the light: so it is a type of
 * its own, which neither adds like a number nor passes for the magnitude of a star.
 *
 * @param magnitude mag/arcsec², −30 to 60: the sun's disc has −10.6, a clear noon 3, the darkest natural sky 22
 */
public record SkyBrightness(double magnitude) implements Comparable<SkyBrightness> {
    /** Day and blackness: between these a camera is asked how it comes out. */
    public static final SkyBrightness DAY = new SkyBrightness(-5);

    public static final SkyBrightness BLACK = new SkyBrightness(25);

    private static final double LEAST = -30;
    private static final double MOST = 60;

    /** @throws IllegalArgumentException outside −30 to 60 */
    public SkyBrightness {
        if (!(magnitude >= LEAST && magnitude <= MOST)) {
            throw new IllegalArgumentException("sky brightness " + magnitude + " mag/arcsec² is outside −30 to 60");
        }
    }

    /** mag/arcsec²; darker is more. */
    public static SkyBrightness of(double magnitude) {
        return new SkyBrightness(magnitude);
    }

    /** Of a flux in units of magnitude 0 per arcsec²; hardly any light counts as blackness. */
    public static SkyBrightness ofFlux(double flux) {
        return new SkyBrightness(Math.min(MOST, Magnitudes.of(flux)));
    }

    /** In units of magnitude 0 per arcsec². */
    public double flux() {
        return Magnitudes.flux(magnitude);
    }

    /** Luminance, cd/m². */
    public double luminance() {
        return Magnitudes.ZERO_POINT_CD_PER_M2 * flux();
    }

    /** Both lights together. */
    public SkyBrightness with(SkyBrightness other) {
        return ofFlux(flux() + other.flux());
    }

    /** Darker by so many magnitudes. */
    public SkyBrightness darkerBy(double magnitudes) {
        return new SkyBrightness(magnitude + magnitudes);
    }

    /** Darker by so many stops of light. */
    public SkyBrightness darkerByStops(double stops) {
        return darkerBy(stops * Magnitudes.PER_STOP);
    }

    /** Kept between day and blackness. */
    public SkyBrightness exposable() {
        return new SkyBrightness(Math.max(DAY.magnitude, Math.min(BLACK.magnitude, magnitude)));
    }

    /** Magnitudes by which this is darker than another. */
    public double over(SkyBrightness brighter) {
        return magnitude - brighter.magnitude;
    }

    /** Whether it has as many magnitudes per arcsec² as another, or more. */
    public boolean atLeastAsDarkAs(SkyBrightness other) {
        return magnitude >= other.magnitude;
    }

    /** The brighter first. */
    @Override
    public int compareTo(SkyBrightness other) {
        return Double.compare(magnitude, other.magnitude);
    }
}
