package org.halfdusk.frame.solved;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Stars by chance seen by a camera that stands in a known way: two of them tell how. */
class StancesTest {
    private static final double REACH = 6;
    private static final int STARS = 90;

    /** Rows right, up and forward: turned by 30° about the vertical, 25° up. */
    private static final double[] STANDING = {
        -0.5, Math.sqrt(0.75), 0, -0.36599815, -0.21130913, 0.90630779, 0.78488556, 0.45315389, 0.42261826
    };

    private static List<Vector> stars() {
        Random random = new Random(3);
        List<Vector> all = new ArrayList<>();
        while (all.size() < STARS) {
            Vector v =
                    new Vector(random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1, random.nextDouble() * 2 - 1);
            if (v.length() < 1 && v.length() > 0.1) {
                all.add(v.unit());
            }
        }
        return all;
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void twoStarsTellHowTheCameraStands(boolean fisheye) {
        Projection lens = new Projection(fisheye, 300, 0, 900, 600);
        List<double[]> found = new ArrayList<>();
        for (Vector star : stars()) {
            double[] at = new double[2];
            if (lens.project(STANDING, star, at) && lens.inside(at, 0)) {
                found.add(at);
            }
        }
        Stances stances = new Stances(lens, found.toArray(new double[0][]), REACH, stars());
        Vector one = lens.direction(found.get(0)[0], found.get(0)[1]);
        Vector other = lens.direction(found.get(3)[0], found.get(3)[1]);
        stances.compare(one, other);
        Stances.Stance best = stances.best().stream()
                .max(Comparator.comparingInt(Stances.Stance::matched))
                .orElseThrow();
        assertArrayEquals(STANDING, best.matrix(), 1e-6);
        assertEquals(found.size(), best.inside());
        assertEquals(found.size(), best.matched());
        assertTrue(best.likely());
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whereNothingWasFoundNothingIsKept(boolean fisheye) {
        Projection lens = new Projection(fisheye, 300, 0, 900, 600);
        Stances stances = new Stances(lens, new double[0][], REACH, stars());
        stances.compare(lens.direction(100, 100), lens.direction(700, 300));
        assertEquals(List.of(), stances.best());
    }
}
