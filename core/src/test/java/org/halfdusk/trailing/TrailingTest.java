package org.halfdusk.trailing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.optics.Imaging;
import org.junit.jupiter.api.Test;

/** Worked examples of the field: 18 mm, 5.12 µm. Tolerances are half of the last digit that the example gives. */
class TrailingTest {
    /** Half the sky away from the axis a fisheye turns 2 sin(θ/2)/sin θ tangentially: √2 as fast as in the middle, seen from the pole. */
    @Test
    void aFisheyeStretchesItsRimByTheRootOfTwo() {
        Trailing pole = new Trailing(8, 5, 90, Imaging.EQUISOLID);
        double rate = 8 / 0.005 * Math.sqrt(2) * 7.292115e-5;
        assertEquals(rate, pole.cornerPx(43, 1), 1e-4);
    }

    private static final Trailing EQUATOR = new Trailing(18, 5.12, 0);

    @Test
    void pixelScaleInTheMiddle() {
        assertEquals(58.67, EQUATOR.arcsecPerPixel(), 0.005);
    }

    @Test
    void rateInTheMiddleIsAQuarterOfAPixelASecond() {
        assertEquals(0.256, 1 / EQUATOR.secondsPerPixel(), 0.0005);
        assertEquals(0.256 * 10, EQUATOR.middlePx(10), 0.005);
    }

    @Test
    void longLensOnTheMoonsScale() {
        // 400 mm on 3.77 µm pixels; a star at the equator, 15.04″/s against the Moon's 14.5″/s: 7.7 px/s.
        assertEquals(7.74, new Trailing(400, 3.77, 0).middlePx(1), 0.005);
    }

    /** A frame on the equator, a star due east of its middle: the way is radial, f/p (tan(θ + ωt/2) − tan(θ − ωt/2)). */
    @Test
    void worstTrailOnTheEquatorIsTheRadialOne() {
        double theta = Math.atan(43.27 / 2 / 18);
        double half = Math.toRadians(15.041 / 3600 * 10 / 2);
        double radial = 18_000 / 5.12 * (Math.tan(theta + half) - Math.tan(theta - half));
        assertEquals(radial, EQUATOR.cornerPx(43.27, 10), 0.001);
        assertEquals(radial / EQUATOR.middlePx(10), 1 / Math.pow(Math.cos(theta), 2), 0.001);
    }

    @Test
    void elongationOfTheCheckedTrails() {
        assertEquals(1.14, Trailing.elongation(1.6), 0.005);
        assertEquals(1.33, Trailing.elongation(2.6), 0.005);
        assertEquals(1.97, Trailing.elongation(5), 0.005);
        assertEquals(1, Trailing.elongation(0));
    }

    @Test
    void atThePoleTheMiddleStandsStill() {
        Trailing pole = new Trailing(18, 5.12, 90);
        assertEquals(0, pole.middlePx(3600), 1e-6);
        assertTrue(pole.cornerPx(43.3, 60) > 1);
    }

    @Test
    void refusesWhatIsNoDeclination() {
        assertThrows(IllegalArgumentException.class, () -> new Trailing(18, 5.12, Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> new Trailing(18, 5.12, 91));
        assertThrows(IllegalArgumentException.class, () -> new Trailing(0, 5.12, 0));
    }
}
