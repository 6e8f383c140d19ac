package org.halfdusk.place;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Gaps between hills. */
class SkylineGapsTest {
    private static Skyline.Point at(double azimuth, double altitude) {
        return new Skyline.Point(azimuth, altitude);
    }

    @Test
    void aGapIsAsDeepAsItsLowerFlank() {
        Skyline s = new Skyline(List.of(at(100, 0), at(150, 8), at(170, 2), at(185, 6), at(240, 0)));
        List<Skyline.Gap> gaps = s.gaps(1);
        assertEquals(1, gaps.stream().filter(g -> g.azimuthDegrees() == 170).count());
        Skyline.Gap gap =
                gaps.stream().filter(g -> g.azimuthDegrees() == 170).findFirst().orElseThrow();
        assertEquals(4, gap.depthDegrees(), 0.3);
        assertEquals(14, gap.widthDegrees(), 2, "from 163.3 to 177.5 at half of its depth");
    }

    @Test
    void aFlatHorizonHasNone() {
        assertEquals(List.of(), Skyline.FLAT.gaps(0.1));
        assertTrue(new Skyline(List.of(at(0, 3), at(180, 3))).gaps(0.5).isEmpty());
    }

    /** A gap is something to stand in: its floor is where the skyline is lowest. */
    @Test
    void aGapCanBeStoodIn() {
        ForegroundObject gap = ForegroundObject.in(new Skyline.Gap(170, 2, 4, 14), "the gap", 5000);
        assertEquals(170, gap.azimuth().degrees(), 1e-9);
        assertEquals(2, gap.topDegrees(), 0.01);
        assertEquals(14, gap.widthDegrees(), 0.1);
        assertEquals(
                -1,
                ForegroundObject.in(new Skyline.Gap(10, -1, 2, 120), "sea", 5000)
                        .topDegrees(),
                0.01);
    }
}
