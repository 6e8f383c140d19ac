package org.halfdusk.eclipse;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What of the light is left in eclipses, against areas worked out by hand. */
class LightLeftTest {
    /**
     * A speck of the Moon across the penumbra, umbra 1, penumbra 2: the Sun's segment over a straight edge, (acos d − d √(1 − d²))/π
     * with d = 1 − 2x; at a quarter 0.1955, at the middle a half, at three quarters 0.8045.
     */
    @ParameterizedTest
    @CsvSource({"1.25, 0.1955", "1.5, 0.5", "1.75, 0.8045", "2.5, 1", "0.5, 0.0001"})
    void aSpeckInThePenumbra(double fromAxis, double left) {
        assertEquals(left, new EarthShadow.State(fromAxis, 1, 2, 0.001).lightLeft(), 0.002);
    }

    /** A Moon whose middle stands on the penumbra's outer edge has its outer half in full light: more than half is left. */
    @Test
    void aMoonAcrossTheEdges() {
        EarthShadow.State outer = new EarthShadow.State(2, 1, 2, 0.25);
        assertTrue(outer.touches());
        assertTrue(outer.lightLeft() > 0.95 && outer.lightLeft() < 1);
        // Its middle on the umbra's edge: the half inside is dark, the half outside sees at most 0.1955 of the Sun.
        EarthShadow.State inner = new EarthShadow.State(1, 1, 2, 0.25);
        assertTrue(inner.lightLeft() > 0.01 && inner.lightLeft() < 0.1, "left " + inner.lightLeft());
        assertEquals(0.5, inner.umbralMagnitude(), 1e-12);
        assertEquals(2.5, inner.penumbralMagnitude(), 1e-12);
        EarthShadow.State outside = new EarthShadow.State(2.26, 1, 2, 0.25);
        assertFalse(outside.touches());
        assertEquals(1, outside.lightLeft());
        assertEquals(1e-4, new EarthShadow.State(0.7, 1, 2, 0.25).lightLeft());
    }

    /**
     * A Moon of half the Sun's radius before its middle: of limb darkening u = 0.6 the light within r is (1 − u) r² + u 2/3 (1 − (1 −
     * r²)^1.5), 0.2402 of 0.8; 0.6998 is left, and what is left is 0.100 stops darker than the whole disc.
     */
    @Test
    void aRingOfTheSun() {
        LocalDiscs ring = new LocalDiscs(0, 0, 0.5);
        assertEquals(0.6998, SolarLimb.lightLeft(ring), 0.01);
        assertEquals(0.100, SolarLimb.crescentStops(ring), 0.015);
        assertEquals(0.4, SolarLimb.brightness(1), 1e-12);
        assertEquals(0.4 + 0.6 * Math.sqrt(0.75), SolarLimb.brightness(0.5), 1e-12);
    }

    /** Half the disc behind a very large Moon leaves half the light; a touching one all of it, a covering one none. */
    @Test
    void halfTheSun() {
        assertEquals(0.5, SolarLimb.lightLeft(new LocalDiscs(1000, 0, 1000)), 0.002);
        assertEquals(0.5, SolarLimb.lightLeft(new LocalDiscs(0, -1000, 1000)), 0.002);
        assertEquals(1, SolarLimb.lightLeft(new LocalDiscs(2.05, 0, 1.04)));
        assertEquals(0, SolarLimb.lightLeft(new LocalDiscs(0.03, 0, 1.04)));
        assertEquals(
                0, SolarLimb.crescentStops(new LocalDiscs(1000, 0, 1000)), 0.01, "half a disc is as bright as a whole");
        assertTrue(SolarLimb.crescentStops(new LocalDiscs(0.06, 0, 1.04)) > 0.7, "a thin crescent is rim");
    }
}
