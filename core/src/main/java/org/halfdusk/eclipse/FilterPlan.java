package org.halfdusk.eclipse;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.halfdusk.time.Interval;

/**
 * When the lens may be bare in a solar eclipse: from second to third contact of a total one, and at no other time. For a
 * place outside totality and in an annular eclipse there is no such time.
 *
 * <p>Leaders differ on baring a lens some seconds early for the beads; here the filter stays on until second contact and
 * is back at third, so that a clock which is a second off is the only risk left, and beads are what is seen in between.
 */
public record FilterPlan(Optional<Interval> off) {
    public static FilterPlan of(SolarEclipse eclipse) {
        return new FilterPlan(
                eclipse.type() == SolarEclipse.Type.TOTAL
                        ? eclipse.central().flatMap(FilterPlan::wholeSeconds)
                        : Optional.empty());
    }

    /** Times are said to the second, so the bare time begins on the next whole one and ends on the last. */
    private static Optional<Interval> wholeSeconds(Interval central) {
        Instant from = central.start().plusNanos(999_999_999).truncatedTo(ChronoUnit.SECONDS);
        return Interval.between(from, central.end().truncatedTo(ChronoUnit.SECONDS));
    }

    /** Whether every lens, finder and eye must be filtered at a moment. */
    public boolean filtered(Instant at) {
        return off.map(o -> !o.contains(at)).orElse(true);
    }
}
