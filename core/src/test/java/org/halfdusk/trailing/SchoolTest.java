package org.halfdusk.trailing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.halfdusk.exposure.SharpTime;
import org.halfdusk.exposure.ShutterTime;
import org.halfdusk.photometry.FNumber;
import org.junit.jupiter.api.Test;

/** The schools' published examples: 18 mm f/2 on 36 × 24 mm with 5.12 µm pixels at δ 0. */
class SchoolTest {
    private static final List<ShutterTime> DIAL = ShutterTime.dial();

    private static School.Setup setup(double focalMm, double fNumber, double declination, double crop) {
        return new School.Setup(
                new StarTrails.AllRolls(new Trailing(focalMm, 5.12, declination), 43.27 / crop),
                focalMm,
                5.12,
                FNumber.of(fNumber),
                crop,
                2.6);
    }

    @Test
    void dividing500() {
        assertEquals(27.8, School.DIVIDE_500_EQUIVALENT.seconds(setup(18, 2, 0, 1)), 0.05);
        assertEquals(14.3, School.DIVIDE_500_EQUIVALENT.seconds(setup(35, 2, 0, 1)), 0.05);
    }

    @Test
    void apertureAndPixel() {
        assertEquals(5.87, School.NPF_1.seconds(setup(18, 2, 0, 1)), 0.005);
        assertEquals(11.75, School.NPF_2.seconds(setup(18, 2, 0, 1)), 0.005);
        assertEquals(3 * 5.873, School.NPF_3.seconds(setup(18, 2, 0, 1)), 0.005);
    }

    @Test
    void dividingBySensorUsesTheTrueFocalLength() {
        assertEquals(500.0 / 18, School.DIVIDE_BY_SENSOR.seconds(setup(18, 2, 0, 1)), 1e-9);
        assertEquals(300.0 / 18, School.DIVIDE_BY_SENSOR.seconds(setup(18, 2, 0, 1.52)), 1e-9);
        assertEquals(250.0 / 18, School.DIVIDE_BY_SENSOR.seconds(setup(18, 2, 0, 2)), 1e-9);
    }

    @Test
    void budgetRoundsDownToTheMarkAndStaysInside() {
        SharpTime t = SharpTime.of(School.PIXEL_BUDGET, setup(18, 2, -23, 1), DIAL);
        assertEquals(11.0, t.seconds(), 0.05);
        assertEquals("10 s", t.dial().label());
        assertTrue(t.middlePx() <= 2.6 * (1 + ShutterTime.FORGIVEN));
    }

    @Test
    void atThePoleTheAnswerIsFinite() {
        for (School s : School.values()) {
            assertTrue(s.seconds(setup(18, 2, 90, 1)) <= School.LONGEST_SECONDS);
        }
    }
}
