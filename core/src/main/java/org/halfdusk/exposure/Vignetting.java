package org.halfdusk.exposure;

import org.halfdusk.optics.Imaging;

/** Light lost off the axis by geometry alone: the least that a simple lens loses; real ones differ by a stop. */
public final class Vignetting {
    private Vignetting() {}

    /**
     * Stops lost at an angle from the axis, 0 or more. A rectilinear lens loses by cos⁴ θ: 18 mm on full frame 2.6 in the corner. An
     * equisolid fisheye gives equal solid angles equal areas, so that only its entrance pupil, seen from the side, grows narrower;
     * it turns towards the light by half the angle†: cos(θ/2), half a stop at the rim of 180°.
     */
    public static double stops(double offAxisRad, Imaging imaging) {
        double lost = switch (imaging) {
            case RECTILINEAR -> 4 * Math.log(Math.cos(Math.min(offAxisRad, Math.toRadians(85))));
            case EQUISOLID -> Math.log(Math.cos(Math.min(offAxisRad, Math.PI / 2) / 2));
        };
        return -lost / Math.log(2);
    }
}
