package org.halfdusk.frame.stack.matched;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.frame.points.StarPlaces;
import org.halfdusk.frame.stack.Heaven;
import org.halfdusk.frame.stack.held.Held;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Frames matched by their stars, held against the turn that they were painted with. */
@Tag("slow")
class AlignmentTest {
    private static final int W = 640;
    private static final int H = 420;

    private static List<StarPlaces> places(Heaven heaven, double apart, int frames) {
        List<StarPlaces> all = new ArrayList<>();
        for (int i = 0; i < frames; i++) {
            all.add(StarPlaces.of(heaven.frame(i * apart, i * apart, 0.02, 0.002, i)));
        }
        return all;
    }

    private static double worst(Alignment a, Heaven heaven, double apart, int frames) {
        double worst = 0;
        double[] at = new double[2];
        for (int i = 0; i < frames; i++) {
            Registration r = a.frames().get(i).orElseThrow().to();
            for (double x = 60; x < W; x += 104) {
                for (double y = 60; y < H; y += 75) {
                    double[] truth = heaven.later(x, y, (i - a.reference()) * apart);
                    boolean inside = truth[0] > 30 && truth[1] > 30 && truth[0] < W - 30 && truth[1] < H - 30;
                    if (inside && r.place(x, y, at)) {
                        worst = Math.max(worst, Math.hypot(at[0] - truth[0], at[1] - truth[1]));
                    }
                }
            }
        }
        return worst;
    }

    /** A wide lens on a tripod: the sky turns by 12° and every corner moves otherwise; no plain shift would do. */
    @Test
    void aWideLensThatStandsStill() {
        Projection lens = new Projection(false, 350, 0, W, H);
        Heaven heaven = new Heaven(lens, new Vector(0.1, 0.5, 0.8), 260, 1);
        Alignment a = Alignment.of(places(heaven, 720, 5), 350, false);
        assertEquals(2, a.reference(), "the middle one");
        assertTrue(worst(a, heaven, 720, 5) < 0.3, () -> "off by " + worst(a, heaven, 720, 5) + " px");
    }

    /** The file says another focal length than the lens has; and the lens bends lines, which shows once stars have moved far. */
    @Test
    void aLensThatIsKnownRoughly() {
        Projection lens = new Projection(false, 350, -0.06, W, H);
        Heaven heaven = new Heaven(lens, new Vector(0.9, 0.3, 0.1), 300, 2);
        Alignment a = Alignment.of(places(heaven, 480, 4), 360, false);
        assertTrue(a.frames().stream().allMatch(Optional::isPresent));
        double k1 = a.frames().get(0).orElseThrow().to().lens().k1();
        assertEquals(-0.06, k1, 0.03);
        assertTrue(worst(a, heaven, 480, 4) < 0.3, () -> "off by " + worst(a, heaven, 480, 4) + " px");
    }

    /** The camera was taken off and put back turned by a right angle, as far as pairs of stars go. */
    @Test
    void aCameraThatWasTurned() {
        Projection lens = new Projection(false, 600, 0, W, H);
        Heaven heaven = new Heaven(lens, new Vector(0, 0, 1), 200, 3);
        double quarter = 86_164.09 / 4;
        Alignment a = Alignment.of(places(heaven, quarter, 2), 600, false);
        assertTrue(a.frames().stream().allMatch(Optional::isPresent));
        assertTrue(worst(a, heaven, quarter, 2) < 0.3);
    }

    /** Another part of the sky is not matched by force. */
    @Test
    void anotherSkyIsLeftOut() {
        Projection lens = new Projection(false, 600, 0, W, H);
        List<StarPlaces> all = new ArrayList<>(places(new Heaven(lens, new Vector(0, 0, 1), 200, 4), 10, 3));
        all.add(StarPlaces.of(new Heaven(lens, new Vector(0, 0, 1), 200, 5).frame(0, 0, 0.02, 0.002, 9)));
        all.add(StarPlaces.of(Held.black(W, H)));
        Alignment a = Alignment.of(all, 600, false);
        assertTrue(a.frames().get(0).isPresent() && a.frames().get(2).isPresent());
        assertEquals(Optional.empty(), a.frames().get(3));
        assertEquals(Optional.empty(), a.frames().get(4));
    }
}
