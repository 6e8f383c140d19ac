package org.halfdusk.web.nights;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import org.halfdusk.shoot.SubjectNight;
import org.halfdusk.shoot.choices.ShootField;
import org.halfdusk.typed.TypedNumber;

/**
 * Which nights are ranked: from a date on, perhaps to another ("I am there 3 to 12 June"), weekends only, so many hours.
 *
 * @param hours least length of the windows
 */
record NightsFilter(LocalDate from, Optional<LocalDate> to, boolean weekends, double hours) {
    private static final double MOST_HOURS = 24;
    private static final int FEW_NIGHTS = 32;

    /** @throws IllegalArgumentException naming the value and what is allowed */
    static NightsFilter of(LocalDate from, Optional<String> to, boolean weekends, Optional<String> hours) {
        Optional<LocalDate> last = to.filter(t -> !t.isBlank()).map(ShootField.NIGHT.codec()::read);
        last.filter(t -> t.isBefore(from)).ifPresent(t -> {
            throw new IllegalArgumentException("to " + t + " lies before from " + from + "; a later date is allowed");
        });
        return new NightsFilter(
                from,
                last,
                weekends,
                hours.filter(h -> !h.isBlank()).map(NightsFilter::hours).orElse(0.0));
    }

    private static double hours(String text) {
        return TypedNumber.decimal("hours", text, 0, MOST_HOURS, "h");
    }

    /** A travel window: each night of it counts, and not one a moon. */
    boolean fewNights() {
        return to.map(t -> ChronoUnit.DAYS.between(from, t) < FEW_NIGHTS).orElse(false);
    }

    boolean holds(SubjectNight n) {
        return !n.date().isBefore(from)
                && to.map(t -> !n.date().isAfter(t)).orElse(true)
                && (!weekends || n.beforeFreeDay())
                && n.main().isPresent()
                && n.windowHours() >= hours;
    }
}
