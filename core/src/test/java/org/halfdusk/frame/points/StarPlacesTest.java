package org.halfdusk.frame.points;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.halfdusk.frame.Canvas;
import org.halfdusk.frame.tones.Mesh;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Stars painted where they are known to stand, and found there. */
class StarPlacesTest {
    private static final int W = 480;
    private static final int H = 320;
    private static final int APART = 40;
    private static final List<double[]> WHERE = where();

    /** Stars in rows, each a little brighter than the one before and off its pixel's middle by another share. */
    private static Canvas painted(double major, double minor, double degrees) {
        Canvas c = new Canvas(W, H, 0.03);
        for (int n = 0; n < WHERE.size(); n++) {
            c.star(WHERE.get(n)[0], WHERE.get(n)[1], 1.5 + 0.02 * n, major, minor, degrees);
        }
        return c.noisy(0.002, 5);
    }

    private static List<double[]> where() {
        List<double[]> all = new ArrayList<>();
        for (int y = APART; y < H - 20; y += APART) {
            for (int x = APART; x < W - 20; x += APART) {
                int n = all.size();
                all.add(new double[] {x + n % 7 / 7.0, y + n % 5 / 5.0});
            }
        }
        return all;
    }

    @ParameterizedTest
    @CsvSource({"1.3, 1.3, 0", "2.6, 1.3, 30", "4.0, 1.2, 110"})
    void placesAndWidthsAreThoseThatWerePainted(double major, double minor, double degrees) {
        StarPlaces stars = StarPlaces.of(painted(major, minor, degrees));
        assertEquals(WHERE.size(), stars.stars().size());
        assertEquals(minor * StarFits.WIDTH, stars.fwhmPx(), 0.05 * minor * StarFits.WIDTH);
        double before = Double.POSITIVE_INFINITY;
        for (StarPlaces.Place p : stars.stars()) {
            double off = WHERE.stream()
                    .mapToDouble(w -> Math.hypot(w[0] - p.x(), w[1] - p.y()))
                    .min()
                    .orElseThrow();
            assertTrue(off < 0.12, () -> p + " is off by " + off + " px");
            assertTrue(p.light() <= before, "the brightest first");
            before = p.light();
        }
    }

    /** Widths of a frame with too few stars are not known, what it shows is. */
    @Test
    void oneStarIsAPlaceWithoutAWidth() {
        Canvas c = new Canvas(W, H, 0.03);
        c.star(200.4, 100.7, 3, 1.3, 1.3, 0);
        StarPlaces stars = StarPlaces.of(c.noisy(0.002, 6));
        assertEquals(1, stars.stars().size());
        assertEquals(200.4, stars.stars().get(0).x(), 0.1);
        assertEquals(Double.NaN, stars.fwhmPx());
    }

    /** Where nothing moved no segment is fitted: what was drawn is told from the bells. */
    @Test
    void roundStarsHaveDrawnNothing() {
        Canvas c = painted(1.3, 1.3, 0);
        Mesh mesh = Mesh.of(c);
        StarField field = StarField.of(c, mesh, Spots.of(c, mesh).spots());
        List<FieldCell> cells = field.cells();
        assertTrue(cells.stream().allMatch(FieldCell::known));
        assertTrue(cells.stream().noneMatch(FieldCell::trailed));
        assertTrue(field.all().trailPx() < 1, "drawn " + field.all().trailPx());
    }
}
