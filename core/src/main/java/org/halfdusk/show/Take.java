package org.halfdusk.show;

import org.halfdusk.optics.Rig;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.framing.Projection;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;

/**
 * How a frame is taken.
 *
 * @param filterStops light that a filter costs, 0 to 30 stops
 */
public record Take(Rig rig, Framing framing, FNumber fNumber, Iso iso, double filterStops) {
    /** @throws IllegalArgumentException for a filter outside 0 to 30 stops */
    public Take {
        if (!(filterStops >= 0 && filterStops <= 30)) {
            throw new IllegalArgumentException("a filter of " + filterStops + " stops is outside 0 to 30");
        }
    }

    /** Where its lens draws what. */
    public Projection projection() {
        return Projection.of(framing, rig);
    }

    /** Share of the light that a filter leaves. */
    double passed() {
        return Math.pow(2, -filterStops);
    }
}
