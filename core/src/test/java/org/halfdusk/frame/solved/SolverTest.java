package org.halfdusk.frame.solved;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.halfdusk.angle.Apparent;
import org.halfdusk.angle.Vector;
import org.halfdusk.frame.Canvas;
import org.halfdusk.frame.FrameReading;
import org.halfdusk.frame.picture.Exposed;
import org.halfdusk.frame.picture.Projection;
import org.halfdusk.light.sources.Extinction;
import org.halfdusk.place.Observer;
import org.halfdusk.reference.ReferenceTable;
import org.halfdusk.sky.Refraction;
import org.halfdusk.sky.Sky;
import org.halfdusk.time.DeltaT;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The real catalogue through a made-up lens, solved again. */
@Tag("slow")
class SolverTest {
    private static final int WIDTH = 1200;
    private static final int HEIGHT = 800;
    private static final double PITCH = 30;
    private static final double Z = 4.3;
    private static final double EXTINCTION = 0.22;
    private static final double SKY = 21.0;
    private static final Instant NIGHT = Instant.parse("2027-06-04T00:31:20Z");

    private static Sky sky() {
        return Sky.over(Observer.of(35.952, -3.048, 62), ReferenceTable.EPHEMERIS, DeltaT.model());
    }

    private static SkyGuess guess(double azimuth, double altitude, double focal, boolean clockKnown) {
        return new SkyGuess(CatalogueSky.seen(sky(), NIGHT), azimuth, altitude, focal, false, PITCH, clockKnown);
    }

    private static double[] matrix(double azimuth, double altitude, double roll) {
        double a = Math.toRadians(azimuth);
        double h = Math.toRadians(altitude);
        double r = Math.toRadians(roll);
        double[] e1 = {-Math.sin(a), Math.cos(a), 0};
        double[] e2 = {-Math.cos(a) * Math.sin(h), -Math.sin(a) * Math.sin(h), Math.cos(h)};
        double[] m = new double[9];
        for (int i = 0; i < 3; i++) {
            m[i] = Math.cos(r) * e1[i] + Math.sin(r) * e2[i];
            m[3 + i] = -Math.sin(r) * e1[i] + Math.cos(r) * e2[i];
        }
        m[6] = Math.cos(h) * Math.cos(a);
        m[7] = Math.cos(h) * Math.sin(a);
        m[8] = Math.sin(h);
        return m;
    }

    /** Stars as the lens draws them, an even sky, and some that no catalogue has. */
    private static Canvas drawn(double azimuth, double apparent, double roll, double focal, double k1) {
        Projection lens = new Projection(false, focal * 1000 / PITCH, k1, WIDTH, HEIGHT);
        double[] m = matrix(azimuth, apparent, roll);
        Canvas c = new Canvas(WIDTH, HEIGHT, 0);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH; x++) {
                double cosine = lens.direction(x, y).z();
                c.add(x, y, Math.pow(10, 0.4 * (Z - SKY)) * lens.squareArcseconds(x, y) * cosine);
            }
        }
        double[] at = new double[2];
        for (SkyGuess.Known k : CatalogueSky.seen(sky(), NIGHT)) {
            if (lens.project(m, k.direction(), at)) {
                double magnitude = k.magnitude()
                        + EXTINCTION
                                * Extinction.airmass(Apparent.ofDegrees(
                                        Math.max(1, k.altitude().degrees())));
                c.star(
                        at[0],
                        at[1],
                        Math.pow(10, 0.4 * (Z - magnitude))
                                * lens.direction(at[0], at[1]).z(),
                        1,
                        1,
                        0);
            }
        }
        Random random = new Random(8);
        for (int i = 0; i < 900; i++) {
            double sum = Math.pow(10, 0.4 * (Z - 6.6 - 1.5 * random.nextDouble()));
            c.star(random.nextDouble() * WIDTH, random.nextDouble() * HEIGHT, sum, 1, 1, 0);
        }
        return c.noisy(0.0012, 3);
    }

    private static Optional<Solution> solved(Canvas c, SkyGuess g) {
        return FrameReading.of(c, Exposed.UNKNOWN, Optional.of(g)).solved();
    }

    @ParameterizedTest
    @CsvSource({"172, 40, -1.4, 18.3, -0.02, 18", "95, 55, 3, 24.2, 0.015, 24", "0, 50, 0.5, 35.4, 0, 35"})
    void itFindsWhereTheCameraLooked(
            double azimuth, double apparent, double roll, double focal, double k1, double nominal) {
        Canvas c = drawn(azimuth, apparent, roll, focal, k1);
        Solution s =
                solved(c, guess(azimuth + 2.5, apparent - 2, nominal, true)).orElseThrow();
        double off = Math.hypot(
                ((s.azimuthDegrees() - azimuth + 540) % 360 - 180) * Math.cos(Math.toRadians(apparent)),
                s.altitudeDegrees() - Refraction.STANDARD.airless(apparent));
        assertTrue(off < 0.02, "aim off by " + off);
        assertEquals(roll, s.rollDegrees(), 0.02);
        assertEquals(focal, s.focalMm(), 0.001 * focal);
        assertEquals(k1, s.k1(), 0.002);
        assertEquals(Z, s.zLinear(), 0.05);
        assertTrue(s.matched() > 40 && s.residualPx() < 0.2, s.matched() + " stars, " + s.residualPx() + " px");
        double sky = s.sky().get(2).get(2).orElseThrow();
        assertEquals(SKY, sky, 0.08);
    }

    /** Far off the plan it is found where the clock is known; where that may be wrong as well, nothing is said. */
    @Test
    void farOffThePlan() {
        Canvas c = drawn(172, 40, 2, 24, 0);
        assertTrue(solved(c, guess(230, 55, 24, true)).isPresent());
        assertEquals(Optional.empty(), solved(c, guess(230, 55, 24, false)));
    }

    /** Another sky than the catalogue's, or stars by chance: never solved. */
    @Test
    void whatIsNotTheSkyIsNotSolved() {
        Canvas mirrored = drawn(172, 40, 2, 24, 0);
        for (int y = 0; y < HEIGHT; y++) {
            for (int x = 0; x < WIDTH / 2; x++) {
                float l = mirrored.light[y * WIDTH + x];
                mirrored.light[y * WIDTH + x] = mirrored.light[y * WIDTH + WIDTH - 1 - x];
                mirrored.light[y * WIDTH + WIDTH - 1 - x] = l;
            }
        }
        assertEquals(Optional.empty(), solved(mirrored, guess(172, 40, 24, true)), "a mirrored sky");
        for (long seed = 1; seed <= 3; seed++) {
            Random random = new Random(seed);
            Canvas chance = new Canvas(WIDTH, HEIGHT, 0.02);
            IntStream.range(0, 500)
                    .mapToObj(i -> Math.pow(random.nextDouble(), -0.9))
                    .sorted(Comparator.reverseOrder())
                    .forEach(f -> chance.star(
                            random.nextDouble() * WIDTH, random.nextDouble() * HEIGHT, Math.min(3, 0.05 * f), 1, 1, 0));
            assertEquals(
                    Optional.empty(), solved(chance.noisy(0.0012, seed), guess(172, 40, 24, true)), "seed " + seed);
        }
    }

    @Test
    void aDirectionIsItsOwnPixelAgain() {
        for (boolean fisheye : List.of(true, false)) {
            Projection lens = new Projection(fisheye, 600, -0.03, WIDTH, HEIGHT);
            double[] at = new double[2];
            for (double x = 5; x < WIDTH; x += 170) {
                for (double y = 5; y < HEIGHT; y += 130) {
                    Vector d = lens.direction(x, y);
                    assertTrue(lens.project(d.x(), d.y(), d.z(), at));
                    assertEquals(x, at[0], 1e-3);
                    assertEquals(y, at[1], 1e-3);
                }
            }
        }
    }
}
