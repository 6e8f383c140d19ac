package org.halfdusk.show.smoke;

import org.halfdusk.show.shells.Cue;
import org.halfdusk.show.shells.ShellKind;
import org.halfdusk.show.shells.Spark;

/**
 * Smoke of one break: a ball that thins as it grows, 1/σ², and goes with the wind.
 *
 * @param born when its shell broke, s of the show
 * @param from where
 * @param sigma its first size, m
 * @param depth its first optical depth through the middle
 */
public record Puff(double born, Spark.Point from, double sigma, double depth) {
    /** First size against the break's radius†. */
    private static final double SIZE_SHARE = 0.4;

    /** Optical depth of a fresh 125 mm break of usual smoke†; it goes with powder over area, so with the calibre. */
    private static final double DEPTH = 0.3;

    private static final double CALIBRE_MM = 125;

    /** How fast it spreads†, m/s. */
    public static final double SPREADING = 1.2;

    /** A comet leaves less, a salute more†. */
    private static final double COMET_SHARE = 0.2;

    private static final double SALUTE_SHARE = 1.6;
    private static final double LEAST_RADIUS = 25;

    /** What a shell leaves where it breaks: as wide as a share of the break, as deep as its powder over that area lets it be. */
    public static Puff of(Cue cue, Drift drift) {
        double share = cue.kind() == ShellKind.COMET ? COMET_SHARE : cue.kind() == ShellKind.SALUTE ? SALUTE_SHARE : 1;
        return new Puff(
                cue.breakSeconds(),
                cue.breakPoint(),
                SIZE_SHARE * Math.max(LEAST_RADIUS, cue.radiusMetres()),
                DEPTH * share * drift.thickness() * cue.calibre().mm() / CALIBRE_MM);
    }

    /** @return standard deviation of the puff so long after the show began, m */
    public double sigmaAt(double seconds) {
        return sigma + SPREADING * Math.max(0, seconds - born);
    }

    /** @return optical depth through its middle then, 0 or more */
    public double depthAt(double seconds) {
        double thinner = sigma / sigmaAt(seconds);
        return seconds < born ? 0 : depth * thinner * thinner;
    }

    /**
     * Where its middle is, m.
     *
     * @param seconds after the show began
     * @param wind m/s
     */
    public Spark.Point at(double seconds, Spark.Point wind) {
        return from.plus(wind.times(Math.max(0, seconds - born)));
    }
}
