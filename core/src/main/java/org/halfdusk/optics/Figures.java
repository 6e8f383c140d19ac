package org.halfdusk.optics;

import org.halfdusk.typed.PlainText;

/** Range checks of the kit's figures. */
final class Figures {
    private Figures() {}

    /** Longest name of a piece of kit. */
    static final int LONGEST_NAME = 80;

    static String name(String name) {
        return PlainText.line("name", name, LONGEST_NAME);
    }

    static void within(String name, double value, double least, double most, String unit) {
        if (!(value >= least && value <= most)) {
            String u = unit.isEmpty() ? "" : " " + unit;
            throw new IllegalArgumentException(
                    name + " " + plain(value) + u + " is outside " + plain(least) + " to " + plain(most) + u);
        }
    }

    private static String plain(double value) {
        return value == Math.rint(value) && Math.abs(value) < 1e15
                ? Long.toString((long) value)
                : Double.toString(value);
    }
}
