package org.halfdusk.exposure.discs;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.eclipse.EarthShadow;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What is exposed for, by where the moon stands in a shadow whose umbra is 1 wide, penumbra 2, moon 0.25 in radius: it touches at 2.25,
 * the umbra at 1.25, and is wholly inside at 0.75.
 */
class EclipsedMoonTest {
    private static EclipsedMoon at(double separation, double changeOver) {
        return EclipsedMoon.of(new EarthShadow.State(separation, 1, 2, 0.25), changeOver, 2);
    }

    /** Full moon 8, penumbra 7 and half way 7.5; the lit part by Espenak's table between 0 and 0.95 covered. */
    @ParameterizedTest
    @CsvSource({
        "2.25, FULL, 8",
        "2.2499, PENUMBRA, 7.9998",
        "2.0, PENUMBRA, 7.5",
        "1.75, PENUMBRA, 7",
        "1.5, PENUMBRA, 7",
        "1.25, PENUMBRA, 7",
        "1.2499, LIT_PART, 6.9993",
        "0.8601, LIT_PART, 4.1010",
        "0.8599, SHADOW, NaN"
    })
    void whatIsExposedFor(double separation, EclipsedMoon.Phase phase, double guide) {
        EclipsedMoon moon = at(separation, 0.78);
        assertEquals(phase, moon.phase());
        if (!Double.isNaN(guide)) {
            assertEquals(guide, moon.guide(), 2e-4, "at " + separation);
            assertEquals(8 - moon.guide(), moon.stops(), 1e-12);
        }
    }

    @Test
    void thePenumbraFallsEvenly() {
        assertEquals(7.75, at(2.125, 0.78).guide(), 1e-9);
        assertEquals(7.5, at(2.0, 0.78).guide(), 1e-9);
        assertEquals(0.5, at(2.0, 0.78).stops(), 1e-9);
        assertEquals(7, at(1.6, 0.78).guide(), 1e-9, "no darker than the penumbra is");
    }

    /** With a late change-over the lit part stays the thing; past 1 it is held to the table's end. */
    @Test
    void theChangeOverIsAWish() {
        assertEquals(EclipsedMoon.Phase.LIT_PART, at(0.8, 0.95).phase());
        assertEquals(EclipseGuide.lunarPartial(0.9), at(0.8, 0.95).guide(), 1e-9);
        assertEquals(EclipsedMoon.Phase.SHADOW, at(0.799, 0.9).phase());
        assertEquals(EclipsedMoon.Phase.SHADOW, at(0.4, 1).phase());
    }

    /**
     * The parabola through Danjon's value: for Danjon 2 the edge is 1 and a usual totality, whose mean square is 0.225, −5; so the axis
     * is (−5 − 0.225)/0.775 = −6.742. A class moves the edge by 0.4.
     */
    @ParameterizedTest
    @CsvSource({
        "0.225, 2, -5",
        "1, 2, 1",
        "0, 2, -6.7419",
        "1, 0, 0.2",
        "1, 4, 1.8",
        "0.225, 0, -9",
        "2, 2, 1",
        "-1, 2, -6.7419"
    })
    void theShadowBrightensTowardsItsEdge(double meanSquare, int danjon, double guide) {
        assertEquals(guide, EclipseGuide.lunarShadow(meanSquare, danjon), 1e-4);
    }

    /** A small moon at 0.475 of the umbra has a mean square of 0.475² + 0.25²/2 = 0.2569, so −4.81. */
    @Test
    void aMoonInTheShadow() {
        assertEquals(-6.7419 + 0.2569 * 7.7419, at(0.475, 0.78).guide(), 0.05);
        assertTrue(at(0.475, 0.78).guide() > at(0, 0.78).guide(), "deeper is darker");
    }

    /** Between the figures of the table evenly, beyond the last as there. */
    @ParameterizedTest
    @CsvSource({"0, 7", "0.15, 6.5", "0.3, 6", "0.45, 5.5", "0.7, 4.5", "0.85, 3.5", "0.925, 2.5", "0.95, 2", "1, 2"})
    void partialsOfTheTable(double umbral, double guide) {
        assertEquals(guide, EclipseGuide.lunarPartial(umbral), 1e-9);
    }
}
