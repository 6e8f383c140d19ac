package org.halfdusk.shoot;

/** Texts of fields in their one written form. */
final class FieldText {
    private FieldText() {}

    static String decimal(String what, String text, double least, double most, String unit) {
        String u = unit.isEmpty() ? "" : " " + unit;
        String range = plain(least) + " to " + plain(most) + u;
        if (text.isBlank()) {
            throw new IllegalArgumentException(what + " is empty; " + range + " is allowed");
        }
        try {
            double value = Double.parseDouble(text.replace(',', '.').replace('−', '-'));
            if (!(value >= least && value <= most)) {
                throw new IllegalArgumentException(what + " " + text + u + " is outside " + range);
            }
            return plain(value);
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException(what + " “" + text + "” is not a number; " + range + " is allowed", e);
        }
    }

    static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
