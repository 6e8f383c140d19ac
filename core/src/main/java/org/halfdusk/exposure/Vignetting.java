package org.halfdusk.exposure;

/** Light lost off the axis by geometry alone, cos⁴ θ: the least that a simple lens loses; real ones differ by a stop. */
public final class Vignetting {
    private Vignetting() {}

    /** Stops lost at an angle from the axis, 0 or more; 18 mm on full frame loses 2.6 in the corner. */
    public static double stops(double offAxisRad) {
        return -4 * Math.log(Math.cos(Math.min(offAxisRad, Math.toRadians(85)))) / Math.log(2);
    }
}
