package org.halfdusk.shoot.fireworks;

import java.util.Optional;
import org.halfdusk.weather.Spell;

/**
 * Where the smoke of a show goes as one stands facing it.
 *
 * @param windMetresPerSecond the strongest while it lasts
 * @param acrossMetresPerSecond of it across the line of sight, to the right positive
 * @param awayMetresPerSecond of it along the line of sight, away from the tripod positive
 */
public record Smoke(Drift drift, double windMetresPerSecond, double acrossMetresPerSecond, double awayMetresPerSecond) {
    /** Smoke of a burst hides later ones for about so long†, s. */
    public static final double SECONDS = 30;

    /** Wind under which smoke hangs where it is, m/s: light air, Beaufort 1. */
    public static final double HANGS_METRES_PER_SECOND = 1.5;

    /** Within this of the line of sight smoke comes or goes, degrees. */
    private static final double ALONG_DEGREES = 60;

    /** As seen by the photographer. */
    public enum Drift {
        HANGS,
        TOWARDS_YOU,
        AWAY,
        LEFT,
        RIGHT
    }

    /**
     * @param showAzimuthDegrees from the tripod to the show
     * @return nothing where the wind's direction is not forecast
     */
    public static Optional<Smoke> of(double showAzimuthDegrees, Spell weather) {
        double wind = weather.mostWindMetresPerSecond();
        if (wind < HANGS_METRES_PER_SECOND) {
            return Optional.of(new Smoke(Drift.HANGS, wind, 0, 0));
        }
        if (weather.windFromDegrees().isEmpty()) {
            return Optional.empty();
        }
        double off = Math.IEEEremainder(weather.windFromDegrees().getAsDouble() - showAzimuthDegrees, 360);
        // What comes from the right goes to the left.
        double across = -wind * Math.sin(Math.toRadians(off));
        double away = -wind * Math.cos(Math.toRadians(off));
        if (Math.abs(off) < ALONG_DEGREES) {
            return Optional.of(new Smoke(Drift.TOWARDS_YOU, wind, across, away));
        }
        if (Math.abs(off) > 180 - ALONG_DEGREES) {
            return Optional.of(new Smoke(Drift.AWAY, wind, across, away));
        }
        return Optional.of(new Smoke(off > 0 ? Drift.LEFT : Drift.RIGHT, wind, across, away));
    }
}
