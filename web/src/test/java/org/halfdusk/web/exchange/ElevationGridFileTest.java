package org.halfdusk.web.exchange;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.place.terrain.ElevationGrid;
import org.junit.jupiter.api.Test;

class ElevationGridFileTest {
    private static final String SMALL = """
            ncols 3
            nrows 2
            xllcorner 10
            yllcorner 50
            cellsize 0.5
            NODATA_value -9999
            1 2 -9999
            4 5 6
            """;

    private static String refused(String text) {
        return String.valueOf(assertThrows(IllegalArgumentException.class, () -> ElevationGridFile.read(text))
                .getMessage());
    }

    @Test
    void rowsComeFromTheNorthAndCornersAreHalfACellOut() {
        ElevationGrid grid = ElevationGridFile.read(SMALL);
        assertEquals(10.25, grid.west());
        assertEquals(50.25, grid.south());
        assertEquals(4, grid.at(50.25, 10.25), 1e-6);
        assertEquals(1.5, grid.at(50.7499999, 10.5), 1e-4);
        assertTrue(Double.isNaN(grid.at(50.6, 11.1)));
        assertTrue(ElevationGridFile.looksLikeOne(SMALL));
    }

    @Test
    void saysWhatIsWrong() {
        assertTrue(refused(SMALL.replace("4 5 6", "4 5")).contains("ends before"));
        assertTrue(refused(SMALL.replace("4 5 6", "4 five 6")).contains("“five”"));
        assertTrue(refused(SMALL.replace("cellsize 0.5", "cellsize 90")).contains("must be in degrees"));
        assertTrue(refused(SMALL.replace("nrows 2", "nrows 90000").replace("ncols 3", "ncols 90000"))
                .contains("8100000000 cells"));
        assertTrue(refused(SMALL.replace("xllcorner 10", "")).contains("no xllcorner"));
    }
}
