package org.halfdusk.show.shells;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import org.halfdusk.show.Sound;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What flies and glows, against the equations that it stands for. */
class SparkTest {
    private static final Spark THROWN = new Spark(
            2, 5, new Spark.Point(10, 100, -3), new Spark.Point(40, 25, -12), 0.5, 300, 3, 0.1, 0.2, Tint.RED);
    private static final Spark.Point WIND = new Spark.Point(3, 0, -1);

    /** dv/dt = −(v − w)/τ − g ŷ, by differences of the place. */
    @ParameterizedTest
    @ValueSource(doubles = {2.01, 2.5, 3.4, 4.9})
    void obeysItsEquationOfMotion(double t) {
        double h = 1e-3;
        Spark.Point a = THROWN.at(t - h, WIND);
        Spark.Point b = THROWN.at(t, WIND);
        Spark.Point c = THROWN.at(t + h, WIND);
        double vx = (c.x() - a.x()) / (2 * h);
        double vy = (c.y() - a.y()) / (2 * h);
        double ax = (c.x() - 2 * b.x() + a.x()) / (h * h);
        double ay = (c.y() - 2 * b.y() + a.y()) / (h * h);
        assertEquals(-(vx - WIND.x()) / 0.5, ax, 1e-3);
        assertEquals(-vy / 0.5 - 9.81, ay, 1e-3);
    }

    @Test
    void beginsWhereAndAsFastAsItIsThrown() {
        assertEquals(THROWN.from(), THROWN.at(2, WIND));
        assertEquals(THROWN.speed(), THROWN.speedAt(2));
        assertEquals(-9.81 * 0.5, THROWN.speedAt(60).y(), 1e-9, "in the end it falls at g τ");
    }

    /** The closed form of its light against a sum over small steps. */
    @Test
    void lightAddsUp() {
        double sum = 0;
        for (int i = 0; i < 20_000; i++) {
            sum += THROWN.candelaAt(1 + (i + 0.5) * 5 / 20_000) * 5 / 20_000;
        }
        assertEquals(sum, THROWN.candelaSeconds(0, 9), 0.01);
        double parts = THROWN.candelaSeconds(0, 2.7) + THROWN.candelaSeconds(2.7, 4) + THROWN.candelaSeconds(4, 9);
        assertEquals(THROWN.candelaSeconds(0, 9), parts, 1e-9);
        assertEquals(0, THROWN.candelaSeconds(5, 6));
    }

    @ParameterizedTest
    @ValueSource(doubles = {20, 50, 75, 125, 150, 300, 610})
    void aShellRestsWhereItBreaks(double mm) {
        Calibre calibre = new Calibre(mm);
        Climb climb = Climb.of(calibre.heightMetres(), calibre.breakSeconds());
        Spark shell = new Spark(
                0,
                calibre.breakSeconds(),
                Spark.Point.GROUND,
                new Spark.Point(0, climb.speed(), 0),
                climb.brakingSeconds(),
                1,
                1,
                1,
                1,
                Tint.GOLD);
        // Small shells' fuses leave them more time than a climb to rest needs: those fall back a little.
        double most = Math.max(calibre.heightMetres(), 0.5 * Spark.G * Math.pow(calibre.breakSeconds(), 2));
        assertEquals(most, shell.at(calibre.breakSeconds(), Spark.Point.GROUND).y(), 0.02 * most);
        assertEquals(0, shell.speedAt(calibre.breakSeconds()).y(), 0.01);
    }

    @Test
    void aShellOf125MillimetresLeavesItsMortarAtAboutAHundredMetresASecond() {
        Calibre calibre = new Calibre(125);
        assertEquals(
                100, Climb.of(calibre.heightMetres(), calibre.breakSeconds()).speed(), 8);
    }

    @Test
    void aSparkThatNeverLivesIsRefused() {
        assertThrows(
                IllegalArgumentException.class,
                () -> new Spark(3, 3, Spark.Point.GROUND, Spark.Point.GROUND, 1, 1, 1, 1, 1, Tint.RED));
        IllegalArgumentException e = assertThrows(
                IllegalArgumentException.class,
                () -> new Spark(1, 3, Spark.Point.GROUND, Spark.Point.GROUND, Double.NaN, 1, 1, 1, 1, Tint.RED));
        assertTrue(String.valueOf(e.getMessage()).contains("NaN"));
    }

    /** 331.3 √(1 + 15/273.15) = 340.3 m/s: 600 m in 1.76 s. */
    @Test
    void soundLags() {
        assertEquals(1.763, Sound.lagSeconds(600, 15), 0.001);
        assertThrows(IllegalArgumentException.class, () -> Sound.lagSeconds(600, Double.NaN));
        assertThrows(IllegalArgumentException.class, () -> Sound.lagSeconds(0, 15));
    }
}
