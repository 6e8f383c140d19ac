package org.halfdusk.ephemeris;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.stream.IntStream;
import org.halfdusk.angle.Angle;
import org.halfdusk.ephemeris.coordinates.EarthMotion;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The polynomials against the full series that they were fitted to: 0.05″ is allowed, a tenth of it is expected. */
class ChebyshevEphemerisTest {
    private static final Ephemeris SERIES = new SeriesEphemeris();

    @ParameterizedTest
    @EnumSource(
            value = Body.class,
            mode = EnumSource.Mode.EXCLUDE,
            names = {"BAND_TOP", "CELESTIAL_POLE"})
    void staysWithTheSeries(Body body) {
        Ephemeris fitted = new ChebyshevEphemeris(SERIES);
        Random random = new Random(20270604);
        double worst = 0;
        double worstKm = 0;
        for (int i = 0; i < 400; i++) {
            double tt = -18_000 + random.nextDouble() * 54_000;
            var full = SERIES.apparent(body, tt);
            var fast = fitted.apparent(body, tt);
            worst = Math.max(worst, full.separationRad(fast) * Angle.ARCSECONDS_PER_RADIAN);
            worstKm = Math.max(worstKm, Math.abs(full.length() - fast.length()));
        }
        assertTrue(worst < 0.005, body + " is off by " + worst + " arcsec");
        assertTrue(body != Body.MOON || worstKm < 0.05, "distance is off by " + worstKm + " km");
    }

    @Test
    void earthsMotionStaysWithTheSeries() {
        Ephemeris fitted = new ChebyshevEphemeris(SERIES);
        for (double tt = 9000; tt < 9100; tt += 0.37) {
            EarthMotion full = SERIES.earth(tt);
            EarthMotion fast = fitted.earth(tt);
            double arcsec = Angle.ARCSECONDS_PER_RADIAN;
            assertEquals(full.nutationLongitudeRad() * arcsec, fast.nutationLongitudeRad() * arcsec, 0.0005);
            assertEquals(full.equationOfEquinoxesRad(), fitted.equationOfEquinoxesRad(tt), 0.0005 / arcsec);
            assertEquals(0, full.velocity().minus(fast.velocity()).length(), 1e-10);
        }
    }

    @Test
    void aYearNeedsLittleMemory() {
        ChebyshevEphemeris fitted = new ChebyshevEphemeris(SERIES);
        for (double tt = 9800; tt < 10165; tt += 1) {
            for (Body body : Body.values()) {
                if (body.placed()) {
                    fitted.apparent(body, tt);
                }
            }
            fitted.earth(tt);
        }
        assertTrue(fitted.bytes() < 320_000, "a year holds " + fitted.bytes() + " bytes");
        fitted.clear();
        assertEquals(0, fitted.bytes());
    }

    @Test
    void theBandsTopHasNoPlaceOfItsOwn() {
        for (Ephemeris e : java.util.List.of(SERIES, new ChebyshevEphemeris(SERIES))) {
            assertThrows(IllegalArgumentException.class, () -> e.apparent(Body.BAND_TOP, 9800));
        }
    }

    @Test
    void manyThreadsSeeTheSamePlaces() {
        ChebyshevEphemeris fitted = new ChebyshevEphemeris(SERIES);
        ConcurrentLinkedQueue<Double> off = new ConcurrentLinkedQueue<>();
        Ephemeris alone = new ChebyshevEphemeris(SERIES);
        IntStream.range(0, 4000).parallel().forEach(i -> {
            double tt = 9000 + (i * 7919 % 4000) * 0.05;
            off.add(fitted.apparent(Body.MOON, tt)
                    .minus(alone.apparent(Body.MOON, tt))
                    .length());
        });
        assertEquals(0, off.stream().mapToDouble(d -> d).max().orElseThrow());
    }
}
