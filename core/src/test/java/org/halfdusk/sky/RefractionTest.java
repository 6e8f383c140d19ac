package org.halfdusk.sky;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

class RefractionTest {
    /** The two formulas were made for each other to 0.1′ (Meeus, Astronomical Algorithms 2nd ed., chapter 16). */
    @Property
    void thereAndBack(@ForAll @DoubleRange(min = 0, max = 89.9) double apparent) {
        double airless = Refraction.STANDARD.airless(apparent);
        assertEquals(apparent, Refraction.STANDARD.apparent(airless), 0.12 / 60);
    }

    @Example
    void publishedValues() {
        // Bennett's own: 34.5′ at the horizon, 5.3′ at 10°, 1.0′ at 45°.
        assertEquals(34.5, -60 * Refraction.STANDARD.airless(0), 0.1);
        assertEquals(5.3, 60 * (10 - Refraction.STANDARD.airless(10)), 0.1);
        assertEquals(1.0, 60 * (45 - Refraction.STANDARD.airless(45)), 0.05);
    }

    @Example
    void thinAirBendsLessAndBelowTheHorizonNothingIsBent() {
        Refraction high = new Refraction(700, 0);
        assertEquals(700 / 1010.0 * 283 / 273, (high.apparent(5) - 5) / (Refraction.STANDARD.apparent(5) - 5), 1e-9);
        assertEquals(-5, Refraction.STANDARD.apparent(-5));
        assertThrows(IllegalArgumentException.class, () -> new Refraction(-1, 0));
        assertThrows(IllegalArgumentException.class, () -> new Refraction(1000, Double.NaN));
    }
}
