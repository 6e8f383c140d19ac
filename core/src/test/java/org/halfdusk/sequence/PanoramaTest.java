package org.halfdusk.sequence;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.halfdusk.optics.Camera;
import org.halfdusk.optics.Lens;
import org.halfdusk.optics.Rig;
import org.halfdusk.optics.Sensor;
import org.junit.jupiter.api.Test;

/** Tiles against the field's worked example, and that they meet. */
class PanoramaTest {
    private static Rig rig(double focal) {
        Camera camera = new Camera(
                "full frame",
                new Sensor(36, 24, 7000, 4667),
                Camera.Sensitivity.of(100, 25600),
                Camera.Shutter.of(1 / 8000.0, 30, true),
                new Camera.Files(30, 10, 40, 160),
                Camera.Power.of(500, 180));
        return Rig.of(camera, new Lens("lens", focal, focal, 2, 2, 16, 4), Optional.empty(), focal);
    }

    /** 18 mm upright, aimed 30° up with 30 % overlap: the step is 36° and 180° takes five tiles and two spares. */
    @Test
    void theWorkedExample() {
        Panorama p = Panorama.of(new Panorama.Wish(90, 180, 0.3, 1, 1), rig(18), true, 30);
        assertEquals(36, p.stepDegrees(), 0.5);
        assertEquals(7, p.tiles().size());
        assertEquals(2, p.tiles().stream().filter(Panorama.Tile::spare).count());
        assertEquals(180, p.tiles().get(3).azimuthDegrees(), 1e-9);
        assertEquals(7 * 10 + 6 * 5, p.seconds(10, 5), 1e-9);
    }

    @Test
    void aFullRoundIsDividedEvenlyWithoutSpares() {
        Panorama p = Panorama.of(new Panorama.Wish(10, 360, 0.3, 2, 2), rig(24), false, 10);
        List<Panorama.Tile> lowest =
                p.tiles().stream().filter(t -> t.row() == 0).toList();
        double step = 360.0 / lowest.size();
        assertTrue(step <= p.stepDegrees() + 1e-9);
        assertTrue(p.tiles().stream().noneMatch(Panorama.Tile::spare));
        assertEquals(10 + step, lowest.get(1).azimuthDegrees(), 1e-9);
    }

    @Test
    void tooManyTilesAreRefused() {
        assertThrows(
                IllegalArgumentException.class,
                () -> Panorama.of(new Panorama.Wish(0, 360, 0.5, 5, 0), rig(400), false, 20));
    }

    /** Neighbours overlap, the span is covered, and one tile fewer would not do. */
    @Property
    void theSpanIsCoveredByAsFewAsDo(
            @ForAll @DoubleRange(min = 10, max = 350) double span,
            @ForAll @DoubleRange(min = 0.2, max = 0.6) double overlap,
            @ForAll @DoubleRange(min = 0, max = 60) double altitude,
            @ForAll @IntRange(min = 14, max = 50) int focal) {
        Panorama p = Panorama.of(new Panorama.Wish(0, span, overlap, 1, 0), rig(focal), true, altitude);
        double covers = p.stepDegrees() / (1 - overlap);
        int n = p.tiles().size();
        assertTrue((n - 1) * p.stepDegrees() + covers >= span - 1e-6);
        assertTrue(n == 1 || (n - 2) * p.stepDegrees() + covers < span + 1e-6);
    }

    /** A head's scale goes to the right and round. */
    @Test
    void tilesAreTurnedToByTheScale() {
        Panorama.Tile north = new Panorama.Tile(0, 350, 20, false);
        Panorama.Tile east = new Panorama.Tile(0, 80, 20, false);
        assertEquals(90, north.turnTo(east), 1e-9);
        assertEquals(270, east.turnTo(north), 1e-9);
        assertEquals(0, east.turnTo(east), 1e-9);
    }

    /** A hundred degrees about where the camera looks, from a whole degree, a spare at each end. */
    @Test
    void usualWishes() {
        Panorama.Wish about = Panorama.Wish.about(180.3);
        assertEquals(new Panorama.Wish(130, 100, 0.3, 1, 1), about);
        assertEquals(330, Panorama.Wish.about(20).fromAzimuth(), 1e-9);
        assertEquals(new Panorama.Wish(20, 180, 0.3, 1, 1), Panorama.Wish.from(20, 180));
        assertEquals(30, about.overlapPercent(), 1e-9);
        assertEquals(33.3, new Panorama.Wish(0, 90, 0.3333, 1, 0).overlapPercent(), 1e-9);
    }
}
