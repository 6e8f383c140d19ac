package org.halfdusk.optics.kit;

import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;

/** Range checks of the kit's figures. */
public final class Figures {
    private Figures() {}

    /** Longest name of a piece of kit. */
    static final int LONGEST_NAME = 80;

    public static String name(String name) {
        return PlainText.line("name", name, LONGEST_NAME);
    }

    public static void within(String name, double value, double least, double most, String unit) {
        new Range(name, least, most, unit).check(value);
    }
}
