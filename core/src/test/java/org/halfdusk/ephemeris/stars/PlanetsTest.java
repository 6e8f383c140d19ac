package org.halfdusk.ephemeris.stars;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Vector;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.ephemeris.Ephemeris;
import org.halfdusk.ephemeris.SeriesEphemeris;
import org.halfdusk.time.DeltaT;
import org.halfdusk.time.Moment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The planets against a worked example and against oppositions, elongations and a conjunction from almanacs. */
class PlanetsTest {
    private static final Ephemeris EPHEMERIS = new SeriesEphemeris();

    private static double tt(String utc) {
        return Moment.of(Instant.parse(utc), DeltaT.model()).ttDays();
    }

    private static Vector apparent(Planet planet, double tt) {
        return StarFrame.at(EPHEMERIS, tt).apparent(Planets.seen(planet, tt).asStar());
    }

    /** Meeus, Astronomical Algorithms 2nd ed., example 33.a: Venus on 1992 December 20.0 TD; within Standish's 60″. */
    @Test
    void venusOfTheBook() {
        Vector v = apparent(Planet.VENUS, 2448976.5 - 2451545.0);
        assertEquals(15 * (21 + 4 / 60.0 + 41.5 / 3600), Math.toDegrees(v.longitudeRad()), 60 / 3600.0);
        assertEquals(-(18 + 53 / 60.0 + 16.8 / 3600), Math.toDegrees(v.latitudeRad()), 60 / 3600.0);
    }

    /** Greatest elongations and oppositions of almanacs, to the tenth of a degree that they print, or a day's change. */
    @ParameterizedTest
    @CsvSource({
        "VENUS, 2025-01-10T05:00:00Z, 47.2, 0.1",
        "VENUS, 2025-06-01T03:00:00Z, 45.9, 0.1",
        "MERCURY, 2025-03-08T06:00:00Z, 18.2, 0.1",
        "MARS, 2025-01-16T02:00:00Z, 176, 0.7",
        "JUPITER, 2024-12-07T21:00:00Z, 179.2, 0.6",
        "SATURN, 2024-09-08T05:00:00Z, 177.7, 0.6",
    })
    void elongation(Planet planet, String at, double degrees, double within) {
        double tt = tt(at);
        double seen = Math.toDegrees(apparent(planet, tt).separationRad(EPHEMERIS.apparent(Body.SUN, tt)));
        assertEquals(degrees, seen, within);
    }

    /** 6.1′ on 21 December 2020; the two theories err by up to 17′ together. */
    @Test
    void jupiterAndSaturnMeet() {
        double tt = tt("2020-12-21T18:20:00Z");
        double apart = Math.toDegrees(apparent(Planet.JUPITER, tt).separationRad(apparent(Planet.SATURN, tt)));
        assertEquals(0.1, apart, 0.28);
    }

    /** 0.3727 au on 27 August 2003, the nearest for ages, and then −2.9 mag. */
    @Test
    void marsAtItsNearest() {
        Planets.Seen mars = Planets.seen(Planet.MARS, tt("2003-08-27T09:51:00Z"));
        assertEquals(0.3727, mars.distanceAu(), 0.0006);
        assertEquals(-2.9, mars.asStar().magnitude(), 0.1);
    }

    @Property(tries = 200)
    void nonePassesItsLimits(@ForAll @DoubleRange(min = -18_262, max = 36_890) double tt) {
        Vector sun = EPHEMERIS.apparent(Body.SUN, tt);
        assertTrue(Math.toDegrees(apparent(Planet.MERCURY, tt).separationRad(sun)) < 28.5);
        assertTrue(Math.toDegrees(apparent(Planet.VENUS, tt).separationRad(sun)) < 47.9);
        for (Planet p : Planet.values()) {
            Planets.Seen seen = Planets.seen(p, tt);
            assertEquals(1, seen.asStar().j2000().length(), 1e-12);
            assertTrue(seen.distanceAu() > 0.25 && seen.distanceAu() < 11.2, p + " at " + seen.distanceAu());
        }
    }

    /**
     * Directions from the same elements, computed apart: Kepler's equation by halving, the light's way iterated to its end with the speed of
     * light and the au of 2012. Without the light's way Mercury would stand 12″ off, Mars 12″ and 16″.
     */
    @ParameterizedTest
    @CsvSource({
        "MERCURY, 10000.5, 77.79600, 25.30964, 1.000384",
        "VENUS, 9300.25, 40.89544, 13.03882, 0.840752",
        "MARS, 10000.5, 154.26484, 12.34074, 1.231529",
        "MARS, 8900, 9.95041, 2.93345, 1.925599"
    })
    void theLightLeftEarlier(Planet planet, double tt, double rightAscension, double declination, double au) {
        Planets.Seen seen = Planets.seen(planet, tt);
        Vector there = Vector.ofSpherical(Math.toRadians(rightAscension), Math.toRadians(declination), 1);
        double off = Math.toDegrees(seen.asStar().j2000().separationRad(there)) * 3600;
        assertTrue(off < 0.3, planet + " off by " + off + "″");
        assertEquals(au, seen.distanceAu(), 2e-6);
    }
}
