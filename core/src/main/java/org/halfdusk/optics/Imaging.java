package org.halfdusk.optics;

/**
 * How a lens maps the angle from its axis to a distance from the middle of the picture, in focal lengths. Distortion of
 * real lenses, a few percent in the corners, is neglected.
 */
public enum Imaging {
    /** tan θ: straight lines stay straight. */
    RECTILINEAR(0.1) {
        @Override
        public double radius(double angleRad) {
            return Math.tan(angleRad);
        }

        @Override
        public double angleRad(double radius) {
            return Math.atan(radius);
        }

        @Override
        public double stretch(double cosine) {
            return 1 / cosine;
        }
    },
    /** 2 sin(θ/2), the equisolid fisheye: equal areas of sky fill equal areas of the picture. */
    EQUISOLID(-0.17) {
        @Override
        public double radius(double angleRad) {
            return 2 * Math.sin(angleRad / 2);
        }

        @Override
        public double angleRad(double radius) {
            return 2 * Math.asin(Math.max(-1, Math.min(1, radius / 2)));
        }

        @Override
        public double stretch(double cosine) {
            return Math.sqrt(2 / (1 + cosine));
        }
    };

    private final double leastCosine;

    Imaging(double leastCosine) {
        this.leastCosine = leastCosine;
    }

    /** Distance from the middle in focal lengths; for rectilinear lenses only under 90°. */
    public abstract double radius(double angleRad);

    /** The angle from the axis that falls so far from the middle; the inverse of {@link #radius}. */
    public abstract double angleRad(double radius);

    /**
     * {@link #radius} over the sine of the angle: how much longer a unit direction's part across the axis is drawn, in focal lengths.
     *
     * @param cosine of the angle from the axis; above 0 for rectilinear lenses, above −1 for a fisheye
     */
    public abstract double stretch(double cosine);

    /** Cosine of the angle from the axis beyond which nothing is drawn: 84° rectilinear, 100° fisheye. */
    public double leastCosine() {
        return leastCosine;
    }
}
