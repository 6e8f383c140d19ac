package org.halfdusk.place.terrain;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.ByteBuffer;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Azimuth;
import org.halfdusk.place.ForegroundObject;
import org.halfdusk.place.Observer;
import org.halfdusk.place.Skyline;
import org.halfdusk.place.geodesy.LineOfSight;
import org.junit.jupiter.api.Test;

class HgtTileTest {
    /** A tile of n heights a side, each its row from the north times 100 plus its column; one without a height. */
    private static HgtTile tile(String name, int side) {
        ByteBuffer bytes = ByteBuffer.allocate(2 * side * side);
        for (int row = 0; row < side; row++) {
            for (int column = 0; column < side; column++) {
                bytes.putShort((short) (row == 2 && column == 2 ? -32768 : 100 * row + column));
            }
        }
        return HgtTile.of(name, bytes.flip());
    }

    @Test
    void cornersEdgesAndBetween() {
        HgtTile t = tile("S01W002.hgt", 11);
        assertEquals(0, t.at(0, -2));
        assertEquals(1000, t.at(-1, -2), 1e-9);
        assertEquals(1010, t.at(-1, -1), 1e-9);
        assertEquals(155, t.at(-0.15, -1.5), 1e-9);
        assertTrue(Double.isNaN(t.at(-0.2, -1.8)), "nothing is known there");
        assertTrue(Double.isNaN(t.at(0.01, -2)));
        assertEquals(0.1, t.stepDegrees(-0.5, -1.5), 1e-12);
        assertTrue(Double.isNaN(t.stepDegrees(3, 3)));
    }

    @Test
    void namesAndSizesThatAreNone() {
        assertTrue(HgtTile.named("n35w004.HGT"));
        assertTrue(HgtTile.named("N35E139.SRTMGL1.hgt"));
        assertTrue(said("N10E010.hgt", 77).contains("77 bytes"), said("N10E010.hgt", 77));
        assertTrue(said("heights.hgt", 242).contains("“heights.hgt”"), said("heights.hgt", 242));
        assertTrue(said("N91E010.hgt", 242).contains("outside"), said("N91E010.hgt", 242));
    }

    private static String said(String name, int size) {
        return String.valueOf(
                assertThrows(IllegalArgumentException.class, () -> HgtTile.of(name, ByteBuffer.allocate(size)))
                        .getMessage());
    }

    @Test
    void theFirstThatKnowsCounts() {
        HgtTile coarse = tile("S01W002.hgt", 11);
        ElevationGrid fine = new ElevationGrid(-1.85, -0.25, 0.05, new float[][] {{7, 7, 7}, {7, 7, 7}, {7, 7, 7}});
        HeightTiles both = new HeightTiles(List.of(fine, coarse));
        assertEquals(7, both.at(-0.2, -1.8), 1e-6);
        assertEquals(coarse.at(-0.5, -1.5), both.at(-0.5, -1.5));
        assertEquals(0.05, both.stepDegrees(-0.2, -1.8));
        assertTrue(Double.isNaN(new HeightTiles(List.of()).at(0, 0)));
    }

    /** A needle one height wide, 20 km off: met by a ray, wherever it stands between two points of the skyline. */
    @Test
    void aNeedleFarOffIsMet() {
        double cell = 1.0 / 1200;
        for (int shift = 0; shift < 7; shift++) {
            float[][] metres = new float[301][301];
            int row = 150 + 13 * shift;
            metres[row][290] = 900;
            ElevationGrid grid = new ElevationGrid(0, 0, cell, metres);
            Observer from = Observer.of(150 * cell, 50 * cell, 0);
            Skyline s = Relief.skyline(grid, from);
            double bearing = from.bearingDegrees(row * cell, 290 * cell);
            double km = from.distanceKm(row * cell, 290 * cell);
            double top = LineOfSight.altitudeDegrees(900 - 1.5, km * 1000);
            double seen = Math.max(s.at(bearing), Math.max(s.at(bearing - 0.25), s.at(bearing + 0.25)));
            assertTrue(seen > 0.93 * top, shift + ": " + seen + " of " + top);
        }
    }

    @Test
    void aRidgeHidesWhatIsLower() {
        float[][] metres = new float[101][201];
        for (float[] row : metres) {
            row[120] = 80;
        }
        ElevationGrid grid = new ElevationGrid(0, 0, 0.001, metres);
        Observer from = Observer.of(0.05, 0.1, 0);
        ForegroundObject low = new ForegroundObject("Chapel", 10, 5, Azimuth.ofDegrees(90), 5000, 0);
        ForegroundObject high = new ForegroundObject("Mast", 400, 5, Azimuth.ofDegrees(90), 5000, 0);
        Relief.Hidden hidden = Relief.hides(grid, from, low).orElseThrow();
        assertEquals(2224, hidden.distanceMetres(), 60);
        assertEquals(2.0 - low.topDegrees(), hidden.overDegrees(), 0.1);
        assertEquals(Optional.empty(), Relief.hides(grid, from, high));
        assertEquals(Optional.empty(), Relief.hides(new HeightTiles(List.of()), from, low));
    }
}
