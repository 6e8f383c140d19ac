package org.halfdusk.optics.framing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.Sensor;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FrameWedgeTest {
    private static final Sensor FULL = new Sensor(36, 24, 7008, 4672);

    private static FrameWedge wedge(double azimuth, double altitude, double roll, double focal) {
        Framing aim = new Framing(Azimuth.ofDegrees(azimuth), Altitude.ofDegrees(altitude), roll);
        return FrameWedge.of(new Projection(aim, focal), FULL);
    }

    /** Level: half the width over the focal length; aimed up or down by h it holds less of the horizon, tan = 18 cos h / f. */
    @ParameterizedTest
    @CsvSource({"180, 0, 18, 45", "180, 20, 18, 43.219", "10, 0, 50, 19.7989", "350, -10, 35, 26.862"})
    void levelFrames(double azimuth, double altitude, double focal, double half) {
        FrameWedge w = wedge(azimuth, altitude, 0, focal);
        assertTrue(w.horizon());
        assertEquals(2 * half, w.widthDegrees(), 0.5);
        assertEquals((azimuth - half + 360) % 360, w.left(), 0.3);
        assertEquals((azimuth + half) % 360, w.right(), 0.3);
    }

    @Test
    void uprightHoldsLess() {
        assertEquals(
                2 * Math.toDegrees(Math.atan(12 / 18.0)), wedge(180, 0, 90, 18).widthDegrees(), 0.5);
    }

    @Test
    void overTheHorizonTheLowerCornersCount() {
        FrameWedge w = wedge(90, 60, 0, 50);
        assertFalse(w.horizon());
        assertEquals(90, (w.left() + w.right()) / 2, 1e-6);
        assertTrue(w.widthDegrees() > 40 && w.widthDegrees() < 90, () -> "" + w);
    }
}
