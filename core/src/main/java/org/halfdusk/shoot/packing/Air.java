package org.halfdusk.shoot.packing;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.halfdusk.shoot.Wish;
import org.halfdusk.shoot.choices.Shoot;
import org.halfdusk.typed.Codec;
import org.halfdusk.typed.Field;
import org.halfdusk.typed.Range;
import org.halfdusk.weather.Spell;

/**
 * The air of a shoot, one for all its pages: batteries, sensors and what is packed are reckoned for it. What is forecast for the
 * window's coldest hour; else what the person expects; else a cool night, and it is said to be assumed.
 *
 * @param celsius −60 to 60
 */
public record Air(double celsius, Source source) {
    /** Where it is neither forecast nor typed†. */
    public static final double ASSUMED_CELSIUS = 10;

    private static final double LIMIT = 60;

    /** Where a temperature comes from. */
    public enum Source {
        FORECAST,
        EXPECTED,
        ASSUMED
    }

    /** @throws IllegalArgumentException for a temperature outside −60 to 60 °C, or a humidity out of range */
    public Air {
        if (!(celsius >= -LIMIT && celsius <= LIMIT)) {
            throw new IllegalArgumentException("temperature " + celsius + " °C is outside −60 to 60 °C");
        }
    }

    /** Of a shoot with what is forecast for its window, where all of that is. */
    public static Air of(Shoot shoot, Optional<Spell> weather) {
        if (weather.isPresent()) {
            double coldest = weather.get().coldestCelsius();
            return new Air(Math.max(-LIMIT, Math.min(LIMIT, coldest)), Source.FORECAST);
        }
        OptionalDouble ofRig = shoot.rig().choices().recording().celsius();
        OptionalDouble typed = ofRig.isPresent() ? ofRig : shoot.wish().celsius();
        return typed.isPresent()
                ? new Air(typed.getAsDouble(), Source.EXPECTED)
                : new Air(ASSUMED_CELSIUS, Source.ASSUMED);
    }

    /** The wish of a subject in which a person says what temperature they expect. */
    public static <W extends Wish> Field<W, OptionalDouble> expected(
            String name, Function<W, OptionalDouble> get, BiFunction<W, OptionalDouble, W> with) {
        Range range = new Range("temperature expected", -50, 50, "°C");
        return new Field<>(name, range.what(), Codec.perhaps(range), get, with);
    }
}
