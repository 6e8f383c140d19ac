package org.halfdusk.optics;

/** Range checks of the kit's figures. */
final class Figures {
    private Figures() {}

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
