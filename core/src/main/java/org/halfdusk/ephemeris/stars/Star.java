package org.halfdusk.ephemeris.stars;

import org.halfdusk.angle.Vector;

/**
 * A star of the catalogue.
 *
 * @param hip Hipparcos number
 * @param name its own name, empty where it has none
 * @param bayer Greek or Latin letter in its constellation, may be empty
 * @param magnitude V
 * @param colour B − V; 0 where unknown
 * @param j2000 unit direction, mean equator J2000, epoch J2000
 * @param motion change of the direction, radians a Julian year; zero where the catalogue gives none
 * @param parallaxRad zero where the catalogue gives none
 */
public record Star(
        int hip,
        String name,
        String bayer,
        String constellation,
        double magnitude,
        double colour,
        Vector j2000,
        Vector motion,
        double parallaxRad) {
    /** A nameless direction at infinity, to be seen as stars are. */
    public static Star fixed(Vector j2000) {
        return new Star(0, "", "", "", 0, 0, j2000, new Vector(0, 0, 0), 0);
    }
}
