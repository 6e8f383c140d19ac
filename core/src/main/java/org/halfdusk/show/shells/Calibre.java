package org.halfdusk.show.shells;

import org.halfdusk.typed.Range;

/**
 * A fireworks shell by its calibre; working figures of the field: it breaks at about 1.2 m per mm and spreads over 0.54 to
 * 1.1 m per mm. A common separation of the public is 0.84 m per mm (70 ft per inch): organiser, fire service and local
 * rules decide.
 *
 * @param mm 20 to 610
 */
public record Calibre(double mm) {
    public static final Range RANGE = new Range("largest calibre", 20, 610, "mm");

    private static final double HEIGHT_METRES_PER_MM = 1.2;
    private static final double LEAST_SPREAD = 0.54;
    private static final double MOST_SPREAD = 1.1;
    private static final double SEPARATION = 0.84;

    /** Seconds from launch to break: 1.5 s and 0.02 s per mm of calibre, as fuses are commonly cut†. */
    private static final double FUSE_SECONDS = 1.5;

    private static final double FUSE_SECONDS_PER_MM = 0.02;

    /** How long stars burn after the break†. */
    private static final double BURN_SECONDS = 1.2;

    private static final double BURN_SECONDS_PER_MM = 0.008;

    /** @throws IllegalArgumentException where it is outside 20 to 610 mm */
    public Calibre {
        RANGE.check(mm);
    }

    /** At which it bursts, m over its mortar: 1.2 m a millimetre, some 100 feet an inch, the rule of the trade. */
    public double heightMetres() {
        return HEIGHT_METRES_PER_MM * mm;
    }

    /** Of its burst, m. */
    public double leastWidthMetres() {
        return LEAST_SPREAD * mm;
    }

    /** Of its burst, m. */
    public double mostWidthMetres() {
        return MOST_SPREAD * mm;
    }

    /** Between mortars and people, m: 0.84 m a millimetre, 70 feet an inch; licensed people and local rules go before it. */
    public double separationMetres() {
        return SEPARATION * mm;
    }

    /** Seconds from launch to break. */
    public double breakSeconds() {
        return FUSE_SECONDS + FUSE_SECONDS_PER_MM * mm;
    }

    /** Seconds that its stars burn after the break. */
    public double burnSeconds() {
        return BURN_SECONDS + BURN_SECONDS_PER_MM * mm;
    }
}
