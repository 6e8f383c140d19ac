package org.halfdusk.shoot;

import java.util.Optional;
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
        String typed = shoot.rig().choices().of(ShootField.CELSIUS);
        if (!typed.isEmpty()) {
            return new Air(Double.parseDouble(typed), Source.EXPECTED);
        }
        return Traits.of(shoot.subject())
                .celsius()
                .filter(field -> shoot.wish().texts().containsKey(field.name()))
                .map(field -> new Air(shoot.wish().number(field), Source.EXPECTED))
                .orElse(new Air(ASSUMED_CELSIUS, Source.ASSUMED));
    }
}
