package org.halfdusk.web.map.picture;

import org.halfdusk.place.towns.CoastLines;

/**
 * A ring drawn as far as the sheet shows it. Of points that stand one after the other beyond the same side of what is shown only
 * the first and the last are drawn: what lies inside stays the same, and a continent's hundred thousand points become some hundreds.
 */
final class Outline {
    private static final int LEFT = 1;
    private static final int RIGHT = 2;
    private static final int ABOVE = 4;
    private static final int UNDER = 8;

    /** Points nearer than this to the last one are left out, units of the sheet. */
    private static final double FINEST = 0.8;

    private final MapView view;
    private final StringBuilder path;
    private boolean begun;
    private long atX;
    private long atY;
    private double lastX;
    private double lastY;

    Outline(MapView view, StringBuilder path) {
        this.view = view;
        this.path = path;
    }

    void add(CoastLines.Ring ring, int turn) {
        int n = ring.longitudes().length;
        double skippedX = 0;
        double skippedY = 0;
        boolean skipped = false;
        int shared = 0;
        for (int i = 0; i < n; i++) {
            double x = view.flatX(ring.longitudes()[i] + turn);
            double y = view.y(ring.latitudes()[i]);
            int side = side(x, y);
            if ((shared & side) != 0) {
                shared &= side;
                skippedX = x;
                skippedY = y;
                skipped = true;
                continue;
            }
            if (skipped) {
                draw(skippedX, skippedY);
                skipped = false;
            }
            shared = side;
            if (!begun || side != 0 || Math.abs(x - lastX) + Math.abs(y - lastY) > FINEST) {
                draw(x, y);
            }
        }
        if (skipped) {
            draw(skippedX, skippedY);
        }
        if (begun) {
            path.append('Z');
        }
    }

    private static int side(double x, double y) {
        double across = MapView.BEYOND * MapView.WIDTH;
        double down = MapView.BEYOND * MapView.HEIGHT;
        return (x < -across ? LEFT : x > MapView.WIDTH + across ? RIGHT : 0)
                | (y < -down ? ABOVE : y > MapView.HEIGHT + down ? UNDER : 0);
    }

    /** From the last point on, in tenths, so that roundings do not add up. */
    private void draw(double x, double y) {
        long toX = Math.round(x * 10);
        long toY = Math.round(y * 10);
        path.append(begun ? 'l' : 'M');
        number(begun ? toX - atX : toX);
        path.append(' ');
        number(begun ? toY - atY : toY);
        begun = true;
        atX = toX;
        atY = toY;
        lastX = x;
        lastY = y;
    }

    private void number(long tenths) {
        if (tenths < 0) {
            path.append('-');
        }
        path.append(Math.abs(tenths) / 10);
        if (tenths % 10 != 0) {
            path.append('.').append(Math.abs(tenths) % 10);
        }
    }
}
