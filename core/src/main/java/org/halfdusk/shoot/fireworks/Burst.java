package org.halfdusk.shoot.fireworks;

import org.halfdusk.typed.Range;

/**
 * A fireworks shell by its calibre; working figures of the field: it breaks at about 1.2 m per mm and spreads over 0.54 to
 * 1.1 m per mm. A common separation of the public is 0.84 m per mm (70 ft per inch): organiser, fire service and local
 * rules decide.
 *
 * @param calibreMm 20 to 610
 */
public record Burst(double calibreMm) {
    public static final Range CALIBRE = new Range("largest calibre", 20, 610, "mm");

    private static final double HEIGHT_METRES_PER_MM = 1.2;
    private static final double LEAST_SPREAD = 0.54;
    private static final double MOST_SPREAD = 1.1;
    private static final double SEPARATION = 0.84;

    public Burst {
        CALIBRE.check(calibreMm);
    }

    public double heightMetres() {
        return HEIGHT_METRES_PER_MM * calibreMm;
    }

    public double leastWidthMetres() {
        return LEAST_SPREAD * calibreMm;
    }

    public double mostWidthMetres() {
        return MOST_SPREAD * calibreMm;
    }

    public double separationMetres() {
        return SEPARATION * calibreMm;
    }

    /** Seconds by which the thump of the launch lags: distance / (331.3 √(1 + T/273.15)). */
    public static double soundLagSeconds(double distanceMetres, double celsius) {
        if (!(celsius >= -60 && celsius <= 60)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
        return positive(distanceMetres) / (331.3 * Math.sqrt(1 + celsius / 273.15));
    }

    private static double positive(double distanceMetres) {
        if (!(distanceMetres >= 1 && distanceMetres <= 50_000)) {
            throw new IllegalArgumentException("distance " + distanceMetres + " m is outside 1 to 50000 m");
        }
        return distanceMetres;
    }
}
