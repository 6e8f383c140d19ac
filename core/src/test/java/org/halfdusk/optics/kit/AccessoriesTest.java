package org.halfdusk.optics.kit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.OptionalDouble;
import java.util.Set;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.IntervalTimer;
import org.halfdusk.optics.ReadNoise;
import org.halfdusk.optics.Sensor;
import org.junit.jupiter.api.Test;

class AccessoriesTest {
    /** A density of 0.3 is a stop, of 5.0 16.6 stops. */
    @Test
    void densityIsStops() {
        assertEquals(1, new Filter("weak", Filter.Use.NEUTRAL, 0.30103).stops(), 1e-6);
        assertEquals(16.6, new Filter("solar", Filter.Use.SOLAR, 5).stops(), 0.05);
    }

    @Test
    void aWeakFilterIsNoneForTheSun() {
        IllegalArgumentException e =
                assertThrows(IllegalArgumentException.class, () -> new Filter("dark glass", Filter.Use.SOLAR, 3));
        assertTrue(String.valueOf(e.getMessage()).contains("too little for the sun"));
    }

    /** At most 15.041″/s × sin(misalignment): a degree off drifts 0.2625″ a second. */
    @Test
    void aMountDriftsWithItsAlignment() {
        assertEquals(0.2625, new Support("mount", Set.of(Support.Rate.SIDEREAL), 60).driftArcsec(), 1e-4);
        assertTrue(new Support("mount", Set.of(Support.Rate.LUNAR), 0).tracks());
        assertFalse(new Support("tripod", Set.of(), 0).tracks());
    }

    @Test
    void aFilmHasOneIso() {
        Sensor scan = new Sensor(36, 24, 6000, 4000);
        Camera film = new Camera(
                "film",
                scan,
                new Camera.Sensitivity(400, 400, OptionalDouble.of(1.3), ReadNoise.STEADY),
                new Camera.Shutter(0.002, 1, true, true, 0, IntervalTimer.USUAL),
                new Camera.Files(0, 0, 36, 1),
                new Camera.Power(1000, 10_000, 0, 0));
        assertTrue(film.film());
        assertThrows(
                IllegalArgumentException.class,
                () -> new Camera(
                        "film",
                        scan,
                        new Camera.Sensitivity(100, 400, OptionalDouble.of(1.3), ReadNoise.STEADY),
                        new Camera.Shutter(0.002, 1, true, true, 0, IntervalTimer.USUAL),
                        new Camera.Files(0, 0, 36, 1),
                        new Camera.Power(1000, 10_000, 0, 0)));
    }
}
