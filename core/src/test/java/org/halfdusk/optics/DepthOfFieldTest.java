package org.halfdusk.optics;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.photometry.FNumber;
import org.junit.jupiter.api.Test;

/** Near and far limits against the worked hyperfocal distance and their own identities. */
class DepthOfFieldTest {
    /** 18 mm, f/2, 0.030 mm → 5.42 m. */
    @Test
    void hyperfocal() {
        DepthOfField d = new DepthOfField(18, FNumber.of(2), 0.030);
        assertEquals(5.418, d.hyperfocalMetres(), 0.0005);
        assertEquals(d.hyperfocalMetres(), d.nearMetres(Double.POSITIVE_INFINITY), 1e-12);
        assertEquals(Double.POSITIVE_INFINITY, d.farMetres(6));
    }

    @Test
    void nonsenseIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new DepthOfField(18, FNumber.of(Double.NaN), 0.03));
    }

    @Property
    void focusedAtTheHyperfocalDistanceHalfOfItIsSharp(
            @ForAll @DoubleRange(min = 8, max = 400) double f, @ForAll @DoubleRange(min = 1.2, max = 22) double n) {
        DepthOfField d = new DepthOfField(f, FNumber.of(n), 0.03);
        double h = d.hyperfocalMetres();
        assertEquals(h / 2, d.nearMetres(h), h * 1e-9);
    }

    /** At both limits the blur is just the circle, found by the lens equation alone. */
    @Property
    void theBlurAtTheLimitsIsTheCircle(
            @ForAll @DoubleRange(min = 14, max = 200) double f, @ForAll @DoubleRange(min = 1, max = 30) double share) {
        DepthOfField d = new DepthOfField(f, FNumber.of(4), 0.03);
        double focus = d.hyperfocalMetres() / (1 + share);
        if (focus > 0.3) {
            assertEquals(0.03, d.blurMm(focus, d.nearMetres(focus)), 1e-9);
            assertEquals(0.03, d.blurMm(focus, d.farMetres(focus)), 1e-9);
            assertTrue(d.nearMetres(focus) < focus && focus < d.farMetres(focus));
        }
    }
}
