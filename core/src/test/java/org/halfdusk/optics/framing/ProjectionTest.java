package org.halfdusk.optics.framing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.angle.Vector;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Imaging;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
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

    /** The table that the script in the browser is held to as well; 0.1 px of 5 µm is 0.0005 mm. */
    @Test
    void agreesWithATableMadeBySphericalTrigonometry() throws IOException {
        int read = 0;
        for (String line : table()) {
            String[] c = line.split(",");
            double[] n = new double[c.length];
            for (int i = 0; i < c.length; i++) {
                n[i] = i == 3 ? 0 : Double.parseDouble(c[i]);
            }
            Projection p = new Projection(aim(n[0], n[1], 0), n[2], Imaging.valueOf(c[3]));
            Projection.Point q = p.of(Azimuth.ofDegrees(n[4]), n[5]).orElseThrow();
            assertEquals(n[6], q.x(), 1e-6, line);
            assertEquals(n[7], q.y(), 1e-6, line);
            HorizontalPosition back = p.direction(q);
            assertEquals(n[5], back.altitude().degrees(), 1e-6, line);
            read++;
        }
        assertTrue(read >= 50);
    }

    private static List<String> table() throws IOException {
        try (InputStream in = ProjectionTest.class.getResourceAsStream("projection.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .toList();
        }
    }

    /** 2f sin(θ/2): a hemisphere's rim lies at √2 f, and equal areas of sky fill equal areas of the picture. */
    @Test
    void anEquisolidFisheyeKeepsAreas() {
        assertEquals(Math.sqrt(2), Imaging.EQUISOLID.radius(Math.PI / 2), 1e-12);
        double cap = 2 * Math.PI * (1 - Math.cos(0.7));
        assertEquals(cap, Math.PI * Math.pow(Imaging.EQUISOLID.radius(0.7), 2), 1e-12);
    }

    @Property
    void everyImagingTurnsBack(@ForAll Imaging imaging, @ForAll @DoubleRange(min = 0, max = 1.4) double angle) {
        assertEquals(angle, imaging.angleRad(imaging.radius(angle)), 1e-12);
    }

    /** A circular fisheye shows half the sky at most. */
    @Test
    void aFisheyesFieldEndsAtHalfTheSky() {
        Sensor sensor = new Sensor(36, 24, 6000, 4000);
        Camera camera = new Camera(
                "full frame",
                sensor,
                Camera.Sensitivity.of(100, 25600),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(30, 10, 40, 160),
                Camera.Power.of(500, 180));
        Lens lens = new Lens("10 mm fisheye", 10, 10, 2.8, 2.8, 22, 5.6, true, "", true);
        Rig rig = Rig.of(camera, lens, Optional.empty(), 10);
        assertEquals(180, rig.longFieldDegrees(), 1e-9);
        assertEquals(2 * Math.toDegrees(2 * Math.asin(12 / 20.0)), rig.shortFieldDegrees(), 1e-9);
    }

    /** The way without objects draws what the other draws, and a lens's stretch is its radius over the sine. */
    @Test
    void bothWaysAreOne() {
        Random random = new Random(11);
        int drawn = 0;
        for (Imaging imaging : Imaging.values()) {
            Projection p = new Projection(new Framing(Azimuth.ofDegrees(123), Altitude.ofDegrees(31), 0), 18, imaging);
            for (int i = 0; i < 2000; i++) {
                Vector v = new Vector(random.nextGaussian(), random.nextGaussian(), random.nextGaussian()).unit();
                double[] out = {0, 0};
                Optional<Projection.Point> point = p.of(v);
                assertEquals(point.isPresent(), p.to(v.x(), v.y(), v.z(), out));
                assertEquals(point.map(Projection.Point::x).orElse(0.0), out[0], 1e-9);
                assertEquals(point.map(Projection.Point::y).orElse(0.0), out[1], 1e-9);
                drawn += point.isPresent() ? 1 : 0;
            }
            for (double degrees = 1; degrees < 85; degrees += 7) {
                double angle = Math.toRadians(degrees);
                assertEquals(imaging.radius(angle) / Math.sin(angle), imaging.stretch(Math.cos(angle)), 1e-9);
            }
            assertEquals(1, imaging.stretch(1), 0);
        }
        assertTrue(drawn > 1000 && drawn < 3900, drawn + " of 4000 drawn");
    }
}
