package org.halfdusk.trailing;

import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.Rig;
import org.halfdusk.time.SiderealTime;

/**
 * What a star draws on a fixed sensor while the Earth turns: the exact distance between its projections at shutter open
 * and close.
 *
 * @param focalMm true focal length, mm
 * @param pixelPitchMicrometres µm
 * @param declinationDegrees of the frame's centre, −90 to 90
 * @param share of the stars' rate at which they move over the sensor: 1 on a tripod, 0 on a mount that turns with them
 */
public record Trailing(
        double focalMm, double pixelPitchMicrometres, double declinationDegrees, Imaging imaging, double share) {
    /** Blur of lens and pixel as a standard deviation, px: about two pixels across at half height. Working figure. */
    public static final double BLUR_PX = 0.85;

    /** Trail at which a star is just seen to be long (length-to-width 1.33), px. */
    public static final double DEFAULT_BUDGET_PX = 2.6;

    /** Steps of half a turn of roll, the other half being its mirror; the maximum is flat: two degrees cost under 0.05 %. */
    private static final int ROLLS = 90;

    /** @throws IllegalArgumentException for a focal length or pitch that is not above 0, a declination outside ±90° */
    public Trailing {
        if (!(focalMm > 0 && pixelPitchMicrometres > 0)) {
            throw new IllegalArgumentException(
                    "focal length " + focalMm + " mm and pixel pitch " + pixelPitchMicrometres + " µm must be above 0");
        }
        if (!(declinationDegrees >= -90 && declinationDegrees <= 90)) {
            throw new IllegalArgumentException("declination " + declinationDegrees + "° is outside −90° to 90°");
        }
    }

    /** Through a rectilinear lens. */
    public Trailing(double focalMm, double pixelPitchMicrometres, double declinationDegrees) {
        this(focalMm, pixelPitchMicrometres, declinationDegrees, Imaging.RECTILINEAR, 1);
    }

    /** On a tripod. */
    public Trailing(double focalMm, double pixelPitchMicrometres, double declinationDegrees, Imaging imaging) {
        this(focalMm, pixelPitchMicrometres, declinationDegrees, imaging, 1);
    }

    /** The same on a mount. */
    public Trailing withShare(double other) {
        return new Trailing(focalMm, pixelPitchMicrometres, declinationDegrees, imaging, other);
    }

    /** Of a star at a declination, −90 to 90, through a rig on a tripod. */
    public static Trailing of(Rig rig, double declinationDegrees) {
        return new Trailing(
                rig.focalMm(),
                rig.camera().sensor().pixelPitchMicrometres(),
                declinationDegrees,
                rig.lens().imaging());
    }

    /** Arcseconds on one pixel in the middle: 206.265 p/f. */
    public double arcsecPerPixel() {
        return Rig.ARCSEC_PER_MICROMETRE_PER_MM * pixelPitchMicrometres / focalMm;
    }

    /** Seconds in which a star in the middle crosses one pixel; infinite at the pole. */
    public double secondsPerPixel() {
        double rate = SiderealTime.EARTH_RATE_RAD_PER_SECOND * share * Math.cos(Math.toRadians(declinationDegrees));
        return pixelPitchMicrometres / 1000 / (focalMm * rate);
    }

    /** Trail of a star in the middle of the frame, px. */
    public double middlePx(double seconds) {
        return path(0, 0, seconds).length();
    }

    /** Longest trail of a star at an angle from the axis, over all rolls of the frame, px. */
    public double worstPx(double offAxisRad, double seconds) {
        return worstPath(offAxisRad, seconds).length();
    }

    /** The way that is the longest trail at an angle from the axis, over all rolls of the frame. */
    public Path worstPath(double offAxisRad, double seconds) {
        Path worst = path(offAxisRad, -Math.PI / 2, seconds);
        for (int i = 1; i <= ROLLS; i++) {
            Path p = path(offAxisRad, Math.PI * i / ROLLS - Math.PI / 2, seconds);
            worst = p.length() > worst.length() ? p : worst;
        }
        return worst;
    }

    /** Trail in the worst corner of a sensor of the given diagonal in mm, px. */
    public double cornerPx(double diagonalMm, double seconds) {
        // A fisheye's circle ends before the corners of a larger sensor.
        return worstPx(Math.min(Math.PI / 2, imaging.angleRad(diagonalMm / 2 / focalMm)), seconds);
    }

    /** A star's way over the sensor in px, from shutter open to close. */
    public record Path(double dx, double dy) {
        /** Of the way, px. */
        public double length() {
            return Math.hypot(dx, dy);
        }
    }

    /**
     * Way of a star that stands at mid-exposure at an angle from the axis, in a position angle counted from east
     * (right) to north (up), radians.
     */
    public Path path(double offAxisRad, double positionRad, double seconds) {
        double dec = Math.toRadians(declinationDegrees);
        Vector axis = new Vector(Math.cos(dec), 0, Math.sin(dec));
        Vector east = new Vector(0, 1, 0);
        Vector north = new Vector(-Math.sin(dec), 0, Math.cos(dec));
        Vector star = axis.times(Math.cos(offAxisRad))
                .plus(east.times(Math.sin(offAxisRad) * Math.cos(positionRad)))
                .plus(north.times(Math.sin(offAxisRad) * Math.sin(positionRad)));
        double half = SiderealTime.EARTH_RATE_RAD_PER_SECOND * share * seconds / 2;
        Vector open = star.aboutZ(-half);
        Vector close = star.aboutZ(half);
        double scale = focalMm * 1000 / pixelPitchMicrometres;
        double before = scale * stretch(open, axis);
        double after = scale * stretch(close, axis);
        return new Path(
                after * close.dot(east) - before * open.dot(east), after * close.dot(north) - before * open.dot(north));
    }

    /** From the part of a direction across the axis to the picture, in focal lengths; 89.9° is the rectilinear limit. */
    private double stretch(Vector star, Vector axis) {
        double cos = star.dot(axis);
        return imaging.stretch(imaging == Imaging.RECTILINEAR ? Math.max(cos, 0.0017) : cos);
    }

    /**
     * Blur of a rig's own stars as a standard deviation, px: as frames have shown it, otherwise {@link #BLUR_PX}; not under half a pixel's,
     * which the pixel's own width makes.
     */
    public static double blurPx(Rig rig) {
        return rig.measured()
                .starMicrons()
                .map(m -> Math.max(
                        BLUR_PX / 2, m.value() / rig.camera().sensor().pixelPitchMicrometres() / WIDTH_OF_BLUR))
                .orElse(BLUR_PX);
    }

    /** Full width at half height of a Gaussian, in standard deviations. */
    private static final double WIDTH_OF_BLUR = 2 * Math.sqrt(2 * Math.log(2));

    /** Length-to-width of a recorded star with a trail of the given length: √(1 + L²/(12 σ²)). */
    public static double elongation(double trailPx) {
        return elongation(trailPx, BLUR_PX);
    }

    /** The same for a lens whose stars are otherwise blurred. @param blurPx standard deviation σ, px, above 0 */
    public static double elongation(double trailPx, double blurPx) {
        return Math.sqrt(1 + trailPx * trailPx / (12 * blurPx * blurPx));
    }
}
