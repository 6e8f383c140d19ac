package org.halfdusk.optics;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Optional;
import org.halfdusk.angle.Altitude;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.optics.framing.Framing;
import org.halfdusk.optics.kit.Converter;
import org.halfdusk.photometry.FNumber;
import org.halfdusk.sky.HorizontalPosition;
import org.junit.jupiter.api.Test;

class OpticsTest {
    private static final Sensor FULL_FRAME = new Sensor(36, 24, 7030, 4687);
    private static final Camera CAMERA = new Camera(
            "full frame",
            FULL_FRAME,
            Camera.Sensitivity.of(100, 25600),
            Camera.Shutter.of(1 / 8000.0, 30, true),
            new Camera.Files(35, 10, 30, 100),
            Camera.Power.of(400, 150));
    private static final Lens PRIME = new Lens("18 mm f/2", 18, 18, 2, 2, 16, 2.8);
    private static final Lens TELE = new Lens("100–400 mm f/4.5–5.6", 100, 400, 4.5, 5.6, 32, 8);

    @Test
    void figuresOfTheWorkedRig() {
        Rig rig = Rig.of(CAMERA, PRIME, Optional.empty(), 18);
        assertEquals(1, FULL_FRAME.cropFactor(), 1e-9);
        assertEquals(5.12, FULL_FRAME.pixelPitchMicrometres(), 0.005);
        assertEquals(90, rig.longFieldDegrees(), 1e-9);
        assertEquals(67.4, rig.shortFieldDegrees(), 0.05);
        assertEquals(5.42, rig.hyperfocalMetres(FNumber.of(2)), 0.005);
    }

    @Test
    void aConverterMultipliesAndCosts() {
        Rig rig = Rig.of(CAMERA, TELE, Optional.of(new Converter("1.4×", 1.4)), 400);
        assertEquals(560, rig.focalMm(), 1e-9);
        assertEquals(5.6 * 1.4, rig.widestAperture().value(), 1e-9);
        assertEquals(0.97, new Converter("1.4×", 1.4).stops(), 0.005);
        assertEquals(2, new Converter("2×", 2).stops(), 1e-9);
    }

    @Test
    void aZoomClosesTowardsItsLongEnd() {
        assertEquals(4.5, TELE.widestAt(100));
        assertEquals(5.6, TELE.widestAt(400));
        assertTrue(TELE.widestAt(250) > 4.5 && TELE.widestAt(250) < 5.6);
    }

    @Test
    void aWishedFocalLengthIsBroughtIntoTheLens() {
        assertEquals(400, Rig.of(CAMERA, TELE, Optional.empty(), 900).focalMm());
        assertThrows(IllegalArgumentException.class, () -> new Rig(CAMERA, TELE, Optional.empty(), 900));
    }

    @Test
    void uprightFrameHoldsTheBodyAThirdUp() {
        Rig rig = Rig.of(CAMERA, PRIME, Optional.empty(), 18);
        HorizontalPosition core = new HorizontalPosition(Altitude.ofDegrees(25), Azimuth.ofDegrees(180), 1);
        Framing f = Framing.uprightWithBodyAThirdUp(core, rig);
        double below = Math.tan(Math.toRadians(f.altitude().degrees() - 25)) / Math.tan(Math.toRadians(45));
        assertEquals(1 / 3.0, below, 1e-9);
        assertTrue(f.upright());
    }

    @Test
    void declinationOfAFrame() {
        Framing south = new Framing(Azimuth.ofDegrees(180), Altitude.ofDegrees(30), 90);
        assertEquals(-24, south.declinationDegrees(36), 1e-9);
        Framing pole = new Framing(Azimuth.ofDegrees(0), Altitude.ofDegrees(36), 0);
        assertEquals(90, pole.declinationDegrees(36), 1e-5);
    }

    @Test
    void impossibleKitIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> new Sensor(24, 36, 4000, 6000));
        assertThrows(IllegalArgumentException.class, () -> new Sensor(36, 24, 6000, 6000));
        assertThrows(IllegalArgumentException.class, () -> new Lens("x", 50, 24, 2, 2, 16, 4));
        assertThrows(IllegalArgumentException.class, () -> new Lens("x", 24, 50, 2, 2, 16, 1));
        assertThrows(IllegalArgumentException.class, () -> new Converter("x", Double.NaN));
    }
}
