package org.halfdusk.optics.kit;

import org.halfdusk.typed.PlainText;
import org.halfdusk.typed.Range;

/** Range checks of the kit's figures. */
public final class Figures {
    private Figures() {}

    /** Longest name of a piece of kit. */
    static final int LONGEST_NAME = 80;

    /**
     * A name without what no line may hold.
     *
     * @throws IllegalArgumentException where nothing is left, or more than the longest name has
     */
    public static String name(String name) {
        return PlainText.line("name", name, LONGEST_NAME);
    }

    /**
     * Lets a figure pass, in its unit.
     *
     * @throws IllegalArgumentException where it is not from the least to the most, or no number
     */
    public static void within(String name, double value, double least, double most, String unit) {
        new Range(name, least, most, unit).check(value);
    }
}
