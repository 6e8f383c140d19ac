package org.halfdusk.exposure.lamps;

import static org.junit.jupiter.api.Assertions.assertEquals;

import org.junit.jupiter.api.Test;

/** How a point of light spreads over pixels, held to numbers computed by hand. */
class PointLightTest {
    /**
     * A star that trails 23 px (90 s at 18 mm, 0.256 px/s) on pixels it crosses in the middle: its light falls on 1/23 of the
     * trail, times 1/(√(2π) 0.85) across it: 0.0204; still it is 1/(2π 0.85²) = 0.2203. That is 2.58 magnitudes.
     */
    @Test
    void aTrailSpreadsAStarsLight() {
        assertEquals(0.2203, PointLight.peak(0), 1e-4);
        assertEquals(0.0204, PointLight.peak(23), 1e-4);
        assertEquals(2.58, 2.5 * Math.log10(PointLight.peak(0) / PointLight.peak(23)), 0.01);
        assertEquals(PointLight.peak(0), PointLight.peak(0.02), 1e-4);
    }
}
