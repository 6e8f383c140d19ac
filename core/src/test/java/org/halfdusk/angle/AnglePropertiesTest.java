package org.halfdusk.angle;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** What holds for every angle and direction. */
class AnglePropertiesTest {
    @Property
    void wrappingKeepsTheDirection(@ForAll @DoubleRange(min = -1e4, max = 1e4) double radians) {
        double wrapped = Angle.wrap(radians);
        assertTrue(wrapped >= 0 && wrapped < 2 * Math.PI);
        assertEquals(Math.cos(radians), Math.cos(wrapped), 1e-9);
        assertEquals(Math.sin(radians), Math.sin(wrapped), 1e-9);
    }

    @Property
    void signedLiesBetweenMinusAndPlus180(@ForAll @DoubleRange(min = -1e4, max = 1e4) double degrees) {
        double signed = Angle.ofDegrees(degrees).signed().degrees();
        assertTrue(signed >= -180 && signed < 180);
    }

    @Property
    void azimuthTurnsTheShortWay(
            @ForAll @DoubleRange(min = 0, max = 359.9) double a, @ForAll @DoubleRange(min = 0, max = 359.9) double b) {
        double turn = Azimuth.ofDegrees(a).turnTo(Azimuth.ofDegrees(b));
        assertTrue(Math.abs(turn) <= 180);
        assertEquals(0, Azimuth.ofDegrees(a + turn).turnTo(Azimuth.ofDegrees(b)), 1e-6);
    }

    @Property
    void roundedAzimuthsAreNever360(
            @ForAll @DoubleRange(min = -400, max = 400) double a, @ForAll @IntRange(min = 1, max = 100) int steps) {
        Azimuth azimuth = Azimuth.ofDegrees(a);
        Azimuth rounded = azimuth.rounded(steps);
        assertTrue(rounded.degrees() >= 0 && rounded.degrees() < 360 - 0.4 / steps, rounded.toString());
        assertTrue(Math.abs(azimuth.turnTo(rounded)) <= 0.5 / steps + 1e-9);
    }

    @Property
    void sphericalRoundTrip(
            @ForAll @DoubleRange(min = 0, max = 6.28) double lon,
            @ForAll @DoubleRange(min = -1.57, max = 1.57) double lat) {
        Vector v = Vector.ofSpherical(lon, lat, 3);
        assertEquals(3, v.length(), 1e-12);
        assertEquals(lat, v.latitudeRad(), 1e-12);
        assertEquals(Math.cos(lon), Math.cos(v.longitudeRad()), 1e-9);
    }

    @Property
    void rotationsKeepLengthAndCanBeTurnedBack(
            @ForAll @DoubleRange(min = -7, max = 7) double a,
            @ForAll @DoubleRange(min = -7, max = 7) double b,
            @ForAll @DoubleRange(min = -7, max = 7) double c) {
        Rotation r = Rotation.aboutX(a).then(Rotation.aboutY(b)).then(Rotation.aboutZ(c));
        Vector v = new Vector(1, -2, 0.5);
        assertEquals(v.length(), r.apply(v).length(), 1e-12);
        assertEquals(0, r.inverse().apply(r.apply(v)).minus(v).length(), 1e-12);
        assertEquals(0, v.aboutZ(c).minus(Rotation.aboutZ(c).apply(v)).length(), 1e-12);
        assertEquals(0, v.aboutX(a).minus(Rotation.aboutX(a).apply(v)).length(), 1e-12);
    }

    @Example
    void nonsenseIsRefusedWithItsValue() {
        String message = assertThrows(IllegalArgumentException.class, () -> Altitude.ofDegrees(97))
                .getMessage();
        assertEquals("altitude 97.0° is outside −90° to 90°", message);
        assertThrows(IllegalArgumentException.class, () -> Altitude.ofDegrees(Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> Declination.ofDegrees(Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> Azimuth.ofDegrees(Double.POSITIVE_INFINITY));
        assertThrows(IllegalArgumentException.class, () -> Angle.ofDegrees(Double.NaN));
    }
}
