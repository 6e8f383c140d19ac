package org.halfdusk.frame.picture;

import org.halfdusk.angle.Angle;
import org.halfdusk.angle.Vector;

/**
 * How a lens draws directions: rectilinear or as an equisolid fisheye, with one term of distortion. Directions have components a to the
 * right, b up, c forward; pixels as of {@link Pixels}.
 *
 * @param focalPx focal length in pixels
 * @param k1 of r′ = ρ (1 + k1 (ρ/R)²), R half the diagonal
 */
public record Projection(boolean fisheye, double focalPx, double k1, int width, int height) {
    /** What is so many half diagonals away is in no frame, whatever the distortion. */
    private static final double FARTHEST = 1.4;

    /** From the middle to a corner, px. */
    public double halfDiagonal() {
        // A root of squares: hypot guards against overflow, which pixels never come near, at ten times the time.
        return Math.sqrt((double) width * width + (double) height * height) / 2;
    }

    /** Of the middle, px from the left. */
    public double centreX() {
        return (width - 1) / 2.0;
    }

    /** Of the middle, px from the top. */
    public double centreY() {
        return (height - 1) / 2.0;
    }

    /** How far a place is from the middle, half diagonals. */
    public double fromMiddle(double x, double y) {
        return Math.hypot(x - centreX(), y - centreY()) / halfDiagonal();
    }

    /** The same of what stands in a direction of the sky. @param m how the camera stands, see {@link org.halfdusk.frame.solved.Solver} @param v unit vector */
    public boolean project(double[] m, Vector v, double[] out) {
        return project(
                m[0] * v.x() + m[1] * v.y() + m[2] * v.z(),
                m[3] * v.x() + m[4] * v.y() + m[5] * v.z(),
                m[6] * v.x() + m[7] * v.y() + m[8] * v.z(),
                out);
    }

    /** Whether a place lies inside the frame, so far from its edges. */
    public boolean inside(double[] at, double margin) {
        return at[0] >= margin && at[1] >= margin && at[0] < width - margin && at[1] < height - margin;
    }

    /** @param out x and y @return false where it is behind the lens or beyond its circle */
    public boolean project(double a, double b, double c, double[] out) {
        double across = Math.sqrt(a * a + b * b);
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
        // Of the distance in half diagonals, whose square alone is needed.
        double square = 4 * rho * rho / ((double) width * width + (double) height * height);
        if (square > FARTHEST * FARTHEST) {
            return false;
        }
        double r = rho * (1 + k1 * square);
        double s = across > 0 ? r / across : 0;
        out[0] = centreX() + s * a;
        out[1] = centreY() - s * b;
        return true;
    }

    /**
     * How many px a unit direction's part across the axis is drawn long, without distortion: f tan θ / sin θ, of a fisheye 2 f sin(θ/2) / sin θ.
     *
     * @param cosine of the angle θ from the axis, above 0
     */
    public double stretch(double cosine) {
        return fisheye ? 2 * focalPx / Math.sqrt(2 + 2 * cosine) : focalPx / cosine;
    }

    /** Direction of a pixel, of unit length. */
    public Vector direction(double x, double y) {
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
        return new Vector(dx * s, dy * s, Math.cos(theta));
    }

    /** Solid angle of a pixel, square arcseconds. */
    public double squareArcseconds(double x, double y) {
        Vector here = direction(x, y);
        Vector right = direction(x + 1, y).minus(here);
        Vector down = direction(x, y + 1).minus(here);
        return right.cross(down).length() * Angle.ARCSECONDS_PER_RADIAN * Angle.ARCSECONDS_PER_RADIAN;
    }
}
