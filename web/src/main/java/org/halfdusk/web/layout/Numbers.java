package org.halfdusk.web.layout;

/** Numbers of drawings: short, without the cost of a format, since a picture has thousands of them. */
public final class Numbers {
    private Numbers() {}

    public static String tenths(double v) {
        long t = Math.round(v * 10);
        return t % 10 == 0 ? Long.toString(t / 10) : (t < 0 ? "-" : "") + Math.abs(t) / 10 + "." + Math.abs(t) % 10;
    }
}
