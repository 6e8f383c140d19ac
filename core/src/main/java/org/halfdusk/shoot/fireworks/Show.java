package org.halfdusk.shoot.fireworks;

import java.time.Duration;
import java.util.OptionalDouble;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.show.Sound;
import org.halfdusk.show.shells.Calibre;

/**
 * What is known of a show.
 *
 * @param distanceMetres from the tripod to where shells are launched, 1 to 50,000
 * @param aboveMetres height of the launching ground over the camera's
 * @param smallest and largest shells
 * @param finale at its end, at most its length
 * @param water whether water lies between
 * @param lineMetres how far from the launching ground the organiser keeps everybody, where that was told
 */
public record Show(
        Azimuth azimuth,
        double distanceMetres,
        double aboveMetres,
        Calibre smallest,
        Calibre largest,
        Duration finale,
        double celsius,
        boolean water,
        OptionalDouble lineMetres) {
    /** How far the tripod stands inside the organiser's line, m; nothing where it does not, or none was told. */
    public OptionalDouble insideLineMetres() {
        return lineMetres.isPresent() && distanceMetres < lineMetres.getAsDouble()
                ? OptionalDouble.of(lineMetres.getAsDouble() - distanceMetres)
                : OptionalDouble.empty();
    }

    /** By how much the thump of the launch lags behind its flash, s. */
    public double soundLagSeconds() {
        return lagSeconds(distanceMetres);
    }

    /** The same from another distance, in its air. */
    public double lagSeconds(double metres) {
        return Sound.lagSeconds(metres, celsius);
    }

    /** Altitude of the launching ground, degrees. */
    public double footDegrees() {
        return Math.toDegrees(Math.atan2(aboveMetres, distanceMetres));
    }

    /** Altitude of a break, degrees. */
    public double breakDegrees(Calibre shell) {
        return Math.toDegrees(Math.atan2(aboveMetres + shell.heightMetres(), distanceMetres));
    }

    /** Altitude of the top of the widest burst, degrees. */
    public double topDegrees(Calibre shell) {
        return Math.toDegrees(
                Math.atan2(aboveMetres + shell.heightMetres() + shell.mostWidthMetres() / 2, distanceMetres));
    }

    /** Angles that a burst fills from side to side: least and most. */
    public double leastWidthDegrees(Calibre shell) {
        return width(shell, shell.leastWidthMetres());
    }

    /** Of a shell's largest burst as seen from the place, degrees. */
    public double mostWidthDegrees(Calibre shell) {
        return width(shell, shell.mostWidthMetres());
    }

    private double width(Calibre shell, double metres) {
        double away = Math.hypot(distanceMetres, aboveMetres + shell.heightMetres());
        return Math.toDegrees(2 * Math.atan(metres / 2 / away));
    }

    /** Whether one stands nearer than the common separation for the largest shell, or inside the organiser's line. */
    public boolean tooNear() {
        return distanceMetres < largest.separationMetres() || insideLineMetres().isPresent();
    }
}
