package org.halfdusk.frame;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.halfdusk.frame.FrameFault.What;
import org.halfdusk.frame.FrameReading.Kind;
import org.halfdusk.frame.picture.Exposed;
import org.halfdusk.frame.points.StarFits;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Frames that are painted with what is known, and read back. */
@Tag("slow")
class FrameReadingTest {
    private static final int WIDTH = 900;
    private static final int HEIGHT = 600;
    private static final double SKY = 0.03;
    private static final double NOISE = 0.002;
    private static final int STARS = 450;

    private interface Painter {
        void star(Canvas c, double x, double y, double sum);
    }

    private static Canvas painted(Painter painter, long seed) {
        Canvas c = new Canvas(WIDTH, HEIGHT, SKY);
        Random random = new Random(seed);
        for (int i = 0; i < STARS; i++) {
            double sum = 0.12 * Math.pow(random.nextDouble(), -1 / 1.1);
            painter.star(c, random.nextDouble() * WIDTH, random.nextDouble() * HEIGHT, Math.min(sum, 4));
        }
        return c;
    }

    private static FrameReading read(Canvas c) {
        return FrameReading.of(c.noisy(NOISE, 11), Exposed.UNKNOWN);
    }

    private static List<What> likely(FrameReading r) {
        return r.faults().stream()
                .filter(FrameFault::likely)
                .map(FrameFault::what)
                .toList();
    }

    @ParameterizedTest
    @CsvSource({"1.0, 1.0, 0", "0.9, 0.9, 0", "1.4, 1.0, 30", "1.5, 1.0, 120", "1.3, 0.9, 0"})
    void shapesAreReadBack(double major, double minor, double degrees) {
        FrameReading r = read(painted((c, x, y, sum) -> c.star(x, y, sum, major, minor, degrees), 3));
        assertEquals(Kind.STARS, r.kind());
        assertEquals(SKY, r.background(), 0.0006);
        assertEquals(Math.sqrt(major * minor) * StarFits.WIDTH, r.all().fwhmPx(), 0.06 * major * 2.35);
        assertEquals(major / minor, r.all().elongation(), 0.06 * major / minor);
        if (major / minor > 1.2) {
            double off = Math.abs((r.all().directionDegrees() - degrees + 270) % 180 - 90);
            assertTrue(off < 4, "direction " + r.all().directionDegrees());
        }
        assertTrue(r.stars() > 0.6 * STARS, "found " + r.stars());
    }

    @ParameterizedTest
    @CsvSource({"2.5, 35", "5, 100", "8, 150"})
    void trailsAreReadBack(double length, double degrees) {
        FrameReading r = read(painted((c, x, y, sum) -> c.trail(x, y, 2 * sum, 0.95, length, degrees), 4));
        assertEquals(length, r.all().trailPx(), Math.max(0.25, 0.05 * length));
        double off = Math.abs((r.all().directionDegrees() - degrees + 270) % 180 - 90);
        assertTrue(off < 4, "direction " + r.all().directionDegrees());
    }

    /** The same length is the sky's turning where the shutter was open so long, and a shake where it was not. */
    @Test
    void moreThanTheSkyTurnsIsAShake() {
        Canvas c = painted((p, x, y, sum) -> p.trail(x, y, 2 * sum, 0.95, 6, 20), 5)
                .noisy(NOISE, 2);
        OptionalDouble focal = OptionalDouble.of(24);
        OptionalDouble pitch = OptionalDouble.of(40);
        Exposed longEnough = new Exposed(OptionalDouble.of(140), focal, pitch);
        Exposed tooShort = new Exposed(OptionalDouble.of(10), focal, pitch);
        assertEquals(List.of(What.TRAILED), likely(FrameReading.of(c, longEnough)));
        assertEquals(List.of(What.SHAKE), likely(FrameReading.of(c, tooShort)));
    }

    @Test
    void aGoodFrameIsNotCalledSpoilt() {
        assertEquals(List.of(), likely(read(painted((c, x, y, sum) -> c.star(x, y, sum, 1, 1, 0), 6))));
    }

    @Test
    void softAllOverOrOnOneSide() {
        assertEquals(
                List.of(What.DEFOCUS), likely(read(painted((c, x, y, sum) -> c.star(x, y, 5 * sum, 2.6, 2.6, 0), 7))));
        FrameReading tilted = read(painted(
                (c, x, y, sum) -> {
                    double sigma = 1 + 1.7 * Math.max(0, x / WIDTH - 0.2);
                    c.star(x, y, 3 * sum, sigma, sigma, 0);
                },
                8));
        assertEquals(List.of(What.TILT), likely(tilted));
        assertEquals("right", tilted.faults().get(0).where());
    }

    @Test
    void cornersDrawnOutwardAreComa() {
        FrameReading r = read(painted(
                (c, x, y, sum) -> {
                    double dx = x - WIDTH / 2.0;
                    double dy = HEIGHT / 2.0 - y;
                    double q = Math.hypot(dx, dy) / Math.hypot(WIDTH / 2.0, HEIGHT / 2.0);
                    c.star(x, y, 2 * sum, 1 + 0.9 * q * q, 1, Math.toDegrees(Math.atan2(dy, dx)));
                },
                9));
        assertEquals(List.of(What.COMA), likely(r));
    }

    @Test
    void linesDashedAndWhole() {
        Canvas plane = painted((c, x, y, sum) -> c.star(x, y, sum, 1, 1, 0), 10);
        for (double t = 0; t < 950; t += 0.5) {
            if (t % 70 < 40) {
                plane.star(10 + t * 0.93, 520 - t * 0.36, 0.5, 1.5, 1.5, 0);
            }
        }
        assertEquals(List.of(What.AIRCRAFT), likely(read(plane)));
        Canvas satellite = painted((c, x, y, sum) -> c.star(x, y, sum, 1, 1, 0), 10);
        for (double t = 0; t < 1000; t += 0.5) {
            satellite.star(10 + t * 0.85, 20 + t * 0.53, 0.013, 1, 1, 0);
        }
        assertEquals(List.of(What.SATELLITE), likely(read(satellite)));
    }

    @Test
    void darkClippedAndHot() {
        Canvas dark = new Canvas(WIDTH, HEIGHT, 0.0004);
        Random random = new Random(3);
        for (int i = 0; i < 80; i++) {
            dark.add(
                    20 + random.nextInt(WIDTH - 40),
                    20 + random.nextInt(HEIGHT - 40),
                    0.05 + 0.3 * random.nextDouble());
        }
        FrameReading cap = FrameReading.of(dark.noisy(0.0004, 1), Exposed.UNKNOWN);
        assertEquals(Kind.DARK_FRAME, cap.kind());
        assertTrue(likely(cap).contains(What.HOT_PIXELS));

        Canvas town = painted((c, x, y, sum) -> c.star(x, y, sum, 1, 1, 0), 12);
        for (int y = HEIGHT - 200; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                town.add(x, y, 2 * Math.exp((y - HEIGHT) / 60.0));
            }
        }
        FrameReading r = read(town);
        assertEquals(List.of(What.CLIPPED), likely(r));
        assertEquals("bottom", r.faults().get(0).where());
        assertTrue(r.tones().clipped() > 0.04);
    }

    @Test
    void theMoonIsADisc() {
        Canvas c = new Canvas(WIDTH, HEIGHT, 0.0004);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                c.add(x, y, Math.hypot(x - 420, y - 260) < 70 ? 0.45 : 0);
            }
        }
        FrameReading r = FrameReading.of(c.noisy(0.0008, 2), Exposed.UNKNOWN);
        assertEquals(Kind.MOON, r.kind());
        assertEquals(List.of(), likely(r));
    }

    /** Nothing, one colour, and the smallest that is taken: read without a fault, and no star is seen where there is none. */
    @Test
    void emptyFrames() {
        for (double sky : new double[] {0, 0.03, 1}) {
            FrameReading r = FrameReading.of(new Canvas(48, 48, sky), Exposed.UNKNOWN);
            assertEquals(0, r.stars());
            assertTrue(
                    r.kind() == Kind.NOTHING || r.kind() == Kind.MOON, r.kind().toString());
        }
    }
}
