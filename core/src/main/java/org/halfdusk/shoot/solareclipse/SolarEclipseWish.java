package org.halfdusk.shoot.solareclipse;

import java.time.Duration;
import java.util.List;
import org.halfdusk.eclipse.FilterGuard;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.WishKind;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;

/**
 * What is wished of a solar eclipse.
 *
 * @param marginSeconds how long the filter stays on beyond what the guard needs, 3 to 15: only ever more
 * @param minutes between partial frames, 0.5 to 30
 */
public record SolarEclipseWish(SolarEclipsePlan.Filter filter, double marginSeconds, double minutes) implements Wish {
    public static final Field<SolarEclipseWish, SolarEclipsePlan.Filter> FILTER = new Field<>(
            "SOLAR_FILTER",
            "solar filter",
            Codec.choice(
                    "solar filter",
                    new Codec.Chosen<>(
                            SolarEclipsePlan.Filter.ND5, "ND5", "density 5.0, for the lens (eyes: ISO 12312-2)"),
                    new Codec.Chosen<>(
                            SolarEclipsePlan.Filter.ND4, "ND4", "density 4.0, for the lens only, never for eyes")),
            SolarEclipseWish::filter,
            (w, v) -> new SolarEclipseWish(v, w.marginSeconds, w.minutes));
    public static final Field<SolarEclipseWish, Double> MARGIN = Field.number(
            "SOLAR_MARGIN",
            new Range(
                    "filter on after second and before third contact",
                    FilterGuard.LEAST_MARGIN_SECONDS,
                    FilterGuard.MOST_MARGIN_SECONDS,
                    "s"),
            SolarEclipseWish::marginSeconds,
            (w, v) -> new SolarEclipseWish(w.filter, v, w.minutes));
    public static final Field<SolarEclipseWish, Double> MINUTES = Field.number(
            "SOLAR_MINUTES",
            new Range("minutes between partial frames", 0.5, 30, "min"),
            SolarEclipseWish::minutes,
            (w, v) -> new SolarEclipseWish(w.filter, w.marginSeconds, v));

    public static final WishKind<SolarEclipseWish> KIND = new WishKind<>(
            SolarEclipseWish.class,
            new SolarEclipseWish(SolarEclipsePlan.Filter.ND5, FilterGuard.LEAST_MARGIN_SECONDS, 5),
            List.of(FILTER, MARGIN, MINUTES));

    Duration between() {
        return Wish.minutes(minutes);
    }
}
