package org.halfdusk.sky.events;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;

/** Crossings of functions whose crossings are known. */
class CurveTest {
    private static Curve sine(double phase, double days) {
        return Curve.of(t -> 50 * Math.sin(2 * Math.PI * t + phase), 0, days, 1.0 / 12);
    }

    @Property(tries = 200)
    void findsEveryCrossingOfAnyLevel(
            @ForAll @DoubleRange(min = 0, max = 6.28) double phase,
            @ForAll @DoubleRange(min = -49.99, max = 49.99) double level) {
        List<Curve.Crossing> found = sine(phase, 10).crossings(level);
        assertTrue(Math.abs(found.size() - 20) <= 1, "found " + found.size());
        for (int i = 0; i < found.size(); i++) {
            Curve.Crossing c = found.get(i);
            assertEquals(level, 50 * Math.sin(2 * Math.PI * c.at() + phase), 1e-5);
            assertTrue(i == 0
                    || (c.at() > found.get(i - 1).at()
                            && c.rising() != found.get(i - 1).rising()));
        }
    }

    @Property(tries = 200)
    void nothingAboveTheTop(@ForAll @DoubleRange(min = 0, max = 6.28) double phase) {
        assertEquals(List.of(), sine(phase, 10).crossings(50.0001));
    }

    @Property(tries = 200)
    void grazesOfSecondsAreFound(@ForAll @DoubleRange(min = 0, max = 6.28) double phase) {
        // 50 − 1e-6 is passed for 2.8 s at each of ten tops.
        assertTrue(Math.abs(sine(phase, 10).crossings(50 - 1e-6).size() - 20) <= 2);
    }

    @Property(tries = 100)
    void spansAboveAndBelowMakeTheWhole(
            @ForAll @DoubleRange(min = 0, max = 6.28) double phase,
            @ForAll @DoubleRange(min = -60, max = 60) double level) {
        Curve curve = sine(phase, 3);
        double above = curve.spans(level, true).stream()
                .mapToDouble(s -> s.end() - s.start())
                .sum();
        double below = curve.spans(level, false).stream()
                .mapToDouble(s -> s.end() - s.start())
                .sum();
        assertEquals(3, above + below, 1e-9);
    }

    @Example
    void highestAndLowest() {
        Curve curve = sine(0, 1);
        assertEquals(50, curve.highest().value(), 1e-9);
        assertEquals(0.25, curve.highest().at(), 1e-5);
        assertEquals(0.75, curve.lowest().at(), 1e-5);
    }

    @Example
    void extremaAtTheEndsStayInside() {
        Curve curve = Curve.of(t -> t, 2, 3, 0.1);
        assertEquals(3, curve.highest().at(), 1e-6);
        assertEquals(2, curve.lowest().at(), 1e-6);
        assertThrows(IllegalArgumentException.class, () -> Curve.of(t -> t, 3, 3, 0.1));
    }
}
