package org.halfdusk.show.smoke;

import java.util.List;
import org.halfdusk.show.shells.Spark;

/**
 * Smoke at a time, and what of the light behind it comes through.
 *
 * @param puffs that count
 * @param seconds of the show
 */
public record Veil(List<Puff> puffs, double seconds, Spark.Point wind) {
    /** Thinner smoke is not seen†. */
    public static final double LEAST_DEPTH = 0.015;

    /** A break is as likely before a puff as behind it: half of its depth counts†. */
    private static final double IN_FRONT = 0.5;

    /** Share of the light from a place of the show that comes through, 0 to 1. */
    public double through(Spark.Point p) {
        double depth = 0;
        for (Puff puff : puffs) {
            double sigma = puff.sigmaAt(seconds);
            Spark.Point at = puff.at(seconds, wind);
            double dx = p.x() - at.x();
            double dy = p.y() - at.y();
            depth += puff.depthAt(seconds) * Math.exp(-(dx * dx + dy * dy) / (2 * sigma * sigma));
        }
        return Math.exp(-IN_FRONT * depth);
    }
}
