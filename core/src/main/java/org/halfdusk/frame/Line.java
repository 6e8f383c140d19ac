package org.halfdusk.frame;

/**
 * A bright line across a frame.
 *
 * @param dashed whether it goes on and off, as an aircraft's lamps do
 * @param peak linear luminance above the smooth light
 */
public record Line(double x1, double y1, double x2, double y2, boolean dashed, double peak) {
    public double length() {
        return Math.hypot(x2 - x1, y2 - y1);
    }

    /** Whether a place lies within a distance of it, px. */
    boolean near(double x, double y, double distance) {
        double dx = (x2 - x1) / length();
        double dy = (y2 - y1) / length();
        double along = (x - x1) * dx + (y - y1) * dy;
        return along > -distance && along < length() + distance && Math.abs((x - x1) * dy - (y - y1) * dx) < distance;
    }
}
