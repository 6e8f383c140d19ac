package org.halfdusk.sky;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import org.halfdusk.ephemeris.Body;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.api.Test;

/** Meeus, Astronomical Algorithms 2nd ed., examples 48.a and 53.a: 1992 April 12, 0h TD. */
class MoonAspectTest {
    private static final double TT = (2448724.5 - 2451545.0);

    private static MoonAspect geocentric() {
        var e = ReferenceTable.EPHEMERIS;
        return MoonAspect.of(
                e.apparent(Body.SUN, TT), e.apparent(Body.MOON, TT), e.earth(TT).trueObliquityRad(), TT / 36525);
    }

    @Test
    void brightLimb() {
        assertEquals(285.0, geocentric().brightLimbDegrees(), 0.1);
    }

    @Test
    void illuminatedFraction() {
        var e = ReferenceTable.EPHEMERIS;
        MoonPhase phase = MoonPhase.of(e.apparent(Body.SUN, TT), e.apparent(Body.MOON, TT));
        assertEquals(0.6786, phase.illuminatedFraction(), 0.0005);
        assertTrue(phase.waxing());
    }

    /** Optical libration −1.206°, +4.194°; the physical part that is neglected here is 0.03°. */
    @Test
    void libration() {
        assertEquals(-1.206, geocentric().librationLongitudeDegrees(), 0.01);
        assertEquals(4.194, geocentric().librationLatitudeDegrees(), 0.01);
    }

    /** Position angle of the axis 15.08°. */
    @Test
    void axis() {
        assertEquals(15.08, geocentric().axisDegrees(), 0.1);
    }

    @Test
    void theDiscTiltsFromMoonriseToMoonset() {
        Sky sky = Sky.over(Observer.of(35.95, -3.05, 0), ReferenceTable.EPHEMERIS, DeltaT.model());
        Instant east = Instant.parse("2027-06-18T21:00:00Z");
        Instant west = Instant.parse("2027-06-19T02:30:00Z");
        assertTrue(sky.parallacticAngleDegrees(Body.MOON, east) < 0);
        assertTrue(sky.parallacticAngleDegrees(Body.MOON, west) > 0);
    }

    @Test
    void overheadItLooksLarger() {
        Sky sky = Sky.over(Observer.of(0, 0, 0), ReferenceTable.EPHEMERIS, DeltaT.model());
        Instant t = Instant.parse("2027-03-21T00:00:00Z");
        double augmented = sky.diameterDegrees(Body.MOON, t);
        double geocentric = Math.toDegrees(
                2 * Math.asin(Sky.MOON_RADIUS_KM / sky.geocentric(Body.MOON, t).distance()));
        double altitude = sky.at(Body.MOON, t).altitude().radians();
        assertEquals(1 + Math.sin(altitude) / 60.3, augmented / geocentric, 0.002);
    }
}
