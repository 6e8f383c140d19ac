package org.halfdusk.frame;

/**
 * How a lens draws directions: rectilinear or as an equisolid fisheye, with one term of distortion. Directions have components a to the
 * right, b up, c forward; pixels as of {@link Pixels}.
 *
 * @param focalPx focal length in pixels
 * @param k1 of r′ = ρ (1 + k1 (ρ/R)²), R half the diagonal
 */
record Projection(boolean fisheye, double focalPx, double k1, int width, int height) {
    double halfDiagonal() {
        return Math.hypot(width, height) / 2;
    }

    double centreX() {
        return (width - 1) / 2.0;
    }

    double centreY() {
        return (height - 1) / 2.0;
    }

    /** @param out x and y @return false where it is behind the lens or beyond its circle */
    boolean project(double a, double b, double c, double[] out) {
        double across = Math.hypot(a, b);
        double rho;
        if (fisheye) {
            double theta = Math.atan2(across, c);
            if (theta > Math.PI / 2) {
                return false;
            }
            rho = 2 * focalPx * Math.sin(theta / 2);
        } else {
            if (c < 0.05) {
                return false;
            }
            rho = focalPx * across / c;
        }
        double q = rho / halfDiagonal();
        if (q > 1.4) {
            return false;
        }
        double r = rho * (1 + k1 * q * q);
        double s = across > 0 ? r / across : 0;
        out[0] = centreX() + s * a;
        out[1] = centreY() - s * b;
        return true;
    }

    /** Direction of a pixel, of unit length. */
    double[] direction(double x, double y) {
        double dx = x - centreX();
        double dy = centreY() - y;
        double r = Math.hypot(dx, dy);
        double rho = r;
        for (int i = 0; i < 6; i++) {
            double q = rho / halfDiagonal();
            rho = r / (1 + k1 * q * q);
        }
        double theta = fisheye ? 2 * Math.asin(Math.min(1, rho / (2 * focalPx))) : Math.atan(rho / focalPx);
        double s = r > 0 ? Math.sin(theta) / r : 0;
        return new double[] {dx * s, dy * s, Math.cos(theta)};
    }

    /** Solid angle of a pixel, square arcseconds. */
    double squareArcseconds(double x, double y) {
        double[] p = direction(x, y);
        double[] right = direction(x + 1, y);
        double[] down = direction(x, y + 1);
        double ax = right[0] - p[0];
        double ay = right[1] - p[1];
        double az = right[2] - p[2];
        double bx = down[0] - p[0];
        double by = down[1] - p[1];
        double bz = down[2] - p[2];
        double area = Math.sqrt(sq(ay * bz - az * by) + sq(az * bx - ax * bz) + sq(ax * by - ay * bx));
        return area * sq(206_264.806);
    }

    private static double sq(double v) {
        return v * v;
    }
}
