package org.halfdusk.exposure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Scale;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.photometry.Iso;
import org.halfdusk.photometry.SkyBrightness;
import org.halfdusk.photometry.Stops;
import org.halfdusk.trailing.StarImage;
import org.halfdusk.trailing.Trailing;

/** What holds for every exposure. */
class ExposurePropertiesTest {
    @Property
    void twiceTheTimeIsOneStop(
            @ForAll @DoubleRange(min = 12, max = 22) double mag,
            @ForAll @DoubleRange(min = 1, max = 16) double n,
            @ForAll @DoubleRange(min = 0.01, max = 600) double t) {
        double once = new SkyExposure(SkyBrightness.of(mag), FNumber.of(n), t, Iso.of(800)).stopsUnderClipping();
        assertEquals(
                once - 1,
                new SkyExposure(SkyBrightness.of(mag), FNumber.of(n), 2 * t, Iso.of(800)).stopsUnderClipping(),
                1e-9);
        assertEquals(
                once - 1,
                new SkyExposure(SkyBrightness.of(mag), FNumber.of(n), t, Iso.of(1600)).stopsUnderClipping(),
                1e-9);
        assertEquals(
                once - 2,
                new SkyExposure(SkyBrightness.of(mag), FNumber.of(n / 2), t, Iso.of(800)).stopsUnderClipping(),
                1e-9);
    }

    @Property
    void trailGrowsWithTimeAndNeverShrinksOffAxis(
            @ForAll @DoubleRange(min = -85, max = 85) double declination,
            @ForAll @DoubleRange(min = 8, max = 400) double focal,
            @ForAll @DoubleRange(min = 0.5, max = 60) double t) {
        Trailing trailing = new Trailing(focal, 4.5, declination);
        assertTrue(trailing.middlePx(2 * t) > trailing.middlePx(t));
        assertTrue(trailing.cornerPx(43.27, t) >= trailing.middlePx(t) * 0.999);
    }

    @Property
    void northAndSouthTrailAlike(@ForAll @DoubleRange(min = 0, max = 89) double declination) {
        double north = new Trailing(20, 5, declination).cornerPx(43.27, 10);
        double south = new Trailing(20, 5, -declination).cornerPx(43.27, 10);
        assertEquals(north, south, 1e-6 * north);
    }

    @Property
    void roundingDownNeverOvershootsByMoreThanOnePercent(
            @ForAll @Scale(3) @DoubleRange(min = 0.001, max = 5000) double limit) {
        ShutterTime.roundDown(limit, ShutterTime.available(1 / 8000.0, 30, true))
                .ifPresent(t -> assertTrue(t.realSeconds() <= limit * 1.01));
    }

    @Property
    void aStarsLightIsSpreadNotLost(
            @ForAll @DoubleRange(min = -8, max = 8) double dx, @ForAll @DoubleRange(min = -8, max = 8) double dy) {
        double still = sum(StarImage.of(new Trailing.Path(0, 0), 31));
        assertEquals(still, sum(StarImage.of(new Trailing.Path(dx, dy), 31)), 0.001 * still);
    }

    private static double sum(double[][] light) {
        return Arrays.stream(light).flatMapToDouble(Arrays::stream).sum();
    }

    @Example
    void marksOfApertureAndIso() {
        assertEquals(
                FNumber.of(2), FNumber.available(FNumber.of(2), FNumber.of(16)).get(0));
        assertEquals("f/5.6", FNumber.of(5.6).label());
        assertEquals("f/11", FNumber.of(11).label());
        assertEquals(Iso.of(2000), Iso.of(1900).nearest(Iso.available(100, 25600)));
        assertEquals(java.util.List.of(Iso.of(90)), Iso.available(90, 95));
        assertEquals(2.16, Stops.ofAveraging(20), 0.005);
    }
}
