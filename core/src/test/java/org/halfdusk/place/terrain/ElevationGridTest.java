package org.halfdusk.place.terrain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Against the field's worked height of the curved earth's fall: 10 km away 6.8 m with usual refraction. */
@Tag("slow")
class ElevationGridTest {
    private static final double CELL = 0.001;

    /** A plain at sea level about 0° N, 0° E, with a wall of a height 10 km east of the middle. */
    private static ElevationGrid wall(float height) {
        float[][] metres = new float[201][401];
        int column = 200 + (int) Math.round(10 / (CELL * 111.195));
        for (float[] row : metres) {
            row[column] = height;
        }
        return new ElevationGrid(-0.2, -0.1, CELL, metres);
    }

    @Test
    void betweenCentres() {
        ElevationGrid grid = new ElevationGrid(10, 50, 1, new float[][] {{0, 10}, {20, 30}});
        assertEquals(15, grid.at(50.5, 10.5), 1e-6);
        assertEquals(5, grid.at(50, 10.5), 1e-6);
        assertTrue(Double.isNaN(grid.at(49.9, 10.5)));
        assertTrue(Double.isNaN(grid.at(50.5, 11.01)));
    }

    @Test
    void aWallStandsAsHighAsItsAngleLessTheFallOfTheEarth() {
        Skyline s = wall(200).skyline(Observer.of(0, 0, 0));
        double expected = Math.toDegrees(Math.atan((200 - 1.5 - 6.8) / 10_000));
        // Ridge one cell wide, met by steps of half a cell: a few per cent.
        assertEquals(expected, s.at(90), 0.04);
        assertTrue(s.at(270) < 0.05, "the other side is the sea: " + s.at(270));
    }

    @Test
    void aHighPlaceLooksDownOnTheSeasHorizon() {
        // Dip of the sea horizon, 1.76 arcmin by the root of the height in metres: 100 m → 17.6′ and refraction's
        // share.
        Skyline s = new ElevationGrid(-0.2, -0.1, CELL, new float[201][401]).skyline(Observer.of(0, 0, 98.5));
        assertEquals(-17.6 / 60, s.at(0), 0.03);
    }

    @Test
    void aPlaceOutsideIsRefused() {
        IllegalArgumentException e =
                assertThrows(IllegalArgumentException.class, () -> wall(10).skyline(Observer.of(40, 0, 0)));
        assertTrue(String.valueOf(e.getMessage()).contains("does not hold this place"));
    }

    /** A strait without heights between the eye and a ridge of 900 m 10 km away: before it, −0.08° was read for 5.1°. */
    @Test
    void landBeyondAStraitCounts() {
        ElevationGrid grid = wall(900);
        for (float[] row : grid.metres()) {
            for (int column = 220; column < 260; column++) {
                row[column] = Float.NaN;
            }
        }
        double expected = Math.toDegrees(Math.atan((900 - 1.5 - 6.8) / 10_000));
        assertEquals(expected, grid.skyline(Observer.of(0, 0, 0)).at(90), 0.2);
    }

    /** A peak two cells wide, 15 km away, is 0.8° across; rays a degree apart met it or not as it happened to lie. */
    @Test
    void noNarrowPeakIsMissed() {
        int zero = 20;
        for (int shift = 0; shift < 20; shift++) {
            float[][] metres = new float[61][181];
            int column = zero + (int) Math.round(15 / (CELL * 111.195));
            int row = zero + shift;
            metres[row][column] = 600;
            metres[row][column + 1] = 600;
            metres[row + 1][column] = 600;
            metres[row + 1][column + 1] = 600;
            Skyline s = new ElevationGrid(-zero * CELL, -zero * CELL, CELL, metres).skyline(Observer.of(0, 0, 0));
            double azimuth = 90 - Math.toDegrees(Math.atan2((shift + 0.5) * CELL, (column - zero + 0.5) * CELL));
            double top = Math.toDegrees(Math.atan((600 - 1.5 - 15.4) / Math.hypot(15_000, shift * 111)));
            assertEquals(top, s.at(azimuth), 0.25, "shifted by " + shift);
        }
    }
}
