package org.halfdusk.light.sources;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The band's light against its calibration and what everybody sees of it. */
class MilkyWayTest {
    /** Computed anew, not the one that all share. */
    private static MilkyWay band = MilkyWay.instance();

    @BeforeAll
    static void compute() {
        band = MilkyWay.computed();
    }

    /** Leinert et al. 1998: 30 S10 at the galactic pole. */
    @Test
    void thePoleIsThirtyStarsOfTheTenthMagnitude() {
        assertEquals(30, band.s10(0, 90), 0.01);
        assertEquals(27.78 - 2.5 * Math.log10(30), band.brightness(123, -90).magnitude(), 0.001);
    }

    /** Its own light peaks between 20 and 21 mag/arcsec², within some tens of degrees of the centre. */
    @Test
    void theBrightestPartIsTowardsTheCentre() {
        double best = 30;
        double longitude = 0;
        for (int l = -180; l < 180; l++) {
            for (int b = -30; b <= 30; b++) {
                if (band.brightness(l, b).magnitude() < best) {
                    best = band.brightness(l, b).magnitude();
                    longitude = l;
                }
            }
        }
        assertEquals(20.5, best, 0.4);
        assertTrue(Math.abs(longitude) < 35, "brightest at " + longitude);
    }

    /** The rift runs between the two streams in Aquila and Cygnus; the Coalsack is a hole beside the Cross. */
    @Test
    void riftsAreDarkerThanCloudsBesideThem() {
        assertTrue(band.s10(30, 4) < 0.7 * band.s10(27, -3), "Aquila rift and the Scutum cloud");
        assertTrue(band.s10(303, 0) < band.s10(310, 0), "Coalsack");
    }

    @Property
    void itIsBrightestOnItsMiddleLine(@ForAll @DoubleRange(min = 0, max = 360) double longitude) {
        assertTrue(band.s10(longitude, 35) < 110);
        assertTrue(band.s10(longitude, -60) < band.s10(longitude, -40) + 0.001);
    }

    /** A fifth of the rest of the sky shows, a tenth does not; the more the better. */
    @Property
    void opacityGrowsWithItsShare(@ForAll @DoubleRange(min = -5, max = 5) double fainter) {
        double o = MilkyWay.opacity(fainter);
        assertTrue(o >= 0 && o < 1);
        assertTrue(o >= MilkyWay.opacity(fainter + 0.1));
        assertEquals(0, MilkyWay.opacity(2.5), 0);
        assertTrue(MilkyWay.opacity(2.5 * Math.log10(5)) > 0.05);
    }

    /** A band as bright as the rest of the sky is drawn 0.88/(0.88 + 0.8) opaque; two and a half magnitudes fainter, not at all. */
    @Test
    void opacityAtAnEqualSky() {
        assertEquals(0.5238, MilkyWay.opacity(0), 1e-4);
        assertEquals(0.0909, MilkyWay.opacity(2.5 * Math.log10(5)), 1e-4);
    }

    /**
     * An independent computation: the same integral in steps of 20 pc, the outlines from their source in degrees by another crossing
     * test, means over squares, written apart from this code. Within 5 %: its steps of 100 pc in the dust, edges rounded to tenths of a degree.
     */
    @ParameterizedTest
    @CsvSource({
        "0,0,199.6", "0.5,-3.5,537.3", "27,-3,408.6", "30.25,4.5,150.1", "80,1,139.6", "79.5,-1.25,129.5",
                "120,0,211.0",
        "180,0,159.8", "210,2.5,166.6", "265,-1,229.0", "284,0,252.0", "303,0.5,100.8", "310,0,209.6", "330,-5,476.6",
        "350,5.5,719.5", "10,20,51.0", "200,-25,53.5", "90,38.5,46.1", "45,60,42.8", "359.5,-2,329.5"
    })
    void asComputedApart(double longitude, double latitude, double s10) {
        assertEquals(s10, band.s10(longitude, latitude), 0.05 * s10);
    }

    /** Between two points of the grid by straight lines both ways; the seam at longitude 0 is none, and beyond 40° it fades to the pole. */
    @Test
    void betweenThePointsOfTheGrid() {
        assertEquals((band.s10(30, 4) + band.s10(31, 4)) / 2, band.s10(30.5, 4), 1e-3);
        assertEquals((band.s10(30, 4) + band.s10(30, 5)) / 2, band.s10(30, 4.5), 1e-3);
        assertEquals((band.s10(359, -2) + band.s10(0, -2)) / 2, band.s10(359.5, -2), 1e-3);
        assertEquals(band.s10(10, 3), band.s10(370, 3), 1e-9);
        assertEquals(band.s10(350, 3), band.s10(-10, 3), 1e-9);
        double edge = band.s10(75, 40);
        assertEquals((edge + 30) / 2, band.s10(75, 65), 1e-3);
        assertEquals((band.s10(75, -40) + 30) / 2, band.s10(75, -65), 1e-3);
        assertEquals(360 * 81, band.grid().length);
        assertEquals(band.grid()[40 * 360 + 30], band.s10(30, 0), 1e-6);
        band.grid()[0] = 0;
        assertTrue(band.grid()[0] > 1, "what is given out is a copy");
    }

    /** The smooth disc is the same on either side of the centre; outlines are not, so their ratio stays within what carves it. */
    @Test
    void carvingStaysWithinItsBounds() {
        for (int l = 1; l < 180; l++) {
            for (int b = -40; b <= 40; b += 5) {
                double ratio = band.s10(l, b) / band.s10(360 - l, b);
                assertTrue(ratio > 0.4 / 1.6 - 1e-6 && ratio < 1.6 / 0.4 + 1e-6, l + ", " + b + ": " + ratio);
            }
        }
    }
}
