package org.halfdusk.optics;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.sky.HorizontalPosition;
import org.junit.jupiter.api.Test;

/** Directions on the plane of the sensor and back. */
class ProjectionTest {
    private static Framing aim(double azimuth, double altitude, double roll) {
        return new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(altitude), roll);
    }

    @Property
    void thereAndBackAgain(
            @ForAll @DoubleRange(min = 0, max = 359.9) double azimuth,
            @ForAll @DoubleRange(min = -80, max = 89) double altitude,
            @ForAll @DoubleRange(min = -15, max = 15) double x,
            @ForAll @DoubleRange(min = -15, max = 15) double y) {
        Projection p = new Projection(aim(azimuth, altitude, 0), 18);
        HorizontalPosition seen = p.direction(new Projection.Point(x, y));
        Projection.Point back = p.of(seen.direction()).orElseThrow();
        assertEquals(x, back.x(), 1e-9);
        assertEquals(y, back.y(), 1e-9);
    }

    /** f · tan of the angle from the axis, whichever way. */
    @Property
    void distanceFromTheMiddleIsTheTangent(
            @ForAll @DoubleRange(min = 0, max = 359.9) double azimuth,
            @ForAll @DoubleRange(min = -60, max = 80) double altitude) {
        Projection p = new Projection(aim(120, 30, 0), 24);
        Vector v = new HorizontalPosition(Altitude.ofDegrees(altitude), Azimuth.ofDegrees(azimuth), 1).direction();
        double angle = v.separationRad(aim(120, 30, 0).direction());
        p.of(v).ifPresent(q -> assertEquals(24 * Math.tan(angle), Math.hypot(q.x(), q.y()), 1e-6));
    }

    @Test
    void eastIsRightOfNorthAndHigherIsUp() {
        Projection p = new Projection(aim(0, 10, 0), 50);
        assertTrue(p.of(Azimuth.ofDegrees(5), 10).orElseThrow().x() > 0);
        assertTrue(p.of(Azimuth.ofDegrees(355), 10).orElseThrow().x() < 0);
        assertTrue(p.of(Azimuth.ofDegrees(0), 12).orElseThrow().y() > 0);
        assertTrue(p.of(Azimuth.ofDegrees(180), 10).isEmpty());
    }

    @Test
    void anUprightFrameIsHigherThanWide() {
        Sensor sensor = new Sensor(36, 24, 6000, 4000);
        Projection.Point level = new Projection(aim(0, 0, 0), 50).reach(sensor);
        Projection.Point upright = new Projection(aim(0, 0, 90), 50).reach(sensor);
        assertEquals(18, level.x(), 1e-9);
        assertEquals(12, level.y(), 1e-9);
        assertEquals(12, upright.x(), 1e-9);
        assertEquals(18, upright.y(), 1e-9);
    }

    /** The Moon's half degree behind 400 mm: 3.49 mm, as f/110 says within a few percent. */
    @Test
    void aSmallAngleAcrossTheMiddle() {
        assertEquals(3.49, new Projection(aim(0, 0, 0), 400).across(0.5), 0.005);
    }
}
